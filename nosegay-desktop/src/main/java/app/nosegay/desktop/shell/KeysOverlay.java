package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextField;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** All keys on one sheet (F1): those of the open stage first, and a search over all of them. */
final class KeysOverlay {
    private static final double WIDTH = 760;
    private static final double HIGH = 0.82;

    /**
     * A key.
     *
     * @param stage where it works; {@code all} for everywhere
     */
    private record Key(String stage, String keys, String does) {}

    private static final List<Key> KEYS = List.of(
            new Key("all", "Ctrl+1 … Ctrl+0", DesktopText.of("shell.keys-overlay.plan-script-shoot-match-dress")),
            new Key("all", "Ctrl+Z  ·  Ctrl+Shift+Z", DesktopText.of("shell.keys-overlay.undo-redo-step-by-step")),
            new Key("all", "Ctrl+S  ·  Ctrl+O", DesktopText.of("shell.keys-overlay.save-open-a-workout")),
            new Key("all", "Ctrl+Plus  ·  Ctrl+Minus", DesktopText.of("shell.keys-overlay.zoom")),
            new Key("plan", "Enter  ·  Shift+Enter", DesktopText.of("shell.keys-overlay.bed-add")),
            new Key("plan", "+  ·  −", DesktopText.of("shell.keys-overlay.bed-step")),
            new Key("plan", "Alt+arrows", DesktopText.of("shell.keys-overlay.bed-carry")),
            new Key("plan", "S  ·  T", DesktopText.of("shell.keys-overlay.bed-sides")),
            new Key("plan", "R  ·  O  ·  L", DesktopText.of("shell.keys-overlay.bed-rest")),
            new Key("plan", "Ctrl+D  ·  Delete", DesktopText.of("shell.keys-overlay.bed-duplicate")),
            new Key("plan", "Ctrl+C  ·  Ctrl+X  ·  Ctrl+V", DesktopText.of("shell.keys-overlay.bed-copy")),
            new Key("plan", "Space  ·  F2", DesktopText.of("shell.keys-overlay.bed-open")),
            new Key("plan", "Shift+arrows", DesktopText.of("shell.keys-overlay.bed-several")),
            new Key("plan", "F7  ·  Shift+F7", DesktopText.of("shell.keys-overlay.bed-face")),
            new Key("plan", "Ctrl+Space", DesktopText.of("shell.keys-overlay.plan-what-may-be-meant")),
            new Key("plan", "Ctrl+.", DesktopText.of("shell.keys-overlay.plan-mend-the-error-on")),
            new Key("plan", "Alt+Up  ·  Alt+Down", DesktopText.of("shell.keys-overlay.plan-the-number-under-the")),
            new Key("plan", "Alt+Shift+Up  ·  Down", DesktopText.of("shell.keys-overlay.plan-this-block-or-move")),
            new Key("plan", "Alt+F  ·  Alt+Shift+F", DesktopText.of("shell.keys-overlay.plan-fold-this-block-all")),
            new Key("plan", "F6", DesktopText.of("shell.keys-overlay.plan-from-the-run-sheet")),
            new Key("plan", "Ctrl+T", DesktopText.of("shell.keys-overlay.plan-ways-to-keep-the")),
            new Key("proof", "M  ·  Enter  ·  L", DesktopText.of("shell.keys-overlay.findings-also-on-proof-mend")),
            new Key(
                    "script",
                    DesktopText.of("shell.keys-overlay.space-e"),
                    DesktopText.of("shell.keys-overlay.script-read-through-edit-the")),
            new Key(
                    "script",
                    DesktopText.of("shell.keys-overlay.left-right"),
                    DesktopText.of("shell.keys-overlay.script-the-chosen-line-a")),
            new Key("script", "W", DesktopText.of("shell.keys-overlay.script-other-words")),
            new Key("shoot", "S", DesktopText.of("shell.keys-overlay.shoot-said")),
            new Key("shoot", "M  ·  F  ·  Esc", DesktopText.of("shell.keys-overlay.shoot-mark-log-a-fluff")),
            new Key(
                    "shoot",
                    DesktopText.of("shell.keys-overlay.a-or-page-up"),
                    DesktopText.of("shell.keys-overlay.shoot-again-from-here")),
            new Key(
                    "shoot",
                    DesktopText.of("shell.keys-overlay.h-g-or-page-down"),
                    DesktopText.of("shell.keys-overlay.shoot-hold-or-go-on")),
            new Key("script", "J  ·  K", DesktopText.of("shell.keys-overlay.script-match-and-dress-next")),
            new Key(
                    "match",
                    DesktopText.of("shell.keys-overlay.space"),
                    DesktopText.of("shell.keys-overlay.match-and-dress-play-from")),
            new Key("match", "D", DesktopText.of("shell.keys-overlay.match-the-most-doubtful-boundary")),
            new Key("match", "B", DesktopText.of("shell.keys-overlay.match-keep-the-selected-boundary")),
            new Key("match", "R  ·  T  ·  U", DesktopText.of("shell.keys-overlay.match-repeat-around-the-start")),
            new Key("match", "V", DesktopText.of("shell.keys-overlay.match-half-speed")),
            new Key("match", "1  ·  2  ·  3", DesktopText.of("shell.keys-overlay.match-candidates")),
            new Key("match", "C", DesktopText.of("shell.keys-overlay.match-compare")),
            new Key("match", "F", DesktopText.of("shell.keys-overlay.match-the-score-by-block")),
            new Key("match", ",  ·  .", DesktopText.of("shell.keys-overlay.match-the-start-a-tenth")),
            new Key("match", "[  ·  ]", DesktopText.of("shell.keys-overlay.match-the-lines-start-a")),
            new Key("match", "{  ·  }", DesktopText.of("shell.keys-overlay.match-the-lines-end-a")),
            new Key("match", "C  ·  Left  ·  Right", DesktopText.of("shell.keys-overlay.match-cuts-cut-or-keep")),
            new Key("match", "M", DesktopText.of("shell.keys-overlay.match-words-mute")),
            new Key(
                    "dress",
                    DesktopText.of("shell.keys-overlay.left-right"),
                    DesktopText.of("shell.keys-overlay.dress-a-tenth-of-a")),
            new Key("dress", "Alt+Left  ·  Right", DesktopText.of("shell.keys-overlay.dress-move-the-card")),
            new Key("dress", "Ctrl+C", DesktopText.of("shell.keys-overlay.dress-copy")),
            new Key("publish", "Ctrl+C", DesktopText.of("shell.keys-overlay.publish-copy")),
            new Key("all", "F1", DesktopText.of("shell.keys-overlay.this-sheet")));

    private final StackPane shade = new StackPane();
    private final TextField search = new TextField();
    private final GridPane grid = new GridPane();
    private String stage = "";

    KeysOverlay() {
        grid.setHgap(28);
        grid.setVgap(8);
        search.setId("keys-search");
        search.setPromptText(DesktopText.of("shell.keys-overlay.search"));
        search.textProperty().addListener((o, was, is) -> fill());
        Label heading = new Label(DesktopText.of("shell.keys-overlay.keys"));
        heading.getStyleClass().add("heading");
        ScrollPane scroll = new ScrollPane(grid);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox sheet = new VBox(12, heading, search, scroll);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        sheet.getStyleClass().add("sheet");
        sheet.setMaxWidth(WIDTH);
        sheet.maxHeightProperty().bind(shade.heightProperty().multiply(HIGH));
        sheet.setOnMousePressed(MouseEvent::consume);
        shade.getChildren().add(sheet);
        shade.setAlignment(Pos.CENTER);
        shade.getStyleClass().add("shade");
        shade.setVisible(false);
        shade.setOnMousePressed(e -> hide());
        shade.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ESCAPE) {
                hide();
                e.consume();
            }
        });
    }

    StackPane view() {
        return shade;
    }

    /** Shows the keys, those of {@code open} first, or hides them. */
    void toggle(String open) {
        if (shade.isVisible()) {
            hide();
            return;
        }
        stage = open;
        search.clear();
        fill();
        shade.setVisible(true);
        search.requestFocus();
    }

    private void hide() {
        shade.setVisible(false);
    }

    private void fill() {
        grid.getChildren().clear();
        String wanted = search.getText().toLowerCase(Locale.ROOT).strip();
        int y = 0;
        List<Key> found = KEYS.stream()
                .filter(k ->
                        (k.keys() + " " + k.does()).toLowerCase(Locale.ROOT).contains(wanted))
                .sorted(Comparator.comparingInt(this::order))
                .toList();
        for (Key k : found) {
            Label key = new Label(k.keys());
            key.getStyleClass().add("key");
            key.setMinWidth(Region.USE_PREF_SIZE);
            Label does = new Label(k.does());
            does.setWrapText(true);
            does.setMinHeight(Region.USE_PREF_SIZE);
            grid.addRow(y++, key, does);
        }
        if (found.isEmpty()) {
            grid.addRow(0, new Label(DesktopText.of("shell.keys-overlay.none")));
        }
    }

    private int order(Key key) {
        return key.stage().equals(stage) ? 0 : key.stage().equals("all") ? 1 : 2;
    }
}
