package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.AV_PIX_FMT_BGRA;
import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/**
 * Plays a take from a moment on. The sound line is the master clock; without one (no device, no sound) the system clock is, and it plays
 * silently in time. Late pictures are dropped, sound never.
 */
public final class Playback implements AutoCloseable {
    private static final int SOUND_HZ = 48_000;
    /** Enough to ride out a slow decode, short enough to stop at once. */
    private static final int LINE_BYTES = SOUND_HZ * 4 / 5;

    private static final int QUEUED_PICTURES = 10;
    private static final Length TOO_LATE = Length.ofMillis(80);

    /** Gets the pictures, on the player's own thread. */
    public interface Screen {
        void show(BufferedImage picture, Time<Axis.Take> time);

        /** Playing came to the end of the take or to the stop given, or failed with {@code message}. */
        void ended(String message);
    }

    private record Picture(BufferedImage image, Time<Axis.Take> time) {}

    private final BlockingQueue<Picture> pictures = new ArrayBlockingQueue<>(QUEUED_PICTURES);
    private final Screen screen;
    private final Time<Axis.Take> from;
    private final Time<Axis.Take> until;
    private final Thread decoder;
    private final Thread presenter;
    private volatile boolean stopped;
    private volatile boolean decoded;
    private volatile SourceDataLine line;
    private volatile long clockStartNanos;
    private volatile Time<Axis.Take> lineStart;

    /** Starts playing {@code file} at {@code from}, up to {@code until}, with pictures fitted into {@code width} × {@code height}. */
    public Playback(Path file, Time<Axis.Take> from, Time<Axis.Take> until, int width, int height, Screen screen) {
        this.screen = screen;
        this.from = from;
        this.until = until;
        decoder = new Thread(() -> decode(file, width, height), "playback-decoder");
        presenter = new Thread(this::present, "playback-presenter");
        decoder.setDaemon(true);
        presenter.setDaemon(true);
        decoder.start();
    }

    private void decode(Path file, int width, int height) {
        String failure = null;
        try (MediaInput input = new MediaInput(file, true, true);
                SoundConverter converter = new SoundConverter(SOUND_HZ, 2)) {
            line = input.hasAudio() ? openLine() : null;
            input.seek(from);
            MediaInfo.Video video = input.info().video();
            PictureScaler scaler = video == null ? null : scaler(video, width, height);
            clockStartNanos = System.nanoTime();
            presenter.start();
            MediaInput.Kind kind = input.next();
            while (!stopped && kind != MediaInput.Kind.END && input.time().isBefore(until)) {
                if (kind == MediaInput.Kind.AUDIO) {
                    hear(input, converter);
                } else if (!input.time().isBefore(from)) {
                    see(input, scaler);
                }
                kind = input.next();
            }
            if (scaler != null) {
                scaler.close();
            }
            decoded = true;
            if (line != null && !stopped) {
                line.drain();
            }
        } catch (MediaException e) {
            failure = e.getMessage();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            decoded = true;
            if (line != null) {
                line.close();
            }
            if (failure != null || !presenter.isAlive()) {
                screen.ended(failure);
            }
        }
    }

    private static PictureScaler scaler(MediaInfo.Video video, int width, int height) {
        double fit = Math.min(width / (double) video.width(), height / (double) video.height());
        int w = Math.max(2, (int) Math.round(video.width() * fit) / 2 * 2);
        int h = Math.max(2, (int) Math.round(video.height() * fit) / 2 * 2);
        return new PictureScaler(w, h, AV_PIX_FMT_BGRA, SWS_FAST_BILINEAR);
    }

    private static SourceDataLine openLine() {
        AudioFormat format = new AudioFormat(SOUND_HZ, 16, 2, true, false);
        try {
            SourceDataLine opened = AudioSystem.getSourceDataLine(format);
            opened.open(format, LINE_BYTES);
            opened.start();
            return opened;
        } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
            return null; // no sound device: plays silently, in time
        }
    }

    private void hear(MediaInput input, SoundConverter converter) {
        int count = converter.convert(input.frame());
        if (line == null) {
            return;
        }
        long skip = Math.round(Math.max(0, from.since(input.time()).seconds()) * SOUND_HZ);
        if (skip >= count) {
            return;
        }
        if (lineStart == null) {
            lineStart = Time.max(from, input.time());
        }
        byte[] bytes = new byte[(int) (count - skip) * 4];
        float[] samples = converter.samples();
        for (int i = 0; i < bytes.length / 2; i++) {
            int value = Math.round(Math.max(-1, Math.min(1, samples[(int) skip * 2 + i])) * 32767);
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        for (int at = 0; at < bytes.length && !stopped; ) {
            at += line.write(bytes, at, Math.min(4096, bytes.length - at));
        }
    }

    private void see(MediaInput input, PictureScaler scaler) throws InterruptedException {
        scaler.scale(input.frame());
        BufferedImage image = new BufferedImage(scaler.width(), scaler.height(), BufferedImage.TYPE_INT_ARGB);
        scaler.copyTo(image);
        Picture picture = new Picture(image, input.time());
        while (!stopped && !pictures.offer(picture, 50, TimeUnit.MILLISECONDS)) {
            // wait for the presenter
        }
    }

    private Time<Axis.Take> now() {
        SourceDataLine sound = line;
        Time<Axis.Take> start = lineStart;
        if (sound != null && sound.isOpen() && start != null) {
            return start.plus(new Length(sound.getMicrosecondPosition()));
        }
        return from.plus(new Length((System.nanoTime() - clockStartNanos) / 1000));
    }

    private void present() {
        try {
            while (!stopped) {
                Picture next = pictures.poll(50, TimeUnit.MILLISECONDS);
                if (next == null) {
                    if (decoded && pictures.isEmpty()) {
                        break;
                    }
                    continue;
                }
                long waitMicros = next.time().since(now()).micros();
                while (waitMicros > 0 && !stopped) {
                    TimeUnit.MICROSECONDS.sleep(Math.min(waitMicros, 20_000));
                    waitMicros = next.time().since(now()).micros();
                }
                if (!stopped && waitMicros > -TOO_LATE.micros()) {
                    screen.show(next.image(), next.time());
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            screen.ended(null);
        }
    }

    /** Whether sound is heard; without, the picture plays silently in time. */
    public boolean hasSound() {
        return line != null;
    }

    @Override
    public void close() {
        stopped = true;
        SourceDataLine sound = line;
        if (sound != null) {
            sound.stop();
            sound.flush();
        }
    }
}
