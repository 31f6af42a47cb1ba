package app.nosegay.review.seen;

import app.nosegay.evidence.sight.DrivingJoint;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;

/** How far the joint that drives a set goes in each repetition, and for how much of its movement it is on its way out. */
public final class RepWays {
    /** Somebody has to be found for this share of a set. */
    private static final double FOUND = 0.9;

    /** Fewer repetitions have no usual way. */
    private static final int FEWEST = 4;

    /** What goes less than this share of the usual way does not count to most trainers: about half of it. */
    private static final double HALF = 0.6;

    /** The same in the way of one joint, which is looser than the whole pattern repetitions are counted by. */
    private static final double HALF_OUT = 0.75;

    /** A joint is out from this share of the way on; half a squat, by its knees, lowers the hips by a fifth. */
    private static final double OUT = 0.12;

    /** Out for less than this share of a repetition is trembling. */
    private static final double SHORT = 0.3;

    /** A repetition that takes so many times as long as the others has one in it that was not counted. */
    private static final double LONG = 1.6;

    /** Of more than this share of a set it is not told: then it is a way of doing the move. */
    private static final double FEW = 0.25;

    /** All others have to be as even as this, or the joints are not seen well enough to say anything. */
    private static final double EVEN = 0.75;

    /** A joint that goes less far, in trunks, only trembles. */
    private static final double TREMBLES = 0.15;

    /** A joint is on its way from this share of the whole to the rest of it: where it turns it is slow, and nobody sees when. */
    private static final double ON_ITS_WAY = 0.1;

    /** Most repetitions are within this share of the usual one, or where they begin and end is not seen. */
    private static final double ALIKE = 0.1;

    /** Of its way over the set, the joint is within this share of where it was as it comes back. */
    private static final double BACK = 0.25;

    private final JointRows person;
    private final DrivingJoint joint;
    /** Between which seconds of the take each repetition is. */
    private final double[] bounds;

    private final double[] ways;

    private RepWays(JointRows person, double start, double end, List<Time<Axis.Take>> ends) {
        this.person = person;
        joint = DrivingJoint.of(person, start, end);
        bounds = DoubleStream.concat(DoubleStream.of(start), ends.stream().mapToDouble(Time::seconds))
                .toArray();
        ways = IntStream.range(0, ends.size())
                .mapToDouble(i -> joint.range(person, bounds[i], bounds[i + 1]))
                .toArray();
    }

    /**
     * Of a set from {@code start} to {@code end}, in seconds of the take; null where it has too few repetitions or the person is not seen
     * well enough.
     *
     * @param ends when each repetition ended
     */
    public static RepWays of(JointRows person, double start, double end, List<Time<Axis.Take>> ends) {
        boolean told = ends.size() >= FEWEST && person.seen(start, end) >= FOUND;
        return told ? new RepWays(person, start, end, ends) : null;
    }

    /** How far most go, in trunks. */
    double usual() {
        return median(ways);
    }

    /** Whether the joint goes farther than it trembles. */
    boolean isSeen() {
        return usual() >= TREMBLES;
    }

    /**
     * When repetitions end that go about half as far as the others, counted or not; none where that is many, or the others differ as
     * well.
     */
    public List<Time<Axis.Take>> halves() {
        if (!isSeen() || !isEven()) {
            return List.of();
        }
        List<Time<Axis.Take>> halves = IntStream.range(0, ways.length)
                .boxed()
                .flatMap(i -> halves(i).mapToObj(s -> Time.<Axis.Take>ofSeconds(s)))
                .toList();
        return halves.size() > Math.max(1, FEW * ways.length) ? List.of() : halves;
    }

    private DoubleStream halves(int rep) {
        if (ways[rep] < HALF * usual()) {
            return DoubleStream.of(bounds[rep + 1]);
        }
        boolean isLong = bounds[rep + 1] - bounds[rep] > LONG * length();
        return isLong ? uncounted(bounds[rep], bounds[rep + 1]) : DoubleStream.empty();
    }

    /** Between two repetitions that are far apart: where the joint went out and back beside the one that was counted. */
    private DoubleStream uncounted(double start, double end) {
        double[] away = away(start, end);
        double most = Arrays.stream(away).max().orElse(0);
        DoubleStream.Builder halves = DoubleStream.builder();
        int since = -1;
        double peak = 0;
        for (int i = 0; i < away.length; i++) {
            if (away[i] > OUT * most) {
                since = since < 0 ? i : since;
                peak = Math.max(peak, away[i]);
            } else if (since >= 0) {
                if (peak < HALF_OUT * most && (i - since) * person.period() > SHORT * length()) {
                    halves.add(start + i * person.period());
                }
                since = -1;
                peak = 0;
            }
        }
        return halves.build();
    }

    boolean isEven() {
        return Arrays.stream(ways).allMatch(w -> w < HALF * usual() || w > EVEN * usual() && w < usual() / EVEN);
    }

    /** The time most repetitions take from the end of the one before, in seconds. */
    double length() {
        return median(IntStream.range(1, ways.length)
                .mapToDouble(i -> bounds[i + 1] - bounds[i])
                .toArray());
    }

    /** The share of its movement in which the joint goes out, in most repetitions: the rest it comes back. Empty where it is not seen. */
    OptionalDouble outShare() {
        double[] shares = IntStream.range(0, ways.length)
                .filter(i -> isSeen() && ways[i] >= HALF * usual())
                .mapToDouble(i -> outShare(bounds[i], bounds[i + 1]))
                .filter(share -> !Double.isNaN(share))
                .toArray();
        double usual = shares.length < FEWEST ? Double.NaN : median(shares);
        double off = median(Arrays.stream(shares).map(s -> Math.abs(s - usual)).toArray());
        return off <= ALIKE ? OptionalDouble.of(usual) : OptionalDouble.empty();
    }

    private double outShare(double start, double end) {
        double[] away = away(start, end);
        double farthest = Arrays.stream(away).max().orElse(0);
        double near = ON_ITS_WAY * farthest;
        double far = farthest - near;
        double out = crossing(away, far, false) - crossing(away, near, false);
        double back = crossing(away, near, true) - crossing(away, far, true);
        return out / (out + back);
    }

    /** How far the joint of the side that goes farther is from where it is at either end of a repetition, sample by sample. */
    private double[] away(double start, double end) {
        int samples = person.sample(end) - person.sample(start);
        double[] left = away(start, samples, false);
        double[] right = away(start, samples, true);
        double most = Arrays.stream(left).max().orElse(0);
        return Arrays.stream(right).max().orElse(0) > most ? right : left;
    }

    /** The same of one side; nothing where it does not come back. */
    private double[] away(double start, int samples, boolean right) {
        double[] at = IntStream.rangeClosed(0, samples)
                .mapToDouble(i -> joint.at(person, start + i * person.period(), right))
                .toArray();
        if (Math.abs(at[0] - at[samples]) > BACK) {
            return new double[0];
        }
        double rest = (at[0] + at[samples]) / 2;
        return Arrays.stream(at).map(a -> Math.abs(a - rest)).toArray();
    }

    /** Where a row first goes over a height, or where it last is over it, between two samples; NaN where it never is. */
    private static double crossing(double[] row, double height, boolean last) {
        for (int i = 1; i < row.length; i++) {
            int a = last ? row.length - i : i - 1;
            int b = last ? a - 1 : i;
            if (row[a] < height && row[b] >= height) {
                return a + (b - a) * (height - row[a]) / (row[b] - row[a]);
            }
        }
        return Double.NaN;
    }

    /** NaN of nothing. */
    private static double median(double[] values) {
        if (values.length == 0) {
            return Double.NaN;
        }
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }
}
