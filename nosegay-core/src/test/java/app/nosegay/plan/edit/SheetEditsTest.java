package app.nosegay.plan.edit;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.sheet.SheetText;
import app.nosegay.time.Length;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Edits of the text that leave everything else as it is. */
class SheetEditsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final String SHEET =
            "title: T\n\ntalk Hi  0:20   # welcome\n  caution: Slowly.\n\ncircuit A  rounds 2  work 0:40 "
                    + " rest 0:20\n  squat  tempo 3-0-1  # deep\n    form: Tall.\n  push-up\n  rest 0:30\n  plank "
                    + "| hold 0:30\n\ncool-down  each 0:20\n  calf stretch  sides separate\n";

    private static RunSheet parse(String text) {
        return RunSheetParser.parse(text, LIBRARY);
    }

    @Test
    void anAttributeIsWrittenInPlaceOrBehindAndCommentsStay() {
        assertThat(SheetText.with("circuit A  work 0:40  rest 0:20  # note", Attribute.REST, "0:15"))
                .isEqualTo("circuit A  work 0:40  rest 0:15  # note");
        assertThat(SheetText.with("  squat  # deep", Attribute.SIDES, "halves"))
                .isEqualTo("  squat  sides halves  # deep");
        assertThat(SheetText.without("  squat  sides halves  tempo 2-0-1", Attribute.SIDES))
                .isEqualTo("  squat  tempo 2-0-1");
        assertThat(SheetText.withLength("talk Hi  0:20   # welcome", "0:35")).isEqualTo("talk Hi  0:35   # welcome");
        assertThat(SheetText.withLength("  rest 0:30", "0:45")).isEqualTo("  rest 0:45");
        assertThat(SheetText.withLength("rest 1:00  active march in place", "1:30"))
                .isEqualTo("rest 1:30  active march in place");
    }

    @Test
    void windowsLineEndsSurviveAnEdit() {
        String windows = SHEET.replace("\n", "\r\n");
        String after = SheetEdit.replace("x", 6, "circuit B  work 0:30").apply(windows);
        assertThat(after).contains("\r\ncircuit B  work 0:30\r\n").doesNotContain("\n\n");
        assertThat(after.replace("\r\n", "").indexOf('\n')).isNegative();
    }

    @Test
    void aMoveTakesItsCuesAlong() {
        SheetOrder order = new SheetOrder(parse(SHEET));
        SheetEdit edit = order.moved(7, false).orElseThrow();
        String after = edit.apply(SHEET);
        assertThat(after).contains("  push-up\n  squat  tempo 3-0-1  # deep\n    form: Tall.\n  rest 0:30");
        assertThat(order.lineAfter(7, false)).isEqualTo(8);
        assertThat(edit.name()).isEqualTo("move \"squat\" down");
    }

    @Test
    void aBlockMovesWhole() {
        String after = new SheetOrder(parse(SHEET)).moved(13, 6).orElseThrow().apply(SHEET);
        assertThat(parse(after).blocks()).extracting(RunSheet.Block::name).containsExactly("Hi", "cool-down", "A");
        assertThat(sorted(after)).isEqualTo(sorted(SHEET + "\n"));
    }

    private static List<String> sorted(String text) {
        return Arrays.stream(text.split("\n"))
                .filter(l -> !l.isBlank())
                .sorted()
                .toList();
    }

    @Property(tries = 200)
    void movingUpAndDownAgainGivesTheSameBlocks(@ForAll @IntRange(min = 1, max = 15) int line) {
        RunSheet sheet = parse(SHEET);
        SheetOrder order = new SheetOrder(sheet);
        order.moved(line, false).ifPresent(edit -> {
            String after = edit.apply(SHEET);
            assertThat(sorted(after)).isEqualTo(sorted(SHEET));
            int now = order.lineAfter(line, false);
            String back =
                    new SheetOrder(parse(after)).moved(now, true).orElseThrow().apply(after);
            assertThat(sorted(back)).isEqualTo(sorted(SHEET));
            assertThat(parse(back).blocks().stream()
                            .map(b -> b.name()
                                    + b.moves().stream().map(m -> m.name()).toList())
                            .toList())
                    .isEqualTo(sheet.blocks().stream()
                            .map(b -> b.name()
                                    + b.moves().stream().map(m -> m.name()).toList())
                            .toList());
        });
    }

    @Property(tries = 100)
    void betweenIsTheEditThatWasMade(
            @ForAll @IntRange(min = 1, max = 14) int line, @ForAll @IntRange(min = 0, max = 3) int removes) {
        String after = new SheetEdit(
                        "x", List.of(new SheetEdit.Change(line, removes, List.of("  new line", "  another"))))
                .apply(SHEET);
        assertThat(SheetEdit.between("y", SHEET, after).apply(SHEET)).isEqualTo(after);
    }

    @Test
    void everyStretchWithALengthOfItsOwnCanBeStretched() {
        Timeline timeline = SampleSheets.timeline(
                SHEET + "superset S  sets 2  reps 8  rest 0:30\n  squat\ncircuit D  work 0:40  rest 0:10  round-rest "
                        + "1:00  rounds 2  demo before\n  single-arm row  sides halves\nrest 1:00\n");
        int edited = 0;
        for (Segment s : timeline.segments()) {
            Length now = LengthEdit.segmentLength(timeline, s);
            var edit = LengthEdit.of(timeline, s, now.plus(Length.ofSeconds(5)));
            if (edit.isPresent()) {
                Timeline after =
                        SampleSheets.timeline(edit.get().apply(timeline.sheet().text()));
                Segment same = after.segment(s.id()).orElseThrow();
                assertThat(LengthEdit.segmentLength(after, same).minus(now).seconds())
                        .as(s.id())
                        .isEqualTo(5);
                edited++;
            } else {
                assertThat(s.reps()).as(s.id()).isNotNull();
            }
        }
        assertThat(edited).isGreaterThan(10);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = ';',
            value = {
                "- Squats 3x12; squat  sets 3  reps 12",
                "2. Plank 45 sec; plank  work 0:45",
                "* Lunges 10 each side; reverse lunge  reps 10 each-side  sides separate",
                "Push ups x 15; push-up  reps 15",
                "Goblet squat 3 x 8 @ 16kg; goblet squat  sets 3  reps 8  load 16kg",
                "3 sets of 10 press-ups; push-up  sets 3  reps 10",
                "• Side plank 30s each side; side plank  work 0:30  sides halves",
                "Kettlebell swing with heavy kettlebell 20 reps; kettlebell swing  reps 20  gear kettlebell heavy",
                "glute bridges 1:00; glute bridge  work 1:00",
                "Watering dance 12; watering dance  reps 12"
            })
    void notesBecomeMoves(String note, String line) {
        NotesReader reader = new NotesReader(withLunges());
        assertThat(reader.read(note, true).strip()).isEqualTo(line);
    }

    /** "Lunges" alone is no move of the library; the test gives it one, as a creator would. */
    private static MoveLibrary withLunges() {
        var lunge = LIBRARY.find("reverse lunge").orElseThrow();
        return LIBRARY.with(List.of(new app.nosegay.library.Move(
                lunge.name(),
                List.of("lunge"),
                lunge.pattern(),
                lunge.motion(),
                lunge.primary(),
                lunge.secondary(),
                lunge.position(),
                lunge.gear(),
                lunge.sided(),
                lunge.tempo(),
                lunge.startsDown(),
                lunge.view(),
                lunge.traits(),
                lunge.cues())));
    }

    @Test
    void aWholePageOfNotesBecomesAPlan() {
        String notes = "Warm up:\n- arm circles 30s\n- march in place 30s\nCircuit 3 rounds 40/20\n1. Squats\n2. "
                + "Push ups\n3. Plank 45 sec\nRest 1 min\nCool down\n- calf stretch 20s each leg\n";
        NotesReader reader = new NotesReader(LIBRARY);
        assertThat(reader.isNotes(notes)).isTrue();
        Timeline t = SampleSheets.timeline(reader.read(notes, false));
        assertThat(t.sheet().errors()).isEmpty();
        assertThat(t.segments())
                .extracting(Segment::move)
                .contains("arm circles", "squat", "push-up", "plank", "calf stretch");
        assertThat(t.segments().stream().filter(s -> "squat".equals(s.move())).count())
                .isEqualTo(3);
    }

    @Test
    void notationIsNotTakenForNotes() {
        assertThat(new NotesReader(LIBRARY).isNotes(SampleSheets.wheelbarrow())).isFalse();
        assertThat(new NotesReader(LIBRARY).isNotes("  squat  tempo 3-0-1\n  push-up  reps 12\n"))
                .isFalse();
    }

    private static List<String> proposed(String before) {
        return Completions.at(before, LIBRARY, false).stream()
                .map(Completions.Candidate::text)
                .toList();
    }

    @Test
    void completionKnowsBlocksMovesAliasesAttributesAndValues() {
        assertThat(proposed("cir")).contains("circuit");
        assertThat(proposed("prom")).contains("promise: ");
        assertThat(proposed("circiut")).containsExactly("circuit");
        assertThat(proposed("  gob")).contains("goblet squat");
        assertThat(proposed("  press-u")).contains("push-up");
        assertThat(proposed("  goblit squ")).contains("goblet squat");
        assertThat(proposed("  squat + over")).contains("overhead press");
        assertThat(proposed("  squat  te")).containsExactly("tempo");
        assertThat(proposed("  squat  temop")).containsExactly("tempo");
        assertThat(proposed("  lunge  sides ha")).containsExactly("halves");
        assertThat(proposed("  goblet squat  gear ")).contains("kettlebell");
        assertThat(proposed("sides-spoken: m")).containsExactly("mirrored");
        assertThat(proposed("audience: general, kn")).containsExactly("knee trouble");
        assertThat(proposed("  ")).isEmpty();
        assertThat(proposed("# cir")).isEmpty();
    }

    @Test
    void aTakenCompletionReplacesTheWordThatBegan() {
        Completions.Candidate c =
                Completions.at("  squat + over", LIBRARY, false).get(0);
        assertThat("  squat + over".substring(0, c.from()) + c.text()).isEqualTo("  squat + " + c.text());
    }
}
