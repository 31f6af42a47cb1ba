package app.nosegay.jobs;

import app.nosegay.files.AtomicFile;
import app.nosegay.paint.Typefaces;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;

/** The shipped fonts as files of the settings folder, so that no start leaves temporary ones behind. */
public final class ShippedFonts {
    private ShippedFonts() {}

    /** Puts the fonts there where they are not, and has them used. Where that folder cannot be written, they are read from the program. */
    public static void lay() {
        Path folder = SettingsFolder.path().resolve("fonts");
        try {
            Files.createDirectories(folder);
            for (String path : Typefaces.FILES) {
                lay(path, folder.resolve(path.substring(path.lastIndexOf('/') + 1)));
            }
            System.setProperty(Typefaces.FOLDER, folder.toString());
        } catch (IOException e) {
            FailureLog.note("fonts", e);
        }
    }

    private static void lay(String path, Path file) throws IOException {
        try (InputStream in = Typefaces.class.getResourceAsStream(path)) {
            byte[] shipped = in.readAllBytes();
            if (!Files.isRegularFile(file) || !Arrays.equals(Files.readAllBytes(file), shipped)) {
                AtomicFile.write(file, out -> out.write(shipped));
            }
        }
    }
}
