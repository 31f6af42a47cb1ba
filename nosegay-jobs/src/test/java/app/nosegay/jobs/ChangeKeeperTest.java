package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.files.AtomicFile;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ChangeKeeperTest {
    @TempDir
    private Path folder;

    private final BlockingQueue<String> told = new LinkedBlockingQueue<>();

    private void told(IOException failure) {
        told.add(failure == null ? "kept" : failure.getMessage());
    }

    private static Workout titled(String title) {
        return Workout.EMPTY.withSheet("title: " + title + "\n");
    }

    @Test
    void changesWithoutAPauseAreNeverOlderThanASecondAndAHalf() throws Exception {
        Path target = folder.resolve("w.autosave");
        try (ChangeKeeper keeper = new ChangeKeeper(this::told)) {
            Instant began = Instant.now();
            int n = 0;
            while (told.isEmpty()) {
                keeper.changed(target, titled("change " + n++));
                Thread.onSpinWait();
                assertThat(Duration.between(began, Instant.now())).isLessThan(Duration.ofMillis(1500));
            }
        }
        assertThat(WorkoutFile.open(target).sheet()).startsWith("title: change");
    }

    @Test
    void whatCannotBeWrittenIsTriedAgainUntilItCan() throws Exception {
        Path blocked = Files.writeString(folder.resolve("blocked"), "a file where a folder should be");
        Path target = blocked.resolve("w.autosave");
        try (ChangeKeeper keeper = new ChangeKeeper(this::told)) {
            keeper.changed(target, titled("kept in the end"));
            assertThat(told.poll(10, TimeUnit.SECONDS)).contains("blocked");
            assertThat(keeper.flush()).as("something would be lost").isFalse();
            Files.delete(blocked);
            String last = told.poll(10, TimeUnit.SECONDS);
            while (last != null && !last.equals("kept")) {
                last = told.poll(10, TimeUnit.SECONDS);
            }
            assertThat(keeper.flush()).isTrue();
        }
        assertThat(WorkoutFile.open(target).sheet()).isEqualTo("title: kept in the end\n");
    }

    /** Saved at the very moment at which an older state is being written: that is over when it is told so, and can be removed. */
    @Test
    void whatIsBeingWrittenWhileItIsSavedDoesNotComeBack() throws Exception {
        Path target = folder.resolve("w.autosave");
        Workout large = titled("x".repeat(4_000_000));
        try (ChangeKeeper keeper = new ChangeKeeper(this::told)) {
            for (int i = 0; i < 5; i++) {
                keeper.changed(target, large);
                while (!Files.exists(AtomicFile.part(target)) && !Files.exists(target)) {
                    Thread.onSpinWait();
                }
                keeper.settled();
                Files.deleteIfExists(target);
                assertThat(keeper.flush()).isTrue();
                assertThat(target).doesNotExist();
            }
        }
    }

    @Test
    void whatIsSavedIsNotKeptAgain() throws Exception {
        Path target = folder.resolve("w.autosave");
        try (ChangeKeeper keeper = new ChangeKeeper(this::told)) {
            keeper.changed(target, titled("saved"));
            keeper.settled();
            assertThat(keeper.flush()).isTrue();
        }
        assertThat(target).doesNotExist();
    }
}
