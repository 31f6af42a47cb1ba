package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class VoiceListenerTest {
    /** What onnxruntime 1.22 gives for the sound below with the published model, window by window. */
    private static final float[] REFERENCE = {
        0.44411f, 0.41703f, 0.05525f, 0.05562f, 0.08206f, 0.03180f, 0.02261f, 0.01502f, 0.07407f, 0.11056f, 0.05772f,
                0.03845f, 0.07545f,
        0.03244f, 0.01331f, 0.00791f, 0.00550f, 0.03813f, 0.02677f, 0.02296f, 0.00726f, 0.01014f, 0.00430f, 0.00154f,
                0.00287f, 0.00359f,
        0.03084f, 0.01288f, 0.00551f, 0.00400f, 0.01059f, 0.00780f, 0.00205f, 0.00175f, 0.00183f, 0.00940f, 0.00875f,
                0.00594f, 0.00910f,
        0.01474f
    };

    /** Something like vowels, without a voice: harmonics under moving formants, swelling three and a half times a second. */
    private static float[] vowels() {
        float[] x = new float[512 * REFERENCE.length];
        double phase = 0;
        for (int i = 0; i < x.length; i++) {
            double t = i / 16000.0;
            double pitch = 130 + 25 * Math.sin(2 * Math.PI * 1.7 * t);
            phase += 2 * Math.PI * pitch / 16000;
            double v = 0;
            for (int h = 1; h <= 24; h++) {
                double f = h * pitch;
                double gain = Math.exp(-Math.pow((f - 600) / 250, 2))
                        + 0.5 * Math.exp(-Math.pow((f - 1300 - 500 * Math.sin(2 * Math.PI * 2.3 * t)) / 300, 2))
                        + 0.2 * Math.exp(-Math.pow((f - 2600) / 400, 2));
                v += gain * Math.sin(h * phase);
            }
            x[i] = (float) (0.12 * v * Math.max(0, Math.sin(2 * Math.PI * 3.5 * t)));
        }
        return x;
    }

    @Test
    void itIsTheNetworkThatWasPublished() {
        VoiceListener listener = new VoiceListener();
        float[] sound = vowels();
        listener.listen(sound, sound.length);
        assertThat(listener.finish().values()).containsExactly(REFERENCE, within(2e-4f));
    }

    @Test
    void howTheSoundIsHandedOverMakesNoDifference() {
        float[] sound = vowels();
        VoiceListener whole = new VoiceListener();
        whole.listen(sound, sound.length);
        VoiceListener pieces = new VoiceListener();
        Random random = new Random(3);
        for (int at = 0; at < sound.length; ) {
            int n = Math.min(sound.length - at, 1 + random.nextInt(900));
            pieces.listen(java.util.Arrays.copyOfRange(sound, at, at + n), n);
            at += n;
        }
        assertThat(pieces.finish().values()).containsExactly(whole.finish().values());
    }

    @Test
    void neitherBeepsNorNoiseNorChordsAreVoices() {
        float[] sound = new float[VoiceListener.HZ * 12];
        Random random = new Random(9);
        for (int i = 0; i < sound.length; i++) {
            double t = i / (double) VoiceListener.HZ;
            double beep = t % 1 < 0.15 ? 0.4 * Math.sin(2 * Math.PI * 880 * t) : 0;
            double chord = 0;
            for (double hz : new double[] {220, 277.2, 329.6, 440}) {
                chord += 0.05 * Math.sin(2 * Math.PI * hz * t);
            }
            sound[i] = (float) (beep + chord + 0.01 * random.nextGaussian());
        }
        VoiceListener listener = new VoiceListener();
        listener.listen(sound, sound.length);
        Trace voice = listener.finish();
        assertThat(voice.hz()).isEqualTo(31.25);
        assertThat(voice.values()).hasSize(375);
        assertThat(SpokenStretches.of(take(voice))).isEmpty();
    }

    private static TakeEvidence take(Trace voice) {
        return new TakeEvidence(
                        "t",
                        "t.mp4",
                        Length.ofSeconds(60),
                        List.of(),
                        List.of(),
                        Trace.NONE,
                        Trace.NONE,
                        null,
                        List.of())
                .withVoice(voice);
    }

    @Test
    void breathsAreNoSilenceAndClicksAreNoVoice() {
        float[] likely = new float[100];
        java.util.Arrays.fill(likely, 10, 20, 0.9f);
        java.util.Arrays.fill(likely, 26, 40, 0.8f); // six windows of breath before it
        java.util.Arrays.fill(likely, 60, 63, 0.95f); // a click
        java.util.Arrays.fill(likely, 80, 100, 0.7f);
        List<Span<Axis.Take>> stretches = SpokenStretches.of(take(new Trace(31.25, likely)));
        assertThat(stretches).hasSize(2);
        assertThat(stretches.get(0).start().seconds()).isCloseTo(0.288, within(1e-6));
        assertThat(stretches.get(0).end().seconds()).isCloseTo(1.248, within(1e-6));
        assertThat(stretches.get(1).end().seconds()).isCloseTo(3.168, within(1e-6));
        assertThat(take(new Trace(31.25, likely))
                        .part("p", stretches.get(1).start(), stretches.get(1).end())
                        .voice()
                        .values())
                .hasSizeBetween(19, 20);
    }
}
