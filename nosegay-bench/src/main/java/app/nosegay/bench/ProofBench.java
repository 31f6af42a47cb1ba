package app.nosegay.bench;

import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.dress.DressCheck;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Dresser;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.jobs.Libraries;
import app.nosegay.match.Match;
import app.nosegay.plan.Expansion;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.proof.IntervalComparison;
import app.nosegay.proof.Proof;
import app.nosegay.publish.PublishCheck;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.PrintWriter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;

/** Times placing pieces clear of people and proving a long workout. */
final class ProofBench {
    private static final int RUNS = 5;
    private static final int CELLS = 32 * 18;

    private ProofBench() {}

    static void rows(PrintWriter out) {
        Timeline sixty = timeline(10);
        Timeline long400 = timeline(67);
        row(out, "dressing and placing, " + sixty.segments().size() + " segments", placing(sixty), 1);
        row(out, "proof of " + long400.segments().size() + " segments", proving(long400), 0.1);
        out.flush();
    }

    private static void row(PrintWriter out, String what, double seconds, double bar) {
        out.printf(Locale.ROOT, "%-42s %6.3f s bar ≤ %s s%n", what, seconds, bar == 1 ? "1" : "0.1");
    }

    /** Three moves with rests, so many rounds of them. */
    private static Timeline timeline(int rounds) {
        String sheet = "title: Bench\ncircuit A  rounds " + rounds
                + "  work 0:20  rest 0:10\n  goblet squat\n  push-up\n  reverse lunge  sides alternate\n";
        return Expansion.expand(RunSheetParser.parse(sheet, Libraries.current()), Libraries.current());
    }

    private static Match match(Timeline timeline) {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            Time<Axis.Take> start = Time.ofSeconds(2 + s.start().seconds());
            Time<Axis.Take> end = start.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", start, end, start, end, 0, 0, false, false));
        }
        Length length = Length.ofSeconds(timeline.total().seconds() + 5);
        return new Match(
                List.of(new Match.Take("t", "t.mp4", length, null, 0, List.of("beeps"))), placed, List.of(), Map.of());
    }

    private static TakeEvidence evidence(Timeline timeline) {
        int frames = (int) (timeline.total().seconds() + 5) * 10;
        byte[] grey = new byte[frames * CELLS];
        new Random(1).nextBytes(grey);
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(frames / 10.0),
                List.of(),
                List.of(),
                new Trace(20, new float[0]),
                new Trace(10, new float[0]),
                new TakeEvidence.Poses(10, CELLS, grey),
                List.of());
    }

    private static double placing(Timeline timeline) {
        Match match = match(timeline);
        Cut cut = Cut.of(match);
        CuePlan cues = CuePlanner.plan(timeline, Libraries.current(), SpeechRate.DEFAULT);
        return median(() -> {
            // Evidence of its own each time: nothing is remembered of it.
            Dresser.RecordedEvidence told =
                    new Dresser.RecordedEvidence(List.of(), List.of(), List.of(evidence(timeline)));
            Dresser.dress(
                    new Edit(timeline, match, cut), cues, told, Libraries.current(), DressNotes.NONE, Frame.LANDSCAPE);
        });
    }

    private static double proving(Timeline timeline) {
        Workout workout = Workout.EMPTY.withSheet(timeline.sheet().text());
        List<ShootLog> none = Arrays.asList((ShootLog) null);
        Programme programme = Programme.of(workout, List.of(evidence(timeline)), none, Libraries.current());
        return median(() -> {
            List<Finding> found = new ArrayList<>(programme.report().findings());
            found.addAll(programme.scriptFindings());
            found.addAll(programme.matchFindings());
            found.addAll(DressCheck.findings(programme.dressing()));
            found.addAll(PublishCheck.findings(programme.chapters(), programme.captions(), true));
            Proof.of(
                    IntervalComparison.of(
                            programme.timeline(), programme.match(), programme.cut(), programme.calls(), found),
                    found,
                    f -> workout.waiver(f).isPresent());
        });
    }

    private static double median(Runnable timed) {
        double[] seconds = new double[RUNS];
        for (int i = 0; i < RUNS; i++) {
            long began = System.nanoTime();
            timed.run();
            seconds[i] = (System.nanoTime() - began) / 1e9;
        }
        Arrays.sort(seconds);
        return seconds[RUNS / 2];
    }
}
