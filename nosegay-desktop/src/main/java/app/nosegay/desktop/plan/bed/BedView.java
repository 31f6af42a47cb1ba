package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.plan.bed.BedEdits;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.bed.NewBlock;
import app.nosegay.plan.bed.Tag;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.terms.BlockKind;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntConsumer;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.AccessibleRole;
import javafx.scene.Node;
import javafx.scene.control.Button;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.Label;
import javafx.scene.control.MenuItem;
import javafx.scene.control.ScrollPane;
import javafx.scene.image.ImageView;
import javafx.scene.input.Clipboard;
import javafx.scene.input.ClipboardContent;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/**
 * The bed: every block a paper tag with one sentence, its moves as pressed leaves on a twig, rests as the gaps between them. All that can
 * be planned can be planned here, by mouse or by keys; each gesture is one named edit of the sheet.
 */
public final class BedView {
    private static final double NEAR_TOP = 60;
    /** Less than this and a press is a click. */
    private static final double DRAG_STARTS = 6;
    /** The middle of a leaf joins, its edges put beside it. */
    private static final double JOIN_FROM = 0.3;

    private static final double JOIN_TO = 0.7;

    private final BedDesk desk;
    private final VBox rows = new VBox(4);
    private final HeaderView header;
    private final VBox page;
    private final ScrollPane scroll;
    private final Pane above = new Pane();
    private final StackPane view;
    private final Region dropMark = new Region();
    private final ImageView carried = new ImageView();
    private Runnable opened = () -> {};
    private java.util.function.Consumer<Tag.Kind> missing = kind -> {};
    private Set<String> lastWeek = Set.of();
    private Point2D pressed;
    private Spot target;
    private boolean joins;

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
        foot.setAlignment(javafx.geometry.Pos.CENTER_LEFT);
        page = new VBox(8, header.view(), rows, foot);
        page.getStyleClass().add("bed");
        page.setFocusTraversable(true);
        page.setId("bed");
        page.setAccessibleRole(AccessibleRole.LIST_VIEW);
        page.setAccessibleText(DesktopText.of("plan.bed.spoken"));
        page.addEventHandler(KeyEvent.KEY_PRESSED, this::key);
        scroll = new ScrollPane(page);
        scroll.setFitToWidth(true);
        scroll.setHbarPolicy(ScrollPane.ScrollBarPolicy.NEVER);
        scroll.getStyleClass().add("plain-scroll");
        scroll.setFocusTraversable(false);
        above.setMouseTransparent(true);
        dropMark.getStyleClass().add("drop-mark");
        dropMark.setVisible(false);
        carried.setVisible(false);
        carried.setOpacity(0.75);
        above.getChildren().addAll(dropMark, carried);
        view = new StackPane(scroll, above);
        desk.onChanged(this::refresh);
    }

    public Region view() {
        return view;
    }

    BedDesk desk() {
        return desk;
    }

    /** The panel that shows the chosen leaf in full. */
    public Region inspector() {
        LeafPanel panel = new LeafPanel(desk, this);
        missing = panel::wordings;
        return panel.view();
    }

    /** Told when the chosen leaf is to be shown in full. */
    public void onOpened(Runnable told) {
        opened = told;
    }

    /** Told the line of what is chosen. */
    public void onLine(IntConsumer told) {
        desk.onLine(told::accept);
    }

    /** The moves other workouts of these days have; they are not proposed first. */
    public void lastWeek(Set<String> moves) {
        lastWeek = moves;
    }

    /** Puts a move of the library behind what is chosen, into the last block that takes moves where that is none. */
    public void add(Move move) {
        desk.gesture(() -> {
            boolean here = desk.row().map(r -> r.block().hasMoves()).orElse(true);
            for (int r = desk.rows().size() - 1; r >= 0 && !here; r--) {
                if (desk.rows().get(r).block().hasMoves()) {
                    desk.choose(new Spot(r, Spot.TAG));
                    here = true;
                }
            }
            BlockKind kind = desk.row().map(r -> r.block().kind()).orElse(BlockKind.CIRCUIT);
            desk.addMove(NewBlock.move(kind, move, move.name(), "", false));
            reveal();
        });
    }

    public void chooseLine(int line) {
        desk.chooseLine(line);
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
        List<BedRow> now = desk.rows();
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
    private Node chosenNode() {
        return rows.getChildren().isEmpty()
                ? page
                : row(desk.spot().row()).node(desk.spot().item());
    }

    private void choose(Spot spot) {
        desk.choose(spot);
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

    private void key(KeyEvent e) {
        if (e.getTarget() != page && e.getCode() != KeyCode.ESCAPE) {
            return; // a value or button of the bed has the keyboard
        }
        if (e.isControlDown() || e.isMetaDown() ? control(e.getCode()) : plain(e)) {
            e.consume();
        }
    }

    private boolean control(KeyCode code) {
        switch (code) {
            case D -> desk.duplicate();
            case C -> copy();
            case X -> {
                copy();
                desk.remove();
            }
            case V -> paste();
            default -> {
                return false;
            }
        }
        return true;
    }

    private boolean plain(KeyEvent e) {
        switch (e.getCode()) {
            case LEFT, RIGHT -> along(e, e.getCode() == KeyCode.LEFT ? -1 : 1);
            case UP, DOWN -> across(e, e.getCode() == KeyCode.UP ? -1 : 1);
            case PLUS, ADD, EQUALS -> desk.step(1);
            case MINUS, SUBTRACT -> desk.step(-1);
            case ENTER -> enter(e.isShiftDown());
            case DELETE, BACK_SPACE -> desk.remove();
            case R -> desk.rest();
            case T -> desk.nextTeaching();
            case S -> desk.nextSides();
            case O -> missing(Tag.Kind.EASIER);
            case L -> levels();
            case F2 -> rename();
            case SPACE -> openLeaf();
            case ESCAPE -> page.requestFocus();
            case HOME -> choose(Spot.START);
            case END -> choose(new Spot(desk.rows().size() - 1, Spot.TAG));
            default -> {
                return false;
            }
        }
        return true;
    }

    private void along(KeyEvent e, int by) {
        if (e.isAltDown()) {
            desk.carryAlong(by);
        } else if (e.isShiftDown()) {
            desk.chooseAlso(desk.spot().at(desk.spot().item() + by));
        } else {
            Spot spot = desk.spot();
            int last = desk.row().map(r -> r.block().items().size() - 1).orElse(Spot.TAG);
            int item = spot.item() + by;
            boolean next = item > last && spot.row() + 1 < desk.rows().size();
            choose(next ? new Spot(spot.row() + 1, Spot.TAG) : spot.at(item));
        }
    }

    private void across(KeyEvent e, int by) {
        if (e.isAltDown()) {
            desk.carryAcross(by);
        } else {
            choose(new Spot(desk.spot().row() + by, desk.spot().item()));
        }
    }

    private void enter(boolean block) {
        boolean noMoves = desk.row().map(r -> !r.block().hasMoves()).orElse(true);
        if (block || noMoves && !desk.rows().isEmpty()) {
            kinds(chosenNode());
        } else {
            addAt(desk.spot(), chosenNode());
        }
    }

    private void kinds(Node anchor) {
        BlockMenu.kinds(desk).show(anchor, javafx.geometry.Side.BOTTOM, 0, 0);
    }

    /** Asks what is done behind a place. */
    void addAt(Spot spot, Node anchor) {
        desk.gesture(() -> {
            desk.choose(spot);
            AfterKey.open(anchor, () -> new AddPopup(desk, lastWeek, page::requestFocus).show(anchor));
        });
    }

    /** Shows the chosen leaf in full. */
    void openLeaf() {
        if (desk.leaf().isPresent()) {
            opened.run();
        } else {
            desk.item(desk.spot()).ifPresent(gap -> {
                Bounds at = chosenNode().localToScreen(chosenNode().getBoundsInLocal());
                new GapMenu(desk, desk.spot()).show(chosenNode(), at.getMinX(), at.getMaxY());
            });
        }
    }

    /** Asks for a wording of a kind the chosen leaf lacks. */
    void missing(Tag.Kind kind) {
        if (desk.leaf().isPresent()) {
            opened.run();
            missing.accept(kind);
        }
    }

    private void levels() {
        if (desk.leaf().isEmpty()) {
            return;
        }
        ContextMenu menu = new ContextMenu();
        desk.sheet().header().levels().forEach(level -> {
            MenuItem item = new MenuItem(DesktopText.of("plan.bed.level-differs", level.name()));
            item.setOnAction(e -> opened.run());
            menu.getItems().add(item);
        });
        if (menu.getItems().isEmpty()) {
            MenuItem none = new MenuItem(DesktopText.of("plan.bed.no-levels"));
            none.setDisable(true);
            menu.getItems().add(none);
        }
        menu.show(chosenNode(), javafx.geometry.Side.BOTTOM, 0, 0);
    }

    private void rename() {
        if (desk.spot().isTag()) {
            Node name = chosenNode().lookup(".value-name");
            if (name instanceof Button button) {
                button.requestFocus();
                button.fire();
            }
        } else {
            openLeaf();
        }
    }

    private void copy() {
        String lines = desk.copied();
        if (!lines.isEmpty()) {
            ClipboardContent content = new ClipboardContent();
            content.putString(lines);
            Clipboard.getSystemClipboard().setContent(content);
        }
    }

    private void paste() {
        String text = Clipboard.getSystemClipboard().getString();
        if (text == null || text.isBlank()) {
            return;
        }
        NotesReader notes = new NotesReader(Libraries.current());
        boolean inBlock = desk.row().map(r -> r.block().hasMoves()).orElse(false);
        String lines = notes.isNotes(text) ? notes.read(text, inBlock) : text;
        List<String> list = Arrays.stream(lines.split("\r\n|\n|\r"))
                .filter(l -> !l.isBlank())
                .toList();
        if (!list.isEmpty()) {
            desk.paste(list);
        }
    }

    /** A press on a tag, leaf or gap chooses it; with Ctrl or Shift besides the others. */
    void press(MouseEvent e, Spot spot) {
        page.requestFocus();
        pressed = new Point2D(e.getSceneX(), e.getSceneY());
        target = null;
        if (e.isControlDown() || e.isShiftDown()) {
            desk.chooseAlso(spot);
        } else if (!desk.isChosen(spot)) {
            desk.choose(spot);
        }
        e.consume();
    }

    /** A leaf that is dragged follows the mouse; a line shows where it would go, a frame what it would be joined to. */
    void drag(MouseEvent e, Spot spot, Node node) {
        Point2D now = new Point2D(e.getSceneX(), e.getSceneY());
        if (pressed == null || !carried.isVisible() && now.distance(pressed) < DRAG_STARTS) {
            return;
        }
        if (!carried.isVisible()) {
            carried.setImage(node.snapshot(null, null));
            carried.setVisible(true);
        }
        Point2D at = above.sceneToLocal(now);
        carried.relocate(at.getX() + 6, at.getY() + 6);
        find(now, spot);
        e.consume();
    }

    private void find(Point2D now, Spot from) {
        target = null;
        dropMark.setVisible(false);
        for (Node r : rows.getChildren()) {
            RowView row = (RowView) r;
            Bounds bounds = row.localToScene(row.getBoundsInLocal());
            if (!row.row().block().hasMoves() || now.getY() < bounds.getMinY() || now.getY() > bounds.getMaxY()) {
                continue;
            }
            List<Node> nodes = row.flow().getChildren();
            for (int i = 0; i < nodes.size(); i++) {
                Bounds b = nodes.get(i).localToScene(nodes.get(i).getBoundsInLocal());
                boolean inLine = now.getY() >= b.getMinY() && now.getY() <= b.getMaxY();
                if (inLine && now.getX() <= b.getMaxX()) {
                    over(row, i, b, now, from);
                    return;
                }
            }
            Bounds last = nodes.get(nodes.size() - 1)
                    .localToScene(nodes.get(nodes.size() - 1).getBoundsInLocal());
            put(new Spot(row.index(), row.row().block().items().size()), last.getMinX() - 3, last, false);
            return;
        }
    }

    private void over(RowView row, int i, Bounds b, Point2D now, Spot from) {
        double share = (now.getX() - b.getMinX()) / b.getWidth();
        boolean leaf = i < row.row().block().items().size()
                && row.row().block().items().get(i) instanceof Leaf;
        Spot spot = new Spot(row.index(), Math.min(i, row.row().block().items().size()));
        if (leaf && share > JOIN_FROM && share < JOIN_TO && !spot.equals(from)) {
            put(spot, b.getMinX(), b, true);
        } else if (share >= JOIN_TO && leaf) {
            put(spot.at(i + 1), b.getMaxX(), b, false);
        } else {
            put(spot, b.getMinX() - 2, b, false);
        }
    }

    private void put(Spot spot, double x, Bounds b, boolean join) {
        target = spot;
        joins = join;
        Bounds local = above.sceneToLocal(b);
        double left = above.sceneToLocal(x, 0).getX();
        dropMark.resizeRelocate(left, local.getMinY(), join ? local.getWidth() : 4, local.getHeight());
        dropMark.pseudoClassStateChanged(javafx.css.PseudoClass.getPseudoClass("join"), join);
        dropMark.setVisible(true);
    }

    void drop(MouseEvent e, Spot from) {
        boolean moved = carried.isVisible();
        carried.setVisible(false);
        dropMark.setVisible(false);
        pressed = null;
        if (!moved || target == null) {
            return;
        }
        Spot to = target;
        target = null;
        if (joins) {
            joinMenu(from, to).show(page, e.getScreenX(), e.getScreenY());
        } else {
            desk.carry(from, to);
        }
        e.consume();
    }

    private ContextMenu joinMenu(Spot from, Spot to) {
        ContextMenu menu = new ContextMenu();
        Map<BedEdits.Join, String> words = new java.util.EnumMap<>(BedEdits.Join.class);
        words.put(BedEdits.Join.ONE_REP, DesktopText.of("plan.bed.join-one-rep"));
        words.put(BedEdits.Join.BUILD, DesktopText.of("plan.bed.join-build"));
        words.put(BedEdits.Join.SUPERSET, DesktopText.of("plan.bed.join-superset"));
        words.forEach((how, text) -> {
            MenuItem item = new MenuItem(text);
            item.setId("bed-join-" + how.name().toLowerCase(java.util.Locale.ROOT));
            item.setOnAction(e -> desk.join(from, to, how));
            menu.getItems().add(item);
        });
        return menu;
    }
}
