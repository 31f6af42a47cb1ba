package app.nosegay.calls;

import java.util.Locale;

/** The kinds of spoken call; docs/format/calls.md says what counts as each. */
public enum CallKind {
    COUNT_IN,
    START,
    SECONDS_LEFT,
    HALF_WAY,
    COUNT_OUT,
    REPS_LEFT,
    LAST_REP,
    REP_COUNT,
    REST,
    SWITCH_SIDE,
    NEXT_UP,
    ORDINAL,
    ROUNDS_LEFT,
    TOTAL,
    PROMISE;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }
}
