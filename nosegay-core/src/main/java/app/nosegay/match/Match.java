package app.nosegay.match;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Where everything planned is in the takes.
 *
 * @param takes the takes, with the clock of each where it was heard
 * @param segments one per planned segment, in planned order
 * @param unplanned stretches inside the workout that belong to no segment
 * @param reps rep moments by segment id
 */
public record Match(
        List<Take> takes, List<Placed> segments, List<Unplanned> unplanned, Map<String, List<Time<Axis.Take>>> reps) {
    public static final Match NOTHING = new Match(List.of(), List.of(), List.of(), Map.of());

    public Match {
        takes = List.copyOf(takes);
        segments = List.copyOf(segments);
        unplanned = List.copyOf(unplanned);
        reps = Map.copyOf(reps);
    }

    /**
     * One take as matched: take time = offset + clock time · (1 + ratePpm / 10⁶).
     *
     * @param offset null when no sync tone with a log was heard
     * @param ratePpm 0 when it could not be measured
     * @param evidence what was used: tones, log, beeps, words, motion
     * @param foreign whether next to nothing in it fits this workout
     */
    public record Take(
            String id,
            String file,
            Length length,
            Length offset,
            double ratePpm,
            List<String> evidence,
            boolean foreign) {
        public Take(String id, String file, Length length, Length offset, double ratePpm, List<String> evidence) {
            this(id, file, length, offset, ratePpm, evidence, false);
        }
    }

    /**
     * A planned segment at its place.
     *
     * @param id the segment's id
     * @param planned its planned length
     * @param take the take it lies in; null when it is missing
     * @param start announced start; null when missing
     * @param end announced end; null when missing
     * @param performedStart first movement
     * @param performedEnd last movement
     * @param startDoubt 0 (certain) to 1
     * @param endDoubt 0 (certain) to 1
     * @param startPinned whether the user fixed the start
     * @param endPinned whether the user fixed the end
     * @param others where else it was done and not used
     * @param reason why this one of several was taken; null where there is only one
     * @param startLikely between which moments the start most likely is; null when missing
     * @param endLikely the same of the end
     */
    public record Placed(
            String id,
            Length planned,
            String take,
            Time<Axis.Take> start,
            Time<Axis.Take> end,
            Time<Axis.Take> performedStart,
            Time<Axis.Take> performedEnd,
            double startDoubt,
            double endDoubt,
            boolean startPinned,
            boolean endPinned,
            List<Other> others,
            String reason,
            Span<Axis.Take> startLikely,
            Span<Axis.Take> endLikely) {
        public Placed {
            others = List.copyOf(others);
        }

        /** A segment whose boundaries are nowhere else. */
        public Placed(
                String id,
                Length planned,
                String take,
                Time<Axis.Take> start,
                Time<Axis.Take> end,
                Time<Axis.Take> performedStart,
                Time<Axis.Take> performedEnd,
                double startDoubt,
                double endDoubt,
                boolean startPinned,
                boolean endPinned,
                List<Other> others,
                String reason) {
            this(
                    id,
                    planned,
                    take,
                    start,
                    end,
                    performedStart,
                    performedEnd,
                    startDoubt,
                    endDoubt,
                    startPinned,
                    endPinned,
                    others,
                    reason,
                    start == null ? null : new Span<>(start, start),
                    end == null ? null : new Span<>(end, end));
        }

        public Placed(
                String id,
                Length planned,
                String take,
                Time<Axis.Take> start,
                Time<Axis.Take> end,
                Time<Axis.Take> performedStart,
                Time<Axis.Take> performedEnd,
                double startDoubt,
                double endDoubt,
                boolean startPinned,
                boolean endPinned) {
            this(
                    id,
                    planned,
                    take,
                    start,
                    end,
                    performedStart,
                    performedEnd,
                    startDoubt,
                    endDoubt,
                    startPinned,
                    endPinned,
                    List.of(),
                    null);
        }

        public boolean matched() {
            return take != null;
        }

        /** The larger of the two doubts. */
        public double doubt() {
            return Math.max(startDoubt, endDoubt);
        }

        /** Recorded minus planned length; zero when missing. */
        public Length drift() {
            return matched() ? end.since(start).minus(planned) : Length.ZERO;
        }

        public Optional<Span<Axis.Take>> span() {
            return matched() ? Optional.of(new Span<>(start, end)) : Optional.empty();
        }
    }

    /**
     * Another time a segment was done.
     *
     * @param kind repeat (in the same take) or retake (in another)
     */
    public record Other(String take, Time<Axis.Take> start, Time<Axis.Take> end, String kind) {}

    /**
     * A stretch inside the workout that nobody planned.
     *
     * @param kind interruption, fluff, dead air or unplanned (movement); long rest is what can be taken out of a rest far longer than
     *     planned
     */
    public record Unplanned(String take, Span<Axis.Take> span, String kind) {
        /** The kind of what a rest took too long. */
        public static final String LONG_REST = "long rest";

        /** Whether it lies inside a planned rest and not between two segments. */
        public boolean isOfARest() {
            return kind.equals(LONG_REST);
        }
    }

    /** With rep moments tapped by hand in place of those found. */
    public Match withTaps(Map<String, List<Time<Axis.Take>>> taps) {
        if (taps.isEmpty()) {
            return this;
        }
        Map<String, List<Time<Axis.Take>>> all = new HashMap<>(reps);
        taps.forEach((id, times) -> {
            if (segment(id).filter(Placed::matched).isPresent()) {
                all.put(id, times);
            }
        });
        return new Match(takes, segments, unplanned, all);
    }

    public Optional<Placed> segment(String id) {
        return segments.stream().filter(s -> s.id().equals(id)).findFirst();
    }
}
