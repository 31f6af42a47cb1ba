package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.SegmentOccurrence.Range;
import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.Feature;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.features.PlannedMovement;
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
        TakeOrder order = new TakeOrder(timeline, take, log, pins, next, features);
        return pinned(new BoundaryPlacer(timeline, take, pins, features, order, log == null).place(order.found()));
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
    static List<SegmentOccurrence> marked(List<SegmentOccurrence> occurrences) {
        List<SegmentOccurrence> marked = new ArrayList<>();
        for (int i = 0; i < occurrences.size(); i++) {
            int k = occurrences.get(i).segment();
            boolean again =
                    occurrences.subList(i + 1, occurrences.size()).stream().anyMatch(v -> v.segment() == k);
            marked.add(occurrences.get(i).broken(again));
        }
        return marked;
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
                asked += borneOut || !PlannedMovement.isStill(segment) ? 1 : MatchWeights.STILL_ASKED;
            }
        }
        return asked == 0 || told < MatchWeights.FOREIGN_SHARE * asked;
    }
}
