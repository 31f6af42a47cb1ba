package app.nosegay.cli;

import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.jobs.ListenJob;
import app.nosegay.jobs.Media;
import app.nosegay.jobs.SecondCameras;
import app.nosegay.jobs.SightJob;
import app.nosegay.jobs.WorkoutFile;
import app.nosegay.jobs.WorkoutMedia;
import app.nosegay.match.Match;
import app.nosegay.media.MediaInput;
import app.nosegay.media.Progress;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Interval;
import app.nosegay.review.MatchJson;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.io.PrintWriter;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.Callable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Model.CommandSpec;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;
import picocli.CommandLine.Spec;

/** {@code nosegay match}: where everything planned is in the footage. */
@Command(name = "match", mixinStandardHelpOptions = true)
final class MatchCommand implements Callable<Integer> {
    @Parameters(paramLabel = "PLAN", descriptionKey = "nosegay.match.plan")
    private Path plan;

    @Option(
            names = "--footage",
            required = true,
            arity = "1..*",
            paramLabel = "FILE",
            descriptionKey = "nosegay.match.footage")
    private List<Path> footage;

    @Option(names = "--transcript", arity = "1..*", paramLabel = "FILE", descriptionKey = "nosegay.match.transcript")
    private List<Path> transcripts = new ArrayList<>();

    @Option(names = "--log", arity = "1..*", paramLabel = "FILE", descriptionKey = "nosegay.match.log")
    private List<Path> logs = new ArrayList<>();

    @Option(
            names = "--second-camera",
            arity = "1..*",
            paramLabel = "FILE",
            descriptionKey = "nosegay.match.second-camera")
    private List<Path> cameras = new ArrayList<>();

    @Option(
            names = "--seen-by-it",
            arity = "1..*",
            paramLabel = "INTERVAL",
            descriptionKey = "nosegay.match.seen-by-it")
    private List<String> seen = new ArrayList<>();

    @Option(names = "--listen", descriptionKey = "nosegay.match.listen")
    private boolean listen;

    @Option(names = "--look", descriptionKey = "nosegay.match.look")
    private boolean look;

    @Option(
            names = "--not-a-person",
            arity = "1..*",
            paramLabel = "TIME,ACROSS,DOWN",
            converter = PicturePlace.class,
            descriptionKey = "nosegay.match.not-a-person")
    private List<PicturePlace.Percent> nobody = new ArrayList<>();

    @Option(names = "--save", paramLabel = "WORKOUT", descriptionKey = "nosegay.match.save")
    private Path save;

    @Option(names = "--json", paramLabel = "FILE|-", descriptionKey = "nosegay.match.json")
    private String json;

    @Mixin
    private Writing writing = new Writing();

    @Spec
    private CommandSpec spec;

    @Override
    public Integer call() throws Exception {
        if (transcripts.size() > footage.size() || logs.size() > footage.size()) {
            throw new IOException(CliText.of("match-command.there-are-more-transcripts-or"));
        }
        if (!seen.isEmpty() && cameras.isEmpty()) {
            throw new IOException(CliText.of("match-command.no-second-camera"));
        }
        footage.forEach(writing::reads);
        transcripts.forEach(writing::reads);
        logs.forEach(writing::reads);
        cameras.forEach(writing::reads);
        writing.check(save);
        // A workout matched anew may be saved over where that is asked for, its run sheet never written over.
        writing.reads(plan).checkJson(json);
        Path folder = Sheets.folderOf(save == null ? footage.get(0) : save);
        Workout read = Sheets.workout(plan);
        Workout workout = withFootage(read, folder);
        WorkoutMedia media = WorkoutMedia.read(
                workout,
                folder,
                new ConsoleProgress("reading", spec.commandLine().getErr()));
        media.notices(workout)
                .forEach(n -> spec.commandLine().getErr().println(CliText.of("match-command.nosegay", n)));
        if (look) {
            SightJob.look(
                    workout,
                    media,
                    () -> false,
                    new ConsoleProgress("looking", spec.commandLine().getErr()));
            media = media.withBodies(workout);
        }
        workout = withoutNobody(withCameras(workout, media), media);
        Programme programme = media.programme(workout);
        if (listen) {
            Progress listening =
                    new ConsoleProgress("listening", spec.commandLine().getErr());
            workout = ListenJob.listen(workout, programme, folder, listening);
            programme = WorkoutMedia.read(workout, folder, Progress.NONE).programme(workout);
        }
        if (save != null) {
            WorkoutFile.save(save, workout);
        }
        if (!writing.json(
                json,
                MatchJson.of(programme.timeline(), programme.match(), programme.calls(), programme.matchFindings()))) {
            table(spec.commandLine().getOut(), programme.match());
            findings(spec.commandLine().getOut(), programme.matchFindings());
        }
        return Main.DONE;
    }

    private Workout withFootage(Workout read, Path folder) throws IOException {
        Workout workout = read.withTakes(List.of(), read.pins());
        for (int i = 0; i < footage.size(); i++) {
            Path movie = footage.get(i);
            double seconds = MediaInput.probe(movie).length().seconds();
            Path transcript = i < transcripts.size() ? transcripts.get(i) : null;
            Path log = i < logs.size() ? logs.get(i) : null;
            workout = workout.withTake(Media.reference(folder, "take-" + (i + 1), movie, seconds, transcript, log));
        }
        for (int i = 0; i < cameras.size(); i++) {
            Path movie = cameras.get(i);
            double seconds = MediaInput.probe(movie).length().seconds();
            workout = workout.withTake(Media.reference(folder, camera(i), movie, seconds, null, null));
        }
        return workout;
    }

    /** The id of a second camera's recording: they come after the takes. */
    private String camera(int i) {
        return "take-" + (footage.size() + i + 1);
    }

    /** The second cameras laid under the first recording, and the first of them shown where it was asked for. */
    private Workout withCameras(Workout read, WorkoutMedia media) throws IOException {
        Workout workout = read;
        for (int i = 0; i < cameras.size(); i++) {
            workout = SecondCameras.marked(workout, media.evidence(), camera(i), "take-1");
        }
        for (String id : seen) {
            Interval interval = media.programme(workout).timeline().intervals().stream()
                    .filter(each -> each.id().equals(id))
                    .findFirst()
                    .orElseThrow(() -> new IOException(CliText.of("match-command.no-interval", id)));
            workout = SecondCameras.seen(workout, interval, camera(0));
        }
        return workout;
    }

    /** The workout without what is no person; fails where nobody was seen. */
    private Workout withoutNobody(Workout read, WorkoutMedia media) throws IOException {
        Workout workout = read;
        for (PicturePlace.Percent percent : nobody) {
            TakeEvidence take = media.evidence().stream()
                    .filter(t -> t.id().equals(percent.take()))
                    .findFirst()
                    .orElseThrow(() -> new IOException(CliText.of("match-command.no-take", percent.take())));
            Bodies.Place place = percent.of(take.bodies());
            if (take.bodies().at(place).isEmpty()) {
                throw new IOException(CliText.of("match-command.nobody-there", percent.text()));
            }
            workout = workout.withMatching(workout.matching().withNobody(new MatchNotes.Nobody(percent.take(), place)));
        }
        return workout;
    }

    private static void findings(PrintWriter out, List<Finding> findings) {
        for (Finding f : findings) {
            out.printf("%-5s %-22s %s%n", f.severity().word(), f.code(), f.message());
        }
        out.flush();
    }

    static void table(PrintWriter out, Match match) {
        for (Match.Take t : match.takes()) {
            String clock = t.offset() == null
                    ? CliText.of("match-command.no-clock")
                    : CliText.of(
                            "match-command.clock-offset-and-rate", t.offset().seconds(), t.ratePpm());
            out.printf(
                    "%s: %s; evidence: %s%n",
                    t.id(), clock, t.evidence().isEmpty() ? "none" : String.join(", ", t.evidence()));
        }
        out.printf("%9s %9s %7s %6s  %s%n", "start", "end", "drift", "doubt", "segment");
        for (Match.Placed p : match.segments()) {
            if (p.matched()) {
                out.printf(
                        Locale.ROOT,
                        "%9.3f %9.3f %+7.2f %6.2f  %s%n",
                        p.start().seconds(),
                        p.end().seconds(),
                        p.drift().seconds(),
                        p.doubt(),
                        p.id());
            } else {
                out.printf("%9s %9s %7s %6s  %s%n", "–", "–", "–", "–", p.id() + " (missing)");
            }
        }
        for (Match.Unplanned u : match.unplanned()) {
            out.printf(
                    Locale.ROOT,
                    CliText.of("match-command.row-unplanned"),
                    u.span().start().seconds(),
                    u.span().end().seconds(),
                    u.kind());
        }
        out.flush();
    }
}
