package app.nosegay.desktop.session;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Locale;

/** Opens a folder in the system's own file window. */
public final class FolderOpener {
    private FolderOpener() {}

    /** Opens {@code folder}; false where the system has no way to. */
    public static boolean open(Path folder) {
        String system = System.getProperty("os.name").toLowerCase(Locale.ROOT);
        String opener = system.startsWith("win") ? "explorer" : system.startsWith("mac") ? "open" : "xdg-open";
        try {
            Files.createDirectories(folder);
            new ProcessBuilder(opener, folder.toString())
                    .redirectErrorStream(true)
                    .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                    .start();
            return true;
        } catch (IOException e) {
            return false;
        }
    }
}
