package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.MovePicture;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.Mark;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SideWay;
import java.util.Comparator;
import java.util.List;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.Tooltip;
import javafx.scene.image.ImageView;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** A move as a pressed leaf, as wide as it is long: its figure, name, amount, sides and tags. */
final class LeafView extends VBox {
    static final double PER_SECOND = 2.6;
    private static final double LEAST = 142;
    private static final double MOST = 340;
    private static final int FIGURE = 58;
    private static final double PADDING = 22;

    private Leaf leaf;
    private final Label amount = new Label();
    private final VBox signs = new VBox(2);
    private final int index;
    private Node glyph;

    /**
     * @param missing told which tag is asked for
     */
    LeafView(Leaf leaf, BlockKind kind, int index, Consumer<Tag.Kind> missing) {
        super(2);
        this.leaf = leaf;
        this.index = index;
        getStyleClass()
                .addAll(
                        "leaf",
                        index % 2 == 0 ? "leaf-even" : "leaf-odd",
                        "leaf-" + kind.moveKind().word());
        if (leaf.bonus()) {
            getStyleClass().add("leaf-apart");
        }
        setAccessibleRole(AccessibleRole.LIST_ITEM);
        amount();
        Label name = new Label(leaf.name());
        name.getStyleClass().add("leaf-name");
        name.setWrapText(true);
        name.setMinHeight(Region.USE_PREF_SIZE);
        amount.getStyleClass().add("leaf-amount");
        amount.setMinWidth(Region.USE_PREF_SIZE);
        Region space = new Region();
        HBox.setHgrow(space, Priority.ALWAYS);
        signs.setAlignment(Pos.TOP_RIGHT);
        if (leaf.way() != SideWay.NONE) {
            SideSign sign = new SideSign(leaf.way());
            Tooltip.install(
                    sign,
                    new Tooltip(app.nosegay.plan.bed.PlainWords.shown(
                            "sides", leaf.way().word())));
            signs.getChildren().add(sign);
        }
        marks(leaf.marks());
        HBox top = new HBox(2, figures(), space, signs);
        getChildren().addAll(top, name, amount);
        if (!leaf.beads().isEmpty()) {
            getChildren().add(new BeadString(leaf.beads(), getPrefWidth() - PADDING));
        }
        getChildren().add(tags(missing));
    }

    /** Shows how much it is: in words, and by its width. */
    private void amount() {
        amount.setText(leaf.amount());
        setAccessibleText(leaf.spoken());
        double width = Math.max(LEAST, Math.min(MOST, PER_SECOND * leaf.length().seconds()));
        setPrefWidth(width);
        setMinWidth(width);
        setMaxWidth(width);
    }

    /** Shows what was found about it now. */
    private void marks(List<Mark> found) {
        signs.getChildren().remove(glyph);
        glyph = mark(found).orElse(null);
        if (glyph != null) {
            signs.getChildren().add(glyph);
        }
    }

    /** Its number in its row: every other one is turned round. */
    boolean isNumber(int number) {
        return index == number;
    }

    /** Shows {@code next} where that is the same move in all but how much it is and what was found about it; whether it does. */
    boolean becomes(Leaf next) {
        if (!leaf.asMuchAs(next).equals(next.unmarked()) || !leaf.beads().isEmpty() && !leaf.equals(next)) {
            return false;
        }
        Leaf before = leaf;
        leaf = next;
        if (!before.amount().equals(next.amount()) || !before.length().equals(next.length())) {
            amount();
        }
        if (!before.marks().equals(next.marks())) {
            marks(next.marks());
        }
        return true;
    }

    /** The figures of its parts; a plain slip where the library knows none. */
    private Node figures() {
        HBox row = new HBox(-8);
        for (String part : leaf.moves().subList(0, Math.min(2, leaf.moves().size()))) {
            Move move = Libraries.current().find(part).orElseThrow();
            row.getChildren().add(new ImageView(MovePicture.of(move, FIGURE)));
        }
        if (row.getChildren().isEmpty()) {
            Label unknown = new Label("?");
            unknown.getStyleClass().add("leaf-unknown");
            unknown.setMinSize(FIGURE, FIGURE);
            unknown.setAlignment(Pos.CENTER);
            row.getChildren().add(unknown);
        }
        return row;
    }

    /** The worst of what was found here, all of it on hover. */
    static java.util.Optional<Node> mark(List<Mark> marks) {
        List<Mark> shown =
                marks.stream().filter(m -> m.severity() != Severity.NOTE).toList();
        if (shown.isEmpty()) {
            return java.util.Optional.empty();
        }
        Severity worst = shown.stream()
                .map(Mark::severity)
                .min(Comparator.naturalOrder())
                .orElseThrow();
        Label glyph = new Label(
                switch (worst) {
                    case STOP -> "■";
                    case FIX -> "▲";
                    default -> "◆";
                });
        glyph.getStyleClass().addAll("mark-glyph", "severity-" + worst.word());
        String words = String.join("\n", shown.stream().map(Mark::message).toList());
        Tooltip tip = new Tooltip(words);
        tip.setWrapText(true);
        tip.setMaxWidth(380);
        glyph.setTooltip(tip);
        glyph.setAccessibleText(words);
        return java.util.Optional.of(glyph);
    }

    private Node tags(Consumer<Tag.Kind> missing) {
        FlowPane row = new FlowPane(4, 3);
        for (Tag.Kind kind : leaf.missing()) {
            Button dotted = new Button("+ " + kind.label());
            dotted.getStyleClass().setAll("leaf-tag", "leaf-tag-missing");
            dotted.setFocusTraversable(false);
            dotted.setOnAction(e -> missing.accept(kind));
            row.getChildren().add(dotted);
        }
        for (Tag tag : leaf.tags()) {
            Label label = new Label(tag.label());
            label.getStyleClass()
                    .setAll("leaf-tag", "leaf-tag-" + tag.kind().name().toLowerCase(java.util.Locale.ROOT));
            label.setTooltip(new Tooltip(tag.text()));
            label.maxWidthProperty().bind(prefWidthProperty().subtract(PADDING));
            row.getChildren().add(label);
        }
        return row;
    }
}
