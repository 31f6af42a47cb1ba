package app.nosegay.dress;

/**
 * The finished picture in units of which its shorter side has 720: landscape 1280 × 720, square 720 × 720, portrait 720 × 1280.
 *
 * @param width in units
 * @param height in units
 * @param focus where the takes are cropped to this shape, the middle of what stays, as a share of their width; null where they are shown whole
 */
public record Frame(double width, double height, Double focus) {
    public Frame(double width, double height) {
        this(width, height, null);
    }

    /** Screens and players may hide the outer twentieth. */
    private static final double SAFE_SHARE = 0.05;

    public static final Frame LANDSCAPE = new Frame(1280, 720);

    /** The frame of a picture of that many pixels. */
    public static Frame of(int widthPx, int heightPx) {
        double scale = 720.0 / Math.min(widthPx, heightPx);
        return new Frame(widthPx * scale, heightPx * scale);
    }

    public static Frame portrait(double focus) {
        return new Frame(720, 1280, focus);
    }

    public static Frame square(double focus) {
        return new Frame(720, 720, focus);
    }

    /** What every player shows. */
    public Box safe() {
        double mx = width * SAFE_SHARE;
        double my = height * SAFE_SHARE;
        return new Box(mx, my, width - 2 * mx, height - 2 * my);
    }
}
