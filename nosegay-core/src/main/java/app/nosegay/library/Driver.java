package app.nosegay.library;

import java.util.Set;

/** The part of the body that goes far in every repetition of a move, as anybody sees it from any side. */
public enum Driver {
    /** The hips go up and down over standing feet. */
    HIPS(Set.of("squat", "lunge")),
    /** The hands go about the shoulders while the body stays. */
    ARMS(Set.of("press", "curl", "raise", "extension", "high-pull", "fly", "pull-apart")),
    /** Several, others, or none. */
    OTHER(Set.of());

    private static final Set<String> OF_ARMS = Set.of("push", "pull", "raise");

    private final Set<String> motions;

    Driver(Set<String> motions) {
        this.motions = motions;
    }

    /** What drives a move, by how it is drawn; a press out of a squat is a squat by its pattern, and driven by both. */
    static Driver of(Move move) {
        boolean stands = move.position().equals("standing");
        if (ARMS.motions.contains(move.motion()) && (stands || move.position().equals("seated"))) {
            return OF_ARMS.contains(move.pattern()) ? ARMS : OTHER;
        }
        return HIPS.motions.contains(move.motion()) && stands ? HIPS : OTHER;
    }
}
