package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What a number means: seconds, repetitions or rounds that are left, half of something, or a figure of the plan. */
final class FigureMeaning {
    private static final Pattern NAMES_A_MOVE = Pattern.compile("\\b" + CallWords.MOVE_WORDS + "\\b");
    private static final Pattern OF_THESE =
            Pattern.compile("^ (?:of (?:these|those|them)|just like|like (?:that|this)|each|per)\\b");

    /** "Thirty punches left". */
    private static final Pattern OF_SOMETHING = Pattern.compile("\\d [a-z]+s (?:left|to go|remaining)$");

    private static final Pattern OF_ROUNDS = Pattern.compile(
            "\\b(?:(?:\\d+|first|second|third|fourth|fifth|that|this|the|a|our|last|whole) (?:round|circuit|"
                    + "set|lap)s?|(?:round|circuit|set|lap) \\d+)(?: (?:all )?(?:done|complete|completed|finished|"
                    + "down|over|gone|in the (?:books|bag|bank)))?[ .,]*(?:and )?$");
    private static final Pattern AS_MANY = Pattern.compile("\\b(?:amrap|as many (?:rounds|reps) as)\\b");
    /** "We'll do this for thirty seconds". */
    private static final Pattern TELLS_A_PLAN =
            Pattern.compile("\\b(?:will|going to) (?:do|be doing) (?:this|it|these|that|them) $");
    /** No interval of a plan is shorter, in seconds. */
    private static final int SHORTEST_PLANNED = 20;

    private static final Pattern OF_ALL_RESTS = Pattern.compile("\\b(?:between|each|every)\\b");
    private static final Pattern OF_REST =
            Pattern.compile("\\b(?:rest|break|between|recover|off|no rest|change ?over|to change|transition|to set up|"
                    + "to get (?:ready|into|to|set)|to move)\\b");
    /** Work begins within this of the first move's being brought up, in seconds. */
    private static final double LONGEST_TALK = 40;

    private static final Pattern OF_A_REST =
            Pattern.compile("^ (?:(?:through|of|into) )?(?:your|the|our|this) (?:rest|break)\\b");
    private static final Pattern ROUNDS_DONE = Pattern.compile(
            "\\d (?:rounds|circuits|sets|laps) (?:done|down|complete|finished)[ .,]*(?:and |so )?(?:we are )?$");
    private static final Pattern DOWN = Pattern.compile("^(?:thats )?(\\d+) (?:[a-z]+ )?down\\b");
    /** "Thirty each arm" are seconds where all goes by them. */
    private static final int SHORTEST_HALF = 15;
    /** Who tells what rounds are left so soon after the last repetition, in seconds, has stopped. */
    private static final double AFTER_THE_LAST = 9;
    /** "Three more" are repetitions, whatever the clock says. */
    private static final int FEWEST_SECONDS = 5;

    static final Pattern NAMES_ROUNDS = Pattern.compile("round|circuit|set|lap");

    private final Speech speech;
    private final String text;
    private final List<FoundCall> found;
    private final CallContext heard;
    private final CallCollector said;

    FigureMeaning(Speech speech, List<FoundCall> found, CallContext heard, CallCollector said) {
        this.speech = speech;
        this.text = speech.text();
        this.found = found;
        this.heard = heard;
        this.said = said;
    }

    /** "Two to go": of rounds at rest where one was spoken of, else of repetitions or seconds. */
    void repsOrRoundsLeft(FoundCall f) {
        if (!heard.isWorking(f) && OF_ROUNDS.matcher(said.before(f)).find()) {
            said.say(CallKind.ROUNDS_LEFT, f);
        } else {
            repsLeft(f);
        }
    }

    /** Rounds that are left, unless it was just said; "two down, three to go" is of what it counts. */
    void roundsLeft(FoundCall f) {
        if (!heard.hasStarted() && heard.last(CallKind.TOTAL) != null && f.value() == 1) {
            return;
        }
        Call last = heard.last(CallKind.ROUNDS_LEFT);
        if (last != null
                && f.value().equals(last.value())
                && speech.start(f.from()).since(last.end()).seconds() < CallCollector.SAME_CALL) {
            return;
        }
        boolean unnamed = CallRule.TO_GO.equals(f.rule().of())
                && !OF_ROUNDS.matcher(said.before(f)).find()
                && !NAMES_ROUNDS.matcher(text.substring(f.from(), f.to())).find();
        if (!unnamed) {
            said.say(CallKind.ROUNDS_LEFT, f);
            if (heard.isWorking(f) && heard.saidWithin(CallKind.LAST_REP, AFTER_THE_LAST, f)) {
                heard.rest(f);
            }
        } else if (heard.isWorking(f) && isOfTheInterval(f)) {
            said.say(CallKind.SECONDS_LEFT, f);
        } else if (heard.isWorking(f) && !isOfAllRounds(f)) {
            said.say(CallKind.REPS_LEFT, f);
        } else if (heard.hasStarted() && (heard.isTimed() && !isOfMoves(f) || isOfAllRounds(f))) {
            said.say(CallKind.ROUNDS_LEFT, f);
        }
    }

    /** The time that is left; before anything began a figure of the plan. */
    void secondsLeft(FoundCall f) {
        if (!heard.hasStarted() && text.substring(f.from(), f.to()).endsWith(" second")) {
            return;
        }
        if (CallRule.OF_ONE_WINDOW.equals(f.rule().of())) {
            if (heard.hasStarted() && AS_MANY.matcher(text).find()) {
                heard.add(said.call(CallKind.SECONDS_LEFT, f, null));
            }
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
                    && !said.before(f).endsWith("will ")
                    && heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)
                    && !heard.isWorking(f)) {
                heard.work(f);
            }
        }
    }

    /** Half of the interval, the round or the workout. */
    void halfWay(FoundCall f) {
        if (OF_A_REST.matcher(speech.soonAfter(f.to())).find()
                || text.substring(f.from(), f.to()).matches(".*\\b(?:rest|break)\\b.*")) {
            heard.add(said.call(CallKind.HALF_WAY, f, "interval"));
            return;
        }
        if (ROUNDS_DONE.matcher(said.before(f)).find()
                && "interval".equals(f.rule().of())) {
            heard.add(said.call(CallKind.HALF_WAY, f, "workout"));
            return;
        }
        if ("interval".equals(f.rule().of())
                && heard.isAtRestSince(f)
                && !heard.isSaidSince(CallKind.NEXT_UP, CallKind.REST)) {
            heard.add(said.call(CallKind.HALF_WAY, f, "workout"));
            return;
        }
        if ("round".equals(f.rule().of())
                && heard.isWorking(f)
                && text.substring(f.from(), f.to()).matches(".* (?:set|track)(?: \\d+)?")) {
            said.once(new FoundCall(ExpectedPatterns.HALF, null, f.from(), f.to(), null, null, null));
            return;
        }
        if (!CallRule.BY_TIME.equals(f.rule().of()) || heard.isHalf(f)) {
            said.once(f);
        }
    }

    /** A figure of the plan; just behind a "rest" the length of that rest. */
    void total(FoundCall f) {
        String words = text.substring(f.from(), f.to());
        if ("reps".equals(f.rule().of())
                && heard.hasStarted()
                && heard.isMostlyBySeconds()
                && f.value() >= SHORTEST_HALF) {
            return;
        }
        if ("work-seconds".equals(f.rule().of())
                && heard.hasStarted()
                && words.matches("for \\d+ seconds")
                && !TELLS_A_PLAN.matcher(said.before(f)).find()) {
            heard.add(said.call(CallKind.SECONDS_LEFT, f, null));
            return;
        }
        boolean last = said.before(f).matches(".*\\b(?:last|final) ");
        if ("rest-seconds".equals(f.rule().of())
                && (last || heard.isAtRestSince(f))
                && f.second() == null
                && (last
                        || !OF_ALL_RESTS.matcher(words).find()
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

    /** "Forty seconds, with twenty to recover": before anything began such figures are of the plan. */
    private boolean isOfThePlan(FoundCall f) {
        boolean rest = OF_REST.matcher(around(f)).find() && heard.isTotalSaid("work-seconds");
        return !heard.hasStarted()
                && (f.value() >= SHORTEST_PLANNED || rest)
                && (!heard.saidWithin(CallKind.NEXT_UP, LONGEST_TALK, f)
                        || text.startsWith("for ", f.from()) && heard.last(CallKind.TOTAL) != null);
    }

    /** "Two down, three to go" where five rounds were told. */
    private boolean isOfAllRounds(FoundCall f) {
        Matcher down = DOWN.matcher(text.substring(f.from(), f.to()));
        return down.find() && heard.isTotalSaid("rounds", Integer.parseInt(down.group(1)) + f.value());
    }

    /** "Fifteen down, fifteen to go" where work lasts thirty seconds. */
    private boolean isOfTheInterval(FoundCall f) {
        Matcher down = DOWN.matcher(text.substring(f.from(), f.to()));
        return down.find() && heard.isTotalSaid("work-seconds", Integer.parseInt(down.group(1)) + f.value());
    }

    /** "Four down, six to go" behind the fourth move. */
    private boolean isOfMoves(FoundCall f) {
        Call place = heard.last(CallKind.ORDINAL);
        Matcher down = DOWN.matcher(text.substring(f.from(), f.to()));
        boolean ofAll = down.find() && heard.isTotalSaid("moves", Integer.parseInt(down.group(1)) + f.value());
        return ofAll
                || place != null
                        && CallCollector.isOfAMove(place.text())
                        && text.startsWith(place.value() + " ", f.from());
    }

    private String around(FoundCall f) {
        return text.substring(Math.max(0, f.from() - 25), Math.min(text.length(), f.to() + 20));
    }

    /** Tens of "last ten" are seconds, and so is a "last five" that is then counted down. */
    private void repsLeft(FoundCall f) {
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
        boolean tens = f.value() >= 10 && f.value() % 5 == 0 && !heard.isByReps() && !heard.isOfSoManyReps()
                || f.value() == 5 && heard.isBySeconds();
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
                && speech.start(f.from()).since(last.time()).seconds() < CallCollector.SAME_CALL;
        if (!again) {
            said.say(kind, f);
        }
    }
}
