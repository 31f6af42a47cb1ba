package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.jobs.WorkoutFile;
import java.io.File;
import java.nio.file.Path;
import javafx.stage.FileChooser;
import javafx.stage.Stage;

/** Asks which workout to open, and under which name to save. */
final class WorkoutChooser {
    private final Session session;
    private final Stage window;

    WorkoutChooser(Session session, Stage window) {
        this.session = session;
        this.window = window;
    }

    void open() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("shell.shell.open-a-workout"));
        chooser.getExtensionFilters()
                .add(new FileChooser.ExtensionFilter(DesktopText.of("shell.shell.workouts"), "*" + WorkoutFile.ENDING));
        File chosen = chooser.showOpenDialog(window);
        if (chosen != null) {
            session.open(chosen.toPath());
        }
    }

    void save() {
        if (session.file().isPresent()) {
            session.save(null);
        } else {
            saveAs();
        }
    }

    void saveAs() {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("shell.shell.save-the-workout"));
        chooser.setInitialFileName(DesktopText.of("shell.shell.workout", WorkoutFile.ENDING));
        File chosen = chooser.showSaveDialog(window);
        if (chosen != null) {
            String path = chosen.getPath();
            session.save(Path.of(path.endsWith(WorkoutFile.ENDING) ? path : path + WorkoutFile.ENDING));
        }
    }
}
