package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.plan.RunSheetEditor;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WriteLock;
import app.nosegay.logbook.Logbook;
import app.nosegay.media.Progress;
import app.nosegay.shoot.ShootLog;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ComboBox;
import javafx.scene.control.Label;
import javafx.scene.input.KeyCode;
import javafx.scene.layout.Region;
import javafx.stage.Window;
import org.junit.jupiter.api.Test;

/** The real window, driven by clicks and keys: files, keys, Plan, Shoot and Logbook. */
class WindowTest extends DrivenWindow {
    @Test
    void typingAPlanShowsItsPromiseAndUndoTakesItBack() throws Exception {
        clickOn("#run-sheet");
        write("promise: 1 min").push(KeyCode.ENTER).write("talk Hi  1:10");
        until(() -> text("#promise").contains("is kept: the workout lasts 1:10"));
        type(KeyCode.BACK_SPACE, 4);
        write("9:00");
        until(() -> text("#promise").contains("is broken") && text("#promise").contains("8:00 longer"));
        assertThat(lookup("#undo").queryAs(Button.class).getText()).startsWith("Undo: edit line 2");
        // On a busy machine typing pauses, and every pause is a step of its own.
        for (int steps = 0; steps < 40 && shell.session().undoName().isPresent(); steps++) {
            clickOn("#undo");
        }
        until(() -> lookup("#run-sheet").queryAs(RunSheetEditor.class).getText().isEmpty());
        clickOn("#redo");
        until(() ->
                !lookup("#run-sheet").queryAs(RunSheetEditor.class).getText().isEmpty());
    }

    @Test
    void anErrorIsMendedWithOneKey() throws Exception {
        clickOn("#run-sheet");
        write("circut Legs  work 0:40");
        until(() -> !programme().timeline().sheet().errors().isEmpty());
        push(KeyCode.CONTROL, KeyCode.PERIOD);
        until(() -> programme().timeline().sheet().errors().isEmpty());
        assertThat(shell.session().workout().sheet()).isEqualTo("circuit Legs  work 0:40");
    }

    @Test
    void numbersStepUnderTheCursor() throws Exception {
        clickOn("#run-sheet");
        write("talk Hi  0:40");
        push(KeyCode.ALT, KeyCode.UP);
        until(() -> shell.session().workout().sheet().equals("talk Hi  0:45"));
        push(KeyCode.ALT, KeyCode.DOWN).push(KeyCode.ALT, KeyCode.DOWN);
        until(() -> shell.session().workout().sheet().equals("talk Hi  0:35"));
    }

    @Test
    void aLessonIsWrittenDownAndShownBeforeTheNextShoot() throws Exception {
        openWithTake();
        clickOn("#stage-logbook");
        clickOn("#entry-text");
        write("Shoes are loud");
        push(KeyCode.ENTER);
        until(() -> LogbookFile.read().of(Logbook.Kind.LESSON).stream()
                .anyMatch(e -> e.text().equals("Shoes are loud")));
        clickOn("#stage-shoot");
        until(() -> lookup(".check-box").queryAllAs(CheckBox.class).stream()
                .anyMatch(c -> c.getText().equals("Shoes are loud")));
    }

    @Test
    void aFileThatIsNoRecordingIsRefusedWithAMessageAndNothingIsLost() throws Exception {
        openWithTake();
        Path text = Files.writeString(folder.resolve("notes.mp4"), "no film at all");
        Workout before = shell.session().workout();
        interact(() -> shell.session().takes().bringIn(text));
        until(() -> text("#message").startsWith("notes.mp4: this is not a video"));
        assertThat(shell.session().workout()).isEqualTo(before);
    }

    @Test
    void changesAreKeptWithinTwoSecondsAndComeBack() throws Exception {
        openWithTake();
        Path file = shell.session().file().orElseThrow();
        clickOn("#stage-plan");
        interact(() -> lookup("#run-sheet").queryAs(RunSheetEditor.class).moveTo(0));
        interact(() -> lookup("#run-sheet").query().requestFocus());
        write("# ");
        until(() -> WorkoutFile.recovered(file)
                .filter(w -> w.sheet().startsWith("# title"))
                .isPresent());
        assertThat(WorkoutFile.open(file).sheet()).isEqualTo(SHEET);
        interact(() -> shell.session().open(file));
        until(() -> shell.session().undoName().orElse("").contains("recovered"));
        assertThat(shell.session().workout().sheet()).startsWith("# title");
        until(() -> text("#notice").contains("1 line of the run sheet"));
        clickOn("Discard them");
        until(() -> !lookup("#notice").query().getParent().isVisible());
        assertThat(shell.session().workout().sheet()).isEqualTo(SHEET);
        assertThat(WorkoutFile.autosave(file)).doesNotExist();
    }

    @Test
    void recoveredChangesAreKeptWhenThatIsChosen() throws Exception {
        Path file = workoutWithTake(null);
        Workout saved = WorkoutFile.open(file);
        WorkoutFile.autosave(file, saved.withSheet(SHEET.replace("squat", "push-up")));
        interact(() -> shell.session().open(file));
        until(() -> lookup("#notice").tryQuery().isPresent() && text("#notice").contains("were recovered"));
        clickOn("Keep the changes");
        until(() -> !lookup("#notice").query().getParent().isVisible());
        assertThat(WorkoutFile.open(file).sheet()).doesNotContain("squat");
    }

    @Test
    void aWorkoutThatAnotherWindowHasIsOnlyLookedAt() throws Exception {
        Path file = workoutWithTake(null);
        try (WriteLock other = WriteLock.take(file).orElseThrow()) {
            assertThat(other).isNotNull();
            interact(() -> shell.session().open(file));
            until(() ->
                    lookup("#notice").tryQuery().isPresent() && text("#notice").contains("another window"));
            interact(() ->
                    shell.session().apply("change", shell.session().workout().withSheet("title: Other\n")));
            assertThat(text("#file-state")).contains("changes here are not saved");
            interact(() -> shell.session().save(null));
            assertThat(WorkoutFile.open(file).sheet()).isEqualTo(SHEET);
            assertThat(WorkoutFile.autosave(file)).doesNotExist();
            Path copy = folder.resolve("copy" + WorkoutFile.ENDING);
            interact(() -> shell.session().save(copy));
            until(() -> text("#file-state").equals("saved"));
            assertThat(WorkoutFile.open(copy).sheet()).isEqualTo("title: Other\n");
            assertThat(lookup("#notice").query().getParent().isVisible()).isFalse();
        }
        interact(() -> shell.session().open(file));
        until(() -> shell.session().workout().sheet().equals(SHEET));
        assertThat(shell.session().isReadOnly()).isFalse();
    }

    @Test
    void filmingFromTheWindowCanBeCancelled() throws Exception {
        interact(() -> shell.session()
                .jobs()
                .run(
                        "Filming",
                        (Progress p) -> {
                            for (int i = 0; ; i++) {
                                p.at(Math.min(0.9, i / 1e6));
                            }
                        },
                        (Object done) -> {}));
        until(() -> shell.session().jobs().isRunning());
        clickOn("#job-cancel");
        until(() -> text("#message").contains("was cancelled"));
        assertThat(shell.session().jobs().isRunning()).isFalse();
    }

    @Test
    void filmingAsksForAPlaceFirst() throws Exception {
        clickOn("#stage-match");
        clickOn("#film");
        until(() -> text("#message").startsWith("Save the workout first"));
        assertThat(shell.session().workout().takes()).isEmpty();
    }

    @Test
    void allStagesAndKeysAreReachableWithoutAMouse() throws Exception {
        push(KeyCode.CONTROL, KeyCode.DIGIT4);
        until(() -> lookup("#film").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT6);
        until(() -> lookup("#plaits").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT8);
        until(() -> lookup("#moves").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT9);
        until(() -> lookup("#series-add").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT0);
        until(() -> lookup("#entry-text").tryQuery().isPresent());
        push(KeyCode.CONTROL, KeyCode.DIGIT1);
        until(() -> lookup("#run-sheet").tryQuery().isPresent());
        push(KeyCode.F1);
        until(() -> lookup(".shade").query().isVisible());
        push(KeyCode.F1);
        until(() -> !lookup(".shade").query().isVisible());
    }

    /** What a button says is read whole, in the smallest window too. */
    @Test
    void noButtonIsCutInASmallWindow() throws Exception {
        openWithTake();
        interact(() -> {
            Window window = shell.root().getScene().getWindow();
            window.setWidth(1100);
            window.setHeight(700);
        });
        for (String stage : List.of(
                "plan", "script", "shoot", "match", "dress", "proof", "publish", "library", "series", "logbook")) {
            clickOn("#stage-" + stage);
            assertRoomForWords(stage, ".button");
        }
    }

    /** Text is measured where it is laid out, in the thread of the window: two threads at it break each other's lines. */
    private void assertRoomForWords(String where, String buttons) {
        interact(() -> {
            shell.root().layout();
            assertThat(lookup(buttons).queryAllAs(Button.class))
                    .filteredOn(b ->
                            b.isVisible() && b.getWidth() > 0 && !b.getText().isEmpty())
                    .isNotEmpty()
                    .allSatisfy(b -> {
                        assertThat(b.getWidth())
                                .as(where + ": width of " + b.getText())
                                .isGreaterThanOrEqualTo(b.prefWidth(-1) - 1);
                        assertThat(b.getHeight())
                                .as(where + ": height of " + b.getText())
                                .isGreaterThanOrEqualTo(b.prefHeight(-1) - 1);
                    });
        });
    }

    @Test
    void theClockRunsThePlanInTheRoomAndKeepsALog() throws Exception {
        openWithTake();
        interact(() -> shell.go("shoot"));
        until(() -> lookup("#shoot-start").tryQuery().isPresent());
        clickOn("#shoot-start");
        until(() -> lookup("#prompt-what").tryQuery().isPresent()
                && text("#prompt-what").startsWith("Get ready: Hi"));
        until(() -> text("#prompt-what").equals("Hi"));
        until(() -> lookup(".prompt-share").queryAs(Region.class).getHeight() > 4);
        assertThat(lookup(".prompt-key").queryAllAs(Button.class)).hasSize(6);
        assertRoomForWords("the key under each word", ".prompt-key");
        push(KeyCode.F);
        push(KeyCode.H);
        until(() -> text("#prompt-told").startsWith("On hold"));
        push(KeyCode.PAGE_DOWN);
        push(KeyCode.A);
        until(() -> text("#prompt-what").startsWith("Get ready: Hi"));
        push(KeyCode.ESCAPE);
        until(() -> lookup("#shoot-start").tryQuery().isPresent());
        ShootLog log = ShootLog.fromJson(Files.readString(folder.resolve("shoot-1.log.json")));
        assertThat(log.events()).extracting(ShootLog.Event::kind).containsExactly("fluff", "hold", "go-on", "again");
        assertThat(lookup("#takes").queryListView().getItems()).hasSize(1);
    }

    @Test
    void aConnectedCameraIsTestedBeforeTheRun() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        ComboBox<String> camera = lookup("#shoot-camera").queryComboBox();
        assertThat(lookup("#shoot-test").query().isVisible()).isFalse();
        interact(() -> camera.getSelectionModel().select("test picture and tone"));
        clickOn("#shoot-test");
        until(() -> text("#shoot-test-result").startsWith("Recorded 640 × 360; the sound is good"));
    }

    @Test
    void aNoteOnATakeIsKeptWithIt() throws Exception {
        openWithTake();
        clickOn("#stage-shoot");
        until(() -> lookup("#note-take-1").tryQuery().isPresent());
        clickOn("#note-take-1").write("left light went out").push(KeyCode.ENTER);
        until(() -> shell.session().workout().takes().get(0).note().equals("left light went out"));
        until(() -> lookup("#undo").queryAs(Button.class).getText().equals("Undo: note on take-1"));
        clickOn("#stage-match");
        interact(() -> lookup("#score").queryListView().getSelectionModel().select(1));
        clickOn("#match-tab-takes");
        until(() -> lookup("#tries").query().lookupAll(".label").stream()
                .anyMatch(n -> n instanceof Label l && l.getText().contains("left light went out")));
    }
}
