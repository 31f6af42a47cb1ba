package app.nosegay.match;

import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/**
 * Raises the doubt of segments near something left out, repeated or put in, unless their names are said: times alone then do not tell
 * which of several like segments was meant.
 */
final class OrderDoubt {
    /** A stretch between two visits that is long enough to be a move of its own, in seconds. */
    private static final double A_MOVE = 12;

    private OrderDoubt() {}

    static List<SegmentOccurrence> applied(
            Timeline timeline, List<SegmentOccurrence> occurrences, BoundaryFeatures features) {
        Set<Integer> near = new HashSet<>();
        for (int i = 1; i < occurrences.size(); i++) {
            SegmentOccurrence before = occurrences.get(i - 1);
            SegmentOccurrence now = occurrences.get(i);
            boolean order = now.segment() != before.segment() + 1;
            boolean stretch = now.start() - before.end() > A_MOVE;
            if (order || stretch) {
                // A visit that only continues itself after a short fluff is the same segment without any doubt.
                boolean again =
                        now.segment() == before.segment() && before.length() < 0.85 * planned(timeline, now.segment());
                if (!again) {
                    block(timeline, before.segment(), near);
                    block(timeline, now.segment(), near);
                }
            }
        }
        List<SegmentOccurrence> out = new ArrayList<>();
        for (SegmentOccurrence v : occurrences) {
            boolean named = isNamed(timeline, v, features);
            double least = near.contains(v.segment()) && !named ? MatchWeights.ORDER_DOUBT : 0;
            out.add(new SegmentOccurrence(
                    v.segment(),
                    v.start(),
                    v.end(),
                    Math.max(least, v.startDoubt()),
                    Math.max(least, v.endDoubt()),
                    v.startPinned(),
                    v.endPinned(),
                    v.broken(),
                    v.startLikely(),
                    v.endLikely()));
        }
        return out;
    }

    private static double planned(Timeline timeline, int k) {
        return timeline.segments().get(k).duration().seconds();
    }

    private static void block(Timeline timeline, int k, Set<Integer> near) {
        Segment s = timeline.segments().get(k);
        for (int i = 0; i < timeline.segments().size(); i++) {
            if (timeline.segments().get(i).block().equals(s.block())) {
                near.add(i);
            }
        }
    }

    private static boolean isNamed(Timeline timeline, SegmentOccurrence v, BoundaryFeatures features) {
        Segment s = timeline.segments().get(v.segment());
        String move = s.move() != null
                ? s.move()
                : v.segment() + 1 < timeline.segments().size()
                        ? timeline.segments().get(v.segment() + 1).move()
                        : null;
        return move != null && features.named(move, v.start() - MatchWeights.NAMED_BEFORE, v.end()) > 0;
    }
}
