package app.nosegay.cli;

import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay publish}: captions, chapters and, with {@code --render}, the finished video. */
@Command(
        name = "publish",
        mixinStandardHelpOptions = true,
        description = "Write captions, chapters and the finished video of a workout.")
final class PublishCommand implements Callable<Integer> {
    @Parameters(paramLabel = "WORKOUT", description = "a workout file")
    private Path file;

    @Option(names = "--out", required = true, paramLabel = "DIR", description = "folder for the files")
    private Path out;

    @Option(names = "--render", description = "also render the video")
    private boolean render;

    @Option(names = "--overwrite", description = "replace files that are there already")
    private boolean overwrite;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Workout workout = WorkoutFile.open(file);
        PrintWriter err = spec.commandLine().getErr();
        WorkoutMedia media = WorkoutMedia.read(workout, Sheets.folderOf(file), new ConsoleProgress("reading", err));
        Programme programme = media.programme(workout);
        PublishJob.job(programme, media, true);
        List<Path> written = new ArrayList<>(PublishJob.texts(programme, out, overwrite));
        if (render) {
            written.add(PublishJob.video(programme, media, out, overwrite, new ConsoleProgress("rendering", err)));
        }
        PrintWriter print = spec.commandLine().getOut();
        written.forEach(print::println);
        if (programme.captions().isEmpty()) {
            err.println("no captions were written: no take has a transcript yet");
        }
        print.flush();
        return Main.DONE;
    }
}
