package app.nosegay.desktop.plan.bed;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.bed.BedRow;
import app.nosegay.plan.bed.Leaf;
import app.nosegay.plan.edit.PieceEdits;
import java.util.EnumMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import javafx.css.PseudoClass;
import javafx.geometry.Bounds;
import javafx.geometry.Point2D;
import javafx.scene.Node;
import javafx.scene.control.ContextMenu;
import javafx.scene.control.MenuItem;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Region;

/** Carrying by mouse: what is dragged follows it, and a mark shows where it would go or what it would be joined to. */
final class BedDrag {
    /** A row something can be dropped on. */
    interface Row {
        /** Its block. */
        BedRow row();

        /** Which one it is, from 0. */
        int index();

        /** What lies in it, and last the button that adds to it. */
        FlowPane flow();

        Bounds getBoundsInLocal();

        Bounds localToScene(Bounds bounds);
    }

    /** Less than this and a press is a click. */
    private static final double DRAG_STARTS = 6;

    /** The middle of a leaf joins, its edges put beside it. */
    private static final double JOIN_FROM = 0.3;

    private static final double JOIN_TO = 0.7;

    private final BedDesk desk;
    private final Region page;
    private final List<Node> rows;
    private final Pane above = new Pane();
    private final Region dropMark = new Region();
    private final ImageView carried = new ImageView();
    private Point2D pressed;
    private Spot target;
    private boolean joins;

    /** @param page the paper, which has the keyboard while something is carried; {@code rows} lie on it */
    BedDrag(BedDesk desk, Region page, List<Node> rows) {
        this.desk = desk;
        this.page = page;
        this.rows = rows;
        above.setMouseTransparent(true);
        dropMark.getStyleClass().add("drop-mark");
        dropMark.setVisible(false);
        carried.setVisible(false);
        carried.setOpacity(0.75);
        above.getChildren().addAll(dropMark, carried);
    }

    /** Where what is carried is drawn: lies over the bed. */
    Pane above() {
        return above;
    }

    /** A press on a tag, leaf or gap chooses it; with Ctrl or Shift besides the others. */
    void press(MouseEvent e, Spot spot) {
        page.requestFocus();
        pressed = new Point2D(e.getSceneX(), e.getSceneY());
        target = null;
        if (e.isControlDown() || e.isShiftDown()) {
            desk.choice().chooseAlso(spot);
        } else if (!desk.choice().isChosen(spot)) {
            desk.choice().choose(spot);
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
        rows.stream()
                .map(Row.class::cast)
                .filter(r -> r.row().block().hasMoves())
                .filter(r -> isAtHeight(now, r.localToScene(r.getBoundsInLocal())))
                .findFirst()
                .ifPresent(r -> find(r, now, from));
    }

    private void find(Row row, Point2D now, Spot from) {
        List<Node> nodes = row.flow().getChildren();
        for (int i = 0; i < nodes.size(); i++) {
            Bounds b = inScene(nodes.get(i));
            if (isAtHeight(now, b) && now.getX() <= b.getMaxX()) {
                over(row, i, b, now, from);
                return;
            }
        }
        Bounds last = inScene(nodes.get(nodes.size() - 1));
        put(new Spot(row.index(), row.row().block().items().size()), last.getMinX() - 3, last, false);
    }

    private static Bounds inScene(Node node) {
        return node.localToScene(node.getBoundsInLocal());
    }

    private static boolean isAtHeight(Point2D point, Bounds bounds) {
        return point.getY() >= bounds.getMinY() && point.getY() <= bounds.getMaxY();
    }

    private void over(Row row, int i, Bounds b, Point2D now, Spot from) {
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
        dropMark.pseudoClassStateChanged(PseudoClass.getPseudoClass("join"), join);
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
            desk.placing().carry(from, to);
        }
        e.consume();
    }

    private ContextMenu joinMenu(Spot from, Spot to) {
        ContextMenu menu = new ContextMenu();
        Map<PieceEdits.Join, String> words = new EnumMap<>(PieceEdits.Join.class);
        words.put(PieceEdits.Join.ONE_REP, DesktopText.of("plan.bed.join-one-rep"));
        words.put(PieceEdits.Join.BUILD, DesktopText.of("plan.bed.join-build"));
        words.put(PieceEdits.Join.SUPERSET, DesktopText.of("plan.bed.join-superset"));
        words.forEach((how, text) -> {
            MenuItem item = new MenuItem(text);
            item.setId("bed-join-" + how.name().toLowerCase(Locale.ROOT));
            item.setOnAction(e -> desk.join(from, to, how));
            menu.getItems().add(item);
        });
        return menu;
    }
}
