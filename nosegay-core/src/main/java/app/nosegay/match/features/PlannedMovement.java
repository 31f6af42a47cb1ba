package app.nosegay.match.features;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import java.util.regex.Pattern;

/** How much movement a plan expects, and where. */
public final class PlannedMovement {
    /** Moves held still, by their names. */
    private static final Pattern HELD = Pattern.compile("(?i).*\\b(?:plank|holds?|stretch|pose|wall sit)");

    private PlannedMovement() {}

    /** The share of the plan in which nothing is to move. */
    static double stillShare(Timeline timeline) {
        double still = timeline.segments().stream()
                .filter(s -> !s.kind().isMoving() || isStill(s))
                .mapToDouble(s -> s.duration().seconds())
                .sum();
        return still / Math.max(1, timeline.total().seconds());
    }

    /** How many times as long a take would go over from work to something else or back. */
    static double turns(Timeline timeline, TakeEvidence take) {
        int turns = 0;
        boolean was = false;
        for (Segment s : timeline.segments()) {
            turns += s.kind().isMoving() || was ? 1 : 0;
            was = s.kind().isMoving();
        }
        double share = take.length().seconds() / Math.max(1, timeline.total().seconds());
        return turns * Math.min(1, share);
    }

    static boolean isWork(Segment s) {
        return s != null && s.kind().isMoving();
    }

    /** How much movement is expected of a segment: 1 to −1. Stretches and holds are as still as a rest or not. */
    static double movesShare(Segment s) {
        return switch (s.kind()) {
            case SWITCH, COOLDOWN -> 0;
            case TALK, DEMO -> -MatchWeights.TALK_MOTION_SHARE;
            default -> !s.kind().isMoving() ? -1 : isHeld(s.move()) ? 0 : 1;
        };
    }

    /** Whether a segment is a hold or a stretch. */
    public static boolean isStill(Segment s) {
        return s != null && (s.kind() == SegmentKind.COOLDOWN || s.kind().isMoving() && isHeld(s.move()));
    }

    /** Whether a move is held still, by its name. */
    public static boolean isHeld(String move) {
        return move != null && HELD.matcher(move).matches();
    }
}
