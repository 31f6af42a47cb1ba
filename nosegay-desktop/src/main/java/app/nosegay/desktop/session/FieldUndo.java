package app.nosegay.desktop.session;

import javafx.scene.Node;
import javafx.scene.Scene;
import javafx.scene.control.TextInputControl;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;

/**
 * One history per window, in text fields too: what was typed and not yet kept is undone in the field, what was kept is undone in the
 * workout. The field lets go of the keyboard then, so that it shows what holds again.
 */
public final class FieldUndo {
    private final Scene scene;
    private final Session session;
    /** The text of the focused field as it was last kept. */
    private String kept;

    private FieldUndo(Scene scene, Session session) {
        this.scene = scene;
        this.session = session;
    }

    public static void install(Scene scene, Session session) {
        FieldUndo undo = new FieldUndo(scene, session);
        scene.focusOwnerProperty().addListener((o, before, now) -> undo.remember(now));
        session.programme().addListener((o, before, now) -> undo.remember(scene.getFocusOwner()));
        scene.addEventFilter(KeyEvent.KEY_PRESSED, undo::key);
    }

    private void remember(Node focused) {
        kept = focused instanceof TextInputControl field ? field.getText() : null;
    }

    private void key(KeyEvent e) {
        boolean undo = e.getCode() == KeyCode.Z && e.isShortcutDown() && !e.isAltDown();
        boolean untouched = scene.getFocusOwner() instanceof TextInputControl field
                && field.getText() != null
                && field.getText().equals(kept);
        if (undo && untouched) {
            e.consume();
            scene.getRoot().requestFocus();
            if (e.isShiftDown()) {
                session.redo();
            } else {
                session.undo();
            }
        }
    }
}
