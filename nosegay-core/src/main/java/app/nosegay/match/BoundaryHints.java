package app.nosegay.match;

import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.transcript.Call;
import app.nosegay.transcript.CallReader;
import app.nosegay.transcript.Caption;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.TreeSet;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What the evidence of one take says about each boundary and each segment, on the matcher's grid. Boundary k is the start of segment k; the
 * last one is the end of the workout.
 */
final class BoundaryHints {
    private final Timeline timeline;
    private final int bins;
    private final List<Double> onsets;
    private final float[] beeps;
    private final float[] go;
    private final float[] stop;
    private final float[] change;
    private final float[] ends;
    private final float[] fluffs;
    private final double[] movement;
    private final Map<String, double[]> mentions = new HashMap<>();
    private final List<String> moves;
    private final Map<String, float[]> sums = new ConcurrentHashMap<>();
    private final boolean heard;
    private final boolean anything;

    /** A pin changes none of what a take says: the last few are kept. */
    private static final Map<Asked, BoundaryHints> KEPT = new java.util.LinkedHashMap<>(16, 0.75f, true) {
        @Override
        protected boolean removeEldestEntry(Map.Entry<Asked, BoundaryHints> eldest) {
            return size() > 6;
        }
    };

    /** A take is large and does not change: it is compared by identity. */
    private record Asked(Timeline timeline, TakeEvidence take) {
        @Override
        public boolean equals(Object o) {
            return o instanceof Asked other && other.take == take && other.timeline.equals(timeline);
        }

        @Override
        public int hashCode() {
            return System.identityHashCode(take);
        }
    }

    /** What the evidence of {@code take} says about the boundaries of {@code timeline}. */
    static BoundaryHints of(Timeline timeline, TakeEvidence take) {
        Asked asked = new Asked(timeline, take);
        synchronized (KEPT) {
            BoundaryHints kept = KEPT.get(asked);
            if (kept != null) {
                return kept;
            }
        }
        BoundaryHints hints = new BoundaryHints(timeline, take);
        synchronized (KEPT) {
            KEPT.put(asked, hints);
        }
        return hints;
    }

    private BoundaryHints(Timeline timeline, TakeEvidence take) {
        this.timeline = timeline;
        this.bins = (int) Math.ceil(take.length().seconds() / MatchWeights.GRID_SECONDS) + 1;
        beeps = new float[bins];
        go = new float[bins];
        stop = new float[bins];
        change = new float[bins];
        ends = new float[bins];
        fluffs = new float[bins];
        movement = new double[bins + 1];
        List<BeepPattern.Signal> signals = BeepPattern.of(take.beeps());
        for (BeepPattern.Signal signal : signals) {
            double weight = MatchWeights.BEEP * (signal.pip() ? MatchWeights.COUNTDOWN_SHARE : 1);
            bump(beeps, signal.seconds(), MatchWeights.BEEP_SIGMA, weight);
            if (signal.countedTo() > 0) {
                bump(beeps, signal.countedTo(), MatchWeights.BEEP_SIGMA, MatchWeights.COUNTED_TO);
            }
        }
        onsets = signals.stream()
                .filter(b -> !b.pip())
                .map(BeepPattern.Signal::seconds)
                .toList();
        for (Caption c : take.words()) {
            if (Stretches.isFluff(c.text())) {
                bump(fluffs, c.start().seconds(), MatchWeights.FLUFF_SIGMA, MatchWeights.FLUFF_SAID);
            }
        }
        TreeSet<String> names = new TreeSet<>();
        timeline.segments().stream()
                .filter(s -> s.kind().isMoving() && s.move() != null)
                .forEach(s -> names.add(s.move()));
        moves = new ArrayList<>(names);
        CallReader.read(take.words(), moves).forEach(this::hear);
        names.forEach(move -> mentions.put(move, mentions(move, take.words())));
        boolean moving = motion(take.motion());
        heard = !take.words().isEmpty();
        anything = !onsets.isEmpty() || !take.words().isEmpty() || moving;
    }

    /** Whether there is nothing to go by. */
    boolean isEmpty() {
        return !anything;
    }

    int bins() {
        return bins;
    }

    /** The beeps that may be boundaries, in seconds. */
    List<Double> onsets() {
        return onsets;
    }

    private void bump(float[] to, double seconds, double sigma, double weight) {
        int reach = (int) Math.ceil(3 * sigma / MatchWeights.GRID_SECONDS);
        int centre = bin(seconds);
        for (int b = Math.max(0, centre - reach); b <= Math.min(bins - 1, centre + reach); b++) {
            double off = (b * MatchWeights.GRID_SECONDS - seconds) / sigma;
            to[b] = (float) Math.max(to[b], weight * Math.exp(-0.5 * off * off));
        }
    }

    static int bin(double seconds) {
        return (int) Math.round(seconds / MatchWeights.GRID_SECONDS);
    }

    private void hear(Call call) {
        double at = call.time().seconds();
        switch (call.kind()) {
            // A count is said a second a number, whatever the caption's times.
            case COUNT_IN -> bump(go, at + Math.min(10, call.value()), MatchWeights.CALL_SIGMA, MatchWeights.COUNTED);
            case COUNT_OUT -> {
                bump(ends, at + Math.min(10, call.value()), MatchWeights.CALL_SIGMA, MatchWeights.COUNTED);
                bump(go, at + Math.min(10, call.value()), MatchWeights.CALL_SIGMA, MatchWeights.CALL);
            }
            case START -> bump(go, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case REST -> bump(stop, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case SWITCH_SIDE -> bump(change, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case SECONDS_LEFT -> bump(ends, at + call.value(), MatchWeights.CALL_SIGMA, MatchWeights.CALL);
            default -> {
                // says nothing of a boundary's moment
            }
        }
    }

    /** Cumulative weight of a move's name being said. */
    private double[] mentions(String move, List<Caption> words) {
        double[] sum = new double[bins + 1];
        String name = " " + plain(move);
        for (Caption c : words) {
            if ((" " + plain(c.text()) + " ").contains(name)) {
                int b = bin(c.start().seconds());
                if (b >= 0 && b < bins) {
                    sum[b + 1] += MatchWeights.NAMED;
                }
            }
        }
        for (int b = 1; b <= bins; b++) {
            sum[b] += sum[b - 1];
        }
        return sum;
    }

    private static String plain(String text) {
        return text.toLowerCase(Locale.ROOT).replaceAll("[^\\p{L}\\p{N}]+", " ").strip();
    }

    /** Cumulative log odds of movement, from how the motion compares with this take's own range. */
    private boolean motion(Trace motion) {
        if (motion.isEmpty()) {
            return false;
        }
        float[] energy = smoothed(motion);
        float[] sorted = energy.clone();
        Arrays.sort(sorted);
        double low = Math.log(1e-4 + sorted[bins / 10]);
        double high = Math.log(1e-4 + sorted[(int) (bins * 0.85)]);
        boolean telling = high - low > 0.5;
        for (int b = 0; b < bins; b++) {
            double z =
                    telling ? Math.max(-1, Math.min(1, 2 * (Math.log(1e-4 + energy[b]) - low) / (high - low) - 1)) : 0;
            movement[b + 1] = movement[b] + z * MatchWeights.MOTION_PER_SECOND * MatchWeights.GRID_SECONDS;
        }
        return telling;
    }

    /** Motion per bin, smoothed over half a second. */
    private float[] smoothed(Trace motion) {
        float[] raw = new float[bins];
        for (int b = 0; b < bins; b++) {
            int i = (int) Math.round(b * MatchWeights.GRID_SECONDS * motion.hz());
            raw[b] = motion.values()[Math.min(motion.values().length - 1, i)];
        }
        int reach = (int) Math.round(0.25 / MatchWeights.GRID_SECONDS);
        float[] smooth = new float[bins];
        double sum = 0;
        for (int b = -reach; b < bins; b++) {
            sum += b + reach < bins ? raw[b + reach] : 0;
            sum -= b - reach - 1 >= 0 ? raw[b - reach - 1] : 0;
            if (b >= 0) {
                smooth[b] = (float) (sum / (2 * reach + 1));
            }
        }
        return smooth;
    }

    private Segment before(int k) {
        return k > 0 ? timeline.segments().get(k - 1) : null;
    }

    private Segment after(int k) {
        return k < timeline.segments().size() ? timeline.segments().get(k) : null;
    }

    /** How strongly the evidence speaks at each bin for boundary {@code k}, one segment going over into the next. */
    float[] joint(int k) {
        return sum(before(k), after(k));
    }

    /** The same for the end of segment {@code k} − 1 with something unplanned behind it. */
    float[] ending(int k) {
        return sum(before(k), null);
    }

    /** The same for the start of segment {@code k} with something unplanned before it. */
    float[] starting(int k) {
        return sum(null, after(k));
    }

    /** How strongly words say at a bin that something went wrong. */
    float fluff(int bin) {
        return fluffs[Math.min(bins - 1, bin)];
    }

    float[] fluffs() {
        return fluffs;
    }

    /** For a boundary between two segments that do not follow each other in the plan. */
    float[] between(int before, int after) {
        return sum(timeline.segments().get(before), timeline.segments().get(after));
    }

    float[] nothing() {
        return new float[bins];
    }

    /** The fit of a pause, which nothing is expected of. */
    Within still() {
        return new Within(movement, 0, null, 0);
    }

    /** How near a boundary can be placed with this evidence, in seconds: what its doubt is about. */
    double tolerance() {
        return !onsets.isEmpty()
                ? MatchWeights.TOLERANCE_BEEPS
                : heard ? MatchWeights.TOLERANCE_WORDS : MatchWeights.TOLERANCE_MOTION;
    }

    private float[] sum(Segment before, Segment after) {
        String key = (before == null ? "-" : before.kind()) + " " + (after == null ? "-" : after.kind());
        return sums.computeIfAbsent(key, x -> {
            boolean was = before != null && before.kind().isMoving();
            boolean will = after != null && after.kind().isMoving();
            boolean signalled = was || will || before != null && after != null;
            float[] sum = new float[bins];
            addTo(sum, beeps, signalled ? 1 : MatchWeights.UNSIGNALLED_SHARE);
            if (will) {
                addTo(sum, go, 1);
            }
            if (was) {
                addTo(sum, ends, 1);
                if (!will) {
                    addTo(sum, stop, after != null && after.kind() != SegmentKind.REST ? 0.5 : 1);
                }
            } else if (before != null && before.kind() == SegmentKind.REST) {
                addTo(sum, ends, 0.5);
            }
            boolean changes = after != null && before != null && (after.kind() == SegmentKind.SWITCH || was && will);
            if (changes) {
                addTo(sum, change, 1);
            }
            return sum;
        });
    }

    private static void addTo(float[] sum, float[] part, double share) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += (float) (part[i] * share);
        }
    }

    /** Cumulative fit of segment {@code k} with what is seen and said, up to a bin. */
    Within within(int k) {
        List<Segment> segments = timeline.segments();
        Segment s = segments.get(k);
        double moves = s.kind() == SegmentKind.SWITCH
                ? 0
                : s.kind().isMoving()
                        ? 1
                        : s.kind() == SegmentKind.TALK || s.kind() == SegmentKind.DEMO
                                ? -MatchWeights.TALK_MOTION_SHARE
                                : -1;
        Segment next = k + 1 < segments.size() ? segments.get(k + 1) : null;
        String move =
                s.kind().isMoving() ? s.move() : next != null && next.kind().isMoving() ? next.move() : null;
        double[] named = move == null ? null : mentions.get(move);
        return new Within(movement, moves, named, s.kind().isMoving() ? 0.5 : 1);
    }

    /** A running sum: its value over a stretch is the difference of two entries. */
    record Within(double[] movement, double moves, double[] named, double nameShare) {
        double at(int bin) {
            return moves * movement[bin] + (named == null ? 0 : nameShare * named[bin]);
        }
    }

    /** How often and how strongly a move is named from one moment to another, in seconds. */
    double named(String move, double from, double to) {
        double[] sum = mentions.get(move);
        int a = Math.max(0, Math.min(bins, bin(from)));
        int b = Math.max(a, Math.min(bins, bin(to)));
        return sum == null ? 0 : sum[b] - sum[a];
    }

    /** Mean movement between two moments, −1 (still) to 1; 0 where nothing is seen. */
    double movement(double from, double to) {
        int a = Math.max(0, Math.min(bins, bin(from)));
        int b = Math.max(a + 1, Math.min(bins, bin(to)));
        return a >= bins
                ? 0
                : (movement[b] - movement[a]) / ((b - a) * MatchWeights.GRID_SECONDS * MatchWeights.MOTION_PER_SECOND);
    }
}
