package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;

/** The whole video as a bar: what is proven, what is to be looked at, what must be fixed, and what is not in it at all. */
final class ProofBar extends Pane {
    private static final double HEIGHT = 16;

    private final Canvas canvas = new Canvas(10, HEIGHT);
    private final Consumer<IntervalComparison> chosen;
    private Proof proof = new Proof(List.of(), List.of(), List.of());

    /** @param chosen told the interval that was clicked */
    ProofBar(Consumer<IntervalComparison> chosen) {
        this.chosen = chosen;
        setId("proof-bar");
        setMinHeight(HEIGHT);
        setMaxHeight(HEIGHT);
        setCursor(Cursor.HAND);
        getChildren().add(canvas);
        setOnMouseClicked(this::click);
    }

    void show(Proof now) {
        proof = now;
        setAccessibleText(DesktopText.of("proof.proof-bar.proven", now.proven()));
        redraw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        redraw();
    }

    private double total() {
        return Math.max(
                1,
                proof.comparisons().stream()
                        .mapToDouble(c -> c.interval().length().seconds())
                        .sum());
    }

    private void redraw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), HEIGHT);
        double scale = canvas.getWidth() / total();
        double x = 0;
        for (IntervalComparison c : proof.comparisons()) {
            double width = c.interval().length().seconds() * scale;
            g.setFill(colour(c));
            g.setGlobalAlpha(proof.isProven(c) ? 0.6 : 1);
            g.fillRect(x, 0, Math.max(1, width - 1), HEIGHT);
            x += width;
        }
        g.setGlobalAlpha(1);
    }

    private Color colour(IntervalComparison c) {
        boolean wrong = c.at() == null
                || c.findings().stream()
                        .filter(proof.open()::contains)
                        .anyMatch(f -> f.severity() == Severity.STOP || f.severity() == Severity.FIX);
        return proof.isProven(c) ? Petals.COUNT : wrong ? Petals.CAUTION : Petals.VOICE;
    }

    private void click(MouseEvent e) {
        double at = e.getX() / canvas.getWidth() * total();
        for (IntervalComparison c : proof.comparisons()) {
            at -= c.interval().length().seconds();
            if (at < 0) {
                chosen.accept(c);
                return;
            }
        }
    }
}
