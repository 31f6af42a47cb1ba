package app.nosegay.proof;

import static java.util.stream.Collectors.groupingBy;

import app.nosegay.calls.CallKind;
import app.nosegay.cut.Cut;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.Side;
import app.nosegay.review.said.HeardCall;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * One interval told three times.
 *
 * @param planned what the run sheet says
 * @param said what was said of it, as far as it can be compared
 * @param shown what the finished picture shows
 * @param saidApart how far the words are from the truth, 0 (agree) to 1; negative when nothing was said that can be compared
 * @param shownApart how far the picture is from the plan, 0 (agree) to 1
 * @param findings what was found in it
 * @param at where it is in the finished programme, or null when it is not in it
 */
public record IntervalComparison(
        Interval interval,
        String planned,
        String said,
        String shown,
        double saidApart,
        double shownApart,
        List<Finding> findings,
        Span<Axis.Cut> at) {
    /** A call this far off, in seconds or reps, parts the threads fully. */
    private static final double FULLY_WRONG = 6;
    /** An interval longer or shorter by this share of its plan parts them fully. */
    private static final double FULLY_OFF = 0.3;
    /** Below this nobody following along notices: the drawing shows agreement. */
    private static final double UNNOTICED_SECONDS = 0.5;

    /** Beginning later than this after "go" is seen, in seconds; the finding match.late-start has the same measure. */
    private static final double NOTICED_LATE = 1.0;

    private static final Set<CallKind> OF_TIME = Set.of(
            CallKind.SECONDS_LEFT,
            CallKind.HALF_WAY,
            CallKind.COUNT_IN,
            CallKind.COUNT_OUT,
            CallKind.REPS_LEFT,
            CallKind.LAST_REP,
            CallKind.REP_COUNT,
            CallKind.REST,
            CallKind.SWITCH_SIDE,
            CallKind.ORDINAL,
            CallKind.ROUNDS_LEFT);

    public IntervalComparison {
        findings = List.copyOf(findings);
    }

    /** How far its three threads part, 0 to 1. */
    public double apart() {
        return Math.max(saidApart, shownApart);
    }

    /** One per interval, in order. */
    public static List<IntervalComparison> of(
            Timeline timeline, Match match, Cut cut, List<HeardCall> calls, List<Finding> findings) {
        Map<String, List<HeardCall>> callsOf =
                calls.stream().filter(c -> c.segment() != null).collect(groupingBy(HeardCall::segment));
        Map<String, List<Finding>> findingsOf =
                findings.stream().filter(f -> f.segment() != null).collect(groupingBy(Finding::segment));
        List<IntervalComparison> comparisons = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            List<HeardCall> own = inside(interval, callsOf);
            List<Finding> found = inside(interval, findingsOf);
            Optional<Span<Axis.Cut>> at = shown(interval, match, cut);
            comparisons.add(new IntervalComparison(
                    interval,
                    planned(interval, timeline),
                    said(own),
                    picture(interval, match, at),
                    saidApart(own),
                    shownApart(interval, match, at),
                    found,
                    at.orElse(null)));
        }
        return comparisons;
    }

    private static <T> List<T> inside(Interval interval, Map<String, List<T>> bySegment) {
        return interval.segments().stream()
                .flatMap(s -> bySegment.getOrDefault(s.id(), List.of()).stream())
                .toList();
    }

    private static Optional<Span<Axis.Cut>> shown(Interval interval, Match match, Cut cut) {
        Time<Axis.Cut> from = null;
        Time<Axis.Cut> to = null;
        for (Segment s : interval.segments()) {
            Optional<Span<Axis.Cut>> span = match.segment(s.id()).flatMap(cut::shown);
            if (span.isPresent()) {
                from = from == null
                        ? span.get().start()
                        : Time.min(from, span.get().start());
                to = to == null ? span.get().end() : Time.max(to, span.get().end());
            }
        }
        return from == null ? Optional.empty() : Optional.of(new Span<>(from, to));
    }

    private static String planned(Interval interval, Timeline timeline) {
        Segment first = interval.first();
        StringBuilder words = new StringBuilder(interval.length().clock());
        int reps = interval.segments().stream()
                .mapToInt(s -> s.reps() == null ? 0 : s.reps())
                .sum();
        if (reps > 0) {
            words.append(" · ").append(reps).append(CoreText.of("proof.interval-comparison.reps"));
        }
        if (interval.segments().size() > 1) {
            words.append(CoreText.of("proof.interval-comparison.both-sides-in-turn"));
        } else if (first.side() == Side.LEFT || first.side() == Side.RIGHT) {
            words.append(" · ")
                    .append(first.side().spoken(timeline.sheet().header().mirrored()))
                    .append(CoreText.of("proof.interval-comparison.side"));
        }
        return words.toString();
    }

    private static String said(List<HeardCall> calls) {
        List<HeardCall> told =
                calls.stream().filter(c -> OF_TIME.contains(c.call().kind())).toList();
        if (told.isEmpty()) {
            return calls.isEmpty()
                    ? CoreText.of("proof.interval-comparison.nothing-that-can-be-compared")
                    : CoreText.of("proof.interval-comparison.words-of-order", calls.size());
        }
        HeardCall worst = told.stream()
                .filter(c -> c.error() != null)
                .max(Comparator.comparingDouble(c -> Math.abs(c.error())))
                .orElse(null);
        if (worst != null && off(worst) > 0.25) {
            return CoreText.of(
                    "proof.interval-comparison.off-by", worst.call().text().strip(), Math.abs(worst.error()));
        }
        return told.size() == 1
                ? CoreText.of("proof.interval-comparison.1-call-right")
                : told.size() + " calls, all right";
    }

    private static double off(HeardCall call) {
        return Math.min(1, Math.abs(call.error()) / FULLY_WRONG);
    }

    private static double saidApart(List<HeardCall> calls) {
        return calls.stream()
                .filter(c -> c.error() != null)
                .mapToDouble(IntervalComparison::off)
                .max()
                .orElse(-1);
    }

    private static String picture(Interval interval, Match match, Optional<Span<Axis.Cut>> at) {
        if (at.isEmpty()) {
            return CoreText.of("proof.interval-comparison.not-in-the-picture");
        }
        long reps = interval.segments().stream()
                .mapToLong(s -> match.reps().getOrDefault(s.id(), List.of()).size())
                .sum();
        double drift = drift(interval, at.get());
        double late = late(interval, match);
        StringBuilder words = new StringBuilder(at.get().length().clock());
        if (Math.abs(drift) >= 0.1) {
            words.append(String.format(Locale.ROOT, " (%+.1f s)", drift));
        }
        if (late > NOTICED_LATE) {
            words.append(CoreText.of("proof.interval-comparison.starts-s-late", late));
        }
        if (reps > 0) {
            words.append(" · ")
                    .append(reps)
                    .append(
                            reps == 1
                                    ? CoreText.of("proof.interval-comparison.rep")
                                    : CoreText.of("proof.interval-comparison.reps"))
                    .append(CoreText.of("proof.interval-comparison.counted"));
        }
        return words.toString();
    }

    /** How long after the announced start of a move the first movement is seen, in seconds. */
    private static double late(Interval interval, Match match) {
        if (!interval.kind().isMoving()) {
            return 0;
        }
        return match.segment(interval.first().id())
                .filter(p -> p.matched() && p.performedStart() != null)
                .map(p -> p.performedStart().since(p.start()).seconds())
                .orElse(0.0);
    }

    private static double drift(Interval interval, Span<Axis.Cut> at) {
        return at.length().minus(interval.length()).seconds();
    }

    private static double shownApart(Interval interval, Match match, Optional<Span<Axis.Cut>> at) {
        if (at.isEmpty()) {
            return match.segments().isEmpty() ? 0 : 1;
        }
        double apart = 0;
        boolean open = interval.segments().stream().anyMatch(Segment::open);
        double drift = Math.abs(drift(interval, at.get()));
        if (!open && drift > UNNOTICED_SECONDS) {
            apart = Math.min(
                    1, drift / Math.max(1, FULLY_OFF * interval.length().seconds()));
        }
        if (late(interval, match) > NOTICED_LATE) {
            apart = Math.max(apart, Math.min(1, late(interval, match) / FULLY_WRONG));
        }
        for (Segment s : interval.segments()) {
            int counted = match.reps().getOrDefault(s.id(), List.of()).size();
            if (s.reps() != null && counted > 0 && counted != s.reps()) {
                apart = Math.max(apart, Math.min(1, Math.abs(counted - s.reps()) / FULLY_WRONG));
            }
        }
        return apart;
    }
}
