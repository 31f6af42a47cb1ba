package app.nosegay.match.features;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.MotionHeight;
import app.nosegay.evidence.sight.PostureSteps;
import app.nosegay.evidence.sight.Rhythm;
import app.nosegay.library.MoveLibrary;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.Map;

/** What is seen in one take on the matcher's grid: whether somebody works ({@link Rhythm} and how much moves) and in what position. */
final class SightFeatures {
    /** Between still and moving, from either end of a take's range, as a share of it. */
    private static final double EDGE = 0.2;

    private final int bins;
    private final double[] movement;
    private final double[] either;
    /** Cumulative evidence of standing rather than being on the floor; null where it is not told. */
    private final double[] posture;

    private final PostureSteps.Steps steps;
    private final Map<String, Integer> standing = new HashMap<>();
    private final boolean telling;
    private final double still;
    private double motionPerSecond = MatchWeights.MOTION_PER_SECOND;

    /** What {@code take} shows in its {@code bins}; {@code moves} are those of the plan. */
    SightFeatures(TakeEvidence take, int bins, Collection<String> moves, double still) {
        this.bins = bins;
        this.still = still;
        movement = new double[bins + 1];
        either = new double[bins + 1];
        telling = motion(take.motion(), Rhythm.of(take.pose()));
        posture = posture(MotionHeight.of(take.pose()));
        steps = PostureSteps.in(take.pose());
        moves.forEach(move -> standing.put(move, position(move)));
    }

    /** Whether movement tells work from rest. */
    boolean isInformative() {
        return telling;
    }

    /** When one position goes over into another, or somebody comes to rest. */
    PostureSteps.Steps steps() {
        return steps;
    }

    /** Cumulative log odds of work. */
    double[] movement() {
        return movement;
    }

    /** Cumulative log odds of what may as well be still as move. */
    double[] either() {
        return either;
    }

    /** Cumulative log odds of standing; null where it is not told. */
    double[] posture() {
        return posture;
    }

    /** 1 for a move done standing, −1 for one on the floor, 0 where that tells nothing. */
    int standing(String move) {
        return posture == null ? 0 : standing.getOrDefault(move, 0);
    }

    /**
     * How far the height of what moves between two moments, in seconds, speaks for a move done standing or on the floor; 0 where it does
     * not tell.
     */
    double posture(String move, double from, double to) {
        int stands = standing(move);
        int a = Math.max(0, Math.min(bins, Grid.bin(from)));
        int b = Math.max(a, Math.min(bins, Grid.bin(to)));
        return stands == 0 ? 0 : stands * (posture[b] - posture[a]);
    }

    /** Mean movement between two moments, −1 (still) to 1; 0 where nothing is seen. */
    double movement(double from, double to) {
        int a = Math.max(0, Math.min(bins, Grid.bin(from)));
        int b = Math.max(a + 1, Math.min(bins, Grid.bin(to)));
        return a >= bins ? 0 : (movement[b] - movement[a]) / ((b - a) * MatchWeights.GRID_SECONDS * motionPerSecond);
    }

    /** Cumulative log odds of work, from how much moves and how far it comes round, each against this take's own range. */
    private boolean motion(Trace motion, Trace rhythm) {
        float[] much = motion.isEmpty() ? null : scaled(smoothed(motion, 0.25, true), 0.1, 0.5);
        motionPerSecond = rhythm.isEmpty() ? MatchWeights.MOTION_PER_SECOND : MatchWeights.RHYTHM_PER_SECOND;
        float[] round = rhythm.isEmpty() ? null : scaled(smoothed(rhythm, 0, false), 0.15, 0.25);
        double both = much == null || round == null ? 0 : MatchWeights.MUCH_SHARE * telling(much, round);
        double ofMuch = much == null ? 0 : round == null ? 1 : both;
        double ofRound =
                round == null ? 0 : much == null ? 1 : MatchWeights.RHYTHM_SHARE + MatchWeights.MUCH_SHARE - both;
        for (int b = 0; b < bins; b++) {
            double z = (much == null ? 0 : ofMuch * much[b]) + (round == null ? 0 : ofRound * round[b]);
            z = Math.max(-1, Math.min(1, z));
            double odds = z * motionPerSecond * MatchWeights.GRID_SECONDS;
            movement[b + 1] = movement[b] + odds;
            either[b + 1] = either[b] + Math.abs(odds);
        }
        return much != null || round != null;
    }

    /**
     * How far what moves much is what comes round in this take, 0 to 1: some walk about in every rest, and a press moves the arms alone.
     */
    private static double telling(float[] much, float[] round) {
        double[] sum = new double[2];
        int[] count = new int[2];
        for (int b = 0; b < much.length; b++) {
            int works = round[b] > 0 ? 1 : 0;
            sum[works] += much[b];
            count[works]++;
        }
        double apart = (sum[1] / Math.max(1, count[1]) - sum[0] / Math.max(1, count[0])) / 2;
        double above = (apart - MatchWeights.MUCH_TELLS_FROM)
                / (MatchWeights.MUCH_TELLS_WHOLLY - MatchWeights.MUCH_TELLS_FROM);
        return Math.max(0, Math.min(1, above));
    }

    private double[] posture(Trace height) {
        if (height.isEmpty()) {
            return null;
        }
        double[] sum = new double[bins + 1];
        for (int b = 0; b < bins; b++) {
            int i = (int) Math.round(b * MatchWeights.GRID_SECONDS * height.hz());
            float value = height.values()[Math.min(height.values().length - 1, i)];
            sum[b + 1] = sum[b] + value * MatchWeights.POSTURE_PER_SECOND * MatchWeights.GRID_SECONDS;
        }
        return sum;
    }

    /** 1 for a move done standing, −1 for one on the floor, 0 for any other and for moves that are not in the library. */
    private static int position(String move) {
        return MoveLibrary.shipped()
                .likeliest(move)
                .map(m -> m.isOnFloor() ? -1 : m.position().equals("standing") ? 1 : 0)
                .orElse(0);
    }

    /** −1 where the values are as low as at the lower end of this take, 1 as at the upper; null when they hardly differ. */
    private float[] scaled(float[] values, double lower, double telling) {
        float[] sorted = values.clone();
        Arrays.sort(sorted);
        double low = sorted[(int) (bins * lower)];
        double high = sorted[(int) (bins * 0.85)];
        if (high - low <= telling) {
            return null;
        }
        // As much of the take should lie below as the plan does not let move.
        double between = Math.max(
                low + EDGE * (high - low), Math.min(high - EDGE * (high - low), sorted[(int) ((bins - 1) * still)]));
        float[] out = new float[bins];
        for (int b = 0; b < bins; b++) {
            double off = values[b] - between;
            out[b] = (float) Math.max(-1, Math.min(1, off / (off > 0 ? high - between : between - low)));
        }
        return out;
    }

    /** The trace per bin, its mean over {@code reach} seconds either way, in logarithms where it spans magnitudes. */
    private float[] smoothed(Trace trace, double reachSeconds, boolean logarithm) {
        float[] raw = new float[bins];
        for (int b = 0; b < bins; b++) {
            int i = (int) Math.round(b * MatchWeights.GRID_SECONDS * trace.hz());
            raw[b] = trace.values()[Math.min(trace.values().length - 1, i)];
        }
        int reach = (int) Math.round(reachSeconds / MatchWeights.GRID_SECONDS);
        float[] smooth = new float[bins];
        double sum = 0;
        for (int b = -reach; b < bins; b++) {
            sum += b + reach < bins ? raw[b + reach] : 0;
            sum -= b - reach - 1 >= 0 ? raw[b - reach - 1] : 0;
            if (b >= 0) {
                double mean = sum / (2 * reach + 1);
                smooth[b] = (float) (logarithm ? Math.log(1e-4 + mean) : mean);
            }
        }
        return smooth;
    }
}
