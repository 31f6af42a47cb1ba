package app.nosegay.desktop.proof;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.Session;
import app.nosegay.files.AtomicFile;
import app.nosegay.plan.Interval;
import app.nosegay.proof.PickUps;
import app.nosegay.script.Wordings;
import app.nosegay.workout.Programme;
import java.io.File;
import java.io.IOException;
import java.util.function.Consumer;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.control.ListCell;
import javafx.scene.control.ListView;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Priority;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** What to record again, with the way to the Shoot stage, and as a run sheet of its own. */
final class PickUpsPage {
    private final Session session;
    private final Stage window;
    private final Consumer<String> shootFrom;
    private final ListView<Object> pickUps = new ListView<>();
    private final Button saveSheet = new Button(DesktopText.of("proof.proof-stage.save-as-a-run-sheet"));
    private Programme programme;

    /** @param shootFrom opens the Shoot stage at a segment */
    PickUpsPage(Session session, Stage window, Consumer<String> shootFrom) {
        this.session = session;
        this.window = window;
        this.shootFrom = shootFrom;
    }

    Region view() {
        saveSheet.getStyleClass().add("quiet");
        saveSheet.setId("save-pick-ups");
        saveSheet.setOnAction(e -> save());
        pickUps.setId("pick-ups");
        pickUps.setCellFactory(l -> new PickUpCell());
        pickUps.setPlaceholder(Labels.empty(DesktopText.of("proof.proof-stage.nothing-has-to-be-recorded")));
        VBox.setVgrow(pickUps, Priority.ALWAYS);
        return new VBox(8, saveSheet, Labels.small(DesktopText.of("proof.proof-stage.say-the-lines-in-one")), pickUps);
    }

    /** Gives how many there are. */
    int show(Programme now) {
        programme = now;
        PickUps wanted = programme.pickUps();
        pickUps.getItems().setAll(wanted.again());
        pickUps.getItems().addAll(wanted.lines());
        saveSheet.setDisable(wanted.again().isEmpty());
        return pickUps.getItems().size();
    }

    private void save() {
        File chosen = choose(DesktopText.of("proof.proof-stage.save-the-pick-ups-as"), "pick-ups.txt");
        if (chosen != null && session.exports().mayWrite(chosen.toPath())) {
            try {
                AtomicFile.write(chosen.toPath(), programme.pickUps().sheet(programme.timeline()));
                session.jobs().tell(DesktopText.of("proof.proof-stage.the-pick-ups-are-in", chosen));
            } catch (IOException e) {
                session.jobs().say(DesktopText.of("proof.proof-stage.cannot-be-written", chosen, e.getMessage()));
            }
        }
    }

    private File choose(String title, String name) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(title);
        chooser.setInitialFileName(name);
        return chooser.showSaveDialog(window);
    }

    /** Something to record again, with the way to the Shoot stage. */
    private final class PickUpCell extends ListCell<Object> {
        private final Label words = new Label();
        private final Button shoot = new Button(DesktopText.of("proof.proof-stage.shoot-from-here"));
        private final HBox row = new HBox(8, words, shoot);

        PickUpCell() {
            words.setWrapText(true);
            words.setMinWidth(0);
            words.setMaxWidth(Double.MAX_VALUE);
            HBox.setHgrow(words, Priority.ALWAYS);
            row.setAlignment(Pos.CENTER_LEFT);
            shoot.getStyleClass().add("quiet");
            shoot.setMinWidth(USE_PREF_SIZE);
            shoot.setTooltip(new Tooltip(DesktopText.of("proof.proof-stage.opens-the-shoot-stage-at")));
            shoot.setOnAction(e -> shootFrom.accept(interval(getItem()).first().id()));
            prefWidthProperty().bind(pickUps.widthProperty().subtract(24));
            setMaxWidth(USE_PREF_SIZE);
        }

        private static Interval interval(Object item) {
            return item instanceof PickUps.Line line ? line.interval() : ((PickUps.Again) item).interval();
        }

        @Override
        protected void updateItem(Object item, boolean none) {
            super.updateItem(item, none);
            setText(null);
            if (none || item == null) {
                setGraphic(null);
                return;
            }
            words.setText(item instanceof PickUps.Line line ? words(line) : words((PickUps.Again) item));
            setGraphic(row);
        }

        private static String words(PickUps.Line line) {
            String was = line.said().isEmpty() ? "" : DesktopText.of("proof.proof-stage.it-was", line.said());
            return DesktopText.of(
                    "proof.proof-stage.say-again-in",
                    line.say(),
                    line.at() == null ? "" : DesktopText.of("proof.proof-stage.at", line.at()),
                    line.interval().first().id(),
                    line.late().isPositive()
                            ? DesktopText.of(
                                    "proof.proof-stage.it-was-late", line.late().seconds())
                            : was);
        }

        private static String words(PickUps.Again again) {
            var s = again.interval().first();
            String what = Wordings.capital(s.move() == null ? s.kind().word() : s.move());
            return DesktopText.of(
                    "proof.proof-stage.film-again",
                    what,
                    s.id(),
                    again.interval().length(),
                    again.why());
        }
    }
}
