package app.nosegay.media;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.javacpp.Loader;

/**
 * The programs {@code ffmpeg} and {@code ffprobe} as they come with the library, run as processes: they make and look at files for
 * tests.
 */
public final class Ffmpeg {
    private Ffmpeg() {}

    /** Runs {@code ffmpeg} with the words of {@code arguments}; fails with what it printed. */
    public static void run(String arguments, Path... files) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Loader.load(org.bytedeco.ffmpeg.ffmpeg.class));
        command.addAll(List.of("-y", "-v", "error"));
        for (String word : arguments.split(" ")) {
            command.add(word.startsWith("$") ? files[word.charAt(1) - '0'].toString() : word);
        }
        output(command);
    }

    /** What {@code ffprobe} prints for the words of {@code arguments} and a file. */
    public static String probe(String arguments, Path file) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Loader.load(org.bytedeco.ffmpeg.ffprobe.class));
        command.addAll(List.of(("-v error " + arguments).split(" ")));
        command.add(file.toString());
        return output(command);
    }

    private static String output(List<String> command) throws IOException {
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        // What the programs are linked with lies beside them.
        builder.environment()
                .put("LD_LIBRARY_PATH", Path.of(command.get(0)).getParent().toString());
        Process process = builder.start();
        process.getOutputStream().close();
        String printed = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        try {
            if (process.waitFor() != 0) {
                throw new IOException(String.join(" ", command) + "\n" + printed);
            }
        } catch (InterruptedException e) {
            process.destroy();
            Thread.currentThread().interrupt();
        }
        return printed;
    }
}
