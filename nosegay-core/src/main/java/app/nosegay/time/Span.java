package app.nosegay.time;

import java.util.Optional;

/**
 * A half-open stretch of one axis: {@code start} belongs to it, {@code end} does not.
 *
 * @param start its first instant
 * @param end the first instant after it; never before {@code start}
 */
public record Span<A extends Axis>(Time<A> start, Time<A> end) {
    public Span {
        if (end.isBefore(start)) {
            throw new IllegalArgumentException("a span ends before it starts: " + start + " to " + end);
        }
    }

    public Length length() {
        return end.since(start);
    }

    public boolean contains(Time<A> time) {
        return !time.isBefore(start) && time.isBefore(end);
    }

    public boolean overlaps(Span<A> other) {
        return start.isBefore(other.end) && other.start.isBefore(end);
    }

    /** The stretch both have in common. */
    public Optional<Span<A>> overlap(Span<A> other) {
        return overlaps(other)
                ? Optional.of(new Span<>(Time.max(start, other.start), Time.min(end, other.end)))
                : Optional.empty();
    }
}
