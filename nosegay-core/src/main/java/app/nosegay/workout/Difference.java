package app.nosegay.workout;

import app.nosegay.text.CoreText;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;

/** What differs between two states of a workout, in words: for people who have to choose between them. */
public final class Difference {
    private Difference() {}

    /** "3 lines of the run sheet", "1 pin"; empty when they are the same. */
    public static List<String> between(Workout before, Workout after) {
        List<String> words = new ArrayList<>();
        count(
                words,
                lines(before.sheet(), after.sheet()),
                CoreText.of("workout.difference.line-of-the-run-sheet"),
                CoreText.of("workout.difference.lines-of-the-run-sheet"));
        count(words, changed(before.takes(), after.takes()), "take", "takes");
        count(words, changed(before.pins(), after.pins()), "pin", "pins");
        count(
                words,
                changed(before.script().lines(), after.script().lines()),
                CoreText.of("workout.difference.line-to-say"),
                CoreText.of("workout.difference.lines-to-say"));
        boolean voice = !before.script().rate().equals(after.script().rate())
                || !before.script().avoid().equals(after.script().avoid())
                || !before.script().sources().equals(after.script().sources());
        named(words, voice, CoreText.of("workout.difference.how-it-is-said"));
        named(
                words,
                !before.matching().equals(after.matching()),
                CoreText.of("workout.difference.decisions-about-the-match"));
        named(words, !before.dressing().equals(after.dressing()), CoreText.of("workout.difference.the-dressing"));
        count(
                words,
                changed(before.waivers(), after.waivers()),
                CoreText.of("workout.difference.finding-left-as-it-is"),
                CoreText.of("workout.difference.findings-left-as-they-are"));
        named(words, !before.settings().equals(after.settings()), "settings");
        return words;
    }

    private static int lines(String before, String after) {
        return before.equals(after)
                ? 0
                : Math.max(1, changed(before.lines().toList(), after.lines().toList()));
    }

    /** How many are only in one of the two; what was replaced counts once. */
    private static int changed(List<?> before, List<?> after) {
        Set<Object> gone = new HashSet<>(before);
        Set<Object> come = new HashSet<>(after);
        after.forEach(gone::remove);
        before.forEach(come::remove);
        return Math.max(gone.size(), come.size());
    }

    private static void count(List<String> words, int n, String one, String many) {
        if (n > 0) {
            words.add(n + " " + (n == 1 ? one : many));
        }
    }

    private static void named(List<String> words, boolean differs, String what) {
        if (differs) {
            words.add(what);
        }
    }
}
