package app.nosegay.paint;

import app.nosegay.dress.Face;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import java.awt.Color;
import java.awt.Font;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.util.List;

/** Draws cards: a heading with its glyph, words below it, a small figure beside them where there is one. */
final class CardPainter {
    /** Words get smaller until they fit, but never smaller than can be read on a phone. */
    private static final double LEAST_BODY = Style.LEAST_WORDS;

    private static final double FIGURE = 122;
    private static final double FIGURE_PHASE = 0.85;

    private CardPainter() {}

    static Color colour(Style style, Face.CardKind kind) {
        return Label.colour(
                switch (kind) {
                    case NEXT -> style.rest();
                    case OPTION -> style.option();
                    case CAUTION, CORRECTION -> style.caution();
                    case SWITCH -> style.count();
                    case TITLE, FORM, END -> style.voice();
                    case SECTION -> style.work();
                });
    }

    private static Glyph glyph(Face.CardKind kind) {
        return switch (kind) {
            case TITLE, SECTION, END -> Glyph.FLOWER;
            case NEXT -> Glyph.LEAF;
            case OPTION -> Glyph.FORK;
            case FORM -> Glyph.BELL;
            case CAUTION, CORRECTION -> Glyph.THORN;
            case SWITCH -> Glyph.SEEDS;
        };
    }

    private static double headingPx(Face.CardKind kind) {
        return switch (kind) {
            case TITLE, END -> 56;
            case NEXT, SWITCH, SECTION -> 38;
            case OPTION, FORM, CAUTION, CORRECTION -> 28;
        };
    }

    private static boolean isCue(Face.CardKind kind) {
        return kind == Face.CardKind.OPTION
                || kind == Face.CardKind.FORM
                || kind == Face.CardKind.CAUTION
                || kind == Face.CardKind.CORRECTION;
    }

    static void draw(Graphics2D g, Style style, PlacedOverlay shown, Face.Card card) {
        Box b = shown.box();
        double k = style.scale();
        double pad = Label.inset(style) * k;
        double figure = card.figure() == null || !Motion.isKnown(card.figure()) ? 0 : FIGURE * k;
        double room = b.width() - 2 * pad - figure;
        double px = headingPx(card.kind()) * k;
        double glyphRoom = px * 0.42 * 2 + 12 * k;
        Font heading = Words.fitted(
                g,
                p -> style.serif() ? Typefaces.heading(p) : Typefaces.strong(p),
                card.heading(),
                px,
                room - glyphRoom);
        double bodyPx = (card.kind() == Face.CardKind.SWITCH ? 34 : 29) * k;
        List<String> lines = Words.wrapped(g, card.text(), Typefaces.text(bodyPx), room);
        double h = height(px, lines.size(), bodyPx, pad);
        while (h > b.height() && bodyPx > LEAST_BODY) {
            bodyPx = Math.max(LEAST_BODY, bodyPx - 1);
            lines = Words.wrapped(g, card.text(), Typefaces.text(bodyPx), room);
            h = height(px, lines.size(), bodyPx, pad);
        }
        h = Math.min(b.height(), Math.max(h, figure + 8 * k));
        Font body = Typefaces.text(bodyPx);
        double w = Words.width(g, heading, card.heading()) + glyphRoom;
        for (String line : lines) {
            w = Math.max(w, Words.width(g, body, line));
        }
        w = Math.min(b.width(), w + 2 * pad + figure);
        double x = shown.right() ? b.right() - w : b.x();
        double y = shown.bottom() ? b.bottom() - h : b.y();
        Color colour = colour(style, card.kind());
        Label.draw(g, style, new Box(x, y, w, h), colour, Math.max(shown.opacity(), isCue(card.kind()) ? 0.9 : 0));
        g.setColor(colour);
        double radius = px * 0.42;
        double middle = y + pad * 0.6 + px * 0.6;
        glyph(card.kind()).fill(g, x + pad + radius, middle, radius);
        Color headingInk = isCue(card.kind()) ? colour : Label.colour(style.ink());
        Words.at(g, card.heading(), heading, headingInk, x + pad + glyphRoom, middle + px * 0.33);
        double baseline = y + pad * 0.6 + px * 1.25 + bodyPx * 0.85;
        for (String line : lines) {
            Words.at(g, line, body, Label.colour(style.ink()), x + pad, baseline);
            baseline += bodyPx * 1.22;
        }
        if (figure > 0) {
            figure(g, card.figure(), figure, x + w - 8 * k, y + h / 2);
        }
    }

    /** The drawn figure on a disc of paper, {@code right} and {@code middle} being where the disc ends and lies. */
    private static void figure(Graphics2D g, String name, double size, double right, double middle) {
        double disc = size * 0.47;
        g.setColor(Palette.PAPER);
        g.fill(new Ellipse2D.Double(right - 2 * disc, middle - disc, 2 * disc, 2 * disc));
        Figure.presenter()
                .draw(
                        g,
                        new Figure.Stance(Motion.of(name), FIGURE_PHASE, false, Figure.Prop.NONE),
                        right - disc,
                        middle + disc * 0.78,
                        size * 0.72);
    }

    private static double height(double headingPx, int lines, double bodyPx, double pad) {
        return pad * 0.6 + headingPx * 1.25 + lines * bodyPx * 1.22 + pad * 0.6;
    }
}
