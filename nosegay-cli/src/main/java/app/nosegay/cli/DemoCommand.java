package app.nosegay.cli;

import app.nosegay.jobs.Demo;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.match.Match;
import app.nosegay.media.MediaInfo;
import app.nosegay.media.MediaInput;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Spec;

/** {@code nosegay demo}: the window on the demo workout, or the whole job without one. */
@Command(name = "demo", mixinStandardHelpOptions = true)
final class DemoCommand implements Callable<Integer> {
    @Option(names = "--headless", descriptionKey = "nosegay.demo.headless")
    private boolean headless;

    @Option(names = "--out", paramLabel = "DIR", descriptionKey = "nosegay.demo.out")
    private Path out;

    @Spec
    private CommandSpec spec;

    private long lastNanos = System.nanoTime();

    @Override
    public Integer call() throws Exception {
        if (!headless) {
            Path folder = out == null ? Demo.home() : out;
            return Main.window("demo", folder.toString());
        }
        if (out == null) {
            throw new IOException(CliText.of("demo-command.say-where-the-demos-files"));
        }
        PrintWriter print = spec.commandLine().getOut();
        PrintWriter err = spec.commandLine().getErr();
        Files.createDirectories(out);
        long began = System.nanoTime();
        Path file = Demo.prepare(out, new ConsoleProgress("filming", err));
        Workout workout = WorkoutFile.open(file);
        step(print, CliText.of("demo-command.planned-and-filmed"), out.resolve("take-1.mp4"));
        WorkoutMedia media = WorkoutMedia.read(workout, Sheets.folderOf(file), new ConsoleProgress("reading", err));
        step(print, CliText.of("demo-command.read-the-take"), null);
        Programme programme = media.programme(workout);
        long found = programme.match().segments().stream()
                .filter(Match.Placed::matched)
                .count();
        step(
                print,
                CliText.of(
                        "demo-command.matched-of-segments-dressed-with",
                        found,
                        programme.match().segments().size(),
                        programme.dressing().pieces().size()),
                null);
        List<Path> texts = PublishJob.texts(programme, media, out, true);
        for (Path text : texts) {
            step(print, "wrote", text);
        }
        Path video = PublishJob.write(
                        Output.VIDEO,
                        new PublishJob.Export(programme, media, out, true, PublishJob.Choices.USUAL),
                        new ConsoleProgress("rendering", err))
                .file();
        rendered(print, video);
        print.printf(Locale.ROOT, CliText.of("demo-command.row-in-all"), (System.nanoTime() - began) / 1e9);
        print.flush();
        return Main.DONE;
    }

    private void rendered(PrintWriter print, Path video) throws IOException {
        MediaInfo info = MediaInput.probe(video);
        step(
                print,
                CliText.of(
                        "demo-command.rendered-of-x",
                        info.length(),
                        info.video().width(),
                        info.video().height()),
                video);
    }

    private void step(PrintWriter print, String what, Path file) {
        long now = System.nanoTime();
        print.printf(Locale.ROOT, "%6.1f s  %s%s%n", (now - lastNanos) / 1e9, what, file == null ? "" : " " + file);
        print.flush();
        lastNanos = now;
    }
}
