package app.nosegay.match;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.List;

/**
 * The best order of events in one take, by a semi-Markov model solved in step with time: segments follow each other as planned, each of
 * about its planned length; a pause may lie between two; a segment may be left out, broken off and begun again, or done twice; the take
 * may begin and end anywhere in the plan. Every step is a running or sliding maximum, so the cost is take length × segments in reach.
 */
final class SequenceSolver {
    private static final double NEVER = -1e12;
    private static final int NONE = -1;
    private static final int SKIPPED = -2;
    private static final int STAYED = -3;
    private static final int ENDED = -4;
    private static final int ENDED_AGAIN = -5;
    private static final int BACK = -6;
    private static final byte JOINED = 1;
    private static final byte AFTER_PAUSE = 2;
    private static final byte ENTERED = 3;

    /** What the solver asks of a take; bins are its own, of {@code binSeconds}. */
    interface Evidence {
        int bins();

        double binSeconds();

        int segments();

        /** Planned length of segment {@code k} in bins, at least 1. */
        int planned(int k);

        /** What it costs that the take begins with segment {@code k}. */
        double entering(int k);

        /** What it costs to leave segment {@code k} out, alone or with the one before it. */
        double leftOut(int k, boolean again);

        /** What each bin off the planned length costs. */
        double costPerBin(int k);

        /** What a segment that is longer than planned costs at most. */
        double mostForLonger();

        /** For the boundary between segments k − 1 and k without a pause. */
        double joint(int k, int bin);

        /** For the end of segment k − 1 with a pause behind it. */
        double ending(int k, int bin);

        /** For the start of segment k after a pause, or as the first of the take. */
        double starting(int k, int bin);

        /** What speaks for breaking off at a bin. */
        double fluff(int bin);

        /** Cumulative fit of segment {@code k} with what is seen and said, up to a bin. */
        double within(int k, int bin);

        /** Cumulative fit of a pause with what is seen, up to a bin. */
        double idle(int bin);

        /** The first and last boundary worth trying at a bin. */
        int low(int bin);

        int high(int bin);
    }

    /** A segment (its index), or a pause (−1), from one bin to another. */
    record Item(int segment, int from, int to, boolean broken) {}

    private final Evidence e;
    private final int bins;
    private final int n;
    private final int row;
    private final double mostForLonger;
    private final float[] started;
    private final int[] endedFrom;
    private final int[] pausedFrom;
    private final byte[] startedBy;
    private final double[] ended;
    private final double[] paused;
    private final double[] byDistance;
    private final int[] byDistanceFrom;
    private final double[] any;
    private final int[] anyFrom;
    /** Starts a segment may be in the middle of: not longer ago than it lasts. */
    private final SlidingMaximum[] running;
    /** The same, by what each bin short of the planned length costs. */
    private final SlidingMaximum[] shorter;

    private final int[] planned;
    private final double[] costPerBin;
    private double bestScore = NEVER;
    private int bestBin;
    private int bestBoundary;

    SequenceSolver(Evidence evidence) {
        e = evidence;
        bins = e.bins();
        n = e.segments();
        row = n + 1;
        mostForLonger = e.mostForLonger();
        started = new float[bins * n];
        endedFrom = new int[bins * row];
        pausedFrom = new int[bins * row];
        startedBy = new byte[bins * n];
        ended = new double[row];
        paused = filled(row);
        byDistance = filled(n);
        any = filled(n);
        byDistanceFrom = new int[n];
        anyFrom = new int[n];
        running = new SlidingMaximum[n];
        shorter = new SlidingMaximum[n];
        planned = new int[n];
        costPerBin = new double[n];
        for (int k = 0; k < n; k++) {
            planned[k] = e.planned(k);
            costPerBin[k] = e.costPerBin(k);
            running[k] = new SlidingMaximum(planned[k]);
            shorter[k] = new SlidingMaximum(planned[k]);
        }
    }

    private static double[] filled(int size) {
        double[] values = new double[size];
        Arrays.fill(values, NEVER);
        return values;
    }

    /** The best sequence of segments and pauses, in order of time; empty for an empty take or plan. */
    List<Item> solve() {
        if (n == 0 || bins < 2) {
            return List.of();
        }
        for (int t = 0; t < bins; t++) {
            int low = Math.max(0, e.low(t));
            int high = Math.min(n, e.high(t));
            end(t, low, high);
            pause(t, low, high);
            start(t, low, Math.min(n - 1, high));
        }
        return traced();
    }

    private void end(int t, int low, int high) {
        Arrays.fill(ended, NEVER);
        int base = t * row;
        endedFrom[base + low] = NONE;
        for (int k = low + 1; k <= high; k++) {
            int j = k - 1;
            int u = t - planned[j];
            double cost = costPerBin[j];
            byDistance[j] -= cost;
            if (u >= 0 && started[u * n + j] > NEVER / 2) {
                double v = started[u * n + j];
                if (v > byDistance[j]) {
                    byDistance[j] = v;
                    byDistanceFrom[j] = u;
                }
                if (v > any[j]) {
                    any[j] = v;
                    anyFrom[j] = u;
                }
            }
            double best = byDistance[j];
            int from = byDistanceFrom[j];
            if (any[j] - mostForLonger > best) {
                best = any[j] - mostForLonger;
                from = anyFrom[j];
            }
            shorter[j].forget(t);
            if (!shorter[j].isEmpty() && shorter[j].value() + cost * u > best) {
                best = shorter[j].value() + cost * u;
                from = shorter[j].bin();
            }
            running[j].forget(t);
            if (!running[j].isEmpty() && running[j].value() - MatchWeights.CUT_SHORT > best) {
                best = running[j].value() - MatchWeights.CUT_SHORT;
                from = running[j].bin();
            }
            ended[k] = best <= NEVER / 2 ? NEVER : best + e.within(j, t);
            endedFrom[base + k] = best <= NEVER / 2 ? NONE : from;
            boolean again = endedFrom[base + k - 1] == SKIPPED;
            double skipped = ended[k - 1] - e.leftOut(j, again);
            if (skipped > ended[k]) {
                ended[k] = skipped;
                endedFrom[base + k] = SKIPPED;
            }
        }
        leave(t, low, high);
    }

    /** The best end of a take so far. */
    private void leave(int t, int low, int high) {
        int base = t * row;
        for (int k = Math.max(1, low); k <= high; k++) {
            if (ended[k] > NEVER / 2 && endedFrom[base + k] != SKIPPED) {
                // A take does not often go on for long behind the last thing of the plan that is in it.
                double rest = MatchWeights.PAUSE_PER_SECOND * e.binSeconds() * (bins - t);
                double exit = k == n ? 0 : MatchWeights.PART_OF_PLAN + rest;
                double score = ended[k] + e.ending(k, t) - exit;
                if (score > bestScore) {
                    bestScore = score;
                    bestBin = t;
                    bestBoundary = k;
                }
            }
        }
    }

    private void pause(int t, int low, int high) {
        int base = t * row;
        double seen = t == 0 ? 0 : e.idle(t) - e.idle(t - 1);
        double step = MatchWeights.PAUSE_PER_SECOND * e.binSeconds() - seen;
        for (int k = low; k <= high; k++) {
            double best = paused[k] - step;
            int from = STAYED;
            double after = ended[k] + e.ending(k, t) - MatchWeights.PAUSE;
            if (after > best) {
                best = after;
                from = ENDED;
            }
            if (k < n) {
                double again = ended[k + 1] + e.ending(k + 1, t) - MatchWeights.REPEATED;
                if (k + 1 <= high && again > best) {
                    best = again;
                    from = ENDED_AGAIN;
                }
                running[k].forget(t);
                double broken = running[k].isEmpty()
                        ? NEVER
                        : running[k].value() + e.within(k, t) + e.fluff(t) - MatchWeights.BROKEN_OFF;
                if (broken > best) {
                    best = broken;
                    from = running[k].bin();
                }
            }
            paused[k] = best;
            pausedFrom[base + k] = best <= NEVER / 2 ? NONE : from;
        }
        for (int k = high - 1; k >= low; k--) {
            if (paused[k + 1] - MatchWeights.BACK_ONE > paused[k]) {
                paused[k] = paused[k + 1] - MatchWeights.BACK_ONE;
                pausedFrom[base + k] = BACK;
            }
        }
    }

    private void start(int t, int low, int high) {
        double late = MatchWeights.LATE_BEGINNING_PER_SECOND * e.binSeconds() * t;
        for (int k = 0; k < n; k++) {
            started[t * n + k] = (float) NEVER;
        }
        for (int k = low; k <= high; k++) {
            double starting = e.starting(k, t);
            double best = ended[k] + e.joint(k, t);
            byte by = JOINED;
            if (paused[k] + starting > best) {
                best = paused[k] + starting;
                by = AFTER_PAUSE;
            }
            double entered = starting - late - e.entering(k);
            if (entered > best) {
                best = entered;
                by = ENTERED;
            }
            double v = best - e.within(k, t);
            started[t * n + k] = (float) v;
            startedBy[t * n + k] = by;
            running[k].add(t, v);
            shorter[k].add(t, v - costPerBin[k] * t);
        }
    }

    private List<Item> traced() {
        List<Item> items = new ArrayList<>();
        if (bestScore <= NEVER / 2) {
            return items;
        }
        int t = bestBin;
        int k = bestBoundary;
        int pauseTo = -1;
        boolean pausing = false;
        while (true) {
            int from = pausing ? pausedFrom[t * row + k] : endedFrom[t * row + k];
            int segment = -1;
            if (pausing && from == STAYED) {
                t--;
                continue;
            } else if (pausing && from == BACK) {
                k++;
                continue;
            } else if (pausing) {
                items.add(new Item(-1, t, pauseTo, false));
                pausing = false;
                if (from == ENDED || from == ENDED_AGAIN) {
                    k += from == ENDED_AGAIN ? 1 : 0;
                    continue;
                }
                segment = k;
            } else if (from == SKIPPED) {
                k--;
                continue;
            } else {
                segment = k - 1;
            }
            if (from < 0) {
                break;
            }
            items.add(new Item(segment, from, t, isBreak(items, segment)));
            t = from;
            k = segment;
            byte by = startedBy[t * n + k];
            if (by == ENTERED) {
                break;
            }
            pausing = by == AFTER_PAUSE;
            pauseTo = t;
        }
        Collections.reverse(items);
        return items;
    }

    /** Whether what follows in time (the list runs backwards) is a pause and then this segment or an earlier one again. */
    private static boolean isBreak(List<Item> later, int segment) {
        for (int i = later.size() - 1; i >= 0; i--) {
            if (later.get(i).segment() >= 0) {
                return later.get(i).segment() <= segment;
            }
        }
        return false;
    }
}
