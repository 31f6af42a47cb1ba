package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.workout.Workout;
import app.nosegay.workout.WorkoutJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.Executors;
import java.util.concurrent.ScheduledExecutorService;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.function.Consumer;

/**
 * Keeps the changes of a workout that are not saved yet: on the disk {@value #AFTER_MILLIS} ms after the first of them, however the
 * changes go on, on a thread of its own. What cannot be written is tried again until it can.
 */
public final class ChangeKeeper implements AutoCloseable {
    /** With the writing itself this stays under the second and a half of work that may be lost. */
    private static final long AFTER_MILLIS = 300;

    private static final long RETRY_MILLIS = 2500;
    private static final long FLUSH_SECONDS = 5;

    private final ScheduledExecutorService thread = Executors.newSingleThreadScheduledExecutor(r -> {
        Thread t = new Thread(r, "keeping-changes");
        t.setDaemon(true);
        return t;
    });
    private final Consumer<IOException> listener;
    /** Held from taking a state to having written it. */
    private final Object writing = new Object();

    private Pending pending;
    private boolean scheduled;

    /** A state of a workout and where it is to be kept. */
    private record Pending(Path target, Workout workout) {}

    /**
     * @param listener hears on the keeper's thread that all changes are kept (null), or why they are not
     */
    public ChangeKeeper(Consumer<IOException> listener) {
        this.listener = listener;
        // The first writing of a program takes longest: what it needs is loaded before there is anything to lose.
        thread.execute(() -> WorkoutJson.write(Workout.EMPTY));
    }

    /** The workout has changed: it is kept in {@code target} soon. */
    public synchronized void changed(Path target, Workout workout) {
        pending = new Pending(target, workout);
        schedule(AFTER_MILLIS);
    }

    /** Nothing is left to keep: it was saved. What was just being written is written when this returns, so that it can be removed. */
    public void settled() {
        synchronized (writing) {
            synchronized (this) {
                pending = null;
            }
        }
    }

    private synchronized void schedule(long millis) {
        if (!scheduled && !thread.isShutdown()) {
            scheduled = true;
            thread.schedule(this::write, millis, TimeUnit.MILLISECONDS);
        }
    }

    private synchronized Pending take() {
        scheduled = false;
        Pending now = pending;
        pending = null;
        return now;
    }

    private synchronized void again(Pending failed) {
        if (pending == null) {
            pending = failed;
        }
        schedule(RETRY_MILLIS);
    }

    private void write() {
        synchronized (writing) {
            writeTaken(take());
        }
    }

    private void writeTaken(Pending now) {
        if (now == null) {
            return;
        }
        try {
            Files.createDirectories(now.target().toAbsolutePath().getParent());
            AtomicFile.write(now.target(), WorkoutJson.write(now.workout()));
            listener.accept(null);
        } catch (IOException e) {
            again(now);
            listener.accept(e);
        } catch (RuntimeException e) {
            FailureLog.record("autosave", e);
            again(now);
            listener.accept(new IOException(e.toString(), e));
        }
    }

    /** Keeps now what is not kept yet; whether nothing is left. */
    public boolean flush() {
        try {
            thread.submit(this::write).get(FLUSH_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } catch (ExecutionException | TimeoutException e) {
            FailureLog.note("autosave", e);
        }
        synchronized (this) {
            return pending == null;
        }
    }

    @Override
    public void close() {
        flush();
        thread.shutdownNow();
    }
}
