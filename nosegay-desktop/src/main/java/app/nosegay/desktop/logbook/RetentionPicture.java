package app.nosegay.desktop.logbook;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.DrawnPane;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.publish.Retention;
import java.util.List;
import javafx.geometry.VPos;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** How many viewers are still there, over the intervals of their workout; where most leave is numbered. */
final class RetentionPicture extends DrawnPane {
    private static final double HEIGHT = 168;
    private static final double LEFT = 44;
    private static final double TOP = 8;
    /** The intervals lie in a band of this height under the curve. */
    private static final double BAND = 14;

    private static final double BOTTOM = HEIGHT - BAND - 6;

    private Retention curve;
    private List<Retention.Loss> losses = List.of();
    private int numbered;

    RetentionPicture() {
        super("retention", HEIGHT);
        setAccessibleText(DesktopText.of("logbook.retention.viewers-over-the-workout"));
    }

    /**
     * @param all what each interval lost, the worst first
     * @param worst how many of them are numbered
     */
    void show(Retention now, List<Retention.Loss> all, int worst) {
        curve = now;
        losses = all;
        numbered = worst;
        redraw();
    }

    @Override
    protected void draw(GraphicsContext g, double width, double height) {
        if (curve == null) {
            return;
        }
        List<Retention.Point> points = curve.points();
        double end = Math.max(1, points.get(points.size() - 1).second());
        double most = Math.max(
                1, points.stream().mapToDouble(Retention.Point::share).max().orElse(1));
        double across = (width - LEFT) / end;
        double up = (BOTTOM - TOP) / most;
        scale(g, width, most, up);
        for (int i = losses.size() - 1; i >= 0; i--) {
            Retention.Loss l = losses.get(i);
            double x = LEFT + l.at().start().seconds() * across;
            double w = Math.max(1, l.at().length().seconds() * across - 1);
            g.setFill(Petals.of(l.interval().kind()));
            g.fillRect(x, HEIGHT - BAND, w, BAND);
            if (i < numbered) {
                g.setFill(Petals.caution().deriveColor(0, 1, 1, 0.16));
                g.fillRect(x, TOP, w, BOTTOM - TOP);
            }
        }
        g.setStroke(Petals.ink());
        g.setLineWidth(1.8);
        g.beginPath();
        for (Retention.Point p : points) {
            g.lineTo(LEFT + p.second() * across, BOTTOM - p.share() * up);
        }
        g.stroke();
        g.setFont(Font.font("Source Sans 3 SemiBold", 13));
        g.setTextAlign(TextAlignment.CENTER);
        for (int i = 0; i < Math.min(numbered, losses.size()); i++) {
            Retention.Loss l = losses.get(i);
            double middle = l.at().start().seconds() + l.at().length().seconds() / 2;
            double x = LEFT + Math.max(8 / across, middle) * across;
            g.setFill(Petals.paper());
            g.fillOval(x - 9, BOTTOM - 22, 18, 18);
            g.setFill(Petals.caution());
            g.fillText("" + (i + 1), x, BOTTOM - 13);
        }
        g.setTextAlign(TextAlignment.LEFT);
    }

    /** Shares at a line each: none, a half, all. */
    private static void scale(GraphicsContext g, double width, double most, double up) {
        g.setFont(Font.font("Source Sans 3", 13));
        g.setTextBaseline(VPos.CENTER);
        g.setLineWidth(1);
        for (double share = 0; share <= most + 1e-9; share += 0.5) {
            double y = BOTTOM - share * up;
            g.setStroke(Petals.rule());
            g.strokeLine(LEFT, y, width, y);
            g.setFill(Petals.faded());
            g.fillText(DesktopText.of("logbook.retention.per-cent", share * 100), 0, y);
        }
    }
}
