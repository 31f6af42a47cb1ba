package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MusicBeatTest {
    private static final int HZ = 8_000;

    /** Drum-like hits on every beat, softer ones between, over a hum. */
    private static float[] drums(double bpm, double first, double seconds) {
        Random random = new Random(3);
        float[] out = new float[(int) (seconds * HZ)];
        for (int i = 0; i < out.length; i++) {
            out[i] = (float) (0.02 * Math.sin(2 * Math.PI * 110 * i / HZ) + 0.005 * random.nextGaussian());
        }
        int n = 0;
        for (double at = first; at < seconds; at += 30 / bpm) {
            double loud = n++ % 2 == 0 ? 0.5 : 0.12;
            for (int i = 0; i < HZ / 8 && at * HZ + i < out.length; i++) {
                out[(int) (at * HZ) + i] += (float) (loud * Math.exp(-i / 200.0) * random.nextGaussian());
            }
        }
        return out;
    }

    @ParameterizedTest
    @CsvSource({"90, 0.3", "120, 0.11", "128, 0.4", "100, 0"})
    void theBeatIsFoundWithItsFirst(double bpm, double first) {
        MusicBeat beat = MusicBeat.of(drums(bpm, first, 40), HZ).orElseThrow();
        assertThat(60 / beat.period().seconds()).isCloseTo(bpm, within(bpm * 0.01));
        double beats = (beat.first().seconds() - first) / beat.period().seconds();
        assertThat(beats).as("whole beats from the first").isCloseTo(Math.rint(beats), within(0.04));
    }

    @Test
    void noiseAndShortPiecesHaveNone() {
        Random random = new Random(1);
        float[] noise = new float[20 * HZ];
        for (int i = 0; i < noise.length; i++) {
            noise[i] = (float) (0.1 * random.nextGaussian());
        }
        assertThat(MusicBeat.of(noise, HZ)).isEmpty();
        assertThat(MusicBeat.of(new float[HZ], HZ)).isEmpty();
    }
}
