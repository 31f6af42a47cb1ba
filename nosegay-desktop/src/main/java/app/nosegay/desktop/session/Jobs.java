package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import app.nosegay.media.Progress;
import java.io.IOException;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.function.Consumer;
import java.util.function.Supplier;
import javafx.application.Platform;
import javafx.beans.property.ReadOnlyBooleanProperty;
import javafx.beans.property.ReadOnlyBooleanWrapper;
import javafx.beans.property.ReadOnlyDoubleProperty;
import javafx.beans.property.ReadOnlyDoubleWrapper;
import javafx.beans.property.ReadOnlyStringProperty;
import javafx.beans.property.ReadOnlyStringWrapper;

/** Runs long jobs one after the other off the interface thread, with progress, remaining time and cancel. */
public final class Jobs {
    /** A job answers to cancel within a second; the window waits a little longer for it. */
    private static final long LAST_SECONDS = 3;

    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "jobs");
        t.setDaemon(true);
        return t;
    });
    private final ReadOnlyStringWrapper name = new ReadOnlyStringWrapper("");
    private final ReadOnlyStringWrapper message = new ReadOnlyStringWrapper("");
    private final ReadOnlyBooleanWrapper news = new ReadOnlyBooleanWrapper();
    private final ReadOnlyDoubleWrapper share = new ReadOnlyDoubleWrapper(0);
    private final AtomicBoolean updateUnderWay = new AtomicBoolean();
    private volatile double latestShare;
    private volatile String latestName = "";
    /** Counts up with every cancel: what was asked for before it does not run any more. */
    private final AtomicInteger cancels = new AtomicInteger();

    /** A job's work, done on the job thread. */
    @FunctionalInterface
    public interface Work<T> {
        T run(Progress progress) throws Exception;
    }

    /** Runs {@code work}; {@code done} gets its result on the interface thread. A failure becomes the message. */
    public <T> void run(String what, Work<T> work, Consumer<T> done) {
        message.set("");
        name.set(what);
        share.set(0);
        if (thread.isShutdown()) {
            return; // the window is closing
        }
        int asked = cancels.get();
        thread.execute(() -> {
            if (asked != cancels.get()) {
                Platform.runLater(() -> idle(DesktopText.of("session.jobs.was-cancelled-nothing-was-left", what)));
                return;
            }
            long began = System.nanoTime();
            Platform.runLater(() -> name.set(what));
            try {
                T result = work.run(s -> step(what, s, began, asked));
                Platform.runLater(() -> {
                    idle("");
                    done.accept(result);
                });
            } catch (CancellationException e) {
                Platform.runLater(() -> idle(DesktopText.of("session.jobs.was-cancelled-nothing-was-left", what)));
            } catch (IOException | IllegalArgumentException e) {
                // Expected at times: a missing file, a full disk. Its message says what to do.
                FailureLog.note(what, e);
                Platform.runLater(() -> idle(e.getMessage() == null ? e.toString() : e.getMessage()));
            } catch (Exception | Error e) {
                FailureLog.record(what, e);
                Platform.runLater(() -> idle(DesktopText.of("session.jobs.stopped-by-a-failure", what)));
            }
        });
    }

    /** Computes something short beside the jobs; {@code done} gets it on the interface thread. A failure is logged and shown. */
    public <T> void beside(String what, Supplier<T> work, Consumer<T> done) {
        CompletableFuture.supplyAsync(work).whenComplete((result, failure) -> {
            if (failure == null) {
                Platform.runLater(() -> done.accept(result));
            } else {
                FailureLog.record(what, failure.getCause() == null ? failure : failure.getCause());
            }
        });
    }

    /** Stops what is running, so that nothing is left half-written, and takes nothing new. */
    void close() {
        cancel();
        thread.shutdownNow();
        try {
            thread.awaitTermination(LAST_SECONDS, TimeUnit.SECONDS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void step(String what, double done, long began, int asked) {
        if (asked != cancels.get()) {
            throw new CancellationException();
        }
        double seconds = (System.nanoTime() - began) / 1e9;
        // A forecast from under a few per cent is worth nothing.
        String left = done > 0.04 && seconds > 2
                ? DesktopText.of("session.jobs.about-s-left", Math.max(1, Math.round(seconds * (1 - done) / done)))
                : "";
        latestShare = done;
        latestName = what + left;
        // One update on its way is enough, however often a job reports.
        if (updateUnderWay.compareAndSet(false, true)) {
            Platform.runLater(() -> {
                updateUnderWay.set(false);
                if (isRunning()) {
                    share.set(latestShare);
                    name.set(latestName);
                }
            });
        }
    }

    private void idle(String text) {
        name.set("");
        news.set(false);
        message.set(text);
        share.set(0);
    }

    /** Asks the running job to stop, and drops those that wait for it. */
    public void cancel() {
        cancels.incrementAndGet();
    }

    public boolean isRunning() {
        return !name.get().isEmpty();
    }

    /** What is running, with the time left; empty when nothing is. */
    public ReadOnlyStringProperty name() {
        return name.getReadOnlyProperty();
    }

    /** Why the last job did not end well; empty when it did. */
    public ReadOnlyStringProperty message() {
        return message.getReadOnlyProperty();
    }

    /** Shows something that went wrong without a job. */
    public void say(String text) {
        news.set(false);
        message.set(text);
    }

    /** Shows something that went well. */
    public void tell(String text) {
        news.set(true);
        message.set(text);
    }

    /** Whether the message is good news. */
    public ReadOnlyBooleanProperty news() {
        return news.getReadOnlyProperty();
    }

    public ReadOnlyDoubleProperty share() {
        return share.getReadOnlyProperty();
    }
}
