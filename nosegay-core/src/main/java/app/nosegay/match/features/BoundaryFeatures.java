package app.nosegay.match.features;

import app.nosegay.calls.Call;
import app.nosegay.calls.Fluffs;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.PostureSteps;
import app.nosegay.evidence.sight.SetEdges;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.ScriptLine;
import java.util.IdentityHashMap;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/**
 * What the evidence of one take says about each boundary and each segment, on the matcher's grid. Boundary k is the start of segment k; the
 * last one is the end of the workout.
 */
public final class BoundaryFeatures {
    private final Timeline timeline;
    private final int bins;
    /** Whether a timer was at work: as many beeps as that are no accident. */
    private final boolean timed;

    private final List<Double> onsets;
    private final float[] fluffs;
    private final SightFeatures seen;
    private final VoiceFeatures voice;
    private final NameFeatures names;
    private final TalkFeatures talk;
    private final LineFeatures said;
    private final TakeEvidence.Poses poses;
    private final Map<List<Double>, SetEdges.Edges> edges = new ConcurrentHashMap<>();
    private final BoundarySums sums;
    private final Map<float[], float[]> coarse = new IdentityHashMap<>();
    private final boolean heard;
    private final boolean anything;

    /** A pin changes none of what a take says; an edit of the plan does. They are large. */
    private static final int PLANS_KEPT = 3;

    private record Asked(Timeline timeline, List<ScriptLine> lines) {}

    /** The same without the voice; made when it is first wanted. */
    private BoundaryFeatures withoutVoice;

    /**
     * What the evidence of {@code take} says about the boundaries of {@code timeline}, kept with the take; {@code lines} are to be said
     * in it, as far as they are known.
     */
    public static BoundaryFeatures of(Timeline timeline, List<ScriptLine> lines, TakeEvidence take) {
        return take.derived()
                .get(PLANS_KEPT, new Asked(timeline, lines), () -> new BoundaryFeatures(timeline, lines, take));
    }

    private BoundaryFeatures(Timeline timeline, List<ScriptLine> lines, TakeEvidence take) {
        this.timeline = timeline;
        this.bins = (int) Math.ceil(take.length().seconds() / MatchWeights.GRID_SECONDS) + 1;
        List<BeepPattern.Signal> signals = Feature.BEEPS.isOn() ? BeepPattern.of(take.beeps()) : List.of();
        timed = signals.stream().filter(s -> !s.pip()).count()
                >= MatchWeights.TIMER_SHARE * PlannedMovement.turns(timeline, take);
        onsets = signals.stream()
                .filter(b -> timed && !b.pip())
                .map(BeepPattern.Signal::seconds)
                .toList();
        fluffs = Feature.FLUFFS.isOn() ? fluffs(take, bins) : new float[bins];
        List<String> moves = timeline.segments().stream()
                .filter(s -> s.kind().isMoving() && s.move() != null)
                .map(Segment::move)
                .distinct()
                .sorted()
                .toList();
        List<Call> heardCalls = CallReader.in(take, moves);
        CallFeatures calls = new CallFeatures(Feature.CALLS.isOn() ? heardCalls : List.of(), bins);
        names = new NameFeatures(
                Feature.NAMES.isOn() ? SpokenNames.in(take.words(), moves, heardCalls) : List.of(), moves, bins);
        talk = new TalkFeatures(take.words(), VoiceFeatures.speech(take, bins), bins);
        said = new LineFeatures(timeline, Feature.SCRIPT_LINES.isOn() ? lines : List.of(), take.words());
        seen = new SightFeatures(take, bins, moves, PlannedMovement.stillShare(timeline));
        poses = take.pose();
        voice = Feature.VOICE.isOn() ? VoiceFeatures.of(timeline, lines, take, bins) : VoiceFeatures.NONE;
        boolean stepping = Feature.POSTURE_STEPS.isOn();
        float[] steps = steps(stepping ? seen.steps().position() : List.of(), MatchWeights.STEP, bins);
        float[] calms = steps(stepping ? seen.steps().stillness() : List.of(), MatchWeights.CALM, bins);
        BoundarySums.Signs signs = new BoundarySums.Signs(beeps(signals, timed, bins), calls, steps, calms);
        sums = new BoundarySums(timeline, timed, signs, names, talk, voice);
        heard = !take.words().isEmpty();
        anything = !onsets.isEmpty() || !take.words().isEmpty() || seen.isInformative() || voice.isInformative();
    }

    private static float[] beeps(List<BeepPattern.Signal> signals, boolean timed, int bins) {
        float[] beeps = new float[bins];
        for (BeepPattern.Signal signal : signals) {
            if (!signal.pip()) {
                double weight = timed ? MatchWeights.BEEP : MatchWeights.STRAY_BEEP;
                Grid.bump(beeps, signal.seconds(), MatchWeights.BEEP_SIGMA, weight);
            } else if (signal.countedTo() > 0 && Feature.COUNTDOWN_PIPS.isOn()) {
                Grid.bump(beeps, signal.countedTo(), MatchWeights.BEEP_SIGMA, MatchWeights.COUNTED_TO);
            }
        }
        return beeps;
    }

    private static float[] fluffs(TakeEvidence take, int bins) {
        float[] fluffs = new float[bins];
        take.words().stream().filter(c -> Fluffs.isFluff(c.text())).forEach(c -> {
            double weight = Fluffs.isDoneAgain(c.text()) ? MatchWeights.AGAIN_SAID : MatchWeights.FLUFF_SAID;
            Grid.bump(fluffs, c.start().seconds(), MatchWeights.FLUFF_SIGMA, weight);
        });
        return fluffs;
    }

    private static float[] steps(List<PostureSteps.Step> found, double weight, int bins) {
        float[] steps = new float[bins];
        found.forEach(s -> Grid.bump(steps, s.seconds(), MatchWeights.STEP_SIGMA, weight * s.strength()));
        return steps;
    }

    private BoundaryFeatures(BoundaryFeatures other) {
        timeline = other.timeline;
        bins = other.bins;
        poses = other.poses;
        timed = other.timed;
        onsets = other.onsets;
        fluffs = other.fluffs;
        seen = other.seen;
        voice = VoiceFeatures.NONE;
        sums = other.sums.without(voice);
        names = other.names;
        talk = other.talk;
        said = other.said;
        heard = other.heard;
        anything = other.anything;
    }

    /** The same where what is said is not the script: speech and silence indicate nothing then. */
    public synchronized BoundaryFeatures withoutVoice() {
        withoutVoice = withoutVoice == null ? new BoundaryFeatures(this) : withoutVoice;
        return withoutVoice;
    }

    /** Whether there is nothing to go by. */
    public boolean isEmpty() {
        return !anything;
    }

    public int bins() {
        return bins;
    }

    /** The bin of a moment of the take, in seconds; the first or last one for moments outside it. */
    public int binAt(double seconds) {
        return Math.max(0, Math.min(bins - 1, Grid.bin(seconds)));
    }

    /** Whether an interval timer is heard. */
    public boolean isTimed() {
        return timed;
    }

    /** Whether it is known what is said. */
    public boolean hearsWords() {
        return heard;
    }

    /** Whether it is heard when somebody talks, words or not. */
    public boolean hearsTalk() {
        return !talk.greeting().isEmpty();
    }

    /** Whether movement is seen that tells work from rest. */
    public boolean seesMovement() {
        return seen.isInformative();
    }

    /** Whether speech and silence were held against the script. */
    public boolean hearsVoice() {
        return voice.isInformative();
    }

    /** How far speech and silence around a bin sound like the start of segment {@code k}; 0 where that is not told. */
    public double voiced(int k, int bin) {
        return voice.isInformative() ? sums.of(-1, k)[bin] - sums.of(null, segment(k))[bin] : 0;
    }

    /** The beeps that may be boundaries, in seconds. */
    public List<Double> onsets() {
        return onsets;
    }

    private Segment segment(int k) {
        return k >= 0 && k < timeline.segments().size() ? timeline.segments().get(k) : null;
    }

    /** How strongly the evidence speaks at each bin for boundary {@code k}, one segment going over into the next. */
    public float[] joint(int k) {
        return sums.of(k - 1, k);
    }

    /** The same for the end of segment {@code k} − 1 with something unplanned behind it. */
    public float[] ending(int k) {
        return sums.of(k - 1, -1);
    }

    /** The same for the start of segment {@code k} with something unplanned before it. */
    public float[] starting(int k) {
        return sums.of(-1, k);
    }

    /** How strongly words say at a bin that something went wrong. */
    public float fluff(int bin) {
        return fluffs[Math.min(bins - 1, bin)];
    }

    public float[] fluffs() {
        return fluffs;
    }

    /** Evidence on a grid of so many bins each, kept: of each the strongest counts. Every solve asks for the same. */
    public float[] coarse(float[] fine, int stride) {
        synchronized (coarse) {
            return coarse.computeIfAbsent(fine, x -> {
                float[] out = new float[(fine.length + stride - 1) / stride];
                for (int i = 0; i < fine.length; i++) {
                    out[i / stride] = i % stride == 0 ? fine[i] : Math.max(out[i / stride], fine[i]);
                }
                return out;
            });
        }
    }

    /** For a boundary between two segments that do not follow each other in the plan. */
    public float[] between(int before, int after) {
        return sums.of(before, after);
    }

    public float[] nothing() {
        return new float[bins];
    }

    /** The fit of a pause, in which one may move or not. */
    public Within still() {
        return new Within(seen.either(), MatchWeights.IDLE_SHARE, null, null, 0, null);
    }

    /** How near a boundary can be placed with this evidence, in seconds: what its doubt is about. */
    public double tolerance() {
        return !onsets.isEmpty()
                ? MatchWeights.TOLERANCE_BEEPS
                : heard ? MatchWeights.TOLERANCE_WORDS : MatchWeights.TOLERANCE_MOTION;
    }

    /** Cumulative fit of segment {@code k} with what is seen and said, up to a bin. */
    public Within within(int k) {
        return within(k, k + 1);
    }

    /** The same where segment {@code then} follows it. */
    public Within within(int k, int then) {
        Segment s = timeline.segments().get(k);
        double moves = Feature.MOVEMENT.isOn() ? PlannedMovement.movesShare(s) : 0;
        double[] named = s.kind().isMoving() && s.move() != null ? names.expected(s.move()) : introducing(k, then);
        double stands = !Feature.POSTURE.isOn() || named == null || !s.kind().isMoving() || moves <= 0
                ? 0
                : seen.standing(s.move());
        LineFeatures.Steps lines = said.in(s.id());
        return moves == 0 && Feature.MOVEMENT.isOn()
                ? new Within(seen.either(), MatchWeights.EITHER_SHARE, named, seen.posture(), stands, lines)
                : new Within(seen.movement(), moves, named, seen.posture(), stands, lines);
    }

    /** What tells that a rest goes before the move it is followed by; null where that move was done before it, too. */
    private double[] introducing(int k, int then) {
        Segment before = segment(k - 1);
        Segment next = segment(then);
        boolean leads = segment(k).kind() == SegmentKind.REST && PlannedMovement.isWork(next) && next.move() != null;
        boolean same = leads && before != null && next.move().equals(before.move());
        return leads && !same ? names.introduced(next.move()) : null;
    }

    /** A running sum: its value over a stretch is the difference of two entries. */
    public record Within(
            double[] movement,
            double moves,
            double[] named,
            double[] posture,
            double stands,
            LineFeatures.Steps lines) {
        public double at(int bin) {
            return moves * movement[bin]
                    + (named == null ? 0 : named[bin])
                    + (stands == 0 ? 0 : stands * posture[bin])
                    + (lines == null ? 0 : lines.at(bin));
        }
    }

    /** Whether a line written for segment {@code k} is said from one moment to another, in seconds. */
    public boolean isScripted(int k, double from, double to) {
        LineFeatures.Steps lines = said.in(segment(k).id());
        return lines != null && lines.at(Grid.bin(to)) > lines.at(Grid.bin(from));
    }

    /** Where the repetitions begin and end that are done from about {@code from} to about {@code to}, in seconds. */
    public SetEdges.Edges edges(double from, double to) {
        return edges.computeIfAbsent(List.of(from, to), span -> SetEdges.of(poses, from, to));
    }

    /** How often and how strongly a move is named from one moment to another, in seconds. */
    public double named(String move, double from, double to) {
        return names.mentioned(move, Grid.bin(from), Grid.bin(to));
    }

    /**
     * How far what is seen between two moments, in seconds, speaks for a move done standing or on the floor; 0 where it does not tell,
     * and for holds and stretches, which are done in many positions.
     */
    public double posture(String move, double from, double to) {
        return PlannedMovement.isHeld(move) ? 0 : seen.posture(move, from, to);
    }

    /** Mean movement between two moments, −1 (still) to 1; 0 where nothing is seen. */
    public double movement(double from, double to) {
        return seen.movement(from, to);
    }
}
