package app.nosegay.bench;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.plan.fit.Fitter;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptNotes;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import app.nosegay.workout.WorkoutJson;
import java.io.IOException;
import java.io.PrintWriter;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/** The rows of {@code nosegay bench} for Plan and Script: what happens at each keystroke, the fitter, the cue planner, opening. */
final class PlanBench {
    /** Enough runs for the compiler to have done its work, as it has after a minute of typing. */
    private static final int WARM_UP = 60;

    private static final int RUNS = 21;
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private PlanBench() {}

    /** Something timed. */
    @FunctionalInterface
    private interface Timed {
        Object run() throws IOException;
    }

    static void rows(PrintWriter out) throws IOException {
        String hundred = sheet(10, 5);
        int segments = timeline(hundred).segments().size();
        row(
                out,
                "a keystroke in a plan of " + segments + " segments: all of it",
                16,
                () -> Programme.of(Workout.EMPTY.withSheet(hundred), List.of(), List.of(), LIBRARY));
        Timeline forty = timeline(sheet(8, 5).replace("promise: 60 min", "promise: 35 min"));
        row(out, "fitter, 40 moves", 200, () -> Fitter.fit(forty, LIBRARY, FitRanges.DEFAULT));
        Timeline sixty = timeline(sheet(6, 5));
        row(
                out,
                "cue planner, " + sixty.segments().size() + " segments",
                300,
                () -> CuePlanner.plan(sixty, LIBRARY, ScriptNotes.NONE));
        String file = WorkoutJson.write(Workout.EMPTY.withSheet(sheet(40, 5)));
        Programme large = Programme.of(WorkoutJson.read(file), List.of(), List.of(), LIBRARY);
        row(
                out,
                "opening " + large.timeline().segments().size() + " segments, "
                        + large.cues().lines().size() + " cues",
                1000,
                () -> Programme.of(WorkoutJson.read(file), List.of(), List.of(), LIBRARY));
    }

    static String sheet(int blocks, int moves) {
        List<String> names =
                List.of("squat", "push-up", "single-arm row  sides halves", "plank", "reverse lunge  sides alternate");
        StringBuilder sheet = new StringBuilder(
                "title: Bench\npromise: 60 min\naudience: general, beginner\ngear: kettlebell medium\ntalk "
                        + "Hi  0:40\nwarm-up  each 0:30\n  march in place\n");
        for (int b = 0; b < blocks; b++) {
            sheet.append("circuit Bed ").append(b).append("  work 0:40  rest 0:20\n");
            for (int m = 0; m < moves; m++) {
                sheet.append("  ").append(names.get(m % names.size())).append("\n    form: Tall and steady.\n");
            }
        }
        return sheet.append("cool-down  each 0:30\n  calf stretch  sides separate\ntalk Bye  0:30\n")
                .toString();
    }

    private static Timeline timeline(String sheet) {
        return Expansion.expand(RunSheetParser.parse(sheet, LIBRARY), LIBRARY);
    }

    private static void row(PrintWriter out, String what, double barMillis, Timed timed) throws IOException {
        for (int i = 0; i < WARM_UP; i++) {
            timed.run();
        }
        double[] millis = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long began = System.nanoTime();
            timed.run();
            millis[i] = (System.nanoTime() - began) / 1e6;
        }
        Arrays.sort(millis);
        out.printf(
                Locale.ROOT,
                "%-52s %7.1f ms  bar ≤ %.0f ms (slowest of %d: %.1f ms)%n",
                what,
                millis[RUNS / 2],
                barMillis,
                RUNS,
                millis[RUNS - 1]);
        out.flush();
    }
}
