package app.nosegay.plan.fit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Turns several knobs so that the sum of what they change comes as near as can be to what is wanted, with the least change: a knapsack over
 * whole seconds. Exact: of all settings on the grid none comes nearer.
 */
final class LengthSolver {
    /** Values are written on this grid. */
    static final int GRID = 5;
    /** Each line that has to change costs as much as this many seconds of change. */
    private static final double PER_LINE = 4;
    /** Large changes of one value hurt more than small changes of many: seconds to this power. */
    private static final double POWER = 1.4;

    private static final double NEVER = 1e18;
    /** Sums further than this beyond what is wanted need not be followed, in seconds. */
    private static final int MARGIN = 400;

    private LengthSolver() {}

    /** A knob with what a second of it changes in all, and the values it may take. */
    record Option(AdjustableLength adjustable, int effect, int least, int most) {
        /** What turning it to a value changes in all, in seconds. */
        int by(int value) {
            return effect * (value - adjustable.seconds());
        }
    }

    /** What each option's knob is turned to, and the sum of the changes in seconds. */
    record Solution(int[] values, int sum, double cost) {}

    /**
     * The best setting, or null when no option can be turned.
     *
     * @param wanted seconds to add in all
     * @param notAbove whether the sum may not exceed {@code wanted}
     * @param notBelow whether it may not fall short
     */
    static Solution solve(List<Option> options, int wanted, boolean notAbove, boolean notBelow) {
        if (options.isEmpty()) {
            return null;
        }
        int low = 0;
        int high = 0;
        for (Option o : options) {
            int shorter = o.by(Math.min(o.least(), o.adjustable().seconds()));
            int longer = o.by(Math.max(o.most(), o.adjustable().seconds()));
            low += Math.min(shorter, longer);
            high += Math.max(shorter, longer);
        }
        low = Math.max(low, Math.min(0, wanted) - MARGIN);
        high = Math.min(high, Math.max(0, wanted) + MARGIN);
        int width = high - low + 1;
        double[] cost = new double[width];
        Arrays.fill(cost, NEVER);
        cost[-low] = 0;
        List<int[]> chosen = new ArrayList<>();
        for (Option o : options) {
            int[] value = new int[width];
            cost = with(o, cost, value);
            chosen.add(value);
        }
        int best = -1;
        for (int i = 0; i < width; i++) {
            int sum = low + i;
            boolean allowed = cost[i] < NEVER / 2 && !(notAbove && sum > wanted) && !(notBelow && sum < wanted);
            if (allowed && (best < 0 || nearer(sum, low + best, wanted, cost[i], cost[best]))) {
                best = i;
            }
        }
        return best < 0 ? null : traced(options, chosen, low, best, cost[best]);
    }

    /** The least cost of each sum with one more option, and in {@code value} what it is turned to for that. */
    private static double[] with(Option o, double[] cost, int[] value) {
        double[] next = new double[cost.length];
        Arrays.fill(next, NEVER);
        for (int v : values(o)) {
            int by = o.by(v);
            double price = price(o, v);
            for (int i = Math.max(0, by); i < Math.min(cost.length, cost.length + by); i++) {
                double c = cost[i - by] + price;
                if (c < next[i]) {
                    next[i] = c;
                    value[i] = v;
                }
            }
        }
        return next;
    }

    private static boolean nearer(int sum, int other, int wanted, double cost, double otherCost) {
        int a = Math.abs(sum - wanted);
        int b = Math.abs(other - wanted);
        return a < b || (a == b && cost < otherCost);
    }

    private static Solution traced(List<Option> options, List<int[]> chosen, int low, int best, double cost) {
        int[] values = new int[options.size()];
        int i = best;
        for (int k = options.size() - 1; k >= 0; k--) {
            values[k] = chosen.get(k)[i];
            i -= options.get(k).by(values[k]);
        }
        return new Solution(values, low + best, cost);
    }

    private static List<Integer> values(Option o) {
        List<Integer> values = new ArrayList<>();
        values.add(o.adjustable().seconds());
        for (int v = (o.least() + GRID - 1) / GRID * GRID; v <= o.most(); v += GRID) {
            if (v != o.adjustable().seconds()) {
                values.add(v);
            }
        }
        return values;
    }

    private static double price(Option o, int v) {
        int change = Math.abs(v - o.adjustable().seconds());
        return change == 0 ? 0 : PER_LINE + Math.abs(o.effect()) * Math.pow(change, POWER) / GRID;
    }
}
