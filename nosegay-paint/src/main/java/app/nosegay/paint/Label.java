package app.nosegay.paint;

import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Box;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.Rectangle2D;
import java.awt.geom.RoundRectangle2D;

/** The backing of a piece, with the colour of its kind at the edge the style has it. */
final class Label {
    private static final double STRIPE = 7;
    private static final double SHADOW = 3;

    private Label() {}

    static Color colour(int rgb) {
        return new Color(rgb);
    }

    static Color paper(Style style, double opacity) {
        Color c = colour(style.paper());
        return new Color(c.getRed(), c.getGreen(), c.getBlue(), (int) Math.round(255 * opacity));
    }

    /** Space the edge takes at the left. */
    static double inset(Style style) {
        return style.edge() == Style.Edge.STRIPE ? 24 : 20;
    }

    static void draw(Graphics2D g, Style style, Box box, Color kind, double opacity) {
        double x = box.x();
        double y = box.y();
        double w = box.width();
        double h = box.height();
        double corner = Math.min(style.corner() * 2, h);
        if (opacity > 0.9) {
            g.setColor(new Color(0, 0, 0, 46));
            g.fill(new RoundRectangle2D.Double(x + 1, y + SHADOW, w - 1, h - SHADOW, corner, corner));
            h -= SHADOW;
        }
        RoundRectangle2D backing = new RoundRectangle2D.Double(x, y, w, h, corner, corner);
        g.setColor(paper(style, opacity));
        g.fill(backing);
        g.setColor(kind);
        Shape clip = g.getClip();
        switch (style.edge()) {
            case STRIPE -> {
                g.clip(backing);
                g.fill(new Rectangle2D.Double(x, y, STRIPE, h));
            }
            case TOP -> {
                g.clip(backing);
                g.fill(new Rectangle2D.Double(x, y, w, STRIPE));
            }
            case UNDERLINE -> g.fill(new Rectangle2D.Double(x, y + h - 4, w, 4));
            case RIM -> {
                g.setStroke(new BasicStroke(3));
                g.draw(new RoundRectangle2D.Double(
                        x + 2, y + 2, w - 4, h - 4, Math.max(0, corner - 4), Math.max(0, corner - 4)));
            }
        }
        g.setClip(clip);
    }
}
