package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Length;
import java.util.List;
import java.util.Random;

/** Somebody made of joints alone, for tests: stands facing the camera, a trunk of a fifth of the picture's height. */
public final class SampleBodies {
    public static final double HZ = 8;
    private static final double TRUNK = 0.2;

    /** Where a joint is, in trunks from the middle of the hips, x to the right and y down. */
    public interface Places {
        double[] at(Joint joint, double seconds);
    }

    private SampleBodies() {}

    /** Standing, arms down, at every moment. */
    public static double[] standing(Joint joint) {
        double side = joint == Joint.NOSE ? 0 : joint.name().contains("LEFT") ? 1 : -1;
        return switch (joint) {
            case LEFT_SHOULDER, RIGHT_SHOULDER -> new double[] {0.35 * side, -1};
            case LEFT_ELBOW, RIGHT_ELBOW -> new double[] {0.45 * side, -0.5};
            case LEFT_HIP, RIGHT_HIP -> new double[] {0.2 * side, 0};
            case LEFT_KNEE, RIGHT_KNEE -> new double[] {0.22 * side, 0.8};
            case LEFT_ANKLE, RIGHT_ANKLE, LEFT_HEEL, RIGHT_HEEL, LEFT_TOES, RIGHT_TOES ->
                new double[] {0.24 * side, 1.6};
            case NOSE -> new double[] {0, -1.5};
            default ->
                joint.ordinal() < Joint.LEFT_SHOULDER.ordinal()
                        ? new double[] {0.08 * side, -1.55}
                        : new double[] {0.5 * side, 0};
        };
    }

    /** Lying on the back, the head to the left. */
    public static double[] onTheBack(Joint joint) {
        double[] up = standing(joint);
        boolean face = joint == Joint.NOSE;
        return new double[] {up[1], 0.2 * up[0] + (face ? -0.2 : 0)};
    }

    /** Standing, with one arm, or both, lifted {@code reps} times from {@code start} on; one rep takes {@code period}. */
    public static Places lifting(boolean left, boolean right, double start, double period, int reps) {
        return (joint, seconds) -> {
            double[] at = standing(joint).clone();
            boolean works = joint.name().contains("LEFT") ? left : right;
            boolean moving = seconds >= start && seconds < start + reps * period;
            double phase = moving ? 0.5 - 0.5 * Math.cos(2 * Math.PI * (seconds - start) / period) : 0;
            if (works && (joint == Joint.LEFT_WRIST || joint == Joint.RIGHT_WRIST)) {
                at[1] -= 1.8 * phase;
            }
            if (works && (joint == Joint.LEFT_ELBOW || joint == Joint.RIGHT_ELBOW)) {
                at[1] -= 0.8 * phase;
            }
            return at;
        };
    }

    /** A take with somebody in it, as long as {@code seconds}, with the trembling of a network about each joint. */
    public static TakeEvidence take(double seconds, Places places) {
        return take(seconds, places, 0.9, TRUNK, 5);
    }

    /** The same at a place (in heights of the picture) and a size. */
    public static TakeEvidence take(double seconds, Places places, double x, double trunk, long seed) {
        Random random = new Random(seed);
        int n = (int) (seconds * HZ);
        short[] steps = new short[n * Joint.COUNT * 3];
        byte[] sure = new byte[n * Joint.COUNT];
        for (int s = 0; s < n; s++) {
            for (Joint j : Joint.values()) {
                double[] at = places.at(j, s / HZ);
                int i = s * Joint.COUNT + j.ordinal();
                steps[3 * i] = Body.step(x + trunk * (at[0] + 0.01 * random.nextGaussian()));
                steps[3 * i + 1] = Body.step(0.5 + trunk * (at[1] + 0.01 * random.nextGaussian()));
                sure[i] = (byte) 230;
            }
        }
        return evidence(seconds).withBodies(new Bodies(HZ, 16 / 9.0, List.of(new Body(0, steps, sure))));
    }

    /** The same take in a mirror: the picture turned about, and with it left and right. */
    public static TakeEvidence mirrored(TakeEvidence take) {
        Bodies b = take.bodies();
        Body body = b.people().get(0);
        short[] steps = body.places();
        short[] turned = new short[steps.length];
        for (int i = 0; i < steps.length / 3; i++) {
            int joint = i % Joint.COUNT;
            int to = i - joint + Joint.values()[joint].opposite().ordinal();
            turned[3 * to] = (short) (Math.round(b.shape() * Body.STEPS) - steps[3 * i]);
            turned[3 * to + 1] = steps[3 * i + 1];
        }
        return take.withBodies(new Bodies(b.hz(), b.shape(), List.of(new Body(0, turned, body.certainties()))));
    }

    private static TakeEvidence evidence(double seconds) {
        int cells = 32 * 18;
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(seconds),
                List.of(),
                List.of(),
                Trace.NONE,
                new Trace(10, new float[(int) (seconds * 10)]),
                new TakeEvidence.Poses(10, cells, new byte[(int) (seconds * 10) * cells]),
                List.of());
    }

    /** Places that are {@code first} before a moment and {@code then} from it on. */
    public static Places after(double seconds, Places first, Places then) {
        return (joint, at) -> (at < seconds ? first : then).at(joint, at);
    }
}
