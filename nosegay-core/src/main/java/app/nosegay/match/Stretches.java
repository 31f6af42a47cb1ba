package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Remembered;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.regex.Pattern;

/** What an unplanned stretch of a take is, by what is said, seen and heard in it. */
final class Stretches {
    /** Cheers are not meant: "hang on, ten seconds", "and do it again", "sorry, I know it burns". */
    private static final Pattern FLUFF = Pattern.compile(String.join(
            "|",
            "(?i)(?<!not )\\bsorry\\b(?!,? (?:not sorry|i know|if|but|to (?:say|tell)|in advance|legs|arms|abs|for (?:that|this) (?:one|burn)))",
            "\\b(?:start|try|take|say|film|shoot) (?:that|this|it)(?: one| bit)? (?:over|again)\\b",
            "\\b(?:let me|i'?ll|i will|i need to|i have to|can i)(?: just)? (?:redo|do|start|try|say|take|film) (?:that|this|it|over)\\b",
            "\\bagain from\\b",
            "\\bone more take\\b",
            "\\b(?:oops|whoops)\\b",
            "\\bmessed (?:that|it|this) up\\b",
            "\\bhang on,? (?:a (?:second|sec|minute|moment)|one (?:second|sec)|sorry|there(?:'s| is| was)|i(?:'m|'ve| am| have| think| need| forgot)|let me|wait|what|my|someone|somebody|the (?:dog|phone|door|timer))",
            "\\b(?:oh|wait|whoa),? hang on\\b",
            "(?:^|[,.!?] *)hold on(?:[,.!?]| a (?:second|minute|moment)|$)",
            "\\bwhat am i (?:doing|saying)",
            "\\bignore that\\b",
            "\\bcut that\\b",
            "\\bwrong (?:side|leg|arm|one), (?:sorry|let)"));

    /** Of which what is said when something is done again from its beginning, and of nothing else: "I'll take it slow", "do it again" go on. */
    private static final Pattern AGAIN = Pattern.compile(String.join(
            "|",
            "(?i)\\b(?:let me|i'?ll|i will|i need to|i have to|can i|i'?m going to)(?: just)? (?:redo|start|try|say|take|film|do) (?:that|this|it)(?: one| bit)? (?:over|again)\\b(?! (?:on|with|in|for|to|next|later))",
            "\\blet'?s (?:take|film) (?:that|this|it) again\\b",
            "\\b(?:let me|i'?ll|i need to|i have to) (?:just )?redo\\b",
            "\\bagain from the (?:top|start|beginning)\\b",
            "\\bone more take\\b"));

    private static final Remembered<Boolean> IS_FLUFF =
            new Remembered<>(words -> FLUFF.matcher(words).find());

    private static final double LEAST_MOVEMENT = 0.25;
    private static final double LEAST_DEAD_AIR = 5;

    private Stretches() {}

    /** Whether someone says that something went wrong. */
    static boolean isFluff(String words) {
        return IS_FLUFF.of(words);
    }

    /** Whether someone says that it is done again. */
    static boolean isDoneAgain(String words) {
        return AGAIN.matcher(words).find();
    }

    static String kind(TakeEvidence take, BoundaryHints hints, Span<Axis.Take> span) {
        double spoken = 0;
        for (var c : take.words()) {
            if (!c.end().isBefore(span.start()) && c.start().isBefore(span.end())) {
                if (isFluff(c.text())) {
                    return "fluff";
                }
                spoken += Time.min(c.end(), span.end())
                        .since(Time.max(c.start(), span.start()))
                        .seconds();
            }
        }
        double length = span.length().seconds();
        if (length > LEAST_DEAD_AIR
                && hints.movement(span.start().seconds(), span.end().seconds()) > LEAST_MOVEMENT) {
            return "unplanned";
        }
        boolean silent = !take.words().isEmpty() && spoken < 0.15 * length
                || take.words().isEmpty() && silent(take, span);
        return silent && length > LEAST_DEAD_AIR ? "dead air" : "interruption";
    }

    /** Whether the sound stays near the take's quietest throughout. */
    private static boolean silent(TakeEvidence take, Span<Axis.Take> span) {
        Trace level = take.loudness();
        if (level.isEmpty()) {
            return false;
        }
        float[] sorted = level.values().clone();
        java.util.Arrays.sort(sorted);
        double quiet = sorted[sorted.length / 10] + 12;
        int loud = 0;
        int from = level.index(span.start());
        int to = level.index(span.end());
        for (int i = from; i < to; i++) {
            loud += level.values()[i] > quiet ? 1 : 0;
        }
        return loud < 0.08 * Math.max(1, to - from);
    }
}
