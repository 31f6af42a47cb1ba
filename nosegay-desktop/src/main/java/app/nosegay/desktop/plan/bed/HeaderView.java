package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.HeaderSentence;
import app.nosegay.plan.bed.Part;
import app.nosegay.series.LastPromise;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Side;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** What holds for the whole workout, above the bed: its title and what it promises, for whom, with what. */
final class HeaderView {
    private final BedDesk desk;
    private final VBox view = new VBox(0);
    private List<Part> shown = List.of();
    private Field title;
    /** What viewers were promised the last time. */
    private final Label promised = Labels.small("");

    HeaderView(BedDesk desk) {
        this.desk = desk;
        view.getStyleClass().add("bed-header");
        promised.setId("last-promise");
        promised.managedProperty().bind(promised.visibleProperty());
        promised.setVisible(false);
        desk.recollection().onChanged(this::recall);
    }

    Region view() {
        return view;
    }

    private void recall() {
        LastPromise last = desk.recollection().now().promise();
        promised.setVisible(last != null);
        promised.setText(last == null ? "" : last.words());
    }

    void show() {
        recall();
        List<Part> parts = HeaderSentence.of(desk.sheet());
        Field name = HeaderSentence.field(desk.sheet(), "title");
        if (parts.equals(shown) && name.equals(title)) {
            return;
        }
        shown = parts;
        title = name;
        TextFlow sentences = new TextFlow();
        sentences.getStyleClass().add("sentence-flow");
        for (Part part : parts) {
            if (part instanceof Part.Value value) {
                sentences.getChildren().add(value(value.field()).within(sentences));
            } else {
                Text text = new Text(((Part.Words) part).text());
                text.getStyleClass().add("sentence-words");
                sentences.getChildren().add(text);
            }
        }
        Button more = Buttons.quiet(DesktopText.of("plan.bed.more"), () -> {});
        more.setId("bed-header-more");
        more.getStyleClass().add("bed-small");
        more.setOnAction(e -> more(more));
        sentences.getChildren().add(more);
        Node named = value(name);
        named.getStyleClass().add("bed-title");
        view.getChildren().setAll(named, sentences, promised);
    }

    /** What else can be said of the whole workout; choosing it fills in its first choice, to be changed in the sentence. */
    private void more(Node anchor) {
        ContextMenu menu = new ContextMenu();
        for (String word : HeaderSentence.addable(desk.sheet())) {
            Field field = new Field(word, "", "");
            String first = HeaderSentence.choices(field).stream()
                    .map(c -> c.written())
                    .reduce((a, b) -> b)
                    .orElse(DesktopText.of("plan.bed.somebody"));
            MenuItem item = new MenuItem(HeaderSentence.label(word));
            item.setOnAction(e -> desk.header(field, first));
            menu.getItems().add(item);
        }
        menu.show(anchor, Side.BOTTOM, 0, 0);
    }

    private FieldButton value(Field field) {
        return new FieldButton(
                field,
                HeaderSentence.label(field.word()),
                new FieldButton.Source(
                        HeaderSentence.choices(field),
                        by -> Optional.empty(),
                        typed -> HeaderSentence.typed(field, typed)),
                written -> desk.header(field, written));
    }
}
