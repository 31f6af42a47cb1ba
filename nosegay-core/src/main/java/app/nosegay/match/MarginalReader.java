package app.nosegay.match;

import app.nosegay.match.SegmentOccurrence.Range;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.MatchWeights;

/** Reads the best chain of boundaries off the max-marginals, with the doubt of each. */
final class MarginalReader {
    /** Of two bins nearly as good the one nearer the plan is taken. */
    private static final double AS_GOOD = 1e-6;
    /** A beep this near is the boundary, in bins. */
    private static final double SNAPS = 1.5;

    private final BoundaryFeatures features;
    private final double length;
    private final double[] seconds;
    private final double[] doubts;
    private final Range[] likely;

    /**
     * What was solved.
     *
     * @param low first bin of each boundary's band
     * @param planned length of each segment in bins
     * @param fixed where a pin holds a boundary, in seconds, or null
     */
    record Chain(double[][] marginals, int[] low, double[] planned, Double[] fixed) {}

    /** @param length of the take, in seconds */
    MarginalReader(BoundaryFeatures features, double length, Chain chain) {
        this.features = features;
        this.length = length;
        int n = chain.marginals().length;
        seconds = new double[n];
        doubts = new double[n];
        likely = new Range[n];
        read(chain);
    }

    double seconds(int boundary) {
        return seconds[boundary];
    }

    double doubt(int boundary) {
        return doubts[boundary];
    }

    Range likely(int boundary) {
        return likely[boundary];
    }

    /** Among equals the one nearest the planned length wins. */
    private void read(Chain chain) {
        double grid = MatchWeights.GRID_SECONDS;
        int previous = -1;
        for (int k = 0; k < seconds.length; k++) {
            double[] m = chain.marginals()[k];
            int low = chain.low()[k];
            Double fixed = chain.fixed()[k];
            int first = Math.max(0, previous - low);
            double best = Double.NEGATIVE_INFINITY;
            for (int i = first; i < m.length; i++) {
                best = Math.max(best, m[i]);
            }
            double wanted = k == 0 ? 0 : seconds[k - 1] / grid + chain.planned()[k - 1];
            int chosen = -1;
            for (int i = first; i < m.length; i++) {
                boolean asGood = m[i] >= best - AS_GOOD;
                if (asGood && (chosen < 0 || Math.abs(low + i - wanted) < Math.abs(chosen - wanted))) {
                    chosen = low + i;
                }
            }
            chosen = chosen < 0 ? Math.max(previous, low) : chosen;
            double at = fixed != null ? fixed : snapped(chosen * grid, wanted * grid);
            seconds[k] = Math.min(length, k == 0 ? at : Math.max(at, seconds[k - 1]));
            doubts[k] = fixed != null ? 0 : features.isEmpty() ? 1 : doubt(m, chosen - low, best);
            likely[k] = fixed != null ? Range.at(seconds[k]) : likely(m, low, best, seconds[k]);
            previous = chosen;
        }
    }

    /** Between which seconds all but a little of the likelihood lies. */
    private static Range likely(double[] marginal, int low, double best, double chosen) {
        double all = 0;
        for (double m : marginal) {
            all += likelihood(m, best);
        }
        double before = 0;
        double from = chosen;
        double to = chosen;
        for (int i = 0; i < marginal.length; i++) {
            double seconds = (low + i) * MatchWeights.GRID_SECONDS;
            double after = before + likelihood(marginal[i], best);
            if (before <= MatchWeights.UNLIKELY * all && after > MatchWeights.UNLIKELY * all) {
                from = Math.min(chosen, seconds);
            }
            if (before < (1 - MatchWeights.UNLIKELY) * all && after >= (1 - MatchWeights.UNLIKELY) * all) {
                to = Math.max(chosen, seconds);
            }
            before = after;
        }
        return new Range(from, to);
    }

    private static double likelihood(double marginal, double best) {
        return Math.exp(Math.max(-60, (marginal - best) / MatchWeights.DOUBT_SPREAD));
    }

    /** The exact beep where one lies within a grid step and a half, else the exact planned length where that is the same bin. */
    private double snapped(double seconds, double wanted) {
        double best = seconds;
        double distance = SNAPS * MatchWeights.GRID_SECONDS;
        for (double onset : features.onsets()) {
            if (Math.abs(onset - seconds) < distance) {
                distance = Math.abs(onset - seconds);
                best = onset;
            }
        }
        boolean beep = distance < SNAPS * MatchWeights.GRID_SECONDS;
        return !beep && Math.abs(wanted - seconds) <= MatchWeights.GRID_SECONDS ? wanted : best;
    }

    /** The share of likelihood that lies further from the chosen bin than the tolerance. */
    private double doubt(double[] marginal, int chosen, double best) {
        double tolerance = features.tolerance();
        int reach = (int) Math.round(tolerance / MatchWeights.GRID_SECONDS);
        double near = 0;
        double all = 0;
        for (int i = 0; i < marginal.length; i++) {
            double likelihood = likelihood(marginal[i], best);
            all += likelihood;
            near += Math.abs(i - chosen) <= reach ? likelihood : 0;
        }
        double share = all == 0 ? 1 : Math.max(0, Math.min(1, 1 - near / all));
        return Math.min(1, MatchWeights.LEAST_DOUBT + (1 - MatchWeights.LEAST_DOUBT) * share);
    }
}
