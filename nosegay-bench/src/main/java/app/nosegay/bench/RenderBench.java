package app.nosegay.bench;

import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dresser;
import app.nosegay.dress.Dressing;
import app.nosegay.dress.Style;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.jobs.Libraries;
import app.nosegay.match.Match;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.media.RenderJob;
import app.nosegay.media.Renderer;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.PiecePainter;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Rendering with everything on it beside a bare transcode of the same cut; and the film both are made from. */
final class RenderBench {
    private static final String SHORT_SHEET =
            "title: Bench\ncalls: 5, in 3, out 3\ncircuit A  rounds 1  work 0:10  rest 0:05\n  goblet squat\n  push-up\n";

    private RenderBench() {}

    static void rows(PrintWriter out, Path take, Path folder) throws Exception {
        Timeline timeline = Timing.timeline(SHORT_SHEET);
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            Time<Axis.Take> start = Time.ofSeconds(1 + s.start().seconds() * 0.6);
            Time<Axis.Take> end = start.plus(s.duration().times(0.6));
            placed.add(new Match.Placed(s.id(), s.duration(), "t", start, end, start, end, 0, 0, false, false));
        }
        Match.Take described =
                new Match.Take("t", "take.mp4", Length.ofSeconds(BenchCommand.TAKE_SECONDS), null, 0, List.of());
        Match match = new Match(List.of(described), placed, List.of(), Map.of());
        Cut cut = Cut.of(match);
        CuePlan cues = CuePlanner.plan(timeline, Libraries.current(), SpeechRate.DEFAULT);
        Dressing pieces = Dresser.dress(
                new Edit(timeline, match, cut),
                cues,
                Dresser.RecordedEvidence.NOTHING,
                Libraries.current(),
                DressNotes.NONE,
                Frame.LANDSCAPE);
        RenderJob dressed = job(cut, take, pieces);
        RenderJob bare = job(cut, take, null);
        double[] both = Timing.medians(
                () -> Renderer.render(bare, folder.resolve("bare.mp4"), Progress.NONE),
                () -> Renderer.render(dressed, folder.resolve("dressed.mp4"), Progress.NONE));
        double without = both[0];
        double with = both[1];
        BenchCommand.row(out, "rendering with pieces ÷ bare transcode", with / without, "≤ 1.2", with, without);
        Path film = folder.resolve("again.mp4");
        Path memory = folder.resolve("again.parts");
        Renderer.render(dressed, film, memory, Progress.NONE);
        double again = Timing.median(() -> Renderer.render(dressed, film, memory, Progress.NONE));
        BenchCommand.row(out, "rendering again, nothing changed ÷ whole", again / with, "none", again, with);
        out.printf(
                Locale.ROOT,
                "   (H.264, preset %s, quality %d, %dx%d, threads chosen by the encoder)%n",
                EncoderSettings.FINISHED.preset(),
                EncoderSettings.FINISHED.quality(),
                BenchCommand.WIDTH,
                BenchCommand.HEIGHT);
    }

    /** A busy 1080p take with the grain of a real camera, which a drawn picture lacks. */
    static Path film(Path file, double seconds) throws IOException {
        BufferedImage set = StudioBackdrop.paint(BenchCommand.WIDTH, BenchCommand.HEIGHT);
        Random random = new Random(1);
        for (int i = 0; i < BenchCommand.WIDTH * BenchCommand.HEIGHT; i++) {
            int grain = random.nextInt(9) - 4;
            int rgb = set.getRGB(i % BenchCommand.WIDTH, i / BenchCommand.WIDTH);
            set.setRGB(i % BenchCommand.WIDTH, i / BenchCommand.WIDTH, grained(rgb, grain));
        }
        BufferedImage frame = new BufferedImage(BenchCommand.WIDTH, BenchCommand.HEIGHT, BufferedImage.TYPE_INT_RGB);
        float[] sound = new float[2 * MovieWriter.SOUND_HZ / 30];
        try (MovieWriter writer = new MovieWriter(
                file,
                new MovieFormat(
                        BenchCommand.WIDTH, BenchCommand.HEIGHT, BenchCommand.RATE, EncoderSettings.FINISHED, true),
                "",
                List.of())) {
            for (int n = 0; n < seconds * 30; n++) {
                Graphics2D g = frame.createGraphics();
                g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
                int shake = n % 3 - 1;
                g.drawImage(set, shake, -shake, null);
                Figure.presenter()
                        .draw(
                                g,
                                new Figure.Stance(
                                        Motion.of("squat"),
                                        0.5 - 0.5 * Math.cos(n / 14.0),
                                        false,
                                        Figure.Prop.KETTLEBELL),
                                BenchCommand.WIDTH / 2.0,
                                BenchCommand.HEIGHT * 0.92,
                                BenchCommand.HEIGHT * 0.6);
                g.dispose();
                for (int i = 0; i < sound.length; i++) {
                    sound[i] = (float) (0.02 * random.nextGaussian());
                }
                writer.picture(frame, n);
                writer.sound(sound, 0, sound.length / 2);
            }
            writer.finish();
        }
        return file;
    }

    private static int grained(int rgb, int grain) {
        int r = Math.max(0, Math.min(255, (rgb >> 16 & 0xff) + grain));
        int g = Math.max(0, Math.min(255, (rgb >> 8 & 0xff) + grain));
        int b = Math.max(0, Math.min(255, (rgb & 0xff) + grain));
        return r << 16 | g << 8 | b;
    }

    private static RenderJob job(Cut cut, Path take, Dressing dressing) {
        return new RenderJob(
                cut,
                Map.of("t", take),
                dressing,
                new PiecePainter(Style.PRESSED)::paint,
                BenchCommand.WIDTH,
                BenchCommand.HEIGHT,
                BenchCommand.RATE,
                EncoderSettings.FINISHED,
                "",
                List.of());
    }
}
