package app.nosegay.jobs;

import app.nosegay.media.EncoderSettings;
import app.nosegay.media.FrameRate;
import app.nosegay.media.MediaException;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.media.Renderer;
import app.nosegay.paint.PiecePainter;
import app.nosegay.publish.TimedText;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.nio.file.FileAlreadyExistsException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Writes what a workout is published as: video, captions, chapters, description lines. */
public final class PublishJob {
    /** The longer side of a finished video, unless the takes are smaller. */
    private static final int LARGEST = 1920;
    /** The file read back may differ from the cut by the length of a sound frame and a picture frame. */
    private static final double LENGTH_TOLERANCE_SECONDS = 0.15;

    private PublishJob() {}

    /** The names of what is written. */
    public enum Output {
        VIDEO("video.mp4"),
        CAPTIONS_VTT("captions.vtt"),
        CAPTIONS_SRT("captions.srt"),
        CHAPTERS_VTT("chapters.vtt"),
        CHAPTERS_FFMETADATA("chapters.ffmetadata"),
        CHAPTER_LINES("chapters.txt");

        private final String file;

        Output(String file) {
            this.file = file;
        }

        public Path in(Path folder) {
            return folder.resolve(file);
        }
    }

    /** Writes captions and chapters; gives the files written. Captions only where a transcript came with a take. */
    public static List<Path> texts(Programme programme, Path folder, boolean overwrite) throws IOException {
        Files.createDirectories(folder);
        List<Path> written = new ArrayList<>();
        List<TimedText.Cue> captions = programme.captions();
        List<TimedText.Cue> chapters = programme.chapters();
        String title = programme.timeline().sheet().header().title();
        if (!captions.isEmpty()) {
            written.add(write(Output.CAPTIONS_VTT.in(folder), TimedText.webVtt(captions), overwrite));
            written.add(write(Output.CAPTIONS_SRT.in(folder), TimedText.subRip(captions), overwrite));
        }
        written.add(write(Output.CHAPTERS_VTT.in(folder), TimedText.webVtt(chapters), overwrite));
        written.add(write(Output.CHAPTERS_FFMETADATA.in(folder), TimedText.ffMetadata(title, chapters), overwrite));
        written.add(write(Output.CHAPTER_LINES.in(folder), TimedText.descriptionLines(chapters), overwrite));
        return written;
    }

    private static Path write(Path file, String text, boolean overwrite) throws IOException {
        refuseToOverwrite(file, overwrite);
        return Files.writeString(file, text);
    }

    private static void refuseToOverwrite(Path file, boolean overwrite) throws IOException {
        if (!overwrite && Files.exists(file)) {
            throw new FileAlreadyExistsException(
                    file + " is there already; it is only replaced when you say so (--overwrite)");
        }
    }

    /** Renders the finished video and reads it back; gives its file. */
    public static Path video(Programme programme, WorkoutMedia media, Path folder, boolean overwrite, Progress progress)
            throws IOException {
        Path target = Output.VIDEO.in(folder);
        refuseToOverwrite(target, overwrite);
        Renderer.Job job = job(programme, media, true);
        Renderer.render(job, target, progress);
        double written = MediaInput.probe(target).length().seconds();
        double wanted = programme.cut().total().seconds();
        if (Math.abs(written - wanted) > LENGTH_TOLERANCE_SECONDS) {
            throw new MediaException(
                    target, "was read back as " + written + " s instead of " + wanted + " s; render it again");
        }
        return target;
    }

    /** The render job of a programme, with its pieces or bare. */
    public static Renderer.Job job(Programme programme, WorkoutMedia media, boolean dressed) throws IOException {
        if (programme.cut().clips().isEmpty()) {
            throw new IOException("nothing to publish yet: no segment of the plan is matched with a take");
        }
        MediaInfo.Video video = null;
        for (var clip : programme.cut().clips()) {
            MediaInfo.Video v = media.readings().get(clip.take()).info().video();
            video = video == null ? v : video;
        }
        if (video == null) {
            throw new IOException("the takes have no picture; a video cannot be made of them");
        }
        double shrink = Math.min(1, LARGEST / (double) Math.max(video.shownWidth(), video.shownHeight()));
        int width = (int) Math.round(video.shownWidth() * shrink / 2) * 2;
        int height = (int) Math.round(video.shownHeight() * shrink / 2) * 2;
        return new Renderer.Job(
                programme.cut(),
                media.files(programme.workout()),
                dressed ? programme.dressing() : null,
                PiecePainter::paint,
                width,
                height,
                FrameRate.nearest(video.framesPerSecond()),
                EncoderSettings.FINISHED,
                programme.timeline().sheet().header().title(),
                programme.chapters());
    }
}
