package app.nosegay.dress;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;

/**
 * The number a timer shows (docs/domain.md): min(round(length), ceil(remaining)); 0 from the end on.
 */
public final class TimerDigits {
    private TimerDigits() {}

    /** The digits at {@code time} of a timer over {@code interval}; counts real seconds whatever was planned. */
    public static int remaining(Span<Axis.Cut> interval, Time<Axis.Cut> time) {
        long full = Math.round(interval.length().seconds());
        long remaining = Math.max(0, interval.end().since(time).micros());
        return (int) Math.min(full, (remaining + 999_999) / 1_000_000);
    }

    /** The instant a frame stands for: a boundary belongs to the first frame whose time is at or after boundary − half a frame. */
    public static Time<Axis.Cut> ofFrame(Time<Axis.Cut> presentation, Length frame) {
        return presentation.plus(frame.times(0.5));
    }
}
