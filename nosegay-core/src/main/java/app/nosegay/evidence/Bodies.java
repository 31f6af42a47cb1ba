package app.nosegay.evidence;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.Collection;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * The people in the picture of a take and where their joints are, at a steady rate.
 *
 * @param hz samples per second
 * @param shape width of the picture by its height
 * @param people each person found, the one seen longest first
 * @param told the places at which somebody was left out who is no person
 */
public record Bodies(double hz, double shape, List<Body> people, Set<Place> told) {
    public static final Bodies NONE = new Bodies(0, 1, List.of());

    public Bodies {
        people = List.copyOf(people);
        told = Set.copyOf(told);
    }

    public Bodies(double hz, double shape, List<Body> people) {
        this(hz, shape, people, Set.of());
    }

    public boolean isEmpty() {
        return people.isEmpty();
    }

    /**
     * A place in a picture of a take.
     *
     * @param x in heights of the picture from its left edge
     * @param y in heights from its upper edge
     */
    public record Place(Time<Axis.Take> at, double x, double y) {}

    /** Farther than this from all joints, in heights of the picture, a place is nobody's. */
    private static final double REACH = 0.12;

    /** Those in the picture at a moment, from left to right. */
    public List<Body> across(Time<Axis.Take> time) {
        int sample = nearest(time);
        return people.stream()
                .filter(b -> b.isIn(sample))
                .sorted(Comparator.comparingDouble(b -> b.middleX(sample, Joint.LEFT_HIP)))
                .toList();
    }

    /** The place of the middle of somebody's trunk at a moment at which they are in the picture. */
    public Place place(Body body, Time<Axis.Take> time) {
        int sample = nearest(time);
        return new Place(time, body.trunkX(sample), body.trunkY(sample));
    }

    /** The sample nearest to a moment. */
    public int nearest(Time<Axis.Take> time) {
        return (int) Math.round(time.seconds() * hz);
    }

    /** Whoever is at a place: the one with the nearest joint. */
    public Optional<Body> at(Place place) {
        int sample = nearest(place.at());
        return people.stream()
                .filter(b -> b.distance(sample, place) <= REACH)
                .min(Comparator.comparingDouble(b -> b.distance(sample, place)));
    }

    /** Without those who are at some places: what was taken for a person there. Whoever was behind them stays. */
    public Bodies without(Collection<Place> places) {
        Set<Place> all = new HashSet<>(told);
        all.addAll(places);
        List<Body> nobody = places.stream()
                .filter(p -> !told.contains(p))
                .flatMap(p -> at(p).stream())
                .toList();
        return new Bodies(
                hz, shape, people.stream().filter(b -> !nobody.contains(b)).toList(), all);
    }

    /** The first sample at or after {@code time}. */
    public int index(Time<Axis.Take> time) {
        return (int) Math.max(0, Math.ceil(time.seconds() * hz - 1e-6));
    }

    public Time<Axis.Take> time(int index) {
        return Time.<Axis.Take>zero().plus(Length.ofSeconds(index / hz));
    }

    /**
     * One person. Places are in heights of the picture, from its upper left corner, x to the right and y down; z is away from the camera
     * in the same measure, a guess.
     */
    public static final class Body {
        /** Steps of the numbers kept; places reach three and a half heights beyond the picture. */
        public static final int STEPS = 8192;

        private final int first;
        private final short[] places;
        private final byte[] sure;

        /**
         * @param first the first sample this person is in
         * @param places x, y and z of each joint in 1/{@link #STEPS}, the samples one behind the other
         * @param sure how likely each joint is seen where it is said to be, 0 to 255 unsigned; a sample of noughts is one without
         * the person
         */
        public Body(int first, short[] places, byte[] sure) {
            if (first < 0 || places.length != sure.length * 3 || sure.length % Joint.COUNT != 0) {
                throw new IllegalArgumentException(first + ", " + places.length + ", " + sure.length);
            }
            this.first = first;
            this.places = places;
            this.sure = sure;
        }

        public int first() {
            return first;
        }

        /** The sample after the last. */
        public int end() {
            return first + sure.length / Joint.COUNT;
        }

        public short[] places() {
            return places.clone();
        }

        public byte[] certainties() {
            return sure.clone();
        }

        /** Whether the person was found in a sample. */
        public boolean isIn(int sample) {
            if (sample < first || sample >= end()) {
                return false;
            }
            for (int i = (sample - first) * Joint.COUNT; i < (sample - first + 1) * Joint.COUNT; i++) {
                if (sure[i] != 0) {
                    return true;
                }
            }
            return false;
        }

        /** In how many samples the person was found. */
        public int seen() {
            int seen = 0;
            for (int s = first; s < end(); s++) {
                seen += isIn(s) ? 1 : 0;
            }
            return seen;
        }

        public double x(int sample, Joint joint) {
            return places[at(sample, joint) * 3] / (double) STEPS;
        }

        public double y(int sample, Joint joint) {
            return places[at(sample, joint) * 3 + 1] / (double) STEPS;
        }

        public double z(int sample, Joint joint) {
            return places[at(sample, joint) * 3 + 2] / (double) STEPS;
        }

        /** The middle between a joint and that of the other side. */
        public double middleX(int sample, Joint joint) {
            return (x(sample, joint) + x(sample, joint.opposite())) / 2;
        }

        public double middleY(int sample, Joint joint) {
            return (y(sample, joint) + y(sample, joint.opposite())) / 2;
        }

        /** The middle between shoulders and hips. */
        public double trunkX(int sample) {
            return (middleX(sample, Joint.LEFT_SHOULDER) + middleX(sample, Joint.LEFT_HIP)) / 2;
        }

        public double trunkY(int sample) {
            return (middleY(sample, Joint.LEFT_SHOULDER) + middleY(sample, Joint.LEFT_HIP)) / 2;
        }

        /** How far the nearest joint or the middle of the trunk is from a place; without end where the person is not in the picture. */
        private double distance(int sample, Place place) {
            if (!isIn(sample)) {
                return Double.POSITIVE_INFINITY;
            }
            double nearest = Math.hypot(trunkX(sample) - place.x(), trunkY(sample) - place.y());
            for (Joint joint : Joint.values()) {
                nearest = Math.min(nearest, Math.hypot(x(sample, joint) - place.x(), y(sample, joint) - place.y()));
            }
            return nearest;
        }

        /** How likely the joint is seen where it is said to be, 0 to 1. */
        public double sure(int sample, Joint joint) {
            return (sure[at(sample, joint)] & 0xff) / 255.0;
        }

        private int at(int sample, Joint joint) {
            if (sample < first || sample >= end()) {
                throw new IndexOutOfBoundsException(sample + " outside " + first + " to " + end());
            }
            return (sample - first) * Joint.COUNT + joint.ordinal();
        }

        /** A number of heights as it is kept. */
        public static short step(double heights) {
            return (short) Math.max(Short.MIN_VALUE, Math.min(Short.MAX_VALUE, Math.round(heights * STEPS)));
        }
    }
}
