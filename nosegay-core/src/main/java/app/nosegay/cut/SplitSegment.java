package app.nosegay.cut;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.Optional;

/**
 * Two recordings of which the first ends in the middle of a segment and the second begins there: a camera that begins a new file while it
 * records.
 */
public record SplitSegment(String first, String second) {
    /** So near to the end or the beginning of a recording, in seconds, a segment is cut by it. */
    private static final double AT_THE_EDGE = 1.5;

    /** Both parts together last no longer than this, as a share of the plan … */
    private static final double LONGEST = 1.3;
    /** … and this many seconds more. */
    private static final double GAP = 2;
    /** Shorter than this share of the plan, a segment may be cut. */
    private static final double SHORT = 0.9;

    /** The recordings that cut {@code placed} in two; empty when it is whole. */
    public static Optional<SplitSegment> of(Match match, Match.Placed placed) {
        if (!placed.matched() || length(placed) > SHORT * placed.planned().seconds()) {
            return Optional.empty();
        }
        double missing = LONGEST * placed.planned().seconds() + GAP - length(placed);
        int at = match.segments().indexOf(placed);
        if (endsWith(match, placed.take(), placed.end())) {
            return neighbour(match, at, 1)
                    .filter(next -> !next.take().equals(placed.take()))
                    .filter(next -> next.start().seconds() < missing)
                    .map(next -> new SplitSegment(placed.take(), next.take()));
        }
        if (beginsWith(placed.start())) {
            return neighbour(match, at, -1)
                    .filter(before -> !before.take().equals(placed.take()))
                    .filter(before -> left(match, before) < missing)
                    .map(before -> new SplitSegment(before.take(), placed.take()));
        }
        return Optional.empty();
    }

    private static double length(Match.Placed placed) {
        return placed.end().since(placed.start()).seconds();
    }

    private static Optional<Match.Placed> neighbour(Match match, int at, int step) {
        int i = at + step;
        boolean there = i >= 0 && i < match.segments().size();
        return there ? Optional.of(match.segments().get(i)).filter(Match.Placed::matched) : Optional.empty();
    }

    /** What of its recording lies behind a segment, in seconds. */
    private static double left(Match match, Match.Placed placed) {
        return match.takes().stream()
                .filter(t -> t.id().equals(placed.take()))
                .mapToDouble(t -> t.length().seconds() - placed.end().seconds())
                .findFirst()
                .orElse(Double.POSITIVE_INFINITY);
    }

    private static boolean endsWith(Match match, String take, Time<Axis.Take> time) {
        return match.takes().stream()
                .anyMatch(t -> t.id().equals(take) && t.length().seconds() - time.seconds() < AT_THE_EDGE);
    }

    private static boolean beginsWith(Time<Axis.Take> time) {
        return time.seconds() < AT_THE_EDGE;
    }
}
