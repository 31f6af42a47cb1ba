package app.nosegay.files;

import app.nosegay.text.Messages;
import java.io.BufferedOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.nio.channels.FileChannel;
import java.nio.charset.StandardCharsets;
import java.nio.file.AccessDeniedException;
import java.nio.file.AtomicMoveNotSupportedException;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.nio.file.StandardOpenOption;
import java.util.zip.CRC32C;
import java.util.zip.CheckedInputStream;
import java.util.zip.CheckedOutputStream;

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
        this.part = part(this.target);
    }

    /** Where a file is written until it has its name. */
    public static Path part(Path target) {
        return target.resolveSibling(target.getFileName() + ENDING);
    }

    /** Writes {@code text} in UTF-8 and reads it back before it gets its name; gives {@code target}. */
    public static Path write(Path target, CharSequence text) throws IOException {
        byte[] bytes = text.toString().getBytes(StandardCharsets.UTF_8);
        write(target, out -> out.write(bytes));
        return target;
    }

    /**
     * Writes what {@code content} puts out and reads it back before it gets its name.
     *
     * @throws IOException that names the file, says why it cannot be written and what to do
     */
    public static void write(Path target, Writing content) throws IOException {
        try (AtomicFile file = new AtomicFile(target)) {
            CRC32C written = new CRC32C();
            try (OutputStream out =
                    new BufferedOutputStream(new CheckedOutputStream(Files.newOutputStream(file.part()), written))) {
                content.to(out);
            }
            if (sumOf(file.part()) != written.getValue()) {
                throw new IOException(MESSAGES.of("read-back-differently"));
            }
            file.commit();
        } catch (IOException e) {
            throw new IOException(MESSAGES.of("cannot-be-written", target.getFileName(), reason(target, e)), e);
        }
    }

    private static long sumOf(Path file) throws IOException {
        CRC32C sum = new CRC32C();
        try (CheckedInputStream in = new CheckedInputStream(Files.newInputStream(file), sum)) {
            in.transferTo(OutputStream.nullOutputStream());
        }
        return sum.getValue();
    }

    /** Why {@code target} cannot be written and what to do; the system's own words are a path or a number at times. */
    private static String reason(Path target, IOException e) {
        Path folder = target.toAbsolutePath().getParent();
        if (!Files.isDirectory(folder)) {
            return MESSAGES.of("there-is-no-folder", folder);
        }
        if (e instanceof AccessDeniedException) {
            return MESSAGES.of("may-not-be-written-to", folder);
        }
        String words = e instanceof FileSystemException system && system.getReason() != null
                ? system.getReason()
                : e.getMessage();
        return words != null && words.contains("space left") ? MESSAGES.of("the-disk-is-full") : String.valueOf(words);
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

    /**
     * Gives what was written its name although it could not be finished, for what cannot be made again; a full disk may leave it
     * unsynced.
     */
    public void keep() throws IOException {
        try {
            sync(part, StandardOpenOption.WRITE);
        } catch (IOException e) {
            // What can be read of it is worth more than the certainty.
        }
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
