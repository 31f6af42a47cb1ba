package app.nosegay.plan.fit;

import app.nosegay.time.Length;

/**
 * How far the fitter may go. Rests and work stay within these on a grid of 5 s; what is outside already is left alone.
 *
 * @param restLeast the shortest rest
 * @param restMost the longest rest
 * @param workLeast the shortest work interval
 * @param workMost the longest work interval
 * @param roundsLeast the fewest rounds or sets
 * @param roundsMost the most rounds or sets
 */
public record FitRanges(
        Length restLeast, Length restMost, Length workLeast, Length workMost, int roundsLeast, int roundsMost) {
    /** What follow-along viewers put up with: shorter rests cannot be used, longer ones lose them. */
    public static final FitRanges DEFAULT =
            new FitRanges(Length.ofSeconds(10), Length.ofSeconds(90), Length.ofSeconds(20), Length.ofSeconds(75), 1, 6);
}
