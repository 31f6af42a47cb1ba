package app.nosegay.desktop.shell;

import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.layout.GridPane;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** All keys on one sheet (F1). */
final class KeysOverlay {
    private static final String[][] KEYS = {
        {"Ctrl+1 … Ctrl+0", "Plan, Script, Shoot, Match, Dress, Proof, Publish, Library, Series, Logbook"},
        {"Ctrl+Z  ·  Ctrl+Shift+Z", "Undo  ·  redo, step by step"},
        {"Ctrl+S  ·  Ctrl+O", "Save  ·  open a workout"},
        {"Ctrl+Space", "Plan: what may be meant here (Tab takes it)"},
        {"Ctrl+.", "Plan: mend the error on this line with the nearest word"},
        {"Alt+Up  ·  Alt+Down", "Plan: the number under the cursor up or down"},
        {"Alt+Shift+Up  ·  Down", "Plan: this block or move one place up or down"},
        {"Alt+F  ·  Alt+Shift+F", "Plan: fold this block  ·  all blocks"},
        {"F6", "Plan: from the run sheet to what is beside it, and back"},
        {"Ctrl+T", "Plan: ways to keep the promise (Enter takes one)"},
        {"M  ·  Enter  ·  L", "Findings, also on Proof: mend it  ·  go there  ·  leave it with a reason"},
        {"Space  ·  E", "Script: read through  ·  edit the chosen line"},
        {"Left  ·  Right", "Script: the chosen line a tenth earlier  ·  later (Shift: a second)"},
        {"M  ·  F  ·  Esc", "Shoot: mark  ·  log a fluff  ·  end"},
        {"A or Page Up", "Shoot: again from here"},
        {"H  ·  G or Page Down", "Shoot: hold or go on  ·  on to the next"},
        {"J  ·  K", "Script, Match and Dress: next line  ·  line before"},
        {"Space", "Match and Dress: play from the line's start, or stop"},
        {"D", "Match: the most doubtful boundary not looked at yet"},
        {"B", "Match: keep the selected boundary where it is (pin)"},
        {"R  ·  T  ·  U", "Match: repeat around the start  ·  tap a rep while it plays  ·  use another take"},
        {"F", "Match: the Score by block, then fold or open a block"},
        {",  ·  .", "Match: the start a tenth earlier  ·  later (Shift: a second; Alt: the end)"},
        {"[  ·  ]", "Match: the line's start a frame earlier  ·  later"},
        {"{  ·  }", "Match: the line's end a frame earlier  ·  later"},
        {"C  ·  Left  ·  Right", "Match, Cuts: cut or keep  ·  move the start (Shift: the end)"},
        {"Left  ·  Right", "Dress: a tenth of a second back  ·  on"},
        {"F1", "This sheet"},
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
        Label heading = new Label("Keys");
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
