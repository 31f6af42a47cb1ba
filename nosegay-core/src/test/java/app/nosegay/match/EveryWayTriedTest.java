package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.features.MatchWeights;
import java.util.Arrays;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

/** The solver against a search that tries every way. */
class EveryWayTriedTest {

    @Property(tries = 25)
    void theSolverFindsWhatTryingEverythingFinds(@ForAll @IntRange(min = 1, max = 100_000) int seed) {
        Random random = new Random(seed);
        int bins = 26;
        int n = 3;
        int[] low = {0, 0, 2, 3};
        int[] high = {bins - 3, bins - 1, bins - 1, bins - 1};
        double[] planned = {4 + random.nextInt(4), 6, 5};
        double[] cost = {0.4, 0.9, 0.6};
        double[][] at = new double[n + 1][];
        double[][] within = new double[n][bins + 1];
        for (int k = 0; k <= n; k++) {
            at[k] = random.doubles(high[k] - low[k] + 1, 0, 5).toArray();
        }
        for (int k = 0; k < n; k++) {
            for (int b = 1; b <= bins; b++) {
                within[k][b] = within[k][b - 1] + random.nextGaussian() * 0.3;
            }
        }
        double best = Double.NEGATIVE_INFINITY;
        for (int a = low[0]; a <= high[0]; a++) {
            for (int b = Math.max(a, low[1]); b <= high[1]; b++) {
                for (int c = Math.max(b, low[2]); c <= high[2]; c++) {
                    for (int d = Math.max(c, low[3]); d <= high[3]; d++) {
                        int[] t = {a, b, c, d};
                        double score = at[0][a - low[0]];
                        for (int k = 0; k < n; k++) {
                            score += within[k][t[k + 1]]
                                    - within[k][t[k]]
                                    + at[k + 1][t[k + 1] - low[k + 1]]
                                    - price(t[k + 1] - t[k], planned[k], cost[k]);
                        }
                        best = Math.max(best, score);
                    }
                }
            }
        }
        double[][] m = new BoundarySolver(low, high, planned, cost, at, (k, b) -> within[k][b]).maxMarginals();
        for (double[] row : m) {
            assertThat(Arrays.stream(row).max().orElseThrow())
                    .isCloseTo(best, org.assertj.core.data.Offset.offset(1e-6));
        }
    }

    private static double price(int length, double planned, double cost) {
        double off = length - planned;
        double price = off >= 0 ? Math.min(off * cost, MatchWeights.MOST_FOR_LONGER) : -off * cost;
        return length == 0 ? Math.min(price, MatchWeights.LEFT_OUT) : price;
    }
}
