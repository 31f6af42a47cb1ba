package app.nosegay.jobs;

import app.nosegay.dress.DressNotes;
import app.nosegay.files.AtomicFile;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/** Packs a workout with everything it refers to into one folder, to take elsewhere or to put away. */
public final class PackJob {
    private static final int BLOCK = 1 << 20;

    private PackJob() {}

    /**
     * Copies the recordings, transcripts, logs and music of {@code workout}, whose paths are seen from {@code folder}, into {@code
     * target} and writes the workout there as {@code name}; gives that file. Nothing that is there already is replaced; the workout's
     * file comes last, so a half-packed folder has none. Only what is a recording, a transcript, a shoot log or music is packed: a
     * workout from somebody else may name anything.
     *
     * @param withOutside whether files outside the workout's own folder are packed as well, which the user has to be asked
     */
    public static Path into(
            Workout workout, Path folder, Path target, String name, boolean withOutside, Progress progress)
            throws IOException {
        List<Path> outside = outside(workout, folder);
        if (!withOutside && !outside.isEmpty()) {
            throw new IOException(JobText.of(
                    "pack-job.lie-outside",
                    outside.size(),
                    outside.stream().map(Path::toString).collect(Collectors.joining(", "))));
        }
        Path file = target.resolve(name);
        if (Files.exists(file)) {
            throw new FileAlreadyExistsException(JobText.of("pack-job.is-there-already-choose-an", file));
        }
        Map<String, String> names = names(workout, target);
        checkKinds(workout, folder);
        long all = 0;
        for (String stored : names.keySet()) {
            Path from = Media.resolved(folder, stored);
            if (!Files.isRegularFile(from)) {
                throw new IOException(JobText.of("pack-job.is-missing-bring-it-back", from));
            }
            all += Files.size(from);
        }
        DiskSpace.check(target, all * 5, JobText.of("pack-job.what-is-packed")); // copies come out no smaller
        Files.createDirectories(target);
        long done = 0;
        for (Map.Entry<String, String> copy : names.entrySet()) {
            Path from = Media.resolved(folder, copy.getKey());
            copy(from, target.resolve(copy.getValue()), done, all, progress);
            done += Files.size(from);
        }
        WorkoutFile.save(file, MediaRelinker.withPaths(workout, names::get));
        return file;
    }

    /** The files {@code workout} names that do not lie in its folder, links followed. */
    public static List<Path> outside(Workout workout, Path folder) throws IOException {
        Path home = folder.toRealPath();
        List<Path> outside = new ArrayList<>();
        for (String path : stored(workout)) {
            Path file = Media.resolved(folder, path);
            if (Files.exists(file) && !file.toRealPath().startsWith(home)) {
                outside.add(file);
            }
        }
        return outside;
    }

    private static void checkKinds(Workout workout, Path folder) throws IOException {
        for (Workout.TakeRef take : workout.takes()) {
            MediaInput.probe(Media.present(folder, take));
            if (take.transcript() != null) {
                Path file = Media.resolved(folder, take.transcript());
                if (WorkoutMedia.transcript(file).isEmpty()) {
                    throw new IOException(JobText.of("pack-job.is-no-transcript", file));
                }
            }
            if (take.log() != null) {
                WorkoutMedia.log(Media.resolved(folder, take.log()));
            }
        }
        DressNotes.Sound sound = workout.dressing().sound();
        if (sound.hasMusic()) {
            MediaInput.probe(Media.resolved(folder, sound.music()));
        }
    }

    private static Set<String> stored(Workout workout) {
        Set<String> stored = new LinkedHashSet<>();
        for (Workout.TakeRef take : workout.takes()) {
            stored.add(take.file());
            stored.add(take.transcript());
            stored.add(take.log());
        }
        DressNotes.Sound sound = workout.dressing().sound();
        stored.add(sound.hasMusic() ? sound.music() : null);
        stored.remove(null);
        return stored;
    }

    /** By the path as stored, the name each file gets: its own, with a number where another has it. */
    private static Map<String, String> names(Workout workout, Path target) {
        Map<String, String> names = new LinkedHashMap<>();
        for (String path : stored(workout)) {
            String own = Path.of(path).getFileName().toString();
            String name = own;
            for (int n = 2; names.containsValue(name) || Files.exists(target.resolve(name)); n++) {
                name = own.replaceFirst("(?=\\.[^.]*$|$)", "-" + n);
            }
            names.put(path, name);
        }
        return names;
    }

    /** Under its name only when it is whole. */
    private static void copy(Path from, Path to, long before, long all, Progress progress) throws IOException {
        try (InputStream in = Files.newInputStream(from)) {
            AtomicFile.write(to, out -> {
                byte[] block = new byte[BLOCK];
                long done = before;
                for (int n = in.read(block); n >= 0; n = in.read(block)) {
                    out.write(block, 0, n);
                    done += n;
                    progress.at(done / (double) Math.max(1, all));
                }
            });
        }
    }
}
