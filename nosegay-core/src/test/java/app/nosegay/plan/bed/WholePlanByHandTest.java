package app.nosegay.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.edit.PieceEdits;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.plan.terms.BlockKind;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;

/** The example of twenty-six minutes made gesture by gesture, as the bed makes it: every edit is one gesture. */
class WholePlanByHandTest {
    private static final int MOST_GESTURES = 70;
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private String text = "";
    private int gestures;

    private RunSheet sheet() {
        return RunSheetParser.parse(text, LIBRARY);
    }

    private PieceEdits pieceEdits() {
        return new PieceEdits(sheet());
    }

    private BedEdits edits() {
        return new BedEdits(sheet());
    }

    private void edit(SheetEdit edit) {
        text = edit.apply(text);
        gestures++;
    }

    /** The line that begins with {@code words}. */
    private int at(String words) {
        List<String> lines = text.lines().toList();
        for (int i = lines.size(); i > 0; i--) {
            if (lines.get(i - 1).strip().startsWith(words)) {
                return i;
            }
        }
        throw new AssertionError(words + " is not in " + text);
    }

    private void header(String word, String written) {
        edit(HeaderSentence.set(sheet(), HeaderSentence.field(sheet(), word), written));
    }

    private void block(BlockKind kind) {
        edit(pieceEdits()
                .addBlock(sheet().blocks().isEmpty() ? 0 : (int) text.lines().count(), List.of(NewBlock.head(kind))));
    }

    private void set(String line, String word, String now, String written) {
        edit(edits().set(at(line), Field.of(word, now), written));
    }

    /** What is typed into "What do we do?". */
    private void add(String words) {
        NotesReader.Note note = new NotesReader(LIBRARY).note(words);
        var block = sheet().blocks().get(sheet().blocks().size() - 1);
        String line = (note.name().contains("+") ? Optional.<Move>empty() : LIBRARY.find(note.name()))
                .map(m -> NewBlock.move(block.kind(), m, note.name(), note.attributes(), false))
                .orElse(note.name() + note.attributes());
        edit(pieceEdits().addMove(block.line(), Integer.MAX_VALUE, line));
    }

    private void cue(String line, CueKind kind, String words) {
        edit(edits().cue(at(line), kind, words));
    }

    @Test
    void aPlanOfTwentySixMinutesTakesAtMostSeventyGestures() throws IOException {
        header("title", "Wheelbarrow Legs and Back");
        header("promise", "26 min, 11 moves");
        header("audience", "general, beginner");
        header("gear", "kettlebell medium, loop band light, bench or low wall");
        header("levels", "Seedling easier left, Sapling main centre, Oak harder right");
        header("calls", "half, 10, 5, in 3, out 3");
        header("sides-spoken", "mirrored");
        block(BlockKind.TALK);
        set("talk", Field.NAME, "", "Welcome");
        set("talk", Field.LENGTH, "0:30", "0:40");
        cue("talk", CueKind.CAUTION, "Check with your doctor first if you are unsure.");
        block(BlockKind.WARM_UP);
        add("march in place");
        add("hip hinge drill");
        block(BlockKind.CIRCUIT);
        set("circuit", Field.NAME, "", "Ground Work");
        add("goblet squat kettlebell medium 3-1-1");
        cue("goblet squat", CueKind.FORM, "Chest tall, weight through the whole foot.");
        cue("goblet squat", CueKind.EASIER, "Sit to the bench and stand.");
        cue("goblet squat", CueKind.HARDER, "Pause two counts at the bottom.");
        add("single-arm row kettlebell medium");
        add("reverse lunge alternating sides");
        edit(edits().level(at("reverse lunge"), "Oak", "deep split squat  sides alternate"));
        add("band pull-apart loop band light");
        block(BlockKind.REST);
        set("rest", "active", "", "march in place");
        block(BlockKind.SUPERSET);
        set("superset", Field.NAME, "", "Carry and Press");
        set("superset", Field.ENDS, "reps 10", "reps 12");
        add("kettlebell deadlift 2-0-1");
        add("push-up 2-1-1");
        block(BlockKind.AMRAP);
        set("amrap", Field.NAME, "", "Finisher");
        set("amrap", Field.ENDS, "for 8:00", "work 1:00");
        add("suitcase march a full set each side");
        block(BlockKind.PHRASE);
        set("phrase", Field.NAME, "", "Slow Burn");
        set("phrase", "rest", "0:20", "0:00");
        add("split squat");
        set("split squat", "counts", "2-2 x8", "2-2 x4, 1-3 x4, hold 4, pulse 8");
        block(BlockKind.BUILD);
        set("build", Field.NAME, "", "Together");
        add("side lunge + curl");
        block(BlockKind.EVERY_MINUTE);
        set("every-minute", Field.NAME, "", "Top-up");
        add("push press 2-0-1");
        block(BlockKind.COOL_DOWN);
        add("calf stretch");
        add("chest opener");
        block(BlockKind.TALK);
        set("talk", Field.NAME, "", "Goodbye");

        String example = new String(
                WholePlanByHandTest.class
                        .getResourceAsStream("/wheelbarrow.runsheet")
                        .readAllBytes(),
                StandardCharsets.UTF_8);
        // Teaching in the rest is what goes without saying.
        assertThat(lines(text)).isEqualTo(lines(example.replace("  demo in-rest", "")));
        assertThat(gestures).isLessThanOrEqualTo(MOST_GESTURES);
    }

    /** The lines with their attributes in no order, for an order is no meaning. */
    private static List<String> lines(String sheet) {
        return sheet.lines()
                .filter(l -> !l.isBlank())
                .map(l -> l.replaceAll("\\S.*", "")
                        + new TreeSet<>(Arrays.asList(l.strip().split(" {2,}"))))
                .toList();
    }
}
