package app.nosegay.desktop.dress;

/** How the finished picture is looked at. */
enum Look {
    /** As large as the window lets it be. */
    LARGE,
    /** As large as on a phone. */
    PHONE_SIZE,
    /** As large as on a phone and blurred, as by eyes that are half shut: what can be made out now is large enough. */
    SQUINT,
    /** The recording as it is beside the finished picture. */
    BEFORE_AND_AFTER;

    /** The longer side of a phone's picture, in millimetres: of a screen of 6 inches and 16 : 9. */
    static final double PHONE_MM = 133;

    boolean isPhone() {
        return this == PHONE_SIZE || this == SQUINT;
    }
}
