package app.nosegay.jobs;

import java.nio.file.Path;

/** The one folder Nosegay keeps things of the user in that belong to no workout: own moves, logbook, templates, the log of failures. */
public final class SettingsFolder {
    /** Names another folder, for tests and for a portable copy. */
    private static final String PROPERTY = "nosegay.home";

    private SettingsFolder() {}

    /** The folder as this system has it; it need not exist yet. */
    public static Path path() {
        String named = System.getProperty(PROPERTY);
        if (named != null) {
            return Path.of(named);
        }
        String windows = System.getenv("APPDATA");
        String linux = System.getenv("XDG_CONFIG_HOME");
        if (windows != null) {
            return Path.of(windows, "Nosegay");
        }
        return linux != null && !linux.isBlank()
                ? Path.of(linux, "nosegay")
                : Path.of(System.getProperty("user.home"), ".config", "nosegay");
    }
}
