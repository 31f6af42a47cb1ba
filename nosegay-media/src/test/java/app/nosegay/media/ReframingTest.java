package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.dress.SoundPlan;
import app.nosegay.match.Cut;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
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
        Renderer.Job job = new Renderer.Job(
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

    @Test
    void thereIsAtLeastOneView() {
        List<Reframing.Step> none = List.of();
        assertThatThrownBy(() -> new Reframing(none)).isInstanceOf(IllegalArgumentException.class);
    }
}
