package app.nosegay.calls.reader;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.calls.meaning.CallInterpreter;
import app.nosegay.calls.phrase.AnyOf;
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
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

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
