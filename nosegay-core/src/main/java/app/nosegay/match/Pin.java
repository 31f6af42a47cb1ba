package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;

/**
 * A boundary the user fixed by hand; no solving ever moves it.
 *
 * @param segment the segment it bounds
 * @param end whether it is the segment's end, else its start
 * @param take the take it lies in
 * @param time when
 */
public record Pin(String segment, boolean end, String take, Time<Axis.Take> time) {
    /** Whether this and {@code other} fix the same boundary of the same segment. */
    public boolean sameBoundary(Pin other) {
        return segment.equals(other.segment) && end == other.end;
    }
}
