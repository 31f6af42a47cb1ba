package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Grid;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.shoot.ShootLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

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

    /** What was done, in order; pauses between are −1. */
    List<SequenceSolver.Item> items() {
        return log == null || log.entries().isEmpty() ? heard() : logged();
    }

    /** The order the log tells, at the offset at which the evidence fits best: its tones were not heard. */
    private List<SequenceSolver.Item> logged() {
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

    private List<SequenceSolver.Item> at(List<ShootLog.Entry> entries, int bestOffset) {
        List<SequenceSolver.Item> items = new ArrayList<>();
        int last = -1;
        for (ShootLog.Entry e : entries) {
            int a = bestOffset + Grid.bin(e.span().start().seconds());
            int b = bestOffset + Grid.bin(e.span().end().seconds());
            if (a < 0 || b >= features.bins() || b <= a) {
                continue;
            }
            if (last >= 0 && a > last + 2) {
                items.add(new SequenceSolver.Item(-1, last, a, false));
            }
            items.add(
                    new SequenceSolver.Item(indexes.get(e.segment()), last >= 0 && a <= last + 2 ? last : a, b, false));
            last = b;
        }
        return items;
    }

    /** A first take holds the beginning of what was logged, more often than not. */
    private double logBegins(List<ShootLog.Entry> entries, int first) {
        return first == indexes.get(entries.get(0).segment()) ? 0 : MatchWeights.PART_OF_PLAN;
    }

    /** What it costs that a take begins with segment {@code k}: the next takes up where the one before it broke off. */
    private double entering(int k) {
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

    private List<SequenceSolver.Item> heard() {
        List<SequenceSolver.Item> coarse = new SequenceSolver(new Coarse()).solve();
        return coarse.stream()
                .map(i -> new SequenceSolver.Item(i.segment(), i.from() * STRIDE, i.to() * STRIDE, i.broken()))
                .toList();
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

    /** The take on the coarse grid: of two fine bins the stronger evidence counts. */
    private final class Coarse implements SequenceSolver.Evidence {
        private final int n = timeline.segments().size();
        private final float[][] joint = new float[n + 1][];
        private final float[][] ending = new float[n + 1][];
        private final float[][] starting = new float[n + 1][];
        private final BoundaryFeatures.Within[] within = new BoundaryFeatures.Within[n];
        private final int[] plannedStart = new int[n + 1];
        private final Map<float[], float[]> made = new java.util.IdentityHashMap<>();
        private final BoundaryFeatures.Within idle = features.still();
        private final int before;
        private final int after;

        Coarse() {
            for (int k = 0; k <= n; k++) {
                joint[k] = made.computeIfAbsent(features.joint(k), TakeOrder::coarse);
                ending[k] = made.computeIfAbsent(features.ending(k), TakeOrder::coarse);
                starting[k] = made.computeIfAbsent(features.starting(k), TakeOrder::coarse);
                double at = k < n
                        ? timeline.segments().get(k).start().seconds()
                        : timeline.total().seconds();
                plannedStart[k] = (int) Math.round(at / binSeconds());
            }
            for (Pin pin : pins) {
                Integer k = indexes.get(pin.segment());
                if (k != null) {
                    int boundary = pin.end() ? k + 1 : k;
                    pin(joint, boundary, pin);
                    pin(pin.end() ? ending : starting, boundary, pin);
                }
            }
            for (int k = 0; k < n; k++) {
                within[k] = features.within(k);
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
            return (features.bins() + STRIDE - 1) / STRIDE;
        }

        @Override
        public double binSeconds() {
            return MatchWeights.GRID_SECONDS * STRIDE;
        }

        @Override
        public int segments() {
            return n;
        }

        @Override
        public int planned(int k) {
            return Math.max(
                    1, (int) Math.round(timeline.segments().get(k).duration().seconds() / binSeconds()));
        }

        @Override
        public double entering(int k) {
            return TakeOrder.this.entering(k);
        }

        @Override
        public double leftOut(int k, boolean again) {
            boolean still = !timeline.segments().get(k).kind().isMoving();
            return !again ? MatchWeights.LEFT_OUT : still ? MatchWeights.LEFT_OUT_WITH_IT : MatchWeights.LEFT_OUT_AGAIN;
        }

        @Override
        public double costPerBin(int k) {
            return TakeOrder.this.costPerBin(k) * STRIDE;
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
            int bin = features.binAt(pin.time().seconds()) / STRIDE;
            evidence[boundary][bin] += (float) MatchWeights.PINNED;
        }

        @Override
        public double fluff(int bin) {
            return features.fluff(bin * STRIDE);
        }

        @Override
        public double within(int k, int bin) {
            return within[k].at(bin * STRIDE);
        }

        @Override
        public double idle(int bin) {
            return idle.at(bin * STRIDE);
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
            int at = java.util.Arrays.binarySearch(plannedStart, planned);
            return at >= 0 ? at : Math.min(n, -at - 1);
        }
    }

    private static float[] coarse(float[] fine) {
        float[] out = new float[(fine.length + STRIDE - 1) / STRIDE];
        for (int i = 0; i < fine.length; i++) {
            out[i / STRIDE] = i % STRIDE == 0 ? fine[i] : Math.max(out[i / STRIDE], fine[i]);
        }
        return out;
    }
}
