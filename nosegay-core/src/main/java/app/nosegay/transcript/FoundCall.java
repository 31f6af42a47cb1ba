package app.nosegay.transcript;

/** Something that may be a call, at its place in the text. */
record FoundCall(CallRule rule, CountRuns.Run run, int from, int to, Integer value, Integer second, String move) {
    FoundCall withValue(int other) {
        return new FoundCall(rule, run, from, to, other, second, move);
    }

    /** What it may be; null for a count or a name. */
    CallKind kind() {
        return rule == null ? null : rule.kind();
    }
}
