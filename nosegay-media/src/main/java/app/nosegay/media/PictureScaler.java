package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.*;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.ByteBuffer;
import java.nio.ByteOrder;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swscale.SwsContext;
import org.bytedeco.ffmpeg.swscale.SwsFilter;
import org.bytedeco.javacpp.DoublePointer;

/** Scales frames to one size and pixel format, remaking its context when the source changes. Not thread-safe. */
final class PictureScaler implements AutoCloseable {
    private final int width;
    private final int height;
    private final int pixelFormat;
    private final int quality;
    private final AVFrame target;
    private SwsContext context;

    /**
     * @param pixelFormat an {@code AV_PIX_FMT_…}
     * @param quality an {@code SWS_…} flag
     */
    PictureScaler(int width, int height, int pixelFormat, int quality) {
        this.width = width;
        this.height = height;
        this.pixelFormat = pixelFormat;
        this.quality = quality;
        this.target = av_frame_alloc();
        target.width(width);
        target.height(height);
        target.format(pixelFormat);
        av_frame_get_buffer(target, 0);
    }

    /** {@code source} at this size and format; the same frame object at each call. */
    AVFrame scale(AVFrame source) {
        return scale(source, source.format());
    }

    /** The same, reading {@code source} as if it had {@code sourceFormat}: the luma plane alone as grey. */
    AVFrame scale(AVFrame source, int sourceFormat) {
        context = sws_getCachedContext(
                context,
                source.width(),
                source.height(),
                sourceFormat,
                width,
                height,
                pixelFormat,
                quality,
                (SwsFilter) null,
                (SwsFilter) null,
                (DoublePointer) null);
        av_frame_make_writable(target);
        sws_scale(context, source.data(), source.linesize(), 0, source.height(), target.data(), target.linesize());
        return target;
    }

    /** Copies the target's pixels, which are BGRA, to an image of the same size. */
    void copyTo(BufferedImage image) {
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        int stride = target.linesize(0) / 4;
        ByteBuffer bytes = target.data(0)
                .capacity((long) target.linesize(0) * height)
                .asByteBuffer()
                .order(ByteOrder.LITTLE_ENDIAN);
        var ints = bytes.asIntBuffer();
        for (int y = 0; y < height; y++) {
            ints.position(y * stride);
            ints.get(pixels, y * width, width);
        }
    }

    int width() {
        return width;
    }

    int height() {
        return height;
    }

    @Override
    public void close() {
        av_frame_free(target);
        sws_freeContext(context);
    }
}
