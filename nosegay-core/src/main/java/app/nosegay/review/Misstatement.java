package app.nosegay.review;

import app.nosegay.plan.Finding;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;

/**
 * Something that was said wrong, or not said, with what would have been right.
 *
 * @param finding what tells it
 * @param take the take it is in
 * @param span when it was said; without length where it should have been said and was not
 * @param said the words; empty when nothing was said
 * @param say the line that would be right; empty where only silence would be
 * @param show the same in a word or two, for the screen; empty where nothing has to be shown
 */
public record Misstatement(Finding finding, String take, Span<Axis.Take> span, String said, String say, String show) {}
