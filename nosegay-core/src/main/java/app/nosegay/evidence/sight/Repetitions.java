package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * One set and the rest before it as rows of numbers at a steady rate: the small grey pictures, or the places of joints. They are
 * weighted by how still each number is at rest and searched for the period near the planned tempo in which they repeat best; along
 * the pattern that moves with it, a rep is a way out and back to where the rest before left off.
 */
public final class Repetitions {
    /** A rep may take this share of its planned time … */
    private static final double SHORTEST = 0.6;
    /** … up to this. */
    private static final double LONGEST = 1.7;
    /** How far people stray from the planned tempo: the standard deviation of the logarithm. */
    private static final double STRAYS = 0.25;
    /** Noise alone gives any period 2 / n of the changes; this many times as much is a rhythm. */
    private static final double OVER_NOISE = 3;
    /** Seconds of rest before a set that tell what moves anyway. */
    private static final double REST_SECONDS = 8;
    /** Camera noise under this is not told apart, in grey levels squared. */
    private static final double LEAST_NOISE = 0.3;
    /** So many cells, of those that change most, are looked at. */
    private static final int LIVELIEST = 120;
    /** Out is above this share of the way, back is below the other. */
    private static final double OUT = 0.6;

    private static final double BACK = 0.35;
    /** Back where it began, whatever trembles there. */
    private static final double HOME = 0.1;
    /** The last rep counts when it took this share of the others. */
    private static final double WHOLE = 0.94;
    /** So many reps tell the pace … */
    private static final int STEADY = 4;
    /** … by which the last one may be late by this share of a rep. */
    private static final double GRACE = 0.03;

    private final double hz;
    private final double end;
    private final int first;
    private final int n;
    private final int rest;
    private int cells;
    /** Whitened values, the rest first: [picture][cell]. */
    private double[][] values;

    /**
     * A set in a series of rows.
     *
     * @param stillUntil when the rest before the set ended, in seconds
     */
    private Repetitions(MovementRows rows, double start, double end, double stillUntil) {
        this.hz = rows.hz();
        this.end = end;
        this.cells = rows.cells();
        int from = (int) Math.round(start * hz);
        // A little beyond the end, to see the last return.
        int to = (int) Math.min(rows.count(), Math.round((end + 0.6) * hz));
        // A set that is planned beyond the end of the take has no rows, nor has the rest before it.
        int still = (int) Math.min(rows.count(), Math.round(stillUntil * hz));
        this.rest = Math.max(0, Math.min(still, (int) (REST_SECONDS * hz)));
        this.first = from;
        this.n = Math.max(0, to - from);
        values = new double[rest + n][];
        for (int i = 0; i < rest + n; i++) {
            values[i] = rows.row().apply(i < rest ? still - rest + i : from + i - rest);
        }
        whiten();
        keepTheLiveliest();
    }

    /** A set in the small pictures of a take. */
    public static Repetitions of(TakeEvidence.Poses poses, double start, double end, double stillUntil) {
        return new Repetitions(MovementRows.of(poses), start, end, stillUntil);
    }

    /** A set in the joints of one person; nothing where they only tremble. */
    public static Repetitions of(JointRows joints, double start, double end, double stillUntil) {
        return new Repetitions(MovementRows.of(joints, start, end), start, end, stillUntil);
    }

    /** What moves is in few of the cells: the others only cost time. */
    private void keepTheLiveliest() {
        if (cells <= LIVELIEST) {
            return;
        }
        double[] energy = new double[cells];
        for (int i = rest; i < rest + n; i++) {
            for (int c = 0; c < cells; c++) {
                energy[c] += values[i][c] * values[i][c];
            }
        }
        double[] sorted = energy.clone();
        Arrays.sort(sorted);
        double least = sorted[cells - LIVELIEST];
        int[] kept = IntStream.range(0, cells)
                .filter(c -> energy[c] >= least)
                .limit(LIVELIEST)
                .toArray();
        double[][] fewer = new double[values.length][kept.length];
        for (int i = 0; i < values.length; i++) {
            for (int c = 0; c < kept.length; c++) {
                fewer[i][c] = values[i][kept[c]];
            }
        }
        values = fewer;
        cells = kept.length;
    }

    /** Takes the set's mean off each cell and divides by how much the cell changes at rest. */
    private void whiten() {
        for (int c = 0; c < cells; c++) {
            double noise = 0;
            double before = 0;
            for (int i = 0; i < rest; i++) {
                before += values[i][c] / Math.max(1, rest);
            }
            for (int i = 0; i < rest; i++) {
                noise += Math.pow(values[i][c] - before, 2) / Math.max(1, rest);
            }
            double mean = 0;
            for (int i = rest; i < rest + n; i++) {
                mean += values[i][c] / n;
            }
            double scale = 1 / Math.sqrt(noise + LEAST_NOISE);
            for (int i = 0; i < rest + n; i++) {
                values[i][c] = (values[i][c] - mean) * scale;
            }
        }
    }

    /** The moments; none when there is no rhythm. */
    public List<Time<Axis.Take>> reps(double planned, boolean alternate) {
        double total = 0;
        for (int i = rest; i < rest + n; i++) {
            for (double v : values[i]) {
                total += v * v;
            }
        }
        double period = bestPeriod(planned, total);
        double pair = alternate ? bestPeriod(2 * planned, total) : 0;
        // Sides in turn mirror each other: the pair repeats where the single rep hardly does.
        boolean mirrored = pair > 0 && (period <= 0 || power(pair, total) > power(period, total));
        if (period <= 0 && !mirrored) {
            return List.of();
        }
        double[] y = along(mirrored ? pair : period);
        double single = mirrored ? pair / 2 : period;
        double restAt = level(y);
        double[] way = mirrored ? folded(y, restAt) : turned(y, restAt);
        return completed(smooth(way, single), single);
    }

    private double bestPeriod(double planned, double total) {
        double rhythm = OVER_NOISE * 2 / Math.max(1, n);
        double best = 0;
        double at = 0;
        double least = planned * SHORTEST;
        double most = Math.min(planned * LONGEST, n / hz / 1.5);
        for (double p = least; p <= most; p *= 1.015) {
            double stray = Math.log(p / planned) / STRAYS;
            double value = power(p, total) * Math.exp(-0.5 * stray * stray);
            if (value > best) {
                best = value;
                at = p;
            }
        }
        return at > 0 && power(at, total) >= rhythm ? at : 0;
    }

    /** The share of all changes that goes by {@code period}. */
    private double power(double period, double total) {
        double[][] a = component(period);
        double sum = 0;
        for (int c = 0; c < cells; c++) {
            sum += a[0][c] * a[0][c] + a[1][c] * a[1][c];
        }
        return total <= 0 ? 0 : 2 * sum / n / total;
    }

    /** Cosine and sine part of every cell at {@code period}. */
    private double[][] component(double period) {
        double[][] a = new double[2][cells];
        double turn = 2 * Math.PI / (period * hz);
        for (int i = 0; i < n; i++) {
            double cos = Math.cos(turn * i);
            double sin = Math.sin(turn * i);
            double[] picture = values[rest + i];
            for (int c = 0; c < cells; c++) {
                a[0][c] += picture[c] * cos;
                a[1][c] += picture[c] * sin;
            }
        }
        return a;
    }

    /** The pictures of rest and set along the pattern that goes to and fro with {@code period}. */
    private double[] along(double period) {
        double[][] a = component(period);
        double re = 0;
        double im = 0;
        for (int c = 0; c < cells; c++) {
            re += a[0][c] * a[0][c] - a[1][c] * a[1][c];
            im += 2 * a[0][c] * a[1][c];
        }
        double angle = 0.5 * Math.atan2(im, re);
        double[] pattern = new double[cells];
        for (int c = 0; c < cells; c++) {
            pattern[c] = (a[0][c] * Math.cos(angle) + a[1][c] * Math.sin(angle)) / besides(c, a[0][c], a[1][c]);
        }
        double[] y = new double[rest + n];
        for (int i = 0; i < y.length; i++) {
            for (int c = 0; c < cells; c++) {
                y[i] += pattern[c] * values[i][c];
            }
        }
        return y;
    }

    /** How much a number changes besides what goes by the period: what changes by itself says little of the reps. */
    private double besides(int cell, double cos, double sin) {
        double all = 0;
        for (int i = rest; i < rest + n; i++) {
            all += values[i][cell] * values[i][cell];
        }
        return Math.max(0, all - 2 * (cos * cos + sin * sin) / n) / n + 1;
    }

    /** Where the mover stands before the set: in the last second of the rest, or at its very start. */
    private double level(double[] y) {
        int from = Math.max(0, rest - (int) hz);
        int to = Math.max(from + 1, rest == 0 ? Math.min(y.length, 2) : rest);
        double[] before = Arrays.copyOfRange(y, from, to);
        Arrays.sort(before);
        return before[before.length / 2];
    }

    /** Turned so that the rest is low. */
    private double[] turned(double[] y, double restAt) {
        double[] set = Arrays.copyOfRange(y, rest, rest + n);
        double[] sorted = set.clone();
        Arrays.sort(sorted);
        double low = sorted[sorted.length / 20];
        double high = sorted[sorted.length - 1 - sorted.length / 20];
        boolean up = Math.abs(restAt - high) < Math.abs(restAt - low);
        for (int i = 0; up && i < set.length; i++) {
            set[i] = -set[i];
        }
        return set;
    }

    private double[] folded(double[] y, double restAt) {
        double[] set = Arrays.copyOfRange(y, rest, rest + n);
        double[] sorted = set.clone();
        Arrays.sort(sorted);
        // Between the two sides, rather than where the feet happened to stand.
        double low = sorted[sorted.length / 20];
        double high = sorted[sorted.length - 1 - sorted.length / 20];
        double middle = 0.5 * (low + high);
        double centre = Math.abs(restAt - middle) < 0.3 * (sorted[sorted.length - 1] - sorted[0]) ? restAt : middle;
        // Each side by its own reach: seen from an angle one goes less far than the other.
        for (int i = 0; i < set.length; i++) {
            double off = set[i] - centre;
            set[i] = Math.abs(off) / Math.max(1e-9, off > 0 ? high - centre : centre - low);
        }
        return set;
    }

    private double[] smooth(double[] values, double period) {
        int reach = (int) Math.max(1, Math.round(0.08 * period * hz));
        double[] out = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            int from = Math.max(0, i - reach);
            int to = Math.min(values.length - 1, i + reach);
            for (int j = from; j <= to; j++) {
                out[i] += values[j] / (to - from + 1);
            }
        }
        return out;
    }

    /** Where the way back is over: the lowest within {@code reach} before it goes out again. */
    private static int lowest(double[] way, int from, int reach, double back, double home) {
        int lowest = from;
        for (int j = from; j < Math.min(way.length, from + reach) && way[j] < back; j++) {
            lowest = way[j] < way[lowest] ? j : lowest;
            if (way[j] <= home) {
                return j;
            }
        }
        return lowest;
    }

    /** Whether the last rep was done to its end: by the steady pace of those before it, or by its own length where there are few. */
    private boolean isWhole(List<Time<Axis.Take>> found, double at, double last, double period) {
        int k = found.size();
        if (k < STEADY) {
            return at - last >= WHOLE * period;
        }
        double meanI = (k - 1) / 2.0;
        double meanT = found.stream().mapToDouble(Time::seconds).average().orElseThrow();
        double both = 0;
        double own = 0;
        for (int i = 0; i < k; i++) {
            both += (i - meanI) * (found.get(i).seconds() - meanT);
            own += (i - meanI) * (i - meanI);
        }
        double due = meanT + both / own * (k - meanI);
        return due <= end + GRACE * period && at - last >= 0.5 * period;
    }

    /** Out and back again, each at least half a period after the one before. */
    private List<Time<Axis.Take>> completed(double[] way, double period) {
        double[] sorted = way.clone();
        Arrays.sort(sorted);
        double low = sorted[sorted.length / 12];
        double high = sorted[sorted.length - 1 - sorted.length / 12];
        double out = low + OUT * (high - low);
        double back = low + BACK * (high - low);
        List<Time<Axis.Take>> found = new ArrayList<>();
        boolean isOut = false;
        double last = 0;
        for (int i = 0; i < way.length; i++) {
            if (!isOut && way[i] > out) {
                isOut = true;
            } else if (isOut && way[i] < back) {
                isOut = false;
                int lowest = lowest(way, i, (int) Math.round(0.4 * period * hz), back, low + HOME * (high - low));
                double at = lowest / hz;
                // Stopping half-way and standing up is no rep.
                boolean stops = first / hz + at > end - 0.35 * period;
                boolean whole = stops ? isWhole(found, at, last, period) : at - last >= 0.5 * period;
                if (whole) {
                    last = at;
                    found.add(Time.ofSeconds(Math.min(end, first / hz + at)));
                }
                i = lowest;
            }
        }
        return found;
    }
}
