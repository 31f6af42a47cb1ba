package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.WrittenFiles;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.SimulatedTake;
import app.nosegay.standins.Trouble;
import app.nosegay.standins.Voice;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.zip.GZIPInputStream;

/** The demo workout: an invented channel for allotment gardeners, filmed in a potting shed by the simulated camera. */
public final class Demo {
    /** Chosen once: this run is late into three sets and stops for water once. */
    public static final long SEED = 12;

    public static final Set<Trouble> TROUBLES = EnumSet.of(Trouble.LATE_START, Trouble.CLOCK_RATE, Trouble.HOLD);
    public static final String NAME = "potting-shed-strength";

    private Demo() {}

    /** Where the demo is kept when nobody says otherwise. */
    public static Path home() {
        return Path.of(System.getProperty("user.home"), JobText.of("demo.folder"));
    }

    /** The demo's run sheet. */
    public static String sheet() {
        return sheet("demo");
    }

    /** All shipped run sheets. */
    public static List<String> sheets() {
        return List.of(sheet(), sheet("greenhouse-push"), sheet("compost-legs"));
    }

    /** One of the shipped run sheets: the demo's, or one of its neighbours in the week. */
    public static String sheet(String name) {
        try (InputStream in = Demo.class.getResourceAsStream(name + ".runsheet")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new IllegalStateException(JobText.of("demo.the-demos-run-sheet-is"), e);
        }
    }

    /**
     * The demo's workout file in {@code folder} with the take that is shipped, and what was read from it, so that all of it is there at
     * once. One that is there already is left as it is: somebody may have changed it.
     */
    public static Path place(Path folder) throws IOException {
        Path file = folder.resolve(NAME + WorkoutFile.ENDING);
        if (isTheirs(file, folder) || isReady(file, folder)) {
            return file;
        }
        Files.createDirectories(folder);
        Path movie = free(folder, "take", ".mp4");
        String stem = movie.getFileName().toString().replace(".mp4", "");
        AtomicFile.write(movie, out -> out.write(shipped("take-1.mp4")));
        Path transcript = folder.resolve(stem + ".vtt");
        AtomicFile.write(transcript, out -> out.write(shipped("take-1.vtt")));
        Path log = folder.resolve(stem + ".log.json");
        AtomicFile.write(log, out -> out.write(shipped("take-1.log.json")));
        byte[] reading = reading();
        if (EvidenceCache.isCurrent(reading)) {
            EvidenceCache.put(movie, folder, reading, shipped("take-1.bodies"));
        }
        double seconds = MediaInput.probe(movie).length().seconds();
        save(
                file,
                folder,
                new Workout(sheet(), List.of(), List.of())
                        .withTake(Media.reference(folder, "take-1", movie, seconds, transcript, log)));
        return file;
    }

    /** The demo's workout file in {@code folder}, filmed there when it has not been yet; one that somebody changed is left as it is. */
    public static Path prepare(Path folder, Progress progress) throws IOException {
        Path file = folder.resolve(NAME + WorkoutFile.ENDING);
        if (!isTheirs(file, folder) && !isReady(file, folder)) {
            save(
                    file,
                    folder,
                    film(
                            new Workout(sheet(), List.of(), List.of()),
                            folder,
                            SEED,
                            TROUBLES,
                            GuideVoice.loaded(),
                            progress));
        }
        return file;
    }

    private static void save(Path file, Path folder, Workout workout) throws IOException {
        WorkoutFile.save(file, workout);
        WrittenFiles.in(folder).wrote(file);
    }

    private static boolean isTheirs(Path file, Path folder) throws IOException {
        return WrittenFiles.in(folder).standing(file) == WrittenFiles.Standing.SOMEBODYS;
    }

    private static Path free(Path folder, String stem, String ending) {
        int n = 1;
        while (SimulatedTake.files(folder, stem + "-" + n).stream().anyMatch(Files::exists)) {
            n++;
        }
        return folder.resolve(stem + "-" + n + ending);
    }

    /** What is shipped of the demo's take. */
    static byte[] shipped(String name) throws IOException {
        try (InputStream in = Demo.class.getResourceAsStream("demo/" + name)) {
            return in.readAllBytes();
        }
    }

    /** What was read from the shipped take, unpacked. */
    static byte[] reading() throws IOException {
        try (InputStream in = new GZIPInputStream(Demo.class.getResourceAsStream("demo/take-1.reading.gz"))) {
            return in.readAllBytes();
        }
    }

    private static boolean isReady(Path file, Path folder) throws IOException {
        if (!Files.exists(file)) {
            return false;
        }
        Workout workout = WorkoutFile.open(file);
        return workout.sheet().equals(sheet())
                && workout.takes().stream().allMatch(t -> Files.exists(Media.resolved(folder, t.file())));
    }

    /** Has the simulated camera film the workout into {@code folder}; gives the workout with the new take. */
    public static Workout film(
            Workout workout, Path folder, long seed, Set<Trouble> troubles, Voice voice, Progress progress)
            throws IOException {
        MoveLibrary library = Libraries.current();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(workout.sheet(), library), library);
        if (timeline.segments().isEmpty()) {
            throw new IOException(JobText.of("demo.there-is-nothing-to-film"));
        }
        int n = 1;
        while (workout.hasTake("take-" + n)
                || SimulatedTake.files(folder, "take-" + n).stream().anyMatch(Files::exists)) {
            n++;
        }
        String id = "take-" + n;
        SimulatedTake.Written written = SimulatedTake.make(
                timeline, library, new SimulatedTake.Run(folder, id, seed, troubles), voice, progress);
        double seconds = MediaInput.probe(written.movie()).length().seconds();
        return workout.withTake(
                Media.reference(folder, id, written.movie(), seconds, written.transcript(), written.log()));
    }
}
