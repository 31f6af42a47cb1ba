package app.nosegay.desktop.shell;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.desktop.session.Session;
import app.nosegay.desktop.start.StartScreen;
import app.nosegay.jobs.PlanFrom;
import app.nosegay.jobs.WorkoutFile;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import javafx.scene.Node;
import javafx.scene.input.DragEvent;
import javafx.scene.input.TransferMode;

/** What becomes of a file that is dropped on the window: a workout is opened, a video imported, words become a plan. */
final class FileDrop {
    private final Session session;
    private final StartScreen start;
    private final Runnable showStart;
    private final Runnable showPlan;
    private final Runnable showMatch;

    FileDrop(Session session, StartScreen start, Runnable showStart, Runnable showPlan, Runnable showMatch) {
        this.session = session;
        this.start = start;
        this.showStart = showStart;
        this.showPlan = showPlan;
        this.showMatch = showMatch;
    }

    void install(Node node) {
        node.addEventHandler(DragEvent.DRAG_OVER, e -> {
            if (e.getDragboard().hasFiles()) {
                e.acceptTransferModes(TransferMode.COPY);
                e.consume();
            }
        });
        node.addEventHandler(DragEvent.DRAG_DROPPED, e -> {
            if (e.getDragboard().hasFiles()) {
                for (File file : e.getDragboard().getFiles()) {
                    take(file.toPath());
                }
                e.setDropCompleted(true);
                e.consume();
            }
        });
    }

    /** Takes a file for what it is; with a plan open a video is a recording of it, without one an old video to plan from. */
    void take(Path file) {
        boolean planned = !session.workout().sheet().isBlank();
        if (file.getFileName().toString().endsWith(WorkoutFile.ENDING)) {
            session.open(file);
            showPlan.run();
        } else if (PlanFrom.isMovie(file) && planned) {
            session.takes().bringIn(file);
            showMatch.run();
        } else if (PlanFrom.isMovie(file) || PlanFrom.isTranscript(file)) {
            showStart.run();
            start.fromVideo(file);
        } else if (PlanFrom.isText(file)) {
            words(file);
        } else {
            session.jobs().say(DesktopText.of("shell.file-drop.not-known", file.getFileName()));
        }
    }

    private void words(Path file) {
        try {
            String text = PlanFrom.text(file);
            showStart.run();
            start.fromNotes(text);
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }
}
