package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avcodec.*;
import static org.bytedeco.ffmpeg.global.avformat.*;
import static org.bytedeco.ffmpeg.global.avutil.*;

import java.nio.file.Files;
import java.nio.file.Path;
import org.bytedeco.ffmpeg.avformat.AVFormatContext;
import org.bytedeco.ffmpeg.avutil.AVDictionary;

/** Opens containers, and says why one cannot be opened. */
final class Containers {

    /**
     * What recordings and music come in. Playlists and the like name other files, or places on the network, and would read those; they
     * are no recordings.
     */
    private static final String CONTAINERS =
            "mov,mp4,m4a,3gp,3g2,mj2,matroska,webm,avi,mpegts,mpeg,asf,flv,mxf,dv,ivf,nut,"
                    + "wav,w64,flac,mp3,aac,ogg,aiff,caf,amr,ac3,au";

    private Containers() {}

    /** The container, opened; nothing but the file itself is read for it. */
    static AVFormatContext opened(Path file) throws MediaException {
        if (!Files.isRegularFile(file)) {
            throw new MediaException(file, MediaText.of("media-input.the-file-is-not-there"));
        }
        AVFormatContext opened = new AVFormatContext(null);
        AVDictionary options = new AVDictionary(null);
        av_dict_set(options, "protocol_whitelist", "file", 0);
        av_dict_set(options, "format_whitelist", CONTAINERS, 0);
        // The prefix keeps names such as "concat:a|b" from being taken for another protocol.
        int error = avformat_open_input(opened, "file:" + file, null, options);
        av_dict_free(options);
        if (error == AVERROR_EINVAL()) {
            throw new MediaException(file, MediaText.of("media-input.this-kind-is-not-read"));
        }
        if (error < 0) {
            throw new MediaException(file, MediaText.of("media-input.this-is-not-a-video", message(error)));
        }
        return opened;
    }

    /** The text of an FFmpeg error code. */
    static String message(int error) {
        byte[] text = new byte[128];
        av_strerror(error, text, text.length);
        int end = 0;
        while (end < text.length && text[end] != 0) {
            end++;
        }
        return new String(text, 0, end);
    }
}
