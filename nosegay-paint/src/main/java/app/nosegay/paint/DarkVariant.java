package app.nosegay.paint;

import java.awt.Color;
import java.awt.image.BufferedImage;

/**
 * Colours and drawings by lamplight: the same hue, light and dark changed over. Turning the lightness L* of CIE 1976 L*a*b*
 * over keeps what two colours differ by, so what is legible on light paper is legible on dark. Formulas: CIE 15:2004 section 8.2.1, sRGB
 * primaries and transfer function of IEC 61966-2-1, white point D65.
 */
public final class DarkVariant {
    /** Paper of L* 97 comes to 14, ink of 15 to 91: neither black nor glaring. */
    private static final double LIGHTEST = 105;

    private static final double SLOPE = -0.94;

    /** Light colours on dark glow; a little less strength keeps them as quiet as they are by day. */
    private static final double CALMER = 0.8;

    private static final double[] WHITE = {0.95047, 1, 1.08883};
    private static final double LINEAR_BELOW = 216 / 24389.0;
    private static final double LINEAR_SLOPE = 24389 / 27.0;

    private DarkVariant() {}

    /** The same colour for dark paper; its opacity stays. */
    public static Color of(Color day) {
        return new Color(of(day.getRGB()), true);
    }

    /** The same for ARGB pixels that are not premultiplied. */
    public static int of(int argb) {
        double red = linear(argb >> 16 & 255);
        double green = linear(argb >> 8 & 255);
        double blue = linear(argb & 255);
        double x = lab((0.4124564 * red + 0.3575761 * green + 0.1804375 * blue) / WHITE[0]);
        double y = lab((0.2126729 * red + 0.7151522 * green + 0.0721750 * blue) / WHITE[1]);
        double z = lab((0.0193339 * red + 0.1191920 * green + 0.9503041 * blue) / WHITE[2]);
        double turned = (LIGHTEST + SLOPE * (116 * y - 16) + 16) / 116;
        double nx = WHITE[0] * back(turned + CALMER * (x - y));
        double ny = WHITE[1] * back(turned);
        double nz = WHITE[2] * back(turned + CALMER * (z - y));
        return argb & 0xFF000000
                | coded(3.2404542 * nx - 1.5371385 * ny - 0.4985314 * nz) << 16
                | coded(-0.9692660 * nx + 1.8760108 * ny + 0.0415560 * nz) << 8
                | coded(0.0556434 * nx - 0.2040259 * ny + 1.0572252 * nz);
    }

    /** Turns a drawing over, pixel by pixel; {@code drawing} has int ARGB pixels that are not premultiplied. */
    public static BufferedImage of(BufferedImage drawing) {
        int w = drawing.getWidth();
        int[] row = new int[w];
        for (int y = 0; y < drawing.getHeight(); y++) {
            drawing.getRGB(0, y, w, 1, row, 0, w);
            int last = 0;
            int turned = of(last);
            for (int x = 0; x < w; x++) {
                if (row[x] != last) {
                    last = row[x];
                    turned = of(last);
                }
                row[x] = turned;
            }
            drawing.setRGB(0, y, w, 1, row, 0, w);
        }
        return drawing;
    }

    private static double linear(int coded) {
        double c = coded / 255.0;
        return c <= 0.04045 ? c / 12.92 : Math.pow((c + 0.055) / 1.055, 2.4);
    }

    private static int coded(double linear) {
        double c = Math.max(0, Math.min(1, linear));
        return (int) Math.round(255 * (c <= 0.0031308 ? 12.92 * c : 1.055 * Math.pow(c, 1 / 2.4) - 0.055));
    }

    private static double lab(double t) {
        return t > LINEAR_BELOW ? Math.cbrt(t) : (LINEAR_SLOPE * t + 16) / 116;
    }

    private static double back(double f) {
        double cube = f * f * f;
        return cube > LINEAR_BELOW ? cube : (116 * f - 16) / LINEAR_SLOPE;
    }
}
