package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.Cut;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Footage as cameras and phones really write it: every kind is read, shown upright and rendered with sound and picture in step. */
class OddFootageTest {
    private static final double BEEP = 4;

    @TempDir
    private static Path folder;

    private static Path film;

    /**
     * A way footage may be.
     *
     * @param arguments for ffmpeg; {@code $0} is the plain film, {@code $1} what is made, {@code $2} in between
     * @param steps how far a shown frame may be from the one of its second, in frames of 1/30 s
     */
    record Way(String name, String file, List<String> arguments, int steps) {
        @Override
        public String toString() {
            return name;
        }
    }

    static Stream<Way> ways() {
        return Stream.of(
                way("ten bits", "a.mp4", 0, "-i $0 -c:v libx264 -pix_fmt yuv420p10le -preset ultrafast -c:a copy $1"),
                way(
                        "high dynamic range",
                        "b.mp4",
                        0,
                        "-i $0 -c:v libx264 -pix_fmt yuv420p10le -preset ultrafast -color_primaries bt709 -color_trc "
                                + "bt709 -colorspace bt2020nc -c:a copy $1"),
                way(
                        "variable frame rate",
                        "c.mp4",
                        4,
                        "-i $0 -vf select=not(between(mod(n\\,9)\\,2\\,5)) -fps_mode vfr -c:v libx264 -preset ultrafast -c:a copy $1"),
                way("six channels", "d.mp4", 0, "-i $0 -c:v copy -ac 6 -c:a aac $1"),
                way("one channel at 44.1 kHz", "e.mp4", 0, "-i $0 -c:v copy -ac 1 -ar 44100 -c:a aac $1"),
                way(
                        "23.976 frames a second",
                        "f.mp4",
                        2,
                        "-i $0 -r 24000/1001 -c:v libx264 -preset ultrafast -c:a copy $1"),
                way("60 frames a second", "g.mp4", 1, "-i $0 -r 60 -c:v libx264 -preset ultrafast -c:a copy $1"),
                way(
                        "stored turned, as phones do",
                        "h.mp4",
                        0,
                        "-i $0 -vf transpose=1 -c:v libx264 -preset ultrafast -c:a copy $2",
                        "-display_rotation:v:0 90 -i $2 -c copy $1"),
                way(
                        "narrow pixels",
                        "i.mp4",
                        0,
                        "-i $0 -vf scale=240:180,setsar=4/3 -c:v libx264 -preset ultrafast -c:a copy $1"),
                way("a clock that starts at seven seconds", "j.mkv", 0, "-i $0 -c copy -output_ts_offset 7 $1"),
                way(
                        "VP9 and Opus",
                        "k.webm",
                        0,
                        "-i $0 -c:v libvpx-vp9 -deadline realtime -cpu-used 8 -c:a libopus $1"),
                way("a wrong ending", "l.avi", 0, "-i $0 -c copy -f mp4 $1"),
                way("odd sizes", "m.mkv", 0, "-i $0 -vf pad=323:181 -c:v ffv1 -pix_fmt yuv444p -c:a pcm_s16le $1"),
                way("a fragmented file", "n.mp4", 0, "-i $0 -c copy -movflags frag_keyframe+empty_moov $1"));
    }

    private static Way way(String name, String file, int steps, String... arguments) {
        return new Way(name, file, List.of(arguments), steps);
    }

    @BeforeAll
    static void makeFilm() throws IOException {
        film = Movies.film(
                folder.resolve("film.mp4"),
                8,
                new FrameRate(30, 1),
                true,
                0,
                8,
                List.of(new Movies.Sound(BEEP, 1000, 0.3)));
    }

    private static Path made(Way way) throws IOException {
        Path target = folder.resolve(way.file());
        for (String arguments : way.arguments()) {
            Ffmpeg.run(arguments, film, target, folder.resolve("between-" + way.file()));
        }
        return target;
    }

    /** How far the picture is from the frame of that second, in frames; the grey strip tells ten neighbours apart. */
    private static int off(BufferedImage image, double seconds) {
        int grey = image.getRGB(image.getWidth() / 8, image.getHeight() / 9) & 0xff;
        int expected = Math.floorMod((int) Math.floor(seconds * 30 + 1e-6), 10);
        int found = Math.round((grey - 40) / 20f);
        int off = Math.abs(found - expected);
        return Math.min(off, 10 - off);
    }

    @ParameterizedTest
    @MethodSource("ways")
    void isReadShownAndRendered(Way way) throws IOException {
        Path take = made(way);
        TakeEvidence e = TakeReader.read(take, "t", Progress.NONE).evidence();
        assertThat(e.length().seconds()).isBetween(7.9, 8.2);
        assertThat(e.beeps()).hasSize(1);
        assertThat(e.beeps().get(0).time().seconds()).isCloseTo(BEEP, within(0.03));
        assertThat(e.pose().count()).isBetween(70, 85);
        try (FramePicker picker = new FramePicker(take)) {
            for (double second : new double[] {1.01, 3.51, 2.01, 7.01}) {
                BufferedImage image = picker.frameAt(Time.ofSeconds(second), Movies.WIDTH, Movies.HEIGHT);
                assertThat(image.getWidth() / (double) image.getHeight())
                        .as("shape")
                        .isCloseTo(16 / 9.0, within(0.03));
                assertThat(off(image, second)).as("frames off at " + second).isLessThanOrEqualTo(way.steps());
            }
        }
        rendered(way, take);
    }

    private static void rendered(Way way, Path take) throws IOException {
        Path out = folder.resolve(way.file() + "-rendered.mp4");
        Cut cut = new Cut(List.of(new Cut.Clip("t", new Span<>(Time.ofSeconds(3), Time.ofSeconds(6)), Time.zero())));
        RenderJob job = new RenderJob(
                cut,
                Map.of("t", take),
                null,
                (pieces, target) -> {},
                Movies.WIDTH,
                Movies.HEIGHT,
                new FrameRate(30, 1),
                EncoderSettings.DRAFT,
                "",
                List.of());
        Renderer.render(job, out, Progress.NONE);
        TakeEvidence e = TakeReader.read(out, "o", Progress.NONE).evidence();
        assertThat(e.beeps()).hasSize(1);
        assertThat(e.beeps().get(0).time().seconds()).isCloseTo(BEEP - 3, within(0.04));
        try (FramePicker picker = new FramePicker(out)) {
            BufferedImage image = picker.frameAt(Time.ofSeconds(1.01), Movies.WIDTH, Movies.HEIGHT);
            assertThat(off(image, 4.01)).as("picture beside the sound").isLessThanOrEqualTo(Math.max(1, way.steps()));
        }
        assertThat(Ffmpeg.probe("-select_streams v -show_entries stream=width,height,codec_name -of csv=p=0", out)
                        .strip())
                .isEqualTo("h264," + Movies.WIDTH + "," + Movies.HEIGHT);
    }
}
