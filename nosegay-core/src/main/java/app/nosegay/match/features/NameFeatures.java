package app.nosegay.match.features;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What the names of moves said in one take tell, on the matcher's grid: which move is done, and which one a rest goes before. */
final class NameFeatures {
    private final int bins;
    private final Map<String, double[]> mentions = new HashMap<>();
    private final Map<String, double[]> expected = new HashMap<>();
    private final Map<String, double[]> introduced = new HashMap<>();
    private final Map<String, List<Double>> first = new HashMap<>();

    /** What {@code said} tells of each of {@code moves}. */
    NameFeatures(List<SpokenNames.Mention> said, List<String> moves, int bins) {
        this.bins = bins;
        for (String move : moves) {
            mentions.put(move, new double[bins + 1]);
            introduced.put(move, new double[bins + 1]);
        }
        mention(said);
        introduce(said);
        mentions.values().forEach(NameFeatures::accumulate);
        introduced.values().forEach(NameFeatures::accumulate);
        mentions.forEach((move, sum) -> expected.put(move, expected(sum)));
    }

    /** When a move is named for the first time in a while, in seconds. */
    List<Double> first(String move) {
        return first.getOrDefault(move, List.of());
    }

    /**
     * Cumulative weight of a move being done now because it was named not long before, or is named presently. Spread over time, it tells
     * the order and hardly moves a boundary, and a segment of no length has none of it.
     */
    double[] expected(String move) {
        return expected.get(move);
    }

    /** Cumulative weight of a move's being announced as the next one: in the rest before it, or a little before that rest begins. */
    double[] introduced(String move) {
        return introduced.get(move);
    }

    /** How often and how strongly a move is named from one bin to another. */
    double mentioned(String move, int from, int to) {
        double[] sum = mentions.get(move);
        int a = Math.max(0, Math.min(bins, from));
        int b = Math.max(a, Math.min(bins, to));
        return sum == null ? 0 : sum[b] - sum[a];
    }

    private void mention(List<SpokenNames.Mention> said) {
        Map<String, Double> last = new HashMap<>();
        for (SpokenNames.Mention m : said) {
            double at = m.time().seconds();
            Double before = last.put(m.move(), at);
            if (m.weight() >= 1 && !m.ahead() && (before == null || at - before > MatchWeights.NAMED_BEFORE)) {
                first.computeIfAbsent(m.move(), x -> new ArrayList<>()).add(at);
            }
            add(mentions.get(m.move()), at, m.weight() * MatchWeights.NAMED);
        }
    }

    private void introduce(List<SpokenNames.Mention> said) {
        Map<String, Double> last = new HashMap<>();
        for (SpokenNames.Mention m : said) {
            double at = m.time().seconds();
            Double before = last.get(m.move());
            if (m.weight() > 1 && (before == null || at - before > MatchWeights.INTRODUCED_AGAIN)) {
                last.put(m.move(), at);
                double half = m.weight() * MatchWeights.INTRODUCED / 2;
                add(introduced.get(m.move()), at, half);
                add(introduced.get(m.move()), at + MatchWeights.INTRODUCED_EARLY, half);
            }
        }
    }

    private void add(double[] sum, double seconds, double weight) {
        int b = Grid.bin(seconds);
        if (b >= 0 && b < bins) {
            sum[b + 1] += weight;
        }
    }

    private static void accumulate(double[] sum) {
        for (int b = 1; b < sum.length; b++) {
            sum[b] += sum[b - 1];
        }
    }

    private double[] expected(double[] said) {
        int before = Grid.bin(MatchWeights.NAMED_BEFORE);
        int after = Grid.bin(MatchWeights.NAMED_AFTER);
        double[] sum = new double[bins + 1];
        for (int b = 0; b < bins; b++) {
            double named = said[Math.min(bins, b + after)] - said[Math.max(0, b - before)];
            sum[b + 1] = sum[b]
                    + Math.min(MatchWeights.NAMED_AT_MOST, named)
                            * MatchWeights.GRID_SECONDS
                            / MatchWeights.NAMED_BEFORE;
        }
        return sum;
    }
}
