package app.nosegay.calls.meaning;

import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CountRuns;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.regex.Pattern;

/**
 * What a count means where it is said: down to the start of work or to its end, or of repetitions, holds and pulses.
 */
final class CountMeaning {
    private static final Pattern STARTS_AFTER =
            Pattern.compile("^[ .,]*(?:and |okay |now )*(?:go|lets go|start|begin|work|here we go|(?:up|down|in|over|"
                    + "out|back) we go|off (?:we|you) go|lets start|lets begin|lets do|(?:lift|press|row|curl|squat|"
                    + "lunge|swing|hike|march|punch|jump|twist|push|pull|drive|hinge|snatch|clean|thrust|sit|plank|"
                    + "crunch|jack|kick|climb|run|raise|reach|dip|skate)(?= (?:[.,]|and|it|out|up|away|now)))\\b");
    private static final Pattern STOPS_AFTER = Pattern.compile(
            "^[ .,0]*(?:and |okay |now |good |nice |great )*(?:rest|stop|relax|done|finish|finished|release|"
                    + "time|switch|swap|change|other side|take a|shake|catch|well done|good job|good work|nice "
                    + "work|great job|nice job|great work|breathe|lower|drop|down|(?:put|set|park|pop) (?:it|the|"
                    + "them|your)|pause|we are done|you are done|thats it|excellent|beautiful|awesome|perfect|thats "
                    + "(?:block|round|set|circuit|exercise|superset) \\d|and down|come down|let go|good|nice)\\b");
    private static final Pattern STARTS_BEFORE =
            Pattern.compile("(?:starting|start|begin|beginning|going|(?<!to )go|off|ready|set|we start|lets start|here "
                    + "we go|begin|work|working)(?: (?:in|and|get|set))*[ .,]*$|(?:get ready|ready|here we go|count "
                    + "you in|in we go|coming in|going in) ?[ .,]*$|(?:^|[.,]) in $");
    private static final Pattern HOLDS_BEFORE =
            Pattern.compile("(?:hold|holding|squeeze|pause|pulse|pulses|stay|freeze)(?: [a-z]+){0,6}[ .,]*$");
    private static final Pattern OUT_BEFORE =
            Pattern.compile("\\bcount (?:you|it|us|this) (?:out|down)[ .,]*(?:in )?$");
    private static final Pattern SWITCHES_BEFORE = Pattern.compile(
            "\\b(?:switch|switching|swap|swapping|change|changing)(?: (?:sides?|legs?|arms?|hands|over))? in $");
    /** "Squats again in three, two, one". */
    private static final Pattern AGAIN_BEFORE = Pattern.compile("\\bagain in $");
    /** Says only that something comes, its start or its end. */
    private static final Pattern IN_BEFORE = Pattern.compile("(?:^|[ .,])(?:and )?in $");

    private static final Pattern READY_BEFORE = Pattern.compile(
            "(?:start|starting|begin|beginning|ready|set|go|here we go|count you in)[ .,]* (?:and )?in $");
    private static final Pattern YOU_ARE_DONE =
            Pattern.compile("^[ .,]*(?:and )?(?:(?:you|we) are )?(?:done|finished)\\b");
    /** What ends a set, and not only a hold within it. */
    private static final Pattern ENDS_AFTER = Pattern.compile(
            "^[ .,]*(?:and |okay |good )*(?:rest|stop|done|finish|finished|time|switch|swap|change|other "
                    + "side|relax|take a|(?:put|set|park|pop) (?:it|the|them|your)|lower (?:it|them|that|everything|"
                    + "all|down|your|the))\\b");

    private static final Pattern TEMPO_BEFORE =
            Pattern.compile("(?:down|up|lower|lift|slow|slowly|lowering|out|in|count of)[ .,]*$");
    /** A count from above this is of reps unless it goes by the second. */
    static final int MOST_SECONDS_COUNTED = 10;

    /** Who counts slowly from more than this does not count in. */
    private static final int LONGEST_COUNT_IN = 5;

    static final double A_SECOND_EACH = 1.7;
    /** "Three counts down": what is counted then is the tempo. */
    private static final Pattern COUNTS_BEFORE = Pattern.compile("\\d counts? (?:down|up|in|out|to \\w+)[ .,]*$");
    /** The parts of one repetition are counted faster than this, in seconds each. */
    private static final double SLOWEST_TEMPO = 2.2;
    /** So few numbers may be a tempo. */
    private static final int SHORT = 4;
    /** A count begun again so soon, in seconds, is the same one. */
    private static final double GOES_ON = 5;

    private final Speech speech;
    private final CallContext heard;
    private final ExpectedCalls expected;

    CountMeaning(Speech speech, CallContext heard, ExpectedCalls expected) {
        this.speech = speech;
        this.heard = heard;
        this.expected = expected;
    }

    /** What {@code f} is; null for a count of a tempo, or one that only goes on. */
    CallKind of(FoundCall f) {
        return f.run().isDown() ? down(f) : isCount(f) ? CallKind.REP_COUNT : null;
    }

    /** Whether a count down is followed by a change of side: then work goes on. */
    boolean isBeforeTheOtherSide(FoundCall f) {
        return speech.soonAfter(f.to()).matches("^[ .,]*(?:and |now )*(?:switch|swap|change|other side).*");
    }

    private String before(FoundCall f) {
        return speech.soonBefore(f.from());
    }

    private boolean isCount(FoundCall f) {
        CountRuns.Run run = f.run();
        boolean tempo = run.length() <= SHORT
                && run.secondsEach() < SLOWEST_TEMPO
                && (run.first() == 2 && TEMPO_BEFORE.matcher(before(f)).find()
                        || COUNTS_BEFORE.matcher(before(f)).find());
        boolean repeated = run.length() <= SHORT
                && heard.saidWithin(CallKind.REP_COUNT, GOES_ON, f)
                && heard.last(CallKind.REP_COUNT).value() == run.first()
                && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REP_COUNT);
        return !tempo && !repeated;
    }

    private CallKind down(FoundCall f) {
        CountRuns.Run run = f.run();
        String before = before(f);
        String after = speech.soonAfter(f.to());
        boolean working = heard.isWorking(f);
        boolean onlyIn = working
                && !heard.isPreviewed()
                && IN_BEFORE.matcher(before).find()
                && !READY_BEFORE.matcher(before).find();
        boolean startsBehind = STARTS_AFTER.matcher(after).find();
        boolean starts = startsBehind || STARTS_BEFORE.matcher(before).find() && !onlyIn;
        boolean stops = STOPS_AFTER.matcher(after).find();
        boolean toTheEnd = run.last() <= 1 || run.last() <= 3 && (starts || stops);
        if (!toTheEnd || run.first() > MOST_SECONDS_COUNTED && !stops) {
            return CallKind.REP_COUNT;
        }
        if (startsBehind) {
            return CallKind.COUNT_IN;
        }
        if (OUT_BEFORE.matcher(before).find()
                || working && SWITCHES_BEFORE.matcher(before).find()) {
            return CallKind.COUNT_OUT;
        }
        if (AGAIN_BEFORE.matcher(before).find() && heard.isSaidSince(CallKind.NEXT_UP, CallKind.COUNT_IN)) {
            return CallKind.COUNT_IN;
        }
        if (READY_BEFORE.matcher(before).find() && !heard.isAnnounced(run.to())) {
            return CallKind.COUNT_IN;
        }
        if (stops && heard.hasStarted() && YOU_ARE_DONE.matcher(after).find()) {
            return CallKind.COUNT_OUT;
        }
        return openDown(f, starts, stops);
    }

    /** A count to the end that no word before it settles. */
    private CallKind openDown(FoundCall f, boolean starts, boolean stops) {
        CountRuns.Run run = f.run();
        boolean working = heard.isWorking(f);
        boolean bySecond = run.secondsEach() < A_SECOND_EACH && run.first() <= MOST_SECONDS_COUNTED;
        boolean last = expected.isAfterLast(f);
        boolean held = HOLDS_BEFORE.matcher(before(f)).find() && (working || !expected.isBroughtUp());
        boolean ends = stops && ENDS_AFTER.matcher(speech.soonAfter(f.to())).find();
        if (held && !last && !ends && !heard.isAnnounced(run.to())) {
            return CallKind.REP_COUNT;
        }
        if (stops && working || last) {
            return CallKind.COUNT_OUT;
        }
        if (starts) {
            return CallKind.COUNT_IN;
        }
        if (!bySecond && working) {
            return run.length() > 3 ? CallKind.REP_COUNT : CallKind.COUNT_OUT;
        }
        if (!bySecond && run.first() > LONGEST_COUNT_IN) {
            return CallKind.REP_COUNT;
        }
        if (!working && !ends && expected.isBroughtUp()) {
            return CallKind.COUNT_IN;
        }
        boolean out = working && (!heard.isPreviewed() || heard.isAnnounced(run.to()));
        return out || stops ? CallKind.COUNT_OUT : CallKind.COUNT_IN;
    }
}
