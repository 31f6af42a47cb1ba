package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.List;
import javafx.scene.control.ComboBox;
import javafx.scene.layout.Region;

/** The segment a run starts from. */
final class StartFrom {
    private final ComboBox<String> box = new ComboBox<>();
    private List<Segment> segments = List.of();

    StartFrom() {
        box.setId("shoot-from");
        box.setAccessibleText(DesktopText.of("shoot.shoot-stage.start-from"));
        box.setMaxWidth(Double.MAX_VALUE);
    }

    Region view() {
        return box;
    }

    /** Index of the segment, from 0. */
    int index() {
        return Math.max(0, box.getSelectionModel().getSelectedIndex());
    }

    /** Offers the segments of a plan; the same place stays chosen. */
    void show(Timeline timeline) {
        int chosen = index();
        segments = timeline.segments();
        box.getItems()
                .setAll(segments.stream().map(s -> s.start() + "  " + title(s)).toList());
        select(chosen);
    }

    /** Chooses a segment by its place; the last where there are fewer. */
    void select(int index) {
        if (!segments.isEmpty()) {
            box.getSelectionModel().select(Math.min(index, segments.size() - 1));
        }
    }

    void select(String id) {
        for (int i = 0; i < segments.size(); i++) {
            if (segments.get(i).id().equals(id)) {
                select(i);
            }
        }
    }

    private static String title(Segment s) {
        String what = s.move() == null ? s.block().name() + " " + s.kind().word() : s.move();
        String round = s.round() == null ? "" : DesktopText.of("shoot.shoot-stage.round", s.round());
        return what + (s.kind().isMoving() ? "" : " (" + s.kind().word() + ")") + round;
    }
}
