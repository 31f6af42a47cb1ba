package app.nosegay.plan.check;

import app.nosegay.time.Length;

/**
 * What getting ready costs (docs/domain.md, "Change-over"); the defaults are that page's, all can be changed per workout. Costs of
 * one change-over add up.
 *
 * @param pickUpOrPutDown picking one thing up or putting it down
 * @param swap changing the weight of what is held
 * @param band setting up a band
 * @param down from standing to the floor
 * @param up from the floor to standing
 * @param seat between standing and a chair or bench
 * @param turn turning to another camera angle
 * @param side changing the side
 */
public record ChangeCosts(
        Length pickUpOrPutDown,
        Length swap,
        Length band,
        Length down,
        Length up,
        Length seat,
        Length turn,
        Length side) {
    public static final ChangeCosts DEFAULT = ofSeconds(3, 5, 8, 6, 8, 4, 2, 2);
    /** Older adults and pregnancy take half as long again to move. */
    public static final double SLOWER_AUDIENCE = 1.5;

    public static ChangeCosts ofSeconds(
            double pickUp, double swap, double band, double down, double up, double seat, double turn, double side) {
        return new ChangeCosts(
                Length.ofSeconds(pickUp),
                Length.ofSeconds(swap),
                Length.ofSeconds(band),
                Length.ofSeconds(down),
                Length.ofSeconds(up),
                Length.ofSeconds(seat),
                Length.ofSeconds(turn),
                Length.ofSeconds(side));
    }
}
