package app.nosegay.cli;

import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.ShorterVersion;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.workout.Workout;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay shorten}: a shorter version of what was filmed, and what is not true of it any more. */
@Command(name = "shorten", mixinStandardHelpOptions = true)
final class ShortenCommand implements Callable<Integer> {
    @Parameters(paramLabel = "WORKOUT", descriptionKey = "nosegay.shorten.workout")
    private Path file;

    @Option(names = "--minutes", required = true, paramLabel = "N", descriptionKey = "nosegay.shorten.minutes")
    private int minutes;

    @Option(names = "--save", required = true, paramLabel = "WORKOUT", descriptionKey = "nosegay.shorten.save")
    private Path save;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Workout workout = MediaRelinker.foundAgain(WorkoutFile.open(file), Sheets.folderOf(file));
        writing.reads(workout, file).check(save);
        PrintWriter err = spec.commandLine().getErr();
        WorkoutMedia media = WorkoutMedia.read(workout, Sheets.folderOf(file), new ConsoleProgress("reading", err));
        ShorterVersion shorter = ShorterVersion.write(media.programme(workout), minutes, Sheets.folderOf(file), save);
        PrintWriter out = spec.commandLine().getOut();
        out.println(CliText.of(
                "shorten-command.lasts",
                shorter.version().length().clock(),
                String.join(", ", shorter.version().leftOut())));
        shorter.muted().forEach(words -> out.println(CliText.of("shorten-command.muted", words)));
        shorter.becomesFalse()
                .forEach(f -> out.printf("%-5s %-26s %s%n", f.severity().word(), f.code(), f.message()));
        out.println(save);
        out.flush();
        return Main.DONE;
    }
}
