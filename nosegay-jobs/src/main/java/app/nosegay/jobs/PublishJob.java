package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TimedText;
import app.nosegay.files.AtomicFile;
import app.nosegay.media.Progress;
import app.nosegay.publish.Captions;
import app.nosegay.publish.CutList;
import app.nosegay.publish.Description;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;

/** Writes what a workout is published as. Every file appears whole under its name or not at all, and is read back. */
public final class PublishJob {
    private PublishJob() {}

    /**
     * How the video is made.
     *
     * @param template of the description
     */
    public record Choices(PublishVideo.Shape shape, PublishVideo.Quality quality, String template) {
        public static final Choices USUAL =
                new Choices(PublishVideo.Shape.AS_FILMED, PublishVideo.Quality.GOOD, Description.TEMPLATE);
    }

    /**
     * What is published, from which media, where to and how.
     *
     * @param overwrite whether files of earlier exports may be replaced
     */
    public record Export(Programme programme, WorkoutMedia media, Path folder, boolean overwrite, Choices choices) {}

    /** What was written, and why what was not. */
    public record Exported(List<Written> written, Map<Output, String> failed) {}

    /**
     * An output that was written and read back.
     *
     * @param file it, or the folder it fills
     * @param fresh the share of its picture that was rendered anew and not taken over from before, 0 to 1
     */
    public record Written(Path file, double fresh) {
        /** "12 % of the picture was rendered anew", or nothing where all of it was. */
        public Optional<String> taken() {
            return fresh > 0.995
                    ? Optional.empty()
                    : Optional.of(JobText.of("publish-job.0f-of-the-picture-was", 100 * fresh));
        }
    }

    /**
     * The outputs that can be made of {@code programme}: captions only where a transcript came with a take, an episode where one has
     * sound.
     */
    public static List<Output> possible(Programme programme) {
        List<Output> possible = new ArrayList<>(List.of(Output.values()));
        if (programme.captions().isEmpty()) {
            possible.removeAll(List.of(Output.CAPTIONS_VTT, Output.CAPTIONS_SRT, Output.CAPTIONS_PLAIN));
        }
        boolean silent =
                programme.evidence().stream().allMatch(e -> e.loudness().values().length == 0);
        if (silent) {
            possible.remove(Output.EPISODE);
        }
        if (programme.workout().matching().repairs().isEmpty()) {
            possible.remove(Output.CAPTIONS_PLAIN);
        }
        return possible;
    }

    /** What is there already of what is wanted, to be looked at before it is written. */
    public static List<Replacing.InTheWay> inTheWay(List<Output> wanted, Path folder) throws IOException {
        return Files.isDirectory(folder)
                ? Replacing.inTheWay(
                        folder, wanted.stream().map(o -> o.in(folder)).toList())
                : List.of();
    }

    /** Writes all texts, sheets and lists; gives the files written. */
    public static List<Path> texts(Programme programme, WorkoutMedia media, Path folder, boolean overwrite)
            throws IOException {
        List<Path> written = new ArrayList<>();
        for (Output output : possible(programme)) {
            if (!output.isRendered()) {
                Export export = new Export(programme, media, folder, overwrite, Choices.USUAL);
                written.add(write(output, export, Progress.NONE).file());
            }
        }
        return written;
    }

    /**
     * Writes several outputs one after the other; what fails leaves the others to be written.
     *
     * @param begun told each output before it is made
     */
    public static Exported writeEach(List<Output> wanted, Export export, Consumer<Output> begun, Progress progress) {
        double slow = Math.max(1, wanted.stream().filter(Output::isRendered).count());
        Exported all = new Exported(new ArrayList<>(), new EnumMap<>(Output.class));
        long done = 0;
        for (Output output : wanted) {
            long before = done;
            begun.accept(output);
            try {
                all.written.add(write(
                        output, export, share -> progress.at((before + (output.isRendered() ? share : 0)) / slow)));
            } catch (IOException e) {
                all.failed.put(output, e.getMessage());
            }
            done += output.isRendered() ? 1 : 0;
        }
        return all;
    }

    /** Writes one output and reads it back. */
    public static Written write(Output output, Export export, Progress progress) throws IOException {
        Programme programme = export.programme();
        WorkoutMedia media = export.media();
        Path folder = export.folder();
        Choices choices = export.choices();
        if (programme.cut().clips().isEmpty()) {
            throw new IOException(JobText.of("publish-job.nothing-to-publish-yet-no"));
        }
        Path target = output.in(folder);
        Files.createDirectories(folder);
        ProtectedFiles inputs = new ProtectedFiles().with(programme.workout(), media.folder());
        Replacing replacing = new Replacing(folder, inputs, export.overwrite());
        replacing.check(target);
        double[] fresh = {1};
        switch (output) {
            case CLIPS -> fresh[0] = PublishVideo.clips(programme, media, replacing, target, choices, progress);
            case LAYER_PICTURES -> PublishVideo.layerPictures(programme, media, replacing, target, choices, progress);
            case VIDEO ->
                replacing.file(
                        target, () -> fresh[0] = PublishVideo.video(programme, media, target, choices, progress));
            default -> replacing.file(target, () -> file(output, programme, media, target, choices, progress));
        }
        return new Written(target, fresh[0]);
    }

    private static void file(
            Output output, Programme programme, WorkoutMedia media, Path target, Choices choices, Progress progress)
            throws IOException {
        switch (output) {
            case EPISODE -> PublishVideo.episode(programme, media, target, progress);
            case LAYER_FILM -> PublishVideo.layerFilm(programme, media, target, choices, progress);
            case COVER_WIDE, COVER_SQUARE, COVER_TALL -> PublishPictures.cover(programme, media, output, target);
            case CARD_PNG -> PublishPictures.card(programme, target);
            case CARD_PDF -> PrintJob.write(programme, PrintJob.Form.CARD_PDF, target);
            case PROOF -> PrintJob.write(programme, PrintJob.Form.PROOF_PDF, target);
            default -> AtomicFile.write(target, text(output, programme, media, target, choices));
        }
    }

    private static String text(Output output, Programme programme, WorkoutMedia media, Path target, Choices choices)
            throws IOException {
        List<TimedText.Cue> chapters = programme.chapters();
        String title = programme.timeline().sheet().header().title();
        return switch (output) {
            case CAPTIONS_VTT -> TimedText.webVtt(programme.captions());
            case CAPTIONS_SRT -> TimedText.subRip(programme.captions());
            case CAPTIONS_PLAIN -> TimedText.webVtt(asHeard(programme));
            case CHAPTERS_VTT -> TimedText.webVtt(chapters);
            case CHAPTERS_FFMETADATA -> TimedText.ffMetadata(title, chapters);
            case CHAPTERS_JSON -> TimedText.chaptersJson(chapters);
            case CHAPTER_LINES -> TimedText.descriptionLines(chapters);
            case DESCRIPTION -> description(programme, choices.template());
            case RUN_SHEET -> programme.workout().sheet();
            case CUT_LIST -> cutList(programme, media, target);
            default -> throw new IllegalArgumentException(JobText.of("publish-job.is-not-a-text", output));
        };
    }

    private static List<TimedText.Cue> asHeard(Programme programme) {
        Map<String, List<Caption>> plain = new LinkedHashMap<>();
        programme.heard().forEach(e -> plain.put(e.id(), e.words()));
        return Captions.of(plain, programme.cut());
    }

    /** The text under the video, by a template. */
    public static String description(Programme programme, String template) {
        return Description.of(
                template,
                programme.timeline(),
                Math.round(programme.cut().total().seconds() / 60),
                new Description.Facts(
                        programme.report().gear(),
                        programme.chapters(),
                        programme.workout().script().sources().stream()
                                .map(s -> "- " + s.claim() + ": " + s.source() + " (" + s.date() + ")")
                                .toList(),
                        programme.workout().dressing().sound().licence()));
    }

    private static String cutList(Programme programme, WorkoutMedia media, Path target) throws IOException {
        Map<String, String> files = new LinkedHashMap<>();
        Map<String, Double> seconds = new LinkedHashMap<>();
        media.files(programme.workout()).forEach((id, file) -> {
            files.put(id, Media.stored(target.toAbsolutePath().getParent(), file));
            seconds.put(id, media.readings().get(id).info().length().seconds());
        });
        double rate = PublishVideo.rate(programme, media).perSecond();
        return CutList.of(programme.timeline(), programme.match(), programme.cut(), files, seconds, rate)
                        .toPrettyString()
                + "\n";
    }
}
