package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Movement;
import app.nosegay.match.features.Feature;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Finds for every planned segment where it is in the takes. Each take is solved on its own ({@link TakeSolver}), so that takes may
 * hold any part of the plan; of several times a segment was done one is chosen, with the reason ({@link TakeChoice}). Every
 * boundary gets a doubt; pins are kept exactly.
 */
public final class Matcher {
    /** Less than this is the beat between two announcements, not a stretch of its own, in seconds. */
    private static final double LEAST_GAP = 0.5;

    private final Timeline timeline;
    private final List<ScriptLine> lines;
    private final List<TakeEvidence> takes;
    private final List<ShootLog> logs;
    private final List<TakeSolver.Found> found = new ArrayList<>();
    private final List<Movement> moved;

    private Matcher(Timeline timeline, List<ScriptLine> lines, List<TakeEvidence> takes, List<ShootLog> logs) {
        this.timeline = timeline;
        this.lines = lines;
        this.takes = takes;
        this.logs = logs;
        this.moved = takes.stream().map(t -> new Movement(t.motion())).toList();
    }

    /** Matches {@code takes} with the plan; {@code logs} has one entry per take, null where there is no log. */
    public static Match match(Timeline timeline, List<TakeEvidence> takes, List<ShootLog> logs, List<Pin> pins) {
        return match(timeline, List.of(), takes, logs, pins, Map.of());
    }

    /** The same with the lines that are to be said and the takes chosen by hand, by segment id. */
    public static Match match(
            Timeline timeline,
            List<ScriptLine> lines,
            List<TakeEvidence> takes,
            List<ShootLog> logs,
            List<Pin> pins,
            Map<String, String> choices) {
        if (takes.isEmpty() || timeline.segments().isEmpty()) {
            return Match.NOTHING;
        }
        return new Matcher(timeline, lines, takes, logs).solve(pins, choices);
    }

    private Match solve(List<Pin> pins, Map<String, String> choices) {
        int next = 0;
        for (int i = 0; i < takes.size(); i++) {
            ShootLog log = i < logs.size() ? logs.get(i) : null;
            TakeSolver.Found f = TakeSolver.solve(timeline, lines, takes.get(i), log, pins, next);
            next = behind(f.occurrences(), next);
            List<SegmentOccurrence> occurrences = log != null && Feature.EXCHANGED_MOVES.isOn()
                    ? MoveOrder.swapped(timeline, f.occurrences(), f.features())
                    : f.occurrences();
            found.add(new TakeSolver.Found(occurrences, f.clock(), f.foreign(), f.features()));
        }
        TakeChoice choice = new TakeChoice(timeline, takes, found, pins, choices);
        List<Match.Placed> placed = new ArrayList<>();
        for (int k = 0; k < timeline.segments().size(); k++) {
            placed.add(place(timeline.segments().get(k), choice, k));
        }
        return new Match(described(), placed, unplanned(), RepFinder.reps(timeline, placed, takes));
    }

    /** The segment with which a take goes on that was recorded behind these: takes are given in the order in which they were made. */
    private static int behind(List<SegmentOccurrence> occurrences, int before) {
        return occurrences.stream()
                .max(Comparator.comparingDouble(SegmentOccurrence::end))
                .map(v -> v.segment() + (v.broken() ? 0 : 1))
                .orElse(before);
    }

    private Match.Placed place(Segment s, TakeChoice choice, int k) {
        TakeChoice.Candidate chosen = choice.chosen(k);
        List<Match.Other> others = choice.others(k).stream()
                .map(c -> new Match.Other(
                        takes.get(c.take()).id(),
                        time(c.occurrence().start()),
                        time(c.occurrence().end()),
                        chosen != null && c.take() == chosen.take() ? "repeat" : "retake"))
                .toList();
        if (chosen == null) {
            return new Match.Placed(
                    s.id(), s.duration(), null, null, null, null, null, 1, 1, false, false, others, null);
        }
        TakeEvidence take = takes.get(chosen.take());
        SegmentOccurrence v = chosen.occurrence();
        Span<Axis.Take> announced = new Span<>(time(v.start()), time(Math.max(v.start(), v.end())));
        Span<Axis.Take> performed =
                s.kind().isMoving() ? moved.get(chosen.take()).within(announced) : announced;
        return new Match.Placed(
                s.id(),
                s.duration(),
                take.id(),
                announced.start(),
                announced.end(),
                performed.start(),
                performed.end(),
                v.startDoubt(),
                v.endDoubt(),
                v.startPinned(),
                v.endPinned(),
                others,
                choice.reason(k),
                span(v.startLikely()),
                span(v.endLikely()));
    }

    private static Span<Axis.Take> span(SegmentOccurrence.Range range) {
        return new Span<>(time(range.from()), time(range.to()));
    }

    private static Time<Axis.Take> time(double seconds) {
        return Time.ofSeconds(seconds);
    }

    private List<Match.Unplanned> unplanned() {
        List<Match.Unplanned> gaps = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            List<SegmentOccurrence> occurrences = found.get(i).occurrences().stream()
                    .sorted(Comparator.comparingDouble(SegmentOccurrence::start))
                    .toList();
            TakeEvidence take = takes.get(i);
            occurrences.forEach(v -> longRest(take, v).ifPresent(gaps::add));
            for (int v = 1; v < occurrences.size(); v++) {
                double from = occurrences.get(v - 1).end();
                double to = occurrences.get(v).start();
                if (to - from > LEAST_GAP) {
                    Span<Axis.Take> span = new Span<>(time(from), time(to));
                    String kind = UnplannedClassifier.kind(take, found.get(i).features(), span);
                    gaps.add(new Match.Unplanned(take.id(), span, kind));
                }
            }
        }
        return gaps;
    }

    private Optional<Match.Unplanned> longRest(TakeEvidence take, SegmentOccurrence v) {
        Segment s = timeline.segments().get(v.segment());
        return s.kind() == SegmentKind.REST && !s.open()
                ? UnplannedClassifier.tooLong(take, new Span<>(time(v.start()), time(v.end())), s.duration())
                        .map(span -> new Match.Unplanned(take.id(), span, Match.Unplanned.LONG_REST))
                : Optional.empty();
    }

    private List<Match.Take> described() {
        List<Match.Take> described = new ArrayList<>();
        for (int i = 0; i < takes.size(); i++) {
            TakeEvidence t = takes.get(i);
            ClockMap clock = found.get(i).clock();
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
            if (found.get(i).features().hearsVoice()) {
                used.add("voice");
            }
            if (!t.motion().isEmpty()) {
                used.add("motion");
            }
            if (!t.bodies().isEmpty()) {
                used.add("people");
            }
            Length offset = clock == null ? null : clock.offset();
            double rate = clock == null ? 0 : clock.ratePpm();
            described.add(new Match.Take(
                    t.id(),
                    t.file(),
                    t.length(),
                    offset,
                    rate,
                    used,
                    found.get(i).foreign()));
        }
        return described;
    }
}
