package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.DrawnPane;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.Segment;
import app.nosegay.script.TalkWindow;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.function.Consumer;
import javafx.scene.Cursor;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.paint.Color;

/** The whole workout in true proportion: how full of words each part is. Too full stands out over the line, silence is paper. */
final class ScriptHeat extends DrawnPane {
    private static final double HEIGHT = 46;
    /** A full part reaches to here; what is too much stands above it. */
    private static final double FULL = 34;
    /** Parts that hardly fill at all still show that something is said. */
    private static final double LEAST = 3;

    private final Tooltip tip = new Tooltip();
    private final Consumer<Segment> chosen;
    private Programme programme;
    private Segment selected;
    private Time<Axis.Plan> heard;

    /** @param chosen told the part that was clicked */
    ScriptHeat(Consumer<Segment> chosen) {
        super("script-heat", HEIGHT);
        this.chosen = chosen;
        setCursor(Cursor.HAND);
        setAccessibleText(DesktopText.of("script.heat.of-the-workout"));
        Tooltip.install(this, tip);
        setOnMouseClicked(this::click);
        setOnMouseMoved(this::point);
    }

    void show(Programme now, Segment part) {
        programme = now;
        selected = part;
        redraw();
    }

    /** Marks the moment that is heard; null for none. */
    void hear(Time<Axis.Plan> time) {
        heard = time;
        redraw();
    }

    private double scale() {
        return getWidth() / Math.max(1, programme.timeline().total().seconds());
    }

    private Segment at(MouseEvent e) {
        if (programme == null) {
            return null;
        }
        Time<Axis.Plan> time = Time.ofSeconds(Math.max(0, e.getX()) / scale());
        return programme.timeline().segments().stream()
                .filter(s -> s.span().contains(time))
                .findFirst()
                .orElse(null);
    }

    private void click(MouseEvent e) {
        Segment s = at(e);
        if (s != null) {
            chosen.accept(s);
        }
    }

    private void point(MouseEvent e) {
        Segment s = at(e);
        if (s != null) {
            double share =
                    programme.cues().window(s.id()).map(TalkWindow::share).orElse(0.0);
            tip.setText(DesktopText.of("script.heat.part", WindowCell.name(s), s.start(), 100 * share));
        }
    }

    @Override
    protected void draw(GraphicsContext g, double width, double height) {
        if (programme == null) {
            return;
        }
        double scale = scale();
        for (Segment s : programme.timeline().segments()) {
            double x = s.start().seconds() * scale;
            double w = Math.max(1.5, s.duration().seconds() * scale - 1);
            TalkWindow window = programme.cues().window(s.id()).orElse(null);
            double share = window == null ? 0 : window.share();
            Color colour = Petals.of(s.kind());
            g.setFill(colour.deriveColor(0, 1, 1, 0.13));
            g.fillRect(x, HEIGHT - FULL, w, FULL);
            if (share > 0) {
                double h = Math.max(LEAST, FULL * Math.min(1, share));
                g.setFill(colour);
                g.fillRect(x, HEIGHT - h, w, h);
            }
            if (window != null && window.isOverfull()) {
                g.setFill(Petals.caution());
                g.fillPolygon(new double[] {x, x + w, x + w / 2}, new double[] {HEIGHT - FULL, HEIGHT - FULL, 2}, 3);
            }
            if (s == selected) {
                g.setStroke(Petals.ink());
                g.setLineWidth(2);
                g.strokeRect(x + 1, HEIGHT - FULL + 1, Math.max(2, w - 2), FULL - 2);
            }
        }
        if (heard != null) {
            g.setFill(Petals.ink());
            g.fillRect(heard.seconds() * scale - 1, 0, 2, HEIGHT);
        }
    }
}
