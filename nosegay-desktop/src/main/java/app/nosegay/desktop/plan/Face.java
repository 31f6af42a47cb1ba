package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import java.util.LinkedHashMap;
import java.util.Map;
import javafx.geometry.Orientation;
import javafx.scene.control.SplitPane;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;

/** The two sides of one paper: the bed and the written sheet, one or both of them shown. */
final class Face {
    private static final String BED = "bed";
    private static final String SHEET = "sheet";
    private static final String BOTH = "both";

    private final Region bed;
    private final Region sheet;
    private final StackPane view = new StackPane();
    private final HBox words = new HBox(4);
    private final Map<String, ToggleButton> buttons = new LinkedHashMap<>();
    private String shown = BED;
    private Runnable onShown = () -> {};

    Face(Region bed, Region sheet) {
        this.bed = bed;
        this.sheet = sheet;
        ToggleGroup group = new ToggleGroup();
        add(group, BED, DesktopText.of("plan.plan-stage.bed"));
        add(group, SHEET, DesktopText.of("plan.plan-stage.sheet"));
        add(group, BOTH, DesktopText.of("plan.plan-stage.both"));
        buttons.get(BED).setSelected(true);
        view.getChildren().setAll(bed);
    }

    private void add(ToggleGroup group, String name, String word) {
        ToggleButton button = new ToggleButton(word);
        button.setToggleGroup(group);
        button.getStyleClass().setAll("tab-word");
        button.setId("face-" + name);
        button.setTooltip(new Tooltip(DesktopText.of("plan.plan-stage.f7")));
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> show(name));
        buttons.put(name, button);
        words.getChildren().add(button);
    }

    Region words() {
        return words;
    }

    Region view() {
        return view;
    }

    void onShown(Runnable told) {
        onShown = told;
    }

    boolean hasBed() {
        return !shown.equals(SHEET);
    }

    /** The other side, or both. */
    void next(boolean both) {
        show(both ? BOTH : shown.equals(BED) ? SHEET : BED);
    }

    void show(String name) {
        buttons.get(name).setSelected(true);
        shown = name;
        if (name.equals(BOTH)) {
            SplitPane split = new SplitPane(bed, sheet);
            split.setOrientation(Orientation.VERTICAL);
            split.setDividerPositions(0.6);
            view.getChildren().setAll(split);
        } else {
            view.getChildren().setAll(name.equals(BED) ? bed : sheet);
        }
        onShown.run();
    }
}
