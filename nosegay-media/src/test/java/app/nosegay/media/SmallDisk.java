package app.nosegay.media;

import static org.junit.jupiter.api.Assumptions.assumeTrue;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** A disk of a few megabytes, to be full on; where this user may not mount one, the test is skipped and says so. */
public final class SmallDisk implements AutoCloseable {
    private final Path folder;

    private SmallDisk(Path folder) {
        this.folder = folder;
    }

    /** Mounts one on a new {@code folder}. */
    public static SmallDisk of(Path folder, int megabytes) throws Exception {
        Files.createDirectories(folder);
        boolean mounted = run("mount", "-t", "tmpfs", "-o", "size=" + megabytes + "m", "tmpfs", folder.toString());
        assumeTrue(mounted, "no small disk can be mounted here");
        return new SmallDisk(folder);
    }

    public Path folder() {
        return folder;
    }

    /** Fills it but for {@code left} bytes. */
    public void fill(long left) throws IOException {
        byte[] block = new byte[4096];
        try (var out = Files.newOutputStream(folder.resolve("filler"))) {
            while (folder.toFile().getUsableSpace() > left) {
                out.write(block);
            }
        } catch (IOException e) {
            // Full: as wished.
        }
    }

    /** Makes room again. */
    public void empty() throws IOException {
        Files.delete(folder.resolve("filler"));
    }

    private static boolean run(String... command) throws Exception {
        try {
            return new ProcessBuilder(command)
                            .redirectErrorStream(true)
                            .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                            .start()
                            .waitFor()
                    == 0;
        } catch (IOException e) {
            return false;
        }
    }

    @Override
    public void close() throws Exception {
        run("umount", "-l", folder.toString());
    }
}
