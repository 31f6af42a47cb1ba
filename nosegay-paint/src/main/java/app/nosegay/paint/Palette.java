package app.nosegay.paint;

import java.awt.Color;

/** The pressed-flower colours. Each stands for one kind of thing and always comes with a glyph of its own ({@link Glyph}). */
public final class Palette {
    public static final Color PAPER = new Color(0xFAF5E8);
    public static final Color INK = new Color(0x1D2A22);
    public static final Color FADED_INK = new Color(0x55604F);
    public static final Color RULE = new Color(0xCFC5AC);
    public static final Color WORK = new Color(0xA62A55);
    public static final Color REST = new Color(0x35589E);
    public static final Color VOICE = new Color(0x985A00);
    public static final Color COUNT = new Color(0x46702C);
    public static final Color OPTION = new Color(0x66489A);
    public static final Color CAUTION = new Color(0xB3321F);

    private Palette() {}

    /** {@code colour} with another opacity, 0 to 255. */
    public static Color faded(Color colour, int alpha) {
        return new Color(colour.getRed(), colour.getGreen(), colour.getBlue(), alpha);
    }
}
