package app.nosegay.time;

/**
 * A point in time on one axis.
 *
 * @param <A> the axis; see {@link Axis}
 * @param micros microseconds from the axis' zero; may be negative
 */
public record Time<A extends Axis>(long micros) implements Comparable<Time<A>> {
    public static <A extends Axis> Time<A> zero() {
        return new Time<>(0);
    }

    /** Rounded to the microsecond and held within {@link Length#MOST_SECONDS} of zero. */
    public static <A extends Axis> Time<A> ofSeconds(double seconds) {
        return new Time<>(Length.ofSeconds(seconds).micros());
    }

    public double seconds() {
        return micros / 1e6;
    }

    public Time<A> plus(Length length) {
        return new Time<>(Math.addExact(micros, length.micros()));
    }

    public Time<A> minus(Length length) {
        return new Time<>(micros - length.micros());
    }

    /** How long after {@code earlier} this is; negative when it is before. */
    public Length since(Time<A> earlier) {
        return new Length(micros - earlier.micros);
    }

    public boolean isBefore(Time<A> other) {
        return micros < other.micros;
    }

    public boolean isAfter(Time<A> other) {
        return micros > other.micros;
    }

    public static <A extends Axis> Time<A> min(Time<A> a, Time<A> b) {
        return a.micros <= b.micros ? a : b;
    }

    public static <A extends Axis> Time<A> max(Time<A> a, Time<A> b) {
        return a.micros >= b.micros ? a : b;
    }

    @Override
    public int compareTo(Time<A> other) {
        return Long.compare(micros, other.micros);
    }

    @Override
    public String toString() {
        return new Length(micros).clock();
    }
}
