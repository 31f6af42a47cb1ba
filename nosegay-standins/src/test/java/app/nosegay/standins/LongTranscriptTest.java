package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.time.Length;
import app.nosegay.transcript.CallReader;
import app.nosegay.transcript.Caption;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Half-hour videos have a thousand lines: four times as many take about four times as long to read, and not sixteen. */
class LongTranscriptTest {
    private static final int RUNS = 3;
    private final List<String> moves = MoveLibrary.shipped().names();

    /** So many lines of people who talk. */
    private static List<Caption> talk(int lines) throws IOException {
        List<CallSheet.Recording> recordings = CallSheet.read("calls-talk9.txt");
        List<Caption> talk = new ArrayList<>();
        double end = 0;
        for (int i = 0; talk.size() < lines; i++) {
            for (Caption c : recordings.get(i % recordings.size()).captions()) {
                talk.add(c.later(Length.ofSeconds(end)));
            }
            end = talk.get(talk.size() - 1).end().seconds() + 5;
        }
        return talk.subList(0, lines);
    }

    /** The quickest of a few: what else the machine does makes single runs slower. */
    private double seconds(int lines) throws IOException {
        double best = Double.MAX_VALUE;
        for (int run = 0; run < RUNS; run++) {
            List<Caption> talk = talk(lines + run);
            long began = System.nanoTime();
            assertThat(CallReader.read(talk, moves)).hasSizeGreaterThan(lines / 10);
            best = Math.min(best, (System.nanoTime() - began) / 1e9);
        }
        return best;
    }

    @Test
    void timeGrowsWithTheLinesAndNotWithTheirSquare() throws IOException {
        seconds(100);
        double some = seconds(150);
        double many = seconds(600);
        assertThat(many / some)
                .as("600 lines %.2f s, 150 lines %.2f s", many, some)
                .isLessThan(9);
    }
}
