package app.nosegay.desktop.plan.bed;

/**
 * A place on the bed.
 *
 * @param row the row, from 0
 * @param item the item in it, from 0; {@link #TAG} for the row's own tag
 */
record Spot(int row, int item) {
    static final int TAG = -1;
    static final Spot START = new Spot(0, TAG);

    boolean isTag() {
        return item == TAG;
    }

    Spot at(int other) {
        return new Spot(row, other);
    }
}
