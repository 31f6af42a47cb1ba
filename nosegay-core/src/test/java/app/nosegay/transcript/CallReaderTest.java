package app.nosegay.transcript;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.RunSheet;
import app.nosegay.plan.RunSheetParser;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Calls in written-out recordings: what is found against what is there (the bar of DESIGN.md section 5: 0.95 each way). */
class CallReaderTest {
    static final List<String> MOVES = MoveLibrary.shipped().names();

    @ParameterizedTest
    @CsvSource({"calls-a.txt", "calls-b.txt", "calls-c.txt", "calls-d.txt"})
    void findsWhatIsSaidAndNothingElse(String sheet) throws IOException {
        int right = 0;
        int found = 0;
        int there = 0;
        for (CallSheet.Recording recording : CallSheet.read(sheet)) {
            List<Call> calls = new ArrayList<>(CallReader.read(recording.captions(), MOVES));
            there += recording.expected().size();
            found += calls.size();
            for (CallSheet.Expected e : recording.expected()) {
                Call hit = calls.stream()
                        .filter(c -> matches(c, e.call())
                                && c.time().seconds() > e.seconds() - 1.5
                                && c.time().seconds() < e.seconds() + 6)
                        .findFirst()
                        .orElse(null);
                if (hit == null) {
                    System.out.printf("%s: not found at %.0f s: %s%n", sheet, e.seconds(), e.call());
                } else {
                    right++;
                    calls.remove(hit);
                }
            }
            calls.forEach(c -> System.out.printf(
                    "%s: not there: %.1f s %s in \"%s\"%n", sheet, c.time().seconds(), CallSheet.written(c), c.text()));
        }
        System.out.printf(
                "%s: precision %.3f, recall %.3f of %d calls%n",
                sheet, right / (double) found, right / (double) there, there);
        assertThat(right / (double) found).as("precision").isGreaterThanOrEqualTo(0.95);
        assertThat(right / (double) there).as("recall").isGreaterThanOrEqualTo(0.95);
    }

    /** An expected next-up without a move takes any; all else has to agree. */
    private static boolean matches(Call c, String expected) {
        String written = CallSheet.written(c);
        boolean nextUp = c.kind() == CallKind.NEXT_UP && expected.startsWith("next-up");
        return written.equals(expected) || nextUp && (expected.equals("next-up") || c.of() == null);
    }

    @Test
    void theHeardStructureBecomesADraftSheet() throws IOException {
        CallSheet.Recording recording = CallSheet.read("calls-c.txt").get(0);
        List<Call> calls = CallReader.read(recording.captions(), MOVES);
        List<HeardStructure.Heard> heard = HeardStructure.of(calls);
        assertThat(heard.stream().filter(h -> h.kind().equals("work")).map(HeardStructure.Heard::move))
                .startsWith("squat", "reverse lunge", "glute bridge");
        assertThat(heard.stream().filter(h -> h.kind().equals("work")).limit(3))
                .allSatisfy(h -> assertThat(h.span().length().seconds()).isBetween(40.0, 56.0));
        String sheet = DraftSheet.of(heard);
        assertThat(sheet).contains("circuit Heard").contains("  reverse lunge\n");
        RunSheet read = RunSheetParser.parse(sheet, MoveLibrary.shipped());
        assertThat(read.problems()).isEmpty();
        assertThat(Expansion.expand(read, MoveLibrary.shipped()).segments()).hasSizeGreaterThan(5);
    }

    @Test
    void nothingHeardIsSaidSo() {
        assertThat(CallReader.read(List.of(), MOVES)).isEmpty();
        assertThat(DraftSheet.of(List.of())).startsWith("# No interval");
    }
}
