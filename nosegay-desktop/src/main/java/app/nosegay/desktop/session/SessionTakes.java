package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.jobs.CutOffRecordings;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.JoinJob;
import app.nosegay.jobs.LateTake;
import app.nosegay.jobs.ListenJob;
import app.nosegay.jobs.LogbookFile;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.SecondCameras;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.logbook.Logbook;
import app.nosegay.media.MediaCheck;
import app.nosegay.media.Progress;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;

/** How takes come to the open workout: filmed by the practice camera, imported, joined, or with words heard in them. */
public final class SessionTakes {
    private final Session session;

    SessionTakes(Session session) {
        this.session = session;
    }

    /** The workout a recording is made for: it gets the take whatever is open when that is done. */
    public final class Recipient {
        private final long opened = session.opened();
        private final Path file = session.file().orElse(null);
        private final Path folder = session.folder();

        private void take(Workout.TakeRef take) {
            if (session.isOpen(opened)) {
                addTake(MediaRelinker.toFolder(take, folder, session.folder()));
            } else if (LateTake.isPossible(file)) {
                session.jobs()
                        .run(
                                DesktopText.of("session.takes.adding-late", take.id(), file.getFileName()),
                                progress -> {
                                    LateTake.add(file, take);
                                    return DesktopText.of("session.takes.added-late", take.file(), file.getFileName());
                                },
                                session.notices()::say);
            } else {
                session.notices().say(DesktopText.of("session.takes.lies-there", Media.resolved(folder, take.file())));
            }
        }
    }

    /** Has the practice camera film the plan; the take is added when it is done. */
    public void film(long seed) {
        Workout workout = session.workout();
        Recipient recipient = new Recipient();
        session.jobs()
                .run(
                        DesktopText.of("session.session.filming-with-the-simulated-camera"),
                        progress -> Demo.film(
                                workout,
                                recipient.folder,
                                seed,
                                EnumSet.of(Trouble.LATE_START, Trouble.CLOCK_RATE),
                                GuideVoice.loaded(),
                                progress),
                        filmed ->
                                recipient.take(filmed.takes().get(filmed.takes().size() - 1)));
    }

    /** Brings a recording in, with the transcript and the shoot log that lie beside it under its name. */
    public void bringIn(Path movie) {
        bringIn(movie, new Recipient());
    }

    /** Brings a recording in for the workout it was begun for. */
    public void bringIn(Path movie, Recipient recipient) {
        String id = session.workout().nextTake();
        session.jobs()
                .run(
                        DesktopText.of("session.session.bringing-in", movie.getFileName()),
                        progress -> {
                            double seconds = MediaCheck.check(movie).length().seconds();
                            return Media.reference(
                                    recipient.folder,
                                    id,
                                    movie,
                                    seconds,
                                    Media.transcriptBeside(movie),
                                    Media.logBeside(movie));
                        },
                        take -> {
                            CutOffRecordings.ended(movie);
                            recipient.take(take);
                        });
    }

    /** Offers the recordings in {@code folder} that were going on, or had been made and not brought in, when Nosegay ended. */
    void offerCutOff(Path folder) {
        Collection<Path> known = session.media().files(session.workout()).values();
        for (CutOffRecordings.CutOff cutOff : CutOffRecordings.in(folder)) {
            if (cutOff.finished() && known.contains(cutOff.movie())) {
                CutOffRecordings.ended(cutOff.movie());
                continue;
            }
            String name = cutOff.movie().getFileName().toString();
            String length = Length.ofSeconds(cutOff.seconds()).clock();
            Notice.Way bring = new Notice.Way(DesktopText.of("session.takes.import-it"), () -> keep(cutOff));
            Notice.Way later = new Notice.Way(DesktopText.of("session.takes.not-now"), () -> {});
            Notice.Way never = new Notice.Way(
                    DesktopText.of("session.takes.leave-out"), () -> CutOffRecordings.ended(cutOff.movie()));
            if (cutOff.finished()) {
                session.notices()
                        .ofWorkout(DesktopText.of("session.takes.not-in-it", name, length), bring, later, never);
            } else {
                session.notices().ofWorkout(DesktopText.of("session.takes.cut-off", name, length), bring, later);
            }
        }
    }

    private void keep(CutOffRecordings.CutOff cutOff) {
        try {
            bringIn(CutOffRecordings.keep(cutOff));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
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
                            read();
                        });
    }

    /** Lays a recording under another one, as the second camera of the same run. */
    public void secondCamera(String take, String of) {
        Workout before = session.workout();
        List<TakeEvidence> evidence = session.media().evidence();
        session.jobs()
                .run(
                        DesktopText.of("session.takes.listening-to-both"),
                        progress -> SecondCameras.marked(before, evidence, take, of),
                        marked -> session.apply(
                                DesktopText.of("session.takes.second-camera", take, of),
                                session.workout().withMatching(marked.matching())));
    }

    /** Listens for the script in the takes that came without a transcript, in the background. */
    public void listen() {
        Workout before = session.workout();
        Programme matched = session.programme().get();
        Path folder = session.folder();
        long of = session.opened();
        session.jobs()
                .run(
                        DesktopText.of("session.session.listening-for-the-script"),
                        progress -> ListenJob.listen(before, matched, folder, progress),
                        heard -> {
                            if (!session.isOpen(of)
                                    || !session.workout().takes().equals(before.takes())) {
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
                                read();
                            }
                        });
    }

    /** Reads the takes of the workout that are not read yet. */
    public void read() {
        Workout before = session.workout();
        Path folder = session.folder();
        long of = session.opened();
        if (before.takes().isEmpty()) {
            session.media(WorkoutMedia.none(folder));
            return;
        }
        session.jobs()
                .run(
                        DesktopText.of("session.session.reading-the-recordings"),
                        progress -> found(before, folder, progress),
                        found -> {
                            if (session.isOpen(of)) {
                                show(before, found);
                            }
                        });
    }

    private void show(Workout before, Found found) {
        WorkoutMedia media = found.media();
        if (!found.workout().equals(before)) {
            session.apply(
                    DesktopText.of("session.session.recordings-found-again"),
                    session.workout()
                            .withTakes(
                                    found.workout().takes(), session.workout().pins()));
        }
        // A recording made by a camera of its own gets the shoot log whose run number its tones carry.
        Workout logged = media.withRecognisedLogs(session.workout());
        if (!logged.equals(session.workout())) {
            session.apply(DesktopText.of("session.session.shoot-log-recognised-by-its"), logged);
            media = media.withLogs(logged);
        }
        session.media(media);
        session.jobs().say(String.join(". ", media.notices(found.workout())));
    }

    /** A workout whose recordings were looked for where they may have been moved to, and what was read from them. */
    private record Found(Workout workout, WorkoutMedia media) {}

    private static Found found(Workout workout, Path folder, Progress progress) throws IOException {
        Workout now = MediaRelinker.foundAgain(workout, folder);
        return new Found(now, WorkoutMedia.read(now, folder, progress));
    }

    private void addTake(Workout.TakeRef take) {
        session.apply(
                DesktopText.of("session.session.add", take.id()),
                session.workout().withTake(take));
        read();
        logTake(take);
    }

    /** A line in the logbook; a logbook that cannot be written is no reason to lose a take. */
    private void logTake(Workout.TakeRef take) {
        String title = session.programme().get() == null
                ? ""
                : session.programme().get().timeline().sheet().header().title();
        String text = take.id() + ", " + Length.ofSeconds(take.seconds()).clock() + ", " + take.file();
        try {
            Logbook.Entry entry = new Logbook.Entry(LocalDate.now().toString(), Logbook.Kind.TAKE, title, text);
            LogbookFile.change(l -> l.with(entry));
        } catch (IOException e) {
            session.jobs().say(e.getMessage());
        }
    }
}
