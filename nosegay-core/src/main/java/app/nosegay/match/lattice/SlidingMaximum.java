package app.nosegay.match.lattice;

/**
 * The greatest of the values of the last so many bins, in constant time a bin on average: a queue of the values no later one exceeds
 * (Lemire, Streaming maximum-minimum filter, 2006). Bins come in order; not every bin has to have a value.
 */
final class SlidingMaximum {
    private final int reach;
    private final int[] bins;
    private final double[] values;
    private int head;
    private int tail;

    /** @param reach how many bins a value counts for */
    SlidingMaximum(int reach) {
        this.reach = reach;
        bins = new int[reach + 2];
        values = new double[reach + 2];
    }

    void add(int bin, double value) {
        forget(bin);
        while (head != tail && values[before(tail)] <= value) {
            tail = before(tail);
        }
        bins[tail] = bin;
        values[tail] = value;
        tail = behind(tail);
    }

    /** Lets go of what is {@code reach} bins or more before {@code bin}. */
    void forget(int bin) {
        while (head != tail && bins[head] <= bin - reach) {
            head = behind(head);
        }
    }

    boolean isEmpty() {
        return head == tail;
    }

    double value() {
        return values[head];
    }

    int bin() {
        return bins[head];
    }

    private int before(int i) {
        return i == 0 ? bins.length - 1 : i - 1;
    }

    private int behind(int i) {
        return i == bins.length - 1 ? 0 : i + 1;
    }
}
