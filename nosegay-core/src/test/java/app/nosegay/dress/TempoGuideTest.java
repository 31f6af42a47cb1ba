package app.nosegay.dress;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Tempo;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The guide that goes down and up with the reps as they were really done. */
class TempoGuideTest {
    private static final Tempo THREE_ONE_ONE = Tempo.parse("3-1-1").orElseThrow();

    private static Piece.TempoGuide guide(boolean startsDown, double... completed) {
        List<Time<Axis.Cut>> reps = new ArrayList<>();
        for (double at : completed) {
            reps.add(Time.ofSeconds(at));
        }
        return new Piece.TempoGuide(
                new Span<>(Time.ofSeconds(10), Time.ofSeconds(60)), reps, THREE_ONE_ONE, startsDown);
    }

    private static Face.Tempo at(Piece.TempoGuide guide, double seconds) {
        return (Face.Tempo) guide.at(Time.ofSeconds(seconds));
    }

    @Test
    void aRepInTempoGoesDownHoldsAndComesUp() {
        Piece.TempoGuide squat = guide(true, 15, 20, 25);
        assertThat(at(squat, 15.1).word()).isEqualTo("down, breathe in");
        assertThat(at(squat, 15.1).step()).isLessThan(3);
        assertThat(at(squat, 18.5)).isEqualTo(new Face.Tempo("hold", Face.TEMPO_STEPS));
        assertThat(at(squat, 19.5).word()).isEqualTo("up, breathe out");
        assertThat(at(squat, 19.98).step()).isLessThan(3);
    }

    @Test
    void aMoveThatStartsUpBreathesOutFirst() {
        Piece.TempoGuide curl = guide(false, 15, 20, 25);
        assertThat(at(curl, 15.1).word()).isEqualTo("up, breathe out");
        assertThat(at(curl, 15.1).step()).isGreaterThan(Face.TEMPO_STEPS - 3);
        assertThat(at(curl, 18.5)).isEqualTo(new Face.Tempo("hold", 0));
        assertThat(at(curl, 19.5).word()).isEqualTo("down, breathe in");
    }

    @Test
    void aFasterAndASlowerRepAreFollowedToTheirEnd() {
        Piece.TempoGuide reps = guide(true, 15, 17.5, 24);
        // Half as long: every part takes half its time.
        assertThat(at(reps, 16.75)).isEqualTo(new Face.Tempo("hold", Face.TEMPO_STEPS));
        assertThat(at(reps, 17.45).step()).isLessThan(6);
        // 6.5 s for 5: at three fifths of it the way down ends.
        assertThat(at(reps, 17.5 + 0.58 * 6.5).word()).isEqualTo("down, breathe in");
        assertThat(at(reps, 17.5 + 0.7 * 6.5)).isEqualTo(new Face.Tempo("hold", Face.TEMPO_STEPS));
        assertThat(at(reps, 23.9).step()).isLessThan(6);
    }

    @Test
    void whoWaitsBeforeTheFirstRepOrBetweenTwoIsWaitedFor() {
        Piece.TempoGuide reps = guide(true, 22, 27, 45);
        assertThat(at(reps, 12).step()).as("seven seconds before it begins").isZero();
        assertThat(at(reps, 20.5)).as("at the bottom").isEqualTo(new Face.Tempo("hold", Face.TEMPO_STEPS));
        assertThat(at(reps, 35).step()).as("a breath of 13 s").isZero();
        assertThat(at(reps, 43.5)).isEqualTo(new Face.Tempo("hold", Face.TEMPO_STEPS));
    }

    @Test
    void behindTheLastRepItGoesOnInTempoAndStops() {
        Piece.TempoGuide reps = guide(true, 15, 20);
        assertThat(at(reps, 21).word()).isEqualTo("down, breathe in");
        assertThat(at(reps, 50).step()).isZero();
    }

    /** Whenever reps were completed: at that moment the guide is where it started, and it never leaves its way. */
    @Property(tries = 100)
    void atTheEndOfEveryRepItIsBack(@ForAll @IntRange(max = 100_000) int seed) {
        Random random = new Random(seed);
        double at = 10;
        double[] reps = new double[1 + random.nextInt(8)];
        for (int i = 0; i < reps.length; i++) {
            at += 0.8 + random.nextDouble() * 12;
            reps[i] = at;
        }
        Piece.TempoGuide guide = guide(true, reps);
        for (double rep : reps) {
            assertThat(at(guide, rep - 0.001).step()).as("seed " + seed).isLessThanOrEqualTo(1);
        }
        for (double t = 10; t < 60; t += 0.3) {
            assertThat(at(guide, t).step()).isBetween(0, Face.TEMPO_STEPS);
        }
    }
}
