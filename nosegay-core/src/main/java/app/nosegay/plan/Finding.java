package app.nosegay.plan;

import app.nosegay.plan.sheet.SheetEdit;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;

/**
 * Something a stage found that the creator should know.
 *
 * @param code stable, {@code stage.problem}; the table is docs/format/findings.md
 * @param severity how much it matters
 * @param segment the segment it is about, or null
 * @param line the run-sheet line it is about, from 1, or 0
 * @param message what it is, with the figures
 * @param fix what would mend it, or null
 * @param edit the change that mends it, where one can be computed, or null
 * @param moment where in the recordings it is seen or heard, or null
 */
public record Finding(
        String code,
        Severity severity,
        String segment,
        int line,
        String message,
        String fix,
        SheetEdit edit,
        Moment moment) {
    /**
     * Where something is seen or heard in a recording.
     *
     * @param take the recording's number
     * @param span from when to when; of no length where it is an instant
     * @param due when it should have been, in the same recording, or null where there is no such instant
     */
    public record Moment(String take, Span<Axis.Take> span, Time<Axis.Take> due) {
        public Moment(String take, Span<Axis.Take> span) {
            this(take, span, null);
        }

        /** An instant. */
        public static Moment at(String take, Time<Axis.Take> time) {
            return new Moment(take, new Span<>(time, time));
        }

        /** @param time when it should have been */
        public Moment due(Time<Axis.Take> time) {
            return new Moment(take, span, time);
        }
    }

    /** From "do not publish like this" to "worth knowing". */
    public enum Severity {
        STOP,
        FIX,
        LOOK,
        NOTE;

        public String word() {
            return name().toLowerCase(java.util.Locale.ROOT);
        }
    }

    /** A finding about the workout as a whole. */
    public static Finding of(String code, Severity severity, String message) {
        return new Finding(code, severity, null, 0, message, null, null, null);
    }

    /** A finding about a segment and the line it comes from. */
    public static Finding at(String code, Severity severity, Segment segment, String message) {
        int line =
                segment.line() != null ? segment.line().line() : segment.block().line();
        return new Finding(code, severity, segment.id(), line, message, null, null, null);
    }

    public Finding onLine(int number) {
        return new Finding(code, severity, segment, number, message, fix, edit, moment);
    }

    public Finding withFix(String words) {
        return new Finding(code, severity, segment, line, message, words, edit, moment);
    }

    public Finding withFix(String words, SheetEdit change) {
        return new Finding(code, severity, segment, line, message, words, change, moment);
    }

    public Finding withMoment(Moment where) {
        return new Finding(code, severity, segment, line, message, fix, edit, where);
    }

    /** What a waiver holds on to: the code and the place, not the figures, which change. */
    public String key() {
        return code + (segment == null ? "" : " " + segment);
    }
}
