package app.nosegay.calls.meaning;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallPatterns;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/**
 * Words that are a call only where one is expected: "and down" ten seconds behind "ten seconds", "up we go" when a move was brought up at
 * rest, the name of a move in a rest in which none was brought up yet. They are looked for in what no pattern of {@link CallPatterns}
 * claimed; {@link ExpectedCalls} says where they are calls.
 */
public final class ExpectedPatterns {
    private ExpectedPatterns() {}

    /** Of a start: only at the moment that was foretold. */
    static final String FORETOLD = "foretold";

    /** Of a start: what to do with what, which describes the move at any other moment. */
    static final String DUE = "due";

    /** Of a start: in the same breath as the place of the set or the time to its start. */
    static final String AFTER_A_PLACE = "after a place";

    /** Of a start: "ready" and what to do, also where nobody said that work had stopped. */
    static final String READY = "ready";

    /** Of a start: what the move is called by, and nothing else: "Press." */
    static final String ITS_NAME = "its name";

    /** Of a start: what to do three times over, which nobody says while describing it. */
    static final String REPEATED = "repeated";

    /** Of a time: only if it is just what is left. */
    static final String TO_THE_END = "to the end";

    /** Of a start: by what to do, which is said when a move is described as well. */
    static final String MOVES = "moves";

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
