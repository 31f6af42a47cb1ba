package app.nosegay.dress;

import app.nosegay.plan.terms.Level;
import java.util.List;

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

    /**
     * A card with words.
     *
     * @param figure the motion of a small drawn figure beside them, or null
     */
    record Card(CardKind kind, String heading, String text, String figure) implements Face {
        public Card(CardKind kind, String heading, String text) {
            this(kind, heading, text, null);
        }
    }

    /**
     * How far the whole workout is.
     *
     * @param done of {@code of} steps
     * @param marks where blocks begin, in steps
     */
    record Progress(int done, int of, List<Integer> marks) implements Face {}

    /**
     * A level's name under the presenter who shows it, with what is done differently, or empty.
     *
     * @param across where the presenter stands, as a share of the width
     */
    record LevelBadge(String name, double across, Level.Grade grade, String does) implements Face {
        /** Under the third of the picture the level has in the plan. */
        public LevelBadge(String name, Level.Place place, Level.Grade grade, String does) {
            this(name, (place.ordinal() * 2 + 1) / 6.0, grade, does);
        }
    }

    /**
     * The way of one rep.
     *
     * @param word what happens: the direction and the breath
     * @param step how far down the way, 0 (top) to {@link #TEMPO_STEPS}
     */
    record Tempo(String word, int step) implements Face {}

    /** Steps of the tempo guide from top to bottom: enough to look smooth at reading distance, few enough to redraw. */
    int TEMPO_STEPS = 8;

    /**
     * Words said, in the picture.
     *
     * @param speaker who says them, where several speak; empty otherwise
     * @param presenter which of them, from 0: the same colour and mark all through
     */
    record Caption(String text, String speaker, int presenter) implements Face {
        public Caption(String text) {
            this(text, "", 0);
        }
    }

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
        SWITCH,
        SECTION,
        CORRECTION,
        END
    }
}
