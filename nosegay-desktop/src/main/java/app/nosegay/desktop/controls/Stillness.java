package app.nosegay.desktop.controls;

import javafx.beans.property.BooleanProperty;
import javafx.beans.property.SimpleBooleanProperty;

/** Whether nothing in the window moves by itself: for whoever is made ill or distracted by it. One for the whole program. */
public final class Stillness {
    private static final BooleanProperty WANTED = new SimpleBooleanProperty();

    private Stillness() {}

    public static BooleanProperty wanted() {
        return WANTED;
    }
}
