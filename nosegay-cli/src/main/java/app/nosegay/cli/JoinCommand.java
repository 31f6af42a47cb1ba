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
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay join}: one take of two. */
@Command(name = "join", mixinStandardHelpOptions = true)
final class JoinCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "WORKOUT", descriptionKey = "nosegay.join.workout")
    private Path file;

    @Parameters(index = "1", paramLabel = "FIRST", descriptionKey = "nosegay.join.first")
    private String first;

    @Parameters(index = "2", paramLabel = "SECOND", descriptionKey = "nosegay.join.second")
    private String second;

    @Option(names = "--save", required = true, paramLabel = "FILE", descriptionKey = "nosegay.join.save")
    private Path save;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Path folder = Sheets.folderOf(file);
        Workout workout = MediaRelinker.foundAgain(WorkoutFile.open(file), folder);
        // The workout itself may be saved over where that is asked for; nothing it refers to may.
        writing.with(workout, folder).check(save);
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
