package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.BedItem;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Field;
import app.nosegay.plan.bed.FieldValues;
import app.nosegay.plan.bed.Gap;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Part;
import app.nosegay.plan.bed.PlainWords;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import javafx.collections.ObservableList;
import javafx.css.PseudoClass;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ButtonBase;
import javafx.scene.control.Label;
import javafx.scene.control.ToggleButton;
import javafx.scene.input.MouseButton;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.shape.Circle;
import javafx.scene.text.Text;
import javafx.scene.text.TextFlow;

/** A block: its paper tag with the sentence, and below it the leaves and gaps on their twig. */
final class RowView extends VBox implements BedDrag.Row {
    private static final PseudoClass CHOSEN = PseudoClass.getPseudoClass("chosen");
    private static final double HOLE = 4.5;

    private final BedDesk desk;
    private final BedView bed;
    private final FlowPane flow = new FlowPane(3, 8);
    private final HBox tag = new HBox(10);
    private final Button add = new Button(DesktopText.of("plan.bed.add"));
    private final Label length = new Label();
    private final HBox found = new HBox();
    private BedRow row;
    private int index;

    RowView(BedView bed, BedDesk desk) {
        super(6);
        this.bed = bed;
        this.desk = desk;
        getStyleClass().add("bed-row");
        tag.getStyleClass().add("paper-tag");
        tag.setAlignment(Pos.TOP_LEFT);
        tag.setAccessibleRole(AccessibleRole.TEXT);
        tag.addEventHandler(MouseEvent.MOUSE_PRESSED, e -> {
            if (!isOnAButton(e)) {
                bed.drag().press(e, new Spot(index, Spot.TAG));
            }
        });
        length.getStyleClass().add("tag-length");
        length.setMinWidth(USE_PREF_SIZE);
        add.getStyleClass().setAll("bed-add");
        add.setMinWidth(USE_PREF_SIZE);
        add.setOnAction(e -> bed.addAt(new Spot(index, Spot.TAG), add));
        flow.setRowValignment(javafx.geometry.VPos.CENTER);
        getChildren().addAll(tag, flow);
    }

    /** Shows a block; what is drawn is drawn again only where it changed. */
    void show(BedRow next, int at) {
        BedRow before = at == index ? row : null;
        row = next;
        index = at;
        setId("bed-row-" + at);
        if (before == null || !sameTag(before.block(), next.block())) {
            tag();
        }
        length.setText(next.block().length().clock());
        if (before == null || !before.block().marks().equals(next.block().marks())) {
            found.getChildren()
                    .setAll(LeafView.mark(next.block().marks()).stream().toList());
            found.setManaged(!found.getChildren().isEmpty());
        }
        tag.setAccessibleText(desk.spoken(next));
        if (before == null
                || !items(before).equals(items(next))
                || before.block().kind() != next.block().kind()) {
            draw(before);
        }
        mark();
    }

    /** Whether two blocks have the same tag; how long they take and what was found in them is shown in it without drawing it again. */
    private static boolean sameTag(BedRow.Content a, BedRow.Content b) {
        return a.name().equals(b.name())
                && a.sentence().equals(b.sentence())
                && a.rounds() == b.rounds()
                && a.round() == b.round()
                && a.kind() == b.kind();
    }

    /** A value keeps the keyboard that a click gives it. */
    private static boolean isOnAButton(MouseEvent e) {
        Node node = e.getPickResult().getIntersectedNode();
        while (node != null && !(node instanceof RowView)) {
            if (node instanceof ButtonBase) {
                return true;
            }
            node = node.getParent();
        }
        return false;
    }

    @Override
    public BedRow row() {
        return row;
    }

    @Override
    public int index() {
        return index;
    }

    @Override
    public FlowPane flow() {
        return flow;
    }

    /** Shows what is chosen. */
    void mark() {
        tag.pseudoClassStateChanged(CHOSEN, desk.choice().isChosen(new Spot(index, Spot.TAG)));
        for (int i = 0; i < items(row).size(); i++) {
            flow.getChildren()
                    .get(i)
                    .pseudoClassStateChanged(CHOSEN, desk.choice().isChosen(new Spot(index, i)));
        }
    }

    private static List<BedItem> items(BedRow row) {
        return row.block().items();
    }

    /** The node of one of its items, or of its tag. */
    Node node(int item) {
        return item == Spot.TAG || item >= flow.getChildren().size()
                ? tag
                : flow.getChildren().get(item);
    }

    private void tag() {
        tag.getChildren().clear();
        Circle hole = new Circle(HOLE);
        hole.getStyleClass().add("tag-hole");
        VBox words = new VBox(0);
        HBox.setHgrow(words, Priority.ALWAYS);
        Field name = row.block().name();
        HBox head = new HBox(8, value(name, "tag-name"), found);
        head.setAlignment(Pos.BASELINE_LEFT);
        boolean brief = !row.block().hasMoves();
        TextFlow sentence = new TextFlow();
        sentence.getStyleClass().add("sentence-flow");
        for (Part part : row.block().sentence()) {
            if (part instanceof Part.Value value) {
                sentence.getChildren().add(value(value.field(), "").within(sentence));
            } else {
                Text text = new Text(((Part.Words) part).text());
                text.getStyleClass().add("sentence-words");
                sentence.getChildren().add(text);
            }
        }
        Region space = new Region();
        HBox.setHgrow(brief ? sentence : space, Priority.ALWAYS);
        // Talk and rests say all of it on one line.
        head.getChildren().add(brief ? sentence : space);
        rounds(head);
        head.getChildren().addAll(length, more());
        words.getChildren().add(head);
        if (!brief) {
            words.getChildren().add(sentence);
        }
        VBox holed = new VBox(hole);
        holed.setStyle("-fx-padding: 7 0 0 0;");
        tag.getChildren().addAll(holed, words);
    }

    private Node more() {
        Button more = Buttons.quiet(DesktopText.of("plan.bed.more"), () -> {});
        more.setId("bed-more-" + index);
        more.getStyleClass().add("bed-small");
        more.setOnAction(e -> new BlockMenu(desk, index, row).show(more));
        more.setFocusTraversable(false);
        return more;
    }

    private void rounds(HBox head) {
        int rounds = row.block().rounds();
        if (rounds < 2 || items(row).stream().noneMatch(Leaf.class::isInstance)) {
            return;
        }
        for (int r = 1; r <= rounds; r++) {
            int round = r;
            ToggleButton button = new ToggleButton("" + r);
            button.getStyleClass().setAll("round");
            button.setSelected(r == row.block().round());
            button.setId("bed-round-" + index + "-" + r);
            button.setFocusTraversable(false);
            button.setTooltip(new javafx.scene.control.Tooltip(DesktopText.of("plan.bed.round-tip", r)));
            button.setAccessibleText(DesktopText.of("plan.bed.round-tip", r));
            button.setOnAction(e -> desk.showRound(row, round));
            head.getChildren().add(button);
        }
    }

    private FieldButton value(Field field, String style) {
        FieldButton button = new FieldButton(
                field,
                PlainWords.label(field.word()),
                new FieldButton.Source(
                        FieldValues.ofBlock(field, row.block().kind()),
                        by -> FieldValues.stepped(field, by),
                        typed -> field.word().equals(Field.NAME) && typed.isBlank()
                                ? Optional.of("")
                                : FieldValues.typed(field, typed, row.block().kind())),
                written -> desk.set(index, field, written));
        if (!style.isEmpty()) {
            button.getStyleClass().add(style);
        }
        button.focusedProperty().addListener((o, was, is) -> {
            if (is && !desk.choice().spot().equals(new Spot(index, Spot.TAG))) {
                desk.choice().choose(new Spot(index, Spot.TAG));
            }
        });
        return button;
    }

    /** Draws the items; what is drawn alike in its place stays. */
    private void draw(BedRow before) {
        List<Node> nodes = new ArrayList<>();
        boolean sameKind =
                before != null && before.block().kind() == row.block().kind();
        int leaves = 0;
        for (int i = 0; i < items(row).size(); i++) {
            BedItem item = items(row).get(i);
            Node kept =
                    sameKind && i < items(before).size() ? flow.getChildren().get(i) : null;
            nodes.add(kept != null && stays(kept, item, leaves) ? kept : node(item, new Spot(index, i), leaves));
            leaves += item instanceof Leaf ? 1 : 0;
        }
        if (row.block().hasMoves()) {
            add.setId("bed-add-" + index);
            nodes.add(add);
        }
        replace(nodes);
        flow.setVisible(row.block().hasMoves());
        flow.setManaged(row.block().hasMoves());
    }

    /** Puts nodes in place of those that are there, one by one: what stays is not styled and laid out again. */
    private void replace(List<Node> nodes) {
        ObservableList<Node> there = flow.getChildren();
        if (there.size() != nodes.size()) {
            there.setAll(nodes);
            return;
        }
        for (int i = 0; i < nodes.size(); i++) {
            if (there.get(i) != nodes.get(i)) {
                there.set(i, nodes.get(i));
            }
        }
    }

    /** Whether a node shows an item, or does now that only its amount or what was found about it is shown anew. */
    private static boolean stays(Node node, BedItem item, int leaves) {
        if (node instanceof LeafView view && item instanceof Leaf leaf) {
            return view.isNumber(leaves) && view.becomes(leaf);
        }
        return node instanceof GapView gap && gap.gap().equals(item);
    }

    private Region node(BedItem item, Spot spot, int leaves) {
        Region node = item instanceof Leaf leaf
                ? new LeafView(leaf, row.block().kind(), leaves, kind -> {
                    desk.choice().choose(spot);
                    bed.missing(kind);
                })
                : new GapView((Gap) item, length -> desk.rest(spot, length));
        node.addEventHandler(MouseEvent.MOUSE_PRESSED, e -> bed.drag().press(e, spot));
        node.addEventHandler(MouseEvent.MOUSE_CLICKED, e -> {
            boolean menu = e.getButton() == MouseButton.SECONDARY || e.getClickCount() == 2;
            if (menu && item instanceof Gap) {
                new GapMenu(desk, spot).show(node, e.getScreenX(), e.getScreenY());
            } else if (e.getClickCount() == 2) {
                bed.openLeaf();
            }
        });
        if (item instanceof Leaf) {
            node.addEventHandler(MouseEvent.MOUSE_DRAGGED, e -> bed.drag().drag(e, spot, node));
            node.addEventHandler(MouseEvent.MOUSE_RELEASED, e -> bed.drag().drop(e, spot));
        }
        return node;
    }
}
