package app.nosegay.media;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.concurrent.TimeUnit;

/**
 * Opens a file nobody here has seen before in a process of its own and decodes its first seconds there: decoders are native code, and what
 * crashes one must not take the window along. Where no {@code java} is beside the program (some packaged images) it is done in place.
 */
public final class MediaCheck {
    private static final int SECONDS = 3;
    private static final int MOST_SECONDS_OF_WORK = 30;
    private static final int REFUSED = 3;

    private MediaCheck() {}

    /** Gives what is in {@code file} once its first seconds were decoded without harm. */
    public static MediaInfo check(Path file) throws IOException {
        Path java = Path.of(System.getProperty("java.home"), "bin", "java");
        if (Files.isExecutable(java)) {
            List<String> command = new ArrayList<>(List.of(
                    java.toString(),
                    "-Xmx256m",
                    "-XX:+UseSerialGC",
                    "-XX:-CreateCoredumpOnCrash",
                    "-XX:ErrorFile=/dev/null",
                    "-cp",
                    System.getProperty("java.class.path"),
                    MediaCheck.class.getName(),
                    file.toString()));
            run(file, command);
        }
        return MediaInput.probe(file);
    }

    /** Runs the check; fails with a sentence when it is refused, crashes or does not end. */
    static void run(Path file, List<String> command) throws IOException {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        process.getOutputStream().close();
        try {
            byte[] said = process.getInputStream().readNBytes(10_000);
            if (!process.waitFor(MOST_SECONDS_OF_WORK, TimeUnit.SECONDS)) {
                throw new MediaException(file, MediaText.of("media-check.takes-too-long", MOST_SECONDS_OF_WORK));
            }
            if (process.exitValue() == REFUSED) {
                throw new IOException(new String(said, StandardCharsets.UTF_8).strip());
            }
            if (process.exitValue() != 0) {
                throw new MediaException(file, MediaText.of("media-check.crashed"));
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new CancellationException();
        } finally {
            process.destroyForcibly();
        }
    }

    /** The process: exits 0 when the first seconds of the file were decoded, {@value #REFUSED} with a sentence when it is refused. */
    public static void main(String[] args) {
        Path file = Path.of(args[0]);
        Thread tooLong = new Thread(MediaCheck::end, "too-long");
        tooLong.setDaemon(true);
        tooLong.start();
        try {
            decode(file);
        } catch (MediaException e) {
            System.out.println(e.getMessage());
            System.exit(REFUSED);
        }
        tooLong.interrupt();
    }

    private static void decode(Path file) throws MediaException {
        try (MediaInput input = new MediaInput(file, true, true)) {
            input.info();
            MediaInput.Kind kind = input.next();
            while (kind != MediaInput.Kind.END && input.time().seconds() < SECONDS) {
                kind = input.next();
            }
        }
    }

    /** A file that cannot be decoded to an end must not leave the process behind. */
    private static void end() {
        try {
            TimeUnit.SECONDS.sleep(MOST_SECONDS_OF_WORK);
        } catch (InterruptedException done) {
            return;
        }
        Runtime.getRuntime().halt(1);
    }
}
