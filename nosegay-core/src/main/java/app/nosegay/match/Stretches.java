package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.regex.Pattern;

/** What an unplanned stretch of a take is, by what is said, seen and heard in it. */
final class Stretches {
    private static final Pattern FLUFF = Pattern.compile(
            "(?i)\\bsorry\\b|\\b(?:start|do|try|take|say|film|shoot) (?:that|this|it)(?: one| bit)? (?:over|again)\\b|\\bagain from\\b|\\blet me (?:redo|try that|start (?:that|this|over)|do (?:that|this))|\\bone more take\\b|\\b(?:oops|whoops)\\b|\\bmessed (?:that|it) up\\b|\\bhang on\\b|(?:^|[,.!?] *)hold on(?:[,.!?]| a (?:second|minute|moment)|$)|\\bwhat am i (?:doing|saying)|\\bignore that\\b|\\bcut that\\b|\\bwrong (?:side|leg|arm|one), (?:sorry|let)");
    private static final double LEAST_MOVEMENT = 0.25;
    private static final double LEAST_DEAD_AIR = 5;

    private Stretches() {}

    /** Whether someone says that something went wrong. */
    static boolean isFluff(String words) {
        return FLUFF.matcher(words).find();
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
