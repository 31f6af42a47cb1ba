package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import java.util.Arrays;
import java.util.stream.IntStream;

/**
 * Where the repetitions of a set begin and end, told from its own middle: the pictures there come round at one period, and outwards from
 * there each is like the one a period further in as long as the set lasts. Whoever walks about in a rest is not where the repetition is,
 * and whoever stands still does not move away and come back.
 */
public final class SetEdges {
    /** A repetition takes this long, in seconds, … */
    private static final double SHORTEST = 0.8;
    /** … to this. */
    private static final double LONGEST = 6;
    /** The middle of the set: so much of it at either side is left out of it. */
    private static final double MIDDLE = 0.25;
    /** The middle has to hold so many repetitions. */
    private static final double FEWEST = 2.5;
    /** A longer period has to come round better by so much: two repetitions come round as one does. */
    private static final double DEEPER = 0.05;
    /** Pictures a period apart differ by no more than this share of what pictures half-way apart do. */
    private static final double COMES_ROUND = 0.6;
    /**
     * What is further from coming round than the middle of the set, by this share of the way to pictures half-way apart, is not of the set.
     */
    private static final double ROUND = 0.3;
    /** Less than this share of what pictures half-way apart differ by is no movement. */
    private static final double MOVES = 0.3;
    /** The tempo varies by this share. */
    private static final double VARIES = 0.1;
    /** Edges are looked for this far outside, in seconds. */
    private static final double REACH = 8;
    /** So many of the cells that change most are looked at. */
    private static final int CELLS = 80;

    private final double hz;
    private final int first;
    private final float[][] pictures;
    private final double from;
    private final double to;
    private int period;
    private double away;
    private double least;

    private SetEdges(TakeEvidence.Poses poses, double from, double to) {
        hz = poses.hz();
        this.from = from;
        this.to = to;
        first = Math.max(0, (int) ((from - REACH - LONGEST) * hz));
        int last = Math.min(poses.count(), (int) ((to + REACH + LONGEST) * hz));
        int[] lively =
                lively(poses, index(from + MIDDLE * (to - from)) + first, index(to - MIDDLE * (to - from)) + first);
        pictures = new float[Math.max(0, last - first)][];
        for (int i = 0; i < pictures.length; i++) {
            pictures[i] = picture(poses, first + i, lively);
        }
    }

    /**
     * A moment at which the set begins, and one at which it ends, in seconds; NaN where that is not told. And how long a repetition
     * takes, or two or three where one does not fall on whole pictures.
     */
    public record Edges(double start, double end, double period) {
        static final Edges UNKNOWN = new Edges(Double.NaN, Double.NaN, Double.NaN);
    }

    /** The edges of what is done from about {@code from} to about {@code to}, in seconds. */
    public static Edges of(TakeEvidence.Poses poses, double from, double to) {
        if (poses == null || (to - from) * (1 - 2 * MIDDLE) < FEWEST * SHORTEST || to * poses.hz() > poses.count()) {
            return Edges.UNKNOWN;
        }
        SetEdges set = new SetEdges(poses, from, to);
        return set.comesRound() ? new Edges(set.edge(-1), set.edge(1), set.period / set.hz) : Edges.UNKNOWN;
    }

    private int index(double seconds) {
        return (int) Math.round(seconds * hz) - first;
    }

    private static float mean(TakeEvidence.Poses poses, int i) {
        long sum = 0;
        for (int c = 0; c < poses.cells(); c++) {
            sum += poses.grey()[i * poses.cells() + c] & 0xff;
        }
        return (float) sum / poses.cells();
    }

    private static float[] picture(TakeEvidence.Poses poses, int i, int[] cells) {
        float mean = mean(poses, i);
        float[] out = new float[cells.length];
        for (int c = 0; c < cells.length; c++) {
            out[c] = (poses.grey()[i * poses.cells() + cells[c]] & 0xff) - mean;
        }
        return out;
    }

    /** The cells that vary most from one picture to another. */
    private static int[] lively(TakeEvidence.Poses poses, int from, int to) {
        double[] sum = new double[poses.cells()];
        double[] square = new double[poses.cells()];
        for (int i = from; i < to; i++) {
            for (int c = 0; c < poses.cells(); c++) {
                int grey = poses.grey()[i * poses.cells() + c] & 0xff;
                sum[c] += grey;
                square[c] += grey * grey;
            }
        }
        double[] varies = new double[poses.cells()];
        int n = Math.max(1, to - from);
        for (int c = 0; c < varies.length; c++) {
            varies[c] = square[c] / n - sum[c] / n * sum[c] / n;
        }
        double[] sorted = varies.clone();
        Arrays.sort(sorted);
        double least = sorted[Math.max(0, sorted.length - CELLS)];
        return IntStream.range(0, varies.length)
                .filter(c -> varies[c] >= least)
                .limit(CELLS)
                .toArray();
    }

    private boolean comesRound() {
        int a = index(from + MIDDLE * (to - from));
        int b = index(to - MIDDLE * (to - from));
        double highest = 0;
        double best = 0;
        int longest = (int) Math.min(LONGEST * hz, (b - a) / FEWEST);
        for (int lag = (int) (SHORTEST * hz / 2); lag <= longest; lag++) {
            double d = apart(a, b - lag, lag);
            if (highest > 0 && lag >= SHORTEST * hz && 1 - d / highest > best + DEEPER) {
                best = 1 - d / highest;
                period = lag;
                away = highest;
            }
            highest = Math.max(highest, d);
        }
        // The median: a hitch in the middle says nothing of the rest.
        double[] near = new double[Math.max(1, b - a)];
        for (int t = a; t < b; t++) {
            near[t - a] = inwards(t, t < (a + b) / 2 ? 1 : -1);
        }
        Arrays.sort(near);
        double round = near[near.length / 2];
        least = round + ROUND * (away - round);
        return period > 0 && round < COMES_ROUND * away;
    }

    /** The mean squared difference of pictures {@code lag} apart. */
    private double apart(int a, int b, int lag) {
        double sum = 0;
        int n = 0;
        for (int i = Math.max(0, a); i < b; i++) {
            if (i + lag >= 0 && i + lag < pictures.length) {
                sum += difference(pictures[i], pictures[i + lag]);
                n++;
            }
        }
        return n == 0 ? 0 : sum / n;
    }

    private static double difference(float[] a, float[] b) {
        double sum = 0;
        for (int c = 0; c < a.length; c++) {
            double d = a[c] - b[c];
            sum += d * d;
        }
        return sum / a.length;
    }

    /**
     * The first moment (−1) or last (1) that is of the set: what lies between it and the middle comes round most of all. NaN beyond
     * reach.
     */
    private double edge(int side) {
        int start = side < 0 ? index(from + MIDDLE * (to - from)) : index(to - MIDDLE * (to - from));
        int limit = side < 0 ? Math.max(0, index(from - REACH)) : Math.min(pictures.length - 1, index(to + REACH));
        double sum = 0;
        double most = 0;
        int best = start;
        for (int t = start; side < 0 ? t >= limit : t <= limit; t += side) {
            sum += moves(t, -side) ? least - inwards(t, -side) : -least;
            if (sum > most) {
                most = sum;
                best = t;
            }
        }
        return best == start || Math.abs(best - limit) < hz ? Double.NaN : (first + best) / hz;
    }

    /** Whether there is movement from {@code t} inwards, in the time of one repetition: who stands still comes round, too. */
    private boolean moves(int t, int side) {
        for (int lag = 1; lag <= period; lag++) {
            int in = t + side * lag;
            if (in >= 0 && in < pictures.length && difference(pictures[t], pictures[in]) > MOVES * away) {
                return true;
            }
        }
        return false;
    }

    /** How far the picture at {@code t} is from the one a repetition further in. */
    private double inwards(int t, int side) {
        double nearest = Double.MAX_VALUE;
        int varies = (int) Math.round(VARIES * period);
        for (int lag = period - varies; lag <= period + varies; lag++) {
            int in = t + side * lag;
            if (in >= 0 && in < pictures.length) {
                nearest = Math.min(nearest, difference(pictures[t], pictures[in]));
            }
        }
        return nearest;
    }
}
