package app.nosegay.match;

import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.match.lattice.LatticeEvidence;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;

/**
 * Tells by the names said, and by who stands and who is on the floor, whether two moves of one round were done in the wrong order: their
 * times alone look right.
 */
final class MoveOrder {
    private static final double FIRST_PART = 0.6;

    private MoveOrder() {}

    /** The visits, those of moves done in each other's place exchanged. */
    static List<SegmentOccurrence> swapped(
            Timeline timeline, List<SegmentOccurrence> occurrences, BoundaryFeatures features) {
        Map<Integer, Integer> at = new HashMap<>();
        for (int i = 0; i < occurrences.size(); i++) {
            if (!occurrences.get(i).broken()) {
                at.put(occurrences.get(i).segment(), i);
            }
        }
        List<SegmentOccurrence> out = new ArrayList<>(occurrences);
        for (int k = 0; k < timeline.segments().size(); k++) {
            for (int other = k + 1;
                    other <= k + 2 && other < timeline.segments().size();
                    other++) {
                if (!at.containsKey(k) || !at.containsKey(other) || !exchangeable(timeline, k, other)) {
                    continue;
                }
                SegmentOccurrence a = out.get(at.get(k));
                SegmentOccurrence b = out.get(at.get(other));
                String first = timeline.segments().get(k).move();
                String second = timeline.segments().get(other).move();
                double fromA = introducedFrom(timeline, out, a);
                double fromB = introducedFrom(timeline, out, b);
                double asPlanned = fit(features, first, a, fromA) + fit(features, second, b, fromB);
                double exchanged = fit(features, second, a, fromA) + fit(features, first, b, fromB);
                if (a.segment() == k
                        && exchanged - asPlanned >= MatchWeights.SWAPPED
                        && !a.startPinned()
                        && !b.startPinned()) {
                    int place = at.get(k);
                    at.put(k, at.get(other));
                    at.put(other, place);
                    out.set(at.get(k), moved(k, b));
                    out.set(at.get(other), moved(other, a));
                }
            }
        }
        return out;
    }

    private static double fit(BoundaryFeatures features, String move, SegmentOccurrence v, double from) {
        return features.named(move, from, v.start() + FIRST_PART * v.length())
                + features.posture(move, v.start(), v.end());
    }

    /** A move is introduced after the first part of the one before it: what is said towards the end is often of the next one. */
    private static double introducedFrom(Timeline timeline, List<SegmentOccurrence> occurrences, SegmentOccurrence v) {
        return occurrences.stream()
                .filter(o -> o.start() < v.start()
                        && timeline.segments().get(o.segment()).kind().isMoving())
                .mapToDouble(o -> o.start() + FIRST_PART * o.length())
                .max()
                .orElse(v.start() - MatchWeights.NAMED_BEFORE);
    }

    private static SegmentOccurrence moved(int segment, SegmentOccurrence v) {
        return new SegmentOccurrence(
                segment,
                v.start(),
                v.end(),
                v.startDoubt(),
                v.endDoubt(),
                v.startPinned(),
                v.endPinned(),
                v.broken(),
                v.startLikely(),
                v.endLikely());
    }

    /** The moves that may be done in each other's place, without those of segments that are pinned. */
    static List<LatticeEvidence.Exchange> exchanges(Timeline timeline, Set<Integer> pinned) {
        List<LatticeEvidence.Exchange> exchanges = new ArrayList<>();
        int n = timeline.segments().size();
        for (int k = 0; k < n; k++) {
            for (int other = k + 1; other <= k + 2 && other < n; other++) {
                if (exchangeable(timeline, k, other) && !pinned.contains(k) && !pinned.contains(other)) {
                    boolean led = k > 0 && timeline.segments().get(k - 1).kind() == SegmentKind.REST;
                    exchanges.add(new LatticeEvidence.Exchange(k, other, led));
                }
            }
        }
        return exchanges;
    }

    private static boolean exchangeable(Timeline timeline, int a, int b) {
        Segment first = timeline.segments().get(a);
        Segment second = timeline.segments().get(b);
        boolean work = first.kind() == SegmentKind.WORK && second.kind() == SegmentKind.WORK;
        boolean between = b == a + 1 || timeline.segments().get(a + 1).kind() == SegmentKind.REST;
        return work
                && between
                && first.block().equals(second.block())
                && Objects.equals(first.round(), second.round())
                && first.move() != null
                && !first.move().equals(second.move());
    }
}
