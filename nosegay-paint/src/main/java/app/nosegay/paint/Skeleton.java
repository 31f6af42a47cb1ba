package app.nosegay.paint;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Rectangle2D;
import java.util.List;

/** The joints that were understood, over a picture: the left side in one ink, the right in another, what is unsure faded. */
public final class Skeleton {
    public static final Color LEFT = Palette.REST;
    public static final Color RIGHT = Palette.VOICE;

    private static final List<List<Joint>> LIMBS = List.of(
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_ELBOW, Joint.LEFT_WRIST, Joint.LEFT_INDEX_FINGER),
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_HIP, Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.LEFT_TOES));
    private static final double UNSURE = 0.4;
    /** Radius of the circle a number stands in, at least. */
    private static final double NUMBER_PIXELS = 9;

    private Skeleton() {}

    /** Draws everybody seen at a moment over a picture of {@code height} pixels; where they are several, numbered from the left. */
    public static void draw(Graphics2D g, Bodies bodies, Time<Axis.Take> time, double height) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        int sample = bodies.nearest(time);
        List<Body> seen = bodies.across(time);
        seen.forEach(body -> draw(g, body, sample, height));
        for (int i = 0; i < seen.size() && seen.size() > 1; i++) {
            number(g, seen.get(i), sample, height, i + 1);
        }
    }

    /** A number on somebody's chest, where no joint is. */
    private static void number(Graphics2D g, Body body, int sample, double height, int number) {
        double x = body.trunkX(sample) * height;
        double y = body.trunkY(sample) * height;
        double r = Math.max(NUMBER_PIXELS, height / 26);
        g.setColor(Palette.PAPER);
        g.fill(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
        g.setColor(Palette.INK);
        g.setStroke(new BasicStroke(1));
        g.draw(new Ellipse2D.Double(x - r, y - r, 2 * r, 2 * r));
        g.setFont(Typefaces.text(1.5 * r));
        String digits = Integer.toString(number);
        Rectangle2D box = g.getFontMetrics().getStringBounds(digits, g);
        g.drawString(digits, (float) (x - box.getWidth() / 2), (float) (y + 0.52 * r));
    }

    private static void draw(Graphics2D g, Body body, int sample, double height) {
        float wide = (float) Math.max(1.6, height / 130);
        for (int halo = 1; halo >= 0; halo--) {
            g.setStroke(new BasicStroke(wide + 2 * halo, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            for (int side = 0; side < 2; side++) {
                Color ink = halo == 1 ? Color.WHITE : side == 0 ? LEFT : RIGHT;
                for (List<Joint> limb : LIMBS) {
                    limb(g, body, sample, height, side == 0 ? limb : opposite(limb), ink);
                }
            }
        }
        double r = wide * 1.4;
        g.setColor(Palette.INK);
        g.fill(new Ellipse2D.Double(
                body.x(sample, Joint.NOSE) * height - r, body.y(sample, Joint.NOSE) * height - r, 2 * r, 2 * r));
    }

    private static List<Joint> opposite(List<Joint> limb) {
        return limb.stream().map(Joint::opposite).toList();
    }

    private static void limb(Graphics2D g, Body body, int sample, double height, List<Joint> limb, Color ink) {
        for (int i = 0; i + 1 < limb.size(); i++) {
            Joint a = limb.get(i);
            Joint b = limb.get(i + 1);
            boolean sure = Math.min(body.sure(sample, a), body.sure(sample, b)) > UNSURE;
            g.setColor(sure ? ink : Palette.faded(ink, 90));
            g.draw(new Line2D.Double(
                    body.x(sample, a) * height,
                    body.y(sample, a) * height,
                    body.x(sample, b) * height,
                    body.y(sample, b) * height));
        }
    }
}
