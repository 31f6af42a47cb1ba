package app.nosegay.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CancellationException;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class AtomicFileTest {
    @TempDir
    Path folder;

    private Path file;

    @BeforeEach
    void anOldFile() throws IOException {
        file = Files.writeString(folder.resolve("notes.txt"), "old");
    }

    private List<String> names() throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.map(f -> f.getFileName().toString()).sorted().toList();
        }
    }

    @Test
    void replacesTheOldFileWhole() throws IOException {
        AtomicFile.write(file, "new – with signs beyond ASCII");
        assertThat(file).hasContent("new – with signs beyond ASCII");
        assertThat(names()).containsExactly("notes.txt");
    }

    @Test
    void aFailureHalfWayLeavesTheOldFileAndNothingElse() throws IOException {
        assertThatThrownBy(() -> AtomicFile.write(file, out -> {
                    out.write(new byte[100_000]);
                    throw new IOException("No space left on device");
                }))
                .isInstanceOf(IOException.class)
                .hasMessage("notes.txt cannot be written: the disk is full; free some space, or choose another folder");
        assertThat(file).hasContent("old");
        assertThat(names()).containsExactly("notes.txt");
    }

    @Test
    void cancellingLeavesTheOldFileAndNothingElse() throws IOException {
        assertThatThrownBy(() -> AtomicFile.write(file, out -> {
                    out.write(1);
                    throw new CancellationException();
                }))
                .isInstanceOf(CancellationException.class);
        assertThat(file).hasContent("old");
        assertThat(names()).containsExactly("notes.txt");
    }

    @Test
    void whatWritesByItselfCommitsOrGivesUp() throws IOException {
        try (AtomicFile given = new AtomicFile(file)) {
            Files.writeString(given.part(), "half");
        }
        assertThat(file).hasContent("old");
        try (AtomicFile kept = new AtomicFile(file)) {
            Files.writeString(kept.part(), "whole");
            kept.commit();
        }
        assertThat(file).hasContent("whole");
        assertThat(names()).containsExactly("notes.txt");
    }

    @Test
    void noFolderIsMadeByAMistypedPath() {
        assertThatThrownBy(() -> AtomicFile.write(folder.resolve("no such").resolve("notes.txt"), "x"))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("notes.txt cannot be written: there is no folder")
                .hasMessageContaining("no such");
        assertThat(folder.resolve("no such")).doesNotExist();
    }

    @Test
    void manyVersionsLeaveOneFile() throws IOException {
        for (int i = 0; i < 200; i++) {
            AtomicFile.write(file, "version " + i);
        }
        assertThat(file).hasContent("version 199");
        assertThat(names()).containsExactly("notes.txt");
    }
}
