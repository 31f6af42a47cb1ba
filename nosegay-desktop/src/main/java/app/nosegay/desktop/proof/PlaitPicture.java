package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.Petals;
import app.nosegay.proof.IntervalComparison;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.paint.Color;
import javafx.scene.shape.StrokeLineCap;

/** Draws an interval as three plaited threads, planned, said and shown, which part where they disagree. */
final class PlaitPicture {
    static final double WIDTH = 190;
    static final double HEIGHT = 54;
    /** How far a thread swings while all agree, and how far it strays at most, in pixels. */
    private static final double SWING = 5;

    private static final double STRAY = 18;
    private static final int CROSSINGS = 6;
    private static final double STEP = 2;

    private PlaitPicture() {}

    static void paint(Canvas canvas, IntervalComparison comparison) {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, WIDTH, HEIGHT);
        g.setLineCap(StrokeLineCap.ROUND);
        boolean heard = comparison.saidApart() >= 0;
        thread(g, 0, 0, Petals.ink(), false);
        thread(g, 1, heard ? -comparison.saidApart() : 0, Petals.voice(), !heard);
        thread(g, 2, comparison.shownApart(), Petals.work(), comparison.at() == null);
    }

    /** One thread; it strays in the middle of the interval by a share of the most, up or down. */
    private static void thread(GraphicsContext g, int which, double strays, Color colour, boolean missing) {
        g.setStroke(colour);
        g.setLineWidth(2.6);
        g.setLineDashes(missing ? new double[] {2, 7} : new double[0]);
        g.beginPath();
        for (double x = 4; x <= WIDTH - 4; x += STEP) {
            double along = (x - 4) / (WIDTH - 8);
            double bulge = Math.sin(Math.PI * along);
            double swing = SWING * Math.sin(2 * Math.PI * (along * CROSSINGS / 2 + which / 3.0));
            // What has parted no longer plaits.
            double still = 1 - Math.min(1, 2 * Math.abs(strays)) * bulge;
            double y = HEIGHT / 2 + swing * still + strays * STRAY * bulge;
            if (x == 4) {
                g.moveTo(x, y);
            } else {
                g.lineTo(x, y);
            }
        }
        g.stroke();
        g.setLineDashes();
    }
}
