package app.nosegay.sight;

import app.nosegay.evidence.Joint;

/** Finds the joints of one person in a crop. Not thread-safe. */
final class LandmarkNetwork implements AutoCloseable {
    private static final int SIZE = 256;
    /** The joints, and six points more; the first two of those say where to look next. */
    private static final int POINTS = 39;

    private static final int HIPS = 33;
    private static final int EDGE = 34;
    private static final int VALUES = 5;
    private static final int HEAT = 64;
    /** A place is moved to the middle of the heat around it, so many cells each way, where that is as hot as this. */
    private static final int AROUND = 3;

    private static final double HOT = 0.5;

    private final Network network = new Network("landmarks.tflite");
    private final float[] input = new float[SIZE * SIZE * 3];
    private final float[] values = new float[POINTS * VALUES];
    private final float[] flag = new float[1];
    private final float[] heat = new float[HEAT * HEAT * POINTS];

    Pose look(Picture picture, Crop crop) {
        picture.sample(crop, SIZE, 1 / 255f, 0, input);
        network.run(input);
        network.output(0, values);
        network.output(1, flag);
        network.output(3, heat);
        double[] points = new double[Joint.COUNT * 3];
        double[] sure = new double[Joint.COUNT];
        double[] tracked = new double[4];
        for (int p = 0; p <= EDGE; p++) {
            double[] at = refined(p);
            double x = crop.toX(at[0] - 0.5, at[1] - 0.5);
            double y = crop.toY(at[0] - 0.5, at[1] - 0.5);
            if (p < Joint.COUNT) {
                points[p * 3] = x;
                points[p * 3 + 1] = y;
                points[p * 3 + 2] = values[p * VALUES + 2] / SIZE * crop.size();
                sure[p] = Math.min(sigmoid(values[p * VALUES + 3]), sigmoid(values[p * VALUES + 4]));
            } else {
                tracked[(p - HIPS) * 2] = x;
                tracked[(p - HIPS) * 2 + 1] = y;
            }
        }
        return new Pose(points, sure, tracked[0], tracked[1], tracked[2], tracked[3], flag[0]);
    }

    /** A point from 0 to 1 of the crop: the network's own guess moved to where its heat is. */
    private double[] refined(int point) {
        double x = values[point * VALUES] / SIZE;
        double y = values[point * VALUES + 1] / SIZE;
        int column = (int) Math.floor(x * HEAT);
        int row = (int) Math.floor(y * HEAT);
        if (column < 0 || row < 0 || column >= HEAT || row >= HEAT) {
            return new double[] {x, y};
        }
        double hottest = 0;
        double sum = 0;
        double sumX = 0;
        double sumY = 0;
        for (int r = Math.max(0, row - AROUND); r <= Math.min(HEAT - 1, row + AROUND); r++) {
            for (int c = Math.max(0, column - AROUND); c <= Math.min(HEAT - 1, column + AROUND); c++) {
                double warm = sigmoid(heat[(r * HEAT + c) * POINTS + point]);
                hottest = Math.max(hottest, warm);
                sum += warm;
                sumX += warm * c;
                sumY += warm * r;
            }
        }
        return hottest < HOT || sum <= 0 ? new double[] {x, y} : new double[] {sumX / sum / HEAT, sumY / sum / HEAT};
    }

    private static double sigmoid(double v) {
        return 1 / (1 + Math.exp(-v));
    }

    @Override
    public void close() {
        network.close();
    }
}
