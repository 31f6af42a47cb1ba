package app.nosegay.match.lattice;

import static app.nosegay.match.lattice.LengthMaximum.NEVER;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;
import java.util.function.IntToDoubleFunction;
import java.util.stream.IntStream;

/**
 * The best order of events in one take, by a semi-Markov model solved in step with time (Ostendorf, Digalakis and Kimball 1996; Sarawagi
 * and Cohen 2004): segments follow each other as planned, each of about its planned length; a pause may lie between two; a segment may be
 * left out, broken off and begun again, or done twice; two may be done in each other's place; the take may begin and end anywhere in the
 * plan. Every step is a running or sliding maximum, so the cost is take length × segments in reach.
 */
public final class SegmentLattice {
    private static final byte ENDED = 1;
    private static final byte SKIPPED = 2;
    private static final byte PAUSED = 3;
    private static final byte ENTERED = 4;
    private static final int STAYED = -1;
    private static final int BACK = -2;
    private static final int AGAIN = -3;
    private static final int FROM_ENDED = -4;
    private static final int FROM_SKIPPED = -5;

    /** A segment (its index), or a pause (−1), from one bin to another. */
    public record Item(int segment, int from, int to, boolean broken) {}

    final LatticeEvidence e;
    final LatticeShape shape;
    final int bins;
    private final int n;
    private final int[] first;
    private final int[] last;
    private final int width;
    private final LengthMaximum[] lengths;
    private final IntToDoubleFunction[] within;
    /** Of points that are not of the plan; null of those that are. */
    private final IntToDoubleFunction[] between;

    private final double[] ended;
    private final double[] skipped;
    private final double[] paused;
    /** What is kept of each bin, for the points in reach: the best that begins a segment there, and what led to it. */
    private final float[] began;

    private final byte[] beganBy;
    private final float[] endedAt;
    private final int[] endedFrom;
    private final short[] endedArc;
    private final float[] skippedAt;
    private final byte[] skippedBy;
    private final int[] pausedFrom;
    private double bestScore = NEVER;
    private int bestBin;
    private int bestPoint;

    public SegmentLattice(LatticeEvidence evidence) {
        e = evidence;
        bins = e.bins();
        n = e.segments();
        shape = new LatticeShape(n, e.exchanges());
        first = new int[bins];
        last = new int[bins];
        int widest = 0;
        for (int t = 0; t < bins; t++) {
            first[t] = shape.first(Math.max(0, Math.min(n, e.low(t))));
            last[t] = shape.first(Math.max(0, Math.min(n, e.high(t))) + 1);
            widest = Math.max(widest, last[t] - first[t]);
        }
        width = widest;
        lengths = shape.arcs().stream().map(this::length).toArray(LengthMaximum[]::new);
        within = shape.arcs().stream().map(a -> e.within(a.segment(), a.next())).toArray(IntToDoubleFunction[]::new);
        between = IntStream.range(0, shape.size())
                .mapToObj(shape::point)
                .map(p -> p.isPlanned() ? null : e.between(p.before(), p.after()))
                .toArray(IntToDoubleFunction[]::new);
        ended = new double[shape.size()];
        skipped = new double[shape.size()];
        paused = new double[shape.size()];
        Arrays.fill(paused, NEVER);
        int size = bins * width;
        began = new float[size];
        Arrays.fill(began, (float) NEVER);
        beganBy = new byte[size];
        endedAt = new float[size];
        endedFrom = new int[size];
        endedArc = new short[size];
        skippedAt = new float[size];
        skippedBy = new byte[size];
        pausedFrom = new int[size];
    }

    LengthMaximum length(LatticeShape.Arc arc) {
        return new LengthMaximum(e.planned(arc.segment()), e.costPerBin(arc.segment()), e.mostForLonger());
    }

    /** The first point in reach at a bin. */
    int first(int t) {
        return first[t];
    }

    /** The point behind the last one in reach at a bin. */
    int last(int t) {
        return last[t];
    }

    private int at(int t, int point) {
        return t * width + point - first[t];
    }

    boolean isInReach(int t, int point) {
        return point >= first[t] && point < last[t];
    }

    double began(int t, int point) {
        return began[at(t, point)];
    }

    double ended(int t, int point) {
        return endedAt[at(t, point)];
    }

    double skipped(int t, int point) {
        return skippedAt[at(t, point)];
    }

    /** Cumulative fit of the segment of an arc up to a bin. */
    double within(int arc, int t) {
        return within[arc].applyAsDouble(t);
    }

    /** What a bin of a pause costs, less what is seen in it. */
    double stay(int t) {
        double seen = t == 0 ? 0 : e.idle(t) - e.idle(t - 1);
        return MatchWeights.PAUSE_PER_SECOND * e.binSeconds() - seen;
    }

    /** What it costs that a take ends at a point: it does not often go on for long behind the last thing of the plan that is in it. */
    double leaving(int position, int t) {
        double rest = MatchWeights.PAUSE_PER_SECOND * e.binSeconds() * (bins - t);
        return (position == n ? 0 : MatchWeights.PART_OF_PLAN + rest) - e.ending(position, t);
    }

    /** For one segment going over into another at a point. */
    double joint(int p, int t) {
        return between[p] == null ? e.joint(shape.point(p).position(), t) : between[p].applyAsDouble(t);
    }

    /** For the end of the segment before a point with a pause behind it. */
    double ending(int p, int t) {
        LatticeShape.Point point = shape.point(p);
        return e.ending(point.isPlanned() ? point.position() : point.before() + 1, t);
    }

    /** For the start of the segment behind a point after a pause. */
    double starting(int p, int t) {
        LatticeShape.Point point = shape.point(p);
        return e.starting(point.isPlanned() ? point.position() : point.after(), t);
    }

    /** How well the best sequence fits, in nats; once solved. */
    double bestScore() {
        return bestScore;
    }

    /** The best sequence of segments and pauses, in order of time; empty for an empty take or plan. */
    public List<Item> solve() {
        if (n == 0 || bins < 2) {
            return List.of();
        }
        for (int t = 0; t < bins; t++) {
            end(t);
            leave(t);
            pause(t);
            begin(t);
        }
        return bestScore <= NEVER / 2 ? List.of() : traced();
    }

    private void end(int t) {
        Arrays.fill(ended, NEVER);
        Arrays.fill(skipped, NEVER);
        List<LatticeShape.Arc> arcs = shape.arcs();
        for (int p = first[t]; p < last[t]; p++) {
            int[] into = shape.into(p);
            int cell = at(t, p);
            for (int i = 0; i < into.length; i++) {
                LengthMaximum length = lengths[into[i]];
                double v = length.endingAt(t);
                v = v <= NEVER / 2 ? NEVER : v + within(into[i], t);
                if (v > ended[p]) {
                    ended[p] = v;
                    endedFrom[cell] = length.from();
                    endedArc[cell] = (short) i;
                }
            }
            int position = shape.point(p).position();
            if (shape.point(p).isPlanned() && position > 0 && isInReach(t, shape.planned(position - 1))) {
                skip(t, p, position - 1);
            }
            endedAt[cell] = (float) ended[p];
            skippedAt[cell] = (float) skipped[p];
        }
    }

    private void skip(int t, int p, int segment) {
        int before = shape.planned(segment);
        double alone = ended[before] - e.leftOut(segment, false);
        double again = skipped[before] - e.leftOut(segment, true);
        skipped[p] = Math.max(alone, again);
        skippedBy[at(t, p)] = alone >= again ? ENDED : SKIPPED;
    }

    /** The best end of a take so far. */
    private void leave(int t) {
        for (int p = first[t]; p < last[t]; p++) {
            if (shape.point(p).isPlanned() && ended[p] > NEVER / 2) {
                double score = ended[p] - leaving(shape.point(p).position(), t);
                if (score > bestScore) {
                    bestScore = score;
                    bestBin = t;
                    bestPoint = p;
                }
            }
        }
    }

    private void pause(int t) {
        double step = stay(t);
        for (int p = first[t]; p < last[t]; p++) {
            double best = paused[p] - step;
            int from = STAYED;
            double after = Math.max(ended[p], skipped[p]) + ending(p, t) - MatchWeights.PAUSE;
            if (after > best) {
                best = after;
                from = ended[p] >= skipped[p] ? FROM_ENDED : FROM_SKIPPED;
            }
            int next = shape.next(p);
            if (next >= 0 && isInReach(t, next)) {
                double again = ended[next] + ending(next, t) - MatchWeights.REPEATED;
                if (again > best) {
                    best = again;
                    from = AGAIN;
                }
            }
            if (shape.outOf(p).length > 0) {
                int arc = shape.outOf(p)[0];
                double broken = lengths[arc].underWayAt(t) + within(arc, t) + e.fluff(t) - MatchWeights.BROKEN_OFF;
                if (broken > best) {
                    best = broken;
                    from = lengths[arc].from();
                }
            }
            paused[p] = best;
            pausedFrom[at(t, p)] = from;
        }
        goBack(t);
    }

    private void goBack(int t) {
        for (int k = Math.min(n, e.high(t)) - 1; k >= Math.max(0, e.low(t)); k--) {
            int p = shape.planned(k);
            double back = paused[shape.planned(k + 1)] - MatchWeights.BACK_ONE;
            if (back > paused[p]) {
                paused[p] = back;
                pausedFrom[at(t, p)] = BACK;
            }
        }
    }

    private void begin(int t) {
        double late = MatchWeights.LATE_BEGINNING_PER_SECOND * e.binSeconds() * t;
        for (int p = first[t]; p < last[t]; p++) {
            LatticeShape.Point point = shape.point(p);
            int k = point.position();
            if (k == n && point.isPlanned()) {
                continue;
            }
            double best = Math.max(ended[p], skipped[p]) + joint(p, t);
            byte by = ended[p] >= skipped[p] ? ENDED : SKIPPED;
            double starting = starting(p, t);
            if (paused[p] + starting > best) {
                best = paused[p] + starting;
                by = PAUSED;
            }
            if (point.isPlanned() && starting - late - e.entering(k) > best) {
                best = starting - late - e.entering(k);
                by = ENTERED;
            }
            if (best > NEVER / 2) {
                began[at(t, p)] = (float) best;
                beganBy[at(t, p)] = by;
                for (int a : shape.outOf(p)) {
                    lengths[a].add(t, best - shape.arcs().get(a).cost() - within(a, t));
                }
            }
        }
    }

    private List<Item> traced() {
        List<Item> items = new ArrayList<>();
        int t = bestBin;
        int p = bestPoint;
        byte state = ENDED;
        while (state != ENTERED) {
            int cell = at(t, p);
            if (state == ENDED) {
                LatticeShape.Arc arc = shape.arcs().get(shape.into(p)[endedArc[cell]]);
                items.add(new Item(arc.segment(), endedFrom[cell], t, isBreak(items, arc.segment())));
                t = endedFrom[cell];
                p = arc.from();
                state = beganBy[at(t, p)];
            } else if (state == SKIPPED) {
                state = skippedBy[cell];
                p = shape.planned(shape.point(p).position() - 1);
            } else {
                int end = t;
                while (pausedFrom[at(t, p)] == STAYED || pausedFrom[at(t, p)] == BACK) {
                    boolean back = pausedFrom[at(t, p)] == BACK;
                    p = back ? shape.planned(shape.point(p).position() + 1) : p;
                    t -= back ? 0 : 1;
                }
                items.add(new Item(-1, t, end, false));
                int from = pausedFrom[at(t, p)];
                if (from >= 0) {
                    int broken = shape.arcs().get(shape.outOf(p)[0]).segment();
                    items.add(new Item(broken, from, t, isBreak(items, broken)));
                    t = from;
                    state = beganBy[at(t, p)];
                } else {
                    p = from == AGAIN ? shape.planned(shape.point(p).position() + 1) : p;
                    state = from == FROM_SKIPPED ? SKIPPED : ENDED;
                }
            }
        }
        Collections.reverse(items);
        return items;
    }

    /** Whether behind a pause (the list runs backwards) this segment or an earlier one comes again. */
    private static boolean isBreak(List<Item> later, int segment) {
        int last = later.size() - 1;
        return last > 0 && later.get(last).segment() < 0 && later.get(last - 1).segment() <= segment;
    }
}
