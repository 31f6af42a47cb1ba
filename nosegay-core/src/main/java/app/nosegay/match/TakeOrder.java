package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Feature;
import app.nosegay.match.features.Grid;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.lattice.LatticeDoubt;
import app.nosegay.match.lattice.SegmentLattice;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.shoot.ShootLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.function.Supplier;

/** In which order what of the plan is in one take: as the shoot log tells where there is one, else as the evidence does. */
final class TakeOrder {
    /** The order is looked for on a coarser grid; the boundaries are then placed on the fine one. */
    static final int STRIDE = 4;

    private final Timeline timeline;
    private final TakeEvidence take;
    private final ShootLog log;
    private final List<Pin> pins;
    private final Map<String, Integer> indexes;
    private final int next;
    private final BoundaryFeatures features;

    /**
     * @param log of this take; null where there is none
     * @param pins in this take
     * @param next the segment before which the take before it ended, 0 when there is none
     */
    TakeOrder(Timeline timeline, TakeEvidence take, ShootLog log, List<Pin> pins, int next, BoundaryFeatures features) {
        this.timeline = timeline;
        this.take = take;
        this.log = log;
        this.pins = pins;
        this.indexes = timeline.indexes();
        this.next = next;
        this.features = features;
    }

    /** What was done, in order, pauses between being −1. */
    record Found(List<SegmentLattice.Item> items, Supplier<double[]> doubt) {
        /** How likely each item is somewhere else altogether, or was left out. */
        double[] doubts() {
            return doubt.get();
        }
    }

    Found found() {
        if (log == null || log.entries().isEmpty()) {
            return heard();
        }
        List<SegmentLattice.Item> items = logged();
        return new Found(items, () -> new double[items.size()]);
    }

    /** The order the log tells, at the offset at which the evidence fits best: its tones were not heard. */
    private List<SegmentLattice.Item> logged() {
        List<ShootLog.Entry> entries = log.entries().stream()
                .filter(e -> indexes.containsKey(e.segment()))
                .toList();
        double best = Double.NEGATIVE_INFINITY;
        int bestOffset = 0;
        // Of one run the next file holds something later, however long the camera was off.
        boolean goesOn = next > 0 && entries.stream().anyMatch(e -> indexes.get(e.segment()) >= next);
        double end = entries.isEmpty()
                ? 0
                : entries.get(entries.size() - 1).span().end().seconds();
        // A take may hold any part of what was logged, its very end as well.
        int from = -Grid.bin(end);
        int to = features.bins();
        for (int offset = from; offset < to; offset++) {
            double score = score(entries, offset, goesOn);
            if (score > best) {
                best = score;
                bestOffset = offset;
            }
        }
        return at(entries, bestOffset);
    }

    /** How well the evidence fits the log at an offset, in bins. */
    private double score(List<ShootLog.Entry> entries, int offset, boolean goesOn) {
        double score = -Math.abs(offset) * 1e-6;
        int first = -1;
        for (int i = 0; i < entries.size(); i++) {
            ShootLog.Entry e = entries.get(i);
            int k = indexes.get(e.segment());
            int a = offset + Grid.bin(e.span().start().seconds());
            int b = offset + Grid.bin(e.span().end().seconds());
            if (a >= 0 && b < features.bins() && b > a) {
                first = first < 0 ? k : first;
                score += features.joint(k)[a]
                        + features.within(k).at(b)
                        - features.within(k).at(a);
            }
        }
        return score - (first < 0 ? 0 : goesOn ? first < next ? entering(first) : 0 : logBegins(entries, first));
    }

    private List<SegmentLattice.Item> at(List<ShootLog.Entry> entries, int bestOffset) {
        List<SegmentLattice.Item> items = new ArrayList<>();
        int last = -1;
        for (ShootLog.Entry e : entries) {
            int a = bestOffset + Grid.bin(e.span().start().seconds());
            int b = bestOffset + Grid.bin(e.span().end().seconds());
            if (a < 0 || b >= features.bins() || b <= a) {
                continue;
            }
            if (last >= 0 && a > last + 2) {
                items.add(new SegmentLattice.Item(-1, last, a, false));
            }
            items.add(
                    new SegmentLattice.Item(indexes.get(e.segment()), last >= 0 && a <= last + 2 ? last : a, b, false));
            last = b;
        }
        return items;
    }

    /** A first take holds the beginning of what was logged, more often than not. */
    private double logBegins(List<ShootLog.Entry> entries, int first) {
        return first == indexes.get(entries.get(0).segment()) ? 0 : MatchWeights.PART_OF_PLAN;
    }

    /** What it costs that a take begins with segment {@code k}: the next takes up where the one before it broke off. */
    double entering(int k) {
        int n = timeline.segments().size();
        boolean goesOn = next > 0 && next < n;
        boolean rest = goesOn && !timeline.segments().get(next).kind().isMoving();
        int behindRest = rest ? next + 1 : next;
        if (goesOn) {
            return k == next || k == behindRest
                    ? 0
                    : k == 0 ? MatchWeights.UNLIKELY_BEGINNING : MatchWeights.PART_OF_PLAN;
        }
        return k == 0 ? 0 : MatchWeights.PART_OF_PLAN + MatchWeights.UNLIKELY_BEGINNING;
    }

    private Found heard() {
        CoarseTake evidence = new CoarseTake(timeline, take, pins, features, this);
        SegmentLattice lattice = new SegmentLattice(evidence);
        List<SegmentLattice.Item> coarse = lattice.solve();
        List<SegmentLattice.Item> fine = coarse.stream()
                .map(i -> new SegmentLattice.Item(i.segment(), i.from() * STRIDE, i.to() * STRIDE, i.broken()))
                .toList();
        boolean doubted = Feature.ORDER_DOUBT.isOn() && !features.isEmpty();
        int reach = (int) (MatchWeights.REFINE_SECONDS / evidence.binSeconds());
        return new Found(fine, () -> doubted ? LatticeDoubt.of(lattice, coarse, reach) : new double[coarse.size()]);
    }

    /** What each bin of the fine grid off the planned length of segment {@code k} costs. */
    double costPerBin(int k) {
        Segment s = timeline.segments().get(k);
        double share = log != null ? MatchWeights.LOGGED_STRICTNESS : strictness(s);
        return MatchWeights.PER_SECOND_OFF * MatchWeights.GRID_SECONDS * share;
    }

    /** How strictly people keep to the planned length of a segment. */
    private double strictness(Segment s) {
        if (s.open()) {
            return MatchWeights.OPEN_SHARE;
        }
        if (s.reps() != null) {
            return MatchWeights.BY_REPS_SHARE;
        }
        if (s.kind() == SegmentKind.REST && s.block().kind() == BlockKind.EVERY_MINUTE) {
            return MatchWeights.LEFT_OF_MINUTE_SHARE;
        }
        if (s.kind() == SegmentKind.REST && !features.isTimed()) {
            return MatchWeights.REST_BY_HAND_SHARE;
        }
        double talk = features.hearsWords()
                ? MatchWeights.HEARD_TALK_SHARE
                : features.hearsTalk() ? MatchWeights.VOICED_TALK_SHARE : MatchWeights.TALK_SHARE;
        return (s.kind() == SegmentKind.TALK ? talk : 1) * (features.isTimed() ? 1 : MatchWeights.BY_HAND_SHARE);
    }
}
