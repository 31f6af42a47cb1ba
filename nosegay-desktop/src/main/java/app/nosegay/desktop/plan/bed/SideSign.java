package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.terms.SideWay;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.shape.ArcType;

/** How a move's sides are shared, as a small arrangement of leaflets on a stalk: two halves of one leaf, two leaves, leaves in turn. */
final class SideSign extends Canvas {
    static final double WIDTH = 34;
    static final double HEIGHT = 22;

    SideSign(SideWay way) {
        super(WIDTH, HEIGHT);
        Lamplight.paint(this, () -> draw(way));
    }

    private void draw(SideWay way) {
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, WIDTH, HEIGHT);
        g.setStroke(Petals.ink());
        g.setLineWidth(1.2);
        switch (way) {
            case NONE -> {
                half(g, 17, 11, 11, true, true);
                half(g, 17, 11, 11, false, true);
            }
            case HALVES -> {
                half(g, 17, 11, 11, true, true);
                half(g, 17, 11, 11, false, false);
                g.strokeLine(17, 1, 17, 21);
            }
            case SEPARATE -> {
                half(g, 9, 11, 9, true, true);
                g.strokeLine(9, 3, 9, 19);
                half(g, 25, 11, 9, false, true);
                g.strokeLine(25, 3, 25, 19);
            }
            case ROUNDS, SETS -> {
                half(g, 9, 11, 9, true, true);
                g.strokeLine(9, 3, 9, 19);
                g.setLineDashes(2, 2);
                half(g, 25, 11, 9, false, false);
                g.strokeLine(25, 3, 25, 19);
                g.setLineDashes(0);
            }
            case ALTERNATE -> {
                for (int i = 0; i < 4; i++) {
                    half(g, 6 + 7.4 * i, 11, 5.5, i % 2 == 0, i % 2 == 0);
                }
                g.strokeLine(2, 11, 32, 11);
            }
            case CHAIN -> {
                for (int i = 0; i < 2; i++) {
                    half(g, 7 + 7 * i, 11, 6, true, true);
                    half(g, 21 + 7 * i, 11, 6, false, false);
                }
                g.strokeLine(17, 2, 17, 20);
            }
            default -> {
                half(g, 17, 11, 9, true, false);
                half(g, 17, 11, 9, false, false);
            }
        }
    }

    /** Half a leaf to the left or right of its stalk. */
    private static void half(GraphicsContext g, double x, double y, double r, boolean left, boolean filled) {
        double start = left ? 90 : -90;
        if (filled) {
            g.setFill(left ? Petals.rest() : Petals.count());
            g.fillArc(x - r * 0.8, y - r * 0.85, r * 1.6, r * 1.7, start, 180, ArcType.CHORD);
        } else {
            g.strokeArc(x - r * 0.8, y - r * 0.85, r * 1.6, r * 1.7, start, 180, ArcType.CHORD);
        }
    }
}
