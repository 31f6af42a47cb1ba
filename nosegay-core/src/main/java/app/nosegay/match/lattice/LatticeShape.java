package app.nosegay.match.lattice;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/**
 * What may follow what: points between two segments and the segments that lead from one to the next. One point lies before each segment
 * of the plan and one behind the last; two segments in each other's place go through points of their own.
 */
final class LatticeShape {
    static final int NONE = -1;

    /**
     * A point between two segments.
     *
     * @param position before which segment of the plan it lies, or, of those in each other's place, how many are done
     * @param before the segment that ends there, and
     * @param after the one that begins; {@link #NONE} for a point of the plan
     */
    record Point(int position, int before, int after) {
        boolean isPlanned() {
            return after == NONE;
        }
    }

    /**
     * A segment from one point to another.
     *
     * @param next the segment it leads to
     */
    record Arc(int from, int to, int segment, int next, double cost) {}

    private final List<Point> points = new ArrayList<>();
    private final List<Arc> arcs = new ArrayList<>();
    private final int[] planned;
    private final int[] into;
    private final int[][] intoEach;
    private final int[][] outOf;

    LatticeShape(int segments, List<LatticeEvidence.Exchange> exchanges) {
        List<List<Point>> at = new ArrayList<>();
        for (int k = 0; k <= segments; k++) {
            at.add(new ArrayList<>(List.of(new Point(k, NONE, NONE))));
        }
        List<List<Point>> ways = new ArrayList<>();
        for (LatticeEvidence.Exchange x : exchanges) {
            List<Integer> order = order(x);
            List<Point> way = new ArrayList<>();
            for (int i = 1; i < order.size(); i++) {
                Point p = new Point(start(x) + i, order.get(i - 1), order.get(i));
                at.get(p.position()).add(p);
                way.add(p);
            }
            ways.add(way);
        }
        at.forEach(points::addAll);
        planned = new int[segments + 1];
        into = new int[segments + 2];
        for (int k = 0; k <= segments; k++) {
            planned[k] = index(at.get(k).get(0));
            into[k] = planned[k];
        }
        into[segments + 1] = points.size();
        for (int k = 0; k < segments; k++) {
            arcs.add(new Arc(planned[k], planned[k + 1], k, k + 1, 0));
        }
        for (int i = 0; i < exchanges.size(); i++) {
            addWay(exchanges.get(i), ways.get(i));
        }
        intoEach = ends(true);
        outOf = ends(false);
    }

    private int index(Point point) {
        for (int i = 0; i < points.size(); i++) {
            if (points.get(i) == point) {
                return i;
            }
        }
        throw new IllegalArgumentException("a point of another lattice");
    }

    private static int start(LatticeEvidence.Exchange x) {
        return x.led() ? x.first() - 1 : x.first();
    }

    /** The segments in the order in which they are done. */
    private static List<Integer> order(LatticeEvidence.Exchange x) {
        List<Integer> order = new ArrayList<>();
        if (x.led()) {
            order.add(x.first() - 1);
        }
        order.add(x.second());
        for (int k = x.first() + 1; k < x.second(); k++) {
            order.add(k);
        }
        order.add(x.first());
        return order;
    }

    private void addWay(LatticeEvidence.Exchange x, List<Point> way) {
        List<Integer> order = order(x);
        int from = planned[start(x)];
        for (int i = 0; i < order.size(); i++) {
            boolean last = i == order.size() - 1;
            int to = last ? planned[x.second() + 1] : index(way.get(i));
            int next = last ? x.second() + 1 : order.get(i + 1);
            arcs.add(new Arc(from, to, order.get(i), next, i == 0 ? MatchWeights.EXCHANGED : 0));
            from = to;
        }
    }

    private int[][] ends(boolean to) {
        int[][] of = new int[points.size()][];
        for (int p = 0; p < of.length; p++) {
            int point = p;
            of[p] = IntStream.range(0, arcs.size())
                    .filter(a -> (to ? arcs.get(a).to() : arcs.get(a).from()) == point)
                    .toArray();
        }
        return of;
    }

    int size() {
        return points.size();
    }

    Point point(int p) {
        return points.get(p);
    }

    List<Arc> arcs() {
        return arcs;
    }

    /** The point of the plan before segment {@code k}. */
    int planned(int k) {
        return planned[k];
    }

    /** The point of the plan behind the segment that begins at one; {@link #NONE} behind the last, and for points of no plan. */
    int next(int p) {
        int position = points.get(p).position();
        return points.get(p).isPlanned() && position + 1 < planned.length ? planned[position + 1] : NONE;
    }

    /** The first point at a position; that of the next position is behind the last one. */
    int first(int position) {
        return into[position];
    }

    /** The arcs that end at a point. */
    int[] into(int p) {
        return intoEach[p];
    }

    /** The arcs that begin at a point: of one of the plan, the segment as planned comes first. */
    int[] outOf(int p) {
        return outOf[p];
    }
}
