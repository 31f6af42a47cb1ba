package app.nosegay.desktop.session;

import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Path;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.function.LongSupplier;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.beans.property.ReadOnlyObjectWrapper;

/** The programme that follows from the workout: computed beside the window, and only the newest result is shown. */
final class LatestProgramme {
    private static final long LAST_SECONDS = 3;

    private final ExecutorService computing = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "computing");
        t.setDaemon(true);
        return t;
    });
    private final AtomicLong wanted = new AtomicLong();
    private final ReadOnlyObjectWrapper<Programme> programme = new ReadOnlyObjectWrapper<>();
    private final ReadOnlyBooleanWrapper outdated = new ReadOnlyBooleanWrapper();
    /** The one the shown programme is of. */
    private long shownOf = -1;

    private final LongSupplier opened;
    private final Supplier<Path> folder;

    /**
     * @param opened counts the workouts that were open in this window
     * @param folder the one media paths are relative to
     */
    LatestProgramme(LongSupplier opened, Supplier<Path> folder) {
        this.opened = opened;
        this.folder = folder;
    }

    /** Behind the workout by a moment while it is computed. */
    ReadOnlyObjectProperty<Programme> programme() {
        return programme.getReadOnlyProperty();
    }

    /** Whether computing failed, so that what is shown is older than the workout. */
    ReadOnlyBooleanProperty outdated() {
        return outdated.getReadOnlyProperty();
    }

    /** @param of which of the workouts opened in this window {@code now} is */
    void compute(long of, WorkoutMedia from, Workout now) {
        long mine = wanted.incrementAndGet();
        if (!computing.isShutdown()) { // else the window is closing
            computing.execute(() -> compute(mine, of, from, now));
        }
    }

    private void compute(long mine, long of, WorkoutMedia from, Workout now) {
        if (mine != wanted.get()) {
            return;
        }
        try {
            Programme next = from.programme(now);
            Platform.runLater(() -> show(mine, of, next));
        } catch (RuntimeException | Error e) {
            FailureLog.record("computing", e);
            Platform.runLater(() -> failed(of));
        }
    }

    private void show(long asked, long of, Programme next) {
        if (asked == wanted.get()) {
            outdated.set(false);
            shownOf = of;
            programme.set(next);
        }
    }

    /** The last good state stays and is marked as old; that of another workout does not. */
    private void failed(long of) {
        outdated.set(true);
        if (of == opened.getAsLong() && shownOf != of) {
            shownOf = of;
            programme.set(WorkoutMedia.none(folder.get()).programme(Workout.EMPTY));
        }
    }

    /** What is being computed may end. */
    void close() {
        computing.shutdown();
        try {
            computing.awaitTermination(LAST_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
