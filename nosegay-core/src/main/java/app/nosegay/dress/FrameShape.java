package app.nosegay.dress;

import app.nosegay.evidence.sight.Frame;

/** The shapes finished pictures have; what is put somewhere by hand holds for the one it was put in. */
public enum FrameShape {
    WIDE("wide"),
    SQUARE("square"),
    TALL("upright");

    /** Sides that differ by less than this share are those of a square. */
    private static final double ABOUT_EQUAL = 0.1;

    private final String words;

    FrameShape(String words) {
        this.words = words;
    }

    public static FrameShape of(Frame frame) {
        double ratio = frame.width() / frame.height();
        return ratio > 1 + ABOUT_EQUAL ? WIDE : ratio < 1 - ABOUT_EQUAL ? TALL : SQUARE;
    }

    public String words() {
        return words;
    }
}
