package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.media.MediaInput;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * Recordings that were going on when Nosegay ended. They are written so that they play up to their last second, under a name of their own;
 * here they are found again and get the name they were meant to have.
 */
public final class CutOffRecordings {
    /** What is being recorded at this moment, a path a line, so that it is found wherever it is. */
    private static final SharedFile<List<String>> UNDER_WAY = new SharedFile<>(
            "recording.txt",
            InputFile.TEXT,
            List.of(),
            text -> text.lines().filter(l -> !l.isBlank()).toList(),
            lines -> String.join("\n", lines) + "\n");

    private CutOffRecordings() {}

    /**
     * A recording that was cut off, or that was finished and belongs to no workout yet.
     *
     * @param movie the name it gets
     * @param seconds that can be played
     * @param finished whether it has its name already
     */
    public record CutOff(Path movie, double seconds, boolean finished) {}

    /** Where a recording is until it has its name. */
    static Path part(Path movie) {
        return AtomicFile.part(movie);
    }

    /** A recording begins. That it cannot be noted is no reason not to record: its folder is looked through as well. */
    static void begun(Path movie) {
        note(movie, true);
    }

    /** A recording is in its workout, or was never made: it is not looked for any more. */
    public static void ended(Path movie) {
        note(movie, false);
    }

    private static void note(Path movie, boolean underWay) {
        String path = movie.toAbsolutePath().normalize().toString();
        try {
            UNDER_WAY.change(before -> {
                Set<String> now = new LinkedHashSet<>(before);
                boolean changed = underWay ? now.add(path) : now.remove(path);
                return changed ? List.copyOf(now) : before;
            });
        } catch (IOException e) {
            FailureLog.note("recording.txt", e);
        }
    }

    /** The recordings in {@code folder} that were cut off and hold something, and those no workout has; none that is going on elsewhere. */
    public static List<CutOff> in(Path folder) {
        List<CutOff> found = new ArrayList<>(parts(folder));
        Path own = folder.toAbsolutePath().normalize();
        anywhere().stream()
                .filter(c -> c.finished() && own.equals(c.movie().getParent()))
                .forEach(found::add);
        return found;
    }

    private static List<CutOff> parts(Path folder) {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(f -> f.getFileName().toString().matches("(shoot|lines)-\\d+\\.mp4\\.part"))
                    .sorted()
                    .flatMap(f -> cutOff(f).stream())
                    .toList();
        } catch (IOException e) {
            return List.of(); // a folder that is gone or may not be looked into
        }
    }

    /** The recordings anywhere that were noted as going on and are in no workout yet; those that are gone are forgotten. */
    public static List<CutOff> anywhere() {
        List<CutOff> found = new ArrayList<>();
        try {
            for (String path : UNDER_WAY.read()) {
                Path movie = Path.of(path);
                if (Files.exists(part(movie))) {
                    cutOff(part(movie)).ifPresent(found::add);
                } else if (Files.exists(movie)) {
                    playable(movie, movie).ifPresent(found::add);
                } else {
                    ended(movie);
                }
            }
        } catch (IOException e) {
            FailureLog.note("recording.txt", e);
        }
        return found;
    }

    private static Optional<CutOff> cutOff(Path part) {
        String name = part.getFileName().toString();
        return playable(part, part.resolveSibling(name.substring(0, name.length() - ".part".length())));
    }

    private static Optional<CutOff> playable(Path file, Path movie) {
        try (WriteLock free = WriteLock.take(movie).orElse(null)) {
            return free == null
                    ? Optional.empty()
                    : Optional.of(
                            new CutOff(movie, MediaInput.probe(file).length().seconds(), file.equals(movie)));
        } catch (IOException e) {
            return Optional.empty(); // not even its first second was written
        }
    }

    /** Gives a recording that was cut off its name, or the next free one, where it has none; gives the file. */
    public static Path keep(CutOff cutOff) throws IOException {
        Path movie = cutOff.movie();
        if (cutOff.finished()) {
            return movie;
        }
        Path name = Files.exists(movie) ? SetAside.free(movie, JobText.of("cut-off-recordings.cut-off")) : movie;
        AtomicFile.rename(part(movie), name);
        ended(movie);
        begun(name);
        return name;
    }
}
