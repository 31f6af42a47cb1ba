package app.nosegay.bench;

import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import java.util.Arrays;

/** How the bench times something, and the timelines it does so with. */
final class Timing {
    /** Every figure is the median of so many runs. */
    static final int RUNS = 3;

    private Timing() {}

    /** Something timed. */
    @FunctionalInterface
    interface Timed {
        void run() throws Exception;
    }

    static double median(Timed timed) throws Exception {
        return medians(timed)[0];
    }

    /** The median of each, run in turn: what else the machine does then is shared by all. */
    static double[] medians(Timed... timed) throws Exception {
        double[][] seconds = new double[timed.length][RUNS];
        for (Timed t : timed) {
            t.run(); // warms caches and compiler
        }
        for (int i = 0; i < RUNS; i++) {
            for (int t = 0; t < timed.length; t++) {
                long began = System.nanoTime();
                timed[t].run();
                seconds[t][i] = (System.nanoTime() - began) / 1e9;
            }
        }
        return Arrays.stream(seconds)
                .peek(Arrays::sort)
                .mapToDouble(s -> s[RUNS / 2])
                .toArray();
    }

    static Timeline timeline(String sheet) {
        return Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current());
    }
}
