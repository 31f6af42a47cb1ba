package app.nosegay.cli;

import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.plan.Finding;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import app.nosegay.proof.ProofJson;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Waiver;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay proof}: what was planned, said and shown, and everything that speaks against publishing. */
@Command(name = "proof", mixinStandardHelpOptions = true)
final class ProofCommand implements Callable<Integer> {
    @Parameters(paramLabel = "WORKOUT", descriptionKey = "nosegay.proof.workout")
    private Path file;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.proof.json")
    private String json;

    @Option(names = "--apart", descriptionKey = "nosegay.proof.apart")
    private boolean apart;

    @Option(names = "--pick-ups", paramLabel = "FILE", descriptionKey = "nosegay.proof.pick-ups")
    private Path pickUps;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        boolean stored = file.toString().endsWith(WorkoutFile.ENDING);
        Workout workout = MediaRelinker.foundAgain(Sheets.workout(file), Sheets.folderOf(file));
        writing.reads(workout, file).checkJson(json);
        writing.check(pickUps);
        Programme programme;
        if (stored && !workout.takes().isEmpty()) {
            WorkoutMedia media = WorkoutMedia.read(
                    workout,
                    Sheets.folderOf(file),
                    new ConsoleProgress("reading", spec.commandLine().getErr()));
            media.notices(workout)
                    .forEach(n -> spec.commandLine().getErr().println(CliText.of("proof-command.nosegay", n)));
            programme = media.programme(workout);
        } else {
            programme = Sheets.programme(workout);
        }
        Proof proof = programme.proof();
        if (pickUps != null) {
            writePickUps(programme);
        }
        if (!writing.json(
                json,
                ProofJson.of(proof, f -> workout.waiver(f).map(Waiver::reason).orElse("")))) {
            print(spec.commandLine().getOut(), proof, !programme.match().takes().isEmpty());
        }
        return proof.mayPublish() ? Main.DONE : Main.STOPPED_BY_FINDINGS;
    }

    private void writePickUps(Programme p) throws IOException {
        writing.text(pickUps, p.pickUps().sheet(p.timeline()));
    }

    private void print(PrintWriter out, Proof proof, boolean recorded) {
        for (Finding f : proof.open()) {
            out.printf("%-5s %-26s %s%n", f.severity().word(), f.code(), f.message());
            if (f.fix() != null) {
                out.printf(CliText.of("proof-command.row-fix"), "", "", f.fix());
            }
        }
        if (apart) {
            proof.comparisons().stream().filter(p -> p.apart() > 0.1).forEach(p -> comparison(out, p));
        }
        out.println(recorded ? CliText.of("proof-command.proven", proof.sentence(), proof.proven()) : proof.sentence());
        out.flush();
    }

    private static void comparison(PrintWriter out, IntervalComparison p) {
        out.printf(
                Locale.ROOT,
                CliText.of("proof-command.row-interval"),
                p.interval().id(),
                p.planned(),
                p.said(),
                p.shown());
    }
}
