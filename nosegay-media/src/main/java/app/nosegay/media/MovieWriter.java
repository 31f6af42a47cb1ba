package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;

import app.nosegay.captions.TimedText;
import app.nosegay.files.AtomicFile;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.HexFormat;
import java.util.List;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avcodec.AVPacket;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVIOContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.FloatPointer;

/**
 * Writes an MP4 of H.264 and AAC at a constant frame rate. The file appears under its name only when {@link #finish} has closed it; until
 * then, and for good when it is not finished, nothing but a {@code .part} file exists, which {@link #close} removes.
 */
public final class MovieWriter implements AutoCloseable {
    public static final int SOUND_HZ = 48_000;
    static final int CHANNELS = 2;
    /** A live file is written in pieces of this length, and no stream waits longer for the other: so much a kill costs. */
    private static final long LIVE_FRAGMENT_MICROS = 400_000;

    /** A file read back may differ from what was written by a frame of sound and one of picture, and by what the encoder puts before. */
    private static final double READ_BACK_SECONDS = 0.2;

    static {
        av_log_set_level(AV_LOG_QUIET);
    }

    private final Path target;
    private final AtomicFile file;
    private final AVFormatContext format = new AVFormatContext(null);
    private final AVPacket packet = av_packet_alloc();
    private AVCodecContext video;
    private final MovieFormat movie;
    private final MovieEncoders encoders;
    private final int partFrames;
    private boolean encoding;
    private final AVStream videoStream;
    private final AVCodecContext audio;
    private final AVStream audioStream;
    private final AVFrame soundFrame;
    private final float[] soundPending;
    private final BgraFrame bgra;
    private final PictureScaler toYuv;
    private AVFrame last;
    private AVPacket repeatable;
    private final boolean layer;
    private int soundFill;
    private long soundWritten;
    private long frames;
    private boolean finished;

    /**
     * Opens the file for writing.
     *
     * @param title the film's title; empty for none
     * @param chapters its chapters; empty for none
     */
    public MovieWriter(Path target, MovieFormat movie, String title, List<TimedText.Cue> chapters) throws IOException {
        this.target = target;
        this.movie = movie;
        EncoderSettings settings = movie.settings();
        layer = settings.alpha();
        file = new AtomicFile(target);
        Files.createDirectories(target.toAbsolutePath().getParent());
        check(
                avformat_alloc_output_context2(
                        format,
                        null,
                        settings.alpha() ? "mov" : "mp4",
                        file.part().toString()),
                MediaText.of("movie-writer.cannot-be-prepared"));
        boolean globalHeader = (format.oformat().flags() & AVFMT_GLOBALHEADER) != 0;
        partFrames = layer || settings.live() ? 0 : PartKeys.frames(movie.rate());
        encoders = new MovieEncoders(target, globalHeader);
        video = !movie.hasPicture() ? null : encoders.openVideo(movie);
        videoStream = !movie.hasPicture() ? null : stream(video);
        if (videoStream != null) {
            videoStream.avg_frame_rate(
                    new AVRational().num(movie.rate().frames()).den(movie.rate().seconds()));
        }
        audio = movie.withSound() ? encoders.openAudio(movie) : null;
        audioStream = movie.withSound() ? stream(audio) : null;
        soundFrame = movie.withSound() ? MovieEncoders.soundFrame(audio) : null;
        soundPending = movie.withSound() ? new float[audio.frame_size() * CHANNELS] : null;
        int pixels = settings.alpha() ? AV_PIX_FMT_YUVA444P10LE : AV_PIX_FMT_YUV420P;
        int width = Math.max(2, movie.width());
        int height = Math.max(2, movie.height());
        bgra = new BgraFrame(width, height);
        toYuv = new PictureScaler(width, height, pixels, SWS_BILINEAR);
        if (!title.isEmpty()) {
            AVDictionary metadata = new AVDictionary(null);
            av_dict_set(metadata, "title", title, 0);
            format.metadata(metadata);
        }
        MovieEncoders.addChapters(format, chapters);
        begin();
    }

    /** Opens the file and writes its header. */
    private void begin() throws MediaException {
        EncoderSettings settings = movie.settings();
        AVIOContext io = new AVIOContext(null);
        check(
                avio_open(io, file.part().toString(), AVIO_FLAG_WRITE),
                MediaText.of("movie-writer.cannot-be-written-there-check"));
        format.pb(io);
        AVDictionary options = new AVDictionary(null);
        String flags = settings.live() ? "+frag_keyframe+empty_moov+default_base_moof" : "+faststart";
        av_dict_set(options, "movflags", flags, 0);
        if (settings.live()) {
            av_dict_set(options, "frag_duration", "" + LIVE_FRAGMENT_MICROS, 0);
            format.max_interleave_delta(LIVE_FRAGMENT_MICROS);
            format.flush_packets(1);
        }
        check(avformat_write_header(format, options), MediaText.of("movie-writer.its-header-cannot-be-written"));
    }

    private void check(int result, String what) throws MediaException {
        if (result < 0) {
            throw failure(target, result, what);
        }
    }

    static MediaException failure(Path target, int error, String what) {
        return new MediaException(target, what + " (" + Containers.message(error) + ")");
    }

    private AVStream stream(AVCodecContext codec) {
        AVStream stream = avformat_new_stream(format, null);
        stream.time_base(codec.time_base());
        avcodec_parameters_from_context(stream.codecpar(), codec);
        return stream;
    }

    /** Writes {@code image}, ARGB and of the film's size, as frame {@code n}; null repeats the one before. */
    public void picture(BufferedImage image, long n) throws MediaException {
        if (image == null && repeatable != null) {
            repeat(n);
            return;
        }
        if (image != null) {
            bgra.set(image);
            last = toYuv.scale(bgra.frame());
        }
        AVFrame yuv = last;
        yuv.pts(n);
        yuv.pict_type(AV_PICTURE_TYPE_NONE);
        picture(yuv);
    }

    /** A layer's frames stand alone: the same picture is the same packet at another time. */
    private void repeat(long n) throws MediaException {
        AVPacket again = av_packet_clone(repeatable);
        again.pts(n);
        again.dts(n);
        again.duration(1);
        av_packet_rescale_ts(again, video.time_base(), videoStream.time_base());
        again.stream_index(videoStream.index());
        frames = n + 1;
        int written = av_interleaved_write_frame(format, again);
        av_packet_free(again);
        check(written, MediaText.of("movie-writer.cannot-be-written-the-disk"));
    }

    /** Writes a YUV 4:2:0 frame whose {@code pts} is its number. */
    void picture(AVFrame yuv) throws MediaException {
        if (partFrames > 0 && yuv.pts() % partFrames == 0) {
            yuv.pict_type(AV_PICTURE_TYPE_I);
        }
        encoding = true;
        frames = yuv.pts() + 1;
        encode(video, videoStream, yuv);
    }

    /** What a decoder has to know of the encoder, in hexadecimal: pictures of two encoders go into one film only when it is the same. */
    String header() {
        byte[] bytes = new byte[video == null ? 0 : video.extradata_size()];
        if (bytes.length > 0) {
            video.extradata().position(0).get(bytes);
        }
        return HexFormat.of().formatHex(bytes);
    }

    /** Takes the frames from {@code from} to before {@code to}, whole parts, over from {@code before}. */
    void take(RenderedBefore before, long from, long to) throws MediaException {
        if (encoding) {
            encode(video, videoStream, null);
            avcodec_free_context(video);
            video = encoders.openVideo(movie);
            encoding = false;
        }
        frames = to;
        before.pictures(from, to, (taken, timeBase) -> {
            AVPacket again = av_packet_clone(taken);
            av_packet_rescale_ts(again, timeBase, videoStream.time_base());
            again.stream_index(videoStream.index());
            again.pos(-1);
            int written = av_interleaved_write_frame(format, again);
            av_packet_free(again);
            check(written, MediaText.of("movie-writer.cannot-be-written-the-disk"));
        });
    }

    /** Writes {@code count} stereo samples from an interleaved array. */
    public void sound(float[] interleaved, int from, int count) throws MediaException {
        for (int i = 0; i < count * CHANNELS; i++) {
            soundPending[soundFill++] = interleaved[from * CHANNELS + i];
            if (soundFill == soundPending.length) {
                flushSound(audio.frame_size());
            }
        }
    }

    /** How many samples per channel have been taken. */
    public long soundPosition() {
        return soundWritten + soundFill / CHANNELS;
    }

    private void flushSound(int samples) throws MediaException {
        av_frame_make_writable(soundFrame);
        soundFrame.nb_samples(samples);
        float[] plane = new float[samples];
        for (int c = 0; c < CHANNELS; c++) {
            for (int i = 0; i < samples; i++) {
                plane[i] = soundPending[i * CHANNELS + c];
            }
            new FloatPointer(soundFrame.data(c)).put(plane, 0, samples);
        }
        soundFrame.pts(soundWritten);
        soundWritten += samples;
        soundFill = 0;
        encode(audio, audioStream, soundFrame);
    }

    private void encode(AVCodecContext codec, AVStream stream, AVFrame frame) throws MediaException {
        check(avcodec_send_frame(codec, frame), MediaText.of("movie-writer.a-frame-cannot-be-encoded"));
        while (avcodec_receive_packet(codec, packet) >= 0) {
            if (layer && codec == video) {
                if (repeatable != null) {
                    av_packet_free(repeatable);
                }
                repeatable = av_packet_clone(packet);
            }
            av_packet_rescale_ts(packet, codec.time_base(), stream.time_base());
            packet.stream_index(stream.index());
            check(av_interleaved_write_frame(format, packet), MediaText.of("movie-writer.cannot-be-written-the-disk"));
        }
    }

    /** Ends the file and gives it its name. */
    public void finish() throws IOException {
        if (audio != null) {
            if (soundFill > 0) {
                flushSound(soundFill / CHANNELS);
            }
            encode(audio, audioStream, null);
        }
        if (video != null && encoding) {
            encode(video, videoStream, null);
        }
        check(av_write_trailer(format), MediaText.of("movie-writer.its-end-cannot-be-written"));
        avio_closep(format.pb());
        format.pb(null);
        if (!movie.settings().live()) {
            readBack();
        }
        file.commit();
        finished = true;
    }

    /** Refuses what does not hold as much as was put into it, before it takes the place of what was there. */
    private void readBack() throws MediaException {
        double pictures = frames / movie.rate().perSecond();
        double sound = soundWritten / (double) SOUND_HZ;
        double read = MediaInput.probe(file.part()).length().seconds();
        if (Math.abs(read - Math.max(pictures, sound)) > READ_BACK_SECONDS) {
            throw new MediaException(
                    target, MediaText.of("movie-writer.was-read-back", read, Math.max(pictures, sound)));
        }
    }

    /**
     * Ends a live file after a failure: all that was written stays, under the film's name. What the end of the file fails at is left out;
     * a live file can be played without it.
     */
    public void keep() throws IOException {
        av_write_trailer(format);
        avio_closep(format.pb());
        format.pb(null);
        finished = true;
        file.keep();
    }

    @Override
    public void close() throws IOException {
        if (video != null) {
            avcodec_free_context(video);
        }
        if (audio != null) {
            avcodec_free_context(audio);
            av_frame_free(soundFrame);
        }
        av_packet_free(packet);
        if (repeatable != null) {
            av_packet_free(repeatable);
        }
        bgra.close();
        toYuv.close();
        if (format.pb() != null && !format.pb().isNull()) {
            avio_closep(format.pb());
        }
        avformat_free_context(format);
        if (!finished) {
            file.close();
        }
    }
}
