package app.nosegay.standins;

import app.nosegay.plan.Segment;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;

/** A stretch as it happened, in take time. */
public record Played(
        Segment segment,
        Scenario.Role role,
        Span<Axis.Clock> clock,
        Time<Axis.Take> start,
        Time<Axis.Take> end,
        Time<Axis.Take> performedStart,
        Time<Axis.Take> performedEnd,
        List<Time<Axis.Take>> reps) {
    boolean counts() {
        return role == Scenario.Role.PLANNED;
    }

    boolean ofPlan() {
        return counts() || role == Scenario.Role.ABORTED || role == Scenario.Role.REPEATED;
    }
}
