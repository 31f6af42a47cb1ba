package app.nosegay.shoot;

import app.nosegay.text.CoreText;

/** What a test frame has to hold: the farthest a body reaches in a workout. */
public enum Extreme {
    ARMS_UP,
    /** What is held reaches farther than hands do. */
    WEIGHT_UP,
    LYING,
    WIDE_STEP,
    ARMS_OUT;

    /** What to do in front of the camera. */
    public String text() {
        return switch (this) {
            case ARMS_UP -> CoreText.of("shoot.extreme.arms-up", false);
            case WEIGHT_UP -> CoreText.of("shoot.extreme.arms-up", true);
            case LYING -> CoreText.of("shoot.extreme.lying");
            case WIDE_STEP -> CoreText.of("shoot.extreme.wide-step");
            case ARMS_OUT -> CoreText.of("shoot.extreme.arms-out");
        };
    }
}
