package app.nosegay.desktop.publish;

import app.nosegay.desktop.controls.Buttons;
import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.controls.Labels;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.ShorterVersion;
import app.nosegay.workout.CutDown;
import app.nosegay.workout.Programme;
import java.nio.file.Path;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import javafx.scene.control.Button;
import javafx.scene.control.Tooltip;
import javafx.scene.layout.HBox;
import javafx.scene.layout.Region;
import javafx.scene.layout.VBox;

/** Shorter versions of what was filmed, each a workout of its own that opens. */
final class ShorterVersions {
    /** The name of the thread on which they are looked for. */
    private static final String SEARCH = "shorter";

    private final Session session;
    private final Map<Integer, Button> buttons = new HashMap<>();
    private final VBox view;
    private Programme programme;

    ShorterVersions(Session session) {
        this.session = session;
        HBox lengths = new HBox(4);
        for (int minutes : ShorterVersion.MINUTES) {
            Button make = Buttons.quiet(DesktopText.of("publish.outputs-panel.at-most", minutes), () -> make(minutes));
            make.setId("shorter-" + minutes);
            make.setTooltip(new Tooltip(DesktopText.of("publish.outputs-panel.shorter-tip")));
            lengths.getChildren().add(make);
            buttons.put(minutes, make);
        }
        view = new VBox(2, Labels.subheading(DesktopText.of("publish.outputs-panel.shorter-versions")), lengths);
        view.managedProperty().bind(view.visibleProperty());
    }

    Region view() {
        return view;
    }

    void show(Programme now) {
        programme = now;
        view.setVisible(false);
        session.jobs().beside(SEARCH, () -> possibleLengths(now), lengths -> {
            if (programme == now) {
                buttons.forEach((minutes, make) -> make.setDisable(!lengths.contains(minutes)));
                view.setVisible(!lengths.isEmpty());
            }
        });
    }

    /** Every choice of blocks is tried for each length: too much for the interface thread where there are many. */
    private static List<Integer> possibleLengths(Programme of) {
        return ShorterVersion.MINUTES.stream()
                .filter(minutes -> CutDown.of(of, minutes).isPresent())
                .toList();
    }

    private void make(int minutes) {
        Path workout = session.file().orElse(null);
        if (workout == null) {
            session.jobs().say(DesktopText.of("publish.outputs-panel.save-first"));
            return;
        }
        Programme of = programme;
        Path in = session.folder();
        session.jobs()
                .run(
                        DesktopText.of("publish.outputs-panel.making-a-shorter-version"),
                        progress -> ShorterVersion.write(of, minutes, in, ShorterVersion.beside(workout, minutes)),
                        made -> {
                            session.open(made.file());
                            session.notices()
                                    .say(DesktopText.of(
                                            "publish.outputs-panel.shorter-made",
                                            made.version().length().clock(),
                                            String.join(", ", made.version().leftOut()),
                                            made.muted().size(),
                                            made.becomesFalse().size()));
                        });
    }
}
