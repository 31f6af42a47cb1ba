package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.meaning.CallInterpreter;
import app.nosegay.calls.meaning.ExpectedPatterns;
import app.nosegay.calls.phrase.Beginnings;
import app.nosegay.calls.phrase.CallPatterns;
import app.nosegay.calls.phrase.CallRule;
import app.nosegay.calls.phrase.CallWords;
import app.nosegay.calls.phrase.CountRuns;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Caption;
import app.nosegay.captions.SentenceMarks;
import app.nosegay.captions.Speech;
import app.nosegay.evidence.TakeEvidence;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Recognises spoken calls in a transcript ({@link CallPatterns}, {@link CountRuns}); what each means is settled by what went before
 * ({@link CallInterpreter}).
 */
public final class CallReader {
    private static final Pattern IN_MINUTES = Pattern.compile("\\d (?:more )?minutes?\\b");
    /** Fewer seconds than this are of a hold or a tempo, not of the plan. */
    private static final int SHORTEST_INTERVAL = 5;
    /** No workout has more moves or rounds than this. */
    private static final int MOST_MOVES = 30;
    /** Of fewer repetitions nobody makes a figure of the plan: "two dumbbell rows" are rows with two of them. */
    private static final int FEWEST_REPS = 4;

    private final Speech speech;
    private final String text;
    private final Beginnings beginnings;
    private final ClaimedText claimed;
    private final List<FoundCall> found = new ArrayList<>();

    private CallReader(List<Caption> captions) {
        speech = new Speech(captions);
        text = speech.text();
        beginnings = new Beginnings(text);
        claimed = new ClaimedText(text);
    }

    /** A plan changes with every keystroke, what was said in a take does not. */
    private static final int READINGS_KEPT = 8;

    private record Asked(Set<String> moves) {}

    /** The calls in a take's transcript, kept with the take. */
    public static List<Call> in(TakeEvidence take, Collection<String> moves) {
        return take.derived().get(READINGS_KEPT, new Asked(Set.copyOf(moves)), () -> read(take.words(), moves));
    }

    /** The calls in {@code captions}, in order of time; {@code moves} are the names of moves to know. */
    public static List<Call> read(List<Caption> captions, Collection<String> moves) {
        CallReader reader = new CallReader(SentenceMarks.shipped().restored(captions));
        if (reader.speech.isEmpty()) {
            return List.of();
        }
        reader.collect(moves);
        return new CallInterpreter(reader.speech, reader.found).settle();
    }

    private void collect(Collection<String> moves) {
        for (CountRuns.Run run : CountRuns.in(speech)) {
            // What is said between the numbers may be a call of its own.
            run.numbers().forEach(n -> claimed.claim(n[0], n[1]));
            found.add(new FoundCall(null, run, run.from(), run.to(), run.first(), run.last(), null));
        }
        for (CallRule rule : CallPatterns.RULES) {
            // A promise goes on until something else is said.
            String heard = rule.kind() == CallKind.PROMISE ? claimed.unclaimed(found) : text;
            where(rule, heard);
        }
        new NameReader(claimed, beginnings, found).read(moves);
        for (CallRule rule : ExpectedPatterns.RULES) {
            where(rule, claimed.unclaimed(found));
        }
        found.sort(Comparator.comparingInt(FoundCall::from));
    }

    private void where(CallRule rule, String heard) {
        Matcher m = rule.pattern().matcher(heard);
        m.useTransparentBounds(true);
        int next = 0;
        for (int from : beginnings.of(rule.pattern(), heard)) {
            if (from < next || !isAt(m, from)) {
                continue;
            }
            int to = m.end();
            // Where only its first or last words belong to something else, the rest may still be a call.
            int free = claimed.freeUpTo(from, to);
            m.useAnchoringBounds(true);
            boolean shorter = free > from && free < to && m.region(from, free).lookingAt();
            if (free == to || shorter) {
                next = m.end();
                apply(rule, m);
            }
        }
    }

    /** Whether it begins at {@code from}. */
    static boolean isAt(Matcher m, int from) {
        m.reset();
        m.useAnchoringBounds(false);
        return m.region(from, m.regionEnd()).lookingAt();
    }

    private void apply(CallRule rule, Matcher m) {
        Integer value = rule.value();
        Integer second = null;
        if (value == null) {
            String first = first(m);
            value = first == null
                    ? null
                    : "nth".equals(rule.of())
                            ? Integer.valueOf(CallWords.NTH.indexOf(first) + 1)
                            : Integer.valueOf(first);
        }
        boolean ofSeconds = rule.kind() == CallKind.SECONDS_LEFT
                || rule.of() != null && rule.of().endsWith("-seconds");
        if (ofSeconds && rule.value() == null && IN_MINUTES.matcher(m.group()).find()) {
            value = 60 * value;
        }
        boolean both = m.groupCount() >= 2 && m.group(1) != null && m.group(2) != null;
        if (both && m.end(2) <= m.end()) {
            second = Integer.valueOf(m.group(2));
        }
        boolean shortMinutes = rule.kind() == CallKind.TOTAL
                && "minutes".equals(rule.of())
                && value < 4
                && second == null
                && !m.group().matches(".*(?:workout|session|video|class|routine).*");
        boolean tempo = rule.kind() == CallKind.TOTAL
                && ("work-seconds".equals(rule.of()) || "rest-seconds".equals(rule.of()))
                && value < SHORTEST_INTERVAL;
        boolean few = rule.kind() == CallKind.TOTAL && "reps".equals(rule.of()) && value < FEWEST_REPS;
        few |= rule.kind() == CallKind.TOTAL && "sets".equals(rule.of()) && value < 2;
        few |= rule.kind() == CallKind.TOTAL && "moves".equals(rule.of()) && value < 2;
        boolean left = rule.kind() == CallKind.REPS_LEFT || rule.kind() == CallKind.SECONDS_LEFT;
        boolean unitless = left && value != null && value < 2;
        boolean farOrdinal = rule.kind() == CallKind.ORDINAL && value > MOST_MOVES;
        if (farOrdinal || shortMinutes || tempo || few || unitless) {
            return;
        }
        if (!rule.onlyExpected()) {
            claimed.claim(m.start(), m.end());
        }
        if (rule.kind() != null) {
            found.add(new FoundCall(rule, null, m.start(), m.end(), value, second, null));
        }
    }

    /** The number of a call: the first group that is there. */
    private static String first(Matcher m) {
        for (int g = 1; g <= m.groupCount(); g++) {
            if (m.group(g) != null) {
                return m.group(g);
            }
        }
        return null;
    }
}
