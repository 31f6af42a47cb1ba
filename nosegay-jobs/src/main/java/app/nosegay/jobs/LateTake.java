package app.nosegay.jobs;

import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Optional;

/** A recording that was finished after the window had gone on to another workout: it goes to the one it was begun for. */
public final class LateTake {
    private LateTake() {}

    /**
     * Adds {@code take} to the workout in {@code file}, and to what was not saved of it; its paths are seen from the workout's folder.
     *
     * @throws IOException when that workout is open in another window or cannot be written; the recording stays where it is
     */
    public static void add(Path file, Workout.TakeRef take) throws IOException {
        try (WriteLock lock = WriteLock.take(file).orElse(null)) {
            if (lock == null) {
                throw new IOException(JobText.of("late-take.is-open-elsewhere", file.getFileName(), take.file()));
            }
            Optional<Workout> unsaved = WorkoutFile.recovered(file);
            if (unsaved.isPresent()) {
                WorkoutFile.autosave(file, with(unsaved.get(), take));
            }
            WorkoutFile.write(file, with(WorkoutFile.open(file), take));
        }
    }

    private static Workout with(Workout workout, Workout.TakeRef take) {
        boolean known = workout.takes().stream().anyMatch(t -> t.file().equals(take.file()));
        return known ? workout : workout.withTake(take.called(workout.nextTake()));
    }

    /** Whether {@code file} is there to take it. */
    public static boolean isPossible(Path file) {
        return file != null && Files.exists(file);
    }
}
