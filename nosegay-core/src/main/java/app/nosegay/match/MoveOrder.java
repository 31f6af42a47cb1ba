package app.nosegay.match;

import app.nosegay.match.features.BoundaryFeatures;
import app.nosegay.match.features.MatchWeights;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * Tells by the names said, and by who stands and who is on the floor, whether two moves of one round were done in the wrong order: their
 * times alone look right.
 */
final class MoveOrder {
    private static final double FIRST_PART = 0.6;

    /** A move done out of its place is looked for this many segments from it. */
    private static final int REACH = 6;

    private MoveOrder() {}

    /**
     * The visits, those that seemed to be one move done again given to the one that was left out, where its name tells so: it was done
     * later or earlier than planned.
     */
    static List<SegmentOccurrence> misplaced(
            Timeline timeline, List<SegmentOccurrence> occurrences, BoundaryFeatures features) {
        List<SegmentOccurrence> out = new ArrayList<>(occurrences);
        for (int k = 0; k < timeline.segments().size(); k++) {
            Segment missing = timeline.segments().get(k);
            int segment = k;
            boolean lost = missing.kind() == SegmentKind.WORK
                    && missing.move() != null
                    && out.stream().noneMatch(v -> v.segment() == segment);
            if (!lost) {
                continue;
            }
            List<SegmentOccurrence> own = out.stream()
                    .filter(v ->
                            Math.abs(v.segment() - segment) <= REACH && isNamed(timeline, out, v, missing, features))
                    .toList();
            for (SegmentOccurrence v : own) {
                boolean last = v == own.get(own.size() - 1);
                out.set(out.indexOf(v), moved(segment, v).broken(!last));
            }
        }
        return out;
    }

    /**
     * The visits, a rest behind a move that was left out given to the move before it whose rest is missing: people rest after what they
     * did.
     */
    static List<SegmentOccurrence> ownRests(Timeline timeline, List<SegmentOccurrence> occurrences) {
        Set<Integer> done = occurrences.stream()
                .filter(v -> v.length()
                        >= MatchWeights.LEFT_OUT_SHARE
                                * timeline.segments()
                                        .get(v.segment())
                                        .duration()
                                        .seconds())
                .map(SegmentOccurrence::segment)
                .collect(Collectors.toSet());
        List<SegmentOccurrence> out = new ArrayList<>(occurrences);
        for (int i = 0; i < out.size(); i++) {
            SegmentOccurrence v = out.get(i);
            int k = v.segment();
            boolean follows = k >= 3
                    && isRest(timeline, k)
                    && isRest(timeline, k - 2)
                    && timeline.segments().get(k - 1).kind() == SegmentKind.WORK
                    && !done.contains(k - 1)
                    && !done.contains(k - 2)
                    && done.contains(k - 3);
            if (follows && !v.startPinned() && !v.endPinned()) {
                out.set(i, moved(k - 2, v));
            }
        }
        return out;
    }

    private static boolean isRest(Timeline timeline, int segment) {
        return timeline.segments().get(segment).kind() == SegmentKind.REST;
    }

    /** Whether a visit is one of several of its segment, not the last, and is named as {@code missing} rather than as its own move. */
    private static boolean isNamed(
            Timeline timeline,
            List<SegmentOccurrence> occurrences,
            SegmentOccurrence v,
            Segment missing,
            BoundaryFeatures features) {
        Segment own = timeline.segments().get(v.segment());
        boolean again = occurrences.stream().anyMatch(o -> o.segment() == v.segment() && o.start() > v.start());
        if (!again || own.kind() != SegmentKind.WORK || missing.move().equals(own.move()) || v.startPinned()) {
            return false;
        }
        double from = introducedFrom(timeline, occurrences, v);
        return fit(features, missing.move(), v, from) - fit(features, own.move(), v, from) >= MatchWeights.NAMED;
    }

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
