package app.nosegay.standins;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.RunSheet;
import app.nosegay.plan.RunSheetParser;
import app.nosegay.transcript.Call;
import app.nosegay.transcript.CallReader;
import app.nosegay.transcript.DraftSheet;
import app.nosegay.transcript.HeardStructure;
import java.io.IOException;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.FieldSource;

/** Calls in written-out recordings: what is found against what is there (the bar of DESIGN.md section 5: 0.95 each way). */
class CallSheetTest {
    static final List<String> MOVES = MoveLibrary.shipped().names();

    @ParameterizedTest
    @FieldSource("app.nosegay.standins.CallSheet#NAMES")
    void findsWhatIsSaidAndNothingElse(String sheet) throws IOException {
        CallSheet.Score score = CallSheet.score(sheet, MOVES);
        score.wrong().forEach(line -> System.out.println(sheet + ": " + line));
        System.out.printf(
                "%s: precision %.3f, recall %.3f of %d calls%n",
                sheet, score.precision(), score.recall(), score.there());
        assertThat(score.precision()).as("precision").isGreaterThanOrEqualTo(0.95);
        assertThat(score.recall()).as("recall").isGreaterThanOrEqualTo(0.95);
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
        assertThat(sheet).contains("circuit Heard").contains("  reverse lunge  sides halves\n");
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
