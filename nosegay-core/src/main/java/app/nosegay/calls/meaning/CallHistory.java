package app.nosegay.calls.meaning;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.phrase.FoundCall;
import app.nosegay.captions.Speech;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** The calls heard up to here, and how long ago each kind was. */
class CallHistory {
    final Speech speech;
    private final List<Call> calls = new ArrayList<>();

    CallHistory(Speech speech) {
        this.speech = speech;
    }

    List<Call> calls() {
        return calls;
    }

    void add(Call call) {
        calls.add(call);
    }

    /** Whether a figure of that kind was told. */
    boolean isTotalSaid(String of) {
        return calls.stream().anyMatch(c -> c.kind() == CallKind.TOTAL && of.equals(c.of()));
    }

    /** Whether that figure of that kind was told. */
    boolean isTotalSaid(String of, int value) {
        return calls.stream().anyMatch(c -> c.kind() == CallKind.TOTAL && of.equals(c.of()) && c.value() == value);
    }

    long count(CallKind kind) {
        return calls.stream().filter(c -> c.kind() == kind).count();
    }

    /** Whether {@code kind} was said at {@code moment} or later. */
    boolean since(CallKind kind, Time<Axis.Take> moment) {
        Call last = last(kind);
        return last != null && !last.time().isBefore(moment);
    }

    /** Whether {@code kind} was said after the last {@code other}. */
    boolean isSaidSince(CallKind kind, CallKind other) {
        Call last = last(kind);
        Call before = last(other);
        return last != null && (before == null || !last.time().isBefore(before.time()));
    }

    Call last(CallKind kind) {
        for (int i = calls.size() - 1; i >= 0; i--) {
            if (calls.get(i).kind() == kind) {
                return calls.get(i);
            }
        }
        return null;
    }

    /** The last of that kind and of that value or more; null for none. */
    Call last(CallKind kind, double atLeast) {
        for (int i = calls.size() - 1; i >= 0; i--) {
            if (calls.get(i).kind() == kind && calls.get(i).value() >= atLeast) {
                return calls.get(i);
            }
        }
        return null;
    }

    /** Whether {@code kind} was said, to its end, less than {@code seconds} before {@code f}. */
    boolean saidWithin(CallKind kind, double seconds, FoundCall f) {
        Call last = last(kind);
        return last != null && speech.start(f.from()).since(last.end()).seconds() < seconds;
    }
}
