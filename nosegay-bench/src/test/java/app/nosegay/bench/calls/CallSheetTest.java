package app.nosegay.bench.calls;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.Call;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.calls.reader.DraftSheet;
import app.nosegay.calls.reader.HeardStructure;
import app.nosegay.captions.Caption;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Calls in written-out recordings: what is found against what is there, in all forms. */
class CallSheetTest {
    static final List<String> MOVES = MoveLibrary.shipped().names();
    /** How much worse another form of the same speech may be read. */
    private static final double MOST_LOST = 0.03;

    private static final Map<TranscriptForms.Form, CallSheet.Score> LEFT_OUT =
            new EnumMap<>(TranscriptForms.Form.class);

    /** How the sheets that are left out of learning are read in a form; each form is read once. */
    private static CallSheet.Score leftOut(TranscriptForms.Form form) throws IOException {
        if (!LEFT_OUT.containsKey(form)) {
            LEFT_OUT.put(form, score(true, form));
        }
        return LEFT_OUT.get(form);
    }

    private static CallSheet.Score score(boolean leftOut, TranscriptForms.Form form) throws IOException {
        CallSheet.Score score = CallSheet.score(CallSheet.names(leftOut), form, MOVES);
        score.wrong().forEach(line -> System.out.println(form + ": " + line));
        System.out.printf(
                "%s %s: precision %.3f, recall %.3f of %d calls, balance %.3f, within captions %.3f%n",
                leftOut ? "left out" : "learnt",
                form,
                score.precision(),
                score.recall(),
                score.there(),
                score.balance(),
                score.balanceInCaptions());
        return score;
    }

    @ParameterizedTest
    @ValueSource(booleans = {false, true})
    void mostOfWhatIsSaidIsFoundAndLittleElse(boolean leftOut) throws IOException {
        TranscriptForms.Form form = TranscriptForms.Form.AS_IS;
        CallSheet.Score score = leftOut ? leftOut(form) : score(false, form);
        assertThat(score.precision()).as("precision").isGreaterThanOrEqualTo(0.9);
        assertThat(score.recall()).as("recall").isGreaterThanOrEqualTo(0.88);
    }

    /** On sheets nothing was learnt from: without marks, and with lines broken anywhere, nearly the same is found. */
    @ParameterizedTest
    @EnumSource(
            value = TranscriptForms.Form.class,
            names = {"STRIPPED", "BROKEN"})
    void theSameSpeechWrittenOtherwiseGivesTheSameCalls(TranscriptForms.Form form) throws IOException {
        double asIs = leftOut(TranscriptForms.Form.AS_IS).balance();
        assertThat(leftOut(form).balance()).isGreaterThanOrEqualTo(asIs - MOST_LOST);
    }

    /** Long captions do not say where in them a word is: the same holds between them. */
    @Test
    void longCaptionsNeedNoMarks() throws IOException {
        CallSheet.Score merged = leftOut(TranscriptForms.Form.MERGED);
        double marked = merged.balance();
        assertThat(marked).isGreaterThanOrEqualTo(0.72);
        // A call is right within its caption's own precision: what is understood is the same.
        assertThat(merged.balanceInCaptions())
                .isGreaterThanOrEqualTo(leftOut(TranscriptForms.Form.AS_IS).balance() - MOST_LOST);
        assertThat(leftOut(TranscriptForms.Form.STRIPPED_AND_MERGED).balance())
                .isGreaterThanOrEqualTo(marked - MOST_LOST);
    }

    /** Where a voice is heard in the recording, words of long captions are close to where they are said, with marks or without. */
    @Test
    void aRecordingTellsWhereWordsOfLongCaptionsAre() throws IOException {
        double heard = leftOut(TranscriptForms.Form.MERGED_AND_HEARD).balance();
        assertThat(heard).isGreaterThanOrEqualTo(0.85);
        assertThat(leftOut(TranscriptForms.Form.STRIPPED_MERGED_AND_HEARD).balance())
                .isGreaterThanOrEqualTo(heard - MOST_LOST);
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
        String sheet = DraftSheet.of(heard, calls);
        assertThat(sheet).contains("circuit Heard").contains("  reverse lunge  sides halves\n");
        RunSheet read = RunSheetParser.parse(sheet, MoveLibrary.shipped());
        assertThat(read.problems()).isEmpty();
        assertThat(Expansion.expand(read, MoveLibrary.shipped()).segments()).hasSizeGreaterThan(5);
    }

    /** Whatever is said in whatever order, something is made of it. */
    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8})
    void linesInAnyOrderAreRead(long seed) throws IOException {
        List<Caption> lines = new ArrayList<>();
        for (String sheet : CallSheet.NAMES) {
            for (CallSheet.Recording recording : CallSheet.read(sheet)) {
                lines.addAll(recording.captions());
            }
        }
        Collections.shuffle(lines, new Random(seed));
        List<Caption> shuffled = new ArrayList<>();
        for (int i = 0; i < 400; i++) {
            Time<Axis.Take> at = Time.ofSeconds(3.0 * i);
            shuffled.add(
                    new Caption(at, at.plus(Length.ofSeconds(2.5)), lines.get(i).text()));
        }
        List<Call> calls = CallReader.read(shuffled, MOVES);
        assertThat(calls).hasSizeGreaterThan(100);
        assertThat(calls).extracting(Call::time).isSorted();
        assertThat(DraftSheet.of(HeardStructure.of(calls), calls))
                .containsPattern("(?:circuit|straight-sets|superset) Heard");
    }

    @Test
    void nothingHeardIsSaidSo() {
        assertThat(CallReader.read(List.of(), MOVES)).isEmpty();
        assertThat(DraftSheet.of(List.of(), List.of())).startsWith("# No interval");
    }
}
