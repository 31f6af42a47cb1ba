package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Stillness;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.WindowSettings;
import java.io.IOException;
import java.util.function.UnaryOperator;
import javafx.scene.Scene;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;

/** How large everything is, and whether anything moves by itself; kept for the next start. */
final class ViewMenu {
    private static final double STEP = 0.1;

    private final Session session;
    private final ZoomPane pane;
    private final MenuButton button = new MenuButton(DesktopText.of("shell.view-menu.view"));
    private final MenuItem size = new MenuItem();
    private double zoom = 1;

    ViewMenu(Session session, ZoomPane pane) {
        this.session = session;
        this.pane = pane;
        button.setId("view-menu");
        button.getStyleClass().add("quiet");
        MenuItem larger = new MenuItem(DesktopText.of("shell.view-menu.larger"));
        larger.setId("view-larger");
        larger.setOnAction(e -> step(STEP));
        MenuItem smaller = new MenuItem(DesktopText.of("shell.view-menu.smaller"));
        smaller.setId("view-smaller");
        smaller.setOnAction(e -> step(-STEP));
        size.setDisable(true);
        CheckMenuItem still = new CheckMenuItem(DesktopText.of("shell.view-menu.still"));
        still.setId("view-still");
        still.selectedProperty().bindBidirectional(Stillness.wanted());
        still.setOnAction(e -> keep(s -> s.withStill(still.isSelected())));
        button.getItems().setAll(size, larger, smaller, still);
        button.setOnShowing(e -> say());
        try {
            WindowSettings kept = WindowSettings.read();
            zoom = kept.zoom();
            Stillness.wanted().set(kept.still());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
        pane.zoom(zoom);
    }

    MenuButton button() {
        return button;
    }

    void installKeys(Scene scene) {
        for (KeyCode plus : new KeyCode[] {KeyCode.PLUS, KeyCode.EQUALS, KeyCode.ADD}) {
            scene.getAccelerators().put(with(plus), () -> step(STEP));
        }
        for (KeyCode minus : new KeyCode[] {KeyCode.MINUS, KeyCode.SUBTRACT}) {
            scene.getAccelerators().put(with(minus), () -> step(-STEP));
        }
    }

    private static KeyCombination with(KeyCode code) {
        return new KeyCodeCombination(code, KeyCombination.SHORTCUT_DOWN);
    }

    /** One step from what is shown: what a small window does not allow is not counted. */
    private void step(double by) {
        zoom = Math.max(1, Math.min(WindowSettings.LARGEST_ZOOM, Math.round((pane.shown() + by) / STEP) * STEP));
        pane.zoom(zoom);
        keep(s -> s.withZoom(zoom));
        say();
        session.jobs().tell(size.getText());
    }

    private void say() {
        pane.layout();
        boolean asWanted = pane.shown() > zoom - STEP / 2;
        size.setText(
                asWanted
                        ? DesktopText.of("shell.view-menu.size", 100 * pane.shown())
                        : DesktopText.of("shell.view-menu.no-more-room", 100 * pane.shown()));
    }

    private void keep(UnaryOperator<WindowSettings> step) {
        try {
            WindowSettings.change(step);
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }
}
