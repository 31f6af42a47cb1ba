package app.nosegay.captions;

import app.nosegay.cache.TextMemo;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** The words that distinguish one spoken line from another, and how many of them two lines share. */
public final class TellingWords {
    /** At least this share of a line's telling words has to be heard for the line to count as said. */
    public static final double SAID = 0.6;

    /** Words found in nearly every line. */
    private static final Set<String> EVERYWHERE = Set.of(
            "the", "a", "an", "and", "or", "to", "of", "in", "on", "is", "it", "you", "your", "with", "for", "as", "at",
            "that", "this", "we", "so", "if", "be", "are");

    private static final TextMemo<List<String>> OF_TEXT = new TextMemo<>(TellingWords::compute);

    private TellingWords() {}

    /** The telling words of {@code text}, in order, in lower case and without a plural s. */
    public static List<String> of(String text) {
        return OF_TEXT.of(text);
    }

    /** Whether {@code said} is {@code line}, near enough. */
    public static boolean matches(String line, String said) {
        return share(of(line), of(said)) >= SAID;
    }

    /** The share of the wanted words that are said, each counted once; 0 to 1. */
    public static double share(List<String> wanted, List<String> said) {
        if (wanted.isEmpty()) {
            return 0;
        }
        List<String> left = new ArrayList<>(said);
        int hit = 0;
        for (String w : wanted) {
            hit += left.remove(w) ? 1 : 0;
        }
        return hit / (double) wanted.size();
    }

    private static List<String> compute(String text) {
        List<String> words = new ArrayList<>();
        for (String w : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}']+")) {
            if (!w.isEmpty() && !EVERYWHERE.contains(w)) {
                words.add(w.length() > 3 && w.endsWith("s") ? w.substring(0, w.length() - 1) : w);
            }
        }
        return words;
    }
}
