package app.nosegay.sight;

import app.nosegay.evidence.Joint;
import java.util.List;

/**
 * Keeps left and right of a followed body consistent. The network mixes them up now and then, for some pictures, as legs cross or the body
 * turns. Both readings of each picture are weighed over the whole time, by how far the joints would have jumped and by what the network
 * said; the best row of readings is found by dynamic programming (Viterbi 1967). The trunk is decided first, with all that hangs on
 * it, then arms and legs by themselves.
 */
final class SideKeeper {
    private static final List<Joint> ARMS = List.of(
            Joint.LEFT_ELBOW, Joint.LEFT_WRIST, Joint.LEFT_LITTLE_FINGER, Joint.LEFT_INDEX_FINGER, Joint.LEFT_THUMB);
    private static final List<Joint> LEGS =
            List.of(Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.LEFT_HEEL, Joint.LEFT_TOES);
    private static final List<Joint> TRUNK = List.of(Joint.LEFT_SHOULDER, Joint.LEFT_HIP);

    /** A picture read against the network costs as much as a jump of this share of the trunk by each pair of joints. */
    private static final double AGAINST_NETWORK = 0.06;

    private SideKeeper() {}

    static void keep(Followed body) {
        swap(body, List.of(TRUNK, ARMS, LEGS), best(body, TRUNK));
        swap(body, List.of(ARMS), best(body, ARMS));
        swap(body, List.of(LEGS), best(body, LEGS));
    }

    private static boolean[] best(Followed body, List<Joint> joints) {
        int n = body.length();
        double[][] cost = new double[n][2];
        byte[][] from = new byte[n][2];
        int before = -1;
        for (int i = 0; i < n; i++) {
            if (body.points(i) == null) {
                continue;
            }
            for (int now = 0; now < 2; now++) {
                double own = now * AGAINST_NETWORK * joints.size();
                if (before < 0) {
                    cost[i][now] = own;
                    continue;
                }
                double kept = cost[before][now] + jump(body, before, i, joints, false);
                double changed = cost[before][1 - now] + jump(body, before, i, joints, true);
                cost[i][now] = own + Math.min(kept, changed);
                from[i][now] = (byte) (kept <= changed ? now : 1 - now);
            }
            before = i;
        }
        boolean[] swapped = new boolean[n];
        int way = before < 0 || cost[before][0] <= cost[before][1] ? 0 : 1;
        for (int i = n - 1; i >= 0; i--) {
            if (body.points(i) != null) {
                swapped[i] = way == 1;
                way = from[i][way];
            }
        }
        return swapped;
    }

    /** How far pairs of joints go from one sample to another in trunks, when left stays left or becomes right. */
    private static double jump(Followed body, int before, int now, List<Joint> joints, boolean crossed) {
        double trunk = Math.max(
                0.02,
                Math.hypot(
                        body.middle(now, Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER, 0)
                                - body.middle(now, Joint.LEFT_HIP, Joint.RIGHT_HIP, 0),
                        body.middle(now, Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER, 1)
                                - body.middle(now, Joint.LEFT_HIP, Joint.RIGHT_HIP, 1)));
        double sum = 0;
        for (Joint j : joints) {
            Joint other = j.opposite();
            sum += way(body, before, now, j, crossed ? other : j) + way(body, before, now, other, crossed ? j : other);
        }
        return sum / trunk / 2;
    }

    private static double way(Followed body, int before, int now, Joint from, Joint to) {
        double[] a = body.points(before);
        double[] b = body.points(now);
        double depth = (a[from.ordinal() * 3 + 2] - b[to.ordinal() * 3 + 2]) / 2;
        double x = a[from.ordinal() * 3] - b[to.ordinal() * 3];
        double y = a[from.ordinal() * 3 + 1] - b[to.ordinal() * 3 + 1];
        return Math.sqrt(x * x + y * y + depth * depth);
    }

    private static void swap(Followed body, List<List<Joint>> groups, boolean[] swapped) {
        for (int i = 0; i < swapped.length; i++) {
            int at = i;
            if (swapped[i]) {
                groups.forEach(group -> group.forEach(
                        j -> exchange(body, at, j.ordinal(), j.opposite().ordinal())));
            }
        }
    }

    private static void exchange(Followed body, int index, int a, int b) {
        double[] points = body.points(index);
        for (int axis = 0; axis < 3; axis++) {
            double kept = points[a * 3 + axis];
            points[a * 3 + axis] = points[b * 3 + axis];
            points[b * 3 + axis] = kept;
        }
        double[] sure = body.sure(index);
        double kept = sure[a];
        sure[a] = sure[b];
        sure[b] = kept;
    }
}
