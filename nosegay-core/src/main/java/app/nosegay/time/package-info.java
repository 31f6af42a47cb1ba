/**
 * Time as Nosegay counts it: whole microseconds on three axes that never mix by accident, and the seconds words take to say.
 *
 * <p>{@link app.nosegay.time.Time} is a point, {@link app.nosegay.time.Length} a duration, {@link app.nosegay.time.Span} a stretch
 * between two points. The type parameter names the axis; only the match and the cut convert between axes.
 */
package app.nosegay.time;
