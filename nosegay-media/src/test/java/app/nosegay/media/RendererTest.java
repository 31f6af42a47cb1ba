package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.cut.SecondCamera;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dressing;
import app.nosegay.dress.Face;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Piece;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.AlphaComposite;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class RendererTest {
    private static final FrameRate RATE = new FrameRate(30, 1);

    @TempDir
    private static Path folder;

    private static Path film;

    @BeforeAll
    static void makeFilm() throws IOException {
        film = Movies.film(folder.resolve("film.mp4"), 10, RATE, true, 0, 10, List.of(new Movies.Sound(4, 1000, 0.3)));
    }

    /** Paints the digits of a timer as a grey block: 20 per second left. */
    private static void paintBlock(List<PlacedOverlay> pieces, BufferedImage target) {
        Graphics2D g = target.createGraphics();
        g.setComposite(AlphaComposite.Src);
        g.setColor(new Color(0, 0, 0, 0));
        g.fillRect(0, 0, target.getWidth(), target.getHeight());
        for (PlacedOverlay shown : pieces) {
            int level = 20 * ((Face.Timer) shown.face()).seconds() + 20;
            g.setColor(new Color(level, level, level));
            g.fillRect(160, 0, 160, 40);
        }
        g.dispose();
    }

    private static RenderJob job(Cut cut, Dressing dressing, FrameRate rate) {
        double total = cut.total().seconds();
        List<TimedText.Cue> chapters = total == 0
                ? List.of()
                : List.of(new TimedText.Cue(Movies.span(0, 2), "One"), new TimedText.Cue(Movies.span(2, total), "Two"));
        return new RenderJob(
                cut,
                Map.of("t", film),
                dressing,
                RendererTest::paintBlock,
                Movies.WIDTH,
                Movies.HEIGHT,
                rate,
                EncoderSettings.FINISHED,
                "Title",
                chapters);
    }

    private static int grey(BufferedImage image, int x) {
        return image.getRGB(x, 20) & 0xff;
    }

    @Test
    void timersChangeOnExactlyTheFrameOfTheirSecond() throws IOException {
        Cut cut = new Cut(List.of(new Cut.Clip("t", Movies.span(1, 8), Time.zero())));
        Dressing dressing = new Dressing(
                List.of(new Piece.Timer(Movies.span(1.015, 5.015), Face.Phase.WORK, false)),
                new Layout(Frame.LANDSCAPE, List.of()),
                DressNotes.NONE);
        Path out = folder.resolve("dressed.mp4");
        Renderer.render(job(cut, dressing, RATE), out, Progress.NONE);
        try (FramePicker picker = new FramePicker(out)) {
            // The start 1.015 s lies within half a frame of frame 30 (1.000 s), the end 5.015 s of frame 150.
            int[][] frameAndLevel = {
                {29, -1}, {30, 100}, {59, 100}, {60, 80}, {120, 40}, {149, 40}, {150, 20}, {161, 20}, {163, -1}
            };
            for (int[] f : frameAndLevel) {
                BufferedImage image = picker.frameAt(Time.ofSeconds(f[0] / 30.0), Movies.WIDTH, Movies.HEIGHT);
                int source = Movies.grey(f[0] + 30);
                int expected = f[1] < 0 ? source : f[1];
                assertThat(grey(image, 240)).as("frame " + f[0]).isBetween(expected - 9, expected + 9);
                assertThat(grey(image, 60)).as("source of frame " + f[0]).isBetween(source - 9, source + 9);
            }
        }
    }

    /** Of two cameras every frame is the second's, every sound the first's, and a change is one of the parts made anew. */
    @Test
    void aSecondCameraIsRenderedWithTheSoundOfTheFirst() throws IOException {
        Path silent = Movies.film(folder.resolve("camera.mp4"), 10, RATE, false, 0, 10, List.of());
        SecondCamera camera = new SecondCamera("c", "t", Length.ofSeconds(1.5), Length.ofSeconds(10));
        Cut cut = new Cut(List.of(
                new Cut.Clip("t", Movies.span(1, 3), Time.zero()),
                new Cut.Clip("t", Movies.span(3, 6), Time.ofSeconds(2), Length.ZERO, camera),
                new Cut.Clip("t", Movies.span(6, 8), Time.ofSeconds(5))));
        RenderJob plain = job(cut, null, RATE);
        RenderJob job = new RenderJob(
                cut,
                Map.of("t", film, "c", silent),
                null,
                plain.painter(),
                plain.width(),
                plain.height(),
                RATE,
                plain.settings(),
                "",
                List.of());
        Path out = folder.resolve("cameras.mp4");
        Renderer.render(job, out, Progress.NONE);
        assertThat(MediaInput.probe(out).length().seconds()).isBetween(6.95, 7.1);
        try (FramePicker picker = new FramePicker(out)) {
            for (int frame : new int[] {0, 30, 59, 60, 61, 100, 149, 150, 200}) {
                double at = frame / 30.0;
                int source = (int) Math.round((at < 2 || at >= 5 ? 1 + at : 2.5 + at) * 30);
                BufferedImage image = picker.frameAt(Time.ofSeconds(at), Movies.WIDTH, Movies.HEIGHT);
                assertThat(grey(image, 60))
                        .as("frame " + frame)
                        .isBetween(Movies.grey(source) - 9, Movies.grey(source) + 9);
            }
        }
        float[] heard = SoundReader.mono(out, 16_000, Progress.NONE);
        assertThat(heard.length / 16_000.0).isBetween(6.9, 7.1);
        assertThat(Math.abs(loudest(heard, 3.02, 3.2)))
                .as("the beep of the first camera")
                .isGreaterThan(0.1f);
        assertThat(Math.abs(loudest(heard, 2.3, 2.8))).as("quiet before it").isLessThan(0.02f);
    }

    private static float loudest(float[] heard, double from, double to) {
        float loudest = 0;
        for (int i = (int) (from * 16_000); i < to * 16_000; i++) {
            loudest = Math.max(loudest, Math.abs(heard[i]));
        }
        return loudest;
    }

    @Test
    void aCutOfTwoClipsHasEveryFrameAndItsSoundInPlace() throws IOException {
        Cut cut = new Cut(List.of(
                new Cut.Clip("t", Movies.span(0, 2), Time.zero()),
                new Cut.Clip("t", Movies.span(3, 6), Time.ofSeconds(2))));
        Path out = folder.resolve("two.mp4");
        Renderer.render(job(cut, null, RATE), out, Progress.NONE);
        MediaInfo info = MediaInput.probe(out);
        assertThat(info.length().seconds()).isBetween(4.95, 5.1);
        var evidence = TakeReader.read(out, "o", Progress.NONE).evidence();
        assertThat(evidence.beeps()).hasSize(1);
        // The beep at 4.0 s of the take is 1 s into the second clip: 3.0 s of the programme.
        assertThat(evidence.beeps().get(0).time().seconds()).isBetween(2.96, 3.04);
        try (FramePicker picker = new FramePicker(out)) {
            assertThat(grey(picker.frameAt(Time.ofSeconds(59 / 30.0), 320, 180), 60))
                    .isBetween(Movies.grey(59) - 9, Movies.grey(59) + 9);
            assertThat(grey(picker.frameAt(Time.ofSeconds(61 / 30.0), 320, 180), 60))
                    .isBetween(Movies.grey(91) - 9, Movies.grey(91) + 9);
        }
    }

    @Test
    void theFrameRateMayDifferFromTheTake() throws IOException {
        Cut cut = new Cut(List.of(new Cut.Clip("t", Movies.span(0, 4), Time.zero())));
        Path out = folder.resolve("slow.mp4");
        Renderer.render(job(cut, null, new FrameRate(24, 1)), out, Progress.NONE);
        assertThat(MediaInput.probe(out).video().framesPerSecond()).isEqualTo(24);
        assertThat(MediaInput.probe(out).length().seconds()).isBetween(3.95, 4.1);
    }

    @Test
    void cancellingLeavesNothing() {
        Cut cut = new Cut(List.of(new Cut.Clip("t", Movies.span(0, 9), Time.zero())));
        Path out = folder.resolve("never.mp4");
        assertThatThrownBy(() -> Renderer.render(job(cut, null, RATE), out, share -> {
                    if (share > 0.3) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(out).doesNotExist();
        assertThat(folder.resolve("never.mp4.part")).doesNotExist();
    }

    @Test
    void anEmptyCutAndAMissingTakeAreSaid() {
        assertThatThrownBy(() ->
                        Renderer.render(job(new Cut(List.of()), null, RATE), folder.resolve("x.mp4"), Progress.NONE))
                .hasMessageContaining("nothing to render");
        Cut cut = new Cut(List.of(new Cut.Clip("t", Movies.span(0, 2), Time.zero())));
        RenderJob gone = new RenderJob(
                cut,
                Map.of("t", folder.resolve("gone.mp4")),
                null,
                RendererTest::paintBlock,
                320,
                180,
                RATE,
                EncoderSettings.FINISHED,
                "",
                List.of());
        assertThatThrownBy(() -> Renderer.render(gone, folder.resolve("x.mp4"), Progress.NONE))
                .hasMessageContaining("gone.mp4");
        assertThat(Files.exists(folder.resolve("x.mp4"))).isFalse();
    }
}
