package app.nosegay.cli;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.Media;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.match.Pin;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.time.Time;
import app.nosegay.workout.Workout;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

/** Publishing in a process of its own that is killed, or finds no room: nothing half-written passes for finished, and it can go on. */
class PublishTroubleTest {
    private static final int WIDTH = 640;
    private static final int HEIGHT = 360;
    private static final int SECONDS = 30;

    @TempDir
    private static Path folder;

    private static Path workout;

    /** What a process printed and how it ended. */
    private record Ended(int code, String err) {}

    @BeforeAll
    static void film() throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        BufferedImage frame = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        int[] pixels = ((DataBufferInt) frame.getRaster().getDataBuffer()).getData();
        Random grain = new Random(1);
        try (MovieWriter writer = new MovieWriter(
                movie,
                new MovieFormat(WIDTH, HEIGHT, new FrameRate(30, 1), EncoderSettings.DRAFT, false),
                "",
                List.of())) {
            for (int n = 0; n < SECONDS * 30; n++) {
                // Grain like this takes an encoder long, and much room.
                for (int i = 0; i < pixels.length; i++) {
                    pixels[i] = 0x303030 + 0x010101 * grain.nextInt(64);
                }
                writer.picture(frame, n);
            }
            writer.finish();
        }
        Workout with = Workout.EMPTY
                .withSheet("title: Trouble\ntalk Hi  0:10\ncircuit A  work 0:12\n  squat\ntalk Bye  0:08\n")
                .withTake(Media.reference(folder, "take-1", movie, SECONDS, null, null));
        double at = 0;
        for (String id : List.of("hi", "a/squat", "bye")) {
            with = with.withPin(new Pin(id, false, "take-1", Time.ofSeconds(at)));
            at += id.equals("hi") ? 10 : 12;
        }
        workout = folder.resolve("trouble" + WorkoutFile.ENDING);
        WorkoutFile.save(workout, with);
    }

    private static Process start(String before, Path out) throws IOException {
        List<String> command = new ArrayList<>();
        if (!before.isEmpty()) {
            command.addAll(List.of("bash", "-c", before + "; exec \"$@\"", "bash"));
        }
        command.addAll(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-cp",
                System.getProperty("java.class.path"),
                "app.nosegay.cli.Main",
                "publish",
                workout.toString(),
                "--out",
                out.toString(),
                "--only",
                "video",
                "--overwrite"));
        return new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectError(out.resolveSibling(out.getFileName() + ".err").toFile())
                .start();
    }

    private static Ended end(Process process, Path out) throws Exception {
        assertThat(process.waitFor(120, TimeUnit.SECONDS)).isTrue();
        String err = Files.readString(out.resolveSibling(out.getFileName() + ".err"), StandardCharsets.UTF_8);
        return new Ended(
                process.exitValue(),
                String.join(
                        "\n", err.lines().filter(l -> l.startsWith("nosegay:")).toList()));
    }

    private static List<String> files(Path out) throws IOException {
        if (!Files.exists(out)) {
            return List.of();
        }
        try (Stream<Path> files = Files.list(out)) {
            return files.map(f -> f.getFileName().toString())
                    .filter(f -> !f.startsWith("."))
                    .sorted()
                    .toList();
        }
    }

    @Test
    void aKilledRenderLeavesNothingThatPassesForAVideoAndTheNextOneFinishes() throws Exception {
        Path out = folder.resolve("killed");
        Process process = start("", out);
        Path part = out.resolve("video.mp4.part");
        while (process.isAlive() && (!Files.exists(part) || Files.size(part) < 100_000)) {
            Thread.onSpinWait();
        }
        process.destroyForcibly().waitFor();
        assertThat(files(out)).as("killed in the middle").containsExactly("video.mp4.part");

        Ended again = end(start("", out), out);

        assertThat(again.code()).isZero();
        assertThat(files(out)).containsExactly("video.mp4");
        assertThat(MediaInput.probe(out.resolve("video.mp4")).length().seconds())
                .isBetween(SECONDS - 1.0, SECONDS + 1.0);
    }

    /** A process that may not write files larger than 2 MiB is told so like one whose disk is full. */
    @Test
    @EnabledOnOs(OS.LINUX)
    void noRoomForTheVideoIsSaidInOneLineAndLeavesNothing() throws Exception {
        Path out = folder.resolve("full");
        Ended full = end(start("ulimit -f 2048", out), out);
        assertThat(full.code()).isEqualTo(2);
        assertThat(full.err()).hasLineCount(1).contains("video.mp4");
        assertThat(files(out)).isEmpty();
    }

    @Test
    void aFolderThatCannotBeWrittenIsNamed() throws Exception {
        Path file = Files.writeString(folder.resolve("a-file"), "not a folder");
        Ended refused = end(start("", file), file);
        assertThat(refused.code()).isEqualTo(2);
        assertThat(refused.err()).hasLineCount(1).contains("a-file");
        assertThat(file).hasContent("not a folder");
    }
}
