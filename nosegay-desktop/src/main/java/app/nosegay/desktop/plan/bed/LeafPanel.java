package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.controls.MovingFigure;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.Cue;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.series.LastTime;
import java.util.List;
import java.util.Optional;
import javafx.geometry.Pos;
import javafx.scene.Node;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** The chosen leaf in full: its figure at its tempo, every value it has, its cues with the seconds they take, its ladder of options. */
final class LeafPanel {
    private static final int FIGURE = 110;
    private final BedDesk desk;
    private final VBox page = new VBox(10);
    private final ScrollPane scroll = new ScrollPane(page);
    private final MovingFigure figure = new MovingFigure(FIGURE);
    private final LeafValues values;
    private final LeafCues cues;
    private Tag.Kind asked;
    private Spot askedAt;
    private List<Object> shown = List.of();

    /** @param back gives the keyboard to the bed */
    LeafPanel(BedDesk desk, Runnable back) {
        this.desk = desk;
        values = new LeafValues(desk);
        cues = new LeafCues(desk, this::wordings, () -> {
            asked = null;
            back.run();
        });
        page.setId("leaf-panel");
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        desk.choice().onChanged(this::show);
        desk.recollection().onChanged(() -> {
            shown = List.of();
            show();
        });
    }

    Region view() {
        return scroll;
    }

    /** Shows wordings of a kind the chosen leaf lacks, to choose one. */
    void wordings(Tag.Kind kind) {
        asked = kind;
        askedAt = desk.choice().spot();
        shown = List.of();
        show();
    }

    private void show() {
        if (!desk.choice().spot().equals(askedAt)) {
            asked = null;
        }
        Leaf leaf = desk.choice().leaf().orElse(null);
        if (leaf == null) {
            figure.show(null);
            block();
            return;
        }
        BedRow row = desk.choice().row().orElseThrow();
        int line = row.lineOf(leaf);
        MoveLine move = desk.sheet().blocks().get(desk.choice().spot().row()).moves().stream()
                .filter(m -> m.line() == line)
                .findFirst()
                .orElseThrow();
        // Only what is shown here decides whether it is drawn again: a leaf that only moved is not.
        List<Object> now = List.of(
                leaf,
                row.block().round(),
                move.cues().stream().map(Cue::text).toList(),
                desk.choice().chosenLeaves().size(),
                Optional.ofNullable(asked),
                desk.sheet().header().levels());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        List<Move> moves = leaf.moves().stream()
                .flatMap(m -> Libraries.current().find(m).stream())
                .toList();
        Node options = cues.options(move, moves, asked);
        page.getChildren().setAll(head(leaf, moves), values.sides(leaf, row), values.all(move, moves));
        if (!desk.sheet().header().levels().isEmpty()) {
            page.getChildren().add(values.levels(move));
        }
        // Wordings that were asked for stand first.
        page.getChildren().add(asked == null ? page.getChildren().size() : 1, options);
        page.getChildren().add(cues.spoken(leaf, move, moves));
    }

    /** Of a block what is said in it; of a gap, or where nothing lies, what could be done. */
    private void block() {
        Optional<Block> block = desk.choice()
                .row()
                .filter(r -> desk.choice().spot().isTag())
                .map(r -> desk.sheet().blocks().get(desk.choice().spot().row()));
        List<Object> now =
                List.of(block.map(Block::cues).orElse(List.of()), desk.choice().spot());
        if (now.equals(shown)) {
            return;
        }
        shown = now;
        page.getChildren().setAll(Labels.empty(DesktopText.of("plan.bed.no-leaf")));
        block.ifPresent(b -> page.getChildren()
                .add(
                        0,
                        cues.ofBlock(
                                desk.choice().row().orElseThrow().block().name().shown(), b.cues())));
    }

    private Node head(Leaf leaf, List<Move> moves) {
        figure.show(moves.isEmpty() ? null : moves.get(0));
        Field name = new Field(Field.NAME, leaf.name(), leaf.name());
        FieldButton title = values.button(name);
        title.getStyleClass().add("tag-name");
        title.setWrapText(true);
        VBox words = new VBox(2, title, values.button(leaf.ends()));
        int chosen = desk.choice().chosenLeaves().size();
        if (chosen > 1) {
            words.getChildren().add(Labels.small(DesktopText.of("plan.bed.chosen", chosen)));
        }
        int round = desk.choice().row().orElseThrow().block().round();
        if (round > 1) {
            words.getChildren().add(Labels.small(DesktopText.of("plan.bed.in-round", round)));
        }
        LastTime last = moves.size() == 1
                ? desk.recollection().now().moves().get(moves.get(0).name())
                : null;
        if (last != null) {
            Label told = Labels.small(last.words());
            told.setId("last-time");
            words.getChildren().add(told);
        }
        HBox head = new HBox(8, figure.view(), words);
        HBox.setHgrow(words, Priority.ALWAYS);
        head.setAlignment(Pos.CENTER_LEFT);
        return head;
    }
}
