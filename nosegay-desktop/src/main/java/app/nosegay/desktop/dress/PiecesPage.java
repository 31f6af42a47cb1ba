package app.nosegay.desktop.dress;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.dress.DressNotes;
import java.util.EnumMap;
import java.util.Map;
import javafx.scene.control.CheckBox;
import javafx.scene.layout.FlowPane;
import javafx.scene.layout.Region;

/** Which kinds of pieces are shown. */
final class PiecesPage {
    private final Map<DressNotes.Extra, CheckBox> boxes = new EnumMap<>(DressNotes.Extra.class);
    private final FlowPane view = new FlowPane(22, 10);

    PiecesPage(Session session) {
        for (DressNotes.Extra extra : DressNotes.Extra.values()) {
            CheckBox box = new CheckBox(
                    extra.words().substring(0, 1).toUpperCase() + extra.words().substring(1));
            box.setId("shows-" + extra.name().toLowerCase().replace('_', '-'));
            box.setMinWidth(210);
            box.setOnAction(e -> session.apply(
                    (box.isSelected()
                                    ? DesktopText.of("dress.pieces-page.show")
                                    : DesktopText.of("dress.pieces-page.leave-out"))
                            + extra.words(),
                    session.workout().withDressing(session.workout().dressing().with(extra, box.isSelected()))));
            boxes.put(extra, box);
            view.getChildren().add(box);
        }
    }

    Region view() {
        return view;
    }

    void show(DressNotes notes) {
        boxes.forEach((extra, box) -> box.setSelected(notes.shows(extra)));
    }
}
