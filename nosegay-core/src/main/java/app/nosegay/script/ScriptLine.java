package app.nosegay.script;

import app.nosegay.library.CueKind;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;

/**
 * One line to say, at its place on the timeline.
 *
 * @param segment the id of the segment it is said in
 * @param kind what kind of cue it is; {@code time} and {@code count} are calls
 * @param text the words
 * @param start when the first word is said
 * @param spoken how long saying it takes
 * @param fixed whether the creator fixed its place; the planner never moves it
 * @param of what the planner had proposed where the creator wrote something else; else the text itself
 */
public record ScriptLine(
        String segment, CueKind kind, String text, Time<Axis.Plan> start, Length spoken, boolean fixed, String of) {
    public ScriptLine(String segment, CueKind kind, String text, Time<Axis.Plan> start, Length spoken) {
        this(segment, kind, text, start, spoken, false, text);
    }

    public Time<Axis.Plan> end() {
        return start.plus(spoken);
    }

    public Span<Axis.Plan> span() {
        return new Span<>(start, end());
    }

    /** CallScript are tied to their second and are never moved. */
    public boolean isCall() {
        return !fixed && (kind == CueKind.TIME || kind == CueKind.COUNT);
    }
}
