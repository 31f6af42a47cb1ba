package app.nosegay.media;

import app.nosegay.dress.Shown;
import app.nosegay.dress.TimerDigits;
import app.nosegay.match.Cut;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;

/**
 * What each part of a film's picture is made of, as one short key: the same key, the same pictures. A key covers the encoder's settings, which
 * frame of which file is shown when, and every pixel of the pieces over it, so that nothing that changes the picture can be forgotten.
 */
final class PartKeys {
    /** A part this long costs one more key frame and is what a small change makes new, in seconds. */
    private static final double PART_SECONDS = 10;

    private PartKeys() {}

    /** Frames in a part. */
    static int frames(FrameRate rate) {
        return (int) Math.max(1, Math.round(PART_SECONDS * rate.perSecond()));
    }

    /** How many frames the film has. */
    static long frames(Renderer.Job job) {
        long n = 0;
        Time<Axis.Cut> end = job.cut().clips().get(job.cut().clips().size() - 1).end();
        while (job.rate().timeOf(n).isBefore(end)) {
            n++;
        }
        return n;
    }

    /** The keys of all parts, in order. */
    static List<String> of(Renderer.Job job) throws IOException {
        Map<String, String> files = new HashMap<>();
        for (Map.Entry<String, Path> file : job.files().entrySet()) {
            Path path = file.getValue();
            if (Files.isRegularFile(path)) {
                files.put(
                        file.getKey(),
                        path.getFileName() + " " + Files.size(path) + " "
                                + Files.getLastModifiedTime(path).toMillis());
            }
        }
        String settings =
                job.settings() + " " + job.width() + " x " + job.height() + " " + job.rate() + " " + job.focus();
        Pieces pieces = job.dressing() == null ? null : new Pieces(job);
        long count = frames(job);
        int part = frames(job.rate());
        List<String> keys = new ArrayList<>();
        MessageDigest digest = null;
        int clip = 0;
        for (long n = 0; n < count; n++) {
            if (n % part == 0) {
                if (digest != null) {
                    keys.add(HexFormat.of().formatHex(digest.digest()));
                }
                digest = sha256();
                digest.update(settings.getBytes(StandardCharsets.UTF_8));
            }
            Time<Axis.Cut> at = job.rate().timeOf(n);
            while (!at.isBefore(job.cut().clips().get(clip).end())) {
                clip++;
            }
            Cut.Clip shown = job.cut().clips().get(clip);
            long source = shown.source().start().plus(at.since(shown.start())).micros();
            digest.update((files.get(shown.take()) + " " + source + " "
                            + shown.source().end())
                    .getBytes(StandardCharsets.UTF_8));
            if (pieces != null) {
                digest.update(ByteBuffer.allocate(Long.BYTES)
                        .putLong(pieces.at(TimerDigits.ofFrame(at, job.rate().frameLength())))
                        .flip());
            }
        }
        if (digest != null) {
            keys.add(HexFormat.of().formatHex(digest.digest()));
        }
        return keys;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new UncheckedIOException(new IOException(e));
        }
    }

    /** The pieces painted, as a number made of their pixels; painted anew only when they change. */
    private static final class Pieces {
        private final Renderer.Job job;
        private final BufferedImage image;
        private List<Shown> last;
        private long number;

        Pieces(Renderer.Job job) {
            this.job = job;
            image = new BufferedImage(job.width(), job.height(), BufferedImage.TYPE_INT_ARGB);
        }

        long at(Time<Axis.Cut> time) {
            List<Shown> faces = job.dressing().shown(time);
            if (!faces.equals(last)) {
                job.painter().paint(faces, image);
                number = 1125899906842597L;
                for (int pixel : ((DataBufferInt) image.getRaster().getDataBuffer()).getData()) {
                    number = 31 * number + pixel;
                }
                last = faces;
            }
            return number;
        }
    }
}
