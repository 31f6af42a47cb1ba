package app.nosegay.match;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/**
 * Finds for every planned segment where it is in the takes: from sync tones and the shoot log where both exist, else by the jointly best
 * sequence over beeps, words and motion ({@link BoundarySolver}). Every boundary gets a doubt; pins are kept exactly.
 */
public final class Matcher {
    private final Timeline timeline;
    private final List<TakeEvidence> takes;
    private final List<ShootLog> logs;
    private final List<Pin> pins;
    private final TakeStrip strip;

    /**
     * @param logs one per take, in the same order; an entry may be null
     */
    private Matcher(Timeline timeline, List<TakeEvidence> takes, List<ShootLog> logs, List<Pin> pins) {
        this.timeline = timeline;
        this.takes = takes;
        this.logs = logs;
        this.pins = pins;
        this.strip = new TakeStrip(takes);
    }

    /** Matches {@code takes} with the plan; {@code logs} has one entry per take, null where there is no log. */
    public static Match match(Timeline timeline, List<TakeEvidence> takes, List<ShootLog> logs, List<Pin> pins) {
        if (takes.isEmpty() || timeline.segments().isEmpty()) {
            return Match.NOTHING;
        }
        return new Matcher(timeline, takes, logs, pins).solve();
    }

    /** A boundary on the strip. */
    private record Found(double seconds, double doubt, boolean pinned) {}

    private Match solve() {
        Map<TakeEvidence, ClockMap> clocks = new LinkedHashMap<>();
        for (int i = 0; i < takes.size(); i++) {
            ClockMap clock = ClockMap.of(takes.get(i), i < logs.size() ? logs.get(i) : null);
            if (clock != null) {
                clocks.put(takes.get(i), clock);
            }
        }
        Map<String, Found[]> logged = fromLogs(clocks);
        boolean allLogged = timeline.segments().stream().allMatch(s -> logged.containsKey(s.id()));
        List<Found> chain = allLogged ? List.of() : chain(logged);
        List<Match.Placed> placed = new ArrayList<>();
        for (int k = 0; k < timeline.segments().size(); k++) {
            Segment s = timeline.segments().get(k);
            Found[] ends =
                    logged.containsKey(s.id()) ? logged.get(s.id()) : new Found[] {chain.get(k), chain.get(k + 1)};
            placed.add(place(s, pinned(s, false, ends[0]), pinned(s, true, ends[1])));
        }
        return new Match(described(clocks), placed, unplanned(placed), RepFinder.reps(timeline, placed, takes));
    }

    private Map<String, Found[]> fromLogs(Map<TakeEvidence, ClockMap> clocks) {
        Map<String, Found[]> found = new HashMap<>();
        clocks.forEach((take, clock) -> {
            for (ShootLog.Entry e : clock.log().entries()) {
                double start = clock.toTake(e.span().start()).seconds();
                double end = clock.toTake(e.span().end()).seconds();
                double length = take.length().seconds();
                if (end > 0 && start < length && Math.min(end, length) - Math.max(start, 0) > 0.5 * (end - start)) {
                    double at = strip.startOf(take);
                    found.put(e.segment(), new Found[] {
                        new Found(at + Math.max(0, start), clock.doubt(), false),
                        new Found(at + Math.min(length, end), clock.doubt(), false)
                    });
                }
            }
        });
        return found;
    }

    /** The user's pin in place of what was found, also the pin of the neighbour that shares the boundary. */
    private Found pinned(Segment segment, boolean end, Found found) {
        int k = timeline.segments().indexOf(segment);
        int other = end ? k + 1 : k - 1;
        for (Pin pin : pins) {
            boolean own = pin.segment().equals(segment.id()) && pin.end() == end;
            boolean shared = other >= 0
                    && other < timeline.segments().size()
                    && pin.segment().equals(timeline.segments().get(other).id())
                    && pin.end() != end;
            if (own || shared) {
                return new Found(strip.seconds(pin.take(), pin.time()), 0, true);
            }
        }
        return found;
    }

    private List<Found> chain(Map<String, Found[]> logged) {
        List<Segment> segments = timeline.segments();
        int n = segments.size();
        BoundaryHints hints = new BoundaryHints(timeline, strip);
        int bins = strip.bins();
        double grid = MatchWeights.GRID_SECONDS;
        Map<String, Length> logLengths = logLengths();
        double longer = Math.max(0, strip.seconds() - timeline.total().seconds());
        double shorter = Math.max(0, timeline.total().seconds() - strip.seconds());
        int[] low = new int[n + 1];
        int[] high = new int[n + 1];
        double[] planned = new double[n];
        double[] cost = new double[n];
        double[][] at = new double[n + 1][];
        double[][] within = new double[n][];
        for (int k = 0; k <= n; k++) {
            double expected =
                    k < n ? segments.get(k).start().seconds() : timeline.total().seconds();
            low[k] = (int) Math.max(
                    0, Math.min(bins - 1, Math.floor((expected - shorter - MatchWeights.BAND_SECONDS) / grid)));
            high[k] = (int) Math.max(
                    low[k], Math.min(bins - 1, Math.ceil((expected + longer + MatchWeights.BAND_SECONDS) / grid)));
            Double fixed = fixedSeconds(k, logged);
            if (fixed != null) {
                low[k] = Math.min(low[k], clampBin(fixed, bins));
                high[k] = Math.max(high[k], clampBin(fixed, bins));
            }
            at[k] = boundaryRow(hints.boundary(k), low[k], high[k], fixed == null ? -1 : clampBin(fixed, bins), k);
        }
        for (int k = 0; k < n; k++) {
            Length logLength = logLengths.get(segments.get(k).id());
            Length length = logLength != null ? logLength : segments.get(k).duration();
            planned[k] = length.seconds() / grid;
            boolean open = segments.get(k).open();
            cost[k] = MatchWeights.PER_SECOND_OFF
                    * grid
                    * (logLength != null ? MatchWeights.LOGGED_STRICTNESS : open ? 0.2 : 1);
            within[k] = hints.within(k);
        }
        double[][] marginals = new BoundarySolver(low, high, planned, cost, at, within).maxMarginals();
        return chosen(marginals, low, planned, logged, hints.isEmpty());
    }

    private static int clampBin(double seconds, int bins) {
        return (int) Math.max(0, Math.min(bins - 1, Math.round(seconds / MatchWeights.GRID_SECONDS)));
    }

    private double[] boundaryRow(float[] evidence, int low, int high, int fixedBin, int k) {
        double[] row = new double[high - low + 1];
        for (int i = 0; i < row.length; i++) {
            double start = k == 0 ? -MatchWeights.LATE_BEGINNING_PER_SECOND * (low + i) * MatchWeights.GRID_SECONDS : 0;
            row[i] = fixedBin >= 0 && low + i != fixedBin ? -1e6 : evidence[low + i] + start;
        }
        return row;
    }

    private Map<String, Length> logLengths() {
        Map<String, Length> lengths = new HashMap<>();
        logs.stream()
                .filter(l -> l != null)
                .flatMap(l -> l.entries().stream())
                .forEach(e -> lengths.put(e.segment(), e.span().length()));
        return lengths;
    }

    /** Where boundary {@code k} is known already: pinned, or found through a log; null otherwise. */
    private Double fixedSeconds(int k, Map<String, Found[]> logged) {
        List<Segment> segments = timeline.segments();
        Found before = k > 0 ? pinned(segments.get(k - 1), true, null) : null;
        Found after = k < segments.size() ? pinned(segments.get(k), false, null) : null;
        if (before != null || after != null) {
            return (before != null ? before : after).seconds();
        }
        if (k < segments.size() && logged.containsKey(segments.get(k).id())) {
            return logged.get(segments.get(k).id())[0].seconds();
        }
        boolean endLogged = k > 0 && logged.containsKey(segments.get(k - 1).id());
        return endLogged ? Double.valueOf(logged.get(segments.get(k - 1).id())[1].seconds()) : null;
    }

    /** Reads the best sequence off the max-marginals; among equals the one nearest the planned length wins. */
    private List<Found> chosen(
            double[][] marginals, int[] low, double[] planned, Map<String, Found[]> logged, boolean blind) {
        List<Found> found = new ArrayList<>();
        List<Double> onsets = strip.beepSeconds();
        double grid = MatchWeights.GRID_SECONDS;
        int previous = -1;
        double previousSeconds = 0;
        for (int k = 0; k < marginals.length; k++) {
            double[] m = marginals[k];
            double best = Double.NEGATIVE_INFINITY;
            for (int i = Math.max(0, previous - low[k]); i < m.length; i++) {
                best = Math.max(best, m[i]);
            }
            double wanted = k == 0 ? 0 : previousSeconds / grid + planned[k - 1];
            int chosen = -1;
            for (int i = Math.max(0, previous - low[k]); i < m.length; i++) {
                boolean asGood = m[i] >= best - 1e-6;
                if (asGood && (chosen < 0 || Math.abs(low[k] + i - wanted) < Math.abs(chosen - wanted))) {
                    chosen = low[k] + i;
                }
            }
            chosen = chosen < 0 ? Math.max(previous, low[k]) : chosen;
            Double fixed = fixedSeconds(k, logged);
            double seconds = fixed != null ? fixed : snapped(chosen * grid, wanted * grid, onsets);
            seconds = Math.min(strip.seconds(), Math.max(seconds, previousSeconds));
            double doubt = fixed != null ? 0 : blind ? 1 : doubt(m, chosen - low[k], best);
            found.add(new Found(seconds, doubt, false));
            previous = chosen;
            previousSeconds = seconds;
        }
        return found;
    }

    /** The exact beep where one lies within a grid step and a half, else the exact planned length where that is the same bin. */
    private static double snapped(double seconds, double wanted, List<Double> onsets) {
        double best = seconds;
        double distance = 1.5 * MatchWeights.GRID_SECONDS;
        for (double onset : onsets) {
            if (Math.abs(onset - seconds) < distance) {
                distance = Math.abs(onset - seconds);
                best = onset;
            }
        }
        boolean beep = distance < 1.5 * MatchWeights.GRID_SECONDS;
        return !beep && Math.abs(wanted - seconds) <= MatchWeights.GRID_SECONDS ? wanted : best;
    }

    /** The share of likelihood that lies further from the chosen bin than the tolerance. */
    private static double doubt(double[] marginal, int chosen, double best) {
        int reach = (int) Math.round(MatchWeights.DOUBT_TOLERANCE / MatchWeights.GRID_SECONDS);
        double near = 0;
        double all = 0;
        for (int i = 0; i < marginal.length; i++) {
            double likelihood = Math.exp(Math.max(-60, marginal[i] - best));
            all += likelihood;
            near += Math.abs(i - chosen) <= reach ? likelihood : 0;
        }
        return all == 0 ? 1 : Math.max(0, Math.min(1, 1 - near / all));
    }

    private Match.Placed place(Segment s, Found start, Found end) {
        double length = end.seconds() - start.seconds();
        boolean missing =
                length < MatchWeights.LEFT_OUT_SHARE * s.duration().seconds() && !(start.pinned() && end.pinned());
        TakeStrip.At from = strip.at(start.seconds());
        if (missing || end.seconds() <= start.seconds()) {
            return new Match.Placed(
                    s.id(),
                    s.duration(),
                    null,
                    null,
                    null,
                    null,
                    null,
                    start.doubt(),
                    end.doubt(),
                    start.pinned(),
                    end.pinned());
        }
        Time<Axis.Take> takeEnd = from.time().plus(Length.ofSeconds(length));
        takeEnd = Time.min(takeEnd, Time.<Axis.Take>zero().plus(from.take().length()));
        Span<Axis.Take> announced = new Span<>(from.time(), Time.max(from.time(), takeEnd));
        Span<Axis.Take> performed =
                s.kind().isMoving() ? Movement.within(from.take().motion(), announced) : announced;
        return new Match.Placed(
                s.id(),
                s.duration(),
                from.take().id(),
                announced.start(),
                announced.end(),
                performed.start(),
                performed.end(),
                start.doubt(),
                end.doubt(),
                start.pinned(),
                end.pinned());
    }

    private List<Match.Unplanned> unplanned(List<Match.Placed> placed) {
        List<Match.Unplanned> gaps = new ArrayList<>();
        Match.Placed last = null;
        for (Match.Placed p : placed) {
            if (!p.matched()) {
                continue;
            }
            // Half a second: less is the beat between two announcements, not a stretch of its own.
            if (last != null
                    && last.take().equals(p.take())
                    && p.start().since(last.end()).compareTo(Length.ofMillis(500)) > 0) {
                gaps.add(new Match.Unplanned(p.take(), new Span<>(last.end(), p.start()), "interruption"));
            }
            last = p;
        }
        return gaps;
    }

    private List<Match.Take> described(Map<TakeEvidence, ClockMap> clocks) {
        List<Match.Take> described = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            TakeEvidence t = takes.get(i);
            ClockMap clock = clocks.get(t);
            List<String> used = new ArrayList<>();
            if (!t.tones().isEmpty()) {
                used.add("tones");
            }
            if (i < logs.size() && logs.get(i) != null) {
                used.add("log");
            }
            if (!t.beeps().isEmpty()) {
                used.add("beeps");
            }
            if (!t.words().isEmpty()) {
                used.add("words");
            }
            if (!t.motion().isEmpty()) {
                used.add("motion");
            }
            described.add(new Match.Take(
                    t.id(),
                    t.file(),
                    t.length(),
                    clock == null ? null : clock.offset(),
                    clock == null ? 0 : clock.ratePpm(),
                    used));
        }
        return described;
    }
}
