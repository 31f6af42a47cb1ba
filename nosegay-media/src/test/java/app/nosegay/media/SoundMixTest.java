package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.dress.SoundPlan;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SoundMixTest {
    private static final int HZ = MovieWriter.SOUND_HZ;

    private static SoundPlan plan(double gain, double ceiling, List<SoundPlan.Tone> tones) {
        return new SoundPlan(Map.of("t", gain), ceiling, tones, "", -100, 0, List.of());
    }

    private static float[] sine(double level, double seconds) {
        float[] stereo = new float[(int) (HZ * seconds) * 2];
        for (int i = 0; i < stereo.length / 2; i++) {
            stereo[2 * i] = (float) (level * Math.sin(2 * Math.PI * 1000 * i / HZ));
            stereo[2 * i + 1] = stereo[2 * i];
        }
        return stereo;
    }

    private static double peak(float[] samples, int from, int to) {
        double peak = 0;
        for (int i = from; i < to; i++) {
            peak = Math.max(peak, Math.abs(samples[i]));
        }
        return peak;
    }

    @Test
    void gainLiftsOnlyTheTakeItIsFor() throws Exception {
        SoundMix mix = new SoundMix(plan(6.0206, -1.5, List.of()));
        float[] sound = sine(0.2, 0.2);

        assertThat(peak(mix.mix(sound, 0, sound.length / 2, 0, "t"), 0, sound.length))
                .isCloseTo(0.4, within(0.001));
        assertThat(peak(mix.mix(sound, 0, sound.length / 2, 0, "other"), 0, sound.length))
                .isCloseTo(0.2, within(0.001));
    }

    @Test
    void nothingIsLouderThanTheCeilingAndQuietSoundIsLeftAlone() throws Exception {
        SoundMix mix = new SoundMix(plan(20, -1.5, List.of()));
        double ceiling = Math.pow(10, -1.5 / 20);
        float[] loud = sine(0.5, 0.5);

        assertThat(peak(mix.mix(loud, 0, loud.length / 2, 0, "t"), 0, loud.length))
                .isLessThanOrEqualTo(ceiling + 1e-6);
        float[] quiet = sine(0.01, 1.5);
        float[] out = mix.mix(quiet, 0, quiet.length / 2, 0, "t");
        assertThat(peak(out, out.length - 4000, out.length)).isCloseTo(0.1, within(0.002));
    }

    @Test
    void tonesSoundAtTheirTimeAlsoAcrossBlocks() throws Exception {
        SoundMix mix = new SoundMix(
                plan(0, -1.5, List.of(new SoundPlan.Tone(Time.ofSeconds(0.45), 880, Length.ofMillis(100)))));
        float[] silence = new float[HZ];

        float[] first = mix.mix(silence, 0, HZ / 2, 0, null);
        float[] second = mix.mix(silence, 0, HZ / 2, HZ / 2, null);

        assertThat(peak(first, 0, (int) (0.44 * HZ) * 2)).isZero();
        assertThat(peak(first, (int) (0.46 * HZ) * 2, first.length)).isGreaterThan(0.2);
        assertThat(peak(second, 0, (int) (0.04 * HZ) * 2)).isGreaterThan(0.2);
        assertThat(peak(second, (int) (0.06 * HZ) * 2, second.length)).isZero();
    }

    @Test
    void soundAsRecordedIsNotTouched() throws Exception {
        assertThat(new SoundMix(SoundPlan.AS_RECORDED).isNothing()).isTrue();
    }
}
