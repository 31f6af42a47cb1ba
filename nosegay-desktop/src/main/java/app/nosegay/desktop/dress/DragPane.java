package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.Petals;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Layout;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import java.util.Map;
import java.util.function.BiConsumer;
import java.util.function.Supplier;
import javafx.scene.Cursor;
import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.paint.Color;

/** Lies over the picture: pieces are dragged from place to place on it, and it shows where people are. */
final class DragPane extends Pane {
    private final Canvas canvas = new Canvas();
    private final Supplier<Frame> frame;
    private final Supplier<Layout.Area> here;
    private final Supplier<DressNotes> notes;
    private final BiConsumer<Layout.Group, Layout.Anchor> put;
    private Layout.Group held;
    private Layout.Anchor over;
    private boolean occupancy;

    DragPane(
            Supplier<Frame> frame,
            Supplier<Layout.Area> here,
            Supplier<DressNotes> notes,
            BiConsumer<Layout.Group, Layout.Anchor> put) {
        this.frame = frame;
        this.here = here;
        this.notes = notes;
        this.put = put;
        getChildren().add(canvas);
        setId("drag-pane");
        setOnMouseMoved(e -> setCursor(under(e) == null ? Cursor.DEFAULT : Cursor.OPEN_HAND));
        setOnMousePressed(e -> held = under(e));
        setOnMouseDragged(this::drag);
        setOnMouseReleased(e -> drop());
    }

    void showOccupancy(boolean shown) {
        occupancy = shown;
        redraw();
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        canvas.setHeight(getHeight());
        redraw();
    }

    private Frame frame() {
        return frame.get();
    }

    /** Pixels per unit of the picture, which sits at the top, centred. */
    private double scale() {
        return Math.min(getWidth() / frame().width(), getHeight() / frame().height());
    }

    private double left() {
        return (getWidth() - frame().width() * scale()) / 2;
    }

    private double unitsX(MouseEvent e) {
        return (e.getX() - left()) / scale();
    }

    private double unitsY(MouseEvent e) {
        return e.getY() / scale();
    }

    private Layout.Group under(MouseEvent e) {
        Layout.Area area = here.get();
        if (area == null) {
            return null;
        }
        Box point = new Box(unitsX(e), unitsY(e), 0.1, 0.1);
        return area.boxes().entrySet().stream()
                .filter(b -> b.getValue().overlaps(point))
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse(null);
    }

    private Box box(Layout.Anchor anchor, Layout.Group group) {
        Box now = here.get().boxes().get(group);
        Box room = Layout.room(frame(), notes.get().shows(DressNotes.Extra.PROGRESS));
        return anchor.box(room, now.width(), now.height());
    }

    private void drag(MouseEvent e) {
        if (held == null || here.get() == null || !here.get().boxes().containsKey(held)) {
            return;
        }
        double best = Double.MAX_VALUE;
        for (Layout.Anchor a : Layout.Anchor.of(frame())) {
            Box b = box(a, held);
            double distance = Math.hypot(b.x() + b.width() / 2 - unitsX(e), b.y() + b.height() / 2 - unitsY(e));
            if (distance < best) {
                best = distance;
                over = a;
            }
        }
        redraw();
    }

    private void drop() {
        if (held != null && over != null) {
            put.accept(held, over);
        }
        held = null;
        over = null;
        redraw();
    }

    void redraw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        Layout.Area area = here.get();
        if (area == null) {
            return;
        }
        if (occupancy) {
            occupancy(g, area.stretch().occupancy());
        }
        if (held != null && over != null) {
            for (Layout.Anchor a : Layout.Anchor.of(frame())) {
                Box b = box(a, held);
                g.setStroke(a == over ? Petals.work() : Color.color(1, 1, 1, 0.75));
                g.setLineWidth(a == over ? 3 : 1.2);
                g.setLineDashes(a == over ? new double[0] : new double[] {4, 5});
                g.strokeRect(left() + b.x() * scale(), b.y() * scale(), b.width() * scale(), b.height() * scale());
            }
            g.setLineDashes();
        }
    }

    private void occupancy(GraphicsContext g, OccupancyMap h) {
        double w = frame().width() * scale() / h.columns();
        double height = frame().height() * scale() / h.rows();
        for (int y = 0; y < h.rows(); y++) {
            for (int x = 0; x < h.columns(); x++) {
                double share = h.presence()[y * h.columns() + x];
                if (share > 0.03) {
                    g.setFill(Color.color(0.65, 0.16, 0.33, Math.min(0.6, share * 0.6)));
                    g.fillRect(left() + x * w, y * height, w, height);
                }
            }
        }
    }
}
