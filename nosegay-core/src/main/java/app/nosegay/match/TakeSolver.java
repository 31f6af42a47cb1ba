package app.nosegay.match;

import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/** Finds the plan in one take: by the shoot log's clock where its tones were heard, else by the evidence. */
final class TakeSolver {
    /** The order is looked for on a coarser grid; the boundaries are then placed on the fine one. */
    private static final int STRIDE = 4;

    private final Timeline timeline;
    private final List<ScriptLine> lines;
    private final TakeEvidence take;
    private final ShootLog log;
    private final List<Pin> pins;
    private final Map<String, Integer> indexes;
    private final ClockMap clock;
    private final int next;
    private BoundaryHints hints;

    /** What was found in one take. */
    record Found(List<Visit> visits, ClockMap clock, boolean foreign, BoundaryHints hints) {}

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
        hints = BoundaryHints.of(timeline, lines, take);
        if (clock != null) {
            return new Found(pinned(logged(clock)), clock, false, hints);
        }
        List<SequenceSolver.Item> items = log == null || log.entries().isEmpty() ? sequence() : loggedSequence();
        List<Visit> visits = pinned(OrderDoubt.applied(timeline, refined(items), hints));
        boolean foreign = log == null && pins.isEmpty() && isForeign(visits);
        return new Found(foreign ? List.of() : visits, null, foreign, hints);
    }

    private List<Visit> logged(ClockMap map) {
        List<Visit> visits = new ArrayList<>();
        double length = take.length().seconds();
        for (ShootLog.Entry e : map.log().entries()) {
            Integer k = indexes.get(e.segment());
            double start = map.toTake(e.span().start()).seconds();
            double end = map.toTake(e.span().end()).seconds();
            boolean inside =
                    end > 0 && start < length && Math.min(end, length) - Math.max(start, 0) > 0.5 * (end - start);
            if (k != null && inside) {
                visits.add(new Visit(
                        k, Math.max(0, start), Math.min(length, end), map.doubt(), map.doubt(), false, false, false));
            }
        }
        return marked(visits);
    }

    /** A visit is broken off when the same segment or an earlier one comes again behind it. */
    private static List<Visit> marked(List<Visit> visits) {
        List<Visit> marked = new ArrayList<>();
        for (int i = 0; i < visits.size(); i++) {
            int k = visits.get(i).segment();
            boolean again = visits.subList(i + 1, visits.size()).stream().anyMatch(v -> v.segment() == k);
            marked.add(visits.get(i).broken(again));
        }
        return marked;
    }

    /** The order the log tells, at the offset at which the evidence fits best: its tones were not heard. */
    private List<SequenceSolver.Item> loggedSequence() {
        List<ShootLog.Entry> entries = log.entries().stream()
                .filter(e -> indexes.containsKey(e.segment()))
                .toList();
        double best = Double.NEGATIVE_INFINITY;
        int bestOffset = 0;
        double end = entries.isEmpty()
                ? 0
                : entries.get(entries.size() - 1).span().end().seconds();
        int from = (int) (-end / MatchWeights.GRID_SECONDS / 2);
        int to = hints.bins() - from / 2;
        for (int offset = from; offset < to; offset++) {
            double score = -Math.abs(offset) * 1e-6;
            for (int i = 0; i < entries.size(); i++) {
                ShootLog.Entry e = entries.get(i);
                int k = indexes.get(e.segment());
                int a = offset + BoundaryHints.bin(e.span().start().seconds());
                int b = offset + BoundaryHints.bin(e.span().end().seconds());
                if (a >= 0 && b < hints.bins() && b > a) {
                    score += hints.joint(k)[a]
                            + hints.within(k).at(b)
                            - hints.within(k).at(a);
                }
            }
            if (score > best) {
                best = score;
                bestOffset = offset;
            }
        }
        List<SequenceSolver.Item> items = new ArrayList<>();
        int last = -1;
        for (ShootLog.Entry e : entries) {
            int a = bestOffset + BoundaryHints.bin(e.span().start().seconds());
            int b = bestOffset + BoundaryHints.bin(e.span().end().seconds());
            if (a < 0 || b >= hints.bins() || b <= a) {
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

    private List<SequenceSolver.Item> sequence() {
        List<SequenceSolver.Item> coarse = new SequenceSolver(new Coarse()).solve();
        return coarse.stream()
                .map(i -> new SequenceSolver.Item(i.segment(), i.from() * STRIDE, i.to() * STRIDE, i.broken()))
                .toList();
    }

    private double cost(int k) {
        Segment s = timeline.segments().get(k);
        double share = log != null
                ? MatchWeights.LOGGED_STRICTNESS
                : s.open()
                        ? MatchWeights.OPEN_SHARE
                        : (s.kind() == SegmentKind.TALK ? MatchWeights.TALK_SHARE : 1)
                                * (hints.isTimed() ? 1 : MatchWeights.BY_HAND_SHARE);
        return MatchWeights.PER_SECOND_OFF * MatchWeights.GRID_SECONDS * share;
    }

    /** The take on the coarse grid: of two fine bins the stronger evidence counts. */
    private final class Coarse implements SequenceSolver.Evidence {
        private final int n = timeline.segments().size();
        private final float[][] joint = new float[n + 1][];
        private final float[][] ending = new float[n + 1][];
        private final float[][] starting = new float[n + 1][];
        private final BoundaryHints.Within[] within = new BoundaryHints.Within[n];
        private final int[] plannedStart = new int[n + 1];
        private final Map<float[], float[]> made = new java.util.IdentityHashMap<>();
        private final int before;
        private final int after;

        Coarse() {
            for (int k = 0; k <= n; k++) {
                joint[k] = made.computeIfAbsent(hints.joint(k), TakeSolver::coarse);
                ending[k] = made.computeIfAbsent(hints.ending(k), TakeSolver::coarse);
                starting[k] = made.computeIfAbsent(hints.starting(k), TakeSolver::coarse);
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
                within[k] = hints.within(k);
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
            return (hints.bins() + STRIDE - 1) / STRIDE;
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

        @Override
        public double leftOut(int k, boolean again) {
            boolean still = !timeline.segments().get(k).kind().isMoving();
            return !again ? MatchWeights.LEFT_OUT : still ? MatchWeights.LEFT_OUT_WITH_IT : MatchWeights.LEFT_OUT_AGAIN;
        }

        @Override
        public double costPerBin(int k) {
            return cost(k) * STRIDE;
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
            int bin = Math.min(hints.bins() - 1, BoundaryHints.bin(pin.time().seconds())) / STRIDE;
            evidence[boundary][bin] += (float) MatchWeights.PINNED;
        }

        @Override
        public double fluff(int bin) {
            return hints.fluff(bin * STRIDE);
        }

        @Override
        public double within(int k, int bin) {
            return within[k].at(bin * STRIDE);
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

    /** The boundaries of the order found, each placed and doubted on the fine grid within reach of where it was found. */
    private List<Visit> refined(List<SequenceSolver.Item> items) {
        if (items.isEmpty()) {
            return List.of();
        }
        int m = items.size();
        int last = hints.bins() - 1;
        int reach = (int) Math.round(MatchWeights.REFINE_SECONDS / MatchWeights.GRID_SECONDS);
        int[] low = new int[m + 1];
        int[] high = new int[m + 1];
        double[] planned = new double[m];
        double[] costs = new double[m];
        double[][] at = new double[m + 1][];
        BoundaryHints.Within[] within = new BoundaryHints.Within[m];
        Double[] fixed = new Double[m + 1];
        for (int i = 0; i <= m; i++) {
            SequenceSolver.Item before = i > 0 ? items.get(i - 1) : null;
            SequenceSolver.Item after = i < m ? items.get(i) : null;
            int found = Math.min(last, after != null ? after.from() : before.to());
            fixed[i] = fixed(before, after);
            int centre = fixed[i] == null ? found : Math.min(last, BoundaryHints.bin(fixed[i]));
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
            costs[i] = k < 0 || item.broken() ? MatchWeights.PER_SECOND_OFF * MatchWeights.GRID_SECONDS * 0.3 : cost(k);
            within[i] = k < 0 ? hints.still() : hints.within(k);
        }
        double[][] marginals =
                new BoundarySolver(low, high, planned, costs, at, (i, b) -> within[i].at(b)).maxMarginals();
        double[] seconds = new double[m + 1];
        double[] doubts = new double[m + 1];
        choose(marginals, low, planned, fixed, seconds, doubts);
        List<Visit> visits = new ArrayList<>();
        for (int i = 0; i < m; i++) {
            if (items.get(i).segment() >= 0) {
                visits.add(new Visit(
                        items.get(i).segment(),
                        seconds[i],
                        seconds[i + 1],
                        doubts[i],
                        doubts[i + 1],
                        false,
                        false,
                        items.get(i).broken()));
            }
        }
        return marked(visits);
    }

    private float[] evidence(SequenceSolver.Item before, SequenceSolver.Item after) {
        boolean from = before != null && before.segment() >= 0;
        boolean to = after != null && after.segment() >= 0;
        if (from && before.broken() && !to) {
            return hints.fluffs();
        }
        if (from && to) {
            return after.segment() == before.segment() + 1
                    ? hints.joint(after.segment())
                    : hints.between(before.segment(), after.segment());
        }
        return from ? hints.ending(before.segment() + 1) : to ? hints.starting(after.segment()) : hints.nothing();
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
        return Math.abs(BoundaryHints.bin(pin.time().seconds()) - bin) <= 2 * STRIDE;
    }

    /** Reads the best chain off the max-marginals; among equals the one nearest the planned length wins. */
    private void choose(
            double[][] marginals, int[] low, double[] planned, Double[] fixed, double[] seconds, double[] doubts) {
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
            doubts[k] = fixed[k] != null ? 0 : hints.isEmpty() ? 1 : doubt(m, chosen - low[k], best);
            previous = chosen;
        }
    }

    /** The exact beep where one lies within a grid step and a half, else the exact planned length where that is the same bin. */
    private double snapped(double seconds, double wanted) {
        double best = seconds;
        double distance = 1.5 * MatchWeights.GRID_SECONDS;
        for (double onset : hints.onsets()) {
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
        double tolerance = hints.tolerance();
        int reach = (int) Math.round(tolerance / MatchWeights.GRID_SECONDS);
        double near = 0;
        double all = 0;
        for (int i = 0; i < marginal.length; i++) {
            double likelihood = Math.exp(Math.max(-60, (marginal[i] - best) / MatchWeights.DOUBT_SPREAD));
            all += likelihood;
            near += Math.abs(i - chosen) <= reach ? likelihood : 0;
        }
        double share = all == 0 ? 1 : Math.max(0, Math.min(1, 1 - near / all));
        return Math.min(1, MatchWeights.LEAST_DOUBT + (1 - MatchWeights.LEAST_DOUBT) * share);
    }

    private List<Visit> pinned(List<Visit> visits) {
        List<Visit> out = new ArrayList<>();
        for (Visit v : visits) {
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
            out.add(new Visit(
                    v.segment(),
                    from,
                    Math.max(from, to),
                    startPinned ? 0 : v.startDoubt(),
                    endPinned ? 0 : v.endDoubt(),
                    startPinned,
                    endPinned,
                    v.broken()));
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
    private boolean isForeign(List<Visit> visits) {
        if (hints.isEmpty()) {
            return false;
        }
        int told = 0;
        int asked = 0;
        for (Visit v : visits) {
            if (timeline.segments().get(v.segment()).kind().isMoving()) {
                asked++;
                int bin = Math.min(hints.bins() - 1, BoundaryHints.bin(v.start()));
                boolean signal = hints.starting(v.segment())[bin] >= MatchWeights.SIGN_OF_START;
                boolean moves = hints.movement(v.start(), v.end()) > MatchWeights.SIGN_OF_MOVEMENT
                        && hints.movement(v.start() - 3, v.start()) < 0;
                boolean named = hints.named(timeline.segments().get(v.segment()).move(), v.start() - 25, v.end()) > 0;
                boolean voiced = hints.voiced(v.segment(), bin) >= MatchWeights.SIGN_OF_VOICE;
                told += signal || moves || named || voiced ? 1 : 0;
            }
        }
        return asked == 0 || told < MatchWeights.FOREIGN_SHARE * asked;
    }
}
