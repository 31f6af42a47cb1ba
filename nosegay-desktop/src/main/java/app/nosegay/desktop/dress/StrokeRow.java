package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.dress.Face;
import java.util.List;
import java.util.function.DoubleConsumer;
import javafx.beans.value.ObservableDoubleValue;
import javafx.geometry.Pos;
import javafx.scene.Cursor;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.input.KeyCode;
import javafx.scene.input.KeyEvent;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Pane;
import javafx.scene.layout.Priority;
import javafx.scene.paint.Color;
import javafx.scene.shape.Line;
import javafx.scene.shape.Rectangle;

/**
 * One piece of an interval: its name, and a stroke for when it is on screen. The stroke of a card can be dragged, as a whole or by an end.
 */
final class StrokeRow extends HBox {
    private static final double NAME = 150;
    private static final double ROW = 17;
    private static final double STROKE = 7;
    /** What can be dragged is thicker, with a grip at either end. */
    private static final double THICK = 12;

    /** A piece is looked at this long after it came, in seconds. */
    private static final double THERE = 0.2;
    /** An end is taken within so many pixels of it. */
    private static final double GRIP = 6;
    /** A key moves a card by this, in seconds. */
    private static final double STEP = 0.5;

    /** What of a stroke is dragged. */
    private enum Part {
        START,
        WHOLE,
        END
    }

    private final Button chip;
    private final Pane track = new Pane();
    private final Rectangle stroke = new Rectangle(0, (ROW - STROKE) / 2, 1, STROKE);
    private final double length;
    private double from;
    private double to;
    private final Line startGrip = grip();
    private final Line endGrip = grip();
    private Part dragged;
    private double taken;

    StrokeRow(Face face, double from, double to, double length, ObservableDoubleValue now, DoubleConsumer goTo) {
        super(8);
        this.from = from;
        this.to = to;
        this.length = length;
        chip = new Button(name(face));
        chip.getStyleClass().add("chip");
        chip.setAccessibleText(DesktopText.of("dress.on-screen-page.from-to", name(face), from, to));
        chip.setOnAction(e -> goTo.accept(this.from + THERE));
        HBox names = new HBox(chip);
        names.setMinWidth(NAME);
        names.setMaxWidth(NAME);
        names.setAlignment(Pos.CENTER_LEFT);
        HBox.setHgrow(track, Priority.ALWAYS);
        track.setMinHeight(ROW);
        track.getStyleClass().add("track");
        track.setOnMousePressed(e -> goTo.accept(second(e)));
        track.setOnMouseDragged(e -> goTo.accept(second(e)));
        Lamplight.paint(stroke, () -> stroke.setFill(colour(face)));
        stroke.setArcWidth(STROKE);
        stroke.setArcHeight(STROKE);
        track.widthProperty().addListener((o, before, wide) -> lay());
        Line head = new Line(0, 0, 0, ROW);
        Lamplight.paint(head, () -> head.setStroke(Petals.ink()));
        head.startXProperty().bind(track.widthProperty().multiply(now).divide(length));
        head.endXProperty().bind(head.startXProperty());
        track.getChildren().setAll(stroke, head);
        head.setMouseTransparent(true);
        setAlignment(Pos.CENTER_LEFT);
        getChildren().setAll(names, track);
    }

    private double second(MouseEvent e) {
        return e.getX() / Math.max(1, track.getWidth()) * length;
    }

    private static Line grip() {
        Line grip = new Line(0, ROW / 2 - 3, 0, ROW / 2 + 3);
        grip.setMouseTransparent(true);
        Lamplight.paint(grip, () -> grip.setStroke(Petals.paper()));
        return grip;
    }

    private void lay() {
        stroke.setX(track.getWidth() * from / length);
        stroke.setWidth(Math.max(1, track.getWidth() * (to - from) / length));
        startGrip.setLayoutX(stroke.getX() + GRIP / 2);
        endGrip.setLayoutX(stroke.getX() + stroke.getWidth() - GRIP / 2);
    }

    boolean hasFocus() {
        return chip.isFocused();
    }

    void focus() {
        chip.requestFocus();
    }

    /** Lets the card be moved, by mouse and by keys; {@code byHand}: it was already. */
    void movable(Face.Card card, OnScreenPage.Retiming retiming, boolean byHand) {
        stroke.setY((ROW - THICK) / 2);
        stroke.setHeight(THICK);
        track.getChildren().addAll(1, List.of(startGrip, endGrip));
        stroke.setId("stroke-" + card.kind().name().toLowerCase());
        chip.setId("chip-" + card.kind().name().toLowerCase());
        if (byHand) {
            chip.setText(DesktopText.of("dress.on-screen-page.by-hand", chip.getText()));
        }
        String tip = byHand
                ? DesktopText.of("dress.on-screen-page.drag-or-back")
                : DesktopText.of("dress.on-screen-page.drag");
        Tooltip.install(stroke, new Tooltip(tip));
        chip.setTooltip(new Tooltip(tip));
        stroke.setOnMouseMoved(e -> stroke.setCursor(part(e) == Part.WHOLE ? Cursor.OPEN_HAND : Cursor.H_RESIZE));
        stroke.setOnMousePressed(e -> {
            dragged = part(e);
            taken = second(e);
            e.consume();
        });
        stroke.setOnMouseDragged(e -> {
            drag(second(e) - taken);
            taken = second(e);
            e.consume();
        });
        stroke.setOnMouseReleased(e -> {
            if (e.getClickCount() == 2 && byHand) {
                retiming.back(card);
            } else if (!e.isStillSincePress()) {
                retiming.move(card, from, to);
            }
            e.consume();
        });
        chip.setOnKeyPressed(e -> key(e, card, retiming, byHand));
    }

    private Part part(MouseEvent e) {
        double within = e.getX() - stroke.getX();
        return within < Math.min(GRIP, stroke.getWidth() / 3)
                ? Part.START
                : within > stroke.getWidth() - Math.min(GRIP, stroke.getWidth() / 3) ? Part.END : Part.WHOLE;
    }

    /** Within the interval; an end is not dragged past the other. */
    private void drag(double by) {
        switch (dragged) {
            case START -> from = Math.max(0, Math.min(to, from + by));
            case END -> to = Math.min(length, Math.max(from, to + by));
            default -> {
                double whole = Math.max(-from, Math.min(length - to, by));
                from += whole;
                to += whole;
            }
        }
        lay();
    }

    /** Alt and an arrow move the card, with Shift its end; Backspace puts it back. */
    private void key(KeyEvent e, Face.Card card, OnScreenPage.Retiming retiming, boolean byHand) {
        double by =
                switch (e.getCode()) {
                    case LEFT -> -STEP;
                    case RIGHT -> STEP;
                    default -> 0;
                };
        if (by != 0 && e.isAltDown()) {
            dragged = e.isShiftDown() ? Part.END : Part.WHOLE;
            drag(by);
            retiming.move(card, from, to);
            e.consume();
        } else if (byHand && e.getCode() == KeyCode.BACK_SPACE) {
            retiming.back(card);
            e.consume();
        }
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
