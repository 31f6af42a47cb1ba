package app.nosegay.cli;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.SpeechRate;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay script}: the cue plan with fit. */
@Command(
        name = "script",
        mixinStandardHelpOptions = true,
        description = "Show what will be said when, and what does not fit.")
final class ScriptCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", description = "a run sheet or a workout file")
    private Path plan;

    @Option(names = "--json", paramLabel = "FILE|-", description = "also write JSON")
    private String json;

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Timeline timeline = Sheets.timeline(plan);
        CuePlan cues = CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT);
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        ArrayNode lines = root.putArray("lines");
        cues.lines().forEach(l -> line(lines.addObject(), l));
        ArrayNode left = root.putArray("left");
        cues.left().forEach(l -> line(left.addObject(), l.line()).put("reason", l.reason()));
        if (!Sheets.json(spec, json, root)) {
            PrintWriter out = spec.commandLine().getOut();
            for (ScriptLine l : cues.lines()) {
                out.printf(
                        Locale.ROOT,
                        "%8s %5.1f s  %-8s %s%n",
                        l.start(),
                        l.spoken().seconds(),
                        l.kind().word(),
                        l.text());
            }
            for (CuePlan.Left l : cues.left()) {
                out.printf(
                        Locale.ROOT,
                        "no room  %-8s %s (%s: %s)%n",
                        l.line().kind().word(),
                        l.line().text(),
                        l.line().segment(),
                        l.reason());
            }
            out.flush();
        }
        return Main.DONE;
    }

    private static ObjectNode line(ObjectNode node, ScriptLine l) {
        return node.put("segment", l.segment())
                .put("kind", l.kind().word())
                .put("text", l.text())
                .put("start", Math.round(l.start().seconds() * 1000) / 1000.0)
                .put("spoken", Math.round(l.spoken().seconds() * 1000) / 1000.0);
    }
}
