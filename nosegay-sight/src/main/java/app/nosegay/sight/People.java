package app.nosegay.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Makes people of what was followed: pieces joined, furniture left out, left and right kept, flicker smoothed. */
final class People {
    /** Whoever is followed for less than this, in seconds, may be anything. */
    private static final double LEAST = 1;
    /** What is followed for longer than this, in seconds, and never moves by more than a share of its trunk is furniture. */
    private static final double STIFF_FOR = 8;

    private static final double STIFF = 0.06;
    /** Somebody who comes back near where they were lost, in heights of the picture, is the same. */
    private static final double BACK = 0.6;

    private static final List<Joint> MOVING =
            List.of(Joint.NOSE, Joint.LEFT_WRIST, Joint.RIGHT_WRIST, Joint.LEFT_KNEE, Joint.RIGHT_KNEE);

    private People() {}

    static Bodies of(List<Followed> followed, double hz, double shape) {
        List<Followed> people = new ArrayList<>();
        followed.stream()
                .filter(f -> f.length() >= LEAST * hz && !isStiff(f, hz))
                .sorted(Comparator.comparingInt(Followed::first))
                .forEach(f -> join(people, f));
        people.forEach(SideKeeper::keep);
        return new Bodies(
                hz,
                shape,
                people.stream()
                        .map(f -> body(f, hz))
                        .sorted(Comparator.comparingInt(Body::seen).reversed())
                        .toList());
    }

    /** Joins {@code later} to whoever was lost nearest to where it begins, or has it stand for itself. */
    private static void join(List<Followed> people, Followed later) {
        Followed nearest = null;
        double least = BACK;
        for (Followed f : people) {
            double far = f.end() > later.first()
                    ? Double.MAX_VALUE
                    : Math.hypot(
                            hip(f, f.length() - 1, 0) - hip(later, 0, 0), hip(f, f.length() - 1, 1) - hip(later, 0, 1));
            if (far < least) {
                nearest = f;
                least = far;
            }
        }
        if (nearest == null) {
            people.add(later);
        } else {
            nearest.append(later);
        }
    }

    private static double hip(Followed f, int index, int axis) {
        return f.middle(index, Joint.LEFT_HIP, Joint.RIGHT_HIP, axis);
    }

    private static boolean isStiff(Followed f, double hz) {
        if (f.length() < STIFF_FOR * hz) {
            return false;
        }
        double most = 0;
        for (Joint j : MOVING) {
            most = Math.max(most, Math.max(way(f, j, 0), way(f, j, 1)));
        }
        double trunk = Math.abs(f.middle(0, Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER, 1) - hip(f, 0, 1))
                + Math.abs(f.middle(0, Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER, 0) - hip(f, 0, 0));
        return most < STIFF * trunk;
    }

    /** How far a joint gets along an axis. */
    private static double way(Followed f, Joint joint, int axis) {
        double low = Double.MAX_VALUE;
        double high = -Double.MAX_VALUE;
        for (int i = 0; i < f.length(); i++) {
            if (f.points(i) != null) {
                low = Math.min(low, f.points(i)[joint.ordinal() * 3 + axis]);
                high = Math.max(high, f.points(i)[joint.ordinal() * 3 + axis]);
            }
        }
        return high - low;
    }

    private static Body body(Followed f, double hz) {
        short[] places = new short[f.length() * Joint.COUNT * 3];
        byte[] sure = new byte[f.length() * Joint.COUNT];
        OneEuroFilter[] filters = null;
        for (int i = 0; i < f.length(); i++) {
            double[] points = f.points(i);
            if (points == null) {
                filters = null;
                continue;
            }
            if (filters == null) {
                filters = new OneEuroFilter[Joint.COUNT * 3];
                for (int v = 0; v < filters.length; v++) {
                    filters[v] = new OneEuroFilter(hz);
                }
            }
            for (int v = 0; v < filters.length; v++) {
                places[i * filters.length + v] = Body.step(filters[v].next(points[v]));
            }
            for (int j = 0; j < Joint.COUNT; j++) {
                sure[i * Joint.COUNT + j] = (byte) Math.max(1, Math.round(f.sure(i)[j] * 255));
            }
        }
        return new Body(f.first(), places, sure);
    }
}
