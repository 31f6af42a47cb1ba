package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.AV_PICTURE_TYPE_NONE;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUV420P;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import java.io.IOException;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Records a camera, a microphone or both to a file while it runs; each device is read on a thread of its own. */
public final class Recording implements AutoCloseable {
    private static final FrameRate RATE = new FrameRate(30, 1);

    private final Path target;
    private final List<MediaInput> inputs = new ArrayList<>();
    private final List<Thread> threads = new ArrayList<>();
    private final MovieWriter writer;
    private final long began = System.nanoTime();
    private volatile boolean stopping;
    private volatile double level;
    private volatile IOException failure;
    private long frames;
    private boolean sounding;
    private boolean closed;

    /**
     * Opens the devices and starts to record.
     *
     * @param sound null when the camera brings its own sound, or none is wanted
     * @throws IOException when a device cannot be opened or the file not be written
     */
    public Recording(Device camera, Device sound, Path target) throws IOException {
        this.target = target;
        try {
            inputs.add(MediaInput.of(camera));
            if (sound != null) {
                inputs.add(MediaInput.of(sound));
            }
            MediaInfo.Video video = inputs.get(0).info().video();
            if (video == null) {
                throw new MediaException(
                        target, MediaText.of("recording.gives-no-picture-choose-another", camera.label()));
            }
            boolean withSound = inputs.stream().anyMatch(MediaInput::hasAudio);
            writer = new MovieWriter(
                    target,
                    video.width() / 2 * 2,
                    video.height() / 2 * 2,
                    RATE,
                    EncoderSettings.LIVE,
                    withSound,
                    "",
                    List.of());
            for (int i = 0; i < inputs.size(); i++) {
                MediaInput input = inputs.get(i);
                boolean pictures = i == 0;
                boolean sounds = sound == null || i == 1;
                Thread thread = new Thread(
                        () -> read(input, pictures, sounds, video.width() / 2 * 2, video.height() / 2 * 2),
                        "recording-" + i);
                thread.setDaemon(true);
                threads.add(thread);
            }
        } catch (IOException e) {
            inputs.forEach(MediaInput::close);
            throw e;
        }
        threads.forEach(Thread::start);
    }

    private void read(MediaInput input, boolean pictures, boolean sounds, int width, int height) {
        try (PictureScaler scaler = new PictureScaler(width, height, AV_PIX_FMT_YUV420P, SWS_FAST_BILINEAR);
                SoundConverter converter = new SoundConverter(MovieWriter.SOUND_HZ, 2)) {
            MediaInput.Kind kind = input.next();
            while (!stopping && kind != MediaInput.Kind.END) {
                if (kind == MediaInput.Kind.VIDEO && pictures) {
                    picture(scaler.scale(input.frame()));
                } else if (kind == MediaInput.Kind.AUDIO && sounds) {
                    sound(converter, converter.convert(input.frame()));
                }
                kind = input.next();
            }
        } catch (IOException e) {
            failure = e;
        }
    }

    /** Pictures come when the device gives them; they are written at the moment they come, at a constant rate. */
    private void picture(AVFrame frame) throws IOException {
        synchronized (writer) {
            long due = Math.round((System.nanoTime() - began) / 1e9 * RATE.perSecond());
            // A slow device's last picture stands until the next; a fast one's surplus is left out.
            while (frames <= due) {
                frame.pts(frames++);
                frame.pict_type(AV_PICTURE_TYPE_NONE);
                writer.picture(frame);
            }
        }
    }

    private void sound(SoundConverter converter, int count) throws IOException {
        float peak = 0;
        for (int i = 0; i < 2 * count; i++) {
            peak = Math.max(peak, Math.abs(converter.samples()[i]));
        }
        level = Math.max(peak, level * 0.8);
        synchronized (writer) {
            if (!sounding) {
                sounding = true;
                long late = Math.round((System.nanoTime() - began) / 1e9 * MovieWriter.SOUND_HZ) - count;
                float[] silence = new float[2 * 4800];
                for (long left = late; left > 0; left -= 4800) {
                    writer.sound(silence, 0, (int) Math.min(left, 4800));
                }
            }
            writer.sound(converter.samples(), 0, count);
        }
    }

    /** The loudest sample of the last moments, 0 to 1. */
    public double level() {
        return level;
    }

    /** How many pictures were recorded. */
    public long frames() {
        return frames;
    }

    /** Stops and finishes the file. */
    public Path stop() throws IOException {
        stopping = true;
        for (Thread thread : threads) {
            try {
                thread.join(5000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        synchronized (writer) {
            if (failure != null) {
                close();
                throw failure;
            }
            writer.finish();
        }
        close();
        return target;
    }

    @Override
    public void close() throws IOException {
        stopping = true;
        if (closed) {
            return;
        }
        closed = true;
        for (Thread thread : threads) {
            try {
                thread.join(5000);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
        }
        writer.close();
        inputs.forEach(MediaInput::close);
        inputs.clear();
    }
}
