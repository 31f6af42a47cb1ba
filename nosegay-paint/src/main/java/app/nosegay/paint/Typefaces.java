package app.nosegay.paint;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.util.Arrays;
import java.util.List;

/** The two shipped families: Young Serif for headings, Source Sans 3 for text; its digits are all of one width. */
public final class Typefaces {
    /** Resource paths of the files, for interfaces that load fonts themselves. */
    public static final List<String> FILES = List.of(
            "/app/nosegay/paint/fonts/YoungSerif_400Regular.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_400Regular.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_600SemiBold.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_700Bold.ttf");

    /** Names the folder the fonts are put into; the system's temporary one where it is not set. */
    public static final String FOLDER = "nosegay.fonts";

    private static final Font HEADING = load(FILES.get(0));
    private static final Font TEXT = load(FILES.get(1));
    private static final Font STRONG = load(FILES.get(2));
    private static final Font DIGITS = load(FILES.get(3));

    private Typefaces() {}

    /**
     * A shipped font as a file. A font that is read from a stream becomes a temporary file at every start, which a kill leaves behind;
     * this one is written once and found again. It goes to the folder the property {@value #FOLDER} names.
     *
     * @param path one of {@link #FILES}
     */
    public static Path file(String path) throws IOException {
        Path folder = Path.of(System.getProperty(
                FOLDER, System.getProperty("java.io.tmpdir") + "/nosegay-fonts-" + System.getProperty("user.name")));
        Path file = folder.resolve(path.substring(path.lastIndexOf('/') + 1));
        try (InputStream in = Typefaces.class.getResourceAsStream(path)) {
            byte[] shipped = in.readAllBytes();
            boolean there = Files.isRegularFile(file) && Arrays.equals(Files.readAllBytes(file), shipped);
            if (!there) {
                Files.createDirectories(folder);
                Path part = Files.createTempFile(folder, "font", ".part");
                Files.write(part, shipped);
                Files.move(part, file, StandardCopyOption.REPLACE_EXISTING);
            }
        }
        return file;
    }

    private static Font load(String path) {
        try {
            return Font.createFont(Font.TRUETYPE_FONT, file(path).toFile());
        } catch (IOException e) {
            throw new UncheckedIOException("the shipped font " + path + " cannot be read", e);
        } catch (FontFormatException e) {
            throw new IllegalStateException("the shipped font " + path + " is broken", e);
        }
    }

    public static Font heading(double px) {
        return HEADING.deriveFont((float) px);
    }

    public static Font text(double px) {
        return TEXT.deriveFont((float) px);
    }

    public static Font strong(double px) {
        return STRONG.deriveFont((float) px);
    }

    public static Font digits(double px) {
        return DIGITS.deriveFont((float) px);
    }
}
