package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.Gap;
import app.nosegay.time.Length;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Cursor;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Line;

/** A rest as a gap on the twig, with its seconds: dragged wider or narrower on a grid of five seconds. */
final class GapView extends StackPane {
    private static final double LEAST = 46;
    private static final double MOST = 200;
    private static final double GRID_SECONDS = 5;
    private static final double TWIG = 6;

    private final Label seconds = new Label();
    private final Gap gap;
    private double pressedX;
    private Length wanted;

    /**
     * @param stretched gets the length it was dragged to
     */
    GapView(Gap gap, Consumer<Length> stretched) {
        this.gap = gap;
        getStyleClass().add("gap");
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        String text = DesktopText.of("plan.bed.gap-spoken", gap.length().clock(), gap.active());
        setAccessibleText(text);
        seconds.setText(gap.length().clock());
        seconds.getStyleClass().add("gap-seconds");
        seconds.setMinWidth(Region.USE_PREF_SIZE);
        Label what = new Label(gap.active());
        what.getStyleClass().add("small");
        what.setWrapText(true);
        what.setMaxWidth(86);
        VBox words = new VBox(0, seconds);
        if (!gap.active().isEmpty()) {
            words.getChildren().add(what);
        }
        words.setAlignment(Pos.CENTER);
        Line twig = new Line();
        twig.getStyleClass().add("twig");
        twig.endXProperty().bind(widthProperty());
        VBox all = new VBox(3, words, twig);
        all.setAlignment(Pos.CENTER);
        getChildren().add(all);
        width(gap.length());
        if (gap.isAdjustable()) {
            setCursor(Cursor.H_RESIZE);
            Tooltip.install(this, new Tooltip(DesktopText.of("plan.bed.gap-tip")));
            addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
                pressedX = across(e);
                wanted = null;
            });
            addEventHandler(MouseEvent.MOUSE_DRAGGED, this::drag);
            addEventHandler(MouseEvent.MOUSE_RELEASED, e -> {
                if (wanted != null && !wanted.equals(gap.length())) {
                    stretched.accept(wanted);
                }
            });
        }
    }

    private void drag(MouseEvent e) {
        double by = (across(e) - pressedX) / LeafView.PER_SECOND;
        double to = Math.round((gap.length().seconds() + by) / GRID_SECONDS) * GRID_SECONDS;
        wanted = Length.ofSeconds(Math.max(0, to));
        seconds.setText(wanted.clock());
        width(wanted);
        e.consume();
    }

    /** Where the mouse is in the row: the gap itself grows under it, and the window may be shown larger. */
    private double across(MouseEvent e) {
        return getParent().sceneToLocal(e.getSceneX(), e.getSceneY()).getX();
    }

    private void width(Length length) {
        double w = Math.max(LEAST, Math.min(MOST, LeafView.PER_SECOND * length.seconds() + TWIG));
        setMinWidth(w);
        setPrefWidth(w);
        setMaxWidth(w);
    }

    Gap gap() {
        return gap;
    }
}
