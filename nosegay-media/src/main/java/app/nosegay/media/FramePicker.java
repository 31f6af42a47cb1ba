package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;

/** Shows exact frames of one take, anywhere; going on a little is quicker than going back. Not thread-safe. */
public final class FramePicker implements AutoCloseable {
    /** Up to here it is quicker to decode on than to seek. */
    private static final Length DECODE_ON = Length.ofSeconds(1);

    private final MediaInput input;
    private final MediaInfo.Video video;
    private PictureScaler scaler;
    private Time<Axis.Take> at;

    public FramePicker(Path file) throws MediaException {
        input = new MediaInput(file, true, false);
        video = input.info().video();
        if (video == null) {
            input.close();
            throw new MediaException(file, "has no picture to show");
        }
    }

    /** The frame on screen at {@code time}, fitted into {@code width} × {@code height}; the last one after the end; null when none can be decoded. */
    public BufferedImage frameAt(Time<Axis.Take> time, int width, int height) {
        boolean onward = at != null && !time.isBefore(at) && time.since(at).compareTo(DECODE_ON) <= 0;
        if (!onward) {
            input.seek(time);
            at = null;
        }
        prepare(width, height);
        double half = video.framesPerSecond() > 0 ? 0.5 / video.framesPerSecond() : 0.017;
        boolean any = at != null;
        while (at == null || time.since(at).seconds() > half) {
            if (input.next() != MediaInput.Kind.VIDEO) {
                break;
            }
            at = input.time();
            scaler.scale(input.frame());
            any = true;
        }
        if (!any) {
            return null;
        }
        BufferedImage image = new BufferedImage(scaler.width(), scaler.height(), BufferedImage.TYPE_INT_ARGB);
        scaler.copyTo(image);
        return image;
    }

    private void prepare(int width, int height) {
        double fit = Math.min(width / (double) video.width(), height / (double) video.height());
        int w = Math.max(2, (int) Math.round(video.width() * fit) / 2 * 2);
        int h = Math.max(2, (int) Math.round(video.height() * fit) / 2 * 2);
        if (scaler == null || scaler.width() != w || scaler.height() != h) {
            if (scaler != null) {
                scaler.close();
                input.seek(at == null ? Time.zero() : at);
                at = null;
            }
            scaler = new PictureScaler(w, h, AV_PIX_FMT_BGRA, SWS_BILINEAR);
        }
    }

    @Override
    public void close() {
        input.close();
        if (scaler != null) {
            scaler.close();
        }
    }
}
