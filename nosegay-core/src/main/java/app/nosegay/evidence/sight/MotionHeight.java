package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import java.util.Arrays;

/**
 * How high in the picture things move: a person who works standing moves the head, one on the floor moves nothing above the hips of one who
 * stands. Told from the small pictures alone, against the range of the same take.
 */
public final class MotionHeight {
    /** Values per second. */
    static final double HZ = 2;
    /** Pictures are compared this far apart, in seconds. */
    private static final double APART = 0.2;
    /** What moves is gathered over this long, in seconds: a repetition of most moves. */
    private static final double STRETCH = 3;
    /** Grey values below this are sensor noise. */
    private static final int NOISE = 3;
    /** The height above which this share of what moves lies. */
    private static final double ABOVE = 0.15;
    /** Less movement than this in a whole stretch, in grey values, tells of no height. */
    private static final double LEAST = 60;
    /** When the heights of a take differ by less, in shares of the picture, all of it happens in one position. */
    private static final double TELLING = 0.12;

    private MotionHeight() {}

    /**
     * −1 as low as anything moves in this take, 1 as high, 0 where nothing is known; {@value #HZ} a second; none where heights hardly
     * differ.
     */
    public static Trace of(TakeEvidence.Poses poses) {
        if (poses == null || poses.count() < poses.hz() * STRETCH) {
            return Trace.NONE;
        }
        float[] heights = heights(poses);
        float[] known = new float[heights.length];
        int n = 0;
        for (float h : heights) {
            if (!Float.isNaN(h)) {
                known[n++] = h;
            }
        }
        Arrays.sort(known, 0, n);
        if (n < heights.length / 4 || known[(int) (n * 0.9)] - known[(int) (n * 0.1)] < TELLING) {
            return Trace.NONE;
        }
        float low = known[(int) (n * 0.1)];
        float high = known[(int) (n * 0.9)];
        float[] values = new float[heights.length];
        for (int i = 0; i < values.length; i++) {
            values[i] =
                    Float.isNaN(heights[i]) ? 0 : Math.max(-1, Math.min(1, 2 * (heights[i] - low) / (high - low) - 1));
        }
        return new Trace(HZ, values);
    }

    private static float[] heights(TakeEvidence.Poses poses) {
        int width = TakeEvidence.Poses.WIDTH;
        int rows = poses.cells() / width;
        int lag = Math.max(1, (int) Math.round(APART * poses.hz()));
        double[][] sums = new double[rows][poses.count() + 1];
        for (int i = 0; i < poses.count(); i++) {
            for (int r = 0; r < rows; r++) {
                sums[r][i + 1] = sums[r][i] + (i < lag ? 0 : moved(poses, i - lag, i, r * width, width));
            }
        }
        float[] heights = new float[(int) (poses.count() / poses.hz() * HZ)];
        for (int v = 0; v < heights.length; v++) {
            int from = (int) Math.max(0, Math.round((v / HZ - STRETCH / 2) * poses.hz()));
            int to = (int) Math.min(poses.count(), Math.round((v / HZ + STRETCH / 2) * poses.hz()));
            heights[v] = height(sums, from, to);
        }
        return heights;
    }

    private static double moved(TakeEvidence.Poses poses, int earlier, int later, int from, int width) {
        int total = 0;
        for (int c = from; c < from + width; c++) {
            int a = poses.grey()[earlier * poses.cells() + c] & 0xff;
            int b = poses.grey()[later * poses.cells() + c] & 0xff;
            total += Math.max(0, Math.abs(a - b) - NOISE);
        }
        return total;
    }

    /** From 0 at the bottom of the picture to 1 at its top; not a number when too little moves. */
    private static float height(double[][] sums, int from, int to) {
        double all = 0;
        for (double[] row : sums) {
            all += row[to] - row[from];
        }
        if (all < LEAST) {
            return Float.NaN;
        }
        double above = 0;
        for (int r = 0; r < sums.length; r++) {
            double here = sums[r][to] - sums[r][from];
            if (above + here >= ABOVE * all) {
                double part = (ABOVE * all - above) / here;
                return (float) (1 - (r + part) / sums.length);
            }
            above += here;
        }
        return 0;
    }
}
