package app.nosegay.cli;

import app.nosegay.jobs.JoinJob;
import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay join}: one take of two. */
@Command(
        name = "join",
        mixinStandardHelpOptions = true,
        description = "Make one take of two that a camera cut apart while it recorded. Both files stay as they are.")
final class JoinCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "WORKOUT", description = "a workout file")
    private Path file;

    @Parameters(index = "1", paramLabel = "FIRST", description = "the take that comes first, such as take-1")
    private String first;

    @Parameters(index = "2", paramLabel = "SECOND", description = "the take that goes on where it ends")
    private String second;

    @Option(
            names = "--save",
            required = true,
            paramLabel = "FILE",
            description = "where the workout with the joined take goes; WORKOUT itself with --overwrite")
    private Path save;

    @Option(names = "--overwrite", description = "replace a workout file that is there already")
    private boolean overwrite;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Sheets.free(save, overwrite);
        Path folder = Sheets.folderOf(file);
        Workout workout = MediaRelinker.foundAgain(WorkoutFile.open(file), folder);
        WorkoutMedia media = WorkoutMedia.read(
                workout,
                folder,
                new ConsoleProgress("reading", spec.commandLine().getErr()));
        Programme programme = media.programme(workout);
        ConsoleProgress joining =
                new ConsoleProgress("joining", spec.commandLine().getErr());
        Workout joined = JoinJob.join(workout, programme, folder, first, second, joining);
        WorkoutFile.save(save, MediaRelinker.toFolder(joined, folder, Sheets.folderOf(save)));
        spec.commandLine().getOut().println(save);
        spec.commandLine().getOut().flush();
        return Main.DONE;
    }
}
