package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVInputFormat;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;

/** A media file being decoded: frames of picture and sound in the order they come, at take time. Not thread-safe. */
public final class MediaInput implements AutoCloseable {
    private static final AVRational MICROS = new AVRational().num(1).den(1_000_000);

    static {
        av_log_set_level(AV_LOG_QUIET);
    }

    /** What {@link #next} found. */
    public enum Kind {
        VIDEO,
        AUDIO,
        END
    }

    /** Pictures are not stored in the order in which they are shown: decoding begins again this much early. */
    private static final long BEFORE_SKIP_ENDS_MICROS = 500_000;

    private final Path file;
    private final AVFormatContext format;
    private final AVPacket packet = av_packet_alloc();
    private final AVFrame frame = av_frame_alloc();
    private final long startMicros;
    private Stream video;
    private Stream audio;
    private Stream draining;
    private Time<Axis.Take> skipping;
    private Time<Axis.Take> passedOver;
    private final List<AVPacket> sinceKeyFrame = new ArrayList<>();
    private boolean ended;
    private Time<Axis.Take> time = Time.zero();

    /** A stream with its decoder. */
    static final class Stream {
        AVStream stream;
        AVCodecContext codec;
        boolean flushed;
        long nextMicros;
    }

    /**
     * Opens {@code file} for decoding.
     *
     * @param withVideo whether to decode the picture
     * @param withAudio whether to decode the sound
     * @throws MediaException when it is missing, not media, cut off before its index, or holds neither
     */
    public MediaInput(Path file, boolean withVideo, boolean withAudio) throws MediaException {
        this(file, Containers.opened(file), withVideo, withAudio);
    }

    private MediaInput(Path file, AVFormatContext opened, boolean withVideo, boolean withAudio) throws MediaException {
        this.file = file;
        format = opened;
        if (avformat_find_stream_info(format, (AVDictionary) null) < 0) {
            close();
            throw new MediaException(file, MediaText.of("media-input.its-streams-cannot-be-read"));
        }
        startMicros = format.start_time() == AV_NOPTS_VALUE ? 0 : format.start_time();
        video = withVideo ? open(AVMEDIA_TYPE_VIDEO) : null;
        audio = withAudio ? open(AVMEDIA_TYPE_AUDIO) : null;
        for (int i = 0; i < format.nb_streams(); i++) {
            AVStream s = format.streams(i);
            boolean used = (video != null && s.index() == video.stream.index())
                    || (audio != null && s.index() == audio.stream.index());
            if (!used) {
                s.discard(AVDISCARD_ALL);
            }
        }
    }

    /** A camera or microphone, opened for decoding what it gives from now on. */
    static MediaInput of(Device device) throws MediaException {
        AVInputFormat kind = device.input();
        AVFormatContext opened = new AVFormatContext(null);
        int error = kind == null ? -1 : avformat_open_input(opened, device.name(), kind, (AVDictionary) null);
        Path name = Path.of(device.format());
        if (error < 0) {
            throw new MediaException(
                    name,
                    MediaText.of(
                            "media-input.the-device-cannot-be-opened",
                            device.label(),
                            kind == null ? "" : " (" + Containers.message(error) + ")"));
        }
        return new MediaInput(name, opened, true, true);
    }

    private Stream open(int type) {
        int index = av_find_best_stream(format, type, -1, -1, (AVCodec) null, 0);
        if (index < 0) {
            return null;
        }
        AVStream stream = format.streams(index);
        boolean coverPicture = (stream.disposition() & AV_DISPOSITION_ATTACHED_PIC) != 0;
        AVCodec decoder = avcodec_find_decoder(stream.codecpar().codec_id());
        if (decoder == null || coverPicture) {
            return null;
        }
        AVCodecContext codec = avcodec_alloc_context3(decoder);
        avcodec_parameters_to_context(codec, stream.codecpar());
        codec.thread_count(0);
        codec.pkt_timebase(stream.time_base());
        if (avcodec_open2(codec, decoder, (AVDictionary) null) < 0) {
            avcodec_free_context(codec);
            return null;
        }
        Stream opened = new Stream();
        opened.stream = stream;
        opened.codec = codec;
        return opened;
    }

    /** What is in {@code file}. */
    public static MediaInfo probe(Path file) throws MediaException {
        try (MediaInput input = new MediaInput(file, true, true)) {
            return input.info();
        }
    }

    public MediaInfo info() throws MediaException {
        return StreamInfo.of(file, format, video, audio);
    }

    public boolean hasVideo() {
        return video != null;
    }

    public boolean hasAudio() {
        return audio != null;
    }

    AVCodecContext videoCodec() {
        return video.codec;
    }

    AVCodecContext audioCodec() {
        return audio.codec;
    }

    /** Decodes the next frame; it stays valid until the next call. Damaged packets are passed over. */
    public Kind next() {
        while (true) {
            if (draining != null) {
                if (avcodec_receive_frame(draining.codec, frame) >= 0) {
                    stamp(draining);
                    return draining == video ? Kind.VIDEO : Kind.AUDIO;
                }
                draining = null;
            }
            if (ended) {
                Stream rest = unflushed();
                if (rest == null) {
                    return Kind.END;
                }
                rest.flushed = true;
                avcodec_send_packet(rest.codec, (AVPacket) null);
                draining = rest;
                continue;
            }
            if (skipping == null && !sinceKeyFrame.isEmpty()) {
                AVPacket kept = sinceKeyFrame.remove(0);
                if (send(video, kept)) {
                    draining = video;
                }
                av_packet_free(kept);
                continue;
            }
            if (av_read_frame(format, packet) < 0) {
                skipping = null;
                ended = sinceKeyFrame.isEmpty();
                continue;
            }
            Stream stream = streamOf(packet.stream_index());
            if (stream != null && stream == video && skipping != null && skipped()) {
                continue;
            }
            if (stream != null && send(stream, packet)) {
                draining = stream;
            }
            av_packet_unref(packet);
        }
    }

    /**
     * Passes over the pictures before {@code time} without decoding them; it decodes again from the last key frame before it. Sound
     * goes on.
     */
    void skipPicturesUntil(Time<Axis.Take> until) {
        if (video != null) {
            skipping = until;
        }
    }

    /** From now on pictures before {@code until} that no other is built on are not decoded. */
    void passOverUntil(Time<Axis.Take> until) {
        passedOver = until;
    }

    /** Sends a packet to its decoder; true when it was taken. */
    private boolean send(Stream stream, AVPacket sent) {
        if (stream == video) {
            boolean passed = passedOver != null && sent.pts() != AV_NOPTS_VALUE && micros(sent) < passedOver.micros();
            video.codec.skip_frame(passed ? AVDISCARD_NONREF : AVDISCARD_DEFAULT);
        }
        return avcodec_send_packet(stream.codec, sent) >= 0;
    }

    private long micros(AVPacket of) {
        long pts = of.pts() == AV_NOPTS_VALUE ? of.dts() : of.pts();
        return av_rescale_q(pts, video.stream.time_base(), MICROS) - startMicros;
    }

    /** Keeps the packet at hand in case decoding has to begin with it, or begins again; true when it is not to be decoded now. */
    private boolean skipped() {
        if ((packet.flags() & AV_PKT_FLAG_KEY) != 0) {
            forget();
        }
        AVPacket kept = av_packet_clone(packet);
        sinceKeyFrame.add(kept);
        long micros = micros(packet);
        av_packet_unref(packet);
        if (micros >= skipping.micros() - BEFORE_SKIP_ENDS_MICROS) {
            skipping = null;
            avcodec_flush_buffers(video.codec);
        }
        return true;
    }

    private void forget() {
        sinceKeyFrame.forEach(kept -> av_packet_free(kept));
        sinceKeyFrame.clear();
    }

    private Stream unflushed() {
        if (video != null && !video.flushed) {
            return video;
        }
        return audio != null && !audio.flushed ? audio : null;
    }

    private Stream streamOf(int index) {
        if (video != null && video.stream.index() == index) {
            return video;
        }
        return audio != null && audio.stream.index() == index ? audio : null;
    }

    private void stamp(Stream stream) {
        long pts = frame.best_effort_timestamp();
        long micros = pts == AV_NOPTS_VALUE
                ? stream.nextMicros
                : av_rescale_q(pts, stream.stream.time_base(), MICROS) - startMicros;
        time = new Time<>(micros);
        long length = stream == audio
                ? Math.round(1e6 * frame.nb_samples() / Math.max(1, frame.sample_rate()))
                : av_rescale_q(Math.max(0, frame.duration()), stream.stream.time_base(), MICROS);
        stream.nextMicros = micros + length;
    }

    /** The frame last decoded. */
    AVFrame frame() {
        return frame;
    }

    /** The presentation time of the frame last decoded. */
    public Time<Axis.Take> time() {
        return time;
    }

    /** Goes to the last key frame at or before {@code target}. */
    public void seek(Time<Axis.Take> target) {
        long micros = Math.max(0, target.micros()) + startMicros;
        avformat_seek_file(format, -1, Long.MIN_VALUE, micros, micros, 0);
        for (Stream s : new Stream[] {video, audio}) {
            if (s != null) {
                avcodec_flush_buffers(s.codec);
                s.flushed = false;
            }
        }
        draining = null;
        skipping = null;
        forget();
        ended = false;
    }

    @Override
    public void close() {
        forget();
        for (Stream s : new Stream[] {video, audio}) {
            if (s != null) {
                avcodec_free_context(s.codec);
            }
        }
        av_packet_free(packet);
        av_frame_free(frame);
        if (format != null && !format.isNull()) {
            avformat_close_input(format);
        }
    }
}
