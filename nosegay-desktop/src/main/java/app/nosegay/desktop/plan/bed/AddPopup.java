package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.bed.MoveSuggestions;
import app.nosegay.plan.bed.MoveSuggestions.Suggestion;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.bed.PlainWords;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.terms.BlockKind;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.TextField;
import javafx.scene.image.ImageView;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.Popup;

/**
 * "What do we do?": takes words as people say them and shows figures while they are typed; with nothing typed it proposes what the plan
 * lacks at this place, and says why. A name nobody knows can be made a move of one's own, like one that is known.
 */
final class AddPopup {
    private static final double WIDTH = 430;
    private static final double ROW = 54;
    private static final int MOST = 8;
    private static final int FIGURE = 44;

    private final BedDesk desk;
    private final Popup popup = new Popup();
    private final TextField text = new TextField();
    private final ListView<Line> list = new ListView<>();
    private final Label heading = new Label();
    private final List<Suggestion> suggestions;
    private final BlockKind kind;

    /**
     * A line of the list.
     *
     * @param shown the move whose figure is shown, or null
     * @param words what it is called
     * @param why what is said about it
     * @param does what choosing it does
     */
    private record Line(Move shown, String words, String why, Runnable does) {}

    AddPopup(BedDesk desk, Set<String> lastWeek, Runnable closed) {
        this.desk = desk;
        kind = desk.choice().row().map(r -> r.block().kind()).orElse(BlockKind.CIRCUIT);
        int index = desk.choice().spot().isTag()
                ? Integer.MAX_VALUE
                : desk.choice().leafIndex(desk.choice().spot()) + 1;
        int line = desk.choice().row().map(r -> r.line()).orElse(0);
        int last = desk.choice()
                .row()
                .map(r -> desk.choice()
                        .leafIndex(new Spot(
                                desk.choice().spot().row(), r.block().items().size())))
                .orElse(0);
        suggestions =
                MoveSuggestions.of(desk.report(), Libraries.current(), line, Math.min(index, last), lastWeek, MOST);
        popup.setAutoHide(true);
        popup.setOnHidden(e -> closed.run());
        text.setId("bed-what");
        text.setPromptText(DesktopText.of("plan.bed.what-prompt"));
        heading.getStyleClass().add("small");
        list.setId("bed-moves");
        list.setCellFactory(l -> new Cell());
        list.setPrefSize(WIDTH, ROW * MOST / 1.6);
        Label title = new Label(DesktopText.of("plan.bed.what"));
        title.getStyleClass().add("subheading");
        VBox sheet = new VBox(5, title, text, heading, list);
        sheet.getStyleClass().add("choices");
        popup.getContent().add(sheet);
        text.textProperty().addListener((o, was, is) -> fill());
        text.setOnAction(e -> take(Math.max(0, list.getSelectionModel().getSelectedIndex())));
        text.addEventFilter(KeyEvent.KEY_PRESSED, this::key);
        list.addEventFilter(KeyEvent.KEY_PRESSED, e -> {
            if (e.getCode() == KeyCode.ENTER) {
                take(list.getSelectionModel().getSelectedIndex());
                e.consume();
            }
        });
        list.setOnMouseClicked(e -> take(list.getSelectionModel().getSelectedIndex()));
        fill();
    }

    void show(Node anchor) {
        popup.getContent()
                .forEach(n ->
                        ((VBox) n).getStylesheets().setAll(anchor.getScene().getStylesheets()));
        Bounds at = anchor.localToScreen(anchor.getBoundsInLocal());
        popup.show(anchor, at.getMinX(), at.getMaxY() + 4);
        text.requestFocus();
    }

    private void key(KeyEvent e) {
        int by = e.getCode() == KeyCode.DOWN ? 1 : e.getCode() == KeyCode.UP ? -1 : 0;
        if (by != 0) {
            int next = Math.floorMod(
                    list.getSelectionModel().getSelectedIndex() + by,
                    Math.max(1, list.getItems().size()));
            list.getSelectionModel().select(next);
            list.scrollTo(next);
            e.consume();
        } else if (e.getCode() == KeyCode.ESCAPE) {
            popup.hide();
            e.consume();
        }
    }

    private void take(int index) {
        if (index >= 0 && index < list.getItems().size()) {
            Runnable does = list.getItems().get(index).does();
            popup.hide();
            does.run();
        }
    }

    private void fill() {
        String typed = text.getText().strip();
        if (typed.isEmpty()) {
            heading.setText(
                    suggestions.isEmpty()
                            ? DesktopText.of("plan.bed.type-a-move")
                            : DesktopText.of("plan.bed.suggested"));
            list.getItems()
                    .setAll(suggestions.stream()
                            .map(s -> line(s.move(), s.move().name(), s.why(), ""))
                            .toList());
        } else {
            typed(typed);
        }
        list.getSelectionModel().select(0);
    }

    private void typed(String typed) {
        MoveLibrary library = Libraries.current();
        NotesReader.Note note = new NotesReader(library).note(typed);
        if (note.name().contains("+")) {
            Move first = library.parts(note.name()).stream().findFirst().orElse(null);
            heading.setText(DesktopText.of("plan.bed.one-after-the-other"));
            list.getItems()
                    .setAll(new Line(
                            first,
                            note.name(),
                            said(note),
                            () -> add(NewBlock.move(kind, note.name() + note.attributes()))));
            return;
        }
        List<Move> found = new ArrayList<>(library.search(note.name()));
        String amount = said(note);
        boolean known = library.find(note.name()).isPresent();
        library.likeliest(note.name()).ifPresent(m -> found.sort((a, b) -> Boolean.compare(b.equals(m), a.equals(m))));
        heading.setText(
                known || !found.isEmpty() && note.name().length() < 4 ? amount : DesktopText.of("plan.bed.most-like"));
        List<Line> lines = new ArrayList<>(found.stream()
                .limit(MOST)
                .map(m -> line(m, m.name(), amount, note.attributes()))
                .toList());
        boolean exactly = library.find(note.name()).isPresent();
        if (!exactly && !note.name().isBlank()) {
            Move like = found.isEmpty() ? null : found.get(0);
            String name = note.name();
            if (like != null) {
                lines.add(new Line(
                        like, name, DesktopText.of("plan.bed.own-like", like.name()), () -> own(name, like, note)));
            }
            lines.add(new Line(
                    null,
                    name,
                    DesktopText.of("plan.bed.own-plain"),
                    () -> add(NewBlock.move(kind, name + note.attributes()))));
        }
        list.getItems().setAll(lines);
    }

    private static boolean begins(Move move, String name) {
        return move.name().startsWith(name.toLowerCase(java.util.Locale.ROOT));
    }

    /** What else was said, in plain words. */
    private static String said(NotesReader.Note note) {
        List<String> parts = new ArrayList<>();
        for (String attribute : note.attributes().split(" {2,}")) {
            int space = attribute.indexOf(' ');
            if (space > 0) {
                parts.add(PlainWords.shown(attribute.substring(0, space), attribute.substring(space + 1)));
            }
        }
        return String.join(", ", parts);
    }

    private Line line(Move move, String name, String why, String attributes) {
        return new Line(move, name, why, () -> add(written(move, name, attributes)));
    }

    private String written(Move move, String name, String attributes) {
        boolean shared = desk.choice().row().stream()
                .flatMap(r -> r.block().sentence().stream())
                .anyMatch(p -> p instanceof Part.Value v && v.field().word().equals("sides"));
        return NewBlock.move(kind, move, name, attributes, shared);
    }

    private void add(String written) {
        desk.placing().addMove(written);
    }

    /** A move of one's own that has the muscles, the cues and the options of a known one. */
    private void own(String name, Move like, NotesReader.Note note) {
        try {
            Libraries.addLike(name, like);
            desk.session().libraryChanged();
            add(written(like, name, note.attributes()));
        } catch (java.io.IOException e) {
            desk.session().jobs().say(e.getMessage());
        }
    }

    private static final class Cell extends ListCell<Line> {
        private final ImageView figure = new ImageView();
        private final Label words = new Label();
        private final Label why = new Label();
        private final HBox row = new HBox(8, figure, new VBox(0, words, why));

        Cell() {
            words.getStyleClass().add("leaf-name");
            why.getStyleClass().add("small");
            row.setAlignment(Pos.CENTER_LEFT);
        }

        @Override
        protected void updateItem(Line line, boolean none) {
            super.updateItem(line, none);
            if (none || line == null) {
                setGraphic(null);
                return;
            }
            figure.setImage(line.shown() == null ? null : MovePicture.of(line.shown(), FIGURE));
            words.setText(line.words());
            why.setText(line.why());
            setAccessibleText(line.words() + ", " + line.why());
            setGraphic(row);
        }
    }
}
