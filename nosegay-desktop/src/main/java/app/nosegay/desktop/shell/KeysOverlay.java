package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** All keys on one sheet (F1). */
final class KeysOverlay {
    private static final String[][] KEYS = {
        {"Ctrl+1 … Ctrl+0", DesktopText.of("shell.keys-overlay.plan-script-shoot-match-dress")},
        {"Ctrl+Z  ·  Ctrl+Shift+Z", DesktopText.of("shell.keys-overlay.undo-redo-step-by-step")},
        {"Ctrl+S  ·  Ctrl+O", DesktopText.of("shell.keys-overlay.save-open-a-workout")},
        {"Ctrl+Space", DesktopText.of("shell.keys-overlay.plan-what-may-be-meant")},
        {"Ctrl+.", DesktopText.of("shell.keys-overlay.plan-mend-the-error-on")},
        {"Alt+Up  ·  Alt+Down", DesktopText.of("shell.keys-overlay.plan-the-number-under-the")},
        {"Alt+Shift+Up  ·  Down", DesktopText.of("shell.keys-overlay.plan-this-block-or-move")},
        {"Alt+F  ·  Alt+Shift+F", DesktopText.of("shell.keys-overlay.plan-fold-this-block-all")},
        {"F6", DesktopText.of("shell.keys-overlay.plan-from-the-run-sheet")},
        {"Ctrl+T", DesktopText.of("shell.keys-overlay.plan-ways-to-keep-the")},
        {"M  ·  Enter  ·  L", DesktopText.of("shell.keys-overlay.findings-also-on-proof-mend")},
        {DesktopText.of("shell.keys-overlay.space-e"), DesktopText.of("shell.keys-overlay.script-read-through-edit-the")
        },
        {DesktopText.of("shell.keys-overlay.left-right"), DesktopText.of("shell.keys-overlay.script-the-chosen-line-a")
        },
        {"M  ·  F  ·  Esc", DesktopText.of("shell.keys-overlay.shoot-mark-log-a-fluff")},
        {DesktopText.of("shell.keys-overlay.a-or-page-up"), DesktopText.of("shell.keys-overlay.shoot-again-from-here")},
        {DesktopText.of("shell.keys-overlay.h-g-or-page-down"), DesktopText.of("shell.keys-overlay.shoot-hold-or-go-on")
        },
        {"J  ·  K", DesktopText.of("shell.keys-overlay.script-match-and-dress-next")},
        {DesktopText.of("shell.keys-overlay.space"), DesktopText.of("shell.keys-overlay.match-and-dress-play-from")},
        {"D", DesktopText.of("shell.keys-overlay.match-the-most-doubtful-boundary")},
        {"B", DesktopText.of("shell.keys-overlay.match-keep-the-selected-boundary")},
        {"R  ·  T  ·  U", DesktopText.of("shell.keys-overlay.match-repeat-around-the-start")},
        {"F", DesktopText.of("shell.keys-overlay.match-the-score-by-block")},
        {",  ·  .", DesktopText.of("shell.keys-overlay.match-the-start-a-tenth")},
        {"[  ·  ]", DesktopText.of("shell.keys-overlay.match-the-lines-start-a")},
        {"{  ·  }", DesktopText.of("shell.keys-overlay.match-the-lines-end-a")},
        {"C  ·  Left  ·  Right", DesktopText.of("shell.keys-overlay.match-cuts-cut-or-keep")},
        {DesktopText.of("shell.keys-overlay.left-right"), DesktopText.of("shell.keys-overlay.dress-a-tenth-of-a")},
        {"F1", DesktopText.of("shell.keys-overlay.this-sheet")},
    };

    private final StackPane shade = new StackPane();

    KeysOverlay() {
        GridPane grid = new GridPane();
        grid.setHgap(28);
        grid.setVgap(8);
        for (int i = 0; i < KEYS.length; i++) {
            Label key = new Label(KEYS[i][0]);
            key.getStyleClass().add("key");
            grid.addRow(i, key, new Label(KEYS[i][1]));
        }
        Label heading = new Label(DesktopText.of("shell.keys-overlay.keys"));
        heading.getStyleClass().add("heading");
        VBox sheet = new VBox(14, heading, grid);
        sheet.getStyleClass().add("sheet");
        sheet.setMaxSize(VBox.USE_PREF_SIZE, VBox.USE_PREF_SIZE);
        shade.getChildren().add(sheet);
        shade.setAlignment(Pos.CENTER);
        shade.getStyleClass().add("shade");
        shade.setVisible(false);
        shade.setOnMouseClicked(e -> toggle());
    }

    StackPane view() {
        return shade;
    }

    void toggle() {
        shade.setVisible(!shade.isVisible());
    }
}
