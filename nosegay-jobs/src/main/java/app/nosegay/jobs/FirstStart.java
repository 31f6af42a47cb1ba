package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** What is shown on the first start only: a note in the settings folder says that it was seen. */
public final class FirstStart {
    private FirstStart() {}

    private static Path note() {
        return SettingsFolder.path().resolve("tour-seen");
    }

    /** Whether the tour was seen, or skipped. */
    public static boolean isTourSeen() {
        return Files.exists(note());
    }

    /** The tour is not shown again. */
    public static void tourSeen() {
        try {
            Files.createDirectories(SettingsFolder.path());
            AtomicFile.write(note(), "");
        } catch (IOException e) {
            FailureLog.note("tour", e);
        }
    }
}
