package app.nosegay.match.features;

import app.nosegay.calls.Call;
import app.nosegay.calls.Fluffs;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SetEdges;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.ScriptLine;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import java.util.regex.Pattern;

/**
 * What the evidence of one take says about each boundary and each segment, on the matcher's grid. Boundary k is the start of segment k; the
 * last one is the end of the workout.
 */
public final class BoundaryFeatures {
    /** Moves held still, by their names. */
    private static final Pattern HELD = Pattern.compile("(?i).*\\b(?:plank|holds?|stretch|pose|wall sit)");

    private final Timeline timeline;
    private final int bins;
    /** Whether a timer was at work: as many beeps as that are no accident. */
    private final boolean timed;

    private final List<Double> onsets;
    private final float[] beeps;
    private final CallFeatures calls;
    private final float[] fluffs;
    private final float[] steps;
    private final float[] calms;
    private final SightFeatures seen;
    private final VoiceFeatures voice;
    private final NameFeatures names;
    private final TalkFeatures talk;
    private final LineFeatures said;
    private final TakeEvidence.Poses poses;
    private final Map<List<Double>, SetEdges.Edges> edges = new ConcurrentHashMap<>();
    private final Map<String, float[]> sums = new ConcurrentHashMap<>();
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
        beeps = new float[bins];
        fluffs = new float[bins];
        List<BeepPattern.Signal> signals = Feature.BEEPS.isOn() ? BeepPattern.of(take.beeps()) : List.of();
        timed = signals.stream().filter(s -> !s.pip()).count() >= MatchWeights.TIMER_SHARE * turns(timeline, take);
        for (BeepPattern.Signal signal : signals) {
            if (signal.pip() && !Feature.COUNTDOWN_PIPS.isOn()) {
                continue;
            }
            double weight = (timed ? MatchWeights.BEEP : MatchWeights.STRAY_BEEP)
                    * (signal.pip() ? MatchWeights.COUNTDOWN_SHARE : 1);
            Grid.bump(beeps, signal.seconds(), MatchWeights.BEEP_SIGMA, weight);
            if (signal.countedTo() > 0) {
                Grid.bump(beeps, signal.countedTo(), MatchWeights.BEEP_SIGMA, MatchWeights.COUNTED_TO);
            }
        }
        onsets = signals.stream()
                .filter(b -> timed && !b.pip())
                .map(BeepPattern.Signal::seconds)
                .toList();
        for (Caption c : take.words()) {
            if (Feature.FLUFFS.isOn() && Fluffs.isFluff(c.text())) {
                boolean again = Fluffs.isDoneAgain(c.text());
                double weight = again ? MatchWeights.AGAIN_SAID : MatchWeights.FLUFF_SAID;
                Grid.bump(fluffs, c.start().seconds(), MatchWeights.FLUFF_SIGMA, weight);
            }
        }
        List<String> moves = timeline.segments().stream()
                .filter(s -> s.kind().isMoving() && s.move() != null)
                .map(Segment::move)
                .distinct()
                .sorted()
                .toList();
        List<Call> heardCalls = CallReader.in(take, moves);
        calls = new CallFeatures(Feature.CALLS.isOn() ? heardCalls : List.of(), bins);
        names = new NameFeatures(
                Feature.NAMES.isOn() ? SpokenNames.in(take.words(), moves, heardCalls) : List.of(), moves, bins);
        talk = new TalkFeatures(take.words(), VoiceFeatures.speech(take, bins), bins);
        said = new LineFeatures(timeline, Feature.SCRIPT_LINES.isOn() ? lines : List.of(), take.words());
        seen = new SightFeatures(
                take, bins, moves, timed && Feature.LESS_SEEN_BESIDE_TIMER.isOn(), stillShare(timeline));
        poses = take.pose();
        steps = new float[bins];
        calms = new float[bins];
        if (Feature.POSTURE_STEPS.isOn()) {
            seen.steps()
                    .position()
                    .forEach(s ->
                            Grid.bump(steps, s.seconds(), MatchWeights.STEP_SIGMA, MatchWeights.STEP * s.strength()));
            seen.steps()
                    .stillness()
                    .forEach(s ->
                            Grid.bump(calms, s.seconds(), MatchWeights.STEP_SIGMA, MatchWeights.CALM * s.strength()));
        }
        voice = Feature.VOICE.isOn() ? VoiceFeatures.of(timeline, lines, take, bins) : VoiceFeatures.NONE;
        heard = !take.words().isEmpty();
        anything = !onsets.isEmpty() || !take.words().isEmpty() || seen.isInformative() || voice.isInformative();
    }

    private BoundaryFeatures(BoundaryFeatures other) {
        timeline = other.timeline;
        bins = other.bins;
        poses = other.poses;
        timed = other.timed;
        onsets = other.onsets;
        beeps = other.beeps;
        calls = other.calls;
        fluffs = other.fluffs;
        steps = other.steps;
        calms = other.calms;
        seen = other.seen;
        voice = VoiceFeatures.NONE;
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

    /** The share of the plan in which nothing is to move. */
    private static double stillShare(Timeline timeline) {
        double still = timeline.segments().stream()
                .filter(s -> !s.kind().isMoving() || isStill(s))
                .mapToDouble(s -> s.duration().seconds())
                .sum();
        return still / Math.max(1, timeline.total().seconds());
    }

    /** How many times as long a take would go over from work to something else or back. */
    private static double turns(Timeline timeline, TakeEvidence take) {
        int turns = 0;
        boolean was = false;
        for (Segment s : timeline.segments()) {
            turns += s.kind().isMoving() || was ? 1 : 0;
            was = s.kind().isMoving();
        }
        double share = take.length().seconds() / Math.max(1, timeline.total().seconds());
        return turns * Math.min(1, share);
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
        return voice.isInformative() ? sum(-1, k)[bin] - sum(null, segment(k))[bin] : 0;
    }

    /** The beeps that may be boundaries, in seconds. */
    public List<Double> onsets() {
        return onsets;
    }

    private float[] peaks(List<Double> seconds, double sigma, double weight) {
        float[] peaks = new float[bins];
        seconds.forEach(t -> Grid.bump(peaks, t, sigma, weight));
        return peaks;
    }

    private Segment segment(int k) {
        return k >= 0 && k < timeline.segments().size() ? timeline.segments().get(k) : null;
    }

    /** How strongly the evidence speaks at each bin for boundary {@code k}, one segment going over into the next. */
    public float[] joint(int k) {
        return sum(k - 1, k);
    }

    /** The same for the end of segment {@code k} − 1 with something unplanned behind it. */
    public float[] ending(int k) {
        return sum(k - 1, -1);
    }

    /** The same for the start of segment {@code k} with something unplanned before it. */
    public float[] starting(int k) {
        return sum(-1, k);
    }

    /** How strongly words say at a bin that something went wrong. */
    public float fluff(int bin) {
        return fluffs[Math.min(bins - 1, bin)];
    }

    public float[] fluffs() {
        return fluffs;
    }

    /** For a boundary between two segments that do not follow each other in the plan. */
    public float[] between(int before, int after) {
        return sum(before, after);
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

    private float[] sum(int ending, int starting) {
        Segment before = segment(ending);
        Segment after = segment(starting);
        float[] kinds = sum(before, after);
        boolean talks = after != null && after.kind() == SegmentKind.TALK;
        boolean talkTells = Feature.TALK.isOn();
        boolean greets = talkTells && talks && starting == 0 && before == null;
        boolean closes = talkTells && talks && starting == timeline.segments().size() - 1;
        boolean over = talkTells
                && after == null
                && ending == timeline.segments().size() - 1
                && before.kind() == SegmentKind.TALK;
        List<Double> named =
                Feature.NAMED_AT_START.isOn() && isUnintroduced(before, after) ? names.first(after.move()) : List.of();
        if (!voice.isInformative() && named.isEmpty() && !greets && !closes && !over) {
            return kinds;
        }
        return sums.computeIfAbsent(ending + ">" + starting, x -> {
            float[] sum = kinds.clone();
            addTo(sum, peaks(named, MatchWeights.NAMED_SIGMA, MatchWeights.NAMED_AT_START), 1);
            if (greets) {
                addTo(sum, peaks(talk.greeting(), MatchWeights.GREETED_SIGMA, MatchWeights.GREETED), 1);
            }
            if (over) {
                addTo(sum, talk.unfinished(), 1);
            }
            if (closes) {
                addTo(sum, talk.closing(after.duration().seconds()), 1);
            }
            if (!voice.isInformative()) {
                return sum;
            }
            if (before != null) {
                addTo(sum, voice.ending(ending), 1);
            }
            if (after != null) {
                addTo(sum, voice.starting(starting), 1);
            }
            return sum;
        });
    }

    /** Whether there is no rest in which a move could be introduced: it is named as it begins. */
    private static boolean isUnintroduced(Segment before, Segment after) {
        boolean follows = before != null && before.kind() != SegmentKind.REST && before.kind() != SegmentKind.SWITCH;
        return follows && isWork(after) && after.move() != null && !after.move().equals(before.move());
    }

    private float[] sum(Segment before, Segment after) {
        boolean held = isStill(before) || isStill(after);
        String key = (before == null ? "-" : before.kind()) + " " + (after == null ? "-" : after.kind()) + held;
        return sums.computeIfAbsent(key, x -> {
            boolean was = before != null && before.kind().isMoving();
            boolean will = after != null && after.kind().isMoving();
            boolean signalled = was || will || before != null && after != null;
            float[] sum = new float[bins];
            addTo(sum, beeps, signalled ? 1 : MatchWeights.UNSIGNALLED_SHARE);
            if (timed && Feature.SILENT_TIMER.isOn() && isTurn(before, after)) {
                for (int i = 0; i < bins; i++) {
                    sum[i] -= (float) (MatchWeights.UNHEARD * (before == null ? MatchWeights.TAKEN_UP_SHARE : 1));
                }
            }
            if (will) {
                addTo(sum, calls.go(), 1);
            }
            if (was) {
                addTo(sum, calls.ends(), 1);
                if (!will) {
                    addTo(sum, calls.stop(), after != null && after.kind() != SegmentKind.REST ? 0.5 : 1);
                }
            } else if (before != null && before.kind() == SegmentKind.REST) {
                addTo(sum, calls.ends(), 0.5);
            }
            boolean changes = after != null && before != null && (after.kind() == SegmentKind.SWITCH || was && will);
            if (changes) {
                addTo(sum, calls.change(), 1);
            }
            if (!timed && (was && will || held)) {
                addTo(sum, steps, was && will ? 1 : MatchWeights.STEP_OF_REST_SHARE);
                addTo(sum, calms, was && will ? 0 : 1);
            }
            return sum;
        });
    }

    /**
     * Whether a timer sounds where one segment or a pause (null) goes over into another: where work begins or ends, not at a change of
     * side.
     */
    private static boolean isTurn(Segment before, Segment after) {
        boolean side = isSwitch(before) || isSwitch(after);
        boolean restEnds = before != null && before.kind() == SegmentKind.REST && after == null;
        return !side && (isWork(before) != isWork(after) || restEnds);
    }

    private static boolean isSwitch(Segment s) {
        return s != null && s.kind() == SegmentKind.SWITCH;
    }

    private static boolean isWork(Segment s) {
        return s != null && s.kind().isMoving();
    }

    private static void addTo(float[] sum, float[] part, double share) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += (float) (part[i] * share);
        }
    }

    /** Cumulative fit of segment {@code k} with what is seen and said, up to a bin. */
    public Within within(int k) {
        Segment s = timeline.segments().get(k);
        double moves = Feature.MOVEMENT.isOn() ? movesShare(s) : 0;
        double[] named = s.kind().isMoving() && s.move() != null ? names.expected(s.move()) : introducing(k);
        double stands = !Feature.POSTURE.isOn() || named == null || !s.kind().isMoving() || moves <= 0
                ? 0
                : seen.standing(s.move());
        LineFeatures.Steps lines = said.in(s.id());
        return moves == 0 && Feature.MOVEMENT.isOn()
                ? new Within(seen.either(), MatchWeights.EITHER_SHARE, named, seen.posture(), stands, lines)
                : new Within(seen.movement(), moves, named, seen.posture(), stands, lines);
    }

    /** What tells that a rest goes before the move it is followed by; null where that move was done before it, too. */
    private double[] introducing(int k) {
        Segment before = segment(k - 1);
        Segment next = segment(k + 1);
        boolean leads = segment(k).kind() == SegmentKind.REST && isWork(next) && next.move() != null;
        boolean same = leads && before != null && next.move().equals(before.move());
        return leads && !same ? names.introduced(next.move()) : null;
    }

    /** How much movement is expected of a segment: 1 to −1. Stretches and holds are as still as a rest or not. */
    private static double movesShare(Segment s) {
        return switch (s.kind()) {
            case SWITCH, COOLDOWN -> 0;
            case TALK, DEMO -> -MatchWeights.TALK_MOTION_SHARE;
            default -> !s.kind().isMoving() ? -1 : isHeld(s.move()) ? 0 : 1;
        };
    }

    /** Whether a segment is a hold or a stretch. */
    public static boolean isStill(Segment s) {
        return s != null && (s.kind() == SegmentKind.COOLDOWN || s.kind().isMoving() && isHeld(s.move()));
    }

    /** Whether a move is held still, by its name. */
    public static boolean isHeld(String move) {
        return move != null && HELD.matcher(move).matches();
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
        return isHeld(move) ? 0 : seen.posture(move, from, to);
    }

    /** Mean movement between two moments, −1 (still) to 1; 0 where nothing is seen. */
    public double movement(double from, double to) {
        return seen.movement(from, to);
    }
}
