package app.nosegay.calls.phrase;

import java.util.ArrayList;
import java.util.List;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Many alternatives of a pattern, sorted by the letter they can begin with: a matcher tries alternatives one after the other, and of a
 * hundred and fifty only a few begin with the letter there is. What is found stays the same, as those of one letter keep their order.
 */
final class FirstLetters {
    private FirstLetters() {}

    /**
     * A pattern that finds what {@code (?:alternatives)} finds.
     *
     * @param alternatives between bars; each begins with a letter from a to z wherever it is found
     */
    static String of(String alternatives) {
        List<String> all = split(alternatives);
        List<String> letters = new ArrayList<>();
        for (char letter = 'a'; letter <= 'z'; letter++) {
            List<String> some = new ArrayList<>();
            for (String alternative : all) {
                // It cannot when it fails at the letter without having wanted to see what comes next.
                Matcher m = Pattern.compile(alternative).matcher(String.valueOf(letter));
                if (m.lookingAt() || m.hitEnd()) {
                    some.add(alternative);
                }
            }
            if (!some.isEmpty()) {
                letters.add("(?=" + letter + ")(?:" + String.join("|", some) + ")");
            }
        }
        return "(?:" + String.join("|", letters) + ")";
    }

    /** The alternatives, those within groups left together. */
    private static List<String> split(String alternatives) {
        List<String> all = new ArrayList<>();
        int depth = 0;
        int from = 0;
        for (int i = 0; i < alternatives.length(); i++) {
            switch (alternatives.charAt(i)) {
                case '\\' -> i++;
                case '(' -> depth++;
                case ')' -> depth--;
                case '|' -> {
                    if (depth == 0) {
                        all.add(alternatives.substring(from, i));
                        from = i + 1;
                    }
                }
                default -> {}
            }
        }
        all.add(alternatives.substring(from));
        return all;
    }
}
