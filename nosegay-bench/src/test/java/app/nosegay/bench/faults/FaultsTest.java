package app.nosegay.bench.faults;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.Demo;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A small share of {@code nosegay bench --faults}, with another seed. */
class FaultsTest {
    private static final long SEED = 20;
    private static final int ACTIONS = 80;

    @TempDir
    private static Path shared;

    @TempDir
    private Path folder;

    private static Path take;
    private final String home = System.getProperty("nosegay.home");

    @BeforeAll
    static void film() throws Exception {
        take = FaultsBench.film(shared.resolve("film.mp4"));
    }

    @AfterEach
    void back() {
        if (home == null) {
            System.clearProperty("nosegay.home");
        } else {
            System.setProperty("nosegay.home", home);
        }
    }

    @Test
    void mutatedInputsAreReadOrRefusedWithASentence() throws Exception {
        HostileInputs.Outcome found = new HostileInputs(folder, take).run(330, SEED);
        assertThat(found.inputs()).isEqualTo(330);
        assertThat(found.refused()).isBetween(60, 300);
        assertThat(found.faults()).isEmpty();
    }

    @Test
    void killsCostNoMoreThanTheirBars() throws Exception {
        Kills kills = new Kills(folder, take);
        kills.run(Victim.Doing.values().length, SEED);
        assertThat(kills.faults()).isEmpty();
        assertThat(kills.kills()).hasSize(Victim.Doing.values().length);
    }

    @Test
    void fullAndReadOnlyDisksLeaveWhatIsThere() throws Exception {
        FullDisks disks = new FullDisks(folder, take);
        org.junit.jupiter.api.Assumptions.assumeTrue(disks.run(), "no small disk can be mounted here");
        assertThat(disks.tried()).isGreaterThan(30);
        assertThat(disks.faults()).isEmpty();
    }

    @Test
    void anythingAPersonDoesCanBeUndone() throws Exception {
        System.setProperty("nosegay.home", folder.resolve("home").toString());
        Path movie = Files.copy(take, folder.resolve("take-1.mp4"));
        Path file = folder.resolve("acted" + WorkoutFile.ENDING);
        WorkoutFile.save(
                file,
                Workout.EMPTY
                        .withSheet(Demo.sheet())
                        .withTake(Media.reference(folder, "take-1", movie, 8, null, null)));
        // As many on a slow machine as on a fast one.
        RandomActions acting = RandomActions.inAWindow(file, Duration.ZERO, ACTIONS, SEED);
        assertThat(acting.actions()).isEqualTo(ACTIONS);
        assertThat(acting.faults()).isEmpty();
    }
}
