package app.nosegay.desktop.start;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.bed.Bed;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.sheet.RunSheetParser;
import java.util.List;
import java.util.Map;
import java.util.function.Consumer;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.control.TextArea;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Words on the left, what was understood of them on the right, before it is taken. */
final class WordsPage {
    private final TextArea words = new TextArea();
    private final VBox understood = new VBox(6);
    private final Label heading = new Label();
    private final Label explained = new Label();
    private final Button take;
    private final VBox view;
    private UnaryOperator<String> reading = text -> text;
    private Consumer<String> taken = sheet -> {};

    WordsPage(Runnable back) {
        heading.getStyleClass().add("heading");
        explained.getStyleClass().add("small");
        explained.setWrapText(true);
        words.setId("start-words");
        words.setWrapText(true);
        words.textProperty().addListener((o, was, is) -> read());
        understood.setId("start-understood");
        take = Buttons.act(DesktopText.of("start.take"), () -> taken.accept(sheet()));
        take.setId("start-take");
        ScrollPane scroll = new ScrollPane(understood);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox left = new VBox(6, words);
        VBox.setVgrow(words, Priority.ALWAYS);
        VBox right = new VBox(6, small(DesktopText.of("start.understood")), scroll);
        VBox.setVgrow(scroll, Priority.ALWAYS);
        HBox both = new HBox(18, left, right);
        HBox.setHgrow(left, Priority.ALWAYS);
        HBox.setHgrow(right, Priority.ALWAYS);
        left.setPrefWidth(400);
        right.setPrefWidth(460);
        VBox.setVgrow(both, Priority.ALWAYS);
        HBox foot = new HBox(8, take, Buttons.quiet(DesktopText.of("start.back"), "start-back", back));
        view = new VBox(10, heading, explained, both, foot);
        view.getStyleClass().add("stage");
    }

    private static Label small(String text) {
        Label label = new Label(text);
        label.getStyleClass().add("subheading");
        return label;
    }

    Region view() {
        return view;
    }

    /**
     * Opens the page.
     *
     * @param text what stands in it at first
     * @param reading makes a run sheet of the words
     * @param taken gets the run sheet
     */
    void open(String title, String hint, String text, UnaryOperator<String> reading, Consumer<String> taken) {
        heading.setText(title);
        explained.setText(hint);
        this.reading = reading;
        this.taken = taken;
        words.setText(text);
        read();
        words.requestFocus();
    }

    private String sheet() {
        return words.getText().isBlank() ? "" : reading.apply(words.getText());
    }

    private void read() {
        understood.getChildren().clear();
        String sheet = sheet();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current());
        PlanReport report = PlanReport.of(timeline, Libraries.current(), ChangeCosts.DEFAULT);
        List<BedRow> rows = sheet.isEmpty() ? List.of() : Bed.rows(report, Libraries.current(), Map.of());
        for (BedRow row : rows) {
            Label tag = wrapped(row.block().name().shown() + ": "
                    + row.block().sentence().stream()
                            .map(p -> p instanceof Part.Value v ? v.field().shown() : ((Part.Words) p).text())
                            .collect(Collectors.joining()));
            tag.getStyleClass().add("leaf-name");
            understood.getChildren().add(tag);
            row.block().items().stream()
                    .filter(Leaf.class::isInstance)
                    .map(i -> (Leaf) i)
                    .forEach(leaf -> understood
                            .getChildren()
                            .add(wrapped(
                                    leaf.moves().isEmpty()
                                            ? DesktopText.of("start.unknown-move", leaf.name(), leaf.amount())
                                            : DesktopText.of("start.known-move", leaf.name(), leaf.amount()))));
        }
        if (rows.isEmpty()) {
            understood.getChildren().add(wrapped(DesktopText.of("start.nothing-yet")));
        } else {
            understood
                    .getChildren()
                    .add(wrapped(DesktopText.of("start.lasts", timeline.total().clock())));
        }
        take.setDisable(rows.isEmpty());
    }

    private static Label wrapped(String text) {
        Label label = new Label(text);
        label.setWrapText(true);
        label.setMinHeight(Region.USE_PREF_SIZE);
        return label;
    }
}
