package app.nosegay.dress;

/**
 * About how large words with their paper are, in units before the style's scale. What is painted is fitted into it: letters get a little
 * smaller.
 */
final class PaperSize {
    /** What is on screen keeps this far from its neighbours, in units. */
    static final double GAP = 10;

    static final double CARD_WIDTH = 480;
    static final double MOST_NAME = 470;
    static final double MOST_CARD = 196;
    /** With a figure beside the words. */
    private static final double FIGURE = 130;

    private static final double FIGURE_WIDTH = 122;
    private static final double INSET = 48;
    private static final double AROUND = 34;
    /** Letters of the words are that wide on the average, with some to spare, and lines that high. */
    private static final double LETTER = 15.5;

    private static final double LINE = 36;
    private static final double HEADING = 36;
    private static final double LARGE_HEADING = 50;

    /** The same of names, of what stands below them, of sides and of levels. */
    private static final double NAME_LETTER = 23;

    private static final double BELOW_LETTER = 13;
    private static final double SIDE_LETTER = 20;
    private static final double ARROW = 96;
    private static final double MOST_LEVEL = 250;
    private static final double LEVEL_LETTER = 15;
    private static final double DOES_LETTER = 13;
    private static final double GRADE = 66;

    private PaperSize() {}

    /** The width of a name plate. */
    static double width(Face.NamePlate plate) {
        // "Move 2 of 6" and "Round 1 of 2" with a dot between them.
        int below = (plate.move() > 0 ? 12 : 0)
                + (plate.rounds() > 0 ? plate.roundWord().length() + 12 : 0);
        return Math.min(MOST_NAME, Math.max(plate.name().length() * NAME_LETTER, below * BELOW_LETTER) + INSET);
    }

    static double width(Face.SideBadge badge) {
        return badge.word().length() * SIDE_LETTER + ARROW;
    }

    static double width(Face.LevelBadge badge) {
        return Math.min(
                MOST_LEVEL,
                Math.max(
                        badge.name().length() * LEVEL_LETTER + GRADE,
                        badge.does().length() * DOES_LETTER + INSET));
    }

    static double height(Face.LevelBadge badge) {
        return badge.does().isEmpty() ? 46 : 74;
    }

    static double height(Face.Card card) {
        boolean large = card.kind() == Face.CardKind.NEXT
                || card.kind() == Face.CardKind.SECTION
                || card.kind() == Face.CardKind.SWITCH;
        double room = CARD_WIDTH - INSET - (card.figure() == null ? 0 : FIGURE_WIDTH);
        double lines = Math.ceil(card.text().length() * LETTER / room);
        double words = AROUND + (large ? LARGE_HEADING : HEADING) + lines * LINE;
        return Math.min(MOST_CARD, Math.max(words, card.figure() == null ? 0 : FIGURE));
    }
}
