package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.PackJob;
import app.nosegay.jobs.PrintJob;
import app.nosegay.jobs.ProtectedFiles;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.File;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import javafx.beans.property.ReadOnlyObjectProperty;
import javafx.stage.FileChooser;
import javafx.stage.Window;

/** What is written beside the workout's own file: printed sheets, and the workout with its media in one folder. */
public final class SessionExports {
    /** What is written, and who tells of it. */
    interface Source {
        Workout workout();

        Path folder();

        Optional<Path> file();

        ReadOnlyObjectProperty<Programme> programme();

        Jobs jobs();

        Notices notices();

        void showState(String words);
    }

    private final Source session;

    SessionExports(Source session) {
        this.session = session;
    }

    /** Copies the workout and all it refers to into {@code target}; files from outside its folder are shown and asked about first. */
    public void pack(Path target) {
        try {
            List<Path> outside = PackJob.outside(session.workout(), session.folder());
            if (outside.isEmpty()) {
                pack(target, false);
                return;
            }
            String names = outside.stream().map(Path::toString).collect(Collectors.joining(", "));
            session.notices()
                    .ofWorkout(
                            DesktopText.of("session.exports.lie-outside", outside.size(), names),
                            new Notice.Way(DesktopText.of("session.exports.collect-all"), () -> pack(target, true)),
                            new Notice.Way(DesktopText.of("session.exports.do-not-collect"), () -> {}));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }

    private void pack(Path target, boolean withOutside) {
        Workout of = session.workout();
        Path from = session.folder();
        String name = session.file().map(f -> f.getFileName().toString()).orElse("workout.nosegay.json");
        session.jobs()
                .run(
                        DesktopText.of("session.session.packing"),
                        progress -> PackJob.into(of, from, target, name, withOutside, progress),
                        packed -> session.jobs()
                                .tell(DesktopText.of(
                                        "session.session.packed-into-open-there", target, packed.getFileName())));
    }

    /** Writes the plan or its script to a file the user chooses. */
    public void print(PrintJob.Form form, Window window) {
        FileChooser chooser = new FileChooser();
        chooser.setTitle(DesktopText.of("session.session.write", form.file()));
        chooser.setInitialFileName(form.file());
        File chosen = chooser.showSaveDialog(window);
        if (chosen != null) {
            print(form, chosen.toPath());
        }
    }

    /** Refuses a file chosen to be written that the workout is made of: its own file, its recordings, its music. */
    public boolean mayWrite(Path target) {
        try {
            session.file()
                    .map(new ProtectedFiles()::with)
                    .orElseGet(ProtectedFiles::new)
                    .with(session.workout(), session.folder())
                    .check(target);
            return true;
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
            return false;
        }
    }

    /** Writes the plan or its script to {@code target}; the user has been asked about replacing it. */
    public void print(PrintJob.Form form, Path target) {
        if (!mayWrite(target)) {
            return;
        }
        Programme now = session.programme().get();
        session.jobs()
                .run(
                        DesktopText.of("session.session.writing", target.getFileName()),
                        progress -> PrintJob.write(now, form, target),
                        written -> session.showState(DesktopText.of("session.session.wrote", written)));
    }
}
