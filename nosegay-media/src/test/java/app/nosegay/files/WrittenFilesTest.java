package app.nosegay.files;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.files.WrittenFiles.Standing;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class WrittenFilesTest {
    @TempDir
    private Path folder;

    @Test
    void aFileIsOursUntilSomebodyChangesIt() throws IOException {
        Path file = folder.resolve("description.txt");
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.NEW);
        Files.writeString(file, "by Nosegay");
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.SOMEBODYS);
        WrittenFiles.in(folder).wrote(file);
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.OURS);
        Files.writeString(file, "by hand");
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.SOMEBODYS);
        Files.delete(file);
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.NEW);
    }

    @Test
    void filesOfFoldersInItAreKnownByTheirPath() throws IOException {
        Path sub = Files.createDirectory(folder.resolve("layer"));
        Path ours = Files.writeString(sub.resolve("a.png"), "a");
        Path theirs = Files.writeString(sub.resolve("b.png"), "b");
        WrittenFiles.in(folder).wrote(ours);
        assertThat(WrittenFiles.in(folder).ours(sub)).containsExactly(ours);
        assertThat(WrittenFiles.in(folder).standing(theirs)).isEqualTo(Standing.SOMEBODYS);
        assertThat(WrittenFiles.in(folder).ours(folder.resolve("none"))).isEmpty();
    }

    @Test
    void withABrokenListEveryFileIsSomebodys() throws IOException {
        Path file = Files.writeString(folder.resolve("video.mp4"), "film");
        WrittenFiles.in(folder).wrote(file);
        Files.writeString(folder.resolve(".nosegay-written.json"), "{ \"video.mp4\": \"12");
        assertThat(WrittenFiles.in(folder).standing(file)).isEqualTo(Standing.SOMEBODYS);
    }

    @Test
    void theSameContentUnderAnotherNameHasTheSameFingerprint() throws IOException {
        Path one = Files.write(folder.resolve("one"), new byte[3_000_000]);
        Path copy = Files.copy(one, folder.resolve("copy"));
        byte[] changed = new byte[3_000_000];
        changed[2_999_999] = 1;
        Path other = Files.write(folder.resolve("other"), changed);
        assertThat(Fingerprint.of(copy)).isEqualTo(Fingerprint.of(one)).isNotEqualTo(Fingerprint.of(other));
    }

    @Test
    void aFolderGoesWithAllThatIsInIt() throws IOException {
        Path sub = Files.createDirectories(folder.resolve("a/b"));
        Files.writeString(sub.resolve("c"), "c");
        FileFolders.delete(folder.resolve("a"));
        FileFolders.delete(folder.resolve("not there"));
        assertThat(folder).isEmptyDirectory();
    }
}
