package app.nosegay.plan;

import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.RunSheet.Block;
import app.nosegay.plan.sheet.RunSheet.MoveLine;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Tempo;
import app.nosegay.time.Time;
import java.util.List;
import java.util.Objects;
import java.util.Optional;

/**
 * One stretch of the timeline with one purpose.
 *
 * @param id {@code block-slug/move-slug/rR/part}; stable while other blocks are edited
 * @param interval the id of the interval it belongs to
 * @param kind its purpose
 * @param move the move done, as written; what an active rest does; null otherwise
 * @param block the block it stands in
 * @param line the move line it comes from; null for talk and plain rests
 * @param round its round from 1, or null
 * @param set its set from 1, or null
 * @param side the presenter's own side; null when nobody moves
 * @param way how the sides are shared
 * @param start on the timeline
 * @param duration its exact length
 * @param reps the rep target, or null when a clock ends it
 * @param tempo one rep's tempo; null when nobody moves
 * @param teaches the move this rest or demo teaches, or null
 * @param open whether its length is only an estimate, measured from the take
 */
public record Segment(
        String id,
        String interval,
        SegmentKind kind,
        String move,
        Block block,
        MoveLine line,
        Integer round,
        Integer set,
        Side side,
        SideWay way,
        Time<Axis.Plan> start,
        Length duration,
        Integer reps,
        Tempo tempo,
        String teaches,
        boolean open) {

    /** Whether it is one time in which the whole list of an AMRAP is gone through as often as possible. */
    public boolean isWindow() {
        return kind == SegmentKind.WORK
                && block.kind() == BlockKind.AMRAP
                && block.attributes().has(Attribute.FOR);
    }

    /** The known moves done in it, each as it is done in the position the plan says. */
    public List<Move> moves(MoveLibrary library) {
        return library.parts(move, position());
    }

    /** Where its move is taught. */
    Attribute.Demo demo() {
        return line.attributes().over(block.attributes()).demo();
    }

    /** The one move done in it, where it is known: joined moves are one. */
    public Optional<Move> wholeMove(MoveLibrary library) {
        return move == null ? Optional.empty() : library.whole(move, position());
    }

    /** The position the plan says; empty where it is the move's own. */
    public String position() {
        return line == null
                ? ""
                : line.attributes()
                        .over(block.attributes())
                        .words(Attribute.POSITION)
                        .orElse("");
    }

    /** Ids differ between segments of one timeline, so they are compared first: lists of thousands are searched while typing. */
    @Override
    public boolean equals(Object o) {
        return o == this
                || (o instanceof Segment other
                        && id.equals(other.id)
                        && start.equals(other.start)
                        && duration.equals(other.duration)
                        && kind == other.kind
                        && interval.equals(other.interval)
                        && side == other.side
                        && way == other.way
                        && open == other.open
                        && Objects.equals(move, other.move)
                        && Objects.equals(round, other.round)
                        && Objects.equals(set, other.set)
                        && Objects.equals(reps, other.reps)
                        && Objects.equals(tempo, other.tempo)
                        && Objects.equals(teaches, other.teaches)
                        && Objects.equals(line, other.line)
                        && block.equals(other.block));
    }

    @Override
    public int hashCode() {
        return id.hashCode();
    }

    /** Whether repetitions are promised and not seconds; a phrase goes by its beat. */
    public boolean isCounted() {
        return kind == SegmentKind.WORK && reps != null && block.kind() != BlockKind.PHRASE;
    }

    public Time<Axis.Plan> end() {
        return start.plus(duration);
    }

    public Span<Axis.Plan> span() {
        return new Span<>(start, end());
    }

    Segment movedTo(Time<Axis.Plan> newStart) {
        return new Segment(
                id, interval, kind, move, block, line, round, set, side, way, newStart, duration, reps, tempo, teaches,
                open);
    }

    Segment teaching(String next) {
        return new Segment(
                id, interval, kind, move, block, line, round, set, side, way, start, duration, reps, tempo, next, open);
    }
}
