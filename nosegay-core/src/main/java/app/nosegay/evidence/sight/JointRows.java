package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;

/**
 * Where the joints of one person are in each sample of a take, measured by the person's own trunk, which makes near and far alike: x and y
 * of the joints that movements show in. A sample without the person is as the one before.
 */
public final class JointRows {
    /** One trunk is so many numbers of a row: what joints tremble by at rest is then about 1, as the noise of pictures is. */
    public static final double TRUNK = 40;

    /** Less than this, in trunks to either side, is the trembling of the network; nodding is more. */
    private static final double TREMBLES = 0.03;

    private static final List<Joint> MOVING = List.of(
            Joint.NOSE,
            Joint.LEFT_SHOULDER,
            Joint.RIGHT_SHOULDER,
            Joint.LEFT_ELBOW,
            Joint.RIGHT_ELBOW,
            Joint.LEFT_WRIST,
            Joint.RIGHT_WRIST,
            Joint.LEFT_HIP,
            Joint.RIGHT_HIP,
            Joint.LEFT_KNEE,
            Joint.RIGHT_KNEE,
            Joint.LEFT_ANKLE,
            Joint.RIGHT_ANKLE);

    /** Beyond the edge of the picture by less than this, in heights of it, a joint may be inside: the network is out by as much. */
    private static final double BEYOND = 0.02;

    /** An edge of the picture. */
    public enum Edge {
        TOP,
        BOTTOM,
        SIDES
    }

    private final double hz;
    /** The picture's width by its height. */
    private final double shape;

    private final Body body;
    private final double trunk;

    public JointRows(Bodies bodies, Body body) {
        this.hz = bodies.hz();
        this.shape = bodies.shape();
        this.body = body;
        this.trunk = trunk(body);
    }

    /** The joints of whoever leads: near the camera and there for long; none where nobody was found. */
    public static Optional<JointRows> ofLeader(TakeEvidence take) {
        return take.derived().get(1, new OfTheLeader(), () -> take.bodies().people().stream()
                .max(Comparator.comparingDouble(b -> b.seen() * Math.pow(trunk(b), 2)))
                .map(b -> new JointRows(take.bodies(), b)));
    }

    /** The question a take keeps its leader under. */
    private record OfTheLeader() {}

    /** The share of the samples of a stretch, in seconds, in which the person was found. */
    public double seen(double start, double end) {
        int from = sample(start);
        int to = Math.max(from + 1, sample(end));
        int seen = 0;
        for (int s = from; s < to; s++) {
            seen += body.isIn(s) ? 1 : 0;
        }
        return seen / (double) (to - from);
    }

    /** The share of a stretch, in seconds, in which one of {@code joints} lies beyond an edge of the picture. */
    public double beyond(double start, double end, List<Joint> joints, Edge edge) {
        int from = sample(start);
        int to = Math.max(from + 1, sample(end));
        long beyond = IntStream.range(from, to)
                .filter(s -> body.isIn(s) && joints.stream().anyMatch(j -> isBeyond(s, j, edge)))
                .count();
        return beyond / (double) (to - from);
    }

    private boolean isBeyond(int sample, Joint joint, Edge edge) {
        return room(sample, joint, edge) < -BEYOND;
    }

    /** How far inside an edge of the picture a joint is, in heights of it. */
    private double room(int sample, Joint joint, Edge edge) {
        return switch (edge) {
            case TOP -> body.y(sample, joint);
            case BOTTOM -> 1 - body.y(sample, joint);
            case SIDES -> Math.min(body.x(sample, joint), shape - body.x(sample, joint));
        };
    }

    /**
     * How near somebody comes to an edge of the picture.
     *
     * @param room what is left, in heights of the picture; less than 0 beyond it
     * @param seconds when
     */
    public record Nearest(double room, double seconds) {}

    /** A joint counts where it is in so many samples: in fewer the network may be out. */
    public static final int SAMPLES = 3;

    /** How near any of {@code joints} comes to an edge in the whole take, in {@link #SAMPLES} samples or more; none without them. */
    public Optional<Nearest> nearest(List<Joint> joints, Edge edge) {
        List<Nearest> all = IntStream.range(body.first(), body.end())
                .filter(body::isIn)
                .mapToObj(s -> new Nearest(
                        joints.stream().mapToDouble(j -> room(s, j, edge)).min().orElseThrow(), s / hz))
                .sorted(Comparator.comparingDouble(Nearest::room))
                .toList();
        return all.isEmpty() ? Optional.empty() : Optional.of(all.get(Math.min(SAMPLES, all.size()) - 1));
    }

    /** Whether any joint goes farther over a stretch, in seconds, than they tremble by. */
    boolean moves(double start, double end) {
        double[] sum = new double[numbers()];
        double[] squares = new double[numbers()];
        int n = 0;
        for (int s = sample(start); s < Math.min(rows(), sample(end)); s++, n++) {
            double[] row = row(s);
            for (int i = 0; i < row.length; i++) {
                sum[i] += row[i];
                squares[i] += row[i] * row[i];
            }
        }
        double most = 0;
        for (int i = 0; i < sum.length && n > 0; i++) {
            most = Math.max(most, squares[i] / n - sum[i] / n * (sum[i] / n));
        }
        return most > Math.pow(TREMBLES * TRUNK, 2);
    }

    /** The sample nearest to a moment, in seconds. */
    public int sample(double seconds) {
        return (int) Math.round(seconds * hz);
    }

    /** From one sample to the next, in seconds. */
    public double period() {
        return 1 / hz;
    }

    /** The length of the trunk, in heights of the picture. */
    public double trunk() {
        return trunk;
    }

    public Body body() {
        return body;
    }

    double hz() {
        return hz;
    }

    int rows() {
        return body.end();
    }

    int numbers() {
        return MOVING.size() * 2;
    }

    /** In {@link #TRUNK}ths. The middle of three samples each: a joint that jumps to the other side for one of them does not count. */
    public double[] row(int sample) {
        double[] before = raw(sample - 1);
        double[] now = raw(sample);
        double[] behind = raw(sample + 1);
        for (int i = 0; i < now.length; i++) {
            now[i] = Math.max(Math.min(before[i], now[i]), Math.min(Math.max(before[i], now[i]), behind[i]));
        }
        return now;
    }

    /** The same in trunks about the middle of the hips: wherever one stands. */
    double[] aboutHips(int sample) {
        double[] row = row(sample);
        int hip = 2 * MOVING.indexOf(Joint.LEFT_HIP);
        int other = 2 * MOVING.indexOf(Joint.RIGHT_HIP);
        double x = (row[hip] + row[other]) / 2;
        double y = (row[hip + 1] + row[other + 1]) / 2;
        for (int i = 0; i < row.length; i += 2) {
            row[i] = (row[i] - x) / TRUNK;
            row[i + 1] = (row[i + 1] - y) / TRUNK;
        }
        return row;
    }

    /** How far the shoulders are apart in the picture over a stretch, in seconds: in most samples, in trunks; 0 where nobody is found. */
    public double shouldersApart(double start, double end) {
        double[] apart = IntStream.range(sample(start), Math.max(sample(start), sample(end)))
                .filter(body::isIn)
                .mapToDouble(s -> Math.hypot(
                        body.x(s, Joint.LEFT_SHOULDER) - body.x(s, Joint.RIGHT_SHOULDER),
                        body.y(s, Joint.LEFT_SHOULDER) - body.y(s, Joint.RIGHT_SHOULDER)))
                .sorted()
                .toArray();
        return apart.length == 0 ? 0 : apart[apart.length / 2] / trunk;
    }

    /** The place among the joints of the one on the other side. */
    static int opposite(int joint) {
        return MOVING.indexOf(MOVING.get(joint).opposite());
    }

    private double[] raw(int sample) {
        double[] numbers = new double[numbers()];
        int at = Math.max(body.first(), Math.min(body.end() - 1, sample));
        while (at > body.first() && !body.isIn(at)) {
            at--;
        }
        for (int j = 0; j < MOVING.size(); j++) {
            numbers[2 * j] = body.x(at, MOVING.get(j)) / trunk * TRUNK;
            numbers[2 * j + 1] = body.y(at, MOVING.get(j)) / trunk * TRUNK;
        }
        return numbers;
    }

    /** The length of the trunk in most samples, in heights of the picture: seen from the front it is whole, bent over it is not. */
    public static double trunk(Body body) {
        double[] lengths = new double[body.seen()];
        int n = 0;
        for (int s = body.first(); s < body.end(); s++) {
            if (body.isIn(s)) {
                double x = body.middleX(s, Joint.LEFT_SHOULDER) - body.middleX(s, Joint.LEFT_HIP);
                double y = body.middleY(s, Joint.LEFT_SHOULDER) - body.middleY(s, Joint.LEFT_HIP);
                lengths[n++] = Math.hypot(x, y);
            }
        }
        Arrays.sort(lengths);
        return Math.max(0.01, n == 0 ? 0 : lengths[n * 3 / 4]);
    }
}
