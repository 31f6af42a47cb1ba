package app.nosegay.captions;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * Which words of one text are which words of another, over both texts as a whole (Needleman and Wunsch 1970), in room that grows with the
 * longer text only (Hirschberg 1975); the time grows with the product of both, 100 million pairs of words a second or so.
 */
public final class WordAlignment {
    private static final int SAME = 2;
    private static final int OTHER = -1;
    /** Tables up to this many cells are kept whole. */
    private static final int SMALL = 1 << 16;

    private final int[] one;
    private final int[] other;
    private final int[] partner;

    private WordAlignment(int[] one, int[] other) {
        this.one = one;
        this.other = other;
        partner = new int[one.length];
        Arrays.fill(partner, -1);
    }

    /** For each word of {@code one} the index of the same word in {@code other}, rising; -1 where it has none. */
    public static int[] of(List<String> one, List<String> other) {
        Map<String, Integer> numbers = new HashMap<>();
        WordAlignment work = new WordAlignment(numbered(one, numbers), numbered(other, numbers));
        work.align(0, one.size(), 0, other.size());
        return work.partner;
    }

    private static int[] numbered(List<String> words, Map<String, Integer> numbers) {
        return words.stream()
                .mapToInt(w -> numbers.computeIfAbsent(w, n -> numbers.size()))
                .toArray();
    }

    /** Halves the first text where the best alignment of both halves together is best, until a table is small. */
    private void align(int from, int to, int otherFrom, int otherTo) {
        if (from == to || otherFrom == otherTo) {
            return;
        }
        if ((to - from + 1L) * (otherTo - otherFrom + 1L) <= SMALL || to - from == 1) {
            whole(from, to, otherFrom, otherTo);
            return;
        }
        int middle = (from + to) / 2;
        int[] above = scores(from, middle, otherFrom, otherTo, 1);
        int[] below = scores(middle, to, otherFrom, otherTo, -1);
        int columns = otherTo - otherFrom;
        int best = 0;
        for (int c = 1; c <= columns; c++) {
            best = above[c] + below[columns - c] > above[best] + below[columns - best] ? c : best;
        }
        align(from, middle, otherFrom, otherFrom + best);
        align(middle, to, otherFrom + best, otherTo);
    }

    /** How well the stretch of the first text goes with each beginning of the other's, read forwards (1) or backwards (-1). */
    private int[] scores(int from, int to, int otherFrom, int otherTo, int step) {
        int columns = otherTo - otherFrom;
        int[] row = new int[columns + 1];
        for (int r = 0; r < to - from; r++) {
            int word = one[step > 0 ? from + r : to - 1 - r];
            int diagonal = row[0];
            for (int c = 1; c <= columns; c++) {
                int both = diagonal + (word == other[step > 0 ? otherFrom + c - 1 : otherTo - c] ? SAME : OTHER);
                diagonal = row[c];
                row[c] = Math.max(both, Math.max(row[c], row[c - 1]));
            }
        }
        return row;
    }

    private void whole(int from, int to, int otherFrom, int otherTo) {
        int rows = to - from;
        int columns = otherTo - otherFrom;
        int[][] best = new int[rows + 1][columns + 1];
        for (int r = 1; r <= rows; r++) {
            for (int c = 1; c <= columns; c++) {
                best[r][c] = Math.max(both(best, r, c, from, otherFrom), Math.max(best[r - 1][c], best[r][c - 1]));
            }
        }
        int r = rows;
        int c = columns;
        while (r > 0 && c > 0) {
            if (best[r][c] == both(best, r, c, from, otherFrom)) {
                r--;
                c--;
                partner[from + r] = one[from + r] == other[otherFrom + c] ? otherFrom + c : -1;
            } else if (best[r][c] == best[r - 1][c]) {
                r--;
            } else {
                c--;
            }
        }
    }

    private int both(int[][] best, int r, int c, int from, int otherFrom) {
        return best[r - 1][c - 1] + (one[from + r - 1] == other[otherFrom + c - 1] ? SAME : OTHER);
    }
}
