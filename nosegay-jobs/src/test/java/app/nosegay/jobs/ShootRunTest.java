package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.media.Device;
import app.nosegay.media.MediaInput;
import app.nosegay.plan.Timeline;
import app.nosegay.shoot.ShootClock;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A short run in real time, with FFmpeg's test picture as the camera. */
class ShootRunTest {
    private static final Programme PROGRAMME = Programme.of(
            Workout.EMPTY.withSheet("title: T\ncircuit A  work 0:02  rest 0:01\n  goblet squat\n  push-up\n"),
            List.of(),
            List.of(),
            Libraries.current());

    @Test
    void theLogIsOnDiskWhileTheRunGoesOnAndTheCameraIsRecorded(@TempDir Path folder) throws Exception {
        Timeline timeline = PROGRAMME.timeline();
        List<String> notices = new ArrayList<>();
        int run = ShootRun.freeRun(folder);
        try (ShootRun shoot = new ShootRun(
                timeline,
                PROGRAMME.cues(),
                new ShootRun.Run(0, run, folder),
                new ShootRun.Settings(0.2, true, false, Device.testPicture(160, 90), null, false),
                notices::add)) {
            waitUntil(() -> !shoot.moment().getReady().isPositive());
            shoot.tell(ShootClock::mark);
            // As after a kill: what is on the disk now.
            ShootLog onDisk = ShootLog.fromJson(Files.readString(shoot.logFile()));
            assertThat(onDisk.events()).extracting(ShootLog.Event::kind).containsExactly("mark");
            assertThat(onDisk.run()).isEqualTo(run);
            waitUntil(shoot::isOver);
            Path recorded = shoot.finish();
            assertThat(MediaInput.probe(recorded).video().width()).isEqualTo(160);
            ShootLog log = ShootLog.fromJson(Files.readString(shoot.logFile()));
            assertThat(log.entries()).hasSameSizeAs(timeline.segments());
            assertThat(log.endTone()).isNotNull();
        }
        assertThat(ShootRun.freeRun(folder)).isEqualTo(run + 1);
    }

    @Test
    void aRehearsalRunsToItsEndAndLeavesNothingBehind(@TempDir Path folder) throws Exception {
        ShootRun.Settings settings =
                new ShootRun.Settings(0.2, true, false, Device.testPicture(160, 90), null, false).rehearsed();
        assertThat(settings.camera()).isNull();
        try (ShootRun shoot = new ShootRun(
                PROGRAMME.timeline(), PROGRAMME.cues(), new ShootRun.Run(0, 0, folder), settings, notice -> {})) {
            waitUntil(() -> shoot.moment().getReady().equals(Length.ZERO));
            shoot.tell(ShootClock::fluff);
            waitUntil(shoot::isOver);
            assertThat(shoot.isRehearsal()).isTrue();
            shoot.end();
        }
        assertThat(folder).isEmptyDirectory();
    }

    private static void waitUntil(java.util.function.BooleanSupplier done) {
        Instant until = Instant.now().plus(Duration.ofSeconds(40));
        while (!done.getAsBoolean()) {
            assertThat(Instant.now()).isBefore(until);
            Thread.onSpinWait();
        }
    }
}
