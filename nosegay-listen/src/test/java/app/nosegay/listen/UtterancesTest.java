package app.nosegay.listen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Sound cut at its pauses: noise stands for speech, near-silence for what is between. */
class UtterancesTest {
    private static final int HZ = 16_000;

    /** Quiet room with bursts of noise at the given stretches, in seconds. */
    private static float[] sound(double seconds, double[]... bursts) {
        Random random = new Random(1);
        float[] sound = new float[(int) (seconds * HZ)];
        for (int i = 0; i < sound.length; i++) {
            sound[i] = (float) (0.001 * random.nextGaussian());
        }
        for (double[] burst : bursts) {
            for (int i = (int) (burst[0] * HZ); i < burst[1] * HZ; i++) {
                sound[i] = (float) (0.2 * random.nextGaussian());
            }
        }
        return sound;
    }

    private static double seconds(int samples) {
        return samples / (double) HZ;
    }

    @Test
    void wordsApartAreStretchesOfTheirOwn() {
        List<Utterances.Stretch> found =
                Utterances.of(sound(12, new double[] {1, 2}, new double[] {5, 6.5}, new double[] {9, 9.8}));
        assertThat(found).hasSize(3);
        assertThat(seconds(found.get(1).from())).isBetween(4.7, 5.0);
        assertThat(seconds(found.get(1).to())).isBetween(6.5, 6.8);
    }

    @Test
    void aBreathInsideALineDoesNotCutIt() {
        assertThat(Utterances.of(sound(10, new double[] {2, 3}, new double[] {3.15, 4.5})))
                .hasSize(1);
    }

    @Test
    void aClickIsNoWordAndSilenceHoldsNone() {
        assertThat(Utterances.of(sound(10, new double[] {4, 4.03}))).isEmpty();
        assertThat(Utterances.of(new float[10 * HZ])).isEmpty();
        assertThat(Utterances.of(new float[0])).isEmpty();
    }

    /** Whatever is said when: stretches lie in the sound, in order, and hold the burst. */
    @Property(tries = 30)
    void stretchesLieInTheSoundAndHoldWhatIsSaid(
            @ForAll @DoubleRange(min = 0.5, max = 8) double start,
            @ForAll @DoubleRange(min = 0.5, max = 20) double length,
            @ForAll @IntRange(min = 30, max = 40) int seconds) {
        double end = Math.min(seconds - 0.5, start + length);
        float[] sound = sound(seconds, new double[] {start, end});
        List<Utterances.Stretch> found = Utterances.of(sound);
        assertThat(found).isNotEmpty();
        int before = 0;
        for (Utterances.Stretch s : found) {
            assertThat(s.from()).isBetween(0, s.to());
            assertThat(s.to()).isBetween(before, sound.length);
            before = s.to();
        }
        assertThat(seconds(found.get(0).from())).isLessThanOrEqualTo(start + 0.03);
        assertThat(seconds(found.get(found.size() - 1).to())).isGreaterThanOrEqualTo(end - 0.05);
    }
}
