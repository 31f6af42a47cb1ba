package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.nio.file.Path;

/** Plays a take from a moment on, in time; without a sound device silently. */
public final class Playback implements AutoCloseable {
    /** Gets the pictures, on the player's own thread. */
    public interface Screen extends PicturePacer.Screen<Axis.Take> {}

    private final PicturePacer<Axis.Take> pacer;
    private final Time<Axis.Take> from;
    private final Time<Axis.Take> until;

    /** Starts playing a stretch of {@code file} as it was filmed, with pictures fitted into {@code width} × {@code height}. */
    public Playback(Path file, Span<Axis.Take> span, int width, int height, Screen screen) {
        this(file, span, 1, width, height, screen);
    }

    /** @param speed 1 as it was filmed, 0.5 half as fast */
    public Playback(Path file, Span<Axis.Take> span, double speed, int width, int height, Screen screen) {
        from = span.start();
        until = span.end();
        this.pacer = new PicturePacer<>(from, speed, screen);
        Thread decoder = new Thread(() -> decode(file, width, height), "playback-decoder");
        decoder.setDaemon(true);
        decoder.start();
    }

    private void decode(Path file, int width, int height) {
        String failure = null;
        try (MediaInput input = new MediaInput(file, true, true);
                SoundConverter converter = new SoundConverter(PicturePacer.SOUND_HZ, 2)) {
            pacer.start(input.hasAudio());
            input.seek(from);
            MediaInfo.Video video = input.info().video();
            UprightPicture upright = video == null ? null : new UprightPicture(video, width, height, SWS_FAST_BILINEAR);
            MediaInput.Kind kind = input.next();
            while (!pacer.isStopped()
                    && kind != MediaInput.Kind.END
                    && input.time().isBefore(until)) {
                if (kind == MediaInput.Kind.AUDIO) {
                    hear(input, converter);
                } else if (!input.time().isBefore(from)) {
                    pacer.picture(upright.of(input.frame()), input.time());
                }
                kind = input.next();
            }
            if (upright != null) {
                upright.close();
            }
        } catch (MediaException e) {
            failure = e.getMessage();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            pacer.finish(failure);
        }
    }

    private void hear(MediaInput input, SoundConverter converter) {
        int count = converter.convert(input.frame());
        int skip = (int) Math.round(Math.max(0, from.since(input.time()).seconds()) * PicturePacer.SOUND_HZ);
        pacer.sound(converter.samples(), skip, count - skip, Time.max(from, input.time()));
    }

    /** Whether sound is heard; without, the picture plays silently in time. */
    public boolean hasSound() {
        return pacer.hasLine();
    }

    @Override
    public void close() {
        pacer.stop();
    }
}
