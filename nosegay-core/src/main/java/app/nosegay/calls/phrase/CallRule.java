package app.nosegay.calls.phrase;

import app.nosegay.calls.CallKind;
import app.nosegay.captions.Speech;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * One way of saying a call, as a pattern over {@link Speech}: plain words, digits, {@code .} and {@code ,}. Group 1 is its number, group
 * 2 its second one. {@code ~name} stands for a list of words, {@code < ?} for where a phrase begins.
 *
 * @param kind null where it only keeps later rules from misunderstanding its words
 * @param value where the words stand for one
 * @param onlyExpected whether it is a call only where one is expected
 */
public record CallRule(CallKind kind, String of, Integer value, Pattern pattern, boolean onlyExpected) {
    private static final Map<String, String> LISTS = Map.of(
            "~nth",
            "(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|eleventh|twelfth)",
            "~round",
            "(?:rounds?|circuits?|sets?|laps?|times? (?:through|around))",
            "~move",
            "(?:exercises?|moves?|movements?|stations?|drills?|tracks?|stretch(?:es)?)",
            "~side",
            "(?:sides?|legs?|arms?|hands?|foot|feet|knees?|hips?|directions?)",
            "~more",
            "(?:left|to go|remaining|more|to do)",
            "~name",
            "(?:(?:a|an|our|some|the|your) )?(?:[a-z]+ ){0,2}?" + CallWords.MOVE_WORDS,
            "~tail",
            "(?: (?!(?:okay|number|lets|exercise \\d|first up|\\d+ (?:seconds|minutes|rounds|exercises|moves) of)\\b)[a-z0-9]+){0,9}",
            "~will",
            "(?:will|am going to|are going to|is going to|want to|would like to)");

    /** "One down, two to go": of rounds where one was spoken of, of repetitions while working, else of moves. */
    public static final String TO_GO = "to go";

    /** "Ten minutes left": of the window in which as much as possible is done, where there is one. */
    public static final String OF_ONE_WINDOW = "of one window";

    /** "Fifteen down": half of an interval if it lasts thirty seconds. */
    public static final String BY_TIME = "by time";

    /** What is none, though it sounds like one. */
    static CallRule never(String pattern) {
        return rule(null, null, null, "(?:" + pattern + ")\\b");
    }

    static CallRule rule(CallKind kind, String of, Integer value, String pattern) {
        String regex = pattern;
        for (Map.Entry<String, String> list : LISTS.entrySet()) {
            regex = regex.replace(list.getKey(), list.getValue());
        }
        regex = regex.replace("< ?", "(?<=[.,] )");
        return new CallRule(kind, of, value, Pattern.compile("(?<= )(?:" + regex + ")(?= )"), false);
    }
}
