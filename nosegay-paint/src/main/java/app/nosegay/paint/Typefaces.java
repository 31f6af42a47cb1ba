package app.nosegay.paint;

import java.awt.Font;
import java.awt.FontFormatException;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Optional;

/** The two shipped families: Young Serif for headings, Source Sans 3 for text; its digits are all of one width. */
public final class Typefaces {
    /** Resource paths of the files, for interfaces that load fonts themselves. */
    public static final List<String> FILES = List.of(
            "/app/nosegay/paint/fonts/YoungSerif_400Regular.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_400Regular.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_600SemiBold.ttf",
            "/app/nosegay/paint/fonts/SourceSans3_700Bold.ttf");

    /**
     * Names a folder that holds the shipped fonts as files. A font that is read from a stream becomes a temporary file at every start,
     * which a kill leaves behind.
     */
    public static final String FOLDER = "nosegay.fonts";

    private static final Font HEADING = load(FILES.get(0));
    private static final Font TEXT = load(FILES.get(1));
    private static final Font STRONG = load(FILES.get(2));
    private static final Font DIGITS = load(FILES.get(3));

    private Typefaces() {}

    /** The file of a shipped font, one of {@link #FILES}, where the folder {@value #FOLDER} names has it. */
    public static Optional<Path> file(String path) {
        String folder = System.getProperty(FOLDER);
        Path file = folder == null ? null : Path.of(folder).resolve(path.substring(path.lastIndexOf('/') + 1));
        return file != null && Files.isRegularFile(file) ? Optional.of(file) : Optional.empty();
    }

    private static Font load(String path) {
        Optional<Path> file = file(path);
        try (InputStream in = Typefaces.class.getResourceAsStream(path)) {
            return file.isPresent()
                    ? Font.createFont(Font.TRUETYPE_FONT, file.get().toFile())
                    : Font.createFont(Font.TRUETYPE_FONT, in);
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
