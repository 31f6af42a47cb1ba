package app.nosegay.bench.accuracy;

import app.nosegay.captions.TranscriptReader;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.MoveLibrary;
import app.nosegay.media.Progress;
import app.nosegay.media.TakeReader;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.standins.Performance;
import app.nosegay.standins.SimulatedTake;
import app.nosegay.standins.Trouble;
import app.nosegay.standins.Voice;
import app.nosegay.time.SpeechRate;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.function.Consumer;

/** The matcher on takes that were really filmed and read back, beside the same runs as evidence streams. */
public final class FilmedAccuracy {
    private static final String SHEET = "title: Filmed\ncalls: half, 10, in 3, out 3\ntalk Hi  0:08\n"
            + "circuit A  rounds 2  work 0:14  rest 0:09\n  goblet squat\n  push-up\n  single-arm row  sides halves\n"
            + "talk Bye  0:08\n";

    /** One take each. */
    private static final List<Set<Trouble>> TAKES = List.of(
            EnumSet.noneOf(Trouble.class),
            EnumSet.of(Trouble.CLOCK_RATE, Trouble.LATE_START),
            EnumSet.of(Trouble.SWAP, Trouble.MISSED_BEEPS),
            EnumSet.of(Trouble.SKIP, Trouble.QUIET_VOICE),
            EnumSet.of(Trouble.REPEAT, Trouble.MUSIC),
            EnumSet.of(Trouble.FLUFF, Trouble.EXTRA_BEEPS),
            EnumSet.of(Trouble.UNPLANNED_MOVE, Trouble.FOOTSTEPS),
            EnumSet.of(Trouble.STOP_START, Trouble.HAND_CLOCK));

    private FilmedAccuracy() {}

    /** Films all takes into {@code folder}, reads and matches them; a line per take and level, and one over all. */
    public static void table(Path folder, Voice voice, Consumer<String> lines) throws IOException {
        MoveLibrary library = MoveLibrary.shipped();
        Timeline timeline = Expansion.expand(RunSheetParser.parse(SHEET, library), library);
        CuePlan cues = CuePlanner.plan(timeline, library, SpeechRate.DEFAULT);
        Map<Accuracy.Level, Accuracy.Errors> filmed = new EnumMap<>(Accuracy.Level.class);
        Map<Accuracy.Level, Accuracy.Errors> streamed = new EnumMap<>(Accuracy.Level.class);
        for (int i = 0; i < TAKES.size(); i++) {
            String id = "take-" + (i + 1);
            Performance p = Performance.of(timeline, cues, i + 1, TAKES.get(i));
            SimulatedTake.make(
                    timeline, library, new SimulatedTake.Run(folder, id, i + 1, TAKES.get(i)), voice, Progress.NONE);
            List<TakeEvidence> takes = new ArrayList<>();
            for (TakeEvidence e : p.evidences(id)) {
                takes.add(read(folder, e.id()));
            }
            StringBuilder line = new StringBuilder("filmed " + id + " " + named(TAKES.get(i)) + ":");
            for (Accuracy.Level level : Accuracy.Level.values()) {
                Accuracy.Errors errors = Accuracy.of(p, id, takes, level);
                line.append(String.format(Locale.ROOT, " %s %.0f %%", level, 100 * errors.share()));
                filmed.computeIfAbsent(level, l -> new Accuracy.Errors()).add(errors);
                streamed.computeIfAbsent(level, l -> new Accuracy.Errors()).add(Accuracy.of(p, level));
            }
            lines.accept(line.toString());
        }
        for (Accuracy.Level level : Accuracy.Level.values()) {
            lines.accept(String.format(Locale.ROOT, "filmed %-8s %s", level, filmed.get(level)));
            lines.accept(String.format(Locale.ROOT, "stream %-8s %s", level, streamed.get(level)));
        }
    }

    private static String named(Set<Trouble> troubles) {
        return troubles.isEmpty()
                ? "honest"
                : String.join(" + ", troubles.stream().map(Trouble::word).toList());
    }

    private static TakeEvidence read(Path folder, String id) throws IOException {
        TakeEvidence e =
                TakeReader.read(folder.resolve(id + ".mp4"), id, Progress.NONE).evidence();
        return e.withWords(TranscriptReader.read(Files.readAllBytes(folder.resolve(id + ".words.json"))));
    }
}
