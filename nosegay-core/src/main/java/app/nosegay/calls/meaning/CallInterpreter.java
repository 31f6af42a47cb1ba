package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.regex.Pattern;

/**
 * Settles by what went before what each thing said means: a count down ends work while working and starts it while resting, "let's go"
 * starts work or only cheers. Work whose end nobody announced is taken to be over after a time.
 */
public final class CallInterpreter {

    private static final Pattern IS_OVER = Pattern.compile(
            "^ (?:is |are )?(?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank))\\b");

    private static final Pattern COMPLETES = Pattern.compile(
            "\\b(?:completes?|completed|finished|finishes|the end of|done with|thats it for|all of)(?: (?:your|our|the|that))? $");

    private static final Pattern OTHER_SIDE = Pattern.compile("\\bother (?:side|leg|arm)\\b");
    /** "We'll do the other side" so soon after a rest, in seconds, is no promise but the change itself. */
    private static final double LONGEST_CHANGE = 10;

    /** "That's round one." */
    private static final Pattern THAT_IS = Pattern.compile("\\bthats (?:our |the |your )?$");

    private static final Set<CallKind> MAY_DEPEND =
            EnumSet.of(CallKind.REST, CallKind.SECONDS_LEFT, CallKind.REPS_LEFT, CallKind.LAST_REP);
    private static final Pattern CONDITION = Pattern.compile(
            "\\b(?:if|once|whenever|unless|as soon as) (?:you|your|youre|things|anything|it)\\b(?: [a-z0-9]"
                    + "+){1,3} $|\\b(?:do not|never)(?: you)?(?: dare)? $");

    /** "Only one more" so soon behind "that's round one", in seconds, is of rounds. */
    private static final double AFTER_A_ROUND = 6;

    /** A name this near, in characters, belongs to what was said. */
    private static final int NEARLY_AT_ONCE = 14;

    private static final Pattern ONLY_SWITCH = Pattern.compile("(?i)(?:and )?(?:switch|change|swap)\\W*");
    /** "Switch, switch, switch" this close together is the beat of an alternating move. */
    private static final double BEAT = 6;

    /** The side that comes now, said once more behind "swap". */
    private static final Pattern ITS_SIDE =
            Pattern.compile("^(?:(?:and|now|okay) )*(?:the |your )?(?:other|left|right|second) ");
    /** So soon behind it, in seconds. */
    private static final double SAID_AGAIN = 9;

    private static final double SAID_TWICE = 1.2;

    private final Speech speech;
    private final String text;
    private final List<FoundCall> found;
    private final CallContext heard;
    private final ExpectedCalls expected;
    private final CallCollector said;
    private final WorkMeaning work;
    private final FigureMeaning figures;
    private final NameMeaning names;

    /** The meanings of {@code found}, in the order of the text. */
    public CallInterpreter(Speech speech, List<FoundCall> found) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
        this.heard = new CallContext(speech);
        this.expected = new ExpectedCalls(speech, heard);
        this.said = new CallCollector(speech, heard);
        this.work = new WorkMeaning(speech, found, heard, expected, said);
        this.figures = new FigureMeaning(speech, found, heard, said);
        this.names = new NameMeaning(speech, heard, expected, said, work);
    }

    public List<Call> settle() {
        int understood = 0;
        for (int i = 0; i < found.size(); i++) {
            FoundCall f = found.get(i);
            if (isConditional(f)) {
                continue;
            }
            if (f.run() != null) {
                work.count(f);
            } else if (f.rule() == null) {
                names.settle(f);
            } else if (f.kind() == CallKind.SWITCH_SIDE && isWithinACount(f)) {
                continue;
            } else if (!f.rule().onlyExpected()) {
                rule(f);
            } else if (f.from() >= understood && expected.isCall(f, work.soonAfterwards(f))) {
                understood = f.to();
                expected(f);
            }
        }
        return withoutBeats();
    }

    /** "Once you hit twelve, put it down": of a moment nobody says is now. */
    private boolean isConditional(FoundCall f) {
        return f.kind() != null
                && MAY_DEPEND.contains(f.kind())
                && CONDITION.matcher(said.before(f)).find();
    }

    private void expected(FoundCall f) {
        if (f.rule().kind() == CallKind.REST) {
            said.say(CallKind.REST, f);
            heard.rest(f);
        } else if (f.rule().kind() == CallKind.START) {
            work.start(f);
        } else if (f.rule().kind() == CallKind.NEXT_UP && heard.isWorking(f)) {
            names.next(f);
        } else {
            rule(f);
        }
    }

    private void rule(FoundCall f) {
        switch (f.rule().kind()) {
            case START -> {
                if (work.soonAfterwards(f).stream().noneMatch(WorkMeaning::maybeACountIn)) {
                    work.start(f);
                }
            }
            case REST -> rest(f);
            case NEXT_UP -> {
                boolean ofTheEnd = !heard.hasStarted() && said(f).contains("finish");
                if (!heard.saidWithin(CallKind.NEXT_UP, 4, f) && !ofTheEnd) {
                    names.next(f);
                }
            }
            case REPS_LEFT -> figures.repsOrRoundsLeft(f);
            case ROUNDS_LEFT -> figures.roundsLeft(f);
            case SECONDS_LEFT -> figures.secondsLeft(f);
            case HALF_WAY -> figures.halfWay(f);
            case TOTAL -> figures.total(f);
            case ORDINAL -> ordinal(f);
            case LAST_REP -> lastRep(f);
            case SWITCH_SIDE -> switchSide(f);
            case PROMISE -> promise(f);
            default -> said.say(f.rule().kind(), f);
        }
    }

    /** "Thirty seconds rest" tells of the plan, of what is left, or ends work. */
    private void rest(FoundCall f) {
        boolean left = f.value() != null && !heard.isWorking(f);
        if (left && !heard.hasStarted()) {
            heard.add(said.call(CallKind.TOTAL, f, "rest-seconds"));
        } else if (left) {
            said.say(CallKind.SECONDS_LEFT, f);
        } else {
            work.rest(f);
        }
    }

    /** "That was round one" ends work where its end was due. */
    private void ordinal(FoundCall f) {
        said.once(f);
        if ((IS_OVER.matcher(speech.soonAfter(f.to())).find()
                        || COMPLETES.matcher(said.before(f)).find()
                        || heard.isOver(f)
                                && (said(f).startsWith("thats")
                                        || THAT_IS.matcher(said.before(f)).find()))
                && FigureMeaning.NAMES_ROUNDS
                        .matcher(text.substring(f.from(), f.to()))
                        .find()) {
            boolean ends = heard.isWorking(f) && (heard.isAnnounced(f.from() + 1) || heard.isOver(f));
            if (ends) {
                said.say(CallKind.REST, new FoundCall(ExpectedPatterns.OVER, null, f.from(), f.to(), null, null, null));
            }
            heard.rest(f);
        }
    }

    /** "Last one" is of the move, of the round, or of the repetitions. */
    private void lastRep(FoundCall f) {
        boolean move = (!heard.isWorking(f)
                        || heard.isOver(f)
                        || heard.isPastTheEnd(f)
                        || heard.isTimed() && heard.isMostlyBySeconds())
                && heard.hasStarted()
                && !expected.isAfterLast(f)
                && isNamedNext(f);
        Call place = heard.last(CallKind.ORDINAL);
        boolean round = heard.hasStarted()
                && !heard.isWorking(f)
                && place != null
                && FigureMeaning.NAMES_ROUNDS
                        .matcher(place.text().toLowerCase(Locale.ROOT))
                        .find()
                && heard.saidWithin(CallKind.ORDINAL, AFTER_A_ROUND, f);
        if (round && !move) {
            figures.roundsLeft(f.withValue(1));
        } else if (move) {
            heard.add(new Call(
                    CallKind.ORDINAL,
                    -1,
                    null,
                    null,
                    speech.start(f.from()),
                    speech.end(f.to() - 1),
                    speech.asSaid(f.from(), f.to())));
        } else {
            said.once(f);
        }
    }

    private void switchSide(FoundCall f) {
        boolean ends = text.startsWith(" .", f.to()) || text.startsWith(" ,", f.to());
        if (ends && ONLY_SWITCH.matcher(said(f)).matches() && isNamedNext(f, '-')) {
            return;
        }
        if (ITS_SIDE.matcher(said(f)).find()
                && heard.saidWithin(CallKind.SWITCH_SIDE, SAID_AGAIN, f)
                && heard.isSwitchedOver(f)) {
            return;
        }
        if (f.rule().onlyExpected() && !heard.hasStarted()) {
            heard.add(said.call(CallKind.SWITCH_SIDE, f, null));
        } else {
            said.say(CallKind.SWITCH_SIDE, f);
            heard.goOn(f);
        }
    }

    /** A promise of the other side, given at rest, is the change itself. */
    private void promise(FoundCall f) {
        boolean now = OTHER_SIDE.matcher(text.substring(f.from(), f.to())).find()
                && !heard.isWorking(f)
                && heard.saidWithin(CallKind.REST, LONGEST_CHANGE, f)
                && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST);
        said.say(now ? CallKind.SWITCH_SIDE : CallKind.PROMISE, f);
    }

    private String said(FoundCall f) {
        return text.substring(f.from(), f.to());
    }

    /** "One, other side, two": the beat of an alternating move. */
    private boolean isWithinACount(FoundCall f) {
        return found.stream().anyMatch(r -> r.run() != null && r.from() < f.from() && f.to() < r.to());
    }

    /** "Last one, hollow hold": at rest the last move is meant. */
    private boolean isNamedNext(FoundCall f) {
        return isNamedNext(f, '.');
    }

    /** The same, with no {@code stop} between. */
    private boolean isNamedNext(FoundCall f, char stop) {
        return work.soonAfterwards(f).stream()
                .filter(n -> n.from() - f.to() < NEARLY_AT_ONCE
                        && text.substring(f.to(), n.from()).indexOf(stop) < 0)
                .anyMatch(n -> n.rule() == null && n.run() == null || n.kind() == CallKind.NEXT_UP);
    }

    /** Without the "switch" of every rep of an alternating move. */
    private List<Call> withoutBeats() {
        List<Call> switches = heard.calls().stream()
                .filter(c -> c.kind() == CallKind.SWITCH_SIDE
                        && ONLY_SWITCH.matcher(c.text()).matches())
                .toList();
        List<Call> beats = new ArrayList<>();
        for (int i = 0; i + 1 < switches.size(); i++) {
            double apart = apart(switches.get(i), switches.get(i + 1));
            boolean goesOn = i + 2 < switches.size() && apart(switches.get(i + 1), switches.get(i + 2)) < BEAT;
            // Two of them nearer together are one change, said twice.
            if (apart < BEAT && (goesOn || apart > SAID_TWICE)) {
                beats.addAll(switches.subList(i, goesOn ? i + 3 : i + 2));
            }
        }
        return heard.calls().stream()
                .filter(c -> beats.stream().noneMatch(b -> b == c))
                .toList();
    }

    private static double apart(Call one, Call next) {
        return next.time().since(one.time()).seconds();
    }
}
