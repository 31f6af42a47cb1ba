package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import app.nosegay.captions.TimedText;
import java.nio.file.Path;
import java.util.List;
import org.bytedeco.ffmpeg.avcodec.AVCodec;
import org.bytedeco.ffmpeg.avcodec.AVCodecContext;
import org.bytedeco.ffmpeg.avformat.AVChapter;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avutil.AVDictionary;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.Pointer;
import org.bytedeco.javacpp.PointerPointer;

/** The encoders of a film: the first that works here. */
final class MovieEncoders {
    private static final List<String> ENCODERS = List.of("libx264", "libopenh264", "mpeg4");
    /** Without a rate factor: so many bits a pixel keep a person in a room clean. */
    private static final double BITS_PER_PIXEL = 0.1;

    private final Path target;
    private final boolean globalHeader;

    /** @param globalHeader whether the container keeps what a decoder has to know */
    MovieEncoders(Path target, boolean globalHeader) {
        this.target = target;
        this.globalHeader = globalHeader;
    }

    AVCodecContext openVideo(MovieFormat with) throws MediaException {
        EncoderSettings settings = with.settings();
        for (String name : settings.alpha() ? List.of("prores_ks") : ENCODERS) {
            AVCodec encoder = avcodec_find_encoder_by_name(name);
            if (encoder == null) {
                continue;
            }
            AVCodecContext codec = avcodec_alloc_context3(encoder);
            configure(codec, with);
            AVDictionary options = options(codec, name, with);
            if (avcodec_open2(codec, encoder, options) >= 0) {
                return codec;
            }
            avcodec_free_context(codec);
        }
        throw new MediaException(
                target, MediaText.of("movie-writer.no-video-encoder-works-here", String.join(", ", ENCODERS)));
    }

    private void configure(AVCodecContext codec, MovieFormat with) {
        EncoderSettings settings = with.settings();
        FrameRate rate = with.rate();
        codec.width(with.width());
        codec.height(with.height());
        codec.time_base(new AVRational().num(rate.seconds()).den(rate.frames()));
        codec.framerate(new AVRational().num(rate.frames()).den(rate.seconds()));
        codec.pix_fmt(settings.alpha() ? AV_PIX_FMT_YUVA444P10LE : AV_PIX_FMT_YUV420P);
        codec.color_range(AVCOL_RANGE_MPEG);
        codec.colorspace(AVCOL_SPC_BT709);
        codec.color_primaries(AVCOL_PRI_BT709);
        codec.color_trc(AVCOL_TRC_BT709);
        codec.gop_size((int) Math.max(1, Math.round(settings.keyFrameSeconds() * rate.perSecond())));
        codec.thread_count(0);
        if (settings.alpha()) {
            // One in, one out, so that a packet can be written again at once.
            codec.thread_type(AVCodecContext.FF_THREAD_SLICE);
        }
        codec.flags(codec.flags() | (globalHeader ? AV_CODEC_FLAG_GLOBAL_HEADER : 0));
    }

    private static AVDictionary options(AVCodecContext codec, String name, MovieFormat with) {
        EncoderSettings settings = with.settings();
        AVDictionary options = new AVDictionary(null);
        if (settings.alpha()) {
            av_dict_set(options, "profile", "4444", 0);
            av_dict_set(options, "alpha_bits", "8", 0);
        } else if (name.equals("libx264")) {
            av_dict_set(options, "preset", settings.preset(), 0);
            av_dict_set(options, "crf", "" + settings.quality(), 0);
            av_dict_set(options, "forced-idr", "1", 0);
            if (settings.live()) {
                // Pictures that wait in the encoder are lost with the process.
                av_dict_set(options, "tune", "zerolatency", 0);
            }
        } else {
            codec.bit_rate(Math.round(
                    BITS_PER_PIXEL * with.width() * with.height() * with.rate().perSecond()));
        }
        return options;
    }

    AVCodecContext openAudio(MovieFormat with) throws MediaException {
        AVCodec encoder = avcodec_find_encoder(AV_CODEC_ID_AAC);
        AVCodecContext codec = avcodec_alloc_context3(encoder);
        codec.sample_fmt(AV_SAMPLE_FMT_FLTP);
        codec.sample_rate(MovieWriter.SOUND_HZ);
        av_channel_layout_default(codec.ch_layout(), MovieWriter.CHANNELS);
        codec.bit_rate(with.settings().soundBitRate());
        codec.time_base(new AVRational().num(1).den(MovieWriter.SOUND_HZ));
        codec.flags(codec.flags() | (globalHeader ? AV_CODEC_FLAG_GLOBAL_HEADER : 0));
        int error = avcodec_open2(codec, encoder, (AVDictionary) null);
        if (error < 0) {
            throw MovieWriter.failure(target, error, MediaText.of("movie-writer.no-sound-encoder-works-here"));
        }
        return codec;
    }

    /** A frame as large as the encoder takes. */
    static AVFrame soundFrame(AVCodecContext audio) {
        AVFrame frame = av_frame_alloc();
        frame.format(AV_SAMPLE_FMT_FLTP);
        frame.sample_rate(MovieWriter.SOUND_HZ);
        frame.nb_samples(audio.frame_size());
        av_channel_layout_default(frame.ch_layout(), MovieWriter.CHANNELS);
        av_frame_get_buffer(frame, 0);
        return frame;
    }

    /** Writes down where chapters begin. */
    static void addChapters(AVFormatContext format, List<TimedText.Cue> chapters) {
        if (chapters.isEmpty()) {
            return;
        }
        PointerPointer<AVChapter> list =
                new PointerPointer<AVChapter>(av_mallocz((long) chapters.size() * Pointer.sizeof(Pointer.class)));
        for (int i = 0; i < chapters.size(); i++) {
            AVChapter chapter = new AVChapter(av_mallocz(Pointer.sizeof(AVChapter.class)));
            chapter.id(i + 1);
            chapter.time_base(new AVRational().num(1).den(1000));
            chapter.start(chapters.get(i).span().start().micros() / 1000);
            chapter.end(chapters.get(i).span().end().micros() / 1000);
            AVDictionary metadata = new AVDictionary(null);
            av_dict_set(metadata, "title", chapters.get(i).text(), 0);
            chapter.metadata(metadata);
            list.put(i, chapter);
        }
        format.chapters(list);
        format.nb_chapters(chapters.size());
    }
}
