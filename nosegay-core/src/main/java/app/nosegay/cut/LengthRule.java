package app.nosegay.cut;

import java.util.Locale;
import java.util.Optional;

/** What is done where a recorded stretch is longer or shorter than planned. */
public enum LengthRule {
    /** The timer runs as long as the stretch was recorded. */
    RECORDING,
    /** The stretch is trimmed, or its last frame held, to the planned length. */
    CLOCK,
    /** A rest that is too short is extended to its planned length with a card; all else stays as recorded. */
    CARD;

    public String word() {
        return name().toLowerCase(Locale.ROOT);
    }

    public static Optional<LengthRule> of(String word) {
        for (LengthRule rule : values()) {
            if (rule.word().equals(word)) {
                return Optional.of(rule);
            }
        }
        return Optional.empty();
    }
}
