package app.nosegay.files;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;

/** What recognises a file when it was moved or changed, without reading all of a film. */
public final class Fingerprint {
    private static final int ENDS = 1 << 20;

    private Fingerprint() {}

    /** SHA-256 over size, first and last mebibyte, in hex. */
    public static String of(Path file) throws IOException {
        try (RandomAccessFile in = new RandomAccessFile(file.toFile(), "r")) {
            MessageDigest digest = MessageDigest.getInstance("SHA-256");
            long size = in.length();
            digest.update(Long.toString(size).getBytes(StandardCharsets.US_ASCII));
            byte[] bytes = new byte[(int) Math.min(size, ENDS)];
            in.readFully(bytes);
            digest.update(bytes);
            in.seek(Math.max(0, size - ENDS));
            in.readFully(bytes);
            digest.update(bytes);
            return HexFormat.of().formatHex(digest.digest());
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException("every Java has SHA-256", e);
        }
    }
}
