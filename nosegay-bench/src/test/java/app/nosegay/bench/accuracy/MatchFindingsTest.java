package app.nosegay.bench.accuracy;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.standins.Trouble;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Findings on simulated takes: every trouble is told, honest takes draw next to none. */
class MatchFindingsTest {
    /** A handful proves the rule; {@code bench --accuracy} measures with ten. */
    private static final int SEEDS = 2;

    private static final List<Timeline> TIMELINES = List.of(
            SampleSheets.timeline(SampleSheets.wheelbarrow()),
            SampleSheets.timeline(
                    "title: T\npromise: 12 min\ncalls: half, 10, in 3, out 3\ntalk Hi  0:30\ncircuit A  rounds 2  work 0:40  rest 0:20\n"
                            + "  goblet squat\n  push-up\n  single-arm row  sides separate\n  plank\nsuperset B  sets 2 "
                            + " reps 10  rest 0:45\n"
                            + "  kettlebell deadlift  tempo 2-0-1\n  band pull-apart  tempo 2-0-1\ntalk Bye  0:20\n"));

    static Set<Trouble> troubles() {
        return FindingAccuracy.CODES.keySet();
    }

    @ParameterizedTest
    @MethodSource("troubles")
    void everyTroubleIsTold(Trouble trouble) {
        FindingAccuracy told = FindingAccuracy.of(TIMELINES, trouble, SEEDS);
        told.missed().forEach(m -> System.out.println(trouble + " not told, " + m));
        System.out.printf("%s: told in %d of %d%n", trouble, told.told(), told.runs());
        assertThat(told.runs()).isPositive();
        assertThat(told.recall()).isGreaterThanOrEqualTo(0.95);
    }

    @Test
    void honestTakesDrawNextToNone() {
        List<Finding> found = FindingAccuracy.ofHonestTakes(TIMELINES, SEEDS);
        double minutes =
                SEEDS * TIMELINES.stream().mapToDouble(t -> t.total().seconds()).sum() / 60;
        found.forEach(f -> System.out.println("honest: " + f.code() + " " + f.message()));
        System.out.printf("honest takes: %d findings in %.0f minutes%n", found.size(), minutes);
        assertThat(found.size() / minutes * 10).isLessThanOrEqualTo(1);
    }
}
