package app.nosegay.bench;

import app.nosegay.bench.calls.CallSheet;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.jobs.Libraries;
import app.nosegay.match.Matcher;
import app.nosegay.match.Pin;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.standins.Performance;
import app.nosegay.standins.Trouble;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.PrintWriter;
import java.util.ArrayDeque;
import java.util.Arrays;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;

/** Times matching half an hour, solving it again after a pin, and reading the calls of a long transcript. */
final class MatchBench {
    private static final String HALF_HOUR =
            "title: Bench\ntalk Hi  0:40\ncircuit A  rounds 10  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\n";
    private static final double POSE_HZ = 10;
    private static final int POSE_CELLS = 576;
    private static final int LINES = 1000;

    private MatchBench() {}

    static void rows(PrintWriter out, long seed) throws Exception {
        Timeline timeline = Timing.timeline(HALF_HOUR);
        CuePlan cues = CuePlanner.plan(timeline, Libraries.current(), SpeechRate.DEFAULT);
        TakeEvidence evidence = seen(
                Performance.of(timeline, cues, seed, Set.of(Trouble.LATE_START, Trouble.HOLD))
                        .evidence("t"),
                seed);
        List<ShootLog> noLog = Arrays.asList((ShootLog) null);
        // What a take indicates is kept by take: each run is given a new one, of which the calls are read, as they are
        // once a take.
        Set<String> moves = new TreeSet<>(timeline.workMoves(true));
        Deque<TakeEvidence> fresh = new ArrayDeque<>();
        for (int i = 0; i <= Timing.RUNS; i++) {
            TakeEvidence take = seen(evidence, seed);
            CallReader.in(take, moves);
            fresh.add(take);
        }
        double match = Timing.median(() -> Matcher.match(timeline, List.of(fresh.remove()), noLog, List.of()));
        Matcher.match(timeline, List.of(evidence), noLog, List.of());
        Segment middle = timeline.segments().get(timeline.segments().size() / 2);
        Pin pin = new Pin(middle.id(), false, "t", Time.ofSeconds(middle.start().seconds() + 5));
        double pinned = Timing.median(() -> Matcher.match(timeline, List.of(evidence), noLog, List.of(pin)));
        row(out, "matching 30 min, " + timeline.segments().size() + " segments, no tones", match, "bar ≤ 1 s");
        row(out, "solving again after a pin", pinned, "bar ≤ 0.1 s");
        List<Caption> said = CallSheet.longTranscript("calls-own.txt", LINES);
        double calls =
                Timing.median(() -> CallReader.read(said, Libraries.current().names()));
        row(out, "calls of a transcript of " + said.size() + " lines", calls, "no bar");
        out.flush();
    }

    private static void row(PrintWriter out, String what, double seconds, String bar) {
        out.printf(Locale.ROOT, "%-42s %6.2f s %s%n", what, seconds, bar);
    }

    /** The same with small pictures, which a stream has none of: noise, as long as the take. */
    private static TakeEvidence seen(TakeEvidence e, long seed) {
        byte[] grey = new byte[(int) (e.length().seconds() * POSE_HZ) * POSE_CELLS];
        new Random(seed).nextBytes(grey);
        return new TakeEvidence(
                e.id(),
                e.file(),
                e.length(),
                e.tones(),
                e.beeps(),
                e.loudness(),
                e.motion(),
                new TakeEvidence.Poses(POSE_HZ, POSE_CELLS, grey),
                e.words());
    }
}
