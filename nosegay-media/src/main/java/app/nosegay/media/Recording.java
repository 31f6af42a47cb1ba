package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.AV_PICTURE_TYPE_NONE;
import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_YUV420P;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import app.nosegay.files.AtomicFile;
import java.io.IOException;
import java.nio.channels.FileChannel;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.CountDownLatch;
import java.util.concurrent.TimeUnit;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/**
 * Records a camera, a microphone or both to a file while it runs; each device is read on a thread of its own, a third one watches that
 * pictures and sound come and that the disk has room. What was recorded is never deleted: when something fails, the file is ended
 * as far as it came and keeps its name.
 */
public final class Recording implements AutoCloseable {
    private static final FrameRate RATE = new FrameRate(30, 1);
    private static final long WATCH_MILLIS = 500;
    /** A device that does not answer for this long is left to itself. */
    private static final long JOIN_MILLIS = 3000;

    private final Path target;
    private final Path part;
    private final List<MediaInput> inputs = new ArrayList<>();
    private final List<Thread> threads = new ArrayList<>();
    private final MovieWriter writer;
    private final boolean withSound;
    private final long began = System.nanoTime();
    private final CountDownLatch stopping = new CountDownLatch(1);
    private final Thread watcher = new Thread(this::watch, "recording-watch");
    private volatile double level;
    private volatile IOException failure;
    private volatile boolean ended;
    private volatile long lastPicture = began;
    private volatile long lastSound = began;
    private volatile long frames;
    private volatile RecordingState state = new RecordingState(0, 0, -1, false, null, Long.MAX_VALUE, 0);
    private boolean sounding;
    private boolean closed;

    /**
     * Opens the devices and starts to record.
     *
     * @param sound null when the camera brings its own sound, or none is wanted
     * @throws IOException when a device cannot be opened, the file cannot be written, or there is no room
     */
    public Recording(Device camera, Device sound, Path target) throws IOException {
        this.target = target;
        this.part = AtomicFile.part(target);
        if (Files.exists(target) || Files.exists(part)) {
            throw new MediaException(target, MediaText.of("recording.is-there-already"));
        }
        if (free() < 2 * RecordingState.RESERVE_BYTES) {
            throw new MediaException(target, MediaText.of("recording.no-room", free() >> 20));
        }
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
            int width = video.width() / 2 * 2;
            int height = video.height() / 2 * 2;
            withSound = inputs.stream().anyMatch(MediaInput::hasAudio);
            writer = new MovieWriter(
                    target, new MovieFormat(width, height, RATE, EncoderSettings.LIVE, withSound), "", List.of());
            for (int i = 0; i < inputs.size(); i++) {
                MediaInput input = inputs.get(i);
                boolean pictures = i == 0;
                boolean sounds = sound == null || i == 1;
                threads.add(started(() -> read(input, pictures, sounds, width, height), "recording-" + i));
            }
        } catch (IOException e) {
            inputs.forEach(MediaInput::close);
            throw e;
        }
        watcher.setDaemon(true);
        watcher.start();
        threads.forEach(Thread::start);
    }

    private static Thread started(Runnable work, String name) {
        Thread thread = new Thread(() -> RealTime.during(work), name);
        thread.setDaemon(true);
        return thread;
    }

    private boolean isStopping() {
        return stopping.getCount() == 0;
    }

    private void read(MediaInput input, boolean pictures, boolean sounds, int width, int height) {
        try (PictureScaler scaler = new PictureScaler(width, height, AV_PIX_FMT_YUV420P, SWS_FAST_BILINEAR);
                SoundConverter converter = new SoundConverter(MovieWriter.SOUND_HZ, 2)) {
            MediaInput.Kind kind = input.next();
            while (!isStopping() && kind != MediaInput.Kind.END) {
                if (kind == MediaInput.Kind.VIDEO && pictures) {
                    picture(scaler.scale(input.frame()));
                } else if (kind == MediaInput.Kind.AUDIO && sounds) {
                    sound(converter, converter.convert(input.frame()));
                }
                kind = input.next();
            }
            // A device that is there does not end: somebody pulled the plug.
            ended |= pictures && !isStopping();
        } catch (IOException e) {
            failure = e;
            stopping.countDown();
        }
    }

    /** Pictures come when the device gives them; they are written at the moment they come, at a constant rate. */
    private void picture(AVFrame frame) throws IOException {
        lastPicture = System.nanoTime();
        synchronized (writer) {
            long due = Math.round((lastPicture - began) / 1e9 * RATE.perSecond());
            // A slow device's last picture stands until the next; a fast one's surplus is left out.
            while (frames <= due && !closed) {
                frame.pts(frames);
                frame.pict_type(AV_PICTURE_TYPE_NONE);
                writer.picture(frame);
                frames++;
            }
        }
    }

    private void sound(SoundConverter converter, int count) throws IOException {
        lastSound = System.nanoTime();
        float peak = 0;
        for (int i = 0; i < 2 * count; i++) {
            peak = Math.max(peak, Math.abs(converter.samples()[i]));
        }
        level = Math.max(peak, level * 0.8);
        synchronized (writer) {
            if (closed) {
                return;
            }
            if (!sounding) {
                sounding = true;
                long late = Math.round((lastSound - began) / 1e9 * MovieWriter.SOUND_HZ) - count;
                float[] silence = new float[2 * 4800];
                for (long left = late; left > 0; left -= 4800) {
                    writer.sound(silence, 0, (int) Math.min(left, 4800));
                }
            }
            writer.sound(converter.samples(), 0, count);
        }
    }

    /** Looks twice a second whether pictures, sound and room are there, and has what was written put on the disk. */
    private void watch() {
        try {
            do {
                look();
                if (failure == null && state.free() < RecordingState.RESERVE_BYTES) {
                    failure = new MediaException(target, MediaText.of("recording.the-disk-is-full"));
                    look();
                    stopping.countDown();
                }
                settle();
            } while (!stopping.await(WATCH_MILLIS, TimeUnit.MILLISECONDS));
            look();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void look() {
        long now = System.nanoTime();
        double seconds = frames / RATE.perSecond();
        long size = part.toFile().length();
        state = new RecordingState(
                seconds,
                (now - lastPicture) / 1e9,
                withSound ? (now - lastSound) / 1e9 : -1,
                ended,
                failure == null ? null : failure.getMessage(),
                free(),
                seconds > 0 ? size / seconds : 0);
    }

    private void settle() {
        try (FileChannel written = FileChannel.open(part, StandardOpenOption.WRITE)) {
            written.force(false);
        } catch (IOException e) {
            // The writer itself says what cannot be written.
        }
    }

    private long free() {
        try {
            return Files.getFileStore(target.toAbsolutePath().getParent()).getUsableSpace();
        } catch (IOException e) {
            return target.toAbsolutePath().getParent().toFile().getUsableSpace();
        }
    }

    /** How the recording stands, at most half a second ago. */
    public RecordingState state() {
        return state;
    }

    /** The loudest sample of the last moments, 0 to 1. */
    public double level() {
        return level;
    }

    /** How many pictures were recorded. */
    public long frames() {
        return frames;
    }

    /** Why the recording ended before it was stopped; null when it did not. */
    public IOException failure() {
        return failure;
    }

    /** The file it is named in the end; until then it is written to one beside it. */
    public Path target() {
        return target;
    }

    /** Stops and finishes the file; what was recorded is kept whatever happened. {@link #failure()} says what did. */
    public Path stop() throws IOException {
        close();
        return target;
    }

    @Override
    public void close() throws IOException {
        stopping.countDown();
        join();
        synchronized (writer) {
            if (closed) {
                return;
            }
            closed = true;
            if (frames > 0) {
                end();
            }
            writer.close();
        }
        for (int i = 0; i < threads.size(); i++) {
            // A device that hangs is read still: closing it under the reader would take the program along.
            if (!threads.get(i).isAlive()) {
                inputs.get(i).close();
            }
        }
        look();
    }

    private void join() {
        try {
            for (Thread thread : threads) {
                thread.join(JOIN_MILLIS);
            }
            watcher.join(JOIN_MILLIS);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void end() throws IOException {
        if (failure == null) {
            try {
                writer.finish();
                return;
            } catch (IOException e) {
                failure = e;
            }
        }
        writer.keep();
    }
}
