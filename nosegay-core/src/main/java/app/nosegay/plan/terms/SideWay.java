package app.nosegay.plan.terms;

import java.util.Locale;

/** How a one-sided move is shared between the sides. */
public enum SideWay {
    NONE,
    ALTERNATE,
    HALVES,
    SEPARATE,
    ROUNDS,
    SETS,
    CHAIN,
    FREE;

    /** Whether each side is done on its own, with a target of its own. */
    public boolean isSideAlone() {
        return this == SEPARATE || this == ROUNDS || this == SETS || this == CHAIN;
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
