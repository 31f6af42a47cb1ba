package app.nosegay.evidence.sight;

import app.nosegay.evidence.TakeEvidence;
import java.util.function.IntFunction;

/**
 * A series of rows of numbers in which something moves.
 *
 * @param hz rows a second
 * @param count how many there are
 * @param cells numbers in a row
 * @param row the numbers of a row; noise under a grey level of a hundred is not told apart
 */
record MovementRows(double hz, int count, int cells, IntFunction<double[]> row) {
    /** The small pictures of a take. */
    static MovementRows of(TakeEvidence.Poses poses) {
        IntFunction<double[]> row = i -> {
            double[] cells = new double[poses.cells()];
            int at = i * cells.length;
            double mean = 0;
            for (int c = 0; c < cells.length; c++) {
                mean += (poses.grey()[at + c] & 0xff) / (double) cells.length;
            }
            for (int c = 0; c < cells.length; c++) {
                // Light that changes, changes everything alike.
                cells[c] = (poses.grey()[at + c] & 0xff) * 100 / Math.max(1, mean);
            }
            return cells;
        };
        return new MovementRows(poses.hz(), poses.count(), poses.cells(), row);
    }

    /** The joints of one person; none where they only tremble. */
    static MovementRows of(JointRows joints, double start, double end) {
        return new MovementRows(
                joints.hz(), joints.moves(start, end) ? joints.rows() : 0, joints.numbers(), joints::row);
    }
}
