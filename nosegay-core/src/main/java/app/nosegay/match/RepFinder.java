package app.nosegay.match;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.Repetitions;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The moments reps are completed: as they are seen in joints or in the set's pictures ({@link Repetitions}), from the tempo alone
 * where there is no picture or no rhythm.
 */
final class RepFinder {
    /** A count from the tempo alone forgives this share of a rep at the end. */
    private static final double FORGIVEN = 0.1;

    /** Reps are told from joints where the person was found for this share of a set. */
    private static final double MOSTLY_SEEN = 0.9;

    private RepFinder() {}

    static Map<String, List<Time<Axis.Take>>> reps(
            Timeline timeline, List<Match.Placed> placed, List<TakeEvidence> takes) {
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (int k = 0; k < placed.size(); k++) {
            Segment s = timeline.segments().get(k);
            Match.Placed p = placed.get(k);
            if (p.matched() && s.kind() == SegmentKind.WORK && s.tempo() != null) {
                TakeEvidence take = takes.stream()
                        .filter(t -> t.id().equals(p.take()))
                        .findFirst()
                        .orElseThrow();
                reps.put(
                        p.id(),
                        NegativeDemonstration.without(moments(s, p, take, stillUntil(timeline, placed, k)), take));
            }
        }
        return reps;
    }

    /** When the last stretch before a set ended in which nobody was to move: a second side follows the first without one. */
    private static double stillUntil(Timeline timeline, List<Match.Placed> placed, int k) {
        Match.Placed set = placed.get(k);
        for (int i = k - 1; i >= 0; i--) {
            Match.Placed p = placed.get(i);
            boolean still = !timeline.segments().get(i).kind().isMoving();
            if (still && p.matched() && p.take().equals(set.take()) && !p.end().isAfter(set.start())) {
                return p.end().seconds();
            }
        }
        return set.performedStart().seconds();
    }

    private static List<Time<Axis.Take>> moments(Segment s, Match.Placed p, TakeEvidence take, double stillUntil) {
        double planned = s.tempo().repLength().seconds();
        double start = p.performedStart().seconds();
        double end = p.performedEnd().seconds();
        if (take.pose() != null && take.pose().count() > 0 && end - start > 1.2 * planned) {
            List<Time<Axis.Take>> seen = seen(
                    take, new Asked(start, end, Math.min(start, stillUntil), planned, s.way() == SideWay.ALTERNATE));
            if (!seen.isEmpty()) {
                return seen;
            }
        }
        List<Time<Axis.Take>> found = new ArrayList<>();
        int count = (int) Math.floor((end - start) / planned + FORGIVEN);
        for (int i = 1; i <= count; i++) {
            found.add(Time.ofSeconds(Math.min(end, start + i * planned)));
        }
        return found;
    }

    /** A pin moves few sets: what was seen in the others is kept. */
    private static final int SETS_KEPT = 600;

    /** A set as it is looked at, in seconds of its take. */
    private record Asked(double start, double end, double stillUntil, double planned, boolean alternate) {}

    /** The reps seen in the joints of whoever leads, where they were found, or in the pictures; none where they have no rhythm. */
    private static List<Time<Axis.Take>> seen(TakeEvidence take, Asked asked) {
        return take.derived().get(SETS_KEPT, asked, () -> {
            List<Time<Axis.Take>> inJoints = JointRows.ofLeader(take)
                    .filter(j -> j.seen(asked.start(), asked.end()) >= MOSTLY_SEEN)
                    .map(j -> reps(Repetitions.of(j, asked.start(), asked.end(), asked.stillUntil()), asked))
                    .orElse(List.of());
            return inJoints.isEmpty()
                    ? reps(Repetitions.of(take.pose(), asked.start(), asked.end(), asked.stillUntil()), asked)
                    : inJoints;
        });
    }

    private static List<Time<Axis.Take>> reps(Repetitions set, Asked asked) {
        return set.reps(asked.planned(), asked.alternate());
    }
}
