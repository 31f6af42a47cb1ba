package app.nosegay.review.said;

import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** The figures of a plan that may be told as a total. */
final class PlanTotals {
    private PlanTotals() {}

    /**
     * @param of what it is of, as calls name it; null for nothing in particular
     * @return the figures that are right, none where nothing is known of it
     */
    static List<Double> of(Timeline timeline, String of) {
        List<Segment> work = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK)
                .toList();
        return switch (of == null ? "" : of) {
            case "moves" -> moves(timeline, work);
            case "rounds" ->
                timeline.roundsByBlock().values().stream().map(r -> (double) r).toList();
            case "sets" -> sets(work);
            case "reps" -> reps(work);
            case "minutes" ->
                List.of(
                        (double) Math.round(timeline.total().seconds() / 60),
                        Math.floor(timeline.total().seconds() / 60));
            case "warm-up-minutes" ->
                List.of((double) Math.round(timeline.total(SegmentKind.WARMUP).seconds() / 60));
            // Of a move done in halves the time of one side is told as well.
            case "work-seconds" ->
                Stream.concat(lengths(timeline, SegmentKind.WORK), work.stream().map(s -> s.duration()
                                .seconds()))
                        .distinct()
                        .toList();
            case "rest-seconds" ->
                lengths(timeline, SegmentKind.REST).distinct().toList();
            default -> List.of();
        };
    }

    private static Stream<Double> lengths(Timeline timeline, SegmentKind kind) {
        return timeline.intervals().stream().filter(i -> i.kind() == kind).map(i -> i.length()
                .seconds());
    }

    /** All, with and without bonus moves, and those of each block. */
    private static List<Double> moves(Timeline timeline, List<Segment> work) {
        Stream<Double> byBlock = timeline.segments().stream()
                .map(Segment::block)
                .distinct()
                .map(b -> (double) work.stream()
                        .filter(s -> s.block().equals(b))
                        .map(Segment::move)
                        .distinct()
                        .count());
        Stream<Double> all = Stream.of((double) timeline.workMoves(true).size(), (double)
                timeline.workMoves(false).size());
        return Stream.concat(all, byBlock).filter(v -> v > 0).toList();
    }

    private static List<Double> sets(List<Segment> work) {
        Stream<Double> shown = work.stream()
                .filter(s -> s.set() != null)
                .collect(Collectors.groupingBy(
                        Segment::block, Collectors.mapping(Segment::set, Collectors.maxBy(Integer::compare))))
                .values()
                .stream()
                .map(s -> (double) s.orElseThrow());
        return Stream.concat(shown, doses(work).map(d -> (double) d.sets()))
                .distinct()
                .toList();
    }

    private static List<Double> reps(List<Segment> work) {
        return Stream.concat(
                        work.stream().filter(s -> s.reps() != null).flatMap(PlanTotals::countedAs),
                        doses(work).filter(d -> d.reps() != null).map(d -> (double) d.reps()))
                .distinct()
                .toList();
    }

    /** Where viewers do more than is shown, it is their dose that is told. */
    private static Stream<Amount> doses(List<Segment> work) {
        return work.stream()
                .filter(s -> s.line() != null)
                .flatMap(s -> s.line().attributes().over(s.block().attributes()).dose().stream());
    }

    /** The repetitions of a segment as they may be told: in all, or of each side where sides alternate. */
    private static Stream<Double> countedAs(Segment s) {
        double reps = s.reps();
        return s.way() == SideWay.ALTERNATE ? Stream.of(reps, reps / 2) : Stream.of(reps);
    }
}
