package app.nosegay.calls.phrase;

import static app.nosegay.calls.phrase.CallRule.never;
import static app.nosegay.calls.phrase.CallRule.ordinals;
import static app.nosegay.calls.phrase.CallRule.rule;

import app.nosegay.calls.CallKind;
import java.util.List;

/** How people tell the plan: figures, rounds that are left, and places in the order. */
final class PlanPatterns {
    static final List<CallRule> RULES = List.of(
            // Counts of rounds before those of reps: they are longer.
            rule(
                    CallKind.ROUNDS_LEFT,
                    null,
                    null,
                    "(?:(?:just|only|we have|you have|got|theres|still|another) )*(\\d+) (?:more )?~round (?:~more|after this)"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    null,
                    null,
                    "(?:(?:just|only|we have|you have|got|for|still) )*(?:another )?(\\d+) more ~round"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    null,
                    1,
                    "(?<!~nth |~nth and )(?:(?:this is|its|and|our|the|your|onto|on to|in to|into|to|of) )*(?:very )?(?:last|final) ~round(?! of (?:the|our) week)"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    null,
                    null,
                    "thats \\d+ ~round[ ,.]+(?:and )?(\\d+) (?:more|to go|left)(?! (?:reps?|seconds?|minutes?))|(?:\\d+ ~round |(?<=~nth ~round ))(?:down|done|finished|complete)[ ,.]+(?:and )?(\\d+)[ .]+(?:more )?(?:to go|left)"),
            rule(CallKind.ROUNDS_LEFT, null, null, "(?:(?:the|our|these|your) )*(?:last|final) (\\d+) ~round"),
            rule(CallKind.ROUNDS_LEFT, null, 1, "(?:just |only )?(?:another) ~round(?: to go| left)?"),
            ordinals(
                    "(?:(?:our|the|your|this is|thats|its|onto|into) )*(~nth) (?:and (?:final|last) )?(?:(?:strength|standing|seated|floor|core|cardio|proper|working|weighted) )?(?:~round|~move|block|section|sequence|series|combo|superset|tabata|on (?:the|our) (?:list|menu)|1 up|1 is)(?! (?:and|is) (?:position))"),
            ordinals("(?<!^first )((?!first)~nth) minute(?= (?:[.,]|is|its|we|of|now|last|final))"),
            rule(CallKind.ORDINAL, null, -1, "(?:and )?last but not least"),
            never("this is number \\d+(?= [.,])(?! [.,] [a-z ]{0,20}~name)"),
            ordinals("(?<=[.,] )(?!first)(~nth)(?= (?:is|its|we have) (?:a|an|the|our|some)\\b)"),
            ordinals(
                    "(~nth) (?:and (?:final|last) )?(?:1|time (?:through|round|around))(?= (?:[.,]|coming|up|is|here|now|today|back|we|so|and|of))"),
            rule(
                    CallKind.ORDINAL,
                    null,
                    -1,
                    "(?:(?:this is|its|and|our|the|your|onto|on to|into|to) )*(?:very )?(?:last|final) (?:~move|block|section|sequence|series|combo|superset|thing (?:we ~will do|we are doing|for today|today)?(?: is)?|1 (?:is|will be|we have|its)|one (?:of|here|in)|(?:1|~move) (?:for|in|of|on) (?:the |this |our )?(?:round|circuit|block|set|series|today)(?: (?:number )?\\d+)?|1 (?:of (?:the|this|our)|in (?:the|this|our)|for today|today|on the list|before))"),
            rule(
                    CallKind.ORDINAL,
                    null,
                    null,
                    "(?:on to |onto |into |this is |start of |end of |thats )*(?<!until |till |til |before |after |with |get )(?:round|circuit|exercise|move|movement|station|block|set|superset|tabata|section|number|drill|track)(?: number)? (?:is )?(\\d+)(?! (?:seconds?|minutes?|reps?|more|left|to go|sets|rounds|times|exercises|moves|movements|of(?! \\d)|each))(?: (?:out )?of \\d+)?"),
            never(
                    "(?:when|until|till|before|once|after) (?:the |your |that )?(?:times|time is) up|(?:did|took|lasted|was|were) \\d+ (?!exercises|moves)(?:\\w+)"),
            // Figures of the plan.
            rule(
                    CallKind.TOTAL,
                    "warm-up-minutes",
                    null,
                    "(?:a |about |quick )*(\\d+) minutes? (?:of )?(?:warm ?up|warming up)"),
            rule(
                    CallKind.TOTAL,
                    "minutes",
                    null,
                    "(?:a |about |around |just |only |in |for |under |in just )*(\\d+)(?: (?:to|or) (\\d+))? minutes?(?: (?:long )?(?:full body |total body |upper body |lower body |home |strength |dumbbell |core |beginner |bodyweight |kettlebell |band )*(?:workout|session|video|class|routine|circuit|long|strength|of))?(?! (?:left|to go|remaining|rest|break|more|plank|hold|in(?! (?:total|all)\\b)|on|off|each|per))(?: in total| in all)?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:hold|holding|stay|squeeze)(?: (?:it|this|that|here|there|up|at|the|top|bottom|still)){0,3} for (?:the |another |about )*(\\d{2}|[5-9])(?: more)? seconds?(?! (?:each|per|at|on|every))"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    60,
                    "(?:(?:with|and|get|have|take) )*(?:a|1) (?:full )?minute (?:of )?(?:rest|break) (?:at the end|after) (?:of )?(?:each|every|the) ~round|(?:(?:with|and|get|have|take) )*(?:a|1) (?:full )?minute (?:of )?(?:(?:rest|break) )?(?:between|in between)(?: (?:sets|rounds|each set|circuits))?"),
            never(
                    "(?:the|these|those|both) 2 ~move|(?:those|same) [3-9] ~move|show(?:ing)? you (?:the|your|our|what is|whats) next(?: (?:1|~move))?|couple (?:more )?times"),
            never("\\d+ (?:sets?|pairs?) of (?:\\w+ )?(?:dumbbells?|weights?|bands?|kettlebells?|hand weights?)"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    60,
                    "(?:each|every) (?:1|~move) (?:for|is|lasts|takes)(?: about| just)? (?:1|a) minute|(?:(?:for|of|doing|do|at|with) )*(?:1|a) (?:full )?minute (?:each|per (?:exercise|move)|on(?= [.,])|of work|on each|for each)"),
            rule(
                    CallKind.TOTAL,
                    "rounds",
                    null,
                    "(?:each|every|the|this|that) (?:circuit|block|1|series|superset) ([2-6])(?: (?:to|or) (\\d+))? times|(?:go|going|work|run) (?:round|around|through) ([2-6]) times|(?:do|doing|repeat|repeating|run|running|through) (?:[a-z]+ ){1,4}([2-6]) times(?! (?:a|per|on|each))"),
            rule(CallKind.TOTAL, "rounds", null, "(?:for )?(?:a )?total of ([2-6]) times"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    null,
                    "(?:(?:with|and|have|take|get) )*([2-5]) minutes? (?:of )?(?:rest|recovery|break)(?: (?:in )?between)?(?: (?:sets|rounds|each (?:set|round)))?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "([2-5]) minutes? (?:before|until|till|to) (?:we (?:go|start|begin)|(?:the )?(?:next )?~round)"),
            rule(
                    CallKind.SECONDS_LEFT,
                    CallRule.OF_ONE_WINDOW,
                    null,
                    "(?:(?:last|final|only|just|you have|we have|got) )*([6-9]|[1-5]\\d) (?:more )?minutes? (?:left|to go|remaining|more)(?! (?:in|of) (?:the|this|our|your) (?:workout|session|video|class))"),
            rule(CallKind.SECONDS_LEFT, null, null, "(?<=[.,] )([2-5]) minutes? on the (?:clock|timer)(?= [.,])"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:last|final|only|just|you have|we have|got) )*([2-5]) (?:more )?minutes? (?:left|to go|remaining|more)(?! (?:in|of) (?:the|this|our|your) (?:workout|session|video|class))|([2-5]) more minutes(?= [.,])"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    null,
                    "(?<!seconds |\\d )work(?:ing)? (?:for )?(\\d{2})(?= [ ,.]*(?:and |then |you )*rest)"),
            rule(CallKind.TOTAL, "rest-seconds", null, "(?<=\\d |\\d and |\\d , )rest (?:for )?(\\d{2})(?! more)"),
            rule(CallKind.TOTAL, "rest-seconds", null, "(\\d{2}) rest(?= [.,])"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    null,
                    "(?:your |the |each |and )*(?:rests?|breaks?|recovery) (?:is|are|lasts?|of|will be) (?:just |only |about )*(\\d+)(?: to (\\d+))? seconds?"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    null,
                    "(?:works|(?:work|intervals?|rounds?|sets?|each (?:1|~move)|they|every (?:1|~move))(?: (?:is|are|lasts?|for|will be))+) (?:just |only |about )*(\\d{2})(?: to (\\d{2}))? seconds?(?: (?:each|long))?"),
            rule(CallKind.TOTAL, "work-seconds", null, "(\\d{2}) work(?= (?:[.,]|\\d{1,2}\\b|and))"),
            rule(
                    CallKind.TOTAL,
                    "rounds",
                    2,
                    "(?:through|do|doing|repeat|repeating) (?:it|this|that|everything|the circuit|the whole thing|them|the (?:whole )?lot|the (?:whole )?series|(?:each|every|both|the|that|this) ~round|all of (?:it|them|this|that))(?: all)?[ ,.]+twice(?! (?:a|per|as|the|in)\\b)"),
            rule(
                    CallKind.TOTAL,
                    "minutes",
                    30,
                    "(?:a |about |around |just |only |in |for |under )*half (?:an |a )?hour(?: (?:long|workout|session|video|class|routine))?"),
            rule(
                    CallKind.TOTAL,
                    "rounds",
                    null,
                    "(?:go|going|work|working|run|running|get) (?:through|round|around) (?:it|this|that|everything|the circuit|the whole thing|them|all of (?:it|them|this|that))(?: all)? (\\d+)(?: (?:to|or) (\\d+))? times"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    null,
                    "resting (?:for )?(\\d+)(?: seconds?)?|(?:then|and) (?:we|you) rest (?:for )?(\\d+)(?: seconds?)?|(?:we|you) rest (?:for )?(\\d+) seconds? (?:and|between|after|in between)"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    null,
                    "(?:(?:with|and|then|for|have|get|got|take|a|by|your|our) )*(\\d+)(?: to (\\d+))? seconds? (?:of |to |for |a )*(?:rest|off\\b|break|recovery|recover|transition|between|in between|breather)(?: in between| between| time)?"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    null,
                    "(?:(?:for|do|doing|working|work for|of|at|have|its|got|with) )*(?<!last |final )(\\d+)(?: to (\\d+))? seconds? (?:of |per |for |on |on each |for each |each |worth of )*(?:work|on\\b(?! the (?:clock|timer))|working|effort|each|(?:per|a|an) (?:move|exercise|side|piece|pop)|of (?!these|this|it\\b)\\w+)(?! (?:left|to go))"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    null,
                    "(\\d{2}) (?:seconds )?on(?= (?:, |. )?(?:and )?(\\d+) (?:seconds )?(?:off|rest))"),
            rule(CallKind.TOTAL, "rest-seconds", null, "(\\d+) (?:seconds )?off\\b"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    null,
                    "(?:work(?:ing)? for|each (?:exercise|move) (?:for|is)|for) (\\d+) seconds?(?: (?:each|of|on)\\b)?(?= (?:[.,]|(?:each|per|and|then|with|on|followed|rest(?:ing)?)\\b))"),
            rule(
                    CallKind.TOTAL,
                    "rounds",
                    null,
                    "(?:(?:for|do|doing|have|repeat|repeating|of|total of|through|complete|going to do|get) )*(\\d+)(?: (?:to|or) (\\d+))? (?:total |full )?(?:rounds?|circuits?|times through|times around)(?! (?:~more|down|done|finished|complete|in the bag))"),
            rule(
                    CallKind.TOTAL,
                    "sets",
                    null,
                    "(?:(?:for|do|doing|have|of|total of|complete) )*(\\d+)(?: (?:to|or) (\\d+))? (?:total |working |straight )?(?:sets|set(?! (?:it|them|the|your|down)))(?! ~more)"),
            rule(
                    CallKind.TOTAL,
                    "moves",
                    null,
                    "(?:(?:of|have|do|doing|through|with|got|just|only|total of) )*(\\d+)(?: (?:to|or) (\\d+))? (?:(?!seconds?|minutes?|more|rounds?|sets?|reps?|of|the|this|that|for|and|times?|to|at|per|each)[a-z]+ ){0,2}?~move(?! (?:left|to go|remaining|more))"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?:(?:for|do|doing|of|have|aim for|going for|looking for|get|about|each|hit|aiming for) )*(\\d+)(?: (?:to|or) (\\d+))? (?:total |slow |controlled |good )*(?:reps?|on this side|each side|per side|each leg|each arm|per leg|per arm|on each (?:side|leg|arm|hand|foot)|times (?:on )?(?:each|per) (?:side|leg|arm)|each way)(?! ~more)(?! (?:to|and) (?:go|rest))"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?<=\\b(?:back|forward|up|down|out|over|in|arm|leg|side|this|that|it) )(\\d{1,2}) times(?= [.,])"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?:we|i|you|lets)(?: (?:~will|are|just|only))* do(?:ing)? (?:about |just )?(\\d{1,2})(?= (?:[.,]|in total|in all|altogether|here))(?! [.,] 1 )|(?:going|aiming|shooting|looking|lets go|lets aim) (?:for )?(?:about )?(\\d{1,2})(?= (?:[.,]|on (?:these|this|the|your|each)|here|of|again))|(?<=\\bgo )(\\d{1,2}) on (?:the|your) (?:right|left)"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?<!last |more |first |final |all |left )(\\d+) of (?:these|those|them)(?= [.,])|(?:do|doing|aim for|get|going for|complete|lets do) (\\d+)(?: (?:to|or) (\\d+))? of (?:them|these|those|each)(?: ~side)?|(?<=sets of )(\\d+)(?: (?:to|or) (\\d+))?(?: reps?)?(?: (?:on |for )?(?:each|per)(?: (?:~move|~side))?)?"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?<!last |final |another |more |number )(\\d+)(?: (?:to|or) (\\d+))? (?:(?!seconds?|minutes?|more|rounds?|sets?|times?)[a-z]+ ){0,2}?(?:squats|lunges|presses|rows|curls|raises|flies|bridges|thrusts|thrusters|deadlifts|ups|crunches|twists|kickbacks|extensions|jacks|climbers|burpees|swings|cleans|snatches|dips|taps|skaters|shrugs)(?: (?:each|per) ~side)?"),
            rule(
                    CallKind.TOTAL,
                    "minutes",
                    null,
                    "(?:(?:we|you) )?(?:have|got|there are) (?:got )?(\\d+) minutes on the (?:clock|timer)"));

    private PlanPatterns() {}
}
