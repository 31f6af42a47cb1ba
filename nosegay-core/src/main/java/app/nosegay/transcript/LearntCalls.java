package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/**
 * A second opinion on the calls that patterns found, by what a few thousand written-out calls were like ({@link CallModel}): what is very
 * unlikely where it was found goes, or becomes the likely other thing the same number can be of; what is likely and was not found is added.
 */
final class LearntCalls {
    /** A call that needs no number is added from this likelihood on: as many added are right as found ones are (tried on sheets left out). */
    private static final double ADDS = 0.5;
    /** One that needs a number, from this on: the number may be of something else. */
    private static final double ADDS_A_NUMBER = 0.4;
    /** What was found is only doubted below this. */
    private static final double DOUBTS = 0.3;
    /** And is left out below this, where it can be nothing else. */
    private static final double DROPS = 0.08;
    /** What was found becomes another from this likelihood on. */
    private static final double TURNS = 0.5;
    /** What a count is of is told better by what went before than by its words: these are asked more of. */
    private static final double DOUBTS_A_COUNT = 0.1;

    private static final double TURNS_A_COUNT = 0.7;
    /** Read again so often with what was found, as every call depends on those around it. */
    private static final int TIMES = 2;
    /** A line that names a move so soon after a line with the same call is still of it, in seconds. */
    private static final double SAME_SECONDS = 2.5;

    private static final List<CallKind> ADDED = List.of(
            CallKind.NEXT_UP,
            CallKind.START,
            CallKind.REST,
            CallKind.SWITCH_SIDE,
            CallKind.HALF_WAY,
            CallKind.LAST_REP);
    private static final List<CallKind> NUMBERED =
            List.of(CallKind.TOTAL, CallKind.ORDINAL, CallKind.SECONDS_LEFT, CallKind.REPS_LEFT, CallKind.ROUNDS_LEFT);
    private static final Set<CallKind> LEFT =
            Set.of(CallKind.SECONDS_LEFT, CallKind.REPS_LEFT, CallKind.TOTAL, CallKind.ROUNDS_LEFT);
    private static final Set<CallKind> COUNTS = Set.of(CallKind.COUNT_IN, CallKind.COUNT_OUT, CallKind.REP_COUNT);

    private final List<Caption> lines;
    private final CallTraits traits;
    private final CallModel model;

    private LearntCalls(List<Caption> lines, CallTraits traits, CallModel model) {
        this.lines = lines;
        this.traits = traits;
        this.model = model;
    }

    static LearntCalls of(List<Caption> captions, Collection<String> moves, CallModel model) {
        List<Caption> lines = CallLines.of(captions);
        return new LearntCalls(lines, new CallTraits(lines, moves), model);
    }

    /** The calls there are, given those that patterns found; in order of time. */
    List<Call> settle(List<Call> found) {
        List<Call> calls = found;
        for (int time = 0; time < TIMES; time++) {
            calls = settled(found, calls);
        }
        return calls;
    }

    private List<Call> settled(List<Call> found, List<Call> heard) {
        traits.with(heard);
        List<List<Call>> by = new ArrayList<>();
        lines.forEach(c -> by.add(new ArrayList<>()));
        found.forEach(c -> by.get(Math.max(0, traits.lineOf(c))).add(c));
        List<Call> calls = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            CallModel.Likely likely = model.likely(traits.of(i));
            List<Call> there = by.get(i);
            List<CallKind> kinds = there.stream().map(Call::kind).toList();
            there.forEach(c -> keep(c, kinds, likely, calls));
            for (CallKind kind : ADDED) {
                boolean isSaid = there.stream().anyMatch(c -> c.kind() == kind) || isJustSaid(kind, i, calls);
                if (!isSaid && likely.of(kind) >= ADDS) {
                    calls.add(added(kind, i, likely));
                }
            }
            numbers(i, likely, calls);
        }
        calls.sort(Comparator.comparing(Call::time));
        return calls;
    }

    /** Keeps what was found, or what it can be instead, or nothing. */
    private static void keep(Call call, List<CallKind> there, CallModel.Likely likely, List<Call> calls) {
        double own = likely.of(call.kind());
        if (own >= DOUBTS) {
            calls.add(call.kind() == CallKind.HALF_WAY ? ofWhat(call, likely) : call);
            return;
        }
        boolean isCount = COUNTS.contains(call.kind());
        boolean goesUp = isCount && call.to() != null && call.to() > call.value();
        if (isCount && own >= DOUBTS_A_COUNT || goesUp && own >= DROPS) {
            calls.add(call);
            return;
        }
        double turns = isCount ? TURNS_A_COUNT : TURNS;
        Set<CallKind> family = goesUp ? Set.of() : isCount ? COUNTS : LEFT.contains(call.kind()) ? LEFT : Set.of();
        CallKind other = family.stream()
                .filter(k -> k != CallKind.TOTAL && !there.contains(k))
                .max(Comparator.comparingDouble(likely::of))
                .filter(k -> likely.of(k) >= turns)
                .orElse(null);
        if (other != null) {
            Integer to = other == CallKind.REP_COUNT ? Integer.valueOf(1) : null;
            calls.add(new Call(other, call.value(), to, null, call.time(), call.end(), call.text()));
        } else if (own >= DROPS) {
            calls.add(call);
        }
    }

    /** Half of what is over, if that is clear. */
    private static Call ofWhat(Call call, CallModel.Likely likely) {
        String what = likely.what(call.kind());
        boolean clear = likely.of(call.kind(), what) >= ADDS && likely.of(call.kind(), call.of()) < DOUBTS;
        return clear
                ? new Call(call.kind(), call.value(), call.to(), what, call.time(), call.end(), call.text())
                : call;
    }

    /** Adds calls of a number that nothing else is made of, where it is the only one of its line. */
    private void numbers(int i, CallModel.Likely likely, List<Call> calls) {
        for (CallKind kind : NUMBERED) {
            for (String of : likely.whats(kind)) {
                boolean isSaid = calls.stream()
                        .anyMatch(c -> c.kind() == kind && Objects.equals(c.of(), of) && traits.lineOf(c) == i);
                if (likely.of(kind, of) >= ADDS_A_NUMBER && !isSaid && !isJustSaid(kind, i, calls)) {
                    List<SpokenNumber> free = SpokenNumber.in(lines.get(i), kind).stream()
                            .filter(n -> calls.stream().noneMatch(c -> c.value() != null && n.isIn(c)))
                            .toList();
                    if (free.size() == 1) {
                        calls.add(free.get(0).as(kind, of));
                    }
                }
            }
        }
    }

    /** Whether the same was called at the end of the line before, or is about to be. */
    private boolean isJustSaid(CallKind kind, int i, List<Call> calls) {
        Time<Axis.Take> start = lines.get(i).start();
        return calls.stream()
                .anyMatch(c -> c.kind() == kind
                        && kind != CallKind.TOTAL
                        && Math.abs(start.since(c.time()).seconds()) < SAME_SECONDS);
    }

    private Call added(CallKind kind, int i, CallModel.Likely likely) {
        Caption line = lines.get(i);
        List<Caption.Word> words = line.words();
        return new Call(
                kind,
                null,
                null,
                likely.what(kind),
                line.start(),
                words.get(words.size() - 1).end(),
                line.text());
    }
}
