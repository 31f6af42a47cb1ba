package app.nosegay.bench;

import app.nosegay.jobs.Media;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.match.Pin;
import app.nosegay.media.JoinedRecording;
import app.nosegay.media.Progress;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Collections;
import java.util.List;
import java.util.Locale;

/**
 * {@code nosegay bench --long}: a long take, made of a short one looped by stream copy, is read, matched and rendered in a process of its
 * own with a heap of 1 GiB; what it held at most is read from the system.
 */
final class LongBench {
    private static final String HEAP = "-Xmx1g";

    private LongBench() {}

    /** Makes the take and lets another process work on it. */
    static void row(Class<?> command, PrintWriter out, Path minute, int minutes, Path folder)
            throws IOException, InterruptedException {
        Path take = folder.resolve("long.mp4");
        JoinedRecording.write(Collections.nCopies(minutes, minute), take, Progress.NONE);
        out.printf(Locale.ROOT, "a take of %d minutes, %d MB%n", minutes, Files.size(take) >> 20);
        out.flush();
        Process child = new ProcessBuilder(List.of(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        HEAP,
                        "-cp",
                        System.getProperty("java.class.path"),
                        command.getName(),
                        "--long-take",
                        take.toString(),
                        "--minutes",
                        "" + minutes))
                .redirectError(ProcessBuilder.Redirect.INHERIT)
                .start();
        try (var lines = child.inputReader()) {
            lines.lines().forEach(line -> {
                out.println(line);
                out.flush();
            });
        }
        if (child.waitFor() != 0) {
            throw new IOException("the long take could not be worked on within " + HEAP);
        }
    }

    /** Reads, matches and renders; runs in the process that has little memory. */
    static void work(PrintWriter out, Path take, int minutes) throws IOException {
        StringBuilder sheet = new StringBuilder("title: Long\ntalk Hi  0:30\n");
        sheet.append("circuit A  rounds ")
                .append(Math.max(1, (minutes - 2) / 3))
                .append("  work 0:40  rest 0:20\n");
        sheet.append("  squat\n  push-up\n  plank\ntalk Bye  0:30\n");
        Path folder = take.getParent();
        long began = System.nanoTime();
        Workout workout = Workout.EMPTY
                .withSheet(sheet.toString())
                .withTake(Media.reference(folder, "t", take, minutes * 60, null, null))
                // A minute over and over is hardly this workout; a pin says that it is meant to be.
                .withPin(new Pin("hi", false, "t", Time.zero()));
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        double read = (System.nanoTime() - began) / 1e9;
        tell(out, "read", minutes, read);
        began = System.nanoTime();
        Programme programme = media.programme(workout);
        out.printf(
                Locale.ROOT,
                "   matched: %d segments in %.2f s%n",
                programme.match().segments().size(),
                (System.nanoTime() - began) / 1e9);
        began = System.nanoTime();
        PublishJob.write(
                Output.VIDEO,
                new PublishJob.Export(
                        programme,
                        media,
                        folder.resolve("long-out"),
                        true,
                        new PublishJob.Choices(
                                PublishVideo.Shape.AS_FILMED,
                                PublishVideo.Quality.DRAFT,
                                PublishJob.Choices.USUAL.template())),
                Progress.NONE);
        tell(out, "rendered (draft)", minutes, (System.nanoTime() - began) / 1e9);
        out.printf(Locale.ROOT, "%-42s %6.2f GiB bar ≤ 3 GiB, heap %s%n", "held at most", residentMiB() / 1024.0, HEAP);
        out.flush();
    }

    private static void tell(PrintWriter out, String what, int minutes, double seconds) {
        out.printf(
                Locale.ROOT,
                "   %s: %.0f s, %.1f × as fast as it plays, %d MiB so far%n",
                what,
                seconds,
                minutes * 60 / seconds,
                residentMiB());
        out.flush();
    }

    /** The largest resident set so far, in MiB, as Linux tells it; 0 elsewhere. */
    private static long residentMiB() {
        try {
            return Files.readAllLines(Path.of("/proc/self/status")).stream()
                    .filter(l -> l.startsWith("VmHWM"))
                    .mapToLong(l -> Long.parseLong(l.replaceAll("\\D", "")) / 1024)
                    .findFirst()
                    .orElse(0);
        } catch (IOException e) {
            return 0;
        }
    }
}
