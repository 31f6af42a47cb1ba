package app.nosegay.plan;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.library.MuscleGroup.Region;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/**
 * What the work of a timeline loads (docs/domain.md, "Body"): work seconds × 1 for a primary muscle group, × 0.5 for a secondary.
 * Where the viewer's dose differs from what is shown, the dose counts. Warm-up and cool-down do not count as work.
 *
 * @param muscles load per muscle group, in weighted work time; groups without load are left out
 * @param push work time of pushing moves
 * @param pull work time of pulling moves
 * @param regions work time by the share of each move's primary groups in the region
 * @param front load of the muscle groups at the front of the body
 * @param back load of those at the back
 * @param density work ÷ (work + rest), 0 to 1
 * @param longestWithoutRest the longest run of movement without a rest or talk in it
 * @param left what the left side does
 * @param right what the right side does
 */
public record Balance(
        Map<MuscleGroup, Length> muscles,
        Length push,
        Length pull,
        Map<Region, Length> regions,
        Length front,
        Length back,
        double density,
        Length longestWithoutRest,
        SideShare left,
        SideShare right) {
    private static final double SECONDARY_SHARE = 0.5;

    /** One side's time, sets and target reps. */
    public record SideShare(Length time, int sets, int reps) {
        static final SideShare NONE = new SideShare(Length.ZERO, 0, 0);

        SideShare plus(Length more, int moreSets, int moreReps) {
            return new SideShare(time.plus(more), sets + moreSets, reps + moreReps);
        }
    }

    public static Balance of(Timeline timeline, MoveLibrary library) {
        Sum sum = new Sum(library, timeline);
        timeline.segments().stream().filter(s -> s.kind() == SegmentKind.WORK).forEach(sum::add);
        return new Balance(
                sum.muscles,
                sum.push,
                sum.pull,
                sum.regions,
                sum.front,
                sum.back,
                density(timeline.segments()),
                longestWithoutRest(timeline),
                sum.left,
                sum.right);
    }

    /** The running sums. */
    private static final class Sum {
        final Map<MuscleGroup, Length> muscles = new EnumMap<>(MuscleGroup.class);
        final Map<Region, Length> regions = new EnumMap<>(Region.class);
        final MoveLibrary library;
        final Doses doses;
        Length push = Length.ZERO;
        Length pull = Length.ZERO;
        SideShare left = SideShare.NONE;
        SideShare right = SideShare.NONE;
        Length front = Length.ZERO;
        Length back = Length.ZERO;

        Sum(MoveLibrary library, Timeline timeline) {
            this.library = library;
            this.doses = Doses.of(timeline, library);
            for (Region region : Region.values()) {
                regions.put(region, Length.ZERO);
            }
        }

        void add(Segment s) {
            double factor = doses.factor(s);
            Length time = s.duration().times(factor);
            Set<MuscleGroup> primary = EnumSet.noneOf(MuscleGroup.class);
            Set<MuscleGroup> secondary = EnumSet.noneOf(MuscleGroup.class);
            boolean pushes = false;
            boolean pulls = false;
            for (Move move : s.moves(library)) {
                primary.addAll(move.primary());
                secondary.addAll(move.secondary());
                pushes |= move.pattern().equals("push");
                pulls |= move.pattern().equals("pull");
            }
            push = pushes ? push.plus(time) : push;
            pull = pulls ? pull.plus(time) : pull;
            secondary.removeAll(primary);
            primary.forEach(g -> muscles.merge(g, time, Length::plus));
            secondary.forEach(g -> muscles.merge(g, time.times(SECONDARY_SHARE), Length::plus));
            faces(primary, secondary, time);
            primary.forEach(g -> regions.merge(g.region(), time.times(1.0 / primary.size()), Length::plus));
            sides(s, time, s.reps() == null ? 0 : (int) Math.round(s.reps() * factor));
        }

        private void sides(Segment s, Length time, int reps) {
            if (s.way() == SideWay.ALTERNATE) {
                left = left.plus(time.times(0.5), 1, reps / 2);
                right = right.plus(time.times(0.5), 1, reps - reps / 2);
            } else if (s.side() == Side.LEFT) {
                left = left.plus(time, 1, reps);
            } else if (s.side() == Side.RIGHT) {
                right = right.plus(time, 1, reps);
            } else {
                pattern(s, time);
            }
        }

        /** A rep pattern may name sides itself: each part counts for its own. */
        private void pattern(Segment s, Length time) {
            RepPattern pattern = s.line() == null
                    ? null
                    : s.line().attributes().over(s.block().attributes()).rep().orElse(null);
            if (pattern == null) {
                return;
            }
            int all = pattern.parts().stream().mapToInt(RepPattern.Part::count).sum();
            for (RepPattern.Part part : pattern.parts()) {
                Length share = time.times((double) part.count() / all);
                if (part.side() == Side.LEFT) {
                    left = left.plus(share, 0, part.count() * (s.reps() == null ? 0 : s.reps()));
                } else if (part.side() == Side.RIGHT) {
                    right = right.plus(share, 0, part.count() * (s.reps() == null ? 0 : s.reps()));
                }
            }
        }

        /** A segment's time is shared between front and back as its muscles are: together they are never more than the work. */
        private void faces(Set<MuscleGroup> primary, Set<MuscleGroup> secondary, Length time) {
            double ahead = weight(primary, secondary, true);
            double behind = weight(primary, secondary, false);
            if (ahead + behind > 0) {
                front = front.plus(time.times(ahead / (ahead + behind)));
                back = back.plus(time.times(behind / (ahead + behind)));
            }
        }

        private static double weight(Set<MuscleGroup> primary, Set<MuscleGroup> secondary, boolean front) {
            return primary.stream().filter(g -> g.isFront() == front).count()
                    + SECONDARY_SHARE
                            * secondary.stream()
                                    .filter(g -> g.isFront() == front)
                                    .count();
        }
    }

    /** Work ÷ (work + rest) of some segments; 0 without work. */
    public static double density(List<Segment> segments) {
        double work = seconds(segments, SegmentKind.WORK);
        double rest = seconds(segments, SegmentKind.REST);
        return work == 0 ? 0 : work / (work + rest);
    }

    private static double seconds(List<Segment> segments, SegmentKind kind) {
        return segments.stream()
                .filter(s -> s.kind() == kind)
                .mapToDouble(s -> s.duration().seconds())
                .sum();
    }

    /** How alike two moves load the body: the cosine of their muscle vectors, 0 to 1; 0 where one is unknown. */
    public static double overlap(List<Move> a, List<Move> b) {
        double dot = 0;
        double squaresA = 0;
        double squaresB = 0;
        for (MuscleGroup group : MuscleGroup.values()) {
            double x = a.stream().mapToDouble(m -> m.share(group)).max().orElse(0);
            double y = b.stream().mapToDouble(m -> m.share(group)).max().orElse(0);
            dot += x * y;
            squaresA += x * x;
            squaresB += y * y;
        }
        return squaresA == 0 || squaresB == 0 ? 0 : dot / Math.sqrt(squaresA * squaresB);
    }

    private static Length longestWithoutRest(Timeline timeline) {
        Length longest = Length.ZERO;
        Length run = Length.ZERO;
        for (Segment s : timeline.segments()) {
            boolean moving = s.kind().isMoving() || s.kind() == SegmentKind.SWITCH;
            run = moving ? run.plus(s.duration()) : Length.ZERO;
            longest = Length.max(longest, run);
        }
        return longest;
    }
}
