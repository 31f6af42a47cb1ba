package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.files.Fingerprint;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MovieFormat;
import app.nosegay.media.MovieWriter;
import app.nosegay.media.Progress;
import app.nosegay.workout.Workout;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** Recordings that are moved, replaced or still growing after they were matched, and a workout packed to go elsewhere. */
class MediaRelinkerTest {
    @TempDir
    private Path folder;

    private Path movie;
    private Workout workout;

    @BeforeEach
    void aWorkoutWithARecording() throws IOException {
        movie = film(folder.resolve("takes/take-1.mp4"), 3, Color.ORANGE);
        Path transcript = Files.writeString(
                folder.resolve("takes/take-1.vtt"), "WEBVTT\n\n00:00.500 --> 00:01.500\nhello and welcome\n");
        Path log = Files.writeString(folder.resolve("takes/take-1.log.json"), "{\"startTone\": 0, \"segments\": []}");
        workout = Workout.EMPTY
                .withSheet("title: T\ntalk Hi  0:03\n")
                .withTake(Media.reference(folder, "take-1", movie, 3, transcript, log));
    }

    private static Path film(Path file, int seconds, Color colour) throws IOException {
        BufferedImage image = new BufferedImage(160, 90, BufferedImage.TYPE_INT_RGB);
        try (MovieWriter writer = new MovieWriter(
                file, new MovieFormat(160, 90, new FrameRate(25, 1), EncoderSettings.TAKE, false), "", List.of())) {
            for (int n = 0; n < seconds * 25; n++) {
                Graphics2D g = image.createGraphics();
                g.setColor(colour);
                g.fillRect(n % 100, 20, 40, 40);
                g.dispose();
                writer.picture(image, n);
            }
            writer.finish();
        }
        return file;
    }

    private Workout.TakeRef take(Workout of) {
        return of.takes().get(0);
    }

    @Test
    void whatIsWhereItWasIsLeftAlone() throws IOException {
        assertThat(MediaRelinker.foundAgain(workout, folder)).isSameAs(workout);
    }

    @Test
    void aRecordingThatWasMovedIsFoundByItsContent() throws IOException {
        Files.createDirectories(folder.resolve("old/2026"));
        Files.move(movie, folder.resolve("old/2026/kitchen.mp4"));
        Files.move(folder.resolve("takes/take-1.vtt"), folder.resolve("old/2026/kitchen.vtt"));
        Workout found = MediaRelinker.foundAgain(workout, folder);
        assertThat(take(found).file()).isEqualTo("old/2026/kitchen.mp4");
        assertThat(take(found).transcript()).isEqualTo("old/2026/kitchen.vtt");
        assertThat(take(found).log()).as("still where it was").isEqualTo("takes/take-1.log.json");
    }

    @Test
    void oneOfTheSameSizeIsNotTakenForIt() throws IOException {
        byte[] bytes = Files.readAllBytes(movie);
        bytes[bytes.length / 2] ^= 1;
        Files.write(folder.resolve("other.mp4"), bytes);
        Files.delete(movie);
        assertThat(MediaRelinker.foundAgain(workout, folder)).isSameAs(workout);
        assertThatThrownBy(() -> WorkoutMedia.read(workout, folder, Progress.NONE))
                .hasMessageContaining("take-1.mp4")
                .hasMessageContaining("missing");
    }

    @Test
    void anotherRecordingUnderTheSameNameIsSaidAndRead() throws IOException {
        Workout noLog = workout.withTakes(
                List.of(take(workout).at("takes/take-1.mp4", "takes/take-1.vtt", null)), workout.pins());
        assertThat(WorkoutMedia.read(noLog, folder, Progress.NONE).notices(noLog))
                .noneMatch(n -> n.contains("has changed since it was matched"));
        film(movie, 5, Color.BLUE);
        WorkoutMedia media = WorkoutMedia.read(noLog, folder, Progress.NONE);
        assertThat(media.notices(noLog))
                .anyMatch(n -> n.contains("take-1.mp4") && n.contains("has changed since it was matched"));
        assertThat(media.evidence().get(0).length().seconds()).isBetween(4.8, 5.2);
    }

    @Test
    void toAnotherFolderThePathsFollowAndTheMediaStay() {
        Workout moved = MediaRelinker.toFolder(workout, folder, folder.resolve("sheets"));
        assertThat(take(moved).file()).isEqualTo("../takes/take-1.mp4");
        assertThat(take(moved).transcript()).isEqualTo("../takes/take-1.vtt");
        assertThat(MediaRelinker.toFolder(moved, folder.resolve("sheets"), folder))
                .isEqualTo(workout);
    }

    @Test
    void theMusicGoesWithItToo() {
        var sound = workout.dressing().sound().withMusicAt("bed.wav");
        Workout played = workout.withDressing(workout.dressing().withSound(sound));
        Workout moved = MediaRelinker.toFolder(played, folder, folder.resolve("sheets"));
        assertThat(moved.dressing().sound().music()).isEqualTo("../bed.wav");
    }

    @Test
    void packedItIsWholeElsewhere() throws IOException {
        Path target = folder.resolve("to/take/away");
        Path packed = PackJob.into(workout, folder, target, "t.nosegay.json", true, Progress.NONE);
        Files.delete(movie);
        Workout opened = WorkoutFile.open(packed);
        assertThat(take(opened).file()).isEqualTo("take-1.mp4");
        assertThat(Fingerprint.of(target.resolve("take-1.mp4")))
                .isEqualTo(take(workout).fingerprint());
        assertThat(target.resolve("take-1.vtt")).exists();
        assertThat(opened.sheet()).isEqualTo(workout.sheet());
        try (var files = Files.list(target)) {
            assertThat(files.filter(f -> f.toString().endsWith(".part"))).isEmpty();
        }
    }

    @Test
    void packingReplacesNothingAndNamesWhatIsMissing() throws IOException {
        Path target = folder.resolve("packed");
        PackJob.into(workout, folder, target, "t.nosegay.json", true, Progress.NONE);
        assertThatThrownBy(() -> PackJob.into(workout, folder, target, "t.nosegay.json", true, Progress.NONE))
                .isInstanceOf(FileAlreadyExistsException.class);
        Path beside = PackJob.into(workout, folder, target, "u.nosegay.json", true, Progress.NONE);
        assertThat(take(WorkoutFile.open(beside)).file()).isEqualTo("take-1-2.mp4");
        Files.delete(movie);
        assertThatThrownBy(() ->
                        PackJob.into(workout, folder, folder.resolve("more"), "t.nosegay.json", true, Progress.NONE))
                .hasMessageContaining("take-1.mp4");
        assertThat(folder.resolve("more/t.nosegay.json")).doesNotExist();
    }

    @Test
    void roomOnTheDiskIsToldInWordsPeopleUse() throws IOException {
        assertThat(DiskSpace.free(folder.resolve("not/there/yet"))).isPositive();
        assertThat(DiskSpace.words(2_500_000_000L)).isEqualTo("2.5 GB");
        assertThat(DiskSpace.words(35_400_000)).isEqualTo("35 MB");
        assertThat(DiskSpace.words(10)).isEqualTo("1 kB");
        DiskSpace.check(folder, 1000, "a trifle");
        assertThatThrownBy(() -> DiskSpace.check(folder, Long.MAX_VALUE / 2, "the video"))
                .hasMessageContaining(folder.toString())
                .hasMessageContaining("the video needs about");
    }

    @Test
    void aCacheThatHasGrownLargeIsSaid() throws IOException {
        Workout noLog = workout.withTakes(
                List.of(take(workout).at("takes/take-1.mp4", "takes/take-1.vtt", null)), workout.pins());
        WorkoutMedia media = WorkoutMedia.read(noLog, folder, Progress.NONE);
        assertThat(EvidenceCache.size(folder)).isPositive().isLessThan(10_000_000);
        assertThat(media.notices(noLog)).noneMatch(n -> n.contains(".nosegay"));
        // A file with a hole in it: large to look at, small on the disk.
        try (var large = new java.io.RandomAccessFile(
                folder.resolve(".nosegay/old.proxy.mp4").toFile(), "rw")) {
            large.setLength(4_000_000_000L);
        }
        assertThat(media.notices(noLog)).anyMatch(n -> n.contains(".nosegay") && n.contains("4.0 GB"));
    }

    @Test
    void aWorkoutFromSomebodyElseTakesNoFileAlongThatIsNotItsOwn() throws IOException {
        Path home = Files.createDirectories(folder.resolve("home"));
        Path secret = Files.writeString(folder.resolve("secret.txt"), "a key, a letter, a list of names");
        Workout.TakeRef named = take(workout).at("../secret.txt", null, null);
        Workout trap = workout.withTakes(java.util.List.of(named), java.util.List.of());
        Path target = folder.resolve("packed");
        assertThat(PackJob.outside(trap, home)).containsExactly(secret);
        assertThatThrownBy(() -> PackJob.into(trap, home, target, "t.nosegay.json", false, Progress.NONE))
                .hasMessageContaining("secret.txt");
        assertThatThrownBy(() -> PackJob.into(trap, home, target, "t.nosegay.json", true, Progress.NONE))
                .as("nor when asked for: it is no recording")
                .hasMessageContaining("secret.txt");
        assertThat(target).doesNotExist();
        Path link = Files.createSymbolicLink(home.resolve("take-9.mp4"), movie);
        Workout linked = workout.withTakes(
                java.util.List.of(take(workout).at(link.getFileName().toString(), null, null)), java.util.List.of());
        assertThat(PackJob.outside(linked, home)).containsExactly(link);
    }
}
