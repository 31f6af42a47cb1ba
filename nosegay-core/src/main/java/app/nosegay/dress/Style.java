package app.nosegay.dress;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;

/**
 * How pieces look. Colours are 0xRRGGBB.
 *
 * @param name what it is called
 * @param timer how time is drawn
 * @param scale size of everything, 0.85 to 1.3
 * @param serif whether names are set in the heading face; else in the text face
 * @param edge how the colour of a kind is shown on a label
 * @param corner radius of a label's corners, in units
 * @param opacity how much of the picture a backing hides at least, 0 to 1
 * @param paper the backing
 * @param ink words and digits
 * @param faded lesser words
 * @param work colours of the kinds of things, each with a word or a glyph beside it wherever it is used
 */
public record Style(
        String name,
        Clock timer,
        double scale,
        boolean serif,
        Edge edge,
        double corner,
        double opacity,
        int paper,
        int ink,
        int faded,
        int work,
        int rest,
        int count,
        int option,
        int caution,
        int voice) {
    /** How time is drawn. */
    public enum Clock {
        /** A flower that loses its petals. */
        PETALS,
        /** A closing ring. */
        RING,
        /** Digits alone. */
        DIGITS,
        /** Digits over a shrinking bar. */
        BAR
    }

    /** How the colour of a kind is shown on a label. */
    public enum Edge {
        STRIPE,
        TOP,
        UNDERLINE,
        /** A line all round. */
        RIM
    }

    /** What a colour is for. */
    public enum Colour {
        PAPER,
        INK,
        FADED,
        WORK,
        REST,
        COUNT,
        OPTION,
        CAUTION,
        VOICE;

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    public static final Style PRESSED = new Style(
            "Pressed",
            Clock.PETALS,
            1,
            true,
            Edge.STRIPE,
            10,
            0.94,
            0xFAF5E8,
            0x1D2A22,
            0x55604F,
            0xA62A55,
            0x35589E,
            0x46702C,
            0x66489A,
            0xB3321F,
            0x9A5B00);
    public static final Style LANTERN = new Style(
            "Lantern",
            Clock.RING,
            1,
            false,
            Edge.RIM,
            24,
            0.86,
            0x141D17,
            0xFBF6E6,
            0xD2D6C4,
            0xF2A0B9,
            0xA9C4F5,
            0xB7DC93,
            0xD2BDF2,
            0xF7AE9C,
            0xF0C987);
    /** In large type: any larger, not everything has a place. */
    public static final Style SEED_PACKET = new Style(
            "Seed packet",
            Clock.BAR,
            1.2,
            true,
            Edge.TOP,
            3,
            1,
            0xFFFDF6,
            0x24201A,
            0x5C5346,
            0x9C2A3E,
            0x2C5A86,
            0x3F6B2A,
            0x5F4492,
            0xA93418,
            0x86540A);

    public static final Style TWINE = new Style(
            "Twine",
            Clock.DIGITS,
            0.95,
            false,
            Edge.UNDERLINE,
            0,
            0.6,
            0x101613,
            0xFFFFFF,
            0xE4E6DC,
            0xFFB3C7,
            0xBFD4FF,
            0xC9E8A9,
            0xDFCDFB,
            0xFFBFAF,
            0xF7D79E);

    /** The styles that come with the application; the first is the usual one. */
    public static final List<Style> SHIPPED = List.of(PRESSED, LANTERN, SEED_PACKET, TWINE);

    public Style {
        if (!(scale >= 0.85 && scale <= 1.3)) {
            throw new IllegalArgumentException("a style's scale is 0.85 to 1.3, not " + scale);
        }
        if (!(opacity >= 0 && opacity <= 1) || !(corner >= 0 && corner <= 60)) {
            throw new IllegalArgumentException("a style's opacity is 0 to 1 and its corner 0 to 60");
        }
    }

    /** Words smaller than this share of the picture's height cannot be read on a phone at arm's length: 24 of 720. */
    public static final double LEAST_WORDS = 24;

    /** As the painter sets them in the smallest clock: 0.82 of its radius. */
    private static final double TIMER_DIGITS = 50;

    /** Capitals are this much of the size of their type. */
    private static final double CAPITAL = 0.7;
    /** Under this angle capitals are read without effort, in radians: 10 minutes of arc, twice what sharp eyes need (ISO 8596). */
    private static final double EASY_ANGLE = Math.toRadians(10 / 60.0);

    /**
     * From how far away, in metres, words of a size can be read without effort.
     *
     * @param units their size, in units of the picture
     * @param mmPerUnit how large a unit is on the screen, in millimetres
     */
    public static double readableFrom(double units, double mmPerUnit) {
        return CAPITAL * units * mmPerUnit / 1000 / Math.tan(EASY_ANGLE);
    }

    /** The size of its smallest words, in units. */
    public double smallestWords() {
        return LEAST_WORDS * scale;
    }

    /** The size of the timer's digits, in units. */
    public double timerDigits() {
        return TIMER_DIGITS * scale;
    }

    public int colour(Colour of) {
        return switch (of) {
            case PAPER -> paper;
            case INK -> ink;
            case FADED -> faded;
            case WORK -> work;
            case REST -> rest;
            case COUNT -> count;
            case OPTION -> option;
            case CAUTION -> caution;
            case VOICE -> voice;
        };
    }

    /** The colours of words that do not stand out from the paper by {@link Contrast#LEAST}. */
    public List<Colour> faint() {
        return Arrays.stream(Colour.values())
                .filter(c -> c != Colour.PAPER && Contrast.ratio(colour(c), paper) < Contrast.LEAST)
                .toList();
    }

    public Style with(Colour of, int rgb) {
        return new Style(
                name,
                timer,
                scale,
                serif,
                edge,
                corner,
                opacity,
                of == Colour.PAPER ? rgb : paper,
                of == Colour.INK ? rgb : ink,
                of == Colour.FADED ? rgb : faded,
                of == Colour.WORK ? rgb : work,
                of == Colour.REST ? rgb : rest,
                of == Colour.COUNT ? rgb : count,
                of == Colour.OPTION ? rgb : option,
                of == Colour.CAUTION ? rgb : caution,
                of == Colour.VOICE ? rgb : voice);
    }

    public Style withTimer(Clock other) {
        return new Style(
                name, other, scale, serif, edge, corner, opacity, paper, ink, faded, work, rest, count, option, caution,
                voice);
    }

    public Style named(String other) {
        return new Style(
                other, timer, scale, serif, edge, corner, opacity, paper, ink, faded, work, rest, count, option,
                caution, voice);
    }

    /** The same colours in another shape. */
    public Style shaped(double size, boolean headings, Edge mark, double round, double backing) {
        return new Style(
                name, timer, size, headings, mark, round, backing, paper, ink, faded, work, rest, count, option,
                caution, voice);
    }
}
