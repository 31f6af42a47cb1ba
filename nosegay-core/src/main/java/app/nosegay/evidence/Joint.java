package app.nosegay.evidence;

/**
 * A point of the body, in the order in which the pose network gives them. Left and right are the person's own, as far as they can be told
 * apart.
 */
public enum Joint {
    NOSE,
    LEFT_EYE_INNER,
    LEFT_EYE,
    LEFT_EYE_OUTER,
    RIGHT_EYE_INNER,
    RIGHT_EYE,
    RIGHT_EYE_OUTER,
    LEFT_EAR,
    RIGHT_EAR,
    MOUTH_LEFT,
    MOUTH_RIGHT,
    LEFT_SHOULDER,
    RIGHT_SHOULDER,
    LEFT_ELBOW,
    RIGHT_ELBOW,
    LEFT_WRIST,
    RIGHT_WRIST,
    LEFT_LITTLE_FINGER,
    RIGHT_LITTLE_FINGER,
    LEFT_INDEX_FINGER,
    RIGHT_INDEX_FINGER,
    LEFT_THUMB,
    RIGHT_THUMB,
    LEFT_HIP,
    RIGHT_HIP,
    LEFT_KNEE,
    RIGHT_KNEE,
    LEFT_ANKLE,
    RIGHT_ANKLE,
    LEFT_HEEL,
    RIGHT_HEEL,
    LEFT_TOES,
    RIGHT_TOES;

    public static final int COUNT = values().length;

    private static final Joint[] OPPOSITE = new Joint[COUNT];

    static {
        for (Joint j : values()) {
            String other = j.name().contains("LEFT")
                    ? j.name().replace("LEFT", "RIGHT")
                    : j.name().replace("RIGHT", "LEFT");
            OPPOSITE[j.ordinal()] = valueOf(other);
        }
    }

    /** The same point of the other side; the nose is its own. */
    public Joint opposite() {
        return OPPOSITE[ordinal()];
    }
}
