package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.cut.Cut;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A landscape take shown upright: cropped where that is enough, whole between bars where somebody would be cut. */
class ReframingTest {
    private static final FrameRate RATE = new FrameRate(30, 1);
    private static final int PAPER = 0xf0e8d0;
    private static final int WIDTH = 180;
    private static final int HEIGHT = 320;

    @TempDir
    private Path folder;

    private Path render(Reframing reframing) throws IOException {
        Path film = Movies.film(folder.resolve("film.mp4"), 6, RATE, false, 0, 6, List.of());
        Cut cut = new Cut(List.of(new Cut.Clip("t", Movies.span(0, 6), Time.zero())));
        RenderJob job = new RenderJob(
                cut,
                Map.of("t", film),
                null,
                null,
                WIDTH,
                HEIGHT,
                RATE,
                EncoderSettings.FINISHED,
                "Title",
                List.of(),
                SoundPlan.AS_RECORDED,
                reframing);
        Path out = folder.resolve("upright.mp4");
        Renderer.render(job, out, Progress.NONE);
        return out;
    }

    private static boolean isPaper(BufferedImage image, int x, int y) {
        Color seen = new Color(image.getRGB(x, y));
        Color paper = new Color(PAPER);
        return Math.abs(seen.getRed() - paper.getRed()) < 14
                && Math.abs(seen.getGreen() - paper.getGreen()) < 14
                && Math.abs(seen.getBlue() - paper.getBlue()) < 14;
    }

    @Test
    void theViewChangesWhereItIsToldAndNoFrameIsLost() throws IOException {
        Reframing views = new Reframing(List.of(
                new Reframing.Step(Time.zero(), new Crop(0.5, 0, PAPER)),
                new Reframing.Step(Time.ofSeconds(2), new Crop(0.5, 0.8, PAPER)),
                new Reframing.Step(Time.ofSeconds(4), new Crop(0.5, 0.2, PAPER))));
        Path out = render(views);
        try (FramePicker picker = new FramePicker(out)) {
            for (double second : new double[] {0.5, 1.9, 4.1, 5.5}) {
                BufferedImage full = picker.frameAt(Time.ofSeconds(second), WIDTH, HEIGHT);
                assertThat(isPaper(full, 90, 4)).as("bars at " + second).isFalse();
                assertThat(isPaper(full, 90, 315)).as("bars at " + second).isFalse();
            }
            for (double second : new double[] {2.1, 3.9}) {
                BufferedImage between = picker.frameAt(Time.ofSeconds(second), WIDTH, HEIGHT);
                assertThat(isPaper(between, 90, 40)).as("bars at " + second).isTrue();
                assertThat(isPaper(between, 90, 280)).as("bars at " + second).isTrue();
                assertThat(isPaper(between, 90, 160)).as("picture at " + second).isFalse();
            }
        }
        String frames =
                Ffmpeg.probe("-count_frames -select_streams v -show_entries stream=nb_read_frames -of csv=p=0", out);
        assertThat(frames.strip()).startsWith("180");
    }

    @Test
    void theWholeWidthIsNeverExceeded() throws IOException {
        Path out = render(Reframing.of(new Crop(0.9, 3, PAPER)));
        try (FramePicker picker = new FramePicker(out)) {
            BufferedImage image = picker.frameAt(Time.ofSeconds(3), WIDTH, HEIGHT);
            // 16 : 9 in 180 pixels' width is 101 high.
            assertThat(isPaper(image, 90, 100)).isTrue();
            assertThat(isPaper(image, 90, 160)).isFalse();
            assertThat(isPaper(image, 90, 220)).isTrue();
        }
    }

    /** The mean difference of two pictures, 0 to 255; edges are scaled by another filter. */
    private static double difference(BufferedImage a, BufferedImage b) {
        long sum = 0;
        for (int y = 0; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                Color p = new Color(a.getRGB(x, y));
                Color q = new Color(b.getRGB(x, y));
                sum += Math.abs(p.getRed() - q.getRed())
                        + Math.abs(p.getGreen() - q.getGreen())
                        + Math.abs(p.getBlue() - q.getBlue());
            }
        }
        return sum / 3.0 / (a.getWidth() * a.getHeight());
    }

    @Test
    void whatIsPreviewedIsWhatIsRendered() throws IOException {
        Reframing views = new Reframing(List.of(
                new Reframing.Step(Time.zero(), new Crop(0.4, 0, PAPER)),
                new Reframing.Step(Time.ofSeconds(3), new Crop(0.6, 0.7, PAPER))));
        Path out = render(views);
        try (FramePicker rendered = new FramePicker(out);
                FramePicker take = new FramePicker(folder.resolve("film.mp4"))) {
            for (double second : new double[] {1, 2.5, 3.5, 5}) {
                BufferedImage film = rendered.frameAt(Time.ofSeconds(second), WIDTH, HEIGHT);
                BufferedImage whole = take.frameAt(Time.ofSeconds(second), 1280, 720);
                BufferedImage preview = views.shaped(whole, WIDTH, HEIGHT, Time.ofSeconds(second));
                BufferedImage elsewhere =
                        Reframing.of(new Crop(0.6, 0.3, PAPER)).shaped(whole, WIDTH, HEIGHT, Time.ofSeconds(second));
                assertThat(difference(preview, film)).as("at " + second).isLessThan(5);
                assertThat(difference(elsewhere, film)).as("at " + second).isGreaterThan(5);
            }
        }
    }

    /** What is seen lies within the source and keeps its shape. */
    @Property
    void theViewIsPartOfTheSource(
            @ForAll @IntRange(min = 100, max = 3840) int sourceWidth,
            @ForAll @IntRange(min = 100, max = 2160) int sourceHeight,
            @ForAll @DoubleRange(min = 0, max = 1) double centre,
            @ForAll @DoubleRange(min = 0, max = 1.5) double share,
            @ForAll boolean square) {
        int height = square ? 720 : 1280;
        Crop.View view = new Crop(centre, share, PAPER).view(sourceWidth, sourceHeight, 720, height);
        assertThat(view.x()).isNotNegative();
        assertThat(view.y()).isNotNegative();
        assertThat(view.x() + view.width()).isLessThanOrEqualTo(sourceWidth);
        assertThat(view.y() + view.height()).isLessThanOrEqualTo(sourceHeight);
        assertThat(view.shownHeight()).isBetween(2, height);
        double shape = view.width() / (double) view.height() / (720.0 / view.shownHeight());
        assertThat(shape).isBetween(0.94, 1.06);
    }

    @Test
    void thereIsAtLeastOneView() {
        List<Reframing.Step> none = List.of();
        assertThatThrownBy(() -> new Reframing(none)).isInstanceOf(IllegalArgumentException.class);
    }
}
