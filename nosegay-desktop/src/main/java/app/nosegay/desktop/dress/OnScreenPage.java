package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.dress.Face;
import app.nosegay.dress.Piece;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.List;
import java.util.function.DoubleConsumer;
import javafx.beans.property.DoubleProperty;
import javafx.beans.property.SimpleDoubleProperty;
import javafx.beans.value.ObservableDoubleValue;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/** What is on screen in one interval, and when: a name and a stroke for each piece. */
final class OnScreenPage {
    private static final double NAME = 150;
    private static final double ROW = 17;
    private static final double STROKE = 7;
    /** A piece is looked at this long after it came, in seconds. */
    private static final double THERE = 0.2;

    private final VBox rows = new VBox(0);
    private final ScrollPane view = new ScrollPane(rows);
    private final ObservableDoubleValue now;
    private final DoubleConsumer goTo;
    private final DoubleProperty length = new SimpleDoubleProperty(1);

    /**
     * @param now the second of the interval that is looked at
     * @param goTo told the second of the interval to look at
     */
    OnScreenPage(ObservableDoubleValue now, DoubleConsumer goTo) {
        this.now = now;
        this.goTo = goTo;
        rows.setId("pieces");
        view.setFitToWidth(true);
        view.getStyleClass().add("edge-to-edge");
    }

    Region view() {
        return view;
    }

    /** Shows what is seen of {@code pieces} in an interval of the programme. */
    void show(List<Piece> pieces, Span<Axis.Cut> interval) {
        rows.getChildren().clear();
        length.set(Math.max(0.1, interval.length().seconds()));
        for (Piece piece : pieces) {
            Span<Axis.Cut> span = piece.span();
            boolean here =
                    !span.start().isBefore(interval.start()) && span.start().isBefore(interval.end());
            if (here) {
                double from = span.start().since(interval.start()).seconds();
                double to = Math.min(
                        length.get(), span.end().since(interval.start()).seconds());
                rows.getChildren().add(row(piece.at(span.start()), from, to));
            }
        }
    }

    private HBox row(Face face, double from, double to) {
        Button name = new Button(name(face));
        name.getStyleClass().add("chip");
        name.setAccessibleText(DesktopText.of("dress.on-screen-page.from-to", name(face), from, to));
        name.setOnAction(e -> goTo.accept(from + THERE));
        HBox names = new HBox(name);
        names.setMinWidth(NAME);
        names.setMaxWidth(NAME);
        names.setAlignment(Pos.CENTER_LEFT);
        Pane track = new Pane();
        HBox.setHgrow(track, Priority.ALWAYS);
        track.setMinHeight(ROW);
        track.getStyleClass().add("track");
        track.setOnMousePressed(e -> goTo.accept(e.getX() / Math.max(1, track.getWidth()) * length.get()));
        track.setOnMouseDragged(e -> goTo.accept(e.getX() / Math.max(1, track.getWidth()) * length.get()));
        Rectangle stroke = new Rectangle(0, (ROW - STROKE) / 2, 1, STROKE);
        Lamplight.paint(stroke, () -> stroke.setFill(colour(face)));
        stroke.setArcWidth(STROKE);
        stroke.setArcHeight(STROKE);
        stroke.xProperty().bind(track.widthProperty().multiply(from / length.get()));
        stroke.widthProperty().bind(track.widthProperty().multiply((to - from) / length.get()));
        Line head = new Line(0, 0, 0, ROW);
        Lamplight.paint(head, () -> head.setStroke(Petals.ink()));
        head.startXProperty().bind(track.widthProperty().multiply(now).divide(length));
        head.endXProperty().bind(head.startXProperty());
        track.getChildren().setAll(stroke, head);
        HBox row = new HBox(8, names, track);
        row.setAlignment(Pos.CENTER_LEFT);
        return row;
    }

    private static Color colour(Face face) {
        if (face instanceof Face.Card card) {
            return switch (card.kind()) {
                case NEXT -> Petals.rest();
                case OPTION -> Petals.option();
                case CAUTION, CORRECTION -> Petals.caution();
                default -> Petals.voice();
            };
        }
        boolean counts =
                face instanceof Face.RepCounter || face instanceof Face.Tempo || face instanceof Face.SideBadge;
        return counts ? Petals.count() : face instanceof Face.LevelBadge ? Petals.option() : Petals.work();
    }

    private static String name(Face face) {
        if (face instanceof Face.Card card) {
            return switch (card.kind()) {
                case TITLE -> "title";
                case NEXT -> DesktopText.of("dress.on-screen-page.next-card");
                case OPTION -> "option";
                case FORM -> DesktopText.of("dress.on-screen-page.form-cue");
                case CAUTION -> "caution";
                case SWITCH -> DesktopText.of("dress.on-screen-page.switch-card");
                case SECTION -> "section";
                case CORRECTION -> "correction";
                case END -> DesktopText.of("dress.on-screen-page.end-card");
            };
        }
        if (face instanceof Face.Timer) {
            return "timer";
        }
        if (face instanceof Face.GetReady) {
            return DesktopText.of("dress.on-screen-page.get-ready-count");
        }
        if (face instanceof Face.NamePlate) {
            return DesktopText.of("dress.on-screen-page.name-and-counters");
        }
        if (face instanceof Face.SideBadge) {
            return "side";
        }
        if (face instanceof Face.LevelBadge badge) {
            return DesktopText.of("dress.on-screen-page.level", badge.name());
        }
        return face instanceof Face.Tempo
                ? DesktopText.of("dress.on-screen-page.tempo-guide")
                : face instanceof Face.Caption
                        ? "caption"
                        : face instanceof Face.Progress
                                ? "progress"
                                : DesktopText.of("dress.on-screen-page.rep-counter");
    }
}
