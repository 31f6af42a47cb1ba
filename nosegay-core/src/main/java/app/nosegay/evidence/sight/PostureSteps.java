package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * When the position somebody keeps, or moves about, goes over into another one: the mean picture of a few seconds differs from that of
 * the seconds before. It tells stretches and holds apart that follow each other, though nothing moves in either, and one move from the
 * next where no rest lies between.
 */
public final class PostureSteps {
    /** Values per second; the mean of what is in between counts. */
    private static final double HZ = 5;
    /** What is compared: so many seconds before, … */
    private static final double STRETCH = 4;
    /** … and after, with this long between them, in seconds, in which one changes over. */
    private static final double BETWEEN = 1;
    /** A change is the largest within this, in seconds, either way. */
    private static final double ALONE = 2.5;
    /** What is usual around it is taken from here … */
    private static final double NEAR = 5;
    /** … to here, in seconds. */
    private static final double FAR = 15;
    /** Mean squared grey value that sensor noise and changes of light leave. */
    private static final double NOISE = 0.2;
    /** A change has to be so many times as large as what is usual around it, … */
    private static final double LEAST = 2;
    /** … and at so many times it tells all it can. */
    private static final double PLAIN = 12;
    /** What has at least this share of the largest is its top. */
    private static final double TOP = 0.95;
    /** Somebody is stiller after a moment than before it if the pictures vary so many times less, … */
    private static final double CALMER = 3;
    /** … and plainly if so many times less. */
    private static final double STILL = 20;

    /** @param strength 0 to 1 */
    public record Step(double seconds, double strength) {}

    private final int count;
    private final int cells;
    /** Running sums of the pictures, at half their width and freed of their brightness, … */
    private final double[][] sums;
    /** … and of the mean square of their cells. */
    private final double[] squares;

    private PostureSteps(TakeEvidence.Poses poses) {
        cells = poses.cells() / 2;
        count = (int) (poses.count() / poses.hz() * HZ);
        sums = new double[count + 1][];
        squares = new double[count + 1];
        sums[0] = new double[cells];
        for (int v = 0; v < count; v++) {
            int from = (int) Math.round(v / HZ * poses.hz());
            int to = Math.max(from + 1, Math.min(poses.count(), (int) Math.round((v + 1) / HZ * poses.hz())));
            sums[v + 1] = sums[v].clone();
            squares[v + 1] = squares[v];
            add(v + 1, poses, from, to);
        }
    }

    /**
     * @param position where one position goes over into another, in order
     * @param stillness where somebody who moved about comes to rest, or the other way round, in order
     */
    public record Steps(List<Step> position, List<Step> stillness) {}

    /** What the pictures of a take show; nothing where there are none. */
    public static Steps in(TakeEvidence.Poses poses) {
        return poses == null || poses.count() < poses.hz() * (2 * STRETCH + BETWEEN)
                ? new Steps(List.of(), List.of())
                : new PostureSteps(poses).steps();
    }

    private Steps steps() {
        double[] size = sizes();
        double[] sorted = size.clone();
        Arrays.sort(sorted);
        double least = NOISE + sorted[sorted.length / 4];
        double[] calmed = calmed();
        List<Step> position = new ArrayList<>();
        List<Step> stillness = new ArrayList<>();
        for (int v = 0; v < count; v++) {
            if (size[v] > least && isLargest(size, v)) {
                double times = size[v] / (least + Math.max(usual(size, v, -1), usual(size, v, 1)));
                if (times >= LEAST) {
                    position.add(new Step(middle(size, v), Math.min(1, Math.log(1 + times) / Math.log(1 + PLAIN))));
                }
            }
            if (calmed[v] >= Math.log(CALMER) && isLargest(calmed, v)) {
                stillness.add(new Step(middle(calmed, v), Math.min(1, calmed[v] / Math.log(STILL))));
            }
        }
        return new Steps(position, stillness);
    }

    private static int bins(double seconds) {
        return (int) Math.round(seconds * HZ);
    }

    private static boolean isLargest(double[] size, int v) {
        int reach = bins(ALONE);
        for (int u = Math.max(0, v - reach); u <= Math.min(size.length - 1, v + reach); u++) {
            if (size[u] > size[v] || size[u] == size[v] && u < v) {
                return false;
            }
        }
        return true;
    }

    /** The middle of the top that {@code v} is on, in seconds: a change at once is as large wherever it lies between what is compared. */
    private static double middle(double[] size, int v) {
        int from = v;
        int to = v;
        while (from > 0 && v - from < bins(BETWEEN) && size[from - 1] >= TOP * size[v]) {
            from--;
        }
        while (to + 1 < size.length && to - v < bins(BETWEEN) && size[to + 1] >= TOP * size[v]) {
            to++;
        }
        return (from + to) / 2.0 / HZ;
    }

    /** What is usual on one side of {@code v}: the median from {@value #NEAR} to {@value #FAR} seconds away. */
    private static double usual(double[] size, int v, int side) {
        int near = v + side * bins(NEAR);
        int far = v + side * bins(FAR);
        int from = Math.max(0, Math.min(near, far));
        int to = Math.min(size.length, Math.max(near, far));
        if (to <= from) {
            return 0;
        }
        double[] there = Arrays.copyOfRange(size, from, to);
        Arrays.sort(there);
        return there[there.length / 2];
    }

    /** How much the mean picture after each moment differs from that before it. */
    private double[] sizes() {
        int half = bins(BETWEEN / 2);
        int stretch = bins(STRETCH);
        double[] size = new double[count];
        for (int v = stretch + half; v + stretch + half <= count; v++) {
            double total = 0;
            for (int c = 0; c < cells; c++) {
                double before = sums[v - half][c] - sums[v - half - stretch][c];
                double after = sums[v + half + stretch][c] - sums[v + half][c];
                total += (after - before) * (after - before);
            }
            size[v] = total / cells / (stretch * stretch);
        }
        return size;
    }

    /** How many times more the pictures vary before each moment than after it, or the other way round, in logarithms. */
    private double[] calmed() {
        int half = bins(BETWEEN / 2);
        int stretch = bins(STRETCH);
        double[] calmed = new double[count];
        for (int v = stretch + half; v + stretch + half <= count; v++) {
            double before = NOISE + variance(v - half - stretch, v - half);
            double after = NOISE + variance(v + half, v + half + stretch);
            calmed[v] = Math.abs(Math.log(before / after));
        }
        return calmed;
    }

    private double variance(int from, int to) {
        double mean = 0;
        for (int c = 0; c < cells; c++) {
            double m = (sums[to][c] - sums[from][c]) / (to - from);
            mean += m * m / cells;
        }
        return Math.max(0, (squares[to] - squares[from]) / (to - from) - mean);
    }

    /** Adds the mean of the pictures in between. */
    private void add(int v, TakeEvidence.Poses poses, int from, int to) {
        double[] picture = new double[cells];
        double bright = 0;
        for (int i = from; i < to; i++) {
            for (int c = 0; c < cells; c++) {
                int at = i * poses.cells() + 2 * c;
                double grey = ((poses.grey()[at] & 0xff) + (poses.grey()[at + 1] & 0xff)) / 2.0 / (to - from);
                picture[c] += grey;
                bright += grey / cells;
            }
        }
        for (int c = 0; c < cells; c++) {
            double grey = picture[c] - bright;
            sums[v][c] += grey;
            squares[v] += grey * grey / cells;
        }
    }
}
