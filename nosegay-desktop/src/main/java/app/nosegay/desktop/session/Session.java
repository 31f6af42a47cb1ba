package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.standins.GuideVoice;
import app.nosegay.workout.History;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.animation.PauseTransition;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.util.Duration;

/**
 * The one workout of a window: its history, its file, its takes as read, and the programme that follows from them. Used on the interface
 * thread; the computing runs beside it and only its newest result is shown.
 */
public final class Session implements SessionExports.Source {
    private static final Duration TYPING_PAUSE = Duration.seconds(1);

    private final Jobs jobs = new Jobs();
    private final Notices notices = new Notices(jobs);
    private final WorkoutKeeping keeping = new WorkoutKeeping(this::workout, jobs, notices);
    private final SessionTakes takes = new SessionTakes(this);
    private final SessionExports exports = new SessionExports(this);
    private final SessionSight sight = new SessionSight(jobs, this::workout, this::media, this::media);
    private final ReadOnlyObjectWrapper<Workout> workout = new ReadOnlyObjectWrapper<>(Workout.EMPTY);
    private final LatestProgramme latest = new LatestProgramme(this::opened, this::folder);
    private final Openings openings = new Openings(this);
    private final PauseTransition typing = new PauseTransition(TYPING_PAUSE);
    private History history = new History(Workout.EMPTY);
    private WorkoutMedia media = WorkoutMedia.none(Path.of("").toAbsolutePath());
    private final TakePictures pictures = new TakePictures(take -> media.proxy(take));
    /** When the workout was changed last in this window. */
    private FileTime changedAt = FileTime.fromMillis(0);

    private final List<AutoCloseable> endings = new ArrayList<>();
    private int typingRun;
    /** Counts the workouts that were open in this window, so that what was begun for one does not land in another. */
    private long opened;

    public Session() {
        typing.setOnFinished(e -> typingRun++);
        compute();
    }

    @Override
    public Jobs jobs() {
        return jobs;
    }

    /** How takes come in: filmed, imported, joined, listened to. */
    public SessionTakes takes() {
        return takes;
    }

    /** Who is in the pictures of the recordings. */
    public SessionSight sight() {
        return sight;
    }

    /** Small pictures of the recordings. */
    public TakePictures pictures() {
        return pictures;
    }

    /** What is written beside the workout's own file. */
    public SessionExports exports() {
        return exports;
    }

    @Override
    public Workout workout() {
        return history.now();
    }

    /** The workout as it is, at once; the programme follows. */
    public ReadOnlyObjectProperty<Workout> current() {
        return workout.getReadOnlyProperty();
    }

    public WorkoutMedia media() {
        return media;
    }

    /** The programme that follows from the workout; behind by a moment while it is computed. */
    @Override
    public ReadOnlyObjectProperty<Programme> programme() {
        return latest.programme();
    }

    /** Where the workout is kept and whether that is up to date, for the status line. */
    public ReadOnlyStringProperty state() {
        return keeping.state();
    }

    /** The workout's file; empty until it has been saved. */
    @Override
    public Optional<Path> file() {
        return keeping.file();
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

    /** Changes the run sheet as {@code edit} says; one that was made from an older sheet would change other lines. */
    public void edit(SheetEdit edit) {
        boolean behind = programme().get() == null
                || !programme().get().timeline().sheet().text().equals(workout().sheet());
        if (behind) {
            jobs.say(DesktopText.of("session.session.still-computing"));
            return;
        }
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

    /** What has to be known or decided first. */
    @Override
    public Notices notices() {
        return notices;
    }

    /** Whether another window has the workout's file: then changes are kept apart. */
    public boolean isReadOnly() {
        return keeping.isReadOnly();
    }

    /** When the workout was changed last in this window; what was written before that may show something else. */
    public FileTime changedAt() {
        return changedAt;
    }

    private void changed() {
        changedAt = FileTime.fromMillis(System.currentTimeMillis());
        keeping.changed();
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
            takes.read();
        }
    }

    private void compute() {
        workout.set(workout());
        latest.compute(opened, media, workout());
    }

    /** Says on the status line what was just done. */
    @Override
    public void showState(String text) {
        keeping.showState(text);
    }

    public ReadOnlyBooleanProperty outdated() {
        return latest.outdated();
    }

    /** Which of the workouts opened in this window is open now; for {@link #isOpen}. */
    public long opened() {
        return opened;
    }

    /** Whether the workout something was begun for is still the one that is open. */
    public boolean isOpen(long of) {
        return of == opened;
    }

    /** Begins a new, empty workout. */
    public void begin() {
        leaving(keeping::begin, Workout.EMPTY);
    }

    /** Begins a new workout with a run sheet in it. */
    public void beginWith(String name, String sheet) {
        leaving(
                () -> {
                    keeping.begin();
                    Platform.runLater(() -> apply(name, workout().withSheet(sheet)));
                },
                Workout.EMPTY);
    }

    void leaving(Runnable next, Workout start) {
        keeping.leave(() -> {
            Optional<Path> unsaved = keeping.unsaved();
            next.run();
            start(start);
            unsaved.ifPresent(openings::offerAgain);
        });
    }

    void start(Workout start) {
        opened++;
        history = new History(start);
        changedAt = FileTime.fromMillis(0);
        media = WorkoutMedia.none(folder());
        sight.stop();
        compute();
    }

    /** Opens a workout file; changes an earlier session could not save come back as a step that can be undone. */
    public void open(Path file) {
        openings.open(file);
    }

    /** Opens a workout that was never saved, to go on with it. */
    public void goOn(Path unsaved) {
        openings.goOn(unsaved);
    }

    /** What was changed before Nosegay ended, as a step that can be undone. */
    void recovered(String name, Workout changed) {
        history.apply(name, changed);
        compute();
    }

    WorkoutKeeping keeping() {
        return keeping;
    }

    /** The takes are read: the programme follows from them. */
    void media(WorkoutMedia read) {
        media = read;
        pictures.forget();
        compute();
        sight.begin();
    }

    /** The folder media paths are relative to. */
    @Override
    public Path folder() {
        return keeping.folder();
    }

    /** Saves to the workout's file, or to {@code target} where that is given. */
    public void save(Path target) {
        keeping.save(
                target,
                stored -> {
                    history = new History(stored);
                    takes.read();
                    file().ifPresent(openings::remember);
                },
                theirs -> {
                    history.apply(DesktopText.of("session.session.changes-made-elsewhere"), theirs);
                    changedTakes();
                });
    }

    /** The move library changed: everything is computed again. */
    public void libraryChanged() {
        compute();
    }

    /** The guide voice, woken the first time it is wanted; null where it is not installed: words are then shown in time, not heard. */
    public GuideVoice guideVoice() {
        try {
            return GuideVoice.loaded();
        } catch (IOException e) {
            Platform.runLater(() -> showState(e.getMessage()));
            return null;
        }
    }

    /** Has {@code ending} done when the window closes: a recording that is going on is finished. */
    public void atClose(AutoCloseable ending) {
        endings.add(ending);
    }

    /** Ends the session: what is not saved yet is kept. */
    public void close() {
        typing.stop();
        for (AutoCloseable ending : endings) {
            try {
                ending.close();
            } catch (Exception e) {
                FailureLog.record("close", e);
            }
        }
        pictures.close();
        sight.close();
        jobs.close();
        keeping.close();
        latest.close();
    }
}
