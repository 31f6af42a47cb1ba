package app.nosegay.paint;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.util.List;

/** The joints that were understood, over a picture: the left side in one ink, the right in another, what is unsure faded. */
public final class Skeleton {
    public static final Color LEFT = Palette.REST;
    public static final Color RIGHT = Palette.VOICE;

    private static final List<List<Joint>> LIMBS = List.of(
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_ELBOW, Joint.LEFT_WRIST, Joint.LEFT_INDEX_FINGER),
            List.of(Joint.LEFT_SHOULDER, Joint.LEFT_HIP, Joint.LEFT_KNEE, Joint.LEFT_ANKLE, Joint.LEFT_TOES));
    private static final double UNSURE = 0.4;

    private Skeleton() {}

    /** Draws everybody seen in a sample over a picture of {@code height} pixels. */
    public static void draw(Graphics2D g, Bodies bodies, int sample, double height) {
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        for (Body body : bodies.people()) {
            if (body.isIn(sample)) {
                draw(g, body, sample, height);
            }
        }
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
