package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.BitSet;
import java.util.List;

/** Which cells of a coarse grid bodies cover in each sample: head, trunk and limbs about the joints. */
final class BodyMasks {
    /** How far a body reaches about the lines between its joints, in trunks: a limb with its clothes, and a head about its nose. */
    private static final double LIMB = 0.16;

    private static final double HEAD = 0.42;
    /** A joint less sure than this may be anywhere. */
    private static final double LEAST_SURE = 0.2;

    private static final List<List<Joint>> LIMBS = List.of(
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_ELBOW, Joint.LEFT_WRIST, Joint.LEFT_INDEX_FINGER),
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_HIP, Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.LEFT_TOES),
            List.of(Joint.LEFT_SHOULDER, Joint.RIGHT_HIP),
            List.of(Joint.LEFT_SHOULDER, Joint.RIGHT_SHOULDER));

    private final Bodies bodies;
    private final int columns;
    private final int rows;
    private final BitSet[] bySample;

    private BodyMasks(Bodies bodies, int columns, int rows) {
        this.bodies = bodies;
        this.columns = columns;
        this.rows = rows;
        int samples = bodies.people().stream().mapToInt(Body::end).max().orElse(0);
        bySample = new BitSet[samples];
    }

    static BodyMasks of(Bodies bodies, int columns, int rows) {
        BodyMasks masks = new BodyMasks(bodies, columns, rows);
        for (Body body : bodies.people()) {
            double trunk = JointRows.trunk(body);
            for (int s = body.first(); s < body.end(); s++) {
                if (body.isIn(s)) {
                    masks.add(body, s, trunk);
                }
            }
        }
        return masks;
    }

    /**
     * What bodies cover over a stretch.
     *
     * @param presence the share of time, by cell
     * @param reach the share of seconds in which a cell is covered at all
     * @param found the share of time somebody is found
     */
    record Covered(float[] presence, float[] reach, double found) {}

    /** The stretch between two moments, in seconds. */
    Covered over(double start, double end) {
        float[] presence = new float[columns * rows];
        float[] reach = new float[columns * rows];
        int from = (int) Math.max(0, Math.round(start * bodies.hz()));
        int samples = (int) Math.max(1, Math.round(end * bodies.hz()) - from);
        int second = (int) Math.max(1, Math.round(bodies.hz()));
        int seconds = (samples + second - 1) / second;
        int found = 0;
        for (int at = 0; at < samples; at += second) {
            BitSet any = new BitSet();
            for (int s = from + at; s < Math.min(from + samples, from + at + second); s++) {
                if (s < bySample.length && bySample[s] != null) {
                    found++;
                    any.or(bySample[s]);
                    bySample[s].stream().forEach(c -> presence[c] += 1f / samples);
                }
            }
            any.stream().forEach(c -> reach[c] += 1f / seconds);
        }
        return new Covered(presence, reach, found / (double) samples);
    }

    private void add(Body body, int sample, double trunk) {
        bySample[sample] = bySample[sample] == null ? new BitSet(columns * rows) : bySample[sample];
        disc(sample, body.x(sample, Joint.NOSE), body.y(sample, Joint.NOSE), HEAD * trunk);
        for (List<Joint> limb : LIMBS) {
            for (int i = 0; i + 1 < limb.size(); i++) {
                line(body, sample, limb.get(i), limb.get(i + 1), trunk);
                line(body, sample, limb.get(i).opposite(), limb.get(i + 1).opposite(), trunk);
            }
        }
    }

    private void line(Body body, int sample, Joint a, Joint b, double trunk) {
        if (Math.min(body.sure(sample, a), body.sure(sample, b)) < LEAST_SURE) {
            return;
        }
        double dx = body.x(sample, b) - body.x(sample, a);
        double dy = body.y(sample, b) - body.y(sample, a);
        int steps = (int) Math.max(1, Math.ceil(Math.hypot(dx, dy) * rows * 2));
        for (int i = 0; i <= steps; i++) {
            double at = i / (double) steps;
            disc(sample, body.x(sample, a) + at * dx, body.y(sample, a) + at * dy, LIMB * trunk);
        }
    }

    /** The cells a disc touches; its place and radius in heights of the picture. */
    private void disc(int sample, double x, double y, double radius) {
        double wide = bodies.shape();
        int left = (int) Math.max(0, Math.floor((x - radius) / wide * columns));
        int right = (int) Math.min(columns - 1, Math.floor((x + radius) / wide * columns));
        int top = (int) Math.max(0, Math.floor((y - radius) * rows));
        int bottom = (int) Math.min(rows - 1, Math.floor((y + radius) * rows));
        for (int r = top; r <= bottom; r++) {
            if (left <= right) {
                bySample[sample].set(r * columns + left, r * columns + right + 1);
            }
        }
    }
}
