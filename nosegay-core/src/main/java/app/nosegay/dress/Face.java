package app.nosegay.dress;

/** What a piece looks like at one instant. Two equal faces are the same pixels, so that pieces are redrawn on change only. */
public sealed interface Face {
    /** Running time. {@code total} is the full length in seconds, for the share that is left. */
    record Timer(Phase phase, int seconds, int total, boolean countUp) implements Face {}

    /** The count before work starts. */
    record GetReady(int seconds) implements Face {}

    /** What is done now: the move, its place in the order, the round or set. Numbers of 0 are not shown. */
    record NamePlate(String name, int move, int moves, String roundWord, int round, int rounds) implements Face {}

    /** The working side. {@code towardsLeft} is the direction of that side in the picture. */
    record SideBadge(String word, boolean towardsLeft) implements Face {}

    /** Reps done; {@code target} 0 when a clock ends the set. */
    record RepCounter(int done, int target) implements Face {}

    /** A card with words. */
    record Card(CardKind kind, String heading, String text) implements Face {}

    /** What a timer times. */
    enum Phase {
        WARM_UP,
        WORK,
        REST,
        COOL_DOWN
    }

    /** What a card is for. */
    enum CardKind {
        TITLE,
        NEXT,
        OPTION,
        FORM,
        CAUTION,
        SWITCH
    }
}
