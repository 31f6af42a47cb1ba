package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.FailureLog;
import app.nosegay.jobs.RecentWorkouts;
import app.nosegay.jobs.UnsavedWorkouts;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Difference;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.util.Optional;

/** How a workout is opened: from its file, from what was never saved, with what was changed before Nosegay ended. */
final class Openings {
    private final Session session;

    Openings(Session session) {
        this.session = session;
    }

    /** The workout that was just left was never saved: it is kept, and one click brings it back. */
    void offerAgain(Path kept) {
        session.notices()
                .say(
                        DesktopText.of("session.session.kept-unsaved"),
                        new Notice.Way(DesktopText.of("session.session.open-it-again"), () -> goOn(kept)));
    }

    /** Opens a workout file; changes an earlier session could not save come back as a step that can be undone. */
    void open(Path file) {
        Path path = file.toAbsolutePath().normalize();
        session.jobs()
                .run(
                        DesktopText.of("session.session.opening", path.getFileName()),
                        progress -> WorkoutFile.read(path),
                        read -> session.keeping().leave(() -> {
                            Optional<Path> unsaved = session.keeping().unsaved();
                            Optional<Workout> changed = session.keeping().opened(path, read);
                            session.start(read.workout());
                            unsaved.ifPresent(this::offerAgain);
                            changed.ifPresent(c -> recover(read.workout(), c));
                            session.takes().read();
                            session.takes().offerCutOff(session.folder());
                            remember(path);
                        }));
    }

    /** The first screen shows it from now on. */
    void remember(Path file) {
        session.jobs()
                .beside(
                        DesktopText.of("session.session.opening", file.getFileName()),
                        () -> {
                            try {
                                RecentWorkouts.touch(file);
                            } catch (IOException e) {
                                FailureLog.note("recent", e);
                            }
                            return file;
                        },
                        done -> {});
    }

    /** Opens a workout that was never saved, to go on with it. */
    void goOn(Path unsaved) {
        session.jobs()
                .run(
                        DesktopText.of("session.session.opening", unsaved.getFileName()),
                        progress -> WorkoutFile.open(unsaved),
                        workout -> {
                            try {
                                UnsavedWorkouts.Place place = UnsavedWorkouts.again(unsaved);
                                session.leaving(() -> session.keeping().goOn(place), workout);
                                session.takes().read();
                            } catch (IOException e) {
                                session.jobs().say(e.getMessage());
                            }
                        });
    }

    /** Brings back what was changed before Nosegay ended without saving, and lets it be chosen or not. */
    private void recover(Workout saved, Workout changed) {
        String what = String.join(", ", Difference.between(saved, changed));
        session.recovered(DesktopText.of("session.session.changes-recovered-from-the-last"), changed);
        session.showState(DesktopText.of("session.session.changes-of-the-last-session"));
        session.notices()
                .ofWorkout(
                        DesktopText.of("session.session.nosegay-ended-last-time-before", what),
                        new Notice.Way(DesktopText.of("session.session.keep-the-changes"), () -> session.save(null)),
                        new Notice.Way(DesktopText.of("session.session.back-to-what-was-saved"), () -> {
                            session.undo();
                            session.save(null);
                        }));
    }
}
