package app.nosegay.media;

import java.util.concurrent.atomic.AtomicInteger;

/** Whether something goes on that must not stutter, playing or recording: work that has time waits for it. */
public final class RealTime {
    private static final AtomicInteger GOING_ON = new AtomicInteger();

    private RealTime() {}

    public static boolean isGoingOn() {
        return GOING_ON.get() > 0;
    }

    /** Does {@code work} as something that must not stutter. */
    static void during(Runnable work) {
        GOING_ON.incrementAndGet();
        try {
            work.run();
        } finally {
            GOING_ON.decrementAndGet();
        }
    }
}
