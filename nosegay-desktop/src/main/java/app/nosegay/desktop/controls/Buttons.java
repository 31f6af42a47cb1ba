package app.nosegay.desktop.controls;

import javafx.scene.control.Button;
import javafx.scene.layout.Region;

/** The two kinds of buttons there are: the one thing to do on a page, and everything else. Their words are never cut short. */
public final class Buttons {
    private Buttons() {}

    /** Looks like a word until it is pointed at. */
    public static Button quiet(String words, Runnable action) {
        return button("quiet", words, action);
    }

    /** The same, known to tests and style sheets by {@code id}. */
    public static Button quiet(String words, String id, Runnable action) {
        Button button = quiet(words, action);
        button.setId(id);
        return button;
    }

    /** One in a row of a list, which the keyboard reaches by the row; what it does is set by the row. */
    public static Button inARow(String words) {
        Button button = quiet(words, () -> {});
        button.setFocusTraversable(false);
        return button;
    }

    /** The one thing a page is for. */
    public static Button act(String words, Runnable action) {
        return button("act", words, action);
    }

    private static Button button(String style, String words, Runnable action) {
        Button button = new Button(words);
        button.getStyleClass().add(style);
        button.setMinWidth(Region.USE_PREF_SIZE);
        button.setOnAction(e -> action.run());
        return button;
    }
}
