package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.match.CallTruth;
import app.nosegay.match.HeardCall;
import app.nosegay.match.Match;
import app.nosegay.match.MatchCheck;
import app.nosegay.match.MatchNotes;
import app.nosegay.match.Matcher;
import app.nosegay.match.SaidLine;
import app.nosegay.match.TakeEvidence;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.SpeechRate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Findings on simulated takes: every trouble is told, honest takes draw next to none. */
class MatchFindingsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final List<Timeline> TIMELINES = List.of(
            SampleSheets.timeline(SampleSheets.wheelbarrow()),
            SampleSheets.timeline(
                    "title: T\npromise: 12 min\ncalls: half, 10, in 3, out 3\ntalk Hi  0:30\ncircuit A  rounds 2  work 0:40  rest 0:20\n"
                            + "  goblet squat\n  push-up\n  single-arm row  sides separate\n  plank\nsuperset B  sets 2  reps 10  rest 0:45\n"
                            + "  kettlebell deadlift  tempo 2-0-1\n  band pull-apart  tempo 2-0-1\ntalk Bye  0:20\n"));

    private static List<Finding> findings(Timeline timeline, long seed, Set<Trouble> troubles) {
        CuePlan cues = CuePlanner.plan(timeline, LIBRARY, SpeechRate.DEFAULT);
        Performance p = Performance.of(timeline, cues, seed, troubles);
        List<TakeEvidence> takes = p.evidences("t");
        List<ShootLog> logs = new ArrayList<>();
        takes.forEach(t -> logs.add(p.log()));
        Match match = Matcher.match(timeline, takes, logs, List.of())
                .withTaps(p.truthInParts("t").reps());
        List<HeardCall> calls = CallTruth.of(timeline, match, takes, LIBRARY.names());
        List<SaidLine> said = SaidLine.of(timeline, cues, match, takes);
        return MatchCheck.findings(timeline, match, MatchNotes.NONE, takes, calls, said);
    }

    @ParameterizedTest
    @CsvSource({
        "LATE_START, match.late-start",
        "SHORT_SET, match.short-set",
        "HAND_CLOCK, match.short|match.long|match.sides-uneven",
        "HOLD, match.interruption|match.dead-air",
        "SKIP, match.missing",
        "SWAP, match.swapped",
        "REPEAT, match.repeated",
        "FLUFF, match.repeated|match.fluff",
        "UNPLANNED_MOVE, match.unplanned",
        "DEAD_AIR, match.dead-air|match.interruption",
        "WRONG_CALL, match.call-off",
        "CALL_MISSING, match.call-missing",
        "WRONG_NAME, match.wrong-name",
        "WRONG_SIDE, match.wrong-side",
        "UNEVEN_SIDES, match.sides-uneven",
        "UNEVEN_REPS, match.reps",
        "TIMER_LEFT_ON, match.timer-left-on"
    })
    void everyTroubleIsTold(Trouble trouble, String codes) {
        int runs = 0;
        int told = 0;
        for (Timeline timeline : TIMELINES) {
            for (long seed = 1; seed <= 10; seed++) {
                CuePlan cues = CuePlanner.plan(timeline, LIBRARY, SpeechRate.DEFAULT);
                boolean happened = trouble == Trouble.HOLD
                        || trouble == Trouble.TIMER_LEFT_ON
                        || Performance.of(timeline, cues, seed, EnumSet.of(trouble)).events().stream()
                                .anyMatch(e -> e.trouble() == trouble);
                if (!happened) {
                    continue;
                }
                runs++;
                List<Finding> found = findings(timeline, seed, EnumSet.of(trouble));
                boolean hit =
                        found.stream().anyMatch(f -> List.of(codes.split("\\|")).contains(f.code()));
                told += hit ? 1 : 0;
                if (!hit) {
                    System.out.println(trouble + " not told, run " + seed + ": "
                            + Performance.of(timeline, cues, seed, EnumSet.of(trouble))
                                    .events()
                            + found.stream()
                                    .map(f -> f.code() + " " + f.message())
                                    .toList());
                }
            }
        }
        System.out.printf("%s: told in %d of %d%n", trouble, told, runs);
        assertThat(runs).isPositive();
        assertThat(told / (double) runs).isGreaterThanOrEqualTo(0.9);
    }

    @Test
    void honestTakesDrawNextToNone() {
        double minutes = 0;
        int findings = 0;
        for (Timeline timeline : TIMELINES) {
            for (long seed = 1; seed <= 10; seed++) {
                List<Finding> found = findings(timeline, seed, Set.of());
                findings += found.size();
                minutes += timeline.total().seconds() / 60;
                found.forEach(f -> System.out.println("honest: " + f.code() + " " + f.message()));
            }
        }
        System.out.printf("honest takes: %d findings in %.0f minutes%n", findings, minutes);
        assertThat(findings / minutes * 10).isLessThanOrEqualTo(1);
    }
}
