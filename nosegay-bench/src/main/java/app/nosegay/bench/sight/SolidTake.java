package app.nosegay.bench.sight;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.sight.BodyFinder;
import app.nosegay.sight.Picture;
import app.nosegay.time.Length;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Ellipse2D;
import java.awt.geom.Rectangle2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;

/** Sets of one solid figure in one room, as drawn and as seen: people's timing, somebody behind, a pet, a camera off centre, noise. */
final class SolidTake {
    static final double HZ = 8;
    private static final int COLUMNS = TakeEvidence.Poses.WIDTH;
    private static final int ROWS = 18;

    /**
     * A set as it was done.
     *
     * @param side the working side, 0 left and 1 right
     * @param planned seconds a rep was planned to take
     * @param ends when each rep ended, in seconds
     */
    record Done(SolidMove kind, int side, double planned, double start, double end, List<Double> ends) {}

    private final long seed;
    private final Random random;
    private final Mannequin figure;
    private final Mannequin passer;
    private final List<Done> sets = new ArrayList<>();
    private final double length;
    private final int width;
    private final int height;
    private final double off;
    private final double near;
    private BufferedImage room;

    SolidTake(long seed, List<SolidMove> kinds) {
        this.seed = seed;
        random = new Random(seed * 977 + 3);
        figure = new Mannequin(seed);
        passer = new Mannequin(seed + 1000);
        boolean portrait = seed % 5 == 4;
        width = portrait ? 270 : 480;
        height = portrait ? 480 : 270;
        off = portrait ? 0 : 0.9 * (random.nextDouble() - 0.5);
        near = portrait ? -1.6 : 0.3 * random.nextDouble() - 0.2;
        double t = 4 + 3 * random.nextDouble();
        for (SolidMove kind : kinds) {
            int side = random.nextInt(2);
            double planned = 1.6 + 1.6 * random.nextDouble();
            double pace = 0.85 + 0.35 * random.nextDouble();
            int reps = 5 + random.nextInt(9);
            double start = t;
            List<Double> ends = new ArrayList<>();
            for (int i = 0; i < reps; i++) {
                t += planned * pace * (0.9 + 0.2 * random.nextDouble()) * (1 + 0.02 * i);
                ends.add(t);
            }
            sets.add(new Done(kind, side, planned, start, t, ends));
            t += 7 + 4 * random.nextDouble();
        }
        length = t;
    }

    List<Done> sets() {
        return sets;
    }

    long seed() {
        return seed;
    }

    int samples() {
        return (int) (length * HZ);
    }

    /** What it looks like at a sample. */
    BufferedImage picture(int sample) {
        if (room == null) {
            room = room();
        }
        double t = sample / HZ;
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.drawImage(room, 0, 0, null);
        if (seed % 3 == 1) {
            // Somebody walks by behind, to and fro, now and then.
            double x = 3.2 - (t * 0.9) % 14;
            Mannequin.Angles walk = new Mannequin.Angles();
            for (int s = 0; s < 2; s++) {
                walk.hip[s] = 0.45 * Math.sin(5 * t + Math.PI * s);
                walk.knee[s] = 0.3 + 0.3 * Math.sin(5 * t + Math.PI * s + 1);
            }
            passer.draw(g, width, height, walk, new Mannequin.Stand(-1.5, x, -2.2));
        }
        if (seed % 4 == 2) {
            double x = width * (0.5 + 0.45 * Math.sin(t / 5));
            g.setColor(new Color(120, 85, 60));
            g.fill(new Ellipse2D.Double(x, height * 0.86, height * 0.13, height * 0.06));
            g.fill(new Ellipse2D.Double(x + height * 0.11, height * 0.83, height * 0.05, height * 0.05));
        }
        Mannequin.Angles now = new Mannequin.Angles();
        double yaw = 0;
        for (int s = 0; s < 2; s++) {
            now.elbow[s] += 0.25 + 0.25 * Math.sin(0.9 * t + 2 * s);
            now.shoulder[s] += 0.1 * Math.sin(0.7 * t + s);
        }
        for (Done set : sets) {
            double before = Math.min(1, Math.max(0, (t - set.start() + 3) / 1.5));
            double behind = Math.min(1, Math.max(0, (set.end() + 2 - t) / 1.5));
            double ready = Math.min(before, behind);
            if (ready > 0) {
                now = pose(set, t, ready, now);
                yaw = set.kind().yaw * ready * (seed % 2 == 0 ? 1 : -1);
            }
        }
        figure.draw(g, width, height, now, new Mannequin.Stand(yaw, off + 0.02 * Math.sin(1.3 * t), near));
        g.dispose();
        noise(image, sample);
        return image;
    }

    private static Mannequin.Angles pose(Done set, double t, double ready, Mannequin.Angles idle) {
        int rep = 0;
        while (rep < set.ends().size() - 1 && t > set.ends().get(rep)) {
            rep++;
        }
        double from = rep == 0 ? set.start() : set.ends().get(rep - 1);
        double share = Math.max(0, Math.min(1, (t - from) / (set.ends().get(rep) - from)));
        double phase = t < set.start() || t > set.end() ? 0 : (0.5 - 0.5 * Math.cos(2 * Math.PI * share)) * depth(rep);
        Mannequin.Angles a = new Mannequin.Angles();
        set.kind().at(a, phase, set.kind().isAlternate() ? (set.side() + rep) % 2 : set.side());
        if (ready < 1) {
            a.lean = mixed(idle.lean, a.lean, ready);
            a.tip = a.tip * ready;
            for (int s = 0; s < 2; s++) {
                a.hip[s] = mixed(idle.hip[s], a.hip[s], ready);
                a.knee[s] = mixed(idle.knee[s], a.knee[s], ready);
                a.shoulder[s] = mixed(idle.shoulder[s], a.shoulder[s], ready);
                a.elbow[s] = mixed(idle.elbow[s], a.elbow[s], ready);
            }
        }
        return a;
    }

    private static double depth(int rep) {
        return 0.85 + 0.15 * Math.abs(Math.sin(7.3 * rep));
    }

    private static double mixed(double a, double b, double share) {
        return a + (b - a) * share;
    }

    /** A wall and a floor with what stands about; in some rooms nearly all is of one brightness. */
    private BufferedImage room() {
        Random r = new Random(seed * 13);
        BufferedImage image = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        float contrast = seed % 3 == 2 ? 0.08f : 0.3f;
        float bright = 0.4f + 0.4f * r.nextFloat();
        float hue = r.nextFloat();
        g.setColor(Color.getHSBColor(hue, 0.15f, bright));
        g.fillRect(0, 0, width, height);
        g.setColor(Color.getHSBColor(hue + 0.1f, 0.25f, Math.max(0, bright - contrast / 2)));
        g.fill(new Rectangle2D.Double(0, height * 0.68, width, height));
        for (int i = 0; i < 26; i++) {
            float shade = bright + contrast * (r.nextFloat() - 0.5f) * 2;
            g.setColor(Color.getHSBColor(r.nextFloat(), 0.4f * r.nextFloat(), Math.max(0.05f, Math.min(1, shade))));
            double w = (0.03 + 0.16 * r.nextDouble()) * width;
            double h = (0.04 + 0.25 * r.nextDouble()) * height;
            double x = r.nextDouble() * width - w / 2;
            double y = r.nextDouble() * height * 0.72 - h / 3;
            if (r.nextInt(3) == 0) {
                g.fill(new Ellipse2D.Double(x, y, w, h));
            } else {
                g.fill(new Rectangle2D.Double(x, y, w, h));
            }
        }
        g.dispose();
        return image;
    }

    private void noise(BufferedImage image, int sample) {
        Random r = new Random(seed * 100_003 + sample);
        double light = 1 + 0.02 * Math.sin(sample * 2.1);
        int[] pixels = ((java.awt.image.DataBufferInt) image.getRaster().getDataBuffer()).getData();
        for (int i = 0; i < pixels.length; i++) {
            int n = r.nextInt(13) - 6;
            int p = pixels[i];
            pixels[i] = value((p >> 16 & 255) * light + n) << 16
                    | value((p >> 8 & 255) * light + n) << 8
                    | value((p & 255) * light + n);
        }
    }

    private static int value(double v) {
        return (int) Math.max(0, Math.min(255, Math.round(v)));
    }

    /** The take as read, with the bodies in it. */
    TakeEvidence seen() {
        int n = samples();
        byte[] grey = new byte[n * COLUMNS * ROWS];
        try (BodyFinder finder = new BodyFinder(HZ, 0)) {
            for (int i = 0; i < n; i++) {
                byte[] rgb = rgb(picture(i), 0);
                finder.see(new Picture(width, height, rgb));
                shrink(rgb, grey, i * COLUMNS * ROWS);
            }
            Bodies bodies = BodyFinder.found(List.of(finder));
            return new TakeEvidence(
                            "t",
                            "t.mp4",
                            length(),
                            List.of(),
                            List.of(),
                            Trace.NONE,
                            Trace.NONE,
                            new TakeEvidence.Poses(HZ, COLUMNS * ROWS, grey),
                            List.of())
                    .withBodies(bodies);
        }
    }

    /** The bodies as a camera sees them that cuts off so many upper rows of the picture. */
    Bodies cutOff(int rows) {
        try (BodyFinder finder = new BodyFinder(HZ, 0)) {
            for (int i = 0; i < samples(); i++) {
                finder.see(new Picture(width, height - rows, rgb(picture(i), rows)));
            }
            return BodyFinder.found(List.of(finder));
        }
    }

    int height() {
        return height;
    }

    Length length() {
        return Length.ofSeconds(length);
    }

    private static byte[] rgb(BufferedImage image, int top) {
        int width = image.getWidth();
        int[] pixels = image.getRGB(0, top, width, image.getHeight() - top, null, 0, width);
        byte[] rgb = new byte[pixels.length * 3];
        for (int k = 0; k < pixels.length; k++) {
            rgb[3 * k] = (byte) (pixels[k] >> 16);
            rgb[3 * k + 1] = (byte) (pixels[k] >> 8);
            rgb[3 * k + 2] = (byte) pixels[k];
        }
        return rgb;
    }

    private void shrink(byte[] rgb, byte[] cells, int at) {
        for (int y = 0; y < ROWS; y++) {
            for (int x = 0; x < COLUMNS; x++) {
                cells[at + y * COLUMNS + x] = (byte) mean(rgb, x, y);
            }
        }
    }

    private int mean(byte[] rgb, int x, int y) {
        int sum = 0;
        int n = 0;
        for (int v = y * height / ROWS; v < (y + 1) * height / ROWS; v++) {
            for (int u = x * width / COLUMNS; u < (x + 1) * width / COLUMNS; u++) {
                sum += rgb[(v * width + u) * 3 + 1] & 0xff;
                n++;
            }
        }
        return sum / Math.max(1, n);
    }
}
