package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swresample.*;

import org.bytedeco.ffmpeg.avutil.AVChannelLayout;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.swresample.SwrContext;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.FloatPointer;
import org.bytedeco.javacpp.PointerPointer;

/** Converts decoded sound to interleaved floats of one rate and channel count. Not thread-safe. */
final class SoundConverter implements AutoCloseable {
    private final int sampleRate;
    private final int channels;
    private final SwrContext context = new SwrContext(null);
    private final PointerPointer<BytePointer> planes = new PointerPointer<>(1);
    private FloatPointer out = new FloatPointer(1 << 15);
    private float[] samples = new float[1 << 15];
    private int sourceRate;
    private int sourceFormat = -1;
    private int sourceChannels;

    SoundConverter(int sampleRate, int channels) {
        this.sampleRate = sampleRate;
        this.channels = channels;
    }

    /** Converts {@code frame}; gives the number of samples per channel now in {@link #samples}. */
    int convert(AVFrame frame) {
        if (frame.sample_rate() != sourceRate
                || frame.format() != sourceFormat
                || frame.ch_layout().nb_channels() != sourceChannels) {
            open(frame);
        }
        int room = (int) (((long) frame.nb_samples() * sampleRate) / Math.max(1, sourceRate)) + 256;
        if (out.capacity() < (long) room * channels) {
            out.close();
            out = new FloatPointer((long) room * channels);
            samples = new float[room * channels];
        }
        planes.put(0, out);
        int n = swr_convert(context, planes, room, frame.extended_data(), frame.nb_samples());
        if (n > 0) {
            out.position(0).get(samples, 0, n * channels);
        }
        return Math.max(0, n);
    }

    private void open(AVFrame frame) {
        sourceRate = frame.sample_rate();
        sourceFormat = frame.format();
        sourceChannels = frame.ch_layout().nb_channels();
        swr_free(context);
        AVChannelLayout target = new AVChannelLayout();
        av_channel_layout_default(target, channels);
        AVChannelLayout source = frame.ch_layout();
        if (source.order() == AV_CHANNEL_ORDER_UNSPEC) {
            source = new AVChannelLayout();
            av_channel_layout_default(source, sourceChannels);
        }
        swr_alloc_set_opts2(context, target, AV_SAMPLE_FMT_FLT, sampleRate, source, sourceFormat, sourceRate, 0, null);
        swr_init(context);
    }

    /** The converted samples, interleaved; overwritten by the next call. */
    float[] samples() {
        return samples;
    }

    @Override
    public void close() {
        swr_free(context);
        out.close();
        planes.close();
    }
}
