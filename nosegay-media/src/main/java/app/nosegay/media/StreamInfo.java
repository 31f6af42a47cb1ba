package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import app.nosegay.time.Length;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avcodec.AVPacketSideData;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avformat.AVStream;
import org.bytedeco.ffmpeg.avutil.AVFrame;
import org.bytedeco.ffmpeg.avutil.AVRational;
import org.bytedeco.javacpp.IntPointer;
import org.bytedeco.javacpp.Pointer;

/** What is in a file: its container, and what its picture and sound are. */
final class StreamInfo {
    private StreamInfo() {}

    private static double pixelAspect(AVFormatContext format, AVStream stream) {
        AVRational aspect = av_guess_sample_aspect_ratio(format, stream, (AVFrame) null);
        return aspect.num() <= 0 || aspect.den() <= 0 ? 1 : av_q2d(aspect);
    }

    private static int rotation(AVStream stream) {
        AVPacketSideData side = av_packet_side_data_get(
                stream.codecpar().coded_side_data(), stream.codecpar().nb_coded_side_data(), AV_PKT_DATA_DISPLAYMATRIX);
        if (side == null || side.isNull()) {
            return 0;
        }
        double degrees = av_display_rotation_get(new IntPointer((Pointer) side.data()));
        return Double.isNaN(degrees) ? 0 : (int) Math.floorMod(90 * Math.round(-degrees / 90), 360L);
    }

    /** @param video the picture's decoder and stream, or null; likewise {@code audio} */
    static MediaInfo of(Path file, AVFormatContext format, MediaInput.Stream video, MediaInput.Stream audio)
            throws MediaException {
        if (video == null && audio == null) {
            throw new MediaException(file, MediaText.of("media-input.it-holds-neither-picture-nor"));
        }
        long micros = format.duration() == AV_NOPTS_VALUE ? 0 : format.duration();
        MediaInfo.Video picture = null;
        if (video != null) {
            AVRational rate = av_guess_frame_rate(format, video.stream, (AVFrame) null);
            double fps = rate.den() == 0 || rate.num() == 0 ? 0 : av_q2d(rate);
            picture = new MediaInfo.Video(
                    avcodec_get_name(video.codec.codec_id()).getString(),
                    video.codec.width(),
                    video.codec.height(),
                    fps,
                    rotation(video.stream),
                    pixelAspect(format, video.stream));
        }
        MediaInfo.Audio sound = audio == null
                ? null
                : new MediaInfo.Audio(
                        avcodec_get_name(audio.codec.codec_id()).getString(),
                        audio.codec.sample_rate(),
                        audio.codec.ch_layout().nb_channels());
        String name = format.iformat().name().getString();
        return new MediaInfo(name, new Length(micros), picture, sound);
    }
}
