package app.nosegay.evidence.sight;

import java.util.List;

/** What it costs to lie over people in one stretch: sums over cells from the upper left, so that any box is four of them. */
public final class BodyCosts {
    /** Costs are summed over cells of this size, in units: as finely as bodies are known. */
    public static final double CELL = 20;

    /** What a cell of that size costs with a body in it every second: less than three of them are worth a way across half the frame … */
    public static final double BODY = 1.5;
    /** … with somebody seen there all the time, by whatever means … */
    private static final double SOMEBODY = 0.25;
    /** … with something that comes through every second … */
    private static final double PASSING = 0.1;
    /** … and at the top of somebody, where the head is. */
    private static final double HEAD = 0.7;
    /** From this share of time on somebody is in a cell. */
    private static final double IS_THERE = 0.3;
    /** Below this share of the height there are legs and floor, which matter a little less than faces. */
    private static final double FEET = 0.62;

    private static final double FEET_WEIGHT = 0.8;

    private final int columns;
    private final int rows;
    private final double[] sums;

    public BodyCosts(OccupancyMap people, Frame frame) {
        columns = (int) Math.ceil(frame.width() / CELL);
        rows = (int) Math.ceil(frame.height() / CELL);
        sums = new double[(columns + 1) * (rows + 1)];
        boolean[] headed = new boolean[columns];
        for (int y = 0; y < rows; y++) {
            double row = 0;
            for (int x = 0; x < columns; x++) {
                Box cell = new Box(x * CELL, y * CELL, CELL, CELL);
                double there = people.behind(cell, frame);
                double passing = people.passing(cell, frame);
                boolean top = !headed[x] && Math.max(there, passing) >= IS_THERE;
                headed[x] |= top;
                row += BODY * people.touched(cell, frame)
                        + SOMEBODY * (y > FEET * rows ? FEET_WEIGHT : 1) * there
                        + PASSING * passing
                        + (top ? HEAD : 0);
                sums[(y + 1) * (columns + 1) + x + 1] = sums[y * (columns + 1) + x + 1] + row;
            }
        }
    }

    private BodyCosts(BodyCosts other, double[] sums) {
        columns = other.columns;
        rows = other.rows;
        this.sums = sums;
    }

    public static BodyCosts sum(List<BodyCosts> all) {
        if (all.size() == 1) {
            return all.get(0);
        }
        double[] sums = new double[all.get(0).sums.length];
        for (BodyCosts costs : all) {
            for (int i = 0; i < sums.length; i++) {
                sums[i] += costs.sums[i];
            }
        }
        return new BodyCosts(all.get(0), sums);
    }

    public double of(Box box) {
        int left = cell(box.x(), columns);
        int right = Math.min(columns, cell(box.right() - 1, columns) + 1);
        int top = cell(box.y(), rows);
        int bottom = Math.min(rows, cell(box.bottom() - 1, rows) + 1);
        return at(right, bottom) - at(left, bottom) - at(right, top) + at(left, top);
    }

    private static int cell(double units, int count) {
        return (int) Math.max(0, Math.min(count - 1, Math.floor(units / CELL)));
    }

    private double at(int x, int y) {
        return sums[y * (columns + 1) + x];
    }
}
