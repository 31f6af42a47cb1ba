package app.nosegay.calls.learnt;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.NavigableSet;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.ToDoubleFunction;
import java.util.regex.Pattern;

/**
 * A second opinion on the calls that patterns found, by what a few thousand written-out calls were like ({@link CallModel}): what is very
 * unlikely where it was found goes, or becomes the likely other thing the same number can be of; what is likely and was not found is added.
 */
public final class CallReranker {
    /**
     * A call that needs no number is added from this likelihood of its line on: the best balance of found and made up on recordings left
     * out.
     */
    private static final double ADDS = 0.4;
    /** One that needs a number, from this likelihood of the number on. */
    private static final double ADDS_A_NUMBER = 0.45;
    /** Of what was found, the number's own likelihood counts this much, the rest its line's. */
    private static final double OF_NUMBER = 0.5;
    /** What was found is only doubted below this. */
    private static final double DOUBTS = 0.3;
    /** And is left out below this, where it can be nothing else. */
    private static final double DROPS = 0.2;
    /** What was found becomes another from this likelihood on. */
    private static final double TURNS = 0.5;
    /** What a count is of is told better by what went before than by its words: these are asked more of. */
    private static final double DOUBTS_A_COUNT = 0.1;

    private static final double TURNS_A_COUNT = 0.7;
    /** Read again so often with what was found, as every call depends on those around it. */
    private static final int TIMES = 2;
    /** A line that names a move so soon after a line with the same call is still of it, in seconds. */
    private static final double SAME_SECONDS = 2.5;
    /** Calls are settled line by line, so that those of the last line are among the last: no need to look at all. */
    private static final double LOOK_BACK_SECONDS = 60;

    private static final List<CallKind> ADDED = List.of(
            CallKind.NEXT_UP,
            CallKind.START,
            CallKind.REST,
            CallKind.SWITCH_SIDE,
            CallKind.HALF_WAY,
            CallKind.LAST_REP);
    private static final Set<CallKind> LEFT =
            Set.of(CallKind.SECONDS_LEFT, CallKind.REPS_LEFT, CallKind.TOTAL, CallKind.ROUNDS_LEFT);
    private static final Set<CallKind> COUNTS = Set.of(CallKind.COUNT_IN, CallKind.COUNT_OUT, CallKind.REP_COUNT);

    private static final Pattern SAYS_OF_WHAT = Pattern.compile(
            "(?i)\\b(?:workout|session|class|video|whole|round|circuit|lap|set|interval|rest|break)\\b");

    private final List<Caption> lines;
    private final CallLineFeatures traits;
    private final NumberFeatures numbers;
    private final CallModel ofLines;
    private final CallModel ofNumbers;

    private CallReranker(
            List<Caption> lines,
            CallLineFeatures traits,
            NumberFeatures numbers,
            CallModel ofLines,
            CallModel ofNumbers) {
        this.lines = lines;
        this.traits = traits;
        this.numbers = numbers;
        this.ofLines = ofLines;
        this.ofNumbers = ofNumbers;
    }

    public static CallReranker of(
            List<Caption> captions, Collection<String> moves, CallModel ofLines, CallModel ofNumbers) {
        List<Caption> lines = CallLines.of(captions);
        CallLineFeatures traits = new CallLineFeatures(lines, moves);
        return new CallReranker(lines, traits, NumberFeatures.of(captions, traits), ofLines, ofNumbers);
    }

    /** The calls there are, given those that patterns found; in order of time. */
    public List<Call> settle(List<Call> found) {
        List<Call> calls = found;
        for (int time = 0; time < TIMES; time++) {
            calls = settled(found, calls);
        }
        return calls;
    }

    private List<Call> settled(List<Call> found, List<Call> heard) {
        traits.with(heard);
        List<CallModel.Likely> likelyNumbers = new ArrayList<>();
        for (int n = 0; n < numbers.size(); n++) {
            likelyNumbers.add(ofNumbers.likely(numbers.of(n)));
        }
        List<List<Call>> by = new ArrayList<>();
        lines.forEach(c -> by.add(new ArrayList<>()));
        found.forEach(c -> by.get(Math.max(0, traits.lineOf(c))).add(c));
        List<Call> calls = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            CallModel.Likely likely = ofLines.likely(traits.of(i));
            List<Call> there = by.get(i);
            List<CallKind> kinds = there.stream().map(Call::kind).toList();
            there.forEach(c -> keep(c, kinds, likely, of(c, likelyNumbers), calls));
            for (CallKind kind : ADDED) {
                boolean isSaid = there.stream().anyMatch(c -> c.kind() == kind) || isJustSaid(kind, i, calls);
                if (!isSaid && likely.of(kind) >= ADDS) {
                    calls.add(added(kind, i, likely));
                }
            }
        }
        addNumbers(likelyNumbers, calls);
        calls.sort(Comparator.comparing(Call::time));
        return calls;
    }

    /** Keeps what was found, or what it can be instead, or nothing. */
    private static void keep(
            Call call, List<CallKind> there, CallModel.Likely line, CallModel.Likely number, List<Call> calls) {
        ToDoubleFunction<CallKind> likely = k -> number == null || !CallModel.NUMBERED.contains(k)
                ? line.of(k)
                : OF_NUMBER * number.of(k) + (1 - OF_NUMBER) * line.of(k);
        double own = likely.applyAsDouble(call.kind());
        if (own >= DOUBTS) {
            calls.add(call.kind() == CallKind.HALF_WAY ? ofWhat(call, line) : call);
            return;
        }
        boolean isCount = COUNTS.contains(call.kind());
        boolean goesUp = isCount && call.to() != null && call.to() > call.value();
        if (isCount && own >= DOUBTS_A_COUNT) {
            calls.add(call);
            return;
        }
        double turns = isCount ? TURNS_A_COUNT : TURNS;
        Set<CallKind> family = goesUp ? Set.of() : isCount ? COUNTS : LEFT.contains(call.kind()) ? LEFT : Set.of();
        CallKind other = family.stream()
                .filter(k -> k != CallKind.TOTAL && !there.contains(k))
                .max(Comparator.comparingDouble(likely))
                .filter(k -> likely.applyAsDouble(k) >= turns)
                .orElse(null);
        if (other != null) {
            Integer to = other == CallKind.REP_COUNT ? Integer.valueOf(1) : null;
            calls.add(new Call(other, call.value(), to, null, call.time(), call.end(), call.text()));
        } else if (own >= DROPS) {
            calls.add(call);
        }
    }

    /** What the number of {@code call} is likely to be of; null where it has none. */
    private CallModel.Likely of(Call call, List<CallModel.Likely> likely) {
        if (!CallModel.NUMBERED.contains(call.kind())) {
            return null;
        }
        for (int n = firstEndingAfter(call.time()); n < numbers.size(); n++) {
            SpokenNumber number = numbers.numbers().get(n);
            if (!number.start().isBefore(call.end())) {
                return null;
            }
            if (number.isIn(call) && call.value().equals(number.value(call.kind(), call.of()))) {
                return likely.get(n);
            }
        }
        return null;
    }

    /** The first number that is not over by {@code time}; numbers are in order of time. */
    private int firstEndingAfter(Time<Axis.Take> time) {
        List<SpokenNumber> all = numbers.numbers();
        int low = 0;
        int high = all.size();
        while (low < high) {
            int mid = (low + high) >>> 1;
            if (all.get(mid).end().isAfter(time)) {
                high = mid;
            } else {
                low = mid + 1;
            }
        }
        return low;
    }

    /** Half of what is over, if that is clear and was not said. */
    private static Call ofWhat(Call call, CallModel.Likely likely) {
        if (SAYS_OF_WHAT.matcher(call.text()).find()) {
            return call;
        }
        String what = likely.what(call.kind());
        boolean clear = likely.of(call.kind(), what) >= ADDS && likely.of(call.kind(), call.of()) < DOUBTS;
        return clear
                ? new Call(call.kind(), call.value(), call.to(), what, call.time(), call.end(), call.text())
                : call;
    }

    private void addNumbers(List<CallModel.Likely> likely, List<Call> calls) {
        // Looked up by the moment: to ask each number of each call takes hours where both are many.
        NavigableSet<Span<Axis.Take>> said =
                new TreeSet<>(Comparator.<Span<Axis.Take>, Time<Axis.Take>>comparing(Span::start)
                        .thenComparing(Span::end));
        calls.stream().filter(c -> c.value() != null).forEach(c -> said.add(new Span<>(c.time(), c.end())));
        long longest = said.stream().mapToLong(s -> s.length().micros()).max().orElse(0);
        for (int n = 0; n < numbers.size(); n++) {
            SpokenNumber number = numbers.numbers().get(n);
            Time<Axis.Take> from = number.start().minus(new Length(longest));
            boolean used =
                    said.subSet(new Span<>(from, from), true, new Span<>(number.end(), number.end()), false).stream()
                            .anyMatch(s -> number.start().isBefore(s.end()));
            if (!used) {
                Call added = of(number, likely.get(n));
                if (added != null) {
                    calls.add(added);
                    if (added.value() != null) {
                        said.add(new Span<>(added.time(), added.end()));
                        longest = Math.max(
                                longest, added.end().since(added.time()).micros());
                    }
                }
            }
        }
    }

    /** What a number is likely to be of; null where that is not clear. */
    private static Call of(SpokenNumber number, CallModel.Likely likely) {
        CallKind best = null;
        String bestOf = null;
        double most = ADDS_A_NUMBER;
        for (CallKind kind : CallModel.NUMBERED) {
            for (String of : likely.whats(kind)) {
                if (likely.of(kind, of) >= most && number.value(kind, of) != null) {
                    most = likely.of(kind, of);
                    best = kind;
                    bestOf = of;
                }
            }
        }
        return best == null ? null : number.call(best, bestOf);
    }

    /** Whether the same was called at the end of the line before, or is about to be. */
    private boolean isJustSaid(CallKind kind, int i, List<Call> calls) {
        Time<Axis.Take> start = lines.get(i).start();
        for (int c = calls.size() - 1; c >= 0; c--) {
            double before = start.since(calls.get(c).time()).seconds();
            if (before > LOOK_BACK_SECONDS) {
                return false;
            }
            if (calls.get(c).kind() == kind && Math.abs(before) < SAME_SECONDS) {
                return true;
            }
        }
        return false;
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
