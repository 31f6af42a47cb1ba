package app.nosegay.bench.faults;

import app.nosegay.dress.Style;
import app.nosegay.files.InputFile;
import app.nosegay.jobs.Demo;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.SeriesFile;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.library.MoveJson;
import app.nosegay.logbook.Logbook;
import app.nosegay.logbook.LogbookJson;
import app.nosegay.media.MediaException;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.series.Series;
import app.nosegay.shoot.ShootClock;
import app.nosegay.workout.Programme;
import app.nosegay.workout.StyleJson;
import app.nosegay.workout.Workout;
import app.nosegay.workout.WorkoutJson;
import java.io.IOException;
import java.io.InputStream;
import java.lang.management.ManagementFactory;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;

/** Mutated files of every kind, each read as Nosegay reads it: within time and memory, and with a sentence where it is refused. */
public final class HostileInputs {
    /** The bars of one input. */
    private static final double MOST_SECONDS = 2;

    private static final long MOST_BYTES = 256L << 20;
    private static final int HOPELESS_SECONDS = 60;

    /** Reads a file as its kind is read, as far as a user would get with it. */
    private interface Reader {
        void read(Path file) throws Exception;
    }

    private record Kind(String name, String file, byte[] sound, Reader reader) {}

    /** What a run found. */
    public static final class Outcome {
        private int inputs;
        private int refused;
        private double slowest;
        private long largest;
        private final Map<String, String> faults = new TreeMap<>();

        public int inputs() {
            return inputs;
        }

        public int refused() {
            return refused;
        }

        public double slowestSeconds() {
            return slowest;
        }

        /** Bytes the greediest of them had given out, collected or not: no less than it needed at a time. */
        public long largestBytes() {
            return largest;
        }

        /** By what went wrong, the first input that did. */
        public Map<String, String> faults() {
            return faults;
        }
    }

    private final Path folder;
    private final List<Kind> kinds = new ArrayList<>();
    private ExecutorService worker = newWorker();

    /**
     * @param take a short film, cut from a real recording
     */
    public HostileInputs(Path folder, Path take) throws IOException {
        this.folder = folder;
        Workout workout = Workout.EMPTY.withSheet(Demo.sheet());
        add("workout", "w.nosegay.json", WorkoutJson.write(workout), file -> computed(WorkoutFile.open(file)));
        add(
                "run sheet",
                "s.txt",
                Demo.sheet(),
                file -> computed(Workout.EMPTY.withSheet(InputFile.RUN_SHEET.text(file))));
        String vtt = words();
        add("transcript", "t.vtt", vtt, HostileInputs::calls);
        add("subtitles", "t.srt", vtt.replace("WEBVTT\n\n", "").replace('.', ','), HostileInputs::calls);
        add(
                "timed text",
                "t.txt",
                vtt.replaceAll("(?m)^00:(\\d\\d:\\d\\d)\\.\\d+ --> .*$", "$1"),
                HostileInputs::calls);
        ShootClock clock = clock(workout);
        add("shoot log", "l.log.json", clock.log().toJson(), WorkoutMedia::log);
        Series series = new Series("Week", List.of(new Series.Entry(1, "a.nosegay.json"), new Series.Entry(3, "b")));
        add("series", "w.series.json", series.toJson(), SeriesFile::open);
        add("moves", "moves.json", MoveJson.write(Libraries.current().moves().subList(0, 6)), Libraries::read);
        add(
                "style",
                "s.style.json",
                StyleJson.write(Style.PRESSED).toPrettyString(),
                file -> StyleJson.read(InputFile.STYLE.text(file)));
        Logbook logbook = Logbook.EMPTY
                .with(new Logbook.Entry("2026-01-02", Logbook.Kind.LESSON, "Legs", "Socks on the mat"))
                .withTime("Legs", "plan", 400);
        add(
                "logbook",
                "logbook.json",
                LogbookJson.write(logbook),
                file -> LogbookJson.read(InputFile.LOGBOOK.text(file)));
        kinds.add(
                new Kind("film", "f.mp4", Files.readAllBytes(take), file -> TakeReader.read(file, "t", Progress.NONE)));
    }

    private void add(String name, String file, String sound, Reader reader) {
        kinds.add(new Kind(name, file, sound.getBytes(StandardCharsets.UTF_8), reader));
    }

    private static String words() throws IOException {
        try (InputStream in = HostileInputs.class.getResourceAsStream("words.vtt")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    private static ShootClock clock(Workout workout) {
        Programme programme = computed(workout);
        return new ShootClock(programme.timeline(), programme.cues(), 0, 7, "2026-01-02T03:04:05", true);
    }

    private static Programme computed(Workout workout) {
        return Programme.of(workout.withTakes(List.of(), List.of()), List.of(), List.of(), Libraries.current());
    }

    private static void calls(Path file) throws IOException {
        app.nosegay.calls.reader.CallReader.read(
                WorkoutMedia.transcript(file), Libraries.current().names());
    }

    private static ExecutorService newWorker() {
        return Executors.newSingleThreadExecutor(r -> {
            Thread t = new Thread(r, "hostile");
            t.setDaemon(true);
            return t;
        });
    }

    /** Reads {@code count} mutated files, the kinds in turn. */
    public Outcome run(int count, long seed) throws IOException {
        Outcome outcome = new Outcome();
        for (Kind kind : kinds) {
            // An application that runs has loaded its data and its code; the first input of a kind is not to pay for
            // it.
            one(kind, "as it was", Files.write(folder.resolve(kind.file()), kind.sound()), new Outcome());
        }
        for (int i = 0; i < count; i++) {
            Random random = new Random(seed * 1_000_003 + i);
            Kind kind = kinds.get(i % kinds.size());
            byte[] bytes = kind.sound();
            String how = "";
            for (int k = 0; k <= random.nextInt(3) && bytes.length > 0; k++) {
                Mutation mutation = Mutation.values()[random.nextInt(Mutation.values().length)];
                bytes = mutation.of(bytes, random);
                how += " " + mutation;
            }
            one(kind, i + how, Files.write(folder.resolve(kind.file()), bytes), outcome);
        }
        worker.shutdownNow();
        return outcome;
    }

    private void one(Kind kind, String input, Path file, Outcome outcome) {
        outcome.inputs++;
        Spent spent = new Spent();
        try {
            worker.submit(() -> {
                        try (spent) {
                            spent.began();
                            kind.reader().read(file);
                        }
                        return null;
                    })
                    .get(HOPELESS_SECONDS, TimeUnit.SECONDS);
            outcome.largest = Math.max(outcome.largest, spent.bytes);
        } catch (ExecutionException e) {
            refused(kind, input, e.getCause(), outcome);
        } catch (TimeoutException e) {
            fault(kind, "never ends", input, outcome);
            worker.shutdownNow();
            worker = newWorker();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
        double seconds = spent.seconds;
        outcome.slowest = Math.max(outcome.slowest, seconds);
        if (seconds > MOST_SECONDS) {
            fault(
                    kind,
                    "takes longer than " + MOST_SECONDS + " s",
                    input + String.format(" (%.1f s)", seconds),
                    outcome);
        }
    }

    /** What reading a file cost the thread that read it: processor time, as other programs must not count. */
    private static final class Spent implements AutoCloseable {
        private final com.sun.management.ThreadMXBean threads =
                (com.sun.management.ThreadMXBean) ManagementFactory.getThreadMXBean();
        private volatile long bytes;
        private volatile double seconds;

        void began() {
            bytes = -threads.getCurrentThreadAllocatedBytes();
            seconds = -threads.getCurrentThreadCpuTime() / 1e9;
        }

        @Override
        public void close() {
            bytes += threads.getCurrentThreadAllocatedBytes();
            seconds += threads.getCurrentThreadCpuTime() / 1e9;
        }
    }

    private static void refused(Kind kind, String input, Throwable why, Outcome outcome) {
        outcome.refused++;
        if (!(why instanceof IOException)) {
            StackTraceElement[] at = why.getStackTrace();
            fault(
                    kind,
                    why.getClass().getSimpleName() + (at.length == 0 ? "" : " at " + at[0]),
                    input + ": " + why.getMessage(),
                    outcome);
            return;
        }
        String said = why.getMessage();
        boolean odd = said == null
                || said.isBlank()
                || said.lines().count() > 1
                || said.length() < 25
                || said.contains("Exception")
                || said.contains("line: ");
        if (odd && !(why instanceof MediaException)) {
            fault(kind, "is refused without a sentence", input + ": " + said, outcome);
        }
    }

    private static void fault(Kind kind, String what, String input, Outcome outcome) {
        Map<String, String> first = new LinkedHashMap<>(outcome.faults);
        first.putIfAbsent(kind.name() + ": " + what, input);
        outcome.faults.putAll(first);
    }

    /** The bars, for the report. */
    public static String bars() {
        return String.format(
                "within %.0f s of processor time and %d MB each, no exception", MOST_SECONDS, MOST_BYTES >> 20);
    }
}
