package app.nosegay.media;

import app.nosegay.cut.Cut;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.TimerDigits;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.io.IOException;
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
 * What each part of a film's picture is made of, as one short key: the same key, the same pictures. A key covers the encoder's settings,
 * which frame of which file is shown when, and every pixel of the pieces over it, so that nothing that changes the picture can be
 * forgotten.
 */
final class PartKeys {
    /** A part this long costs one more key frame and is what a small change makes new, in seconds. */
    private static final double PART_SECONDS = 10;

    private final RenderJob job;
    private final int partFrames;
    private final Map<String, String> files = new HashMap<>();
    private final String settings;
    private final List<String> keys = new ArrayList<>();
    private MessageDigest digest = sha256();
    private long part;

    PartKeys(RenderJob job) throws IOException {
        this.job = job;
        partFrames = frames(job.rate());
        settings = job.settings() + " " + job.width() + " x " + job.height() + " " + job.rate() + " " + job.reframing();
        for (Map.Entry<String, Path> file : job.files().entrySet()) {
            Path path = file.getValue();
            if (Files.isRegularFile(path)) {
                long modified = Files.getLastModifiedTime(path).toMillis();
                files.put(file.getKey(), path.getFileName() + " " + Files.size(path) + " " + modified);
            }
        }
        digest.update(settings.getBytes(StandardCharsets.UTF_8));
    }

    /** Frames in a part. */
    static int frames(FrameRate rate) {
        return (int) Math.max(1, Math.round(PART_SECONDS * rate.perSecond()));
    }

    /** How many frames the film has. */
    static long frames(RenderJob job) {
        Time<Axis.Cut> end = job.cut().clips().get(job.cut().clips().size() - 1).end();
        long n = Math.max(0, (long) Math.floor(end.seconds() * job.rate().perSecond()) - 1);
        while (job.rate().timeOf(n).isBefore(end)) {
            n++;
        }
        return n;
    }

    /** The keys of all parts, in order, without rendering anything. */
    static List<String> of(RenderJob job, Progress progress) throws IOException {
        PartKeys keys = new PartKeys(job);
        long count = frames(job);
        BufferedImage image = job.dressing() == null
                ? null
                : new BufferedImage(job.width(), job.height(), BufferedImage.TYPE_INT_ARGB);
        List<PlacedOverlay> last = null;
        long pieces = 0;
        int clip = 0;
        for (long n = 0; n < count; n++) {
            Time<Axis.Cut> at = job.rate().timeOf(n);
            while (!at.isBefore(job.cut().clips().get(clip).end())) {
                clip++;
            }
            List<PlacedOverlay> faces = image == null
                    ? null
                    : job.dressing().shown(TimerDigits.ofFrame(at, job.rate().frameLength()));
            if (image != null && !faces.equals(last)) {
                job.painter().paint(faces, image);
                pieces = number(image);
                last = faces;
                // Nothing is rendered yet, but it can be cancelled.
                progress.at(0);
            }
            keys.frame(n, job.cut().clips().get(clip), at, pieces);
        }
        return keys.finished();
    }

    /** A number made of all pixels of {@code image}. */
    static long number(BufferedImage image) {
        long number = 1125899906842597L;
        for (int pixel : ((DataBufferInt) image.getRaster().getDataBuffer()).getData()) {
            number = 31 * number + pixel;
        }
        return number;
    }

    /** Frame {@code n} shows {@code clip} at {@code at} with pieces of this {@link #number} over it; frames come in order. */
    void frame(long n, Cut.Clip clip, Time<Axis.Cut> at, long pieces) {
        while (n / partFrames > part) {
            next();
        }
        Cut.Clip seen = clip.picture();
        long source = seen.source().start().plus(at.since(clip.start())).micros();
        String picture = files.get(seen.take()) + " " + source + " "
                + seen.source().end().micros();
        digest.update(picture.getBytes(StandardCharsets.UTF_8));
        digest.update(ByteBuffer.allocate(Long.BYTES).putLong(pieces).flip());
    }

    private void next() {
        keys.add(HexFormat.of().formatHex(digest.digest()));
        digest.update(settings.getBytes(StandardCharsets.UTF_8));
        part++;
    }

    /** The keys of all frames given; call once. */
    List<String> finished() {
        next();
        return keys;
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            // Every Java platform has it.
            throw new IllegalStateException(e);
        }
    }
}
