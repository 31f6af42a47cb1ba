package app.nosegay.match;

import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.SideWay;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * The moments reps are completed: from the main direction the picture moves in (first principal component of small grey pictures), its
 * period found near the planned tempo; from the tempo alone where there is no picture.
 */
final class RepFinder {
    /** A rep may take this share of its planned time … */
    private static final double SHORTEST = 0.6;
    /** … up to this. */
    private static final double LONGEST = 1.7;
    /** Autocorrelation under this is no rhythm: the planned tempo is used. */
    private static final double LEAST_RHYTHM = 0.25;

    private RepFinder() {}

    static Map<String, List<Time<Axis.Take>>> reps(
            Timeline timeline, List<Match.Placed> placed, List<TakeEvidence> takes) {
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (int k = 0; k < placed.size(); k++) {
            Segment s = timeline.segments().get(k);
            Match.Placed p = placed.get(k);
            if (p.matched() && s.kind() == SegmentKind.WORK && s.tempo() != null) {
                TakeEvidence take = takes.stream()
                        .filter(t -> t.id().equals(p.take()))
                        .findFirst()
                        .orElseThrow();
                reps.put(p.id(), moments(s, p, take));
            }
        }
        return reps;
    }

    private static List<Time<Axis.Take>> moments(Segment s, Match.Placed p, TakeEvidence take) {
        double planned = s.tempo().repLength().seconds();
        double start = p.performedStart().seconds();
        double end = p.performedEnd().seconds();
        TakeEvidence.Poses poses = take.pose();
        List<Time<Axis.Take>> found = new ArrayList<>();
        if (poses != null && poses.count() > 0) {
            double[] signal = mainDirection(poses, (int) (start * poses.hz()), (int) (end * poses.hz()));
            // Alternating sides mirror every other rep in the picture: its rhythm may show at twice the rep.
            double period = period(signal, poses.hz(), planned);
            if (period > 0) {
                planned = period;
            } else if (s.way() == SideWay.ALTERNATE) {
                double pair = period(signal, poses.hz(), 2 * planned);
                planned = pair > 0 ? pair / 2 : planned;
            }
        }
        int count = (int) Math.floor((end - start) / planned + 0.35);
        for (int i = 1; i <= count; i++) {
            found.add(Time.ofSeconds(Math.min(end, start + i * planned)));
        }
        return found;
    }

    /** The stretch of pictures projected on the direction in which they vary most, by power iteration. */
    private static double[] mainDirection(TakeEvidence.Poses poses, int from, int to) {
        int first = Math.max(0, from);
        int n = Math.max(0, Math.min(poses.count(), to) - first);
        int cells = poses.cells();
        double[] mean = new double[cells];
        for (int i = 0; i < n * cells; i++) {
            mean[i % cells] += (poses.grey()[first * cells + i] & 0xff) / (double) n;
        }
        double[] direction = new double[cells];
        for (int c = 0; c < cells; c++) {
            direction[c] = Math.sin(c + 1.0);
        }
        double[] projected = new double[n];
        for (int round = 0; round < 12; round++) {
            double[] next = new double[cells];
            for (int i = 0; i < n; i++) {
                double dot = 0;
                for (int c = 0; c < cells; c++) {
                    dot += direction[c] * ((poses.grey()[(first + i) * cells + c] & 0xff) - mean[c]);
                }
                projected[i] = dot;
                for (int c = 0; c < cells; c++) {
                    next[c] += dot * ((poses.grey()[(first + i) * cells + c] & 0xff) - mean[c]);
                }
            }
            double norm = 0;
            for (double v : next) {
                norm += v * v;
            }
            norm = Math.sqrt(norm);
            for (int c = 0; c < cells && norm > 0; c++) {
                direction[c] = next[c] / norm;
            }
        }
        return projected;
    }

    /** The lag, in seconds near {@code planned}, at which the signal best resembles itself; 0 when it has no rhythm there. */
    private static double period(double[] signal, double hz, double planned) {
        int least = (int) Math.max(2, Math.floor(planned * SHORTEST * hz));
        int most = (int) Math.ceil(planned * LONGEST * hz);
        double best = LEAST_RHYTHM;
        double at = 0;
        double before = 0;
        for (int lag = least; lag <= most && lag < signal.length / 2; lag++) {
            double value = correlation(signal, lag);
            double after = lag + 1 < signal.length / 2 ? correlation(signal, lag + 1) : value;
            boolean peak = value >= before && value >= after && lag > least;
            if (peak && value > best) {
                best = value;
                double bend = before - 2 * value + after;
                at = (lag + (bend == 0 ? 0 : 0.5 * (before - after) / bend)) / hz;
            }
            before = value;
        }
        return at;
    }

    private static double correlation(double[] signal, int lag) {
        double product = 0;
        double a = 1e-9;
        double b = 1e-9;
        for (int i = lag; i < signal.length; i++) {
            product += signal[i] * signal[i - lag];
            a += signal[i] * signal[i];
            b += signal[i - lag] * signal[i - lag];
        }
        return product / Math.sqrt(a * b);
    }
}
