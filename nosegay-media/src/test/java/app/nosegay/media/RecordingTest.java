package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.function.BooleanSupplier;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recording from FFmpeg's own test inputs. */
class RecordingTest {
    @Test
    void pictureAndSoundAreRecordedWithTheirLevel(@TempDir Path folder) throws Exception {
        Path file;
        double level = 0;
        try (Recording recording = new Recording(Device.testPicture(320, 180), null, folder.resolve("take.mp4"))) {
            Instant until = Instant.now().plus(Duration.ofSeconds(20));
            while (recording.frames() < 45 && Instant.now().isBefore(until)) {
                Thread.onSpinWait();
                level = Math.max(level, recording.level());
            }
            file = recording.stop();
        }
        assertThat(level).isGreaterThan(0.05);
        MediaInfo info = MediaInput.probe(file);
        assertThat(info.video().width()).isEqualTo(320);
        assertThat(info.audio()).isNotNull();
        TakeReader.Reading reading = TakeReader.read(file, "t", Progress.NONE);
        assertThat(reading.evidence().length().seconds()).isGreaterThan(1.2);
    }

    @Test
    void aDeviceThatIsNotThereIsNamed(@TempDir Path folder) {
        assertThatThrownBy(() ->
                        new Recording(new Device("v4l2", "/dev/video99", "Shed camera"), null, folder.resolve("x.mp4")))
                .isInstanceOf(MediaException.class)
                .hasMessageContaining("Shed camera")
                .hasMessageContaining("plugged in");
        assertThat(Device.cameras()).isNotNull();
        assertThat(Device.microphones()).isNotNull();
    }

    @Test
    void aCameraThatIsUnpluggedIsSaidAndWhatItGaveIsKept(@TempDir Path folder) throws Exception {
        Device unplugged = new Device("lavfi", "testsrc2=size=160x90:rate=30:duration=1,realtime", "Shed camera");
        Path target = folder.resolve("shoot-1.mp4");
        Recording recording = new Recording(unplugged, null, target);
        waitUntil(() -> recording.state().trouble() == RecordingState.Trouble.NO_PICTURE);
        assertThat(recording.state().sentence()).contains("No picture").contains("kept");
        recording.close();
        assertThat(MediaInput.probe(target).length().seconds()).isBetween(0.3, 2.5);
    }

    @Test
    void closingWithoutStoppingKeepsTheRecording(@TempDir Path folder) throws Exception {
        Path target = folder.resolve("shoot-1.mp4");
        try (Recording recording = new Recording(Device.testPicture(160, 90), null, target)) {
            waitUntil(() -> recording.frames() > 20);
        }
        assertThat(MediaInput.probe(target).length().seconds()).isGreaterThan(0.5);
    }

    @Test
    void whatIsOnTheDiskPlaysAtAnyMoment(@TempDir Path folder) throws Exception {
        Path target = folder.resolve("shoot-1.mp4");
        try (Recording recording = new Recording(Device.testPicture(160, 90), null, target)) {
            waitUntil(() -> recording.frames() > 75);
            double recorded = recording.frames() / 30.0;
            // As a kill leaves it.
            Path asKilled = Files.copy(folder.resolve("shoot-1.mp4.part"), folder.resolve("killed.mp4"));
            TakeReader.Reading reading = TakeReader.read(asKilled, "t", Progress.NONE);
            assertThat(reading.evidence().length().seconds()).isGreaterThan(recorded - 1);
        }
    }

    @Test
    void nothingIsRecordedOver(@TempDir Path folder) throws Exception {
        Path target = Files.writeString(folder.resolve("shoot-1.mp4"), "a recording of last week");
        assertThatThrownBy(() -> new Recording(Device.testPicture(160, 90), null, target))
                .isInstanceOf(MediaException.class)
                .hasMessageContaining("shoot-1.mp4");
        assertThat(target).hasContent("a recording of last week");
    }

    @Test
    void aFullDiskEndsTheRecordingAndKeepsIt(@TempDir Path folder) throws Exception {
        try (SmallDisk disk = SmallDisk.of(folder.resolve("disk"), 40)) {
            Path target = disk.folder().resolve("shoot-1.mp4");
            Recording recording = new Recording(Device.testPicture(320, 180), null, target);
            waitUntil(() -> recording.frames() > 60);
            disk.fill(RecordingState.RESERVE_BYTES / 2);
            waitUntil(() -> recording.state().trouble() == RecordingState.Trouble.DISK_FULL);
            assertThat(recording.state().sentence()).contains("Disk full").contains("kept");
            recording.close();
            assertThat(recording.failure()).isNotNull();
            assertThat(MediaInput.probe(target).length().seconds()).isGreaterThan(1);
        }
    }

    @Test
    void aDiskThatIsFullAllAtOnceCostsTheLastMomentOnly(@TempDir Path folder) throws Exception {
        try (SmallDisk disk = SmallDisk.of(folder.resolve("disk"), 40)) {
            Path target = disk.folder().resolve("shoot-1.mp4");
            Recording recording = new Recording(Device.testPicture(320, 180), null, target);
            // The first picture stands for all that were due while the device was opened: only what is on the disk can
            // be kept.
            waitUntil(() -> recording.frames() > 60 && fragments(disk.folder().resolve("shoot-1.mp4.part")) > 2);
            disk.fill(0);
            waitUntil(() -> recording.state().trouble() == RecordingState.Trouble.DISK_FULL);
            recording.close();
            assertThat(TakeReader.read(target, "t", Progress.NONE)
                            .evidence()
                            .length()
                            .seconds())
                    .isGreaterThan(1);
        }
    }

    @Test
    void withoutRoomNothingIsBegun(@TempDir Path folder) throws Exception {
        try (SmallDisk disk = SmallDisk.of(folder.resolve("disk"), 20)) {
            assertThatThrownBy(() -> new Recording(
                            Device.testPicture(160, 90), null, disk.folder().resolve("shoot-1.mp4")))
                    .hasMessageContaining("MB left");
            assertThat(disk.folder()).isEmptyDirectory();
        }
    }

    /** How many stretches of a recording that is going on are on the disk. */
    private static int fragments(Path part) {
        try {
            return Files.readString(part, StandardCharsets.ISO_8859_1).split("moof", -1).length - 1;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void waitUntil(BooleanSupplier done) {
        Instant until = Instant.now().plus(Duration.ofSeconds(30));
        while (!done.getAsBoolean()) {
            assertThat(Instant.now()).isBefore(until);
            Thread.onSpinWait();
        }
    }
}
