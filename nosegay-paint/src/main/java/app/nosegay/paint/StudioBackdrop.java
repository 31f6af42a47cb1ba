package app.nosegay.paint;

import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.GradientPaint;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Line2D;
import java.awt.geom.Path2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.Random;

/** The plain set of the simulated camera: the inside of a potting shed, drawn once. */
public final class StudioBackdrop {
    /** The floor line the presenter stands on, as a share of the picture's height. */
    public static final double FLOOR = 0.87;

    private StudioBackdrop() {}

    public static BufferedImage paint(int width, int height) {
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.scale(height / 720.0, height / 720.0);
        double w = width * 720.0 / height;
        wall(g, w);
        window(g, w * 0.135, 150);
        shelf(g, w * 0.80, 300);
        tools(g, w * 0.60, 120);
        floor(g, w);
        light(g, w);
        g.dispose();
        return image;
    }

    private static void wall(Graphics2D g, double w) {
        g.setPaint(new GradientPaint(0, 0, new Color(0xB9BFA6), 0, 560, new Color(0xA3AA90)));
        g.fill(new Rectangle2D.Double(0, 0, w, 560));
        Random grain = new Random(3);
        for (double x = 0; x < w; x += 74) {
            g.setColor(new Color(60, 66, 48, 50));
            g.fill(new Rectangle2D.Double(x, 0, 2, 560));
            g.setColor(new Color(255, 255, 240, 26));
            g.fill(new Rectangle2D.Double(x + 2, 0, 3, 560));
            for (int k = 0; k < 5; k++) {
                g.setColor(new Color(60, 66, 48, 16));
                g.fill(new Ellipse2D.Double(x + 10 + grain.nextInt(54), grain.nextInt(540), 3, 40 + grain.nextInt(80)));
            }
        }
        g.setColor(new Color(0x6E5B45));
        g.fill(new Rectangle2D.Double(0, 548, w, 14));
    }

    private static void window(Graphics2D g, double x, double y) {
        g.setColor(new Color(0x7A644B));
        g.fill(new Rectangle2D.Double(x - 14, y - 14, 218, 228));
        g.setPaint(new GradientPaint(0, (float) y, new Color(0xDDEAF0), 0, (float) y + 200, new Color(0xE9EBD2)));
        g.fill(new Rectangle2D.Double(x, y, 190, 200));
        g.setColor(new Color(0x9BB487));
        Path2D hill = new Path2D.Double();
        hill.moveTo(x, y + 160);
        hill.curveTo(x + 60, y + 120, x + 120, y + 170, x + 190, y + 138);
        hill.lineTo(x + 190, y + 200);
        hill.lineTo(x, y + 200);
        hill.closePath();
        g.fill(hill);
        g.setColor(new Color(0x7A644B));
        g.fill(new Rectangle2D.Double(x + 91, y, 8, 200));
        g.fill(new Rectangle2D.Double(x, y + 96, 190, 8));
        g.fill(new Rectangle2D.Double(x - 24, y + 206, 238, 14));
        pot(g, x + 30, y + 206, 26, new Color(0x7D9A56));
        pot(g, x + 150, y + 206, 22, new Color(0xB5556E));
    }

    private static void pot(Graphics2D g, double x, double base, double r, Color plant) {
        for (int i = -2; i <= 2; i++) {
            g.setColor(i % 2 == 0 ? plant : plant.darker());
            g.fill(new Ellipse2D.Double(
                    x + i * r * 0.45 - r * 0.4, base - r * 2.5 + Math.abs(i) * r * 0.3, r * 0.8, r * 1.2));
        }
        Path2D pot = new Path2D.Double();
        pot.moveTo(x - r, base - r * 1.4);
        pot.lineTo(x + r, base - r * 1.4);
        pot.lineTo(x + r * 0.7, base);
        pot.lineTo(x - r * 0.7, base);
        pot.closePath();
        g.setColor(new Color(0xB4714D));
        g.fill(pot);
        g.setColor(new Color(0xC5835E));
        g.fill(new Rectangle2D.Double(x - r * 1.12, base - r * 1.5, r * 2.24, r * 0.4));
    }

    private static void shelf(Graphics2D g, double x, double y) {
        g.setColor(new Color(0x7A644B));
        g.fill(new Rectangle2D.Double(x - 120, y, 300, 12));
        g.fill(new Rectangle2D.Double(x - 120, y + 120, 300, 12));
        pot(g, x - 84, y, 26, new Color(0x6E8F4E));
        pot(g, x - 10, y, 20, new Color(0xC9A13F));
        pot(g, x + 62, y, 28, new Color(0x5F8560));
        pot(g, x - 50, y + 120, 22, new Color(0x8AA765));
        g.setColor(new Color(0x8C9AA0));
        g.fill(new Rectangle2D.Double(x + 20, y + 72, 52, 48));
        g.setStroke(new BasicStroke(6));
        g.draw(new Ellipse2D.Double(x + 60, y + 80, 30, 26));
    }

    private static void tools(Graphics2D g, double x, double y) {
        g.setColor(new Color(0x7A644B));
        g.fill(new Rectangle2D.Double(x - 30, y - 8, 150, 8));
        g.setStroke(new BasicStroke(7, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
        g.setColor(new Color(0x8A6A45));
        g.drawLine((int) x, (int) y, (int) x, (int) y + 120);
        g.drawLine((int) x + 46, (int) y, (int) x + 46, (int) y + 110);
        g.drawLine((int) x + 92, (int) y, (int) x + 92, (int) y + 100);
        g.setColor(new Color(0x6B737A));
        g.fill(new Ellipse2D.Double(x - 17, y + 112, 34, 52));
        g.fill(new Rectangle2D.Double(x + 26, y + 108, 40, 12));
        for (int i = 0; i < 4; i++) {
            g.fill(new Rectangle2D.Double(x + 27 + i * 11, y + 118, 5, 30));
        }
        g.fill(new Rectangle2D.Double(x + 76, y + 98, 32, 20));
    }

    private static void floor(Graphics2D g, double w) {
        g.setPaint(new GradientPaint(0, 560, new Color(0xB39A77), 0, 720, new Color(0x8F7653)));
        g.fill(new Rectangle2D.Double(0, 562, w, 158));
        g.setStroke(new BasicStroke(2));
        g.setColor(new Color(70, 52, 32, 70));
        for (double y = 574, step = 12; y < 720; y += step, step *= 1.35) {
            g.draw(new Line2D.Double(0, y, w, y));
        }
        Path2D mat = new Path2D.Double();
        mat.moveTo(w * 0.24, 598);
        mat.lineTo(w * 0.76, 598);
        mat.lineTo(w * 0.82, 690);
        mat.lineTo(w * 0.18, 690);
        mat.closePath();
        g.setColor(new Color(0x55706B));
        g.fill(mat);
        g.setColor(new Color(255, 255, 255, 30));
        g.setStroke(new BasicStroke(3));
        g.draw(mat);
    }

    private static void light(Graphics2D g, double w) {
        Path2D beam = new Path2D.Double();
        beam.moveTo(w * 0.15, 150);
        beam.lineTo(w * 0.27, 150);
        beam.lineTo(w * 0.66, 720);
        beam.lineTo(w * 0.34, 720);
        beam.closePath();
        g.setPaint(new GradientPaint(
                (float) (w * 0.2),
                150,
                new Color(255, 250, 220, 46),
                (float) (w * 0.5),
                720,
                new Color(255, 250, 220, 0)));
        g.fill(beam);
    }
}
