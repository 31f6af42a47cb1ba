package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.cut.SecondCamera;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Two files of one run, each with the noise of its own microphone. */
class SecondCamerasTest {
    private static final int SECONDS = 36;
    private static final String SHEET =
            "title: Two\ntalk Hi  0:10\ncircuit A  work 0:10  rest 0:10\n  squat\n" + "  push-up\ntalk Bye  0:05\n";

    @TempDir
    private Path folder;

    /** Bursts like phrases, by a seed, from a second of the run on. */
    private Path film(String name, long run, double from, double gain) throws IOException {
        Path file = folder.resolve(name);
        Random phrases = new Random(run);
        float[] loud = new float[SECONDS * MovieWriter.SOUND_HZ];
        int at = 0;
        while (at < loud.length) {
            int speech = (int) (MovieWriter.SOUND_HZ * (0.5 + 2 * phrases.nextDouble()));
            for (int i = at; i < Math.min(loud.length, at + speech); i++) {
                loud[i] = (float) (0.15 * phrases.nextGaussian());
            }
            at += speech + (int) (MovieWriter.SOUND_HZ * (0.3 + 2.5 * phrases.nextDouble()));
        }
        Random own = new Random(name.hashCode());
        int first = (int) Math.round(from * MovieWriter.SOUND_HZ);
        try (MovieWriter writer = new MovieWriter(
                file, new MovieFormat(160, 90, new FrameRate(30, 1), EncoderSettings.TAKE, true), "", List.of())) {
            BufferedImage frame = new BufferedImage(160, 90, BufferedImage.TYPE_INT_RGB);
            int block = MovieWriter.SOUND_HZ / 30;
            for (int n = 0; first + (n + 1) * block < loud.length; n++) {
                float[] sound = new float[2 * block];
                for (int i = 0; i < 2 * block; i++) {
                    sound[i] = (float) (gain * loud[first + n * block + i / 2] + 0.002 * own.nextGaussian());
                }
                writer.picture(frame, n);
                writer.sound(sound, 0, block);
            }
            writer.finish();
        }
        return file;
    }

    private Workout filmed(Path... movies) throws IOException {
        Workout workout = Workout.EMPTY.withSheet(SHEET);
        for (Path movie : movies) {
            workout = workout.withTake(Media.reference(folder, workout.nextTake(), movie, SECONDS, null, null));
        }
        return workout;
    }

    @Test
    void aSecondCameraIsLaidUnderTheFirstToTheFrame() throws IOException {
        Workout two = filmed(film("front.mp4", 1, 0, 1), film("side.mp4", 1, 3.217, 0.3));
        WorkoutMedia media = WorkoutMedia.read(two, folder, Progress.NONE);
        Workout marked = SecondCameras.marked(two, media.evidence(), "take-2", "take-1");
        SecondCamera camera = marked.matching().cameras().get(0);
        assertThat(camera.later().seconds()).isCloseTo(-3.217, within(1 / 30.0));
        Programme programme = media.programme(marked);
        assertThat(programme.match().takes()).extracting(t -> t.id()).containsExactly("take-1");
        Workout seen =
                SecondCameras.seen(marked, programme.timeline().intervals().get(1), "take-2");
        assertThat(seen.matching().choices()).containsEntry("a/squat", "take-2");
        assertThat(SecondCameras.seen(seen, programme.timeline().intervals().get(1), null)
                        .matching()
                        .choices())
                .isEmpty();
        assertThat(SecondCameras.unmarked(seen, "take-2").matching()).isEqualTo(two.matching());
    }

    @Test
    void whatDoesNotSoundAlikeIsRefusedWithASentence() {
        List<TakeEvidence> silent = Stream.of("take-1", "take-2")
                .map(id -> new TakeEvidence(
                        id,
                        id + ".mp4",
                        Length.ofSeconds(60),
                        List.of(),
                        List.of(),
                        Trace.NONE,
                        Trace.NONE,
                        null,
                        List.of()))
                .toList();
        assertThatThrownBy(() -> SecondCameras.marked(Workout.EMPTY, silent, "take-2", "take-1"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("take-2 does not sound like take-1");
        assertThatThrownBy(() -> SecondCameras.marked(Workout.EMPTY, List.of(), "take-2", "take-1"))
                .hasMessageContaining("not read yet");
    }
}
