package app.nosegay.files;

import app.nosegay.text.Messages;
import java.io.IOException;
import java.io.InputStream;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;

/**
 * The kinds of small files Nosegay reads whole, each with the most it may hold. Kind and size are checked before anything is read: a
 * device, a pipe or a film chosen by mistake would never end. Every message names the file and says what to do.
 */
public enum InputFile {
    /** A workout of 400 segments with 4,000 own cues takes under a megabyte. */
    WORKOUT(16),
    RUN_SHEET(1),
    /** A word-by-word transcript of three hours takes some three megabytes. */
    TRANSCRIPT(16),
    SHOOT_LOG(16),
    MOVES(8),
    SERIES(1),
    STYLE(1),
    LOGBOOK(32),
    TEXT(1);

    private static final Messages MESSAGES = new Messages(InputFile.class);

    private final int megabytes;

    InputFile(int megabytes) {
        this.megabytes = megabytes;
    }

    /** The most bytes such a file may hold. */
    public long most() {
        return (long) megabytes << 20;
    }

    /** The whole file. */
    public byte[] bytes(Path file) throws IOException {
        String name = name(file);
        if (Files.isDirectory(file)) {
            throw new IOException(MESSAGES.of("is-a-folder", name));
        }
        if (!Files.exists(file)) {
            throw new NoSuchFileException(MESSAGES.of("is-not-there", file));
        }
        if (!Files.isRegularFile(file)) {
            throw new IOException(MESSAGES.of("is-no-file", name));
        }
        if (!Files.isReadable(file)) {
            throw new IOException(MESSAGES.of("may-not-be-read", name));
        }
        if (Files.size(file) > most()) {
            throw new IOException(MESSAGES.of("is-too-large", name, Files.size(file) >> 20, megabytes));
        }
        try (InputStream in = Files.newInputStream(file)) {
            // It may be growing while it is read.
            byte[] bytes = in.readNBytes((int) most() + 1);
            if (bytes.length > most()) {
                throw new IOException(MESSAGES.of("is-too-large", name, bytes.length >> 20, megabytes));
            }
            return bytes;
        }
    }

    /** The whole file as UTF-8 text. */
    public String text(Path file) throws IOException {
        try {
            return StandardCharsets.UTF_8
                    .newDecoder()
                    .decode(ByteBuffer.wrap(bytes(file)))
                    .toString();
        } catch (CharacterCodingException e) {
            throw new IOException(MESSAGES.of("is-no-text", name(file)), e);
        }
    }

    private static String name(Path file) {
        Path name = file.getFileName();
        return name == null ? file.toString() : name.toString();
    }
}
