package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.logging.ConsoleHandler;
import java.util.logging.Logger;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class FailureLogTest {
    @TempDir
    Path settings;

    private String before;
    private Thread.UncaughtExceptionHandler handler;

    @BeforeEach
    void install() {
        before = System.getProperty("nosegay.home");
        handler = Thread.getDefaultUncaughtExceptionHandler();
        System.setProperty("nosegay.home", settings.toString());
        FailureLog.install();
    }

    @AfterEach
    void back() {
        Thread.setDefaultUncaughtExceptionHandler(handler);
        if (before == null) {
            System.clearProperty("nosegay.home");
        } else {
            System.setProperty("nosegay.home", before);
        }
    }

    private static String log() throws IOException {
        StringBuilder all = new StringBuilder();
        try (Stream<Path> files = Files.list(FailureLog.folder())) {
            for (Path file : files.filter(f -> f.toString().endsWith(".log")).toList()) {
                all.append(Files.readString(file));
            }
        }
        return all.toString();
    }

    @Test
    void whatNoThreadCatchesIsLoggedWithItsTraceAndShownOnce() throws Exception {
        List<String> shown = new CopyOnWriteArrayList<>();
        FailureLog.shownBy(shown::add);
        Thread thread = new Thread(
                () -> {
                    throw new IllegalStateException("no frame in /home/ada/private shoot/takes/take 1.mp4 at all");
                },
                "painting");
        thread.start();
        thread.join();
        assertThat(log())
                .contains("SEVERE", "painting", "IllegalStateException", "FailureLogTest.lambda")
                .contains("take 1.mp4")
                .doesNotContain("/home/ada");
        assertThat(shown)
                .hasSize(1)
                .first()
                .asString()
                .contains("painting", "IllegalStateException", "the log says more");
    }

    @Test
    void anErrorIsAFailureAsAnyOther() throws IOException {
        FailureLog.record("reading", new UnsatisfiedLinkError("no native library"));
        assertThat(log()).contains("UnsatisfiedLinkError", "no native library");
    }

    @Test
    void whatWasExpectedIsNotedAndNotShown() throws IOException {
        List<String> shown = new CopyOnWriteArrayList<>();
        FailureLog.shownBy(shown::add);
        FailureLog.note("packing", new IOException("the disk is full"));
        assertThat(log()).contains("INFO", "packing", "the disk is full");
        assertThat(shown).isEmpty();
    }

    @Test
    void nothingGoesToTheConsole() {
        assertThat(Logger.getLogger("").getHandlers()).noneMatch(ConsoleHandler.class::isInstance);
    }

    @Test
    void ofPathsTheNameIsKept() {
        assertThat(FailureLog.withoutFolders("/a/b/c.mp4: cut off; C:\\films\\my\\d.mov"))
                .isEqualTo("c.mp4: cut off; d.mov");
        assertThat(FailureLog.withoutFolders("half and/or whole, 3/4")).isEqualTo("half and/or whole, 3/4");
    }
}
