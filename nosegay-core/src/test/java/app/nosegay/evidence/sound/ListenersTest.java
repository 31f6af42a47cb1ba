package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class ListenersTest {
    private static final int RATE = 16_000;

    private static float[] noise(double seconds, double level, long seed) {
        Random random = new Random(seed);
        float[] samples = new float[(int) (seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            samples[i] = (float) (level * random.nextGaussian());
        }
        return samples;
    }

    private static void add(float[] to, float[] clip, double seconds, double gain) {
        int at = (int) Math.round(seconds * RATE);
        for (int i = 0; i < clip.length && at + i < to.length; i++) {
            to[at + i] += (float) (gain * clip[i]);
        }
    }

    private static float[] beep(double hz, double seconds) {
        float[] samples = new float[(int) (seconds * RATE)];
        for (int i = 0; i < samples.length; i++) {
            double soft = Math.min(1, Math.min(i, samples.length - i) / 60.0);
            samples[i] = (float) (soft * Math.sin(2 * Math.PI * hz * i / RATE));
        }
        return samples;
    }

    /** A buzzing, gliding, many-lined sound, as a voice has. */
    private static float[] voice(double seconds, long seed) {
        Random random = new Random(seed);
        float[] samples = new float[(int) (seconds * RATE)];
        double phase = 0;
        for (int i = 0; i < samples.length; i++) {
            double t = i / (double) RATE;
            double f0 = 170 + 40 * Math.sin(2 * Math.PI * 1.7 * t) + 25 * Math.sin(2 * Math.PI * 0.6 * t + 1);
            phase += 2 * Math.PI * f0 / RATE;
            double v = 0;
            for (int h = 1; h < 14; h++) {
                v += Math.sin(h * phase) / (1 + Math.abs(h - 5));
            }
            samples[i] =
                    (float) (0.12 * v * (0.6 + 0.4 * Math.sin(2 * Math.PI * 3.1 * t)) + 0.003 * random.nextGaussian());
        }
        return samples;
    }

    private static List<TakeEvidence.Tone> tones(float[] sound) {
        SyncListener listener = new SyncListener(RATE);
        for (int at = 0; at < sound.length; at += 1000) {
            int n = Math.min(1000, sound.length - at);
            listener.listen(java.util.Arrays.copyOfRange(sound, at, at + n), n);
        }
        return listener.heard();
    }

    private static List<TakeEvidence.Beep> beeps(float[] sound) {
        BeepListener listener = new BeepListener(RATE);
        listener.listen(sound, sound.length);
        return listener.heard();
    }

    @Property(tries = 12)
    void aSyncToneIsHeardToTheMillisecondInNoise(
            @ForAll @IntRange(min = 0, max = 255) int run, @ForAll @IntRange(min = 0, max = 9000) int atMillis) {
        float[] sound = noise(12, 0.01, run);
        double at = atMillis / 1000.0;
        add(sound, SyncTone.tone(false, run, RATE), at, 0.05);
        List<TakeEvidence.Tone> heard = tones(sound);
        assertThat(heard).hasSize(1);
        assertThat(heard.get(0).code()).isEqualTo(new SyncTone.Code(false, run));
        assertThat(heard.get(0).time().seconds()).isBetween(at - 0.001, at + 0.001);
    }

    @Test
    void startAndEndAreToldApartUnderAVoice() {
        float[] sound = voice(20, 4);
        add(sound, SyncTone.tone(false, 77, RATE), 2.5, 0.4);
        add(sound, SyncTone.tone(true, 77, RATE), 15.25, 0.4);
        assertThat(tones(sound))
                .extracting(TakeEvidence.Tone::code)
                .containsExactly(new SyncTone.Code(false, 77), new SyncTone.Code(true, 77));
    }

    @Test
    void noSyncToneIsHeardInVoiceOrNoise() {
        assertThat(tones(voice(30, 9))).isEmpty();
        assertThat(tones(noise(30, 0.2, 9))).isEmpty();
        assertThat(tones(new float[RATE * 5])).isEmpty();
    }

    @Property(tries = 20)
    void aBeepOnsetIsPlacedWithinAHundredthOfASecond(
            @ForAll @IntRange(min = 600, max = 4000) int hz, @ForAll @IntRange(min = 300, max = 3000) int atMillis) {
        float[] sound = noise(4, 0.002, hz);
        add(sound, beep(hz, 0.2), atMillis / 1000.0, 0.1);
        List<TakeEvidence.Beep> heard = beeps(sound);
        assertThat(heard).hasSize(1);
        assertThat(heard.get(0).time().seconds()).isBetween(atMillis / 1000.0 - 0.015, atMillis / 1000.0 + 0.015);
        assertThat(heard.get(0).hz()).isBetween(hz - 40.0, hz + 40.0);
    }

    @Test
    void beepsAreHeardOverAVoiceAndTheVoiceIsNot() {
        float[] sound = voice(20, 2);
        for (int k = 0; k < 6; k++) {
            add(sound, beep(1320, 0.3), 2 + 3 * k, 0.5);
        }
        List<TakeEvidence.Beep> heard = beeps(sound);
        for (int k = 0; k < 6; k++) {
            double at = 2 + 3 * k;
            assertThat(heard)
                    .as("beep at " + at)
                    .anyMatch(b -> Math.abs(b.time().seconds() - at) < 0.03);
        }
        assertThat(beeps(voice(60, 3)).size()).isLessThan(6);
    }

    @Test
    void aBeepWhoseBeginningAVoiceDrownsIsHeardOnceAndFromItsBeginning() {
        float[] sound = noise(6, 0.001, 5);
        add(sound, beep(1320, 0.4), 2.0, 0.2);
        add(sound, voice(0.2, 7), 1.95, 1.2);
        assertThat(beeps(sound)).singleElement().satisfies(b -> {
            assertThat(b.time().seconds()).isBetween(1.96, 2.03);
            assertThat(b.hz()).isBetween(1316.0, 1324.0);
        });
    }

    @Test
    void aWhistleWithAPeaIsHeardFromItsBeginning() {
        float[] sound = noise(6, 0.002, 3);
        add(sound, voice(6, 5), 0, 0.1);
        float[] whistle = new float[RATE / 2];
        for (int i = 0; i < whistle.length; i++) {
            double t = i / (double) RATE;
            whistle[i] = (float) Math.sin(2 * Math.PI * 2600 * t + 12 * Math.sin(2 * Math.PI * 28 * t));
        }
        float[] over = noise(6, 0.002, 4);
        add(over, whistle, 2.5, 0.1);
        assertThat(beeps(sound)).isEmpty();
        assertThat(beeps(over)).hasSize(1);
        assertThat(beeps(over).get(0).time().seconds()).isBetween(2.47, 2.53);
    }

    @Test
    void aBellIsOneBeepHoweverItsNotesDieAway() {
        float[] sound = noise(8, 0.001, 7);
        double[][] notes = {{1, 1, 1.4}, {2.01, 0.6, 2.5}, {2.76, 0.45, 4}, {5.4, 0.25, 7}};
        float[] bell = new float[2 * RATE];
        for (int i = 0; i < bell.length; i++) {
            double t = i / (double) RATE;
            for (double[] n : notes) {
                bell[i] += (float) (n[1] * Math.exp(-t * n[2]) * Math.sin(2 * Math.PI * 780 * n[0] * t));
            }
        }
        add(sound, bell, 3, 0.11);
        assertThat(beeps(sound)).hasSize(1);
        assertThat(beeps(sound).get(0).time().seconds()).isBetween(2.97, 3.03);
    }

    @Test
    void aVowelHeldAlmostSteadyIsNoBeep() {
        float[] sound = noise(6, 0.001, 6);
        for (int n = 0; n < 4; n++) {
            float[] vowel = new float[(int) (0.12 * RATE)];
            double phase = 0;
            for (int i = 0; i < vowel.length; i++) {
                // One strong harmonic near 740 Hz that falls by 20 Hz, as it does at the end of a word.
                phase += 2 * Math.PI * (750 - 20.0 * i / vowel.length) / RATE;
                double soft = Math.min(1, Math.min(i, vowel.length - i) / 200.0);
                vowel[i] = (float) (soft * (Math.sin(phase) + 0.1 * Math.sin(2 * phase) + 0.1 * Math.sin(phase / 4)));
            }
            add(sound, vowel, 1 + n, 0.3);
        }
        assertThat(beeps(sound)).isEmpty();
    }

    @Test
    void theCodeCatchesASingleWrongSymbol() {
        for (int run = 0; run < 256; run += 5) {
            float[] ignored = SyncTone.tone(true, run, 8000);
            assertThat(ignored.length)
                    .isEqualTo((int) Math.round(SyncTone.CHIRP_SECONDS * 8000) + SyncTone.SYMBOLS * 320);
        }
        int valid = 0;
        for (int bits = 0; bits < 1 << SyncTone.SYMBOLS; bits++) {
            valid += SyncTone.decode(bits) != null ? 1 : 0;
        }
        assertThat(valid).isEqualTo(512);
    }
}
