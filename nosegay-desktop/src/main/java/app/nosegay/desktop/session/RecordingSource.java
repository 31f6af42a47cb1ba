package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import java.io.File;
import java.util.function.Supplier;
import javafx.geometry.Pos;
import javafx.scene.control.Button;
import javafx.scene.control.Label;
import javafx.scene.layout.HBox;
import javafx.scene.layout.VBox;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** Where recordings come from, offered wherever one is missing: a file that is imported, or the practice camera. */
public final class RecordingSource {
    private final Session session;
    private final Supplier<Window> window;

    public RecordingSource(Session session, Supplier<Window> window) {
        this.session = session;
        this.window = window;
    }

    /** Takes are kept beside the workout, so it needs a place first. */
    private boolean hasPlace() {
        if (session.file().isEmpty()) {
            session.jobs().say(DesktopText.of("match.match-stage.save-the-workout-first-ctrl"));
        }
        return session.file().isPresent();
    }

    /** Has the practice camera film the plan. */
    public void film() {
        if (hasPlace()) {
            session.takes().film(System.nanoTime() & 0xffff);
        }
    }

    /** Asks for a recording and imports it. */
    public void bringIn() {
        if (!hasPlace()) {
            return;
        }
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("match.match-stage.bring-in-a-recording-2"));
        File chosen = chooser.showOpenDialog(window.get());
        if (chosen != null) {
            session.takes().bringIn(chosen.toPath());
        }
    }

    /** What stands in place of a stage that has no recording yet: why, and the ways to one; importing comes first. */
    public VBox none(String why) {
        Label heading = new Label(DesktopText.of("match.match-stage.no-recording-yet"));
        heading.getStyleClass().add("heading");
        Label text = new Label(why);
        text.getStyleClass().add("empty");
        text.setMaxWidth(560);
        Button bring = Buttons.act(DesktopText.of("match.match-stage.bring-in-a-recording"), this::bringIn);
        Button film = Buttons.quiet(DesktopText.of("match.match-stage.film-with-the-simulated-camera"), this::film);
        film.setId("film");
        VBox box = new VBox(16, heading, text, new HBox(10, bring, film));
        box.setAlignment(Pos.CENTER_LEFT);
        box.setMaxWidth(600);
        return box;
    }
}
