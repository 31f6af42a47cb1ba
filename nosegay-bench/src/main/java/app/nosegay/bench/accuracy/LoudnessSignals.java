package app.nosegay.bench.accuracy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import javax.sound.sampled.AudioFileFormat;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioInputStream;
import javax.sound.sampled.AudioSystem;

/** Signals of EBU Tech 3341 table 1, made from its description: stereo sines, each at some dBFS for so many seconds. */
public final class LoudnessSignals {
    private static final int HZ = 48_000;

    /**
     * One of the signals for programme loudness, 1 to 5.
     *
     * @param steps level in dBFS and seconds, of each part
     * @param lufs what a meter has to show
     */
    public record Signal(int number, List<Step> steps, double lufs) {}

    /** A part of a signal. */
    public record Step(double dbfs, double seconds) {}

    public static final List<Signal> PROGRAMME = List.of(
            new Signal(1, List.of(new Step(-23, 20)), -23),
            new Signal(2, List.of(new Step(-33, 20)), -33),
            new Signal(3, List.of(new Step(-36, 10), new Step(-23, 60), new Step(-36, 10)), -23),
            new Signal(
                    4,
                    List.of(
                            new Step(-72, 10),
                            new Step(-36, 10),
                            new Step(-23, 60),
                            new Step(-36, 10),
                            new Step(-72, 10)),
                    -23),
            new Signal(5, List.of(new Step(-26, 20), new Step(-20, 20.1), new Step(-26, 20)), -23));

    private LoudnessSignals() {}

    /** Writes a sine of {@code hz} starting at {@code phase} radians as a 24-bit WAV file. */
    public static Path write(Path file, double hz, double phase, List<Step> steps) throws IOException {
        double total = steps.stream().mapToDouble(Step::seconds).sum();
        byte[] bytes = new byte[(int) Math.round(total * HZ) * 6];
        int i = 0;
        for (Step step : steps) {
            double peak = Math.pow(10, step.dbfs() / 20);
            for (int n = 0; n < Math.round(step.seconds() * HZ) && i + 6 <= bytes.length; n++) {
                // The test signals begin and end softly: a sudden end overshoots by itself.
                double soft = Math.min(1, Math.min(n, step.seconds() * HZ - n) / (0.05 * HZ));
                int value = (int) Math.round((steps.size() == 1 ? soft : 1)
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
        try (AudioInputStream in = new AudioInputStream(new ByteArrayInputStream(bytes), format, bytes.length / 6)) {
            AudioSystem.write(in, AudioFileFormat.Type.WAVE, file.toFile());
        }
        return file;
    }
}
