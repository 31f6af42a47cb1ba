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

    /** Names of moves that tell to begin with them. */
    private static final Pattern IMPERATIVE = Pattern.compile("(?:(?:and|ready|okay|now) )*VERB(?: and VERB)?"
            .replace(
                    "VERB",
                    "(?:press|row|curl|squat|lunge|march|twist|crawl|dip|swing|clean|raise|thrust|tap|snatch)"
                            + "(?: (?:up|down|out|in|back))?"));

    /** "Move four is a row" only names it. */
    private static final Pattern ANNOUNCED =
            Pattern.compile("\\b(?:a|an|the|our|your|is|some|next|up|for|to|into|called|with|its|be) $");

    private static final Pattern IS_OVER = Pattern.compile(
            "^ (?:is |are )?(?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank))\\b");

    private static final Pattern COMPLETES = Pattern.compile(
            "\\b(?:completes?|completed|finished|finishes|the end of|done with|thats it for|all of)(?: (?:your|our|the|that))? $");

    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|into|now (?:we (?:have|are|will)|its|into|the|our|a|some)|time for|its time "
                    + "for|we are (?:moving|heading)|up is|next is|it is time|(?:we|you) (?:will|are going to) "
                    + "(?:then )?(?:go|head|flow|move|come) (?:into|onto|to)|lets (?:go|head) (?:into|onto)|lets "
                    + "(?:add|try|do|get into) |take (?:it|this|that) (?:into|onto)|(?:and )?(?:down|back|up|over)"
                    + " (?:for|into))");

    private static final Pattern SEVERAL =
            Pattern.compile("(?:(?:and|now|okay) )*(?!(?:thats|those|these|good|nice|great|your|my|no|like|love|hate|"
                    + "all|more|big|two|few|some) )(?:[a-z]+ ){0,2}[a-z]+[a-rt-z]s");
    private static final Pattern OTHER_SIDE = Pattern.compile("\\bother (?:side|leg|arm)\\b");
    /** "We'll do the other side" so soon after a rest, in seconds, is no promise but the change itself. */
    private static final double LONGEST_CHANGE = 10;

    /** "Kickbacks in five." */
    private static final Pattern SOON = Pattern.compile(" in (?:5|10|15|20)(?: seconds)? [.,]");
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
    /** What to do is said this soon after a count that starts it, in seconds. */
    private static final double BEHIND_THE_COUNT = 2;

    /** A last word shorter than this, "up" or "in", tells nothing of a move. */
    private static final int TELLS_A_MOVE = 3;

    private static final double SAME_NEXT = 12;
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
                boolean imperative =
                        IMPERATIVE.matcher(text.substring(f.from(), f.to())).matches()
                                && !ANNOUNCED.matcher(said.before(f)).find();
                if (imperative && heard.saidWithin(CallKind.COUNT_IN, BEHIND_THE_COUNT, f)) {
                    continue;
                }
                boolean previewed = imperative && heard.isPreviewed() && expected.isOfTheName(f);
                if (previewed) {
                    heard.work(f);
                    said.say(
                            CallKind.START,
                            new FoundCall(ExpectedCalls.BEGIN, null, f.from(), f.to(), null, null, null));
                    continue;
                }
                if (imperative
                        && !heard.isWorking(f)
                        && (expected.isBroughtUp()
                                || heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                                || heard.saidWithin(CallKind.ROUNDS_LEFT, CallCollector.AT_ONCE, f)
                                || heard.isRestOver(f))) {
                    work.start(new FoundCall(ExpectedCalls.BEGIN, null, f.from(), f.to(), null, null, null));
                    continue;
                }
                boolean free = !heard.isWorking(f)
                        || heard.isCounted(f)
                        || heard.saidWithin(CallKind.LAST_REP, CallCollector.AT_ONCE, f)
                        || heard.isFewLeft(CallCollector.AT_ONCE, f)
                        || heard.saidWithin(CallKind.ORDINAL, CallCollector.AT_ONCE, f)
                        || said.isJustStarted(f) && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                        || isNow(f)
                        || SOON.matcher(text).region(f.to(), text.length()).lookingAt()
                        || MOVES_ON.matcher(text.substring(f.from(), f.to())).find()
                        || text.startsWith(" first", f.to() - 6)
                        || heard.isOver(f)
                        || heard.isPastTheEnd(f)
                        || isNamedAlone(f)
                        || isDue(f);
                boolean ends = heard.isWorking(f) && heard.isAnnounced(f.from() + 1);
                boolean again = heard.saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)
                        && !heard.isSaidSince(CallKind.ORDINAL, CallKind.NEXT_UP);
                if ((free || ends) && !again) {
                    next(f);
                }
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

    /** "Rows.": more than one of them, and nothing else in the sentence. What to do is told in the singular. */
    private boolean isNamedAlone(FoundCall f) {
        String words = text.substring(f.from(), f.to());
        Call before = heard.last(CallKind.NEXT_UP);
        boolean ends = text.startsWith(" .", f.to());
        boolean several = SEVERAL.matcher(words).matches() && text.startsWith(". ", f.from() - 2);
        boolean known = f.move() != null
                && f.move().contains(" ")
                && !heard.saidWithin(CallKind.NEXT_UP, SAME_NEXT, f)
                && (text.startsWith(". ", f.from() - 2) || text.startsWith(", ", f.from() - 2));
        return ends
                && (several || known)
                && (before == null || !before.text().toLowerCase(Locale.ROOT).contains(words));
    }

    /** "Now inchworms": another move by its whole name. */
    private boolean isNow(FoundCall f) {
        return text.startsWith("now ", f.from())
                && f.move() != null
                && (f.move().contains(" ") || text.charAt(f.to() - 1) == 's');
    }

    /** Another move at the beginning of a sentence when this one has lasted as long as one does. */
    private boolean isDue(FoundCall f) {
        String words = text.substring(f.from(), f.to());
        boolean begins = text.startsWith(". ", f.from() - 2) || text.startsWith(", ", f.from() - 2);
        boolean name = SEVERAL.matcher(words).matches()
                || f.move() != null && (f.move().contains(" ") || f.move().equals("plank"));
        Call before = heard.last(CallKind.NEXT_UP);
        String kind = words.substring(words.lastIndexOf(' ') + 1).replaceAll("e?s$", "");
        boolean same = before != null
                && (f.move() != null && f.move().equals(before.of())
                        || kind.length() >= TELLS_A_MOVE
                                && before.text().toLowerCase(Locale.ROOT).contains(kind));
        return begins && name && !same && heard.isLongSinceStart(f);
    }

    /** A move brought up; while working, where the end was foretold, it takes the place of a "rest". */
    private void next(FoundCall f) {
        boolean working = heard.isWorking(f);
        boolean unannounced = heard.isSaidSince(CallKind.NEXT_UP, CallKind.COUNT_IN)
                && heard.isSaidSince(CallKind.NEXT_UP, CallKind.START);
        if (working && (unannounced || heard.isLongSinceStart(f)) && !heard.isTimeLeft(f)) {
            // Who began the last move without a word begins this one so.
            heard.goOn(f);
        }
        said.say(CallKind.NEXT_UP, f);
        if (working && heard.isAnnounced(f.from() + 1)) {
            heard.rest(f);
        }
    }

    private void expected(FoundCall f) {
        if (f.rule().kind() == CallKind.REST) {
            said.say(CallKind.REST, f);
            heard.rest(f);
        } else if (f.rule().kind() == CallKind.START) {
            work.start(f);
        } else if (f.rule().kind() == CallKind.NEXT_UP && heard.isWorking(f)) {
            next(f);
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
                    next(f);
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
                said.say(CallKind.REST, new FoundCall(ExpectedCalls.OVER, null, f.from(), f.to(), null, null, null));
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
