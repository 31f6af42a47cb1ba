package app.nosegay.bench.accuracy;

import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.review.MatchCheck;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Trouble;
import app.nosegay.time.SpeechRate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * Whether a trouble in a simulated take is told, over many takes.
 *
 * @param runs takes in which the trouble happened
 * @param told those in which a finding says so
 * @param missed those in which none does, a line each
 */
public record FindingAccuracy(int runs, int told, List<String> missed) {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    /** The troubles that have findings of their own, with the codes any of which tells. */
    public static final Map<Trouble, List<String>> CODES = codes();

    public double recall() {
        return runs == 0 ? 1 : told / (double) runs;
    }

    private static Map<Trouble, List<String>> codes() {
        Map<Trouble, List<String>> codes = new EnumMap<>(Trouble.class);
        codes.put(Trouble.LATE_START, List.of("match.late-start"));
        codes.put(Trouble.SHORT_SET, List.of("match.short-set"));
        codes.put(Trouble.HAND_CLOCK, List.of("match.short", "match.long", "match.sides-uneven"));
        codes.put(Trouble.HOLD, List.of("match.interruption", "match.dead-air"));
        codes.put(Trouble.SKIP, List.of("match.missing"));
        codes.put(Trouble.SWAP, List.of("match.swapped"));
        codes.put(Trouble.REPEAT, List.of("match.repeated"));
        codes.put(Trouble.FLUFF, List.of("match.repeated", "match.fluff"));
        codes.put(Trouble.UNPLANNED_MOVE, List.of("match.unplanned"));
        codes.put(Trouble.DEAD_AIR, List.of("match.dead-air", "match.interruption"));
        codes.put(Trouble.WRONG_CALL, List.of("match.call-off"));
        codes.put(Trouble.CALL_MISSING, List.of("match.call-missing"));
        codes.put(Trouble.WRONG_NAME, List.of("match.wrong-name"));
        codes.put(Trouble.WRONG_SIDE, List.of("match.wrong-side"));
        codes.put(Trouble.UNEVEN_SIDES, List.of("match.sides-uneven"));
        codes.put(Trouble.UNEVEN_REPS, List.of("match.reps"));
        codes.put(Trouble.TIMER_LEFT_ON, List.of("match.timer-left-on"));
        return codes;
    }

    /** Runs of every plan with seeds 1 to {@code seeds}, with one trouble each. */
    public static FindingAccuracy of(List<Timeline> plans, Trouble trouble, int seeds) {
        int runs = 0;
        List<String> missed = new ArrayList<>();
        for (Timeline timeline : plans) {
            CuePlan cues = CuePlanner.plan(timeline, LIBRARY, SpeechRate.DEFAULT);
            for (long seed = 1; seed <= seeds; seed++) {
                Performance p = Performance.of(timeline, cues, seed, EnumSet.of(trouble));
                boolean always = trouble == Trouble.HOLD || trouble == Trouble.TIMER_LEFT_ON;
                if (!always && p.events().stream().noneMatch(e -> e.trouble() == trouble)) {
                    continue;
                }
                runs++;
                List<Finding> found = findings(timeline, cues, p);
                if (found.stream().noneMatch(f -> CODES.get(trouble).contains(f.code()))) {
                    missed.add("run " + seed + ": " + p.events()
                            + found.stream()
                                    .map(f -> f.code() + " " + f.message())
                                    .toList());
                }
            }
        }
        return new FindingAccuracy(runs, runs - missed.size(), missed);
    }

    /** Findings that honest takes of every plan draw, each of them false. */
    public static List<Finding> ofHonestTakes(List<Timeline> plans, int seeds) {
        List<Finding> found = new ArrayList<>();
        for (Timeline timeline : plans) {
            CuePlan cues = CuePlanner.plan(timeline, LIBRARY, SpeechRate.DEFAULT);
            for (long seed = 1; seed <= seeds; seed++) {
                found.addAll(findings(timeline, cues, Performance.of(timeline, cues, seed, Set.of())));
            }
        }
        return found;
    }

    private static List<Finding> findings(Timeline timeline, CuePlan cues, Performance p) {
        List<TakeEvidence> takes = p.evidences("t");
        List<ShootLog> logs = new ArrayList<>();
        takes.forEach(t -> logs.add(p.log()));
        // Reps are counted from pictures, which an evidence stream has none of: they are measured apart.
        Match match = Matcher.match(timeline, takes, logs, List.of())
                .withTaps(p.truthInParts("t").reps());
        List<ScriptLineMatch> said = ScriptLineMatch.of(timeline, cues, match, takes);
        List<HeardCall> calls = CallTruth.of(timeline, match, takes, LIBRARY.names(), said);
        return MatchCheck.check(timeline, cues, match, MatchNotes.NONE, takes, new Spoken(calls, said))
                .findings();
    }
}
