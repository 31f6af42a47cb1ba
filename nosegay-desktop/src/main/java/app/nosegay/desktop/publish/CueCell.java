package app.nosegay.desktop.publish;

import app.nosegay.captions.TimedText;
import java.util.function.BiConsumer;
import javafx.geometry.Pos;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.image.ImageView;
import javafx.scene.layout.HBox;

/** A chapter or caption with its time. */
final class CueCell extends ListCell<TimedText.Cue> {
    private final BiConsumer<ImageView, TimedText.Cue> picture;
    private final ImageView seen = new ImageView();
    private final Label time = new Label();
    private final Label text = new Label();
    private final HBox row = new HBox(8, time, text);

    /** @param picture puts what is seen in a cue into a view; null where none is shown */
    CueCell(BiConsumer<ImageView, TimedText.Cue> picture) {
        this.picture = picture;
        if (picture != null) {
            seen.setFitWidth(PublishStage.SEEN_WIDTH);
            seen.setFitHeight(PublishStage.SEEN_WIDTH * 9.0 / 16);
            row.getChildren().add(0, seen);
        }
        time.getStyleClass().add("small");
        time.setMinWidth(58);
        text.setWrapText(true);
        text.setMinWidth(0);
        row.setAlignment(picture == null ? Pos.TOP_LEFT : Pos.CENTER_LEFT);
        setMaxWidth(USE_PREF_SIZE);
    }

    @Override
    protected void updateItem(TimedText.Cue cue, boolean none) {
        super.updateItem(cue, none);
        setText(null);
        if (none || cue == null) {
            setGraphic(null);
            return;
        }
        if (!prefWidthProperty().isBound()) {
            prefWidthProperty().bind(getListView().widthProperty().subtract(24));
        }
        if (picture != null) {
            picture.accept(seen, cue);
        }
        time.setText(cue.span().start().toString());
        text.setText(cue.text().replace('\n', ' '));
        setGraphic(row);
    }
}
