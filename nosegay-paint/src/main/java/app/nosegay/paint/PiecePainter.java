package app.nosegay.paint;

import app.nosegay.dress.Face;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.plan.terms.Level;
import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;

/**
 * Draws faces, each inside its box, in one style. All sizes are in units of which the picture's shorter side has 720; equal faces in
 * equal boxes are the same pixels.
 */
public final class PiecePainter {
    private final Style style;
    private final Color ink;
    private final Color faded;

    public PiecePainter(Style style) {
        this.style = style;
        ink = Label.colour(style.ink());
        faded = Label.colour(style.faded());
    }

    /** Clears {@code target} and draws {@code pieces} on it. */
    public void paint(List<PlacedOverlay> pieces, BufferedImage target) {
        Graphics2D g = target.createGraphics();
        g.setComposite(AlphaComposite.Clear);
        g.fillRect(0, 0, target.getWidth(), target.getHeight());
        g.setComposite(AlphaComposite.SrcOver);
        draw(pieces, g, target.getWidth(), target.getHeight());
        g.dispose();
    }

    /** Draws {@code pieces} over what is there. */
    public void draw(List<PlacedOverlay> pieces, Graphics2D g, int width, int height) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_TEXT_ANTIALIASING, RenderingHints.VALUE_TEXT_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_FRACTIONALMETRICS, RenderingHints.VALUE_FRACTIONALMETRICS_ON);
        AffineTransform before = g.getTransform();
        double scale = width / Frame.of(width, height).width();
        g.scale(scale, scale);
        for (PlacedOverlay shown : pieces) {
            draw(g, shown);
        }
        g.setTransform(before);
    }

    /** The mark of each who speaks: told apart without colour. */
    private static final Glyph[] MARKS = {Glyph.FLOWER, Glyph.LEAF, Glyph.SEEDS, Glyph.FORK};

    private static final double SPEAKER_PX = 22;

    private void draw(Graphics2D g, PlacedOverlay shown) {
        Face face = shown.face();
        if (face instanceof Face.Timer timer) {
            ClockPainter.timer(g, style, shown, timer);
        } else if (face instanceof Face.GetReady ready) {
            ClockPainter.getReady(g, style, shown, ready);
        } else if (face instanceof Face.NamePlate plate) {
            namePlate(g, shown, plate);
        } else if (face instanceof Face.SideBadge badge) {
            sideBadge(g, shown, badge);
        } else if (face instanceof Face.RepCounter counter) {
            repCounter(g, shown, counter);
        } else if (face instanceof Face.Tempo tempo) {
            tempo(g, shown, tempo);
        } else if (face instanceof Face.Card card) {
            CardPainter.draw(g, style, shown, card);
        } else if (face instanceof Face.Progress progress) {
            progress(g, shown, progress);
        } else if (face instanceof Face.LevelBadge badge) {
            level(g, shown, badge);
        } else if (face instanceof Face.Caption caption) {
            caption(g, shown, caption);
        }
    }

    private Font heading(double px) {
        return style.serif() ? Typefaces.heading(px) : Typefaces.strong(px);
    }

    /** The left edge of a label that is {@code width} wide, at the side of the box it keeps to. */
    private static double left(PlacedOverlay shown, double width) {
        return shown.right() ? shown.box().right() - width : shown.box().x();
    }

    private void namePlate(Graphics2D g, PlacedOverlay shown, Face.NamePlate plate) {
        List<String> parts = new ArrayList<>();
        if (plate.move() > 0) {
            parts.add("Move " + plate.move() + " of " + plate.moves());
        }
        if (plate.rounds() > 0) {
            parts.add(plate.roundWord() + " " + plate.round() + " of " + plate.rounds());
        }
        String below = String.join("  ·  ", parts);
        Box b = shown.box();
        double k = style.scale();
        double pad = Label.inset(style) * k;
        Font name = Words.fitted(g, this::heading, plate.name(), 42 * k, b.width() - 2 * pad);
        Font small = Words.fitted(g, Typefaces::strong, below, 26 * k, b.width() - 2 * pad);
        double w = Math.min(
                b.width(), Math.max(Words.width(g, name, plate.name()), Words.width(g, small, below)) + 2 * pad);
        double h = Math.min(b.height(), below.isEmpty() ? 74 * k : 104 * k);
        double x = left(shown, w);
        Label.draw(g, style, new Box(x, b.y(), w, h), Label.colour(style.work()), shown.opacity());
        Words.at(g, plate.name(), name, ink, x + pad, b.y() + 50 * k);
        Words.at(g, below, small, faded, x + pad, b.y() + 86 * k);
    }

    private void sideBadge(Graphics2D g, PlacedOverlay shown, Face.SideBadge badge) {
        Box b = shown.box();
        double k = style.scale();
        Font font = Typefaces.strong(32 * k);
        double w = Math.min(b.width(), Words.width(g, font, badge.word()) + 96 * k);
        double x = left(shown, w);
        Color colour = Label.colour(style.count());
        Label.draw(g, style, new Box(x, b.y(), w, b.height()), colour, shown.opacity());
        double ax = x + 42 * k;
        double ay = b.y() + b.height() / 2;
        double d = badge.towardsLeft() ? -k : k;
        Path2D arrow = new Path2D.Double();
        arrow.moveTo(ax + 20 * d, ay);
        arrow.lineTo(ax, ay - 19 * k);
        arrow.quadTo(ax + 4 * d, ay - 10 * k, ax + 1 * d, ay - 6 * k);
        arrow.lineTo(ax - 20 * d, ay - 5 * k);
        arrow.lineTo(ax - 20 * d, ay + 5 * k);
        arrow.lineTo(ax + 1 * d, ay + 6 * k);
        arrow.quadTo(ax + 4 * d, ay + 10 * k, ax, ay + 19 * k);
        arrow.closePath();
        g.setColor(colour);
        g.fill(arrow);
        Words.at(g, badge.word(), font, ink, x + 72 * k, ay + 11 * k);
    }

    private void repCounter(Graphics2D g, PlacedOverlay shown, Face.RepCounter counter) {
        Box b = shown.box();
        double k = style.scale();
        String digits = "" + counter.done();
        String of = counter.target() > 0 ? "of " + counter.target() + " reps" : counter.done() == 1 ? "rep" : "reps";
        Font big = Typefaces.digits(60 * k);
        Font small = Words.fitted(g, Typefaces::strong, of, 26 * k, b.width() - 130 * k);
        double w =
                Math.min(b.width(), Math.max(52 * k, Words.width(g, big, digits)) + Words.width(g, small, of) + 66 * k);
        double x = left(shown, w);
        Label.draw(g, style, new Box(x, b.y(), w, b.height()), Label.colour(style.count()), shown.opacity());
        double baseline = b.y() + b.height() * 0.73;
        Words.at(g, digits, big, ink, x + 26 * k, baseline);
        Words.at(g, of, small, faded, x + w - Words.width(g, small, of) - 22 * k, baseline);
    }

    /** A stalk with a seed that goes down and up with the rep. */
    private void tempo(Graphics2D g, PlacedOverlay shown, Face.Tempo tempo) {
        Box b = shown.box();
        double k = style.scale();
        Font font = Words.fitted(g, Typefaces::strong, tempo.word(), 24 * k, b.width() - 74 * k);
        double w = Math.min(b.width(), Words.width(g, font, tempo.word()) + 74 * k);
        double x = left(shown, w);
        Color colour = Label.colour(style.voice());
        Label.draw(g, style, new Box(x, b.y(), w, b.height()), colour, shown.opacity());
        double top = b.y() + 12 * k;
        double bottom = b.bottom() - 14 * k;
        double sx = x + 30 * k;
        g.setColor(Palette.faded(colour, 110));
        g.fill(new RoundRectangle2D.Double(sx - 2 * k, top, 4 * k, bottom - top, 4, 4));
        g.setColor(colour);
        Glyph.LEAF.fill(g, sx, top + (bottom - top) * tempo.step() / Face.TEMPO_STEPS, 11 * k);
        Words.at(g, tempo.word(), font, ink, x + 54 * k, b.y() + b.height() / 2 + font.getSize2D() * 0.3);
    }

    private void progress(Graphics2D g, PlacedOverlay shown, Face.Progress progress) {
        Box b = shown.box();
        g.setColor(Label.paper(style, 0.75));
        g.fill(new RoundRectangle2D.Double(b.x(), b.y(), b.width(), b.height(), b.height(), b.height()));
        double done = b.width() * progress.done() / progress.of();
        g.setColor(Label.colour(style.count()));
        if (done > b.height()) {
            g.fill(new RoundRectangle2D.Double(b.x(), b.y(), done, b.height(), b.height(), b.height()));
        }
        g.setColor(ink);
        for (int mark : progress.marks()) {
            double x = b.x() + b.width() * mark / progress.of();
            if (mark > 0) {
                g.fill(new RoundRectangle2D.Double(x - 1.5, b.y(), 3, b.height(), 2, 2));
            }
        }
    }

    private void level(Graphics2D g, PlacedOverlay shown, Face.LevelBadge badge) {
        Box b = shown.box();
        double k = style.scale();
        Color colour = Label.colour(badge.grade() == Level.Grade.MAIN ? style.work() : style.option());
        double pad = 16 * k;
        Font name = Words.fitted(g, Typefaces::strong, badge.name(), 27 * k, b.width() - 2 * pad - 34 * k);
        Font does = Words.fitted(g, Typefaces::text, badge.does(), 24 * k, b.width() - 2 * pad);
        boolean two = !badge.does().isEmpty();
        double w = Math.min(
                b.width(),
                Math.max(Words.width(g, name, badge.name()) + 34 * k, Words.width(g, does, badge.does())) + 2 * pad);
        double h = two ? b.height() : 46 * k;
        double x = b.x() + (b.width() - w) / 2;
        double y = b.bottom() - h;
        Label.draw(g, style, new Box(x, y, w, h), colour, Math.max(0.9, shown.opacity()));
        double baseline = y + 33 * k;
        g.setColor(colour);
        grade(badge.grade()).fill(g, x + pad + 9 * k, baseline - 9 * k, 11 * k);
        Words.at(g, badge.name(), name, ink, x + pad + 30 * k, baseline);
        Words.at(g, badge.does(), does, faded, x + pad, y + 62 * k);
    }

    private static Glyph grade(Level.Grade grade) {
        return switch (grade) {
            case EASIER -> Glyph.LEAF;
            case MAIN -> Glyph.FLOWER;
            case HARDER -> Glyph.THORN;
        };
    }

    private void caption(Graphics2D g, PlacedOverlay shown, Face.Caption caption) {
        Box b = shown.box();
        Font font = Typefaces.strong(30 * style.scale());
        List<String> lines = new ArrayList<>();
        for (String line : caption.text().split("\n")) {
            lines.addAll(Words.wrapped(g, line, font, b.width() - 40));
        }
        double lineHeight = font.getSize2D() * 1.2;
        double baseline = b.bottom() - (lines.size() - 1) * lineHeight - 14;
        if (!caption.speaker().isEmpty() && !lines.isEmpty()) {
            double left = b.x() + (b.width() - Words.width(g, font, lines.get(0))) / 2 - 12;
            speaker(g, caption, left, baseline - lineHeight * 0.82);
        }
        for (String line : lines) {
            double w = Words.width(g, font, line);
            double x = b.x() + (b.width() - w) / 2;
            g.setColor(new Color(16, 22, 19, 210));
            g.fill(new RoundRectangle2D.Double(x - 12, baseline - lineHeight * 0.82, w + 24, lineHeight * 1.02, 8, 8));
            Words.at(g, line, font, Color.WHITE, x, baseline);
            baseline += lineHeight;
        }
    }

    /** Who speaks, on a tab above the words that begins at {@code left} and ends at {@code bottom}. */
    private void speaker(Graphics2D g, Face.Caption caption, double left, double bottom) {
        double k = style.scale();
        Font font = Typefaces.strong(SPEAKER_PX * k);
        double w = Words.width(g, font, caption.speaker()) + 48 * k;
        double h = SPEAKER_PX * 1.5 * k;
        g.setColor(new Color(style.paper()));
        g.fill(new RoundRectangle2D.Double(left, bottom - h, w, h + 4, 8, 8));
        int who = caption.presenter();
        int[] colours = {style.work(), style.rest(), style.count(), style.option()};
        g.setColor(new Color(colours[who % colours.length]));
        MARKS[who % MARKS.length].fill(g, left + 18 * k, bottom - h / 2, 10 * k);
        Words.at(g, caption.speaker(), font, ink, left + 36 * k, bottom - h * 0.3);
    }
}
