package app.nosegay.review;

import app.nosegay.cache.TextMemo;
import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.plan.Interval;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.HeardCall;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/** Calls of time left and of half-way that the script has and nobody made. */
final class MissedCalls {
    /** Of the calls a style promises, people leave out some; one is told where it was scripted. */
    private static final double NEAR_SCRIPT = 5;

    /** A call this near to where another was due was said in its place, in seconds. */
    private static final double INSTEAD = 2;

    /** The calls in a scripted line. */
    private static final TextMemo<List<Call>> SCRIPTED = new TextMemo<>(
            text -> CallReader.read(List.of(new Caption(Time.zero(), Time.ofSeconds(2), text)), List.of()));

    private final Match match;
    private final List<TakeEvidence> takes;
    private final List<HeardCall> calls;
    private final Map<String, Interval> intervals = new HashMap<>();
    private final List<Due> missed = new ArrayList<>();

    private MissedCalls(Timeline timeline, Match match, List<TakeEvidence> takes, List<HeardCall> calls) {
        this.match = match;
        this.takes = takes;
        this.calls = calls;
        timeline.intervals().forEach(i -> i.segments().forEach(s -> intervals.put(s.id(), i)));
    }

    static List<Due> of(Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> takes, List<HeardCall> calls) {
        MissedCalls check = new MissedCalls(timeline, match, takes, calls);
        check.never(cues);
        return check.missed;
    }

    /**
     * Calls of time left and of half-way in the script, where most were made, and one was not in an interval of a kind in which they
     * are.
     */
    private void never(CuePlan cues) {
        Map<String, List<Due>> byCall = new LinkedHashMap<>();
        for (ScriptLine line : cues.lines()) {
            if (line.isCall()) {
                due(line).ifPresent(d -> byCall.computeIfAbsent(d.words(), w -> new ArrayList<>())
                        .add(d));
            }
        }
        byCall.forEach((words, dues) -> {
            List<Due> made = dues.stream().filter(this::made).toList();
            if (made.size() > 1 && made.size() * 2 >= dues.size()) {
                // Who never calls in a warm-up has not forgotten it in one.
                Set<SegmentKind> usual = made.stream().map(this::kind).collect(Collectors.toSet());
                dues.stream()
                        .filter(d -> !made.contains(d) && usual.contains(kind(d)))
                        .forEach(missed::add);
            }
        });
    }

    private SegmentKind kind(Due due) {
        return intervals.get(due.segment()).kind();
    }

    /**
     * A call that the script has in an interval that was found whole, in a take whose words are known.
     *
     * @param line as scripted
     * @param parts the interval's segments
     * @param at when it is due, in seconds of the take
     */
    record Due(String segment, Call call, String line, String words, List<Match.Placed> parts, double at) {}

    private Optional<Due> due(ScriptLine line) {
        Interval interval = intervals.get(line.segment());
        Call call = SCRIPTED.of(line.text()).stream()
                .filter(c -> c.kind() == CallKind.SECONDS_LEFT || c.kind() == CallKind.HALF_WAY)
                .findFirst()
                .orElse(null);
        if (call == null || interval == null || !isTimed(interval)) {
            return Optional.empty();
        }
        List<Match.Placed> parts = parts(interval);
        boolean whole = parts.size() == interval.segments().size()
                && parts.stream().map(Match.Placed::take).distinct().count() == 1
                && isTranscribed(parts.get(0).take());
        if (!whole) {
            return Optional.empty();
        }
        Time<Axis.Take> start = parts.get(0).start();
        Time<Axis.Take> end = parts.get(parts.size() - 1).end();
        double length = end.since(start).seconds();
        if (call.kind() == CallKind.HALF_WAY) {
            return Optional.of(
                    new Due(line.segment(), call, line.text(), "half-way", parts, start.seconds() + length / 2));
        }
        // A set that was cut so short that the call never came due is told as short.
        return call.value() > 0.6 * length
                ? Optional.empty()
                : Optional.of(new Due(
                        line.segment(),
                        call,
                        line.text(),
                        CoreText.of("review.call-check.seconds", call.value()),
                        parts,
                        end.seconds() - call.value()));
    }

    /** Whether people move to a clock in it. */
    private static boolean isTimed(Interval interval) {
        return interval.kind().isMoving() && interval.segments().stream().allMatch(s -> s.reps() == null);
    }

    private boolean isTranscribed(String take) {
        return takes.stream().anyMatch(t -> t.id().equals(take) && !t.words().isEmpty());
    }

    private List<Match.Placed> parts(Interval interval) {
        return interval.segments().stream()
                .flatMap(s -> match.segment(s.id()).stream())
                .filter(Match.Placed::matched)
                .toList();
    }

    private boolean made(Due due) {
        return calls.stream()
                .anyMatch(c -> c.take().equals(due.parts().get(0).take())
                        && c.call().kind() == due.call().kind()
                        && (isIt(c, due) || insteadOf(c, due)));
    }

    private static boolean isIt(HeardCall c, Due due) {
        boolean near = Math.abs(c.call().time().seconds() - due.at()) < NEAR_SCRIPT + 1.5
                || due.parts().stream().anyMatch(p -> p.id().equals(c.segment()));
        return Objects.equals(c.call().value(), due.call().value()) && near;
    }

    /** Another figure said at the very moment is wrong, and told as that; the right one is not missing besides. */
    private static boolean insteadOf(HeardCall c, Due due) {
        return Math.abs(c.call().time().seconds() - due.at()) < INSTEAD;
    }
}
