package app.nosegay.cut;

import app.nosegay.match.Match;
import app.nosegay.plan.Timeline;

/**
 * The finished programme before it is dressed.
 *
 * @param timeline what was planned
 * @param match where it is in the takes
 * @param cut what of the takes is kept, in order
 */
public record Edit(Timeline timeline, Match match, Cut cut) {}
