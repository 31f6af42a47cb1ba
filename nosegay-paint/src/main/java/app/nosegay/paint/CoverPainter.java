package app.nosegay.paint;

import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
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
    private static final double PADDING = 28;
    /** From line to line, as a share of their size. */
    private static final double LEADING = 1.12;

    private static final int PETALS = 8;

    private CoverPainter() {}

    /**
     * The words on a cover.
     *
     * @param line one short line under the title
     * @param px size of the title, in units of the frame
     * @param widest the title is broken into lines no wider than this share of a wide frame
     * @param right whether they stand at the right
     * @param top whether they stand at the top
     */
    public record Lettering(String title, String line, double px, double widest, boolean right, boolean top) {}

    /** A cover of {@code width} × {@code height} pixels from a frame, cropped around {@code focus}, a share of its width, to fill it. */
    public static BufferedImage paint(
            BufferedImage picture, double focus, Lettering words, Style style, int width, int height) {
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
        words(g, frame, words, style);
        g.dispose();
        return cover;
    }

    /** The label under the words, where it would be. */
    public static Box box(Lettering words, Style style, Frame frame) {
        Graphics2D g = new BufferedImage(1, 1, BufferedImage.TYPE_INT_RGB).createGraphics();
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        Box box = box(g, words, style, frame);
        g.dispose();
        return box;
    }

    private static Box box(Graphics2D g, Lettering words, Style style, Frame frame) {
        Font heading = face(style, words.px());
        List<String> lines = lines(g, words, style, frame);
        double h = lines.size() * words.px() * LEADING + (words.line().isEmpty() ? 0 : 66) + 44;
        double w =
                Math.max(widest(g, lines, heading), Words.width(g, small(g, words, frame), words.line())) + 2 * PADDING;
        Box safe = frame.safe();
        return new Box(words.right() ? safe.right() - w : safe.x(), words.top() ? safe.y() : safe.bottom() - h, w, h);
    }

    private static double room(Frame frame) {
        return frame.safe().width() - 2 * PADDING;
    }

    /** Broken into lines of about equal width, no more of them than its size needs. */
    private static List<String> lines(Graphics2D g, Lettering words, Style style, Frame frame) {
        double most = frame.width() > frame.height() ? room(frame) * words.widest() : room(frame);
        return Words.wrapped(g, words.title(), face(style, words.px()), most);
    }

    private static Font small(Graphics2D g, Lettering words, Frame frame) {
        return Words.fitted(g, Typefaces::strong, words.line(), Math.min(40, words.px() * 0.62), room(frame));
    }

    private static void words(Graphics2D g, Frame frame, Lettering words, Style style) {
        Box box = box(g, words, style, frame);
        Color kind = Label.colour(style.work());
        Label.draw(g, style, box, kind, Math.max(0.9, style.opacity()));
        double baseline = box.y() + 20 + words.px() * 0.86;
        for (String line : lines(g, words, style, frame)) {
            Words.at(g, line, face(style, words.px()), Label.colour(style.ink()), box.x() + PADDING, baseline);
            baseline += words.px() * LEADING;
        }
        Words.at(
                g, words.line(), small(g, words, frame), kind, box.x() + PADDING, baseline - words.px() * LEADING + 62);
        flower(
                g,
                words.right() ? box.x() + 6 : box.right() - 6,
                words.top() ? box.bottom() - 2 : box.y() - 2,
                Math.min(46, words.px() * 0.55),
                kind,
                Label.colour(style.paper()));
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
