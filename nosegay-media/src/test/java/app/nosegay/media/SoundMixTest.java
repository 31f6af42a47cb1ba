package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class SoundMixTest {
    private static final int HZ = MovieWriter.SOUND_HZ;

    private static SoundPlan plan(double gain, double ceiling, List<SoundPlan.Tone> tones) {
        return new SoundPlan(
                Map.of("t", gain), ceiling, tones, "", -100, 0, List.of(), List.of(), List.of(), List.of(), null);
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
        SoundMix mix = new SoundMix(plan(6.0206, -1.5, List.of()), Map.of());
        float[] sound = sine(0.2, 0.2);

        assertThat(peak(mix.mix(sound, 0, sound.length / 2, 0, "t"), 0, sound.length))
                .isCloseTo(0.4, within(0.001));
        assertThat(peak(mix.mix(sound, 0, sound.length / 2, 0, "other"), 0, sound.length))
                .isCloseTo(0.2, within(0.001));
    }

    @Test
    void nothingIsLouderThanTheCeilingAndQuietSoundIsLeftAlone() throws Exception {
        SoundMix mix = new SoundMix(plan(20, -1.5, List.of()), Map.of());
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
                plan(0, -1.5, List.of(new SoundPlan.Tone(Time.ofSeconds(0.45), 880, Length.ofMillis(100)))), Map.of());
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
        assertThat(new SoundMix(SoundPlan.AS_RECORDED, Map.of()).isNothing()).isTrue();
    }

    @Test
    void aLineSaidAgainStandsAloneWhereItIsLaid(@TempDir Path folder) throws Exception {
        Path film = Movies.film(
                folder.resolve("lines.mp4"),
                4,
                new FrameRate(30, 1),
                true,
                0,
                0,
                List.of(new Movies.Sound(2, 440, 0.5)));
        SoundPlan plan = new SoundPlan(
                Map.of("p", 6.0206),
                0,
                List.of(),
                "",
                -100,
                0,
                List.of(),
                List.of(new SoundPlan.Over(
                        new Span<>(Time.ofSeconds(1), Time.ofSeconds(1.6)),
                        "p",
                        new Span<>(Time.ofSeconds(2), Time.ofSeconds(2.5)),
                        true)),
                List.of(),
                List.of(),
                null);
        SoundMix mix = new SoundMix(plan, Map.of("p", film));
        float[] own = new float[2 * 3 * 48_000];
        java.util.Arrays.fill(own, 0.25f);
        float[] out = new float[own.length];
        for (int at = 0; at < own.length / 2; at += 1000) {
            System.arraycopy(mix.mix(own, at, 1000, at, "t"), 0, out, 2 * at, 2000);
        }
        assertThat(out[2 * 40_000]).as("before it").isEqualTo(0.25f);
        assertThat(out[2 * 80_000]).as("after it").isEqualTo(0.25f);
        double sum = 0;
        double least = 1;
        for (int i = 52_000; i < 68_000; i++) {
            sum += out[2 * i] * out[2 * i];
            least = Math.min(least, out[2 * i]);
        }
        // A sine of amplitude 0.3, twice as loud, and nothing of the steady 0.25 under it.
        assertThat(Math.sqrt(sum / 16_000)).isCloseTo(0.6 / Math.sqrt(2), within(0.03));
        assertThat(least).isLessThan(-0.5);
        assertThat(Math.abs(out[2 * 75_000])).as("silence behind the line").isLessThan(0.01f);
        assertThat(new SoundMix(plan, Map.of("p", film)).isNothing()).isFalse();
        assertThatThrownBy(() -> new SoundMix(plan, Map.of())).isInstanceOf(MediaException.class);
    }

    @Test
    void nothingIsHeardWhereItIsMutedButTheTimer() throws Exception {
        SoundPlan plan = new SoundPlan(
                Map.of(),
                0,
                List.of(new SoundPlan.Tone(Time.ofSeconds(0.5), 880, Length.ofMillis(50))),
                "",
                -100,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(new Span<>(Time.ofSeconds(0.4), Time.ofSeconds(0.6))),
                null);
        float[] own = new float[2 * HZ];
        java.util.Arrays.fill(own, 0.5f);
        float[] out = new SoundMix(plan, Map.of()).mix(own, 0, HZ, 0, "t");
        assertThat(out[2 * (int) (0.39 * HZ)]).isEqualTo(0.5f);
        assertThat(out[2 * (int) (0.61 * HZ)]).isEqualTo(0.5f);
        // Two samples a moment: left and right.
        assertThat(peak(out, (int) (0.82 * HZ), (int) (0.98 * HZ))).isZero();
        assertThat(peak(out, HZ, (int) (1.1 * HZ))).as("the timer").isGreaterThan(0.05);
        assertThat(peak(out, (int) (1.12 * HZ), (int) (1.18 * HZ))).isZero();
        assertThat(new SoundMix(plan, Map.of()).isNothing()).isFalse();
    }

    @Test
    void aNoiseIsTurnedDownSoftlyAndNothingElseIs() throws Exception {
        SoundPlan plan = new SoundPlan(
                Map.of(),
                0,
                List.of(),
                "",
                -100,
                0,
                List.of(),
                List.of(),
                List.of(new Span<>(Time.ofSeconds(0.4), Time.ofSeconds(0.6))),
                List.of(),
                null);
        float[] own = new float[2 * HZ];
        java.util.Arrays.fill(own, 0.5f);
        float[] out = new SoundMix(plan, Map.of()).mix(own, 0, HZ, 0, "t");
        assertThat(out[2 * (int) (0.5 * HZ)]).isCloseTo(0.063f, within(0.001f));
        assertThat(out[2 * (int) (0.3 * HZ)]).isEqualTo(0.5f);
        assertThat(out[2 * (int) (0.7 * HZ)]).isEqualTo(0.5f);
        for (int i = 1; i < HZ; i++) {
            assertThat(Math.abs(out[2 * i] - out[2 * i - 2])).as("no click").isLessThan(0.001f);
        }
    }

    @Test
    void aBeatOfTheMusicFallsOnTheMomentWanted(@TempDir Path folder) throws Exception {
        // A click every half second from 0.2 s on.
        List<Movies.Sound> clicks = new java.util.ArrayList<>();
        for (double at = 0.2; at < 19.5; at += 0.5) {
            clicks.add(new Movies.Sound(at, 1000, 0.06));
        }
        Path music = Movies.film(folder.resolve("music.mp4"), 20, new FrameRate(5, 1), true, 0, 0, clicks);
        SoundPlan plan = new SoundPlan(
                Map.of(),
                0,
                List.of(),
                music.toString(),
                -14,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                Time.ofSeconds(3.37));
        float[] out = new SoundMix(plan, Map.of()).mix(new float[2 * 6 * HZ], 0, 6 * HZ, 0, null);
        int loud = 0;
        for (int i = (int) (3.2 * HZ); i < 3.6 * HZ && loud == 0; i++) {
            loud = Math.abs(out[2 * i]) > 0.02 ? i : 0;
        }
        assertThat(loud / (double) HZ).isCloseTo(3.37, within(0.03));
    }
}
