package app.nosegay.cli;

import app.nosegay.jobs.TestClip;
import app.nosegay.review.seen.TestFrame;
import app.nosegay.workout.Programme;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay frame}: whether a test clip holds what the workout asks of the frame. */
@Command(name = "frame", mixinStandardHelpOptions = true)
final class FrameCommand implements Callable<Integer> {
    @Parameters(index = "0", paramLabel = "PLAN", descriptionKey = "nosegay.frame.plan")
    private Path plan;

    @Parameters(index = "1", paramLabel = "CLIP", descriptionKey = "nosegay.frame.clip")
    private Path clip;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.frame.json")
    private String json;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        writing.reads(plan).reads(clip).checkJson(json);
        Programme programme = Sheets.programme(Sheets.workout(plan));
        ConsoleProgress looking =
                new ConsoleProgress("looking", spec.commandLine().getErr());
        TestFrame frame = TestClip.look(clip, programme, looking).frame();
        if (!writing.json(json, json(frame))) {
            PrintWriter out = spec.commandLine().getOut();
            frame.remarks().forEach(r -> out.println(r.text()));
            out.flush();
        }
        return Main.DONE;
    }

    private static ObjectNode json(TestFrame frame) {
        ObjectNode root = JsonMapper.builder().build().createObjectNode();
        root.put("fits", frame.fits());
        ArrayNode remarks = root.putArray("remarks");
        for (TestFrame.Remark r : frame.remarks()) {
            remarks.addObject()
                    .put("wrong", r.isWrong())
                    .put("text", r.text())
                    .put("at", r.at() == null ? null : r.at().seconds());
        }
        return root;
    }
}
