/**
 * Stage four: where in the takes each planned segment really is.
 *
 * <p>{@link app.nosegay.match.TakeEvidence} is all that was read from one take; {@link app.nosegay.match.Matcher} finds the jointly best
 * sequence; {@link app.nosegay.match.Match} is its answer; {@link app.nosegay.match.Cut} maps takes to the finished programme.
 */
package app.nosegay.match;
