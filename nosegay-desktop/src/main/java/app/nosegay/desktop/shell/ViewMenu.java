package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Stillness;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.SystemAppearance;
import app.nosegay.jobs.WindowSettings;
import app.nosegay.jobs.WindowSettings.Appearance;
import java.io.IOException;
import java.util.Locale;
import java.util.function.UnaryOperator;
import javafx.application.Platform;
import javafx.scene.Scene;
import javafx.scene.control.CheckMenuItem;
import javafx.scene.control.MenuButton;
import javafx.scene.control.MenuItem;
import javafx.scene.control.RadioMenuItem;
import javafx.scene.control.SeparatorMenuItem;
import javafx.scene.control.ToggleGroup;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyCodeCombination;
import javafx.scene.input.KeyCombination;

/** How large everything is, whether anything moves by itself, and by what light it is shown; kept for the next start. */
final class ViewMenu {
    private static final double STEP = 0.1;

    private final Session session;
    private final ZoomPane pane;
    private final MenuButton button = new MenuButton(DesktopText.of("shell.view-menu.view"));
    private final MenuItem size = new MenuItem();
    private final ToggleGroup appearances = new ToggleGroup();
    private Appearance appearance = Appearance.LIGHT;
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
        button.getItems().setAll(size, larger, smaller, still, new SeparatorMenuItem());
        for (Appearance a : Appearance.values()) {
            String name = a.name().toLowerCase(Locale.ROOT).replace('_', '-');
            RadioMenuItem way = new RadioMenuItem(DesktopText.of("shell.view-menu.appearance." + name));
            way.setId("view-" + name);
            way.setToggleGroup(appearances);
            way.setUserData(a);
            way.setOnAction(e -> {
                keep(s -> s.withAppearance(a));
                light(a);
            });
            button.getItems().add(way);
        }
        button.setOnShowing(e -> say());
        try {
            WindowSettings kept = WindowSettings.read();
            zoom = kept.zoom();
            Stillness.wanted().set(kept.still());
            light(kept.appearance());
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
        pane.zoom(zoom);
    }

    /** The window light or dark; as the system has it once the system has said so. */
    private void light(Appearance wanted) {
        appearance = wanted;
        appearances.getToggles().forEach(t -> t.setSelected(t.getUserData() == wanted));
        if (wanted == Appearance.AS_THE_SYSTEM) {
            followSystem();
        } else {
            Lamplight.on().set(wanted == Appearance.DARK);
        }
    }

    /** Asks the system again, where it is followed: it may have changed while another window was in front. */
    void followSystem() {
        if (appearance != Appearance.AS_THE_SYSTEM) {
            return;
        }
        Thread asking = new Thread(
                () -> {
                    boolean dark = SystemAppearance.isDark();
                    Platform.runLater(() -> {
                        if (appearance == Appearance.AS_THE_SYSTEM) {
                            Lamplight.on().set(dark);
                        }
                    });
                },
                "system-appearance");
        asking.setDaemon(true);
        asking.start();
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
