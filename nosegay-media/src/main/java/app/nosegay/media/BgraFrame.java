package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;

import java.awt.image.BufferedImage;
import java.awt.image.DataBufferInt;
import java.nio.ByteOrder;
import java.nio.IntBuffer;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** A frame that takes its pixels from a Java image with int ARGB (or RGB) pixels of the same size. */
final class BgraFrame implements AutoCloseable {
    private final AVFrame frame = av_frame_alloc();

    BgraFrame(int width, int height) {
        frame.width(width);
        frame.height(height);
        frame.format(AV_PIX_FMT_BGRA);
        av_frame_get_buffer(frame, 0);
    }

    void set(BufferedImage image) {
        int[] pixels = ((DataBufferInt) image.getRaster().getDataBuffer()).getData();
        av_frame_make_writable(frame);
        int stride = frame.linesize(0);
        IntBuffer ints = frame.data(0)
                .capacity((long) stride * frame.height())
                .asByteBuffer()
                .order(ByteOrder.LITTLE_ENDIAN)
                .asIntBuffer();
        for (int y = 0; y < frame.height(); y++) {
            ints.position(y * stride / 4);
            ints.put(pixels, y * frame.width(), frame.width());
        }
    }

    AVFrame frame() {
        return frame;
    }

    @Override
    public void close() {
        av_frame_free(frame);
    }
}
