package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.Replacing;
import java.util.List;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Asks before files are replaced, and says which are kept beside. */
final class ReplaceCard {
    private final VBox view = new VBox(6);

    ReplaceCard() {
        view.setId("replacing");
        view.getStyleClass().add("card");
        view.managedProperty().bind(view.visibleProperty());
        view.setVisible(false);
        view.setMinHeight(Region.USE_PREF_SIZE);
    }

    Region view() {
        return view;
    }

    void hide() {
        view.setVisible(false);
    }

    /** Shows what is in the way and asks whether to go on. */
    void ask(List<Replacing.InTheWay> inTheWay, Runnable then) {
        view.getChildren().clear();
        List<String> ours = names(inTheWay, false);
        List<String> theirs = names(inTheWay, true);
        if (!ours.isEmpty()) {
            row(DesktopText.of("publish.outputs-panel.are-replaced", ours.size(), String.join(", ", ours)));
        }
        if (!theirs.isEmpty()) {
            row(DesktopText.of("publish.outputs-panel.are-kept-beside", theirs.size(), String.join(", ", theirs)));
        }
        Button go = Buttons.act(DesktopText.of("publish.outputs-panel.replace"), () -> {
            view.setVisible(false);
            then.run();
        });
        go.setId("replace");
        Button no = Buttons.quiet(DesktopText.of("publish.outputs-panel.do-not-replace"), () -> {
            view.setVisible(false);
        });
        no.setId("do-not-replace");
        view.getChildren().add(new HBox(8, go, no));
        view.setVisible(true);
        go.requestFocus();
    }

    private static List<String> names(List<Replacing.InTheWay> inTheWay, boolean kept) {
        return inTheWay.stream()
                .filter(w -> w.kept() == kept)
                .map(w -> w.file().getFileName().toString())
                .toList();
    }

    private void row(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        view.getChildren().add(label);
    }
}
