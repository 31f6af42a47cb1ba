package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutLock;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.Progress;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.standins.GuideVoice;
import app.nosegay.workout.Difference;
import app.nosegay.workout.History;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;
import javafx.util.Duration;

/**
 * The one workout of a window: its history, its file, its takes as read, and the programme that follows from them. Used on the interface
 * thread; the computing runs beside it and only its newest result is shown.
 */
public final class Session {
    private static final String NOT_KEPT = DesktopText.of("session.session.open-in-another-window-changes");
    private static final Duration AUTOSAVE_AFTER = Duration.millis(1500);
    private static final Duration TYPING_PAUSE = Duration.seconds(1);

    private final Jobs jobs = new Jobs();
    private final SessionTakes takes = new SessionTakes(this);
    private final SessionExports exports = new SessionExports(this);
    private final ExecutorService computing = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "computing");
        t.setDaemon(true);
        return t;
    });
    private final AtomicLong wanted = new AtomicLong();
    private final ReadOnlyObjectWrapper<Programme> programme = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");
    private final PauseTransition autosave = new PauseTransition(AUTOSAVE_AFTER);
    private final PauseTransition typing = new PauseTransition(TYPING_PAUSE);
    private final ReadOnlyBooleanWrapper outdated = new ReadOnlyBooleanWrapper();
    private History history = new History(Workout.EMPTY);
    private WorkoutMedia media = WorkoutMedia.none(Path.of("").toAbsolutePath());
    private GuideVoice guideVoice;
    private Path file;
    /** When the workout was changed last in this window. */
    private FileTime changedAt = FileTime.fromMillis(0);

    /** The right to write {@link #file}; null for a new workout and where another window has it. */
    private WorkoutLock lock;

    private boolean readOnly;
    private final ReadOnlyObjectWrapper<Notice> notice = new ReadOnlyObjectWrapper<>();

    private int typingRun;
    /** What the file or its autosave holds. */
    private Workout kept = Workout.EMPTY;

    public Session() {
        autosave.setOnFinished(e -> writeAutosave());
        typing.setOnFinished(e -> typingRun++);
        compute();
    }

    public Jobs jobs() {
        return jobs;
    }

    /** How takes come in: filmed, imported, joined, listened to. */
    public SessionTakes takes() {
        return takes;
    }

    /** What is written beside the workout's own file. */
    public SessionExports exports() {
        return exports;
    }

    public Workout workout() {
        return history.now();
    }

    public WorkoutMedia media() {
        return media;
    }

    /** The programme that follows from the workout; behind by a moment while it is computed. */
    public ReadOnlyObjectProperty<Programme> programme() {
        return programme.getReadOnlyProperty();
    }

    /** Where the workout is kept and whether that is up to date, for the status line. */
    public ReadOnlyStringProperty state() {
        return state.getReadOnlyProperty();
    }

    /** The workout's file; empty until it has been saved. */
    public Optional<Path> file() {
        return Optional.ofNullable(file);
    }

    public Optional<String> undoName() {
        return history.undoName();
    }

    public Optional<String> redoName() {
        return history.redoName();
    }

    /** Does a step that can be undone. */
    public void apply(String name, Workout next) {
        history.apply(name, next);
        changed();
    }

    /** Changes the run sheet as {@code edit} says. */
    public void edit(SheetEdit edit) {
        apply(edit.name(), workout().withSheet(edit.apply(workout().sheet())));
    }

    /** Takes typed text; typing on one line without a pause is one step. */
    public void type(String text, int line) {
        history.apply(
                DesktopText.of("session.session.edit-line", line + 1),
                history.now().withSheet(text),
                "typing " + typingRun + " " + line);
        typing.playFromStart();
        changed();
    }

    public void undo() {
        history.undo().ifPresent(w -> changedTakes());
    }

    public void redo() {
        history.redo().ifPresent(w -> changedTakes());
    }

    /** What has to be known or decided first; null for nothing. */
    public ReadOnlyObjectProperty<Notice> notice() {
        return notice.getReadOnlyProperty();
    }

    /** The notice is dealt with. */
    public void dismiss() {
        notice.set(null);
    }

    /** Whether another window has the workout's file: then changes are not kept here. */
    public boolean isReadOnly() {
        return readOnly;
    }

    /** When the workout was changed last in this window; what was written before that may show something else. */
    public FileTime changedAt() {
        return changedAt;
    }

    private void changed() {
        changedAt = FileTime.fromMillis(System.currentTimeMillis());
        state.set(
                file == null
                        ? DesktopText.of("session.session.not-saved-yet")
                        : readOnly ? NOT_KEPT : DesktopText.of("session.session.saving"));
        autosave.playFromStart();
        compute();
    }

    /** A step that may have added or removed takes: those are read (again) first. */
    private void changedTakes() {
        boolean same = workout().takes().stream()
                .map(Workout.TakeRef::id)
                .toList()
                .equals(List.copyOf(media.readings().keySet()));
        changed();
        if (!same) {
            readTakes();
        }
    }

    private void writeAutosave() {
        if (file == null || readOnly || computing.isShutdown()) {
            return;
        }
        Workout workout = workout();
        kept = workout;
        Path target = file;
        computing.execute(() -> {
            try {
                WorkoutFile.autosave(target, workout);
                Platform.runLater(() -> state.set(DesktopText.of("session.session.changes-kept-ctrl-s-saves")));
            } catch (IOException e) {
                Platform.runLater(() -> state.set(e.getMessage()));
            }
        });
    }

    private void compute() {
        long mine = wanted.incrementAndGet();
        Workout workout = workout();
        WorkoutMedia from = media;
        if (computing.isShutdown()) {
            return; // the window is closing
        }
        computing.execute(() -> {
            if (mine == wanted.get()) {
                try {
                    Programme next = from.programme(workout);
                    Platform.runLater(() -> show(mine, next));
                } catch (RuntimeException | Error e) {
                    FailureLog.record("computing", e);
                    Platform.runLater(() -> outdated.set(true));
                }
            }
        });
    }

    /** Says on the status line what was just done. */
    void showState(String text) {
        state.set(text);
    }

    private void show(long asked, Programme next) {
        if (asked == wanted.get()) {
            outdated.set(false);
            programme.set(next);
        }
    }

    /** Whether computing failed, so that what is shown is older than the workout. */
    public ReadOnlyBooleanProperty outdated() {
        return outdated.getReadOnlyProperty();
    }

    /** Shows a failure over all stages until it is dismissed, with the way to the log. */
    public void showFailure(String sentence) {
        notice.set(new Notice(
                sentence,
                List.of(
                        new Notice.Way(DesktopText.of("session.session.open-log-folder"), this::openLogFolder),
                        new Notice.Way(DesktopText.of("session.session.dismiss"), () -> {}))));
    }

    private void openLogFolder() {
        if (!FolderOpener.open(FailureLog.folder())) {
            jobs.say(DesktopText.of("session.session.log-folder-is", FailureLog.folder()));
        }
    }

    /** Begins a new, empty workout. */
    public void begin() {
        release();
        notice.set(null);
        file = null;
        history = new History(Workout.EMPTY);
        media = WorkoutMedia.none(Path.of("").toAbsolutePath());
        changedAt = FileTime.fromMillis(0);
        state.set(DesktopText.of("session.session.not-saved-yet"));
        compute();
    }

    /** Opens a workout file; changes an earlier session could not save come back as a step that can be undone. */
    public void open(Path opened) {
        jobs.run(
                DesktopText.of("session.session.opening", opened.getFileName()),
                progress -> WorkoutFile.open(opened),
                workout -> {
                    release();
                    file = opened.toAbsolutePath().normalize();
                    notice.set(null);
                    takeLock();
                    kept = workout;
                    history = new History(workout);
                    changedAt = FileTime.fromMillis(0);
                    state.set(readOnly ? NOT_KEPT : "saved");
                    if (!readOnly) {
                        WorkoutFile.recovered(file)
                                .filter(r -> !r.equals(workout))
                                .ifPresent(r -> recover(workout, r));
                    }
                    media = WorkoutMedia.none(file.getParent());
                    compute();
                    readTakes();
                });
    }

    /** Takes the right to write the file, or says that another window has it. */
    private void takeLock() {
        try {
            lock = WorkoutLock.take(file).orElse(null);
        } catch (IOException e) {
            lock = null;
            jobs.say(DesktopText.of("session.session.cannot-be-written-to-save", file.getParent()));
            return;
        }
        readOnly = lock == null;
        if (readOnly) {
            notice.set(new Notice(DesktopText.of("session.session.this-workout-is-open-in"), List.of()));
        }
    }

    private void release() {
        readOnly = false;
        if (lock != null) {
            try {
                lock.close();
            } catch (IOException e) {
                jobs.say(e.getMessage());
            }
            lock = null;
        }
    }

    /** Brings back what was changed before Nosegay ended without saving, and lets it be chosen or not. */
    private void recover(Workout saved, Workout changed) {
        String what = String.join(", ", Difference.between(saved, changed));
        history.apply(DesktopText.of("session.session.changes-recovered-from-the-last"), changed);
        state.set(DesktopText.of("session.session.changes-of-the-last-session"));
        notice.set(new Notice(
                DesktopText.of("session.session.nosegay-ended-last-time-before", what),
                List.of(
                        new Notice.Way(DesktopText.of("session.session.keep-the-changes"), () -> save(null)),
                        new Notice.Way(DesktopText.of("session.session.back-to-what-was-saved"), () -> {
                            undo();
                            save(null);
                        }))));
    }

    /** Reads the takes of the workout that are not read yet. */
    void readTakes() {
        Workout workout = workout();
        Path folder = folder();
        if (workout.takes().isEmpty()) {
            media = WorkoutMedia.none(folder);
            compute();
            return;
        }
        jobs.run(
                DesktopText.of("session.session.reading-the-recordings"),
                progress -> found(workout, folder, progress),
                read -> {
                    media = read.media();
                    if (!read.workout().equals(workout)) {
                        apply(
                                DesktopText.of("session.session.recordings-found-again"),
                                workout()
                                        .withTakes(
                                                read.workout().takes(),
                                                workout().pins()));
                    }
                    recogniseLogs();
                    jobs.say(String.join(". ", media.notices(read.workout())));
                    compute();
                });
    }

    /** A workout whose recordings were looked for where they may have been moved to, and what was read from them. */
    private record Found(Workout workout, WorkoutMedia media) {}

    private static Found found(Workout workout, Path folder, Progress progress) throws IOException {
        Workout now = MediaRelinker.foundAgain(workout, folder);
        return new Found(now, WorkoutMedia.read(now, folder, progress));
    }

    /** A recording made by a camera of its own gets the shoot log whose run number its tones carry. */
    private void recogniseLogs() {
        Workout now = workout();
        Workout logged = media.withRecognisedLogs(now);
        if (!logged.equals(now)) {
            apply(DesktopText.of("session.session.shoot-log-recognised-by-its"), logged);
            media = media.withLogs(logged);
        }
    }

    /** The folder media paths are relative to. */
    public Path folder() {
        return file == null ? Path.of(System.getProperty("user.home")) : file.getParent();
    }

    /** Saves to the workout's file, or to {@code target} where that is given. */
    public void save(Path target) {
        Path to = target == null ? file : target.toAbsolutePath().normalize();
        if (readOnly && to.equals(file)) {
            jobs.say(DesktopText.of("session.session.another-window-has-this-workout"));
            return;
        }
        Workout moved = MediaRelinker.toFolder(workout(), folder(), to.getParent());
        try {
            WorkoutFile.save(to, moved);
            boolean elsewhere = !to.equals(file);
            file = to;
            if (elsewhere) {
                release();
                notice.set(null);
                takeLock();
                history = new History(moved);
                readTakes();
            }
            kept = moved;
            state.set(readOnly ? NOT_KEPT : "saved");
        } catch (IOException e) {
            state.set(e.getMessage());
            jobs.say(e.getMessage());
        }
    }

    /** The move library changed: everything is computed again. */
    public void libraryChanged() {
        compute();
    }

    /** The guide voice, woken the first time it is wanted; null where it is not installed: words are then shown in time, not heard. */
    public synchronized GuideVoice guideVoice() {
        if (guideVoice == null) {
            try {
                guideVoice = new GuideVoice();
            } catch (IOException e) {
                Platform.runLater(() -> state.set(e.getMessage()));
            }
        }
        return guideVoice;
    }

    /** Ends the session: what is not saved yet is kept in the autosave. */
    public void close() {
        autosave.stop();
        typing.stop();
        if (!workout().equals(kept)) {
            writeAutosave();
        }
        computing.shutdown();
        try {
            computing.awaitTermination(3, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        release();
    }
}
