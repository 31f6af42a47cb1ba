package app.nosegay.desktop.controls;

import javafx.scene.canvas.Canvas;
import javafx.scene.canvas.GraphicsContext;
import javafx.scene.layout.Pane;

/** A part of the window that is drawn: as wide as there is room, drawn anew when its width or what it shows has changed. */
public abstract class DrawnPane extends Pane {
    private final Canvas canvas = new Canvas();

    /**
     * @param id for tests and style sheets
     * @param height in pixels
     */
    protected DrawnPane(String id, double height) {
        setId(id);
        setMinHeight(height);
        setMaxHeight(height);
        canvas.setHeight(height);
        getChildren().add(canvas);
        Lamplight.follow(this, this::redraw);
    }

    /** Draws on an empty canvas of that size, in pixels. */
    protected abstract void draw(GraphicsContext g, double width, double height);

    /** Draws again: something else is to be shown. */
    protected final void redraw() {
        GraphicsContext g = canvas.getGraphicsContext2D();
        g.clearRect(0, 0, canvas.getWidth(), canvas.getHeight());
        draw(g, canvas.getWidth(), canvas.getHeight());
    }

    @Override
    protected void layoutChildren() {
        canvas.setWidth(getWidth());
        redraw();
    }
}
