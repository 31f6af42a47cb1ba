package app.nosegay.standins;

import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.Set;

/** One run of a plan as it happens in the room: what the clock does, what the presenter does and says. The same seed gives the same run. */
public final class Performance {
    private static final double CLOCK_LEAD = 2.0;
    private static final double END_TONE_AFTER = 1.0;
    private static final double CAMERA_ON_AFTER = 2.5;
    /** After the end the forgotten timer beeps this often. */
    private static final double LEFT_ON_SECONDS = 25;

    private static final double FOREIGN_HZ = 2050;

    private final Timeline timeline;
    private final CuePlan cues;
    private final Set<Trouble> troubles;
    private final Random random;
    private final long seed;
    private final int run;
    private final double offset;
    private final double ratePpm;
    private final Scenario scenario;
    private final List<Played> played = new ArrayList<>();
    private final List<Match.Unplanned> between = new ArrayList<>();
    private final List<RoomBeep> beeps = new ArrayList<>();
    private List<Spoken> spoken = List.of();
    private double clockEnd;

    private Performance(Timeline timeline, CuePlan cues, long seed, Set<Trouble> troubles) {
        this.timeline = timeline;
        this.cues = cues;
        this.troubles = troubles;
        this.seed = seed;
        this.random = new Random(seed * 7919 + 17);
        this.run = (int) Math.floorMod(seed, 256L);
        this.offset = 1.5 + 2 * random.nextDouble();
        double ppm = (random.nextBoolean() ? 1 : -1) * (40 + 80 * random.nextDouble());
        this.ratePpm = troubles.contains(Trouble.CLOCK_RATE) ? ppm : 0;
        this.scenario = Scenario.of(timeline, seed, troubles);
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
        List<Scenario.Step> steps = scenario.steps();
        List<Integer> rests = new ArrayList<>();
        for (int k = 0; k < steps.size() - 1; k++) {
            if (steps.get(k).segment().kind() == SegmentKind.REST
                    && steps.get(k).role() == Scenario.Role.PLANNED) {
                rests.add(k);
            }
        }
        int heldAfter =
                troubles.contains(Trouble.HOLD) && !rests.isEmpty() ? rests.get(random.nextInt(rests.size())) : -1;
        double holdSeconds = 6 + 14 * random.nextDouble();
        for (int k = 0; k < steps.size(); k++) {
            Scenario.Step step = steps.get(k);
            double end = clock + step.seconds();
            if (step.role() != Scenario.Role.PAUSE) {
                played.add(play(step, clock, end));
            }
            if (step.role() == Scenario.Role.PAUSE || step.role() == Scenario.Role.UNPLANNED) {
                between.add(new Match.Unplanned("", new Span<>(take(clock), take(end)), step.kind()));
            }
            if (k == heldAfter) {
                between.add(new Match.Unplanned("", new Span<>(take(end), take(end + holdSeconds)), "interruption"));
            }
            clock = k == heldAfter ? end + holdSeconds : end;
            clockEnd = end;
        }
        RoomClock clockSounds = new RoomClock(timeline, played, troubles, random, this::take);
        beeps.addAll(clockSounds.beeps());
        strayBeeps();
        beeps.sort(Comparator.comparing(RoomBeep::time));
        Presenter presenter =
                new Presenter(new Presenter.Scene(timeline, troubles, played, between), cues, seed, random, this::take);
        spoken = presenter.spoken();
        scenario.events().addAll(presenter.events());
    }

    /** Beeps that are not of this clock, or go on behind the end. */
    private void strayBeeps() {
        Random extra = new Random(seed * 613 + 7);
        if (troubles.contains(Trouble.EXTRA_BEEPS)) {
            for (int i = 0; i < 6; i++) {
                beeps.add(new RoomBeep(
                        take(clockEnd * extra.nextDouble()), 700 + 900 * extra.nextDouble(), Length.ofMillis(250)));
            }
        }
        if (troubles.contains(Trouble.FOREIGN_TIMER)) {
            for (double at = 11 * extra.nextDouble(); at < clockEnd; at += 30) {
                beeps.add(new RoomBeep(take(at), FOREIGN_HZ, Length.ofMillis(200)));
            }
        }
        if (troubles.contains(Trouble.TIMER_LEFT_ON)) {
            for (double at = clockEnd + 3; at < clockEnd + LEFT_ON_SECONDS; at += 4) {
                beeps.add(new RoomBeep(take(at), RoomClock.START_HZ, Length.ofMillis(350)));
            }
        }
    }

    private Played play(Scenario.Step step, double from, double to) {
        Segment s = step.segment();
        Time<Axis.Take> start = take(from);
        Time<Axis.Take> end = take(to);
        Span<Axis.Clock> clock = new Span<>(Time.ofSeconds(from), Time.ofSeconds(to));
        double reaction = 0.15 + 0.3 * random.nextDouble();
        double lateBy = 1 + 2 * random.nextDouble();
        boolean late = random.nextDouble() < 0.35;
        double early = 0.25 * random.nextDouble();
        if (!s.kind().isMoving()) {
            return new Played(s, step.role(), clock, start, end, start, end, List.of());
        }
        boolean longEnough = s.kind() == SegmentKind.WORK && to - from > 8;
        boolean slow = troubles.contains(Trouble.LATE_START) && late && longEnough;
        double starts = reaction + (slow ? lateBy : 0);
        Random own = new Random(seed * 31 + s.id().hashCode());
        if (troubles.contains(Trouble.EARLY_START) && longEnough && own.nextDouble() < 0.33) {
            starts = -(1 + own.nextDouble());
        }
        double stops = early;
        if (troubles.contains(Trouble.SHORT_SET) && longEnough && s.reps() == null && own.nextDouble() < 0.33) {
            stops = Math.min(0.4 * (to - from), 3 + 5 * own.nextDouble());
            scenario.events()
                    .add(new Scenario.Event(Trouble.SHORT_SET, s.id(), String.format(Locale.ROOT, "%.1f s", stops)));
        }
        if (slow) {
            scenario.events()
                    .add(new Scenario.Event(Trouble.LATE_START, s.id(), String.format(Locale.ROOT, "%.1f s", lateBy)));
        }
        Time<Axis.Take> first = start.plus(Length.ofSeconds(starts));
        Time<Axis.Take> last = Time.max(first, end.minus(Length.ofSeconds(stops)));
        Integer target = target(step, own);
        List<Time<Axis.Take>> reps = reps(s, target, first, last);
        boolean ended = target != null && reps.size() == target;
        return new Played(s, step.role(), clock, start, end, first, ended ? reps.get(reps.size() - 1) : last, reps);
    }

    /** How many reps are done: the plan's, or some more or fewer. */
    private Integer target(Scenario.Step step, Random own) {
        Integer planned = step.segment().reps();
        boolean whole = step.role() == Scenario.Role.PLANNED || step.role() == Scenario.Role.REPEATED;
        if (planned == null || !whole) {
            return null;
        }
        if (troubles.contains(Trouble.UNEVEN_REPS) && planned > 4 && own.nextDouble() < 0.4) {
            int by = (2 + own.nextInt(2)) * (own.nextBoolean() ? 1 : -1);
            scenario.events()
                    .add(new Scenario.Event(Trouble.UNEVEN_REPS, step.segment().id(), by + " reps"));
            return planned + by;
        }
        return planned;
    }

    private List<Time<Axis.Take>> reps(Segment s, Integer target, Time<Axis.Take> first, Time<Axis.Take> last) {
        List<Time<Axis.Take>> reps = new ArrayList<>();
        double room = last.since(first).seconds();
        double planned = s.tempo().repLength().seconds();
        // Someone who starts a counted set late catches up a little rather than drop a rep.
        double pace = target == null ? planned * (0.96 + 0.08 * random.nextDouble()) : Math.min(planned, room / target);
        double at = 0;
        while (at + pace <= room + 1e-6 && (target == null || reps.size() < target)) {
            double jitter = target == null ? 1 + 0.02 * random.nextGaussian() : 1;
            at = Math.min(room, at + pace * jitter);
            reps.add(first.plus(Length.ofSeconds(at)));
        }
        return reps;
    }

    int runNumber() {
        return run;
    }

    public List<Played> played() {
        return played;
    }

    List<RoomBeep> beeps() {
        return beeps;
    }

    List<Spoken> spoken() {
        return spoken;
    }

    public Timeline timeline() {
        return timeline;
    }

    Set<Trouble> troubles() {
        return troubles;
    }

    /** What went wrong, in detail. */
    public List<Scenario.Event> events() {
        return scenario.events();
    }

    /** When the tones are played, start first; empty without tones. */
    List<Time<Axis.Take>> tones() {
        return troubles.contains(Trouble.NO_TONES) ? List.of() : List.of(take(0), take(clockEnd + END_TONE_AFTER));
    }

    /** The length of the recording. */
    public Length length() {
        double more = troubles.contains(Trouble.TIMER_LEFT_ON) ? LEFT_ON_SECONDS : 0;
        return take(clockEnd + END_TONE_AFTER + SyncTone.seconds() + CAMERA_ON_AFTER + more)
                .since(Time.zero());
    }

    /** The camera-against-clock map of this run. */
    public double ratePpm() {
        return ratePpm;
    }

    /** Where the recording is stopped and goes on as a second take; null when it is one take. */
    Time<Axis.Take> stoppedAt() {
        if (!troubles.contains(Trouble.STOP_START) || played.size() < 6) {
            return null;
        }
        Played at = played.get(played.size() / 3 + Math.floorMod(seed, Math.max(1, played.size() / 3)));
        return at.start();
    }

    /** What the shoot clock logs. */
    public ShootLog log() {
        List<ShootLog.Entry> entries = played.stream()
                .filter(Played::ofPlan)
                .map(p -> new ShootLog.Entry(p.segment().id(), p.clock()))
                .toList();
        return new ShootLog(
                timeline.sheet().text(), run, Time.zero(), Time.ofSeconds(clockEnd + END_TONE_AFTER), entries);
    }

    /** What was to be said. */
    public List<ScriptLine> lines() {
        return cues.lines();
    }

    /** What happened that nobody planned. */
    List<Match.Unplanned> between() {
        return between;
    }

    /** When the clock began, in take time. */
    Length offset() {
        return Length.ofSeconds(offset);
    }

    /** What a perfect matcher would find. */
    public Match truth(String takeId, String file) {
        return new PerformanceTruth(this).of(takeId, file);
    }

    /** The truth in terms of {@link #evidences}. */
    public Match truthInParts(String id) {
        return new PerformanceTruth(this).inParts(id);
    }

    /** The evidence a good reader would gather from footage of this run, without filming it. */
    public TakeEvidence evidence(String takeId) {
        return new PerformanceEvidence(this).of(takeId);
    }

    /** The evidence of each recording: one, or two where the camera was stopped in between; the second is called {@code id-2}. */
    public List<TakeEvidence> evidences(String id) {
        Time<Axis.Take> stop = stoppedAt();
        TakeEvidence whole = evidence(id);
        return stop == null
                ? List.of(whole)
                : List.of(
                        whole.part(id, Time.zero(), stop),
                        whole.part(id + "-2", stop, Time.<Axis.Take>zero().plus(length())));
    }
}
