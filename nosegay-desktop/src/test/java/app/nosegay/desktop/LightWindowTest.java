package app.nosegay.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.jobs.WindowSettings;
import app.nosegay.paint.DarkVariant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import javafx.geometry.Bounds;
import javafx.geometry.Rectangle2D;
import javafx.scene.Node;
import javafx.scene.Parent;
import javafx.scene.SnapshotParameters;
import javafx.scene.canvas.Canvas;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.image.PixelReader;
import javafx.scene.image.WritableImage;
import javafx.scene.paint.Color;
import org.junit.jupiter.api.Test;

/** The window by day and by lamplight. */
class LightWindowTest extends DrivenWindow {
    private static final List<String> STAGES = List.of("plan", "script", "match", "proof", "series", "logbook");

    @Override
    String face() {
        return "bed";
    }

    /** What was drawn before the change is drawn again: every drawing is then the one of the day with light and dark changed over. */
    @Test
    void everyDrawingTurnsWithTheWindow() throws Exception {
        openWithTake();
        Map<String, Image> day = drawings();
        assertThat(day).hasSizeGreaterThan(15);
        double paper = lightness();
        clickOn("#view-menu");
        clickOn("#view-dark");
        until(() -> lightness() < 0.25);
        assertThat(paper).isGreaterThan(0.8);
        assertThat(WindowSettings.read().appearance()).isEqualTo(WindowSettings.Appearance.DARK);
        Map<String, Image> night = drawings();
        assertThat(night.keySet()).isEqualTo(day.keySet());
        List<String> left = new ArrayList<>();
        day.forEach((where, picture) -> {
            double turned = turned(picture, night.get(where));
            if (turned < 0.75) {
                left.add(where + String.format(" (%.2f)", turned));
            }
        });
        assertThat(left).as("drawings that stayed as they were by day").isEmpty();
        clickOn("#view-menu");
        clickOn("#view-light");
        until(() -> lightness() == paper);
    }

    /** What was chosen is there at the next start, from the first picture on. */
    @Test
    void aWindowClosedDarkOpensDark() throws Exception {
        interact(() -> Lamplight.on().set(true));
        WindowSettings.change(s -> s.withAppearance(WindowSettings.Appearance.DARK));
        interact(() -> {
            shell.close();
            javafx.stage.Stage stage = new javafx.stage.Stage();
            shell = NosegayApp.show(stage);
        });
        assertThat(Lamplight.on().get()).isTrue();
        until(() -> lightness() < 0.25);
    }

    /** The paper under everything, 0 to 1. */
    private double lightness() {
        double[] found = new double[1];
        interact(() -> {
            WritableImage picture = shell.root().getScene().snapshot(null);
            found[0] = picture.getPixelReader()
                    .getColor((int) picture.getWidth() - 5, (int) picture.getHeight() - 5)
                    .getBrightness();
        });
        return found[0];
    }

    /** Every drawing that can be seen, by its stage and where it is in tens of pixels. */
    private Map<String, Image> drawings() throws Exception {
        Map<String, Image> found = new TreeMap<>();
        for (String stage : STAGES) {
            clickOn("#stage-" + stage);
            until(() -> !shell.session().jobs().isRunning());
            // Pictures are painted beside the interface thread.
            sleep(700);
            interact(() -> collect(stage, shell.root(), found));
        }
        return found;
    }

    private static void collect(String where, Node node, Map<String, Image> found) {
        if (!node.isVisible()) {
            return;
        }
        boolean drawn = node instanceof Canvas || node instanceof ImageView view && isDrawing(view.getImage());
        if (drawn
                && node.getLayoutBounds().getWidth() > 0
                && node.getLayoutBounds().getHeight() > 0) {
            SnapshotParameters bare = new SnapshotParameters();
            bare.setFill(Color.TRANSPARENT);
            bare.setViewport(new Rectangle2D(
                    node.getBoundsInParent().getMinX(),
                    node.getBoundsInParent().getMinY(),
                    Math.min(900, node.getBoundsInParent().getWidth()),
                    Math.min(600, node.getBoundsInParent().getHeight())));
            Bounds at = node.localToScene(node.getLayoutBounds());
            found.put(
                    String.format("%s at %.0f, %.0f", where, at.getMinX() / 10, at.getMinY() / 10),
                    node.snapshot(bare, null));
        }
        if (node instanceof Parent parent) {
            parent.getChildrenUnmodifiable().forEach(child -> collect(where, child, found));
        }
    }

    /** A drawing lets the paper through; a picture of a recording does not. */
    private static boolean isDrawing(Image image) {
        return image != null && image.getPixelReader().getColor(0, 0).getOpacity() < 1;
    }

    /** The share of what is inked in {@code day} that {@code night} shows turned over; 1 where nothing is inked. */
    private static double turned(Image day, Image night) {
        PixelReader by = day.getPixelReader();
        PixelReader now = night.getPixelReader();
        int inked = 0;
        int right = 0;
        for (int y = 0; y < Math.min(day.getHeight(), night.getHeight()); y++) {
            for (int x = 0; x < Math.min(day.getWidth(), night.getWidth()); x++) {
                int argb = by.getArgb(x, y);
                if (argb >>> 24 > 230) {
                    inked++;
                    right += Math.abs(green(DarkVariant.of(argb)) - green(now.getArgb(x, y))) < 70 ? 1 : 0;
                }
            }
        }
        return inked == 0 ? 1 : right / (double) inked;
    }

    private static int green(int argb) {
        return argb >> 8 & 255;
    }
}
