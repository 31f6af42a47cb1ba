package app.nosegay.desktop.script;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.script.TalkWindow;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.shape.Rectangle;

/** A segment with how full its talk window is. */
final class WindowCell extends ListCell<Segment> {
    private static final double BAR = 62;

    private final Supplier<Programme> programme;
    private final Label at = new Label();
    private final Label what = new Label();
    private final Rectangle full = new Rectangle(0, 9);
    private final Rectangle over = new Rectangle(0, 9);
    private final Pane bar = new Pane(full, over);
    private final Label mark = new Label();
    private final HBox row = new HBox(8, at, what, bar, mark);

    WindowCell(ListView<Segment> list, Supplier<Programme> programme) {
        this.programme = programme;
        at.getStyleClass().add("small");
        at.setMinWidth(40);
        HBox.setHgrow(what, Priority.ALWAYS);
        what.setMaxWidth(Double.MAX_VALUE);
        what.setMinWidth(0);
        bar.setMinWidth(BAR);
        bar.setMaxSize(BAR, 9);
        bar.getStyleClass().add("window-bar");
        mark.setMinWidth(14);
        row.setAlignment(Pos.CENTER_LEFT);
        prefWidthProperty().bind(list.widthProperty().subtract(20));
        setMaxWidth(USE_PREF_SIZE);
    }

    @Override
    protected void updateItem(Segment s, boolean none) {
        super.updateItem(s, none);
        setText(null);
        setGraphic(none || s == null ? null : row);
        if (none || s == null || programme.get() == null) {
            return;
        }
        at.setText("" + s.start());
        what.setText(name(s));
        TalkWindow w = programme.get().cues().window(s.id()).orElse(null);
        double share = w == null ? 0 : w.share();
        full.setWidth(BAR * Math.min(1, share));
        Lamplight.paint(bar, () -> {
            full.setFill(Petals.of(s.kind()));
            over.setFill(Petals.caution());
        });
        boolean overfull = w != null && w.isOverfull();
        over.setWidth(overfull ? 6 : 0);
        over.setX(BAR - 6);
        mark.setText(w != null && w.left() > 0 ? "" + w.left() : "");
        mark.getStyleClass().setAll("label", "severity-stop");
        setAccessibleText(name(s) + DesktopText.of("script.script-stage.per-cent-full", 100 * share));
    }

    /** What a segment is called, with its side and round. */
    static String name(Segment s) {
        String what = Wordings.capital(
                s.kind() == SegmentKind.SWITCH || s.move() == null || s.kind() == SegmentKind.DEMO
                        ? s.kind() == SegmentKind.TALK
                                ? s.block().name()
                                : s.kind().word()
                        : s.move());
        String side = s.side() == Side.LEFT || s.side() == Side.RIGHT
                ? ", " + s.side().word()
                : "";
        String turn = s.round() != null
                ? DesktopText.of("script.script-stage.round", s.round())
                : s.set() != null ? DesktopText.of("script.script-stage.set", s.set()) : "";
        return what + side + turn;
    }
}
