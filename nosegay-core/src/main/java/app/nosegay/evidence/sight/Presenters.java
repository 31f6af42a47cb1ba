package app.nosegay.evidence.sight;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.List;

/** Those who show something over a stretch of a take: there for most of it, and not far behind the one in front. */
public final class Presenters {
    private static final double THERE = 0.6;
    /** Whose trunk is smaller than this share of the largest stands behind, or walks by. */
    private static final double NEAR = 0.5;

    private Presenters() {}

    /**
     * Where the presenters stand, from left to right, as shares of the picture's width; empty unless there are as many as asked for.
     *
     * @param count how many there should be
     */
    public static List<Double> across(TakeEvidence take, Span<Axis.Take> span, int count) {
        List<Body> there = new ArrayList<>();
        double largest = 0;
        double start = span.start().seconds();
        double end = span.end().seconds();
        for (Body body : take.bodies().people()) {
            JointRows rows = new JointRows(take.bodies(), body);
            if (rows.seen(start, end) >= THERE) {
                there.add(body);
                largest = Math.max(largest, rows.trunk());
            }
        }
        double least = NEAR * largest;
        List<Double> places = there.stream()
                .filter(b -> JointRows.trunk(b) >= least)
                .map(b -> middle(b, take, start, end))
                .sorted()
                .toList();
        return places.size() == count ? places : List.of();
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
