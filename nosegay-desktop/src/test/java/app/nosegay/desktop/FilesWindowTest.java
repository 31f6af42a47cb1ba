package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.Media;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Workout;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** Files that are moved, replaced, damaged or missing, in the real window. */
class FilesWindowTest extends DrivenWindow {
    /** The small workout with its recording told by its content, as the app itself stores it. */
    private Path workoutWithKnownTake() throws Exception {
        Path file = workoutWithTake("WEBVTT\n\n00:03.500 --> 00:05.000\nhello and welcome\n");
        Workout workout = WorkoutFile.open(file);
        Path movie = folder.resolve("take-1.mp4");
        Workout.TakeRef known = Media.reference(folder, "take-1", movie, 56, folder.resolve("take-1.vtt"), null);
        WorkoutFile.save(file, workout.withTakes(List.of(known), workout.pins()));
        return file;
    }

    private void open(Path file) {
        interact(() -> shell.session().open(file));
    }

    private boolean isMatched() {
        return programme() != null
                && !programme().match().takes().isEmpty()
                && !shell.session().jobs().isRunning();
    }

    private String message() {
        return lookup("#message").queryAs(Label.class).getText();
    }

    @Test
    void aRecordingThatWasMovedIsFoundAgainAsAStepThatCanBeUndone() throws Exception {
        Path file = workoutWithKnownTake();
        Files.createDirectories(folder.resolve("camera"));
        Files.move(folder.resolve("take-1.mp4"), folder.resolve("camera/kitchen.mp4"));
        open(file);
        until(this::isMatched);
        assertThat(shell.session().workout().takes().get(0).file()).isEqualTo("camera/kitchen.mp4");
        assertThat(shell.session().undoName()).hasValue("recordings found in their new place");
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").query();
        until(() -> score.getItems().size() > 3);
    }

    @Test
    void aRecordingThatIsGoneIsNamedAndTheRestStaysUsable() throws Exception {
        Path file = workoutWithKnownTake();
        Files.delete(folder.resolve("take-1.mp4"));
        open(file);
        until(() -> message().contains("take-1.mp4"));
        assertThat(message()).contains("missing");
        assertThat(programme().timeline().segments()).isNotEmpty();
        clickOn("#stage-script");
        assertThat(lookup("#windows").queryListView().getItems()).isNotEmpty();
    }

    @Test
    void anotherRecordingUnderTheSameNameIsSaid() throws Exception {
        Path file = workoutWithKnownTake();
        Path movie = folder.resolve("take-1.mp4");
        byte[] bytes = Files.readAllBytes(movie);
        // The last bytes of the container hold nothing that is seen.
        byte[] longer = java.util.Arrays.copyOf(bytes, bytes.length + 4096);
        Files.write(movie, longer);
        open(file);
        until(this::isMatched);
        until(() -> message().contains("has changed since it was matched"));
        assertThat(message()).contains("take-1.mp4");
    }

    @Test
    void savedInAnotherFolderTheRecordingsStayWhereTheyAre() throws Exception {
        open(workoutWithKnownTake());
        until(this::isMatched);
        Files.createDirectories(folder.resolve("plans"));
        Path elsewhere = folder.resolve("plans/small" + WorkoutFile.ENDING);
        interact(() -> shell.session().save(elsewhere));
        until(() -> Files.exists(elsewhere) && isMatched());
        assertThat(shell.session().workout().takes().get(0).file()).isEqualTo("../take-1.mp4");
        assertThat(WorkoutFile.open(elsewhere).takes().get(0).transcript()).isEqualTo("../take-1.vtt");
    }

    @Test
    void packedTheWorkoutOpensElsewhereWithoutTheOldFolder() throws Exception {
        open(workoutWithKnownTake());
        until(this::isMatched);
        Path target = folder.resolve("packed");
        interact(() -> shell.session().exports().pack(target));
        Path packed = target.resolve("small" + WorkoutFile.ENDING);
        until(() -> Files.exists(packed) && !shell.session().jobs().isRunning());
        until(() -> message().contains("Collected into"));
        Files.delete(folder.resolve("take-1.mp4"));
        open(packed);
        until(() ->
                isMatched() && shell.session().workout().takes().get(0).file().equals("take-1.mp4"));
        assertThat(shell.session().folder()).isEqualTo(target);
    }

    @Test
    void whatIsNoWorkoutIsRefusedByNameAndNothingIsLost() throws Exception {
        open(workoutWithKnownTake());
        until(this::isMatched);
        String sheet = shell.session().workout().sheet();
        for (byte[] bytes : List.of(
                new byte[0],
                "{\"format\": 4, \"sheet\": \"title: x".getBytes(StandardCharsets.UTF_8),
                new byte[] {(byte) 0xff, (byte) 0xfe, 0, 1, 2, 3})) {
            Path broken = Files.write(folder.resolve("broken" + WorkoutFile.ENDING), bytes);
            interact(() -> shell.session().jobs().tell(""));
            open(broken);
            until(() -> message().contains("broken") && !shell.session().jobs().isRunning());
            assertThat(shell.session().workout().sheet()).isEqualTo(sheet);
        }
    }

    @Test
    void theRowsOfTheScoreArePaintedAndStayWhileAPinIsSet() throws Exception {
        open(workoutWithKnownTake());
        until(this::isMatched);
        clickOn("#stage-match");
        ListView<?> score = lookup("#score").query();
        until(() -> painted(score) >= 4);
        interact(() -> score.getSelectionModel().select(1));
        interact(score::requestFocus);
        push(KeyCode.B);
        interact(() -> assertThat(painted(score)).as("no row goes blank").isGreaterThanOrEqualTo(4));
        until(() -> painted(score) >= 4);
    }

    /** Rows in view with a picture. */
    private static long painted(ListView<?> score) {
        return score.lookupAll(".list-cell").stream()
                .filter(c -> c instanceof ListCell<?> cell && !cell.isEmpty() && cell.isVisible())
                .flatMap(c -> c.lookupAll("*").stream())
                .filter(FilesWindowTest::isPicture)
                .count();
    }

    private static boolean isPicture(Node node) {
        return node instanceof ImageView view
                && view.getImage() != null
                && view.getImage().getHeight() > 20;
    }

    @Test
    void aFullDiskOrAFolderNobodyMayWriteToIsSaidByName() throws Exception {
        open(workoutWithKnownTake());
        until(this::isMatched);
        Path blocked = Files.writeString(folder.resolve("blocked"), "a file where a folder should be");
        interact(() -> shell.session().save(blocked.resolve("small" + WorkoutFile.ENDING)));
        until(() -> message().contains("blocked"));
        assertThat(Files.readString(blocked)).isEqualTo("a file where a folder should be");
        assertThat(shell.session().workout().takes()).hasSize(1);
    }
}
