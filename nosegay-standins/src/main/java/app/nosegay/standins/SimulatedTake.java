package app.nosegay.standins;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TimedText;
import app.nosegay.files.AtomicFile;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.Progress;
import app.nosegay.plan.Timeline;
import app.nosegay.review.MatchJson;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import com.fasterxml.jackson.databind.json.JsonMapper;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Writes a simulated take and everything that goes with it into a folder. */
public final class SimulatedTake {
    private SimulatedTake() {}

    /** The files of one take; {@code movie} is null for an evidence stream alone. */
    public record Written(Path movie, Path transcript, Path words, Path log, Path truth) {}

    /** All files a take called {@code id} may be made of, there or not. */
    public static List<Path> files(Path folder, String id) {
        return Stream.of(
                        ".mp4",
                        ".vtt",
                        ".words.json",
                        ".log.json",
                        ".truth.json",
                        "-2.mp4",
                        "-2.vtt",
                        "-2.words.json",
                        "-2.log.json")
                .map(ending -> folder.resolve(id + ending))
                .toList();
    }

    /**
     * Which run, and where to.
     *
     * @param id the take's name and the stem of its files
     */
    public record Run(Path folder, String id, long seed, Set<Trouble> troubles) {}

    /**
     * Runs, and films, a plan.
     *
     * @param voice says the script; null makes the evidence stream alone, without a film
     */
    public static Written make(Timeline timeline, MoveLibrary library, Run run, Voice voice, Progress progress)
            throws IOException {
        Path folder = run.folder();
        String id = run.id();
        Set<Trouble> troubles = run.troubles();
        Files.createDirectories(folder);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        Performance performance = Performance.of(timeline, cues, run.seed(), troubles);
        Time<Axis.Take> stop = performance.stoppedAt();
        Path movie = voice == null ? null : folder.resolve(id + ".mp4");
        Path second = voice == null ? null : folder.resolve(id + "-2.mp4");
        List<Spoken> said = voice == null
                ? performance.spoken()
                : SimulatedCamera.film(performance, library, voice, movie, second, progress);
        List<Caption> captions = said.stream().map(Spoken::caption).toList();
        Path log = AtomicFile.write(
                folder.resolve(id + ".log.json"), performance.log().toJson());
        Written written = transcripts(folder, id, part(captions, Time.zero(), stop), movie, log);
        if (stop != null) {
            // The clock went on: both recordings are of the same run.
            AtomicFile.write(
                    folder.resolve(id + "-2.log.json"), performance.log().toJson());
            transcripts(folder, id + "-2", part(captions, stop, null), second, log);
        }
        ObjectNode truth = MatchJson.of(timeline, performance.truthInParts(id));
        ArrayNode named = truth.putArray("troubles");
        troubles.forEach(t -> named.add(t.word()));
        ArrayNode events = truth.putArray("events");
        for (Scenario.Event e : performance.events()) {
            events.addObject()
                    .put("trouble", e.trouble().word())
                    .put("segment", e.segment())
                    .put("detail", e.detail());
        }
        Path truthFile = AtomicFile.write(folder.resolve(id + ".truth.json"), truth.toPrettyString() + "\n");
        return new Written(movie, written.transcript(), written.words(), log, truthFile);
    }

    /** What was said from one moment to another (null for the end), counted from the first. */
    private static List<Caption> part(List<Caption> all, Time<Axis.Take> from, Time<Axis.Take> to) {
        Length by = from.since(Time.zero());
        return all.stream()
                .filter(c ->
                        !c.start().isBefore(from) && (to == null || c.start().isBefore(to)))
                .map(c -> new Caption(c.start().minus(by), c.end().minus(by), c.text()))
                .toList();
    }

    /** The transcript of one recording of a run, in both forms. */
    private static Written transcripts(Path folder, String id, List<Caption> captions, Path movie, Path log)
            throws IOException {
        Path transcript = AtomicFile.write(
                folder.resolve(id + ".vtt"),
                TimedText.webVtt(captions.stream().map(SimulatedTake::cue).toList()));
        Path words = AtomicFile.write(folder.resolve(id + ".words.json"), words(captions));
        return new Written(movie, transcript, words, log, null);
    }

    private static TimedText.Cue cue(Caption caption) {
        Span<Axis.Cut> span = new Span<>(
                new Time<>(caption.start().micros()), new Time<>(caption.end().micros()));
        return new TimedText.Cue(span, caption.text());
    }

    private static String words(List<Caption> captions) {
        ArrayNode list = JsonMapper.builder().build().createArrayNode();
        for (Caption caption : captions) {
            for (Caption.Word word : caption.words()) {
                list.addObject()
                        .put("word", word.text())
                        .put("start", Math.round(word.start().seconds() * 1000) / 1000.0)
                        .put("end", Math.round(word.end().seconds() * 1000) / 1000.0);
            }
        }
        return list.toPrettyString() + "\n";
    }
}
