package app.nosegay.media;

import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sound.VoiceListener;
import java.util.Arrays;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Semaphore;

/** Listens for voices on a thread of its own, a little behind the pass that reads the sound. */
final class VoicePass implements AutoCloseable {
    /** Pieces of sound waiting at the most: more only take room. */
    private static final int WAITING = 256;

    private final VoiceListener listener = new VoiceListener();
    private final Semaphore room = new Semaphore(WAITING);
    private final ExecutorService thread = Executors.newSingleThreadExecutor(r -> {
        Thread t = new Thread(r, "voices");
        t.setDaemon(true);
        return t;
    });

    private boolean heard;

    void listen(float[] samples, int n) {
        float[] copy = Arrays.copyOf(samples, n);
        heard |= n > 0;
        room.acquireUninterruptibly();
        thread.execute(() -> {
            try {
                listener.listen(copy, copy.length);
            } finally {
                room.release();
            }
        });
    }

    /** How likely somebody spoke; empty without sound. */
    Trace finish() {
        try {
            return heard ? thread.submit(listener::finish).get() : Trace.NONE;
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            return Trace.NONE;
        } catch (ExecutionException e) {
            throw new IllegalStateException("listening for voices failed", e.getCause());
        }
    }

    @Override
    public void close() {
        thread.shutdownNow();
    }
}
