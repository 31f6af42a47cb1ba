package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/**
 * Writes the proxy of a take while it is read: few small upright pictures, of which every second one stands alone, so that any is
 * shown at once while scrubbing.
 */
public final class ProxyWriter implements AutoCloseable {
    /** The picture fits into this, in pixels. */
    public static final int WIDTH = 480;

    public static final int HEIGHT = 270;
    /** Pictures per second: enough to see repetitions by (SightJob); every second one stands alone, and an hour takes some 150 MB. */
    public static final int HZ = 8;

    private static final FrameRate RATE = new FrameRate(HZ, 1);

    private final UprightPicture pictures;
    private final MovieWriter writer;
    private long written;
    private BufferedImage last;

    /** Opens {@code file}, which appears only when it is finished. */
    ProxyWriter(Path file, MediaInfo.Video video) throws IOException {
        pictures = new UprightPicture(video, WIDTH, HEIGHT, SWS_FAST_BILINEAR);
        try {
            writer = new MovieWriter(
                    file,
                    new MovieFormat(pictures.width(), pictures.height(), RATE, EncoderSettings.PROXY, false),
                    "",
                    List.of());
        } catch (IOException e) {
            pictures.close();
            throw e;
        }
    }

    /** Keeps {@code frame}, seen at {@code seconds}, where a picture is due. */
    void see(AVFrame frame, double seconds) throws IOException {
        long due = (long) Math.floor(seconds * RATE.perSecond() + 0.25);
        if (due < written) {
            return;
        }
        BufferedImage now = pictures.of(frame);
        // Where the take has a hole, what was seen before it stays.
        while (written < due) {
            writer.picture(last == null ? now : last, written++);
        }
        writer.picture(now, written++);
        last = now;
    }

    void finish() throws IOException {
        writer.finish();
    }

    @Override
    public void close() throws IOException {
        pictures.close();
        writer.close();
    }
}
