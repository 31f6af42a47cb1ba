package app.nosegay.calls.phrase;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.WeakHashMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Where in a text a pattern can begin at all, told by its first word: most words begin no call, and trying hundreds of patterns at every
 * character of an hour of talk takes seconds. The patterns begin behind a space. Whether one can begin with a word is asked of the pattern
 * itself: it cannot when it fails at the word without having wanted to see what comes next ({@link Matcher#hitEnd()}).
 */
public final class Beginnings {
    /** Patterns without what they want before them: compiling hundreds takes longer than reading a short transcript. */
    private static final Map<Pattern, Pattern> ALONE = Collections.synchronizedMap(new WeakHashMap<>());

    private final String text;
    private final Map<String, List<Integer>> places = new LinkedHashMap<>();

    /** @param text with one space before every word */
    public Beginnings(String text) {
        this.text = text;
        int at = text.indexOf(' ') + 1;
        while (at > 0 && at < text.length()) {
            int end = text.indexOf(' ', at);
            String word = text.substring(at, end < 0 ? text.length() : end);
            places.computeIfAbsent(word, w -> new ArrayList<>()).add(at);
            at = end < 0 ? -1 : end + 1;
        }
    }

    /**
     * Where {@code pattern} may begin, in order.
     *
     * @param heard the text, with characters of it struck out; where a word is struck out it may begin in any case
     */
    public int[] of(Pattern pattern, String heard) {
        Pattern alone = ALONE.computeIfAbsent(pattern, p -> Pattern.compile(withoutLookBehind(p.pattern()), p.flags()));
        int[] found = new int[text.length()];
        int n = 0;
        for (Map.Entry<String, List<Integer>> word : places.entrySet()) {
            Matcher m = alone.matcher(word.getKey());
            boolean may = m.lookingAt() || m.hitEnd();
            for (int at : word.getValue()) {
                if (may || !heard.startsWith(word.getKey(), at)) {
                    found[n++] = at;
                }
            }
        }
        int[] all = Arrays.copyOf(found, n);
        Arrays.sort(all);
        return all;
    }

    /** The pattern without what it wants to stand before: it then begins wherever it did, and in more places. */
    static String withoutLookBehind(String regex) {
        StringBuilder left = new StringBuilder();
        int i = 0;
        while (i < regex.length()) {
            if (regex.startsWith("(?<=", i) || regex.startsWith("(?<!", i)) {
                i = closing(regex, i) + 1;
            } else {
                int step = regex.charAt(i) == '\\' ? 2 : 1;
                left.append(regex, i, Math.min(regex.length(), i + step));
                i += step;
            }
        }
        return left.toString();
    }

    /** Where the group that opens at {@code open} closes. */
    private static int closing(String regex, int open) {
        int depth = 0;
        boolean inClass = false;
        for (int i = open; i < regex.length(); i++) {
            char c = regex.charAt(i);
            if (c == '\\') {
                i++;
            } else if (inClass) {
                inClass = c != ']';
            } else if (c == '[') {
                inClass = true;
            } else if (c == '(') {
                depth++;
            } else if (c == ')' && --depth == 0) {
                return i;
            }
        }
        throw new IllegalArgumentException(regex);
    }
}
