package app.nosegay.bench.accuracy;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.standins.Presenter;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Line2D;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;

/**
 * Somebody else than {@link Presenter}, seen and not heard: keeps the time by a clock on the wall, takes as long as it takes for sets of
 * repetitions and for rests, walks about and talks with the hands in rests, gets down to the floor before work and up after it, holds still
 * in holds and stretches. The matcher is measured on this figure as well as on the one it grew up with.
 */
public final class OtherPresenter {
    /** A boundary has to be found within this, in seconds (docs/domain.md: motion alone). */
    private static final double TOLERANCE = 2;

    private static final int W = 128;
    private static final int H = 72;
    private static final int CELL = W / TakeEvidence.Poses.WIDTH;
    private static final int CELLS = W * H / (CELL * CELL);
    private static final double HZ = 10;
    /** Grey values that differ by less are sensor noise. */
    private static final int NOISE = 6;
    /** Getting down to the floor, and up again, in seconds. */
    private static final double DOWN = 4;

    private static final double UP = 1.6;
    /** Before work one stands in place for so long, in seconds. */
    private static final double IN_PLACE = 3.5;

    private final Timeline timeline;
    private final Random random;
    private final double[] start;
    private final double[] period;

    private OtherPresenter(Timeline timeline, long seed) {
        this.timeline = timeline;
        random = new Random(seed * 101 + 7);
        List<Segment> segments = timeline.segments();
        start = new double[segments.size() + 1];
        period = new double[segments.size()];
        start[0] = 4 + 10 * random.nextDouble();
        for (int k = 0; k < segments.size(); k++) {
            Segment s = segments.get(k);
            start[k + 1] = start[k] + length(s);
            period[k] = 2.2 + (Math.abs((s.move() + seed).hashCode()) % 100) / 70.0;
        }
    }

    private double length(Segment s) {
        double planned = s.duration().seconds();
        if (s.kind() == SegmentKind.TALK) {
            return planned * (0.7 + 1.1 * random.nextDouble());
        }
        if (s.kind() == SegmentKind.REST) {
            return Math.max(3, planned * (0.9 + 0.4 * random.nextDouble()) + random.nextGaussian());
        }
        return s.reps() != null && s.kind() == SegmentKind.WORK
                ? planned * (0.85 + 0.4 * random.nextDouble())
                : Math.max(3, planned + 1.2 * random.nextGaussian());
    }

    /** How far the matcher is from the truth on one such take of each of {@code sheets} per seed, by movement alone. */
    public static Accuracy.Errors errors(List<String> sheets, int seeds) {
        MoveLibrary library = MoveLibrary.shipped();
        Accuracy.Errors errors = new Accuracy.Errors();
        for (String sheet : sheets) {
            Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, library), library);
            for (long seed = 1; seed <= seeds; seed++) {
                OtherPresenter p = new OtherPresenter(timeline, seed);
                Match found = Matcher.match(
                        timeline,
                        List.of(),
                        List.of(p.filmed()),
                        new ArrayList<>(Collections.nCopies(1, null)),
                        List.of(),
                        Map.of());
                errors.add(Accuracy.compare(p.truth(), found, TOLERANCE));
            }
        }
        return errors;
    }

    private Match truth() {
        List<Match.Placed> placed = new ArrayList<>();
        for (int k = 0; k < timeline.segments().size(); k++) {
            Segment s = timeline.segments().get(k);
            Time<Axis.Take> from = Time.ofSeconds(start[k]);
            Time<Axis.Take> to = Time.ofSeconds(start[k + 1]);
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
        }
        return new Match(List.of(), placed, List.of(), Map.of());
    }

    private TakeEvidence filmed() {
        int count = (int) ((start[start.length - 1] + 8) * HZ);
        byte[] grey = new byte[count * CELLS];
        float[] motion = new float[count];
        BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_BYTE_GRAY);
        byte[] now = ((java.awt.image.DataBufferByte) image.getRaster().getDataBuffer()).getData();
        byte[] before = null;
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        Body body = new Body();
        for (int i = 0; i < count; i++) {
            body.at(i / HZ);
            body.draw(g);
            motion[i] = before == null ? 0 : changed(before, now);
            before = now.clone();
            shrink(now, grey, i * CELLS);
        }
        g.dispose();
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(count / HZ),
                List.of(),
                List.of(),
                Trace.NONE,
                new Trace(HZ, motion),
                new TakeEvidence.Poses(HZ, CELLS, grey),
                List.of());
    }

    private static float changed(byte[] before, byte[] now) {
        int sum = 0;
        for (int i = 0; i < now.length; i++) {
            int d = Math.abs((before[i] & 0xff) - (now[i] & 0xff));
            sum += d > NOISE ? Math.min(d, 64) : 0;
        }
        return sum / (64f * now.length);
    }

    /** The picture in cells, each the mean of its pixels with the noise of a small sensor. */
    private void shrink(byte[] picture, byte[] cells, int at) {
        for (int r = 0; r < H / CELL; r++) {
            for (int c = 0; c < W / CELL; c++) {
                double noisy = mean(picture, r, c) + random.nextGaussian();
                cells[at + r * (W / CELL) + c] = (byte) Math.max(0, Math.min(255, Math.round(noisy)));
            }
        }
    }

    private static double mean(byte[] picture, int r, int c) {
        int sum = 0;
        for (int y = 0; y < CELL; y++) {
            for (int x = 0; x < CELL; x++) {
                sum += picture[(r * CELL + y) * W + c * CELL + x] & 0xff;
            }
        }
        return sum / (double) (CELL * CELL);
    }

    /** Where the body is: it goes to where it means to be and does not jump. */
    private final class Body {
        private int k;
        private double place;
        private double aim;
        private double hands;
        private double gesture;
        private boolean down;
        private boolean moves;
        private double phase;

        void at(double seconds) {
            while (k < timeline.segments().size() - 1 && seconds >= start[k + 1]) {
                k++;
            }
            Segment s = timeline.segments().get(k);
            boolean works = s.kind().isMoving() && seconds >= start[k] + 0.4 && seconds < start[k + 1] + 0.3;
            Segment next =
                    k + 1 < timeline.segments().size() ? timeline.segments().get(k + 1) : null;
            boolean soon = !s.kind().isMoving() && next != null && next.kind().isMoving();
            boolean before = soon && seconds > start[k + 1] - DOWN && isOnFloor(next);
            boolean behind = k > 0 && isOnFloor(timeline.segments().get(k - 1)) && seconds < start[k] + UP;
            down = s.kind().isMoving() ? isOnFloor(s) : before || behind;
            moves = works && !isStill(s);
            phase = moves ? 0.5 - 0.5 * Math.cos(2 * Math.PI * (seconds - start[k] - 0.4) / period[k]) : 0;
            if (random.nextDouble() < 1 / (0.5 * HZ)) {
                boolean inPlace = works || soon && seconds > start[k + 1] - IN_PLACE;
                aim = inPlace ? 0 : Math.max(-12, Math.min(12, aim + 4 * random.nextGaussian()));
                gesture = works || random.nextDouble() < 0.3 ? 0 : 2 * random.nextGaussian();
            }
            place += 0.1 * (aim - place);
            hands += 0.3 * (gesture - hands);
        }

        private boolean isOnFloor(Segment s) {
            return s.kind().isMoving()
                    && MoveLibrary.shipped()
                            .likeliest(s.move())
                            .map(m -> m.isOnFloor())
                            .orElse(false);
        }

        private static boolean isStill(Segment s) {
            return s.kind() == SegmentKind.COOLDOWN
                    || s.move() != null && s.move().matches(".*(?:plank|hold|stretch).*");
        }

        void draw(Graphics2D g) {
            g.setColor(new Color(150, 150, 150));
            g.fillRect(0, 0, W, H);
            g.setColor(new Color(105, 105, 105));
            g.fillRect(0, 53, W, H - 53);
            g.setColor(new Color(210, 210, 210));
            g.fillRect(10, 8, 28, 20);
            if (down) {
                lying(g);
            } else {
                standing(g);
            }
        }

        private void lying(Graphics2D g) {
            double x = W / 2.0 + place;
            double lift = 7 * phase;
            limb(g, 7, 60, new Line2D.Double(x - 21, 50 - lift, x, 52 - lift));
            limb(g, 4, 50, new Line2D.Double(x, 52 - lift, x + 25, 55));
            limb(g, 3, 180, new Line2D.Double(x - 21, 50 - lift, x - 20, 57));
            limb(g, 8, 180, new Line2D.Double(x - 28, 50 - lift, x - 27, 50 - lift));
        }

        private void standing(Graphics2D g) {
            String move = timeline.segments().get(k).move();
            int way = moves && move != null ? Math.abs(move.hashCode()) % 3 : -1;
            double low = way == 0 ? 11 * phase : 0;
            double bow = way == 1 ? 15 * phase : 0;
            double arms = way == 2 ? 16 * phase : 0;
            double x = W / 2.0 + place;
            double hip = 40 + low;
            double shoulder = 23 + low + 0.5 * bow;
            limb(g, 4, 50, new Line2D.Double(x - 6, 62, x - 5 - low / 3, 50 + low / 3));
            limb(g, 4, 50, new Line2D.Double(x - 5 - low / 3, 50 + low / 3, x, hip));
            limb(g, 4, 50, new Line2D.Double(x + 6, 62, x + 5 + low / 3, 50 + low / 3));
            limb(g, 4, 50, new Line2D.Double(x + 5 + low / 3, 50 + low / 3, x, hip));
            limb(g, 8, 70, new Line2D.Double(x, hip, x + bow, shoulder));
            limb(g, 3, 180, new Line2D.Double(x + bow, shoulder, x + bow - 7 - hands, shoulder + 15 - 1.4 * arms));
            limb(
                    g,
                    3,
                    180,
                    new Line2D.Double(x + bow, shoulder, x + bow + 7 - hands, shoulder + 15 - 1.4 * arms + hands));
            limb(
                    g,
                    8,
                    180,
                    new Line2D.Double(
                            x + 1.2 * bow, shoulder - 7 + bow / 5, x + 1.2 * bow + 0.1, shoulder - 7 + bow / 5));
        }

        private void limb(Graphics2D g, float width, int grey, Line2D bone) {
            g.setColor(new Color(grey, grey, grey));
            g.setStroke(new BasicStroke(width, BasicStroke.CAP_ROUND, BasicStroke.JOIN_ROUND));
            g.draw(bone);
        }
    }
}
