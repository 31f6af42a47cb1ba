package app.nosegay.bench;

import app.nosegay.bench.calls.CallSheet;
import app.nosegay.bench.calls.MarksLearner;
import app.nosegay.bench.faults.FaultsBench;
import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dresser;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.jobs.Libraries;
import app.nosegay.match.Match;
import app.nosegay.match.features.Feature;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaInput;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.media.RenderJob;
import app.nosegay.media.Renderer;
import app.nosegay.media.TakeReader;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.PiecePainter;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
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
            List.of("reading", "rendering", "matching", "planning", "proving", "starting");
    private static final int WIDTH = 1920;
    private static final int HEIGHT = 1080;
    private static final double TAKE_SECONDS = 20;
    private static final double MINUTE_SECONDS = 60;
    private static final FrameRate RATE = new FrameRate(30, 1);
    private static final String SHORT_SHEET =
            "title: Bench\ncalls: 5, in 3, out 3\ncircuit A  rounds 1  work 0:10  rest 0:05\n  goblet squat\n  push-up\n";

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
            if (accuracy) {
                new AccuracyBench(out).rows(runs, folder);
                return DONE;
            }
            if (demoTake != null) {
                DemoTake.make(folder, demoTake);
                return DONE;
            }
            if (faults) {
                faults(out, folder);
                return DONE;
            }
            if (longTake) {
                LongBench.row(
                        BenchCommand.class, out, film(folder.resolve("minute.mp4"), MINUTE_SECONDS), minutes, folder);
                return DONE;
            }
            times(out, folder);
            out.flush();
        } finally {
            try (var files = Files.walk(folder)) {
                for (Path file : files.sorted(Comparator.reverseOrder()).toList()) {
                    Files.delete(file);
                }
            }
        }
        return DONE;
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
        Path take = films ? film(folder.resolve("take.mp4"), TAKE_SECONDS) : null;
        out.printf(
                Locale.ROOT,
                "%d processors; take %dx%d, 30 frames a second, %.0f s; median of %d%n",
                Runtime.getRuntime().availableProcessors(),
                WIDTH,
                HEIGHT,
                TAKE_SECONDS,
                Timing.RUNS);
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
            render(out, take, folder);
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

    private static void row(PrintWriter out, String what, double ratio, String bar, double a, double b) {
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

    /** A busy 1080p take with the grain of a real camera, which a drawn picture lacks. */
    private static Path film(Path file, double seconds) throws IOException {
        BufferedImage set = StudioBackdrop.paint(WIDTH, HEIGHT);
        Random random = new Random(1);
        for (int i = 0; i < WIDTH * HEIGHT; i++) {
            int grain = random.nextInt(9) - 4;
            int rgb = set.getRGB(i % WIDTH, i / WIDTH);
            set.setRGB(i % WIDTH, i / WIDTH, grained(rgb, grain));
        }
        BufferedImage frame = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        float[] sound = new float[2 * MovieWriter.SOUND_HZ / 30];
        try (MovieWriter writer = new MovieWriter(
                file, new MovieFormat(WIDTH, HEIGHT, RATE, EncoderSettings.FINISHED, true), "", List.of())) {
            for (int n = 0; n < seconds * 30; n++) {
                Graphics2D g = frame.createGraphics();
                g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
                int shake = n % 3 - 1;
                g.drawImage(set, shake, -shake, null);
                Figure.presenter()
                        .draw(
                                g,
                                Motion.of("squat"),
                                0.5 - 0.5 * Math.cos(n / 14.0),
                                false,
                                Figure.Prop.KETTLEBELL,
                                WIDTH / 2.0,
                                HEIGHT * 0.92,
                                HEIGHT * 0.6);
                g.dispose();
                for (int i = 0; i < sound.length; i++) {
                    sound[i] = (float) (0.02 * random.nextGaussian());
                }
                writer.picture(frame, n);
                writer.sound(sound, 0, sound.length / 2);
            }
            writer.finish();
        }
        return file;
    }

    private static int grained(int rgb, int grain) {
        int r = Math.max(0, Math.min(255, (rgb >> 16 & 0xff) + grain));
        int g = Math.max(0, Math.min(255, (rgb >> 8 & 0xff) + grain));
        int b = Math.max(0, Math.min(255, (rgb & 0xff) + grain));
        return r << 16 | g << 8 | b;
    }

    private static void render(PrintWriter out, Path take, Path folder) throws Exception {
        Timeline timeline = Timing.timeline(SHORT_SHEET);
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            Time<Axis.Take> start = Time.ofSeconds(1 + s.start().seconds() * 0.6);
            Time<Axis.Take> end = start.plus(s.duration().times(0.6));
            placed.add(new Match.Placed(s.id(), s.duration(), "t", start, end, start, end, 0, 0, false, false));
        }
        Match.Take described = new Match.Take("t", "take.mp4", Length.ofSeconds(TAKE_SECONDS), null, 0, List.of());
        Match match = new Match(List.of(described), placed, List.of(), Map.of());
        Cut cut = Cut.of(match);
        CuePlan cues = CuePlanner.plan(timeline, Libraries.current(), SpeechRate.DEFAULT);
        RenderJob dressed = new RenderJob(
                cut,
                Map.of("t", take),
                Dresser.dress(
                        new Edit(timeline, match, cut),
                        cues,
                        Dresser.RecordedEvidence.NOTHING,
                        Libraries.current(),
                        DressNotes.NONE,
                        Frame.LANDSCAPE),
                new PiecePainter(Style.PRESSED)::paint,
                WIDTH,
                HEIGHT,
                RATE,
                EncoderSettings.FINISHED,
                "",
                List.of());
        RenderJob bare = new RenderJob(
                cut,
                Map.of("t", take),
                null,
                new PiecePainter(Style.PRESSED)::paint,
                WIDTH,
                HEIGHT,
                RATE,
                EncoderSettings.FINISHED,
                "",
                List.of());
        double[] both = Timing.medians(
                () -> Renderer.render(bare, folder.resolve("bare.mp4"), Progress.NONE),
                () -> Renderer.render(dressed, folder.resolve("dressed.mp4"), Progress.NONE));
        double without = both[0];
        double with = both[1];
        row(out, "rendering with pieces ÷ bare transcode", with / without, "≤ 1.2", with, without);
        Path film = folder.resolve("again.mp4");
        Path memory = folder.resolve("again.parts");
        Renderer.render(dressed, film, memory, Progress.NONE);
        double again = Timing.median(() -> Renderer.render(dressed, film, memory, Progress.NONE));
        row(out, "rendering again, nothing changed ÷ whole", again / with, "none", again, with);
        out.printf(
                Locale.ROOT,
                "   (H.264, preset %s, quality %d, %dx%d, threads chosen by the encoder)%n",
                EncoderSettings.FINISHED.preset(),
                EncoderSettings.FINISHED.quality(),
                WIDTH,
                HEIGHT);
    }
}
