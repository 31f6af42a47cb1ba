package app.nosegay.jobs;

import app.nosegay.media.Device;
import app.nosegay.media.Recording;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.function.Consumer;

/** A recording with the connected camera that is not lost: no other Nosegay writes to its file, and after a crash it is found again. */
public final class KeptRecording implements AutoCloseable {
    private static final int MOST = 999;

    private final WriteLock lock;
    private final Recording recording;

    /**
     * Starts to record.
     *
     * @param microphone null for the camera's own sound
     * @param seconds it will take; whether the disk holds that is told at once
     * @param notice told in a sentence when the room is short
     * @throws IOException when a device cannot be opened, the file cannot be written, or there is no room at all
     */
    public KeptRecording(Device camera, Device microphone, Path movie, double seconds, Consumer<String> notice)
            throws IOException {
        long free = DiskSpace.free(movie.getParent());
        if (free < DiskSpace.recorded(seconds)) {
            notice.accept(JobText.of(
                    "shoot-run.there-is-only-left-on", DiskSpace.words(free), free / DiskSpace.recorded(60)));
        }
        lock = WriteLock.take(movie).orElse(null);
        try {
            recording = new Recording(camera, microphone, movie);
        } catch (IOException e) {
            release();
            throw e;
        }
        CutOffRecordings.begun(movie);
    }

    /** A file in {@code folder} for lines that are said again, with a name no recording has. */
    public static Path freeLines(Path folder) throws IOException {
        for (int n = 1; n <= MOST; n++) {
            Path movie = folder.resolve("lines-" + n + ".mp4");
            if (!Files.exists(movie) && !Files.exists(CutOffRecordings.part(movie))) {
                return movie;
            }
        }
        throw new IOException(JobText.of("kept-recording.no-name-is-free", folder.getFileName()));
    }

    /** The recorded level, 0 to 1. */
    public double level() {
        return recording.level();
    }

    /** What goes wrong at this moment, as one sentence with what to do; empty for nothing. */
    public String alert() {
        return recording.state().sentence();
    }

    /** Whether what happens is not being recorded, though it should be. */
    public boolean isLosing() {
        return recording.state().trouble().losing();
    }

    /** Whether nothing is recorded any more, though it should be. */
    public boolean isStopped() {
        return recording.failure() != null;
    }

    /** Ends it and gives the file. */
    public Path stop() throws IOException {
        Path movie = recording.stop();
        close();
        return movie;
    }

    @Override
    public void close() throws IOException {
        recording.close();
        release();
    }

    private void release() throws IOException {
        if (lock != null) {
            lock.close();
        }
    }
}
