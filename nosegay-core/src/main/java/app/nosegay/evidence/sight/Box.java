package app.nosegay.evidence.sight;

/**
 * A rectangle of the finished picture, in units of which its shorter side has 720; x to the right, y down.
 *
 * @param x left edge
 * @param y upper edge
 */
public record Box(double x, double y, double width, double height) {
    public double right() {
        return x + width;
    }

    public double bottom() {
        return y + height;
    }

    public boolean overlaps(Box other) {
        return x < other.right() && other.x < right() && y < other.bottom() && other.y < bottom();
    }

    /** Whether it lies wholly inside {@code other}; a thousandth of a unit is forgiven. */
    public boolean inside(Box other) {
        return x >= other.x - 1e-3
                && y >= other.y - 1e-3
                && right() <= other.right() + 1e-3
                && bottom() <= other.bottom() + 1e-3;
    }
}
