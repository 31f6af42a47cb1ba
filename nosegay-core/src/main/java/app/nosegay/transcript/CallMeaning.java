package app.nosegay.transcript;

import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Settles by what went before what each thing said means: a count down ends work while working and starts it while resting, "let's go" starts
 * work or only cheers. Work whose end nobody announced is taken to be over after a time.
 */
final class CallMeaning {

    private static final Pattern NAMES_A_MOVE = Pattern.compile("\\b" + CallReader.MOVE_WORDS + "\\b");
    private static final Pattern OF_THESE =
            Pattern.compile("^ (?:of (?:these|those|them)|just like|like (?:that|this)|each|per)\\b");
    /** Said when work ends, and as advice in the middle of it. */
    private static final Pattern PUT_DOWN = Pattern.compile(" down$|^(?:and )?(?:put|set|pop|place|lay|drop)\\b");

    private static final Pattern NAMES_ROUNDS = Pattern.compile("round|circuit|set|lap");
    /** Names of moves that tell to begin with them. */
    private static final Pattern IMPERATIVE = Pattern.compile(
            "(?:(?:and|ready|okay|now) )*VERB(?: and VERB)?"
                    .replace(
                            "VERB",
                            "(?:press|row|curl|squat|lunge|march|twist|crawl|dip|swing|clean|raise|thrust|tap|snatch|plank|bridge|carry)"));

    private static final Pattern OF_ROUNDS = Pattern.compile(
            "\\b(?:(?:\\d+|first|second|third|fourth|fifth|that|this|the|a|our|last|whole) (?:round|circuit|set|lap)s?|(?:round|circuit|set|lap) \\d+)(?: (?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank)))?[ .,]*(?:and )?$");

    private static final Pattern IS_OVER = Pattern.compile(
            "^ (?:is |are )?(?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank))\\b");

    /** Two calls that say the same within this many seconds are one. */
    private static final double SAME_CALL = 3;
    /** Words of starting said sooner after the start, in seconds, are still of it. */
    private static final double CHEERED_WITHIN = 12;
    /** Words of starting that nobody cheers with. */
    private static final Pattern BEGINS =
            Pattern.compile("begin|start|ready|set go|off (?:we|you) go|away we go|go time");
    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|now (?:we have|its|into)|time for|its time for|we are (?:moving|heading)|up is|next is|it is time)");
    /** A move's name this soon behind its number, in seconds, belongs to it. */
    private static final double AT_ONCE = 4;

    /** Who says that more is left of a rest, in seconds, does not start work in the same breath. */
    private static final int SHORTEST_REST = 10;
    /** No interval of a plan is shorter, in seconds. */
    private static final int SHORTEST_PLANNED = 20;

    private static final Pattern TO_RECOVER = Pattern.compile("\\b(?:to recover|to rest|to breathe|rest here)\\b");
    private static final Pattern OF_REST = Pattern.compile(
            "\\b(?:rest|break|between|recover|off|no rest|change ?over|to change|transition|to set up|to get ready)\\b");
    /** What the workout holds is told within this of "let's get into it", in seconds: work has not begun then. */
    private static final double WELCOME = 12;
    /** Work begins within this of the first move's being brought up, in seconds. */
    private static final double LONGEST_TALK = 40;

    private static final Pattern A_MINUTE = Pattern.compile("\\b(?:a|1) minute\\b");
    private static final double SAME_REST = 8;
    private static final double SAME_NEXT = 12;
    private static final Pattern SIDE_NAMED = Pattern.compile("(?i)side|leg|arm|over");
    /** "Switch, switch, switch" this close together is the beat of an alternating move. */
    private static final double BEAT = 6;

    private final Speech speech;
    private final String text;
    private final List<CallReader.Found> found;
    private final HeardSoFar heard;
    private final ExpectedCalls expected;
    private final CountMeaning counts;

    /** The meanings of {@code found}, in the order of the text. */
    CallMeaning(Speech speech, List<CallReader.Found> found) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
        this.heard = new HeardSoFar(speech);
        this.expected = new ExpectedCalls(speech, heard);
        this.counts = new CountMeaning(speech, heard, expected);
    }

    List<Call> settle() {
        int understood = 0;
        for (int i = 0; i < found.size(); i++) {
            CallReader.Found f = found.get(i);
            if (f.run() != null) {
                count(f);
            } else if (f.rule() == null) {
                if (IMPERATIVE.matcher(text.substring(f.from(), f.to())).matches()
                        && !heard.isWorking(f)
                        && (heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                                || heard.saidWithin(CallKind.ROUNDS_LEFT, AT_ONCE, f))) {
                    start(new CallReader.Found(ExpectedCalls.BEGIN, null, f.from(), f.to(), null, null, null));
                    continue;
                }
                boolean free = !heard.isWorking(f)
                        || heard.isCounted(f)
                        || heard.saidWithin(CallKind.LAST_REP, AT_ONCE, f)
                        || heard.saidWithin(CallKind.ORDINAL, AT_ONCE, f)
                        || isJustStarted(f) && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                        || MOVES_ON.matcher(text.substring(f.from(), f.to())).find();
                boolean ends = heard.isWorking(f) && heard.isForetold(f.from() + 1);
                boolean again = heard.saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)
                        && !heard.isSaidSince(CallKind.ORDINAL, CallKind.NEXT_UP);
                if ((free || ends) && !again) {
                    next(f);
                }
            } else if (!f.rule().onlyExpected()) {
                rule(f);
            } else if (f.from() >= understood && expected.isCall(f, soonAfterwards(f))) {
                understood = f.to();
                expected(f);
            }
        }
        return withoutBeats();
    }

    /** What is found soon after, beside what overlaps it. */
    private List<CallReader.Found> soonAfterwards(CallReader.Found f) {
        Time<Axis.Take> end = speech.end(f.to() - 1);
        return behind(f)
                .takeWhile(n -> speech.start(n.from()).since(end).seconds() < SAME_CALL)
                .toList();
    }

    private Stream<CallReader.Found> behind(CallReader.Found f) {
        return found.stream().filter(n -> n.from() >= f.to());
    }

    /** A move brought up; while working, where the end was foretold, it takes the place of a "rest". */
    private void next(CallReader.Found f) {
        boolean working = heard.isWorking(f);
        say(CallKind.NEXT_UP, f);
        if (working && heard.isForetold(f.from() + 1)) {
            heard.rest(f);
        }
    }

    private void expected(CallReader.Found f) {
        if (f.rule().kind() == CallKind.REST) {
            say(CallKind.REST, f);
            heard.rest(f);
        } else if (f.rule().kind() == CallKind.START) {
            start(f);
        } else if (f.rule().kind() == CallKind.NEXT_UP && heard.isWorking(f)) {
            next(f);
        } else {
            rule(f);
        }
    }

    /** Whether work may begin with the end of {@code f}. */
    static boolean maybeACountIn(CallReader.Found f) {
        return f.run() != null && f.run().isDown() && f.run().first() <= CountMeaning.MOST_SECONDS_COUNTED;
    }

    private void rule(CallReader.Found f) {
        switch (f.rule().kind()) {
            case START -> {
                if (soonAfterwards(f).stream().noneMatch(CallMeaning::maybeACountIn)) {
                    start(f);
                }
            }
            case REST -> {
                boolean left = f.value() != null && !heard.isWorking(f);
                if (left && !heard.hasStarted()) {
                    heard.add(call(CallKind.TOTAL, f, "rest-seconds"));
                } else if (left) {
                    say(CallKind.SECONDS_LEFT, f);
                } else {
                    rest(f);
                }
            }
            case NEXT_UP -> {
                if (!heard.saidWithin(CallKind.NEXT_UP, 4, f)) {
                    next(f);
                }
            }
            case REPS_LEFT -> {
                if (!heard.isWorking(f) && OF_ROUNDS.matcher(saidBefore(f)).find()) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else {
                    repsLeft(f);
                }
            }
            case ROUNDS_LEFT -> {
                Call last = heard.last(CallKind.ROUNDS_LEFT);
                if (last != null
                        && f.value().equals(last.value())
                        && speech.start(f.from()).since(last.end()).seconds() < SAME_CALL) {
                    return;
                }
                boolean unnamed = CallPatterns.TO_GO.equals(f.rule().of())
                        && !OF_ROUNDS.matcher(saidBefore(f)).find()
                        && !NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
                if (!unnamed) {
                    say(CallKind.ROUNDS_LEFT, f);
                } else if (heard.isWorking(f)) {
                    say(CallKind.REPS_LEFT, f);
                } else if (heard.hasStarted() && heard.isTimed()) {
                    say(CallKind.ROUNDS_LEFT, f);
                }
            }
            case SECONDS_LEFT -> {
                if (!heard.hasStarted() && text.substring(f.from(), f.to()).endsWith(" second")) {
                    return;
                }
                if (isOfThePlan(f)) {
                    boolean work = !heard.isTotalSaid("work-seconds")
                            && !OF_REST.matcher(text.substring(Math.max(0, f.from() - 60), f.from()))
                                    .find();
                    heard.add(call(CallKind.TOTAL, f, work ? "work-seconds" : "rest-seconds"));
                } else {
                    once(f);
                }
            }
            case HALF_WAY -> {
                if (!CallPatterns.BY_TIME.equals(f.rule().of()) || heard.isHalf(f)) {
                    once(f);
                }
            }
            case TOTAL -> {
                String words = text.substring(f.from(), f.to());
                if ("rest-seconds".equals(f.rule().of())
                        && heard.isAtRestSince(f)
                        && (TO_RECOVER.matcher(words).find()
                                || A_MINUTE.matcher(words).find())) {
                    heard.add(call(CallKind.SECONDS_LEFT, f, null));
                } else {
                    once(f);
                }
            }
            case ORDINAL -> {
                once(f);
                if (IS_OVER.matcher(speech.soonAfter(f.to())).find()
                        && NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find()) {
                    heard.rest(f);
                }
            }
            case LAST_REP -> once(f);
            case SWITCH_SIDE -> {
                say(CallKind.SWITCH_SIDE, f);
                heard.goOn(f);
            }
            default -> say(f.rule().kind(), f);
        }
    }

    /** "Forty seconds, with twenty to recover": before anything began such figures are of the plan. */
    private boolean isOfThePlan(CallReader.Found f) {
        boolean rest = OF_REST.matcher(around(f)).find() && heard.isTotalSaid("work-seconds");
        return !heard.hasStarted()
                && (f.value() >= SHORTEST_PLANNED || rest)
                && (!heard.saidWithin(CallKind.NEXT_UP, LONGEST_TALK, f)
                        || text.startsWith("for ", f.from()) && heard.last(CallKind.TOTAL) != null);
    }

    private String around(CallReader.Found f) {
        return text.substring(Math.max(0, f.from() - 25), Math.min(text.length(), f.to() + 20));
    }

    /** Says it unless it was just said. */
    private void once(CallReader.Found f) {
        Call last = heard.last(f.rule().kind());
        boolean again = last != null
                && java.util.Objects.equals(last.value(), f.value())
                && java.util.Objects.equals(last.of(), of(f))
                && (f.rule().kind() != CallKind.TOTAL || last.text().equals(speech.asSaid(f.from(), f.to())))
                && isOfAMove(last.text()) == isOfAMove(text.substring(f.from(), f.to()))
                && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
        boolean late = f.rule().kind() == CallKind.LAST_REP && heard.isResting(f);
        if (!again && !late) {
            say(f.rule().kind(), f);
        }
    }

    /** Whether what the workout holds is told soon after {@code f}. */
    private boolean isBeforeThePlan(CallReader.Found f) {
        Time<Axis.Take> end = speech.end(f.to() - 1);
        return behind(f)
                .takeWhile(n -> speech.start(n.from()).since(end).seconds() < WELCOME)
                .anyMatch(n -> n.kind() == CallKind.TOTAL);
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
        if (heard.hasStarted() && heard.isTotalSaid("work-seconds") && heard.isResting(f)) {
            return;
        }
        String words = text.substring(f.from(), f.to());
        boolean reps = NAMES_A_MOVE.matcher(words).find()
                || OF_THESE.matcher(speech.soonAfter(f.to())).find()
                || words.contains("rep")
                || words.contains("like that")
                || words.contains("side")
                || words.contains("each")
                || words.contains("leg");
        boolean countedDown = found.stream()
                .anyMatch(r -> r.run() != null
                        && r.run().isDown()
                        && r.run().first() <= f.value()
                        && r.run().secondsEach() < CountMeaning.A_SECOND_EACH
                        && r.from() >= f.to()
                        && speech.start(r.from()).since(speech.end(f.to() - 1)).seconds() < f.value() + 1);
        boolean tens = f.value() >= 10 && f.value() % 5 == 0 || f.value() == 5 && heard.isBySeconds();
        boolean seconds = !reps
                && (tens || f.value() == 5 && countedDown || heard.isBySeconds() && heard.isToTheEnd(f.value(), f));
        CallKind kind = seconds ? CallKind.SECONDS_LEFT : CallKind.REPS_LEFT;
        Call last = heard.last(kind);
        boolean again = last != null
                && f.value().equals(last.value())
                && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
        if (!again) {
            say(kind, f);
        }
    }

    private void start(CallReader.Found f) {
        boolean opening = !heard.hasStarted()
                && (soonAfterwards(f).stream()
                                .filter(n -> n.kind() == CallKind.ORDINAL || n.kind() == CallKind.NEXT_UP)
                                .anyMatch(n -> !n.rule().onlyExpected())
                        || heard.last(CallKind.NEXT_UP) == null && isBeforeThePlan(f));
        Call left = heard.last(CallKind.SECONDS_LEFT);
        boolean now = f.rule().onlyExpected() || text.startsWith(" now", f.to() - 4);
        boolean ofTheMove = now
                && heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                && heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.NEXT_UP);
        boolean resting = !heard.isWorking(f)
                && !ofTheMove
                && left != null
                && left.value() > SHORTEST_REST
                && heard.saidWithin(CallKind.SECONDS_LEFT, AT_ONCE, f);
        if (opening || resting) {
            return;
        }
        boolean counted = heard.saidWithin(CallKind.COUNT_IN, 2.5, f);
        boolean startedAlready = heard.isWorking(f)
                && heard.hasStarted()
                && !heard.isPreviewed()
                && !heard.isSwitchedOver(f)
                && !(heard.sinceStart(f) > CHEERED_WITHIN
                        && BEGINS.matcher(text.substring(f.from(), f.to())).find());
        if (!counted && !startedAlready && !heard.saidWithin(CallKind.START, 5, f)) {
            say(CallKind.START, f);
        }
        if (!startedAlready) {
            heard.work(f);
        }
    }

    private void rest(CallReader.Found f) {
        boolean weak = text.substring(f.from(), f.to())
                .matches(
                        ".*(?:thats it|done|shake|catch|relax|release|pause|break|breather|down|drop|grab|water|drink|sip|finish|park).*");
        Call counted = heard.last(CallKind.COUNT_OUT);
        boolean afterCount = counted != null && heard.isJustAfter(counted, f);
        boolean told = expected.isAfterLast(f) || heard.isForetold(f.to());
        boolean resting =
                !heard.isWorking(f) && !(told && heard.isPerhapsWorking(f)) && heard.hasStarted() && !afterCount;
        boolean tied = PUT_DOWN.matcher(text.substring(f.from(), f.to())).find();
        if (tied && !afterCount && !told) {
            return;
        }
        if (heard.isAtRestSince(f)
                && A_MINUTE.matcher(text.substring(f.from(), f.to())).find()) {
            once(new CallReader.Found(ExpectedCalls.A_MINUTE, null, f.from(), f.to(), 60, null, null));
            return;
        }
        if (heard.saidWithin(CallKind.REST, SAME_REST, f) || weak && (resting || !heard.hasStarted())) {
            return;
        }
        say(CallKind.REST, f);
        heard.rest(f);
    }

    private void count(CallReader.Found f) {
        CallKind kind = counts.of(f);
        if (kind == null) {
            return;
        }
        say(kind, f);
        if (kind == CallKind.COUNT_IN) {
            heard.work(f);
        } else if (kind == CallKind.COUNT_OUT) {
            heard.counted(counts.isBeforeTheOtherSide(f));
        }
    }

    private void say(CallKind kind, CallReader.Found f) {
        boolean busy = kind == CallKind.REP_COUNT
                || kind == CallKind.REPS_LEFT
                || kind == CallKind.LAST_REP
                || kind == CallKind.SWITCH_SIDE && !heard.hasStarted()
                || kind == CallKind.HALF_WAY && "interval".equals(of(f));
        if (busy && !heard.isThoughtWorking()) {
            heard.work(f);
        }
        boolean brings = kind == CallKind.NEXT_UP
                || kind == CallKind.ORDINAL
                        && CallReader.OF_A_MOVE
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
        if (brings && !isJustStarted(f)) {
            heard.preview();
        }
        heard.add(call(kind, f, of(f)));
    }

    /** Whether work began in the same breath: a move named then is the one that is done. */
    private boolean isJustStarted(CallReader.Found f) {
        return heard.saidWithin(CallKind.COUNT_IN, AT_ONCE, f) || heard.saidWithin(CallKind.START, AT_ONCE, f);
    }

    private Call call(CallKind kind, CallReader.Found f, String of) {
        boolean plain = kind == CallKind.LAST_REP
                || kind == CallKind.PROMISE
                || kind == CallKind.REST
                || kind == CallKind.HALF_WAY;
        return new Call(
                kind,
                plain ? null : f.value(),
                kind == CallKind.REP_COUNT || kind == CallKind.TOTAL ? f.second() : null,
                of,
                speech.start(f.from()),
                speech.end(f.to() - 1),
                speech.asSaid(f.from(), f.to()));
    }

    private static String of(CallReader.Found f) {
        if (f.kind() == CallKind.START) {
            return null;
        }
        if (f.rule() != null && CallPatterns.BY_TIME.equals(f.rule().of())) {
            return "interval";
        }
        return f.move() != null
                ? f.move()
                : f.rule() == null
                                || "nth".equals(f.rule().of())
                                || CallPatterns.TO_GO.equals(f.rule().of())
                        ? null
                        : f.rule().of();
    }

    /** Without the "switch" of every rep of an alternating move. */
    private List<Call> withoutBeats() {
        List<Call> switches = heard.calls().stream()
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
        return heard.calls().stream()
                .filter(c -> beats.stream().noneMatch(b -> b == c))
                .toList();
    }
}
