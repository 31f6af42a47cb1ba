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
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/**
 * Looks for the people in the recordings while one goes on working: after they were read, on a thread of its own, never while something plays
 * or another job runs. What is seen joins the programme when it is there.
 */
public final class SessionSight {
    private static final long LAST_SECONDS = 2;

    private final Session session;
    private final ReadOnlyStringWrapper state = new ReadOnlyStringWrapper("");
    private final AtomicInteger asked = new AtomicInteger();
    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "looking");
        t.setDaemon(true);
        return t;
    });

    SessionSight(Session session) {
        this.session = session;
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
        if (!isWanted() || thread.isShutdown() || session.media().readings().isEmpty()) {
            return;
        }
        int mine = asked.get();
        long of = session.opened();
        Workout workout = session.workout();
        WorkoutMedia media = session.media();
        thread.execute(() -> {
            try {
                if (mine != asked.get() || SightJob.open(workout, media).isEmpty()) {
                    return;
                }
                SightJob.look(workout, media, this::isBusy, share -> step(mine, share));
                Platform.runLater(() -> seen(mine, of));
            } catch (CancellationException e) {
                // Stopped: what was not seen to its end is not kept.
            } catch (IOException | RuntimeException | LinkageError e) {
                // Matching does without it; a machine whose runtime cannot be loaded says so once a workout.
                FailureLog.record("sight", e);
                Platform.runLater(() -> {
                    stop();
                    session.jobs().say(DesktopText.of("session.sight.failed", e.getMessage()));
                });
            }
        });
    }

    private boolean isBusy() {
        return RealTime.isGoingOn() || session.jobs().isRunning();
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

    private void seen(int mine, long of) {
        if (mine == asked.get() && session.isOpen(of)) {
            state.set("");
            session.media(session.media().withBodies(session.workout()));
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
