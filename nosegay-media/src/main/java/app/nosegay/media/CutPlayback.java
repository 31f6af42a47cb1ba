package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.swscale.SWS_FAST_BILINEAR;

import app.nosegay.cut.Cut;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.nio.file.Path;
import java.util.Map;

/** Plays the finished programme from a moment on: clip after clip, held frames, and the sound as it will be mixed. */
public final class CutPlayback implements AutoCloseable {
    /** While a frame is held, it is shown again this often, so that what is drawn on it goes on. */
    private static final Length HELD_STEP = Length.ofMillis(100);

    /** Gets the pictures, on the player's own thread. */
    public interface Screen extends PicturePacer.Screen<Axis.Cut> {}

    private final Programme programme;
    private final int width;
    private final int height;
    private final Time<Axis.Cut> from;
    private final PicturePacer<Axis.Cut> pacer;
    private final Hearing hearing;

    /** What is played: the cut, the files of its takes, and how they sound. */
    public record Programme(Cut cut, Map<String, Path> files, SoundPlan sound) {}

    /** What is heard of the programme as it was mixed, besides the line; for tests. */
    @FunctionalInterface
    interface Hearing {
        void heard(float[] interleaved, int from, int count);
    }

    /** Starts playing at {@code from}, with pictures fitted into {@code width} × {@code height}. */
    public CutPlayback(Programme programme, Time<Axis.Cut> from, int width, int height, Screen screen) {
        this(programme, from, width, height, screen, (samples, first, count) -> {});
    }

    CutPlayback(Programme programme, Time<Axis.Cut> from, int width, int height, Screen screen, Hearing hearing) {
        this.programme = programme;
        this.from = from;
        this.width = width;
        this.height = height;
        this.hearing = hearing;
        this.pacer = new PicturePacer<>(from, screen);
        Thread decoder = new Thread(this::decode, "preview-decoder");
        decoder.setDaemon(true);
        decoder.start();
    }

    private void decode() {
        String failure = null;
        try {
            CutSound sound =
                    new CutSound(new SoundMix(programme.sound(), programme.files()), from, (samples, first, count) -> {
                        hearing.heard(samples, first, count);
                        pacer.sound(samples, first, count, from);
                    });
            pacer.start(true);
            for (Cut.Clip clip : programme.cut().clips()) {
                if (!pacer.isStopped() && clip.end().isAfter(from)) {
                    clip(clip, sound);
                }
            }
        } catch (MediaException e) {
            failure = e.getMessage();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        } finally {
            pacer.finish(failure);
        }
    }

    private void clip(Cut.Clip clip, CutSound sound) throws MediaException, InterruptedException {
        Time<Axis.Take> start = clip.sourceAt(Time.max(from, clip.start()));
        BufferedImage last = null;
        Path file = programme.files().get(clip.take());
        if (file == null) {
            throw new MediaException(Path.of(clip.take()), MediaText.of("cut-playback.is-missing-bring-its-recording"));
        }
        try (MediaInput input = new MediaInput(file, true, true);
                SoundConverter converter = new SoundConverter(PicturePacer.SOUND_HZ, 2)) {
            MediaInfo.Video video = input.info().video();
            UprightPicture upright = video == null ? null : new UprightPicture(video, width, height, SWS_FAST_BILINEAR);
            input.seek(start);
            MediaInput.Kind kind = input.next();
            // Sound and picture of one moment come one after the other, so a little more is read than is shown.
            Time<Axis.Take> readOn = clip.source().end().plus(Length.ofMillis(500));
            while (!pacer.isStopped()
                    && kind != MediaInput.Kind.END
                    && input.time().isBefore(readOn)) {
                Time<Axis.Take> time = input.time();
                if (kind == MediaInput.Kind.AUDIO) {
                    int count = converter.convert(input.frame());
                    sound.hear(clip, time, converter.samples(), count);
                } else if (!time.isBefore(start) && time.isBefore(clip.source().end())) {
                    BufferedImage shown = show(clip, input, upright, sound);
                    last = clip.hold().isPositive() ? copy(shown) : shown;
                }
                kind = input.next();
            }
            if (upright != null) {
                upright.close();
            }
        }
        held(clip, last, sound);
    }

    private BufferedImage show(Cut.Clip clip, MediaInput input, UprightPicture upright, CutSound sound)
            throws MediaException, InterruptedException {
        Time<Axis.Cut> at = clip.start().plus(input.time().since(clip.source().start()));
        if (!input.hasAudio()) {
            sound.silenceUntil(at);
        }
        BufferedImage image = upright.of(input.frame());
        pacer.picture(image, at);
        return image;
    }

    private void held(Cut.Clip clip, BufferedImage last, CutSound sound) throws MediaException, InterruptedException {
        Time<Axis.Cut> at = Time.max(from, clip.start().plus(clip.source().length()));
        while (!pacer.isStopped()
                && last != null
                && at.isBefore(clip.end())
                && clip.hold().isPositive()) {
            sound.silenceUntil(at);
            pacer.picture(copy(last), at);
            at = at.plus(HELD_STEP);
        }
        if (!pacer.isStopped()) {
            sound.silenceUntil(clip.end());
        }
    }

    /** The screen may draw on the picture it gets. */
    private static BufferedImage copy(BufferedImage image) {
        BufferedImage copy = new BufferedImage(image.getWidth(), image.getHeight(), image.getType());
        image.copyData(copy.getRaster());
        return copy;
    }

    @Override
    public void close() {
        pacer.stop();
    }
}
