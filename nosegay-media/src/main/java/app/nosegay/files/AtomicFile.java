package app.nosegay.files;

import app.nosegay.text.Messages;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;

/**
 * A file that is there whole or not at all. It is written beside its final name, synced to disk and then renamed over what was there
 * before; when anything fails, or the work is cancelled, what was written is deleted and the old file is untouched.
 *
 * <p>Text and bytes go through {@link #write}. What writes to a path by itself (an encoder, an image writer) gets {@link #part()} and ends
 * with {@link #commit()}; {@link #close()} without it gives up.
 */
public final class AtomicFile implements AutoCloseable {
    private static final Messages MESSAGES = new Messages(AtomicFile.class);
    private static final String ENDING = ".part";

    private final Path target;
    private final Path part;

    /** What writes the content. */
    @FunctionalInterface
    public interface Writing {
        void to(OutputStream out) throws IOException;
    }

    /** Begins a new version of {@code target}; its folder has to be there. */
    public AtomicFile(Path target) {
        this.target = target.toAbsolutePath();
        this.part = this.target.resolveSibling(this.target.getFileName() + ENDING);
    }

    /** Writes {@code text} in UTF-8 and reads it back before it gets its name; gives {@code target}. */
    public static Path write(Path target, CharSequence text) throws IOException {
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        try (AtomicFile file = new AtomicFile(target)) {
            Files.write(file.part(), bytes);
            if (!Arrays.equals(bytes, Files.readAllBytes(file.part()))) {
                throw new IOException(MESSAGES.of("read-back-differently", target));
            }
            file.commit();
        }
        return target;
    }

    /** Writes what {@code content} puts out. */
    public static void write(Path target, Writing content) throws IOException {
        try (AtomicFile file = new AtomicFile(target)) {
            try (OutputStream out = new BufferedOutputStream(Files.newOutputStream(file.part()))) {
                content.to(out);
            }
            file.commit();
        }
    }

    /** Where to write meanwhile. */
    public Path part() {
        return part;
    }

    /** Syncs what was written and gives it its name. */
    public void commit() throws IOException {
        sync(part, StandardOpenOption.WRITE);
        rename(part, target);
    }

    /** Gives a file or folder its final name, replacing a file of that name, and syncs the folder it is in. */
    public static void rename(Path from, Path to) throws IOException {
        try {
            Files.move(from, to, StandardCopyOption.ATOMIC_MOVE);
        } catch (AtomicMoveNotSupportedException e) {
            Files.move(from, to, StandardCopyOption.REPLACE_EXISTING);
        }
        try {
            sync(to.toAbsolutePath().getParent(), StandardOpenOption.READ);
        } catch (IOException e) {
            // Some systems have no folders that can be synced; the rename itself is done.
        }
    }

    private static void sync(Path path, StandardOpenOption how) throws IOException {
        try (FileChannel channel = FileChannel.open(path, how)) {
            channel.force(true);
        }
    }

    /** Deletes what was written and not committed. */
    @Override
    public void close() throws IOException {
        Files.deleteIfExists(part);
    }
}
