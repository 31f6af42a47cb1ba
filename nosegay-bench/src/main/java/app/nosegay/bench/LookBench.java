package app.nosegay.bench;

import app.nosegay.jobs.SightJob;
import app.nosegay.media.Progress;
import app.nosegay.media.Scrubber;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;

/** How quickly things are seen: a moment of a take, the window, the lines of the Score. */
final class LookBench {
    private static final int MOMENTS = 60;
    private static final int WIDTH = 1280;
    private static final int HEIGHT = 720;
    /** A plan of this many blocks and moves has over 400 intervals. */
    private static final int BLOCKS = 40;

    private static final int MOVES = 5;

    private LookBench() {}

    /** How long it takes to look for the people in a take, against its length. */
    static void people(PrintWriter out, Path proxy, double seconds) throws Exception {
        long began = System.nanoTime();
        int people = SightJob.bodies(proxy, () -> false, Progress.NONE).people().size();
        double took = (System.nanoTime() - began) / 1e9;
        out.printf(
                Locale.ROOT,
                "%-42s %6.2f   bar ≤ 0.2 for one, 0.5 for three (%d found)%n",
                "looking for people ÷ length of the take",
                took / seconds,
                people);
        out.flush();
    }

    /** Time from asking for a moment of a take, anywhere in it, to its first picture and to the exact one. */
    static void scrubbing(PrintWriter out, Path take, Path proxy, double seconds) throws Exception {
        Random random = new Random(3);
        double[] first = new double[MOMENTS];
        double[] exact = new double[MOMENTS];
        BlockingQueue<BufferedImage> shown = new LinkedBlockingQueue<>();
        try (Scrubber scrubber = new Scrubber("bench", f -> proxy, out::println)) {
            for (int i = -3; i < MOMENTS; i++) {
                long began = System.nanoTime();
                scrubber.show(take, Time.ofSeconds(random.nextDouble() * (seconds - 1)), WIDTH, HEIGHT, shown::add);
                double near = await(shown, take, began);
                double there = await(shown, take, began);
                if (i >= 0) {
                    first[i] = near;
                    exact[i] = there;
                }
            }
        }
        Arrays.sort(first);
        Arrays.sort(exact);
        int slow = MOMENTS * 95 / 100;
        out.printf(
                Locale.ROOT,
                "%-42s %6.1f ms bar ≤ 50 ms (median %.1f ms; the exact frame median %.1f ms, slow %.1f ms)%n",
                "scrubbing to a picture, 95th percentile",
                1000 * first[slow],
                1000 * first[MOMENTS / 2],
                1000 * exact[MOMENTS / 2],
                1000 * exact[slow]);
    }

    private static double await(BlockingQueue<BufferedImage> shown, Path take, long began) throws Exception {
        if (shown.poll(30, TimeUnit.SECONDS) == null) {
            throw new IOException(take.getFileName() + ": no picture came");
        }
        return (System.nanoTime() - began) / 1e9;
    }

    /** Starts the window in a process of its own, which ends as soon as it is shown. */
    static void startUp(PrintWriter out, int runs) throws Exception {
        if (!hasScreen()) {
            out.println("start to first usable window                 not measured: there is no screen");
            return;
        }
        double seconds = Timing.median(() -> window("-Dnosegay.exit-when-shown=true", "app.nosegay.cli.Main"));
        out.printf(
                Locale.ROOT, "%-42s %6.2f s bar ≤ 3 s (median of %d)%n", "start to first usable window", seconds, runs);
    }

    private static final int BED_BLOCKS = 10;
    private static final int BED_MOVES = 5;

    /** Scrolls a long Score for ten seconds in a process of its own. */
    static void scrolling(PrintWriter out, Path folder) throws Exception {
        if (!hasScreen()) {
            out.println("scrolling the Score                          not measured: there is no screen");
            return;
        }
        Path sheet = Files.writeString(folder.resolve("long.txt"), PlanBench.sheet(BLOCKS, MOVES));
        String said = window("-Dnosegay.scroll-score=" + sheet, ScoreScroll.class.getName())
                .strip();
        out.printf(
                Locale.ROOT,
                "%-42s %6s ms bar ≤ 33 ms (from frame to frame, over 10 s)%n",
                "scrolling the Score, 99th percentile",
                said.substring(said.lastIndexOf('\n') + 1));
    }

    /** Gestures on the bed of a long plan, in a process of its own. */
    static void gestures(PrintWriter out, Path folder) throws Exception {
        if (!hasScreen()) {
            out.println("a gesture on the bed                         not measured: there is no screen");
            return;
        }
        Path sheet = Files.writeString(folder.resolve("bed.txt"), PlanBench.sheet(BED_BLOCKS, BED_MOVES));
        String said = window("-Dnosegay.bed-gesture=" + sheet, BedGesture.class.getName())
                .strip();
        out.printf(
                Locale.ROOT,
                "%-42s %6s ms bar ≤ 16 ms (edit, plan and laid-out bed, median of 41)%n",
                "a gesture on the bed, about 125 segments",
                said.substring(said.lastIndexOf('\n') + 1));
    }

    private static boolean hasScreen() {
        return System.getenv("DISPLAY") != null
                || !System.getProperty("os.name").startsWith("Linux");
    }

    private static String window(String property, String main) throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString()));
        String archive = System.getProperty("nosegay.archive", "");
        if (Files.exists(Path.of(archive)) && !archive.isEmpty()) {
            command.add("-XX:SharedArchiveFile=" + archive);
        }
        command.addAll(List.of(property, "-cp", System.getProperty("java.class.path"), main));
        Process window = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        String said = new String(window.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        if (window.waitFor() != 0) {
            throw new IOException("the window did not open");
        }
        return said;
    }
}
