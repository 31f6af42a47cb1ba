package app.nosegay.cli;

import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.PackJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.workout.Workout;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay pack}: a workout with all it refers to in one folder. */
@Command(name = "pack", mixinStandardHelpOptions = true)
final class PackCommand implements Callable<Integer> {
    @Parameters(paramLabel = "WORKOUT", descriptionKey = "nosegay.pack.workout")
    private Path file;

    @Option(names = "--out", required = true, paramLabel = "DIR", descriptionKey = "nosegay.pack.out")
    private Path out;

    @Option(names = "--with-outside", descriptionKey = "nosegay.pack.with-outside")
    private boolean withOutside;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Path folder = Sheets.folderOf(file);
        Workout workout = MediaRelinker.foundAgain(WorkoutFile.open(file), folder);
        ConsoleProgress progress =
                new ConsoleProgress("packing", spec.commandLine().getErr());
        Path packed = PackJob.into(workout, folder, out, file.getFileName().toString(), withOutside, progress);
        spec.commandLine().getOut().println(packed);
        spec.commandLine().getOut().flush();
        return Main.DONE;
    }
}
