package app.nosegay.cli;

import app.nosegay.jobs.Libraries;
import app.nosegay.plan.Timeline;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.SimulatedTake;
import app.nosegay.standins.Trouble;
import app.nosegay.standins.Voice;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay simulate}: the simulated camera films a plan. */
@Command(name = "simulate", mixinStandardHelpOptions = true)
final class SimulateCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", descriptionKey = "nosegay.simulate.plan")
    private Path plan;

    @Option(names = "--out", required = true, paramLabel = "DIR", descriptionKey = "nosegay.simulate.out")
    private Path out;

    @Option(names = "--seed", defaultValue = "1", descriptionKey = "nosegay.simulate.seed")
    private long seed;

    @Option(names = "--trouble", defaultValue = "", paramLabel = "LIST", descriptionKey = "nosegay.simulate.trouble")
    private String trouble;

    @Option(names = "--evidence-only", descriptionKey = "nosegay.simulate.evidence-only")
    private boolean evidenceOnly;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Timeline timeline = Sheets.timeline(Sheets.workout(plan));
        if (timeline.segments().isEmpty()) {
            throw new IOException(CliText.of("simulate-command.there-is-nothing-to-film", plan));
        }
        writing.reads(plan).folder(out);
        for (Path file : SimulatedTake.files(out, "take-1")) {
            writing.check(file);
        }
        Voice voice = evidenceOnly ? null : GuideVoice.loaded();
        PrintWriter err = spec.commandLine().getErr();
        SimulatedTake.Written written = SimulatedTake.make(
                timeline,
                Libraries.current(),
                new SimulatedTake.Run(out, "take-1", seed, Trouble.parse(trouble)),
                voice,
                new ConsoleProgress("filming", err));
        PrintWriter print = spec.commandLine().getOut();
        for (Path file :
                new Path[] {written.movie(), written.transcript(), written.words(), written.log(), written.truth()}) {
            if (file != null) {
                print.println(file);
            }
        }
        print.flush();
        return Main.DONE;
    }
}
