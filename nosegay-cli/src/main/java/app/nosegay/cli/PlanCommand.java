package app.nosegay.cli;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.check.PlanJson;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Side;
import app.nosegay.plan.Timeline;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay plan}: timeline, totals, balance, findings. */
@Command(
        name = "plan",
        mixinStandardHelpOptions = true,
        description = "Show a plan's timeline, totals, balance and findings.")
final class PlanCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", description = "a run sheet or a workout file")
    private Path plan;

    @Option(names = "--json", paramLabel = "FILE|-", description = "also write JSON")
    private String json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Sheets.timeline(plan);
        List<Finding> findings = PlanCheck.findings(timeline, library);
        if (!Sheets.json(spec, json, PlanJson.of(timeline, library))) {
            table(spec.commandLine().getOut(), timeline, library, findings);
        }
        return findings.stream().anyMatch(f -> f.severity() == Finding.Severity.STOP)
                ? Main.STOPPED_BY_FINDINGS
                : Main.DONE;
    }

    private static void table(PrintWriter out, Timeline timeline, MoveLibrary library, List<Finding> findings) {
        out.println(timeline.sheet().header().title());
        out.printf(Locale.ROOT, "%8s %8s  %-9s %-5s %5s  %s%n", "start", "length", "kind", "side", "reps", "segment");
        for (Segment s : timeline.segments()) {
            String side =
                    s.side() == null || s.side() == Side.BOTH ? "" : s.side().word();
            String reps = s.reps() == null ? "" : "" + s.reps();
            out.printf(
                    Locale.ROOT,
                    "%8s %8s  %-9s %-5s %5s  %s%n",
                    s.start(),
                    s.duration(),
                    s.kind().word(),
                    side,
                    reps,
                    s.id());
        }
        Balance b = Balance.of(timeline, library);
        out.println();
        out.println(PlanCheck.sentence(timeline, findings));
        out.printf(
                Locale.ROOT,
                "Push %s, pull %s. Left %s, right %s. Density %.0f %%. Longest without rest %s.%n",
                b.push(),
                b.pull(),
                b.left().time(),
                b.right().time(),
                100 * b.density(),
                b.longestWithoutRest());
        for (Finding f : findings) {
            out.printf(
                    "%-5s %s: %s%s%n",
                    f.severity().word(), f.code(), f.message(), f.fix() == null ? "" : " → " + f.fix());
        }
        out.flush();
    }
}
