package app.nosegay.paint;

import app.nosegay.dress.Face;
import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/**
 * Draws faces in the shipped style "Pressed": paper labels with thin rules, a timer that loses its petals. All sizes are in units of a
 * picture 720 high and scale with it; everything stays inside the safe margin.
 */
public final class PiecePainter {
    /** Screens and players may hide the outer twentieth. */
    private static final double SAFE_SHARE = 0.05;

    private static final int PETALS = 12;
    private static final double DIAL_RADIUS = 98;
    private static final double CARD_WIDTH = 470;

    private PiecePainter() {}

    /** Clears {@code target} and draws {@code faces} on it. */
    public static void paint(List<Face> faces, BufferedImage target) {
        Graphics2D g = target.createGraphics();
        g.setComposite(AlphaComposite.Clear);
        g.fillRect(0, 0, target.getWidth(), target.getHeight());
        g.setComposite(AlphaComposite.SrcOver);
        draw(faces, g, target.getWidth(), target.getHeight());
        g.dispose();
    }

    /** Draws {@code faces} over what is there. */
    public static void draw(List<Face> faces, Graphics2D g, int width, int height) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        double scale = height / 720.0;
        AffineTransform before = g.getTransform();
        g.scale(scale, scale);
        Frame frame = new Frame(width / scale, 720);
        // A timer at zero stays while the next one enters: the newest is drawn, the one at zero moves aside.
        List<Face.Timer> timers = faces.stream()
                .filter(Face.Timer.class::isInstance)
                .map(Face.Timer.class::cast)
                .toList();
        for (int i = 0; i < timers.size(); i++) {
            boolean aside = i < timers.size() - 1;
            timer(g, frame, timers.get(i), aside);
        }
        for (Face face : faces) {
            if (face instanceof Face.GetReady ready) {
                getReady(g, frame, ready);
            } else if (face instanceof Face.NamePlate plate) {
                namePlate(g, frame, plate);
            } else if (face instanceof Face.SideBadge badge) {
                sideBadge(g, frame, badge);
            } else if (face instanceof Face.RepCounter counter) {
                repCounter(g, frame, counter);
            } else if (face instanceof Face.Card card) {
                card(g, frame, card);
            }
        }
        g.setTransform(before);
    }

    /** The picture in units. */
    private record Frame(double width, double height) {
        double left() {
            return width * SAFE_SHARE;
        }

        double right() {
            return width * (1 - SAFE_SHARE);
        }

        double top() {
            return height * SAFE_SHARE;
        }

        double bottom() {
            return height * (1 - SAFE_SHARE);
        }
    }

    private static void label(Graphics2D g, double x, double y, double w, double h, Color stripe) {
        g.setColor(Palette.faded(Palette.INK, 46));
        g.fill(new RoundRectangle2D.Double(x + 2, y + 3, w, h, 10, 10));
        g.setColor(Palette.faded(Palette.PAPER, 240));
        g.fill(new RoundRectangle2D.Double(x, y, w, h, 10, 10));
        g.setColor(stripe);
        g.fill(new RoundRectangle2D.Double(x, y, 7, h, 7, 7));
    }

    private static Color colour(Face.Phase phase) {
        return phase == Face.Phase.REST ? Palette.REST : phase == Face.Phase.WORK ? Palette.WORK : Palette.COUNT;
    }

    private static void timer(Graphics2D g, Frame frame, Face.Timer timer, boolean aside) {
        double radius = aside ? DIAL_RADIUS * 0.55 : DIAL_RADIUS;
        double cx = frame.right() - DIAL_RADIUS - (aside ? 2.05 * DIAL_RADIUS : 0);
        double cy = frame.top() + DIAL_RADIUS - (aside ? DIAL_RADIUS - radius : 0);
        Color colour = colour(timer.phase());
        g.setColor(Palette.faded(Palette.PAPER, 240));
        g.fill(circle(cx, cy, radius));
        double share = timer.total() == 0 ? 0 : timer.seconds() / (double) timer.total();
        int left = (int) Math.ceil(share * PETALS);
        for (int i = 0; i < PETALS; i++) {
            AffineTransform at = AffineTransform.getTranslateInstance(cx, cy);
            at.rotate(Math.toRadians(i * 360.0 / PETALS + 15));
            at.translate(0, -radius * 0.67);
            at.scale(radius * 0.22, radius * 0.30);
            // Petals fall clockwise from the top.
            boolean fallen = i < PETALS - left;
            g.setColor(fallen ? Palette.faded(colour, 60) : colour);
            g.fill(at.createTransformedShape(Glyph.petal(0)));
        }
        int shown = timer.countUp() ? timer.total() - timer.seconds() : timer.seconds();
        String digits = shown >= 60 ? shown / 60 + ":" + String.format("%02d", shown % 60) : "" + shown;
        Font font = Typefaces.digits(radius * (digits.length() > 3 ? 0.56 : 0.82));
        centred(g, digits, font, Palette.INK, cx, cy - radius * 0.10);
        String word = timer.phase() == Face.Phase.REST
                ? "rest"
                : timer.phase() == Face.Phase.WORK
                        ? "work"
                        : timer.phase() == Face.Phase.WARM_UP ? "warm up" : "cool down";
        centred(g, word, Typefaces.strong(radius * 0.22), colour, cx, cy + radius * 0.33);
    }

    private static Ellipse2D circle(double cx, double cy, double radius) {
        return new Ellipse2D.Double(cx - radius, cy - radius, 2 * radius, 2 * radius);
    }

    private static void centred(Graphics2D g, String text, Font font, Color colour, double cx, double cy) {
        g.setFont(font);
        g.setColor(colour);
        double w = font.getStringBounds(text, g.getFontRenderContext()).getWidth();
        double capHeight = font.getSize2D() * 0.66;
        g.drawString(text, (float) (cx - w / 2), (float) (cy + capHeight / 2));
    }

    private static void getReady(Graphics2D g, Frame frame, Face.GetReady ready) {
        double cx = frame.right() - DIAL_RADIUS;
        double cy = frame.top() + 2 * DIAL_RADIUS + 92;
        g.setColor(Palette.WORK);
        for (int i = 0; i < 5; i++) {
            AffineTransform at = AffineTransform.getTranslateInstance(cx, cy);
            at.rotate(Math.toRadians(i * 72.0));
            at.scale(84, 84);
            g.fill(at.createTransformedShape(Glyph.petal(0)));
        }
        g.setColor(Palette.PAPER);
        g.fill(circle(cx, cy, 50));
        centred(g, "" + ready.seconds(), Typefaces.digits(76), Palette.INK, cx, cy);
    }

    private static void namePlate(Graphics2D g, Frame frame, Face.NamePlate plate) {
        List<String> parts = new ArrayList<>();
        if (plate.move() > 0) {
            parts.add("Move " + plate.move() + " of " + plate.moves());
        }
        if (plate.rounds() > 0) {
            parts.add(plate.roundWord() + " " + plate.round() + " of " + plate.rounds());
        }
        Font nameFont = fitted(g, plate.name(), 42, frame.right() - frame.left() - 2.6 * DIAL_RADIUS - 60);
        String below = String.join("  ·  ", parts);
        double w = Math.max(width(g, nameFont, plate.name()), width(g, Typefaces.strong(26), below)) + 46;
        double h = below.isEmpty() ? 72 : 104;
        label(g, frame.left(), frame.top(), w, h, Palette.WORK);
        text(g, plate.name(), nameFont, Palette.INK, frame.left() + 24, frame.top() + 49);
        text(g, below, Typefaces.strong(26), Palette.FADED_INK, frame.left() + 24, frame.top() + 87);
    }

    private static Font fitted(Graphics2D g, String text, double px, double room) {
        double w = width(g, Typefaces.heading(px), text);
        return Typefaces.heading(w <= room ? px : Math.max(24, px * room / w));
    }

    private static double width(Graphics2D g, Font font, String text) {
        return text.isEmpty()
                ? 0
                : font.getStringBounds(text, g.getFontRenderContext()).getWidth();
    }

    private static void text(Graphics2D g, String text, Font font, Color colour, double x, double y) {
        g.setFont(font);
        g.setColor(colour);
        g.drawString(text, (float) x, (float) y);
    }

    private static void sideBadge(Graphics2D g, Frame frame, Face.SideBadge badge) {
        double x = frame.left();
        double y = frame.top() + 118;
        double w = width(g, Typefaces.strong(32), badge.word()) + 92;
        label(g, x, y, w, 58, Palette.COUNT);
        double ax = x + 38;
        double ay = y + 29;
        int d = badge.towardsLeft() ? -1 : 1;
        Path2D arrow = new Path2D.Double();
        arrow.moveTo(ax + 20 * d, ay);
        arrow.lineTo(ax, ay - 19);
        arrow.quadTo(ax + 4 * d, ay - 10, ax + 1 * d, ay - 6);
        arrow.lineTo(ax - 20 * d, ay - 5);
        arrow.lineTo(ax - 20 * d, ay + 5);
        arrow.lineTo(ax + 1 * d, ay + 6);
        arrow.quadTo(ax + 4 * d, ay + 10, ax, ay + 19);
        arrow.closePath();
        g.setColor(Palette.COUNT);
        g.fill(arrow);
        text(g, badge.word(), Typefaces.strong(32), Palette.INK, x + 68, y + 40);
    }

    private static void repCounter(Graphics2D g, Frame frame, Face.RepCounter counter) {
        String digits = "" + counter.done();
        String of = counter.target() > 0 ? "of " + counter.target() + " reps" : counter.done() == 1 ? "rep" : "reps";
        double w = 70 + Math.max(52, width(g, Typefaces.digits(60), digits)) + width(g, Typefaces.strong(26), of);
        double x = frame.right() - w;
        double y = frame.bottom() - 84;
        label(g, x, y, w, 84, Palette.COUNT);
        text(g, digits, Typefaces.digits(60), Palette.INK, x + 26, y + 62);
        text(g, of, Typefaces.strong(26), Palette.FADED_INK, x + w - width(g, Typefaces.strong(26), of) - 22, y + 62);
    }

    private static void card(Graphics2D g, Frame frame, Face.Card card) {
        boolean title = card.kind() == Face.CardKind.TITLE;
        Color colour =
                switch (card.kind()) {
                    case NEXT -> Palette.REST;
                    case OPTION -> Palette.OPTION;
                    case CAUTION -> Palette.CAUTION;
                    case SWITCH -> Palette.COUNT;
                    case TITLE, FORM -> Palette.VOICE;
                };
        double headingPx =
                title ? 56 : card.kind() == Face.CardKind.NEXT || card.kind() == Face.CardKind.SWITCH ? 38 : 28;
        double bodyPx = card.kind() == Face.CardKind.SWITCH ? 34 : 29;
        double most = title ? frame.right() - frame.left() - 80 : CARD_WIDTH;
        Font bodyFont = Typefaces.text(bodyPx);
        List<String> lines = wrapped(g, card.text(), bodyFont, most - 46);
        Font headingFont = fitted(g, card.heading(), headingPx, most - 92);
        double w = width(g, headingFont, card.heading()) + 92;
        for (String line : lines) {
            w = Math.max(w, width(g, bodyFont, line) + 48);
        }
        double h = headingPx * 1.25 + lines.size() * bodyPx * 1.22 + 26;
        double x = frame.left();
        double y = frame.bottom() - h;
        label(g, x, y, w, h, colour);
        g.setColor(colour);
        glyph(card.kind()).fill(g, x + 40, y + 14 + headingPx * 0.55, headingPx * 0.42);
        text(
                g,
                card.heading(),
                headingFont,
                card.kind() == Face.CardKind.OPTION
                                || card.kind() == Face.CardKind.FORM
                                || card.kind() == Face.CardKind.CAUTION
                        ? colour
                        : Palette.INK,
                x + 40 + headingPx * 0.42 + 16,
                y + 14 + headingPx * 0.9);
        double baseline = y + 14 + headingPx * 1.25 + bodyPx * 0.85;
        for (String line : lines) {
            text(g, line, bodyFont, Palette.INK, x + 24, baseline);
            baseline += bodyPx * 1.22;
        }
    }

    private static Glyph glyph(Face.CardKind kind) {
        return switch (kind) {
            case TITLE -> Glyph.FLOWER;
            case NEXT -> Glyph.LEAF;
            case OPTION -> Glyph.FORK;
            case FORM -> Glyph.BELL;
            case CAUTION -> Glyph.THORN;
            case SWITCH -> Glyph.SEEDS;
        };
    }

    private static List<String> wrapped(Graphics2D g, String text, Font font, double room) {
        List<String> lines = new ArrayList<>();
        StringBuilder line = new StringBuilder();
        for (String word : text.split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (!line.isEmpty() && width(g, font, longer) > room) {
                lines.add(line.toString());
                line.setLength(0);
                line.append(word);
            } else {
                line.setLength(0);
                line.append(longer);
            }
        }
        if (!line.isEmpty()) {
            lines.add(line.toString());
        }
        return lines;
    }
}
