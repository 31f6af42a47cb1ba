package app.nosegay.media;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/**
 * What is remembered of a rendered film, to render only what changed the next time: a small text file, which may be deleted at any time.
 *
 * @param size the film's size in bytes, and …
 * @param modified … when it was written, in milliseconds: a film that was changed since is not relied upon
 * @param header what a decoder has to know of the encoder
 * @param keys what each part of it is made of
 */
record RenderMemory(long size, long modified, String header, List<String> keys) {
    private static final String FORMAT = "nosegay-parts 1";

    /** What is remembered of {@code film} in {@code memory}; null when there is nothing or it does not fit. */
    static RenderMemory read(Path memory, Path film) {
        try {
            if (memory == null || !Files.isRegularFile(memory) || !Files.isRegularFile(film)) {
                return null;
            }
            List<String> lines = Files.readAllLines(memory, StandardCharsets.UTF_8);
            if (lines.size() < 4 || !lines.get(0).equals(FORMAT)) {
                return null;
            }
            RenderMemory read = new RenderMemory(
                    Long.parseLong(lines.get(1)),
                    Long.parseLong(lines.get(2)),
                    lines.get(3),
                    lines.subList(4, lines.size()));
            boolean same = read.size == Files.size(film)
                    && read.modified == Files.getLastModifiedTime(film).toMillis();
            return same ? read : null;
        } catch (IOException | NumberFormatException e) {
            // It only saves time: without it everything is rendered.
            return null;
        }
    }

    /** Remembers {@code film}, just rendered. */
    static void write(Path memory, Path film, String header, List<String> keys) {
        try {
            List<String> lines = new ArrayList<>();
            lines.add(FORMAT);
            lines.add("" + Files.size(film));
            lines.add("" + Files.getLastModifiedTime(film).toMillis());
            lines.add(header);
            lines.addAll(keys);
            Files.createDirectories(memory.toAbsolutePath().getParent());
            AtomicFile.write(memory, String.join("\n", lines) + "\n");
        } catch (IOException e) {
            // A folder that cannot be written only costs another rendering next time: what is there still does not fit
            // the film.
        }
    }
}
