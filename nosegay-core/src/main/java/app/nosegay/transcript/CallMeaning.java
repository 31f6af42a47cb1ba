package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;

/**
 * Settles by what went before what each thing said means: a count down ends work while working and starts it while resting, "let's go" starts
 * work or only cheers. Work whose end nobody announced is taken to be over after a time.
 */
final class CallMeaning {
    private static final Pattern STARTS_AFTER = Pattern.compile(
            "^[ .,]*(?:and |okay |now )*(?:go|lets go|start|begin|work|here we go|off (?:we|you) go|lets start|lets begin|lets do)\\b");
    private static final Pattern STOPS_AFTER = Pattern.compile(
            "^[ .,0]*(?:and |okay |now |good |nice |great )*(?:rest|stop|relax|done|release|time|switch|swap|change|other side|take a|shake|catch|well done|good job|good work|nice work|great job|nice job|great work|breathe|lower|drop|down|pause|we are done|you are done|thats it|excellent|beautiful|awesome|perfect|and down|come down|let go|good|nice)\\b");
    private static final Pattern STARTS_BEFORE = Pattern.compile(
            "(?:starting|start|begin|beginning|going|go|off|ready|set|we start|lets start|here we go|begin|work|working)(?: (?:in|and|get|set))*[ .,]*$|(?:get ready|ready|here we go|count you in|in we go|coming in|going in) ?[ .,]*$|(?:^|[.,]) in $");
    private static final Pattern HOLDS_BEFORE =
            Pattern.compile("(?:hold|holding|squeeze|pause|pulse|pulses|stay|freeze)(?: [a-z]+){0,6}[ .,]*$");
    /** Says only that something comes, its start or its end. */
    private static final Pattern IN_BEFORE = Pattern.compile("(?:^|[ .,])(?:and )?in $");

    private static final Pattern READY_BEFORE = Pattern.compile(
            "(?:start|starting|begin|beginning|ready|set|go|here we go|count you in)[ .,]* (?:and )?in $");
    private static final Pattern NAMES_A_MOVE = Pattern.compile("\\b" + CallReader.MOVE_WORDS + "\\b");
    private static final Pattern OF_THESE =
            Pattern.compile("^ (?:of (?:these|those|them)|just like|like (?:that|this)|each|per)\\b");
    /** Said when work ends, and as advice in the middle of it. */
    private static final Pattern PUT_DOWN = Pattern.compile(" down$|^(?:and )?(?:put|set|pop|place|lay|drop)\\b");

    private static final Pattern NAMES_ROUNDS = Pattern.compile("round|circuit|set|lap");
    private static final Pattern OF_ROUNDS = Pattern.compile(
            "(?:round|circuit|set|lap)s?(?: \\d+)?(?: (?:done|complete|completed|finished|down|over|in the books))?[ .,]*(?:and )?$");
    /** What ends a set, and not only a hold within it. */
    private static final Pattern ENDS_AFTER = Pattern.compile(
            "^[ .,]*(?:and |okay |good )*(?:rest|stop|done|time|switch|swap|change|other side|relax|take a)\\b");

    private static final Pattern TEMPO_BEFORE =
            Pattern.compile("(?:down|up|lower|lift|slow|slowly|lowering|out|in|count of)[ .,]*$");
    /** A count from above this is of reps unless it goes by the second. */
    private static final int MOST_SECONDS_COUNTED = 10;

    private static final double A_SECOND_EACH = 1.7;
    /** Two calls that say the same within this many seconds are one. */
    private static final double SAME_CALL = 3;
    /** Work of unknown length is taken to be over after this, in seconds, though nobody said so. */
    private static final double LONGEST_WORK = 100;
    /** Words of starting said sooner after the start, in seconds, are still of it. */
    private static final double CHEERED_WITHIN = 12;
    /** Words of starting that nobody cheers with. */
    private static final Pattern BEGINS =
            Pattern.compile("begin|start|ready|set go|off (?:we|you) go|away we go|go time");
    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|now (?:we have|its)|time for|its time for|we are (?:moving|heading)|up is|next is|it is time)");
    /** A count ends this near to where a call of the seconds left put the end, in seconds. */
    private static final double FORETOLD_WITHIN = 4;
    /** A move's name this soon behind its number, in seconds, belongs to it. */
    private static final double AT_ONCE = 4;

    private static final double SAME_REST = 8;
    private static final double SAME_NEXT = 12;
    private static final Pattern SIDE_NAMED = Pattern.compile("(?i)side|leg|arm|over");
    /** "Switch, switch, switch" this close together is the beat of an alternating move. */
    private static final double BEAT = 6;

    private final Speech speech;
    private final String text;
    private final List<CallReader.Found> found;
    private final List<Call> calls = new ArrayList<>();
    private boolean working;
    private Time<Axis.Take> lastStart;
    /** Whether something new was brought up since work was last heard to start: the rest between was perhaps not said. */
    private boolean previewed;

    /** The meanings of {@code found}, in the order of the text. */
    CallMeaning(Speech speech, List<CallReader.Found> found) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
    }

    List<Call> settle() {
        for (int i = 0; i < found.size(); i++) {
            CallReader.Found f = found.get(i);
            if (f.run() != null) {
                count(f);
            } else if (f.rule() == null) {
                boolean free = !isWorking(f)
                        || saidWithin(CallKind.ORDINAL, AT_ONCE, f)
                        || saidWithin(CallKind.COUNT_IN, AT_ONCE, f)
                        || MOVES_ON.matcher(text.substring(f.from(), f.to())).find();
                if (free && !saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)) {
                    say(CallKind.NEXT_UP, f);
                }
            } else {
                rule(f);
            }
        }
        return withoutBeats();
    }

    private void rule(CallReader.Found f) {
        switch (f.rule().kind()) {
            case START -> start(f);
            case REST -> {
                boolean left = f.value() != null && !isWorking(f);
                if (left) {
                    say(CallKind.SECONDS_LEFT, f);
                } else {
                    rest(f);
                }
            }
            case NEXT_UP -> {
                if (!saidWithin(CallKind.NEXT_UP, 4, f)) {
                    say(CallKind.NEXT_UP, f);
                }
            }
            case REPS_LEFT -> {
                if (!isWorking(f) && OF_ROUNDS.matcher(saidBefore(f)).find()) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else {
                    repsLeft(f);
                }
            }
            case ROUNDS_LEFT -> {
                boolean unnamed = CallPatterns.TO_GO.equals(f.rule().of())
                        && !OF_ROUNDS.matcher(saidBefore(f)).find()
                        && !NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
                if (!unnamed) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else if (isWorking(f)) {
                    say(CallKind.REPS_LEFT, f);
                }
            }
            case SECONDS_LEFT, HALF_WAY, LAST_REP, ORDINAL, TOTAL -> {
                Call last = last(f.rule().kind());
                boolean again = last != null
                        && java.util.Objects.equals(last.value(), f.value())
                        && java.util.Objects.equals(last.of(), of(f))
                        && isOfAMove(last.text()) == isOfAMove(text.substring(f.from(), f.to()))
                        && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
                if (!again) {
                    say(f.rule().kind(), f);
                }
            }
            default -> say(f.rule().kind(), f);
        }
    }

    /** Whether the time left was called since work started, and no repetition. */
    private boolean isBySeconds() {
        return lastStart != null
                && since(CallKind.SECONDS_LEFT, lastStart)
                && !since(CallKind.REP_COUNT, lastStart)
                && !since(CallKind.REPS_LEFT, lastStart);
    }

    private boolean since(CallKind kind, Time<Axis.Take> moment) {
        Call last = last(kind);
        return last != null && !last.time().isBefore(moment);
    }

    /** Whether "the second" is a move's place and not a round's. */
    private static boolean isOfAMove(String words) {
        return CallReader.OF_A_MOVE
                .matcher(words.toLowerCase(java.util.Locale.ROOT))
                .find();
    }

    private String saidBefore(CallReader.Found f) {
        return text.substring(Math.max(0, f.from() - 40), f.from());
    }

    /** Tens of "last ten" are seconds, and so is a "last five" that is then counted down. */
    private void repsLeft(CallReader.Found f) {
        String words = text.substring(f.from(), f.to());
        boolean reps = NAMES_A_MOVE.matcher(words).find()
                || OF_THESE.matcher(soonAfter(f.to())).find()
                || words.contains("rep")
                || words.contains("side")
                || words.contains("each")
                || words.contains("leg");
        boolean countedDown = found.stream()
                .anyMatch(r -> r.run() != null
                        && r.run().isDown()
                        && r.run().first() <= f.value()
                        && r.run().secondsEach() < A_SECOND_EACH
                        && r.from() >= f.to()
                        && speech.start(r.from()).since(speech.end(f.to() - 1)).seconds() < f.value() + 1);
        boolean tens = f.value() >= 10 && f.value() % 5 == 0 || f.value() == 5 && isBySeconds();
        boolean seconds = !reps && (tens || f.value() == 5 && countedDown);
        CallKind kind = seconds ? CallKind.SECONDS_LEFT : CallKind.REPS_LEFT;
        Call last = last(kind);
        boolean again = last != null
                && f.value().equals(last.value())
                && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
        if (!again) {
            say(kind, f);
        }
    }

    private void start(CallReader.Found f) {
        boolean counted = saidWithin(CallKind.COUNT_IN, 2.5, f);
        boolean startedAlready = isWorking(f)
                && lastStart != null
                && !previewed
                && !(sinceStart(f) > CHEERED_WITHIN
                        && BEGINS.matcher(text.substring(f.from(), f.to())).find());
        if (!counted && !startedAlready && !saidWithin(CallKind.START, 5, f)) {
            say(CallKind.START, f);
        }
        if (!startedAlready) {
            work(f);
        }
    }

    private void rest(CallReader.Found f) {
        boolean weak = text.substring(f.from(), f.to())
                .matches(
                        ".*(?:thats it|done|shake|catch|relax|release|pause|break|breather|down|drop|grab|water|drink|sip|finish|park).*");
        Call counted = last(CallKind.COUNT_OUT);
        // A count down lasts at least its seconds, whatever the caption's times.
        boolean afterCount =
                counted != null && speech.start(f.from()).since(counted.time()).seconds() < counted.value() + 4.0;
        boolean resting = !isWorking(f) && lastStart != null && !afterCount;
        boolean tied = PUT_DOWN.matcher(text.substring(f.from(), f.to())).find();
        if (tied && !afterCount && !isForetold(f.to())) {
            return;
        }
        if (saidWithin(CallKind.REST, SAME_REST, f) || weak && (resting || lastStart == null)) {
            return;
        }
        say(CallKind.REST, f);
        working = false;
        lastStart = lastStart == null ? speech.start(f.from()) : lastStart;
    }

    private void count(CallReader.Found f) {
        CountRuns.Run run = f.run();
        String before = text.substring(Math.max(0, f.from() - 40), f.from());
        String after = soonAfter(f.to());
        if (!run.isDown()) {
            boolean tempo = run.first() == 2
                    && run.length() <= 4
                    && TEMPO_BEFORE.matcher(before).find();
            boolean repeated = run.length() <= 4
                    && saidWithin(CallKind.REP_COUNT, 5, f)
                    && last(CallKind.REP_COUNT).value() == run.first();
            if (!tempo && !repeated) {
                say(CallKind.REP_COUNT, f);
            }
            return;
        }
        boolean working = isWorking(f);
        boolean onlyIn = working
                && !previewed
                && IN_BEFORE.matcher(before).find()
                && !READY_BEFORE.matcher(before).find();
        boolean starts = STARTS_AFTER.matcher(after).find()
                || STARTS_BEFORE.matcher(before).find() && !onlyIn;
        boolean stops = STOPS_AFTER.matcher(after).find();
        boolean bySecond = run.secondsEach() < A_SECOND_EACH && run.first() <= MOST_SECONDS_COUNTED;
        boolean toTheEnd = run.last() <= 1 || run.last() <= 3 && (starts || stops);
        CallKind kind;
        if (!toTheEnd || run.first() > MOST_SECONDS_COUNTED && !stops && !starts) {
            kind = CallKind.REP_COUNT;
        } else if (STARTS_AFTER.matcher(after).find()) {
            kind = CallKind.COUNT_IN;
        } else if (HOLDS_BEFORE.matcher(before).find()
                && !isForetold(run.to())
                && !(stops && ENDS_AFTER.matcher(after).find())) {
            kind = CallKind.REP_COUNT;
        } else if (stops && working) {
            kind = CallKind.COUNT_OUT;
        } else if (starts) {
            kind = CallKind.COUNT_IN;
        } else if (!bySecond && working) {
            kind = run.length() > 3 ? CallKind.REP_COUNT : CallKind.COUNT_OUT;
        } else {
            boolean ends = working && (!previewed || isForetold(run.to()));
            kind = ends || stops ? CallKind.COUNT_OUT : CallKind.COUNT_IN;
        }
        say(kind, f);
        if (kind == CallKind.COUNT_IN) {
            work(f);
        } else if (kind == CallKind.COUNT_OUT) {
            this.working = after.matches("^[ .,]*(?:and |now )*(?:switch|swap|change|other side).*");
        }
    }

    /** Whether work goes on: it was heard to start, and that is not so long ago that its end must have been missed. */
    private boolean isWorking(CallReader.Found f) {
        return working && !isStale(f);
    }

    private boolean isStale(CallReader.Found f) {
        return working && lastStart != null && sinceStart(f) > longestWork();
    }

    private double sinceStart(CallReader.Found f) {
        return speech.start(f.from()).since(lastStart).seconds();
    }

    /** What work lasts at the most, in seconds: by what was said of it, else by what is usual. */
    private double longestWork() {
        return calls.stream()
                .filter(c -> c.kind() == CallKind.TOTAL && "work-seconds".equals(c.of()))
                .mapToDouble(c -> 1.3 * Math.max(c.value(), c.to() == null ? 0 : c.to()) + 8)
                .max()
                .orElse(LONGEST_WORK);
    }

    private void work(CallReader.Found f) {
        working = true;
        previewed = false;
        lastStart = speech.start(f.from());
    }

    /** Whether "ten seconds left" was said, as long before the end of what is said up to {@code to}. */
    private boolean isForetold(int to) {
        Call left = last(CallKind.SECONDS_LEFT);
        if (left == null || lastStart == null || left.time().isBefore(lastStart)) {
            return false;
        }
        double end = speech.end(to - 1).since(left.time()).seconds();
        return Math.abs(end - left.value()) < FORETOLD_WITHIN;
    }

    /** What is said in the moments after character {@code at}. */
    private String soonAfter(int at) {
        int to = Math.min(text.length(), at + 40);
        while (to > at + 1 && speech.start(to - 1).since(speech.end(at - 1)).seconds() > SAME_CALL) {
            to--;
        }
        return text.substring(at, to);
    }

    private void say(CallKind kind, CallReader.Found f) {
        boolean busy = kind == CallKind.REP_COUNT
                || kind == CallKind.REPS_LEFT
                || kind == CallKind.LAST_REP
                || kind == CallKind.SWITCH_SIDE && lastStart == null
                || kind == CallKind.HALF_WAY && "interval".equals(of(f));
        if (busy && !working) {
            work(f);
        }
        boolean brings = kind == CallKind.NEXT_UP
                || kind == CallKind.ORDINAL
                        && CallReader.OF_A_MOVE
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
        previewed |= working && brings;
        Integer to = kind == CallKind.REP_COUNT || kind == CallKind.TOTAL ? f.second() : null;
        calls.add(new Call(
                kind,
                kind == CallKind.LAST_REP || kind == CallKind.PROMISE || kind == CallKind.REST ? null : f.value(),
                to,
                of(f),
                speech.start(f.from()),
                speech.end(f.to() - 1),
                speech.asSaid(f.from(), f.to())));
    }

    private static String of(CallReader.Found f) {
        return f.move() != null
                ? f.move()
                : f.rule() == null
                                || "nth".equals(f.rule().of())
                                || CallPatterns.TO_GO.equals(f.rule().of())
                        ? null
                        : f.rule().of();
    }

    private Call last(CallKind kind) {
        for (int i = calls.size() - 1; i >= 0; i--) {
            if (calls.get(i).kind() == kind) {
                return calls.get(i);
            }
        }
        return null;
    }

    private boolean saidWithin(CallKind kind, double seconds, CallReader.Found f) {
        Call last = last(kind);
        return last != null && speech.start(f.from()).since(last.end()).seconds() < seconds;
    }

    /** Without the "switch" of every rep of an alternating move. */
    private List<Call> withoutBeats() {
        List<Call> switches = calls.stream()
                .filter(c -> c.kind() == CallKind.SWITCH_SIDE
                        && !SIDE_NAMED.matcher(c.text()).find())
                .toList();
        List<Call> beats = new ArrayList<>();
        for (int i = 0; i + 2 < switches.size(); i++) {
            boolean beat =
                    switches.get(i + 1).time().since(switches.get(i).time()).seconds() < BEAT
                            && switches.get(i + 2)
                                            .time()
                                            .since(switches.get(i + 1).time())
                                            .seconds()
                                    < BEAT;
            if (beat) {
                beats.addAll(switches.subList(i, i + 3));
            }
        }
        return calls.stream().filter(c -> beats.stream().noneMatch(b -> b == c)).toList();
    }
}
