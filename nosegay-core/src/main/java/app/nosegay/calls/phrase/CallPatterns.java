package app.nosegay.calls.phrase;

import static app.nosegay.calls.phrase.CallRule.never;
import static app.nosegay.calls.phrase.CallRule.rule;

import app.nosegay.calls.CallKind;
import java.util.List;
import java.util.stream.Stream;

/** How people say calls. Earlier rules claim their words first. */
public final class CallPatterns {
    /** What has to be heard before its parts are taken for something else. */
    private static final List<CallRule> FIRST = List.of(
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
                    "(?:second|next) to (?:the )?last|(?:(?:took|taken)(?: (?:us|me|him|her|them|you))?|takes (?:us|me|him|her|them))(?: (?:about|like|around))? \\d+ (?:minutes|seconds|rounds)|(?:see you|catch you|meet you) (?:in|on|at|for) the (?:next|last)(?: 1)?|(?:for|on|in) the first 1|\\d+ ~move (?:(?:in|down|done)[ ,.]+(?:and )?\\d+ (?:more )?(?:to go|left)|done|down)|(?:before|keep|without|until) moving (?:on|along)|get(?:ting)? (?:in)?to the next (?:1|~move)|halfway through (?:our|the|your|these|those) (?:[a-z]+ )?(?:sets|exercises|moves)"),
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
                    "(?:last|final) (\\d+) seconds of (?:(?!work|rest|each|the|this|that)[a-z]+|(?:the|this|your|our) (?:set|move|exercise|interval|round|minute|circuit|block|1)\\b)"),
            // Promises first: they hold words of other calls.
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "i (?:~will )?(?:(?:also|only|just) )?(?:be )?(?:count(?:ing)?|call(?:ing)?(?: out)?|shout(?:ing)?|cue|remind(?:ing)?|let you know|letting you know|tell(?:ing)? you|keep (?:an eye|track|time|watch)|have you|ask you|give you (?:a|the|some|your|that|\\d+)|warn(?:ing)?|say)\\b~tail"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:(?:theres|there is)(?! the (?:beep|bell|buzzer))|there ~will be|(?:you|we) ~will (?:see|have|find|hear)|we have|i have|i got|i have got) (?:a|the|your|an|my) (?:\\w+ )?(?:timer|clock|countdown|beep|bell|buzzer)\\b(?! (?:is |all |already )*(?:set|ready|going|running|here))(?: [a-z0-9]+){0,6}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "(?:the |your )?next (?:~move|1) (?:will be|is|~will be|comes up|pops up|appears) (?:shown |displayed |written |always )?(?:on|in|at|up on) (?:the |your )?(?:screen|corner|bottom|top)(?: [a-z0-9]+){0,4}"),
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
                    "(?:we|you) ~will (?:then )?(?:switch|swap|change|do (?:the )?(?:other|left|right|opposite))\\b(?!(?: [a-z]+)? first| (?:the (?:moves|exercises|pace|tempo|order)|it up|things|up the))(?: [a-z0-9]+){0,6}"),
            rule(
                    CallKind.PROMISE,
                    null,
                    null,
                    "i (?:~will )(?:(?:also|only|just) )?(?:be )?(?:show(?:ing)?|demonstrat(?:e|ing)|offer(?:ing)?|break(?:ing)? (?:it |this |that )?down|talk(?:ing)? you through|walk(?:ing)? you through|guid(?:e|ing) you)\\b~tail"),
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
                    "(?:(?:and|we are|you are|already|thats|were|officially|just|now|over) )*(?<!almost |nearly |quite |until |till |before |to )halfway (?:there |point |mark )?(?:through|done with|into|of|in) (?:with )?(?:the|this|our|your|todays)? ?(?:whole |entire |full )?(?:workout|session|video|class|routine|work out|finisher|thing)|(?:(?:and|we are|you are|thats|we have done|you have done|through|done with) )+half (?:of )?(?:the|this|our|your|todays) (?:whole |entire |full )?(?:workout|session|video|class|routine|(?<=our )exercises)(?: (?:done|down|over|behind us))?"),
            rule(
                    CallKind.HALF_WAY,
                    "workout",
                    null,
                    "(?:(?:and|we are|you are|thats) )*halfway(?: (?:folks|guys|team|everyone|everybody|there))?(?: ,)? \\d+ minutes? in\\b|\\d+ minutes?(?: (?:in|gone|down|done))?[ ,.]+(?:(?:so|and|that|we|are|thats|you|is|at|the|our|now) )*halfway(?: (?:point|mark|there|through))?"),
            rule(
                    CallKind.HALF_WAY,
                    "round",
                    null,
                    "(?:(?:and|we are|you are|already|thats|were|officially|just|now|over) )*(?<!almost |nearly |quite |until |till |before |to )halfway (?:there |point |mark )?(?:through|done with|of) (?:with )?(?:the|this|our|your|that)? ?(?:(?:~nth|last|final) )?(?:round|circuit|set|block|tabata|superset)(?: (?:number )?\\d)?|(?:(?:and|we are|you are|thats|we have done|you have done|through|done with) )+(?:is )?half (?:of )?(?:the|this|our|your) (?:(?:~nth|last|final) )?(?:round|circuit|block)(?: (?:done|down|over|behind us))?"),
            rule(
                    CallKind.HALF_WAY,
                    "interval",
                    null,
                    "(?:(?:and|okay|now) )*(?:we have|you have|we|you|thats us|just) (?:just |now )?(?:hit|hitting|made it to|reached|got to|passed) (?:the |our |your )?halfway(?: (?:point|mark|line))?|(?:(?:and|okay|now) )*(?:we are|you are|thats) half(?:way)? done|(?<!almost |nearly |not )half done(?= [.,])|(?:and )?thats half(?= [.,])|(?:and )?thats half (?:of )?(?:your|the|our) (?:time|set|reps|interval)|half (?:of )?(?:your|the|our) (?:rest|break) (?:is )?(?:gone|done|over)|(?<=[.,] )half(?= [.,])|(?:(?:and|thats|we are|you are) )*half (?:of )?(?:the|your|our) (?:time|set|reps|interval) (?:is |are )?(?:gone|done|down|left|over|behind (?:us|you))"),
            rule(
                    CallKind.HALF_WAY,
                    CallRule.BY_TIME,
                    30,
                    "(?:and |thats |thats about )?half (?:a |1 )?minute (?:gone|down|done|in|over)(?: already)?"),
            rule(
                    CallKind.HALF_WAY,
                    CallRule.BY_TIME,
                    null,
                    "(?:(?:and|thats|that is|we are|you are) )*(\\d{2}) (?:seconds? )?(?:down|gone|in(?! between)|done|behind (?:us|you))(?![ ,.]+(?:and )?(?:another )?\\d+ (?:seconds? )?(?:more )?(?:to go|left|more|go))|(?:thats|that is) (\\d{2})(?: seconds)?(?= [.,])|(?:(?:we are|you are|thats) )?(?:at|hit|hitting|past|passed) (?:the |our |your )?(\\d{2}) seconds? mark"),
            // Said at once with what would make it something else.
            never("(?:the )?\\d+ (?:seconds?|minutes?) mark"),
            never("thats \\d{2} seconds(?= (?:[.,] )?halfway)"),
            never(
                    "(?:have|we|you) done (?:\\d+|half of) (?:of )?(?:the |our |these )?~move(?:[ ,.]+(?:and |so |with )?(?:(?:we|you) have |got |have )?\\d+ more(?: to go)?)?"),
            never(
                    "(?:can you|try to|see if you can|try and|aim to) (?:get|do|fit in|squeeze in|finish|hit|make) (?:another )?\\d+ more ~round"),
            never(
                    "(?:until|till|til|before) (?:the|our|your) next (?:1|~move|minute|~round)(?! (?:[.,] )?(?:which|its|is|and)\\b)"),
            never("(?:workout|session|class) number \\d+|this is a (?:long|tough|hard|big|spicy) \\d+ seconds"),
            never("(?:episode|day|week|video|part|season|level|phase|volume|chapter) (?:number )?\\d+"),
            never(
                    "\\d+ minutes? (?:done|down|in|gone)[ ,.]+(?:and )?\\d+ (?:minutes? )?(?:to go|left)|\\d+ (?:seconds?|minutes?) (?:done|down|in(?! (?:total|all)\\b)|gone|behind (?:us|you))"),
            rule(
                    CallKind.REPS_LEFT,
                    null,
                    null,
                    "(?:(?:and|give me|just|lets do|lets get) )*(\\d+) more (?!~round)(?:[a-z]+ )?(?:squats|lunges|presses|rows|curls|raises|flies|bridges|thrusts|thrusters|deadlifts|ups|crunches|twists|kickbacks|extensions|jacks|climbers|burpees|swings|cleans|snatches|dips|taps|skaters|shrugs)"),
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
                    "(?:(?:and|do|go|run|repeat|all|that|this|it|of|through|the|whole|thing|everything) )*(?:(?:round|around|through|everything|whole thing|that all|all of that|all of it|this all|it all|all that|(?:these|those|the|all) (?:\\d |same )?(?:~move)) (?:1 more time|once more)|(?:do|repeat|run|through) (?:it|that|this|all of (?:it|that|this)|everything|the whole thing|the (?:round|circuit)) (?:all )?once more|1 more time (?:through|around|round|from the top))"),
            rule(
                    CallKind.ROUNDS_LEFT,
                    CallRule.TO_GO,
                    null,
                    "(?:\\d+|that|thats 1|thats \\d+) (?:~round )?down[ ,.]+(?:and )?(\\d+) (?:more )?to go|(?:\\d+|that|thats 1|thats \\d+) ~round (?:all )?(?:done|finished|complete|completed)[ ,.]+(?:and |so |with )?(?:(?:we|you|have|got|theres|just|only) )*(\\d+) (?:more )?(?:to go|left)"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:back (?:at it|to it|to work|in|here)|we go|we are going|we start|we are starting|starting|start|going|here we go|go|next (?:1|round|move|exercise|~move)|getting going|coming up)(?: again| back)? in (?:about |just )?(\\d+)(?: seconds?)?(?= [.,])"),
            rule(
                    CallKind.REST,
                    null,
                    null,
                    "(?:(?:and|okay|now|lets|you can) )*take (?:a |about |around |another |your )?(?:(\\d+) seconds?|(10|15|20|30|45|60)(?= (?:[.,]|here|off|to|of|now)))(?: (?:here|off|of rest|rest|now|to (?:breathe|rest|recover)))?(?! (?:if|steps?|minutes?|to \\d|seconds?|of|reps?|big|deep|breaths?|more|weights?|dumbbells?|each|per|between|on))|(?:and |okay )?(?:set|put) (?:it|them|those) down(?! (?:if|when))|(?:and )?thats (?:(?:your|the|our) )?time(?! (?:to|for|of))|(?:and|now|okay) we rest(?! (?:when|if|for))|(?:(?:and|okay|now) )+stop(?! (?:if|when|at|the|your|you|it|for|in|on|short|any|me|doing|by|whenever|before|there|right|and))|(?:(?:and|okay|now|so) )*have (?:a|your) (?:quick |little |short |nice |well earned |bit of a )*(?:rest|breather|break|pause)(?! (?:if|when|whenever|as|any))|(?:(?:and|okay) )*(?:we are|you are|thats us|thats) (?:all )?(?:done with (?:~round|~move|that|this|it)(?: \\d)?|(?:all )?finished)(?! (?:with|the|our|that|in))|(?<=[.,] |down |okay |good |nice )rest(?! (?:your|the|on|it|them|days?|periods?|in between|between|as|when|if|whenever|is|of|or|assured|for (?:\\d+|a|as|a few|some|one) breaths?|for as|here if|here when))|(?<=[.,] )(?<!(?:hurts?|pain|wrong|dizzy|dizziness|breath) , )stop(?= (?:[.,]|put|there|right|now|good|nice|well|everyone|guys|okay|shake|take|thats))"),
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?<=[.,] )go for it(?= [.,])|(?:(?:and|okay|right|ready|so|now) )*(?:here we go|(?:off|away) (?:we|you) go)(?! (?:again )?(?:in|into|to|with)\\b)|(?:its )?go time|(?<=[.,] )go ahead(?= (?:[.,]|and (?:start|begin)))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|now|okay|lets) )*(?:go|come|move|head|over) (?:over )?(?:to|onto|on to) (?:the|your) (?:other|opposite|second) ~side(?: now)?|(?:(?:and|we are|you are) )*(?:on to|onto|over to|on) the (?:left|right|other) ~side next|(?:lets )?even (?:it|things|that|them) (?:out|up)|(?:(?:and|now|lets) )+(?:go|going|we go) the other (?:way|direction)|(?<=[.,] )(?:go|going) the other (?:way|direction)|(?:lets )?(?:take|bring) (?:it|that|this) (?:over |across )?(?:to|onto) (?:the|your) (?:other|opposite|left|right)(?: ~side)?|(?:(?:(?:and|now|okay|lets go) )+|(?<=rest |done ))over (?:to|onto) (?:the|your) (?:right|left)(?: ~side)?"),
            rule(
                    CallKind.SECONDS_LEFT,
                    null,
                    null,
                    "(?:(?:you|we) have (?:got )?(?:about |just |only )?)(10|15|20|30|45)(?= [.,])"),
            never("(?:till|until|before|after) (?:the|our|your) (?:next|last|final|second|third) ~round"));

    private static final List<CallRule> OF_THE_MOMENT = List.of(
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
                    "(?<=[.,] )(?:a|1) (?:full |whole )?minute (?:break|rest|off)(?= (?:[.,]|before|until|till|here|now|then))"),
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
                    "(?:(?:and|this is|its|your|the|our|give me|just|only|for|you have|got|we have) )*(?:(?:very )?(?:last|final) (?:1|rep)|1 (?:more|last|final)(?: (?:rep|time|1))?|1 (?:rep )?(?:left|to go))(?! (?:out\\b|~round|~move|minutes?|seconds?|thing|of (?:the|these|those)|side|leg|arm|day|block|set|half))(?: (?:each|per|on each|on this|this|like that))*(?: ~side)?"),
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
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?:switch|swap|change)(?:ing)? (?:over |it )?(?:to|into) (?:(?:your|our|the|some|a) )?(?!left|right|other)(?:[a-z]+ ){0,2}?~name(?! if\\b)"),
            never(
                    "(?:~will|before|until|till|about to|ready to|then|going to|to|not|when(?! you are ready)|when we|when you|can|you|we|seconds|in between|without|could|i|or) (?:switch|swap|change)(?:es|ing)?|(?:switch|swap|change|changing|switching) (?:between|it(?! (?:up|over|around|now|out|to)| [.,])|the (?:weight|angle|tempo|pace|grip)|your (?:weight|grip|band)|weights?|things|position|into|out|from|if|grip|tempo|levels?|for|of|gears?|out)(?! over| up| sides?)|(?:switch|swap|change)(?:ing)? your (?:weights?|dumbbells?|bells?|bands?|mat|shoes)|(?:opposite|other) (?:arm|leg|hand|foot)[ ,]+(?:and )?(?:opposite|other) (?:arm|leg|hand|foot)|the (?:switch|change|swap)|a (?:quick )?(?:switch|change|swap)|no change|whatever side|either side|each side|both sides|on (?:the|your) other (?:side|leg|arm|hand)(?= (?:of|as|for|in|too|later|so|is|when|and))|(?:the |your )?other (?:leg|arm|hand|foot|knee|side) (?:helps?|is|out|behind|stays?|on|can|bent|straight|should|back|forward|comes?|goes|in|up|down|to|will|of|reaches|lifts|extends|that|which)|(?:bend|keep|with|lift|use|place|put|extend|reach|from|to the|against|holding|hold|grab|lower) (?:the|your) other (?:leg|arm|hand|foot|knee|side)(?! now)|and (?:the|your) other (?:leg|arm|hand|foot|knee|side)(?! (?:now|[.,]))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|okay|now|quick|quickly|lets|time to|go ahead and|we) )*(?:switch|swap|change)(?: it)?+(?: over| up| around)?+(?: (?:your|the|to the|to your|onto (?:the|your)|on to (?:the|your)))?+(?: (?:other|opposite|right|left))?+(?: ~side)?+(?: now)?+(?! (?:in \\d|in a|in about|in the|to (?!the|your|left|right|other|opposite|it)|at|on|every|each|when(?! you are ready)|halfway))"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?<=[.,] )|(?:and|okay|now|lets do|do|repeat|same|thing|over|over to|onto|on to|go to|straight to) )(?:(?:lets|do|the same|same|thing|repeat|on|to|its|over|now) )*(?:the )?(?:other|opposite|second) (?:(?:sides?|legs?|way|directions?)|(?:arm|hand|foot|knee|hip)(?= [.,]))(?! (?:of|is|out|behind|stays|too|as well|later|knee))(?: now)?"),
            rule(
                    CallKind.SWITCH_SIDE,
                    null,
                    null,
                    "(?:(?:and|now|lets) )*(?:(?<!in |go |do |just |a |the )reverse|reverse it|reverse directions?|reverse the (?:circles?|direction))(?= [.,])|(?<!left arm |right arm |left leg |right leg )(?:now |and )(?:the )?(?:left|right) (?:side|leg|arm)(?= (?:[.,]|now))|(?:left|right) (?:side|leg|arm) now"),
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
                    "(?:(?:and|now|lets|okay|you can|go ahead and) )*take (?:a|your|another|that|some) (?:quick |little |short |well earned |deserved |well deserved |\\d+ seconds? |nice )*(?:rest|break|breather|pause)|(?:and )?(?:time is up|times up|thats (?:the )?(?:clock|bell|buzzer)|take a (?:moment|minute)(?= (?:[.,]|get|grab|catch|sip|drink|breathe|here|to breathe))|(?<=2 1 |2 1 and |2 , 1 |2 , 1 , |2 , 1 and |2 , 1 , and |2 and 1 |2 and 1 and |2 \\. 1 \\. |2 \\. 1 \\. and )(?:rest|time|done|stop|relax|release)(?! (?:your|the|on|it|if|when|at|for))|thats it(?= (?:[.,]|grab|take|rest|shake|drop|for (?:that|this)))|(?<=[.,] |and )rest (?:the|your|that|those|both) (?:(?:top|back|right|left) )?(?:legs?|arms?|head|feet|hips) (?:down|back down|to the (?:floor|mat))|stop there|all done|thats a wrap|bring it to rest|set it down|put it down|park (?:it|that|the (?:bell|kettlebell|weights?))|down you come)|(?:and )?(?:you are|we are|thats us|its) (?:all )?done(?= (?:[.,]|great job|good job|nice|well done|amazing|awesome|guys|everyone|everybody|team))|(?:and |< ?)(?:done|time|break)(?= [.,])|(?<=[.,] )(?:done|time)(?= (?:~name|breathe|thats|that is|nice|good|great|well|amazing|excellent|everyone|everybody|guys|team|take|shake|drop|awesome|beautiful|lovely|okay|rest)\\b)|(?:and |the )*(?:weights?|dumbbells?|bells?|bar|barbell|arms|knees) down(?= [.,])|shake (?:it|that|them|those (?:legs|arms)|your (?:legs|arms)) (?:out|off|all out)|shake out (?:your|those|the|that|it|them)(?: \\w+)?|shake (?:the|those) (?:legs|arms|hands) (?:out|off)|(?<!to )catch (?:your|a|that) breath|have (?:a|your) (?:quick |little |short |nice |well earned )*(?:rest|breather|break|pause)(?! (?:if|when|whenever|as|any))|(?:(?:its|and|okay) )*(?:rest|break) time(?= [.,])|(?:its |and )?rest time|(?:and )?(?:we are|you are) resting|(?:and )?(?:stop|finish) (?:right )?there|and pause there|(?:and |okay )finish(?= [.,])|(?:lets )?take (?:our|your) rest|(?:put|set|pop|place|lay) (?:the|your|those|that) (?:weights?|dumbbells?|kettlebells?|bells?) down(?! (?:\\w+ )?(?:if|when|whenever))|drop (?:the|your|those) (?:weights?|dumbbells?|kettlebells?)(?! (?:if|when|whenever|down to))|(?:grab|get|take|have) (?:a|some|your) (?:quick |little |sip of |drink of )*(?:drink|sip|water)(?: of water)?(?! (?:if|when|whenever|as|any|bottle))|(?:quick|little|short) (?:rest|breather|break)(?= [.,])"),
            // Work starts.
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?:(?:and|okay|right|ready|so|now|3) )*(?:lets (?:go|start|begin|get (?:going|started|to work|it|moving)|do (?:it|this)|hit it|work|get after it)(?! (?:with|by|off|from|on|in|to|into|back|down|up|through|over))|here we go(?! (?:into|to|with))|off (?:we|you) go|(?:and )?we are off again(?= (?:[.,]|round|set))|(?:and )?we are (?:off|going|on|working)(?! (?:down|up|over|overhead|outside|exercise|move|movement|round|set|number|station|drill|our|a|\\d|to|into|in|on|through|for|back|straight|with|the|this|our|left|right|side|again|first|last))|(?:you are|clock is|timer is|clocks|timers|time is|times) (?:on|running|starting|going)(?! (?:to|exercise|move|round|set|the|your|a))|(?:timer|clock) starts?(?: now)?(?! in)|get to work|(?:we )?start(?:ing)? (?:(?:right )?now|the clock|the timer)|begin now|(?<!to )get going(?! in)|go go go|go go)"),
            rule(
                    CallKind.START,
                    null,
                    null,
                    "(?:and |okay |ready |set |ready set )+(?:go|begin|start|work)\\b|ready , set , (?:go|work)|ready set [a-z]+|< ?(?:go|begin|start|work)(?= [.,])|time starts now"));

    public static final List<CallRule> RULES = Stream.of(FIRST, PlanPatterns.RULES, NoCalls.RULES, OF_THE_MOMENT)
            .flatMap(List::stream)
            .toList();

    /** Ways to bring up the next move without naming a known one. */
    public static final List<CallRule> INTRODUCTIONS = List.of(
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?:(?:okay|so|and|now|our) )*(?:next up|up next|(?<!(?:set|round|circuit|block|lap|superset) \\d{1,2} )(?<!\\b(?:no|not|without|keep|stop|before|as you are|when you are|you are|and|just|only|(?:last|final|next) (?:set|round|circuit|block)) )coming up(?: next)?(?! (?:to|onto|from|into|on|off)\\b)|(?<=[.,] )next(?= [.,])|(?<=[.,] )straight to|next (?:~move|1)(?: (?:is|we have|will be|up))?|next (?:tabata|superset|block|circuit|combo|section) (?:is|we have|will be)|next (?:is|we have|we are|we(?= [a-z]+ing\\b)|we will|its|i want|i have|comes)|following that|after this(?: ,)? (?:is|its|we have|comes|we do|we are))"),
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?<=[.,] )(?!(?:[a-z]+ )*(?:what|whats|that|who|which|this|the|you) (?:is |are )?(?:up )?next)(?:[a-z]+ ){1,4}(?:is|are) (?:up |coming )?next(?= [.,])|(?<=[.,] )(?!(?:[a-z]+ )*(?:what|whats|that|who|which|the|this|your|our|is|are|comes?|coming|up|one|1|do|arm|leg|hand) next)(?:[a-z]+ ){1,3}next(?= [.,])"),
            rule(
                    CallKind.NEXT_UP,
                    null,
                    null,
                    "(?:(?:okay|so|and|now) )*(?:(?:we are |lets |lets start |and |now |so )*(?:moving|move|going|go|heading|head|transition(?:ing)?) (?:straight |right |on |back )*(?:on to|onto|into|in to) (?:our|a|the|some|your)\\b|straight into\\b(?! (?:it|this|that)\\b)|from (?:here|there)(?: ,)? (?:(?:we|you|lets|we are|we will|now) )*(?:go|going|move|moving|come|coming|head|flow|roll|step) (?:straight |right |on |back )*(?:into|onto|on to) (?!it\\b|that\\b|this\\b|the (?:right|left|other)\\b)[a-z]+|right into (?:our|a|the|some)|(?:we (?:are |will |are going to )?|lets |i want to )?(?:starting|start|beginning|begin|kick(?:ing)?(?: us)?|open(?:ing)?|finish(?:ing)?|get started(?=(?: off| out)? with (?:~name))|get (?:cracking|going|moving|stuck in)) (?:off |again |out |up |things |it |things off |it off )?(?:(?:up |down )?on (?:our|your|the) [a-z]+ )?with(?! (?:your|the (?:feet|weight|right|left)|feet|right|left|(?:some |a )?(?:few )?(?:deep )?breath[a-z]*)\\b)|(?:here is|heres) (?:your|our|the) (?:~nth|next|last|final) (?:1|~move)|the (?:first|second|third|fourth|last|final) of (?:the|these|our|them)(?: \\d)? is|(?:(?:for|into|to|with|onto) )?(?:this|your|the|our) next (?:1|~move)|now for something|(?:talk|walk|take) us through (?:the|our|a|an|some)\\b|back (?:in |into it |at it )?with (?:a|an|the|our|some)\\b|(?:and )?(?:finally|lastly)(?: ,)? (?:the|a|an|our|some|we have|its)\\b|(?<!leg |arm |side |hand |foot )(?:first|1st) (?:up|minute (?:is|we)|thing (?:we (?:got|have)|is|up)|~move(?: is| we| today| up)?|1 is|we have|is)(?! (?:of all))|get ready for(?! (?:the|a) (?:next round|second round|break))|time for (?:our|some|the)(?! (?:\\d+|today|workout|session|weekly|daily|usual))|(?:its|now|okay) time for(?! (?:a (?:break|rest|drink|sip|breather)|you|us|me|rest)\\b)(?!(?: [a-z]+){1,6} (?:burn|workout|session|class|routine|finisher|video)\\b)|now for (?:some|our|the|a|your)\\b|here (?:comes?|come) (?:the|our|some|a)\\b|lets do (?:the|our|a)(?! (?:other|same|left side|right side|whole|last|first|final|second|third|next|rest|opposite|quick (?:check|recap)|\\w+ (?:round|set|circuit|side|leg|arm)|round|set|circuit|bit|few|couple|lot|thing|workout|warm)\\b)|straight (?:on to|onto|on into|over to)|next minute (?:is|its|we have|we are)|next on (?:the|our|your) (?:list|menu|agenda)(?: (?:is|we have))?|(?:grab|get|pick up) (?:your|the|a|both|one of your) (?:weights?|dumbbells?|kettlebells?|bells?|band|bands|chair|mat) for(?: (?:our|some|the|a))?|lets move on(?: to)?|moving (?:on|along)(?: to)?|to (?:our|the) next (?:~move|1))"));

    private CallPatterns() {}
}
