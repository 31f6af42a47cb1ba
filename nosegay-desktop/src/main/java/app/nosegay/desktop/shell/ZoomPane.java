package app.nosegay.desktop.shell;

import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.transform.Scale;

/** Shows the whole window larger: what is inside is laid out in less room and drawn to fill it. */
final class ZoomPane extends Pane {
    /** What a stage needs in any case, in pixels, as the smallest window has it: nothing is made so large that less is left. */
    private static final double LEAST_WIDTH = 1100;

    private static final double LEAST_HEIGHT = 640;

    private final Region content;
    private final Scale scale = new Scale(1, 1, 0, 0);
    private double wanted = 1;

    ZoomPane(Region content) {
        this.content = content;
        content.getTransforms().add(scale);
        getChildren().add(content);
    }

    /** @param zoom 1 for the usual size */
    void zoom(double zoom) {
        wanted = zoom;
        requestLayout();
    }

    /** How large it is shown: as was asked for, as far as there is room. */
    double shown() {
        return Math.max(1, Math.min(wanted, Math.min(getWidth() / LEAST_WIDTH, getHeight() / LEAST_HEIGHT)));
    }

    @Override
    protected void layoutChildren() {
        double zoom = shown();
        scale.setX(zoom);
        scale.setY(zoom);
        content.resizeRelocate(0, 0, getWidth() / zoom, getHeight() / zoom);
    }

    @Override
    protected double computePrefWidth(double height) {
        return content.prefWidth(height);
    }

    @Override
    protected double computePrefHeight(double width) {
        return content.prefHeight(width);
    }
}
