package app.nosegay.evidence.sight;

import java.util.Optional;

/**
 * What a set looks like by the joints of whoever does it, without any name: where each joint is about the hips, and how far it goes. The
 * same move in another round looks like itself, other moves do not.
 *
 * @param place mean places, x and y of one joint behind the other, in trunks
 * @param travel standard deviations of the same numbers
 */
public record SetLook(double[] place, double[] travel) {
    /** Fewer samples tell no movement. */
    private static final int FEWEST = 12;
    /** Beside where joints are, how far they go counts so much: joints hide behind the body, and tremble. */
    private static final double TRAVEL = 2;

    /** A set, in seconds; nothing where too little of it is seen. */
    public static Optional<SetLook> of(JointRows joints, double start, double end) {
        int from = joints.sample(start);
        int to = Math.min(joints.rows(), joints.sample(end));
        int n = 0;
        int numbers = joints.numbers();
        double[] sum = new double[numbers];
        double[] squares = new double[numbers];
        for (int s = from; s < to; s++) {
            if (!joints.body().isIn(s)) {
                continue;
            }
            n++;
            double[] row = joints.aboutHips(s);
            for (int i = 0; i < numbers; i++) {
                sum[i] += row[i];
                squares[i] += row[i] * row[i];
            }
        }
        if (n < FEWEST) {
            return Optional.empty();
        }
        double[] place = new double[numbers];
        double[] travel = new double[numbers];
        for (int i = 0; i < numbers; i++) {
            place[i] = sum[i] / n;
            travel[i] = Math.sqrt(Math.max(0, squares[i] / n - place[i] * place[i]));
        }
        return Optional.of(new SetLook(place, travel));
    }

    /** How unlike another set it is, in trunks; the other may be done with the other side, or turned the other way. */
    public double unlike(SetLook other) {
        double least = Double.POSITIVE_INFINITY;
        for (int v = 0; v < 4; v++) {
            boolean swapped = v % 2 == 1;
            boolean turned = v / 2 == 1;
            double sum = 0;
            for (int i = 0; i < place.length; i++) {
                int j = swapped ? 2 * JointRows.opposite(i / 2) + i % 2 : i;
                double x = turned && i % 2 == 0 ? -other.place[j] : other.place[j];
                sum += Math.pow(place[i] - x, 2) + Math.pow(TRAVEL * (travel[i] - other.travel[j]), 2);
            }
            least = Math.min(least, Math.sqrt(sum / place.length));
        }
        return least;
    }
}
