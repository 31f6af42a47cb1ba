package app.nosegay.jobs;

import java.nio.file.Path;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.io.TempDir;

/** A settings folder of its own for each test. */
abstract class HomeFolder {
    @TempDir
    Path home;

    private String before;

    @BeforeEach
    void useHome() {
        before = System.getProperty("nosegay.home");
        System.setProperty("nosegay.home", home.toString());
    }

    @AfterEach
    void backHome() {
        if (before == null) {
            System.clearProperty("nosegay.home");
        } else {
            System.setProperty("nosegay.home", before);
        }
    }
}
