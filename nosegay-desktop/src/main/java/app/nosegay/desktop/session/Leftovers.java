package app.nosegay.desktop.session;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.jobs.CutOffRecordings;
import app.nosegay.jobs.RunMarker;
import app.nosegay.jobs.UnsavedWorkouts;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.time.Length;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import javafx.application.Platform;

/** What earlier windows left behind: recordings that were cut off, workouts that were never saved, an end that was none. */
public final class Leftovers {
    /** More buttons than this are no choice any more; the others come at the next start. */
    private static final int MOST_OFFERED = 3;

    private final Session session;

    public Leftovers(Session session) {
        this.session = session;
    }

    /** Looks beside the window and offers what was found. */
    public void offer() {
        Thread look = new Thread(
                () -> {
                    List<CutOffRecordings.CutOff> recordings = CutOffRecordings.anywhere();
                    List<UnsavedWorkouts.Unsaved> workouts = UnsavedWorkouts.left();
                    List<String> crashes = RunMarker.left();
                    Platform.runLater(() -> {
                        recordings.forEach(this::recording);
                        workouts(workouts);
                        crashes.forEach(this::crash);
                    });
                },
                "leftovers");
        look.setDaemon(true);
        look.start();
    }

    private void recording(CutOffRecordings.CutOff cutOff) {
        Path folder = cutOff.movie().getParent();
        List<Notice.Way> ways = new ArrayList<>();
        for (Path workout : workoutsIn(folder)) {
            ways.add(new Notice.Way(
                    DesktopText.of("session.leftovers.open", workout.getFileName()), () -> session.open(workout)));
        }
        String name = cutOff.movie().getFileName().toString();
        String length = Length.ofSeconds(cutOff.seconds()).clock();
        String said = cutOff.finished()
                ? DesktopText.of("session.leftovers.finished", name, folder, length)
                : DesktopText.of("session.leftovers.recording", name, folder, length);
        session.notices().say(said, ways.toArray(Notice.Way[]::new));
    }

    private static List<Path> workoutsIn(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.toString().endsWith(WorkoutFile.ENDING)
                            && !f.getFileName().toString().startsWith("."))
                    .sorted()
                    .limit(MOST_OFFERED)
                    .toList();
        } catch (IOException e) {
            return List.of();
        }
    }

    private void workouts(List<UnsavedWorkouts.Unsaved> left) {
        if (left.isEmpty()) {
            return;
        }
        session.notices()
                .say(
                        DesktopText.of("session.leftovers.unsaved", left.size()),
                        left.stream()
                                .limit(MOST_OFFERED)
                                .map(w -> new Notice.Way(
                                        DesktopText.of("session.leftovers.open", w.title()),
                                        () -> session.goOn(w.file())))
                                .toArray(Notice.Way[]::new));
    }

    private void crash(String when) {
        session.notices()
                .say(
                        DesktopText.of("session.leftovers.crash", when),
                        session.notices().logFolder());
    }
}
