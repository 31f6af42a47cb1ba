package app.nosegay.transcript;

import java.util.List;
import java.util.Map;
import java.util.regex.Pattern;

/**
 * How people say calls, as patterns over {@link Speech}: plain words, digits, {@code .} and {@code ,}. Earlier rules claim their words first;
 * a rule of no kind only keeps later ones from misunderstanding them. {@code #} is a number, {@code <} and {@code >} are where a phrase begins
 * and ends, {@code ~name} is a list of words below.
 */
final class CallPatterns {
    /** One way of saying a call; group 1 is its number, group 2 its second one. {@code onlyExpected}: see {@link ExpectedCalls}. */
    record Rule(CallKind kind, String of, Integer value, Pattern pattern, boolean onlyExpected) {}

    private static final Map<String, String> LISTS = Map.of(
            "~nth",
            "(?:first|second|third|fourth|fifth|sixth|seventh|eighth|ninth|tenth|eleventh|twelfth)",
            "~round",
            "(?:rounds?|circuits?|sets?|laps?|times? (?:through|around))",
            "~move",
            "(?:exercises?|moves?|movements?|stations?|drills?|tracks?|stretch(?:es)?)",
            "~side",
            "(?:sides?|legs?|arms?|hands?|foot|feet|knees?|hips?|directions?)",
            "~more",
            "(?:left|to go|remaining|more|to do)",
            "~name",
            "(?:(?:a|an|our|some|the|your) )?(?:[a-z]+ ){0,2}?" + CallReader.MOVE_WORDS,
            "~tail",
            "(?: (?!(?:okay|number|lets|exercise \\d|first up|\\d+ (?:seconds|minutes|rounds|exercises|moves) of)\\b)[a-z0-9]+){0,9}",
            "~will",
            "(?:will|am going to|are going to|is going to|want to|would like to)");

    /** "One down, two to go": of rounds where one was spoken of, of repetitions while working, else of moves. */
    static final String TO_GO = "to go";

    /** "Fifteen down": half of an interval if it lasts thirty seconds. */
    static final String BY_TIME = "by time";

    static final List<Rule> RULES = List.of(
            never(
                    "(?:do not|did not|not got|no|without) (?:have )?(?:a|the|your|any) (?:\\w+ )?(?:timer|clock|beep|bell)(?: on (?:the |your )?(?:screen|corner))?"),
            never(
                    "(?:if|at least|least)(?: the| a| about)? \\d+ (?:seconds?|reps?|rounds?)|\\d+ (?:more )?rounds? of (?:breaths?|breathing)"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:you|we) have (?:got )?(10|15|20|25|30|45) (?:seconds )?on (?:the other|this|each) (?:side|leg|arm)|(?<!at |in )(10|15|20|30) (?:seconds )?to (?:get (?:set up|set|ready|into position)|set up|change over|switch over)"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:only|just|still|last) )*(\\d+) (?!seconds|minutes|rounds|sets|laps|exercises|moves|movements|stations|drills|stretches|breaths|others|blocks|circuits|times|reps|steps|counts|points|degrees|fingers|weights)[a-z]+s (?:left|to go|remaining)"),
            never("(?:~name(?: ,)? (?:and (?:a )?)?){2,}~name"),
            never(
                    "(?:second|next) to (?:the )?last|(?:took|takes|taken)(?: (?:us|me|him|her|them|you))?(?: (?:about|like|around))? \\d+ (?:minutes|seconds|rounds)|(?:see you|catch you|meet you) (?:in|on|at|for) the (?:next|last)(?: 1)?|(?:for|on|in) the first 1|\\d+ ~move (?:(?:in|down|done)[ ,.]+(?:and )?\\d+ (?:more )?(?:to go|left)|done|down)|(?:before|keep|without|until) moving (?:on|along)|get(?:ting)? (?:in)?to the next (?:1|~move)|halfway through (?:our|the|your|these|those) (?:[a-z]+ )?(?:sets|exercises|moves)"),
            rule(
                    CallKind.TOTAL,
                    "rest-seconds",
                    null,
                    "(?:you |we )?rest for (\\d{2})(?: seconds?)? (?:after|between|in between)(?: (?:each|every) [a-z]+)?"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(\\d+) (?:more )?(?:each|per|on each|a) (?:side|leg|arm)(?: (?:to go|left|more))"),
            never("(?:(?:the|a|some) ~name[ ,]+(?:and )?){2,}(?:the|a|some) ~name"),
            never(
                    "halfway lift|(?:hold|stay|keep|pause|curl|lift|squat|arms?|lunge)(?: [a-z]+){0,3} at (?:the )?halfway(?: point)?"),
            never("(?:good |okay |and |nice )*thats 1 (?:complete |whole |full )?~round(?= [.,])"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:last|final) (\\d+) seconds of (?!work|rest|each|the|this|that)[a-z]+"),
            // Promises first: they hold words of other calls.
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "i (?:~will )?(?:be )?(?:count(?:ing)?|call(?:ing)?(?: out)?|shout(?:ing)?|cue|remind(?:ing)?|let you know|letting you know|tell(?:ing)? you|keep (?:an eye|track|time|watch)|have you|ask you|give you (?:a|the|some|your|that|\\d+)|warn(?:ing)?|say)\\b~tail"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:(?:theres|there is)(?! the (?:beep|bell|buzzer))|there ~will be|(?:you|we) ~will (?:see|have|find|hear)|we have|i have|i got|i have got) (?:a|the|your|an|my) (?:\\w+ )?(?:timer|clock|countdown|beep|bell|buzzer)\\b(?! (?:is |all |already )*(?:set|ready|going|running|here))(?: [a-z0-9]+){0,6}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:timer|clock) (?:is |will be )?(?:on|in|at|up on) (?:the |your )?(?:screen|corner|bottom|top)(?: [a-z0-9]+){0,4}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:at |on |by )?(?:the )?halfway(?: (?:point|mark|through))? (?:you|we|i) (?:~will |are |then )?(?:switch|swap|change)(?:ing)?(?: [a-z0-9]+){0,4}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:we|you) (?:~will |then |~will then )?(?:switch|swap|change)(?:ing)?(?: over)?(?: ~side)? (?:at |on )?(?:the )?halfway(?: point| mark| through)?"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:and|then) (?:we )?(?:~will |then )?(?:switch|swap|change)(?:ing)?(?: ~side| over)? (?:at |on )?(?:the )?halfway(?: point| mark| through)?"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:we|you) ~will (?:then )?(?:switch|swap|change|do (?:the )?(?:other|left|right|opposite))\\b(?!(?: [a-z]+)? first)(?: [a-z0-9]+){0,6}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "i (?:~will )(?:also )?(?:be )?(?:show(?:ing)?|demonstrat(?:e|ing)|offer(?:ing)?|break(?:ing)? (?:it |this |that )?down|talk(?:ing)? you through|walk(?:ing)? you through|guid(?:e|ing) you)\\b~tail"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "at the (?:very )?end (?:of (?:this|it|the (?:set|round|minute)) )?(?:we|i) (?:~will )(?:hold|pulse|add|do|stay|show|give|slow|speed|finish)\\b(?: [a-z0-9]+){0,6}"),
            // Half of something larger than the interval, before its parts are taken for something else.
            rule(
                    CallKind.HALF_WAY,
                    "workout",
                    null,
                    "(?:(?:and|we are|you are|already|thats|were|officially|just|now|over) )*(?<!almost |nearly |quite |until |till |before |to )halfway (?:there |point |mark )?(?:through|done with|into|of|in) (?:with )?(?:the|this|our|your|todays)? ?(?:whole |entire |full )?(?:workout|session|video|class|routine|work out|thing)|(?:(?:and|we are|you are|thats|we have done|you have done|through|done with) )+half (?:of )?(?:the|this|our|your|todays) (?:whole |entire |full )?(?:workout|session|video|class|routine)(?: (?:done|down|over|behind us))?"),
            rule(
                    CallKind.HALF_WAY,
                    "workout",
                    null,
                    "(?:(?:and|we are|you are|thats) )*halfway(?: (?:folks|guys|team|everyone|everybody|there))?(?: ,)? \\d+ minutes? in\\b|\\d+ minutes?(?: (?:in|gone|down|done))?[ ,.]+(?:(?:so|and|that|we|are|thats|you|is|at|the|our|now) )*halfway(?: (?:point|mark|there|through))?"),
            rule(
                    CallKind.HALF_WAY,
                    "round",
                    null,
                    "(?:(?:and|we are|you are|already|thats|were|officially|just|now|over) )*(?<!almost |nearly |quite |until |till |before |to )halfway (?:there |point |mark )?(?:through|done with|of) (?:with )?(?:the|this|our|your|that)? ?(?:(?:~nth|last|final) )?(?:round|circuit|set|block)(?: (?:number )?\\d)?|(?:(?:and|we are|you are|thats|we have done|you have done|through|done with) )+(?:is )?half (?:of )?(?:the|this|our|your) (?:(?:~nth|last|final) )?(?:round|circuit|block)(?: (?:done|down|over|behind us))?"),
            rule(
                    CallKind.HALF_WAY,
                    "interval",
                    null,
                    "(?:(?:and|okay|now) )*(?:we have|you have|we|you|thats us|just) (?:just |now )?(?:hit|hitting|made it to|reached|got to|passed) (?:the |our |your )?halfway(?: (?:point|mark|line))?|(?:(?:and|okay|now) )*(?:we are|you are|thats) half(?:way)? done|(?<!almost |nearly |not )half done(?= [.,])|(?:and )?thats half(?= [.,])|(?:and )?thats half (?:of )?(?:your|the|our) (?:time|set|reps|interval)|(?<=[.,] )half(?= [.,])|(?:(?:and|thats|we are|you are) )*half (?:of )?(?:the|your|our) (?:time|set|reps|interval) (?:is |are )?(?:gone|done|down|left|over|behind (?:us|you))"),
            rule(
                    CallKind.HALF_WAY,
                    BY_TIME,
                    null,
                    "(?:(?:and|thats|that is|we are|you are) )*(\\d{2}) (?:seconds? )?(?:down|gone|in(?! between)|done|behind (?:us|you))(?![ ,.]+(?:and )?(?:another )?\\d+ (?:seconds? )?(?:more )?(?:to go|left|more|go))|(?:thats|that is) (\\d{2})(?: seconds)?(?= [.,])|(?:(?:we are|you are|thats) )?(?:at|hit|hitting|past|passed) (?:the |our |your )?(\\d{2}) seconds? mark"),
            // Said at once with what would make it something else.
            never("(?:the )?\\d+ seconds? mark"),
            never("(?:workout|session|class) number \\d+"),
            never("(?:episode|day|week|video|part|season|level|phase|volume|chapter) (?:number )?\\d+"),
            never(
                    "\\d+ minutes? (?:done|down|in|gone)[ ,.]+(?:and )?\\d+ (?:minutes? )?(?:to go|left)|\\d+ (?:seconds?|minutes?) (?:done|down|in(?! (?:total|all)\\b)|gone|behind (?:us|you))"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:and|give me|just|lets do|lets get) )*(\\d+) more (?:[a-z]+ )?(?:squats|lunges|presses|rows|curls|raises|flies|bridges|thrusts|thrusters|deadlifts|ups|crunches|twists|kickbacks|extensions|jacks|climbers|burpees|swings|cleans|snatches|dips|taps|skaters|shrugs)"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:and|about|just|only|for|another|hold for|hold it for|hold|give me|for about) )*(\\d+) more seconds?(?: (?:of|on) (?:this|these|that|it))?|(?:(?:and|you|we|have|got|with|only|just|still) )*(\\d+) seconds? (?:left )?on the (?:clock|timer)|(?:(?:and|you|we|have|got) )*(?:have|got) (?:just |about |only )?(\\d+) seconds? (?:to |of )(?:rest|recover|recovery|catch your breath|get ready|breathe|shake it (?:out|off)|set up)|(\\d+) seconds? rest (?:here|now|coming)"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:and|give me|just|the|your|our|these) )*(?:last|final) (\\d+) (?:good |big |strong |clean |slow )*reps?(?: (?:each|per|on each))?(?: ~side)?"),
            rule(
                    CallKind.LAST_REP,
                    null,
                    null,
                    "(?:(?:and|your|the|this is|very) )*(?:last|final) (?:push|press|squat|lunge|row|curl|swing|pull|lift|dip|crunch|raise|thruster|burpee)(?= [.,])"),
            rule(CallKind.LAST_REP, null, null, "(?:and )?1 last time(?! (?:we|i|through|around|this|last))"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    null,
                    1,
                    "(?:(?:and|do|go|run|repeat|all|that|this|it|of|through|the|whole|thing|everything) )*(?:(?:round|around|through|everything|whole thing|that all|all of that|all of it|this all|it all|all that) 1 more time|1 more time (?:through|around|round|from the top))"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    TO_GO,
                    null,
                    "(?:\\d+|that|thats 1|thats \\d+) (?:~round )?down[ ,.]+(?:and )?(\\d+) (?:more )?to go"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:back (?:at it|to it|to work|in|here)|we go|we are going|we start|we are starting|starting|start|going|here we go|go|next (?:1|round|move|exercise|~move)|getting going|coming up)(?: again| back)? in (?:about |just )?(\\d+)(?: seconds?)?(?= [.,])"),
            rule(
                    CallKind.REST,
                    null,
                    null,
                    "(?:(?:and|okay|now|lets|you can) )*take (?:a |about |around |another |your )?(?:(\\d+) seconds?|(10|15|20|30|45|60)(?= (?:[.,]|here|off|to|of|now)))(?: (?:here|off|of rest|rest|now|to (?:breathe|rest|recover)))?(?! (?:if|steps?|minutes?|to \\d|seconds?|of|reps?|big|deep|breaths?|more|weights?|dumbbells?|each|per|between|on))|(?:and |okay )?set (?:it|them|those) down(?! (?:if|when))|(?:and )?thats (?:(?:your|the|our) )?time(?! (?:to|for|of))|(?:and|now|okay) we rest(?! (?:when|if|for))|(?:(?:and|okay|now) )+stop(?! (?:if|when|at|the|your|you|it|for|in|on|short|any|me|doing|by|whenever|before|there|right|and))|(?:(?:and|okay|now|so) )*have (?:a|your) (?:quick |little |short |nice |well earned |bit of a )*(?:rest|breather|break|pause)(?! (?:if|when|whenever|as|any))|(?:(?:and|okay) )*(?:we are|you are|thats us|thats) (?:all )?(?:done with (?:~round|~move|that|this|it)(?: \\d)?|(?:all )?finished)(?! (?:with|the|our|that|in))|(?<=[.,] |down |okay |good |nice )rest(?! (?:your|the|on|it|them|days?|periods?|in between|between|as|when|if|whenever|is|of|or|assured|for (?:\\d+|a|as|a few|some|one) breaths?|for as|here if|here when))|(?<=[.,] )(?<!(?:hurts?|pain|wrong|dizzy|dizziness|breath) , )stop(?= (?:[.,]|put|there|right|now|good|nice|well|everyone|guys|okay|shake|take|thats))"),
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?<=[.,] )go for it(?= [.,])|(?:(?:and|okay|right|ready|so|now) )*(?:here we go|(?:off|away) (?:we|you) go)(?! (?:again )?(?:in|into|to|with)\\b)|(?:its )?go time|(?<=[.,] )go ahead(?= (?:[.,]|and (?:start|begin)))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|now|okay|lets) )*(?:go|come|move|head|over) (?:over )?(?:to|onto|on to) (?:the|your) (?:other|opposite|second) ~side(?: now)?|(?:lets )?even (?:it|things|that|them) (?:out|up)|(?:(?:and|now|lets) )+(?:go|going|we go) the other (?:way|direction)|(?<=[.,] )(?:go|going) the other (?:way|direction)|(?:lets )?(?:take|bring) (?:it|that|this) (?:over |across )?(?:to|onto) (?:the|your) (?:other|opposite|left|right)(?: ~side)?|(?:(?:(?:and|now|okay|lets go) )+|(?<=rest |done ))over (?:to|onto) (?:the|your) (?:right|left)(?: ~side)?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:you|we) have (?:got )?(?:about |just |only )?)(10|15|20|30|45)(?= [.,])"),
            never("(?:till|until|before|after) (?:the|our|your) (?:next|last|final|second|third) ~round"),
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
                    "(?:\\d+ ~round |(?<=~nth ~round ))(?:down|done|finished|complete)[ ,.]+(?:and )?(\\d+)[ .]+(?:more )?(?:to go|left)"),
            rule(CallKind.ROUNDS_LEFT, null, null, "(?:(?:the|our|these|your) )*(?:last|final) (\\d+) ~round"),
            rule(CallKind.ROUNDS_LEFT, null, 1, "(?:just |only )?(?:another) ~round(?: to go| left)?"),
            ordinals(
                    "(?:(?:our|the|your|this is|thats|its|onto|into) )*(~nth) (?:and (?:final|last) )?(?:~round|~move|block|section|sequence|series|combo|superset|1 up|1 is)(?! (?:and|is) (?:position))"),
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
                    "(?:on to |onto |into |this is |start of |end of |thats )*(?<!until |till |til |before |after |with |get )(?:round|circuit|exercise|move|movement|station|block|set|superset|section|number|drill|track)(?: number)? (?:is )?(\\d+)(?! (?:seconds?|minutes?|reps?|more|left|to go|sets|rounds|times|exercises|moves|movements|of(?! \\d)|each))(?: (?:out )?of \\d+)?"),
            never(
                    "(?:when|until|till|before|once|after) (?:the |your |that )?(?:times|time is) up|(?:did|took|lasted|was|were) \\d+ (?:\\w+)"),
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
                    "(?:the|these|those|both) 2 ~move|show(?:ing)? you (?:the|your|our|what is|whats) next(?: (?:1|~move))?|couple (?:more )?times"),
            never("\\d+ (?:sets?|pairs?) of (?:\\w+ )?(?:dumbbells?|weights?|bands?|kettlebells?|hand weights?)"),
            rule(
                    CallKind.TOTAL,
                    "work-seconds",
                    60,
                    "(?:each|every) (?:1|~move) for (?:1|a) minute|(?:(?:for|of|doing|do|at|with) )*(?:1|a) (?:full )?minute (?:each|per (?:exercise|move)|on(?= [.,])|of work|on each|for each)"),
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
            rule(CallKind.SECONDS_LEFT, null, null, "(?<=[.,] )([2-5]) minutes? on the (?:clock|timer)(?= [.,])"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:last|final|only|just|you have|we have|got) )*([2-5]) (?:more )?minutes? (?:left|to go|remaining|more)(?! (?:in|of) (?:the|this|our|your) (?:workout|session|video|class))"),
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
                    "(?:(?:for|do|doing|have|of|total of|complete) )*(\\d+)(?: (?:to|or) (\\d+))? (?:total |working )?(?:sets|set(?! (?:it|them|the|your|down)))(?! ~more)"),
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
                    "(?<!last |more |first |final |all |left )(\\d+) of (?:these|those|them)(?= [.,])|(?:do|doing|aim for|get|going for|complete|lets do) (\\d+)(?: (?:to|or) (\\d+))? of (?:them|these|those|each)(?: ~side)?|(?<=sets of )(\\d+)(?: (?:to|or) (\\d+))?(?: reps?)?(?: (?:on |for )?(?:each|per)(?: (?:~move|~side))?)?"),
            rule(
                    CallKind.TOTAL,
                    "reps",
                    null,
                    "(?<!last |final |another |more |number )(\\d+)(?: (?:to|or) (\\d+))? (?:(?!seconds?|minutes?|more|rounds?|sets?|times?)[a-z]+ ){0,2}?(?:squats|lunges|presses|rows|curls|raises|flies|bridges|thrusts|thrusters|deadlifts|ups|crunches|twists|kickbacks|extensions|jacks|climbers|burpees|swings|cleans|snatches|dips|taps|skaters|shrugs)(?: (?:each|per) ~side)?"),
            // What only sounds like a call.
            never("1 more(?: ,)? (?:maybe|or)\\b|(?:hold|on|for|until|till|before|after) the last 1"),
            never(
                    "(?:on|for) the next 1(?! (?:is|we|its|,))|(?:until|till|before) (?:the|your|our) (?:clock|timer) (?:says|reads|hits|gets to) \\d+ (?:minutes?|seconds?)"),
            rule(
                    CallKind.TOTAL,
                    "minutes",
                    null,
                    "(?:(?:we|you) )?(?:have|got|there are) (?:got )?(\\d+) minutes on the (?:clock|timer)"),
            never(
                    "(?:if|had|than|least|always|leave|have|with) (?:a |about |more than )*\\d+ (?:left|more)(?: in (?:the tank|you))|(?:\\d+ (?:or|to) )?\\d+ (?:reps? )?(?:left|more) in (?:the|your|you)\\b"),
            never(
                    "(?:down|up|out|top|bottom|there|in|hold(?: (?:it|this|that|here))?|pause|squeeze|breathe(?: \\w+)?) for (?:a |about )?[1-4] seconds?"),
            never("(?:1|\\d+) more (?:(?:deep|big|slow|nice|full|long) )*(?:breaths?|inhales?|exhales?|things?|sips?)"),
            never("(?:make|like|as|than|if) (?:the|your|that|its the|its your) (?:last|final) (?:1|rep)"),
            never(
                    "(?:in|during|left in|into|out of) (?:the|your|this|our) rest|(?:the|and the|all the) rest of|rest of|(?:the|for the|all the) rest (?:are|will|can|follows?)|(?<!and )rest (?:your(?! (?:legs?|arms?) [.,])|the|on|it on|them|period|periods|day|days|in between|between|is|when|if|as|whenever)|at rest|(?:no|without|zero|minimal) (?:\\w+ )?rest|(?:before|until|till|when|then|if|to|can|you|we|of|minimal|little|short|more|get|your) rest|without rest|rest or"),
            never(
                    "well done|almost done|nearly done|(?:when|once|after|until|before|if) (?:you|we) (?:are|have)(?: all)? done|get (?:it|this|that|them) done|not done|(?:have|has|had|be|being|already|just|we) done|(?<!we are )done (?:with|it|this|for|a|the|all|your)|easier said than done|done right"),
            never(
                    "(?:(?:feel free to|can always|free to|need to|want to|have to) )?(?:take|grab) (?:a|your|another|any) (?:quick |little |short |longer )*(?:rest|break|breather|pause)s? (?:here )?(?:if|when|whenever|as|any ?time|at any|where|wherever|in between whenever)|(?:feel free to|can always|free to|need to|want to|have to) (?:take|grab) (?:a|your|another|any) (?:quick |little |short |longer )*(?:rest|break|breather|pause)"),
            never(
                    "(?:do not|never|not|non|no|without|cannot|can|will|to|before (?:you|we)|you|we|should|must|would) stop(?! (?:there|here|now))|stop (?:if|when|at|the|your|you|it|and rest if|for|in|on|short|any)|(?:if|when|whenever) (?:you|something|it|anything|that|this) (?:need|have|want|hurt|feel)s? (?:to |wrong |pain |off |sharp )*(?:, )?(?:please |then |just )*stop"),
            never(
                    "(?:keep|keeps|kept) (?:it |on |them |that )?going|(?:there|here) you go|go ahead|ready to go|ways? to go(?= [.,])|(?:good|great|rearing|nice) to go|(?:to|we|you|they|can|could|and|i|will|not|let it|never|as|should|that|would|do|might|may|want to|going to) go (?:all|back|down|up|as|(?:into|in|to|for)(?! (?:~name|the (?:left|right|other)))|too|slow|slower|heavy|heavier|light|lighter|lower|low|deep|deeper|faster|fast|wide|through|over|straight|forward|at|out|with|hard|harder|past|further|beyond|any|around|(?:right|left)(?! (?:arm|leg|side|hand|foot))|again|slightly|side|from)|go (?:back|down|up|as|to|for|too|slow|slower|heavy|heavier|light|lighter|lower|low|deep|deeper|faster|fast|wide|through|over|forward|at|out|with|hard|harder|past|further|beyond|any|around|slightly|side|from|all|get|grab|straight)"),
            never(
                    "(?:every|each|another|a|this|that|which|wrong|right) (?:\\w+ )?(?:time|times)|(?:at|in|on|over|of|by|your|the|same|some|take|first|next|last|this|any|my|have|whole|all|no|long|long|much|to|for|good|great) time(?! (?:is|through|around))|(?<!its |now )time (?:to|for|under|of|i|you|we|on|with|in|out|as|and space)"),
            never(
                    "(?:start|starting|begin|beginning|started|begins?|starts?) (?:position|by|off(?! with)|from|at|on|to|slow|slowly|position|side|leg|standing|lying|seated|up|of|of the|light|small|over|out)|(?:to|you|we|before|when|the|from|i|a|your|can|let us|will|then|head|good|fresh|going to) (?:start|begin)s?(?! (?:(?:right )?now|(?:off |out |again )?with))"),
            never(
                    "work (?:on|out|the|your|hard|through|your way|from|for|in|with|those|that|it|all|against|together|both|at|up|as|to|towards|into|done|here|of|everyone|guys|team|well|a)|(?:the|good|great|nice|hard|to|of|we|you|will|that|amazing|awesome|fantastic|excellent|lovely|solid|beautiful|brilliant|strong|foot|floor|leg|arm|core|body|your|seconds|beautiful|this|should|and|can|really|some|bit of|lots of|super) work"),
            never(
                    "halfway (?:down|up|back|into|between|position|out|to|in(?! [.,]))|(?:come|comes|coming|lower|go|going|down|up|drop|lift|only|bend|squat|press|pulse|hold|stop|pause) (?:just |only )?(?:to )?halfway(?! (?:there|through|done))|(?:to|before|until|till|by|reach|hit|near|nearly|almost|after|when) (?:the |we (?:hit|get to|reach) )?halfway(?! (?:there|done|through))|(?:almost|nearly|not quite) halfway(?: there)?|halfway (?:point|mark) (?:we|you|i)|halfway was"),
            never(
                    "(?:last|final|first) (?:week|time we|day|video|month|night|year|couple of (?:weeks|days|months|seconds? of)|few|thing(?! (?:we|is|up|on))|name|but not least|bit|part|minute change)"),
            never(
                    "\\d+ (?:inch|inches|feet|pounds?|kilos?|kg|lbs?|degrees?|percent|calories|weeks?|days?|years?|months?|times a|hours?|centimetres|count|counts|steps?|points?|fingers?|people|things?|options?|weights?|dumbbells?|kettlebells?|bands?|bottles?|out of|second pause|second hold|second squeeze|a m|p m)"),
            // Time left.
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:last|final|just|only|another|in|about|got|we have|you have|have|you got|for|under|less than|down to|thats|and|around|the|your|our|we are down to|hold for|hold for another|for another) )*(\\d+)(?: more| last| final)? seconds?(?: (?:~more|here|guys|everyone|team|until|till|warning|out))?(?! (?:of|on|off|each|per|rest|break|work|between|recovery|hold|pause|in\\b|down|round|set|exercise|side|move))"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    60,
                    "(?<=[.,] )(?:a|1) (?:full |whole )?minute (?:break|rest|off)(?= [.,])"),
            rule(CallKind.SECONDS_LEFT, null, 60, "(?<=(?:timer|clock) )(?:for|to|on|at) (?:a|1) (?:full )?minute"),
            rule(CallKind.SECONDS_LEFT, null, null, "(?<=(?:timer|clock) )(?:for|to|on|at) (\\d{2}) seconds?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    30,
                    "(?:last |final |just |only |1 more |another )?half (?:a |1 )?minute(?: ~more)?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    60,
                    "(?:(?:you|we|get|have|got|take) )+(?:a|1) (?:full minute(?! (?:of|each|per|on))|minute (?:off|rest|break|to (?:rest|recover|breathe)|here|now)\\b)|(?:(?:last|final|1 more|just 1|only 1|1) minutes?|(?:a|1|1 more|1 full|another) minute)(?: (?:~more|here))(?! (?:of|each))|(?:last|final|1 more) minute(?! (?:of|change))|(?<!for |of |a |in |full |hold )1 minute(?= [.,])"),
            // Half of an interval.
            rule(
                    CallKind.HALF_WAY,
                    "interval",
                    null,
                    "(?:(?:and|we are|you are|already|thats|were|officially|just|now|over|exactly|about|past|right|at|the) )*halfway(?: (?:there|through|done|point|mark|now|home|in(?= [.,])))?|(?:at|past|thats|hit) (?:the )?half(?: mark| point)?(?= [.,])|(?:thats|we are at|you are at|at) half (?:time|way)?|half ?time"),
            // Reps left.
            rule(
                    CallKind.LAST_REP,
                    null,
                    null,
                    "(?:(?:and|this is|its|your|the|our|give me|just|only|for|you have|got|we have) )*(?:(?:very )?(?:last|final) (?:1|rep)|1 (?:more|last|final)(?: (?:rep|time|1))?|1 (?:rep )?(?:left|to go))(?! (?:~round|~move|minutes?|seconds?|thing|of (?:the|these|those)|side|leg|arm|day|block|set|half))(?: (?:each|per|on each|on this|this|like that))*(?: ~side)?"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    2,
                    "(?:(?:and|give me|just|only|for|you have|got|we have|a|these|the|your|our) )*(?:(?:last|final) couple|couple (?:more|left|to go|last))(?: of)?(?: (?:reps?|like that))?(?! (?:seconds?|~round|minutes?|~move|breaths))"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:and|give me|just|only|for|you have|got|we have|these|the|your|our|here|another|lets do|lets get) )*(?:last|final) (\\d+)(?: reps?)?(?! (?:seconds?|~round|minutes?|~move|weeks?))(?: (?:each|per|on each|left|to go))*(?: ~side)?"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:and|give me|just|only|for|you have|got|we have|we need|need|about|have) )*(?:another )?(\\d+) (?:reps? )?~more(?: reps?| times)?(?! (?:seconds?|~round|minutes?|~move|weeks?|after))(?: (?:each|per|on each|on this|like that|and))?(?: ~side)?"),
            // Change side.
            never(
                    "(?:~will|before|until|till|about to|ready to|then|going to|to|not|when(?! you are ready)|when we|when you|can|you|we|seconds|in between|without|could|i|or) (?:switch|swap|change)(?:es|ing)?|(?:switch|swap|change|changing|switching) (?:between|it(?! (?:up|over|around|now|out|to)| [.,])|the (?:weight|angle|tempo|pace|grip)|your (?:weight|grip|band)|weights?|things|position|into|out|from|if|grip|tempo|levels?|for|of|gears?|out)(?! over| up| sides?)|(?:switch|swap|change)(?:ing)? your (?:weights?|dumbbells?|bells?|bands?|mat|shoes)|(?:opposite|other) (?:arm|leg|hand|foot)[ ,]+(?:and )?(?:opposite|other) (?:arm|leg|hand|foot)|the (?:switch|change|swap)|a (?:quick )?(?:switch|change|swap)|no change|whatever side|either side|each side|both sides|on (?:the|your) other (?:side|leg|arm|hand)(?= (?:of|as|for|in|too|later|so|is|when|and))|(?:the |your )?other (?:leg|arm|hand|foot|knee|side) (?:helps?|is|out|behind|stays?|on|can|bent|straight|should|back|forward|comes?|goes|in|up|down|to|will|of|reaches|lifts|extends|that|which)|(?:bend|keep|with|lift|use|place|put|extend|reach|from|to the|against|holding|hold|grab|lower) (?:the|your) other (?:leg|arm|hand|foot|knee|side)(?! now)|and (?:the|your) other (?:leg|arm|hand|foot|knee|side)(?! (?:now|[.,]))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|okay|now|quick|quickly|lets|time to|go ahead and|we) )*(?:switch|swap|change)(?: it)?+(?: over| up| around)?+(?: (?:your|the|to the|to your))?+(?: (?:other|opposite|right|left))?+(?: ~side)?+(?: now)?+(?! (?:in \\d|in a|in about|in the|to (?!the|your|left|right|other|opposite|it)|at|on|every|each|when(?! you are ready)|halfway))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?<=[.,] )|(?:and|okay|now|lets do|do|repeat|same|thing|over|over to|onto|on to|go to|straight to) )(?:(?:lets|do|the same|same|thing|repeat|on|to|its|over|now) )*(?:the )?(?:other|opposite|second) (?:(?:sides?|legs?|way|directions?)|(?:arm|hand|foot|knee|hip)(?= [.,]))(?! (?:of|is|out|behind|stays|too|as well|later|knee))(?: now)?"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|now|lets) )*(?:(?<!in )reverse|reverse it|reverse directions?|reverse the (?:circles?|direction))(?= [.,])|(?<!left arm |right arm |left leg |right leg )(?:now |and )(?:the )?(?:left|right) (?:side|leg|arm)(?= (?:[.,]|now))|(?:left|right) (?:side|leg|arm) now"),
            // Work stops.
            rule(
                    CallKind.REST,
                    null,
                    null,
                    "(?:(?<!pull |press |lift |squeeze |hold |pulse )and |okay |good |nice )*(?<!pull and |press and |lift and |squeeze and |hold and )(?:rest|relax|release|stop|pause)(?= [.,])|(?:and |okay |now )+rest(?! (?:your|the|on|it on|them|days?|periods?|in between|between|as|when|if|whenever|is|of|or))|(?:(?<!pull |press |lift |squeeze |hold )and |okay )(?:relax|stop|done|release|pause|break)(?= (?:[.,]|right there|a moment|for a (?:moment|second)|now|good|nice|great|okay|well|take|there|shake|so|that|we|you|next|grab|guys|everyone|excellent|perfect|awesome|amazing|beautiful))|(?<=(?:thats it|done|time|stop|1|okay|nice|good|there) )rest(?! (?:your|the|of|on))|rest (?:now|up|there|here|it out|well|good|nice|great|everyone|everybody|guys|okay|excellent)"),
            rule(
                    CallKind.REST,
                    null,
                    null,
                    "(?:(?:and|now|lets|okay|you can|go ahead and) )*take (?:a|your|another|that|some) (?:quick |little |short |well earned |deserved |well deserved |\\d+ seconds? |nice )*(?:rest|break|breather|pause)|(?:and )?(?:time is up|times up|thats (?:the )?(?:clock|bell|buzzer)|take a (?:moment|minute)(?= (?:[.,]|get|grab|catch|sip|drink|breathe|here|to breathe))|(?<=2 1 |2 1 and |2 , 1 |2 , 1 , |2 , 1 and |2 , 1 , and |2 and 1 |2 and 1 and |2 \\. 1 \\. |2 \\. 1 \\. and )(?:rest|time|done|stop|relax|release)(?! (?:your|the|on|it|if|when|at|for))|thats it(?= (?:[.,]|grab|take|rest|shake|drop|for (?:that|this)))|(?<=[.,] |and )rest (?:the|your|that|those|both) (?:(?:top|back|right|left) )?(?:legs?|arms?|head|feet|hips) (?:down|back down|to the (?:floor|mat))|stop there|all done|thats a wrap|bring it to rest|set it down|put it down|park (?:it|that|the (?:bell|kettlebell|weights?))|down you come)|(?:and )?(?:you are|we are|thats us|its) (?:all )?done(?= (?:[.,]|great job|good job|nice|well done|amazing|awesome|guys|everyone|everybody|team))|(?:and |< ?)(?:done|time|break)(?= [.,])|(?<=[.,] )(?:done|time)(?= (?:thats|that is|nice|good|great|well|amazing|excellent|everyone|everybody|guys|team|take|shake|drop|awesome|beautiful|lovely|okay|rest)\\b)|(?:and |the )*(?:weights?|dumbbells?|bells?|bar|barbell|arms|knees) down(?= [.,])|shake (?:it|that|them|those (?:legs|arms)|your (?:legs|arms)) (?:out|off|all out)|shake out (?:your|those|the|that|it|them)(?: \\w+)?|(?<!to )catch (?:your|a|that) breath|have (?:a|your) (?:quick |little |short |nice |well earned )*(?:rest|breather|break|pause)(?! (?:if|when|whenever|as|any))|(?:(?:its|and|okay) )*(?:rest|break) time(?= [.,])|(?:its |and )?rest time|(?:and )?(?:we are|you are) resting|(?:and )?(?:stop|finish) (?:right )?there|and pause there|(?:and |okay )finish(?= [.,])|(?:lets )?take (?:our|your) rest|(?:put|set|pop|place|lay) (?:the|your|those|that) (?:weights?|dumbbells?|kettlebells?|bells?) down(?! (?:\\w+ )?(?:if|when|whenever))|drop (?:the|your|those) (?:weights?|dumbbells?|kettlebells?)(?! (?:if|when|whenever|down to))|(?:grab|get|take|have) (?:a|some|your) (?:quick |little |sip of |drink of )*(?:drink|sip|water)(?: of water)?(?! (?:if|when|whenever|as|any|bottle))|(?:quick|little|short) (?:rest|breather|break)(?= [.,])"),
            // Work starts.
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?:(?:and|okay|right|ready|so|now|3) )*(?:lets (?:go|start|begin|get (?:going|started|to work|it|moving)|do (?:it|this)|hit it|work|get after it)(?! (?:with|by|off|from|on|in|to|into|back|down|up|through|over))|here we go(?! (?:into|to|with))|off (?:we|you) go|(?:and )?we are off again(?= (?:[.,]|round|set))|(?:and )?we are (?:off|going|on|working)(?! (?:exercise|move|movement|round|set|number|station|drill|our|a|\\d|to|into|in|on|through|for|back|straight|with|the|this|our|left|right|side|again|first|last))|(?:you are|clock is|timer is|clocks|timers|time is|times) (?:on|running|starting|going)(?! (?:to|exercise|move|round|set|the|your|a))|(?:timer|clock) starts?(?: now)?(?! in)|get to work|(?:we )?start(?:ing)? (?:(?:right )?now|the clock|the timer)|begin now|(?<!to )get going(?! in)|go go go|go go)"),
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?:and |okay |ready |set |ready set )+(?:go|begin|start|work)\\b|ready set [a-z]+|< ?(?:go|begin|start|work)(?= [.,])|time starts now"));

    /** Ways to bring up the next move without naming a known one. */
    static final List<Rule> INTRODUCTIONS = List.of(
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?:(?:okay|so|and|now|our) )*(?:next up|up next|(?<!(?:set|round|circuit|block|lap|superset) \\d{1,2} )coming up(?: next)?(?! (?:to|onto|from|into|on|off)\\b)|(?<=[.,] )next(?= [.,])|(?<=[.,] )straight to|next (?:~move|1)(?: (?:is|we have|will be|up))?|next (?:is|we have|we are|we will|its|i want|i have|comes)|following that|after this(?: ,)? (?:is|its|we have|comes|we do|we are))"),
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?<=[.,] )(?!(?:[a-z]+ )*(?:what|whats|that|who|which|this|the|you) (?:is |are )?(?:up )?next)(?:[a-z]+ ){1,4}(?:is|are) (?:up |coming )?next(?= [.,])|(?<=[.,] )(?!(?:[a-z]+ )*(?:what|whats|that|who|which|the|this|your|our|is|are|comes?|coming|up|one|1|do|arm|leg|hand) next)(?:[a-z]+ ){1,3}next(?= [.,])"),
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?:(?:okay|so|and|now) )*(?:(?:we are |lets |lets start |and |now |so )*(?:moving|move|going|go|heading|head|transition(?:ing)?) (?:straight |right |on |back )*(?:on to|onto|into|in to) (?:our|a|the|some|your)\\b|straight into\\b(?! (?:it|this|that)\\b)|right into (?:our|a|the|some)|(?:we (?:are |will |are going to )?|lets |i want to )?(?:starting|start|beginning|begin|kick(?:ing)?(?: us)?|open(?:ing)?|finish(?:ing)?) (?:off |again |out |up |things |it |things off |it off )?(?:(?:up |down )?on (?:our|your|the) [a-z]+ )?with(?! (?:your|the (?:feet|weight|right|left)|feet|right|left))|(?:here is|heres) (?:your|our|the) (?:~nth|next|last|final) (?:1|~move)|the (?:first|second|third|fourth|last|final) of (?:the|these|our|them)(?: \\d)? is|(?:(?:for|into|to|with|onto) )?(?:this|your|the|our) next (?:1|~move)|now for something|(?:talk|walk|take) us through (?:the|our|a|an|some)\\b|back (?:in |into it |at it )?with (?:a|an|the|our|some)\\b|(?:and )?(?:finally|lastly)(?: ,)? (?:the|a|an|our|some|we have|its)\\b|(?<!leg |arm |side |hand |foot )(?:first|1st) (?:up|minute (?:is|we)|thing (?:we (?:got|have)|is|up)|~move(?: is| we| today| up)?|1 is|we have|is)(?! (?:of all))|get ready for(?! (?:the|a) (?:next round|second round|break))|time for (?:our|some|the)(?! (?:\\d+|today|workout|session|weekly|daily|usual))|(?:its|now|okay) time for(?! (?:a (?:break|rest|drink|sip|breather)|you|us|me|rest))|now for (?:some|our|the|a|your)\\b|here (?:comes?|come) (?:the|our|some|a)\\b|last but not least|lets do (?:the|our|a)(?! (?:other|same|left side|right side|whole|last|first|final|second|third|next|rest|opposite|quick (?:check|recap)|\\w+ (?:round|set|circuit|side|leg|arm)|round|set|circuit|bit|few|couple|lot|thing|workout|warm)\\b)|straight (?:on to|onto|on into|over to)|next minute (?:is|its|we have|we are)|next on (?:the|our|your) (?:list|menu|agenda)(?: (?:is|we have))?|(?:grab|get|pick up) (?:your|the|a|both|one of your) (?:weights?|dumbbells?|kettlebells?|bells?|band|bands|chair|mat) for(?: (?:our|some|the|a))?|lets move on(?: to)?|moving (?:on|along)(?: to)?|to (?:our|the) next (?:~move|1))"));

    private CallPatterns() {}

    private static Rule never(String pattern) {
        return rule(null, null, null, "(?:" + pattern + ")\\b");
    }

    private static Rule ordinals(String pattern) {
        return rule(CallKind.ORDINAL, "nth", null, pattern);
    }

    private static Rule rule(CallKind kind, String of, Integer value, String pattern) {
        String regex = pattern;
        for (Map.Entry<String, String> list : LISTS.entrySet()) {
            regex = regex.replace(list.getKey(), list.getValue());
        }
        regex = regex.replace("< ?", "(?<=[.,] )");
        return new Rule(kind, of, value, Pattern.compile("(?<= )(?:" + regex + ")(?= )"), false);
    }
}
