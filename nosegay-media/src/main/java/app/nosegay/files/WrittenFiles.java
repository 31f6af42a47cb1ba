package app.nosegay.files;

import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;

/**
 * What Nosegay wrote into a folder, by name and fingerprint, in a small file there ({@code .nosegay-written.json}). Only what stands in
 * it, and has not been changed since, may be replaced or deleted; everything else in the folder belongs to somebody.
 */
public final class WrittenFiles {
    private static final String MANIFEST = ".nosegay-written.json";

    private final Path folder;
    private final Map<String, String> fingerprints = new TreeMap<>();

    /** What a file in the folder is to Nosegay. */
    public enum Standing {
        /** Nothing is there. */
        NEW,
        /** Written by Nosegay and as it was written. */
        OURS,
        /** Written by Nosegay and changed since, or never written by it. */
        SOMEBODYS
    }

    private WrittenFiles(Path folder) {
        this.folder = folder;
    }

    /** What was written into {@code folder}; nothing where that is not known. */
    public static WrittenFiles in(Path folder) throws IOException {
        WrittenFiles written = new WrittenFiles(folder.toAbsolutePath().normalize());
        Path manifest = folder.resolve(MANIFEST);
        if (Files.exists(manifest)) {
            try {
                JsonNode files = JsonMapper.builder().build().readTree(InputFile.LOGBOOK.text(manifest));
                files.properties()
                        .forEach(f -> written.fingerprints.put(
                                f.getKey(), f.getValue().asText()));
            } catch (JsonProcessingException e) {
                // A broken list says nothing of any file: then all of them are somebody's.
                written.fingerprints.clear();
            }
        }
        return written;
    }

    /** What {@code file}, anywhere in the folder, is. */
    public Standing standing(Path file) throws IOException {
        if (!Files.exists(file)) {
            return Standing.NEW;
        }
        String known = fingerprints.get(name(file));
        boolean ours = known != null && Files.isRegularFile(file) && known.equals(Fingerprint.of(file));
        return ours ? Standing.OURS : Standing.SOMEBODYS;
    }

    /** Notes files that were written, or are about to be under that name, as they are at {@code as}. */
    public void wrote(Map<Path, Path> as) throws IOException {
        for (Map.Entry<Path, Path> file : as.entrySet()) {
            fingerprints.put(name(file.getKey()), Fingerprint.of(file.getValue()));
        }
        keep();
    }

    /** Notes a file that was written. */
    public void wrote(Path file) throws IOException {
        wrote(Map.of(file, file));
    }

    /** The files directly in {@code sub} that Nosegay wrote and nobody changed. */
    public List<Path> ours(Path sub) throws IOException {
        if (!Files.isDirectory(sub)) {
            return List.of();
        }
        List<Path> all;
        try (var files = Files.list(sub)) {
            all = files.filter(Files::isRegularFile).toList();
        }
        List<Path> ours = new java.util.ArrayList<>();
        for (Path file : all) {
            if (standing(file) == Standing.OURS) {
                ours.add(file);
            }
        }
        return ours;
    }

    private String name(Path file) {
        return folder.relativize(file.toAbsolutePath().normalize()).toString().replace('\\', '/');
    }

    private void keep() throws IOException {
        ObjectNode files = JsonMapper.builder().build().createObjectNode();
        fingerprints.forEach((name, print) -> {
            if (Files.exists(folder.resolve(name))) {
                files.put(name, print);
            }
        });
        AtomicFile.write(folder.resolve(MANIFEST), files.toPrettyString() + "\n");
    }
}
