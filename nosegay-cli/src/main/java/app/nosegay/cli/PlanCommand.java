package app.nosegay.cli;

import app.nosegay.jobs.PrintJob;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.check.PlanJson;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.terms.Side;
import app.nosegay.workout.Programme;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay plan}: timeline, totals, balance, findings. */
@Command(name = "plan", mixinStandardHelpOptions = true)
final class PlanCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", descriptionKey = "nosegay.plan.plan")
    private Path plan;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.plan.json")
    private String json;

    @Option(names = "--csv", paramLabel = "FILE", descriptionKey = "nosegay.plan.csv")
    private Path csv;

    @Option(names = "--markdown", paramLabel = "FILE", descriptionKey = "nosegay.plan.markdown")
    private Path markdown;

    @Option(names = "--pdf", paramLabel = "FILE", descriptionKey = "nosegay.plan.pdf")
    private Path pdf;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        writing.reads(plan).checkJson(json);
        writing.check(csv);
        writing.check(markdown);
        writing.check(pdf);
        Programme programme = Sheets.programme(Sheets.workout(plan));
        PlanReport report = programme.report();
        print(programme, PrintJob.Form.RUN_SHEET_CSV, csv);
        print(programme, PrintJob.Form.RUN_SHEET_MARKDOWN, markdown);
        print(programme, PrintJob.Form.RUN_SHEET_PDF, pdf);
        List<Finding> open = report.findings().stream()
                .filter(f -> programme.workout().waiver(f).isEmpty())
                .toList();
        if (!writing.json(json, PlanJson.of(report))) {
            table(spec.commandLine().getOut(), report, open);
        }
        return open.stream().anyMatch(f -> f.severity() == Finding.Severity.STOP)
                ? Main.STOPPED_BY_FINDINGS
                : Main.DONE;
    }

    private void print(Programme programme, PrintJob.Form form, Path target) throws IOException {
        if (target != null) {
            PrintJob.write(programme, form, target);
        }
    }

    private static void table(PrintWriter out, PlanReport report, List<Finding> findings) {
        Timeline timeline = report.timeline();
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
        Balance b = report.balance();
        out.println();
        out.println(report.sentence());
        out.printf(
                Locale.ROOT,
                CliText.of("plan-command.row-balance"),
                b.push(),
                b.pull(),
                b.front(),
                b.back(),
                b.left().time(),
                b.right().time(),
                100 * b.density(),
                b.longestWithoutRest());
        for (GearList.Use use : report.gear().used()) {
            out.printf(CliText.of("plan-command.row-gear"), use.item().shown(), use.from());
        }
        for (Finding f : findings) {
            out.printf(
                    "%-5s %s: %s%s%n",
                    f.severity().word(), f.code(), f.message(), f.fix() == null ? "" : " → " + f.fix());
        }
        out.flush();
    }
}
