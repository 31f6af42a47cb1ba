package app.nosegay.media;

import static org.bytedeco.ffmpeg.global.avutil.*;
import static org.bytedeco.ffmpeg.global.swscale.SWS_BILINEAR;

import app.nosegay.cut.Cut;
import app.nosegay.dress.PlacedOverlay;
import app.nosegay.dress.TimerDigits;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.nio.file.Path;
import java.util.List;
import java.util.Objects;
import org.bytedeco.ffmpeg.avutil.AVFrame;

/** Renders a cut with its pieces to a finished MP4: constant frame rate, the nearest frame by presentation time, sound at its own time. */
public final class Renderer {
    private final RenderJob job;
    private final Progress progress;
    private final MovieWriter writer;
    private final CutSound sound;
    private final AVFrame finished = av_frame_alloc();
    private final AVFrame held = av_frame_alloc();
    private final BgraFrame overlayPixels;
    private final PictureScaler overlayYuv;
    private final BufferedImage overlayImage;
    private List<PlacedOverlay> shown;
    private AVFrame overlay;
    private final PartKeys keys;
    private long pieces;
    private final Reuse reuse;
    private OverlayGraph graph;
    /** What the graph lets stay of the picture. */
    private Crop framed;

    private final RenderedBefore before;
    /** The next frame to show … */
    private long n;
    /** … and to write. */
    private long written;

    private Renderer(RenderJob job, MovieWriter writer, Reuse reuse, RenderedBefore before, Progress progress)
            throws IOException {
        this.keys = new PartKeys(job);
        this.reuse = reuse;
        this.before = before;
        sound = new CutSound(new SoundMix(job.sound(), job.files()), Time.zero(), writer::sound);
        this.job = job;
        this.writer = writer;
        this.progress = progress;
        int width = Math.max(2, job.width());
        int height = Math.max(2, job.height());
        overlayPixels = new BgraFrame(width, height);
        overlayYuv = new PictureScaler(width, height, AV_PIX_FMT_YUVA420P, SWS_BILINEAR);
        overlayImage = new BufferedImage(width, height, BufferedImage.TYPE_INT_ARGB);
    }

    /** Renders to {@code target}; on failure or cancel what was there stays and nothing is added. */
    public static void render(RenderJob job, Path target, Progress progress) throws IOException {
        render(job, target, (Path) null, progress);
    }

    /**
     * Renders to {@code target}, taking over from the film there what would come out the same.
     *
     * @param memory where it is remembered what a film is made of; null to render everything and remember nothing
     * @return the share of the picture that was rendered anew, 0 to 1
     */
    public static double render(RenderJob job, Path target, Path memory, Progress progress) throws IOException {
        if (job.cut().clips().isEmpty()) {
            throw new MediaException(target, MediaText.of("renderer.nothing-to-render-no-segment"));
        }
        if (memory == null || job.width() == 0) {
            rendered(job, target, Reuse.NONE, progress);
            return 1;
        }
        RenderMemory remembered = RenderMemory.read(memory, target);
        Reuse reuse = remembered == null ? Reuse.NONE : Reuse.of(remembered, PartKeys.of(job, progress), job);
        Outcome outcome;
        try {
            outcome = rendered(job, target, reuse, progress);
        } catch (RenderedBefore.Unusable e) {
            outcome = rendered(job, target, Reuse.NONE, progress);
        }
        RenderMemory.write(memory, target, outcome.header(), outcome.keys());
        return outcome.fresh();
    }

    /** The share rendered anew, what a decoder has to know of the encoder, and what the parts are made of. */
    private record Outcome(double fresh, String header, List<String> keys) {}

    private static Outcome rendered(RenderJob job, Path target, Reuse reuse, Progress progress) throws IOException {
        boolean sound = false;
        for (Cut.Clip clip : job.cut().clips()) {
            sound |= MediaInput.probe(job.files().get(clip.take())).audio() != null;
        }
        try (RenderedBefore before = reuse.isEmpty() ? null : new RenderedBefore(target, job.rate());
                MovieWriter writer = new MovieWriter(
                        target,
                        new MovieFormat(job.width(), job.height(), job.rate(), job.settings(), sound),
                        job.title(),
                        job.chapters())) {
            boolean usable = before != null && writer.header().equals(reuse.header());
            Renderer renderer = new Renderer(job, writer, usable ? reuse : Reuse.NONE, before, progress);
            try {
                for (Cut.Clip clip : job.cut().clips()) {
                    renderer.clip(clip, sound);
                }
                renderer.takeOver(usable ? reuse.frames() : 0);
            } finally {
                renderer.release();
            }
            if (before != null) {
                // Not every system lets a file be replaced while it is read.
                before.close();
            }
            writer.finish();
            return new Outcome(
                    usable ? reuse.fresh() : 1, writer.header(), usable ? reuse.keys() : renderer.keys.finished());
        }
    }

    private void release() {
        av_frame_free(finished);
        av_frame_free(held);
        overlayPixels.close();
        overlayYuv.close();
    }

    /** Of two cameras the picture of one is shown first, then the sound of the other is heard: both go where they belong in the file. */
    private void clip(Cut.Clip clip, boolean audible) throws IOException {
        if (clip.camera() == null || job.width() == 0) {
            clip(clip, job.width() > 0, audible);
        } else {
            clip(clip.picture(), true, false);
            clip(clip, false, audible);
        }
    }

    private void clip(Cut.Clip clip, boolean seen, boolean audible) throws IOException {
        Path file = job.files().get(clip.take());
        try (MediaInput input = new MediaInput(file, seen, audible);
                SoundConverter converter = new SoundConverter(MovieWriter.SOUND_HZ, 2)) {
            MediaInfo.Video video = input.info().video();
            if (video == null && seen) {
                throw new MediaException(file, MediaText.of("renderer.has-no-picture-a-video"));
            }
            input.seek(clip.source().start());
            Time<Axis.Take> heldTime = null;
            MediaInput.Kind kind = input.next();
            boolean pictureDone = !seen || passOver(clip, input);
            while (kind != MediaInput.Kind.END
                    && !(pictureDone
                            && (!audible || input.time().isAfter(clip.source().end())))) {
                if (kind == MediaInput.Kind.AUDIO) {
                    int count = converter.convert(input.frame());
                    sound.hear(clip, input.time(), converter.samples(), count);
                    tellSound(!seen, clip, input.time());
                } else if (!pictureDone) {
                    pictureDone = heldTime != null && showUntilMiddle(clip, input, heldTime);
                    heldTime = pictureDone ? heldTime : hold(input);
                }
                kind = input.next();
            }
            if (heldTime != null) {
                showLast(clip, input);
            }
            if (audible) {
                sound.silenceUntil(clip.end());
            }
        } finally {
            if (graph != null) {
                graph.close();
                graph = null;
            }
            av_frame_unref(held);
        }
    }

    /** The held frame is the nearest up to half-way to the next; true at the clip's end. */
    private boolean showUntilMiddle(Cut.Clip clip, MediaInput input, Time<Axis.Take> heldTime) throws IOException {
        Time<Axis.Take> middle = new Time<>((heldTime.micros() + input.time().micros()) / 2);
        return showHeld(clip, input, Time.min(middle, clip.source().end()))
                || !input.time().isBefore(clip.source().end());
    }

    private Time<Axis.Take> hold(MediaInput input) {
        av_frame_unref(held);
        av_frame_ref(held, input.frame());
        return input.time();
    }

    private void showLast(Cut.Clip clip, MediaInput input) throws IOException {
        showHeld(
                clip,
                input,
                clip.source().end().plus(clip.hold()).plus(job.rate().frameLength()));
        endGraph();
    }

    private void tellSound(boolean soundOnly, Cut.Clip clip, Time<Axis.Take> time) {
        if (soundOnly) {
            double done = clip.start().plus(time.since(clip.source().start())).seconds();
            progress.at(Math.max(0, Math.min(1, done / job.cut().total().seconds())));
        }
    }

    /** Shows the held frame for every programme frame whose source time is before {@code until}; true at the clip's end. */
    private boolean showHeld(Cut.Clip clip, MediaInput input, Time<Axis.Take> until) throws MediaException {
        while (true) {
            if (passOver(clip, input)) {
                return true;
            }
            Time<Axis.Cut> at = job.rate().timeOf(n);
            Time<Axis.Take> source = clip.source().start().plus(at.since(clip.start()));
            if (!source.isBefore(until)) {
                return false;
            }
            AVFrame over = overlayAt(at);
            keys.frame(n, clip, at, pieces);
            graph(input.info().video(), at).send(held, over, n++);
            drain(graph);
        }
    }

    /** The graph for the held picture at {@code at}: another one where another part of the picture stays from there. */
    private OverlayGraph graph(MediaInfo.Video video, Time<Axis.Cut> at) throws MediaException {
        Crop crop = job.reframing() == null ? null : job.reframing().at(at);
        if (graph != null && !Objects.equals(crop, framed)) {
            endGraph();
        }
        if (graph == null) {
            framed = crop;
            graph = new OverlayGraph(
                    held,
                    video,
                    new OverlayGraph.Target(job.width(), job.height(), job.rate(), crop),
                    job.dressing() != null);
        }
        return graph;
    }

    private void endGraph() throws MediaException {
        if (graph != null) {
            graph.end();
            drain(graph);
            graph.close();
            graph = null;
        }
    }

    /** Goes on to the next frame that has to be rendered, without decoding those between; true when the clip has no more. */
    private boolean passOver(Cut.Clip clip, MediaInput input) {
        long next = n;
        while (reuse.has(next) && job.rate().timeOf(next).isBefore(clip.end())) {
            next++;
        }
        Time<Axis.Cut> at = job.rate().timeOf(next);
        boolean over = !at.isBefore(clip.end());
        if (next > n && !over) {
            Time<Axis.Take> source = clip.source().start().plus(at.since(clip.start()));
            input.skipPicturesUntil(Time.min(source, clip.source().end()));
        }
        n = next;
        return over;
    }

    /** Takes the frames not rendered before {@code frame} over. */
    private void takeOver(long frame) throws MediaException {
        if (written < frame && !reuse.isEmpty()) {
            writer.take(before, written, frame);
            written = frame;
        }
    }

    private AVFrame overlayAt(Time<Axis.Cut> presentation) {
        if (job.dressing() == null) {
            return null;
        }
        List<PlacedOverlay> faces = job.dressing()
                .shown(TimerDigits.ofFrame(presentation, job.rate().frameLength()));
        if (!faces.equals(shown)) {
            job.painter().paint(faces, overlayImage);
            overlayPixels.set(overlayImage);
            pieces = PartKeys.number(overlayImage);
            overlay = overlayYuv.scale(overlayPixels.frame());
            shown = faces;
        }
        return overlay;
    }

    private void drain(OverlayGraph graph) throws MediaException {
        while (graph.receive(finished)) {
            finished.pict_type(AV_PICTURE_TYPE_NONE);
            takeOver(finished.pts());
            writer.picture(finished);
            written = finished.pts() + 1;
            if (finished.pts() % 15 == 0) {
                progress.at(Math.min(
                        1,
                        job.rate().timeOf(finished.pts()).seconds()
                                / job.cut().total().seconds()));
            }
            av_frame_unref(finished);
        }
    }
}
