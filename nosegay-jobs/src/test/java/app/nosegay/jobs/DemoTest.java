package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.match.Match;
import app.nosegay.media.Progress;
import app.nosegay.shoot.ShootLog;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** The demo as it is shipped: there at once, and of this version. Where one of these fails: {@code ./nosegay bench --demo-take DIR}. */
class DemoTest {
    /** No file of the repository is larger. */
    private static final int MOST_BYTES = 4_000_000;

    @TempDir
    private Path folder;

    @Test
    void theShippedTakeIsOfTheShippedSheetAndReadByThisVersion() throws Exception {
        assertThat(Demo.shipped("take-1.mp4").length).isBetween(1_000_000, MOST_BYTES);
        ShootLog log = ShootLog.fromJson(new String(Demo.shipped("take-1.log.json"), StandardCharsets.UTF_8));
        assertThat(log.sheet()).isEqualTo(Demo.sheet());
        assertThat(EvidenceCache.isCurrent(Demo.reading())).isTrue();
    }

    @Test
    void itIsCompleteWithoutReadingTheTake() throws Exception {
        Path file = Demo.place(folder);
        Workout workout = WorkoutFile.open(file);
        List<Double> told = new ArrayList<>();
        Progress progress = told::add;
        WorkoutMedia media = WorkoutMedia.read(workout, folder, progress);
        assertThat(told).as("from the shelf").containsOnly(1.0);
        Programme programme = media.programme(workout);
        assertThat(programme.match().segments()).allMatch(Match.Placed::matched);
        assertThat(programme.evidence().get(0).tones()).hasSizeGreaterThanOrEqualTo(2);
        assertThat(programme.evidence().get(0).bodies().people()).hasSizeGreaterThanOrEqualTo(3);
        assertThat(programme.dressing().pieces()).isNotEmpty();
        assertThat(programme.captions()).isNotEmpty();
    }

    /** Whoever cancels while a kept reading is opened has not found it damaged: reading an hour again takes minutes. */
    @Test
    void aKeptReadingSurvivesBeingCancelled() throws Exception {
        Workout workout = WorkoutFile.open(Demo.place(folder));
        Path movie = folder.resolve(workout.takes().get(0).file());
        Progress cancelled = share -> {
            throw new CancellationException();
        };
        assertThatThrownBy(() -> EvidenceCache.read(movie, "take-1", folder, cancelled))
                .isInstanceOf(CancellationException.class);
        assertThat(EvidenceCache.isKept(movie, folder)).isTrue();
        assertThat(EvidenceCache.read(movie, "take-1", folder, Progress.NONE)
                        .evidence()
                        .beeps())
                .isNotEmpty();
    }

    @Test
    void whatIsThereAlreadyIsLeftAsItIs() throws Exception {
        Path file = Demo.place(folder);
        assertThat(Demo.place(folder)).isEqualTo(file);
        WorkoutFile.save(file, Workout.EMPTY.withSheet("title: My own\n"));
        Demo.place(folder);
        assertThat(WorkoutFile.open(file).sheet()).isEqualTo("title: My own\n");
        Path other = Files.createDirectory(folder.resolve("other"));
        Path mine = Files.writeString(other.resolve("take-1.mp4"), "my film");
        Demo.place(other);
        assertThat(mine).hasContent("my film");
        assertThat(WorkoutFile.open(other.resolve(file.getFileName()))
                        .takes()
                        .get(0)
                        .file())
                .isEqualTo("take-2.mp4");
    }
}
