package app.nosegay.bench;

import app.nosegay.bench.calls.CallSheet;
import app.nosegay.bench.calls.MarksLearner;
import app.nosegay.bench.faults.FaultsBench;
import app.nosegay.match.features.Feature;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code nosegay bench}: the figures, each the median of three, ratios within one run. */
@Command(
        name = "nosegay bench",
        mixinStandardHelpOptions = true,
        description = "Measure reading, rendering, matching and start-up.")
public final class BenchCommand implements Callable<Integer> {
    private static final int DONE = 0;
    private static final int BAD_INPUT = 2;
    private static final List<String> PARTS =
            List.of("filming", "reading", "rendering", "matching", "planning", "proving", "starting");
    static final int WIDTH = 1920;
    static final int HEIGHT = 1080;
    static final double TAKE_SECONDS = 20;
    private static final double MINUTE_SECONDS = 60;
    static final FrameRate RATE = new FrameRate(30, 1);

    @Option(names = "--seed", defaultValue = "1", description = "of the simulated evidence; default ${DEFAULT-VALUE}")
    private long seed;

    @Option(
            names = "--accuracy",
            description = "how far matching, counting, calls, findings and loudness are from the truth on simulated "
                    + "takes, eight of them filmed; instead of times")
    private boolean accuracy;

    @Option(
            names = "--runs",
            defaultValue = "70",
            description = "mixed runs per plan and level with --accuracy; default ${DEFAULT-VALUE}")
    private int runs;

    @Option(
            names = "--only",
            paramLabel = "PART",
            description = "one part: reading, rendering, matching, planning, proving or starting")
    private String only;

    @Option(
            names = "--long",
            description = "a long take read, matched and rendered with little memory, instead of times")
    private boolean longTake;

    @Option(
            names = "--minutes",
            defaultValue = "60",
            description = "length of the take with --long; default ${DEFAULT-VALUE}")
    private int minutes;

    @Option(names = "--long-take", hidden = true, description = "what the process with little memory works on")
    private Path longWork;

    @Option(
            names = "--without",
            paramLabel = "FEATURE",
            split = ",",
            description = "with --accuracy: as if the matcher did not know these: ${COMPLETION-CANDIDATES}",
            completionCandidates = Features.class)
    private List<String> without = List.of();

    @Option(names = "--ablation", description = "what each feature of the matcher is worth at each level of evidence")
    private boolean ablation;

    @Option(
            names = "--faults",
            description = "kills, hostile inputs, full disks and random actions in the window, instead of times")
    private boolean faults;

    @Option(
            names = "--kills",
            defaultValue = "200",
            description = "processes killed with --faults; default ${DEFAULT-VALUE}")
    private int kills;

    @Option(
            names = "--inputs",
            defaultValue = "10000",
            description = "mutated inputs with --faults; default ${DEFAULT-VALUE}")
    private int inputs;

    @Option(
            names = "--acting",
            defaultValue = "20",
            description = "minutes of random actions with --faults; default ${DEFAULT-VALUE}")
    private double acting;

    @Option(names = "--levels", hidden = true, description = "one row of the ablation as numbers")
    private boolean levels;

    @Option(
            names = "--learn-marks",
            paramLabel = "DIR",
            description =
                    "learn from the sheets where full stops and commas belong and write the model to DIR, instead of times")
    private Path learnt;

    @Option(
            names = "--demo-take",
            paramLabel = "DIR",
            description = "make the demo's take again, as it is shipped, and write it to DIR, instead of times")
    private Path demoTake;

    @Spec
    private CommandSpec spec;

    /** The names {@code --without} takes. */
    static final class Features implements Iterable<String> {
        @Override
        public Iterator<String> iterator() {
            return Arrays.stream(Feature.values()).map(Feature::word).iterator();
        }
    }

    public static void main(String[] args) {
        // Features are read when the matcher is first used: what is off has to be known before.
        for (int i = 0; i + 1 < args.length; i++) {
            if (args[i].equals("--without")) {
                System.setProperty(Feature.PROPERTY, args[i + 1]);
            }
        }
        System.exit(new CommandLine(new BenchCommand())
                .setExecutionExceptionHandler((e, command, result) -> {
                    if (e instanceof IOException) {
                        command.getErr().println("nosegay bench: " + e.getMessage());
                        return BAD_INPUT;
                    }
                    throw e;
                })
                .execute(args));
    }

    @Override
    public Integer call() throws Exception {
        PrintWriter out = spec.commandLine().getOut();
        if (longWork != null) {
            LongBench.work(out, longWork, minutes);
            return DONE;
        }
        for (String name : without) {
            if (Arrays.stream(Feature.values()).noneMatch(f -> f.word().equals(name))) {
                throw new IOException("\"" + name + "\" is no feature of the matcher; see --help");
            }
        }
        if (levels) {
            Ablation.levels(out, runs);
            return DONE;
        }
        if (ablation) {
            Ablation.table(out, BenchCommand.class, runs);
            return DONE;
        }
        if (learnt != null) {
            MarksLearner.write(CallSheet.names(false), learnt);
            return DONE;
        }
        Path folder = Files.createTempDirectory("nosegay-bench");
        if (only != null && !PARTS.contains(only)) {
            Files.delete(folder);
            throw new IOException("\"" + only + "\" is no part of the bench; known are " + String.join(", ", PARTS));
        }
        try {
            inFolder(out, folder);
        } finally {
            try (var files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
        return DONE;
    }

    /** What needs room for files. */
    private void inFolder(PrintWriter out, Path folder) throws Exception {
        if (accuracy) {
            new AccuracyBench(out).rows(runs, folder);
        } else if (demoTake != null) {
            DemoTake.make(folder, demoTake);
        } else if (faults) {
            faults(out, folder);
        } else if (longTake) {
            Path minute = RenderBench.film(folder.resolve("minute.mp4"), MINUTE_SECONDS);
            LongBench.row(BenchCommand.class, out, minute, minutes, folder);
        } else {
            times(out, folder);
            out.flush();
        }
    }

    private void faults(PrintWriter out, Path folder) throws Exception {
        FaultsBench bench = new FaultsBench(out, folder);
        bench.disks();
        bench.kills(kills, seed);
        bench.inputs(inputs, seed);
        if (acting > 0) {
            bench.actions(Duration.ofSeconds(Math.round(acting * 60)), seed);
        }
    }

    /** The rows of times, all of them or one part. */
    private void times(PrintWriter out, Path folder) throws Exception {
        boolean films = wanted("reading") || wanted("rendering");
        Path take = films ? RenderBench.film(folder.resolve("take.mp4"), TAKE_SECONDS) : null;
        out.printf(
                Locale.ROOT,
                "%d processors; take %dx%d, 30 frames a second, %.0f s; median of %d%n",
                Runtime.getRuntime().availableProcessors(),
                WIDTH,
                HEIGHT,
                TAKE_SECONDS,
                Timing.RUNS);
        if (wanted("filming")) {
            FilmBench.rows(out, folder);
        }
        if (wanted("reading")) {
            Path proxy = folder.resolve("proxy.mp4");
            double[] both =
                    Timing.medians(() -> decodeOnly(take), () -> TakeReader.read(take, "t", proxy, Progress.NONE));
            double decode = both[0];
            double read = both[1];
            row(out, "reading a take ÷ bare decode", read / decode, "≤ 1.3", read, decode);
            LookBench.scrubbing(out, take, proxy, TAKE_SECONDS);
            LookBench.people(out, proxy, TAKE_SECONDS);
        }
        if (wanted("rendering")) {
            RenderBench.rows(out, take, folder);
        }
        if (wanted("matching")) {
            MatchBench.rows(out, seed);
        }
        if (wanted("planning")) {
            PlanBench.rows(out);
        }
        if (wanted("proving")) {
            ProofBench.rows(out);
        }
        if (wanted("starting")) {
            LookBench.startUp(out, Timing.RUNS);
            LookBench.scrolling(out, folder);
            LookBench.gestures(out, folder);
        }
    }

    private boolean wanted(String part) {
        return only == null || only.equals(part);
    }

    static void row(PrintWriter out, String what, double ratio, String bar, double a, double b) {
        out.printf(Locale.ROOT, "%-42s %6.2f   bar %-8s (%.2f s against %.2f s)%n", what, ratio, bar, a, b);
        out.flush();
    }

    private static void decodeOnly(Path take) throws IOException {
        try (MediaInput input = new MediaInput(take, true, true)) {
            while (input.next() != MediaInput.Kind.END) {
                // only decoding
            }
        }
    }
}
