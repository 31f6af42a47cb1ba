package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TranscriptReader;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.listen.ScriptListener;
import app.nosegay.media.Progress;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.standins.GuideVoice;
import app.nosegay.standins.Performance;
import app.nosegay.standins.SimulatedTake;
import app.nosegay.time.SpeechRate;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.TreeSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A take without a transcript is listened to for the lines of the script, and what was heard becomes its transcript. */
class ListenJobTest {
    private static final String SHEET = """
            title: Bean Row
            calls: 5, in 3
            talk Hi  0:08
            circuit A  work 0:16  rest 0:10
              goblet squat
                form: Keep your chest tall, weight through the whole foot.
              push-up
                form: Lower with control.
            talk Bye  0:04
            """;
    /** As short as a film can be that still says a name, a form cue and the calls. */
    private static final String FILMED = SHEET.replace("  push-up\n    form: Lower with control.\n", "");

    @TempDir
    private Path folder;

    @Test
    void theLinesThatWereSaidAreHeardAndKeptBesideTheWorkout() throws Exception {
        Timeline timeline = Expansion.expand(RunSheetParser.parse(FILMED, Libraries.current()), Libraries.current());
        SimulatedTake.Written film = SimulatedTake.make(
                timeline,
                Libraries.current(),
                new SimulatedTake.Run(folder, "take-1", 3, Set.of()),
                GuideVoice.loaded(),
                Progress.NONE);
        Workout.TakeRef take =
                new Workout.TakeRef("take-1", "take-1.mp4", Files.size(film.movie()), 60, "", null, "take-1.log.json");
        Workout workout = new Workout(FILMED, List.of(take), List.of());
        WorkoutMedia media = WorkoutMedia.read(workout, folder, Progress.NONE);
        Programme before = media.programme(workout);
        assertThat(before.captions()).isEmpty();
        assertThat(ListenJob.open(workout)).containsExactly(take);

        Set<Double> told = new TreeSet<>();
        Workout heard = ListenJob.listen(workout, before, folder, told::add);

        assertThat(told).allSatisfy(share -> assertThat(share).isBetween(0.0, 1.0));
        assertThat(heard.takes().get(0).transcript()).isEqualTo("take-1.heard.vtt");
        assertThat(heard.takes().get(0).log()).isEqualTo("take-1.log.json");
        List<Caption> lines = WorkoutMedia.transcript(folder.resolve("take-1.heard.vtt"));
        List<Caption> said = WorkoutMedia.transcript(film.transcript());
        assertThat(lines).extracting(Caption::text).anyMatch(t -> t.contains("weight through the whole foot"));
        // A line is heard phrase by phrase; counts with a breath between the numbers are not.
        long right = said.stream()
                .filter(s -> lines.stream()
                        .anyMatch(h -> s.text().startsWith(h.text())
                                && Math.abs(h.start().since(s.start()).seconds()) < 1))
                .count();
        assertThat(right).as("of " + said.size() + " lines").isGreaterThanOrEqualTo(said.size() * 7L / 10);
        Programme after = WorkoutMedia.read(heard, folder, Progress.NONE).programme(heard);
        assertThat(after.captions()).isNotEmpty();
        assertThat(ListenJob.open(heard))
                .as("what was heard may be heard again")
                .hasSize(1);
    }

    /** What was forgotten is listened for in a recording of its own, with what was said wrong. */
    @Test
    void aForgottenOptionIsListenedFor() {
        String sheet = SHEET.replace("  push-up\n", "  push-up\n    easier: Hands on a wall, feet near it.\n");
        Timeline timeline = Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current());
        CuePlan cues = CuePlanner.plan(timeline, Libraries.current(), SpeechRate.DEFAULT);
        Performance run = Performance.of(timeline, cues, 1, Set.of());
        TakeEvidence whole = run.evidence("take-1");
        List<Caption> forgotten = whole.words().stream()
                .filter(c -> !c.text().toLowerCase(Locale.ROOT).contains("wall"))
                .toList();
        assertThat(forgotten)
                .as("it is in the script")
                .hasSizeLessThan(whole.words().size());
        Workout.TakeRef take = new Workout.TakeRef("take-2", "take-2.mp4", 1, 20, "", null, null);
        assertThat(expected(sheet, whole, run, take)).noneMatch(t -> t.contains("wall"));
        assertThat(expected(sheet, whole.withWords(forgotten), run, take)).anyMatch(t -> t.contains("wall"));
    }

    private static List<String> expected(String sheet, TakeEvidence heard, Performance run, Workout.TakeRef take) {
        Programme programme = Programme.of(
                Workout.EMPTY.withSheet(sheet), List.of(heard), Arrays.asList(run.log()), Libraries.current());
        return ListenJob.pickUps(programme, take).stream()
                .map(ScriptListener.Expected::text)
                .toList();
    }

    @Test
    void aTranscriptOfItsOwnIsLeftAlone() throws Exception {
        Files.writeString(folder.resolve("own.srt"), "1\n00:00:01,000 --> 00:00:02,000\nHello.\n");
        assertThat(TranscriptReader.read(Files.readAllBytes(folder.resolve("own.srt"))))
                .hasSize(1);
        Workout.TakeRef take = new Workout.TakeRef("take-1", "take-1.mp4", 1, 60, "", "own.srt", null);
        Workout workout = new Workout(SHEET, List.of(take), List.of());
        assertThat(ListenJob.open(workout)).isEmpty();
        Programme none = Programme.of(workout, List.of(), List.of(), Libraries.current());
        assertThat(ListenJob.listen(workout, none, folder, Progress.NONE)).isEqualTo(workout);
    }
}
