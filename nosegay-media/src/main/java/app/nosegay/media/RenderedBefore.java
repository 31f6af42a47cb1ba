package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.io.IOException;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avcodec.AVBSFContext;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;

/** The pictures of a film that was rendered before, as they were encoded; taken over where they would come out the same. */
final class RenderedBefore implements AutoCloseable {
    private final Path file;
    private final AVRational frameLength;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVPacket packet = av_packet_alloc();
    private final AVBSFContext startCodes = new AVBSFContext(null);
    private AVStream stream;
    private boolean closed;

    /** It cannot be read as it was written: everything is rendered instead. */
    static final class Unusable extends MediaException {
        private static final long serialVersionUID = 1;

        Unusable(Path file, String what) {
            super(file, what);
        }
    }

    /** Takes one encoded picture, its times still in {@code timeBase}; it is valid during the call only. */
    interface Taker {
        void take(AVPacket packet, AVRational timeBase) throws MediaException;
    }

    RenderedBefore(Path file, FrameRate rate) throws IOException {
        this.file = file;
        this.frameLength = new AVRational().num(rate.seconds()).den(rate.frames());
        if (avformat_open_input(format, file.toString(), null, (AVDictionary) null) < 0
                || avformat_find_stream_info(format, (AVDictionary) null) < 0) {
            close();
            throw new Unusable(file, MediaText.of("rendered-before.cannot-be-read-again"));
        }
        int index = av_find_best_stream(format, AVMEDIA_TYPE_VIDEO, -1, -1, (AVCodec) null, 0);
        if (index < 0) {
            close();
            throw new Unusable(file, MediaText.of("rendered-before.has-no-picture-any-more"));
        }
        stream = format.streams(index);
        // The file has its pictures with lengths before them, an encoder gives start codes.
        boolean converts = av_bsf_alloc(av_bsf_get_by_name("h264_mp4toannexb"), startCodes) >= 0
                && avcodec_parameters_copy(startCodes.par_in(), stream.codecpar()) >= 0
                && av_bsf_init(startCodes) >= 0;
        if (!converts) {
            close();
            throw new Unusable(file, MediaText.of("rendered-before.is-not-in-the-format"));
        }
        for (int i = 0; i < format.nb_streams(); i++) {
            if (i != index) {
                format.streams(i).discard(AVDISCARD_ALL);
            }
        }
    }

    /** The pictures from frame {@code from}, where a key frame has to be, to before {@code to}, in the order of decoding. */
    void pictures(long from, long to, Taker taker) throws MediaException {
        long start = av_rescale_q(from, frameLength, stream.time_base());
        if (av_seek_frame(format, stream.index(), start, AVSEEK_FLAG_BACKWARD) < 0) {
            throw new Unusable(file, MediaText.of("rendered-before.cannot-be-read-at-frame", from));
        }
        long taken = 0;
        while (taken < to - from && av_read_frame(format, packet) >= 0) {
            long frame = Math.round(av_q2d(stream.time_base()) * packet.pts() / av_q2d(frameLength));
            boolean ours = packet.stream_index() == stream.index() && frame >= from && frame < to;
            boolean key = (packet.flags() & AV_PKT_FLAG_KEY) != 0;
            if (ours && taken == 0 && !(key && frame == from)) {
                av_packet_unref(packet);
                throw new Unusable(file, MediaText.of("rendered-before.has-no-key-frame-at", from));
            }
            if (ours && av_bsf_send_packet(startCodes, packet) >= 0) {
                while (av_bsf_receive_packet(startCodes, packet) >= 0) {
                    taker.take(packet, stream.time_base());
                    taken++;
                    av_packet_unref(packet);
                }
            }
            av_packet_unref(packet);
        }
        if (taken < to - from) {
            throw new Unusable(file, MediaText.of("rendered-before.lacks-pictures-behind-frame", from + taken));
        }
    }

    @Override
    public void close() {
        if (closed) {
            return;
        }
        closed = true;
        av_packet_free(packet);
        if (!startCodes.isNull()) {
            av_bsf_free(startCodes);
        }
        if (!format.isNull()) {
            avformat_close_input(format);
        }
    }
}
