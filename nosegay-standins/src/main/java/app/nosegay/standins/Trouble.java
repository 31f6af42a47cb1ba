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
    NO_BEEPS,
    /** Work starts one to two seconds before it is announced in about a third of the sets. */
    EARLY_START,
    /** Work stops three to eight seconds before its end is announced in about a third of the sets. */
    SHORT_SET,
    /** The clock is run by hand: about a third of the intervals are announced two to seven seconds long or short. */
    HAND_CLOCK,
    /** One work interval and the rest behind it are left out. */
    SKIP,
    /** Two neighbouring moves of a round are done in the wrong order. */
    SWAP,
    /** One work interval and the rest behind it are done twice. */
    REPEAT,
    /** A move nobody planned is done after one rest. */
    UNPLANNED_MOVE,
    /** Six beeps that mean nothing. */
    EXTRA_BEEPS,
    /** Another timer in the room beeps every half minute, at its own pitch. */
    FOREIGN_TIMER,
    /** One call of time is made three to six seconds off. */
    WRONG_CALL,
    /** One line names another move. */
    WRONG_NAME,
    /** One line names the other side. */
    WRONG_SIDE,
    /** One scripted call of time is not made. */
    CALL_MISSING,
    /** One side of a one-sided move gets a quarter less time. */
    UNEVEN_SIDES,
    /** Two or three reps too many or too few in some counted sets. */
    UNEVEN_REPS,
    /** One set goes wrong, "sorry, again", and is begun anew. */
    FLUFF,
    /** After one rest nothing happens and nothing is said for 15 to 30 seconds. */
    DEAD_AIR,
    /** The recording is stopped between two segments and goes on as a second take. */
    STOP_START,
    /** Loud steps on the floor while moving. */
    FOOTSTEPS,
    /** Music plays in the room. */
    MUSIC,
    /** Music with sung syllables plays in the room. */
    SUNG_MUSIC,
    /** The microphone is overdriven. */
    CLIPPING,
    /** The voice is far too quiet. */
    QUIET_VOICE,
    /** The timer goes on beeping after the end. */
    TIMER_LEFT_ON;

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
                        .orElseThrow(() -> new IllegalArgumentException(StandInText.of(
                                "trouble.is-not-a-trouble-known",
                                word,
                                Arrays.stream(values()).map(Trouble::word).collect(Collectors.joining(", "))))));
            }
        }
        return troubles;
    }
}
