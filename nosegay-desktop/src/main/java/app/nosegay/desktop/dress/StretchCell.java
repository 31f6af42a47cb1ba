package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.SegmentPicture;
import app.nosegay.desktop.session.Session;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;

/** An interval as it can be seen where its move is at its clearest; a rest by its name alone. */
final class StretchCell extends ListCell<Stretch> {
    /** A picture in the list of intervals, in pixels. */
    private static final int SEEN = 44;

    private final Session session;
    private final Supplier<Programme> programme;
    private final ImageView seen = new ImageView();
    private final Label name = new Label();
    private final Label when = new Label();
    private final HBox row = new HBox(8, seen, new VBox(name, when));

    StretchCell(Session session, Supplier<Programme> programme) {
        this.session = session;
        this.programme = programme;
        seen.setFitWidth(SEEN);
        seen.setFitHeight(SEEN);
        seen.managedProperty().bind(seen.visibleProperty());
        name.setMaxWidth(130);
        when.getStyleClass().add("small");
        row.setAlignment(Pos.CENTER_LEFT);
    }

    @Override
    protected void updateItem(Stretch s, boolean none) {
        super.updateItem(s, none);
        setText(null);
        if (none || s == null) {
            session.pictures().clear(seen);
            setGraphic(null);
            return;
        }
        Segment first = s.interval().first();
        boolean rest = first.kind() == SegmentKind.REST;
        name.setText(Wordings.capital(
                first.kind().isMoving()
                        ? first.move()
                        : first.kind() == SegmentKind.TALK
                                ? first.block().name()
                                : first.kind().word()));
        name.getStyleClass().setAll("label", rest ? "small" : "subheading");
        String round = first.round() == null ? "" : DesktopText.of("dress.dress-stage.round", first.round());
        when.setText(s.span().start().toString().replaceAll("\\..*", "") + round);
        seen.setVisible(!rest);
        if (rest) {
            session.pictures().clear(seen);
        } else {
            SegmentPicture.show(session, programme.get(), seen, first.id(), 2 * SEEN);
        }
        setAccessibleText(name.getText() + ", " + when.getText());
        setGraphic(row);
    }
}
