package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.SettingsNote;
import app.nosegay.jobs.SightJob;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.RealTime;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.util.concurrent.CancellationException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * Looks for the people in the recordings while one goes on working: after they were read, on a thread of its own, never while
 * something plays or another job runs. What is seen joins the programme when it is there.
 */
public final class SessionSight {
    private static final long LAST_SECONDS = 2;

    private final Jobs jobs;
    private final Supplier<Workout> workout;
    private final Supplier<WorkoutMedia> media;
    private final Consumer<WorkoutMedia> seen;
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");
    private final AtomicInteger asked = new AtomicInteger();
    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "looking");
        t.setDaemon(true);
        return t;
    });

    /**
     * @param workout the open one as it is
     * @param media its recordings as they were read last
     * @param seen gets them with the people in them, on the interface thread
     */
    SessionSight(Jobs jobs, Supplier<Workout> workout, Supplier<WorkoutMedia> media, Consumer<WorkoutMedia> seen) {
        this.jobs = jobs;
        this.workout = workout;
        this.media = media;
        this.seen = seen;
    }

    /** How far it is; empty when nothing is looked at. */
    public ReadOnlyStringProperty state() {
        return state.getReadOnlyProperty();
    }

    public boolean isWanted() {
        return !SettingsNote.SIGHT_OFF.isSet();
    }

    /** Has people looked for from now on, or no more, also after the next start. */
    public void want(boolean yes) {
        SettingsNote.SIGHT_OFF.set(!yes);
        if (yes) {
            begin();
        } else {
            stop();
        }
    }

    /** Stops looking until recordings are read again. */
    public void stop() {
        asked.incrementAndGet();
        state.set("");
    }

    /** Looks at the recordings that were read and not looked at yet. */
    void begin() {
        stop();
        Workout now = workout.get();
        WorkoutMedia read = media.get();
        if (!isWanted() || thread.isShutdown() || read.readings().isEmpty()) {
            return;
        }
        int mine = asked.get();
        thread.execute(() -> {
            try {
                if (mine != asked.get() || SightJob.open(now, read).isEmpty()) {
                    return;
                }
                SightJob.look(now, read, this::isBusy, share -> step(mine, share));
                Platform.runLater(() -> seen(mine));
            } catch (CancellationException e) {
                // Stopped: what was not seen to its end is not kept.
            } catch (IOException | RuntimeException | LinkageError e) {
                // Matching does without it; a machine whose runtime cannot be loaded says so once a workout.
                FailureLog.record("sight", e);
                Platform.runLater(() -> {
                    stop();
                    jobs.say(DesktopText.of("session.sight.failed", e.getMessage()));
                });
            }
        });
    }

    private boolean isBusy() {
        return RealTime.isGoingOn() || jobs.isRunning();
    }

    private void step(int mine, double share) {
        if (mine != asked.get()) {
            throw new CancellationException();
        }
        Platform.runLater(() -> {
            if (mine == asked.get()) {
                state.set(DesktopText.of("session.sight.looking", (int) (100 * share)));
            }
        });
    }

    private void seen(int mine) {
        if (mine == asked.get()) {
            state.set("");
            seen.accept(media.get().withBodies(workout.get()));
        }
    }

    void close() {
        stop();
        thread.shutdownNow();
        try {
            thread.awaitTermination(LAST_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }
}
