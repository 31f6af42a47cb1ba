package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.SWS_AREA;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import org.bytedeco.ffmpeg.avutil.AVFrame;

/** How red frames are, cell by cell (their Cr, 128 for grey): skin stands out in it from a wall of the same brightness. Not thread-safe. */
final class TintReader implements AutoCloseable {
    /** Cr is the third plane of every planar format. */
    private static final int RED = 2;

    private final PictureScaler cells;
    private final PictureScaler plane;
    private final PictureScaler colour;
    private final AVFrame red = av_frame_alloc();

    /** Of pictures that are {@code width} by {@code height} cells, made from ones of {@code lookWidth} by {@code lookHeight} pixels. */
    TintReader(int width, int height, int lookWidth, int lookHeight) {
        cells = new PictureScaler(width, height, AV_PIX_FMT_GRAY8, SWS_AREA);
        plane = new PictureScaler(lookWidth, lookHeight, AV_PIX_FMT_GRAY8, SWS_FAST_BILINEAR);
        colour = new PictureScaler(lookWidth, lookHeight, AV_PIX_FMT_YUV444P, SWS_FAST_BILINEAR);
    }

    /** The cells of {@code frame}, the same frame object at each call. */
    AVFrame of(AVFrame frame) {
        int shift = shift(frame.format());
        if (shift < 0) {
            return cells.scale(redOf(colour.scale(frame), 0, 0));
        }
        int down = frame.format() == AV_PIX_FMT_YUV422P ? 0 : shift;
        return cells.scale(plane.scale(redOf(frame, shift, down)));
    }

    /**
     * By how many powers of two the colours of a planar format of eight bits are narrower than its brightness; −1 for every other
     * format.
     */
    private static int shift(int format) {
        return format == AV_PIX_FMT_YUV444P
                ? 0
                : format == AV_PIX_FMT_YUV420P || format == AV_PIX_FMT_YUVJ420P || format == AV_PIX_FMT_YUV422P
                        ? 1
                        : -1;
    }

    private AVFrame redOf(AVFrame frame, int acrossShift, int downShift) {
        red.format(AV_PIX_FMT_GRAY8);
        red.width(-(-frame.width() >> acrossShift));
        red.height(-(-frame.height() >> downShift));
        red.data(0, frame.data(RED));
        red.linesize(0, frame.linesize(RED));
        return red;
    }

    @Override
    public void close() {
        red.data(0, null);
        av_frame_free(red);
        cells.close();
        plane.close();
        colour.close();
    }
}
