package app.nosegay.plan;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.library.MuscleGroup.Region;
import app.nosegay.time.Length;
import java.util.EnumMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What the work of a timeline loads (PRODUCT.md section 5, "Body"): work seconds × 1 for a primary muscle group, × 0.5 for a secondary.
 * Warm-up and cool-down do not count as work.
 *
 * @param muscles load per muscle group, in weighted work time; groups without load are left out
 * @param push work time of pushing moves
 * @param pull work time of pulling moves
 * @param regions work time by the share of each move's primary groups in the region
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
        Map<MuscleGroup, Length> muscles = new EnumMap<>(MuscleGroup.class);
        Map<Region, Length> regions = new EnumMap<>(Region.class);
        for (Region region : Region.values()) {
            regions.put(region, Length.ZERO);
        }
        Length push = Length.ZERO;
        Length pull = Length.ZERO;
        SideShare left = SideShare.NONE;
        SideShare right = SideShare.NONE;
        for (Segment s : timeline.segments()) {
            if (s.kind() != SegmentKind.WORK) {
                continue;
            }
            Set<MuscleGroup> primary = new HashSet<>();
            Set<MuscleGroup> secondary = new HashSet<>();
            for (String part : s.move().split("[+,]")) {
                Optional<Move> move = library.find(part);
                move.ifPresent(m -> primary.addAll(m.primary()));
                move.ifPresent(m -> secondary.addAll(m.secondary()));
                push = push.plus(move.filter(m -> m.pattern().equals("push")).isPresent() ? s.duration() : Length.ZERO);
                pull = pull.plus(move.filter(m -> m.pattern().equals("pull")).isPresent() ? s.duration() : Length.ZERO);
            }
            secondary.removeAll(primary);
            primary.forEach(g -> muscles.merge(g, s.duration(), Length::plus));
            secondary.forEach(g -> muscles.merge(g, s.duration().times(SECONDARY_SHARE), Length::plus));
            primary.forEach(g -> regions.merge(g.region(), s.duration().times(1.0 / primary.size()), Length::plus));
            int reps = s.reps() == null ? 0 : s.reps();
            if (s.way() == SideWay.ALTERNATE) {
                left = left.plus(s.duration().times(0.5), 1, reps / 2);
                right = right.plus(s.duration().times(0.5), 1, reps - reps / 2);
            } else if (s.side() == Side.LEFT) {
                left = left.plus(s.duration(), 1, reps);
            } else if (s.side() == Side.RIGHT) {
                right = right.plus(s.duration(), 1, reps);
            }
        }
        double work = timeline.total(SegmentKind.WORK).seconds();
        double rest = timeline.total(SegmentKind.REST).seconds();
        double density = work == 0 ? 0 : work / (work + rest);
        return new Balance(muscles, push, pull, regions, density, longestWithoutRest(timeline), left, right);
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
