package app.nosegay.match.lattice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.match.features.MatchWeights;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;

class LengthMaximumTest {
    private static final double COST = 1.2;
    private static final double MOST = 12.5;

    private static double cost(int length, int planned) {
        double byLength = COST * Math.abs(length - planned);
        double most = length >= planned ? MOST : MatchWeights.CUT_SHORT;
        return Math.min(byLength, most);
    }

    /** The running maxima give what trying every beginning gives, whichever bins have one. */
    @Property(tries = 200)
    void itIsTheBestOfAllBeginnings(
            @ForAll @IntRange(min = 1, max = 30) int planned, @ForAll @IntRange(max = 100_000) int seed) {
        Random random = new Random(seed);
        LengthMaximum length = new LengthMaximum(planned, COST, MOST);
        double[] begun = new double[100];
        for (int t = 0; t < begun.length; t++) {
            double best = LengthMaximum.NEVER;
            for (int u = 0; u < t; u++) {
                best = Math.max(best, begun[u] - cost(t - u, planned));
            }
            boolean asked = random.nextInt(4) > 0;
            if (asked && best > LengthMaximum.NEVER / 2) {
                assertThat(length.endingAt(t)).isCloseTo(best, within(1e-6));
                assertThat(begun[length.from()] - cost(t - length.from(), planned))
                        .isCloseTo(best, within(1e-6));
            }
            begun[t] = random.nextInt(3) > 0 ? 40 * random.nextDouble() : 2 * LengthMaximum.NEVER;
            if (begun[t] > LengthMaximum.NEVER) {
                length.add(t, begun[t]);
            }
        }
    }
}
