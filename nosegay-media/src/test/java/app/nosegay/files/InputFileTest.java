package app.nosegay.files;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.ByteBuffer;
import java.nio.channels.SeekableByteChannel;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;

class InputFileTest {
    @TempDir
    private Path folder;

    @Test
    void aTextIsReadWhole() throws IOException {
        Path file = Files.writeString(folder.resolve("plan.txt"), "title: Äpfel 🌱\n");
        assertThat(InputFile.RUN_SHEET.text(file)).isEqualTo("title: Äpfel 🌱\n");
        assertThat(InputFile.RUN_SHEET.bytes(Files.createFile(folder.resolve("empty.txt"))))
                .isEmpty();
    }

    @Test
    void whatIsNoTextIsNamed() throws IOException {
        Path file = Files.write(folder.resolve("picture.txt"), new byte[] {(byte) 0xff, (byte) 0xc0, 0});
        assertThatThrownBy(() -> InputFile.TEXT.text(file))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("picture.txt")
                .hasMessageContaining("not a text file");
    }

    @Test
    void foldersAndMissingFilesAreSaid() {
        assertThatThrownBy(() -> InputFile.TEXT.bytes(folder)).hasMessageContaining("is a folder");
        assertThatThrownBy(() -> InputFile.TEXT.bytes(folder.resolve("gone.txt")))
                .isInstanceOf(NoSuchFileException.class)
                .hasMessageContaining("gone.txt");
    }

    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void whatNeverEndsIsNotBegun() {
        for (String device : new String[] {"/dev/zero", "/dev/urandom", "/dev/null"}) {
            assertThatThrownBy(() -> InputFile.TRANSCRIPT.bytes(Path.of(device)))
                    .hasMessageContaining("device");
        }
    }

    @Test
    void eachKindHasItsLimit() throws IOException {
        for (InputFile kind : InputFile.values()) {
            Path file = folder.resolve(kind + ".json");
            try (SeekableByteChannel out =
                    Files.newByteChannel(file, StandardOpenOption.CREATE, StandardOpenOption.WRITE)) {
                out.position(kind.most());
                out.write(ByteBuffer.wrap(new byte[] {1}));
            }
            assertThatThrownBy(() -> kind.bytes(file))
                    .hasMessageContaining(kind + ".json")
                    .hasMessageContaining((kind.most() >> 20) + " MB");
        }
    }
}
