package app.nosegay.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingPile;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetHeaders;
import app.nosegay.plan.terms.BlockKind;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What holds for the whole workout is said in sentences, too; what is added begins sensibly. */
class HeaderSentenceTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static RunSheet sheet(String text) {
        return RunSheetParser.parse(text, LIBRARY);
    }

    private static String said(String text) {
        return HeaderSentence.of(sheet(text)).stream()
                .map(p -> p instanceof Part.Value v ? "[" + v.field().shown() + "]" : ((Part.Words) p).text())
                .collect(Collectors.joining());
    }

    @Test
    void anEmptySheetAsksForWhatMatters() {
        assertThat(said(""))
                .isEqualTo("I promise [nothing yet]. For [anyone], with [no gear]. I call [half-way, 10 s left, "
                        + "a count-in from 3, a count-out from 3].");
        assertThat(HeaderSentence.field(sheet(""), "title").shown()).isEqualTo("Name your workout");
    }

    @Test
    void everyHeaderIsSaidInPlainWords() {
        String text = "title: T\npromise: 20 min\naudience: beginner\ngear: chair\ncalls: half, 5, in 3\ncount: up\n"
                + "sides-spoken: mirrored\nstart: left\nbpm: 120\npicture: voice-only\n"
                + "voice: afterwards\neffort: 7\ntalk-density: sparing\n"
                + "levels: Easy easier left, Main main right\npresenters: Ivy\npolicy: end-card left\n";
        assertThat(sheet(text).errors()).isEmpty();
        assertThat(said(text))
                .startsWith(
                        "I promise [20 min]. For [beginner], with [chair]. I call [half-way, 5 s left, a count-in from 3].")
                .contains(
                        "Timers count [up].",
                        "Left and right are [the viewer's, as in a mirror].",
                        "One-sided moves: [left side first].",
                        "It is [voice only].",
                        "I talk [sparing].");
        assertThat(HeaderSentence.addable(sheet(text))).isEmpty();
        assertThat(SheetHeaders.words())
                .allSatisfy(w -> assertThat(HeaderSentence.label(w)).isNotBlank());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "promise | about 15 min | promise: about 15 min",
                "audience | + beginner | audience: general, beginner",
                "audience | − general | ''",
                "gear | two towels | gear: two towels",
                "count | up | count: up",
                "calls | nothing | calls: none"
            })
    void aHeaderIsFilledIn(String word, String typed, String line) {
        RunSheet sheet = sheet("title: T\naudience: general\ncircuit  work 0:30\n  squat\n");
        Field field = HeaderSentence.field(sheet, word);
        String written = HeaderSentence.typed(field, typed).orElseThrow();
        String after = HeaderSentence.set(sheet, field, written).apply(sheet.text());
        assertThat(sheet(after).errors()).isEmpty();
        assertThat(after.lines().filter(l -> l.startsWith(word + ":")).collect(Collectors.joining()))
                .isEqualTo(line);
        assertThat(sheet(after).blocks()).hasSize(1);
    }

    @Test
    void whatCannotBeReadIsRefusedAndWhatIsEmptyRemoved() {
        RunSheet sheet = sheet("title: T\npromise: 10 min\n");
        Field promise = HeaderSentence.field(sheet, "promise");
        assertThat(HeaderSentence.typed(promise, "soon")).isEmpty();
        assertThat(HeaderSentence.typed(promise, " ")).contains("");
        assertThat(HeaderSentence.set(sheet, promise, "").apply(sheet.text())).isEqualTo("title: T\n");
        Field bpm = HeaderSentence.field(sheet, "bpm");
        assertThat(HeaderSentence.set(sheet, bpm, "").changes()).isEmpty();
    }

    @ParameterizedTest
    @EnumSource(BlockKind.class)
    void everyNewBlockCanBeReadAndIsExplained(BlockKind kind) {
        assertThat(sheet(NewBlock.head(kind) + "\n").errors()).isEmpty();
        assertThat(NewBlock.explained(kind)).isNotBlank();
        assertThat(NewBlock.label(kind)).isNotBlank();
        String move = NewBlock.move(kind, LIBRARY.find("side lunge").orElseThrow(), "side lunge", "", false);
        assertThat(sheet(NewBlock.head(kind) + "\n  " + move + "\n").errors()).isEmpty();
    }

    @Test
    void everyFurtherWordOfABlockCanBeRead() {
        NewBlock.further()
                .forEach((attribute, first) ->
                        assertThat(attribute.read(first)).as(attribute.word()).isPresent());
        assertThat(NewBlock.restActivities()).hasSize(4);
    }

    @Test
    void wordingsComeFromTheMoveItsLikesAndAnywhere() {
        assertThat(CueWordings.of(List.of(LIBRARY.find("goblet squat").orElseThrow()), CueKind.EASIER, LIBRARY, 3))
                .hasSize(3)
                .first()
                .isEqualTo("Sit to a chair and stand.");
        assertThat(CueWordings.of(List.of(), CueKind.HARDER, LIBRARY, 3)).hasSize(3);
        assertThat(CueWordings.of(List.of(), CueKind.CAUTION, LIBRARY, 3)).hasSize(1);
    }

    @Test
    void findingsLieInThreePiles() {
        assertThat(FindingPile.of(Finding.of("plan.promise-length", Finding.Severity.STOP, "")))
                .isEqualTo(FindingPile.PROMISE);
        assertThat(FindingPile.of(Finding.of("plan.change-over", Finding.Severity.FIX, "")))
                .isEqualTo(FindingPile.TRIPS);
        assertThat(FindingPile.of(Finding.of("plan.overlap", Finding.Severity.NOTE, "")))
                .isEqualTo(FindingPile.TASTE);
        assertThat(FindingPile.TASTE.label()).isEqualTo("Matters of taste");
    }

    @Test
    void countsAreBeads() {
        assertThat(Bead.of("(2-2, pulse 3) x4, halves 2"))
                .extracting(Bead::shape)
                .containsExactly(
                        Bead.Shape.OPEN,
                        Bead.Shape.REP,
                        Bead.Shape.PULSE,
                        Bead.Shape.PULSE,
                        Bead.Shape.PULSE,
                        Bead.Shape.CLOSE,
                        Bead.Shape.HALF,
                        Bead.Shape.HALF);
    }
}
