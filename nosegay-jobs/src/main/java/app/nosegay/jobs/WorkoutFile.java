package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.workout.Workout;
import app.nosegay.workout.WorkoutJson;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** Reads and writes workout files. A save is complete or has not happened; an autosave beside the file survives a kill at any instant. */
public final class WorkoutFile {
    public static final String ENDING = ".nosegay.json";

    private WorkoutFile() {}

    /**
     * A workout as it was read.
     *
     * @param content what the file held, to tell whether somebody else has changed it since
     */
    public record Opened(Workout workout, String content) {}

    /** Reads a workout file. */
    public static Workout open(Path file) throws IOException {
        return read(file).workout();
    }

    /** Reads a workout file and keeps what it held. */
    public static Opened read(Path file) throws IOException {
        String content = InputFile.WORKOUT.text(file);
        try {
            return new Opened(WorkoutJson.read(content), content);
        } catch (IOException | IllegalArgumentException e) {
            throw new IOException(
                    JobText.of("workout-file.this-is-not-a-workout", file.getFileName(), e.getMessage()), e);
        }
    }

    /** Whether {@code file} is there and holds something else than {@code content}. */
    public static boolean holdsOther(Path file, String content) {
        if (!Files.exists(file)) {
            return false;
        }
        try {
            return !InputFile.WORKOUT.text(file).equals(content);
        } catch (IOException e) {
            return true; // not even a text any more
        }
    }

    /** Writes a new file, syncs it, and puts it in place of the old one; then the autosave is no longer needed. Gives what it holds. */
    public static String save(Path file, Workout workout) throws IOException {
        String content = write(file, workout);
        Files.deleteIfExists(autosave(file));
        return content;
    }

    /** Writes the file and leaves the autosave as it is. */
    static String write(Path file, Workout workout) throws IOException {
        String content = WorkoutJson.write(workout);
        AtomicFile.write(file, content);
        return content;
    }

    /** Saves over a file somebody else has changed, which is kept beside under a dated name; gives that file. */
    public static Path saveBeside(Path file, Workout workout) throws IOException {
        Path theirs = SetAside.free(file, JobText.of("workout-file.changed-elsewhere"));
        Files.copy(file, theirs);
        save(file, workout);
        return theirs;
    }

    /** Writes the autosave beside {@code file}. */
    public static void autosave(Path file, Workout workout) throws IOException {
        AtomicFile.write(autosave(file), WorkoutJson.write(workout));
    }

    /**
     * The state before a crash: what the autosave holds, where it is another workout than the file, whatever the clock said when it was
     * written; empty when there is none. One that cannot be read is set aside and said.
     */
    public static Optional<Workout> recovered(Path file) {
        Path autosave = autosave(file);
        if (!Files.exists(autosave)) {
            return Optional.empty();
        }
        try {
            Workout kept = open(autosave);
            return Files.exists(file) && kept.equals(open(file)) ? Optional.empty() : Optional.of(kept);
        } catch (IOException broken) {
            try {
                Path aside = SetAside.broken(autosave);
                FailureLog.show(
                        JobText.of("workout-file.autosave-was-broken", file.getFileName(), aside.getFileName()));
            } catch (IOException e) {
                FailureLog.note("autosave", e);
            }
            return Optional.empty();
        }
    }

    public static Path autosave(Path file) {
        return file.resolveSibling("." + file.getFileName() + ".autosave");
    }
}
