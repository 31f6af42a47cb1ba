package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files a camera cut apart, put together again without encoding anything. */
class JoinedRecordingTest {
    @TempDir
    private Path folder;

    /** A film of 6 s with a beep in its fifth second, cut at its third as cameras do. */
    private List<Path> cut(String ending) throws IOException {
        Path whole = Movies.film(
                folder.resolve("whole.mp4"),
                6,
                new FrameRate(30, 1),
                true,
                0,
                6,
                List.of(new Movies.Sound(4.5, 1500, 0.3)));
        Path first = folder.resolve("clip-1" + ending);
        Path second = folder.resolve("clip-2" + ending);
        Ffmpeg.run("-i $0 -t 3 -c copy $1", whole, first);
        Ffmpeg.run("-ss 3 -i $0 -c copy $1", whole, second);
        return List.of(first, second);
    }

    @ParameterizedTest
    @ValueSource(strings = {".mp4", ".mov", ".mkv"})
    void aFilmCutInTwoIsWholeAgain(String ending) throws IOException {
        Path joined = folder.resolve("joined" + ending);
        List<Time<Axis.Take>> starts = JoinedRecording.write(cut(ending), joined, Progress.NONE);
        assertThat(starts).hasSize(2);
        assertThat(starts.get(0)).isEqualTo(Time.zero());
        MediaInfo info = MediaInput.probe(joined);
        assertThat(info.length().seconds()).isCloseTo(starts.get(1).seconds() + 3, within(0.15));
        assertThat(info.audio()).isNotNull();
        String frames = Ffmpeg.probe(
                "-count_packets -select_streams v -show_entries stream=nb_read_packets -of csv=p=0", joined);
        assertThat(Integer.parseInt(frames.strip().replaceAll("\\D", ""))).isBetween(178, 184);
        // Every picture comes later than the one before, over the seam, too.
        double last = -1;
        for (String time : Ffmpeg.probe("-select_streams v -show_entries frame=pts_time -of csv=p=0", joined)
                .strip()
                .split("\\s+")) {
            double now = Double.parseDouble(time.replace(",", ""));
            assertThat(now).isGreaterThan(last);
            last = now;
        }
    }

    @Test
    void theSoundKeepsItsPlace() throws IOException {
        Path joined = folder.resolve("joined.mp4");
        List<Time<Axis.Take>> starts = JoinedRecording.write(cut(".mp4"), joined, Progress.NONE);
        float[] sound = SoundReader.mono(joined, 16_000, Progress.NONE);
        int loudest = 0;
        for (int i = 0; i < sound.length; i++) {
            loudest =
                    Math.abs(sound[i]) > 0.9 * Math.abs(sound[loudest]) && Math.abs(sound[i]) > Math.abs(sound[loudest])
                            ? i
                            : loudest;
        }
        assertThat(loudest / 16_000.0)
                .isBetween(starts.get(1).seconds() + 1.4, starts.get(1).seconds() + 1.9);
    }

    @Test
    void otherSettingsAreRefusedAndNothingIsLeft() throws IOException {
        Path other = Movies.film(folder.resolve("silent.mp4"), 2, new FrameRate(30, 1), false, 0, 2, List.of());
        Path target = folder.resolve("joined.mp4");
        List<Path> parts = List.of(cut(".mp4").get(0), other);
        assertThatThrownBy(() -> JoinedRecording.write(parts, target, Progress.NONE))
                .isInstanceOf(MediaException.class)
                .hasMessageContaining("silent.mp4")
                .hasMessageContaining("other settings");
        assertThat(target).doesNotExist();
        assertThat(folder.resolve("joined.mp4.part")).doesNotExist();
    }

    @Test
    void whatIsThereIsNotReplaced() throws IOException {
        Path there = Files.writeString(folder.resolve("joined.mp4"), "mine");
        List<Path> parts = cut(".mp4");
        assertThatThrownBy(() -> JoinedRecording.write(parts, there, Progress.NONE))
                .isInstanceOf(FileAlreadyExistsException.class);
        assertThat(there).hasContent("mine");
    }

    @Test
    void aMissingOrBrokenPartIsNamed() throws IOException {
        Path broken = Files.writeString(folder.resolve("notes.mp4"), "not a film");
        List<Path> parts = List.of(cut(".mp4").get(0), broken);
        assertThatThrownBy(() -> JoinedRecording.write(parts, folder.resolve("j.mp4"), Progress.NONE))
                .hasMessageContaining("notes.mp4");
        List<Path> missing = List.of(folder.resolve("gone.mp4"), broken);
        assertThatThrownBy(() -> JoinedRecording.write(missing, folder.resolve("j.mp4"), Progress.NONE))
                .hasMessageContaining("gone.mp4");
    }

    @Test
    void cancellingLeavesNothing() throws IOException {
        List<Path> parts = cut(".mp4");
        Path target = folder.resolve("joined.mp4");
        assertThatThrownBy(() -> JoinedRecording.write(parts, target, share -> {
                    if (share > 0.6) {
                        throw new CancellationException();
                    }
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(target).doesNotExist();
        assertThat(folder.resolve("joined.mp4.part")).doesNotExist();
    }
}
