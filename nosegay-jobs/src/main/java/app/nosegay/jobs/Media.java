package app.nosegay.jobs;

import app.nosegay.files.Fingerprint;
import app.nosegay.media.MediaException;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;

/** The media files a workout refers to: paths relative to it, fingerprints that recognise them when moved. */
public final class Media {
    private Media() {}

    /** {@code file} as it is stored in a workout in {@code folder}: relative where both are on one volume, with forward slashes. */
    public static String stored(Path folder, Path file) {
        Path absolute = file.toAbsolutePath().normalize();
        try {
            return folder.toAbsolutePath()
                    .normalize()
                    .relativize(absolute)
                    .toString()
                    .replace('\\', '/');
        } catch (IllegalArgumentException e) {
            return absolute.toString();
        }
    }

    /** Where a stored path points to. */
    public static Path resolved(Path folder, String stored) {
        return folder.resolve(stored).normalize();
    }

    /** A reference to {@code movie} for a workout in {@code folder}; {@code transcript} and {@code log} may be null. */
    public static Workout.TakeRef reference(
            Path folder, String id, Path movie, double seconds, Path transcript, Path log) throws IOException {
        return new Workout.TakeRef(
                id,
                stored(folder, movie),
                Files.size(movie),
                seconds,
                Fingerprint.of(movie),
                transcript == null ? null : stored(folder, transcript),
                log == null ? null : stored(folder, log));
    }

    /** The take's file, checked to be there and to be the one that was matched. */
    public static Path present(Path folder, Workout.TakeRef take) throws IOException {
        Path file = resolved(folder, take.file());
        if (!Files.isRegularFile(file)) {
            throw new MediaException(file, JobText.of("media.the-recording-is-missing-bring", file.getParent()));
        }
        return file;
    }

    /** The transcript that lies beside a recording under its name, or null. */
    public static Path transcriptBeside(Path movie) {
        return beside(movie, List.of(".vtt", ".srt", ".txt"));
    }

    /** The shoot log that lies beside a recording under its name, or null. */
    public static Path logBeside(Path movie) {
        return beside(movie, List.of(".log.json"));
    }

    private static Path beside(Path movie, List<String> endings) {
        String stem = movie.getFileName().toString().replaceFirst("\\.[^.]*$", "");
        return endings.stream()
                .map(e -> movie.resolveSibling(stem + e))
                .filter(Files::isRegularFile)
                .findFirst()
                .orElse(null);
    }
}
