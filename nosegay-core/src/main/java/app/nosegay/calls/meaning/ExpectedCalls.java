package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/** Whether what {@link ExpectedPatterns} found is a call: by what was said before, and how long ago. */
final class ExpectedCalls {
    /** Said of a move, they look back on it. */
    private static final Pattern LOOKS_BACK = Pattern.compile(
            "(?:was|were|did|it for|done(?: with)?|finished(?: with)?|from|like|last|as|every|each|your|"
                    + "that|those|these|per|between|after|before|few|than|love|hate|all|of|more|through|in)(?: "
                    + "(?:the|our|a|an|some|those|these|that|your|my|all))? $");

    /** A single word that is told to do, and not the name of a move. */
    private static final Pattern ONE_WORD = Pattern.compile(
            "(?:(?:and|the|a|some|our|to|now|okay|your|then|so|you|we|it|can|do|just|keep) )?(?!plank|bridge)(?:[a-z]*[a-rt-z]|[a-z]*ss)");
    /** Said of a stop, whatever comes after it. */
    private static final Pattern STOPS =
            Pattern.compile("\\b(?:break|rest|done|time|pause|stop|childs pose|your minute)\\b");
    /** Said within a repetition as well. */
    private static final Pattern POSTURE = Pattern.compile("\\b(?:stand|sit|come|step|up|roll)\\b");
    /** "Lift, and lower" is a repetition. */
    private static final Pattern LOWERS = Pattern.compile("\\b(?:lower|down|release)$");

    private static final Pattern LIFTED =
            Pattern.compile("\\b(?:lift|up|raise|press|float|curl)(?: (?!down)[a-z]+){0,4}[ ,.]+(?:and )?$");
    private static final Pattern PRAISED = Pattern.compile("^(?:good|great|nice|lovely|perfect|excellent)\\b");
    private static final Pattern TURNS = Pattern.compile("(?:forward|backward)s?$");
    /** Praise alone ends work only where its end was foretold. */
    private static final Pattern PRAISE = Pattern.compile(
            "(?:(?:and|okay|good|nice|great|yes|lovely|alright|perfect|excellent|job|work|stuff|one|beautiful|awesome|amazing) ?)+");

    /** Weights are lowered for this long after the last repetition, in seconds. */
    private static final double AFTER_THE_LAST = 9;
    /** Who calls what is left seldom leaves out more than this. */
    private static final int LEFT_OUT = 2;
    /** Numbers this close together are a count, in seconds. */
    private static final double AT_ONCE = 1.5;
    /** After a rest nobody stops again sooner than this, in seconds. */
    private static final double SHORTEST_WORK = 25;
    /** A move is described for this long after it was brought up, in seconds. */
    private static final double DESCRIBED = 2;
    /** A repetition may take as long, in seconds. */
    private static final double SLOW_REP = 4.5;
    /** So few repetitions are done by then, too. */
    private static final int FEW = 3;
    /** Weak words end work only this near to its foretold end, in seconds. */
    private static final double NEAR_THE_END = 3;
    /** Half of an interval is not called sooner than this after its start, in seconds. */
    private static final double SHORTEST_HALF = 6;

    private final Speech speech;
    private final CallContext heard;

    ExpectedCalls(Speech speech, CallContext heard) {
        this.speech = speech;
        this.heard = heard;
    }

    /** Whether {@code f}, found by one of the rules of this class and followed by {@code next}, is a call here. */
    boolean isCall(FoundCall f, List<FoundCall> next) {
        return switch (f.rule().kind()) {
            case REST ->
                isRest(f)
                        && (next.stream().noneMatch(n -> n.kind() == CallKind.SWITCH_SIDE)
                                || STOPS.matcher(words(f)).find());
            case START -> isStart(f, next);
            case HALF_WAY ->
                heard.isWorking(f)
                        && heard.hasStarted()
                        && heard.sinceStart(f) > SHORTEST_HALF
                        && !heard.isSaidSinceStart(CallKind.HALF_WAY);
            case SECONDS_LEFT ->
                isTimeLeft(f) && (!ExpectedPatterns.TO_THE_END.equals(f.rule().of()) || heard.isToTheEnd(f.value(), f));
            case SWITCH_SIDE ->
                (heard.hasStarted()
                                || heard.last(CallKind.NEXT_UP) != null
                                        && TURNS.matcher(words(f)).find())
                        && isSwitch(f);
            case REPS_LEFT, LAST_REP -> isCountedDown(f) && next.stream().noneMatch(n -> isNextDown(f, n));
            case NEXT_UP -> isName(f);
            case ORDINAL -> {
                Call place = heard.last(CallKind.ORDINAL);
                yield !heard.isWorking(f) && place != null && place.value() + 1 == f.value();
            }
            case TOTAL -> !heard.hasStarted() && heard.last(CallKind.TOTAL) != null;
            default -> false;
        };
    }

    private boolean isStart(FoundCall f, List<FoundCall> next) {
        return (!heard.isWorking(f)
                                && (isBroughtUp()
                                        || ExpectedPatterns.REPEATED.equals(
                                                f.rule().of()))
                        || heard.isSwitchedOver(f)
                        || (ExpectedPatterns.FORETOLD.equals(f.rule().of())
                                        || ExpectedPatterns.READY.equals(
                                                f.rule().of()))
                                && heard.isPreviewed())
                && (!ExpectedPatterns.ITS_NAME.equals(f.rule().of()) || isOfTheName(f))
                && (!ExpectedPatterns.FORETOLD.equals(f.rule().of())
                        || heard.isAnnounced(f.from() + 1, NEAR_THE_END)
                                && heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                                && !heard.isSaidSince(CallKind.COUNT_OUT, CallKind.SECONDS_LEFT)
                        || (heard.isRestOver(f) || heard.isSwitchedOver(f))
                                && speech.text().startsWith(" .", f.to()))
                && (!ExpectedPatterns.DUE.equals(f.rule().of())
                        || heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                                && heard.isAnnounced(f.from() + 1, AT_ONCE))
                && (!ExpectedPatterns.AFTER_A_PLACE.equals(f.rule().of())
                        || heard.saidWithin(CallKind.ORDINAL, AT_ONCE, f)
                        || heard.saidWithin(CallKind.ROUNDS_LEFT, AT_ONCE, f))
                && (!ExpectedPatterns.MOVES.equals(f.rule().of()) || !heard.saidWithin(CallKind.NEXT_UP, DESCRIBED, f))
                && next.stream().noneMatch(WorkMeaning::maybeACountIn);
    }

    private String before(FoundCall f) {
        return speech.text().substring(Math.max(0, f.from() - 40), f.from());
    }

    private String words(FoundCall f) {
        return speech.text().substring(f.from(), f.to());
    }

    /** Whether the move that was brought up is called by what is told to do. */
    boolean isOfTheName(FoundCall f) {
        String words = words(f);
        Call next = heard.last(CallKind.NEXT_UP);
        return next != null
                && next.text()
                        .toLowerCase(Locale.ROOT)
                        .matches(".*\\b" + words.substring(words.lastIndexOf(' ') + 1) + "(?:e?s)?\\b.*");
    }

    private boolean isSwitch(FoundCall f) {
        String said = words(f);
        boolean after = isAfterLast(f) || heard.saidWithin(CallKind.REP_COUNT, 2, f);
        return !said.matches("(?:same|then|now|we will|lets|we are|and (?:its|it|we|for|onto)).*")
                        && (said.contains("left") || said.contains("right"))
                ? after
                : after || !heard.isWorking(f);
    }

    /** Whether one or two more were left the last time it was told. */
    private boolean isCountedDown(FoundCall f) {
        Call left = heard.last(CallKind.REPS_LEFT);
        int value = f.rule().kind() == CallKind.LAST_REP ? 1 : f.value();
        return left != null
                && left.value() > value
                && left.value() <= value + LEFT_OUT
                && !heard.isSaidSince(CallKind.LAST_REP, CallKind.REPS_LEFT)
                && heard.saidWithin(CallKind.REPS_LEFT, AFTER_THE_LAST, f);
    }

    /** Whether {@code next} goes on counting down right away: then it is a count. */
    private boolean isNextDown(FoundCall f, FoundCall next) {
        boolean down = f.value() != null && next.value() != null && next.value() == f.value() - 1;
        return down && speech.start(next.from()).since(speech.start(f.from())).seconds() < AT_ONCE;
    }

    private boolean isName(FoundCall f) {
        boolean counted = heard.isCounted(f);
        return heard.hasStarted()
                && (!heard.isWorking(f)
                        || counted
                        || heard.saidWithin(CallKind.LAST_REP, NEAR_THE_END, f)
                        || heard.isAnnounced(f.from() + 1))
                && (heard.isWorking(f)
                        || heard.isSaidSince(CallKind.REST, CallKind.NEXT_UP)
                        || heard.isSaidSince(CallKind.COUNT_OUT, CallKind.NEXT_UP))
                && !ONE_WORD.matcher(words(f)).matches()
                && !LOOKS_BACK.matcher(speech.text().substring(0, f.from())).find();
    }

    private boolean isRest(FoundCall f) {
        if (LOWERS.matcher(words(f)).find() && LIFTED.matcher(before(f)).find()) {
            return false;
        }
        Call counted = heard.last(CallKind.COUNT_OUT);
        boolean afterCount = counted != null
                && heard.isSaidSince(CallKind.COUNT_OUT, CallKind.REST)
                && heard.isJustAfter(counted, f);
        boolean announced = heard.isOver(f)
                || heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                        && heard.isAnnounced(f.from() + 1, NEAR_THE_END);
        if (words(f).contains("done with")) {
            return heard.isPerhapsWorking(f);
        }
        if (heard.isRestOver(f) && heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)) {
            return false;
        }
        boolean praise = PRAISE.matcher(words(f)).matches();
        if (praise) {
            return !afterCount && announced && heard.isPerhapsWorking(f);
        }
        boolean named = STOPS.matcher(words(f)).find();
        boolean posture = !named
                && POSTURE.matcher(words(f)).find()
                && !PRAISED.matcher(words(f)).find();
        boolean stops = named && !heard.saidWithin(CallKind.REST, SHORTEST_WORK, f);
        if (afterCount && posture && !announced && !isAfterLast(f)) {
            return false;
        }
        return afterCount || (heard.isPerhapsWorking(f) || stops) && (isAfterLast(f) && !posture || announced);
    }

    /** Whether the last repetition was only just called. */
    boolean isAfterLast(FoundCall f) {
        Call left = heard.last(CallKind.REPS_LEFT);
        boolean few = left != null
                && left.value() <= FEW
                && heard.saidWithin(CallKind.REPS_LEFT, Math.max(AFTER_THE_LAST, SLOW_REP * left.value()), f);
        return heard.isTargetReached(f)
                || heard.isSaidSince(CallKind.LAST_REP, CallKind.REST)
                        && heard.saidWithin(CallKind.LAST_REP, AFTER_THE_LAST, f)
                || few && heard.isSaidSince(CallKind.REPS_LEFT, CallKind.REST);
    }

    /** Whether something was brought up, or the start foretold, and nobody has begun yet. */
    boolean isBroughtUp() {
        boolean announced = heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                || heard.isSaidSince(CallKind.ROUNDS_LEFT, CallKind.REST)
                || heard.isSaidSince(CallKind.ORDINAL, CallKind.REST)
                || heard.isSaidSince(CallKind.SWITCH_SIDE, CallKind.REST);
        return isSinceStart(CallKind.NEXT_UP)
                || heard.last(CallKind.REST) != null && announced && isSinceStart(CallKind.REST);
    }

    private boolean isSinceStart(CallKind kind) {
        return heard.isSaidSince(kind, CallKind.START) && heard.isSaidSince(kind, CallKind.COUNT_IN);
    }

    private boolean isTimeLeft(FoundCall f) {
        boolean resting = !heard.isWorking(f);
        boolean bare = words(f).matches("\\d+");
        boolean soon = !resting && heard.sinceStart(f) < (bare ? SHORTEST_HALF : 2);
        Call left = heard.last(CallKind.SECONDS_LEFT);
        boolean less = resting
                && left != null
                && left.value() > f.value()
                && heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST);
        boolean ofAMinute = f.value() >= 60;
        return heard.hasStarted()
                && !soon
                && (!bare || heard.isTimed() || less || heard.isMostlyBySeconds())
                && (!ofAMinute
                        || heard.isAtRestSince(f)
                        || !heard.isThoughtWorking() && heard.saidWithin(CallKind.ROUNDS_LEFT, AT_ONCE, f));
    }
}
