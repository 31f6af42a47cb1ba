package app.nosegay.jobs;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.TimeUnit;

/**
 * Whether the system shows its windows dark, asked of the program each system has for it; where there is none, or it does not answer within
 * two seconds, light.
 */
public final class SystemAppearance {
    private static final long ANSWER_SECONDS = 2;

    /** Runs a command and gives what it prints; fails where it is not there or refuses. */
    @FunctionalInterface
    interface Asking {
        String of(List<String> command) throws IOException;
    }

    private SystemAppearance() {}

    /** Asks the system; not for the interface thread. */
    public static boolean isDark() {
        return isDark(System.getProperty("os.name"), SystemAppearance::printed);
    }

    static boolean isDark(String system, Asking asking) {
        String name = system.toLowerCase(Locale.ROOT);
        if (name.startsWith("windows")) {
            // AppsUseLightTheme    REG_DWORD    0x0
            return said(
                            asking,
                            "reg",
                            "query",
                            "HKCU\\Software\\Microsoft\\Windows\\CurrentVersion\\Themes\\Personalize",
                            "/v",
                            "AppsUseLightTheme")
                    .endsWith("0x0");
        }
        if (name.startsWith("mac")) {
            return said(asking, "defaults", "read", "-g", "AppleInterfaceStyle").equals("dark");
        }
        // Of most desktops by the way they have agreed on: (<<uint32 1>>,) is dark; of others by the settings of GNOME.
        String agreed = said(
                asking,
                "gdbus",
                "call",
                "--session",
                "--dest=org.freedesktop.portal.Desktop",
                "--object-path=/org/freedesktop/portal/desktop",
                "--method=org.freedesktop.portal.Settings.Read",
                "org.freedesktop.appearance",
                "color-scheme");
        if (agreed.contains("uint32")) {
            return agreed.contains("uint32 1");
        }
        String desktop = "org.gnome.desktop.interface";
        return said(asking, "gsettings", "get", desktop, "color-scheme").contains("prefer-dark")
                || said(asking, "gsettings", "get", desktop, "gtk-theme").contains("-dark");
    }

    private static String said(Asking asking, String... command) {
        try {
            return asking.of(List.of(command)).strip().toLowerCase(Locale.ROOT);
        } catch (IOException e) {
            return ""; // no such program or no such setting: the system has no dark windows
        }
    }

    private static String printed(List<String> command) throws IOException {
        Process process = new ProcessBuilder(command)
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
        try {
            if (!process.waitFor(ANSWER_SECONDS, TimeUnit.SECONDS) || process.exitValue() != 0) {
                throw new IOException(command.get(0));
            }
            return new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IOException(e);
        } finally {
            process.destroy();
        }
    }
}
