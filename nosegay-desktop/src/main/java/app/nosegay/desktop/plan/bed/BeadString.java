package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.bed.Bead;
import java.util.List;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;

/** Counts to a beat as a string of beads: slow repetitions large, holds long, pulses tiny, groups in brackets. */
final class BeadString extends Canvas {
    private static final double HEIGHT = 20;
    private static final double PER_COUNT = 2.4;
    private static final double GAP = 2;

    BeadString(List<Bead> beads, double most) {
        super(most, HEIGHT);
        double wide = beads.stream().mapToDouble(b -> width(b) + GAP).sum();
        Lamplight.paint(this, () -> draw(beads, wide, most));
        setWidth(Math.min(most, wide));
    }

    private void draw(List<Bead> beads, double wide, double most) {
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, most, HEIGHT);
        g.save();
        // A long phrase is drawn smaller, so that all of it is there.
        g.scale(Math.min(1, most / Math.max(1, wide)), 1);
        double middle = HEIGHT / 2;
        g.setStroke(Petals.faded());
        g.strokeLine(0, middle, wide, middle);
        double x = 0;
        for (Bead bead : beads) {
            double w = width(bead);
            switch (bead.shape()) {
                case REP -> round(g, x, w, Math.min(HEIGHT - 2, 5 + 2.2 * bead.counts()));
                case HOLD -> {
                    g.setFill(Petals.option());
                    g.fillRoundRect(x, middle - 4, w, 8, 8, 8);
                }
                case PULSE -> round(g, x, w, 4);
                case HALF -> round(g, x, w, 7);
                default -> bracket(g, x, bead);
            }
            x += w + GAP;
        }
        g.restore();
    }

    private static void round(GraphicsContext g, double x, double w, double high) {
        g.setFill(Petals.work());
        g.fillOval(x, HEIGHT / 2 - high / 2, w, high);
    }

    private static void bracket(GraphicsContext g, double x, Bead bead) {
        boolean open = bead.shape() == Bead.Shape.OPEN;
        double far = open ? x + 4 : x;
        double near = open ? x : x + 4;
        g.setStroke(Petals.ink());
        g.strokePolyline(new double[] {far, near, near, far}, new double[] {1, 1, HEIGHT - 1, HEIGHT - 1}, 4);
        if (!open) {
            g.setFill(Petals.ink());
            g.fillText("×" + bead.counts(), x + 6, HEIGHT - 4);
        }
    }

    private static double width(Bead bead) {
        return switch (bead.shape()) {
            case OPEN -> 5;
            case CLOSE -> 24;
            case PULSE -> 4;
            default -> Math.max(5, PER_COUNT * bead.counts());
        };
    }
}
