package app.nosegay.calls.phrase;

import java.util.List;
import java.util.stream.Stream;

/** How people say calls. Earlier rules claim their words first. */
public final class CallPatterns {
    /** What has to be heard before its parts are taken for something else. */
    private static final List<CallRule> FIRST = PhraseFile.read("first.phrases");

    private static final List<CallRule> OF_THE_MOMENT = PhraseFile.read("of-the-moment.phrases");

    /** How people tell the plan: figures, rounds that are left, and places in the order. */
    private static final List<CallRule> PLAN = PhraseFile.read("of-the-plan.phrases");

    /** What only sounds like a call. */
    private static final List<CallRule> NO_CALLS = PhraseFile.read("no-calls.phrases");

    public static final List<CallRule> RULES = Stream.of(FIRST, PLAN, NO_CALLS, OF_THE_MOMENT)
            .flatMap(List::stream)
            .toList();

    /** Ways to bring up the next move without naming a known one. */
    public static final List<CallRule> INTRODUCTIONS = PhraseFile.read("introductions.phrases");

    private CallPatterns() {}
}
