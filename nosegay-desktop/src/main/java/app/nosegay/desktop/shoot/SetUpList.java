package app.nosegay.desktop.shoot;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.PrintJob;
import app.nosegay.logbook.Logbook;
import app.nosegay.shoot.Extreme;
import app.nosegay.shoot.SetUp;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.function.Consumer;
import javafx.scene.control.Button;
import javafx.scene.control.CheckBox;
import javafx.scene.control.Label;
import javafx.scene.control.ScrollPane;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** What has to be ready before filming, to be ticked off. */
final class SetUpList {
    /** More than this nobody reads before filming. */
    private static final int MOST_LESSONS = 5;

    private final VBox list = new VBox(6);
    private final Session session;
    private final FrameTrial trial;
    private final Button tryFrame;
    /** What is ready, by its words; it stays so while the plan is changed. */
    private final Set<String> ticked = new HashSet<>();

    private long opened;

    /**
     * @param show shows a page in place of this one
     * @param back shows this one again
     */
    SetUpList(Session session, Consumer<Region> show, Runnable back) {
        this.session = session;
        list.setId("set-up-list");
        trial = new FrameTrial(session, show, this::tick, back);
        tryFrame = Buttons.quiet(
                DesktopText.of("shoot.shoot-stage.try-frame"),
                "try-frame",
                () -> trial.choose(list.getScene().getWindow()));
    }

    void tryFrame(Path clip) {
        trial.look(clip);
    }

    Region view() {
        Label heading = new Label(DesktopText.of("shoot.shoot-stage.before-you-film"));
        heading.getStyleClass().add("heading");
        ScrollPane scroll = new ScrollPane(list);
        scroll.setFitToWidth(true);
        scroll.getStyleClass().add("plain-scroll");
        VBox.setVgrow(scroll, Priority.ALWAYS);
        Button print = Buttons.quiet(
                DesktopText.of("shoot.shoot-stage.print-the-set-up-sheet"), "print-set-up", () -> session.exports()
                        .print(PrintJob.Form.SET_UP_PDF, list.getScene().getWindow()));
        VBox view = new VBox(10, heading, scroll, print);
        view.getStyleClass().add("stage");
        return view;
    }

    void show(Programme now) {
        if (!session.isOpen(opened)) {
            ticked.clear();
            opened = session.opened();
        }
        list.getChildren().clear();
        if (now.timeline().segments().isEmpty()) {
            list.getChildren().add(Labels.empty(DesktopText.of("shoot.shoot-stage.write-a-run-sheet-in")));
        } else {
            fill(now);
        }
    }

    /** Ticks what was seen to fit into the frame. */
    private void tick(Set<Extreme> done) {
        done.forEach(e -> ticked.add(e.text()));
        show(session.programme().get());
    }

    private void fill(Programme now) {
        SetUp setUp = SetUp.of(now.timeline(), now.cues(), now.report().gear(), Libraries.current());
        part(DesktopText.of("shoot.shoot-stage.learnt-at-earlier-shoots"), lessons());
        part(
                DesktopText.of("shoot.shoot-stage.gear-in-order-of-use"),
                setUp.gear().isEmpty() ? List.of(DesktopText.of("shoot.shoot-stage.none-needed")) : setUp.gear());
        part(DesktopText.of("shoot.shoot-stage.on-the-floor"), setUp.floor());
        part(
                DesktopText.of("shoot.shoot-stage.test-frame-does-it-hold"),
                setUp.extremes().stream().map(Extreme::text).toList());
        list.getChildren().add(tryFrame);
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
            box.setSelected(ticked.contains(item));
            box.selectedProperty().addListener((o, was, is) -> {
                if (is) {
                    ticked.add(item);
                } else {
                    ticked.remove(item);
                }
            });
            list.getChildren().add(box);
        }
    }
}
