package app.nosegay.plan;

import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;

/**
 * The run of segments one on-screen timer covers.
 *
 * @param id the interval's id
 * @param segments its segments in order; at least one
 */
public record Interval(String id, List<Segment> segments) {
    public Interval {
        segments = List.copyOf(segments);
    }

    public Segment first() {
        return segments.get(0);
    }

    public Segment last() {
        return segments.get(segments.size() - 1);
    }

    public SegmentKind kind() {
        return first().kind();
    }

    public Time<Axis.Plan> start() {
        return first().start();
    }

    public Time<Axis.Plan> end() {
        return last().end();
    }

    public Length length() {
        return end().since(start());
    }
}
