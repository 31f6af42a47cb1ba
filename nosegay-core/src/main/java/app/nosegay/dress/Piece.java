package app.nosegay.dress;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;

/** Something on screen for a while. */
public sealed interface Piece {
    /** When it is seen. */
    Span<Axis.Cut> span();

    /** What it shows at {@code time}, which lies in its span. */
    Face at(Time<Axis.Cut> time);

    /** A piece that never changes while it is seen. */
    record Still(Span<Axis.Cut> span, Face face) implements Piece {
        @Override
        public Face at(Time<Axis.Cut> time) {
            return face;
        }
    }

    /** A timer over {@code interval}; it stays at zero for 0.4 s while the next piece enters elsewhere. */
    record Timer(Span<Axis.Cut> interval, Face.Phase phase, boolean countUp) implements Piece {
        private static final Length STAYS_AT_ZERO = Length.ofMillis(400);

        @Override
        public Span<Axis.Cut> span() {
            return new Span<>(interval.start(), interval.end().plus(STAYS_AT_ZERO));
        }

        @Override
        public Face at(Time<Axis.Cut> time) {
            int total = (int) Math.round(interval.length().seconds());
            return new Face.Timer(phase, TimerDigits.remaining(interval, time), total, countUp);
        }
    }

    /** The last seconds before work, counted down to {@code span().end()}. */
    record GetReady(Span<Axis.Cut> span) implements Piece {
        @Override
        public Face at(Time<Axis.Cut> time) {
            return new Face.GetReady(Math.max(1, TimerDigits.remaining(span, time)));
        }
    }

    /** Counts each rep as it completes. */
    record RepCounter(Span<Axis.Cut> span, List<Time<Axis.Cut>> completed, int target) implements Piece {
        @Override
        public Face at(Time<Axis.Cut> time) {
            int done = (int) completed.stream().filter(t -> !t.isAfter(time)).count();
            return new Face.RepCounter(done, target);
        }
    }
}
