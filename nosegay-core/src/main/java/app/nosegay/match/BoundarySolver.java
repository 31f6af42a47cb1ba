package app.nosegay.match;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;

/**
 * The jointly best boundaries of a semi-Markov chain on a grid, with the max-marginal of each: how good the best whole sequence is that has
 * boundary k at bin t. A segment's length costs in proportion to how far it is from planned, capped; a segment may be left
 * out. Every step is a running maximum, so that the cost grows with boundaries × band, not with its square.
 */
final class BoundarySolver {
    private static final double NEVER = -1e9;

    /** Cumulative evidence for a segment up to an absolute bin. */
    @FunctionalInterface
    interface Within {
        double at(int segment, int bin);
    }

    private final int boundaries;
    private final int[] low;
    private final int[] high;
    private final double[] plannedBins;
    private final double[] costPerBin;
    private final double[][] at;
    private final Within within;

    /**
     * @param low first bin of each boundary's band
     * @param high last bin of each boundary's band
     * @param plannedBins planned length of each segment in bins
     * @param costPerBin what each bin off the planned length costs, per segment
     * @param at evidence for boundary k at bin low[k] + i
     * @param within cumulative evidence for segment k, by absolute bin
     */
    BoundarySolver(int[] low, int[] high, double[] plannedBins, double[] costPerBin, double[][] at, Within within) {
        this.boundaries = low.length;
        this.low = low;
        this.high = high;
        this.plannedBins = plannedBins;
        this.costPerBin = costPerBin;
        this.at = at;
        this.within = within;
    }

    /** The max-marginals, in the shape of {@code at}. */
    double[][] maxMarginals() {
        double[][] forward = new double[boundaries][];
        forward[0] = at[0].clone();
        for (int k = 1; k < boundaries; k++) {
            double[] source = forward[k - 1].clone();
            addWithin(source, k - 1, k - 1, -1);
            forward[k] = step(source, k - 1, k, plannedBins[k - 1], costPerBin[k - 1]);
            addWithin(forward[k], k, k - 1, 1);
            for (int i = 0; i < forward[k].length; i++) {
                forward[k][i] += at[k][i];
            }
        }
        double[][] backward = new double[boundaries][];
        backward[boundaries - 1] = new double[at[boundaries - 1].length];
        for (int k = boundaries - 1; k > 0; k--) {
            double[] source = new double[at[k].length];
            for (int i = 0; i < source.length; i++) {
                source[i] = backward[k][i] + at[k][i];
            }
            addWithin(source, k, k - 1, 1);
            backward[k - 1] = stepBack(source, k, k - 1, plannedBins[k - 1], costPerBin[k - 1]);
            addWithin(backward[k - 1], k - 1, k - 1, -1);
        }
        for (int k = 0; k < boundaries; k++) {
            for (int i = 0; i < forward[k].length; i++) {
                forward[k][i] += backward[k][i];
            }
        }
        return forward;
    }

    private void addWithin(double[] values, int boundary, int segment, int sign) {
        for (int i = 0; i < values.length; i++) {
            values[i] += sign * within.at(segment, low[boundary] + i);
        }
    }

    /** The best over all starts for each end: a start at {@code end − planned} is free, others cost by distance. */
    private double[] step(double[] source, int from, int to, double planned, double cost) {
        double[] best = new double[high[to] - low[to] + 1];
        Arrays.fill(best, NEVER);
        int shift = (int) Math.round(planned);
        // Longer than planned: starts at or before u = end − planned. Two running maxima: by distance, and capped.
        double byDistance = NEVER;
        double any = NEVER;
        int next = low[from];
        for (int end = low[to]; end <= high[to]; end++) {
            int u = end - shift;
            byDistance -= cost;
            while (next <= u && next <= high[from]) {
                double value = source[next - low[from]];
                byDistance = Math.max(byDistance, value - cost * (u - next));
                any = Math.max(any, value);
                next++;
            }
            best[end - low[to]] = Math.max(byDistance, any - MatchWeights.MOST_FOR_LONGER);
        }
        shorter(source, from, to, shift, cost, best);
        return best;
    }

    /**
     * Shorter than planned: starts in (end − planned, end]; a sliding maximum of value − cost · start, or any of them, cut short. Left
     * out: the start is the end.
     */
    private void shorter(double[] source, int from, int to, int shift, double cost, double[] best) {
        Deque<Integer> window = new ArrayDeque<>();
        int next = Math.max(low[from], low[to] - shift + 1);
        double any = NEVER;
        for (int end = low[to]; end <= high[to]; end++) {
            int u = end - shift;
            while (next <= end && next <= high[from]) {
                any = Math.max(any, source[next - low[from]]);
                while (!window.isEmpty()
                        && value(source, from, window.peekLast(), cost) <= value(source, from, next, cost)) {
                    window.pollLast();
                }
                window.addLast(next++);
            }
            while (!window.isEmpty() && window.peekFirst() <= u) {
                window.pollFirst();
            }
            int i = end - low[to];
            best[i] = Math.max(best[i], any - MatchWeights.CUT_SHORT);
            if (!window.isEmpty()) {
                best[i] = Math.max(best[i], value(source, from, window.peekFirst(), cost) + cost * u);
            }
            if (end >= low[from] && end <= high[from]) {
                best[i] = Math.max(best[i], source[end - low[from]] - MatchWeights.LEFT_OUT);
            }
        }
    }

    private double value(double[] source, int from, int start, double cost) {
        return source[start - low[from]] - cost * start;
    }

    /** The mirror of {@link #step}: the best over all ends for each start, by turning time round. */
    private double[] stepBack(double[] source, int from, int to, double planned, double cost) {
        int[] savedLow = {low[from], low[to]};
        int[] savedHigh = {high[from], high[to]};
        double[] turned = reversed(source);
        low[from] = -savedHigh[0];
        high[from] = -savedLow[0];
        low[to] = -savedHigh[1];
        high[to] = -savedLow[1];
        double[] best = step(turned, from, to, planned, cost);
        low[from] = savedLow[0];
        high[from] = savedHigh[0];
        low[to] = savedLow[1];
        high[to] = savedHigh[1];
        return reversed(best);
    }

    private static double[] reversed(double[] values) {
        double[] turned = new double[values.length];
        for (int i = 0; i < values.length; i++) {
            turned[i] = values[values.length - 1 - i];
        }
        return turned;
    }
}
