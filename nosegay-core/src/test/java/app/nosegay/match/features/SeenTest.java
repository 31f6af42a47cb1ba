package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.MotionHeight;
import app.nosegay.evidence.sight.Rhythm;
import java.util.Random;
import java.util.function.DoubleFunction;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What is told from the small pictures of a take: whether movement comes round, and how high in the picture it happens. */
class SeenTest {
    private static final double HZ = 10;
    private static final int ROWS = 18;

    /** A dark bar of some rows at the height given for each second, 0 at the bottom to 1, before a light wall, with sensor noise. */
    private static TakeEvidence.Poses filmed(double seconds, DoubleFunction<Double> height) {
        return filmed(seconds, height, 1);
    }

    private static TakeEvidence.Poses filmed(double seconds, DoubleFunction<Double> height, double noise) {
        int width = TakeEvidence.Poses.WIDTH;
        int count = (int) (seconds * HZ);
        byte[] grey = new byte[count * width * ROWS];
        Random random = new Random(11);
        for (int i = 0; i < count; i++) {
            double middle = (1 - height.apply(i / HZ)) * ROWS;
            for (int r = 0; r < ROWS; r++) {
                double covered = Math.max(0, Math.min(1, 2 - Math.abs(r + 0.5 - middle)));
                for (int c = 0; c < width; c++) {
                    boolean body = c >= 12 && c < 20;
                    double value = 180 - (body ? 120 * covered : 0) + noise * random.nextGaussian();
                    grey[(i * ROWS + r) * width + c] = (byte) Math.round(value);
                }
            }
        }
        return new TakeEvidence.Poses(HZ, width * ROWS, grey);
    }

    private static double mean(Trace trace, double from, double to) {
        double sum = 0;
        int n = 0;
        for (int i = (int) (from * trace.hz()); i < to * trace.hz(); i++) {
            sum += trace.values()[i];
            n++;
        }
        return sum / n;
    }

    @Property(tries = 30)
    void repetitionsComeRoundAndWalkingAboutDoesNot(@ForAll @DoubleRange(min = 1.6, max = 4.2) double period) {
        // 20 s of repetitions, then 20 s of wandering that never comes back.
        Trace rhythm = Rhythm.of(
                filmed(40, t -> t < 20 ? 0.5 + 0.1 * Math.sin(2 * Math.PI * t / period) : 0.3 + 0.4 * (t - 20) / 20));
        assertThat(mean(rhythm, 4, 16)).isGreaterThan(0.7);
        assertThat(mean(rhythm, 26, 36)).isLessThan(0.4);
    }

    /** In a picture without noise, as cameras that smooth it give, breathing comes round; it is less than the rounding of a grey value. */
    @Test
    void breathingIsNoRepetition() {
        Trace rhythm = Rhythm.of(filmed(
                60,
                t -> 0.5 + (t < 30 ? 0.1 * Math.sin(2 * Math.PI * t / 2.5) : 0.0004 * Math.sin(2 * Math.PI * t / 4)),
                0));
        assertThat(mean(rhythm, 4, 26)).isGreaterThan(0.7);
        assertThat(mean(rhythm, 42, 54)).isLessThan(0.1);
    }

    /** Somebody steps aside and comes back, once, in every rest: that is no repetition. */
    @Property(tries = 20)
    void oneWayThereAndBackDoesNotComeRound(@ForAll @DoubleRange(min = 2, max = 5) double away) {
        Trace rhythm = Rhythm.of(filmed(60, t -> {
            double since = t % 20;
            return since < away ? 0.4 + 0.3 * Math.sin(Math.PI * since / away) : 0.4;
        }));
        for (double t = 17; t < 30; t++) {
            assertThat(mean(rhythm, t, t + 2)).as("from %s s", t).isLessThan(0.6);
        }
    }

    /** Arms alone, in three cells of a noisy picture: what happens in the others does not drown them. */
    @Property(tries = 15)
    void smallRepetitionsInANoisyPictureComeRound(@ForAll @DoubleRange(min = 1.8, max = 3.6) double period) {
        int width = TakeEvidence.Poses.WIDTH;
        int count = (int) (60 * HZ);
        byte[] grey = new byte[count * width * ROWS];
        Random random = new Random(17);
        for (int i = 0; i < count; i++) {
            double t = i / HZ;
            double arms = t > 20 && t < 45 ? 40 * Math.sin(2 * Math.PI * t / period) : 0;
            for (int c = 0; c < width * ROWS; c++) {
                boolean arm = c / width == 8 && c % width >= 12 && c % width < 18;
                grey[i * width * ROWS + c] = (byte) Math.round(120 + (arm ? arms : 0) + 6 * random.nextGaussian());
            }
        }
        Trace rhythm = Rhythm.of(new TakeEvidence.Poses(HZ, width * ROWS, grey));
        assertThat(mean(rhythm, 25, 40)).isGreaterThan(0.5);
        assertThat(mean(rhythm, 3, 14)).as("noise").isLessThan(0.2);
    }

    @Test
    void noiseAloneDoesNotComeRound() {
        assertThat(mean(Rhythm.of(filmed(20, t -> 0.5)), 3, 17)).isLessThan(0.1);
        assertThat(Rhythm.of(null).isEmpty()).isTrue();
        assertThat(Rhythm.of(new TakeEvidence.Poses(HZ, 576, new byte[0])).isEmpty())
                .isTrue();
    }

    @Property(tries = 20)
    void movementLowInThePictureIsToldFromMovementHighUp(@ForAll @DoubleRange(min = 1.5, max = 4) double period) {
        Trace height =
                MotionHeight.of(filmed(60, t -> (t < 30 ? 0.75 : 0.25) + 0.1 * Math.sin(2 * Math.PI * t / period)));
        assertThat(mean(height, 4, 26)).isGreaterThan(0.6);
        assertThat(mean(height, 34, 56)).isLessThan(-0.6);
    }

    @Test
    void aTakeInOnePositionTellsNoHeight() {
        assertThat(MotionHeight.of(filmed(40, t -> 0.5 + 0.1 * Math.sin(2 * t))).isEmpty())
                .isTrue();
        assertThat(MotionHeight.of(filmed(40, t -> 0.5)).isEmpty()).isTrue();
    }
}
