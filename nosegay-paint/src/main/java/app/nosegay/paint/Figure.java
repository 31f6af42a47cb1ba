package app.nosegay.paint;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Point2D;

/** A drawn, jointed person. Directions of bones come from a {@link Motion}; the figure stands on the floor by itself. */
public final class Figure {
    private static final double TORSO = 0.30;
    private static final double UPPER_ARM = 0.165;
    private static final double FOREARM = 0.155;
    private static final double THIGH = 0.245;
    private static final double SHIN = 0.235;
    private static final double FOOT = 0.085;
    private static final double HEAD = 0.062;
    private static final double NECK = 0.045;

    private static final Color WOOD = new Color(0x9A7B55);

    private final Color top;
    private final Color legs;
    private final Color skin;
    private final Color hair;

    public Figure(Color top, Color legs, Color skin, Color hair) {
        this.top = top;
        this.legs = legs;
        this.skin = skin;
        this.hair = hair;
    }

    /** The presenter of the demo. */
    public static Figure presenter() {
        return new Figure(new Color(0xC9703D), new Color(0x2F4A45), new Color(0xC98F68), new Color(0x4A2F22));
    }

    /** What is held or used. */
    public enum Prop {
        NONE,
        KETTLEBELL,
        BAND
    }

    /**
     * What it does at a moment.
     *
     * @param phase 0 to 1 between the motion's keyframes
     * @param swapped whether near and far limbs change places: the other side works
     */
    public record Stance(Motion motion, double phase, boolean swapped, Prop prop) {}

    /**
     * Draws the figure.
     *
     * @param x where the anchor stands
     * @param floor the floor line
     * @param height the figure's standing height in pixels
     */
    public void draw(Graphics2D g, Stance stance, double x, double floor, double height) {
        Motion motion = stance.motion();
        double phase = stance.phase();
        boolean swapped = stance.swapped();
        Joints j = joints(motion, motion.at(phase), swapped);
        // The anchor keeps its place in the picture through the whole rep.
        Joints rest = joints(motion, motion.at(0), swapped);
        double anchorX = anchor(j, motion) - (anchor(rest, motion) - centre(rest));
        double lowest = j.lowest();
        double lift = (motion.from()[9] + (motion.to()[9] - motion.from()[9]) * phase) / 100;
        Graphics2D d = (Graphics2D) g.create();
        d.translate(x, floor - lift * height);
        d.scale(height, height);
        d.translate(-anchorX, -lowest);
        shadow(d, j, lowest + lift);
        if (motion.posture() == Motion.Posture.SEATED) {
            chair(d, j, motion.front(), lowest);
        }
        limbs(d, j, motion.front(), stance.prop());
        d.dispose();
    }

    /** What is sat on: a plain seat on legs, with a back rest. */
    private static void chair(Graphics2D g, Joints j, boolean front, double floor) {
        double seat = j.hip.y + 0.055;
        double left = j.hip.x - (front ? 0.11 : 0.09);
        double right = j.hip.x + (front ? 0.11 : 0.13);
        Point2D.Double backLeft = new Point2D.Double(left, seat);
        Point2D.Double frontRight = new Point2D.Double(right, seat);
        bar(g, new Point2D.Double(left, floor - 0.01), new Point2D.Double(left, seat - 0.22), 0.02, WOOD);
        bar(
                g,
                new Point2D.Double(right, floor - 0.01),
                front ? new Point2D.Double(right, seat - 0.22) : frontRight,
                0.02,
                WOOD);
        bar(g, backLeft, frontRight, 0.03, WOOD);
    }

    private static double anchor(Joints j, Motion motion) {
        return switch (motion.anchor()) {
            case "hand" -> (j.nearHand.x + j.farHand.x) / 2;
            case "hip" -> j.hip.x;
            default ->
                motion.name().contains("march") || motion.name().equals("lunge") || motion.front()
                        ? j.hip.x
                        : (j.nearAnkle.x + j.farAnkle.x) / 2;
        };
    }

    private static double centre(Joints j) {
        return (j.hip.x + j.shoulder.x + j.nearAnkle.x + j.farAnkle.x) / 4;
    }

    private Joints joints(Motion motion, double[] pose, boolean swapped) {
        double[] p = pose.clone();
        if (swapped) {
            // Seen from the front the other side is the mirror image; from the side near and far limbs change places.
            double sign = motion.front() ? -1 : 1;
            p[0] = motion.front() ? 360 - pose[0] : pose[0];
            for (int[] pair : new int[][] {{1, 3}, {2, 4}, {5, 7}, {6, 8}}) {
                p[pair[0]] = sign * pose[pair[1]];
                p[pair[1]] = sign * pose[pair[0]];
            }
        }
        Joints j = new Joints();
        double hipHalf = motion.front() ? 0.055 : 0.012;
        double shoulderHalf = motion.front() ? 0.092 : 0.015;
        j.hip = new Point2D.Double(0, 0);
        j.shoulder = bone(j.hip, p[0], TORSO);
        j.head = bone(j.shoulder, p[0], NECK + HEAD);
        j.nearShoulder = new Point2D.Double(j.shoulder.x + shoulderHalf, j.shoulder.y);
        j.farShoulder = new Point2D.Double(j.shoulder.x - shoulderHalf, j.shoulder.y);
        j.nearElbow = bone(j.nearShoulder, p[1], UPPER_ARM);
        j.nearHand = bone(j.nearElbow, p[2], FOREARM);
        j.farElbow = bone(j.farShoulder, p[3], UPPER_ARM);
        j.farHand = bone(j.farElbow, p[4], FOREARM);
        j.nearHip = new Point2D.Double(hipHalf, 0);
        j.farHip = new Point2D.Double(-hipHalf, 0);
        double thigh = THIGH * motion.thigh();
        double shin = SHIN * motion.shin();
        j.nearKnee = bone(j.nearHip, p[5], thigh);
        j.nearAnkle = bone(j.nearKnee, p[6], shin);
        j.farKnee = bone(j.farHip, p[7], thigh);
        j.farAnkle = bone(j.farKnee, p[8], shin);
        j.nearToe = toe(j.nearAnkle, p[6], motion, 1);
        j.farToe = toe(j.farAnkle, p[8], motion, -1);
        return j;
    }

    private static Point2D.Double bone(Point2D.Double from, double degrees, double length) {
        double a = Math.toRadians(degrees);
        return new Point2D.Double(from.x + Math.sin(a) * length, from.y + Math.cos(a) * length);
    }

    /** The foot stands square to the shin, flat where the shin is nearly upright. */
    private static Point2D.Double toe(Point2D.Double ankle, double shin, Motion motion, int outward) {
        if (motion.posture() == Motion.Posture.KNEELING) {
            return bone(ankle, shin, motion.front() ? 0 : FOOT);
        }
        if (motion.front()) {
            return new Point2D.Double(ankle.x + outward * 0.03, ankle.y + 0.02);
        }
        double direction = Math.abs(shin) < 50 ? 90 : shin + 90;
        return bone(ankle, direction, FOOT);
    }

    private static void shadow(Graphics2D g, Joints j, double floor) {
        double left = Math.min(Math.min(j.nearAnkle.x, j.farAnkle.x), Math.min(j.hip.x, j.head.x)) - 0.06;
        double right = Math.max(Math.max(j.nearAnkle.x, j.farAnkle.x), Math.max(j.hip.x, j.head.x)) + 0.10;
        g.setColor(new Color(30, 26, 20, 60));
        g.fill(new Ellipse2D.Double(left, floor - 0.012, right - left, 0.035));
    }

    private void limbs(Graphics2D g, Joints j, boolean front, Prop prop) {
        Color farTop = front ? top : top.darker();
        Color farLegs = front ? legs : darker(legs);
        Color farSkin = front ? skin : darker(skin);
        arm(g, j.farShoulder, j.farElbow, j.farHand, farTop, farSkin);
        leg(g, j.farHip, j.farKnee, j.farAnkle, j.farToe, farLegs);
        leg(g, j.nearHip, j.nearKnee, j.nearAnkle, j.nearToe, legs);
        torso(g, j, front);
        head(g, j, front);
        if (prop == Prop.BAND) {
            g.setColor(new Color(0x6B2D4F));
            g.setStroke(new BasicStroke(0.014f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            g.draw(new Line2D.Double(j.nearHand, j.farHand));
        }
        arm(g, j.nearShoulder, j.nearElbow, j.nearHand, top, skin);
        if (prop == Prop.KETTLEBELL) {
            kettlebell(g, j.nearHand);
        }
    }

    private static Color darker(Color c) {
        return new Color((int) (c.getRed() * 0.8), (int) (c.getGreen() * 0.8), (int) (c.getBlue() * 0.8));
    }

    private static void kettlebell(Graphics2D g, Point2D.Double hand) {
        g.setColor(new Color(0x2B2B2E));
        g.setStroke(new BasicStroke(0.016f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(new Ellipse2D.Double(hand.x - 0.028, hand.y - 0.01, 0.056, 0.06));
        g.fill(new Ellipse2D.Double(hand.x - 0.046, hand.y + 0.025, 0.092, 0.088));
        g.setColor(new Color(255, 255, 255, 40));
        g.fill(new Ellipse2D.Double(hand.x - 0.028, hand.y + 0.036, 0.03, 0.03));
    }

    private static void bar(Graphics2D g, Point2D.Double a, Point2D.Double b, double width, Color colour) {
        g.setColor(colour);
        g.setStroke(new BasicStroke((float) width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.draw(new Line2D.Double(a, b));
    }

    private static void arm(
            Graphics2D g,
            Point2D.Double shoulder,
            Point2D.Double elbow,
            Point2D.Double hand,
            Color sleeve,
            Color skin) {
        bar(g, shoulder, elbow, 0.046, skin);
        bar(g, elbow, hand, 0.038, skin);
        bar(g, shoulder, between(shoulder, elbow, 0.45), 0.056, sleeve);
        g.setColor(skin);
        g.fill(new Ellipse2D.Double(hand.x - 0.025, hand.y - 0.025, 0.05, 0.05));
    }

    private static Point2D.Double between(Point2D.Double a, Point2D.Double b, double share) {
        return new Point2D.Double(a.x + (b.x - a.x) * share, a.y + (b.y - a.y) * share);
    }

    private static void leg(
            Graphics2D g,
            Point2D.Double hip,
            Point2D.Double knee,
            Point2D.Double ankle,
            Point2D.Double toe,
            Color colour) {
        bar(g, hip, knee, 0.074, colour);
        bar(g, knee, ankle, 0.052, colour);
        bar(g, ankle, toe, 0.036, new Color(0xE9E2D0));
    }

    private void torso(Graphics2D g, Joints j, boolean front) {
        double w = front ? 0.088 : 0.062;
        double hw = front ? 0.066 : 0.052;
        double dx = j.shoulder.x - j.hip.x;
        double dy = j.shoulder.y - j.hip.y;
        double l = Math.hypot(dx, dy);
        double nx = -dy / l;
        double ny = dx / l;
        Path2D body = new Path2D.Double();
        body.moveTo(j.hip.x + nx * hw, j.hip.y + ny * hw);
        body.quadTo(
                j.hip.x + dx * 0.5 + nx * hw * 0.85,
                j.hip.y + dy * 0.5 + ny * hw * 0.85,
                j.shoulder.x + nx * w,
                j.shoulder.y + ny * w);
        body.lineTo(j.shoulder.x - nx * w, j.shoulder.y - ny * w);
        body.quadTo(
                j.hip.x + dx * 0.5 - nx * hw * 0.85,
                j.hip.y + dy * 0.5 - ny * hw * 0.85,
                j.hip.x - nx * hw,
                j.hip.y - ny * hw);
        body.closePath();
        g.setStroke(new BasicStroke(0.03f, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(top);
        g.fill(body);
        g.draw(body);
        bar(
                g,
                new Point2D.Double(j.hip.x + nx * hw * 0.8, j.hip.y + ny * hw * 0.8),
                new Point2D.Double(j.hip.x - nx * hw * 0.8, j.hip.y - ny * hw * 0.8),
                0.06,
                legs);
    }

    private void head(Graphics2D g, Joints j, boolean front) {
        bar(g, j.shoulder, j.head, 0.04, skin);
        double dx = (j.head.x - j.shoulder.x) / (NECK + HEAD);
        double dy = (j.head.y - j.shoulder.y) / (NECK + HEAD);
        // A bun at the back, so that one can see which way the head looks.
        double back = front ? 0 : 1;
        double bx = j.head.x + dx * 0.03 + back * -dy * -0.052;
        double by = j.head.y + dy * 0.03 + back * dx * -0.052;
        g.setColor(hair);
        g.fill(new Ellipse2D.Double(
                bx - 0.03 + (front ? dx * 0.05 : 0), by - 0.03 + (front ? dy * 0.05 : 0), 0.06, 0.06));
        g.fill(new Ellipse2D.Double(j.head.x - HEAD * 1.06, j.head.y - HEAD * 1.06, HEAD * 2.12, HEAD * 2.12));
        g.setColor(skin);
        double fx = j.head.x - dx * 0.014 + (front ? 0 : -dy * 0.016);
        double fy = j.head.y - dy * 0.014 + (front ? 0 : dx * 0.016);
        g.fill(new Ellipse2D.Double(fx - HEAD * 0.86, fy - HEAD * 0.86, HEAD * 1.72, HEAD * 1.72));
    }

    /** Where everything is, in heights, y downwards, hip at 0. */
    private static final class Joints {
        Point2D.Double hip;
        Point2D.Double shoulder;
        Point2D.Double head;
        Point2D.Double nearShoulder;
        Point2D.Double farShoulder;
        Point2D.Double nearElbow;
        Point2D.Double nearHand;
        Point2D.Double farElbow;
        Point2D.Double farHand;
        Point2D.Double nearHip;
        Point2D.Double farHip;
        Point2D.Double nearKnee;
        Point2D.Double nearAnkle;
        Point2D.Double farKnee;
        Point2D.Double farAnkle;
        Point2D.Double nearToe;
        Point2D.Double farToe;

        /** The lowest point that touches the floor. */
        double lowest() {
            double y = Math.max(hip.y + 0.05, shoulder.y + 0.05);
            for (Point2D.Double p :
                    new Point2D.Double[] {nearAnkle, farAnkle, nearKnee, farKnee, nearHand, farHand, nearElbow, farElbow
                    }) {
                y = Math.max(y, p.y + 0.03);
            }
            return y;
        }
    }
}
