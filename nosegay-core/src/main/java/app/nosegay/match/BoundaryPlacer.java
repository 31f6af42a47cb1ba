package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SetEdges;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Feature;
import app.nosegay.match.features.Grid;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.features.PlannedMovement;
import app.nosegay.match.lattice.SegmentLattice;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** The boundaries of an order that was found, each placed and doubted on the fine grid within reach of where it was found. */
final class BoundaryPlacer {
    private final Timeline timeline;
    private final TakeEvidence take;
    private final List<Pin> pins;
    private final BoundaryFeatures features;
    private final TakeOrder order;
    private final boolean byPlan;
    private final Map<String, Integer> indexes;

    /** @param byPlan whether segments last as planned, else as long as the order says */
    BoundaryPlacer(
            Timeline timeline,
            TakeEvidence take,
            List<Pin> pins,
            BoundaryFeatures features,
            TakeOrder order,
            boolean byPlan) {
        this.timeline = timeline;
        this.take = take;
        this.pins = pins;
        this.features = features;
        this.order = order;
        this.byPlan = byPlan;
        this.indexes = timeline.indexes();
    }

    /** What is known of a boundary before it is placed: the bins it may be at, what speaks for each, and where a pin holds it. */
    private record Band(int low, int high, double[] evidence, Double fixed) {}

    List<SegmentOccurrence> place(TakeOrder.Found found) {
        List<SegmentLattice.Item> items = found.items();
        if (items.isEmpty()) {
            return List.of();
        }
        int m = items.size();
        List<Band> bands = bands(items);
        int[] low = bands.stream().mapToInt(Band::low).toArray();
        int[] high = bands.stream().mapToInt(Band::high).toArray();
        double[][] at = bands.stream().map(Band::evidence).toArray(double[][]::new);
        Double[] fixed = bands.stream().map(Band::fixed).toArray(Double[]::new);
        double[] planned = items.stream().mapToDouble(this::planned).toArray();
        double[] costs = items.stream().mapToDouble(this::costPerBin).toArray();
        BoundaryFeatures.Within[] within = items.stream()
                .map(i -> i.segment() < 0 ? features.still() : features.within(i.segment()))
                .toArray(BoundaryFeatures.Within[]::new);
        if (Feature.SET_EDGES.isOn()) {
            edges(items, low, at);
        }
        double[][] marginals =
                new BoundarySolver(low, high, planned, costs, at, (i, b) -> within[i].at(b)).maxMarginals();
        MarginalReader chain = new MarginalReader(
                features, take.length().seconds(), new MarginalReader.Chain(marginals, low, planned, fixed));
        double[] doubts = found.doubts();
        List<SegmentOccurrence> occurrences = new ArrayList<>();
        for (int i = 0; i < m; i++) {
            if (items.get(i).segment() >= 0) {
                occurrences.add(new SegmentOccurrence(
                        items.get(i).segment(),
                        chain.seconds(i),
                        chain.seconds(i + 1),
                        Math.max(chain.doubt(i), doubts[i]),
                        Math.max(chain.doubt(i + 1), doubts[i]),
                        false,
                        false,
                        items.get(i).broken(),
                        chain.likely(i),
                        chain.likely(i + 1)));
            }
        }
        return TakeSolver.marked(occurrences);
    }

    private List<Band> bands(List<SegmentLattice.Item> items) {
        int m = items.size();
        int last = features.bins() - 1;
        int reach = (int) Math.round(MatchWeights.REFINE_SECONDS / MatchWeights.GRID_SECONDS);
        List<Band> bands = new ArrayList<>();
        for (int i = 0; i <= m; i++) {
            SegmentLattice.Item before = i > 0 ? items.get(i - 1) : null;
            SegmentLattice.Item after = i < m ? items.get(i) : null;
            int found = Math.min(last, after != null ? after.from() : before.to());
            Double fixed = fixed(before, after);
            int centre = fixed == null ? found : Math.min(last, Grid.bin(fixed));
            int low = fixed == null ? Math.max(0, centre - reach) : centre;
            int high = fixed == null ? Math.min(last, centre + reach) : centre;
            high = i > 0 ? Math.max(high, bands.get(i - 1).low()) : high;
            float[] evidence = evidence(before, after);
            double[] at = new double[high - low + 1];
            for (int b = low; b <= high; b++) {
                double late = i == 0 ? MatchWeights.LATE_BEGINNING_PER_SECOND * b * MatchWeights.GRID_SECONDS : 0;
                at[b - low] = evidence[b] - late;
            }
            bands.add(new Band(low, high, at, fixed));
        }
        return bands;
    }

    /** In bins. */
    private double planned(SegmentLattice.Item item) {
        boolean asPlanned = item.segment() >= 0 && !item.broken() && byPlan;
        return asPlanned
                ? timeline.segments().get(item.segment()).duration().seconds() / MatchWeights.GRID_SECONDS
                : item.to() - item.from();
    }

    private double costPerBin(SegmentLattice.Item item) {
        return item.segment() < 0 || item.broken()
                ? MatchWeights.PER_SECOND_OFF * MatchWeights.GRID_SECONDS * MatchWeights.LOOSE_SHARE
                : order.costPerBin(item.segment());
    }

    /**
     * What the repetitions of a set tell of its ends, where nobody works beyond them. Counted sets begin and end with a repetition; timed
     * work does so with the clock, up to one repetition further out.
     */
    private void edges(List<SegmentLattice.Item> items, int[] low, double[][] at) {
        double grid = MatchWeights.GRID_SECONDS;
        for (int i = 0; i < items.size(); i++) {
            SegmentLattice.Item item = items.get(i);
            Segment s = item.segment() < 0 ? null : timeline.segments().get(item.segment());
            if (s == null || !s.kind().isMoving() || PlannedMovement.isStill(s)) {
                continue;
            }
            SetEdges.Edges edges = features.edges(item.from() * grid, item.to() * grid);
            double further = s.reps() == null ? edges.period() : 0;
            if (!works(items, i - 1)) {
                edge(edges.start() - further, edges.start(), low[i], at[i]);
            }
            if (!works(items, i + 1)) {
                edge(edges.end(), edges.end() + further, low[i + 1], at[i + 1]);
            }
        }
    }

    private boolean works(List<SegmentLattice.Item> items, int i) {
        return i >= 0
                && i < items.size()
                && items.get(i).segment() >= 0
                && timeline.segments().get(items.get(i).segment()).kind().isMoving();
    }

    /** A boundary lies from one moment to another, in seconds. */
    private static void edge(double from, double to, int low, double[] at) {
        for (int b = 0; b < at.length && to >= from; b++) {
            double seconds = (low + b) * MatchWeights.GRID_SECONDS;
            double off = Math.max(0, Math.max(from - seconds, seconds - to)) / MatchWeights.SET_EDGE_SIGMA;
            at[b] += MatchWeights.SET_EDGE * Math.exp(-0.5 * off * off);
        }
    }

    private float[] evidence(SegmentLattice.Item before, SegmentLattice.Item after) {
        boolean from = before != null && before.segment() >= 0;
        boolean to = after != null && after.segment() >= 0;
        if (from && before.broken() && !to) {
            return features.fluffs();
        }
        if (from && to) {
            return after.segment() == before.segment() + 1
                    ? features.joint(after.segment())
                    : features.between(before.segment(), after.segment());
        }
        return from
                ? features.ending(before.segment() + 1)
                : to ? features.starting(after.segment()) : features.nothing();
    }

    private Double fixed(SegmentLattice.Item before, SegmentLattice.Item after) {
        for (Pin pin : pins) {
            Integer k = indexes.get(pin.segment());
            boolean starts =
                    after != null && k != null && !pin.end() && after.segment() == k && near(pin, after.from());
            boolean ends = before != null && k != null && pin.end() && before.segment() == k && near(pin, before.to());
            if (starts || ends) {
                return Math.max(0, Math.min(take.length().seconds(), pin.time().seconds()));
            }
        }
        return null;
    }

    private static boolean near(Pin pin, int bin) {
        return Math.abs(Grid.bin(pin.time().seconds()) - bin) <= 2 * TakeOrder.STRIDE;
    }
}
