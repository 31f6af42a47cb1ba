package app.nosegay.standins;

import app.nosegay.library.CueKind;
import app.nosegay.match.Caption;
import app.nosegay.match.Match;
import app.nosegay.match.TakeEvidence;
import app.nosegay.match.Trace;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.SegmentKind;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import app.nosegay.shoot.SyncTone;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;

/** One run of a plan as it happens in the room: what the clock does, what the presenter does and says. The same seed gives the same run. */
public final class Performance {
    private static final double CLOCK_LEAD = 2.0;
    private static final double END_TONE_AFTER = 1.0;
    private static final double CAMERA_ON_AFTER = 2.5;
    static final double PIP_HZ = 880;
    static final double START_HZ = 1320;
    static final double END_HZ = 660;
    static final double CHANGE_HZ = 990;

    private final Timeline timeline;
    private final CuePlan cues;
    private final Set<Trouble> troubles;
    private final Random random;
    private final int run;
    private final double offset;
    private final double ratePpm;
    private final List<Played> played = new ArrayList<>();
    private final List<Beep> beeps = new ArrayList<>();
    private final List<Spoken> spoken = new ArrayList<>();
    private double clockEnd;

    /** A segment as it happened, in take time. */
    record Played(
            Segment segment,
            Span<Axis.Clock> clock,
            Time<Axis.Take> start,
            Time<Axis.Take> end,
            Time<Axis.Take> performedStart,
            Time<Axis.Take> performedEnd,
            List<Time<Axis.Take>> reps) {}

    /** A beep of the room clock. */
    record Beep(Time<Axis.Take> time, double hz, Length length) {}

    /** A line as said; its length is an estimate until a voice has said it. */
    record Spoken(Time<Axis.Take> start, Length length, CueKind kind, String text) {
        /** Calls are tied to their second. */
        boolean isCall() {
            return kind == CueKind.TIME || kind == CueKind.COUNT;
        }

        Caption caption() {
            return new Caption(start, start.plus(length), text);
        }
    }

    private Performance(Timeline timeline, CuePlan cues, long seed, Set<Trouble> troubles) {
        this.timeline = timeline;
        this.cues = cues;
        this.troubles = troubles;
        this.random = new Random(seed * 7919 + 17);
        this.run = (int) Math.floorMod(seed, 256L);
        this.offset = 1.5 + 2 * random.nextDouble();
        double ppm = (random.nextBoolean() ? 1 : -1) * (40 + 80 * random.nextDouble());
        this.ratePpm = troubles.contains(Trouble.CLOCK_RATE) ? ppm : 0;
    }

    /** Runs the plan. */
    public static Performance of(Timeline timeline, CuePlan cues, long seed, Set<Trouble> troubles) {
        Performance p = new Performance(timeline, cues, seed, troubles);
        p.run();
        return p;
    }

    private Time<Axis.Take> take(double clock) {
        return Time.ofSeconds(offset + clock * (1 + ratePpm / 1e6));
    }

    private void run() {
        double clock = CLOCK_LEAD;
        List<Segment> segments = timeline.segments();
        List<Integer> rests = new ArrayList<>();
        for (int k = 0; k < segments.size() - 1; k++) {
            if (segments.get(k).kind() == SegmentKind.REST) {
                rests.add(k);
            }
        }
        int heldAfter =
                troubles.contains(Trouble.HOLD) && !rests.isEmpty() ? rests.get(random.nextInt(rests.size())) : -1;
        double holdSeconds = 6 + 14 * random.nextDouble();
        for (int k = 0; k < segments.size(); k++) {
            Segment s = segments.get(k);
            double end = clock + s.duration().seconds();
            played.add(play(s, clock, end));
            clock = k == heldAfter ? end + holdSeconds : end;
            clockEnd = end;
        }
        beep();
        speak();
    }

    private Played play(Segment s, double from, double to) {
        Time<Axis.Take> start = take(from);
        Time<Axis.Take> end = take(to);
        Span<Axis.Clock> clock = new Span<>(Time.ofSeconds(from), Time.ofSeconds(to));
        double reaction = 0.15 + 0.3 * random.nextDouble();
        double lateBy = 1 + 2 * random.nextDouble();
        boolean late = random.nextDouble() < 0.35;
        double early = 0.25 * random.nextDouble();
        if (!s.kind().isMoving()) {
            return new Played(s, clock, start, end, start, end, List.of());
        }
        boolean slow = troubles.contains(Trouble.LATE_START) && late && s.kind() == SegmentKind.WORK && to - from > 8;
        Time<Axis.Take> first = start.plus(Length.ofSeconds(reaction + (slow ? lateBy : 0)));
        Time<Axis.Take> last = Time.max(first, end.minus(Length.ofSeconds(early)));
        List<Time<Axis.Take>> reps = reps(s, first, last);
        boolean ended = s.reps() != null && reps.size() == s.reps();
        return new Played(s, clock, start, end, first, ended ? reps.get(reps.size() - 1) : last, reps);
    }

    private List<Time<Axis.Take>> reps(Segment s, Time<Axis.Take> first, Time<Axis.Take> last) {
        List<Time<Axis.Take>> reps = new ArrayList<>();
        double room = last.since(first).seconds();
        double planned = s.tempo().repLength().seconds();
        // Someone who starts a counted set late catches up a little rather than drop a rep.
        double pace =
                s.reps() == null ? planned * (0.96 + 0.08 * random.nextDouble()) : Math.min(planned, room / s.reps());
        double at = 0;
        while (at + pace <= room + 1e-6 && (s.reps() == null || reps.size() < s.reps())) {
            double jitter = s.reps() == null ? 1 + 0.02 * random.nextGaussian() : 1;
            at = Math.min(room, at + pace * jitter);
            reps.add(first.plus(Length.ofSeconds(at)));
        }
        return reps;
    }

    private void beep() {
        if (troubles.contains(Trouble.NO_BEEPS)) {
            return;
        }
        int countIn = timeline.sheet().header().calls().countIn();
        List<Interval> intervals = timeline.intervals();
        for (int i = 0; i < intervals.size(); i++) {
            Interval interval = intervals.get(i);
            if (!interval.kind().isMoving()) {
                continue;
            }
            Played first = played(interval.first());
            double start = first.clock().start().seconds();
            boolean roomBefore = i > 0 && !intervals.get(i - 1).kind().isMoving();
            for (int n = countIn; n >= 1 && roomBefore; n--) {
                add(start - n, PIP_HZ, 90);
            }
            add(start, START_HZ, 350);
            for (Segment s : interval.segments().subList(1, interval.segments().size())) {
                add(played(s).clock().start().seconds(), CHANGE_HZ, 250);
            }
            boolean movesOn =
                    i + 1 < intervals.size() && intervals.get(i + 1).kind().isMoving();
            if (!movesOn) {
                add(played(interval.last()).clock().end().seconds(), END_HZ, 500);
            }
        }
    }

    private void add(double clock, double hz, long millis) {
        boolean missed = random.nextDouble() < 0.25;
        if (!(missed && troubles.contains(Trouble.MISSED_BEEPS))) {
            beeps.add(new Beep(take(clock), hz, Length.ofMillis(millis)));
        }
    }

    private Played played(Segment segment) {
        return played.get(timeline.segments().indexOf(segment));
    }

    private void speak() {
        Map<String, Played> byId = new LinkedHashMap<>();
        played.forEach(p -> byId.put(p.segment().id(), p));
        for (ScriptLine line : cues.lines()) {
            Played p = byId.get(line.segment());
            double jitter = line.kind() == CueKind.COUNT ? 0 : 0.12 * random.nextDouble();
            double clock = p.clock().start().seconds()
                    + line.start().since(p.segment().start()).seconds()
                    + jitter;
            spoken.add(new Spoken(take(clock), line.spoken(), line.kind(), line.text()));
        }
    }

    int runNumber() {
        return run;
    }

    List<Played> played() {
        return played;
    }

    List<Beep> beeps() {
        return beeps;
    }

    List<Spoken> spoken() {
        return spoken;
    }

    Timeline timeline() {
        return timeline;
    }

    Set<Trouble> troubles() {
        return troubles;
    }

    /** When the tones are played, start first; empty without tones. */
    List<Time<Axis.Take>> tones() {
        return troubles.contains(Trouble.NO_TONES) ? List.of() : List.of(take(0), take(clockEnd + END_TONE_AFTER));
    }

    /** The length of the recording. */
    public Length length() {
        return take(clockEnd + END_TONE_AFTER + SyncTone.seconds() + CAMERA_ON_AFTER)
                .since(Time.zero());
    }

    /** The camera-against-clock map of this run. */
    public double ratePpm() {
        return ratePpm;
    }

    /** What the shoot clock logs. */
    public ShootLog log() {
        List<ShootLog.Entry> entries = played.stream()
                .map(p -> new ShootLog.Entry(p.segment().id(), p.clock()))
                .toList();
        return new ShootLog(
                timeline.sheet().text(), run, Time.zero(), Time.ofSeconds(clockEnd + END_TONE_AFTER), entries);
    }

    /** What a perfect matcher would find. */
    public Match truth(String takeId, String file) {
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new LinkedHashMap<>();
        List<Match.Unplanned> unplanned = new ArrayList<>();
        Played before = null;
        for (Played p : played) {
            placed.add(new Match.Placed(
                    p.segment().id(),
                    p.segment().duration(),
                    takeId,
                    p.start(),
                    p.end(),
                    p.performedStart(),
                    p.performedEnd(),
                    0,
                    0,
                    false,
                    false));
            if (p.segment().kind() == SegmentKind.WORK) {
                reps.put(p.segment().id(), p.reps());
            }
            if (before != null && p.start().since(before.end()).seconds() > 0.5) {
                unplanned.add(new Match.Unplanned(takeId, new Span<>(before.end(), p.start()), "interruption"));
            }
            before = p;
        }
        Match.Take take = new Match.Take(takeId, file, length(), Length.ofSeconds(offset), ratePpm, List.of());
        return new Match(List.of(take), placed, unplanned, reps);
    }

    /** The evidence a good reader would gather from footage of this run, without filming it. */
    public TakeEvidence evidence(String takeId) {
        Random noise = new Random(run * 31L + 5);
        List<TakeEvidence.Tone> tones = new ArrayList<>();
        List<Time<Axis.Take>> toneTimes = tones();
        for (int i = 0; i < toneTimes.size(); i++) {
            Time<Axis.Take> heard = toneTimes.get(i).plus(Length.ofSeconds(0.002 * noise.nextGaussian()));
            tones.add(new TakeEvidence.Tone(heard, new SyncTone.Code(i == 1, run)));
        }
        List<TakeEvidence.Beep> heard = beeps.stream()
                .map(b -> new TakeEvidence.Beep(
                        b.time().plus(Length.ofSeconds(0.006 * noise.nextGaussian())), b.length(), b.hz(), -20))
                .toList();
        double hz = 10;
        float[] motion = new float[(int) Math.ceil(length().seconds() * hz)];
        for (int i = 0; i < motion.length; i++) {
            motion[i] = (float) (motionAt(Time.ofSeconds(i / hz)) * Math.exp(0.35 * noise.nextGaussian()));
        }
        List<Caption> words = spoken.stream().map(Spoken::caption).toList();
        return new TakeEvidence(
                takeId, "simulated", length(), tones, heard, Trace.NONE, new Trace(hz, motion), null, words);
    }

    private double motionAt(Time<Axis.Take> time) {
        for (Played p : played) {
            if (!time.isBefore(p.start()) && time.isBefore(p.end())) {
                boolean moves = p.segment().kind().isMoving()
                        && !time.isBefore(p.performedStart())
                        && time.isBefore(p.performedEnd());
                return moves ? 0.03 : p.segment().kind() == SegmentKind.TALK ? 0.004 : 0.003;
            }
        }
        return 0.002;
    }
}
