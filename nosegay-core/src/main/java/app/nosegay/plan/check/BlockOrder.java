package app.nosegay.plan.check;

import java.util.ArrayList;
import java.util.List;

/** Looks for an order of a block's moves in which fewer neighbours load the same muscles, without more trips to the floor. */
final class BlockOrder {
    /** All orders of more moves than this take too long while typing. */
    static final int MOST_MOVES = 7;

    private final boolean[][] heavy;
    private final List<Boolean> low;
    private final boolean again;
    private final List<Integer> best = new ArrayList<>();
    private int fewest;
    private final int trips;

    /**
     * @param heavy which move loads what which other loads too
     * @param low which moves are done on the floor
     * @param again whether the first follows the last
     */
    BlockOrder(boolean[][] heavy, List<Boolean> low, boolean again) {
        this.heavy = heavy;
        this.low = low;
        this.again = again;
        for (int i = 0; i < low.size(); i++) {
            best.add(i);
        }
        this.fewest = clashes(best);
        this.trips = trips(best);
    }

    /** The better order; empty where the written one is as good as any. */
    List<Integer> better() {
        List<Integer> written = List.copyOf(best);
        if (low.size() <= MOST_MOVES) {
            extend(new ArrayList<>(), new boolean[low.size()]);
        }
        return best.equals(written) ? List.of() : List.copyOf(best);
    }

    private void extend(List<Integer> order, boolean[] taken) {
        if (order.size() == low.size()) {
            if (clashes(order) < fewest && trips(order) <= trips) {
                fewest = clashes(order);
                best.clear();
                best.addAll(order);
            }
            return;
        }
        for (int i = 0; i < taken.length; i++) {
            if (!taken[i]) {
                taken[i] = true;
                order.add(i);
                extend(order, taken);
                order.remove(order.size() - 1);
                taken[i] = false;
            }
        }
    }

    private int clashes(List<Integer> order) {
        int clashes = 0;
        for (int i = again ? 0 : 1; i < order.size(); i++) {
            clashes += heavy[order.get(Math.floorMod(i - 1, order.size()))][order.get(i)] ? 1 : 0;
        }
        return clashes;
    }

    private int trips(List<Integer> order) {
        int trips = 0;
        for (int i = 0; i < order.size(); i++) {
            trips += low.get(order.get(i)) && (i == 0 || !low.get(order.get(i - 1))) ? 1 : 0;
        }
        return trips;
    }
}
