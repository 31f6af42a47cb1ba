package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.WrittenFiles;
import app.nosegay.files.WrittenFiles.Standing;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;

/**
 * Writing into a folder that may hold things already: recordings and music are never written over, what Nosegay wrote itself is
 * replaced where that is wanted, and what somebody else put there, or changed by hand, is kept beside under a dated name.
 */
public final class Replacing {
    private final Path folder;
    private final ProtectedFiles inputs;
    private final boolean overwrite;
    private final WrittenFiles written;

    /** What writes a file under its final name, all or nothing. */
    interface Writing {
        void run() throws IOException;
    }

    /**
     * What is in the way of one file.
     *
     * @param kept whether it is kept beside and not replaced
     */
    public record InTheWay(Path file, boolean kept) {}

    Replacing(Path folder, ProtectedFiles inputs, boolean overwrite) throws IOException {
        this.folder = folder;
        this.inputs = inputs;
        this.overwrite = overwrite;
        written = WrittenFiles.in(folder);
    }

    /** What of {@code targets} is there already, for people to look at before anything is written. */
    public static List<InTheWay> inTheWay(Path folder, List<Path> targets) throws IOException {
        WrittenFiles written = WrittenFiles.in(folder);
        List<InTheWay> found = new java.util.ArrayList<>();
        for (Path target : targets) {
            if (Files.isRegularFile(target)) {
                found.add(new InTheWay(target, written.standing(target) == Standing.SOMEBODYS));
            } else if (Files.isDirectory(target) && !written.ours(target).isEmpty()) {
                found.add(new InTheWay(target, false));
            }
        }
        return found;
    }

    /** Refuses what may not be written at all. */
    void check(Path target) throws IOException {
        inputs.check(target);
        if (!overwrite && Files.exists(target)) {
            throw new FileAlreadyExistsException(JobText.of("publish-job.is-there-already-it-is", target));
        }
    }

    /** Writes one file; what somebody else has there is kept beside. */
    void file(Path target, Writing writing) throws IOException {
        inputs.check(target);
        Path aside = written.standing(target) == Standing.SOMEBODYS ? SetAside.alsoUnder(target) : null;
        try {
            writing.run();
        } catch (IOException | RuntimeException e) {
            if (aside != null) {
                Files.delete(aside); // nothing was replaced
            }
            throw e;
        }
        written.wrote(target);
    }

    /** Puts the files of {@code fresh} into the folder {@code target} in place of those Nosegay wrote there before. */
    void folder(Path fresh, Path target) throws IOException {
        List<Path> files;
        try (Stream<Path> all = Files.list(fresh)) {
            files = all.sorted().toList();
        }
        Map<Path, Path> as = new LinkedHashMap<>();
        files.forEach(f -> as.put(target.resolve(f.getFileName()), f));
        for (Path place : as.keySet()) {
            inputs.check(place);
        }
        Files.createDirectories(target);
        for (Path old : written.ours(target)) {
            Files.delete(old);
        }
        for (Map.Entry<Path, Path> file : as.entrySet()) {
            if (Files.exists(file.getKey())) {
                SetAside.yours(file.getKey());
            }
            AtomicFile.rename(file.getValue(), file.getKey());
        }
        Map<Path, Path> there = new LinkedHashMap<>();
        as.keySet().forEach(f -> there.put(f, f));
        written.wrote(there);
        Files.delete(fresh);
    }

    Path folder() {
        return folder;
    }
}
