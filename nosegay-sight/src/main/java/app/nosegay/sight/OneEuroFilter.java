package app.nosegay.sight;

/**
 * Smooths a place over time: much where it rests, little where it moves. Casiez, Roussel and Vogel, "1 € Filter: a simple
 * speed-based low-pass filter for noisy input in interactive systems", CHI 2012.
 */
final class OneEuroFilter {
    /** Hertz up to which a resting place is let through. */
    private static final double LEAST_CUTOFF = 1.6;
    /** How fast that rises with speed, in hertz for each height of the picture a second. */
    private static final double BY_SPEED = 12;

    private static final double SPEED_CUTOFF = 2;

    private final double hz;
    private double value = Double.NaN;
    private double speed;

    OneEuroFilter(double hz) {
        this.hz = hz;
    }

    double next(double seen) {
        if (Double.isNaN(value)) {
            value = seen;
            return value;
        }
        double weight = weight(SPEED_CUTOFF);
        speed = weight * (seen - value) * hz + (1 - weight) * speed;
        double now = weight(LEAST_CUTOFF + BY_SPEED * Math.abs(speed));
        value = now * seen + (1 - now) * value;
        return value;
    }

    private double weight(double cutoff) {
        double tau = 1 / (2 * Math.PI * cutoff);
        return 1 / (1 + tau * hz);
    }
}
