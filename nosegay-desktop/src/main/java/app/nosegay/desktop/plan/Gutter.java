package app.nosegay.desktop.plan;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.plan.edit.SheetOrder;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.input.MouseEvent;

/** The line numbers of the run sheet: a click on a block's number folds it, dragging a number moves the block or move. */
final class Gutter {
    /** Wide enough for four digits and the fold mark, so that the text stays in line. */
    private static final double WIDTH = 52;

    private final RunSheetEditor editor;
    private final Session session;
    private int dragged;

    Gutter(RunSheetEditor editor, Session session) {
        this.editor = editor;
        this.session = session;
    }

    Node graphic(int paragraph) {
        int line = paragraph + 1;
        Label number = new Label();
        number.getStyleClass().add("lineno");
        number.setAlignment(Pos.CENTER_RIGHT);
        number.setMinWidth(WIDTH);
        number.setPrefWidth(WIDTH);
        number.setMaxWidth(WIDTH);
        number.setMaxHeight(Double.MAX_VALUE);
        boolean head = editor.isBlockHead(line);
        number.setText(
                (head ? (line < editor.getParagraphs().size() && editor.isFolded(line) ? "▸ " : "▾ ") : "") + line);
        number.setCursor(head ? Cursor.HAND : Cursor.DEFAULT);
        if (head) {
            number.setTooltip(new Tooltip(DesktopText.of("plan.gutter.click-to-fold-alt-f")));
        }
        number.setOnMousePressed(e -> {
            dragged = line;
            e.consume();
        });
        number.setOnMouseDragged(MouseEvent::consume);
        number.setOnMouseReleased(e -> release(e, line));
        return number;
    }

    private void release(MouseEvent e, int line) {
        var at = editor.screenToLocal(e.getScreenX(), e.getScreenY());
        int target = editor.hit(Math.max(60, at.getX()), at.getY()).getInsertionIndex();
        int to = editor.offsetToPosition(target, org.fxmisc.richtext.model.TwoDimensional.Bias.Backward)
                        .getMajor()
                + 1;
        if (dragged > 0 && to != dragged && editor.sheet() != null) {
            new SheetOrder(editor.sheet()).moved(dragged, to).ifPresent(session::edit);
        } else {
            editor.foldAt(line);
        }
        dragged = 0;
        e.consume();
    }
}
