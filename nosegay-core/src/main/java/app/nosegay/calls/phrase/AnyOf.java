package app.nosegay.calls.phrase;

import java.util.Collection;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Pattern;

/**
 * A pattern that finds any of many phrases, the longest first. Phrases that begin alike share their beginning (a trie), so that looking
 * for a thousand of them takes little longer than looking for one.
 */
public final class AnyOf {
    private final Map<Character, AnyOf> next = new TreeMap<>();
    private boolean ends;

    private AnyOf() {}

    /** The pattern's text, without a group of its own that captures; finds nothing where there are no phrases. */
    public static String pattern(Collection<String> phrases) {
        AnyOf root = new AnyOf();
        for (String phrase : phrases) {
            AnyOf at = root;
            for (char c : phrase.toCharArray()) {
                at = at.next.computeIfAbsent(c, x -> new AnyOf());
            }
            at.ends = true;
        }
        return root.next.isEmpty() ? "(?!)" : root.text();
    }

    private String text() {
        if (next.isEmpty()) {
            return "";
        }
        StringBuilder text = new StringBuilder();
        if (next.size() == 1 && !ends) {
            next.forEach((c, rest) -> text.append(quoted(c)).append(rest.text()));
            return text.toString();
        }
        text.append("(?:");
        next.forEach((c, rest) -> text.append(quoted(c)).append(rest.text()).append('|'));
        text.setLength(text.length() - 1);
        return text.append(ends ? ")?" : ")").toString();
    }

    private static String quoted(char c) {
        return Character.isLetterOrDigit(c) || c == ' ' ? String.valueOf(c) : Pattern.quote(String.valueOf(c));
    }
}
