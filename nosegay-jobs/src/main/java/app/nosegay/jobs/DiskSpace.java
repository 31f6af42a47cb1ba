package app.nosegay.jobs;

import app.nosegay.media.RenderJob;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** How much room something will take on a disk, and how much there is. */
public final class DiskSpace {
    /** Bits per pixel of a film of a person in a room, as the encoder makes them of usual quality; its sound hardly counts. */
    private static final double BITS_PER_PIXEL = 0.07;
    /** A film may come out this much smaller: with less room than that it cannot be written. */
    private static final double SMALLEST = 0.2;
    /** What a camera recorded here takes, in bytes a second. */
    private static final double RECORDED_PER_SECOND = 1.2e6;

    private DiskSpace() {}

    /** About how many bytes the film of {@code job} takes. */
    public static long of(RenderJob job) {
        double pixels = job.width() * (double) job.height() * job.rate().perSecond();
        return Math.round(pixels * BITS_PER_PIXEL / 8 * job.cut().total().seconds());
    }

    /** About how many bytes a recording of that many seconds takes. */
    public static long recorded(double seconds) {
        return Math.round(seconds * RECORDED_PER_SECOND);
    }

    /** The bytes that can be written to {@code folder}, which need not be there yet. */
    public static long free(Path folder) {
        Path there = folder.toAbsolutePath();
        while (there != null && !Files.isDirectory(there)) {
            there = there.getParent();
        }
        try {
            return there == null ? Long.MAX_VALUE : Files.getFileStore(there).getUsableSpace();
        } catch (IOException noMountPoint) {
            // Where the file systems cannot be told apart (a changed root, some containers) only the folder itself can
            // be asked.
            return there.toFile().getUsableSpace();
        }
    }

    /** Fails where there is certainly too little room in {@code folder} for {@code bytes}. */
    static void check(Path folder, long bytes, String what) throws IOException {
        long free = free(folder);
        if (free < bytes * SMALLEST) {
            throw new IOException(
                    JobText.of("disk-space.there-is-only-left-on", folder, words(free), what, words(bytes)));
        }
    }

    /** A size as people say it. */
    public static String words(long bytes) {
        return bytes >= 1_000_000_000L
                ? JobText.of("disk-space.gb", bytes / 1e9)
                : bytes >= 1_000_000
                        ? JobText.of("disk-space.mb", bytes / 1_000_000)
                        : JobText.of("disk-space.kb", Math.max(1, bytes / 1000));
    }
}
