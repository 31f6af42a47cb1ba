package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;

/**
 * Something that was said wrong, or not said, with what would have been right.
 *
 * @param code of the finding that tells it
 * @param segment the segment it belongs to; null outside of all
 * @param take the take it is in
 * @param at when it was said, or should have been
 * @param said the words; empty when nothing was said
 * @param say the line that would be right
 * @param show the same in a word or two, for the screen; empty where nothing has to be shown
 */
public record Slip(
        String code, String segment, String take, Time<Axis.Take> at, String said, String say, String show) {}
