package app.nosegay.calls.reader;

import app.nosegay.calls.phrase.FoundCall;
import java.util.List;

/** What was said, with what is understood of it already struck out. */
final class ClaimedText {
    private final String text;
    private final boolean[] claimed;

    ClaimedText(String text) {
        this.text = text;
        this.claimed = new boolean[text.length()];
    }

    String text() {
        return text;
    }

    /** Where the first claimed character from {@code from} on is, or {@code to}. */
    int freeUpTo(int from, int to) {
        int at = from;
        while (at < to && !claimed[at]) {
            at++;
        }
        return at;
    }

    boolean isFree(int from, int to) {
        for (int i = from; i < to; i++) {
            if (claimed[i]) {
                return false;
            }
        }
        return true;
    }

    /** The text with what is understood already struck out; {@code #} where a count ends. */
    String unclaimed(List<FoundCall> found) {
        StringBuilder open = new StringBuilder(text);
        for (int i = 0; i < claimed.length; i++) {
            if (claimed[i]) {
                open.setCharAt(i, '_');
            }
        }
        found.stream().filter(f -> f.run() != null).forEach(f -> open.setCharAt(f.to() - 1, '#'));
        return open.toString();
    }

    void claim(int from, int to) {
        for (int i = from; i < to; i++) {
            claimed[i] = true;
        }
    }
}
