package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Lamplight;
import app.nosegay.desktop.controls.Petals;
import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.stream.Stream;
import javafx.scene.Cursor;
import javafx.scene.control.ListCell;
import javafx.scene.image.Image;
import javafx.scene.image.ImageView;
import javafx.scene.input.MouseEvent;
import javafx.scene.layout.Pane;
import javafx.scene.shape.Line;

/** A row of the Score: a cached picture, and a rule while a boundary is dragged. */
final class ScoreCell extends ListCell<ScoreRow> {
    /** How near to a boundary a drag takes hold of it, in pixels. */
    private static final double GRIP = 6;

    /** So many rows before one comes into view it is painted. */
    private static final int AHEAD = 12;

    /** One end of a segment. */
    private record Boundary(Match.Placed placed, boolean end) {
        Time<Axis.Take> time() {
            return end ? placed.end() : placed.start();
        }
    }

    private final ScoreView score;
    private final ImageView picture = new ImageView();
    private final Line drag = new Line();
    private final Line head = new Line();
    private final LinePictures.Row seen;
    private final Pane pane;
    private Boundary held;

    ScoreCell(ScoreView score, LinePictures pictures) {
        this.score = score;
        seen = pictures.new Row();
        pane = new Pane(picture, seen.view(), drag, head);
        drag.setVisible(false);
        drag.setStrokeWidth(2);
        head.setVisible(false);
        head.setStrokeWidth(1.5);
        head.getStyleClass().add("playhead");
        Lamplight.paint(head, () -> head.setStroke(Petals.ink()));
        pane.setOnMouseMoved(e -> pane.setCursor(boundaryAt(e) == null ? Cursor.DEFAULT : Cursor.H_RESIZE));
        pane.setOnMousePressed(e -> held = boundaryAt(e));
        pane.setOnMouseDragged(this::drag);
        pane.setOnMouseReleased(this::release);
    }

    @Override
    protected void updateItem(ScoreRow row, boolean none) {
        super.updateItem(row, none);
        setText(null);
        if (none || row == null) {
            setGraphic(null);
            return;
        }
        head.setVisible(false);
        picture.setImage(score.images().of(row));
        ScoreLine line = ScoreView.line(row);
        seen.show(line == null || score.painter().isThin(line) ? null : line);
        for (int next : new int[] {getIndex() + AHEAD, getIndex() - AHEAD}) {
            if (next >= 0 && next < getListView().getItems().size()) {
                score.images().ahead(getListView().getItems().get(next));
            }
        }
        pane.setPrefHeight(score.painter().height(row));
        pane.setMinHeight(score.painter().height(row));
        setAccessibleText(row.spoken());
        setGraphic(pane);
    }

    /** Shows where the take plays in it; null takes the mark away. */
    void playhead(Time<Axis.Take> time) {
        ScoreLine line = ScoreView.line(getItem());
        boolean shown = time != null
                && line != null
                && !line.isMissing()
                && !score.painter().isThin(line);
        head.setVisible(shown);
        if (shown) {
            double seconds = time.since(line.recorded().start()).seconds();
            double x = score.painter().grid().x(seconds);
            int row = score.painter().grid().row(seconds);
            head.setVisible(row < score.painter().grid().rows(line));
            head.setStartX(x);
            head.setEndX(x);
            head.setStartY(row * ScoreGrid.ROW + 2);
            head.setEndY(row * ScoreGrid.ROW + ScoreMarks.TRACE_END + 4);
        }
    }

    private Boundary boundaryAt(MouseEvent e) {
        ScoreLine line = ScoreView.line(getItem());
        if (line == null
                || line.isMissing()
                || line.isUnplanned()
                || score.painter().isThin(line)) {
            return null;
        }
        double seconds = score.painter().grid().seconds(e.getX(), e.getY());
        double reach = GRIP / score.painter().grid().scale();
        Time<Axis.Take> start = line.recorded().start();
        return line.placed().stream()
                .filter(Match.Placed::matched)
                .flatMap(p -> Stream.of(new Boundary(p, false), new Boundary(p, true)))
                .filter(b -> Math.abs(seconds - b.time().since(start).seconds()) < reach)
                .findFirst()
                .orElse(null);
    }

    private void drag(MouseEvent e) {
        if (held != null) {
            int row = (int) Math.max(0, e.getY() / ScoreGrid.ROW);
            drag.setStartX(e.getX());
            drag.setEndX(e.getX());
            drag.setStartY(row * ScoreGrid.ROW);
            drag.setEndY((row + 1) * ScoreGrid.ROW - 4);
            drag.setVisible(true);
            score.tell(DesktopText.of(
                    "match.score-view.s-of-s-at-second",
                    held.end() ? "end" : "start",
                    score.spoken(held.placed()),
                    score.painter().grid().seconds(e.getX(), e.getY())));
        }
    }

    private void release(MouseEvent e) {
        drag.setVisible(false);
        Boundary boundary = held;
        held = null;
        if (getItem() instanceof ScoreFold fold) {
            score.turn(fold);
        } else if (getItem() instanceof ScoreLine line && score.painter().isThin(line)) {
            score.unfold(line);
        } else if (getItem() instanceof ScoreLine line && !line.isMissing()) {
            Time<Axis.Take> time = line.recorded()
                    .start()
                    .plus(Length.ofSeconds(score.painter().grid().seconds(e.getX(), e.getY())));
            if (boundary != null && !e.isStillSincePress()) {
                score.moved(boundary.placed(), boundary.end(), Time.max(Time.zero(), time));
            } else if (e.getX() > ScoreGrid.LEFT) {
                score.play(line, time);
            }
        }
    }

    void picture(Image image) {
        picture.setImage(image);
    }
}
