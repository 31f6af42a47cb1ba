package app.nosegay.desktop.controls;

import javafx.scene.control.Label;
import javafx.scene.layout.Region;

/** Words in the sizes the style sheet knows. */
public final class Labels {
    private Labels() {}

    /** An aside, over as many lines as it takes. */
    public static Label small(String text) {
        return wrapped("small", text);
    }

    public static Label subheading(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("subheading");
        return label;
    }

    /** What stands where nothing is, and what to do about it. */
    public static Label empty(String text) {
        return wrapped("empty", text);
    }

    private static Label wrapped(String style, String text) {
        Label label = new Label(text);
        label.getStyleClass().add(style);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }
}
