package app.nosegay.desktop;

import app.nosegay.jobs.EvidenceCache;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.StudioBackdrop;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** A recording of {@link DrivenWindow#SHEET} without sound, filmed and read once for all tests of the window. */
final class SmallTake {
    private static final int SECONDS = 56;
    private static final int WIDTH = 320;
    private static final int HEIGHT = 180;

    private static Path kept;

    private SmallTake() {}

    static Path whole() throws IOException {
        return part(0, SECONDS);
    }

    /** What is between two seconds of it. */
    static synchronized Path part(int from, int to) throws IOException {
        Path movie = folder().resolve("take-" + from + "-" + to + ".mp4");
        if (!Files.exists(movie)) {
            film(movie, from, to);
        }
        return movie;
    }

    /** Puts what reading the whole of it gives beside the workouts of a folder. */
    static synchronized void layReading(Path workouts) throws IOException {
        EvidenceCache.read(whole(), "take-1", folder(), Progress.NONE);
        Path target = Files.createDirectories(workouts.resolve(".nosegay"));
        try (Stream<Path> read = Files.list(folder().resolve(".nosegay"))) {
            for (Path file : read.toList()) {
                Files.copy(file, target.resolve(file.getFileName()));
            }
        }
    }

    private static Path folder() throws IOException {
        if (kept == null) {
            kept = Files.createTempDirectory("nosegay-small-take");
            Runtime.getRuntime().addShutdownHook(new Thread(() -> remove(kept.toFile())));
        }
        return kept;
    }

    private static void remove(File file) {
        File[] inside = file.listFiles();
        if (inside != null) {
            for (File one : inside) {
                remove(one);
            }
        }
        file.delete();
    }

    private static void film(Path movie, int from, int to) throws IOException {
        BufferedImage set = StudioBackdrop.paint(WIDTH, HEIGHT);
        BufferedImage frame = new BufferedImage(WIDTH, HEIGHT, BufferedImage.TYPE_INT_RGB);
        MovieFormat format = new MovieFormat(WIDTH, HEIGHT, new FrameRate(30, 1), EncoderSettings.TAKE, false);
        try (MovieWriter writer = new MovieWriter(movie, format, "", List.of())) {
            for (int n = from * 30; n < to * 30; n++) {
                double t = n / 30.0 - 3;
                boolean moves = (t > 10 && t < 22) || (t > 28 && t < 40);
                double depth = moves ? 0.5 - 0.5 * Math.cos(t * 2) : 0;
                Graphics2D g = frame.createGraphics();
                g.drawImage(set, 0, 0, null);
                Figure.presenter()
                        .draw(g, new Figure.Stance(Motion.of("squat"), depth, false, Figure.Prop.NONE), 160, 165, 110);
                g.dispose();
                writer.picture(frame, n - from * 30L);
            }
            writer.finish();
        }
    }
}
