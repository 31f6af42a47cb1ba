package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.List;

/**
 * The joint a movement shows in most: of those tried the one that goes farthest in the picture over a stretch, up and down or to the sides.
 *
 * @param left the joint of the left side; that of the right goes with it
 * @param isVertical whether it goes up and down rather than to the sides
 * @param way how far the side goes that goes farther, in heights of the picture
 * @param middleLeft the middle of the way of the left side
 * @param middleRight the same of the right side
 */
public record DrivingJoint(Joint left, boolean isVertical, double way, double middleLeft, double middleRight) {
    /** The hips come first: where they go far, all above goes with them, and they say it best. */
    private static final List<Joint> TRIED =
            List.of(Joint.LEFT_HIP, Joint.LEFT_WRIST, Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.NOSE);

    /** How much farther a joint has to go than one before it. */
    private static final double FARTHER = 1.6;

    /** The joint that drives a person over a stretch, in seconds of the take. */
    public static DrivingJoint of(JointRows person, double start, double end) {
        DrivingJoint best = null;
        for (Joint joint : TRIED) {
            for (boolean vertical : new boolean[] {true, false}) {
                double[] one = bounds(person, joint, vertical, start, end);
                double[] other = bounds(person, joint.opposite(), vertical, start, end);
                double way = Math.max(one[1] - one[0], other[1] - other[0]);
                if (best == null || way > FARTHER * best.way) {
                    best = new DrivingJoint(joint, vertical, way, (one[0] + one[1]) / 2, (other[0] + other[1]) / 2);
                }
            }
        }
        return best;
    }

    /** The least and the greatest place of a joint; both 0 where the person is not found. */
    private static double[] bounds(JointRows person, Joint joint, boolean vertical, double start, double end) {
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        for (int s = person.sample(start); s < person.sample(end); s++) {
            if (person.body().isIn(s)) {
                double at = place(person.body(), s, joint, vertical);
                low = Math.min(low, at);
                high = Math.max(high, at);
            }
        }
        return low > high ? new double[2] : new double[] {low, high};
    }

    private static double place(Body body, int sample, Joint joint, boolean vertical) {
        return vertical ? body.y(sample, joint) : body.x(sample, joint);
    }

    /** Whether left and right have a way of their own. */
    public boolean isPaired() {
        return left != Joint.NOSE && left != Joint.LEFT_HIP;
    }

    /**
     * Where it is at a moment, about the middle of its way at 0.5; 1 is up, or right, by half of what the side goes that goes farther. NaN
     * where the person is not found.
     *
     * @param right whether of the right side; both sides are one where they are not paired
     */
    public double at(JointRows person, double seconds, boolean right) {
        int sample = person.sample(seconds);
        if (way <= 0 || !person.body().isIn(sample)) {
            return Double.NaN;
        }
        boolean other = right && isPaired();
        double off = place(person.body(), sample, other ? left.opposite() : left, isVertical)
                - (other ? middleRight : middleLeft);
        double share = 0.5 + (isVertical ? -off : off) / way;
        return Math.max(0, Math.min(1, share));
    }

    /** How far it goes in a stretch, in seconds: the side that goes farther, in trunks of the person; 0 where nobody is found. */
    public double range(JointRows person, double start, double end) {
        double[] one = bounds(person, left, isVertical, start, end);
        double[] other = bounds(person, left.opposite(), isVertical, start, end);
        return Math.max(one[1] - one[0], other[1] - other[0]) / person.trunk();
    }
}
