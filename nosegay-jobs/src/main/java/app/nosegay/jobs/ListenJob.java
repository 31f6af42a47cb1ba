package app.nosegay.jobs;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptWriter;
import app.nosegay.files.AtomicFile;
import app.nosegay.listen.ScriptListener;
import app.nosegay.media.Progress;
import app.nosegay.media.SoundReader;
import app.nosegay.proof.PickUps;
import app.nosegay.review.Misstatement;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/**
 * Listens for the script in the takes that came without a transcript. What is heard is written beside the workout as WebVTT with word times
 * ({@code take-1.heard.vtt}) and can be corrected like any other transcript; one that was brought along always wins.
 */
public final class ListenJob {
    private static final String ENDING = ".heard.vtt";
    /** Reading the sound is this share of the work; listening is the rest. */
    private static final double READING = 0.05;

    private ListenJob() {}

    /** The takes without a transcript of their own: what was heard before is heard again. */
    public static List<Workout.TakeRef> open(Workout workout) {
        return workout.takes().stream()
                .filter(t -> t.transcript() == null || t.transcript().endsWith(ENDING))
                .toList();
    }

    /**
     * Listens; takes about a third as long as the takes on two cores.
     *
     * @param programme what was matched without the words: it tells where each line is expected
     * @return the workout with the transcripts that were written; a take in which nothing was heard stays without
     */
    public static Workout listen(Workout workout, Programme programme, Path folder, Progress progress)
            throws IOException {
        List<Workout.TakeRef> open = open(workout);
        List<Workout.TakeRef> takes = new ArrayList<>(workout.takes());
        for (int i = 0; i < open.size(); i++) {
            Workout.TakeRef take = open.get(i);
            int before = i;
            List<Caption> heard = heard(take, programme, folder, share -> progress.at((before + share) / open.size()));
            Path file = folder.resolve(take.id() + ENDING);
            if (!heard.isEmpty()) {
                if (Files.exists(file)) {
                    SetAside.alsoUnder(file); // it may have been corrected by hand
                }
                AtomicFile.write(file, TranscriptWriter.webVtt(heard));
                takes.set(workout.takes().indexOf(take), take.at(take.file(), Media.stored(folder, file), take.log()));
            }
        }
        return workout.withTakes(takes, workout.pins());
    }

    /** Listens for {@code lines} in a recording of nothing else; what is heard is written beside it, where an import finds it. */
    static List<Caption> beside(Path movie, List<ScriptListener.Expected> lines, Progress progress) throws IOException {
        float[] sound = SoundReader.mono(movie, ScriptListener.HZ, share -> progress.at(READING * share));
        List<Caption> heard =
                ScriptListener.listen(sound, lines, share -> progress.at(READING + (1 - READING) * share));
        if (!heard.isEmpty()) {
            String name = movie.getFileName().toString().replaceFirst("\\.[^.]+$", "");
            AtomicFile.write(movie.resolveSibling(name + ".vtt"), TranscriptWriter.webVtt(heard));
        }
        return heard;
    }

    private static List<Caption> heard(Workout.TakeRef take, Programme programme, Path folder, Progress progress)
            throws IOException {
        float[] sound =
                SoundReader.mono(Media.present(folder, take), ScriptListener.HZ, share -> progress.at(READING * share));
        List<ScriptListener.Expected> expected =
                ScriptListener.expected(programme.timeline(), programme.cues(), programme.match(), take.id());
        return ScriptListener.listen(
                sound,
                expected.isEmpty() ? pickUps(programme, take) : expected,
                share -> progress.at(READING + (1 - READING) * share));
    }

    /** In a take in which nothing of the plan is done, what is to be said again, or was not said yet, may be said at any time. */
    static List<ScriptListener.Expected> pickUps(Programme programme, Workout.TakeRef take) {
        Span<Axis.Take> whole = new Span<>(Time.zero(), Time.ofSeconds(take.seconds()));
        return Stream.concat(
                        programme.misstatements().stream().map(Misstatement::say),
                        programme.pickUps().lines().stream().map(PickUps.Line::say))
                .filter(say -> !say.isEmpty())
                .distinct()
                .map(say -> new ScriptListener.Expected(say, whole))
                .toList();
    }
}
