package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.stage.Stage;

/** The title of the workout, what can be undone, and what is done with its file. */
final class Head {
    private final Session session;
    private final Stage window;
    private final Label title = new Label();
    private final Button undo = new Button(DesktopText.of("shell.shell.undo"));
    private final Button redo = new Button(DesktopText.of("shell.shell.redo"));

    Head(Session session, Stage window) {
        this.session = session;
        this.window = window;
    }

    /** @param begin shows the first screen */
    HBox view(WorkoutChooser chooser, Runnable begin, Node menu) {
        title.getStyleClass().add("workout-title");
        title.setMinWidth(60);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        undo.getStyleClass().add("quiet");
        redo.getStyleClass().add("quiet");
        undo.setId("undo");
        redo.setId("redo");
        undo.setOnAction(e -> session.undo());
        redo.setOnAction(e -> session.redo());
        Button fresh = Buttons.quiet(DesktopText.of("shell.shell.new"), "new", begin);
        Button open = Buttons.quiet(DesktopText.of("shell.shell.open"), chooser::open);
        Button save = Buttons.quiet(DesktopText.of("shell.shell.save"), chooser::save);
        Button saveAs = Buttons.quiet(DesktopText.of("shell.shell.save-as"), chooser::saveAs);
        undo.setTooltip(new Tooltip(DesktopText.of("shell.shell.ctrl-z")));
        redo.setTooltip(new Tooltip(DesktopText.of("shell.shell.ctrl-shift-z")));
        HBox head = new HBox(title, space, undo, redo, fresh, open, save, saveAs, menu);
        head.getStyleClass().add("head");
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }

    void refresh() {
        String name = session.programme().get() == null
                ? ""
                : session.programme().get().timeline().sheet().header().title();
        String file = session.file().map(f -> "  " + f.getFileName()).orElse("");
        title.setText(name.isEmpty() ? DesktopText.of("shell.shell.new-workout") : name);
        window.setTitle(DesktopText.of(
                "shell.shell.nosegay-2", name.isEmpty() ? DesktopText.of("shell.shell.new-workout") : name, file));
        undo.setText(session.undoName()
                .map(n -> DesktopText.of("shell.shell.undo-2", n))
                .orElse(DesktopText.of("shell.shell.undo")));
        undo.setDisable(session.undoName().isEmpty());
        redo.setText(session.redoName()
                .map(n -> DesktopText.of("shell.shell.redo-2", n))
                .orElse(DesktopText.of("shell.shell.redo")));
        redo.setDisable(session.redoName().isEmpty());
    }
}
