package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import app.nosegay.files.AtomicFile;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecParameters;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVRational;

/**
 * Recordings one behind the other in one file, as cameras cut them at 4 GB or half an hour: what was recorded is copied as it is, nothing
 * is encoded anew.
 */
public final class JoinedRecording {
    private static final AVRational MICROS = new AVRational().num(1).den(1_000_000);
    /** Picture and sound, in this order. */
    private static final int[] KINDS = {AVMEDIA_TYPE_VIDEO, AVMEDIA_TYPE_AUDIO};

    private final Path target;
    private final AVFormatContext out = new AVFormatContext(null);
    private final AVPacket packet = av_packet_alloc();
    private final AVStream[] streams = new AVStream[KINDS.length];
    private final long[] lastDts = {Long.MIN_VALUE, Long.MIN_VALUE};
    /** Where what was written so far ends, in microseconds. */
    private long end;

    private JoinedRecording(Path target) {
        this.target = target;
    }

    /**
     * Writes {@code parts} one behind the other to {@code target}, which must not be there.
     *
     * @return where each part begins
     * @throws MediaException when a part cannot be read or was recorded with other settings than the first
     */
    public static List<Time<Axis.Take>> write(List<Path> parts, Path target, Progress progress) throws IOException {
        if (Files.exists(target)) {
            throw new FileAlreadyExistsException(MediaText.of("joined-recording.is-there-already-move-it", target));
        }
        JoinedRecording joined = new JoinedRecording(target);
        try (AtomicFile file = new AtomicFile(target)) {
            List<Time<Axis.Take>> starts = joined.copy(parts, file.part(), progress);
            file.commit();
            return starts;
        } finally {
            joined.close();
        }
    }

    private List<Time<Axis.Take>> copy(List<Path> parts, Path part, Progress progress) throws IOException {
        check(
                avformat_alloc_output_context2(out, null, container(), part.toString()),
                MediaText.of("joined-recording.cannot-be-prepared"));
        List<Time<Axis.Take>> starts = new ArrayList<>();
        for (int i = 0; i < parts.size(); i++) {
            starts.add(new Time<>(end));
            int done = i;
            append(parts.get(i), part, share -> progress.at((done + share) / parts.size()));
        }
        check(av_write_trailer(out), MediaText.of("joined-recording.cannot-be-ended-the-disk"));
        return starts;
    }

    private String container() {
        String name = target.getFileName().toString().toLowerCase(Locale.ROOT);
        return name.endsWith(".mkv") ? "matroska" : name.endsWith(".mov") ? "mov" : "mp4";
    }

    private void append(Path file, Path part, Progress progress) throws IOException {
        AVFormatContext in = Containers.opened(file);
        try {
            if (avformat_find_stream_info(in, (AVDictionary) null) < 0) {
                throw new MediaException(file, MediaText.of("joined-recording.its-streams-cannot-be-read"));
            }
            AVStream[] from = streams(in);
            if (end == 0) {
                begin(from, part);
            } else {
                for (int k = 0; k < KINDS.length; k++) {
                    same(file, from[k], streams[k]);
                }
            }
            packets(in, from, progress);
        } finally {
            avformat_close_input(in);
        }
    }

    private static AVStream[] streams(AVFormatContext in) {
        AVStream[] found = new AVStream[KINDS.length];
        for (int k = 0; k < KINDS.length; k++) {
            int index = av_find_best_stream(in, KINDS[k], -1, -1, (AVCodec) null, 0);
            found[k] = index < 0 ? null : in.streams(index);
        }
        return found;
    }

    private void begin(AVStream[] from, Path part) throws MediaException {
        for (int k = 0; k < KINDS.length; k++) {
            if (from[k] != null) {
                streams[k] = avformat_new_stream(out, null);
                check(
                        avcodec_parameters_copy(streams[k].codecpar(), from[k].codecpar()),
                        MediaText.of("joined-recording.cannot-be-prepared"));
                streams[k].codecpar().codec_tag(0);
                streams[k].time_base(from[k].time_base());
                streams[k].avg_frame_rate(from[k].avg_frame_rate());
                streams[k].sample_aspect_ratio(from[k].sample_aspect_ratio());
            }
        }
        AVIOContext io = new AVIOContext(null);
        check(
                avio_open(io, part.toString(), AVIO_FLAG_WRITE),
                MediaText.of("joined-recording.cannot-be-written-there-check"));
        out.pb(io);
        check(
                avformat_write_header(out, (AVDictionary) null),
                MediaText.of("joined-recording.what-was-recorded-does-not"));
    }

    /** Only what was recorded alike can be shown as one. */
    private static void same(Path file, AVStream part, AVStream whole) throws MediaException {
        boolean both = part != null && whole != null;
        AVCodecParameters a = both ? part.codecpar() : null;
        AVCodecParameters b = both ? whole.codecpar() : null;
        boolean alike = part == null && whole == null
                || both
                        && a.codec_id() == b.codec_id()
                        && a.width() == b.width()
                        && a.height() == b.height()
                        && a.sample_rate() == b.sample_rate()
                        && a.ch_layout().nb_channels() == b.ch_layout().nb_channels()
                        && Arrays.equals(header(a), header(b));
        if (!alike) {
            throw new MediaException(file, MediaText.of("joined-recording.was-recorded-with-other-settings"));
        }
    }

    private static byte[] header(AVCodecParameters parameters) {
        byte[] bytes = new byte[parameters.extradata_size()];
        if (bytes.length > 0) {
            parameters.extradata().position(0).get(bytes);
        }
        return bytes;
    }

    private void packets(AVFormatContext in, AVStream[] from, Progress progress) throws MediaException {
        long start = in.start_time() == AV_NOPTS_VALUE ? 0 : in.start_time();
        long length = Math.max(1, in.duration());
        long offset = end - start;
        while (av_read_frame(in, packet) >= 0) {
            for (int k = 0; k < KINDS.length; k++) {
                if (from[k] != null && packet.stream_index() == from[k].index()) {
                    write(k, from[k].time_base(), offset);
                    progress.at(Math.min(1, (end - start - offset) / (double) length));
                    break;
                }
            }
            av_packet_unref(packet);
        }
    }

    private void write(int k, AVRational timeBase, long offset) throws MediaException {
        AVRational target = streams[k].time_base();
        av_packet_rescale_ts(packet, timeBase, target);
        long shift = av_rescale_q(offset, MICROS, target);
        if (packet.pts() != AV_NOPTS_VALUE) {
            packet.pts(packet.pts() + shift);
            end = Math.max(end, av_rescale_q(packet.pts() + Math.max(0, packet.duration()), target, MICROS));
        }
        if (packet.dts() != AV_NOPTS_VALUE) {
            packet.dts(packet.dts() + shift);
        }
        // A part's sound begins a little before its picture; what is already there is not written twice.
        if (packet.dts() != AV_NOPTS_VALUE && packet.dts() <= lastDts[k]) {
            return;
        }
        lastDts[k] = packet.dts();
        packet.stream_index(streams[k].index());
        packet.pos(-1);
        check(av_interleaved_write_frame(out, packet), MediaText.of("joined-recording.cannot-be-written-the-disk"));
    }

    private void check(int result, String what) throws MediaException {
        if (result < 0) {
            throw new MediaException(target, what + " (" + Containers.message(result) + ")");
        }
    }

    private void close() {
        av_packet_free(packet);
        if (!out.isNull()) {
            if (out.pb() != null && !out.pb().isNull()) {
                avio_closep(out.pb());
            }
            avformat_free_context(out);
        }
    }
}
