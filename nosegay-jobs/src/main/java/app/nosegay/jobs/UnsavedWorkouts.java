package app.nosegay.jobs;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** Workouts that were never saved, kept in the settings folder from their first key on. */
public final class UnsavedWorkouts {
    private static final DateTimeFormatter DATED = DateTimeFormatter.ofPattern("yyyy-MM-dd HH.mm.ss");

    private UnsavedWorkouts() {}

    private static Path folder() {
        return SettingsFolder.path().resolve("unsaved");
    }

    /** A workout that was never saved and is open in no window. */
    public record Unsaved(Path file, String title) {}

    /** Where a window keeps its workout until it is saved, and the right to write there. */
    public static final class Place implements AutoCloseable {
        private final Path file;
        private final WriteLock lock;

        private Place(Path file, WriteLock lock) {
            this.file = file;
            this.lock = lock;
        }

        public Path file() {
            return file;
        }

        /** The workout is saved elsewhere, or not wanted: its place is given up. */
        public void remove() throws IOException {
            Files.deleteIfExists(file);
        }

        @Override
        public void close() throws IOException {
            lock.close();
        }
    }

    /** A place of its own for a new workout. */
    public static Place begin() throws IOException {
        Files.createDirectories(folder());
        String name = LocalDateTime.now().format(DATED);
        for (int n = 1; ; n++) {
            Path file = folder().resolve(name + (n == 1 ? "" : ", " + n) + WorkoutFile.ENDING);
            WriteLock lock = Files.exists(file) ? null : WriteLock.take(file).orElse(null);
            if (lock != null) {
                return new Place(file, lock);
            }
        }
    }

    /** The place of a workout that was never saved, to go on with it. */
    public static Place again(Path file) throws IOException {
        WriteLock lock = WriteLock.take(file)
                .orElseThrow(() -> new IOException(JobText.of("unsaved-workouts.is-open-in-another-window")));
        return new Place(file, lock);
    }

    /** The workouts that were never saved and are open in no window, the newest first. */
    public static List<Unsaved> left() {
        List<Unsaved> left = new ArrayList<>();
        if (!Files.isDirectory(folder())) {
            return left;
        }
        try (Stream<Path> files = Files.list(folder())) {
            List<Path> newest = files.filter(f -> f.toString().endsWith(WorkoutFile.ENDING))
                    .sorted(Comparator.reverseOrder())
                    .toList();
            for (Path file : newest) {
                if (isFree(file)) {
                    left.add(new Unsaved(file, title(file)));
                }
            }
        } catch (IOException e) {
            FailureLog.note("unsaved", e);
        }
        return left;
    }

    private static boolean isFree(Path file) throws IOException {
        try (WriteLock lock = WriteLock.take(file).orElse(null)) {
            return lock != null;
        }
    }

    /** Its title, or when it was begun. */
    private static String title(Path file) {
        String begun = file.getFileName().toString().replace(WorkoutFile.ENDING, "");
        try {
            return WorkoutFile.open(file)
                    .sheet()
                    .lines()
                    .filter(l -> l.startsWith("title:") && !l.substring(6).isBlank())
                    .map(l -> l.substring(6).strip())
                    .findFirst()
                    .orElse(JobText.of("unsaved-workouts.without-a-title", begun));
        } catch (IOException e) {
            return JobText.of("unsaved-workouts.without-a-title", begun);
        }
    }
}
