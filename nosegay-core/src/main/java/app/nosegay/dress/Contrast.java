package app.nosegay.dress;

/** Contrast of colours by WCAG 2.2, "relative luminance" and "contrast ratio". */
public final class Contrast {
    /** WCAG 2.2, 1.4.3 (AA): words are at least this far from what is behind them. */
    public static final double LEAST = 4.5;

    private static final double STEP = 0.02;

    private Contrast() {}

    /** Relative luminance of 0xRRGGBB, 0 to 1. */
    static double luminance(double r, double g, double b) {
        return 0.2126 * linear(r) + 0.7152 * linear(g) + 0.0722 * linear(b);
    }

    private static double linear(double channel) {
        double c = channel / 255;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    /** The ratio of two colours 0xRRGGBB, 1 to 21. */
    public static double ratio(int a, int b) {
        return ratio(luminance(a >> 16 & 255, a >> 8 & 255, a & 255), luminance(b >> 16 & 255, b >> 8 & 255, b & 255));
    }

    private static double ratio(double a, double b) {
        return (Math.max(a, b) + 0.05) / (Math.min(a, b) + 0.05);
    }

    /**
     * The ratio of words on a backing that lets the picture shine through.
     *
     * @param opacity of the backing, 0 to 1
     * @param grey how bright the picture behind is, 0 to 255
     */
    public static double over(int ink, int paper, double opacity, double grey) {
        double rest = (1 - opacity) * grey;
        double behind = luminance(
                opacity * (paper >> 16 & 255) + rest,
                opacity * (paper >> 8 & 255) + rest,
                opacity * (paper & 255) + rest);
        return ratio(luminance(ink >> 16 & 255, ink >> 8 & 255, ink & 255), behind);
    }

    /**
     * The least opacity from {@code opacity} on with which both words and lesser words can be read over a picture between two
     * brightnesses.
     */
    public static double enough(Style style, double darkest, double brightest) {
        for (double a = style.opacity(); a < 1; a += STEP) {
            boolean readable = over(style.ink(), style.paper(), a, darkest) >= LEAST
                    && over(style.ink(), style.paper(), a, brightest) >= LEAST
                    && over(style.faded(), style.paper(), a, darkest) >= LEAST
                    && over(style.faded(), style.paper(), a, brightest) >= LEAST;
            if (readable) {
                return a;
            }
        }
        return 1;
    }
}
