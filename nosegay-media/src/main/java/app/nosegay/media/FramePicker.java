package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.av_frame_alloc;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_free;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_ref;
import static org.bytedeco.ffmpeg.global.avutil.av_frame_unref;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.function.BooleanSupplier;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Shows exact frames of one take, anywhere; going on a little is quicker than going back. Not thread-safe. */
public final class FramePicker implements AutoCloseable {
    /** Up to here it is quicker to decode on than to seek. */
    private static final Length DECODE_ON = Length.ofSeconds(1);
    /** So far before the moment, at least, no picture can be the one on screen then. */
    private static final Length SURE = Length.ofMillis(500);

    private final MediaInput input;
    private final MediaInfo.Video video;
    /** The newest picture as decoded; it is only made upright and small when it is the one to show. */
    private final AVFrame newest = av_frame_alloc();

    private UprightPicture upright;
    private int width;
    private int height;
    private Time<Axis.Take> at;
    private BufferedImage shown;
    private Time<Axis.Take> shownAt;

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
        Time<Axis.Take> sure = time.minus(Length.max(SURE, frames(2)));
        input.passOverUntil(sure);
        boolean any = goOn(time, wanted);
        if (any && at.isBefore(sure) && wanted.getAsBoolean()) {
            // The take ends before: the last picture may have been passed over.
            input.seek(time);
            input.passOverUntil(null);
            goOn(time, wanted);
        }
        if (!any || !wanted.getAsBoolean()) {
            return null;
        }
        if (shown == null || !at.equals(shownAt)) {
            shown = upright.of(newest);
            shownAt = at;
        }
        // Whoever gets it may draw on it; the same frame may be asked for again.
        BufferedImage image = new BufferedImage(shown.getWidth(), shown.getHeight(), BufferedImage.TYPE_INT_ARGB);
        shown.copyData(image.getRaster());
        return image;
    }

    /** Decodes up to the frame on screen at {@code time} or to the end, while it is wanted; false where there is none. */
    private boolean goOn(Time<Axis.Take> time, BooleanSupplier wanted) {
        double half = video.framesPerSecond() > 0 ? 0.5 / video.framesPerSecond() : 0.017;
        while ((at == null || time.since(at).seconds() > half) && wanted.getAsBoolean()) {
            if (input.next() != MediaInput.Kind.VIDEO) {
                break;
            }
            at = input.time();
            av_frame_unref(newest);
            av_frame_ref(newest, input.frame());
        }
        return at != null;
    }

    private Length frames(int count) {
        return video.framesPerSecond() > 0 ? Length.ofSeconds(count / video.framesPerSecond()) : Length.ZERO;
    }

    private void prepare(int most, int highest) {
        if (upright == null || width != most || height != highest) {
            if (upright != null) {
                upright.close();
            }
            upright = new UprightPicture(video, most, highest, SWS_BILINEAR);
            width = most;
            height = highest;
            shown = null;
        }
    }

    @Override
    public void close() {
        input.close();
        av_frame_free(newest);
        if (upright != null) {
            upright.close();
        }
    }
}
