package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** What starts work and what ends it: words of starting, of rest, and counts. */
final class WorkMeaning {
    /** Said when work ends, and as advice in the middle of it. */
    private static final Pattern PUT_DOWN =
            Pattern.compile("^thats it$| down$|^(?:and )?(?:put|set|pop|place|lay|drop)\\b");
    /** "Row, and release": two halves of a repetition. */
    private static final Pattern LET_GO = Pattern.compile("and (?:release|relax)");

    /** "We have a short rest": before anything began, of the plan. */
    private static final Pattern TAKES_A_REST = Pattern.compile("\\b(?:have|take|get) (?:a|your)\\b");

    private static final Pattern VERB_BEFORE = Pattern.compile("(?:^|[.,] |and )" + CallWords.ANY_VERB + "[ .,]*$");
    /** Words of starting said sooner after the start, in seconds, are still of it. */
    private static final double CHEERED_WITHIN = 12;
    /** "Thirty seconds on the clock": of what begins. */
    private static final Pattern ON_THE_CLOCK = Pattern.compile("(?i)\\bon the (?:clock|timer)\\b");
    /** Words of starting that nobody cheers with. */
    private static final Pattern BEGINS =
            Pattern.compile("begin|start|ready|set go|off (?:we|you) go|away we go|go time");
    /** Who says that more is left of a rest, in seconds, does not start work in the same breath. */
    private static final int SHORTEST_REST = 10;
    /** What the workout holds is told within this of "let's get into it", in seconds: work has not begun then. */
    private static final double WELCOME = 12;

    static final Pattern A_MINUTE = Pattern.compile("\\b(?:a|1) minute\\b");
    private static final double SAME_REST = 8;

    private final Speech speech;
    private final String text;
    private final List<FoundCall> found;
    private final CallContext heard;
    private final ExpectedCalls expected;
    private final CountMeaning counts;
    private final CallCollector said;

    WorkMeaning(Speech speech, List<FoundCall> found, CallContext heard, ExpectedCalls expected, CallCollector said) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
        this.heard = heard;
        this.expected = expected;
        this.counts = new CountMeaning(speech, heard, expected);
        this.said = said;
    }

    void start(FoundCall f) {
        boolean opening = !heard.hasStarted()
                && (soonAfterwards(f).stream()
                                .filter(n -> n.kind() == CallKind.ORDINAL || n.kind() == CallKind.NEXT_UP)
                                .anyMatch(n -> !n.rule().onlyExpected())
                        || heard.last(CallKind.NEXT_UP) == null && isBeforeThePlan(f));
        Call left = heard.last(CallKind.SECONDS_LEFT);
        boolean now = f.rule().onlyExpected()
                || text.startsWith(" now", f.to() - 4)
                || BEGINS.matcher(text.substring(f.from(), f.to())).find();
        boolean ofTheMove = now
                && heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                && heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.NEXT_UP);
        boolean resting = !heard.isWorking(f)
                && !ofTheMove
                && left != null
                && left.value() > SHORTEST_REST
                && !ON_THE_CLOCK.matcher(left.text()).find()
                && heard.saidWithin(CallKind.SECONDS_LEFT, CallCollector.AT_ONCE, f);
        if (opening || resting) {
            return;
        }
        boolean counted = heard.saidWithin(CallKind.COUNT_IN, 2.5, f);
        boolean startedAlready = heard.isWorking(f)
                && heard.hasStarted()
                && !heard.isPreviewed()
                && !heard.isSwitchedOver(f)
                && !heard.isPastTheEnd(f)
                && !(heard.sinceStart(f) > CHEERED_WITHIN
                        && BEGINS.matcher(text.substring(f.from(), f.to())).find());
        if (!counted && !startedAlready && !heard.saidWithin(CallKind.START, 5, f)) {
            said.say(CallKind.START, f);
        }
        if (!startedAlready) {
            heard.work(f);
        }
    }

    void rest(FoundCall f) {
        boolean weak = text.substring(f.from(), f.to())
                .matches(
                        ".*(?:thats it|done|shake|catch|relax|release|pause|break|breather|down|drop|grab|water|drink|sip|finish|park).*");
        Call counted = heard.last(CallKind.COUNT_OUT);
        boolean afterCount = counted != null && heard.isJustAfter(counted, f);
        boolean told = expected.isAfterLast(f) || heard.isAnnounced(f.to()) || heard.isOver(f);
        boolean resting =
                !heard.isWorking(f) && !(told && heard.isPerhapsWorking(f)) && heard.hasStarted() && !afterCount;
        boolean beat = LET_GO.matcher(text.substring(f.from(), f.to())).matches()
                && VERB_BEFORE
                        .matcher(text.substring(Math.max(0, f.from() - 20), f.from()))
                        .find();
        if (beat && !afterCount && !told) {
            return;
        }
        boolean tied = PUT_DOWN.matcher(text.substring(f.from(), f.to())).find();
        boolean alone = text.startsWith(". ", f.from() - 2)
                && text.startsWith(" .", f.to())
                && heard.hasStarted()
                && heard.sinceStart(f) > CHEERED_WITHIN;
        if (tied && !alone && !afterCount && !told) {
            return;
        }
        if (heard.isAtRestSince(f)
                && A_MINUTE.matcher(text.substring(f.from(), f.to())).find()) {
            said.once(new FoundCall(ExpectedPatterns.A_MINUTE, null, f.from(), f.to(), 60, null, null));
            return;
        }
        boolean planned = !heard.hasStarted()
                && TAKES_A_REST.matcher(text.substring(f.from(), f.to())).find();
        if (planned || heard.saidWithin(CallKind.REST, SAME_REST, f) || weak && (resting || !heard.hasStarted())) {
            return;
        }
        said.say(CallKind.REST, f);
        heard.rest(f);
    }

    void count(FoundCall f) {
        CallKind kind = counts.of(f);
        if (kind == null) {
            return;
        }
        said.say(kind, f);
        if (kind == CallKind.COUNT_IN) {
            heard.work(f);
        } else if (kind == CallKind.COUNT_OUT) {
            heard.counted(counts.isBeforeTheOtherSide(f));
        }
    }

    /** Whether what the workout holds is told soon after {@code f}. */
    boolean isBeforeThePlan(FoundCall f) {
        Time<Axis.Take> end = speech.end(f.to() - 1);
        return behind(f)
                .takeWhile(n -> speech.start(n.from()).since(end).seconds() < WELCOME)
                .anyMatch(n -> n.kind() == CallKind.TOTAL);
    }

    /** What is found soon after, beside what overlaps it. */
    List<FoundCall> soonAfterwards(FoundCall f) {
        Time<Axis.Take> end = speech.end(f.to() - 1);
        return behind(f)
                .takeWhile(n -> speech.start(n.from()).since(end).seconds() < CallCollector.SAME_CALL)
                .toList();
    }

    Stream<FoundCall> behind(FoundCall f) {
        return found.stream().filter(n -> n.from() >= f.to());
    }

    /** Whether work may begin with the end of {@code f}. */
    static boolean maybeACountIn(FoundCall f) {
        return f.run() != null && f.run().isDown() && f.run().first() <= CountMeaning.MOST_SECONDS_COUNTED;
    }
}
