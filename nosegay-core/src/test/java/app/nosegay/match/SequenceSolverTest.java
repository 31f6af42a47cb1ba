package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The order of events in a take whose evidence is written down: one bin is a second. */
class SequenceSolverTest {
    private static final double STRONG = 8;

    /** A take of that many seconds of a plan of {@code lengths}; nothing speaks for anything yet. */
    private static final class Written implements SequenceSolver.Evidence {
        private final int bins;
        private final int[] lengths;
        private final double[][] joint;
        private final double[][] ending;
        private final double[][] starting;
        private final double[][] within;
        private final double[] fluff;
        private final double[] idle;

        Written(int bins, int... lengths) {
            this.bins = bins;
            this.lengths = lengths;
            int n = lengths.length;
            joint = new double[n + 1][bins];
            ending = new double[n + 1][bins];
            starting = new double[n + 1][bins];
            within = new double[n][bins];
            fluff = new double[bins];
            idle = new double[bins];
        }

        /** The boundary between segments {@code k} − 1 and {@code k} is heard at {@code bin}. */
        Written boundary(int k, int bin) {
            joint[k][bin] += STRONG;
            ending[k][bin] += STRONG;
            starting[k][bin] += STRONG;
            return this;
        }

        /** Segment {@code k} is seen from one bin to another, and nowhere else. */
        Written seen(int k, int from, int to) {
            for (int t = from; t < bins; t++) {
                within[k][t] += 0.5 * (Math.min(t, to) - from);
            }
            return this;
        }

        /** Something moves from one bin to another that may be anything. */
        Written moved(int from, int to) {
            for (int t = from; t < bins; t++) {
                idle[t] += 0.4 * (Math.min(t, to) - from);
            }
            return this;
        }

        Written fluffed(int bin) {
            fluff[bin] += 2 * STRONG;
            return this;
        }

        @Override
        public int bins() {
            return bins;
        }

        @Override
        public double binSeconds() {
            return 1;
        }

        @Override
        public int segments() {
            return lengths.length;
        }

        @Override
        public int planned(int k) {
            return lengths[k];
        }

        @Override
        public double entering(int k) {
            return k == 0 ? 0 : MatchWeights.PART_OF_PLAN;
        }

        @Override
        public double leftOut(int k, boolean again) {
            return again ? MatchWeights.LEFT_OUT_AGAIN : MatchWeights.LEFT_OUT;
        }

        @Override
        public double costPerBin(int k) {
            return MatchWeights.PER_SECOND_OFF;
        }

        @Override
        public double mostForLonger() {
            return MatchWeights.MOST_FOR_LONGER_SEEN;
        }

        @Override
        public double joint(int k, int bin) {
            return joint[k][bin];
        }

        @Override
        public double ending(int k, int bin) {
            return ending[k][bin];
        }

        @Override
        public double starting(int k, int bin) {
            return starting[k][bin];
        }

        @Override
        public double fluff(int bin) {
            return fluff[bin];
        }

        @Override
        public double within(int k, int bin) {
            return within[k][bin];
        }

        @Override
        public double idle(int bin) {
            return idle[bin];
        }

        @Override
        public int low(int bin) {
            return 0;
        }

        @Override
        public int high(int bin) {
            return lengths.length;
        }
    }

    /** What was found, as {@code segment from-to}; a dash for a pause, a star where it was broken off. */
    private static List<String> solved(Written take) {
        return new SequenceSolver(take)
                .solve().stream()
                        .map(i -> (i.segment() < 0 ? "-" : i.segment() + (i.broken() ? "*" : "")) + " " + i.from() + "-"
                                + i.to())
                        .toList();
    }

    @Test
    void withoutEvidenceThePlanIsTakenAtItsWord() {
        assertThat(solved(new Written(61, 20, 30, 10))).containsExactly("0 0-20", "1 20-50", "2 50-60");
    }

    /** What moves for long between two segments is neither a longer one nor one that was broken off. */
    @Test
    void movementBetweenTwoSegmentsIsAPause() {
        Written take = new Written(101, 20, 20, 20)
                .boundary(1, 20)
                .boundary(2, 80)
                .seen(1, 20, 80)
                .moved(20, 60);
        take.starting[1][60] += STRONG;
        assertThat(solved(take)).containsExactly("0 0-20", "- 20-60", "1 60-80", "2 80-100");
    }

    @Test
    void boundariesAreWhereTheyAreHeard() {
        Written take = new Written(80, 20, 30, 10)
                .boundary(0, 4)
                .boundary(1, 22)
                .boundary(2, 55)
                .boundary(3, 66);
        assertThat(solved(take)).containsExactly("0 4-22", "1 22-55", "2 55-66");
    }

    @Test
    void aPauseLiesBetweenTwoSegments() {
        Written take = new Written(140, 20, 30, 10)
                .boundary(0, 0)
                .boundary(1, 20)
                .boundary(2, 50)
                .boundary(2, 110)
                .boundary(3, 120);
        assertThat(solved(take)).containsExactly("0 0-20", "1 20-50", "- 50-110", "2 110-120");
    }

    @Test
    void aSegmentThatIsNowhereIsLeftOut() {
        Written take = new Written(45, 20, 30, 20)
                .boundary(0, 0)
                .boundary(1, 20)
                .boundary(2, 20)
                .boundary(3, 40)
                .seen(0, 0, 20)
                .seen(2, 20, 40);
        assertThat(solved(take)).containsExactly("0 0-20", "2 20-40");
    }

    @Test
    void aSegmentDoneTwiceIsFoundTwice() {
        Written take = new Written(125, 20, 30, 20)
                .boundary(0, 0)
                .boundary(1, 20)
                .boundary(2, 50)
                .boundary(1, 60)
                .boundary(2, 90)
                .boundary(3, 110)
                .seen(0, 0, 20)
                .seen(1, 20, 50)
                .seen(1, 60, 90)
                .seen(2, 90, 110);
        assertThat(solved(take)).containsExactly("0 0-20", "1* 20-50", "- 50-60", "1 60-90", "2 90-110");
    }

    @Test
    void whatIsBrokenOffIsBegunAgain() {
        Written take = new Written(115, 20, 30, 20)
                .boundary(0, 0)
                .boundary(1, 20)
                .fluffed(32)
                .boundary(1, 45)
                .boundary(2, 75)
                .boundary(3, 95)
                .seen(0, 0, 20)
                .seen(1, 20, 32)
                .seen(1, 45, 75)
                .seen(2, 75, 95);
        assertThat(solved(take)).containsExactly("0 0-20", "1* 20-32", "- 32-45", "1 45-75", "2 75-95");
    }

    @Test
    void aTakeMayBeginInTheMiddleOfThePlan() {
        Written take = new Written(60, 20, 30, 25, 20)
                .boundary(2, 3)
                .boundary(3, 28)
                .boundary(4, 48)
                .seen(2, 3, 28)
                .seen(3, 28, 48);
        assertThat(solved(take)).containsExactly("2 3-28", "3 28-48");
    }

    @Test
    void aTakeMayEndInTheMiddleOfThePlan() {
        Written take = new Written(55, 20, 30, 25, 20)
                .boundary(0, 0)
                .boundary(1, 20)
                .boundary(2, 50)
                .seen(0, 0, 20)
                .seen(1, 20, 50);
        assertThat(solved(take)).containsExactly("0 0-20", "1 20-50");
    }

    @Test
    void nothingIsFoundInATakeOfNoLength() {
        assertThat(solved(new Written(1, 20))).isEmpty();
        assertThat(solved(new Written(50))).isEmpty();
    }

    /** Whatever the evidence: the stretches found follow each other without gaps, inside the take, no segment empty. */
    @Property(tries = 80)
    void whatIsFoundFollowsWithoutGaps(@ForAll @IntRange(max = 100_000) int seed) {
        Random random = new Random(seed);
        int n = 1 + random.nextInt(6);
        int[] lengths = random.ints(n, 3, 25).toArray();
        Written take = new Written(40 + random.nextInt(120), lengths);
        for (int i = 0; i < 12; i++) {
            int at = random.nextInt(take.bins());
            take.boundary(random.nextInt(n + 1), at);
            take.fluffed(random.nextInt(take.bins()));
            take.seen(random.nextInt(n), at, Math.min(take.bins(), at + random.nextInt(20)));
        }
        List<SequenceSolver.Item> found = new ArrayList<>(new SequenceSolver(take).solve());
        for (int i = 0; i < found.size(); i++) {
            SequenceSolver.Item item = found.get(i);
            // A pause may be of no length: where both sides of it are heard at one moment.
            assertThat(item.to()).as("seed " + seed).isGreaterThan(item.from() - (item.segment() < 0 ? 1 : 0));
            assertThat(item.segment()).isBetween(-1, n - 1);
            assertThat(item.from())
                    .isEqualTo(i == 0 ? item.from() : found.get(i - 1).to());
            assertThat(item.to()).isLessThan(take.bins());
        }
        assertThat(found.isEmpty() || found.get(0).segment() >= 0).isTrue();
    }
}
