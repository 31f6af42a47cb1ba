package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.Cut;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dressing;
import app.nosegay.dress.Face;
import app.nosegay.dress.Layout;
import app.nosegay.dress.Piece;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Only what changed is rendered again, and nobody can tell. The film is 36 s long: three parts of 10 s and one of 6. */
class RenderPartsTest {
    private static final FrameRate RATE = new FrameRate(30, 1);
    private static final int FRAMES = 36 * 30;
    /** A timer's block is this bright and brighter; the film beside it is told by its own grey. */
    private static final int BLOCK = 200;

    @TempDir
    private static Path folder;

    private static Path take;

    @BeforeAll
    static void makeTake() throws IOException {
        take = Movies.film(folder.resolve("take.mp4"), 10, RATE, true, 0, 10, List.of(new Movies.Sound(4, 1000, 0.3)));
    }

    private static Cut.Clip clip(double from, double at) {
        return new Cut.Clip("t", Movies.span(from, from + 9), Time.ofSeconds(at));
    }

    private static Cut cut(double second) {
        return new Cut(List.of(clip(0, 0), clip(second, 9), clip(0, 18), clip(1, 27)));
    }

    private static RenderJob job(Cut cut, double timerFrom) {
        Dressing dressing = new Dressing(
                List.of(new Piece.Timer(Movies.span(timerFrom, timerFrom + 3), Face.Phase.WORK, false)),
                new Layout(Frame.LANDSCAPE, List.of()),
                DressNotes.NONE);
        return new RenderJob(
                cut,
                Map.of("t", take),
                dressing,
                RenderPartsTest::paintBlock,
                Movies.WIDTH,
                Movies.HEIGHT,
                RATE,
                EncoderSettings.FINISHED,
                "Title",
                List.of(),
                SoundPlan.AS_RECORDED,
                null);
    }

    private static void paintBlock(List<PlacedOverlay> pieces, BufferedImage target) {
        Arrays.fill(((java.awt.image.DataBufferInt) target.getRaster().getDataBuffer()).getData(), 0);
        Graphics2D g = target.createGraphics();
        for (PlacedOverlay shown : pieces) {
            int level = BLOCK + 10 * ((Face.Timer) shown.face()).seconds();
            g.setColor(new Color(level, level, level));
            g.fillRect(160, 0, 160, 40);
        }
        g.dispose();
    }

    private static int grey(BufferedImage image, int x) {
        return image.getRGB(x, 20) & 0xff;
    }

    /** Every frame is there once, in order, shows its own source and the block only while the timer runs; every packet decodes. */
    private static void assertWhole(Path out, Cut cut, double timerFrom) throws IOException {
        Ffmpeg.run("-xerror -i $0 -f null -", out);
        String packets = Ffmpeg.probe("-select_streams v -show_entries packet=dts_time -of csv=p=0", out);
        List<Double> times = packets.lines()
                .map(line -> line.replaceAll("[^0-9.-]", ""))
                .filter(line -> !line.isEmpty())
                .map(Double::valueOf)
                .toList();
        assertThat(times).hasSize(FRAMES).isSorted().doesNotHaveDuplicates();
        try (FramePicker picker = new FramePicker(out)) {
            for (int n : new int[] {
                0, 1, 150, 269, 270, 271, 298, 299, 300, 301, 345, 380, 420, 539, 540, 599, 600, 601, 750, 809, 810,
                899, 900, 901, 1000, 1079
            }) {
                Time<Axis.Cut> at = RATE.timeOf(n);
                Cut.Clip clip = cut.clips().stream()
                        .filter(c -> !at.isBefore(c.start()) && at.isBefore(c.end()))
                        .findFirst()
                        .orElseThrow();
                double source =
                        clip.source().start().plus(at.since(clip.start())).seconds();
                int expected = Movies.grey(Math.round(source * 30));
                BufferedImage image = picker.frameAt(Time.ofSeconds(n / 30.0), Movies.WIDTH, Movies.HEIGHT);
                assertThat(grey(image, 60)).as("frame " + n).isBetween(expected - 9, expected + 9);
                if (at.seconds() > timerFrom + 0.1 && at.seconds() < timerFrom + 2.9) {
                    assertThat(grey(image, 240)).as("block of frame " + n).isGreaterThan(BLOCK);
                } else if (at.seconds() < timerFrom - 0.1 || at.seconds() > timerFrom + 4) {
                    assertThat(grey(image, 240)).as("no block in frame " + n).isBetween(expected - 9, expected + 9);
                }
            }
        }
    }

    @Test
    void onlyTheChangedPartIsRenderedAgain() throws IOException {
        Path out = folder.resolve("film.mp4");
        Path memory = folder.resolve("film.parts");
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isEqualTo(1);
        assertWhole(out, cut(0.5), 12);
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isZero();
        assertWhole(out, cut(0.5), 12);
        assertThat(Renderer.render(job(cut(0.5), 13), out, memory, Progress.NONE))
                .isCloseTo(300 / 1080.0, within(1e-9));
        assertWhole(out, cut(0.5), 13);
        // The second clip, from 9 to 18 s, shows something else: the first two parts are new.
        assertThat(Renderer.render(job(cut(1), 13), out, memory, Progress.NONE)).isCloseTo(600 / 1080.0, within(1e-9));
        assertWhole(out, cut(1), 13);
        // A timer in the last part: the first three are taken over.
        assertThat(Renderer.render(job(cut(1), 32), out, memory, Progress.NONE)).isCloseTo(480 / 1080.0, within(1e-9));
        assertWhole(out, cut(1), 32);
    }

    @Test
    void theSoundIsInPlaceWhereThePictureWasTakenOver() throws IOException {
        Path out = folder.resolve("sound.mp4");
        Path memory = folder.resolve("sound.parts");
        Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE);
        Renderer.render(job(cut(0.5), 22), out, memory, Progress.NONE);
        var beeps = TakeReader.read(out, "o", Progress.NONE).evidence().beeps();
        assertThat(beeps)
                .extracting(b -> Math.round(b.time().seconds() * 10) / 10.0)
                .containsExactly(4.0, 12.5, 22.0, 30.0);
    }

    @Test
    void aFilmThatWasChangedOrLostOrAnotherQualityIsRenderedWhole() throws IOException {
        Path out = folder.resolve("changed.mp4");
        Path memory = folder.resolve("changed.parts");
        Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE);
        Files.write(out, new byte[] {0}, StandardOpenOption.APPEND);
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isEqualTo(1);
        Files.delete(out);
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isEqualTo(1);
        Files.writeString(memory, "nosegay-parts 1\nno number\n");
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isEqualTo(1);
        RenderJob draft = new RenderJob(
                cut(0.5),
                Map.of("t", take),
                null,
                RenderPartsTest::paintBlock,
                Movies.WIDTH,
                Movies.HEIGHT,
                RATE,
                EncoderSettings.DRAFT,
                "",
                List.of());
        assertThat(Renderer.render(draft, out, memory, Progress.NONE)).isEqualTo(1);
    }

    @Test
    void aFilmThatOnlyLooksLikeTheOneRememberedIsRenderedWhole() throws IOException {
        Path out = folder.resolve("false.mp4");
        Path memory = folder.resolve("false.parts");
        Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE);
        // Another film of one clip in its place, remembered as this one.
        RenderMemory remembered = RenderMemory.read(memory, out);
        Renderer.render(job(new Cut(List.of(clip(0, 0))), 2), out, Progress.NONE);
        RenderMemory.write(memory, out, remembered.header(), remembered.keys());
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isEqualTo(1);
        assertWhole(out, cut(0.5), 12);
    }

    @Test
    void cancellingLeavesTheFilmThatWasThere() throws IOException {
        Path out = folder.resolve("kept.mp4");
        Path memory = folder.resolve("kept.parts");
        Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE);
        byte[] before = Files.readAllBytes(out);
        assertThatThrownBy(() -> Renderer.render(job(cut(0.5), 15), out, memory, share -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(Files.readAllBytes(out)).isEqualTo(before);
        assertThat(Renderer.render(job(cut(0.5), 12), out, memory, Progress.NONE))
                .isZero();
    }
}
