package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.files.InputFile;
import app.nosegay.publish.Description;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;

/** The creator's own template of the description, kept with the own moves; the shipped one where there is none. */
public final class DescriptionTemplate {
    private DescriptionTemplate() {}

    private static Path file() {
        return SettingsFolder.path().resolve("description.txt");
    }

    /** The template in use. One that cannot be read is as none: the shipped one works. */
    public static String current() {
        try {
            return Files.isRegularFile(file()) ? InputFile.TEXT.text(file()) : Description.TEMPLATE;
        } catch (IOException e) {
            return Description.TEMPLATE;
        }
    }

    /** Keeps {@code template}; the shipped one is not kept but used again. */
    public static void keep(String template) throws IOException {
        if (template.equals(Description.TEMPLATE)) {
            Files.deleteIfExists(file());
        } else {
            Files.createDirectories(file().getParent());
            AtomicFile.write(file(), template);
        }
    }
}
