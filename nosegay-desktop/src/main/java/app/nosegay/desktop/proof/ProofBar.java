package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.DrawnPane;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import java.util.List;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

/** The whole video as a bar: what is proven, what is to be looked at, what must be fixed, and what is not in it at all. */
final class ProofBar extends DrawnPane {
    private static final double HEIGHT = 16;

    private final Consumer<IntervalComparison> chosen;
    private Proof proof = new Proof(List.of(), List.of(), List.of());

    /** @param chosen told the interval that was clicked */
    ProofBar(Consumer<IntervalComparison> chosen) {
        super("proof-bar", HEIGHT);
        this.chosen = chosen;
        setCursor(Cursor.HAND);
        setOnMouseClicked(this::click);
    }

    void show(Proof now) {
        proof = now;
        setAccessibleText(DesktopText.of("proof.proof-bar.proven", now.proven()));
        redraw();
    }

    private double total() {
        return Math.max(
                1,
                proof.comparisons().stream()
                        .mapToDouble(c -> c.interval().length().seconds())
                        .sum());
    }

    @Override
    protected void draw(GraphicsContext g, double width, double height) {
        double scale = width / total();
        double x = 0;
        for (IntervalComparison c : proof.comparisons()) {
            double w = c.interval().length().seconds() * scale;
            g.setFill(colour(c));
            g.setGlobalAlpha(proof.isProven(c) ? 0.6 : 1);
            g.fillRect(x, 0, Math.max(1, w - 1), height);
            x += w;
        }
        g.setGlobalAlpha(1);
    }

    private Color colour(IntervalComparison c) {
        boolean wrong = c.at() == null
                || c.findings().stream()
                        .filter(proof.open()::contains)
                        .anyMatch(f -> f.severity() == Severity.STOP || f.severity() == Severity.FIX);
        return proof.isProven(c) ? Petals.count() : wrong ? Petals.caution() : Petals.voice();
    }

    private void click(MouseEvent e) {
        double at = e.getX() / getWidth() * total();
        for (IntervalComparison c : proof.comparisons()) {
            at -= c.interval().length().seconds();
            if (at < 0) {
                chosen.accept(c);
                return;
            }
        }
    }
}
