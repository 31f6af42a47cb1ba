package app.nosegay.desktop.plan;

import app.nosegay.jobs.Libraries;
import app.nosegay.plan.edit.Completions;
import app.nosegay.plan.edit.Completions.Candidate;
import java.util.List;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.stage.Popup;

/** Proposals below the word before the cursor. Up and Down choose, Tab or Enter takes, Escape closes. */
final class CompletionPopup {
    private static final double ROW = 27;

    private final RunSheetEditor editor;
    private final ListView<Candidate> list = new ListView<>();
    private final Popup popup = new Popup();
    private boolean chosenByKey;

    CompletionPopup(RunSheetEditor editor) {
        this.editor = editor;
        list.setId("completions");
        list.getStyleClass().add("completions");
        list.setFixedCellSize(ROW);
        list.setPrefWidth(330);
        list.setFocusTraversable(false);
        list.setCellFactory(l -> new Cell());
        list.setOnMouseClicked(e -> take());
        popup.getContent().add(list);
        popup.setAutoHide(true);
        editor.focusedProperty().addListener((o, was, is) -> {
            if (!is) {
                popup.hide();
            }
        });
    }

    /** After typing: shows what may be meant, once a word has begun. */
    void typed() {
        javafx.application.Platform.runLater(() -> {
            if (editor.isFocused()) {
                show(false);
            }
        });
    }

    void ask() {
        show(true);
    }

    private String before() {
        int paragraph = editor.getCurrentParagraph();
        String line = editor.getParagraph(paragraph).getText();
        return line.substring(0, Math.min(editor.getCaretColumn(), line.length()));
    }

    private void show(boolean asked) {
        String before = before();
        String line = editor.getParagraph(editor.getCurrentParagraph()).getText();
        boolean atEnd = line.length() == before.length();
        List<Candidate> found =
                atEnd || asked ? Completions.at(before, Libraries.current(), asked) : List.<Candidate>of();
        var bounds = editor.getCaretBounds();
        if (found.isEmpty() || bounds.isEmpty()) {
            popup.hide();
            return;
        }
        chosenByKey = asked;
        list.getItems().setAll(found);
        list.getSelectionModel().select(0);
        list.setPrefHeight(Math.min(8, found.size()) * ROW + 4);
        popup.show(editor, bounds.get().getMinX() - 8, bounds.get().getMaxY() + 4);
    }

    /** Whether the key belongs to the open popup; it is then done. */
    boolean takes(KeyEvent e) {
        if (!popup.isShowing() || e.isAltDown() || e.isShortcutDown()) {
            return false;
        }
        switch (e.getCode()) {
            case DOWN -> choose(1);
            case UP -> choose(-1);
            case TAB -> take();
            case ENTER -> {
                // Enter takes only what was chosen; else it ends the line as always.
                if (!chosenByKey) {
                    popup.hide();
                    return false;
                }
                take();
            }
            case ESCAPE -> popup.hide();
            default -> {
                return false;
            }
        }
        return true;
    }

    private void choose(int by) {
        chosenByKey = true;
        int n = list.getItems().size();
        int next = Math.floorMod(list.getSelectionModel().getSelectedIndex() + by, n);
        list.getSelectionModel().select(next);
        list.scrollTo(next);
    }

    private void take() {
        Candidate c = list.getSelectionModel().getSelectedItem();
        popup.hide();
        if (c != null) {
            int paragraph = editor.getCurrentParagraph();
            editor.replaceText(paragraph, c.from(), paragraph, editor.getCaretColumn(), c.text());
            popup.hide();
        }
    }

    private static final class Cell extends ListCell<Candidate> {
        private final Label text = new Label();
        private final Label note = new Label();
        private final HBox row = new HBox(10, text, note);

        Cell() {
            note.getStyleClass().add("small");
            text.setMinWidth(Region.USE_PREF_SIZE);
        }

        @Override
        protected void updateItem(Candidate c, boolean none) {
            super.updateItem(c, none);
            setText(null);
            setGraphic(none || c == null ? null : row);
            if (c != null && !none) {
                text.setText(c.text());
                note.setText(c.note());
            }
        }
    }
}
