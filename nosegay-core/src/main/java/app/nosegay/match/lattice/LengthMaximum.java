package app.nosegay.match.lattice;

import app.nosegay.match.features.MatchWeights;
import java.util.Arrays;

/**
 * The best beginning of one segment for each end, in constant time a bin on average: as planned a segment costs nothing, longer or shorter
 * by how much, much longer or cut short a fixed amount at the most. Bins come in order. Read against time, from the last bin to the first,
 * it gives the best end for each beginning.
 */
final class LengthMaximum {
    static final double NEVER = -1e12;
    private static final int NONE = -1;

    private final int planned;
    private final double costPerBin;
    private final double mostForLonger;
    /** Values that are not yet as long ago as planned. */
    private final double[] waiting;

    private int slot;
    /** The best of those as long ago as planned or longer, by what each bin costs … */
    private double longer = NEVER;

    private int longerFrom;
    /** … and however long ago. */
    private double any = NEVER;

    private int anyFrom;
    /** Those not as long ago as planned, by what each bin costs … */
    private final SlidingMaximum shorter;
    /** … and whatever the length. */
    private final SlidingMaximum running;

    /** The last bin that was looked at; before the first beginning there is none. */
    private int last = NONE;

    private int from;

    /**
     * @param planned length in bins, at least 1
     * @param costPerBin what each bin off it costs
     * @param mostForLonger what a greater length costs at most
     */
    LengthMaximum(int planned, double costPerBin, double mostForLonger) {
        this.planned = planned;
        this.costPerBin = costPerBin;
        this.mostForLonger = mostForLonger;
        waiting = new double[planned];
        Arrays.fill(waiting, NEVER);
        shorter = new SlidingMaximum(planned);
        running = new SlidingMaximum(planned);
    }

    /** The segment may begin at {@code bin}, which is worth {@code value}. */
    void add(int bin, double value) {
        last = last == NONE ? bin : last;
        advance(bin);
        waiting[slot] = value;
        running.add(bin, value);
        shorter.add(bin, value - costPerBin * bin);
    }

    private void advance(int bin) {
        while (last < bin) {
            last++;
            longer -= costPerBin;
            slot = slot + 1 == planned ? 0 : slot + 1;
            double v = waiting[slot];
            waiting[slot] = NEVER;
            if (v > longer) {
                longer = v;
                longerFrom = last - planned;
            }
            if (v > any) {
                any = v;
                anyFrom = last - planned;
            }
        }
        shorter.forget(bin);
        running.forget(bin);
    }

    /** The best that ends at {@code bin}, begun before it; {@link #NEVER} where nothing was begun. */
    double endingAt(int bin) {
        if (last == NONE) {
            return NEVER;
        }
        advance(bin);
        double best = longer;
        from = longerFrom;
        if (any - mostForLonger > best) {
            best = any - mostForLonger;
            from = anyFrom;
        }
        double planless = costPerBin * (bin - planned);
        if (!shorter.isEmpty() && shorter.value() + planless > best) {
            best = shorter.value() + planless;
            from = shorter.bin();
        }
        if (!running.isEmpty() && running.value() - MatchWeights.CUT_SHORT > best) {
            best = running.value() - MatchWeights.CUT_SHORT;
            from = running.bin();
        }
        return best <= NEVER / 2 ? NEVER : best;
    }

    /** The best in which the segment is not over at {@code bin}. */
    double underWayAt(int bin) {
        running.forget(bin);
        if (running.isEmpty()) {
            return NEVER;
        }
        from = running.bin();
        return running.value();
    }

    /** Where what was asked for last began. */
    int from() {
        return from;
    }
}
