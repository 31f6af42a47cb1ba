package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.logbook.Logbook;
import app.nosegay.shoot.SetUp;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import javafx.scene.control.CheckBox;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What has to be ready before filming, to be ticked off. */
final class SetUpList {
    /** More than this nobody reads before filming. */
    private static final int MOST_LESSONS = 5;

    private final VBox list = new VBox(6);

    Region view() {
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        return scroll;
    }

    void show(Programme now) {
        list.getChildren().clear();
        if (now.timeline().segments().isEmpty()) {
            list.getChildren().add(Labels.empty(DesktopText.of("shoot.shoot-stage.write-a-run-sheet-in")));
        } else {
            fill(now);
        }
    }

    private void fill(Programme now) {
        SetUp setUp = SetUp.of(now.timeline(), now.cues(), now.report().gear(), Libraries.current());
        part(DesktopText.of("shoot.shoot-stage.learnt-at-earlier-shoots"), lessons());
        part(
                DesktopText.of("shoot.shoot-stage.gear-in-order-of-use"),
                setUp.gear().isEmpty() ? List.of(DesktopText.of("shoot.shoot-stage.none-needed")) : setUp.gear());
        part(DesktopText.of("shoot.shoot-stage.on-the-floor"), setUp.floor());
        part(DesktopText.of("shoot.shoot-stage.test-frame-does-it-hold"), setUp.extremes());
        part(DesktopText.of("shoot.shoot-stage.light-sound-safety"), setUp.checks());
        List<String> angles = new ArrayList<>();
        setUp.angles().forEach((move, angle) -> {
            if (!angle.equals("front")) {
                angles.add(DesktopText.of("shoot.shoot-stage.from-the", move, angle));
            }
        });
        part(DesktopText.of("shoot.shoot-stage.best-seen-not-from-the"), angles);
    }

    /** The newest lessons of the logbook. */
    private static List<String> lessons() {
        try {
            return LogbookFile.read().of(Logbook.Kind.LESSON).stream()
                    .limit(MOST_LESSONS)
                    .map(Logbook.Entry::text)
                    .toList();
        } catch (IOException e) {
            return List.of(e.getMessage());
        }
    }

    private void part(String title, List<String> items) {
        if (items.isEmpty()) {
            return;
        }
        list.getChildren().add(Labels.subheading(title));
        for (String item : items) {
            CheckBox box = new CheckBox(item);
            box.setWrapText(true);
            list.getChildren().add(box);
        }
    }
}
