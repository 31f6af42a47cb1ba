package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Petals;
import javafx.geometry.VPos;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.text.Font;
import javafx.scene.text.TextAlignment;

/** The seconds all lines of the Score share, counted from each line's start. */
final class ScoreScale extends Canvas {
    private static final double HEIGHT = 18;
    /** Numbers nearer than this would run together, in pixels. */
    private static final double LEAST_APART = 46;

    private static final int[] STEPS = {5, 10, 15, 30, 60, 120, 300};

    ScoreScale() {
        super(10, HEIGHT);
        setId("score-scale");
        setAccessibleText(DesktopText.of("match.score-scale.seconds-from-the-start"));
    }

    void show(ScoreGrid grid) {
        setWidth(grid.width());
        GraphicsContext g = getGraphicsContext2D();
        g.clearRect(0, 0, grid.width(), HEIGHT);
        g.setFont(Font.font("Source Sans 3", 12));
        g.setTextBaseline(VPos.CENTER);
        g.setTextAlign(TextAlignment.CENTER);
        int step = STEPS[STEPS.length - 1];
        for (int i = STEPS.length - 1; i >= 0 && STEPS[i] * grid.scale() >= LEAST_APART; i--) {
            step = STEPS[i];
        }
        double last = grid.seconds(grid.right(), 0);
        for (int s = 0; s <= last; s += step) {
            double x = grid.x(s);
            g.setFill(s == 0 ? Petals.ink() : Petals.faded());
            g.fillText(s == 0 ? DesktopText.of("match.score-scale.start") : s + " s", x, HEIGHT / 2 - 1);
            g.setFill(s == 0 ? Petals.faded() : Petals.rule());
            g.fillRect(x - 0.5, HEIGHT - 4, 1, 4);
        }
    }
}
