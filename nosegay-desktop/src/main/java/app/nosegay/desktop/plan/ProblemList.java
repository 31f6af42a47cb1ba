package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.sheet.Problem;
import java.util.List;
import javafx.beans.binding.Bindings;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What of the written sheet could not be read, under it, each with the nearest known word. */
final class ProblemList {
    private static final int MOST_PROBLEMS_SHOWN = 40;

    private final VBox list = new VBox(4);
    private final RunSheetEditor editor;

    ProblemList(RunSheetEditor editor) {
        this.editor = editor;
    }

    Region view() {
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.setMaxHeight(130);
        scroll.getStyleClass().add("plain-scroll");
        scroll.visibleProperty().bind(Bindings.isNotEmpty(list.getChildren()));
        scroll.managedProperty().bind(scroll.visibleProperty());
        return scroll;
    }

    void show(List<Problem> found) {
        list.getChildren().clear();
        for (Problem p : found.subList(0, Math.min(found.size(), MOST_PROBLEMS_SHOWN))) {
            Label text = new Label((p.note() ? "○ " : "✗ ") + p.message());
            text.getStyleClass().add(p.note() ? "remark" : "problem");
            HBox.setHgrow(text, Priority.ALWAYS);
            HBox row = new HBox(8, text);
            row.setAlignment(Pos.CENTER_LEFT);
            if (p.nearest() != null) {
                Button fixIt = new Button(DesktopText.of("plan.plan-stage.write", p.nearest()));
                fixIt.getStyleClass().add("quiet");
                fixIt.setMinWidth(Region.USE_PREF_SIZE);
                fixIt.setTooltip(new Tooltip(DesktopText.of("plan.plan-stage.ctrl-on-the-line")));
                fixIt.setOnAction(e -> editor.fix(p));
                row.getChildren().add(fixIt);
            }
            text.setOnMouseClicked(e -> editor.goToLine(p.line()));
            list.getChildren().add(row);
        }
        if (found.size() > MOST_PROBLEMS_SHOWN) {
            list.getChildren()
                    .add(new Label(DesktopText.of("plan.plan-stage.and-more", found.size() - MOST_PROBLEMS_SHOWN)));
        }
    }
}
