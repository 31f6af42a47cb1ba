package app.nosegay.paint;

import app.nosegay.dress.Face;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.geom.Arc2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.util.Locale;

/** Draws running time in the four designs, and the count before work. */
final class ClockPainter {
    private static final int PETALS = 12;

    private ClockPainter() {}

    static String word(Face.Phase phase) {
        return switch (phase) {
            case REST -> "rest";
            case WORK -> "work";
            case WARM_UP -> "warm up";
            case COOL_DOWN -> "cool down";
        };
    }

    private static Color colour(Style style, Face.Phase phase) {
        return Label.colour(
                phase == Face.Phase.REST ? style.rest() : phase == Face.Phase.WORK ? style.work() : style.count());
    }

    static String digits(Face.Timer timer) {
        int shown = timer.countUp() ? timer.total() - timer.seconds() : timer.seconds();
        return shown >= 60 ? shown / 60 + ":" + String.format(Locale.ROOT, "%02d", shown % 60) : "" + shown;
    }

    static void timer(Graphics2D g, Style style, PlacedOverlay shown, Face.Timer timer) {
        double share = timer.total() == 0 ? 0 : timer.seconds() / (double) timer.total();
        Color colour = colour(style, timer.phase());
        switch (style.timer()) {
            case PETALS -> petals(g, style, shown, timer, share, colour);
            case RING -> ring(g, style, shown, timer, share, colour);
            case DIGITS -> plain(g, style, shown, timer, colour);
            case BAR -> bar(g, style, shown, timer, share, colour);
        }
    }

    private static Ellipse2D circle(double cx, double cy, double radius) {
        return new Ellipse2D.Double(cx - radius, cy - radius, 2 * radius, 2 * radius);
    }

    private static void petals(
            Graphics2D g, Style style, PlacedOverlay shown, Face.Timer timer, double share, Color colour) {
        Box b = shown.box();
        double radius = Math.min(b.width(), b.height()) / 2;
        double cx = b.x() + b.width() / 2;
        double cy = b.y() + b.height() / 2;
        g.setColor(Label.paper(style, shown.opacity()));
        g.fill(circle(cx, cy, radius));
        int left = (int) Math.ceil(share * PETALS);
        for (int i = 0; i < PETALS; i++) {
            AffineTransform at = AffineTransform.getTranslateInstance(cx, cy);
            at.rotate(Math.toRadians(i * 360.0 / PETALS + 15));
            at.translate(0, -radius * 0.67);
            at.scale(radius * 0.22, radius * 0.30);
            // Petals fall clockwise from the top.
            g.setColor(i < PETALS - left ? Palette.faded(colour, 60) : colour);
            g.fill(at.createTransformedShape(Glyph.petal(0)));
        }
        inDial(g, style, timer, colour, new Dial(cx, cy, radius));
    }

    /** A round clock: its centre and radius, in pixels. */
    private record Dial(double x, double y, double radius) {}

    private static void inDial(Graphics2D g, Style style, Face.Timer timer, Color colour, Dial dial) {
        double radius = dial.radius();
        String digits = digits(timer);
        Font font = Typefaces.digits(radius * (digits.length() > 3 ? 0.56 : 0.82));
        Words.centred(g, digits, font, Label.colour(style.ink()), dial.x(), dial.y() - radius * 0.10);
        Words.centred(
                g, word(timer.phase()), Typefaces.strong(radius * 0.25), colour, dial.x(), dial.y() + radius * 0.34);
    }

    private static void ring(
            Graphics2D g, Style style, PlacedOverlay shown, Face.Timer timer, double share, Color colour) {
        Box b = shown.box();
        double radius = Math.min(b.width(), b.height()) / 2;
        double cx = b.x() + b.width() / 2;
        double cy = b.y() + b.height() / 2;
        g.setColor(Label.paper(style, shown.opacity()));
        g.fill(circle(cx, cy, radius));
        double r = radius * 0.88;
        g.setStroke(new BasicStroke((float) (radius * 0.13), BasicStroke.CAP_BUTT, BasicStroke.JOIN_MITER));
        g.setColor(Palette.faded(colour, 60));
        g.draw(circle(cx, cy, r));
        g.setColor(colour);
        g.draw(new Arc2D.Double(cx - r, cy - r, 2 * r, 2 * r, 90, 360 * share, Arc2D.OPEN));
        inDial(g, style, timer, colour, new Dial(cx, cy, radius));
    }

    private static void plain(Graphics2D g, Style style, PlacedOverlay shown, Face.Timer timer, Color colour) {
        Box b = shown.box();
        Label.draw(g, style, b, colour, shown.opacity());
        String digits = digits(timer);
        double px = b.height() * (digits.length() > 3 ? 0.62 : 0.76);
        Font font = Words.fitted(g, Typefaces::digits, digits, px, b.width() * 0.56);
        double x = b.x() + b.width() * 0.07;
        Words.at(g, digits, font, Label.colour(style.ink()), x, b.y() + b.height() / 2 + font.getSize2D() * 0.33);
        double after = x + Words.width(g, font, digits) + b.width() * 0.05;
        Font small = Words.fitted(
                g, Typefaces::strong, word(timer.phase()), b.height() * 0.25, b.x() + b.width() * 0.96 - after);
        Words.at(g, word(timer.phase()), small, colour, after, b.y() + b.height() / 2 + font.getSize2D() * 0.33);
    }

    private static void bar(
            Graphics2D g, Style style, PlacedOverlay shown, Face.Timer timer, double share, Color colour) {
        Box b = shown.box();
        Label.draw(g, style, b, colour, shown.opacity());
        double pad = b.width() * 0.06;
        double barHeight = b.height() * 0.16;
        double barTop = b.bottom() - pad - barHeight;
        g.setColor(Palette.faded(colour, 60));
        g.fill(new Rectangle2D.Double(b.x() + pad, barTop, b.width() - 2 * pad, barHeight));
        g.setColor(colour);
        double length = (b.width() - 2 * pad) * share;
        g.fill(new Rectangle2D.Double(b.right() - pad - length, barTop, length, barHeight));
        String digits = digits(timer);
        Font font = Typefaces.digits(b.height() * 0.56);
        double baseline = barTop - b.height() * 0.08;
        Words.at(g, digits, font, Label.colour(style.ink()), b.x() + pad, baseline);
        Font small = Typefaces.strong(b.height() * 0.27);
        String word = word(timer.phase());
        Words.at(g, word, small, colour, b.right() - pad - Words.width(g, small, word), baseline);
    }

    static void getReady(Graphics2D g, Style style, PlacedOverlay shown, Face.GetReady ready) {
        Box b = shown.box();
        double radius = Math.min(b.width(), b.height()) / 2;
        double cx =
                shown.right() ? b.right() - Math.max(radius, b.width() / 2) : b.x() + Math.max(radius, b.width() / 2);
        double cy = b.y() + b.height() / 2;
        g.setColor(Label.colour(style.work()));
        for (int i = 0; i < 5; i++) {
            AffineTransform at = AffineTransform.getTranslateInstance(cx, cy);
            at.rotate(Math.toRadians(i * 72.0));
            at.scale(radius, radius);
            g.fill(at.createTransformedShape(Glyph.petal(0)));
        }
        g.setColor(Label.paper(style, 1));
        g.fill(circle(cx, cy, radius * 0.6));
        Words.centred(g, "" + ready.seconds(), Typefaces.digits(radius * 0.9), Label.colour(style.ink()), cx, cy);
    }
}
