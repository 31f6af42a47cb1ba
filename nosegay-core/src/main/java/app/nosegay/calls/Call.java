package app.nosegay.calls;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;

/**
 * A spoken statement about time or number.
 *
 * @param kind what it is
 * @param value its number, or null where the kind has none
 * @param to the last number of a count or a range, or null
 * @param of what half-way or a total is of, or the move a next-up names; null otherwise
 * @param time when its first word starts
 * @param end when its last word ends
 * @param text its words as transcribed
 */
public record Call(
        CallKind kind, Integer value, Integer to, String of, Time<Axis.Take> time, Time<Axis.Take> end, String text) {
    public Call as(CallKind other) {
        return new Call(other, value, to, of, time, end, text);
    }
}
