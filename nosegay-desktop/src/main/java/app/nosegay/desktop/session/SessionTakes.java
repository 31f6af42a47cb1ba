package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.JoinJob;
import app.nosegay.jobs.ListenJob;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.Media;
import app.nosegay.logbook.Logbook;
import app.nosegay.media.MediaInput;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.EnumSet;

/** How takes come to the open workout: filmed by the practice camera, imported, joined, or with words heard in them. */
public final class SessionTakes {
    private final Session session;

    SessionTakes(Session session) {
        this.session = session;
    }

    /** Has the practice camera film the plan; the take is added when it is done. */
    public void film(long seed) {
        Workout workout = session.workout();
        Path folder = session.folder();
        session.jobs()
                .run(
                        DesktopText.of("session.session.filming-with-the-simulated-camera"),
                        progress -> Demo.film(
                                workout,
                                folder,
                                seed,
                                EnumSet.of(Trouble.LATE_START, Trouble.CLOCK_RATE),
                                new GuideVoice(),
                                progress),
                        filmed -> addTake(filmed.takes().get(filmed.takes().size() - 1)));
    }

    /** Brings a recording in, with the transcript and the shoot log that lie beside it under its name. */
    public void bringIn(Path movie) {
        Path folder = session.folder();
        String id = session.workout().nextTake();
        session.jobs()
                .run(
                        DesktopText.of("session.session.bringing-in", movie.getFileName()),
                        progress -> {
                            double seconds = MediaInput.probe(movie).length().seconds();
                            return Media.reference(
                                    folder, id, movie, seconds, Media.transcriptBeside(movie), Media.logBeside(movie));
                        },
                        this::addTake);
    }

    /** Makes one take of two that a camera cut apart. */
    public void join(String first, String second) {
        Workout before = session.workout();
        Programme matched = session.programme().get();
        Path folder = session.folder();
        session.jobs()
                .run(
                        DesktopText.of("session.session.joining-and", first, second),
                        progress -> JoinJob.join(before, matched, folder, first, second, progress),
                        joined -> {
                            if (!session.workout().equals(before)) {
                                session.jobs().say(DesktopText.of("session.session.the-workout-was-changed-while"));
                                return;
                            }
                            session.apply(DesktopText.of("session.session.join-and", first, second), joined);
                            session.readTakes();
                        });
    }

    /** Listens for the script in the takes that came without a transcript, in the background. */
    public void listen() {
        Workout before = session.workout();
        Programme matched = session.programme().get();
        Path folder = session.folder();
        session.jobs()
                .run(
                        DesktopText.of("session.session.listening-for-the-script"),
                        progress -> ListenJob.listen(before, matched, folder, progress),
                        heard -> {
                            if (!session.workout().takes().equals(before.takes())) {
                                session.jobs().say(DesktopText.of("session.session.the-takes-were-changed-while"));
                            } else if (heard.equals(before)) {
                                session.jobs().say(DesktopText.of("session.session.nothing-of-the-script-was"));
                            } else {
                                session.apply(
                                        DesktopText.of("session.session.listen-for-the-script"),
                                        session.workout()
                                                .withTakes(
                                                        heard.takes(),
                                                        session.workout().pins()));
                                session.readTakes();
                            }
                        });
    }

    private void addTake(Workout.TakeRef take) {
        session.apply(
                DesktopText.of("session.session.add", take.id()),
                session.workout().withTake(take));
        session.readTakes();
        logTake(take);
    }

    /** A line in the logbook; a logbook that cannot be written is no reason to lose a take. */
    private void logTake(Workout.TakeRef take) {
        String title = session.programme().get() == null
                ? ""
                : session.programme().get().timeline().sheet().header().title();
        String text = take.id() + ", " + Length.ofSeconds(take.seconds()).clock() + ", " + take.file();
        try {
            LogbookFile.keep(LogbookFile.read()
                    .with(new Logbook.Entry(LocalDate.now().toString(), Logbook.Kind.TAKE, title, text)));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }
}
