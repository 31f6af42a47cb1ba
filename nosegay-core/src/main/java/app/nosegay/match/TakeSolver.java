package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SetEdges;
import app.nosegay.match.SegmentOccurrence.Range;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Feature;
import app.nosegay.match.features.Grid;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Finds the plan in one take: by the shoot log's clock where its tones were heard, else by the evidence. */
final class TakeSolver {
    private final Timeline timeline;
    private final List<ScriptLine> lines;
    private final TakeEvidence take;
    private final ShootLog log;
    private final List<Pin> pins;
    private final Map<String, Integer> indexes;
    private final ClockMap clock;
    private final int next;
    private BoundaryFeatures features;
    private TakeOrder order;

    /** What was found in one take. */
    record Found(List<SegmentOccurrence> occurrences, ClockMap clock, boolean foreign, BoundaryFeatures features) {}

    private TakeSolver(
            Timeline timeline, List<ScriptLine> lines, TakeEvidence take, ShootLog log, List<Pin> pins, int next) {
        this.next = next;
        this.timeline = timeline;
        this.lines = lines;
        this.take = take;
        this.log = log;
        this.pins = pins.stream().filter(p -> p.take().equals(take.id())).toList();
        this.indexes = timeline.indexes();
        this.clock = ClockMap.of(take, log);
    }

    /** Finds the plan in {@code take}; the take before it ended before segment {@code next}, 0 when there is none. */
    static Found solve(
            Timeline timeline, List<ScriptLine> lines, TakeEvidence take, ShootLog log, List<Pin> pins, int next) {
        return new TakeSolver(timeline, lines, take, log, pins, next).solve();
    }

    private Found solve() {
        features = BoundaryFeatures.of(timeline, lines, take);
        if (clock != null) {
            return new Found(pinned(logged(clock)), clock, false, features);
        }
        List<SegmentOccurrence> occurrences = log == null && features.hearsVoice() ? byVoice() : placed();
        boolean foreign = log == null && pins.isEmpty() && isForeign(occurrences);
        return new Found(foreign ? List.of() : occurrences, null, foreign, features);
    }

    /** A take solved with its voice and without pins: whether the script is spoken in it must not depend on what was pinned before. */
    private record Unpinned(List<SegmentOccurrence> occurrences, boolean spoken) {}

    private record Asked(Timeline timeline, List<ScriptLine> lines, int next) {}

    /** Few plans are gone back to by undo. */
    private static final int PLANS_KEPT = 3;

    private List<SegmentOccurrence> byVoice() {
        Unpinned unpinned = take.derived().get(PLANS_KEPT, new Asked(timeline, lines, next), () -> new TakeSolver(
                        timeline, lines, take, null, List.of(), next)
                .unpinned());
        if (unpinned.spoken() && pins.isEmpty()) {
            return unpinned.occurrences();
        }
        features = unpinned.spoken() ? features : features.withoutVoice();
        return placed();
    }

    private Unpinned unpinned() {
        features = BoundaryFeatures.of(timeline, lines, take);
        List<SegmentOccurrence> occurrences = placed();
        return new Unpinned(occurrences, !Feature.SCRIPT_SPOKEN.isOn() || isScriptSpoken(occurrences));
    }

    private List<SegmentOccurrence> placed() {
        order = new TakeOrder(timeline, take, log, pins, next, features);
        List<SegmentOccurrence> refined = refined(order.items());
        return pinned(Feature.ORDER_DOUBT.isOn() ? OrderDoubt.applied(timeline, refined, features) : refined);
    }

    /** Whether speech and silence fit the script where the solution that profits most from them lies: else something else is said. */
    private boolean isScriptSpoken(List<SegmentOccurrence> occurrences) {
        return occurrences.stream()
                        .mapToDouble(v -> features.voiced(v.segment(), features.binAt(v.start())))
                        .average()
                        .orElse(0)
                >= MatchWeights.SCRIPT_SPOKEN;
    }

    private List<SegmentOccurrence> logged(ClockMap map) {
        List<SegmentOccurrence> occurrences = new ArrayList<>();
        double length = take.length().seconds();
        for (ShootLog.Entry e : map.log().entries()) {
            Integer k = indexes.get(e.segment());
            double start = map.toTake(e.span().start()).seconds();
            double end = map.toTake(e.span().end()).seconds();
            boolean inside =
                    end > 0 && start < length && Math.min(end, length) - Math.max(start, 0) > 0.5 * (end - start);
            if (k != null && inside) {
                occurrences.add(new SegmentOccurrence(
                        k, Math.max(0, start), Math.min(length, end), map.doubt(), map.doubt(), false, false, false));
            }
        }
        return marked(occurrences);
    }

    /** A visit is broken off when the same segment or an earlier one comes again behind it. */
    private static List<SegmentOccurrence> marked(List<SegmentOccurrence> occurrences) {
        List<SegmentOccurrence> marked = new ArrayList<>();
        for (int i = 0; i < occurrences.size(); i++) {
            int k = occurrences.get(i).segment();
            boolean again =
                    occurrences.subList(i + 1, occurrences.size()).stream().anyMatch(v -> v.segment() == k);
            marked.add(occurrences.get(i).broken(again));
        }
        return marked;
    }

    /** The boundaries of the order found, each placed and doubted on the fine grid within reach of where it was found. */
    private List<SegmentOccurrence> refined(List<SequenceSolver.Item> items) {
        if (items.isEmpty()) {
            return List.of();
        }
        int m = items.size();
        int last = features.bins() - 1;
        int reach = (int) Math.round(MatchWeights.REFINE_SECONDS / MatchWeights.GRID_SECONDS);
        int[] low = new int[m + 1];
        int[] high = new int[m + 1];
        double[] planned = new double[m];
        double[] costs = new double[m];
        double[][] at = new double[m + 1][];
        BoundaryFeatures.Within[] within = new BoundaryFeatures.Within[m];
        Double[] fixed = new Double[m + 1];
        for (int i = 0; i <= m; i++) {
            SequenceSolver.Item before = i > 0 ? items.get(i - 1) : null;
            SequenceSolver.Item after = i < m ? items.get(i) : null;
            int found = Math.min(last, after != null ? after.from() : before.to());
            fixed[i] = fixed(before, after);
            int centre = fixed[i] == null ? found : Math.min(last, Grid.bin(fixed[i]));
            low[i] = fixed[i] == null ? Math.max(0, centre - reach) : centre;
            high[i] = fixed[i] == null ? Math.min(last, centre + reach) : centre;
            if (i > 0) {
                high[i] = Math.max(high[i], low[i - 1]);
            }
            float[] evidence = evidence(before, after);
            at[i] = new double[high[i] - low[i] + 1];
            for (int b = low[i]; b <= high[i]; b++) {
                double late = i == 0 ? MatchWeights.LATE_BEGINNING_PER_SECOND * b * MatchWeights.GRID_SECONDS : 0;
                at[i][b - low[i]] = evidence[b] - late;
            }
        }
        for (int i = 0; i < m; i++) {
            SequenceSolver.Item item = items.get(i);
            int k = item.segment();
            boolean whole = k >= 0 && !item.broken();
            Segment s = k >= 0 ? timeline.segments().get(k) : null;
            boolean byPlan = whole && log == null;
            planned[i] = byPlan ? s.duration().seconds() / MatchWeights.GRID_SECONDS : item.to() - item.from();
            costs[i] = k < 0 || item.broken()
                    ? MatchWeights.PER_SECOND_OFF * MatchWeights.GRID_SECONDS * 0.3
                    : order.costPerBin(k);
            within[i] = k < 0 ? features.still() : features.within(k);
        }
        if (Feature.SET_EDGES.isOn()) {
            edges(items, low, at);
        }
        double[][] marginals =
                new BoundarySolver(low, high, planned, costs, at, (i, b) -> within[i].at(b)).maxMarginals();
        double[] seconds = new double[m + 1];
        double[] doubts = new double[m + 1];
        Range[] likely = new Range[m + 1];
        choose(marginals, low, planned, fixed, seconds, doubts, likely);
        List<SegmentOccurrence> occurrences = new ArrayList<>();
        for (int i = 0; i < m; i++) {
            if (items.get(i).segment() >= 0) {
                occurrences.add(new SegmentOccurrence(
                        items.get(i).segment(),
                        seconds[i],
                        seconds[i + 1],
                        doubts[i],
                        doubts[i + 1],
                        false,
                        false,
                        items.get(i).broken(),
                        likely[i],
                        likely[i + 1]));
            }
        }
        return marked(occurrences);
    }

    /**
     * What the repetitions of a set tell of its ends, where nobody works beyond them. Counted sets begin and end with a repetition; timed
     * work does so with the clock, up to one repetition further out.
     */
    private void edges(List<SequenceSolver.Item> items, int[] low, double[][] at) {
        double grid = MatchWeights.GRID_SECONDS;
        for (int i = 0; i < items.size(); i++) {
            SequenceSolver.Item item = items.get(i);
            Segment s = item.segment() < 0 ? null : timeline.segments().get(item.segment());
            if (s == null || !s.kind().isMoving() || BoundaryFeatures.isStill(s)) {
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

    private boolean works(List<SequenceSolver.Item> items, int i) {
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

    private float[] evidence(SequenceSolver.Item before, SequenceSolver.Item after) {
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

    private Double fixed(SequenceSolver.Item before, SequenceSolver.Item after) {
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

    /** Reads the best chain off the max-marginals; among equals the one nearest the planned length wins. */
    private void choose(
            double[][] marginals,
            int[] low,
            double[] planned,
            Double[] fixed,
            double[] seconds,
            double[] doubts,
            Range[] likely) {
        double grid = MatchWeights.GRID_SECONDS;
        int previous = -1;
        for (int k = 0; k < marginals.length; k++) {
            double[] m = marginals[k];
            int first = Math.max(0, previous - low[k]);
            double best = Double.NEGATIVE_INFINITY;
            for (int i = first; i < m.length; i++) {
                best = Math.max(best, m[i]);
            }
            double wanted = k == 0 ? 0 : seconds[k - 1] / grid + planned[k - 1];
            int chosen = -1;
            for (int i = first; i < m.length; i++) {
                boolean asGood = m[i] >= best - 1e-6;
                if (asGood && (chosen < 0 || Math.abs(low[k] + i - wanted) < Math.abs(chosen - wanted))) {
                    chosen = low[k] + i;
                }
            }
            chosen = chosen < 0 ? Math.max(previous, low[k]) : chosen;
            double at = fixed[k] != null ? fixed[k] : snapped(chosen * grid, wanted * grid);
            seconds[k] = Math.min(take.length().seconds(), k == 0 ? at : Math.max(at, seconds[k - 1]));
            doubts[k] = fixed[k] != null ? 0 : features.isEmpty() ? 1 : doubt(m, chosen - low[k], best);
            likely[k] = fixed[k] != null ? Range.at(seconds[k]) : likely(m, low[k], best, seconds[k]);
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
        double distance = 1.5 * MatchWeights.GRID_SECONDS;
        for (double onset : features.onsets()) {
            if (Math.abs(onset - seconds) < distance) {
                distance = Math.abs(onset - seconds);
                best = onset;
            }
        }
        boolean beep = distance < 1.5 * MatchWeights.GRID_SECONDS;
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

    private List<SegmentOccurrence> pinned(List<SegmentOccurrence> occurrences) {
        List<SegmentOccurrence> out = new ArrayList<>();
        for (SegmentOccurrence v : occurrences) {
            String id = timeline.segments().get(v.segment()).id();
            Pin start = v.broken() ? null : pin(id, false);
            Pin end = v.broken() ? null : pin(id, true);
            Pin shared = v.segment() > 0
                    ? pin(timeline.segments().get(v.segment() - 1).id(), true)
                    : null;
            Pin follows = v.segment() + 1 < timeline.segments().size()
                    ? pin(timeline.segments().get(v.segment() + 1).id(), false)
                    : null;
            double from = start != null
                    ? seconds(start)
                    : shared != null && joins(shared, v.start()) ? seconds(shared) : v.start();
            double to = end != null
                    ? seconds(end)
                    : follows != null && joins(follows, v.end()) ? seconds(follows) : v.end();
            boolean startPinned = start != null || shared != null && joins(shared, v.start());
            boolean endPinned = end != null || follows != null && joins(follows, v.end());
            out.add(new SegmentOccurrence(
                    v.segment(),
                    from,
                    Math.max(from, to),
                    startPinned ? 0 : v.startDoubt(),
                    endPinned ? 0 : v.endDoubt(),
                    startPinned,
                    endPinned,
                    v.broken(),
                    startPinned ? Range.at(from) : v.startLikely(),
                    endPinned ? Range.at(to) : v.endLikely()));
        }
        return out;
    }

    private Pin pin(String segment, boolean end) {
        return pins.stream()
                .filter(p -> p.segment().equals(segment) && p.end() == end)
                .findFirst()
                .orElse(null);
    }

    private double seconds(Pin pin) {
        return Math.max(0, Math.min(take.length().seconds(), pin.time().seconds()));
    }

    /** With a clock the neighbour's boundary is the same moment however far it is moved; without one the solver has moved it already. */
    private boolean joins(Pin pin, double seconds) {
        return clock != null || Math.abs(seconds(pin) - seconds) < 0.2;
    }

    /** Whether the take is something else: it has evidence enough, but next to none of it fits. */
    private boolean isForeign(List<SegmentOccurrence> occurrences) {
        if (features.isEmpty()) {
            return false;
        }
        int told = 0;
        double asked = 0;
        for (SegmentOccurrence v : occurrences) {
            Segment segment = timeline.segments().get(v.segment());
            if (segment.kind().isMoving()) {
                int bin = features.binAt(v.start());
                boolean signal = features.starting(v.segment())[bin] >= MatchWeights.SIGN_OF_START;
                boolean moves = features.movement(v.start(), v.end()) > MatchWeights.SIGN_OF_MOVEMENT
                        && features.movement(v.start() - MatchWeights.STILL_BEFORE, v.start()) < 0;
                boolean named = features.named(segment.move(), v.start() - 25, v.end()) > 0;
                boolean voiced = features.voiced(v.segment(), bin) >= MatchWeights.SIGN_OF_VOICE;
                boolean scripted = features.isScripted(v.segment(), v.start(), v.end());
                boolean borneOut = signal || moves || named || voiced || scripted;
                told += borneOut ? 1 : 0;
                asked += borneOut || !BoundaryFeatures.isStill(segment) ? 1 : MatchWeights.STILL_ASKED;
            }
        }
        return asked == 0 || told < MatchWeights.FOREIGN_SHARE * asked;
    }
}
