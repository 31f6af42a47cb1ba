package app.nosegay.bench.accuracy;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;

/** Runs of the simulated presenter with evidence it does not give by itself: somebody who talks freely, a timer that only counts down. */
public final class OtherEvidence {
    private static final Set<Trouble> USUAL =
            EnumSet.of(Trouble.LATE_START, Trouble.HOLD, Trouble.DEAD_AIR, Trouble.SHORT_SET);
    private static final int PIPS = 3;
    private static final Length PIP = Length.ofMillis(120);
    private static final double PIP_HZ = 900;
    /** Beeps closer together than this belong to one boundary, in seconds. */
    private static final double ONE_BOUNDARY = 4;

    private OtherEvidence() {}

    /** By voice and motion, with the voice of a run of another sheet. */
    public static Accuracy.Errors freeTalk(List<String> sheets, int seeds) {
        Accuracy.Errors errors = new Accuracy.Errors();
        for (int i = 0; i < sheets.size(); i++) {
            String other = sheets.get((i + 1) % sheets.size());
            for (int seed = 1; seed <= seeds; seed++) {
                Performance run = Accuracy.run(sheets.get(i), seed, USUAL);
                TakeEvidence heard = Accuracy.run(other, 1000 + seed, Set.of())
                        .evidences("t")
                        .get(0);
                TakeEvidence mixed = mixed(run.evidences("t").get(0), List.of(), heard);
                errors.add(Accuracy.of(run, "t", List.of(mixed), Accuracy.Level.MOTION));
            }
        }
        return errors;
    }

    /** By a timer that beeps in the three seconds before a boundary, and not at it. */
    public static Accuracy.Errors pipsAlone(List<String> sheets, int seeds) {
        Accuracy.Errors errors = new Accuracy.Errors();
        for (String sheet : sheets) {
            for (int seed = 1; seed <= seeds; seed++) {
                Performance run = Accuracy.run(sheet, seed, USUAL);
                TakeEvidence take = run.evidences("t").get(0);
                TakeEvidence counted = mixed(take, pips(take.beeps()), take);
                errors.add(Accuracy.of(run, "t", List.of(counted), Accuracy.Level.BEEPS));
            }
        }
        return errors;
    }

    /** What is seen in one take with the voice of another. */
    private static TakeEvidence mixed(TakeEvidence seen, List<TakeEvidence.Beep> beeps, TakeEvidence heard) {
        return new TakeEvidence(
                        seen.id(),
                        seen.file(),
                        seen.length(),
                        List.of(),
                        beeps,
                        heard.loudnessWithoutSignals(),
                        seen.motion(),
                        seen.pose(),
                        List.of())
                .withVoice(heard.voice());
    }

    private static List<TakeEvidence.Beep> pips(List<TakeEvidence.Beep> beeps) {
        List<TakeEvidence.Beep> pips = new ArrayList<>();
        double last = -ONE_BOUNDARY;
        for (TakeEvidence.Beep beep : beeps) {
            if (beep.time().seconds() - last < ONE_BOUNDARY) {
                continue;
            }
            last = beep.time().seconds();
            for (int left = PIPS; left >= 1; left--) {
                pips.add(new TakeEvidence.Beep(beep.time().minus(Length.ofSeconds(left)), PIP, PIP_HZ, beep.db()));
            }
        }
        return pips;
    }
}
