package app.nosegay.jobs;

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

/** The demo workout: an invented channel for allotment gardeners, filmed in a potting shed by the simulated camera. */
public final class Demo {
    /** Chosen once: this run is late into three sets and stops for water once. */
    public static final long SEED = 12;

    public static final Set<Trouble> TROUBLES = EnumSet.of(Trouble.LATE_START, Trouble.CLOCK_RATE, Trouble.HOLD);
    public static final String NAME = "potting-shed-strength";

    private Demo() {}

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

    /** The demo's workout file in {@code folder}, filmed there when it has not been yet; one that somebody changed is left as it is. */
    public static Path prepare(Path folder, Progress progress) throws IOException {
        Path file = folder.resolve(NAME + WorkoutFile.ENDING);
        WrittenFiles written = WrittenFiles.in(folder);
        boolean theirs = written.standing(file) == WrittenFiles.Standing.SOMEBODYS;
        if (!theirs && !isReady(file, folder)) {
            Workout workout = film(
                    new Workout(sheet(), List.of(), List.of()), folder, SEED, TROUBLES, new GuideVoice(), progress);
            WorkoutFile.save(file, workout);
            written.wrote(file);
        }
        return file;
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
        SimulatedTake.Written written =
                SimulatedTake.make(timeline, library, folder, id, seed, troubles, voice, progress);
        double seconds = MediaInput.probe(written.movie()).length().seconds();
        return workout.withTake(
                Media.reference(folder, id, written.movie(), seconds, written.transcript(), written.log()));
    }
}
