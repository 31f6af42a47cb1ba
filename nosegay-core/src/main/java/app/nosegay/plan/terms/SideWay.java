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

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
