package app.nosegay.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.RandomSheets;
import app.nosegay.plan.edit.PieceEdits;
import app.nosegay.plan.edit.SheetPieces;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Example;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Gestures on the bed write what a person would have typed, and nothing else. */
class BedEditsTest {
    private static final String SHEET = """
            title: T
            circuit Ring  rounds 2  work 0:40  rest 0:20  # mine
              squat
                form: Chest tall.
              lunge  sides halves

            rest 1:00

            superset Pair  sets 2  reps 12  rest 0:45
              curl  gear dumbbell pair light
              push-up
            """;

    private static RunSheet sheet(String text) {
        return RunSheetParser.parse(text, MoveLibrary.shipped());
    }

    private static PieceEdits pieceEdits(String text) {
        return new PieceEdits(sheet(text));
    }

    private static BedEdits edits(String text) {
        return new BedEdits(sheet(text));
    }

    private static String line(String text, int line) {
        return text.split("\n", -1)[line - 1];
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2 | rounds | 2 | 3 | circuit Ring  rounds 3  work 0:40  rest 0:20  # mine",
                "2 | rounds | 2 | 1 | circuit Ring  work 0:40  rest 0:20  # mine",
                "2 | rest | 0:20 | 0:15 | circuit Ring  rounds 2  work 0:40  rest 0:15  # mine",
                "2 | rest | 0:20 | 0:00 | circuit Ring  rounds 2  work 0:40  # mine",
                "2 | ends | work 0:40 | reps 12 | circuit Ring  rounds 2  rest 0:20  reps 12  # mine",
                "2 | name | Ring | Wheel | circuit Wheel  rounds 2  work 0:40  rest 0:20  # mine",
                "2 | demo | '' | before | circuit Ring  rounds 2  work 0:40  rest 0:20  demo before  # mine",
                "3 | ends | work 0:40 | work 0:30 | '  squat  work 0:30'",
                "3 | ends | work 0:30 | work 0:40 | '  squat'",
                "3 | name | squat | goblet squat | '  goblet squat'",
                "5 | sides | halves | separate | '  lunge  sides separate'",
                "5 | sides | halves | none | '  lunge'",
                "7 | length | 1:00 | 0:45 | rest 0:45"
            })
    void aValueIsWrittenWhereAPersonWouldWriteIt(int line, String word, String now, String next, String expected) {
        String after = edits(SHEET).set(line, Field.of(word, now), next).apply(SHEET);
        assertThat(line(after, line)).isEqualTo(expected);
        assertThat(after.split("\n", -1)).hasSameSizeAs(SHEET.split("\n", -1));
    }

    @Test
    void editsHaveNames() {
        assertThat(edits(SHEET).set(2, Field.of("rest", "0:20"), "0:15").name())
                .isEqualTo("rest 0:20 rest → 0:15 rest");
        assertThat(pieceEdits(SHEET).remove(List.of(3)).name()).isEqualTo("remove squat");
        assertThat(pieceEdits(SHEET).addMove(2, 1, "plank  hold 0:30").name()).isEqualTo("add plank");
    }

    @Test
    void movesAreAddedWhereTheyAreWanted() {
        assertThat(line(pieceEdits(SHEET).addMove(2, 0, "plank").apply(SHEET), 3))
                .isEqualTo("  plank");
        assertThat(line(pieceEdits(SHEET).addMove(2, 1, "plank").apply(SHEET), 5))
                .isEqualTo("  plank");
        String last = pieceEdits(SHEET).addMove(2, 2, "plank").apply(SHEET);
        assertThat(line(last, 6)).isEqualTo("  plank");
        assertThat(line(last, 7)).isEmpty();
        String block = pieceEdits(SHEET)
                .addBlock(2, List.of("amrap  work 1:00", "  plank"))
                .apply(SHEET);
        assertThat(block).contains("  lunge  sides halves\n\namrap  work 1:00\n  plank\n\nrest 1:00");
        assertThat(pieceEdits("").addBlock(0, List.of("rest 1:00")).apply("")).isEqualTo("rest 1:00\n");
        assertThat(pieceEdits("title: T").addBlock(0, List.of("rest 1:00")).apply("title: T"))
                .isEqualTo("title: T\n\nrest 1:00");
    }

    @Test
    void aPieceTakesAlongWhatBelongsToIt() {
        assertThat(pieceEdits(SHEET).remove(List.of(3)).apply(SHEET)).doesNotContain("squat", "Chest tall");
        String carried = pieceEdits(SHEET).carry(3, 9, 1).orElseThrow().apply(SHEET);
        assertThat(carried)
                .contains("curl  gear dumbbell pair light\n  squat\n    form: Chest tall.\n  push-up")
                .startsWith("title: T\ncircuit Ring  rounds 2  work 0:40  rest 0:20  # mine\n  lunge");
        assertThat(pieceEdits(SHEET).carry(3, 2, 0)).isEmpty();
        assertThat(pieceEdits(SHEET).carry(3, 2, 1)).isEmpty();
        assertThat(pieceEdits(SHEET).duplicate(3).apply(SHEET))
                .contains("  squat\n    form: Chest tall.\n  squat\n    form: Chest tall.\n  lunge");
        assertThat(pieceEdits(SHEET).duplicate(9).apply(SHEET).split("superset Pair", -1))
                .hasSize(3);
        assertThat(pieceEdits(SHEET).remove(List.of(2, 3, 9)).apply(SHEET)).isEqualTo("title: T\nrest 1:00\n");
    }

    @Test
    void twoMovesBecomeOneThing() {
        assertThat(pieceEdits(SHEET)
                        .join(3, 5, PieceEdits.Join.ONE_REP)
                        .orElseThrow()
                        .apply(SHEET))
                .contains("  lunge + squat  sides halves\n    form: Chest tall.\n");
        String both = pieceEdits(SHEET)
                .join(11, 10, PieceEdits.Join.BUILD)
                .orElseThrow()
                .apply(SHEET);
        assertThat(both).contains("build Pair  work 0:40  rest 0:45\n  curl + push-up  gear dumbbell pair light\n");
        assertThat(both).doesNotContain("superset");
        String pair = pieceEdits(SHEET)
                .join(5, 3, PieceEdits.Join.SUPERSET)
                .orElseThrow()
                .apply(SHEET);
        assertThat(pair).contains("superset Ring  sets 2  reps 10  rest 0:45\n  squat\n    form: Chest tall.\n  lunge");
        String across = pieceEdits(SHEET)
                .join(11, 3, PieceEdits.Join.SUPERSET)
                .orElseThrow()
                .apply(SHEET);
        assertThat(sheet(across).errors()).isEmpty();
        assertThat(sheet(across).blocks()).hasSize(4);
        assertThat(pieceEdits(SHEET).join(3, 3, PieceEdits.Join.ONE_REP)).isEmpty();
        assertThat(pieceEdits(SHEET).join(7, 3, PieceEdits.Join.ONE_REP)).isEmpty();
    }

    @Test
    void oneRoundOrLevelIsChangedBelowTheMove() {
        String second = edits(SHEET)
                .inRound(3, 2, Field.of(Field.ENDS, "work 0:40"), "work 0:50")
                .apply(SHEET);
        assertThat(line(second, 5)).isEqualTo("    round 2: work 0:50");
        String more = edits(second)
                .inRound(3, 2, new Field(Field.NAME, "squat", "squat"), "squat jump")
                .apply(second);
        assertThat(line(more, 5)).isEqualTo("    round 2: squat jump  work 0:50");
        String less = edits(more)
                .inRound(3, 2, Field.of(Field.ENDS, "work 0:50"), "reps 8")
                .apply(more);
        assertThat(line(less, 5)).isEqualTo("    round 2: squat jump  reps 8");
        String set = edits(SHEET).inRound(10, 2, Field.of("tempo", ""), "3-1-1").apply(SHEET);
        assertThat(line(set, 11)).isEqualTo("    set 2: tempo 3-1-1");
        assertThat(line(edits(SHEET).cue(3, CueKind.EASIER, "Sit to a chair.").apply(SHEET), 5))
                .isEqualTo("    easier: Sit to a chair.");
        String level = edits(SHEET).level(3, "Oak", "squat jump").apply(SHEET);
        assertThat(line(level, 5)).isEqualTo("    level Oak: squat jump");
        assertThat(edits(level).level(3, "Oak", "").apply(level)).isEqualTo(SHEET);
    }

    @Test
    void linesAreCopiedAsNotation() {
        List<String> move = new SheetPieces(sheet(SHEET)).piece(3);
        assertThat(move).containsExactly("  squat", "    form: Chest tall.");
        assertThat(pieceEdits(SHEET).paste(10, move).apply(SHEET))
                .contains("  curl  gear dumbbell pair light\n  squat\n    form: Chest tall.\n  push-up");
        assertThat(pieceEdits(SHEET).paste(2, move).apply(SHEET)).contains("  lunge  sides halves\n  squat\n");
        List<String> block = new SheetPieces(sheet(SHEET)).piece(9);
        assertThat(sheet(pieceEdits("").paste(0, block).apply("")).blocks()).hasSize(1);
        assertThat(sheet(pieceEdits("").paste(0, move).apply(""))
                        .blocks()
                        .get(0)
                        .moves())
                .hasSize(1);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rest | 0:20 | 1 | 0:25",
                "rest | 0:17 | 1 | 0:20",
                "rest | 0:17 | -1 | 0:15",
                "rest | 0:05 | -1 | 0:00",
                "rest | 1:00-2:00 | 1 | 1:05-2:05",
                "rest | as-needed ~0:40 | 1 | as-needed ~0:45",
                "ends | work 0:40 | -1 | work 0:35",
                "ends | work 0:05 | -1 | work 0:05",
                "ends | reps 12 each-side | 1 | reps 13 each-side",
                "ends | reps 10,8,6 | 1 | reps 11,9,7",
                "rounds | 3 | -1 | 2",
                "rounds | 1 | -1 | 1",
                "bpm | 120 | 1 | 122",
                "sides | halves | 1 | separate",
                "tempo | 3-0-1 | 1 | 3-1-1"
            })
    void aStepIsOneOnItsGrid(String word, String written, int by, String expected) {
        assertThat(FieldValues.stepped(Field.of(word, written), by)).contains(expected);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rest | 40 | 0:40",
                "rest | none | 0:00",
                "rest | 1 min | 1:00",
                "rest | 1:00–2:00 | 1:00-2:00",
                "rest | as needed, about 0:45 | as-needed ~0:45",
                "ends | 12 reps each side | reps 12 each-side",
                "ends | 45 | work 0:45",
                "ends | half a minute | work 0:30",
                "ends | hold 0:20 | hold 0:20",
                "ends | 8–12 reps | reps 8-12",
                "rounds | 3 rounds | 3",
                "sides | switch sides half-way | halves",
                "demo | before the clock starts | before",
                "tempo | 3-1-1 | 3-1-1",
                "name | Ground # Work | Ground Work"
            })
    void whatIsTypedIsUnderstood(String word, String typed, String expected) {
        assertThat(FieldValues.typed(Field.of(word, ""), typed, BlockKind.CIRCUIT))
                .contains(expected);
    }

    @Test
    void whatCannotBeReadChangesNothing() {
        assertThat(FieldValues.typed(Field.of("rest", "0:20"), "soon", BlockKind.CIRCUIT))
                .isEmpty();
        assertThat(FieldValues.typed(Field.of("rounds", "2"), "many", BlockKind.CIRCUIT))
                .isEmpty();
        assertThat(FieldValues.typed(Field.of("tempo", "2-0-1"), "slow", BlockKind.CIRCUIT))
                .isEmpty();
    }

    @Provide
    Arbitrary<String> sheets() {
        return RandomSheets.sheets();
    }

    /** Every choice and every step of every field of every sheet can be read, touches one line, and goes back to what was written. */
    @Property(tries = 60)
    void everyValueCanBeChangedAndReadAgain(
            @ForAll("sheets") String text, @ForAll @IntRange(min = -3, max = 3) int by) {
        int errors = sheet(text).errors().size();
        for (BedRow row : BedTest.rows(text)) {
            for (Part part : row.block().sentence()) {
                if (part instanceof Part.Value value && !value.field().word().equals(Field.NAME)) {
                    Optional<String> next = FieldValues.stepped(value.field(), by);
                    next.ifPresent(v -> changes(text, errors, row.line(), value.field(), v));
                    FieldValues.ofBlock(value.field(), row.block().kind())
                            .forEach(c -> changes(text, errors, row.line(), value.field(), c.written()));
                }
            }
        }
    }

    private static void changes(String text, int errors, int line, Field field, String written) {
        String after = edits(text).set(line, field, written).apply(text);
        assertThat(sheet(after).errors()).as(after).hasSize(errors);
        String[] before = text.split("\n", -1);
        String[] now = after.split("\n", -1);
        assertThat(now).hasSameSizeAs(before);
        for (int i = 0; i < now.length; i++) {
            assertThat(i == line - 1 || now[i].equals(before[i])).as(after).isTrue();
        }
        List<String> shown = BedTest.rows(after).stream()
                .filter(r -> r.line() == line)
                .flatMap(r -> r.block().sentence().stream())
                .flatMap(p -> p instanceof Part.Value v && v.field().word().equals(field.word())
                        ? Stream.of(v.field().shown())
                        : Stream.of())
                .toList();
        // What is at its default again may no longer be said.
        boolean shownAgain = shown.isEmpty() || shown.contains(PlainWords.shown(field.word(), written));
        assertThat(shownAgain).as(field + " → " + written + "\n" + after).isTrue();
    }

    /** The gap a rest is drawn as has, after a change, the length it was given. */
    @Property(tries = 60)
    void aGapHasTheLengthItWasGiven(@ForAll("sheets") String text, @ForAll @IntRange(min = 1, max = 20) int fives) {
        Length wanted = Length.ofSeconds(5.0 * fives);
        for (BedRow row : BedTest.rows(text)) {
            List<BedItem> items = row.block().items();
            for (int i = 0; i < items.size(); i++) {
                if (items.get(i) instanceof Gap gap && gap.isAdjustable()) {
                    String after = new BedEdits(sheet(text))
                            .rest(row, gap, wanted)
                            .orElseThrow()
                            .apply(text);
                    BedRow now = BedTest.rows(after).stream()
                            .filter(r -> r.line() == row.line())
                            .findFirst()
                            .orElseThrow();
                    assertThat(now.block().items().get(i).length()).as(after).isEqualTo(wanted);
                }
            }
        }
    }

    /** Carrying a piece there and back gives the first text. */
    @Property(tries = 60)
    void carriedThereAndBackIsAsBefore(@ForAll("sheets") String text) {
        RunSheet sheet = sheet(text);
        List<RunSheet.Block> full =
                sheet.blocks().stream().filter(b -> !b.moves().isEmpty()).toList();
        if (full.size() < 2) {
            return;
        }
        RunSheet.Block from = full.get(0);
        RunSheet.Block to = full.get(1);
        int last = from.items().size() - 1;
        int line = ((RunSheet.MoveLine) from.items().get(last)).line();
        String there =
                new PieceEdits(sheet).carry(line, to.line(), 0).orElseThrow().apply(text);
        RunSheet after = sheet(there);
        int begun = after.blocks().get(sheet.blocks().indexOf(to)).line();
        RunSheet.Item first =
                after.blocks().get(sheet.blocks().indexOf(to)).items().get(0);
        assertThat(((RunSheet.MoveLine) first).line()).isEqualTo(begun + 1);
        String back = new PieceEdits(after)
                .carry(begun + 1, from.line(), last)
                .orElseThrow()
                .apply(there);
        assertThat(back).isEqualTo(text);
    }

    @Example
    void severalMovesAreChangedTogether() {
        String after =
                edits(SHEET).set(List.of(3, 5), Field.of("tempo", ""), "3-0-1").apply(SHEET);
        assertThat(line(after, 3)).isEqualTo("  squat  tempo 3-0-1");
        assertThat(line(after, 5)).isEqualTo("  lunge  sides halves  tempo 3-0-1");
        assertThat(BedTest.rows(after).get(0).block().items()).hasSize(4);
    }
}
