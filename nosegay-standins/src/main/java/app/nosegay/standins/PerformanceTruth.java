package app.nosegay.standins;

import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What a perfect matcher would find of a run. */
final class PerformanceTruth {
    private final Performance run;

    PerformanceTruth(Performance run) {
        this.run = run;
    }

    Match of(String takeId, String file) {
        Map<String, Played> counted = new LinkedHashMap<>();
        Map<String, List<Match.Other>> others = new LinkedHashMap<>();
        for (Played p : run.played()) {
            if (p.counts()) {
                counted.put(p.segment().id(), p);
            } else if (p.ofPlan()) {
                others.computeIfAbsent(p.segment().id(), k -> new ArrayList<>())
                        .add(new Match.Other(takeId, p.start(), p.end(), "repeat"));
            }
        }
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new LinkedHashMap<>();
        for (Segment s : run.timeline().segments()) {
            Played p = counted.get(s.id());
            if (p == null) {
                placed.add(new Match.Placed(s.id(), s.duration(), null, null, null, null, null, 0, 0, false, false));
                continue;
            }
            placed.add(new Match.Placed(
                    s.id(),
                    s.duration(),
                    takeId,
                    p.start(),
                    p.end(),
                    p.performedStart(),
                    p.performedEnd(),
                    0,
                    0,
                    false,
                    false,
                    others.getOrDefault(s.id(), List.of()),
                    null));
            if (s.kind() == SegmentKind.WORK) {
                reps.put(s.id(), p.reps());
            }
        }
        List<Match.Unplanned> unplanned = run.between().stream()
                .map(u -> new Match.Unplanned(takeId, u.span(), u.kind()))
                .toList();
        Match.Take take = new Match.Take(takeId, file, run.length(), run.offset(), run.ratePpm(), List.of());
        return new Match(List.of(take), placed, unplanned, reps);
    }

    /** The same in terms of the recordings, where the camera was stopped in between. */
    Match inParts(String id) {
        Time<Axis.Take> stop = run.stoppedAt();
        Match whole = of(id, id + ".mp4");
        if (stop == null) {
            return whole;
        }
        Length by = stop.since(Time.zero());
        List<Match.Placed> placed = whole.segments().stream()
                .map(p -> !p.matched() || p.start().isBefore(stop)
                        ? p
                        : new Match.Placed(
                                p.id(),
                                p.planned(),
                                id + "-2",
                                p.start().minus(by),
                                p.end().minus(by),
                                p.performedStart().minus(by),
                                p.performedEnd().minus(by),
                                0,
                                0,
                                false,
                                false))
                .toList();
        return new Match(whole.takes(), placed, whole.unplanned(), whole.reps());
    }
}
