package app.nosegay.bench.calls;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.library.MoveLibrary;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Half-hour videos have a thousand lines: eight times as many take about eight times as long to read, and not sixty-four. */
class LongTranscriptTest {
    private static final int RUNS = 3;
    private final List<String> moves = MoveLibrary.shipped().names();

    /** The quickest of a few: what else the machine does makes single runs slower. */
    private double seconds(int lines) throws IOException {
        double best = Double.MAX_VALUE;
        for (int run = 0; run < RUNS; run++) {
            List<Caption> talk = CallSheet.longTranscript("calls-talk9.txt", lines + run);
            long began = System.nanoTime();
            assertThat(CallReader.read(talk, moves)).hasSizeGreaterThan(lines / 10);
            best = Math.min(best, (System.nanoTime() - began) / 1e9);
        }
        return best;
    }

    @Test
    void timeGrowsWithTheLinesAndNotWithTheirSquare() throws IOException {
        seconds(100);
        double some = seconds(100);
        double many = seconds(800);
        assertThat(many / some)
                .as("800 lines %.2f s, 100 lines %.2f s", many, some)
                .isLessThan(14);
    }
}
