package app.nosegay.paint;

import app.nosegay.dress.Frame;
import app.nosegay.dress.Style;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.image.BufferedImage;
import java.util.List;

/** Draws the cover: a frame of the video, the title large on a label, the promise under it. */
public final class CoverPainter {
    private static final double MARGIN = 40;
    private static final int PETALS = 8;

    private CoverPainter() {}

    /**
     * A cover of {@code width} × {@code height} pixels.
     *
     * @param picture the frame; cropped around {@code focus} to fill
     * @param focus the middle of what stays, as a share of its width
     * @param promise one short line
     * @param right whether the words stand at the right, clear of people
     * @param top whether they stand at the top
     */
    public static BufferedImage paint(
            BufferedImage picture,
            double focus,
            String title,
            String promise,
            Style style,
            int width,
            int height,
            boolean right,
            boolean top) {
        BufferedImage cover = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = cover.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BICUBIC);
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        double fill = Math.max(width / (double) picture.getWidth(), height / (double) picture.getHeight());
        double w = picture.getWidth() * fill;
        double x = Math.max(width - w, Math.min(0, width / 2.0 - focus * w));
        double y = (height - picture.getHeight() * fill) / 2;
        AffineTransform place = AffineTransform.getTranslateInstance(x, y);
        place.scale(fill, fill);
        g.drawRenderedImage(picture, place);
        Frame frame = Frame.of(width, height);
        g.scale(width / frame.width(), width / frame.width());
        words(g, frame, title, promise, style, right, top);
        g.dispose();
        return cover;
    }

    private static void words(
            Graphics2D g, Frame frame, String title, String promise, Style style, boolean right, boolean top) {
        boolean wide = frame.width() > frame.height();
        double room = (wide ? frame.width() * 0.66 : frame.width()) - 2 * MARGIN;
        double px = 96;
        List<String> lines = Words.wrapped(g, title, face(style, px), room - 56);
        while (px > 44 && (lines.size() > (wide ? 2 : 3) || widest(g, lines, face(style, px)) > room - 56)) {
            px -= 4;
            lines = Words.wrapped(g, title, face(style, px), room - 56);
        }
        Font heading = face(style, px);
        Font small = Words.fitted(g, Typefaces::strong, promise, 40, room - 56);
        double h = lines.size() * px * 1.12 + (promise.isEmpty() ? 0 : 66) + 44;
        double w = Math.max(widest(g, lines, heading), Words.width(g, small, promise)) + 56;
        double x = right ? frame.safe().right() - w : frame.safe().x();
        double y = top ? frame.safe().y() : frame.safe().bottom() - h;
        Color kind = Label.colour(style.work());
        Label.draw(g, style, x, y, w, h, kind, Math.max(0.9, style.opacity()));
        double baseline = y + 20 + px * 0.86;
        for (String line : lines) {
            Words.at(g, line, heading, Label.colour(style.ink()), x + 30, baseline);
            baseline += px * 1.12;
        }
        Words.at(g, promise, small, kind, x + 30, baseline - px * 1.12 + 66);
        flower(g, right ? x + 6 : x + w - 6, top ? y + h - 2 : y - 2, 46, kind, Label.colour(style.paper()));
    }

    private static Font face(Style style, double px) {
        return style.serif() ? Typefaces.heading(px) : Typefaces.strong(px);
    }

    private static double widest(Graphics2D g, List<String> lines, Font font) {
        return lines.stream().mapToDouble(l -> Words.width(g, font, l)).max().orElse(0);
    }

    /** A pressed flower on the label's corner. */
    private static void flower(Graphics2D g, double cx, double cy, double radius, Color petals, Color middle) {
        g.setColor(petals);
        for (int i = 0; i < PETALS; i++) {
            AffineTransform at = AffineTransform.getTranslateInstance(cx, cy);
            at.rotate(Math.toRadians(i * 360.0 / PETALS));
            at.scale(radius, radius);
            g.fill(at.createTransformedShape(Glyph.petal(0)));
        }
        g.setColor(middle);
        g.fill(new Ellipse2D.Double(cx - radius * 0.22, cy - radius * 0.22, radius * 0.44, radius * 0.44));
    }
}
