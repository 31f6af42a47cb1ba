package app.nosegay.evidence.sight;

/**
 * The finished picture in units of which its shorter side has 720: landscape 1280 × 720, square 720 × 720, portrait 720 × 1280.
 *
 * @param width in units
 * @param height in units
 * @param focus where the takes are cropped to this shape, the middle of what stays, as a share of their width; null where they are
 *     shown whole
 * @param share the share of their width that has to stay, so that nobody is cut; bars above and below make room for it. 0: what fills
 *     the frame
 */
public record Frame(double width, double height, Double focus, double share) {
    /** Takes are taken to be of this shape. */
    private static final double FILMED = 16.0 / 9;

    public Frame(double width, double height) {
        this(width, height, null, 0);
    }

    public Frame(double width, double height, Double focus) {
        this(width, height, focus, 0);
    }

    /** The same, with that share of the takes' width to stay. */
    public Frame keeping(double other) {
        return new Frame(width, height, focus, other);
    }

    /** The share of the takes' width that is shown. */
    public double kept() {
        return focus == null ? 1 : Math.min(1, Math.max(share, width / height / FILMED));
    }

    /** How high the takes are shown in it, in units; the rest is bars. */
    public double filled() {
        return focus == null ? height : Math.min(height, width / kept() / FILMED);
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
