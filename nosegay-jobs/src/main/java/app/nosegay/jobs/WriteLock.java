package app.nosegay.jobs;

import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.channels.FileLock;
import java.nio.channels.OverlappingFileLockException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Optional;

/**
 * The right to write a file: a workout, a recording under way, a workout that was never saved. One window has it at a time, on one machine;
 * it is given back when the window closes and by the system when its process ends, however that happens.
 */
public final class WriteLock implements AutoCloseable {
    private final FileChannel channel;
    private final FileLock lock;

    private WriteLock(FileChannel channel, FileLock lock) {
        this.channel = channel;
        this.lock = lock;
    }

    /**
     * Takes the right to write {@code file}; empty when another window has it.
     *
     * @throws IOException when nothing can be written beside it, as in a folder that is read-only
     */
    public static Optional<WriteLock> take(Path file) throws IOException {
        Path beside = file.toAbsolutePath().getParent().resolve(".nosegay");
        Files.createDirectories(beside);
        FileChannel channel = FileChannel.open(
                beside.resolve(file.getFileName() + ".lock"), StandardOpenOption.CREATE, StandardOpenOption.WRITE);
        try {
            FileLock lock = channel.tryLock();
            if (lock != null) {
                return Optional.of(new WriteLock(channel, lock));
            }
        } catch (OverlappingFileLockException e) {
            // Another window of this process has it.
        } catch (IOException e) {
            channel.close();
            throw e;
        }
        channel.close();
        return Optional.empty();
    }

    @Override
    public void close() throws IOException {
        if (channel.isOpen()) {
            lock.release();
            channel.close();
        }
    }
}
