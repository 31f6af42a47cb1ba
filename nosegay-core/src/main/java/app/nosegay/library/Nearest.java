package app.nosegay.library;

import java.util.Collection;
import java.util.Locale;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** The known word nearest to one that is not known. */
public final class Nearest {
    /** A word may be this share of its own length away and still be what was meant: one slip in three letters. */
    private static final double FORGIVEN_SHARE = 0.34;
    /** Long names hold several words: half of another name is not a slip. */
    private static final int MOST_SLIPS = 3;

    private Nearest() {}

    /** The nearest of {@code known} by edit distance, or null when none is near. */
    public static String of(String word, Collection<String> known) {
        String w = word.toLowerCase(Locale.ROOT);
        int limit = Math.min(MOST_SLIPS, Math.max(1, (int) Math.ceil(w.length() * FORGIVEN_SHARE)));
        LevenshteinDistance distance = new LevenshteinDistance(limit);
        String best = null;
        int bestDistance = limit + 1;
        for (String candidate : known) {
            int d = distance.apply(w, candidate);
            if (d >= 0 && d < bestDistance) {
                best = candidate;
                bestDistance = d;
            }
        }
        return best;
    }
}
