package app.nosegay.review.seen;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;

/** A set that was found, with whoever leads in its take. */
record SeenSet(Segment segment, Match.Placed placed, JointRows leader) {
    /** All sets of moves that were found in takes in which somebody was seen, as planned. */
    static List<SeenSet> of(Timeline timeline, Match match, List<TakeEvidence> takes) {
        List<SeenSet> sets = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            Match.Placed p = match.segment(s.id()).filter(Match.Placed::matched).orElse(null);
            if (p != null && s.kind() == SegmentKind.WORK && s.move() != null) {
                takes.stream()
                        .filter(t -> t.id().equals(p.take()))
                        .flatMap(t -> JointRows.ofLeader(t).stream())
                        .forEach(leader -> sets.add(new SeenSet(s, p, leader)));
            }
        }
        return sets;
    }

    /** When work was seen to begin, in seconds of the take. */
    double start() {
        return placed.performedStart().seconds();
    }

    double end() {
        return placed.performedEnd().seconds();
    }

    /** The share of the set in which the one who leads was found. */
    double found() {
        return leader.seen(start(), end());
    }

    /** In the middle of a set it is shown best. */
    Finding.Moment middle() {
        Length half = placed.performedEnd().since(placed.performedStart()).times(0.5);
        return Finding.Moment.at(placed.take(), placed.performedStart().plus(half));
    }
}
