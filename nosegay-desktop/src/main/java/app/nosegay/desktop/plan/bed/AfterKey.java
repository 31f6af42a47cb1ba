package app.nosegay.desktop.plan.bed;

import javafx.application.Platform;
import javafx.scene.Node;

/**
 * Opens what pops up beside a node. Not within the key that asks for it, which the new popup would take for its own; and
 * not at all when the row was drawn anew meanwhile and the node has left the window.
 */
final class AfterKey {

    private AfterKey() {}

    static void open(Node beside, Runnable popup) {
        Platform.runLater(() -> {
            if (beside.getScene() != null && beside.getScene().getWindow() != null) {
                popup.run();
            }
        });
    }
}
