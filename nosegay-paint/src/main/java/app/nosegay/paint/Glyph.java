package app.nosegay.paint;

import java.awt.Graphics2D;
import java.awt.Shape;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;

/** The shape that goes with each colour, so that nothing depends on colour alone. Drawn in a circle of radius 1. */
public enum Glyph {
    /** Work: five petals. */
    FLOWER,
    /** Rest: one leaf. */
    LEAF,
    /** Voice: a bell flower. */
    BELL,
    /** Counts: three seeds. */
    SEEDS,
    /** Options: a forked stem. */
    FORK,
    /** Cautions: a thorn. */
    THORN;

    /** Fills the glyph with the current colour. */
    public void fill(Graphics2D g, double x, double y, double radius) {
        AffineTransform at = AffineTransform.getTranslateInstance(x, y);
        at.scale(radius, radius);
        g.fill(at.createTransformedShape(shape()));
    }

    private Shape shape() {
        return switch (this) {
            case FLOWER -> flower();
            case LEAF -> leaf();
            case BELL -> bell();
            case SEEDS -> seeds();
            case FORK -> fork();
            case THORN -> thorn();
        };
    }

    private static Shape flower() {
        Area area = new Area();
        for (int i = 0; i < 5; i++) {
            area.add(new Area(petal(i * 72)));
        }
        area.subtract(new Area(new Ellipse2D.Double(-0.2, -0.2, 0.4, 0.4)));
        return area;
    }

    private static Shape leaf() {
        Path2D leaf = new Path2D.Double();
        leaf.moveTo(-0.85, 0.75);
        leaf.quadTo(-0.75, -0.75, 0.9, -0.85);
        leaf.quadTo(0.8, 0.75, -0.85, 0.75);
        return leaf;
    }

    private static Shape bell() {
        Path2D bell = new Path2D.Double();
        bell.moveTo(0, -0.95);
        bell.curveTo(0.75, -0.8, 0.45, 0.2, 0.9, 0.75);
        bell.lineTo(0.3, 0.55);
        bell.lineTo(0, 0.95);
        bell.lineTo(-0.3, 0.55);
        bell.lineTo(-0.9, 0.75);
        bell.curveTo(-0.45, 0.2, -0.75, -0.8, 0, -0.95);
        return bell;
    }

    private static Shape seeds() {
        Area area = new Area();
        area.add(new Area(new Ellipse2D.Double(-0.95, 0.0, 0.8, 0.8)));
        area.add(new Area(new Ellipse2D.Double(0.15, 0.0, 0.8, 0.8)));
        area.add(new Area(new Ellipse2D.Double(-0.4, -0.95, 0.8, 0.8)));
        return area;
    }

    private static Shape fork() {
        Path2D fork = new Path2D.Double();
        fork.moveTo(-0.16, 0.95);
        fork.lineTo(-0.16, 0.1);
        fork.lineTo(-0.9, -0.7);
        fork.lineTo(-0.6, -0.95);
        fork.lineTo(0, -0.3);
        fork.lineTo(0.6, -0.95);
        fork.lineTo(0.9, -0.7);
        fork.lineTo(0.16, 0.1);
        fork.lineTo(0.16, 0.95);
        fork.closePath();
        return fork;
    }

    private static Shape thorn() {
        Path2D thorn = new Path2D.Double();
        thorn.moveTo(-0.95, 0.8);
        thorn.quadTo(-0.15, 0.3, 0, -0.95);
        thorn.quadTo(0.15, 0.3, 0.95, 0.8);
        thorn.quadTo(0, 0.45, -0.95, 0.8);
        return thorn;
    }

    /** A petal that points up from the centre, turned by {@code degrees}. */
    static Shape petal(double degrees) {
        Path2D petal = new Path2D.Double();
        petal.moveTo(0, -0.12);
        petal.curveTo(-0.62, -0.35, -0.42, -1.0, 0, -1.0);
        petal.curveTo(0.42, -1.0, 0.62, -0.35, 0, -0.12);
        return AffineTransform.getRotateInstance(Math.toRadians(degrees)).createTransformedShape(petal);
    }
}
