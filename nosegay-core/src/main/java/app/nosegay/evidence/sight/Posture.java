package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.function.Predicate;

/**
 * How somebody is held by the ground, told from the trunk's angle and how high the hips are over the feet, both by the body's own
 * measure.
 */
public enum Posture {
    /** The trunk upright, the hips high. */
    STANDING,
    /** The trunk bent forward over standing legs. */
    BENT_OVER,
    /** The trunk upright, the hips low: on a chair, on the knees or on the floor. */
    LOW,
    /** Along the floor, the face down: a plank, all fours, lying on the front. */
    FACE_DOWN,
    /** Along the floor, the face up. */
    FACE_UP;

    /** The trunk is level when it rises by less than this share of its length. */
    private static final double LEVEL = 0.75;

    /** Hips less than this high over the feet, in trunks, are low; a standing person's are about 1.6. */
    private static final double LOW_HIPS = 0.95;

    public boolean isOnFloor() {
        return this == FACE_DOWN || this == FACE_UP;
    }

    /** The posture in one sample of a person, whose trunk is as long as {@code trunk} when it is seen whole. */
    public static Posture of(Body body, int sample, double trunk) {
        double rises = (body.middleY(sample, Joint.LEFT_HIP) - body.middleY(sample, Joint.LEFT_SHOULDER)) / trunk;
        double feet = Math.max(body.y(sample, Joint.LEFT_ANKLE), body.y(sample, Joint.RIGHT_ANKLE));
        double hips = (feet - body.middleY(sample, Joint.LEFT_HIP)) / trunk;
        if (rises > LEVEL) {
            return hips < LOW_HIPS ? LOW : STANDING;
        }
        if (hips >= LOW_HIPS) {
            return BENT_OVER;
        }
        return body.y(sample, Joint.NOSE) < body.middleY(sample, Joint.LEFT_EAR) ? FACE_UP : FACE_DOWN;
    }

    /** For which share of a stretch, in seconds, a person is in a posture as asked for; 0 where nobody was found. */
    public static double share(JointRows person, double start, double end, Predicate<Posture> asked) {
        int found = 0;
        int as = 0;
        for (int s = person.sample(start); s < person.sample(end); s++) {
            if (person.body().isIn(s)) {
                found++;
                as += asked.test(of(person.body(), s, person.trunk())) ? 1 : 0;
            }
        }
        return found == 0 ? 0 : as / (double) found;
    }

    /** The posture somebody is in for most of a stretch, in seconds; standing where nobody was found. */
    public static Posture of(JointRows person, double start, double end) {
        int[] counts = new int[values().length];
        for (int s = person.sample(start); s < Math.max(person.sample(end), person.sample(start) + 1); s++) {
            if (person.body().isIn(s)) {
                counts[of(person.body(), s, person.trunk()).ordinal()]++;
            }
        }
        int most = 0;
        for (int i = 1; i < counts.length; i++) {
            most = counts[i] > counts[most] ? i : most;
        }
        return values()[most];
    }
}
