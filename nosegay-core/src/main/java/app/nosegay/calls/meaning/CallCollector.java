package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import java.util.Locale;
import java.util.Objects;

/** Writes down what was understood, and what follows from it for the work that goes on. */
final class CallCollector {
    /** Two calls that say the same within this many seconds are one. */
    static final double SAME_CALL = 3;
    /** A move's name this soon behind its number, in seconds, belongs to it. */
    static final double AT_ONCE = 4;

    /** So many more are announced before the set as well. */
    private static final int MOST_LEFT = 10;

    private final Speech speech;
    private final String text;
    private final CallContext heard;

    CallCollector(Speech speech, CallContext heard) {
        this.speech = speech;
        this.text = speech.text();
        this.heard = heard;
    }

    void say(CallKind kind, FoundCall f) {
        boolean busy = kind == CallKind.REP_COUNT
                || kind == CallKind.REPS_LEFT && f.value() <= MOST_LEFT
                || kind == CallKind.LAST_REP
                || kind == CallKind.SWITCH_SIDE && !heard.hasStarted()
                || kind == CallKind.HALF_WAY && "interval".equals(of(f));
        if (busy && !heard.isThoughtWorking()) {
            heard.work(f);
        }
        boolean brings = kind == CallKind.NEXT_UP
                || kind == CallKind.ORDINAL
                        && CallWords.OF_A_MOVE
                                .matcher(text.substring(f.from(), f.to()))
                                .find();
        if (brings && !isJustStarted(f)) {
            heard.preview();
        }
        heard.add(call(kind, f, of(f)));
    }

    /** Says it unless it was just said. */
    void once(FoundCall f) {
        Call last = heard.last(f.rule().kind());
        boolean again = last != null
                && Objects.equals(last.value(), f.value())
                && Objects.equals(last.of(), of(f))
                && (f.rule().kind() != CallKind.TOTAL || last.text().equals(speech.asSaid(f.from(), f.to())))
                && isOfAMove(last.text()) == isOfAMove(text.substring(f.from(), f.to()))
                && speech.start(f.from()).since(last.time()).seconds() < SAME_CALL;
        boolean late = f.rule().kind() == CallKind.LAST_REP && (heard.isResting(f) || heard.isBeingBroughtUp(f));
        if (!again && !late) {
            say(f.rule().kind(), f);
        }
    }

    /** Whether "the second" is a move's place and not a round's. */
    static boolean isOfAMove(String words) {
        return CallWords.OF_A_MOVE.matcher(words.toLowerCase(Locale.ROOT)).find();
    }

    /** Whether work began in the same breath: a move named then is the one that is done. */
    boolean isJustStarted(FoundCall f) {
        return heard.saidWithin(CallKind.COUNT_IN, AT_ONCE, f) || heard.saidWithin(CallKind.START, AT_ONCE, f);
    }

    /** What was said before {@code f}, a few words of it. */
    String before(FoundCall f) {
        return text.substring(Math.max(0, f.from() - 40), f.from());
    }

    Call call(CallKind kind, FoundCall f, String of) {
        boolean plain = kind == CallKind.LAST_REP
                || kind == CallKind.PROMISE
                || kind == CallKind.REST
                || kind == CallKind.HALF_WAY;
        return new Call(
                kind,
                plain ? null : f.value(),
                kind == CallKind.REP_COUNT || kind == CallKind.TOTAL ? f.second() : null,
                of,
                speech.start(f.from()),
                speech.end(f.to() - 1),
                speech.asSaid(f.from(), f.to()));
    }

    static String of(FoundCall f) {
        if (f.kind() == CallKind.START) {
            return null;
        }
        if (f.rule() != null && CallRule.BY_TIME.equals(f.rule().of())) {
            return "interval";
        }
        return f.move() != null
                ? f.move()
                : f.rule() == null
                                || "nth".equals(f.rule().of())
                                || CallRule.TO_GO.equals(f.rule().of())
                                || f.rule().kind() == CallKind.SECONDS_LEFT
                        ? null
                        : f.rule().of();
    }
}
