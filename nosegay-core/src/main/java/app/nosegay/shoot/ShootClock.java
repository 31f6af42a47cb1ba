package app.nosegay.shoot;

import app.nosegay.evidence.SyncTone;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/**
 * The interval clock that runs a plan in the room. Its time is given from outside, so that it runs by the sound output, by the machine's
 * clock or in tests by no clock at all. Not thread-safe: one thread drives it.
 */
public final class ShootClock {
    /** After the start tone, before the first segment. */
    private static final Length LEAD = Length.ofSeconds(5);
    /** To get back into position before a segment is begun again. */
    private static final Length AGAIN = Length.ofSeconds(6);
    /** Between the last segment and the end tone. */
    /** A line stays in sight for a moment after it was due to be said. */
    private static final Length STAYS = Length.ofMillis(800);

    private static final Length END_TONE_AFTER = Length.ofSeconds(1);

    /** A sound and when it is due. */
    public record Due(Time<Axis.Clock> time, ClockSound sound) {}

    /**
     * What the presenter sees.
     *
     * @param segment the running segment; before the start the first one
     * @param getReady what is left until it starts, or zero once it runs
     * @param left what is left of the interval
     * @param share how much of the interval is done, 0 to 1
     * @param next the next segment that does something else, or null
     * @param line the line to say now, or null
     * @param then the line after it, or null
     */
    public record Moment(
            Segment segment,
            Length getReady,
            Length left,
            double share,
            Segment next,
            ScriptLine line,
            ScriptLine then,
            boolean held,
            boolean finished) {}

    private final Timeline timeline;
    private final CuePlan cues;
    private final int run;
    private final String began;
    private final boolean bySound;
    private final List<ShootLog.Entry> entries = new ArrayList<>();
    private final List<ShootLog.Event> events = new ArrayList<>();
    private final List<Due> oneOff = new ArrayList<>();
    private Time<Axis.Clock> now = Time.zero();
    private Time<Axis.Clock> sounded = new Time<>(-1);
    private int current;
    private Time<Axis.Clock> start;
    private Time<Axis.Clock> end;
    private Time<Axis.Clock> heldSince;
    private Time<Axis.Clock> endTone;
    private boolean finished;

    /**
     * @param from index of the segment to start from
     * @param run the run number the tones carry, 0 to 255
     * @param began local date and time for the log
     * @param bySound whether its time is the sound output's
     */
    public ShootClock(Timeline timeline, CuePlan cues, int from, int run, String began, boolean bySound) {
        this.timeline = timeline;
        this.cues = cues;
        this.run = run;
        this.began = began;
        this.bySound = bySound;
        this.current = from;
        oneOff.add(new Due(Time.zero(), ClockSound.START_TONE));
        begin(from, Time.<Axis.Clock>zero().plus(LEAD));
    }

    private void begin(int k, Time<Axis.Clock> at) {
        current = k;
        start = at;
        end = at.plus(timeline.segments().get(k).duration());
    }

    /** Moves on to {@code time}; going back is ignored. */
    public void at(Time<Axis.Clock> time) {
        if (time.isBefore(now) || finished) {
            return;
        }
        if (heldSince != null) {
            Length more = time.since(Time.max(now, heldSince));
            shift(more);
            now = time;
            return;
        }
        now = time;
        while (!finished && !now.isBefore(end)) {
            entries.add(new ShootLog.Entry(segment().id(), new Span<>(start, end)));
            if (current + 1 < timeline.segments().size()) {
                begin(current + 1, end);
            } else {
                finish(end);
            }
        }
    }

    /** A hold stretches what has not begun yet, or the running segment. */
    private void shift(Length more) {
        if (now.isBefore(start)) {
            start = start.plus(more);
        }
        end = end.plus(more);
    }

    private void finish(Time<Axis.Clock> at) {
        finished = true;
        endTone = at.plus(END_TONE_AFTER);
        oneOff.add(new Due(endTone, ClockSound.END_TONE));
    }

    private Segment segment() {
        return timeline.segments().get(current);
    }

    /** Logs a moment to look at later. */
    public void mark() {
        event("mark");
    }

    /** Logs that something went wrong; the clock goes on. */
    public void fluff() {
        event("fluff");
    }

    private void event(String kind) {
        events.add(new ShootLog.Event(kind, now, segment().id()));
    }

    /** Stops the clock, or lets it go on. */
    public void hold() {
        if (finished) {
            return;
        }
        event(heldSince == null ? "hold" : "go-on");
        heldSince = heldSince == null ? now : null;
    }

    public boolean isHeld() {
        return heldSince != null;
    }

    /** Breaks the running interval off and begins it again after a moment; right after a boundary the one before is meant. */
    public void again() {
        if (finished) {
            return;
        }
        heldSince = null;
        event("again");
        int k = current;
        boolean justBegan = now.since(start).compareTo(Length.ofSeconds(2)) < 0;
        if (now.isAfter(start) && !(justBegan && k > 0)) {
            entries.add(new ShootLog.Entry(segment().id(), new Span<>(start, now)));
        } else if (justBegan && k > 0) {
            k--;
        }
        String interval = timeline.segments().get(k).interval();
        while (k > 0 && timeline.segments().get(k - 1).interval().equals(interval)) {
            k--;
        }
        begin(k, now.plus(AGAIN));
        sounded = now;
    }

    /** Ends the running segment now and begins the next: for rests as long as needed. */
    public void next() {
        if (finished) {
            return;
        }
        heldSince = null;
        event("go-on");
        if (now.isAfter(start)) {
            end = now;
            at(now);
        } else {
            start = now;
            end = now.plus(segment().duration());
        }
    }

    /** Ends the run here. */
    public void stop() {
        if (finished) {
            return;
        }
        if (now.isAfter(start)) {
            entries.add(new ShootLog.Entry(segment().id(), new Span<>(start, Time.max(start, now))));
        }
        heldSince = null;
        finish(now);
    }

    public boolean isFinished() {
        return finished;
    }

    /** When the end tone is over, or null while it runs. */
    public Time<Axis.Clock> over() {
        return endTone == null ? null : endTone.plus(Length.ofSeconds(SyncTone.seconds()));
    }

    /** The sounds due after those given before, up to {@code until}; none while held. */
    public List<Due> sounds(Time<Axis.Clock> until) {
        List<Due> due = new ArrayList<>();
        for (Due d : oneOff) {
            add(due, d.time(), d.sound(), until);
        }
        if (heldSince == null && !finished) {
            segmentSounds(due, until);
        }
        sounded = Time.max(sounded, until);
        due.sort(java.util.Comparator.comparing(Due::time));
        return due;
    }

    private void segmentSounds(List<Due> due, Time<Axis.Clock> until) {
        Time<Axis.Clock> at = start;
        // Boundaries that lie within the time asked for; usually one.
        for (int k = current; k < timeline.segments().size() && !at.isAfter(until.plus(Length.ofSeconds(11))); k++) {
            Segment s = timeline.segments().get(k);
            Segment before = k > 0 ? timeline.segments().get(k - 1) : null;
            boolean begins = before == null || !before.interval().equals(s.interval());
            Time<Axis.Clock> ends = k == current ? end : at.plus(s.duration());
            if (s.kind().isMoving() && begins) {
                boolean quietBefore =
                        before == null || !before.kind().isMoving() || k == current && !entriesHold(before);
                int in = timeline.sheet().header().calls().countIn();
                for (int n = in; n >= 1 && quietBefore; n--) {
                    add(due, at.minus(Length.ofSeconds(n)), ClockSound.PIP, until);
                }
                add(due, at, ClockSound.START, until);
            } else if (!begins) {
                add(due, at, ClockSound.CHANGE, until);
            }
            Segment after =
                    k + 1 < timeline.segments().size() ? timeline.segments().get(k + 1) : null;
            boolean last = after == null || !after.interval().equals(s.interval());
            if (last && s.kind().isMoving() && (after == null || !after.kind().isMoving())) {
                add(due, ends, ClockSound.END, until);
            }
            at = ends;
        }
    }

    /** Whether the segment before was just run: a restart counts in whatever stands before it in the plan. */
    private boolean entriesHold(Segment before) {
        return !entries.isEmpty() && entries.get(entries.size() - 1).segment().equals(before.id());
    }

    private void add(List<Due> due, Time<Axis.Clock> time, ClockSound sound, Time<Axis.Clock> until) {
        if (time.isAfter(sounded) && !time.isAfter(until)) {
            due.add(new Due(time, sound));
        }
    }

    /** What is to be seen now. */
    public Moment moment() {
        Segment s = segment();
        boolean waiting = now.isBefore(start);
        Length into = waiting ? Length.ZERO : now.since(start);
        // The on-screen clock runs over the whole interval.
        Length beforeIt = Length.ZERO;
        Length behind = Length.ZERO;
        List<Segment> segments = timeline.segments();
        for (int k = current - 1; k >= 0 && segments.get(k).interval().equals(s.interval()); k--) {
            beforeIt = beforeIt.plus(segments.get(k).duration());
        }
        int k = current + 1;
        while (k < segments.size() && segments.get(k).interval().equals(s.interval())) {
            behind = behind.plus(segments.get(k).duration());
            k++;
        }
        Length left = Length.max(Length.ZERO, end.since(Time.max(now, start))).plus(behind);
        Length whole = beforeIt.plus(end.since(start)).plus(behind);
        Segment next = k < segments.size() ? segments.get(k) : null;
        double share = whole.isPositive() ? Math.min(1, beforeIt.plus(into).seconds() / whole.seconds()) : 0;
        List<ScriptLine> lines = lines(s);
        return new Moment(
                s,
                waiting ? start.since(now) : Length.ZERO,
                left,
                share,
                next,
                lines.isEmpty() ? null : lines.get(0),
                lines.size() < 2 ? null : lines.get(1),
                heldSince != null,
                finished);
    }

    /** Where in the plan the clock is: never outside the running segment, however long it is held. */
    public Time<Axis.Plan> planTime() {
        Length into = now.isBefore(start) ? Length.ZERO : now.since(start);
        return segment().start().plus(Length.min(into, segment().duration()));
    }

    /** The line being said or due next, and the one after. */
    private List<ScriptLine> lines(Segment s) {
        Time<Axis.Plan> at = planTime();
        return cues.lines().stream()
                .filter(l -> l.end().plus(STAYS).isAfter(at)
                        && !l.start().isBefore(s.start().minus(Length.ofMillis(1))))
                .limit(2)
                .toList();
    }

    /** The log so far; the running segment counts up to now. */
    public ShootLog log() {
        List<ShootLog.Entry> all = new ArrayList<>(entries);
        if (!finished && now.isAfter(start)) {
            all.add(new ShootLog.Entry(segment().id(), new Span<>(start, now)));
        }
        return new ShootLog(timeline.sheet().text(), run, Time.zero(), endTone, all, events, began, bySound);
    }

    public Time<Axis.Clock> now() {
        return now;
    }
}
