package app.nosegay.dress;

import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Tempo;
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

    /** How far the whole programme is. */
    record Progress(Span<Axis.Cut> span, List<Integer> marks) implements Piece {
        /** One step of a long programme is too small to be seen moving. */
        private static final int MOST_STEPS = 240;

        /** The steps of a programme that long: never more than one a second, since every step is a repaint. */
        static int steps(Length length) {
            return (int) Math.max(1, Math.min(MOST_STEPS, Math.floor(length.seconds())));
        }

        @Override
        public Face at(Time<Axis.Cut> time) {
            int steps = steps(span.length());
            double share = time.since(span.start()).seconds() / span.length().seconds();
            return new Face.Progress((int) Math.floor(share * steps), steps, marks);
        }
    }

    /**
     * Follows the real reps down and up.
     *
     * @param completed when each rep was completed
     * @param tempo its parts
     * @param startsDown whether the first phase goes down
     */
    record TempoGuide(Span<Axis.Cut> span, List<Time<Axis.Cut>> completed, Tempo tempo, boolean startsDown)
            implements Piece {
        /** A rep this many times as long as its tempo was begun late and not done slowly. */
        private static final double SLOWEST = 1.6;

        @Override
        public Face at(Time<Axis.Cut> time) {
            Time<Axis.Cut> from = span.start();
            Time<Axis.Cut> to = null;
            for (Time<Axis.Cut> rep : completed) {
                if (rep.isAfter(time)) {
                    to = rep;
                    break;
                }
                from = rep;
            }
            double length = Math.max(0.1, tempo.repLength().seconds());
            double real = to == null ? length : Math.max(0.1, to.since(from).seconds());
            // Who takes much longer waits first, and so does who has not begun: then a rep takes its time before it
            // ends.
            boolean waits = from.equals(span.start()) || real > SLOWEST * length;
            double moving = waits ? Math.min(real, length) : real;
            double share = Math.max(0, Math.min(1, (time.since(from).seconds() - (real - moving)) / moving));
            return face(share * length);
        }

        private Face face(double second) {
            double[] ends = tempo.phaseEnds();
            double away;
            String word;
            boolean first = second < ends[0];
            if (first) {
                away = second / Math.max(0.01, ends[0]);
                word = startsDown
                        ? CoreText.of("dress.piece.down-breathe-in")
                        : CoreText.of("dress.piece.up-breathe-out");
            } else if (second < ends[1]) {
                away = 1;
                word = "hold";
            } else if (second < ends[2]) {
                away = 1 - (second - ends[1]) / Math.max(0.01, ends[2] - ends[1]);
                word = startsDown
                        ? CoreText.of("dress.piece.up-breathe-out")
                        : CoreText.of("dress.piece.down-breathe-in");
            } else {
                away = 0;
                word = "hold";
            }
            double down = startsDown ? away : 1 - away;
            return new Face.Tempo(word, (int) Math.round(down * Face.TEMPO_STEPS));
        }
    }
}
