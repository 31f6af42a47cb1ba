package app.nosegay.shoot;

import app.nosegay.plan.Interval;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.check.PromisedCalls;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * What viewers rely on and has, as far as can be told, not been said in this run: options, breath, cautions, gear, and calls that were
 * promised. Whoever listens only tells whether somebody speaks: a line counts as said once there was about as much speech from its second
 * on as it has words. Driven by the clock, not thread-safe.
 */
public final class OwedLines {
    /** Speech as long as this share of a line is taken for the line: people speak faster than planned, and drop words. */
    private static final double SAID = 0.6;
    /** A line may be begun so much before its second. */
    private static final Length EARLY = Length.ofSeconds(1.5);
    /** A call of time is wrong when it comes later than this after its second. */
    private static final Length CALL_WITHIN = Length.ofSeconds(3);
    /** Where nobody listens, a line is shown so long after it should have been said. */
    private static final Length UNHEARD = Length.ofSeconds(6);

    /**
     * A line that is owed.
     *
     * @param promised whether it was promised earlier that this would be said
     */
    public record Owed(ScriptLine line, boolean promised) {}

    /** What can be told of somebody speaking. */
    public enum Ear {
        /** Nobody listens. */
        NONE,
        QUIET,
        VOICE
    }

    private final List<ScriptLine> lines;
    private final Map<ScriptLine, Time<Axis.Plan>> until = new HashMap<>();
    private final Set<ScriptLine> promised = new HashSet<>();
    private final Map<ScriptLine, Length> spoken = new HashMap<>();
    private Time<Axis.Plan> now = Time.zero();
    /** Where the run began, or the earliest moment it went back to: what comes before is of another run. */
    private Time<Axis.Plan> first;

    private Ear ear = Ear.NONE;

    public OwedLines(Timeline timeline, CuePlan cues) {
        lines = cues.lines();
        for (Interval interval : timeline.intervals()) {
            Set<String> segments = new HashSet<>();
            interval.segments().forEach(s -> segments.add(s.id()));
            lines.stream()
                    .filter(l -> segments.contains(l.segment()))
                    .forEach(l -> until.put(l, l.isCall() ? l.end().plus(CALL_WITHIN) : interval.end()));
        }
        PromisedCalls.of(timeline, cues).values().forEach(call -> call.ifPresent(promised::add));
    }

    /** The clock has moved on to {@code time}; where it went back, what comes from there on is owed again. */
    public void at(Time<Axis.Plan> time, Ear heard) {
        ear = heard;
        if (first == null) {
            first = time;
            now = time;
        }
        first = Time.min(first, time);
        if (time.isBefore(now)) {
            spoken.keySet().removeIf(l -> !l.start().isBefore(time));
        } else if (heard == Ear.VOICE) {
            credit(time.since(now));
        }
        now = time;
    }

    /** Speech belongs to the line whose turn it is; what that does not need, to what is owed the longest. */
    private void credit(Length speech) {
        ScriptLine due = null;
        for (ScriptLine l : lines) {
            if (l.start().minus(EARLY).isAfter(now)) {
                break;
            }
            due = l;
        }
        if (due != null && spoken(due).compareTo(due.spoken()) >= 0) {
            due = now().map(Owed::line).orElse(null);
        }
        if (due != null) {
            spoken.merge(due, speech, Length::plus);
        }
    }

    private Length spoken(ScriptLine line) {
        return spoken.getOrDefault(line, Length.ZERO);
    }

    /** What is owed the longest. */
    public Optional<Owed> now() {
        return lines.stream()
                .filter(this::isReliedOn)
                .filter(l -> !l.start().isAfter(now) && now.isBefore(shownUntil(l)) && !isSaid(l))
                .findFirst()
                .map(l -> new Owed(l, promised.contains(l)));
    }

    private Time<Axis.Plan> shownUntil(ScriptLine line) {
        Time<Axis.Plan> last = until.getOrDefault(line, line.end());
        return ear == Ear.NONE ? Time.min(last, line.end().plus(UNHEARD)) : last;
    }

    private boolean isReliedOn(ScriptLine line) {
        boolean ofThisRun = first != null && !line.start().isBefore(first);
        return ofThisRun && (line.kind().isReliedOn() || promised.contains(line));
    }

    private boolean isSaid(ScriptLine line) {
        return spoken(line).seconds() >= SAID * line.spoken().seconds();
    }

    /** The creator says that what is owed the longest has been said. */
    public void said() {
        now().ifPresent(o -> spoken.put(o.line(), o.line().spoken()));
    }

    /** What was not said although its time is over; nothing where nobody listens. */
    public List<ScriptLine> missed() {
        List<ScriptLine> missed = new ArrayList<>();
        for (ScriptLine l : lines) {
            boolean over = !now.isBefore(until.getOrDefault(l, l.end()));
            if (ear != Ear.NONE && isReliedOn(l) && over && !isSaid(l)) {
                missed.add(l);
            }
        }
        return missed;
    }
}
