package app.nosegay.cli;

import app.nosegay.calls.Call;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.calls.reader.HeardStructure;
import app.nosegay.calls.reader.TranscriptJson;
import app.nosegay.captions.Caption;
import app.nosegay.jobs.Libraries;
import app.nosegay.jobs.PlanFrom;
import app.nosegay.jobs.SaidInVideo;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
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

/** {@code nosegay transcript FILE}: the calls in a timed transcript and the structure they tell of, without any plan. */
@Command(name = "transcript", mixinStandardHelpOptions = true)
final class TranscriptCommand implements Callable<Integer> {
    @Parameters(paramLabel = "FILE", descriptionKey = "nosegay.transcript.file")
    private Path file;

    @Option(names = "--json", paramLabel = "FILE", descriptionKey = "nosegay.transcript.json")
    private String json;

    @Option(names = "--sheet", paramLabel = "FILE", descriptionKey = "nosegay.transcript.sheet")
    private Path sheet;

    @Option(names = "--chapters", paramLabel = "FILE", descriptionKey = "nosegay.transcript.chapters")
    private Path chapters;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        writing.reads(file).checkJson(json);
        writing.check(sheet);
        writing.check(chapters);
        List<Caption> captions = SaidInVideo.captions(
                file, new ConsoleProgress("listening", spec.commandLine().getErr()));
        List<Call> calls = CallReader.read(captions, Libraries.current().names());
        List<HeardStructure.Heard> heard = HeardStructure.of(calls);
        if (sheet != null) {
            writing.text(sheet, PlanFrom.draft(calls));
        }
        if (chapters != null) {
            writing.text(chapters, PlanFrom.chapters(calls));
        }
        if (writing.json(json, TranscriptJson.of(calls, heard))) {
            return Main.DONE;
        }
        PrintWriter out = spec.commandLine().getOut();
        for (Call c : calls) {
            String value = c.value() == null
                    ? ""
                    : " " + c.value() + (c.to() == null ? "" : CliText.of("transcript-command.to", c.to()));
            out.printf(
                    "%8s  %-13s%-26s \"%s\"%n",
                    clock(c.time()), c.kind().word(), value + (c.of() == null ? "" : " " + c.of()), c.text());
        }
        out.printf(CliText.of("transcript-command.row-counts"), calls.size(), heard.size());
        for (HeardStructure.Heard h : heard) {
            out.printf(
                    Locale.ROOT,
                    CliText.of("transcript-command.row-interval"),
                    clock(h.span().start()),
                    clock(h.span().end()),
                    h.kind(),
                    h.move() == null ? "" : h.move(),
                    h.round() == null ? "" : CliText.of("transcript-command.round", h.round()),
                    h.doubt());
        }
        out.flush();
        return Main.DONE;
    }

    private static String clock(Time<Axis.Take> time) {
        double seconds = time.seconds();
        return String.format(Locale.ROOT, "%d:%04.1f", (int) (seconds / 60), seconds % 60);
    }
}
