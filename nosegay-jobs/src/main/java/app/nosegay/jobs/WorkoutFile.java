package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.workout.Workout;
import app.nosegay.workout.WorkoutJson;
import java.io.IOException;
import java.nio.charset.MalformedInputException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.util.Optional;

/** Reads and writes workout files. A save is complete or has not happened; an autosave beside the file survives a kill at any instant. */
public final class WorkoutFile {
    public static final String ENDING = ".nosegay.json";

    private WorkoutFile() {}

    /** Reads a workout file. */
    public static Workout open(Path file) throws IOException {
        try {
            return WorkoutJson.read(Files.readString(file));
        } catch (MalformedInputException e) {
            throw new IOException(JobText.of("workout-file.this-is-not-a-workout", file.getFileName()), e);
        } catch (NoSuchFileException e) {
            throw new IOException(JobText.of("workout-file.there-is-no-such-file", file.getFileName()), e);
        } catch (IOException e) {
            throw new IOException(file.getFileName() + ": " + e.getMessage(), e);
        }
    }

    /** Writes a new file, syncs it, and puts it in place of the old one; then the autosave is no longer needed. */
    public static void save(Path file, Workout workout) throws IOException {
        write(file, workout);
        Files.deleteIfExists(autosave(file));
    }

    /** Writes the autosave beside {@code file}. */
    public static void autosave(Path file, Workout workout) throws IOException {
        write(autosave(file), workout);
    }

    /** An autosave newer than the file itself: the state before a crash; empty when there is none or it cannot be read. */
    public static Optional<Workout> recovered(Path file) {
        Path autosave = autosave(file);
        try {
            boolean newer = Files.exists(autosave)
                    && (!Files.exists(file)
                            || Files.getLastModifiedTime(autosave).compareTo(Files.getLastModifiedTime(file)) >= 0);
            return newer ? Optional.of(WorkoutJson.read(Files.readString(autosave))) : Optional.empty();
        } catch (IOException e) {
            return Optional.empty();
        }
    }

    public static Path autosave(Path file) {
        return file.resolveSibling("." + file.getFileName() + ".autosave");
    }

    private static void write(Path file, Workout workout) throws IOException {
        Files.createDirectories(file.toAbsolutePath().getParent());
        try {
            AtomicFile.write(file, WorkoutJson.write(workout));
        } catch (IOException e) {
            throw new IOException(
                    JobText.of("workout-file.cannot-be-saved-here-choose", file.getFileName(), e.getMessage()), e);
        }
    }
}
