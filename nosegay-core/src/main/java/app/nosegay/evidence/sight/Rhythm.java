package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * How far what is seen comes round again, as it does in repetitions and not in standing, walking about or gesturing: in the small
 * pictures of a take, how much more alike two of them are one period apart than half-way there. It asks neither how large a movement is
 * nor where.
 */
public final class Rhythm {
    /** Values per second. */
    static final double HZ = 2;
    /** Pairs of pictures are compared over this long a stretch, in seconds: two repetitions of most moves. */
    private static final double STRETCH = 6;
    /** Somebody who steps aside and back again does that once: what comes round does so over this long a stretch, too, in seconds. */
    private static final double LONG_STRETCH = 11;
    /** Repetitions show only this long after they began and before they end, in seconds. */
    private static final double LOST_AT_EDGES = 1.5;
    /** Repetitions and steps take this long, in seconds. */
    private static final double SHORTEST = 0.6;

    private static final double LONGEST = 5;
    /** The difference has to stand this far above that of neighbouring pictures: sensor noise comes round at any time. */
    private static final double ABOVE_NOISE = 3;
    /**
     * Grey values are whole numbers: two pictures, each cell the mean of two, differ by this much by rounding alone (a twelfth of a step
     * is the variance of each). Less is the breathing of somebody who stands still, which comes round, too.
     */
    private static final double ROUNDING = 1 / 12.0;

    /** How lively a cell is, is told from pictures this far apart, in seconds. */
    private static final double APART = 0.5;
    /** So many of the cells are still in nearly every take, in shares of them; … */
    private static final double STILL_SHARE = 0.2;
    /** … those that change by so many times as much are looked at, … */
    private static final double ABOVE_STILL = 3;
    /** … and at least so many. */
    private static final int FEWEST_CELLS = 40;

    private final double poseHz;
    private final int cells;
    private final int count;
    private final float[][] pictures;

    private Rhythm(TakeEvidence.Poses poses) {
        poseHz = poses.hz();
        cells = poses.cells();
        count = poses.count();
        pictures = new float[count][];
        for (int i = 0; i < count; i++) {
            pictures[i] = even(poses.grey(), i * cells);
        }
        int[] lively = lively();
        for (int i = 0; i < count; i++) {
            float[] whole = pictures[i];
            float[] some = new float[lively.length];
            for (int c = 0; c < lively.length; c++) {
                some[c] = whole[lively[c]];
            }
            pictures[i] = some;
        }
    }

    /** The cells in which more happens than sensor noise: in most of a picture nobody ever moves. */
    private int[] lively() {
        int size = cells / 2;
        int lag = Math.max(1, (int) Math.round(APART * poseHz));
        double[] changes = new double[size];
        for (int i = lag; i < count; i++) {
            for (int c = 0; c < size; c++) {
                double d = pictures[i][c] - pictures[i - lag][c];
                changes[c] += d * d;
            }
        }
        double[] sorted = changes.clone();
        Arrays.sort(sorted);
        double least =
                Math.min(ABOVE_STILL * sorted[(int) (STILL_SHARE * size)], sorted[Math.max(0, size - FEWEST_CELLS)]);
        return IntStream.range(0, size).filter(c -> changes[c] >= least).toArray();
    }

    /** Nothing comes round: 0; exactly: 1. {@value #HZ} values a second; none where there are no pictures. */
    public static Trace of(TakeEvidence.Poses poses) {
        return poses == null || poses.count() < poses.hz() * STRETCH ? Trace.NONE : new Rhythm(poses).trace();
    }

    /** A picture with half the cells, freed of its brightness. */
    private float[] even(byte[] grey, int from) {
        float[] out = new float[cells / 2];
        float mean = 0;
        for (int i = 0; i < out.length; i++) {
            out[i] = ((grey[from + 2 * i] & 0xff) + (grey[from + 2 * i + 1] & 0xff)) / 2f;
            mean += out[i] / out.length;
        }
        for (int i = 0; i < out.length; i++) {
            out[i] -= mean;
        }
        return out;
    }

    private Trace trace() {
        int shortest = (int) Math.round(SHORTEST * poseHz);
        int longest = (int) Math.round(LONGEST * poseHz);
        int step = Math.max(1, (int) Math.round(poseHz / 5));
        int values = (int) (count / poseHz * HZ);
        double[][] byLag = new double[longest + 1][];
        double[] near = summed(1);
        for (int lag = shortest / 2; lag <= longest; lag += lag < poseHz ? 1 : step) {
            byLag[lag] = summed(lag);
        }
        float[] rhythm = new float[values];
        float[] lasting = new float[values];
        for (int v = 0; v < values; v++) {
            rhythm[v] = (float) at(v / HZ, STRETCH, byLag, near, shortest);
            lasting[v] = (float) at(v / HZ, LONG_STRETCH, byLag, near, shortest);
        }
        lasting = widened(lasting, (LONG_STRETCH - STRETCH) / 2 + LOST_AT_EDGES);
        for (int v = 0; v < values; v++) {
            rhythm[v] = Math.min(rhythm[v], lasting[v]);
        }
        return new Trace(HZ, widened(rhythm, LOST_AT_EDGES));
    }

    /** A stretch has to lie in the repetitions almost whole before they show: they begin before and end after that. */
    private static float[] widened(float[] rhythm, double seconds) {
        int reach = (int) Math.round(seconds * HZ);
        float[] wide = new float[rhythm.length];
        for (int v = 0; v < rhythm.length; v++) {
            for (int u = Math.max(0, v - reach); u <= Math.min(rhythm.length - 1, v + reach); u++) {
                wide[v] = Math.max(wide[v], rhythm[u]);
            }
        }
        return wide;
    }

    /** How deep the deepest dip of the differences over the distance in time is. */
    private double at(double seconds, double stretch, double[][] byLag, double[] near, int shortest) {
        double noise = mean(near, seconds, stretch, 1);
        double highest = 0;
        double deepest = 0;
        for (int lag = 0; lag < byLag.length; lag++) {
            if (byLag[lag] == null) {
                continue;
            }
            double difference = mean(byLag[lag], seconds, stretch, lag);
            if (lag >= shortest && highest > 0) {
                deepest = Math.max(deepest, 1 - difference / highest);
            }
            highest = Math.max(highest, difference);
        }
        double clear = Math.max(0, Math.min(1, highest / (ABOVE_NOISE * Math.max(noise, ROUNDING)) - 0.5));
        return deepest * clear;
    }

    /** Running sum of the mean squared difference of the pictures {@code lag} apart, indexed by the earlier one. */
    private double[] summed(int lag) {
        double[] sum = new double[Math.max(1, count - lag + 1)];
        for (int i = 0; i + lag < count; i++) {
            float[] a = pictures[i];
            float[] b = pictures[i + lag];
            float total = 0;
            for (int c = 0; c < a.length; c++) {
                float d = a[c] - b[c];
                total += d * d;
            }
            sum[i + 1] = sum[i] + total / a.length;
        }
        return sum;
    }

    /** The mean over the stretch whose pairs lie evenly about {@code seconds}. */
    private double mean(double[] sum, double seconds, double stretch, int lag) {
        double middle = seconds * poseHz - lag / 2.0;
        double half = stretch / 2 * poseHz - lag / 2.0;
        int from = (int) Math.max(0, Math.min(sum.length - 1, Math.round(middle - half)));
        int to = (int) Math.max(from, Math.min(sum.length - 1, Math.round(middle + half)));
        return to == from ? 0 : (sum[to] - sum[from]) / (to - from);
    }
}
