package app.nosegay.library;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The kinds of cue (docs/domain.md). */
public enum CueKind {
    NAME,
    SETUP,
    GEAR,
    FORM,
    AVOID,
    IMAGE,
    FEEL,
    CHECK,
    BREATH,
    TEMPO,
    MUSCLE,
    WHY,
    EASIER,
    HARDER,
    INSTEAD,
    CAUTION,
    PERMIT,
    TIME,
    COUNT,
    CHEER,
    NEXT,
    ASK,
    PLUG;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** Whether it is a modification callout. */
    public boolean isOption() {
        return this == EASIER || this == HARDER || this == INSTEAD;
    }

    /** Whether viewers miss it when it is not said; of other lines nobody but the creator knows. */
    public boolean isReliedOn() {
        return isOption() || this == BREATH || this == CAUTION || this == GEAR;
    }

    public static Optional<CueKind> of(String word) {
        return Arrays.stream(values()).filter(k -> k.word().equals(word)).findFirst();
    }

    public static List<String> words() {
        return Arrays.stream(values()).map(CueKind::word).toList();
    }
}
