package app.nosegay.media;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.util.concurrent.ArrayBlockingQueue;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.TimeUnit;
import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/**
 * Shows pictures when it is time for them, on a thread of its own. The sound line is the master clock; without one (no device, no sound)
 * the system clock is. Late pictures are dropped, sound never.
 */
final class PicturePacer<A extends Axis> {
    static final int SOUND_HZ = MovieWriter.SOUND_HZ;
    /** Enough to ride out a slow decode, short enough to stop at once. */
    private static final int LINE_BYTES = SOUND_HZ * 4 / 5;

    private static final int QUEUED_PICTURES = 10;
    private static final Length TOO_LATE = Length.ofMillis(80);
    /** The clock may jump: it is looked at again after this. */
    private static final long LONGEST_SLEEP_MICROS = 20_000;

    /** Gets the pictures. */
    interface Screen<A extends Axis> {
        void show(BufferedImage picture, Time<A> time);

        /** Playing came to its end, or failed with {@code message}. */
        void ended(String message);
    }

    private record Picture<A extends Axis>(BufferedImage image, Time<A> time) {}

    private final BlockingQueue<Picture<A>> pictures = new ArrayBlockingQueue<>(QUEUED_PICTURES);
    private final Screen<A> screen;
    private final Time<A> from;
    private final double speed;
    private final Thread presenter;
    private volatile boolean stopped;
    private volatile boolean complete;
    private volatile SourceDataLine line;
    private volatile long clockStartNanos;
    private volatile Time<A> lineStart;
    private volatile String failure;

    PicturePacer(Time<A> from, Screen<A> screen) {
        this(from, 1, screen);
    }

    /** @param speed 1 as it was, 0.5 half as fast, and the sound an octave lower */
    PicturePacer(Time<A> from, double speed, Screen<A> screen) {
        this.from = from;
        this.speed = speed;
        this.screen = screen;
        presenter = new Thread(() -> RealTime.during(this::present), "playback-presenter");
        presenter.setDaemon(true);
    }

    /** Begins; with {@code sound}, a line is opened for it where the system has one. */
    void start(boolean sound) {
        line = sound ? openLine() : null;
        clockStartNanos = System.nanoTime();
        presenter.start();
    }

    boolean isStopped() {
        return stopped;
    }

    boolean hasLine() {
        return line != null;
    }

    private SourceDataLine openLine() {
        AudioFormat format = new AudioFormat((float) (SOUND_HZ * speed), 16, 2, true, false);
        try {
            SourceDataLine opened = AudioSystem.getSourceDataLine(format);
            opened.open(format, LINE_BYTES);
            opened.start();
            return opened;
        } catch (LineUnavailableException | IllegalArgumentException | SecurityException e) {
            return null; // no sound device: plays silently, in time
        }
    }

    /** Plays {@code count} stereo samples of which the first belongs to {@code time}; waits while the line is full. */
    void sound(float[] interleaved, int skip, int count, Time<A> time) {
        SourceDataLine out = line;
        if (out == null || count <= 0) {
            return;
        }
        if (lineStart == null) {
            lineStart = time;
        }
        byte[] bytes = new byte[count * 4];
        for (int i = 0; i < count * 2; i++) {
            int value = Math.round(Math.max(-1, Math.min(1, interleaved[skip * 2 + i])) * 32767);
            bytes[2 * i] = (byte) value;
            bytes[2 * i + 1] = (byte) (value >> 8);
        }
        for (int at = 0; at < bytes.length && !stopped; ) {
            at += out.write(bytes, at, Math.min(4096, bytes.length - at));
        }
    }

    /** Queues a picture; waits while the queue is full. */
    void picture(BufferedImage image, Time<A> time) throws InterruptedException {
        Picture<A> picture = new Picture<>(image, time);
        while (!stopped && !pictures.offer(picture, 50, TimeUnit.MILLISECONDS)) {
            // wait for the presenter
        }
    }

    /** Nothing more comes: what is queued is played to its end. {@code message} says why it broke off, or is null. */
    void finish(String message) {
        failure = message;
        SourceDataLine out = line;
        if (out != null && !stopped) {
            out.drain();
        }
        complete = true;
        if (out != null) {
            out.close();
        }
        if (presenter.getState() == Thread.State.NEW) {
            screen.ended(message);
        }
    }

    void stop() {
        stopped = true;
        SourceDataLine out = line;
        if (out != null) {
            out.stop();
            out.flush();
        }
    }

    private Time<A> now() {
        SourceDataLine out = line;
        Time<A> start = lineStart;
        if (out != null && out.isOpen() && start != null) {
            return start.plus(new Length(out.getMicrosecondPosition()).times(speed));
        }
        return from.plus(new Length((System.nanoTime() - clockStartNanos) / 1000).times(speed));
    }

    private void present() {
        try {
            while (!stopped) {
                Picture<A> next = pictures.poll(50, TimeUnit.MILLISECONDS);
                if (next != null) {
                    present(next);
                } else if (complete && pictures.isEmpty()) {
                    break;
                }
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            screen.ended(failure);
        }
    }

    /** Waits for its moment; a picture that comes too late is dropped. */
    private void present(Picture<A> next) throws InterruptedException {
        long waitMicros = next.time().since(now()).micros();
        while (waitMicros > 0 && !stopped) {
            TimeUnit.MICROSECONDS.sleep(Math.min(Math.round(waitMicros / speed), LONGEST_SLEEP_MICROS));
            waitMicros = next.time().since(now()).micros();
        }
        if (!stopped && waitMicros > -TOO_LATE.micros()) {
            screen.show(next.image(), next.time());
        }
    }
}
