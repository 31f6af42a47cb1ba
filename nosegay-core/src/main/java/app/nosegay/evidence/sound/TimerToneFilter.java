package app.nosegay.evidence.sound;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * Tells a timer's signals from the notes of music by their number and strength. No timer sounds as often as a melody; and who wants to
 * hear a timer over music has it louder.
 */
final class TimerToneFilter {
    /** More often than this a minute it is music: the shortest intervals with three pips before each turn are 16. */
    private static final double MOST_A_MINUTE = 24;
    /** A timer over music has at least so many times the amplitude of its notes. */
    private static final double LOUDER = 4;
    /** The amplitude of the timer is known by its so many loudest signals, … */
    private static final int LOUDEST = 8;
    /** … and all of them have at least this share of it. */
    private static final double ALIKE = 0.4;

    /** Between half of that and that lies next to nothing: the loudest notes of music are followed by others hardly weaker. */
    private static final double BETWEEN = 0.3;
    /** Where they are not too many, only what has less than this share of it is a note that stood alone for a moment. */
    private static final double FAR_WEAKER = 0.15;

    private TimerToneFilter() {}

    /** Those of {@code sounds} that may be a timer's, in a recording that lasts so many minutes. */
    static <T> List<T> of(List<T> sounds, double minutes, ToDoubleFunction<T> amplitude) {
        if (sounds.size() < LOUDEST) {
            return sounds;
        }
        double most = MOST_A_MINUTE * Math.max(1, minutes);
        double[] sorted = sounds.stream().mapToDouble(amplitude).sorted().toArray();
        double loud = sorted[sorted.length - LOUDEST];
        if (sounds.size() <= most) {
            return over(sounds, amplitude, FAR_WEAKER * loud);
        }
        double least = Math.max(LOUDER * sorted[sorted.length / 2], ALIKE * loud);
        List<T> louder = over(sounds, amplitude, least);
        int between = over(sounds, amplitude, least / 2).size() - louder.size();
        return louder.size() <= most && between <= BETWEEN * louder.size() ? louder : List.of();
    }

    private static <T> List<T> over(List<T> sounds, ToDoubleFunction<T> amplitude, double least) {
        return sounds.stream().filter(s -> amplitude.applyAsDouble(s) >= least).toList();
    }
}
