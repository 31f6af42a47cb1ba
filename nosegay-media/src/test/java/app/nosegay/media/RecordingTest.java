package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
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
}
