package app.nosegay.jobs;

import app.nosegay.media.MediaException;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.List;

/** The media files a workout refers to: paths relative to it, fingerprints that recognise them when moved. */
public final class Media {
    private static final int ENDS = 1 << 20;

    private Media() {}

    /** SHA-256 over size, first and last mebibyte, in hex. */
    public static String fingerprint(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            long size = in.length();
            digest.update(Long.toString(size).getBytes(StandardCharsets.US_ASCII));
            byte[] bytes = new byte[(int) Math.min(size, ENDS)];
            in.readFully(bytes);
            digest.update(bytes);
            in.seek(Math.max(0, size - ENDS));
            in.readFully(bytes);
            digest.update(bytes);
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }

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
                fingerprint(movie),
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
