package app.nosegay.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ScrubberTest {
    @TempDir
    static Path folder;

    private static Path film;
    private static Path proxy;
    private final List<String> failed = Collections.synchronizedList(new ArrayList<>());
    private final BlockingQueue<BufferedImage> shown = new LinkedBlockingQueue<>();
    private Scrubber scrubber;

    @BeforeAll
    static void film() throws IOException {
        film = Movies.film(folder.resolve("film.mp4"), 12, new FrameRate(30, 1), true, 0, 0, List.of());
        proxy = folder.resolve("proxy.mp4");
        TakeReader.read(film, "t", proxy, Progress.NONE);
    }

    @AfterEach
    void close() {
        scrubber.close();
    }

    private BufferedImage next() throws InterruptedException {
        return shown.poll(20, TimeUnit.SECONDS);
    }

    @Test
    void theProxyComesFirstAndThenTheFrameItself() throws Exception {
        scrubber = new Scrubber("test", f -> proxy, failed::add);
        scrubber.show(film, Time.ofSeconds(7.3), 320, 180, shown::add);
        BufferedImage near = next();
        BufferedImage there = next();
        assertThat(near).isNotNull();
        try (FramePicker picker = new FramePicker(film)) {
            BufferedImage exact = picker.frameAt(Time.ofSeconds(7.3), 320, 180);
            assertThat(there.getRGB(0, 0, 320, 180, null, 0, 320))
                    .isEqualTo(exact.getRGB(0, 0, 320, 180, null, 0, 320));
        }
        assertThat(failed).isEmpty();
    }

    @Test
    void ofManyWishesTheLastIsGranted() throws Exception {
        scrubber = new Scrubber("test", f -> proxy, failed::add);
        for (int i = 0; i < 40; i++) {
            scrubber.show(film, Time.ofSeconds(0.25 * i), 320, 180, image -> {});
        }
        scrubber.show(film, Time.ofSeconds(3), 320, 180, shown::add);
        assertThat(next()).isNotNull();
        assertThat(next()).isNotNull();
    }

    @Test
    void withoutAProxyOnlyTheFrameItselfComes() throws Exception {
        scrubber = new Scrubber("test", f -> folder.resolve("none.mp4"), failed::add);
        scrubber.show(film, Time.ofSeconds(2), 320, 180, shown::add);
        assertThat(next()).isNotNull();
        scrubber.show(film, Time.ofSeconds(4), 320, 180, shown::add);
        assertThat(next()).isNotNull();
        assertThat(shown).isEmpty();
    }

    @Test
    void aDamagedProxyOnlyMakesItSlower() throws Exception {
        Path broken = Files.write(folder.resolve("broken.mp4"), new byte[300]);
        scrubber = new Scrubber("test", f -> broken, failed::add);
        scrubber.show(film, Time.ofSeconds(2), 320, 180, shown::add);
        assertThat(next()).isNotNull();
        assertThat(failed).isEmpty();
    }

    @Test
    void aTakeThatIsGoneIsSaidByName() throws Exception {
        BlockingQueue<String> said = new LinkedBlockingQueue<>();
        scrubber = new Scrubber("test", f -> null, said::add);
        scrubber.show(folder.resolve("gone.mp4"), Time.ofSeconds(2), 320, 180, shown::add);
        assertThat(said.poll(20, TimeUnit.SECONDS)).contains("gone.mp4");
    }
}
