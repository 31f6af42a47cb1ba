package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.session.Leftovers;
import app.nosegay.jobs.UnsavedWorkouts;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.media.MediaInput;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import javafx.scene.control.Button;
import javafx.scene.input.KeyCode;
import org.junit.jupiter.api.Test;

/** What was typed, filmed or decided survives New, Open, Close, a kill and other programs; asked is only what would be lost. */
class NothingLostWindowTest extends DrivenWindow {
    private List<String> offers() {
        return lookup(".notice .button").queryAllAs(Button.class).stream()
                .map(Button::getText)
                .toList();
    }

    private boolean noticed(String words) {
        var notice = shell.session().notices().shown().get();
        return notice != null && notice.text().contains(words);
    }

    private Path savedWorkout(String title) throws Exception {
        Path file = folder.resolve(title + WorkoutFile.ENDING);
        WorkoutFile.save(file, Workout.EMPTY.withSheet("title: " + title + "\ntalk Hi  0:10\n"));
        return file;
    }

    private void open(Path file) throws Exception {
        interact(() -> shell.session().open(file));
        until(() -> shell.session().file().filter(file::equals).isPresent());
    }

    @Test
    void aWorkoutNeverSavedIsKeptFromItsFirstKeyAndComesBackAfterNew() throws Exception {
        clickOn("#run-sheet").write("title: Never saved");
        Instant typed = Instant.now();
        until(() -> !kept().isEmpty());
        assertThat(Duration.between(typed, Instant.now())).isLessThan(Duration.ofSeconds(4));
        clickOn("New").clickOn("#start-empty");
        until(() -> noticed("never saved"));
        assertThat(sheet()).isEmpty();
        assertThat(UnsavedWorkouts.left())
                .extracting(UnsavedWorkouts.Unsaved::title)
                .containsExactly("Never saved");
        clickOn("Open it again");
        until(() -> sheet().startsWith("title: Never saved"));
        assertThat(UnsavedWorkouts.left()).as("it is open again").isEmpty();
        Path saved = folder.resolve("now" + WorkoutFile.ENDING);
        interact(() -> shell.session().save(saved));
        until(() -> Files.exists(saved));
        assertThat(kept()).as("what is saved is not offered again").isEmpty();
    }

    private List<Path> kept() throws Exception {
        Path unsaved = folder.resolve("unsaved");
        if (!Files.isDirectory(unsaved)) {
            return List.of();
        }
        try (var files = Files.list(unsaved)) {
            return files.filter(f -> f.toString().endsWith(WorkoutFile.ENDING)).toList();
        }
    }

    @Test
    void whatAnEarlierWindowLeftIsOfferedAtTheStart() throws Exception {
        Path left = Files.createDirectories(folder.resolve("unsaved")).resolve("2026-01-02 03.04.05.nosegay.json");
        WorkoutFile.save(left, Workout.EMPTY.withSheet("title: Left behind\n"));
        interact(() -> new Leftovers(shell.session()).offer());
        until(() -> noticed("never saved"));
        assertThat(offers()).containsExactly("Open Left behind", "Dismiss");
        clickOn("Open Left behind");
        until(() -> sheet().equals("title: Left behind\n"));
        until(() -> lookup("#run-sheet").query() != null && text("#file-state").equals("not saved yet"));
    }

    @Test
    void typingWithoutAPauseIsKeptAllTheSame() throws Exception {
        Path file = savedWorkout("Busy");
        open(file);
        Instant until = Instant.now().plusSeconds(3);
        clickOn("#run-sheet");
        int typed = 0;
        while (Instant.now().isBefore(until)) {
            push(KeyCode.X);
            typed++;
        }
        assertThat(typed).isGreaterThan(5);
        String kept = WorkoutFile.open(WorkoutFile.autosave(file)).sheet();
        long missing = sheet().chars().filter(c -> c == 'x').count()
                - kept.chars().filter(c -> c == 'x').count();
        assertThat(missing * 3.0 / typed).as("seconds of typing not kept").isLessThan(1.6);
    }

    @Test
    void editsJustBeforeNewAreKeptWithTheirFile() throws Exception {
        Path file = savedWorkout("Quick");
        open(file);
        interact(() -> {
            shell.session().type("title: Quick change\n", 0);
            shell.session().begin();
        });
        assertThat(WorkoutFile.recovered(file).orElseThrow().sheet()).isEqualTo("title: Quick change\n");
        assertThat(sheet()).isEmpty();
        open(file);
        until(() -> noticed("recovered"));
        assertThat(sheet()).isEqualTo("title: Quick change\n");
    }

    @Test
    void aFileChangedOutsideIsNotSavedOverUnasked() throws Exception {
        Path file = savedWorkout("Shared");
        open(file);
        interact(() -> shell.session().type("title: Mine\n", 0));
        WorkoutFile.save(file, Workout.EMPTY.withSheet("title: Theirs\n"));
        interact(() -> shell.session().save(null));
        until(() -> noticed("changed outside"));
        assertThat(WorkoutFile.open(file).sheet()).isEqualTo("title: Theirs\n");
        clickOn("Take theirs");
        until(() -> sheet().equals("title: Theirs\n"));
        interact(() -> shell.session().undo());
        assertThat(sheet()).isEqualTo("title: Mine\n");
        WorkoutFile.save(file, Workout.EMPTY.withSheet("title: Theirs again\n"));
        interact(() -> shell.session().save(null));
        until(() -> noticed("changed outside"));
        clickOn("Save mine, keep theirs beside it");
        until(() -> text("#file-state").equals("saved"));
        assertThat(WorkoutFile.open(file).sheet()).isEqualTo("title: Mine\n");
        try (var files = Files.list(folder)) {
            Path beside = files.filter(f -> f.getFileName().toString().contains("changed elsewhere"))
                    .findFirst()
                    .orElseThrow();
            assertThat(WorkoutFile.open(beside).sheet()).isEqualTo("title: Theirs again\n");
        }
    }

    @Test
    void aRecordingThatIsDoneAfterNewGoesToTheWorkoutItWasMadeFor() throws Exception {
        Path file = workoutWithTake(null);
        Path second = Files.copy(folder.resolve("take-1.mp4"), folder.resolve("shoot-1.mp4"));
        open(file);
        until(() -> !shell.session().jobs().isRunning());
        CountDownLatch gate = new CountDownLatch(1);
        interact(() -> {
            shell.session().jobs().run("Waiting", p -> gate.await(30, TimeUnit.SECONDS), done -> {});
            shell.session().takes().bringIn(second);
            shell.session().begin();
        });
        gate.countDown();
        until(() -> noticed("shoot-1.mp4"));
        assertThat(shell.session().workout().takes()).isEmpty();
        assertThat(WorkoutFile.open(file).takes())
                .extracting(Workout.TakeRef::id, Workout.TakeRef::file)
                .containsExactly(
                        org.assertj.core.groups.Tuple.tuple("take-1", "take-1.mp4"),
                        org.assertj.core.groups.Tuple.tuple("take-2", "shoot-1.mp4"));
    }

    @Test
    void aRecordingThatWasCutOffIsOfferedWithItsWorkout() throws Exception {
        Path file = workoutWithTake(null);
        Files.copy(folder.resolve("take-1.mp4"), folder.resolve("shoot-7.mp4.part"));
        open(file);
        until(() -> noticed("shoot-7.mp4"));
        assertThat(offers()).containsExactly("Import it", "Not now");
        clickOn("Import it");
        until(() -> shell.session().workout().takes().size() == 2);
        assertThat(MediaInput.probe(folder.resolve("shoot-7.mp4")).length().seconds())
                .isGreaterThan(50);
    }

    @Test
    void theSheetIsShownAndSavedThoughItCannotBeComputed() throws Exception {
        Path file = savedWorkout("First");
        open(file);
        until(() -> programme().timeline().sheet().header().title().equals("First"));
        Workout broken = shell.session().workout().withSheet("title: Second\n").withDressing(null);
        interact(() -> shell.session().apply("something broken", broken));
        until(() -> shell.session().outdated().get());
        var editor = lookup("#run-sheet").queryAs(org.fxmisc.richtext.CodeArea.class);
        assertThat(editor.getText()).isEqualTo("title: Second\n");
        interact(() -> shell.session().undo());
        until(() -> !shell.session().outdated().get());
        assertThat(editor.getText()).startsWith("title: First");
    }

    @Test
    void everyStageBearsAWorkoutWithoutRecordings() throws Exception {
        open(savedWorkout("Bare"));
        until(() -> programme().timeline().sheet().header().title().equals("Bare"));
        for (String stage : List.of("script", "shoot", "match", "dress", "proof", "publish", "plan")) {
            clickOn("#stage-" + stage);
            until(() -> lookup("#stage-" + stage)
                    .queryAs(javafx.scene.control.ToggleButton.class)
                    .isSelected());
        }
        assertThat(shell.session().notices().shown().get()).as("no failure").isNull();
    }

    @Test
    void aReadingThatWasCancelledCanBeDoneLater() throws Exception {
        Path file = workoutWithTake(null);
        interact(() -> shell.session().open(file));
        until(() -> shell.session().jobs().name().get().startsWith("Reading"));
        interact(() -> shell.session().jobs().cancel());
        until(() -> !shell.session().jobs().isRunning());
        clickOn("#stage-match");
        if (programme().match().takes().isEmpty()) {
            clickOn("#read-takes");
        }
        until(() -> !programme().match().takes().isEmpty());
    }
}
