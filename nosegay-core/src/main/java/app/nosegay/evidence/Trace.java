package app.nosegay.evidence;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;

/**
 * One measured value over a take, at a steady rate from take time 0.
 *
 * @param hz values per second
 * @param values the values; the array is not copied and must not be changed
 */
public record Trace(double hz, float[] values) {
    public static final Trace NONE = new Trace(1, new float[0]);

    public boolean isEmpty() {
        return values.length == 0;
    }

    /** The value at {@code time}, the nearest one where it lies outside; 0 when there is none. */
    public float at(Time<Axis.Take> time) {
        return isEmpty() ? 0 : values[index(time)];
    }

    /** The values of a stretch. */
    public Trace part(Span<Axis.Take> span) {
        return isEmpty() ? this : new Trace(hz, Arrays.copyOfRange(values, index(span.start()), index(span.end())));
    }

    /** The index of {@code time}, kept inside the trace. */
    public int index(Time<Axis.Take> time) {
        return (int) Math.max(0, Math.min(values.length - 1, Math.round(time.seconds() * hz)));
    }
}
