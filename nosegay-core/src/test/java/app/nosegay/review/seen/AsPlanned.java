package app.nosegay.review.seen;

import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** A plan done to the second in one take. */
final class AsPlanned {
    private AsPlanned() {}

    /** @param period how long each repetition takes, in seconds; 0 where none are counted */
    static Match match(Timeline timeline, double period) {
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (Segment s : timeline.segments()) {
            Time<Axis.Take> at = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> end = at.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
            if (period > 0 && s.kind() == SegmentKind.WORK) {
                List<Time<Axis.Take>> ends = new ArrayList<>();
                for (double t = period; t <= s.duration().seconds(); t += period) {
                    ends.add(at.plus(Length.ofSeconds(t)));
                }
                reps.put(s.id(), ends);
            }
        }
        Match.Take take = new Match.Take("t", "t.mp4", timeline.total(), Length.ZERO, 0, List.of());
        return new Match(List.of(take), placed, List.of(), reps);
    }
}
