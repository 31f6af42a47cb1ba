package app.nosegay.script.check;

import app.nosegay.cache.TextMemo;
import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;

/** Lines in which somebody says that half-way will be called, each with the call that keeps the promise. */
public final class PromisedCalls {
    private static final Pattern PROMISED_CALL = Pattern.compile(
            "\\b(?:i(?:'ll| will)? (?:tell|call|let you know|say)|at|when we (?:are|get)).{0,30}\\bhalf-?way\\b",
            Pattern.CASE_INSENSITIVE);
    private static final TextMemo<Boolean> PROMISES_HALF =
            new TextMemo<>(text -> PROMISED_CALL.matcher(text).find());
    /** A promise is of the segment it is made in and the next ones, this many in all. */
    private static final int REACH = 3;

    private PromisedCalls() {}

    /** Per promise the first call that keeps it; empty where nobody calls. */
    public static Map<ScriptLine, Optional<ScriptLine>> of(Timeline timeline, CuePlan plan) {
        Map<String, Integer> indexes = timeline.indexes();
        Map<ScriptLine, Optional<ScriptLine>> promised = new LinkedHashMap<>();
        for (ScriptLine l : plan.lines()) {
            if (l.kind() == CueKind.TIME || !PROMISES_HALF.of(l.text())) {
                continue;
            }
            int at = indexes.get(l.segment());
            List<Segment> near = timeline.segments()
                    .subList(at, Math.min(at + REACH, timeline.segments().size()));
            promised.put(
                    l,
                    near.stream()
                            .flatMap(s -> plan.of(s.id()).stream())
                            .filter(PromisedCalls::callsHalf)
                            .findFirst());
        }
        return promised;
    }

    private static boolean callsHalf(ScriptLine line) {
        return line.kind() == CueKind.TIME
                && line.text().toLowerCase(Locale.ROOT).contains("half");
    }
}
