package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avfilter.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import app.nosegay.evidence.SoundLevels;
import app.nosegay.evidence.Trace;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.Locale;
import org.bytedeco.ffmpeg.avfilter.AVFilterContext;
import org.bytedeco.ffmpeg.avfilter.AVFilterGraph;
import org.bytedeco.ffmpeg.avfilter.AVFilterInOut;
import org.bytedeco.ffmpeg.avutil.AVDictionaryEntry;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Pointer;

/**
 * Momentary loudness every 100 ms, to ITU-R BS.1770 as EBU Tech 3341 asks, by FFmpeg's meter; the core gates it over any cut. True peak is
 * the highest so far (oversampled four times, BS.1770 annex 2).
 */
final class LoudnessMeter implements AutoCloseable {
    private static final double HZ = 10;

    private final AVFilterGraph graph = avfilter_graph_alloc();
    private final AVFilterContext source = new AVFilterContext(null);
    private final AVFilterContext sink = new AVFilterContext(null);
    private final AVFrame metered = av_frame_alloc();
    private final BytePointer momentaryKey = new BytePointer("lavfi.r128.M");
    private final BytePointer peakKey = new BytePointer("lavfi.r128.true_peak");
    private float[] momentary = new float[1024];
    private float[] peaks = new float[1024];
    private int count;
    private double truePeak = -100;
    private final int sampleRate;
    private final int format;
    private final int channels;
    private boolean broken;

    /**
     * @param first a frame of the sound, for its rate and layout
     */
    LoudnessMeter(AVFrame first) throws MediaException {
        sampleRate = first.sample_rate();
        format = first.format();
        channels = first.ch_layout().nb_channels();
        byte[] layout = new byte[128];
        av_channel_layout_describe(first.ch_layout(), layout, layout.length);
        String described = new String(layout).trim().replace("\0", "");
        String known = first.ch_layout().order() == AV_CHANNEL_ORDER_UNSPEC ? channels + "c" : described;
        String arguments = String.format(
                Locale.ROOT,
                "sample_rate=%d:sample_fmt=%s:channel_layout=%s:time_base=1/%d",
                sampleRate,
                av_get_sample_fmt_name(format).getString(),
                known,
                sampleRate);
        check(avfilter_graph_create_filter(
                source, avfilter_get_by_name("abuffer"), "in", arguments, (Pointer) null, graph));
        check(avfilter_graph_create_filter(
                sink, avfilter_get_by_name("abuffersink"), "out", null, (Pointer) null, graph));
        AVFilterInOut outputs = end("in", source);
        AVFilterInOut inputs = end("out", sink);
        String mono = channels == 1 ? "aformat=channel_layouts=mono," : "";
        check(avfilter_graph_parse_ptr(
                graph, "[in]" + mono + "ebur128=metadata=1:peak=true[out]", inputs, outputs, null));
        check(avfilter_graph_config(graph, null));
        avfilter_inout_free(inputs);
        avfilter_inout_free(outputs);
    }

    private static AVFilterInOut end(String name, AVFilterContext context) {
        AVFilterInOut end = avfilter_inout_alloc();
        end.name(av_strdup(new BytePointer(name)));
        end.filter_ctx(context);
        end.pad_idx(0);
        end.next(null);
        return end;
    }

    private static void check(int result) throws MediaException {
        if (result < 0) {
            throw new MediaException(Path.of("loudness meter"), Containers.message(result));
        }
    }

    /** Meters a frame; sound that changes its form half-way is metered no further. */
    void listen(AVFrame frame) {
        boolean same = frame.sample_rate() == sampleRate
                && frame.format() == format
                && frame.ch_layout().nb_channels() == channels;
        broken |= !same;
        if (broken || av_buffersrc_write_frame(source, frame) < 0) {
            return;
        }
        drain();
    }

    private void drain() {
        while (av_buffersink_get_frame(sink, metered) >= 0) {
            double m = value(momentaryKey, -100);
            // The meter gives the peak as a share of full scale.
            truePeak = Math.max(truePeak, 20 * Math.log10(Math.max(1e-5, value(peakKey, 0))));
            if (count == momentary.length) {
                momentary = Arrays.copyOf(momentary, 2 * count);
                peaks = Arrays.copyOf(peaks, 2 * count);
            }
            momentary[count] = (float) m;
            peaks[count++] = (float) truePeak;
            av_frame_unref(metered);
        }
    }

    private double value(BytePointer key, double otherwise) {
        AVDictionaryEntry entry = av_dict_get(metered.metadata(), key, (AVDictionaryEntry) null, 0);
        if (entry == null || entry.isNull()) {
            return otherwise;
        }
        try {
            double value = Double.parseDouble(entry.value().getString());
            return Double.isFinite(value) ? Math.max(-100, value) : otherwise;
        } catch (NumberFormatException e) {
            return otherwise;
        }
    }

    /** What was metered. */
    SoundLevels levels() {
        return new SoundLevels(
                new Trace(HZ, Arrays.copyOf(momentary, count)), new Trace(HZ, Arrays.copyOf(peaks, count)));
    }

    @Override
    public void close() {
        av_frame_free(metered);
        momentaryKey.close();
        peakKey.close();
        avfilter_graph_free(graph);
    }
}
