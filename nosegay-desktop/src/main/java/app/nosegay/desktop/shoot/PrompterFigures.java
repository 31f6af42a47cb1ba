package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.MovingFigure;
import app.nosegay.jobs.Libraries;
import app.nosegay.library.Move;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Side;
import app.nosegay.script.Wordings;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.image.ImageView;
import javafx.scene.layout.Region;
import javafx.scene.layout.StackPane;
import javafx.scene.layout.VBox;

/** The drawn figure of what is done, or in a rest of what comes, with its side; small beside it what comes then. */
final class PrompterFigures {
    private static final int FIGURE = 216;
    private static final int NEXT_FIGURE = 78;

    private final Timeline timeline;
    private final MovingFigure figure = new MovingFigure(FIGURE);
    private final Label side = new Label();
    private final VBox standing = new VBox(2, tile(figure.view()), side);
    private final MovingFigure nextFigure = new MovingFigure(NEXT_FIGURE);
    private final Region nextTile = tile(nextFigure.view());

    PrompterFigures(Timeline timeline) {
        this.timeline = timeline;
        side.getStyleClass().add("prompt-side");
        side.setId("prompt-side");
        standing.setAlignment(Pos.CENTER);
        standing.setMinWidth(Region.USE_PREF_SIZE);
    }

    /** The large one, with its side. */
    Region now() {
        return standing;
    }

    Region next() {
        return nextTile;
    }

    private static Region tile(ImageView figure) {
        StackPane tile = new StackPane(figure);
        tile.getStyleClass().add("prompt-figure");
        tile.setMaxSize(Region.USE_PREF_SIZE, Region.USE_PREF_SIZE);
        tile.managedProperty().bind(tile.visibleProperty());
        return tile;
    }

    void show(Segment s) {
        Segment large = s.kind().isMoving() ? s : moving(s);
        Segment small = large == null ? null : moving(large);
        Move move = move(large);
        figure.show(move, large == null ? Side.BOTH : large.side());
        standing.setVisible(move != null);
        boolean oneSided = large != null && (large.side() == Side.LEFT || large.side() == Side.RIGHT);
        side.setText(oneSided ? Wordings.capital(large.side().word()) : "");
        Move then = large == s ? move(small) : null;
        nextFigure.show(then, small == null ? Side.BOTH : small.side());
        nextTile.setVisible(then != null);
    }

    /** The next segment in which somebody moves and that is not of the same interval; null for none. */
    private Segment moving(Segment after) {
        return timeline.segments().stream()
                .filter(o -> o.kind().isMoving()
                        && !o.start().isBefore(after.end())
                        && !o.interval().equals(after.interval()))
                .findFirst()
                .orElse(null);
    }

    private static Move move(Segment s) {
        return s == null
                ? null
                : s.moves(Libraries.current()).stream().findFirst().orElse(null);
    }
}
