package app.nosegay.sight;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** Finds people who fill a good part of a window of the picture. Not thread-safe. */
final class PersonDetector implements AutoCloseable {
    private static final int SIZE = 224;
    private static final int[] STRIDES = {8, 16, 32, 32, 32};
    private static final int BOXES = 2254;
    /** Box and four points; used are the first, the hips, and the second, above the head. */
    private static final int VALUES = 12;

    private static final int POINTS = 4;
    /** Two finds whose hips are nearer than this share of their reach are one person. */
    private static final double SAME = 0.5;

    private final Network network = new Network("people.tflite");
    private final float[] input = new float[SIZE * SIZE * 3];
    private final float[] values = new float[BOXES * VALUES];
    private final float[] scores = new float[BOXES];
    private final float[] centreX = new float[BOXES];
    private final float[] centreY = new float[BOXES];

    /** Where somebody may be: hips and outermost point, in pixels of the picture. */
    record Find(double hipX, double hipY, double edgeX, double edgeY, double score) {
        Crop crop() {
            return Crop.of(hipX, hipY, edgeX, edgeY);
        }

        double reach() {
            return Math.hypot(edgeX - hipX, edgeY - hipY);
        }
    }

    PersonDetector() {
        // Two boxes for each cell of each layer; layers of one stride stand together.
        int at = 0;
        for (int stride : STRIDES) {
            int cells = SIZE / stride;
            for (int cell = 0; cell < cells * cells; cell++) {
                for (int box = 0; box < 2; box++) {
                    centreX[at] = (cell % cells + 0.5f) / cells;
                    centreY[at++] = (cell / cells + 0.5f) / cells;
                }
            }
        }
    }

    /**
     * Everybody in a window of {@code picture}, the surest first.
     *
     * @param least how sure to be at least, 0 to 1
     */
    List<Find> find(Picture picture, Crop window, double least) {
        picture.sample(window, SIZE, 2 / 255f, -1, input);
        network.run(input);
        network.output(0, values);
        network.output(1, scores);
        List<Find> found = new ArrayList<>();
        for (int b = 0; b < BOXES; b++) {
            double score = 1 / (1 + Math.exp(-Math.max(-100, Math.min(100, scores[b]))));
            if (score >= least) {
                found.add(find(b, window, score));
            }
        }
        return distinct(found);
    }

    private Find find(int box, Crop window, double score) {
        double[] at = new double[4];
        for (int i = 0; i < 4; i++) {
            float centre = i % 2 == 0 ? centreX[box] : centreY[box];
            at[i] = values[box * VALUES + POINTS + i] / SIZE + centre - 0.5;
        }
        return new Find(
                window.toX(at[0], at[1]),
                window.toY(at[0], at[1]),
                window.toX(at[2], at[3]),
                window.toY(at[2], at[3]),
                score);
    }

    /** One find for each person: boxes say little, hips tell people apart. */
    static List<Find> distinct(List<Find> found) {
        List<Find> kept = new ArrayList<>();
        found.stream()
                .sorted(Comparator.comparingDouble(Find::score).reversed())
                .forEach(f -> {
                    boolean known = kept.stream()
                            .anyMatch(k -> Math.hypot(k.hipX() - f.hipX(), k.hipY() - f.hipY())
                                    < SAME * Math.max(k.reach(), f.reach()));
                    if (!known) {
                        kept.add(f);
                    }
                });
        return kept;
    }

    @Override
    public void close() {
        network.close();
    }
}
