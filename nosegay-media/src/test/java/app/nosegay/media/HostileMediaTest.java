package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.condition.EnabledOnOs;
import org.junit.jupiter.api.condition.OS;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Files that pass for recordings and are none, or are broken in ways that never end. */
class HostileMediaTest {
    @TempDir
    private Path folder;

    private Path film;

    @BeforeEach
    void film() throws IOException {
        film = folder.resolve("film.mp4");
        Ffmpeg.run(
                "-f lavfi -i testsrc2=size=160x90:rate=30 -f lavfi -i sine -t 6 -c:v libx264 -preset ultrafast -c:a aac $0",
                film);
    }

    /** Each would have FFmpeg read another file, or itself for ever. */
    @ParameterizedTest
    @ValueSource(strings = {"relative.m3u8", "self.m3u8", "list.ffconcat", "list.mp4", "picture.png", "text.txt"})
    void whatOnlyNamesOtherFilesIsNoRecording(String name) throws IOException {
        String text =
                switch (name) {
                    case "relative.m3u8" -> "#EXTM3U\n#EXT-X-TARGETDURATION:6\n#EXTINF:6,\nfilm.mp4\n#EXT-X-ENDLIST\n";
                    case "self.m3u8" -> "#EXTM3U\n#EXT-X-TARGETDURATION:6\n#EXTINF:6,\nself.m3u8\n#EXT-X-ENDLIST\n";
                    case "list.ffconcat", "list.mp4" -> "ffconcat version 1.0\nfile film.mp4\n";
                    default -> "hello";
                };
        Path file = Files.writeString(folder.resolve(name), text);
        if (name.endsWith("png")) {
            Ffmpeg.run("-i $0 -frames:v 1 -update 1 $1", film, file);
        }
        assertThatThrownBy(() -> MediaInput.probe(file))
                .isInstanceOf(MediaException.class)
                .hasMessageContaining(name);
        assertThatThrownBy(() -> MediaCheck.check(file)).hasMessageContaining(name);
    }

    @Test
    void timeStampsThatJumpEndTheReadingWhereTheyJump() throws IOException {
        Path first = folder.resolve("first.ts");
        Path second = folder.resolve("second.ts");
        Ffmpeg.run("-i $0 -c copy $1", film, first);
        Ffmpeg.run("-i $0 -c copy -output_ts_offset 20000 $1", film, second);
        Path jumps = folder.resolve("jumps.ts");
        byte[] a = Files.readAllBytes(first);
        byte[] b = Files.readAllBytes(second);
        byte[] both = java.util.Arrays.copyOf(a, a.length + b.length);
        System.arraycopy(b, 0, both, a.length, b.length);
        Files.write(jumps, both);
        Path proxy = folder.resolve("proxy.mp4");
        org.junit.jupiter.api.Assertions.assertTimeout(Duration.ofSeconds(30), () -> {
            TakeReader.Reading reading = TakeReader.read(jumps, "t", proxy, Progress.NONE);
            assertThat(reading.evidence().length().seconds()).isBetween(5.0, 8.0);
            assertThat(SoundReader.mono(jumps, 16_000, Progress.NONE).length).isLessThan(16_000 * 10);
        });
        assertThat(Files.size(proxy)).isLessThan(3_000_000);
    }

    @Test
    void aRecordingIsCheckedInAProcessOfItsOwn() throws IOException {
        assertThat(MediaCheck.check(film).length().seconds()).isGreaterThan(5.5);
        // The process itself, which nobody watches there.
        MediaCheck.main(new String[] {film.toString()});
    }

    @Test
    @EnabledOnOs({OS.LINUX, OS.MAC})
    void aDecoderThatCrashesIsSaidAndTakesNothingAlong() {
        assertThatThrownBy(() -> MediaCheck.run(film, List.of("sh", "-c", "kill -SEGV $$")))
                .isInstanceOf(MediaException.class)
                .hasMessageContaining("film.mp4")
                .hasMessageContaining("crashes");
    }

    @Test
    void damagedBytesAreReadOrRefusedAndNeverMore() throws IOException {
        byte[] whole = Files.readAllBytes(film);
        Random random = new Random(7);
        for (int i = 0; i < 40; i++) {
            byte[] damaged = whole.clone();
            for (int k = 0; k < 1 + random.nextInt(60); k++) {
                damaged[random.nextInt(damaged.length)] = (byte) random.nextInt(256);
            }
            int length = random.nextInt(4) == 0 ? random.nextInt(damaged.length) : damaged.length;
            Path file = Files.write(folder.resolve("damaged.mp4"), java.util.Arrays.copyOf(damaged, length));
            try {
                assertThat(TakeReader.read(file, "t", Progress.NONE).evidence().length())
                        .isNotNull();
            } catch (MediaException e) {
                assertThat(e.getMessage().getBytes(StandardCharsets.UTF_8)).hasSizeGreaterThan(20);
            }
        }
    }
}
