package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallPatterns;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Words that are a call only where one is expected: "and down" ten seconds behind "ten seconds", "up we go" when a move was brought up at
 * rest, the name of a move in a rest in which none was brought up yet. They are looked for in what no pattern of {@link CallPatterns}
 * claimed.
 */
public final class ExpectedCalls {

    /** Of a start: only at the moment that was foretold. */
    private static final String FORETOLD = "foretold";
    /** Of a start: what to do with what, which describes the move at any other moment. */
    private static final String DUE = "due";
    /** Of a start: in the same breath as the place of the set or the time to its start. */
    private static final String AFTER_A_PLACE = "after a place";
    /** Of a start: "ready" and what to do, also where nobody said that work had stopped. */
    private static final String READY = "ready";
    /** Of a start: what the move is called by, and nothing else: "Press." */
    private static final String ITS_NAME = "its name";
    /** Of a start: what to do three times over, which nobody says while describing it. */
    private static final String REPEATED = "repeated";
    /** Of a time: only if it is just what is left. */
    private static final String TO_THE_END = "to the end";
    /** Of a start: by what to do, which is said when a move is described as well. */
    private static final String MOVES = "moves";

    public static final List<CallRule> RULES = List.of(
            expected(
                    CallKind.REST,
                    null,
                    "(?:sit|rest|push|press|ease) (?:all the way )?back (?:in|to|into)(?: to)? (?:a |your )?childs "
                            + "pose|(?:^(?:(?:and|okay|good|nice|great|yes|lovely|alright|perfect|excellent|gently|slowly|"
                            + "softly|carefully|just|now|thats \\d+) (?:, )?)*(?!come on\\b|set [.,])(?:(?:flip(?= over)"
                            + "|drop|lower|release|relax|recover|rest|set|put|place|bring|lay|roll|let|ease|step|come|sit|"
                            + "stand|bring|park|slide|pop|pause|break)(?: (?:it|them|that|those|everything|the (?:weights?|"
                            + "dumbbells?|bells?|bar|kettlebells?|knees?|hips?|legs?|arms?)|your (?:weights?|dumbbells?|"
                            + "bells?|knees?|hips?|legs?|arms?|hands?)))?(?: (?:all|back|right|on))?(?: (?:down|in|out|"
                            + "up|off|go|to the (?:floor|mat|side)))?(?! and (?:up|lift|press|back up))|(?:bells?|weights?|"
                            + "dumbbells?|feet|legs?|arms?|hands?) down|down(?! (?:we go|and (?:up|lift|press|back up)|"
                            + "on|onto|into|to)\\b)|up you (?:get|come)|off(?= [.,])|let (?:it|them|that|those) go|hug "
                            + "(?:your|the|both|them|those) knees|both knees in|(?:roll|lie) (?:all the way )?down and "
                            + "(?:release|relax|rest)|done|breathe(?! (?:at|in|out|through|into|as|and|with|every|on|for|"
                            + "deep))|time|collapse|rack(?: it| them| the bar)?|take it easy|stretch (?:it|that|them|those)"
                            + " out|ease (?:off|out)|over(?! and)|out(?! and)|there|thats it|that is it|finish|finished|"
                            + "childs pose|nice (?:job|work|1)|good (?:job|work|stuff|effort)|well done|great (?:job|work|"
                            + "stuff)|amazing(?: (?:job|work))?|awesome(?: (?:job|work))?|beautiful|excellent|perfect|(?:good|"
                            + "nice|great|yes|okay)(?= [.,])|brilliant|fantastic|shake(?: (?:it|them|that|those))?(?: \\w+)"
                            + "?(?: (?:out|off))?|grab (?:a|some|your) (?:water|towel|drink|sip)|you did it|we did it|thank "
                            + "you|phew|woo))|(?:have|take) a seat|^take your minute|^(?:and |okay )?(?:we are|thats us)"
                            + " (?:all )?done with(?: [a-z]+){1,2}(?= [.,])|^rest your (?:legs?|arms?)"),
            expected(
                    CallKind.START,
                    MOVES,
                    "(?<=[.#] |hale , |hale )(?:(?:ready|okay|now)(?: ,)? and|and|ready|okay|now(?! (?:bend|step|"
                            + "walk|sit|reach|roll|lower|open|stand|draw|send|hold)))(?: and| ,)? (?:"
                            + String.join("|", CallWords.VERBS)
                            + ")(?: (?:it|out|we go|you go|and (?:up|down|press|lift|lower|back|out|in)))?"),
            expected(
                    CallKind.START,
                    MOVES,
                    "^(?:lift|press|pull|up|down|in|out|open|squeeze|row|curl|reach|push|extend|bend|roll|kick|"
                            + "straighten|stretch|rotate|circle|step)(?: [a-z]+){0,3}(?: ,)? and (?:slowly )?(?:lower|down|"
                            + "hold|pulse|release|relax|back|return|up|in|out|close|straighten|bend|hug|squeeze|press|lift|"
                            + "switch|together)(?= [.,])"),
            // "Palms down, and lift." with a move brought up: it is done from here.
            expected(
                    CallKind.START,
                    MOVES,
                    "(?<=, )and (?!(?:up|down|hold|roll|reach|squeeze|lower) )(?:" + String.join("|", CallWords.VERBS)
                            + ")(?= \\.)"),
            expected(CallKind.START, AFTER_A_PLACE, "(?<=, )and (?:" + String.join("|", CallWords.VERBS) + ")"),
            expected(
                    CallKind.START,
                    null,
                    "(?:^|and |okay )(?:up|down|in|over|out|back|in|round|on) (?:we|you) (?:go|come)|(?<=[, ]"
                            + "and )(?:in your own time|when(?:ever)? you are ready) (?:start|begin|go|"
                            + String.join("|", CallWords.VERBS)
                            + ")(?= [.,])|^(?:hit|get|move|crush|own|smash) it(?= [.,])|(?:^|and )go again(?= [.,])|^(?:and "
                            + ")?away(?= (?:[.,]|we|you))|^(?:start|begin|go)(?= (?:whenever|when) )|^(?:start|begin) [a-z]"
                            + "{2,}ing|(?:start|begin) [a-z]{2,}ing(?= [.,])|^(?:lets|we) (?:go|move|work|roll|rock|get "
                            + "it|get after it|hit it|begin|start|do this|get this)(?! (?:with|by|on|off|from|in)\\b)|^(?:go|"
                            + "begin|start)(?= (?:(?:minute|round|set) \\d|"
                            + CallWords.MOVE_WORDS
                            + "(?<=[a-rt-z]s) ))|^(?:start|starting|begin|go|going)(?= [.,])|(?<!to |we |you )(?:go|begin|"
                            + "start)(?= \\.)|^(?:in your own time|when you are ready|whenever you are ready)(?: (?:start|"
                            + "begin|go|lets \\w+))?|^here (?:it|this) (?:goes|is)|^you are (?:on|up)|^game on|(?:and )"
                            + "we are (?:squatting|lunging|pressing|rowing|curling|planking|marching|holding|pulsing|lifting|"
                            + "swinging|stepping|moving|running|jumping)|^(?:now )?hold(?= [.,])|^work time"),
            expected(
                    CallKind.START,
                    REPEATED,
                    CallWords.VERBS.stream().map(v -> v + " " + v + " " + v).collect(Collectors.joining("|"))),
            expected(
                    CallKind.START,
                    FORETOLD,
                    "^(?:" + String.join("|", CallWords.VERBS)
                            + ")(?! (?:into|through|the|your|from|with|that|those)\\b)"),
            expected(CallKind.START, READY, "^ready(?: [.,])? (?:and )?(?:" + String.join("|", CallWords.VERBS) + ")"),
            expected(
                    CallKind.START,
                    ITS_NAME,
                    "(?<=[.#] )(?:and |now )?(?:" + String.join("|", CallWords.VERBS) + ")(?= \\.)"),
            expected(
                    CallKind.START,
                    DUE,
                    "^(?:and )?(?:" + String.join("|", CallWords.VERBS)
                            + ") (?:the|your|that|those|both) [a-z]+(?= [.,])"),
            expected(CallKind.REPS_LEFT, null, "^([2-9])(?= [.,])"),
            expected(CallKind.LAST_REP, null, "^(?:and )?(?:the |your |our )?(?:last|1)(?: 1)?(?= [.,])"),
            expected(
                    CallKind.HALF_WAY,
                    "interval",
                    "(?:(?:thats|that is|the|at|by|by the|and|were|we are|you are|about|just|passed|past|now|"
                            + "over|another|1) )*half (?:of )?(?:(?:the|your|our|that|it|this|them|is|all) )*(?:(?:time|"
                            + "set|reps|way|interval|work|mark|point|minute|1) )?(?:(?:is|are) )?(?:gone|done|down|left|"
                            + "behind(?: (?:us|you))?|over|in the bag|finished|to go|complete)|^(?:(?:and|thats|that is|"
                            + "there is|theres|the|at|okay|right|your) )+half(?= [.,])|^half(?:way)?(?: (?:time|gone|done|"
                            + "down|left|to go|home|there))?(?= [.,])|(?:thats|that is) half (?:of )?(?:the|your|our) (?:time|"
                            + "set|reps|interval)|(?:(?:in|at|about|were|we are|thats) )*(?:the )?(?:mid point|midpoint|"
                            + "middle) of (?:the|this|your|our) (?:set|interval|round|work|minute)|(?:second|other|back|"
                            + "last) half(?= (?:[.,]|now|of (?:it|this)))"),
            expected(
                    CallKind.SECONDS_LEFT,
                    null,
                    "(?:(?:heres|here is|theres|there is|thats|and|your|the|last|final|only|just|have|got|you|"
                            + "we|with|still|now|about|down to|hit|give me|(?<!,) at) )*(?<!for |every |each |in |of |by "
                            + "|hold |to )([1-9]\\d|[5-9]) (?:(?:more|extra|last|final|little|short|quick|good|big|hard|"
                            + "tiny|long|beautiful|precious|whole|full) )*seconds?(?: (?:of (?:these|this|it|that)|to (?:go|"
                            + "rest|breathe|recover|set up|get ready)|on the (?:clock|timer)|left|more|extra))?|(?:(?:heres|"
                            + "here is|theres|there is|last|final|just|you have|we have|have got|down to|(?<!up )in|inside "
                            + "the last|into the last|in the last|at) )+(?:your |the |our |my )*(?:last |final )?(5|10|"
                            + "15|20|30|45)(?= [.,])|^(5|10|15|20|30)(?= [.,])"),
            expected(CallKind.SECONDS_LEFT, TO_THE_END, "(?<=[a-z] )(5|10|15|20|30)(?= [.,])"),
            expected(
                    CallKind.ORDINAL,
                    null,
                    "^(?:and )?([2-9]|1\\d)(?= (?:[.,] )?(?:is )?(?:[a-z]+ ){0,2}?" + CallWords.MOVE_WORDS + ")"),
            expected(CallKind.TOTAL, "rounds=2", "twice(?! (?:a|per|as|the|in)\\b)"),
            expected(
                    CallKind.SWITCH_SIDE,
                    null,
                    "(?:^and |(?:and )?now )(?:(?:circle|roll|swing|pedal) )?(?:forwards?|backwards?)(?= [.,]"
                            + ")|same(?: (?:thing|move|again|1))?(?: (?:on|to|with) (?:the|your) (?:left|right|other)(?: "
                            + "(?:side|leg|arm))?|[ ,.]+(?:left|right|other) (?:side|leg|arm))|(?:we will|lets|we are going "
                            + "to) (?:go|move|come) (?:over )?(?:to|onto) the (?:left|right|other)(?: (?:side|leg|arm))"
                            + "?(?= [.,])|(?:do|doing|repeat|repeating|all|that|same|thing|it|everything|this) (?:\\w+ "
                            + "){0,2}(?:on|to|over to|with) (?:the|our|your) other (?:side|leg|arm)|(?<=# )(?:the )?(?:other|"
                            + "opposite) (?:side|leg|arm)|^(?:and |now |okay )*(?:left|right) (?:side|leg|arm|hand)|(?:then|"
                            + "now|and) (?:its|it is|we do|we have|onto|for) (?:on )?(?:the|your) (?:left|right) (?:side|"
                            + "leg|arm)"),
            expected(
                    CallKind.SECONDS_LEFT,
                    "=60",
                    "(?:(?:you|we|get|have|got|take|lets take|give yourself|its) )+(?:a|1|about a|1 whole|a whole)"
                            + " minutes?(?: (?:between|break|of rest|rest|to|here|off))?|(?:a|1) (?:full |whole )?minute "
                            + "(?:break|rest|off)|^minute (?:break|rest|off)|(?<!for )1 minute(?! (?:of|each|per|on|in)"
                            + "\\b)"));

    static final CallRule A_MINUTE = expected(CallKind.SECONDS_LEFT, "=60", "a minute");
    static final CallRule HALF = expected(CallKind.HALF_WAY, "interval", "halfway");
    static final CallRule OVER = expected(CallKind.REST, null, "over");
    static final CallRule BEGIN = expected(CallKind.START, null, "begin");

    /** Parts of moves' names that are common words as well. */
    private static final String WIDE = "(?:" + CallWords.MOVE_WORDS
            + "|kicks?|hydrants?|punches|pulses|hops|jumps|sprints|walk ?outs|inch ?worms|supermans|stretches|"
            + "shuffles|roll ?ups|roll ?downs|slides|rotations|flutters|scissors|pikes|hugs|openers)";

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

    /** A name of a move, anywhere: {@code planned} is the pattern of the plan's, with one group. */
    public static CallRule anyName(String planned) {
        return new CallRule(
                CallKind.NEXT_UP,
                null,
                null,
                Pattern.compile("(?<= )(?:" + planned
                        + "|((?:(?!(?:thats|that|is|was|were|and|break|rest|good|nice|then|the|a|now|okay|go|time|stop|"
                        + "of|in|to|for|your|some) )[a-z]+ )?"
                        + WIDE + "))(?= )(?! (?:is |are |all )?(?:finished|done|over|complete|out of the way)\\b)"),
                true);
    }

    /** Whether {@code f}, found by one of the rules of this class and followed by {@code next}, is a call here. */
    boolean isCall(FoundCall f, List<FoundCall> next) {
        return switch (f.rule().kind()) {
            case REST ->
                isRest(f)
                        && (next.stream().noneMatch(n -> n.kind() == CallKind.SWITCH_SIDE)
                                || STOPS.matcher(words(f)).find());
            case START ->
                (!heard.isWorking(f)
                                        && (isBroughtUp()
                                                || REPEATED.equals(f.rule().of()))
                                || heard.isSwitchedOver(f)
                                || (FORETOLD.equals(f.rule().of())
                                                || READY.equals(f.rule().of()))
                                        && heard.isPreviewed())
                        && (!ITS_NAME.equals(f.rule().of()) || isOfTheName(f))
                        && (!FORETOLD.equals(f.rule().of())
                                || heard.isAnnounced(f.from() + 1, NEAR_THE_END)
                                        && heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                                        && !heard.isSaidSince(CallKind.COUNT_OUT, CallKind.SECONDS_LEFT)
                                || (heard.isRestOver(f) || heard.isSwitchedOver(f))
                                        && speech.text().startsWith(" .", f.to()))
                        && (!DUE.equals(f.rule().of())
                                || heard.isSaidSince(CallKind.SECONDS_LEFT, CallKind.REST)
                                        && heard.isAnnounced(f.from() + 1, AT_ONCE))
                        && (!AFTER_A_PLACE.equals(f.rule().of())
                                || heard.saidWithin(CallKind.ORDINAL, AT_ONCE, f)
                                || heard.saidWithin(CallKind.ROUNDS_LEFT, AT_ONCE, f))
                        && (!MOVES.equals(f.rule().of()) || !heard.saidWithin(CallKind.NEXT_UP, DESCRIBED, f))
                        && next.stream().noneMatch(WorkMeaning::maybeACountIn);
            case HALF_WAY ->
                heard.isWorking(f)
                        && heard.hasStarted()
                        && heard.sinceStart(f) > SHORTEST_HALF
                        && !heard.isSaidSinceStart(CallKind.HALF_WAY);
            case SECONDS_LEFT -> isTimeLeft(f) && (!TO_THE_END.equals(f.rule().of()) || heard.isToTheEnd(f.value(), f));
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

    /** {@code of} may hold the value the words stand for behind an equals sign. */
    private static CallRule expected(CallKind kind, String of, String pattern) {
        String regex = pattern.replace("^", "(?<=[.,#] )");
        String[] parts = of == null ? new String[] {""} : of.split("=");
        return new CallRule(
                kind,
                parts[0].isEmpty() ? null : parts[0],
                parts.length < 2 ? null : Integer.valueOf(parts[1]),
                Pattern.compile("(?<=[ #])(?:" + regex + ")(?= )"),
                true);
    }
}
