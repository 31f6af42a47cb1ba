package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.ChangeKeeper;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.UnsavedWorkouts;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WriteLock;
import app.nosegay.workout.Difference;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * Where the open workout is kept: its file with the right to write it, the autosave beside it, or a place of its own in the settings folder
 * while it has no file or another window has that. Nothing that was typed is lost by a kill, a close, New or Open; asked is only what would
 * be.
 */
final class WorkoutKeeping {
    private final Supplier<Workout> workout;
    private final Jobs jobs;
    private final Notices notices;
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");
    private final ChangeKeeper keeper = new ChangeKeeper(failure -> Platform.runLater(() -> kept(failure)));
    private Path file;
    /** What the file held when it was read or written last; another content is somebody else's. */
    private String content = "";
    /** The right to write {@link #file}; null for a new workout and where another window has it. */
    private WriteLock lock;

    private boolean readOnly;
    /** Where changes are kept that belong to no file of ours; null until there are some. */
    private UnsavedWorkouts.Place unsaved;
    /** What the file holds. */
    private Workout saved = Workout.EMPTY;

    /**
     * @param workout the open one as it is
     */
    WorkoutKeeping(Supplier<Workout> workout, Jobs jobs, Notices notices) {
        this.workout = workout;
        this.jobs = jobs;
        this.notices = notices;
        state.set(DesktopText.of("session.session.not-saved-yet"));
    }

    ReadOnlyStringProperty state() {
        return state.getReadOnlyProperty();
    }

    void showState(String text) {
        state.set(text);
    }

    Optional<Path> file() {
        return Optional.ofNullable(file);
    }

    boolean isReadOnly() {
        return readOnly;
    }

    /** The folder media paths are relative to. */
    Path folder() {
        return file == null ? Path.of(System.getProperty("user.home")) : file.getParent();
    }

    /** The workout has changed. */
    void changed() {
        boolean own = file != null && !readOnly;
        state.set(own ? DesktopText.of("session.session.saving") : untouched());
        try {
            if (!own && unsaved == null) {
                unsaved = UnsavedWorkouts.begin();
            }
            keeper.changed(own ? WorkoutFile.autosave(file) : unsaved.file(), workout.get());
        } catch (IOException e) {
            kept(e);
        }
    }

    /** What the status line says of a workout that is in no file of ours. */
    private String untouched() {
        return readOnly
                ? DesktopText.of("session.session.open-in-another-window-changes")
                : DesktopText.of("session.session.not-saved-yet");
    }

    private void kept(IOException failure) {
        if (failure != null) {
            state.set(DesktopText.of("session.keeping.changes-are-not-kept", failure.getMessage()));
        } else if (file != null && !readOnly) {
            // Word of it may come late: what was kept may have been saved meanwhile.
            state.set(
                    workout.get().equals(saved)
                            ? DesktopText.of("session.keeping.saved")
                            : DesktopText.of("session.session.changes-kept-ctrl-s-saves"));
        } else {
            state.set(untouched());
        }
    }

    /** Leaves the open workout and goes on with {@code then}; asks only when its last changes cannot be kept anywhere. */
    void leave(Runnable then) {
        if (keeper.flush()) {
            tidy();
            then.run();
            return;
        }
        notices.ofWorkout(
                DesktopText.of("session.keeping.would-be-lost"),
                new Notice.Way(DesktopText.of("session.keeping.stay"), () -> {}),
                new Notice.Way(DesktopText.of("session.keeping.leave-all-the-same"), () -> {
                    keeper.settled();
                    then.run();
                }));
    }

    /** Goes on with a workout that has no file yet. */
    void begin() {
        letGo();
        file = null;
        content = "";
        saved = Workout.EMPTY;
        state.set(DesktopText.of("session.session.not-saved-yet"));
    }

    /** Goes on with a workout that was never saved. */
    void goOn(UnsavedWorkouts.Place place) {
        begin();
        unsaved = place;
    }

    /** Goes on with the workout of a file; gives what was changed and not saved before, if there is something. */
    Optional<Workout> opened(Path path, WorkoutFile.Opened read) {
        letGo();
        file = path;
        content = read.content();
        saved = read.workout();
        takeLock();
        state.set(readOnly ? untouched() : DesktopText.of("session.keeping.saved"));
        return readOnly ? Optional.empty() : WorkoutFile.recovered(path);
    }

    private void takeLock() {
        try {
            lock = WriteLock.take(file).orElse(null);
        } catch (IOException e) {
            FailureLog.note("lock", e);
            jobs.say(DesktopText.of("session.session.cannot-be-written-to-save", file.getParent()));
            return;
        }
        readOnly = lock == null;
        if (readOnly) {
            notices.ofWorkout(DesktopText.of("session.session.this-workout-is-open-in"));
        }
    }

    /** Gives the file, or the place in the settings folder, to whoever wants it next. */
    private void letGo() {
        notices.leaveWorkout();
        readOnly = false;
        try {
            if (lock != null) {
                lock.close();
            }
            if (unsaved != null) {
                unsaved.close();
            }
        } catch (IOException e) {
            FailureLog.note("lock", e);
        }
        lock = null;
        unsaved = null;
    }

    /**
     * Saves the workout to {@code target}, or to its own file where that is null.
     *
     * @param elsewhere told the workout as it is stored, when it is another file than before
     * @param theirs told what the file holds now, when somebody else changed it and that is wanted instead
     */
    void save(Path target, Consumer<Workout> elsewhere, Consumer<Workout> theirs) {
        Path to = target == null ? file : target.toAbsolutePath().normalize();
        boolean other = !to.equals(file);
        if (readOnly && !other) {
            jobs.say(DesktopText.of("session.session.another-window-has-this-workout"));
        } else if (!other && WorkoutFile.holdsOther(file, content)) {
            changedOutside(theirs);
        } else {
            write(to, other, elsewhere);
        }
    }

    private void write(Path to, boolean other, Consumer<Workout> elsewhere) {
        Workout stored = MediaRelinker.toFolder(workout.get(), folder(), to.getParent());
        WriteLock taken = null;
        try {
            if (other) {
                taken = WriteLock.take(to)
                        .orElseThrow(() -> new IOException(
                                DesktopText.of("session.keeping.that-workout-is-open", to.getFileName())));
            }
            content = WorkoutFile.save(to, stored);
            keeper.settled();
            // An older state may have been written while the file was.
            Files.deleteIfExists(WorkoutFile.autosave(to));
            saved = stored;
            if (other) {
                dropKept();
                letGo();
                lock = taken;
                file = to;
                elsewhere.accept(stored);
            }
            state.set(DesktopText.of("session.keeping.saved"));
        } catch (IOException e) {
            close(taken);
            FailureLog.note("save", e);
            state.set(e.getMessage());
            jobs.say(e.getMessage());
        }
    }

    private static void close(WriteLock taken) {
        try {
            if (taken != null) {
                taken.close();
            }
        } catch (IOException e) {
            FailureLog.note("lock", e);
        }
    }

    /** All changes are in the new file: what was kept of them elsewhere is not offered again. */
    private void dropKept() throws IOException {
        keeper.flush();
        if (unsaved != null) {
            unsaved.remove();
        } else if (file != null && !readOnly) {
            Files.deleteIfExists(WorkoutFile.autosave(file));
        }
    }

    /** Somebody else has changed the file since it was opened: both versions can be looked at before one is chosen. */
    private void changedOutside(Consumer<Workout> theirs) {
        Notice.Way keepMine = new Notice.Way(DesktopText.of("session.keeping.keep-mine"), () -> {
            try {
                Path beside = WorkoutFile.saveBeside(file, workout.get());
                content = WorkoutFile.read(file).content();
                saved = workout.get();
                keeper.settled();
                state.set(DesktopText.of("session.keeping.saved"));
                jobs.tell(DesktopText.of("session.keeping.theirs-is-beside", beside.getFileName()));
            } catch (IOException e) {
                jobs.say(e.getMessage());
            }
        });
        try {
            WorkoutFile.Opened now = WorkoutFile.read(file);
            String what = String.join(", ", Difference.between(workout.get(), now.workout()));
            notices.ofWorkout(
                    DesktopText.of("session.keeping.changed-outside", file.getFileName(), what),
                    keepMine,
                    new Notice.Way(DesktopText.of("session.keeping.take-theirs"), () -> {
                        content = now.content();
                        saved = now.workout();
                        theirs.accept(now.workout());
                    }));
        } catch (IOException broken) {
            notices.ofWorkout(DesktopText.of("session.keeping.broken-outside", file.getFileName()), keepMine);
        }
    }

    /** Ends with the window: what is not saved is kept. */
    void close() {
        keeper.close();
        tidy();
        letGo();
    }

    /** What is kept and says nothing more than the file, or nothing at all, is not offered again. */
    private void tidy() {
        try {
            boolean empty = workout.get().equals(Workout.EMPTY);
            if (unsaved != null && (empty || workout.get().equals(saved))) {
                unsaved.remove();
            } else if (file != null && !readOnly && workout.get().equals(saved)) {
                Files.deleteIfExists(WorkoutFile.autosave(file));
            }
        } catch (IOException e) {
            FailureLog.note("unsaved", e);
        }
    }

    /** A workout that is kept though it was never saved; empty for one that is saved, or holds nothing. */
    Optional<Path> unsaved() {
        boolean empty = workout.get().equals(Workout.EMPTY) || workout.get().equals(saved);
        return unsaved == null || empty ? Optional.empty() : Optional.of(unsaved.file());
    }
}
