package app.nosegay.calls.phrase;

import static app.nosegay.calls.phrase.CallRule.never;

import java.util.List;

/** What only sounds like a call. */
final class NoCalls {
    static final List<CallRule> RULES = List.of(
            // What only sounds like a call.
            never("1 more(?: ,)? (?:maybe|or)\\b|(?:hold|on|for|until|till|before|after) the last 1"),
            never(
                    "(?:on|for) the next 1(?! (?:is|we|its|,))|(?:until|till|before) (?:the|your|our) (?:clock|timer) (?:says|reads|hits|gets to) \\d+ (?:minutes?|seconds?)"),
            never(
                    "(?:if|had|than|least|always|leave|have|with) (?:a |about |more than )*\\d+ (?:left|more)(?: in (?:the tank|you))|(?:\\d+ (?:or|to) )?\\d+ (?:reps? )?(?:left|more) in (?:the|your|you)\\b"),
            never(
                    "(?:down|up|out|top|bottom|there|in|hold(?: (?:it|this|that|here))?|pause|squeeze|breathe(?: \\w+)?) for (?:a |about )?[1-4] seconds?"),
            never("(?:1|\\d+) more (?:(?:deep|big|slow|nice|full|long) )*(?:breaths?|inhales?|exhales?|things?|sips?)"),
            never("(?:make|like|as|than|if) (?:the|your|that|its the|its your) (?:last|final) (?:1|rep)"),
            never(
                    "(?:in|during|left in|into|out of) (?:the|your|this|our) rest|(?:the|and the|all the) rest of|rest of|(?:the|for the|all the) rest (?:are|will|can|follows?)|(?<!and )rest (?:your(?! (?:legs?|arms?) [.,])|the|on|it on|them|period|periods|day|days|in between|between|is|when|if|as|whenever)|at rest|(?:no|without|zero|minimal) (?:\\w+ )?rest|(?:before|until|till|when|then|if|to|can|you|we|of|minimal|little|short|more|get|your) rest|without rest|rest or"),
            never(
                    "well done|almost done|nearly done|(?:when|once|after|until|till|til|before|if) (?:you|we) (?:are|have)(?: all)? done|get (?:it|this|that|them) done|not done|(?:have|has|had|be|being|already|just|we) done|(?<!we are )done (?:with|it|this|for|a|the|all|your)|easier said than done|done right"),
            never(
                    "(?:(?:feel free to|can always|free to|need to|want to|have to) )?(?:take|grab) (?:a|your|another|any) (?:quick |little |short |longer )*(?:rest|break|breather|pause)s? (?:here )?(?:if|when|whenever|as|any ?time|at any|where|wherever|in between whenever)|(?:feel free to|can always|free to|need to|want to|have to) (?:take|grab) (?:a|your|another|any) (?:quick |little |short |longer )*(?:rest|break|breather|pause)"),
            never(
                    "(?:do not|never|not|non|no|without|cannot|can|will|to|before (?:you|we)|you|we|should|must|would) stop(?! (?:there|here|now))|stop (?:if|when|at|the|your|you|it|and rest if|for|in|on|short|any)|(?:if|when|whenever) (?:you|something|it|anything|that|this) (?:need|have|want|hurt|feel)s? (?:to |wrong |pain |off |sharp )*(?:, )?(?:please |then |just )*stop"),
            never(
                    "(?:keep|keeps|kept) (?:it |on |them |that )?going|(?:there|here) you go|go ahead|ready to go|ways? to go(?= [.,])|(?:good|great|rearing|nice) to go|(?<!from (?:here|there) )(?:to|we|you|they|can|could|and|i|will|not|let it|never|as|should|that|would|do|might|may|want to|going to) go (?:all|back|down|up|as|(?:into|in|to|for)(?! (?:~name|the (?:left|right|other)))|too|slow|slower|heavy|heavier|light|lighter|lower|low|deep|deeper|faster|fast|wide|through|over|straight|forward|at|out|with|hard|harder|past|further|beyond|any|around|(?:right|left)(?! (?:arm|leg|side|hand|foot))|again|slightly|side|from)|go (?:back|down|up|as|to|for|too|slow|slower|heavy|heavier|light|lighter|lower|low|deep|deeper|faster|fast|wide|through|over|forward|at|out|with|hard|harder|past|further|beyond|any|around|slightly|side|from|all|get|grab|straight)"),
            never(
                    "(?:every|each|another|a|this|that|which|wrong|right) (?:\\w+ )?(?:time|times)|(?:at|in|on|over|of|by|your|the|same|some|take|first|next|last|this|any|my|have|whole|all|no|long|long|much|to|for|good|great) time(?! (?:is|through|around))|(?<!its |now )time (?:to|for|under|of|i|you|we|on|with|in|out|as|and space)"),
            never(
                    "(?:start|starting|begin|beginning|started|begins?|starts?) (?:position|by|off(?! with)|from|at|on(?! (?:[a-z]+ ){1,4}with\\b)|to|slow|slowly|position|side|leg|standing|lying|seated|up|of|of the|light|small|over|out)|(?:to|you|we|before|when|the|from|i|a|your|can|let us|will|then|head|good|fresh|going to) (?:start|begin)s?(?! (?:(?:right )?now|(?:off |out |again )?with))"),
            never(
                    "work (?:on|out|the|your|hard|through|your way|from|for|in|with|those|that|it|all|against|together|both|at|up|as|to|towards|into|done|here|of|everyone|guys|team|well|a)|(?:the|good|great|nice|hard|to|of|we|you|will|that|amazing|awesome|fantastic|excellent|lovely|solid|beautiful|brilliant|strong|foot|floor|leg|arm|core|body|your|seconds|beautiful|this|should|and(?! work [.,])|can|really|some|bit of|lots of|super) work"),
            never(
                    "halfway (?:down|up|back|into|between|position|out|to|in(?! [.,]))|(?:come|comes|coming|lower|go|going|down|up|drop|lift|only|bend|squat|press|pulse|hold|stop|pause) (?:just |only )?(?:to )?halfway(?! (?:there|through|done))|(?:to|before|until|till|by|reach|hit|near|nearly|almost|after|when) (?:the |we (?:hit|get to|reach) )?halfway(?! (?:there|done|through))|(?:almost|nearly|not quite) halfway(?: there)?|halfway (?:point|mark) (?:we|you|i)|halfway was"),
            never(
                    "(?:last|final|first) (?:week|time we|day|video|month|night|year|couple of (?:weeks|days|months|seconds? of)|few|thing(?! (?:we|is|up|on))|name|bit|part|minute change)"),
            never(
                    "\\d+ (?:inch|inches|feet|pounds?|kilos?|kg|lbs?|degrees?|percent|calories|weeks?|days?|years?|months?|times a|hours?|centimetres|count|counts|steps?|points?|fingers?|people|things?|options?|weights?|dumbbells?|kettlebells?|bands?|bottles?|out of|second pause|second hold|second squeeze|a m|p m)"));

    private NoCalls() {}
}
