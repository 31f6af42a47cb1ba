package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.BitSet;
import java.util.Comparator;
import java.util.List;
import java.util.stream.IntStream;

/** Those who show something over a stretch of a take: there for most of it, and not far behind the one in front. */
public final class Presenters {
    private static final double THERE = 0.6;
    /** Whose trunk is smaller than this share of the largest stands behind, or walks by. */
    private static final double NEAR = 0.5;

    /** Who is there beside another for more than this share of the time is another one. */
    private static final double BESIDE = 0.2;

    private Presenters() {}

    /**
     * Where the presenters stand, from left to right, as shares of the picture's width; empty unless there are as many as asked for.
     *
     * @param count how many there should be
     */
    public static List<Double> across(TakeEvidence take, Span<Axis.Take> span, int count) {
        double start = span.start().seconds();
        double end = span.end().seconds();
        List<Double> places = near(take.bodies().people().stream()
                        .map(body -> new JointRows(take.bodies(), body))
                        .filter(rows -> rows.seen(start, end) >= THERE)
                        .toList())
                .stream()
                .map(rows -> middle(rows.body(), take, start, end))
                .sorted()
                .toList();
        return places.size() == count ? places : List.of();
    }

    /**
     * Those who show something, and who is there while none of them is: somebody who lies down may be lost and found as another. None where
     * nobody is found for most of the length, in seconds.
     */
    public static List<JointRows> inPieces(Bodies bodies, double length) {
        List<JointRows> near = near(bodies.people().stream()
                .map(body -> new JointRows(bodies, body))
                .toList());
        int samples = (int) Math.ceil(length * bodies.hz());
        BitSet covered = new BitSet(samples);
        List<JointRows> pieces = new ArrayList<>();
        near.stream()
                .sorted(Comparator.comparingInt(rows -> -rows.body().seen()))
                .forEach(rows -> {
                    BitSet there = new BitSet(samples);
                    IntStream.range(rows.body().first(), rows.body().end())
                            .filter(rows.body()::isIn)
                            .forEach(there::set);
                    BitSet both = (BitSet) there.clone();
                    both.and(covered);
                    if (there.cardinality() >= THERE * samples || both.cardinality() <= BESIDE * there.cardinality()) {
                        pieces.add(rows);
                        covered.or(there);
                    }
                });
        return covered.cardinality() >= THERE * samples ? pieces : List.of();
    }

    private static List<JointRows> near(List<JointRows> people) {
        double largest = people.stream().mapToDouble(JointRows::trunk).max().orElse(0);
        return people.stream().filter(rows -> rows.trunk() >= NEAR * largest).toList();
    }

    /** The mean place of the hips. */
    private static double middle(Body body, TakeEvidence take, double start, double end) {
        double hz = take.bodies().hz();
        double sum = 0;
        int n = 0;
        for (int s = (int) Math.round(start * hz); s < Math.round(end * hz); s++) {
            if (body.isIn(s)) {
                sum += body.middleX(s, Joint.LEFT_HIP);
                n++;
            }
        }
        return n == 0 ? 0.5 : sum / n / take.bodies().shape();
    }
}
