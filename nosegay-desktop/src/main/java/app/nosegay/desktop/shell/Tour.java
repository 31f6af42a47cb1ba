package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.SettingsNote;
import java.util.List;
import javafx.animation.Animation;
import javafx.animation.KeyFrame;
import javafx.animation.Timeline;
import javafx.geometry.Bounds;
import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;
import javafx.util.Duration;

/** Five hints beside real controls, once, on the first start; each waits until its control is there, and all can be skipped. */
public final class Tour {
    private static final Duration LOOK_EVERY = Duration.millis(300);
    private static final double WIDTH = 290;
    private static final double GAP = 8;

    private final Scene scene;
    private final Timeline look = new Timeline(new KeyFrame(LOOK_EVERY, e -> look()));
    private final Popup popup = new Popup();
    private final List<Hint> hints = List.of(
            new Hint("#start-by_the_clock", DesktopText.of("shell.tour.begin")),
            new Hint(".bed-row .value", DesktopText.of("shell.tour.value")),
            new Hint(".bed-add", DesktopText.of("shell.tour.add")),
            new Hint("#promise", DesktopText.of("shell.tour.promise")),
            new Hint("#stage-shoot", DesktopText.of("shell.tour.shoot")));
    private int step;

    /**
     * A hint.
     *
     * @param beside the control it stands beside, as it is looked up
     */
    private record Hint(String beside, String words) {}

    public Tour(Scene scene) {
        this.scene = scene;
        look.setCycleCount(Animation.INDEFINITE);
    }

    /** Begins where it was never seen. */
    public void beginOnce() {
        if (!SettingsNote.TOUR_SEEN.isSet()) {
            look.play();
        }
    }

    /** Shows the hint of the step as soon as its control can be seen; hides it while it cannot. */
    private void look() {
        if (scene.getWindow() == null || !scene.getWindow().isShowing()) {
            look.stop();
            popup.hide();
            return;
        }
        Node node = scene.lookup(hints.get(step).beside());
        Bounds at = node == null || !node.isVisible() || node.getScene() == null
                ? null
                : node.localToScreen(node.getBoundsInLocal());
        if (at == null || at.getWidth() == 0) {
            popup.hide();
        } else if (!popup.isShowing()) {
            show(at);
        }
    }

    private void show(Bounds at) {
        Label words = new Label(hints.get(step).words());
        words.setWrapText(true);
        words.setMaxWidth(WIDTH);
        Label count = new Label(DesktopText.of("shell.tour.step", step + 1, hints.size()));
        count.getStyleClass().add("small");
        boolean last = step + 1 == hints.size();
        Button next =
                Buttons.act(last ? DesktopText.of("shell.tour.done") : DesktopText.of("shell.tour.next"), this::next);
        next.setId("tour-next");
        HBox buttons = new HBox(8, next);
        if (!last) {
            buttons.getChildren().add(Buttons.quiet(DesktopText.of("shell.tour.skip"), "tour-skip", this::end));
        }
        VBox note = new VBox(8, count, words, buttons);
        note.getStyleClass().addAll("choices", "tour");
        note.setPrefWidth(WIDTH);
        note.getStylesheets().setAll(scene.getStylesheets());
        popup.getContent().setAll(note);
        popup.show(scene.getWindow(), at.getMinX() + GAP, at.getMaxY() + GAP);
    }

    private void next() {
        popup.hide();
        if (++step == hints.size()) {
            end();
        }
    }

    /** It is not shown again. */
    private void end() {
        step = hints.size() - 1;
        look.stop();
        popup.hide();
        SettingsNote.TOUR_SEEN.set(true);
    }
}
