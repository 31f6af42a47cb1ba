package app.nosegay.jobs;

import app.nosegay.files.InputFile;
import app.nosegay.library.MoveLibrary;
import app.nosegay.logbook.Logbook;
import app.nosegay.media.Progress;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.proof.PickUps;
import app.nosegay.series.LastPromise;
import app.nosegay.series.LastTime;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/** The workouts that were open lately, the last one first: one path a line in the settings folder. */
public final class RecentWorkouts {
    private static final int MOST = 12;
    /** Matching a workout again takes half a second: as many as one remembers. */
    private static final int MOST_LOOKED_AT = 4;

    private static final SharedFile<List<String>> FILE = new SharedFile<>(
            "recent.txt",
            InputFile.TEXT,
            List.of(),
            text -> text.lines().filter(l -> !l.isBlank()).toList(),
            paths -> String.join("\n", paths) + "\n");

    private RecentWorkouts() {}

    /** How far a workout has come. */
    public enum Stage {
        PLANNED,
        FILMED,
        MATCHED,
        PUBLISHED
    }

    /**
     * A workout as its card shows it.
     *
     * @param missing the files it names that are not there
     */
    public record Recent(
            Path file, String title, Timeline timeline, Balance balance, Stage stage, List<String> missing) {
        public Recent {
            missing = List.copyOf(missing);
        }
    }

    /** Notes that a workout was opened or saved. */
    public static void touch(Path file) throws IOException {
        String path = file.toAbsolutePath().normalize().toString();
        FILE.change(paths -> {
            List<String> next = new ArrayList<>(List.of(path));
            paths.stream().filter(p -> !p.equals(path)).limit(MOST - 1L).forEach(next::add);
            return next;
        });
    }

    /** Takes a workout off the list; its file stays. */
    public static void forget(Path file) throws IOException {
        FILE.change(
                paths -> paths.stream().filter(p -> !p.equals(file.toString())).toList());
    }

    /** The workouts that are still there and can be read, the last one first. */
    public static List<Recent> read(int most) throws IOException {
        List<Recent> found = new ArrayList<>();
        Logbook logbook = LogbookFile.read();
        for (String path : FILE.read()) {
            Path file = Path.of(path);
            if (found.size() < most && Files.isRegularFile(file)) {
                try {
                    found.add(of(file, WorkoutFile.open(file), logbook));
                } catch (IOException e) {
                    FailureLog.note("recent", e);
                }
            }
        }
        return found;
    }

    private static Recent of(Path file, Workout workout, Logbook logbook) {
        MoveLibrary library = Libraries.current();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(workout.sheet(), library), library);
        String title = timeline.sheet().header().title();
        Path folder = file.getParent();
        List<String> missing = workout.takes().stream()
                .map(Workout.TakeRef::file)
                .filter(f -> !Files.exists(Media.resolved(folder, f)))
                .toList();
        boolean read =
                workout.takes().stream().anyMatch(t -> EvidenceCache.isKept(Media.resolved(folder, t.file()), folder));
        boolean published = logbook.entries().stream()
                .anyMatch(e -> e.kind() == Logbook.Kind.PUBLISHED && e.workout().equals(title));
        Stage stage = published
                ? Stage.PUBLISHED
                : read ? Stage.MATCHED : workout.takes().isEmpty() ? Stage.PLANNED : Stage.FILMED;
        return new Recent(
                file,
                title.isEmpty() ? file.getFileName().toString() : title,
                timeline,
                Balance.of(timeline, library),
                stage,
                missing);
    }

    /**
     * What is recalled of the other workouts that were open lately.
     *
     * @param moves how moves were done and what was missed with them, by the names of moves
     * @param promise what the last of them promised, or null
     */
    public record Recalled(Map<String, LastTime> moves, LastPromise promise) {
        public static final Recalled NOTHING = new Recalled(Map.of(), null);

        public Recalled {
            moves = Map.copyOf(moves);
        }
    }

    /** What is recalled of all of them but the one in {@code but}. */
    public static Recalled recalled(Path but) throws IOException {
        List<LastTime.Made> made = new ArrayList<>();
        int looked = 0;
        LastPromise promise = null;
        for (Recent recent : read(MOST)) {
            if (recent.file().equals(but)) {
                continue;
            }
            boolean matched = recent.stage().compareTo(Stage.MATCHED) >= 0 && looked++ < MOST_LOOKED_AT;
            Optional<Programme> whole =
                    made.isEmpty() || matched ? programme(recent.file(), matched) : Optional.empty();
            if (made.isEmpty()) {
                promise = whole.flatMap(LastPromise::of).orElse(null);
            }
            List<PickUps.Line> missed =
                    matched ? whole.map(p -> p.pickUps().lines()).orElse(List.of()) : List.of();
            made.add(new LastTime.Made(recent.timeline(), missed));
        }
        return new Recalled(LastTime.of(made, Libraries.current()), promise);
    }

    /** All that follows from a workout, with its takes where they have all been read; without in others: reading takes minutes. */
    private static Optional<Programme> programme(Path file, boolean matched) {
        try {
            Workout workout = WorkoutFile.open(file);
            Path folder = file.toAbsolutePath().getParent();
            boolean kept = matched
                    && workout.takes().stream()
                            .allMatch(t -> EvidenceCache.isKept(Media.resolved(folder, t.file()), folder));
            return Optional.of(
                    kept
                            ? WorkoutMedia.read(workout, folder, Progress.NONE).programme(workout)
                            : Programme.of(
                                    workout.withTakes(List.of(), List.of()),
                                    List.of(),
                                    List.of(),
                                    Libraries.current()));
        } catch (IOException e) {
            FailureLog.note("recent", e);
            return Optional.empty();
        }
    }

    /** The names of the moves of the other workouts that were open lately, so that not the same is done again. */
    public static List<String> movesOfOthers(Path but, int most) throws IOException {
        return read(most + 1).stream()
                .filter(r -> !r.file().equals(but))
                .limit(most)
                .flatMap(r -> r.timeline().sheet().blocks().stream())
                .flatMap(b -> b.moves().stream())
                .flatMap(m -> Stream.of(m.name()))
                .distinct()
                .toList();
    }
}
