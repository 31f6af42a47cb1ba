package app.nosegay.bench.accuracy;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CuePlanner;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Played;
import app.nosegay.standins.SimulatedCamera;
import app.nosegay.standins.Trouble;
import app.nosegay.time.Axis;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;

/**
 * How many sets are counted right from motion alone: small pictures of the drawn figure, with camera noise, flicker, drift and a second
 * person in the frame.
 *
 * @param wrong the sets that are not exact, a line each
 */
public record RepAccuracy(int sets, int exact, int withinOne, List<String> wrong) {
    private static final int W = 160;
    private static final int H = 90;
    private static final int CELLS = 32 * 18;
    private static final double HZ = 10;
    private static final String SHEET = "title: T\ncalls: none\n"
            + "circuit A  work 0:40  rest 0:15\n  goblet squat  tempo 2-0-1\n  push-up  tempo 2-1-1\n  "
            + "single-arm row  sides separate  tempo 1-1-2\n"
            + "  reverse lunge  sides alternate  tempo 1-0-1\n  kettlebell deadlift  tempo 2-0-2\n  band pull-apart  tempo 1-1-1\n"
            + "superset B  sets 3  reps 10  rest 0:30\n  goblet squat  tempo 3-0-1\n  single-arm press  sides separate  tempo 1-0-2\n"
            + "circuit C  work 0:25  rest 0:10\n  glute bridge  tempo 1-1-1\n  hip hinge  tempo 2-0-1\n";

    public double exactShare() {
        return exact / (double) sets;
    }

    public double withinOneShare() {
        return withinOne / (double) sets;
    }

    /** Counts the sets of runs {@code first} to {@code last}. */
    public static RepAccuracy of(long first, long last) {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(SHEET, library), library);
        RepAccuracy all = new RepAccuracy(0, 0, 0, List.of());
        for (long run = first; run <= last; run++) {
            all = all.plus(of(run, timeline, library));
        }
        return all;
    }

    private RepAccuracy plus(RepAccuracy other) {
        List<String> all = new ArrayList<>(wrong);
        all.addAll(other.wrong);
        return new RepAccuracy(sets + other.sets, exact + other.exact, withinOne + other.withinOne, all);
    }

    private static RepAccuracy of(long run, Timeline timeline, MoveLibrary library) {
        Performance p = Performance.of(
                timeline,
                CuePlanner.plan(timeline, library, SpeechRate.DEFAULT),
                run,
                EnumSet.of(run % 2 == 0 ? Trouble.UNEVEN_REPS : Trouble.LATE_START));
        TakeEvidence e = p.evidence("t");
        TakeEvidence seen = new TakeEvidence(
                "t",
                "t",
                e.length(),
                e.tones(),
                e.beeps(),
                e.loudness(),
                e.motion(),
                poses(p, library, new Random(run)),
                List.of());
        Match found = Matcher.match(timeline, List.of(seen), List.of(p.log()), List.of());
        Match truth = p.truth("t", "t");
        int sets = 0;
        int exact = 0;
        int near = 0;
        List<String> wrong = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            if (s.kind() == SegmentKind.WORK) {
                int there = truth.reps().get(s.id()).size();
                int counted = found.reps().get(s.id()).size();
                sets++;
                exact += there == counted ? 1 : 0;
                near += Math.abs(there - counted) <= 1 ? 1 : 0;
                if (there != counted) {
                    wrong.add("run " + run + " " + s.id() + ": " + there + " reps, " + counted + " counted");
                }
            }
        }
        return new RepAccuracy(sets, exact, near, wrong);
    }

    /** 32 × 18 grey pictures, as the reader makes them. */
    private static TakeEvidence.Poses poses(Performance p, MoveLibrary library, Random random) {
        int n = (int) (p.length().seconds() * HZ);
        byte[] grey = new byte[n * CELLS];
        BufferedImage image = new BufferedImage(W, H, BufferedImage.TYPE_INT_RGB);
        for (int i = 0; i < n; i++) {
            Time<Axis.Take> time = Time.ofSeconds(i / HZ);
            Graphics2D g = image.createGraphics();
            g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
            g.setColor(new Color(0xBFC7B0));
            g.fillRect(0, 0, W, H);
            presenter(g, p, library, time);
            // Someone else sways at the edge at a pace of their own.
            double other = 0.5 - 0.5 * Math.cos(2 * Math.PI * time.seconds() / 3.7);
            Figure.presenter()
                    .draw(
                            g,
                            new Figure.Stance(Motion.of("stand"), other, false, Figure.Prop.NONE),
                            W * 0.9,
                            H * 0.8,
                            H * 0.4);
            g.dispose();
            double light = 1 + 0.02 * Math.sin(2 * Math.PI * time.seconds() * 3.3) + 0.0004 * time.seconds();
            for (int y = 0; y < 18; y++) {
                for (int x = 0; x < 32; x++) {
                    double value = mean(image, x, y) * light + 1.2 * random.nextGaussian();
                    grey[i * CELLS + y * 32 + x] = (byte) Math.max(0, Math.min(255, Math.round(value)));
                }
            }
        }
        return new TakeEvidence.Poses(HZ, CELLS, grey);
    }

    private static void presenter(Graphics2D g, Performance p, MoveLibrary library, Time<Axis.Take> time) {
        Played now = null;
        for (Played q : p.played()) {
            now = !time.isBefore(q.start()) ? q : now;
        }
        if (now != null) {
            boolean moves = now.segment().kind().isMoving()
                    && !time.isBefore(now.performedStart())
                    && time.isBefore(now.performedEnd());
            Move move = now.segment().move() == null
                    ? null
                    : library.find(now.segment().move()).orElse(null);
            double phase = moves ? SimulatedCamera.phase(now, time) : 0;
            boolean swapped = now.segment().way() == SideWay.ALTERNATE && SimulatedCamera.repIndex(now, time) % 2 == 1;
            String motion = move == null ? "stand" : move.motion();
            Figure.presenter()
                    .draw(
                            g,
                            new Figure.Stance(Motion.of(motion), phase, swapped, Figure.Prop.NONE),
                            W * 0.5,
                            H * 0.92,
                            H * 0.6);
        }
    }

    /** The mean grey of a cell. */
    private static double mean(BufferedImage image, int x, int y) {
        double sum = 0;
        for (int dy = 0; dy < 5; dy++) {
            for (int dx = 0; dx < 5; dx++) {
                int rgb = image.getRGB(x * 5 + dx, y * 5 + dy);
                sum += 0.3 * (rgb >> 16 & 255) + 0.6 * (rgb >> 8 & 255) + 0.1 * (rgb & 255);
            }
        }
        return sum / 25;
    }
}
