package app.nosegay.plan.check;

import app.nosegay.time.Length;
import java.util.Arrays;

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

    /** @param seconds all eight, in the order of the record */
    public static ChangeCosts ofSeconds(double... seconds) {
        Length[] costs = Arrays.stream(seconds).mapToObj(Length::ofSeconds).toArray(Length[]::new);
        return new ChangeCosts(costs[0], costs[1], costs[2], costs[3], costs[4], costs[5], costs[6], costs[7]);
    }
}
