package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.FieldValues.Choice;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import java.util.function.Function;
import java.util.function.IntFunction;
import javafx.geometry.Bounds;
import javafx.scene.Group;
import javafx.scene.Scene;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.control.Tooltip;
import javafx.scene.control.cell.TextFieldListCell;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.ScrollEvent;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;
import javafx.stage.Popup;
import javafx.util.StringConverter;

/**
 * A value in a sentence: a click or Enter shows what it is usually filled in with, the wheel and Up and Down step it, a letter or figure
 * begins to replace it.
 */
final class FieldButton extends Button {
    private static final double WIDTH = 300;
    private static final double ROW = 30;
    private static final int MOST_ROWS = 10;
    /** Padding and border on both sides. */
    private static final double AROUND = 4;

    private final transient Field field;
    private final transient Source source;
    private final transient Consumer<String> filled;

    /**
     * Where a value's choices, steps and readings come from.
     *
     * @param choices what it is usually filled in with
     * @param stepped the value so many steps on; empty where it cannot be stepped
     * @param typed what a person typed, as it is written; empty where it cannot be read
     */
    record Source(
            List<Choice> choices, IntFunction<Optional<String>> stepped, Function<String, Optional<String>> typed) {}

    /**
     * @param label what the value is, for those who hear the screen
     * @param filled gets what is written from now on
     */
    FieldButton(Field field, String label, Source source, Consumer<String> filled) {
        super(field.shown());
        this.field = field;
        this.source = source;
        this.filled = filled;
        getStyleClass().setAll("value");
        getStyleClass().add("value-" + field.word());
        setMinWidth(USE_PREF_SIZE);
        setAccessibleText(label + ": " + field.shown());
        setTooltip(new Tooltip(DesktopText.of("plan.bed.value-tip", label)));
        setOnAction(e -> AfterKey.open(this, () -> open("")));
        addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        addEventHandler(KeyEvent.KEY_TYPED, e -> {
            String typed = e.getCharacter();
            boolean letter = !typed.isEmpty() && !Character.isISOControl(typed.charAt(0)) && typed.charAt(0) != ' ';
            if (letter && !e.isControlDown() && !e.isAltDown() && !e.isMetaDown()) {
                open(typed);
                e.consume();
            }
        });
        addEventHandler(ScrollEvent.SCROLL, e -> {
            if (isFocused() && e.getDeltaY() != 0) {
                step(e.getDeltaY() > 0 ? 1 : -1);
                e.consume();
            }
        });
    }

    Field field() {
        return field;
    }

    /** Wraps within {@code flow}: a long value is never cut off. */
    FieldButton within(TextFlow flow) {
        setWrapText(true);
        setMinWidth(0);
        setPrefWidth(USE_COMPUTED_SIZE);
        Text measured = new Text(field.shown());
        measured.setStyle("-fx-font-family: 'Source Sans 3'; -fx-font-weight: bold; -fx-font-size: 16px;");
        new Scene(new Group(measured));
        measured.applyCss();
        double wide = Math.ceil(measured.getLayoutBounds().getWidth()) + AROUND;
        flow.widthProperty().addListener((o, was, is) -> fit(wide, is.doubleValue()));
        fit(wide, flow.getWidth());
        return this;
    }

    private void fit(double wide, double room) {
        setPrefWidth(room > 0 ? Math.min(wide, room - AROUND) : wide);
    }

    private void key(KeyEvent e) {
        boolean plain = !e.isAltDown() && !e.isControlDown() && !e.isShiftDown();
        if (plain && e.getCode() == KeyCode.UP) {
            step(1);
            e.consume();
        } else if (plain && e.getCode() == KeyCode.DOWN) {
            step(-1);
            e.consume();
        } else if (plain && e.getCode() == KeyCode.ENTER) {
            AfterKey.open(this, () -> open(""));
            e.consume();
        }
    }

    private void step(int by) {
        source.stepped().apply(by).filter(v -> !v.equals(field.written())).ifPresent(filled);
    }

    /** Opens the choices below the value, with what was typed already. */
    private void open(String typed) {
        Popup popup = new Popup();
        popup.setAutoHide(true);
        TextField text = new TextField(typed.isEmpty() ? field.written().isEmpty() ? "" : field.shown() : typed);
        text.setId("value-text");
        text.setPrefWidth(WIDTH);
        ListView<Choice> list = choices();
        Label refused = new Label(DesktopText.of("plan.bed.value-refused"));
        refused.getStyleClass().add("problem");
        refused.setVisible(false);
        refused.setManaged(false);
        VBox sheet = new VBox(4, text, refused, list);
        sheet.getStyleClass().add("choices");
        sheet.getStylesheets().setAll(getScene().getStylesheets());
        popup.getContent().add(sheet);
        Consumer<String> take = written -> {
            popup.hide();
            if (!written.equals(field.written())) {
                filled.accept(written);
            }
        };
        text.setOnAction(e -> {
            Optional<String> read = source.typed().apply(text.getText());
            refused.setVisible(read.isEmpty());
            refused.setManaged(read.isEmpty());
            read.ifPresent(take);
        });
        text.addEventFilter(KeyEvent.KEY_PRESSED, e -> intoList(e, list, popup));
        onChosen(list, take);
        Bounds at = localToScreen(getBoundsInLocal());
        popup.show(this, at.getMinX(), at.getMaxY() + 2);
        text.requestFocus();
        if (typed.isEmpty()) {
            text.selectAll();
        } else {
            text.end();
        }
    }

    private ListView<Choice> choices() {
        ListView<Choice> list = new ListView<>();
        list.setId("value-choices");
        list.getItems().setAll(source.choices());
        list.setCellFactory(TextFieldListCell.forListView(new ChoiceText()));
        list.setPrefHeight(ROW * Math.min(MOST_ROWS, list.getItems().size()) + 4);
        list.setPrefWidth(WIDTH);
        list.setManaged(!list.getItems().isEmpty());
        list.setVisible(!list.getItems().isEmpty());
        return list;
    }

    private static void intoList(KeyEvent e, ListView<Choice> list, Popup popup) {
        if (e.getCode() == KeyCode.DOWN && !list.getItems().isEmpty()) {
            list.requestFocus();
            list.getSelectionModel().select(Math.max(0, list.getSelectionModel().getSelectedIndex()));
            e.consume();
        } else if (e.getCode() == KeyCode.ESCAPE) {
            popup.hide();
            e.consume();
        }
    }

    private static void onChosen(ListView<Choice> list, Consumer<String> take) {
        list.setOnMouseClicked(e -> chosen(list).map(Choice::written).ifPresent(take));
        list.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                chosen(list).map(Choice::written).ifPresent(take);
                e.consume();
            }
        });
    }

    private static Optional<Choice> chosen(ListView<Choice> list) {
        return Optional.ofNullable(list.getSelectionModel().getSelectedItem());
    }

    private static final class ChoiceText extends StringConverter<Choice> {
        @Override
        public String toString(Choice choice) {
            return choice.shown();
        }

        @Override
        public Choice fromString(String text) {
            throw new UnsupportedOperationException();
        }
    }
}
