package app.nosegay.bench.sight;

import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.geom.AffineTransform;
import java.awt.geom.Area;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Path2D;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Random;

/**
 * A solid figure of segments in space, lit from the upper left and seen in perspective. It shares nothing with the figure the practice
 * camera draws. Lengths are metres; x is the figure's left, y up, z where it faces.
 */
final class Mannequin {
    /** Where the camera is, in front of the figure's place, and how high. */
    private static final double CAMERA = 4.2;

    private static final double CAMERA_HEIGHT = 1.05;

    /** Angles in radians; those of arms and legs left, then right. Nought is standing with the arms down. */
    static final class Angles {
        double lean;
        /** The whole body turned about its left-right axis: a quarter forwards is a plank, backwards lying on the back. */
        double tip;

        double lift;
        final double[] hip = new double[2];
        final double[] hipOut = {0.06, 0.06};
        final double[] knee = new double[2];
        final double[] shoulder = {0.08, 0.08};
        final double[] shoulderOut = {0.14, 0.14};
        final double[] elbow = {0.2, 0.2};
    }

    private final double size;
    private final double leg;
    private final double broad;
    private final Color skin;
    private final Color shirt;
    private final Color trousers;
    private final Color hair;
    private final boolean longHair;

    /** Somebody else for each {@code seed}: proportions, clothes, hair. */
    Mannequin(long seed) {
        Random random = new Random(seed * 31 + 5);
        size = 0.92 + 0.16 * random.nextDouble();
        leg = 0.94 + 0.12 * random.nextDouble();
        broad = 0.9 + 0.35 * random.nextDouble();
        skin = Color.getHSBColor(0.06f, 0.35f + 0.25f * random.nextFloat(), 0.45f + 0.5f * random.nextFloat());
        shirt = Color.getHSBColor(
                random.nextFloat(), 0.3f + 0.5f * random.nextFloat(), 0.3f + 0.6f * random.nextFloat());
        trousers = Color.getHSBColor(random.nextFloat(), 0.3f * random.nextFloat(), 0.12f + 0.4f * random.nextFloat());
        hair = Color.getHSBColor(0.08f, 0.5f * random.nextFloat(), 0.1f + 0.5f * random.nextFloat());
        longHair = random.nextBoolean();
    }

    private record Point(double x, double y, double z) {
        Point plus(Point o, double times) {
            return new Point(x + o.x * times, y + o.y * times, z + o.z * times);
        }
    }

    private record Part(Point a, Point b, double wideA, double wideB, Color colour) {
        double depth() {
            return (a.z + b.z) / 2;
        }
    }

    /**
     * Where it stands.
     *
     * @param yaw how far it is turned from the camera, in radians
     * @param x metres from the middle of the picture
     * @param near how much nearer than usual, in metres
     */
    record Stand(double yaw, double x, double near) {}

    /**
     * Draws it.
     *
     * @param width of the picture in pixels
     */
    void draw(Graphics2D g, int width, int height, Angles pose, Stand stand) {
        double yaw = stand.yaw();
        double x = stand.x();
        double near = stand.near();
        List<Part> parts = parts(pose);
        double lowest = parts.stream()
                .mapToDouble(p -> Math.min(p.a.y - p.wideA, p.b.y - p.wideB))
                .min()
                .orElse(0);
        List<Part> placed = new ArrayList<>();
        for (Part p : parts) {
            placed.add(new Part(
                    placed(p.a, yaw, x, near, pose.lift - lowest),
                    placed(p.b, yaw, x, near, pose.lift - lowest),
                    p.wideA,
                    p.wideB,
                    p.colour));
        }
        shadow(g, width, height, placed);
        placed.sort(Comparator.comparingDouble(Part::depth));
        placed.forEach(p -> capsule(g, width, height, p));
    }

    private static Point placed(Point p, double yaw, double x, double near, double up) {
        double cos = Math.cos(yaw);
        double sin = Math.sin(yaw);
        return new Point(x + p.x * cos + p.z * sin, p.y + up, near + p.z * cos - p.x * sin);
    }

    private List<Part> parts(Angles a) {
        List<Part> parts = new ArrayList<>();
        double thigh = 0.43 * size * leg;
        double shank = 0.42 * size * leg;
        double trunk = 0.50 * size;
        Point pelvis = new Point(0, 0, 0);
        Point up = new Point(0, Math.cos(a.lean), Math.sin(a.lean));
        Point chest = pelvis.plus(up, trunk);
        parts.add(new Part(pelvis, pelvis.plus(up, trunk * 0.45), 0.13 * broad, 0.125 * broad, shirt));
        parts.add(new Part(pelvis.plus(up, trunk * 0.45), chest.plus(up, -0.07), 0.125 * broad, 0.15 * broad, shirt));
        head(parts, a, chest, up);
        for (int s = 0; s < 2; s++) {
            double way = s == 0 ? 1 : -1;
            Point hip = pelvis.plus(new Point(way * 0.095 * broad, -0.02, 0), 1);
            Point down = dir(a.hip[s], a.hipOut[s] * way);
            Point knee = hip.plus(down, thigh);
            Point ankle = knee.plus(dir(a.hip[s] - a.knee[s], a.hipOut[s] * way), shank);
            Point toes = ankle.plus(dir(a.hip[s] - a.knee[s] + 1.45, 0), 0.2);
            parts.add(new Part(hip, knee, 0.095 * broad, 0.065, trousers));
            parts.add(new Part(knee, ankle, 0.062, 0.042, trousers));
            parts.add(new Part(ankle, toes, 0.045, 0.035, new Color(225, 225, 225)));
            Point shoulder = chest.plus(new Point(way * 0.17 * broad, 0, 0), 1).plus(up, -0.03);
            Point arm = dir(a.shoulder[s], a.shoulderOut[s] * way);
            Point elbow = shoulder.plus(arm, 0.29 * size);
            Point fore = dir(a.shoulder[s] + a.elbow[s], a.shoulderOut[s] * way);
            Point wrist = elbow.plus(fore, 0.26 * size);
            parts.add(new Part(shoulder, elbow, 0.06, 0.047, shirt.darker()));
            parts.add(new Part(elbow, wrist, 0.042, 0.032, skin));
            parts.add(new Part(wrist, wrist.plus(fore, 0.09), 0.038, 0.03, skin));
        }
        if (a.tip != 0) {
            double cos = Math.cos(a.tip);
            double sin = Math.sin(a.tip);
            parts.replaceAll(p -> new Part(tipped(p.a, cos, sin), tipped(p.b, cos, sin), p.wideA, p.wideB, p.colour));
        }
        return parts;
    }

    private void head(List<Part> parts, Angles a, Point chest, Point up) {
        Point neck = chest.plus(up, 0.06);
        Point head = chest.plus(up, 0.20 * size);
        Point face = new Point(0, -Math.sin(a.lean), Math.cos(a.lean));
        parts.add(new Part(chest, neck, 0.05, 0.05, skin));
        parts.add(new Part(head, head.plus(up, 0.05), 0.1, 0.095, skin));
        parts.add(new Part(
                head.plus(up, 0.06).plus(face, -0.04), head.plus(up, 0.09).plus(face, -0.02), 0.1, 0.08, hair));
        if (longHair) {
            parts.add(new Part(head.plus(face, -0.09), head.plus(up, -0.2).plus(face, -0.11), 0.06, 0.03, hair));
        }
        for (int eye = -1; eye <= 1; eye += 2) {
            Point at = head.plus(face, 0.095).plus(up, 0.03).plus(new Point(eye * 0.037, 0, 0), 1);
            parts.add(new Part(at, at, 0.012, 0.012, Color.DARK_GRAY));
        }
        Point mouth = head.plus(face, 0.09).plus(up, -0.045);
        parts.add(new Part(
                mouth.plus(new Point(-0.025, 0, 0), 1),
                mouth.plus(new Point(0.025, 0, 0), 1),
                0.008,
                0.008,
                new Color(140, 60, 60)));
        Point nose = head.plus(face, 0.11);
        parts.add(new Part(nose, nose.plus(up, 0.02), 0.014, 0.01, skin.darker()));
    }

    private static Point tipped(Point p, double cos, double sin) {
        return new Point(p.x, p.y * cos - p.z * sin, p.y * sin + p.z * cos);
    }

    /** From straight down, forwards by {@code flexed} and out to the side by {@code out}. */
    private static Point dir(double flexed, double out) {
        return new Point(Math.sin(out), -Math.cos(flexed) * Math.cos(out), Math.sin(flexed) * Math.cos(out));
    }

    private static double scale(int height, Point p) {
        return height * 1.75 / (CAMERA - p.z);
    }

    private static double screenX(int width, int height, Point p) {
        return width / 2.0 + p.x * scale(height, p);
    }

    private static double screenY(int height, Point p) {
        return height * 0.5 - (p.y - CAMERA_HEIGHT) * scale(height, p);
    }

    private static void shadow(Graphics2D g, int width, int height, List<Part> parts) {
        g.setColor(new Color(0, 0, 0, 18));
        for (Part p : parts) {
            Point floor = new Point((p.a.x + p.b.x) / 2, 0, p.depth());
            double r = 0.13 * scale(height, floor);
            g.fill(new Ellipse2D.Double(
                    screenX(width, height, floor) - r, screenY(height, floor) - r / 4, 2 * r, r / 2));
        }
    }

    private static void capsule(Graphics2D g, int width, int height, Part p) {
        double xa = screenX(width, height, p.a);
        double ya = screenY(height, p.a);
        double xb = screenX(width, height, p.b);
        double yb = screenY(height, p.b);
        double ra = p.wideA * scale(height, p.a);
        double rb = p.wideB * scale(height, p.b);
        double length = Math.hypot(xb - xa, yb - ya);
        Area shape = new Area(new Ellipse2D.Double(xa - ra, ya - ra, 2 * ra, 2 * ra));
        shape.add(new Area(new Ellipse2D.Double(xb - rb, yb - rb, 2 * rb, 2 * rb)));
        if (length > 0.5) {
            Path2D side = new Path2D.Double();
            side.moveTo(0, -ra);
            side.lineTo(length, -rb);
            side.lineTo(length, rb);
            side.lineTo(0, ra);
            side.closePath();
            AffineTransform turn = AffineTransform.getTranslateInstance(xa, ya);
            turn.rotate(xb - xa, yb - ya);
            shape.add(new Area(turn.createTransformedShape(side)));
        }
        double light = Math.max(ra, rb);
        double x = (xa + xb) / 2;
        double y = (ya + yb) / 2;
        g.setPaint(new GradientPaint(
                (float) (x - light),
                (float) (y - light),
                lit(p.colour, 1.25),
                (float) (x + light),
                (float) (y + light),
                lit(p.colour, 0.55)));
        g.fill(shape);
    }

    private static Color lit(Color c, double by) {
        return new Color((int) Math.min(255, c.getRed() * by), (int) Math.min(255, c.getGreen() * by), (int)
                Math.min(255, c.getBlue() * by));
    }
}
