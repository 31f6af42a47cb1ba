package app.nosegay.cut;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;

/**
 * A recording of the same run by another camera. Nothing is matched in it: it lies under the first, and its picture can be shown for
 * any interval, with the sound of the first.
 *
 * @param take the second recording
 * @param of the recording it lies under
 * @param later how much later a moment of the first is in the second; negative where the second was started later
 * @param length of the second
 */
public record SecondCamera(String take, String of, Length later, Length length) {
    /** A moment of the first recording in the second. */
    public Time<Axis.Take> at(Time<Axis.Take> time) {
        return time.plus(later);
    }

    public Span<Axis.Take> at(Span<Axis.Take> span) {
        return new Span<>(at(span.start()), at(span.end()));
    }

    /** Whether it was running in a stretch of the first recording. */
    public boolean saw(Span<Axis.Take> span) {
        Span<Axis.Take> there = at(span);
        return !there.start().isBefore(Time.zero())
                && !there.end().isAfter(Time.<Axis.Take>zero().plus(length));
    }
}
