package app.nosegay.evidence;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.List;

/**
 * The people in the picture of a take and where their joints are, at a steady rate.
 *
 * @param hz samples per second
 * @param shape width of the picture by its height
 * @param people each person found, the one seen longest first
 */
public record Bodies(double hz, double shape, List<Body> people) {
    public static final Bodies NONE = new Bodies(0, 1, List.of());

    public Bodies {
        people = List.copyOf(people);
    }

    public boolean isEmpty() {
        return people.isEmpty();
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
