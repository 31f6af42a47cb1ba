package app.nosegay.transcript;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Settles by what went before what each thing said means: a count down ends work while working and starts it while resting, "let's go" starts
 * work or only cheers. Work whose end nobody announced is taken to be over after a time.
 */
final class CallMeaning {

    private static final Pattern NAMES_A_MOVE = Pattern.compile("\\b" + CallReader.MOVE_WORDS + "\\b");
    private static final Pattern OF_THESE =
            Pattern.compile("^ (?:of (?:these|those|them)|just like|like (?:that|this)|each|per)\\b");

    /** "Thirty punches left". */
    private static final Pattern OF_SOMETHING = Pattern.compile("\\d [a-z]+s (?:left|to go|remaining)$");

    private static final Pattern NAMES_ROUNDS = Pattern.compile("round|circuit|set|lap");
    /** Names of moves that tell to begin with them. */
    private static final Pattern IMPERATIVE = Pattern.compile("(?:(?:and|ready|okay|now) )*VERB(?: and VERB)?"
            .replace(
                    "VERB",
                    "(?:press|row|curl|squat|lunge|march|twist|crawl|dip|swing|clean|raise|thrust|tap|snatch)"));

    /** "Move four is a row" only names it. */
    private static final Pattern ANNOUNCED = Pattern.compile("\\b(?:a|an|the|our|your|is|some|next|up|for|to|into) $");

    private static final Pattern OF_ROUNDS = Pattern.compile(
            "\\b(?:(?:\\d+|first|second|third|fourth|fifth|that|this|the|a|our|last|whole) (?:round|circuit|set|lap)s?|(?:round|circuit|set|lap) \\d+)(?: (?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank)))?[ .,]*(?:and )?$");

    private static final Pattern IS_OVER = Pattern.compile(
            "^ (?:is |are )?(?:all )?(?:done|complete|completed|finished|down|over|gone|in the (?:books|bag|bank))\\b");

    private static final Pattern COMPLETES = Pattern.compile(
            "\\b(?:completes?|completed|finished|finishes|the end of|done with|thats it for|all of)(?: (?:your|our|the|that))? $");

    /** Words that lead on to something new, whatever goes on. */
    private static final Pattern MOVES_ON = Pattern.compile(
            "^(?:on to|onto|into|now (?:we (?:have|are|will)|its|into|the|our|a|some)|time for|its time for|we are (?:moving|heading)|up is|next is|it is time|(?:we|you) (?:will|are going to) (?:then )?(?:go|head|flow|move|come) (?:into|onto|to)|lets (?:go|head) (?:into|onto)|lets (?:add|try|do|get into) |take (?:it|this|that) (?:into|onto)|(?:and )?(?:down|back|up|over) (?:for|into))");

    /** No interval of a plan is shorter, in seconds. */
    private static final int SHORTEST_PLANNED = 20;

    private static final Pattern OF_ALL_RESTS = Pattern.compile("\\b(?:between|each|every)\\b");
    private static final Pattern OF_REST = Pattern.compile(
            "\\b(?:rest|break|between|recover|off|no rest|change ?over|to change|transition|to set up|to get (?:ready|into|to|set)|to move)\\b");
    /** Work begins within this of the first move's being brought up, in seconds. */
    private static final double LONGEST_TALK = 40;

    private static final Pattern SEVERAL = Pattern.compile(
            "(?:(?:and|now|okay) )*(?!(?:thats|those|these|good|nice|great|your|my|no|like|love|hate|all|more|big|two|few|some) )(?:[a-z]+ ){0,2}[a-z]+[a-rt-z]s");
    private static final Pattern OF_A_REST =
            Pattern.compile("^ (?:(?:through|of|into) )?(?:your|the|our|this) (?:rest|break)\\b");
    private static final Pattern ROUNDS_DONE = Pattern.compile(
            "\\d (?:rounds|circuits|sets|laps) (?:done|down|complete|finished)[ .,]*(?:and |so )?(?:we are )?$");
    private static final Pattern DOWN = Pattern.compile("^(?:thats )?(\\d+) (?:[a-z]+ )?down\\b");
    private static final Pattern OTHER_SIDE = Pattern.compile("\\bother (?:side|leg|arm)\\b");
    /** "We'll do the other side" so soon after a rest, in seconds, is no promise but the change itself. */
    private static final double LONGEST_CHANGE = 10;

    /** A name this near, in characters, belongs to what was said. */
    private static final int NEARLY_AT_ONCE = 14;
    /** "Thirty each arm" are seconds where all goes by them. */
    private static final int SHORTEST_HALF = 15;
    /** What to do is said this soon after a count that starts it, in seconds. */
    private static final double BEHIND_THE_COUNT = 2;
    /** "Three more" are repetitions, whatever the clock says. */
    private static final int FEWEST_SECONDS = 5;

    private static final double SAME_NEXT = 12;
    private static final Pattern ONLY_SWITCH = Pattern.compile("(?i)(?:and )?(?:switch|change|swap)\\W*");
    /** "Switch, switch, switch" this close together is the beat of an alternating move. */
    private static final double BEAT = 6;

    private static final double SAID_TWICE = 1.2;

    private final Speech speech;
    private final String text;
    private final List<CallReader.Found> found;
    private final HeardSoFar heard;
    private final ExpectedCalls expected;
    private final SaidCalls said;
    private final WorkMeaning work;

    /** The meanings of {@code found}, in the order of the text. */
    CallMeaning(Speech speech, List<CallReader.Found> found) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
        this.heard = new HeardSoFar(speech);
        this.expected = new ExpectedCalls(speech, heard);
        this.said = new SaidCalls(speech, heard);
        this.work = new WorkMeaning(speech, found, heard, expected, said);
    }

    List<Call> settle() {
        int understood = 0;
        for (int i = 0; i < found.size(); i++) {
            CallReader.Found f = found.get(i);
            if (f.run() != null) {
                work.count(f);
            } else if (f.rule() == null) {
                boolean imperative =
                        IMPERATIVE.matcher(text.substring(f.from(), f.to())).matches()
                                && !ANNOUNCED.matcher(saidBefore(f)).find();
                if (imperative && heard.saidWithin(CallKind.COUNT_IN, BEHIND_THE_COUNT, f)) {
                    continue;
                }
                if (imperative
                        && !heard.isWorking(f)
                        && (expected.isBroughtUp()
                                || heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                                || heard.saidWithin(CallKind.ROUNDS_LEFT, SaidCalls.AT_ONCE, f))) {
                    work.start(new CallReader.Found(ExpectedCalls.BEGIN, null, f.from(), f.to(), null, null, null));
                    continue;
                }
                boolean free = !heard.isWorking(f)
                        || heard.isCounted(f)
                        || heard.saidWithin(CallKind.LAST_REP, SaidCalls.AT_ONCE, f)
                        || heard.isFewLeft(SaidCalls.AT_ONCE, f)
                        || heard.saidWithin(CallKind.ORDINAL, SaidCalls.AT_ONCE, f)
                        || said.isJustStarted(f) && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                        || MOVES_ON.matcher(text.substring(f.from(), f.to())).find()
                        || isNamedAlone(f)
                        || isDue(f);
                boolean ends = heard.isWorking(f) && heard.isForetold(f.from() + 1);
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

    /** "Rows.": more than one of them, and nothing else in the sentence. What to do is told in the singular. */
    private boolean isNamedAlone(CallReader.Found f) {
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

    /** Another move at the beginning of a sentence when this one has lasted as long as one does. */
    private boolean isDue(CallReader.Found f) {
        String words = text.substring(f.from(), f.to());
        boolean begins = text.startsWith(". ", f.from() - 2) || text.startsWith(", ", f.from() - 2);
        boolean name = SEVERAL.matcher(words).matches()
                || f.move() != null && (f.move().contains(" ") || f.move().equals("plank"));
        Call before = heard.last(CallKind.NEXT_UP);
        String kind = words.substring(words.lastIndexOf(' ') + 1).replaceAll("e?s$", "");
        boolean same = before != null && before.text().toLowerCase(Locale.ROOT).contains(kind);
        return begins && name && !same && heard.isLongSinceStart(f);
    }

    /** A move brought up; while working, where the end was foretold, it takes the place of a "rest". */
    private void next(CallReader.Found f) {
        boolean working = heard.isWorking(f);
        boolean unannounced = heard.isSaidSince(CallKind.NEXT_UP, CallKind.COUNT_IN)
                && heard.isSaidSince(CallKind.NEXT_UP, CallKind.START);
        if (working && (unannounced || heard.isLongSinceStart(f)) && !heard.isTimeLeft(f)) {
            // Who began the last move without a word begins this one so.
            heard.goOn(f);
        }
        said.say(CallKind.NEXT_UP, f);
        if (working && heard.isForetold(f.from() + 1)) {
            heard.rest(f);
        }
    }

    private void expected(CallReader.Found f) {
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

    private void rule(CallReader.Found f) {
        switch (f.rule().kind()) {
            case START -> {
                if (work.soonAfterwards(f).stream().noneMatch(WorkMeaning::maybeACountIn)) {
                    work.start(f);
                }
            }
            case REST -> {
                boolean left = f.value() != null && !heard.isWorking(f);
                if (left && !heard.hasStarted()) {
                    heard.add(said.call(CallKind.TOTAL, f, "rest-seconds"));
                } else if (left) {
                    said.say(CallKind.SECONDS_LEFT, f);
                } else {
                    work.rest(f);
                }
            }
            case NEXT_UP -> {
                if (!heard.saidWithin(CallKind.NEXT_UP, 4, f)) {
                    next(f);
                }
            }
            case REPS_LEFT -> {
                if (!heard.isWorking(f) && OF_ROUNDS.matcher(saidBefore(f)).find()) {
                    said.say(CallKind.ROUNDS_LEFT, f);
                } else {
                    repsLeft(f);
                }
            }
            case ROUNDS_LEFT -> {
                if (!heard.hasStarted() && heard.last(CallKind.TOTAL) != null && f.value() == 1) {
                    return;
                }
                Call last = heard.last(CallKind.ROUNDS_LEFT);
                if (last != null
                        && f.value().equals(last.value())
                        && speech.start(f.from()).since(last.end()).seconds() < SaidCalls.SAME_CALL) {
                    return;
                }
                boolean unnamed = CallRule.TO_GO.equals(f.rule().of())
                        && !OF_ROUNDS.matcher(saidBefore(f)).find()
                        && !NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
                if (!unnamed) {
                    said.say(CallKind.ROUNDS_LEFT, f);
                } else if (heard.isWorking(f) && !isOfAllRounds(f)) {
                    said.say(CallKind.REPS_LEFT, f);
                } else if (heard.hasStarted() && (heard.isTimed() && !isOfMoves(f) || isOfAllRounds(f))) {
                    said.say(CallKind.ROUNDS_LEFT, f);
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
                    heard.add(said.call(CallKind.TOTAL, f, work ? "work-seconds" : "rest-seconds"));
                } else {
                    said.once(f);
                    if (text.startsWith("hold", f.from())
                            && !saidBefore(f).endsWith("will ")
                            && heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                            && !heard.isWorking(f)) {
                        heard.work(f);
                    }
                }
            }
            case HALF_WAY -> {
                if (OF_A_REST.matcher(speech.soonAfter(f.to())).find()) {
                    heard.add(said.call(CallKind.HALF_WAY, f, "interval"));
                    return;
                }
                if (ROUNDS_DONE.matcher(saidBefore(f)).find()
                        && "interval".equals(f.rule().of())) {
                    heard.add(said.call(CallKind.HALF_WAY, f, "workout"));
                    return;
                }
                if ("round".equals(f.rule().of())
                        && heard.isWorking(f)
                        && text.substring(f.from(), f.to()).matches(".* (?:set|track)(?: \\d+)?")) {
                    said.once(new CallReader.Found(ExpectedCalls.HALF, null, f.from(), f.to(), null, null, null));
                    return;
                }
                if (!CallRule.BY_TIME.equals(f.rule().of()) || heard.isHalf(f)) {
                    said.once(f);
                }
            }
            case TOTAL -> {
                String words = text.substring(f.from(), f.to());
                if ("reps".equals(f.rule().of())
                        && heard.hasStarted()
                        && heard.isMostlyBySeconds()
                        && f.value() >= SHORTEST_HALF) {
                    return;
                }
                if ("work-seconds".equals(f.rule().of()) && heard.hasStarted() && words.matches("for \\d+ seconds")) {
                    heard.add(said.call(CallKind.SECONDS_LEFT, f, null));
                    return;
                }
                if ("rest-seconds".equals(f.rule().of())
                        && heard.isAtRestSince(f)
                        && f.second() == null
                        && (!OF_ALL_RESTS.matcher(words).find()
                                || WorkMeaning.A_MINUTE.matcher(words).find())) {
                    heard.add(said.call(CallKind.SECONDS_LEFT, f, null));
                } else {
                    boolean planned = "work-seconds".equals(f.rule().of()) && !heard.isTotalSaid("work-seconds");
                    said.once(f);
                    if (planned && heard.isThoughtWorking()) {
                        heard.rest(f);
                    }
                }
            }
            case ORDINAL -> {
                said.once(f);
                if ((IS_OVER.matcher(speech.soonAfter(f.to())).find()
                                || COMPLETES.matcher(saidBefore(f)).find())
                        && NAMES_ROUNDS
                                .matcher(text.substring(f.from(), f.to()))
                                .find()) {
                    boolean ends = heard.isWorking(f) && (heard.isForetold(f.from() + 1) || heard.isOver(f));
                    if (ends) {
                        said.say(
                                CallKind.REST,
                                new CallReader.Found(ExpectedCalls.OVER, null, f.from(), f.to(), null, null, null));
                    }
                    heard.rest(f);
                }
            }
            case LAST_REP -> {
                boolean move = (!heard.isWorking(f) || heard.isOver(f))
                        && heard.hasStarted()
                        && !expected.isAfterLast(f)
                        && isNamedNext(f);
                if (move) {
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
            case SWITCH_SIDE -> {
                said.say(CallKind.SWITCH_SIDE, f);
                heard.goOn(f);
            }
            case PROMISE -> {
                boolean now =
                        OTHER_SIDE.matcher(text.substring(f.from(), f.to())).find()
                                && !heard.isWorking(f)
                                && heard.saidWithin(CallKind.REST, LONGEST_CHANGE, f)
                                && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST);
                said.say(now ? CallKind.SWITCH_SIDE : CallKind.PROMISE, f);
            }
            default -> said.say(f.rule().kind(), f);
        }
    }

    /** "One, other side, two": the beat of an alternating move. */
    private boolean isWithinACount(CallReader.Found f) {
        return found.stream().anyMatch(r -> r.run() != null && r.from() < f.from() && f.to() < r.to());
    }

    /** "Last one, hollow hold": at rest the last move is meant. */
    private boolean isNamedNext(CallReader.Found f) {
        return work.soonAfterwards(f).stream()
                .filter(n -> n.from() - f.to() < NEARLY_AT_ONCE
                        && text.substring(f.to(), n.from()).indexOf('.') < 0)
                .anyMatch(n -> n.rule() == null && n.run() == null || n.kind() == CallKind.NEXT_UP);
    }

    /** "Forty seconds, with twenty to recover": before anything began such figures are of the plan. */
    private boolean isOfThePlan(CallReader.Found f) {
        boolean rest = OF_REST.matcher(around(f)).find() && heard.isTotalSaid("work-seconds");
        return !heard.hasStarted()
                && (f.value() >= SHORTEST_PLANNED || rest)
                && (!heard.saidWithin(CallKind.NEXT_UP, LONGEST_TALK, f)
                        || text.startsWith("for ", f.from()) && heard.last(CallKind.TOTAL) != null);
    }

    /** "Two down, three to go" where five rounds were told. */
    private boolean isOfAllRounds(CallReader.Found f) {
        Matcher down = DOWN.matcher(text.substring(f.from(), f.to()));
        return down.find() && heard.isTotalSaid("rounds", Integer.parseInt(down.group(1)) + f.value());
    }

    /** "Four down, six to go" behind the fourth move. */
    private boolean isOfMoves(CallReader.Found f) {
        Call place = heard.last(CallKind.ORDINAL);
        return place != null && SaidCalls.isOfAMove(place.text()) && text.startsWith(place.value() + " ", f.from());
    }

    private String around(CallReader.Found f) {
        return text.substring(Math.max(0, f.from() - 25), Math.min(text.length(), f.to() + 20));
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
                || OF_SOMETHING.matcher(words).find()
                || words.contains("like that")
                || (words.contains("side") || words.contains("each") || words.contains("leg"))
                        && !heard.isMostlyBySeconds();
        boolean countedDown = found.stream()
                .anyMatch(r -> r.run() != null
                        && r.run().isDown()
                        && r.run().first() <= f.value()
                        && r.run().secondsEach() < CountMeaning.A_SECOND_EACH
                        && r.from() >= f.to()
                        && speech.start(r.from()).since(speech.end(f.to() - 1)).seconds() < f.value() + 1);
        boolean tens =
                f.value() >= 10 && f.value() % 5 == 0 && !heard.isByReps() || f.value() == 5 && heard.isBySeconds();
        boolean seconds = !reps
                && (tens
                        || f.value() == 5 && countedDown
                        || (f.value() >= FEWEST_SECONDS || !words.contains("more"))
                                && heard.isBySeconds()
                                && heard.isToTheEnd(f.value(), f));
        CallKind kind = seconds ? CallKind.SECONDS_LEFT : CallKind.REPS_LEFT;
        Call last = heard.last(kind);
        boolean again = last != null
                && f.value().equals(last.value())
                && speech.start(f.from()).since(last.time()).seconds() < SaidCalls.SAME_CALL;
        if (!again) {
            said.say(kind, f);
        }
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
