package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avfilter.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.nio.file.Path;
import java.util.Locale;
import org.bytedeco.ffmpeg.avfilter.AVFilterContext;
import org.bytedeco.ffmpeg.avfilter.AVFilterGraph;
import org.bytedeco.ffmpeg.avfilter.AVFilterInOut;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.javacpp.BytePointer;
import org.bytedeco.javacpp.Pointer;

/** FFmpeg's filter graph that fits a take's picture into the programme's frame, upright, and lays the overlay on it. */
final class OverlayGraph implements AutoCloseable {
    private final AVFilterGraph graph = avfilter_graph_alloc();
    private final AVFilterContext picture = new AVFilterContext(null);
    private final AVFilterContext overlay;
    private final AVFilterContext sink = new AVFilterContext(null);

    /**
     * What the picture becomes.
     *
     * @param crop what stays where the picture is of another shape; null for all of it, with bars
     */
    record Target(int width, int height, FrameRate rate, Crop crop) {}

    /**
     * @param first a frame of the take, for size and format
     * @param video how the take is turned, and the shape of its pixels
     * @param withOverlay whether overlay frames will come
     */
    OverlayGraph(AVFrame first, MediaInfo.Video video, Target target, boolean withOverlay) throws MediaException {
        int width = target.width();
        int height = target.height();
        Crop crop = target.crop();
        String timeBase = target.rate().seconds() + "/" + target.rate().frames();
        source(picture, "picture", pixels(first.width(), first.height(), first.format()), timeBase, first);
        overlay = withOverlay ? new AVFilterContext(null) : null;
        if (withOverlay) {
            source(overlay, "overlay", pixels(width, height, AV_PIX_FMT_YUVA420P), timeBase, null);
        }
        check(avfilter_graph_create_filter(
                sink, avfilter_get_by_name("buffersink"), "out", null, (Pointer) null, graph));
        String chain = "[picture]" + fit(first, video, width, height, crop) + "format=yuv420p"
                + (withOverlay ? "[base];[base][overlay]overlay=format=yuv420[out]" : "[out]");
        AVFilterInOut outputs = end("picture", picture);
        if (withOverlay) {
            outputs.next(end("overlay", overlay));
        }
        AVFilterInOut inputs = end("out", sink);
        check(avfilter_graph_parse_ptr(graph, chain, inputs, outputs, null));
        check(avfilter_graph_config(graph, null));
        avfilter_inout_free(inputs);
        avfilter_inout_free(outputs);
    }

    private static String fit(AVFrame first, MediaInfo.Video video, int width, int height, Crop crop) {
        String turn =
                switch (video.rotation()) {
                    case 90 -> "transpose=clock,";
                    case 180 -> "hflip,vflip,";
                    case 270 -> "transpose=cclock,";
                    default -> "";
                };
        if (video.pixelAspect() != 1) {
            turn += "scale=" + video.shownWidth() + ":" + video.shownHeight() + ":flags=bicubic,setsar=1,";
        }
        boolean same = turn.isEmpty() && first.width() == width && first.height() == height;
        if (crop != null && !same) {
            Crop.View view = crop.view(video.shownWidth(), video.shownHeight(), width, height);
            String bars = view.shownHeight() == height
                    ? ""
                    : String.format(
                            Locale.ROOT, "pad=%d:%d:0:(oh-ih)/2:color=0x%06x,", width, height, crop.bars() & 0xffffff);
            return String.format(
                    Locale.ROOT,
                    "%scrop=%d:%d:%d:%d,scale=%d:%d:flags=bicubic,%ssetsar=1,",
                    turn,
                    view.width(),
                    view.height(),
                    view.x(),
                    view.y(),
                    width,
                    view.shownHeight(),
                    bars);
        }
        return same
                ? "setsar=1,"
                : String.format(
                        Locale.ROOT,
                        "%sscale=%d:%d:force_original_aspect_ratio=decrease:flags=bicubic,pad=%d:%d:(ow-iw)/2:(oh-ih)/2,setsar=1,",
                        turn,
                        width,
                        height,
                        width,
                        height);
    }

    private static String pixels(int width, int height, int format) {
        return String.format(Locale.ROOT, "video_size=%dx%d:pix_fmt=%d", width, height, format);
    }

    private void source(AVFilterContext context, String name, String pixels, String timeBase, AVFrame colours)
            throws MediaException {
        int space = colours == null ? AVCOL_SPC_BT709 : colours.colorspace();
        int range = colours == null ? AVCOL_RANGE_MPEG : colours.color_range();
        String arguments =
                String.format(Locale.ROOT, "%s:time_base=%s:colorspace=%d:range=%d", pixels, timeBase, space, range);
        check(avfilter_graph_create_filter(
                context, avfilter_get_by_name("buffer"), name, arguments, (Pointer) null, graph));
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
            throw new MediaException(Path.of("filter graph"), Containers.message(result));
        }
    }

    /** Sends one picture and, where the graph has one, the overlay that belongs on it; both carry the frame number as pts. */
    void send(AVFrame frame, AVFrame overlayFrame, long n) throws MediaException {
        frame.pts(n);
        frame.pict_type(AV_PICTURE_TYPE_NONE);
        check(av_buffersrc_write_frame(picture, frame));
        if (overlay != null) {
            overlayFrame.pts(n);
            check(av_buffersrc_write_frame(overlay, overlayFrame));
        }
    }

    /** Tells the graph that no more pictures come. */
    void end() throws MediaException {
        check(av_buffersrc_add_frame(picture, null));
        if (overlay != null) {
            check(av_buffersrc_add_frame(overlay, null));
        }
    }

    /** Takes a finished frame out; false when none is ready. */
    boolean receive(AVFrame target) {
        return av_buffersink_get_frame(sink, target) >= 0;
    }

    @Override
    public void close() {
        avfilter_graph_free(graph);
    }
}
