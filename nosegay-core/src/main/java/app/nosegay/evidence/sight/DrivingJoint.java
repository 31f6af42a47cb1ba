package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.List;

/**
 * The joint a movement shows in most: of those tried the one that goes farthest in the picture over a stretch, up and down or to
 * the sides.
 *
 * @param left the joint of the left side; that of the right goes with it
 * @param isVertical whether it goes up and down rather than to the sides
 * @param low the least of its places, in heights of the picture
 * @param high the greatest; never below {@code low}
 */
public record DrivingJoint(Joint left, boolean isVertical, double low, double high) {
    /** The hips come first: where they go far, all above goes with them, and they say it best. */
    private static final List<Joint> TRIED =
            List.of(Joint.LEFT_HIP, Joint.LEFT_WRIST, Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.NOSE);

    /** How much farther a joint has to go than one before it. */
    private static final double FARTHER = 1.6;

    /** The joint that drives a person over a stretch, in seconds of the take. */
    public static DrivingJoint of(JointRows person, double start, double end) {
        DrivingJoint best = null;
        for (Joint joint : TRIED) {
            for (int axis = 0; axis < 2; axis++) {
                DrivingJoint tried = tried(person, joint, axis == 0, start, end);
                best = best == null || tried.way() > FARTHER * best.way() ? tried : best;
            }
        }
        return best;
    }

    private static DrivingJoint tried(JointRows person, Joint joint, boolean vertical, double start, double end) {
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        for (int s = person.sample(start); s < person.sample(end); s++) {
            if (person.body().isIn(s)) {
                for (Joint j : List.of(joint, joint.opposite())) {
                    double at = place(person.body(), s, j, vertical);
                    low = Math.min(low, at);
                    high = Math.max(high, at);
                }
            }
        }
        return low > high ? new DrivingJoint(joint, vertical, 0, 0) : new DrivingJoint(joint, vertical, low, high);
    }

    private static double place(Body body, int sample, Joint joint, boolean vertical) {
        return vertical ? body.y(sample, joint) : body.x(sample, joint);
    }

    private double way() {
        return high - low;
    }

    /** Whether left and right have a place of their own. */
    public boolean isPaired() {
        return left != Joint.NOSE && left != Joint.LEFT_HIP;
    }

    /**
     * Where it is at a moment, from 0, the lowest or leftmost of the stretch, to 1; NaN where the person is not found. What goes
     * beyond the stretch's bounds outside it stands at them.
     *
     * @param right whether of the right side
     */
    public double at(JointRows person, double seconds, boolean right) {
        int sample = person.sample(seconds);
        if (way() <= 0 || !person.body().isIn(sample)) {
            return Double.NaN;
        }
        double at = isPaired()
                ? place(person.body(), sample, right ? left.opposite() : left, isVertical)
                : isVertical
                        ? person.body().middleY(sample, left)
                        : person.body().middleX(sample, left);
        double share = Math.max(0, Math.min(1, (at - low) / way()));
        return isVertical ? 1 - share : share;
    }
}
