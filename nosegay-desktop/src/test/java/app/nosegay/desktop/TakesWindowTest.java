package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.SecondCamera;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.match.Pin;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.ListView;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Several takes and tries of one interval, in the real window. */
class TakesWindowTest extends DrivenScore {

    /** Two recordings of the same plan, the squats pinned in both. */
    private void openWithTwoTakes() throws Exception {
        Files.copy(SmallTake.whole(), folder.resolve("one.mp4"));
        Files.copy(SmallTake.part(0, 55), folder.resolve("two.mp4"));
        Path file = folder.resolve("twice" + WorkoutFile.ENDING);
        List<Workout.TakeRef> two = List.of(
                new Workout.TakeRef("take-1", "one.mp4", Files.size(folder.resolve("one.mp4")), 56, "", null, null),
                new Workout.TakeRef("take-2", "two.mp4", Files.size(folder.resolve("two.mp4")), 55, "", null, null));
        List<Pin> pins = List.of(
                new Pin("a/squat", false, "take-1", Time.ofSeconds(13)),
                new Pin("a/squat", true, "take-1", Time.ofSeconds(25)),
                new Pin("a/squat", false, "take-2", Time.ofSeconds(13)),
                new Pin("a/squat", true, "take-2", Time.ofSeconds(25)));
        WorkoutFile.save(file, new Workout(SHEET, two, pins));
        interact(() -> shell.session().open(file));
        until(() -> programme() != null
                && programme().match().takes().size() == 2
                && !shell.session().jobs().isRunning());
    }

    @Test
    void anotherTakeOfAnIntervalIsUsed() throws Exception {
        openWithTwoTakes();
        ListView<?> score = onLine(1);
        String used = programme().match().segment("a/squat").orElseThrow().take();
        push(KeyCode.U);
        until(() -> !programme().match().segment("a/squat").orElseThrow().take().equals(used));
        assertThat(shell.session().undoName()).contains("use another take of Squat");
        clickOn("#undo");
        until(() -> programme().match().segment("a/squat").orElseThrow().take().equals(used));
        interact(() -> {
            score.requestFocus();
            score.getSelectionModel().select(1);
        });
        push(KeyCode.J);
        assertThat(score.getSelectionModel().getSelectedIndex()).isEqualTo(2);
        push(KeyCode.K);
        assertThat(score.getSelectionModel().getSelectedIndex()).isEqualTo(1);
        push(KeyCode.F);
        until(() -> lookup("#score-order").queryComboBox().getSelectionModel().getSelectedIndex() > 0);
    }

    /** Another camera at the same run: chosen for an interval it is what the finished video shows there. */
    @Test
    void aSecondCameraIsShownForAnInterval() throws Exception {
        openWithTwoTakes();
        onLine(1);
        clickOn("#match-tab-takes");
        waitFor("#second-camera");
        clickOn("#second-camera");
        // These films are silent: there is nothing to tell by that they are of one run.
        until(() -> shell.session().jobs().message().get().contains("does not sound like"));
        String first = programme().match().segment("a/squat").orElseThrow().take();
        String other = first.equals("take-1") ? "take-2" : "take-1";
        SecondCamera camera = new SecondCamera(other, first, Length.ofSeconds(1), Length.ofSeconds(54));
        interact(() -> shell.session()
                .apply(
                        "camera",
                        shell.session()
                                .workout()
                                .withMatching(
                                        shell.session().workout().matching().withCamera(camera))));
        until(() -> programme().match().takes().size() == 1);
        waitFor("#show-camera");
        clickOn("#show-camera");
        until(() -> programme().cut().clips().stream().anyMatch(c -> c.camera() != null));
        until(() -> lookup("#show-camera")
                .tryQueryAs(Button.class)
                .filter(b -> b.getText().equals("Show the first camera"))
                .isPresent());
        clickOn("#show-camera");
        until(() -> programme().cut().clips().stream().allMatch(c -> c.camera() == null));
        waitFor("#no-second-camera");
        clickOn("#no-second-camera");
        until(() -> programme().match().takes().size() == 2);
    }

    @Test
    void everyTryOfAnIntervalIsShownAndPlays() throws Exception {
        openWithTake();
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").queryListView();
        interact(() -> score.getSelectionModel().select(1));
        clickOn("#match-tab-takes");
        until(() -> text("#takes-heading").equals("Squat was done once."));
        until(() -> lookup("#tries .picture .image-view").tryQuery().isPresent()
                && lookup("#tries .image-view").queryAs(ImageView.class).getImage() != null);
        Image before = lookup("#tries .image-view").queryAs(ImageView.class).getImage();
        clickOn("Play");
        until(() -> lookup("#tries .image-view").queryAs(ImageView.class).getImage() != before);
        interact(() -> score.getSelectionModel().select(3));
        until(() -> text("#takes-heading").equals("Push-up was done once."));
    }

    /** A camera that began a new file in the middle of the squats. */
    @Test
    void aSetCutByTheCameraIsWholeWhenTheTakesAreJoined() throws Exception {
        Files.copy(SmallTake.part(0, 20), folder.resolve("a.mp4"));
        Files.copy(SmallTake.part(20, 56), folder.resolve("b.mp4"));
        Path file = folder.resolve("cut" + WorkoutFile.ENDING);
        List<Workout.TakeRef> two = List.of(
                new Workout.TakeRef("take-1", "a.mp4", Files.size(folder.resolve("a.mp4")), 20, "", null, null),
                new Workout.TakeRef("take-2", "b.mp4", Files.size(folder.resolve("b.mp4")), 36, "", null, null));
        // The end of the squats, told by hand, is 5 s into the second file.
        List<Pin> pins = List.of(
                new Pin("a/squat", false, "take-1", Time.ofSeconds(13)),
                new Pin("a/push-up", false, "take-2", Time.ofSeconds(11)));
        WorkoutFile.save(file, new Workout(SHEET, two, pins));
        interact(() -> shell.session().open(file));
        until(() -> programme() != null
                && programme().match().takes().size() == 2
                && !shell.session().jobs().isRunning());
        clickOn("#stage-match");
        interact(() -> lookup("#score").queryListView().getSelectionModel().select(1));
        clickOn("#match-tab-takes");
        until(() -> text("#takes-heading").contains("new file in the middle of Squat"));
        clickOn("#join");
        until(() -> programme().match().takes().size() == 1
                && !shell.session().jobs().isRunning());
        assertThat(shell.session().workout().takes().get(0).file()).isEqualTo("a-joined.mp4");
        assertThat(shell.session().workout().takes().get(0).seconds()).isBetween(55.8, 56.2);
        assertThat(programme()
                        .match()
                        .segment("a/push-up")
                        .orElseThrow()
                        .start()
                        .seconds())
                .isBetween(30.9, 31.1);
        push(KeyCode.CONTROL, KeyCode.Z);
        until(() -> programme().match().takes().size() == 2);
    }
}
