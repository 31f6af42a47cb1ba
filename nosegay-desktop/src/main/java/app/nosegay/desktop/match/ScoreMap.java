package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import java.util.List;
import java.util.Set;
import java.util.function.IntConsumer;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;

/** The whole Score as strokes, one a line: long and red where something is open, to see at a glance and to jump to. */
final class ScoreMap extends Pane {
    private static final double WIDTH = 26;
    private static final double MOST_STROKE = 7;

    private final Canvas canvas = new Canvas(WIDTH, 10);
    private List<? extends ScoreRow> rows = List.of();
    private Set<String> troubled = Set.of();
    private int selected = -1;

    /** @param jump told the row that was clicked */
    ScoreMap(IntConsumer jump) {
        setId("score-map");
        setMinWidth(WIDTH);
        setMaxWidth(WIDTH);
        setCursor(Cursor.HAND);
        setAccessibleText(DesktopText.of("match.score-map.all-lines"));
        getChildren().add(canvas);
        Lamplight.follow(this, this::redraw);
        setOnMousePressed(e -> jump.accept(at(e.getY())));
        setOnMouseDragged(e -> jump.accept(at(e.getY())));
    }

    /** @param open the segments something is found wrong with */
    void show(List<? extends ScoreRow> all, Set<String> open) {
        rows = all;
        troubled = open;
        redraw();
    }

    void select(int row) {
        selected = row;
        redraw();
    }

    private int at(double y) {
        return (int) Math.max(0, Math.min(rows.size() - 1, Math.floor(y / Math.max(1, pitch()))));
    }

    private double pitch() {
        return Math.min(MOST_STROKE + 3, getHeight() / Math.max(1, rows.size()));
    }

    @Override
    protected void layoutChildren() {
        canvas.setHeight(Math.max(1, getHeight()));
        redraw();
    }

    private void redraw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, WIDTH, canvas.getHeight());
        double pitch = pitch();
        double stroke = Math.max(1, Math.min(MOST_STROKE, pitch - 1));
        for (int i = 0; i < rows.size(); i++) {
            List<ScoreLine> lines = rows.get(i) instanceof ScoreFold f ? f.lines() : List.of((ScoreLine) rows.get(i));
            boolean wrong = lines.stream().anyMatch(l -> l.isTroubled(troubled));
            boolean unsure = lines.stream().anyMatch(l -> l.doubt() > ScorePainter.DOUBTFUL);
            Color colour = wrong ? Petals.caution() : unsure ? Petals.voice() : Petals.count();
            double width = wrong || unsure ? WIDTH - 8 : lines.get(0).isRest() ? 6 : 12;
            g.setGlobalAlpha(wrong || unsure ? 1 : 0.55);
            g.setFill(colour);
            g.fillRect(4, i * pitch + (pitch - stroke) / 2, width, stroke);
            g.setGlobalAlpha(1);
            if (i == selected) {
                g.setStroke(Petals.ink());
                g.setLineWidth(1.2);
                g.strokeRect(1.5, i * pitch - 0.5, WIDTH - 3, Math.max(3, pitch));
            }
        }
    }
}
