package app.nosegay.desktop.controls;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.function.Consumer;
import javafx.scene.Node;
import javafx.scene.control.ToggleButton;
import javafx.scene.control.ToggleGroup;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** Several views of one thing, of which one is shown: a row of words above it. */
public final class Tabs {
    private final String id;
    private final FlowPane row = new FlowPane(4, 4);
    private final StackPane shown = new StackPane();
    private final VBox view = new VBox(8, row, shown);
    private final ToggleGroup group = new ToggleGroup();
    private final Map<String, ToggleButton> buttons = new LinkedHashMap<>();
    private final Map<String, Node> pages = new LinkedHashMap<>();
    private Consumer<String> onShown = name -> {};

    /**
     * @param id begins the ids of its buttons: {@code plan-tab-findings}
     */
    public Tabs(String id) {
        this.id = id;
        VBox.setVgrow(shown, Priority.ALWAYS);
        row.getStyleClass().add("tabs");
        view.setMinHeight(60);
    }

    /** Adds a page, known by {@code name}, with {@code word} on its button. */
    public void add(String name, String word, Node page) {
        ToggleButton button = new ToggleButton(word);
        button.setToggleGroup(group);
        button.getStyleClass().setAll("tab-word");
        button.setId(id + "-tab-" + name);
        button.setOnAction(e -> show(name));
        buttons.put(name, button);
        pages.put(name, page);
        row.getChildren().add(button);
        if (pages.size() == 1) {
            show(name);
        }
    }

    /** Gives a tab another word on its button; its name stays. */
    public void rename(String name, String word) {
        buttons.get(name).setText(word);
    }

    public void show(String name) {
        buttons.get(name).setSelected(true);
        shown.getChildren().setAll(pages.get(name));
        onShown.accept(name);
    }

    /** Gives the shown tab's word the focus; from there Tab goes on into its page. */
    public void focus() {
        ((ToggleButton) group.getSelectedToggle()).requestFocus();
    }

    public void onShown(Consumer<String> told) {
        onShown = told;
    }

    /** The name of the page that is shown. */
    public String shown() {
        return buttons.entrySet().stream()
                .filter(e -> e.getValue().isSelected())
                .map(Map.Entry::getKey)
                .findFirst()
                .orElse("");
    }

    public Region view() {
        return view;
    }
}
