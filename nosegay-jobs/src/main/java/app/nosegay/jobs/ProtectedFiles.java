package app.nosegay.jobs;

import app.nosegay.dress.DressNotes;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * Files nothing may ever be written over, whoever asks for it: what a command reads, and the recordings, words, logs and music of a
 * workout.
 */
public final class ProtectedFiles {
    private final List<Path> files = new ArrayList<>();

    /** Protects {@code file}; null is none. */
    public ProtectedFiles with(Path file) {
        if (file != null) {
            files.add(file.toAbsolutePath().normalize());
        }
        return this;
    }

    /** Protects what {@code workout}, in {@code folder}, refers to. */
    public ProtectedFiles with(Workout workout, Path folder) {
        for (Workout.TakeRef take : workout.takes()) {
            with(folder, take.file());
            with(folder, take.transcript());
            with(folder, take.log());
        }
        DressNotes.Sound sound = workout.dressing().sound();
        return sound.hasMusic() ? with(folder, sound.music()) : this;
    }

    private ProtectedFiles with(Path folder, String stored) {
        return stored == null ? this : with(Media.resolved(folder, stored));
    }

    /** Refuses {@code target} when it is one of them, also by another path to it. */
    public void check(Path target) throws IOException {
        Path wanted = target.toAbsolutePath().normalize();
        for (Path file : files) {
            boolean same =
                    file.equals(wanted) || Files.exists(file) && Files.exists(wanted) && Files.isSameFile(file, wanted);
            if (same) {
                throw new IOException(JobText.of("protected-files.is-an-input", target));
            }
        }
    }
}
