package app.nosegay.time;

/**
 * A duration in whole microseconds; may be negative (a drift).
 *
 * @param micros the duration in microseconds
 */
public record Length(long micros) implements Comparable<Length> {
    public static final Length ZERO = new Length(0);

    /** Three years: no recording is longer, and sums of a million such lengths still fit. What a file says beyond it is a mistake. */
    public static final double MOST_SECONDS = 1e8;

    /** Rounded to the microsecond and held within {@link #MOST_SECONDS}; what is no number is zero. */
    public static Length ofSeconds(double seconds) {
        return new Length(Math.round(Math.max(-MOST_SECONDS, Math.min(MOST_SECONDS, seconds)) * 1_000_000));
    }

    public static Length ofMillis(long millis) {
        return new Length(millis * 1000);
    }

    public double seconds() {
        return micros / 1e6;
    }

    public Length plus(Length other) {
        return new Length(Math.addExact(micros, other.micros));
    }

    public Length minus(Length other) {
        return new Length(micros - other.micros);
    }

    public Length times(double factor) {
        return new Length(Math.round(micros * factor));
    }

    public Length negated() {
        return new Length(-micros);
    }

    public Length abs() {
        return micros < 0 ? negated() : this;
    }

    public boolean isPositive() {
        return micros > 0;
    }

    public static Length max(Length a, Length b) {
        return a.micros >= b.micros ? a : b;
    }

    public static Length min(Length a, Length b) {
        return a.micros <= b.micros ? a : b;
    }

    @Override
    public int compareTo(Length other) {
        return Long.compare(micros, other.micros);
    }

    /** The length as a person writes it: {@code 0:40}, {@code 25:37}, {@code 1:02:03}, {@code 0:17.5}; a leading minus when negative. */
    public String clock() {
        long tenths = Math.round(Math.abs(micros) / 100_000.0);
        long whole = tenths / 10;
        String fraction = tenths % 10 == 0 ? "" : "." + tenths % 10;
        String sign = micros < 0 && tenths > 0 ? "-" : "";
        if (whole >= 3600) {
            return sign + whole / 3600 + ":" + twoDigits(whole / 60 % 60) + ":" + twoDigits(whole % 60) + fraction;
        }
        return sign + whole / 60 + ":" + twoDigits(whole % 60) + fraction;
    }

    private static String twoDigits(long n) {
        return (n < 10 ? "0" : "") + n;
    }

    @Override
    public String toString() {
        return clock();
    }
}
