package app.nosegay.desktop.dress;

import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** An interval at its place in the programme. */
record Stretch(Interval interval, Span<Axis.Cut> span) {
    /** Those that can be seen, in the order of the plan. */
    static List<Stretch> of(Programme programme) {
        List<Stretch> list = new ArrayList<>();
        for (Interval interval : programme.timeline().intervals()) {
            Optional<Time<Axis.Cut>> start = cut(programme, interval.first(), false);
            Optional<Time<Axis.Cut>> end = cut(programme, interval.last(), true);
            if (start.isPresent() && end.isPresent() && end.get().isAfter(start.get())) {
                list.add(new Stretch(interval, new Span<>(start.get(), end.get())));
            }
        }
        return list;
    }

    private static Optional<Time<Axis.Cut>> cut(Programme programme, Segment segment, boolean end) {
        return programme
                .match()
                .segment(segment.id())
                .flatMap(programme.cut()::shown)
                .map(span -> end ? span.end() : span.start());
    }
}
