package app.nosegay.plan.terms;

import java.util.Locale;

/** The presenter's own anatomical side. */
public enum Side {
    LEFT,
    RIGHT,
    BOTH;

    public Side other() {
        return this == LEFT ? RIGHT : this == RIGHT ? LEFT : BOTH;
    }

    /** The word for this side as it is written and said: mirrored for the viewer or the presenter's own (the only place that decides). */
    public String spoken(boolean mirrored) {
        return (mirrored ? other() : this).word();
    }

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }
}
