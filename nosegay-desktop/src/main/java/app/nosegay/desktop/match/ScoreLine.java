package app.nosegay.desktop.match;

import app.nosegay.desktop.controls.DesktopText;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.review.seen.RepWays;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;

/**
 * One line of the Score: an interval, or a stretch nobody planned.
 *
 * @param interval the planned interval; null for an unplanned stretch
 * @param placed its segments as matched; empty for an unplanned stretch
 * @param recorded where it is in the take; null when it is missing
 * @param take the evidence of the take it lies in; null when it is missing
 * @param reps rep moments inside it
 * @param halves when those end that go only about half as far as the others, whether or not they are among them
 * @param target the rep target, or 0
 */
public record ScoreLine(
        Interval interval,
        List<Match.Placed> placed,
        Span<Axis.Take> recorded,
        TakeEvidence take,
        List<Time<Axis.Take>> reps,
        Set<Time<Axis.Take>> halves,
        int target)
        implements ScoreRow {
    /** A rest off by less than this is as planned, in seconds. */
    private static final double PLAIN = 0.5;

    /** The order in which each block can be folded to one row. */
    static final String BY_BLOCK = DesktopText.of("match.score-line.by-block");

    /** The order in which no rest is thin. */
    static final String ALL_RESTS = DesktopText.of("match.score-line.all-rests");

    private static final String BY_MOVE = DesktopText.of("match.score-line.by-move");
    private static final String BY_ROUND = DesktopText.of("match.score-line.by-round");
    private static final String WORK_ONLY = DesktopText.of("match.score-line.work-only");

    /** The orders the lines can be shown in. */
    static final List<String> ORDERS =
            List.of(DesktopText.of("match.score-line.in-order"), ALL_RESTS, BY_BLOCK, BY_MOVE, BY_ROUND, WORK_ONLY);

    /** The lines of a programme in one of {@link #ORDERS}. */
    static List<ScoreLine> of(Programme programme, String order) {
        List<ScoreLine> lines = new ArrayList<>(of(programme));
        if (List.of(BY_MOVE, BY_ROUND, WORK_ONLY).contains(order)) {
            lines.removeIf(l -> !l.isWork());
        }
        if (order.equals(BY_MOVE)) {
            List<String> moves = programme.timeline().workMoves(true);
            lines.sort(Comparator.comparingInt(
                    l -> moves.indexOf(l.interval().first().move())));
        } else if (order.equals(BY_ROUND)) {
            lines.sort(Comparator.comparingInt(ScoreLine::round));
        }
        return lines;
    }

    @Override
    public String key() {
        return isUnplanned()
                ? take.id() + " " + recorded.start()
                : interval.first().id();
    }

    private boolean isWork() {
        return !isUnplanned() && interval.kind() == SegmentKind.WORK;
    }

    private int round() {
        Segment s = interval.first();
        return s.round() != null ? s.round() : s.set() != null ? s.set() : 0;
    }

    /** The lines of a programme in the order of the plan, unplanned stretches where they happened. */
    static List<ScoreLine> of(Programme programme) {
        Match match = programme.match();
        Timeline timeline = programme.timeline();
        List<ScoreLine> lines = new ArrayList<>();
        for (Interval interval : timeline.intervals()) {
            List<Match.Placed> placed = interval.segments().stream()
                    .flatMap(s -> match.segment(s.id()).stream())
                    .toList();
            List<Match.Placed> found =
                    placed.stream().filter(Match.Placed::matched).toList();
            List<Time<Axis.Take>> reps = new ArrayList<>();
            found.forEach(p -> reps.addAll(match.reps().getOrDefault(p.id(), List.of())));
            int target = interval.segments().stream()
                    .mapToInt(s -> s.reps() == null ? 0 : s.reps())
                    .sum();
            Span<Axis.Take> recorded = found.isEmpty()
                    ? null
                    : new Span<>(
                            found.get(0).start(), found.get(found.size() - 1).end());
            TakeEvidence take =
                    found.isEmpty() ? null : evidence(programme, found.get(0).take());
            lines.add(new ScoreLine(interval, placed, recorded, take, reps, halves(take, found, match), target));
        }
        for (Match.Unplanned u : match.unplanned()) {
            if (u.isOfARest()) {
                continue;
            }
            ScoreLine line =
                    new ScoreLine(null, List.of(), u.span(), evidence(programme, u.take()), List.of(), Set.of(), 0);
            int at = 0;
            while (at < lines.size()
                    && (lines.get(at).recorded() == null
                            || lines.get(at)
                                    .recorded()
                                    .start()
                                    .isBefore(u.span().start()))) {
                at++;
            }
            lines.add(at, line);
        }
        return lines;
    }

    private static Set<Time<Axis.Take>> halves(TakeEvidence take, List<Match.Placed> found, Match match) {
        Set<Time<Axis.Take>> halves = new HashSet<>();
        JointRows leader = take == null ? null : JointRows.ofLeader(take).orElse(null);
        for (Match.Placed p : leader == null ? List.<Match.Placed>of() : found) {
            List<Time<Axis.Take>> ends = match.reps().getOrDefault(p.id(), List.of());
            RepWays ways = RepWays.of(
                    leader, p.performedStart().seconds(), p.performedEnd().seconds(), ends);
            if (ways != null) {
                halves.addAll(ways.halves());
            }
        }
        return halves;
    }

    private static TakeEvidence evidence(Programme programme, String take) {
        return programme.evidence().stream()
                .filter(e -> e.id().equals(take))
                .findFirst()
                .orElse(null);
    }

    boolean isUnplanned() {
        return interval == null;
    }

    boolean isMissing() {
        return recorded == null;
    }

    Length planned() {
        return interval == null ? Length.ZERO : interval.length();
    }

    /** Recorded minus planned; zero when missing or unplanned. */
    Length drift() {
        return isUnplanned() || isMissing() ? Length.ZERO : recorded.length().minus(planned());
    }

    /** How long after its announced start the movement starts; zero when nobody moves. */
    Length lateBy() {
        boolean moves = !isUnplanned()
                && !isMissing()
                && interval.kind().isMoving()
                && placed.get(0).matched();
        return moves ? placed.get(0).performedStart().since(placed.get(0).start()) : Length.ZERO;
    }

    /** The largest doubt of its boundaries. */
    double doubt() {
        return placed.stream()
                .map(Match.Placed::doubt)
                .max(Comparator.naturalOrder())
                .orElse(0.0);
    }

    /** The first of {@code lines} that shows the same move of the same block and side in another round or set. */
    Optional<ScoreLine> otherRound(List<ScoreLine> lines) {
        return lines.stream()
                .filter(l -> l != this && isWork() && l.isWork() && !l.isMissing() && l.take() != null)
                .filter(l -> l.round() != round()
                        && Objects.equals(
                                l.interval().first().move(), interval.first().move())
                        && l.interval().first().side() == interval.first().side()
                        && l.interval().first().block().equals(interval.first().block()))
                .findFirst();
    }

    boolean isRest() {
        return !isUnplanned() && interval.kind() == SegmentKind.REST;
    }

    /** Whether something is missing here, nobody planned it, or a finding is about it. */
    boolean isTroubled(Set<String> found) {
        return isUnplanned() || isMissing() || interval.segments().stream().anyMatch(s -> found.contains(s.id()));
    }

    /** Whether there is nothing to see but that it is there: a rest, found for certain, as long as planned. */
    boolean isPlainRest(Set<String> found) {
        return isRest()
                && !isTroubled(found)
                && doubt() <= ScorePainter.DOUBTFUL
                && Math.abs(drift().seconds()) < PLAIN
                && placed.stream().noneMatch(p -> p.startPinned() || p.endPinned());
    }

    /** The first line of its label. */
    String title() {
        if (isUnplanned()) {
            return DesktopText.of("match.score-line.not-planned");
        }
        Segment s = interval.first();
        String what = s.move() != null && s.kind().isMoving()
                ? s.move()
                : s.kind() == SegmentKind.TALK ? s.block().name() : s.kind().word();
        return Character.toUpperCase(what.charAt(0)) + what.substring(1);
    }

    /** The second line: round or set, side. */
    String detail() {
        if (isUnplanned()) {
            return DesktopText.of("match.score-line.from", recorded.start().toString());
        }
        Segment s = interval.first();
        List<String> parts = new ArrayList<>();
        if (s.round() != null) {
            parts.add(DesktopText.of("match.score-line.round", s.round()));
        }
        if (s.set() != null) {
            parts.add(DesktopText.of("match.score-line.set", s.set()));
        }
        if (interval.segments().size() > 1) {
            parts.add(DesktopText.of(
                    "match.score-line.then", s.side().word(), s.side().other().word()));
        } else if (s.side() == Side.LEFT || s.side() == Side.RIGHT) {
            parts.add(s.side().word());
        }
        return parts.isEmpty() ? s.kind().word().toLowerCase(Locale.ROOT) : String.join(", ", parts);
    }

    @Override
    public String spoken() {
        return title() + ", " + detail();
    }
}
