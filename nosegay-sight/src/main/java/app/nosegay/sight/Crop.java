package app.nosegay.sight;

/**
 * A square of a picture, turned so that whoever is in it stands upright.
 *
 * @param x its middle, in pixels of the picture
 * @param y the same, downwards
 * @param size its edge, in pixels of the picture
 * @param turn its turn clockwise, in radians
 */
record Crop(double x, double y, double size, double turn) {
    /** The square around a person reaches this much farther than from the hips to the edge of the body. */
    private static final double REACH = 2.5;

    /** The square of a person whose hips and outermost point (above the head) are known, as the landmark network was taught. */
    static Crop of(double hipX, double hipY, double edgeX, double edgeY) {
        double dx = edgeX - hipX;
        double dy = edgeY - hipY;
        return new Crop(hipX, hipY, REACH * Math.hypot(dx, dy), Math.PI / 2 - Math.atan2(-dy, dx));
    }

    Crop turnedBy(double radians) {
        return new Crop(x, y, size, turn + radians);
    }

    /** A place in the square, from -0.5 to 0.5 of its edge, as a place in the picture. */
    double toX(double u, double v) {
        return x + size * (u * Math.cos(turn) - v * Math.sin(turn));
    }

    double toY(double u, double v) {
        return y + size * (u * Math.sin(turn) + v * Math.cos(turn));
    }
}
