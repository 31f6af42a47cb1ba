package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.Cut;
import app.nosegay.cut.SecondCamera;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The preview: clips in a row, held frames, and the sound that will be rendered. */
class CutPlaybackTest {
    private static final int HZ = 48_000;
    private static final Cut CUT = new Cut(List.of(
            new Cut.Clip("t", span(1, 2), Time.zero()),
            new Cut.Clip("t", span(4, 5), Time.ofSeconds(1), Length.ofSeconds(0.5)),
            new Cut.Clip("t", span(3, 3.5), Time.ofSeconds(2.5))));

    @TempDir
    private static Path folder;

    private static Path film;

    @BeforeAll
    static void makeFilm() throws IOException {
        film = Movies.film(
                folder.resolve("film.mp4"),
                6,
                new FrameRate(30, 1),
                true,
                0,
                6,
                List.of(new Movies.Sound(1.5, 1000, 0.2), new Movies.Sound(4.2, 1000, 0.2)));
    }

    private static <A extends Axis> Span<A> span(double from, double to) {
        return new Span<>(Time.ofSeconds(from), Time.ofSeconds(to));
    }

    /** What was seen and heard from {@code start} to the end. */
    private static final class Seen implements CutPlayback.Screen {
        private final List<Double> times = Collections.synchronizedList(new ArrayList<>());
        private final List<Integer> greys = Collections.synchronizedList(new ArrayList<>());
        private final List<Float> heard = Collections.synchronizedList(new ArrayList<>());
        private final CountDownLatch over = new CountDownLatch(1);
        private volatile String message;

        @Override
        public void show(BufferedImage picture, Time<Axis.Cut> time) {
            times.add(time.seconds());
            greys.add(picture.getRGB(20, 20) & 0xff);
        }

        @Override
        public void ended(String why) {
            message = why;
            over.countDown();
        }

        Seen play(SoundPlan plan, double start, Map<String, Path> files) throws InterruptedException {
            return play(CUT, plan, start, files);
        }

        Seen play(Cut cut, SoundPlan plan, double start, Map<String, Path> files) throws InterruptedException {
            try (CutPlayback playback = new CutPlayback(
                    new CutPlayback.Programme(cut, files, plan),
                    Time.ofSeconds(start),
                    Movies.WIDTH,
                    Movies.HEIGHT,
                    this,
                    (s, from, count) -> {
                        for (int i = 0; i < count; i++) {
                            heard.add(s[2 * (from + i)]);
                        }
                    })) {
                assertThat(over.await(30, TimeUnit.SECONDS)).isTrue();
            }
            return this;
        }

        /** Root mean square around a second of what was heard. */
        double level(double second) {
            double sum = 0;
            int from = (int) (second * HZ);
            for (int i = from; i < from + HZ / 20; i++) {
                sum += heard.get(i) * heard.get(i);
            }
            return Math.sqrt(sum / (HZ / 20.0));
        }
    }

    @Test
    void clipsFollowEachOtherWithTheirPicturesAndSounds() throws Exception {
        Seen seen = new Seen().play(SoundPlan.AS_RECORDED, 0, Map.of("t", film));
        assertThat(seen.message).isNull();
        assertThat(seen.times).isSorted().hasSizeGreaterThan(20);
        assertThat(seen.heard.size() / (double) HZ).isBetween(2.95, 3.05);
        assertThat(seen.level(0.6)).as("the beep of the first clip").isGreaterThan(0.1);
        assertThat(seen.level(1.3)).as("the beep of the second clip").isGreaterThan(0.1);
        assertThat(seen.level(0.2)).as("silence before it").isLessThan(0.02);
        assertThat(seen.level(2.2)).as("silence under the held frame").isLessThan(0.02);
        for (int i = 0; i < seen.times.size(); i++) {
            double at = seen.times.get(i);
            double source = at < 1 ? 1 + at : at < 2 ? 3 + at : at < 2.5 ? 149 / 30.0 : 0.5 + at;
            int frame = (int) Math.round(source * 30);
            assertThat(seen.greys.get(i)).as("picture at " + at).isCloseTo(Movies.grey(frame), within());
        }
        assertThat(seen.times).as("the held frame goes on").anyMatch(t -> t > 2.1 && t < 2.5);
    }

    private static org.assertj.core.data.Offset<Integer> within() {
        return org.assertj.core.api.Assertions.within(9);
    }

    @Test
    void theMixIsHeardAndNotTheRawTake() throws Exception {
        SoundPlan plan = new SoundPlan(
                Map.of("t", -12.0),
                0,
                List.of(new SoundPlan.Tone(Time.ofSeconds(2.1), 880, Length.ofMillis(200))),
                "",
                -100,
                0,
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                null);
        Seen raw = new Seen().play(SoundPlan.AS_RECORDED, 1, Map.of("t", film));
        Seen mixed = new Seen().play(plan, 1, Map.of("t", film));
        assertThat(mixed.level(0.3)).isBetween(raw.level(0.3) * 0.2, raw.level(0.3) * 0.3);
        assertThat(mixed.level(1.15)).as("a timer sound under the held frame").isGreaterThan(0.1);
        assertThat(raw.level(1.15)).isLessThan(0.02);
    }

    @Test
    void aMissingTakeEndsItWithASentence() throws Exception {
        Seen seen = new Seen().play(SoundPlan.AS_RECORDED, 0, Map.of());
        assertThat(seen.message).contains("t").contains("missing");
        assertThat(seen.times).isEmpty();
    }

    /** A second of a take lasts two, and all its pictures are seen in their order. */
    @Test
    void aTakePlaysAtHalfItsSpeed() throws Exception {
        List<Double> times = Collections.synchronizedList(new ArrayList<>());
        CountDownLatch over = new CountDownLatch(1);
        long began = System.nanoTime();
        try (Playback playback = new Playback(
                film,
                new Span<>(Time.ofSeconds(1), Time.ofSeconds(2)),
                0.5,
                Movies.WIDTH,
                Movies.HEIGHT,
                new Playback.Screen() {
                    @Override
                    public void show(BufferedImage picture, Time<Axis.Take> time) {
                        times.add(time.seconds());
                    }

                    @Override
                    public void ended(String message) {
                        over.countDown();
                    }
                })) {
            assertThat(over.await(20, TimeUnit.SECONDS)).isTrue();
        }
        assertThat((System.nanoTime() - began) / 1e9).isGreaterThan(1.9);
        assertThat(times).isSorted().hasSizeGreaterThan(20);
        assertThat(times.get(times.size() - 1)).isGreaterThan(1.9);
    }

    /** The picture of the second camera, a second later in it, with the sound of the first; then the first again. */
    @Test
    void aSecondCameraIsSeenWithTheSoundOfTheFirst() throws Exception {
        Path silent = Movies.film(film.resolveSibling("camera.mp4"), 10, new FrameRate(30, 1), false, 0, 10, List.of());
        SecondCamera camera = new SecondCamera("c", "t", Length.ofSeconds(1), Length.ofSeconds(10));
        List<Cut.Clip> clips = CUT.clips();
        Cut.Clip first = clips.get(0);
        List<Cut.Clip> mixed = new ArrayList<>(clips);
        mixed.set(0, new Cut.Clip(first.take(), first.source(), first.start(), first.hold(), camera));
        Seen seen = new Seen().play(new Cut(mixed), SoundPlan.AS_RECORDED, 0, Map.of("t", film, "c", silent));
        assertThat(seen.message).isNull();
        assertThat(seen.times).isSorted().hasSizeGreaterThan(20);
        assertThat(seen.heard.size() / (double) HZ).isBetween(2.95, 3.05);
        assertThat(seen.level(0.6)).as("the beep of the first camera").isGreaterThan(0.1);
        assertThat(seen.level(1.3)).as("the beep of the second clip").isGreaterThan(0.1);
        for (int i = 0; i < seen.times.size() && seen.times.get(i) < 2; i++) {
            double at = seen.times.get(i);
            int frame = (int) Math.round((at < 1 ? 2 + at : 3 + at) * 30);
            assertThat(seen.greys.get(i)).as("picture at " + at).isCloseTo(Movies.grey(frame), within());
        }
    }
}
