package app.nosegay.match.features;

import java.util.Arrays;
import java.util.EnumSet;
import java.util.Locale;
import java.util.Set;

/**
 * The kinds of evidence and the rules the matcher weighs, by name. All are on in the product; {@code ./nosegay bench --accuracy
 * --without NAME}
 * turns one off to see what it is worth ({@code docs/algorithms/ablation.md} has the table).
 */
public enum Feature {
    /** Tone onsets of an interval timer. */
    BEEPS,
    /** The moment short tones count to, where the timer is silent then. */
    COUNTDOWN_PIPS,
    /** A boundary without a beep, beside a timer, counts against it. */
    SILENT_TIMER,
    /** Spoken calls: counts, starts, rests, changes of side. */
    CALLS,
    /** Names of moves said while they are done or in the rest before. */
    NAMES,
    /** A move without a rest before it begins where it is named. */
    NAMED_AT_START,
    /** Who first and last speaks, for welcome and goodbye. */
    TALK,
    /** Lines of the script said word for word. */
    SCRIPT_LINES,
    /** Speech and silence against the script. */
    VOICE,
    /** Whether the script is spoken at all: else speech and silence are forgotten. */
    SCRIPT_SPOKEN,
    /** "Sorry, again": a segment broken off. */
    FLUFFS,
    /** Movement in work, little in rest. */
    MOVEMENT,
    /** Standing or on the floor, by how high something moves. */
    POSTURE,
    /** Changes of the whole picture from one hold or stretch to the next. */
    POSTURE_STEPS,
    /** The first and last repetition of a set edge it. */
    SET_EDGES,
    /** Moves may be done in each other's place. */
    EXCHANGED_MOVES,
    /** A boundary is doubted as far as another order is likely. */
    ORDER_DOUBT;

    /** For the bench: names, comma separated, of what is off in this process. */
    public static final String PROPERTY = "nosegay.without";

    private static final Set<Feature> OFF = off(System.getProperty(PROPERTY, ""));

    /** Whether it is weighed in this process. */
    public boolean isOn() {
        return !OFF.contains(this);
    }

    /** Its name on the command line. */
    public String word() {
        return name().toLowerCase(Locale.ROOT).replace('_', '-');
    }

    private static Set<Feature> off(String names) {
        Set<Feature> off = EnumSet.noneOf(Feature.class);
        Arrays.stream(values())
                .filter(f -> Arrays.asList(names.split(",")).contains(f.word()))
                .forEach(off::add);
        return off;
    }
}
