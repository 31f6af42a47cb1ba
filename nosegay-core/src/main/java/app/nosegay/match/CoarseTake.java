package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Feature;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.lattice.LatticeEvidence;
import app.nosegay.plan.Timeline;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.IntToDoubleFunction;

/** The take on the coarse grid: of two fine bins the stronger evidence counts. */
final class CoarseTake implements LatticeEvidence {
    private final Timeline timeline;
    private final BoundaryFeatures features;
    private final TakeOrder order;
    private final int n;
    private final float[][] joint;
    private final float[][] ending;
    private final float[][] starting;
    private final int[] plannedStart;
    private final List<Exchange> exchanges;
    private final BoundaryFeatures.Within idle;
    private final int before;
    private final int after;

    CoarseTake(Timeline timeline, TakeEvidence take, List<Pin> pins, BoundaryFeatures features, TakeOrder order) {
        this.timeline = timeline;
        this.features = features;
        this.order = order;
        Map<String, Integer> indexes = timeline.indexes();
        n = timeline.segments().size();
        joint = new float[n + 1][];
        ending = new float[n + 1][];
        starting = new float[n + 1][];
        plannedStart = new int[n + 1];
        idle = features.still();
        for (int k = 0; k <= n; k++) {
            joint[k] = coarse(features.joint(k));
            ending[k] = coarse(features.ending(k));
            starting[k] = coarse(features.starting(k));
            double at = k < n
                    ? timeline.segments().get(k).start().seconds()
                    : timeline.total().seconds();
            plannedStart[k] = (int) Math.round(at / binSeconds());
        }
        Set<Integer> pinned = new HashSet<>();
        pins.forEach(p -> pinned.add(indexes.getOrDefault(p.segment(), -1)));
        exchanges = Feature.EXCHANGED_MOVES.isOn() ? MoveOrder.exchanges(timeline, pinned) : List.of();
        for (Pin pin : pins) {
            Integer k = indexes.get(pin.segment());
            if (k != null) {
                int boundary = pin.end() ? k + 1 : k;
                pin(joint, boundary, pin);
                pin(pin.end() ? ending : starting, boundary, pin);
            }
        }
        double longer = take.length().seconds() - timeline.total().seconds();
        // A take about as long as the plan holds it whole; a short one may be any part of it.
        boolean whole = longer > -0.25 * timeline.total().seconds();
        double reach = MatchWeights.BAND_SECONDS + Math.abs(longer);
        before = whole ? (int) Math.round(reach / binSeconds()) : Integer.MAX_VALUE / 2;
        after = before;
    }

    @Override
    public int bins() {
        return (features.bins() + TakeOrder.STRIDE - 1) / TakeOrder.STRIDE;
    }

    @Override
    public double binSeconds() {
        return MatchWeights.GRID_SECONDS * TakeOrder.STRIDE;
    }

    @Override
    public int segments() {
        return n;
    }

    @Override
    public List<Exchange> exchanges() {
        return exchanges;
    }

    @Override
    public int planned(int k) {
        return Math.max(
                1, (int) Math.round(timeline.segments().get(k).duration().seconds() / binSeconds()));
    }

    @Override
    public double entering(int k) {
        return order.entering(k);
    }

    @Override
    public double leftOut(int k, boolean again) {
        boolean still = !timeline.segments().get(k).kind().isMoving();
        return !again ? MatchWeights.LEFT_OUT : still ? MatchWeights.LEFT_OUT_WITH_IT : MatchWeights.LEFT_OUT_AGAIN;
    }

    @Override
    public double costPerBin(int k) {
        return order.costPerBin(k) * TakeOrder.STRIDE;
    }

    @Override
    public double mostForLonger() {
        return features.seesMovement() ? MatchWeights.MOST_FOR_LONGER_SEEN : MatchWeights.MOST_FOR_LONGER;
    }

    @Override
    public double joint(int k, int bin) {
        return joint[k][bin];
    }

    @Override
    public IntToDoubleFunction between(int first, int second) {
        float[] sum = coarse(features.between(first, second));
        return bin -> sum[bin];
    }

    @Override
    public double ending(int k, int bin) {
        return ending[k][bin];
    }

    @Override
    public double starting(int k, int bin) {
        return starting[k][bin];
    }

    /** Boundaries share their evidence: the one that is pinned gets its own. */
    private void pin(float[][] evidence, int boundary, Pin pin) {
        evidence[boundary] = evidence[boundary].clone();
        int bin = features.binAt(pin.time().seconds()) / TakeOrder.STRIDE;
        evidence[boundary][bin] += (float) MatchWeights.PINNED;
    }

    @Override
    public double fluff(int bin) {
        return features.fluff(bin * TakeOrder.STRIDE);
    }

    @Override
    public IntToDoubleFunction within(int k, int next) {
        BoundaryFeatures.Within fit = features.within(k, next);
        return bin -> fit.at(bin * TakeOrder.STRIDE);
    }

    @Override
    public double idle(int bin) {
        return idle.at(bin * TakeOrder.STRIDE);
    }

    @Override
    public int low(int bin) {
        return first(bin - after);
    }

    @Override
    public int high(int bin) {
        return first(bin + before + 1);
    }

    private int first(int planned) {
        int at = Arrays.binarySearch(plannedStart, planned);
        return at >= 0 ? at : Math.min(n, -at - 1);
    }

    private float[] coarse(float[] fine) {
        return features.coarse(fine, TakeOrder.STRIDE);
    }
}
