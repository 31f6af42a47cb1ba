package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.script.ScriptLine;
import java.util.List;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextArea;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.MouseButton;
import org.junit.jupiter.api.Test;
import org.testfx.util.WaitForAsyncUtils;

/** The script in the real window: its lines, the voice, the read-through. */
class ScriptWindowTest extends DrivenPlan {

    @Test
    void aScriptLineIsRewrittenMovedFreedAndLeftOut() throws Exception {
        plan(PLAN);
        clickOn("#stage-script");
        ListView<Segment> windows = lookup("#windows").query();
        until(() -> !windows.getItems().isEmpty());
        interact(() -> windows.getSelectionModel().select(1));
        until(() -> lookup("#script-title").queryAs(Label.class).getText().startsWith("Squat"));
        Node ruler = lookup("#ruler").query();
        interact(ruler::requestFocus);
        until(() -> !lookup("#script-text").query().isDisabled());
        String id = windows.getItems().get(1).id();
        ScriptLine line = programme().cues().of(id).stream()
                .filter(l -> !l.isCall())
                .findFirst()
                .orElseThrow();
        push(KeyCode.RIGHT);
        until(() -> programme().cues().of(id).stream().anyMatch(ScriptLine::fixed));
        assertThat(programme().cues().of(id))
                .filteredOn(ScriptLine::fixed)
                .singleElement()
                .satisfies(l -> assertThat(l.of()).isEqualTo(line.of()));
        clickOn("#script-text");
        push(KeyCode.CONTROL, KeyCode.A).write("Own words here.").push(KeyCode.ENTER);
        until(() -> programme().cues().of(id).stream().anyMatch(l -> l.text().equals("Own words here.")));
        clickOn("#script-free");
        until(() -> programme().cues().of(id).stream().noneMatch(ScriptLine::fixed));
        clickOn("#script-drop");
        until(() -> programme().cues().of(id).stream().noneMatch(l -> l.of().equals(line.of())));
        clickOn("#script-back");
        until(() -> programme().cues().of(id).stream().anyMatch(l -> l.text().equals(line.text())));
        clickOn("#script-add");
        until(() -> programme().cues().of(id).stream().anyMatch(l -> l.text().equals("New line")));
    }

    @Test
    void theVoiceAndWhatIsNeverSaidAreKeptAndUndone() throws Exception {
        plan(PLAN.replace("  squat\n", "  squat\n    form: Melt the fat and smash it.\n"));
        clickOn("#stage-script");
        clickOn("#script-tab-voice-and-words");
        TextField atRest = lookup("#rate-rest").query();
        interact(() -> {
            atRest.requestFocus();
            atRest.setText("3,9");
        });
        push(KeyCode.ENTER);
        until(() -> shell.session().workout().script().rate().atRest() == 3.9);
        interact(() -> {
            atRest.requestFocus();
            atRest.setText("fast");
        });
        push(KeyCode.ENTER);
        until(() -> atRest.getText().startsWith("3.9"));
        assertThat(shell.session().workout().script().rate().atRest()).isEqualTo(3.9);
        TextArea avoid = lookup("#avoid").query();
        interact(() -> {
            avoid.requestFocus();
            avoid.setText("smash it\n\n  killer  ");
            atRest.requestFocus();
        });
        until(() -> shell.session().workout().script().avoid().equals(List.of("smash it", "killer")));
        until(() ->
                programme().scriptFindings().stream().anyMatch(f -> f.message().contains("smash it")));
        TextArea sources = lookup("#sources").query();
        interact(() -> {
            sources.requestFocus();
            sources.setText("melt the fat | Journal of Made-up Trials | 2024");
            atRest.requestFocus();
        });
        until(() -> shell.session().workout().script().sources().size() == 1);
        assertThat(shell.session().workout().script().sources().get(0).date()).isEqualTo("2024");
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> shell.session().workout().script().sources().isEmpty());
        until(() -> sources.getText().isEmpty());
        // What was typed and not kept yet is undone in the field alone.
        clickOn("#rate-working").write("7");
        String name = shell.session().undoName().orElse("");
        push(KeyCode.CONTROL, KeyCode.Z);
        assertThat(shell.session().undoName()).contains(name);
    }

    @Test
    void ownPhrasesAreSaidByTheScript() throws Exception {
        plan(PLAN);
        clickOn("#stage-script");
        clickOn("#script-tab-voice-and-words");
        TextField rest = lookup("#style-rest").query();
        TextArea cheers = lookup("#style-cheers").query();
        interact(() -> {
            rest.requestFocus();
            rest.setText("And relax.");
        });
        push(KeyCode.ENTER);
        until(() -> programme().cues().lines().stream().anyMatch(l -> l.text().equals("And relax.")));
        interact(() -> {
            cheers.requestFocus();
            cheers.setText("Lovely.\n\nYou are doing it.");
            rest.requestFocus();
        });
        until(() ->
                shell.session().workout().script().style().cheers().equals(List.of("Lovely.", "You are doing it.")));
        clickOn("#style-sides");
        until(() -> !shell.session().workout().script().style().namesSides());
        interact(() -> rest.setText(""));
        push(KeyCode.ENTER);
        until(() -> programme().cues().lines().stream().anyMatch(l -> l.text().equals("And rest.")));
    }

    @Test
    void aLineIsDraggedAlongTheRuler() throws Exception {
        plan(PLAN);
        clickOn("#stage-script");
        ListView<Segment> windows = lookup("#windows").query();
        until(() -> !windows.getItems().isEmpty());
        interact(() -> windows.getSelectionModel().select(1));
        Node ruler = lookup("#ruler").query();
        until(() -> ruler.getBoundsInLocal().getWidth() > 300);
        Bounds b = ruler.localToScreen(ruler.getBoundsInLocal());
        List<ScriptLine> lines = programme().cues().of(windows.getItems().get(1).id());
        int index = 0;
        while (lines.get(index).isCall()) {
            index++;
        }
        double y = b.getMinY() + 30 + 30 * index + 8;
        moveTo(b.getMinX() + 200, y)
                .press(MouseButton.PRIMARY)
                .moveBy(40, 0)
                .moveBy(40, 0)
                .release(MouseButton.PRIMARY);
        until(() -> programme().cues().lines().stream().anyMatch(ScriptLine::fixed));
        assertThat(shell.session().undoName().orElse("")).startsWith("move a line to");
    }

    @Test
    void theReadThroughRunsInTimeAndStops() throws Exception {
        plan("talk Hi  0:03\ntalk More  0:40\n");
        clickOn("#stage-script");
        ListView<Segment> windows = lookup("#windows").query();
        until(() -> windows.getItems().size() == 2);
        clickOn("#read-through");
        until(() -> lookup("#read-through").queryAs(Button.class).getText().startsWith("Stop"));
        until(() -> windows.getSelectionModel().getSelectedIndex() == 1);
        clickOn("#read-through");
        until(() -> lookup("#read-through").queryAs(Button.class).getText().startsWith("Read"));
    }

    @Test
    void theClosingIsWrittenInFieldsFromTheChecklist() throws Exception {
        plan(PLAN);
        clickOn("#stage-script");
        clickOn("#script-tab-opening-and-closing");
        clickOn("#write-closing");
        until(() -> sheet().contains("{moves}, {minutes}"));
        until(() -> programme().cues().lines().stream().anyMatch(l -> l.kind() == CueKind.ASK));
        assertThat(sheet()).contains("talk Bye  0:20\n  cheer: That was {title}: {moves}, {minutes}. Thank you.");
    }

    /** A click in the strip over the whole workout chooses a part; W says its line otherwise, and in the end as before. */
    @Test
    void thePartsOfTheScriptAreChosenInTheStripAndLinesGetOtherWords() throws Exception {
        plan(
                "title: Long\ntalk Hi  0:10\ncircuit A  work 0:40  rest 0:20\n  reverse lunge\n  push-up\ntalk Bye  0:10\n");
        clickOn("#stage-script");
        Node heat = lookup("#script-heat").query();
        until(() -> heat.getBoundsInLocal().getWidth() > 100);
        var bounds = heat.localToScreen(heat.getBoundsInLocal());
        clickOn(bounds.getMinX() + bounds.getWidth() * 0.25, bounds.getCenterY());
        until(() -> text("#script-title").startsWith("Reverse lunge"));
        assertThat(text("#script-whole")).startsWith("The whole workout");
        // Not every line has other words; an option has.
        for (int i = 0; i < 9 && lookup("#script-other").query().isDisabled(); i++) {
            push(KeyCode.DOWN);
        }
        assertThat(lookup("#script-other").query().isDisabled()).isFalse();
        String said = lookup("#script-text").queryAs(TextField.class).getText();
        push(KeyCode.W);
        until(() -> !lookup("#script-text").queryAs(TextField.class).getText().equals(said));
        assertThat(shell.session().workout().script().lines()).hasSize(1);
        for (int i = 0; i < 12 && !shell.session().workout().script().lines().isEmpty(); i++) {
            push(KeyCode.W);
            WaitForAsyncUtils.waitForFxEvents();
        }
        until(() -> lookup("#script-text").queryAs(TextField.class).getText().equals(said));
    }
}
