package app.nosegay.cli;

import app.nosegay.jobs.PrintJob;
import app.nosegay.plan.Finding;
import app.nosegay.plan.check.PlanJson;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.TalkWindow;
import app.nosegay.workout.Programme;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
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

/** {@code nosegay script}: the cue plan with fit. */
@Command(name = "script", mixinStandardHelpOptions = true)
final class ScriptCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", descriptionKey = "nosegay.script.plan")
    private Path plan;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.script.json")
    private String json;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Option(names = "--prompter", paramLabel = "FILE", descriptionKey = "nosegay.script.prompter")
    private Path prompter;

    @Override
    public Integer call() throws Exception {
        writing.reads(plan).checkJson(json);
        writing.check(prompter);
        Programme programme = Sheets.programme(Sheets.workout(plan));
        CuePlan cues = programme.cues();
        if (prompter != null) {
            PrintJob.write(programme, PrintJob.Form.PROMPTER_PDF, prompter);
        }
        List<Finding> open = programme.scriptFindings().stream()
                .filter(f -> programme.workout().waiver(f).isEmpty())
                .toList();
        if (!writing.json(json, json(programme))) {
            table(spec.commandLine().getOut(), cues, open);
        }
        return open.stream().anyMatch(f -> f.severity() == Finding.Severity.STOP)
                ? Main.STOPPED_BY_FINDINGS
                : Main.DONE;
    }

    private static ObjectNode json(Programme programme) {
        CuePlan cues = programme.cues();
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        ArrayNode lines = root.putArray("lines");
        cues.lines().forEach(l -> line(lines.addObject(), l).put("fixed", l.fixed()));
        ArrayNode left = root.putArray("left");
        cues.left().forEach(l -> line(left.addObject(), l.line())
                .put("reason", l.reason())
                .put("remedy", l.remedy())
                .put("own", l.own())
                .put("needed", l.needed()));
        ArrayNode windows = root.putArray("windows");
        for (TalkWindow w : cues.windows()) {
            windows.addObject()
                    .put("segment", w.segment())
                    .put("needed", Math.round(w.needed().seconds() * 1000) / 1000.0)
                    .put("available", Math.round(w.available().seconds() * 1000) / 1000.0)
                    .put("left", w.left());
        }
        PlanJson.findings(root.putArray("findings"), programme.scriptFindings());
        return root;
    }

    private static void table(PrintWriter out, CuePlan cues, List<Finding> findings) {
        for (ScriptLine l : cues.lines()) {
            out.printf(
                    Locale.ROOT,
                    "%8s %5.1f s  %-8s %s%n",
                    l.start(),
                    l.spoken().seconds(),
                    l.kind().word(),
                    l.text());
        }
        for (CuePlan.Left l : cues.missed()) {
            out.printf(
                    Locale.ROOT,
                    CliText.of("script-command.row-no-room"),
                    l.line().kind().word(),
                    l.line().text(),
                    l.line().segment(),
                    l.reason(),
                    l.remedy());
        }
        for (Finding f : findings) {
            out.printf(
                    "%-5s %s: %s%s%n",
                    f.severity().word(), f.code(), f.message(), f.fix() == null ? "" : " → " + f.fix());
        }
        out.flush();
    }

    private static ObjectNode line(ObjectNode node, ScriptLine l) {
        return node.put("segment", l.segment())
                .put("kind", l.kind().word())
                .put("text", l.text())
                .put("start", Math.round(l.start().seconds() * 1000) / 1000.0)
                .put("spoken", Math.round(l.spoken().seconds() * 1000) / 1000.0);
    }
}
