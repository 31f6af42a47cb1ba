package app.nosegay.jobs;

import app.nosegay.cut.Cut;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dressing;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.files.FileFolders;
import app.nosegay.match.Match;
import app.nosegay.media.Crop;
import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.LayerRenderer;
import app.nosegay.media.MediaException;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.Reframing;
import app.nosegay.media.RenderJob;
import app.nosegay.media.Renderer;
import app.nosegay.paint.PiecePainter;
import app.nosegay.plan.Segment;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.publish.SoundPlan;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/** The outputs that are films or sound: finished video, episode, clips of single moves, overlay layer. */
public final class PublishVideo {
    /** The longer side of a finished video, unless the takes are smaller. */
    private static final int LARGEST = 1920;
    /** The file read back may differ from the cut by the length of a sound frame and a picture frame. */
    private static final double LENGTH_TOLERANCE_SECONDS = 0.15;
    /** A clip shows a move, not the whole set. */
    private static final Length CLIP_LONGEST = Length.ofSeconds(30);

    private static final int CLIP_WIDTH = 1080;
    private static final int CLIP_HEIGHT = 1920;

    private PublishVideo() {}

    /** The shape of the finished picture. */
    public enum Shape {
        AS_FILMED,
        SQUARE,
        PORTRAIT;

        public String word() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }

        public String words() {
            return word().replace('-', ' ');
        }
    }

    /** How much time is spent on the encoding. */
    public enum Quality {
        DRAFT(EncoderSettings.DRAFT),
        GOOD(EncoderSettings.FINISHED),
        BEST(EncoderSettings.BEST);

        private final EncoderSettings settings;

        Quality(EncoderSettings settings) {
            this.settings = settings;
        }

        public String word() {
            return name().toLowerCase(Locale.ROOT);
        }
    }

    private static MediaInfo.Video first(Programme programme, WorkoutMedia media) throws IOException {
        if (programme.cut().clips().isEmpty()) {
            throw new IOException(JobText.of("publish-video.nothing-to-publish-yet-no"));
        }
        for (Cut.Clip clip : programme.cut().clips()) {
            MediaInfo.Video video = media.readings().get(clip.take()).info().video();
            if (video != null) {
                return video;
            }
        }
        throw new IOException(JobText.of("publish-video.the-takes-have-no-picture"));
    }

    static FrameRate rate(Programme programme, WorkoutMedia media) {
        try {
            return FrameRate.nearest(first(programme, media).framesPerSecond());
        } catch (IOException e) {
            // Sound alone still has a cut list; it is counted in the commonest rate.
            return FrameRate.nearest(30);
        }
    }

    /** The render job of a programme, with its pieces or bare. */
    public static RenderJob job(Programme programme, WorkoutMedia media, boolean dressed, PublishJob.Choices choices)
            throws IOException {
        MediaInfo.Video video = first(programme, media);
        double shrink = Math.min(1, LARGEST / (double) Math.max(video.shownWidth(), video.shownHeight()));
        int width = even(video.shownWidth() * shrink);
        int height = even(video.shownHeight() * shrink);
        Shaped shaped = shaped(programme, choices.shape(), width, height);
        return new RenderJob(
                programme.cut(),
                media.files(programme.workout()),
                dressed ? shaped.dressing() : null,
                new PiecePainter(programme.workout().dressing().style())::paint,
                shaped.width(),
                shaped.height(),
                FrameRate.nearest(video.framesPerSecond()),
                choices.quality().settings,
                programme.timeline().sheet().header().title(),
                programme.chapters(),
                sound(programme, media, programme.cut()),
                shaped.reframing());
    }

    /**
     * A programme in a shape of picture.
     *
     * @param width in pixels, as is {@code height}
     * @param reframing what of the takes is seen; null for all
     */
    public record Shaped(int width, int height, Reframing reframing, Dressing dressing) {}

    /** How {@code programme} is seen in that shape, made from takes shown in {@code width} × {@code height} pixels. */
    public static Shaped shaped(Programme programme, Shape shape, int width, int height) {
        if (shape == Shape.AS_FILMED) {
            return new Shaped(width, height, null, dressing(programme, programme.cut(), width, height, null));
        }
        int side = even(Math.min(width, height));
        int high = shape == Shape.PORTRAIT ? even(side * 16 / 9.0) : side;
        double focus = programme.focus();
        return new Shaped(
                side, high, reframing(programme, focus), dressing(programme, programme.cut(), side, high, focus));
    }

    /** In every interval as much of the picture as whoever leads takes, standing or lying down. */
    private static Reframing reframing(Programme programme, double focus) {
        List<Reframing.Step> steps = programme.dressing().layout().areas().stream()
                .map(a -> new Reframing.Step(
                        a.stretch().span().start(),
                        crop(programme, focus, a.stretch().occupancy().extent(focus))))
                .toList();
        return steps.isEmpty() ? Reframing.of(crop(programme, focus, 0)) : new Reframing(steps);
    }

    private static Crop crop(Programme programme, double centre, double share) {
        return new Crop(centre, share, programme.workout().dressing().style().paper());
    }

    private static Dressing dressing(Programme programme, Cut cut, int width, int height, Double focus) {
        Frame shape = Frame.of(width, height);
        boolean same = focus == null && cut == programme.cut() && Math.abs(shape.width() - 1280) < 2;
        return same ? programme.dressing() : programme.dressed(cut, new Frame(shape.width(), shape.height(), focus));
    }

    private static int even(double pixels) {
        return (int) Math.round(pixels / 2) * 2;
    }

    /** What is done to the programme's sound, its music found beside the workout. */
    public static SoundPlan sound(Programme programme, WorkoutMedia media, Cut cut) throws IOException {
        DressNotes.Sound wanted = programme.workout().dressing().sound();
        Path music = wanted.hasMusic() ? Media.resolved(media.folder(), wanted.music()) : null;
        if (music != null && !Files.isRegularFile(music)) {
            throw new IOException(JobText.of("publish-video.the-music-is-missing-bring", music));
        }
        return SoundPlan.of(
                        programme.timeline(),
                        programme.match(),
                        cut,
                        programme.heard(),
                        programme.overs(),
                        wanted.withMusicAt(music == null ? "" : music.toString()))
                .muting(programme.workout().matching().mutes(), cut);
    }

    /** Renders the finished video; gives the share of it that was rendered anew. */
    static double video(
            Programme programme, WorkoutMedia media, Path target, PublishJob.Choices choices, Progress progress)
            throws IOException {
        RenderJob job = job(programme, media, true, choices);
        DiskSpace.check(target.toAbsolutePath().getParent(), DiskSpace.of(job), JobText.of("publish-video.the-video"));
        long began = System.nanoTime();
        double fresh = Renderer.render(job, target, memory(media, target), progress);
        if (fresh >= 1) {
            RenderPace.learn(choices.quality(), job, (System.nanoTime() - began) / 1e9);
        }
        readBack(target, programme.cut().total().seconds());
        return fresh;
    }

    /** Where it is remembered what a finished video is made of, beside what was read from the takes. */
    private static Path memory(WorkoutMedia media, Path target) {
        String place = Integer.toHexString(target.toAbsolutePath().normalize().hashCode());
        return media.folder().resolve(".nosegay").resolve(target.getFileName() + "-" + place + ".parts");
    }

    private static void readBack(Path target, double wanted) throws IOException {
        double written = MediaInput.probe(target).length().seconds();
        if (Math.abs(written - wanted) > LENGTH_TOLERANCE_SECONDS) {
            throw new MediaException(target, JobText.of("publish-video.was-read-back-as-s", written, wanted));
        }
    }

    /** The sound alone, with chapters: every call in it is spoken or beeped. */
    static void episode(Programme programme, WorkoutMedia media, Path target, Progress progress) throws IOException {
        RenderJob job = new RenderJob(
                programme.cut(),
                media.files(programme.workout()),
                null,
                null,
                0,
                0,
                rate(programme, media),
                EncoderSettings.FINISHED,
                programme.timeline().sheet().header().title(),
                programme.chapters(),
                sound(programme, media, programme.cut()),
                null);
        Renderer.render(job, target, progress);
        readBack(target, programme.cut().total().seconds());
    }

    /** One short portrait film per move, from its first round; gives the share rendered anew. The folder keeps what else is in it. */
    static double clips(
            Programme programme,
            WorkoutMedia media,
            Replacing replacing,
            Path folder,
            PublishJob.Choices choices,
            Progress progress)
            throws IOException {
        MediaInfo.Video video = first(programme, media);
        Map<String, Match.Placed> moves = new LinkedHashMap<>();
        for (Segment s : programme.timeline().segments()) {
            Match.Placed placed = programme.match().segment(s.id()).orElse(null);
            boolean clear = s.kind() == SegmentKind.WORK && placed != null && placed.matched();
            if (clear) {
                moves.putIfAbsent(s.move(), placed);
            }
        }
        Files.createDirectories(folder);
        int done = 0;
        double fresh = 0;
        for (Map.Entry<String, Match.Placed> move : moves.entrySet()) {
            int before = done++;
            Match.Placed p = move.getValue();
            Time<Axis.Take> end = Time.min(p.end(), p.start().plus(CLIP_LONGEST));
            Cut cut = new Cut(List.of(new Cut.Clip(p.take(), new Span<>(p.start(), end), Time.zero())));
            TakeEvidence take = programme.evidence().stream()
                    .filter(e -> e.id().equals(p.take()))
                    .findFirst()
                    .orElseThrow();
            OccupancyMap occupancy = OccupancyMap.of(take, new Span<>(p.start(), end));
            double focus = occupancy.centre();
            RenderJob job = new RenderJob(
                    cut,
                    media.files(programme.workout()),
                    dressing(programme, cut, CLIP_WIDTH, CLIP_HEIGHT, focus),
                    new PiecePainter(programme.workout().dressing().style())::paint,
                    CLIP_WIDTH,
                    CLIP_HEIGHT,
                    FrameRate.nearest(video.framesPerSecond()),
                    choices.quality().settings,
                    move.getKey(),
                    List.of(),
                    sound(programme, media, cut),
                    Reframing.of(crop(programme, focus, occupancy.extent(focus))));
            Path target = folder.resolve(move.getKey().replaceAll("[^\\p{L}\\p{N}]+", "-") + ".mp4");
            double[] anew = {0};
            replacing.file(target, () -> {
                anew[0] = Renderer.render(
                        job, target, memory(media, target), share -> progress.at((before + share) / moves.size()));
                readBack(target, cut.total().seconds());
            });
            fresh += anew[0];
        }
        return fresh / Math.max(1, moves.size());
    }

    /** The pieces alone, as a film with alpha. */
    static void layerFilm(
            Programme programme, WorkoutMedia media, Path target, PublishJob.Choices choices, Progress progress)
            throws IOException {
        RenderJob job = job(programme, media, true, choices);
        Length total = programme.cut().total();
        LayerRenderer.film(
                new LayerRenderer.Layer(job.dressing(), job.painter(), total, job.width(), job.height(), job.rate()),
                target,
                progress);
        readBack(target, total.seconds());
    }

    /** The pieces alone, as pictures in a folder; what else is in it stays. */
    static void layerPictures(
            Programme programme,
            WorkoutMedia media,
            Replacing replacing,
            Path target,
            PublishJob.Choices choices,
            Progress progress)
            throws IOException {
        RenderJob job = job(programme, media, true, choices);
        Path fresh = Files.createTempDirectory(replacing.folder(), ".layer-");
        try {
            LayerRenderer.pictures(
                    new LayerRenderer.Layer(
                            job.dressing(),
                            job.painter(),
                            programme.cut().total(),
                            job.width(),
                            job.height(),
                            job.rate()),
                    fresh,
                    progress);
            replacing.folder(fresh, target);
        } finally {
            FileFolders.delete(fresh);
        }
    }
}
