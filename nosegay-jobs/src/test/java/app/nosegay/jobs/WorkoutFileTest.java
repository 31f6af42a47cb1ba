package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.files.Fingerprint;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.attribute.FileTime;
import java.time.Instant;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WorkoutFileTest {
    private static final Workout ONE = Workout.EMPTY.withSheet("title: One\n");
    private static final Workout TWO = Workout.EMPTY.withSheet("title: Two\n");

    @TempDir
    private Path folder;

    @Test
    void aSaveReplacesTheFileAndLeavesNothingElse() throws IOException {
        Path file = folder.resolve("w.nosegay.json");
        WorkoutFile.save(file, ONE);
        WorkoutFile.save(file, TWO);
        assertThat(WorkoutFile.open(file)).isEqualTo(TWO);
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files).containsExactly(file);
        }
    }

    @Test
    void whatWasNotSavedComesBackFromTheAutosave() throws IOException {
        Path file = folder.resolve("w.nosegay.json");
        WorkoutFile.save(file, ONE);
        WorkoutFile.autosave(file, TWO);
        assertThat(WorkoutFile.open(file)).isEqualTo(ONE);
        assertThat(WorkoutFile.recovered(file)).contains(TWO);
        WorkoutFile.save(file, TWO);
        assertThat(WorkoutFile.recovered(file)).isEmpty();
    }

    @Test
    void anAutosaveIsOfferedWhateverItsDateAndABrokenOneIsSetAside() throws IOException {
        Path file = folder.resolve("w.nosegay.json");
        WorkoutFile.save(file, ONE);
        WorkoutFile.autosave(file, TWO);
        Files.setLastModifiedTime(WorkoutFile.autosave(file), FileTime.from(Instant.parse("2020-01-01T00:00:00Z")));
        assertThat(WorkoutFile.recovered(file)).contains(TWO);
        Files.writeString(WorkoutFile.autosave(file), "{ half a fi");
        assertThat(WorkoutFile.recovered(file)).isEmpty();
        assertThat(WorkoutFile.autosave(file)).doesNotExist();
        try (Stream<Path> files = Files.list(folder)) {
            assertThat(files.filter(f -> f.toString().contains("broken")))
                    .singleElement()
                    .satisfies(f -> assertThat(f).hasContent("{ half a fi"));
        }
        WorkoutFile.autosave(file, ONE);
        assertThat(WorkoutFile.recovered(file)).as("nothing was changed").isEmpty();
    }

    @Test
    void aKillWhileSavingLeavesTheOldFileWhole() throws IOException {
        Path file = folder.resolve("w.nosegay.json");
        WorkoutFile.save(file, ONE);
        // What a kill in the middle of the next save leaves behind: half of the new file under its working name.
        Files.writeString(folder.resolve(".w.nosegay.json.new"), "{\"format\" : 1, \"sheet\" : [ \"tit");
        assertThat(WorkoutFile.open(file)).isEqualTo(ONE);
        WorkoutFile.save(file, TWO);
        assertThat(WorkoutFile.open(file)).isEqualTo(TWO);
    }

    @Test
    void errorsNameTheFile() throws IOException {
        assertThatThrownBy(() -> WorkoutFile.open(folder.resolve("gone.nosegay.json")))
                .hasMessageContaining("gone.nosegay.json: file not found");
        Path binary = Files.write(folder.resolve("b.nosegay.json"), new byte[] {(byte) 0xff, (byte) 0xc0, 0});
        assertThatThrownBy(() -> WorkoutFile.open(binary))
                .hasMessageContaining("b.nosegay.json: this is not a text file");
        Path inFile = Files.writeString(folder.resolve("plain"), "x").resolve("w.nosegay.json");
        assertThatThrownBy(() -> WorkoutFile.save(inFile, ONE)).isInstanceOf(IOException.class);
    }

    @Test
    void mediaIsStoredRelativeAndFoundAgain() throws IOException {
        Path movie = Files.write(
                Files.createDirectories(folder.resolve("media")).resolve("take 1.mp4"), new byte[3_000_000]);
        Files.writeString(movie.resolveSibling("take 1.srt"), "1\n00:00:01,000 --> 00:00:02,000\nGo\n");
        Workout.TakeRef take =
                Media.reference(folder, "take-1", movie, 12.5, Media.transcriptBeside(movie), Media.logBeside(movie));
        assertThat(take.file()).isEqualTo("media/take 1.mp4");
        assertThat(take.transcript()).isEqualTo("media/take 1.srt");
        assertThat(take.log()).isNull();
        assertThat(Media.present(folder, take)).isEqualTo(movie);
        String before = Fingerprint.of(movie);
        byte[] changed = Files.readAllBytes(movie);
        changed[changed.length - 1] = 1;
        Files.write(movie, changed);
        assertThat(Fingerprint.of(movie)).isNotEqualTo(before);
        Files.delete(movie);
        assertThatThrownBy(() -> Media.present(folder, take))
                .hasMessageContaining("take 1.mp4: the recording is missing");
    }
}
