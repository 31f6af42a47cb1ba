package app.nosegay.sight;

import app.nosegay.evidence.Joint;
import java.util.ArrayList;
import java.util.List;

/** Somebody followed through pictures: where the joints were in each, in heights of the picture. */
final class Followed {
    /** How fast the usual reach follows what is seen, by sample: somebody walks up to the camera in seconds, not at once. */
    private static final double REACH_FOLLOWS = 0.1;

    private static final double MOST_CHANGE = 1.35;

    private final List<double[]> points = new ArrayList<>();
    private final List<double[]> sure = new ArrayList<>();
    private int first = -1;
    private Pose pose;
    private int missed;
    private double reach;

    /** The next sample; those left out since the last one hold nobody. */
    void add(int sample, Pose found, double height) {
        first = first < 0 ? sample : first;
        while (end() < sample) {
            points.add(null);
            sure.add(null);
        }
        double[] scaled = new double[found.points().length];
        for (int i = 0; i < scaled.length; i++) {
            scaled[i] = found.points()[i] / height;
        }
        points.add(scaled);
        sure.add(found.sure().clone());
        pose = found;
        missed = 0;
        reach = reach == 0 ? found.reach() : reach + REACH_FOLLOWS * (found.reach() - reach);
    }

    /** Whether a pose is as large as the body followed; a head taken for a body is not. */
    boolean isAsLarge(Pose found) {
        return found.reach() < MOST_CHANGE * reach && found.reach() * MOST_CHANGE > reach;
    }

    /** Adds what another shows after this has ended. */
    void append(Followed later) {
        while (end() < later.first) {
            points.add(null);
            sure.add(null);
        }
        points.addAll(later.points);
        sure.addAll(later.sure);
        pose = later.pose;
    }

    /** The next sample is as the last. */
    void stay(int sample) {
        points.add(points.get(points.size() - 1).clone());
        sure.add(sure.get(sure.size() - 1));
        assert end() == sample + 1;
    }

    /** The same without what was added from {@code sample} on; its last sample is one in which somebody was found. */
    Followed cutTo(int sample) {
        while (end() > sample || !points.isEmpty() && points.get(points.size() - 1) == null) {
            points.remove(points.size() - 1);
            sure.remove(sure.size() - 1);
        }
        return this;
    }

    /** Not found in one more picture; in how many by now. */
    int miss() {
        return ++missed;
    }

    int missed() {
        return missed;
    }

    /** Where it was seen last. */
    Pose pose() {
        return pose;
    }

    int first() {
        return first;
    }

    int end() {
        return first + points.size();
    }

    int length() {
        return points.size();
    }

    /** x, y and z of each joint in a sample of its own, from 0; null where nobody was found. */
    double[] points(int index) {
        return points.get(index);
    }

    double[] sure(int index) {
        return sure.get(index);
    }

    double middle(int index, Joint a, Joint b, int axis) {
        double[] p = points.get(index);
        return (p[a.ordinal() * 3 + axis] + p[b.ordinal() * 3 + axis]) / 2;
    }
}
