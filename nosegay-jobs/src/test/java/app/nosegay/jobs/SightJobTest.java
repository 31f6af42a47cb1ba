package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.paint.Figure;
import app.nosegay.paint.Motion;
import app.nosegay.paint.StudioBackdrop;
import app.nosegay.workout.Workout;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.concurrent.CancellationException;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** People are looked for in takes that were read, and what was seen is kept beside them. */
class SightJobTest {
    private static final int SECONDS = 5;

    @TempDir
    private Path folder;

    /** Somebody who squats for some seconds. */
    private Workout filmed() throws IOException {
        Path movie = folder.resolve("take-1.mp4");
        BufferedImage room = StudioBackdrop.paint(640, 360);
        BufferedImage frame = new BufferedImage(640, 360, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                movie, new MovieFormat(640, 360, new FrameRate(16, 1), EncoderSettings.TAKE, false), "", List.of())) {
            for (int n = 0; n < SECONDS * 16; n++) {
                Graphics2D g = frame.createGraphics();
                g.drawImage(room, 0, 0, null);
                double phase = 0.5 - 0.5 * Math.cos(n * 0.2);
                Figure.presenter()
                        .draw(g, new Figure.Stance(Motion.of("squat"), phase, false, Figure.Prop.NONE), 320, 330, 220);
                g.dispose();
                writer.picture(frame, n);
            }
            writer.finish();
        }
        Workout.TakeRef take = new Workout.TakeRef("take-1", "take-1.mp4", Files.size(movie), SECONDS, "", null, null);
        return new Workout("title: Seen\ntalk Hi  0:05\n", List.of(take), List.of());
    }

    @Test
    void whoIsSeenIsKeptAndReadWithTheTake() throws Exception {
        Workout workout = filmed();
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        assertThat(media.evidence().get(0).bodies().isEmpty()).isTrue();
        assertThat(SightJob.open(workout, media)).isEqualTo(workout.takes());

        Set<Double> told = new TreeSet<>();
        SightJob.look(workout, media, () -> false, told::add);

        assertThat(told).last().isEqualTo(1.0);
        assertThat(SightJob.open(workout, media)).isEmpty();
        Bodies seen = media.withBodies(workout).evidence().get(0).bodies();
        assertThat(seen.people()).hasSize(1);
        assertThat(seen.people().get(0).seen()).isGreaterThan((SECONDS - 1) * 8);
        TakeEvidence again =
                WorkoutMedia.read(workout, folder, Progress.NONE).evidence().get(0);
        assertThat(again.bodies().people().get(0).places())
                .isEqualTo(seen.people().get(0).places());
        assertThat(again.bodies().people().get(0).certainties())
                .isEqualTo(seen.people().get(0).certainties());
        assertThat(again.bodies().shape()).isEqualTo(seen.shape());
    }

    @Test
    void aCancelledLookLeavesNothingAndADamagedEntryIsLookedAtAgain() throws Exception {
        Workout workout = filmed();
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        assertThatThrownBy(() -> SightJob.look(workout, media, () -> false, s -> {
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(SightJob.open(workout, media)).hasSize(1);
        Path movie = folder.resolve("take-1.mp4");
        Files.write(EvidenceCache.bodiesFile(movie, folder), new byte[] {1, 2, 3});
        assertThat(EvidenceCache.bodies(movie, folder)).isEmpty();
        EvidenceCache.keep(movie, folder, Bodies.NONE);
        assertThat(EvidenceCache.bodies(movie, folder))
                .hasValueSatisfying(b -> assertThat(b.isEmpty()).isTrue());
    }

    /** While something plays nothing is looked at. */
    @Test
    void aPausedLookWaits() throws Exception {
        Workout workout = filmed();
        AtomicInteger asked = new AtomicInteger();
        Bodies seen = SightJob.bodies(folder.resolve("take-1.mp4"), () -> asked.incrementAndGet() < 5, s -> {});
        assertThat(workout.takes()).hasSize(1);
        assertThat(asked.get()).isGreaterThan(5);
        assertThat(seen.people()).hasSize(1);
    }
}
