package app.nosegay.calls.phrase;

import app.nosegay.calls.CallKind;

/** Something that may be a call, at its place in the text. */
public record FoundCall(
        CallRule rule, CountRuns.Run run, int from, int to, Integer value, Integer second, String move) {
    public FoundCall withValue(int other) {
        return new FoundCall(rule, run, from, to, other, second, move);
    }

    /** What it may be; null for a count or a name. */
    public CallKind kind() {
        return rule == null ? null : rule.kind();
    }
}
