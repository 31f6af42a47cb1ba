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

    private Path file(String take) throws MediaException {
        Path file = programme.files().get(take);
        if (file == null) {
            throw new MediaException(Path.of(take), MediaText.of("cut-playback.is-missing-bring-its-recording"));
        }
        return file;
    }

    /** The picture of one camera with the sound of another: always what is behind is read on. */
    private void ofTwoCameras(Cut.Clip clip, CutSound sound) throws MediaException, InterruptedException {
        Cut.Clip seen = clip.picture();
        Time<Axis.Cut> begin = Time.max(from, clip.start());
        Time<Axis.Take> start = seen.sourceAt(begin);
        BufferedImage last = null;
        try (MediaInput picture = new MediaInput(file(seen.take()), true, false);
                MediaInput heard = new MediaInput(file(clip.take()), false, true);
                SoundConverter converter = new SoundConverter(PicturePacer.SOUND_HZ, 2)) {
            MediaInfo.Video video = picture.info().video();
            UprightPicture upright = video == null ? null : new UprightPicture(video, width, height, SWS_FAST_BILINEAR);
            picture.seek(start);
            heard.seek(clip.sourceAt(begin));
            MediaInput.Kind pictures = picture.next();
            MediaInput.Kind sounds = heard.next();
            while (!pacer.isStopped()
                    && pictures != MediaInput.Kind.END
                    && picture.time().isBefore(seen.source().end())) {
                Time<Axis.Take> inFirst = clip.source()
                        .start()
                        .plus(picture.time().since(seen.source().start()));
                if (sounds != MediaInput.Kind.END && !heard.time().isAfter(inFirst)) {
                    hear(clip, heard, converter, sound);
                    sounds = heard.next();
                    continue;
                }
                if (!picture.time().isBefore(start)) {
                    BufferedImage shown = show(seen, picture, upright);
                    last = clip.hold().isPositive() ? copy(shown) : shown;
                }
                pictures = picture.next();
            }
            while (!pacer.isStopped()
                    && sounds != MediaInput.Kind.END
                    && heard.time().isBefore(clip.source().end())) {
                hear(clip, heard, converter, sound);
                sounds = heard.next();
            }
            if (upright != null) {
                upright.close();
            }
        }
        held(clip, last, sound);
    }

    private void clip(Cut.Clip clip, CutSound sound) throws MediaException, InterruptedException {
        if (clip.camera() != null) {
            ofTwoCameras(clip, sound);
            return;
        }
        Time<Axis.Take> start = clip.sourceAt(Time.max(from, clip.start()));
        BufferedImage last = null;
        try (MediaInput input = new MediaInput(file(clip.take()), true, true);
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
                    hear(clip, input, converter, sound);
                } else if (!time.isBefore(start) && time.isBefore(clip.source().end())) {
                    silence(clip, input, sound);
                    BufferedImage shown = show(clip, input, upright);
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

    private static void hear(Cut.Clip clip, MediaInput input, SoundConverter converter, CutSound sound)
            throws MediaException {
        int count = converter.convert(input.frame());
        sound.hear(clip, input.time(), converter.samples(), count);
    }

    /** A take without sound is silent. */
    private static void silence(Cut.Clip clip, MediaInput input, CutSound sound) throws MediaException {
        if (!input.hasAudio()) {
            sound.silenceUntil(at(clip, input));
        }
    }

    private static Time<Axis.Cut> at(Cut.Clip clip, MediaInput input) {
        return clip.start().plus(input.time().since(clip.source().start()));
    }

    private BufferedImage show(Cut.Clip clip, MediaInput input, UprightPicture upright)
            throws MediaException, InterruptedException {
        BufferedImage image = upright.of(input.frame());
        pacer.picture(image, at(clip, input));
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
