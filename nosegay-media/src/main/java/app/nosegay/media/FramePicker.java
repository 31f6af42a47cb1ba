package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;

/** Shows exact frames of one take, anywhere; going on a little is quicker than going back. Not thread-safe. */
public final class FramePicker implements AutoCloseable {
    /** Up to here it is quicker to decode on than to seek. */
    private static final Length DECODE_ON = Length.ofSeconds(1);

    private final MediaInput input;
    private final MediaInfo.Video video;
    private UprightPicture upright;
    private int width;
    private int height;
    private Time<Axis.Take> at;
    private BufferedImage shown;

    public FramePicker(Path file) throws MediaException {
        input = new MediaInput(file, true, false);
        video = input.info().video();
        if (video == null) {
            input.close();
            throw new MediaException(file, MediaText.of("frame-picker.has-no-picture-to-show"));
        }
    }

    /**
     * The frame on screen at {@code time}, fitted into {@code width} × {@code height}; the last one after the end; null when none can be
     * decoded.
     */
    public BufferedImage frameAt(Time<Axis.Take> time, int width, int height) {
        return frameAt(time, width, height, () -> true);
    }

    /** The same while it is {@code wanted}; null as soon as it no longer is. */
    BufferedImage frameAt(Time<Axis.Take> time, int width, int height, BooleanSupplier wanted) {
        boolean onward = at != null && !time.isBefore(at) && time.since(at).compareTo(DECODE_ON) <= 0;
        if (!onward) {
            input.seek(time);
            at = null;
        }
        prepare(width, height);
        double half = video.framesPerSecond() > 0 ? 0.5 / video.framesPerSecond() : 0.017;
        boolean any = at != null;
        while (at == null || time.since(at).seconds() > half) {
            if (!wanted.getAsBoolean()) {
                return null;
            }
            if (input.next() != MediaInput.Kind.VIDEO) {
                break;
            }
            at = input.time();
            shown = upright.of(input.frame());
            any = true;
        }
        if (!any) {
            return null;
        }
        // Whoever gets it may draw on it; the same frame may be asked for again.
        BufferedImage image = new BufferedImage(shown.getWidth(), shown.getHeight(), BufferedImage.TYPE_INT_ARGB);
        shown.copyData(image.getRaster());
        return image;
    }

    private void prepare(int most, int highest) {
        if (upright == null || width != most || height != highest) {
            if (upright != null) {
                upright.close();
                input.seek(at == null ? Time.zero() : at);
                at = null;
            }
            upright = new UprightPicture(video, most, highest, SWS_BILINEAR);
            width = most;
            height = highest;
        }
    }

    @Override
    public void close() {
        input.close();
        if (upright != null) {
            upright.close();
        }
    }
}
