package app.nosegay.review.seen;

import app.nosegay.evidence.sight.JointRows;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.IntStream;

/** Whether somebody stays in the position in which they are for most of a stretch. */
final class Stillness {
    /** A position is where the joints are in most samples of as many seconds: trembling and a jerk of the head are over by then. */
    private static final double WINDOW = 1;
    /** On average over the joints, so many trunks off is another position. */
    private static final double OFF = 0.3;
    /** Out of it for fewer windows is a slip of the foot. */
    private static final int LEAST = 3;

    private Stillness() {}

    /** When somebody was out of the position of a stretch, given in seconds of the take. */
    static List<Span<Axis.Take>> left(JointRows person, double start, double end) {
        double[] held = position(person, start, end);
        List<Span<Axis.Take>> left = new ArrayList<>();
        int windows = (int) Math.floor((end - start) / WINDOW);
        int since = -1;
        for (int w = 0; w <= windows; w++) {
            double at = start + w * WINDOW;
            boolean off = w < windows && off(position(person, at, at + WINDOW), held) > OFF;
            since = off && since < 0 ? w : since;
            if (!off && since >= 0) {
                if (w - since >= LEAST) {
                    left.add(new Span<>(Time.ofSeconds(start + since * WINDOW), Time.ofSeconds(at)));
                }
                since = -1;
            }
        }
        return left;
    }

    /** The middle of each number of the joints over a stretch. */
    private static double[] position(JointRows person, double start, double end) {
        double[][] rows = IntStream.range(person.sample(start), Math.max(person.sample(start) + 1, person.sample(end)))
                .mapToObj(person::row)
                .toArray(double[][]::new);
        double[] position = new double[rows[0].length];
        for (int i = 0; i < position.length; i++) {
            int number = i;
            double[] sorted = IntStream.range(0, rows.length)
                    .mapToDouble(s -> rows[s][number])
                    .sorted()
                    .toArray();
            position[i] = sorted[sorted.length / 2];
        }
        return position;
    }

    private static double off(double[] a, double[] b) {
        double sum = 0;
        for (int i = 0; i < a.length; i += 2) {
            sum += Math.hypot(a[i] - b[i], a[i + 1] - b[i + 1]);
        }
        return sum / (a.length / 2.0) / JointRows.TRUNK;
    }
}
