package app.nosegay.cli;

import app.nosegay.files.InputFile;
import app.nosegay.jobs.DescriptionTemplate;
import app.nosegay.jobs.MediaRelinker;
import app.nosegay.jobs.Output;
import app.nosegay.jobs.PublishJob;
import app.nosegay.jobs.PublishVideo;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.media.Progress;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import java.util.function.Function;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay publish}: everything a workout is published as. */
@Command(name = "publish", mixinStandardHelpOptions = true)
final class PublishCommand implements Callable<Integer> {
    @Parameters(paramLabel = "WORKOUT", descriptionKey = "nosegay.publish.workout")
    private Path file;

    @Option(names = "--out", required = true, paramLabel = "DIR", descriptionKey = "nosegay.publish.out")
    private Path out;

    @Option(names = "--render", descriptionKey = "nosegay.publish.render")
    private boolean render;

    @Option(names = "--layer", descriptionKey = "nosegay.publish.layer")
    private boolean layer;

    @Option(
            names = "--only",
            split = ",",
            paramLabel = "OUTPUT",
            descriptionKey = "nosegay.publish.only",
            completionCandidates = Outputs.class)
    private List<String> only = new ArrayList<>();

    @Option(names = "--shape", defaultValue = "as-filmed", descriptionKey = "nosegay.publish.shape")
    private String shape;

    @Option(names = "--quality", defaultValue = "good", descriptionKey = "nosegay.publish.quality")
    private String quality;

    @Option(names = "--template", paramLabel = "FILE", descriptionKey = "nosegay.publish.template")
    private Path template;

    /** The names of the outputs, for the help. */
    static final class Outputs extends ArrayList<String> {
        private static final long serialVersionUID = 1;

        Outputs() {
            super(Arrays.stream(Output.values()).map(Output::word).toList());
        }
    }

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        Workout workout = MediaRelinker.foundAgain(WorkoutFile.open(file), Sheets.folderOf(file));
        Path into = writing.reads(workout, file).folder(out);
        PrintWriter err = spec.commandLine().getErr();
        WorkoutMedia media = WorkoutMedia.read(workout, Sheets.folderOf(file), new ConsoleProgress("reading", err));
        media.notices(workout).forEach(err::println);
        Programme programme = media.programme(workout);
        List<Path> written = new ArrayList<>();
        for (Output output : wanted(programme)) {
            ConsoleProgress progress = new ConsoleProgress(output.label().toLowerCase(Locale.ROOT), err);
            PublishJob.Written one = PublishJob.write(
                    output,
                    new PublishJob.Export(programme, media, into, writing.overwrite(), choices()),
                    output.isRendered() ? progress : Progress.NONE);
            written.add(one.file());
            one.taken().ifPresent(words -> err.println(one.file().getFileName() + ": " + words));
        }
        PrintWriter print = spec.commandLine().getOut();
        written.forEach(print::println);
        if (programme.captions().isEmpty()) {
            err.println(CliText.of("publish-command.no-captions-were-written-no"));
        }
        print.flush();
        return Main.DONE;
    }

    private PublishJob.Choices choices() throws IOException {
        PublishVideo.Shape wantedShape = named(PublishVideo.Shape.values(), PublishVideo.Shape::word, "shape", shape);
        PublishVideo.Quality wantedQuality =
                named(PublishVideo.Quality.values(), PublishVideo.Quality::word, "quality", quality);
        String text = template == null ? DescriptionTemplate.current() : InputFile.TEXT.text(template);
        return new PublishJob.Choices(wantedShape, wantedQuality, text);
    }

    private List<Output> wanted(Programme programme) throws IOException {
        if (!only.isEmpty()) {
            List<Output> chosen = new ArrayList<>();
            for (String word : only) {
                chosen.add(named(Output.values(), Output::word, "output", word));
            }
            return chosen;
        }
        return PublishJob.possible(programme).stream()
                .filter(o -> !o.isRendered() || (o.group() == Output.Group.LAYER ? layer : render))
                .toList();
    }

    private static <E> E named(E[] values, Function<E, String> word, String what, String given) throws IOException {
        for (E value : values) {
            if (word.apply(value).equals(given)) {
                return value;
            }
        }
        throw new IOException(CliText.of(
                "publish-command.there-is-no-use-one",
                what,
                given,
                String.join(", ", Arrays.stream(values).map(word).toList())));
    }
}
