package app.nosegay.match.lattice;

import static app.nosegay.match.lattice.LengthMaximum.NEVER;

import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.lattice.SegmentLattice.Item;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/**
 * How likely each segment of a solved lattice is somewhere else, or left out: the lattice is gone through once more, from the last bin
 * to the first (forward–backward in max-product form), which gives for every segment and bin the best whole order in which the segment
 * begins there.
 */
public final class LatticeDoubt {
    private final SegmentLattice lattice;
    private final LatticeEvidence e;
    private final LatticeShape shape;
    private final List<Item> items;
    private final int reach;
    private final LengthMaximum[] lengths;
    /** Of the first segment from each point, the ends at which it may be broken off, not as far on as it is planned to last. */
    private final SlidingMaximum[] broken;

    private final double[] began;
    private final double[] ended;
    private final double[] skipped;
    private final double[] paused;
    private final double[] here;
    private final double[] elsewhere;
    /** The items of each segment. */
    private final int[][] itemsOf;

    private LatticeDoubt(SegmentLattice lattice, List<Item> items, int reach) {
        this.lattice = lattice;
        this.items = items;
        this.reach = reach;
        e = lattice.e;
        shape = lattice.shape;
        lengths = shape.arcs().stream().map(lattice::length).toArray(LengthMaximum[]::new);
        broken = shape.arcs().stream()
                .map(a -> new SlidingMaximum(e.planned(a.segment())))
                .toArray(SlidingMaximum[]::new);
        began = never();
        ended = never();
        skipped = never();
        paused = never();
        here = new double[items.size()];
        elsewhere = new double[items.size()];
        itemsOf = new int[e.segments()][];
        for (int k = 0; k < itemsOf.length; k++) {
            int segment = k;
            itemsOf[k] = IntStream.range(0, items.size())
                    .filter(i -> items.get(i).segment() == segment)
                    .toArray();
        }
    }

    private double[] never() {
        double[] values = new double[shape.size()];
        Arrays.fill(values, NEVER);
        return values;
    }

    /**
     * For each item, 0 to 1, the share of likelihood with which its segment begins further than {@code reach} bins from where it does in
     * the best order, or does not at all; 0 for pauses.
     */
    public static double[] of(SegmentLattice lattice, List<Item> items, int reach) {
        LatticeDoubt told = told(lattice, items, reach);
        double[] doubts = new double[items.size()];
        for (int i = 0; i < doubts.length; i++) {
            double all = told.here[i] + told.elsewhere[i];
            doubts[i] = all == 0 ? 0 : told.elsewhere[i] / all;
        }
        return doubts;
    }

    static LatticeDoubt told(SegmentLattice lattice, List<Item> items, int reach) {
        LatticeDoubt told = new LatticeDoubt(lattice, items, reach);
        for (int t = lattice.bins - 1; t >= 0; t--) {
            told.step(t);
        }
        return told;
    }

    /** The likelihood that an item begins where it does, as a multiple of that of the best order. */
    double here(int item) {
        return here[item];
    }

    private void step(int t) {
        int mirrored = lattice.bins - 1 - t;
        for (int p = lattice.first(t); p < lattice.last(t); p++) {
            begin(t, mirrored, p);
        }
        pause(t);
        for (int p = lattice.last(t) - 1; p >= lattice.first(t); p--) {
            end(t, p);
        }
        for (int p = lattice.first(t); p < lattice.last(t); p++) {
            if (isPossible(lattice.ended(t, p) + ended[p])) {
                for (int a : shape.into(p)) {
                    lengths[a].add(mirrored, ended[p] + lattice.within(a, t));
                }
            }
            if (shape.outOf(p).length > 0 && paused[p] > NEVER / 2) {
                int a = shape.outOf(p)[0];
                double off = e.fluff(t) - MatchWeights.BROKEN_OFF;
                broken[a].add(mirrored, paused[p] + lattice.within(a, t) + off);
            }
        }
    }

    /** Whether the best order through somewhere is likely enough to be a doubt: what leads through elsewhere need not be followed. */
    private boolean isPossible(double score) {
        return score >= lattice.bestScore() - MatchWeights.BEYOND_DOUBT;
    }

    /** The best that follows when a segment begins at a point. */
    private void begin(int t, int mirrored, int p) {
        began[p] = NEVER;
        for (int a : shape.outOf(p)) {
            LatticeShape.Arc arc = shape.arcs().get(a);
            double v = lengths[a].endingAt(mirrored);
            broken[a].forget(mirrored);
            v = broken[a].isEmpty() ? v : Math.max(v, broken[a].value());
            if (v > NEVER / 2) {
                v -= lattice.within(a, t) + arc.cost();
                began[p] = Math.max(began[p], v);
                tell(arc.segment(), t, lattice.began(t, p) + v);
            }
        }
        began[p] = isPossible(lattice.began(t, p) + began[p]) ? began[p] : NEVER;
    }

    private void pause(int t) {
        double step = t + 1 < lattice.bins ? lattice.stay(t + 1) : 0;
        double before = NEVER;
        for (int p = lattice.first(t); p < lattice.last(t); p++) {
            boolean begins = shape.outOf(p).length > 0;
            double starts = begins ? lattice.starting(p, t) + began[p] : NEVER;
            paused[p] = Math.max(paused[p] - step, starts);
            if (shape.point(p).isPlanned()) {
                paused[p] = Math.max(paused[p], before - MatchWeights.BACK_ONE);
                before = paused[p];
            }
        }
    }

    private void end(int t, int p) {
        LatticeShape.Point point = shape.point(p);
        double joined = lattice.joint(p, t) + began[p];
        double ending = lattice.ending(p, t);
        double either = Math.max(joined, ending - MatchWeights.PAUSE + paused[p]);
        ended[p] = either;
        if (!point.isPlanned()) {
            return;
        }
        int k = point.position();
        skipped[p] = either;
        ended[p] = Math.max(either, -lattice.leaving(k, t));
        if (k > 0 && lattice.isInReach(t, shape.planned(k - 1))) {
            ended[p] = Math.max(ended[p], ending - MatchWeights.REPEATED + paused[shape.planned(k - 1)]);
        }
        if (k < e.segments() && lattice.isInReach(t, shape.planned(k + 1))) {
            double then = skipped[shape.planned(k + 1)];
            double alone = lattice.ended(t, p) - e.leftOut(k, false);
            double again = lattice.skipped(t, p) - e.leftOut(k, true);
            leftOut(k, Math.max(alone, again) + then);
            ended[p] = Math.max(ended[p], then - e.leftOut(k, false));
            skipped[p] = Math.max(skipped[p], then - e.leftOut(k, true));
        }
    }

    private double likelihood(double score) {
        double nats = Math.min(0, score - lattice.bestScore());
        return isPossible(score) ? Math.exp(nats / MatchWeights.ORDER_SPREAD) : 0;
    }

    /** The best order in which a segment begins at a bin. */
    private void tell(int segment, int t, double score) {
        double likelihood = itemsOf[segment].length == 0 ? 0 : likelihood(score);
        if (likelihood == 0) {
            return;
        }
        boolean near = false;
        for (int i : itemsOf[segment]) {
            if (Math.abs(items.get(i).from() - t) <= reach) {
                here[i] += likelihood;
                near = true;
            }
        }
        for (int i : near ? new int[0] : itemsOf[segment]) {
            elsewhere[i] += likelihood;
        }
    }

    private void leftOut(int segment, double score) {
        double likelihood = itemsOf[segment].length == 0 ? 0 : likelihood(score);
        for (int i : itemsOf[segment]) {
            elsewhere[i] += likelihood;
        }
    }
}
