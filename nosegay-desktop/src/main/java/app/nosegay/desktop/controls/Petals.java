package app.nosegay.desktop.controls;

import app.nosegay.paint.Palette;
import app.nosegay.plan.terms.SegmentKind;
import javafx.scene.paint.Color;

/** The paint module's colours as JavaFX colours, and what they stand for. */
public final class Petals {
    public static final Color PAPER = fx(Palette.PAPER);
    public static final Color INK = fx(Palette.INK);
    public static final Color FADED = fx(Palette.FADED_INK);
    public static final Color RULE = fx(Palette.RULE);
    public static final Color WORK = fx(Palette.WORK);
    public static final Color REST = fx(Palette.REST);
    public static final Color VOICE = fx(Palette.VOICE);
    public static final Color COUNT = fx(Palette.COUNT);
    public static final Color OPTION = fx(Palette.OPTION);
    public static final Color CAUTION = fx(Palette.CAUTION);

    private Petals() {}

    private static Color fx(java.awt.Color c) {
        return Color.rgb(c.getRed(), c.getGreen(), c.getBlue());
    }

    /** The colour of a kind of segment. */
    public static Color of(SegmentKind kind) {
        return fx(awt(kind));
    }

    /** The same for Java2D. */
    public static java.awt.Color awt(SegmentKind kind) {
        return switch (kind) {
            case WORK -> Palette.WORK;
            case REST -> Palette.REST;
            case TALK, DEMO -> Palette.VOICE;
            case SWITCH, COUNT_IN -> Palette.COUNT;
            case WARMUP, COOLDOWN -> Palette.COUNT;
        };
    }
}
