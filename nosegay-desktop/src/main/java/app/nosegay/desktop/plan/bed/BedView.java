package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.terms.BlockKind;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import java.util.function.IntConsumer;
import javafx.geometry.Bounds;
import javafx.geometry.Pos;
import javafx.geometry.Side;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.input.KeyEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The bed: every block a paper tag with one sentence, its moves as pressed leaves on a twig, rests as the gaps between them. All that can
 * be planned can be planned here, by mouse or by keys; each gesture is one named edit of the sheet.
 */
public final class BedView {
    private static final double NEAR_TOP = 60;
    private final BedDesk desk;
    private final VBox rows = new VBox(4);
    private final HeaderView header;
    private final VBox page;
    private final ScrollPane scroll;
    private final StackPane view;
    private final BedDrag drag;
    private Runnable opened = () -> {};
    private Consumer<Tag.Kind> missing = kind -> {};
    private Set<String> lastWeek = Set.of();

    public BedView(Session session) {
        desk = new BedDesk(session);
        header = new HeaderView(desk);
        Button block = Buttons.quiet(DesktopText.of("plan.bed.add-block"), () -> {});
        block.setId("bed-add-block");
        block.setOnAction(e -> kinds(block));
        Label hint = new Label(DesktopText.of("plan.bed.hint"));
        hint.getStyleClass().add("small");
        hint.setWrapText(true);
        HBox foot = new HBox(10, block, hint);
        foot.setAlignment(Pos.CENTER_LEFT);
        page = new VBox(8, header.view(), rows, foot);
        page.getStyleClass().add("bed");
        page.setFocusTraversable(true);
        page.setId("bed");
        page.setAccessibleRole(AccessibleRole.LIST_VIEW);
        page.setAccessibleText(DesktopText.of("plan.bed.spoken"));
        BedKeys keys = new BedKeys(this, desk);
        page.addEventHandler(KeyEvent.KEY_PRESSED, keys::pressed);
        scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("plain-scroll");
        scroll.setFocusTraversable(false);
        drag = new BedDrag(desk, page, rows.getChildren());
        view = new StackPane(scroll, drag.above());
        desk.choice().onChanged(this::refresh);
    }

    public Region view() {
        return view;
    }

    BedDrag drag() {
        return drag;
    }

    BedDesk desk() {
        return desk;
    }

    /** The panel that shows the chosen leaf in full. */
    public Region inspector() {
        LeafPanel panel = new LeafPanel(desk, this::requestFocus);
        missing = panel::wordings;
        return panel.view();
    }

    /** Told when the chosen leaf is to be shown in full. */
    public void onOpened(Runnable told) {
        opened = told;
    }

    /** Told the line of what is chosen. */
    public void onLine(IntConsumer told) {
        desk.choice().onLine(told::accept);
    }

    /** The moves other workouts of these days have; they are not proposed first. */
    public void lastWeek(Set<String> moves) {
        lastWeek = moves;
    }

    /** Puts a move of the library behind what is chosen, into the last block that takes moves where that is none. */
    public void add(Move move) {
        desk.gesture(() -> {
            boolean here = desk.choice().row().map(r -> r.block().hasMoves()).orElse(true);
            for (int r = desk.choice().rows().size() - 1; r >= 0 && !here; r--) {
                if (desk.choice().rows().get(r).block().hasMoves()) {
                    desk.choice().choose(new Spot(r, Spot.TAG));
                    here = true;
                }
            }
            BlockKind kind = desk.choice().row().map(r -> r.block().kind()).orElse(BlockKind.CIRCUIT);
            desk.placing().addMove(NewBlock.move(kind, move, move.name(), "", false));
            reveal();
        });
    }

    public void chooseLine(int line) {
        desk.choice().chooseLine(line);
        reveal();
    }

    public void requestFocus() {
        page.requestFocus();
    }

    public boolean isFocused() {
        return page.isFocused();
    }

    public void show(PlanReport report) {
        desk.show(report);
    }

    private void refresh() {
        header.show();
        List<BedRow> now = desk.choice().rows();
        while (rows.getChildren().size() > now.size()) {
            rows.getChildren().remove(rows.getChildren().size() - 1);
        }
        for (int i = 0; i < now.size(); i++) {
            if (i >= rows.getChildren().size()) {
                rows.getChildren().add(new RowView(this, desk));
            }
            ((RowView) rows.getChildren().get(i)).show(now.get(i), i);
        }
        desk.arrived();
    }

    private RowView row(int index) {
        return (RowView) rows.getChildren().get(index);
    }

    /** The node of what is chosen, for anchoring what opens beside it. */
    Node chosenNode() {
        return rows.getChildren().isEmpty()
                ? page
                : row(desk.choice().spot().row()).node(desk.choice().spot().item());
    }

    void choose(Spot spot) {
        desk.choice().choose(spot);
        reveal();
    }

    /** Scrolls so that what is chosen can be seen. */
    private void reveal() {
        if (rows.getChildren().isEmpty()) {
            return;
        }
        Node node = chosenNode();
        Bounds at = page.sceneToLocal(node.localToScene(node.getBoundsInLocal()));
        double room = page.getHeight() - scroll.getViewportBounds().getHeight();
        if (at == null || room <= 0) {
            return;
        }
        double top = scroll.getVvalue() * room;
        double bottom = top + scroll.getViewportBounds().getHeight();
        if (at.getMinY() < top + NEAR_TOP) {
            scroll.setVvalue(Math.max(0, (at.getMinY() - NEAR_TOP) / room));
        } else if (at.getMaxY() > bottom - NEAR_TOP) {
            scroll.setVvalue(Math.min(1, (at.getMaxY() + NEAR_TOP - (bottom - top)) / room));
        }
    }

    void kinds(Node anchor) {
        BlockMenu.kinds(desk).show(anchor, Side.BOTTOM, 0, 0);
    }

    /** Asks what is done behind a place. */
    void addAt(Spot spot, Node anchor) {
        desk.gesture(() -> {
            desk.choice().choose(spot);
            AfterKey.open(anchor, () -> new AddPopup(desk, lastWeek, page::requestFocus).show(anchor));
        });
    }

    /** Shows the chosen leaf in full. */
    void openLeaf() {
        if (desk.choice().leaf().isPresent()) {
            opened.run();
        } else {
            desk.choice().item(desk.choice().spot()).ifPresent(gap -> {
                Bounds at = chosenNode().localToScreen(chosenNode().getBoundsInLocal());
                new GapMenu(desk, desk.choice().spot()).show(chosenNode(), at.getMinX(), at.getMaxY());
            });
        }
    }

    /** Asks for a wording of a kind the chosen leaf lacks. */
    void missing(Tag.Kind kind) {
        if (desk.choice().leaf().isPresent()) {
            opened.run();
            missing.accept(kind);
        }
    }
}
