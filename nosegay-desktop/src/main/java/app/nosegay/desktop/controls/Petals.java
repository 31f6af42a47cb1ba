package app.nosegay.desktop.controls;

import app.nosegay.paint.Palette;
import app.nosegay.plan.terms.SegmentKind;
import javafx.scene.paint.Color;

/** The paint module's colours as JavaFX colours by the light there is, and what they stand for. */
public final class Petals {
    private Petals() {}

    public static Color paper() {
        return fx(Palette.PAPER);
    }

    public static Color ink() {
        return fx(Palette.INK);
    }

    public static Color faded() {
        return fx(Palette.FADED_INK);
    }

    public static Color rule() {
        return fx(Palette.RULE);
    }

    public static Color work() {
        return fx(Palette.WORK);
    }

    public static Color rest() {
        return fx(Palette.REST);
    }

    public static Color voice() {
        return fx(Palette.VOICE);
    }

    public static Color count() {
        return fx(Palette.COUNT);
    }

    public static Color option() {
        return fx(Palette.OPTION);
    }

    public static Color caution() {
        return fx(Palette.CAUTION);
    }

    /** A colour of the day as it is now. */
    public static Color fx(java.awt.Color day) {
        java.awt.Color c = Lamplight.of(day);
        return Color.rgb(c.getRed(), c.getGreen(), c.getBlue(), c.getAlpha() / 255.0);
    }

    /** The colour of a kind of segment. */
    public static Color of(SegmentKind kind) {
        return fx(day(kind));
    }

    /** The same for Java2D. */
    public static java.awt.Color awt(SegmentKind kind) {
        return Lamplight.of(day(kind));
    }

    private static java.awt.Color day(SegmentKind kind) {
        return switch (kind) {
            case WORK -> Palette.WORK;
            case REST -> Palette.REST;
            case TALK, DEMO -> Palette.VOICE;
            case SWITCH, COUNT_IN -> Palette.COUNT;
            case WARMUP, COOLDOWN -> Palette.COUNT;
        };
    }
}
