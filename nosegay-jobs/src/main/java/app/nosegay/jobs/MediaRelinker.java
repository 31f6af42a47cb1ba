package app.nosegay.jobs;

import app.nosegay.dress.DressNotes;
import app.nosegay.files.Fingerprint;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import java.util.stream.Stream;

/** Workouts whose file, or whose recordings, are somewhere else than before. */
public final class MediaRelinker {
    /** Folders within folders that are looked through for a recording. */
    private static final int DEEP = 4;

    private MediaRelinker() {}

    /** {@code workout} of folder {@code from} for a file in folder {@code to}: the media stay where they are. */
    public static Workout toFolder(Workout workout, Path from, Path to) {
        return withPaths(workout, stored -> Media.stored(to, Media.resolved(from, stored)));
    }

    /** {@code workout} with every path of its media as {@code path} makes it: recordings, transcripts, logs, music. */
    static Workout withPaths(Workout workout, UnaryOperator<String> path) {
        List<Workout.TakeRef> takes = workout.takes().stream()
                .map(t -> t.at(path.apply(t.file()), moved(t.transcript(), path), moved(t.log(), path)))
                .toList();
        Workout moved = workout.withTakes(takes, workout.pins());
        DressNotes.Sound sound = workout.dressing().sound();
        return sound.hasMusic()
                ? moved.withDressing(moved.dressing().withSound(sound.withMusicAt(path.apply(sound.music()))))
                : moved;
    }

    /** {@code take} of a workout in folder {@code from} as a workout in folder {@code to} names it. */
    public static Workout.TakeRef toFolder(Workout.TakeRef take, Path from, Path to) {
        UnaryOperator<String> path = stored -> Media.stored(to, Media.resolved(from, stored));
        return take.at(path.apply(take.file()), moved(take.transcript(), path), moved(take.log(), path));
    }

    private static String moved(String stored, UnaryOperator<String> path) {
        return stored == null ? null : path.apply(stored);
    }

    /**
     * {@code workout} with the recordings that are not where they were, but elsewhere in {@code folder} or in a folder within it, told by
     * their size and content. A transcript or a log that lies beside one now is taken from there.
     */
    public static Workout foundAgain(Workout workout, Path folder) throws IOException {
        List<Workout.TakeRef> takes = workout.takes();
        boolean any = takes.stream().anyMatch(t -> !Files.isRegularFile(Media.resolved(folder, t.file())));
        if (!any) {
            return workout;
        }
        List<Workout.TakeRef> found = new java.util.ArrayList<>();
        for (Workout.TakeRef take : takes) {
            Optional<Path> now =
                    Files.isRegularFile(Media.resolved(folder, take.file())) ? Optional.empty() : find(take, folder);
            found.add(now.isEmpty() ? take : at(take, now.get(), folder));
        }
        return found.equals(takes) ? workout : workout.withTakes(found, workout.pins());
    }

    private static Workout.TakeRef at(Workout.TakeRef take, Path movie, Path folder) {
        return take.at(
                Media.stored(folder, movie),
                beside(take.transcript(), Media.transcriptBeside(movie), folder),
                beside(take.log(), Media.logBeside(movie), folder));
    }

    private static String beside(String stored, Path now, Path folder) {
        boolean lost = stored != null && !Files.isRegularFile(Media.resolved(folder, stored));
        return lost && now != null ? Media.stored(folder, now) : stored;
    }

    private static Optional<Path> find(Workout.TakeRef take, Path folder) throws IOException {
        List<Path> alike;
        try (Stream<Path> files = Files.find(
                folder,
                DEEP,
                (file, about) -> about.isRegularFile() && about.size() == take.size() && take.size() > 0)) {
            alike = files.sorted().toList();
        } catch (java.io.UncheckedIOException e) {
            return Optional.empty(); // a folder nobody may look into
        }
        for (Path file : alike) {
            if (Fingerprint.of(file).equals(take.fingerprint())) {
                return Optional.of(file);
            }
        }
        return Optional.empty();
    }
}
