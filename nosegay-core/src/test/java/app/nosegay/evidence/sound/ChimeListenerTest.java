package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** Timers that sound several tones at once, as {@link BeepListener} hears them beside single ones. */
class ChimeListenerTest {
    private static final int RATE = 16_000;
    /** Where the signals of a recording lie, in seconds: not evenly, as in a workout. */
    private static final List<Double> AT = List.of(2.03, 12.4, 23.21, 33.0, 44.555);

    private static float[] room(double seconds, long seed) {
        Random random = new Random(seed);
        float[] sound = new float[(int) (seconds * RATE)];
        for (int i = 0; i < sound.length; i++) {
            sound[i] = (float) (0.002 * random.nextGaussian());
        }
        return sound;
    }

    /** Tones of these pitches and strengths, dying away by {@code fall} a second; 0 holds them. */
    private static float[] tones(double seconds, double fall, double[] hz, double[] strengths) {
        float[] sound = new float[(int) (seconds * RATE)];
        for (int i = 0; i < sound.length; i++) {
            double t = i / (double) RATE;
            double edge = Math.min(1, Math.min(i, sound.length - i) / 60.0);
            for (int k = 0; k < hz.length; k++) {
                sound[i] += (float) (edge * strengths[k] * Math.exp(-t * fall) * Math.sin(2 * Math.PI * hz[k] * t));
            }
        }
        return sound;
    }

    /** Syllables whose pitch glides, with twelve partials. */
    private static float[] talk(double seconds, long seed) {
        Random random = new Random(seed);
        float[] sound = new float[(int) (seconds * RATE)];
        int at = 0;
        while (at < sound.length) {
            int length = Math.min(sound.length - at, (int) ((0.12 + 0.15 * random.nextDouble()) * RATE));
            double from = 170 + 80 * random.nextDouble();
            double to = from * (0.85 + 0.25 * random.nextDouble());
            int formant = 2 + random.nextInt(5);
            double phase = 0;
            for (int i = 0; i < length; i++) {
                phase += 2 * Math.PI * (from + (to - from) * i / length) / RATE;
                double edge = Math.min(1, Math.min(i, length - i) / 300.0);
                for (int h = 1; h <= 12; h++) {
                    sound[at + i] += (float) (edge * Math.sin(h * phase) / (1 + Math.abs(h - formant)));
                }
            }
            at += length + (int) (0.06 * random.nextDouble() * RATE);
        }
        return sound;
    }

    private static void add(float[] sound, float[] part, double atSeconds, double strength) {
        int at = (int) Math.round(atSeconds * RATE);
        for (int i = 0; i < part.length && at + i < sound.length; i++) {
            sound[at + i] += (float) (strength * part[i]);
        }
    }

    private static List<Double> heard(float[] sound) {
        BeepListener listener = new BeepListener(RATE);
        for (int at = 0; at < sound.length; at += 1600) {
            int n = Math.min(1600, sound.length - at);
            listener.listen(java.util.Arrays.copyOfRange(sound, at, at + n), n);
        }
        return listener.heard().stream().map(b -> b.time().seconds()).toList();
    }

    private static void assertHeard(List<Double> heard) {
        assertThat(heard).hasSameSizeAs(AT);
        for (int i = 0; i < AT.size(); i++) {
            assertThat(heard.get(i)).as("signal at %s s", AT.get(i)).isBetween(AT.get(i) - 0.03, AT.get(i) + 0.03);
        }
    }

    private static float[] recording(float[] signal, double strength) {
        float[] sound = room(49, 4);
        AT.forEach(t -> add(sound, signal, t, strength));
        return sound;
    }

    @Property(tries = 15)
    void aChordIsHeardAtItsBeginning(
            @ForAll @IntRange(min = 300, max = 1500) int low, @ForAll @IntRange(min = 118, max = 260) int percent) {
        float[] chord = tones(0.35, 0, new double[] {low, low * percent / 100.0}, new double[] {1, 0.9});
        assertHeard(heard(recording(chord, 0.1)));
    }

    /** Two tones near each other beat: in turn, either of them stands out like a single one. */
    @Example
    void tonesNearEachOtherAreOneSignal() {
        assertHeard(heard(recording(tones(0.35, 0, new double[] {452, 542.4}, new double[] {1, 0.9}), 0.1)));
    }

    @Example
    void aBuzzerABellAndAGongAreHeardOnceEach() {
        double[] odd = {220, 660, 1100, 1540, 1980, 2420};
        assertHeard(heard(recording(tones(0.4, 0, odd, new double[] {1, 0.33, 0.2, 0.14, 0.11, 0.09}), 0.15)));
        double[] bell = {840, 2317, 4550};
        assertHeard(heard(recording(tones(1.2, 6, bell, new double[] {1, 0.6, 0.4}), 0.2)));
        double[] gong = {310, 517, 743, 1121};
        assertHeard(heard(recording(tones(2, 3, gong, new double[] {1, 0.8, 0.6, 0.5}), 0.2)));
    }

    @Example
    void aCountdownOfChordsIsNoMusic() {
        float[] chord = tones(0.3, 0, new double[] {660, 880}, new double[] {1, 1});
        float[] sound = room(100, 6);
        int pips = 0;
        for (double turn : List.of(20.0, 40.0, 60.0, 80.0)) {
            for (int before = 3; before >= 0; before--) {
                add(sound, chord, turn - before, 0.1);
                pips++;
            }
        }
        assertThat(heard(sound)).hasSize(pips);
    }

    @Example
    void aSignalKnownFromQuietMomentsIsHeardUnderAVoiceToo() {
        float[] chord = tones(0.5, 0, new double[] {660, 880}, new double[] {1, 1});
        float[] sound = recording(chord, 0.15);
        add(sound, talk(3, 5), AT.get(4) - 1, 0.05);
        assertThat(heard(sound)).anyMatch(t -> Math.abs(t - AT.get(4)) < 0.05);
    }

    @Example
    void talkIsNoSignal() {
        for (long seed = 1; seed <= 5; seed++) {
            float[] sound = room(60, seed);
            add(sound, talk(60, seed), 0, 0.1);
            assertThat(heard(sound)).as("seed %d", seed).hasSizeLessThan(3);
        }
    }

    /** A melody of plucked notes, two a second, over held chords. */
    private static float[] melody(double seconds, long seed) {
        Random random = new Random(seed);
        float[] sound = room(seconds, seed);
        int[][] chords = {{262, 330, 392}, {220, 262, 330}, {175, 220, 262}, {196, 247, 294}};
        for (int i = 0; i * 0.5 < seconds - 1; i++) {
            int[] chord = chords[i / 4 % 4];
            double hz = chord[random.nextInt(3)] * (random.nextBoolean() ? 2 : 4);
            add(sound, tones(0.4, 7, new double[] {hz, 2 * hz}, new double[] {1, 0.35}), i * 0.5, 0.03);
            if (i % 4 == 0) {
                add(sound, tones(1.9, 0, new double[] {chord[0], chord[1]}, new double[] {1, 1}), i * 0.5, 0.01);
            }
        }
        return sound;
    }

    @Example
    void aTimerStandsOutOfAMelody() {
        List<Double> turns = List.of(20.2, 41.0, 60.7, 81.3, 100.9, 121.1, 140.4, 161.2, 180.8);
        double[][] signals = {{1760}, {690, 920}};
        for (double[] hz : signals) {
            float[] sound = melody(200, 3);
            float[] signal = tones(0.35, 0, hz, new double[] {1, 1});
            turns.forEach(t -> add(sound, signal, t, 0.2));
            List<Double> heard = heard(sound);
            assertThat(heard).as("%d tones at once", hz.length).hasSizeBetween(7, 10);
            assertThat(heard).allMatch(h -> turns.stream().anyMatch(t -> Math.abs(t - h) < 0.05));
        }
    }

    @Example
    void aMelodyAloneIsNoTimer() {
        assertThat(heard(melody(200, 5))).isEmpty();
    }

    @Example
    void chordsOfMusicAreNoSignals() {
        Random random = new Random(8);
        float[] often = room(60, 1);
        for (double t = 0.5; t < 58; t += 1.5) {
            double root = 220 * Math.pow(2, random.nextInt(12) / 12.0);
            add(often, tones(0.9, 2, new double[] {root, root * 1.26, root * 1.5}, new double[] {1, 1, 1}), t, 0.05);
        }
        assertThat(heard(often)).hasSizeLessThan(8);
        float[] plucked = room(90, 3);
        double[][] chords = {{262, 330, 392}, {220, 262, 330}, {175, 220, 262}, {196, 247, 294}};
        for (int bar = 0; bar < 21; bar++) {
            add(plucked, tones(3, 1.5, chords[bar % 4], new double[] {1, 1, 1}), 1 + 4 * bar, 0.05);
        }
        assertThat(heard(plucked)).hasSizeLessThan(4);
        float[] slow = room(60, 2);
        for (double t = 0.5; t < 54; t += 6) {
            float[] pad = tones(3.5, 0, new double[] {262, 330, 392}, new double[] {1, 1, 1});
            for (int i = 0; i < pad.length; i++) {
                pad[i] *= (float) Math.min(1, i / (0.6 * RATE));
            }
            add(slow, pad, t, 0.05);
        }
        assertThat(heard(slow)).isEmpty();
    }
}
