package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TakeReaderTest {
    private static final FrameRate RATE = new FrameRate(30, 1);

    @TempDir
    private static Path folder;

    private static Path film;

    @BeforeAll
    static void makeFilm() throws IOException {
        film = Movies.film(
                folder.resolve("film.mp4"),
                12,
                RATE,
                true,
                4,
                8,
                List.of(new Movies.Sound(1, 0, 0), new Movies.Sound(4, 1000, 0.3), new Movies.Sound(8, 700, 0.4)));
    }

    @Test
    void aFilmIsDescribed() throws IOException {
        MediaInfo info = MediaInput.probe(film);
        assertThat(info.video().codec()).isEqualTo("h264");
        assertThat(info.video().width()).isEqualTo(Movies.WIDTH);
        assertThat(info.video().framesPerSecond()).isEqualTo(30);
        assertThat(info.audio().sampleRate()).isEqualTo(48_000);
        assertThat(info.length().seconds()).isBetween(11.9, 12.1);
    }

    @Test
    void tonesBeepsAndMotionAreFoundWhereTheyAre() throws IOException {
        TakeEvidence e = TakeReader.read(film, "t", Progress.NONE).evidence();
        assertThat(e.tones()).extracting(TakeEvidence.Tone::code).containsExactly(new SyncTone.Code(false, 33));
        assertThat(e.tones().get(0).time().seconds()).isBetween(0.995, 1.005);
        assertThat(e.beeps()).hasSize(2);
        assertThat(e.beeps().get(0).time().seconds()).isBetween(3.98, 4.02);
        assertThat(e.beeps().get(1).time().seconds()).isBetween(7.98, 8.02);
        assertThat(e.motion().at(Time.ofSeconds(6)))
                .as("the square moves at 6 s; at 10 s only the strip of frame numbers does")
                .isGreaterThan(e.motion().at(Time.ofSeconds(10)) + 0.002f);
        assertThat(e.loudness().at(Time.ofSeconds(4.15))).isGreaterThan(-20);
        assertThat(e.loudness().at(Time.ofSeconds(6))).isLessThan(-60);
        assertThat(e.pose().count()).isBetween(115, 125);
    }

    @Test
    void theProxyShowsWhatTheTakeShowsAndIsSmall() throws IOException {
        Path proxy = folder.resolve("proxy.mp4");
        TakeReader.read(film, "t", proxy, Progress.NONE);
        assertThat(Files.size(proxy)).isLessThan(Files.size(film));
        MediaInfo info = MediaInput.probe(proxy);
        assertThat(info.length().seconds())
                .isCloseTo(MediaInput.probe(film).length().seconds(), within(0.3));
        try (FramePicker take = new FramePicker(film);
                FramePicker small = new FramePicker(proxy)) {
            for (double t : List.of(0.5, 7.25, 3.5, 10.0)) {
                BufferedImage there = take.frameAt(Time.ofSeconds(t), 160, 90);
                BufferedImage near = small.frameAt(Time.ofSeconds(t), 160, 90);
                assertThat(difference(there, near)).as("at %s s", t).isLessThan(12);
            }
        }
    }

    /** A folder nobody may write to. */
    @Test
    void withoutRoomForAProxyTheTakeIsReadAllTheSame() throws IOException {
        Path blocked = Files.writeString(folder.resolve("a-file"), "no folder");
        TakeReader.Reading reading = TakeReader.read(film, "t", blocked.resolve("proxy.mp4"), Progress.NONE);
        assertThat(reading.evidence().motion().isEmpty()).isFalse();
        assertThat(blocked).hasContent("no folder");
    }

    /** Mean difference of two pictures of a size, in grey levels, below the strip that is another in every frame. */
    private static double difference(BufferedImage a, BufferedImage b) {
        long sum = 0;
        for (int y = a.getHeight() / 4; y < a.getHeight(); y++) {
            for (int x = 0; x < a.getWidth(); x++) {
                sum += Math.abs((a.getRGB(x, y) >> 8 & 255) - (b.getRGB(x, y) >> 8 & 255));
            }
        }
        return sum / (double) (a.getWidth() * a.getHeight());
    }

    @Test
    void aFilmWithoutSoundReads() throws IOException {
        Path silent = Movies.film(folder.resolve("silent.mp4"), 3, RATE, false, 0, 3, List.of());
        TakeReader.Reading reading = TakeReader.read(silent, "t", Progress.NONE);
        assertThat(reading.info().audio()).isNull();
        assertThat(reading.evidence().loudness().isEmpty()).isTrue();
        assertThat(reading.evidence().motion().isEmpty()).isFalse();
    }

    @Test
    void filesThatAreNoFilmsSaySoByName() throws IOException {
        Path text = Files.writeString(
                folder.resolve("words.mp4"), "this is only text, whatever its name says\n".repeat(50));
        assertThatThrownBy(() -> TakeReader.read(text, "t", Progress.NONE))
                .isInstanceOf(MediaException.class)
                .hasMessageStartingWith("words.mp4: this is not a video");
        Path empty = Files.createFile(folder.resolve("empty.mp4"));
        assertThatThrownBy(() -> TakeReader.read(empty, "t", Progress.NONE)).isInstanceOf(MediaException.class);
        assertThatThrownBy(() -> MediaInput.probe(folder.resolve("gone.mp4")))
                .hasMessageContaining("gone.mp4: file not found");
    }

    @Test
    void aFilmCutOffInTheMiddleIsReadAsFarAsItGoes() throws IOException {
        byte[] bytes = Files.readAllBytes(film);
        Path cut = Files.write(folder.resolve("cut.mp4"), Arrays.copyOf(bytes, bytes.length / 2));
        TakeEvidence e = TakeReader.read(cut, "t", Progress.NONE).evidence();
        assertThat(e.length().seconds()).isBetween(2.0, 9.0);
        Path noIndex = Files.write(folder.resolve("no-index.mp4"), Arrays.copyOf(bytes, 600));
        assertThatThrownBy(() -> TakeReader.read(noIndex, "t", Progress.NONE)).isInstanceOf(MediaException.class);
    }

    @Test
    void readingCanBeCancelled() {
        assertThatThrownBy(() -> TakeReader.read(film, "t", share -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
    }

    @Test
    void exactFramesAreShownForwardsAndBackwards() throws IOException {
        try (FramePicker picker = new FramePicker(film)) {
            for (int n : new int[] {0, 7, 8, 95, 94, 200, 3, 359}) {
                BufferedImage image = picker.frameAt(Time.ofSeconds(n / 30.0), Movies.WIDTH, Movies.HEIGHT);
                assertThat(image.getRGB(20, 20) & 0xff)
                        .as("frame " + n)
                        .isBetween(Movies.grey(n) - 8, Movies.grey(n) + 8);
            }
        }
    }

    @Test
    void playingWithoutASoundDeviceKeepsTime() throws Exception {
        java.util.concurrent.CountDownLatch over = new java.util.concurrent.CountDownLatch(1);
        List<Double> shown = new java.util.concurrent.CopyOnWriteArrayList<>();
        long began = System.nanoTime();
        try (Playback playback =
                new Playback(film, new Span<>(Time.ofSeconds(2), Time.ofSeconds(4)), 160, 90, new Playback.Screen() {
                    @Override
                    public void show(BufferedImage picture, Time<app.nosegay.time.Axis.Take> time) {
                        shown.add(time.seconds());
                    }

                    @Override
                    public void ended(String message) {
                        over.countDown();
                    }
                })) {
            assertThat(over.await(20, java.util.concurrent.TimeUnit.SECONDS)).isTrue();
            assertThat((System.nanoTime() - began) / 1e9).isBetween(1.7, 8.0);
            assertThat(playback.hasSound()).isIn(true, false);
        }
        assertThat(shown).isNotEmpty().isSorted();
        assertThat(shown.get(0)).isGreaterThanOrEqualTo(2.0);
        assertThat(shown.get(shown.size() - 1)).isLessThan(4.0);
    }

    /** Red and grey halves of the same brightness: only their colour tells them apart, in whatever way it is stored. */
    @ParameterizedTest
    @ValueSource(strings = {"yuv420p", "yuv422p", "yuv444p", "yuv420p10le"})
    void howRedItIsIsReadFromEveryFormat(String pixels) throws IOException {
        Path film = folder.resolve(pixels + ".mp4");
        Ffmpeg.run(
                "-f lavfi -i color=c=0x808080:s=320x180:r=30:d=1 -f lavfi -i color=c=0xE05050:s=160x180:r=30:d=1"
                        + " -filter_complex [0][1]overlay=160:0,format=" + pixels + " -c:v libx264 $0",
                film);
        TakeEvidence.Poses poses =
                TakeReader.read(film, "t", Progress.NONE).evidence().pose();
        assertThat(poses.tint()).hasSameSizeAs(poses.grey());
        int row = 5 * poses.cells() + 9 * TakeEvidence.Poses.WIDTH;
        assertThat(poses.tint()[row + 4] & 255).isBetween(125, 131);
        assertThat(poses.tint()[row + 28] & 255).isGreaterThan(160);
    }
}
