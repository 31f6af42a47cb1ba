package app.nosegay.standins;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;

/** What may go wrong in a simulated take (docs/format/troubles.md). */
public enum Trouble {
    /** The presenter starts one to three seconds after the announcement in about a third of the sets. */
    LATE_START,
    /** The camera's clock runs 40 to 120 parts per million fast or slow. */
    CLOCK_RATE,
    /** The clock is held for six to twenty seconds after one rest: a water break. */
    HOLD,
    /** One beep in four is not played. */
    MISSED_BEEPS,
    /** No sync tones: the clock was too quiet. */
    NO_TONES,
    /** No beeps at all. */
    NO_BEEPS;

    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    /** Reads a comma-separated list; fails naming the unknown word and those known. */
    public static Set<Trouble> parse(String list) {
        Set<Trouble> troubles = EnumSet.noneOf(Trouble.class);
        for (String part : list.split(",")) {
            String word = part.strip();
            if (!word.isEmpty()) {
                troubles.add(Arrays.stream(values())
                        .filter(t -> t.word().equals(word))
                        .findFirst()
                        .orElseThrow(() -> new IllegalArgumentException("\"" + word + "\" is not a trouble; known are "
                                + Arrays.stream(values()).map(Trouble::word).collect(Collectors.joining(", ")))));
            }
        }
        return troubles;
    }
}
