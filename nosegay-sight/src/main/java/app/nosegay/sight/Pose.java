package app.nosegay.sight;

import app.nosegay.evidence.Joint;

/**
 * One person in one picture.
 *
 * @param points x, y and z of each {@link Joint} in pixels, y down, z away from the camera
 * @param sure how likely each is seen where it is said to be, 0 to 1
 * @param hipX the middle of the hips as the network tracks it
 * @param hipY the same
 * @param edgeX the outermost point of the body, in line with its trunk
 * @param edgeY the same
 * @param present how likely somebody is there at all, 0 to 1
 */
record Pose(double[] points, double[] sure, double hipX, double hipY, double edgeX, double edgeY, double present) {
    double x(Joint joint) {
        return points[joint.ordinal() * 3];
    }

    double y(Joint joint) {
        return points[joint.ordinal() * 3 + 1];
    }

    double sure(Joint joint) {
        return sure[joint.ordinal()];
    }

    /** The square to look at in the next picture. */
    Crop crop() {
        return Crop.of(hipX, hipY, edgeX, edgeY);
    }

    /** How far the body reaches from its hips. */
    double reach() {
        return Math.hypot(edgeX - hipX, edgeY - hipY);
    }

    /** Whether at least a share of the joints lies in the frame around all joints of a larger body. */
    boolean isPartOf(Pose larger, double share) {
        if (larger.reach() < reach()) {
            return false;
        }
        int inside = 0;
        for (Joint j : Joint.values()) {
            inside += isBetween(larger, j.ordinal() * 3) && isBetween(larger, j.ordinal() * 3 + 1) ? 1 : 0;
        }
        return inside >= share * Joint.COUNT;
    }

    private boolean isBetween(Pose larger, int index) {
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        for (int i = index % 3; i < larger.points.length; i += 3) {
            least = Math.min(least, larger.points[i]);
            most = Math.max(most, larger.points[i]);
        }
        return points[index] >= least && points[index] <= most;
    }
}
