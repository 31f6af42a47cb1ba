package app.nosegay.evidence.sight;

import app.nosegay.evidence.Trace;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;

/** First and last movement inside an announced stretch. */
public final class Movement {
    /** Movement is this share of the way from the take's stillness to its usual movement. */
    private static final double SHARE = 0.3;
    /** Less than this many times the take's stillness is no movement at all. */
    private static final double LEAST_RISE = 1.3;
    /** A twitch is not a start: movement has to go on for this long. */
    private static final Length STEADY = Length.ofMillis(400);

    private final Trace motion;
    private final float[] sorted;

    public Movement(Trace motion) {
        this.motion = motion;
        sorted = motion.values().clone();
        Arrays.sort(sorted);
    }

    /** The stretch between first and last movement; the announced one when there is no motion to go by. */
    public Span<Axis.Take> within(Span<Axis.Take> announced) {
        if (motion.values().length < motion.hz() * 2) {
            return announced;
        }
        double low = sorted[sorted.length / 10];
        int from = motion.index(announced.start());
        int to = motion.index(announced.end());
        // A small movement is measured by its own strength, a large one by the take's.
        float[] own = Arrays.copyOfRange(motion.values(), from, Math.max(from + 1, to));
        Arrays.sort(own);
        double usual = Math.min(sorted[(int) (sorted.length * 0.8)], own[(int) (own.length * 0.7)]);
        if (usual < low * LEAST_RISE) {
            return announced;
        }
        double threshold = low + SHARE * (usual - low);
        int steady = (int) Math.max(1, Math.round(STEADY.seconds() * motion.hz()));
        int first = steadyFrom(from, to, 1, steady, threshold);
        int last = steadyFrom(to, from, -1, steady, threshold);
        if (first < 0 || last < 0 || last <= first) {
            return announced;
        }
        Time<Axis.Take> start = Time.ofSeconds(first / motion.hz());
        Time<Axis.Take> end = Time.ofSeconds(last / motion.hz());
        return new Span<>(
                Time.max(start, announced.start()), Time.max(announced.start(), Time.min(end, announced.end())));
    }

    /** The first index from {@code from} towards {@code to} where most of the next {@code steady} values move, or −1. */
    private int steadyFrom(int from, int to, int step, int steady, double threshold) {
        for (int i = from; i != to; i += step) {
            int moving = 0;
            for (int j = 0; j < steady; j++) {
                int at = i + j * step;
                moving += at >= 0 && at < motion.values().length && motion.values()[at] > threshold ? 1 : 0;
            }
            if (motion.values()[i] > threshold && moving * 3 >= steady * 2) {
                return i;
            }
        }
        return -1;
    }
}
