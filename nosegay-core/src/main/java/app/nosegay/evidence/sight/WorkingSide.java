package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;

/**
 * Which arm or leg of a person works over a stretch: how far its outer joints go about their middle place, against those of the
 * other side. Arms are measured from their shoulder, so that a body that bends does not count; legs by where the foot is, as the
 * one that is stood on stays.
 */
public enum WorkingSide {
    ARMS(Joint.LEFT_WRIST, Joint.LEFT_SHOULDER),
    LEGS(Joint.LEFT_ANKLE, null);

    /** Fewer samples than this say nothing. */
    private static final int FEWEST = 8;

    /** Trembling of a joint that rests, in trunks squared: nobody works by less. */
    private static final double TREMBLE = 0.004;

    /**
     * From the side one arm hides the other, and the network takes one for the other: shoulders that are less apart than this in
     * the picture, in trunks, tell nothing.
     */
    private static final double TURNED_AWAY = 0.3;

    private final Joint moving;
    private final Joint from;

    WorkingSide(Joint moving, Joint from) {
        this.moving = moving;
        this.from = from;
    }

    /**
     * Who works: -1 the left alone, 1 the right alone, about 0 both, nobody, or that it cannot be seen from there.
     *
     * @param start in seconds of the take
     * @param end in seconds of the take
     */
    public double of(JointRows person, double start, double end) {
        if (apart(person, start, end) < TURNED_AWAY) {
            return 0;
        }
        double left = energy(person, moving, from, start, end);
        double right = energy(person, moving.opposite(), from == null ? null : from.opposite(), start, end);
        return (right - left) / (right + left + TREMBLE);
    }

    /** How far the shoulders are from one another to the sides, in trunks. */
    private static double apart(JointRows person, double start, double end) {
        double sum = 0;
        int n = 0;
        for (int s = person.sample(start); s < person.sample(end); s++) {
            if (person.body().isIn(s)) {
                sum += Math.abs(
                        person.body().x(s, Joint.LEFT_SHOULDER) - person.body().x(s, Joint.RIGHT_SHOULDER));
                n++;
            }
        }
        return n == 0 ? 0 : sum / n / person.trunk();
    }

    /** The variance of a joint's place over a stretch, in trunks squared. */
    private static double energy(JointRows person, Joint joint, Joint about, double start, double end) {
        Body body = person.body();
        double n = 0;
        double[] sum = new double[2];
        double squares = 0;
        for (int s = person.sample(start); s < person.sample(end); s++) {
            if (!body.isIn(s)) {
                continue;
            }
            double x = body.x(s, joint) - (about == null ? 0 : body.x(s, about));
            double y = body.y(s, joint) - (about == null ? 0 : body.y(s, about));
            n++;
            sum[0] += x;
            sum[1] += y;
            squares += x * x + y * y;
        }
        if (n < FEWEST) {
            return 0;
        }
        double variance = squares / n - (sum[0] * sum[0] + sum[1] * sum[1]) / (n * n);
        return variance / (person.trunk() * person.trunk());
    }
}
