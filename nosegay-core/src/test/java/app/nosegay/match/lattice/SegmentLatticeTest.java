package app.nosegay.match.lattice;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.match.features.MatchWeights;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.function.IntToDoubleFunction;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The order of events in a take whose evidence is written down: one bin is a second. */
class SegmentLatticeTest {
    private static final double STRONG = 8;

    /** A take of that many seconds of a plan of {@code lengths}; nothing speaks for anything yet. */
    private static final class Written implements LatticeEvidence {
        private final int bins;
        private final int[] lengths;
        private final double[][] joint;
        private final double[][] ending;
        private final double[][] starting;
        private final double[][] within;
        private final double[] fluff;
        private final double[] idle;
        private final List<Exchange> exchanges = new ArrayList<>();

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

        /** Two segments may be done in each other's place. */
        Written exchangeable(int first, int second) {
            exchanges.add(new Exchange(first, second, false));
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
        public IntToDoubleFunction between(int before, int after) {
            return bin -> ending[before + 1][bin];
        }

        @Override
        public List<Exchange> exchanges() {
            return exchanges;
        }

        @Override
        public IntToDoubleFunction within(int k, int next) {
            return bin -> within[k][bin];
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
        return new SegmentLattice(take)
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

    /** A plan of five, the second and the fourth of which are done in each other's place. */
    private static Written exchanged() {
        return new Written(100, 20, 20, 10, 20, 20)
                .exchangeable(1, 3)
                .seen(0, 0, 20)
                .seen(3, 20, 40)
                .seen(2, 40, 50)
                .seen(1, 50, 70)
                .seen(4, 70, 90)
                .boundary(1, 20)
                .boundary(5, 90);
    }

    @Test
    void whatIsDoneInEachOthersPlaceIsFoundThere() {
        assertThat(solved(exchanged())).containsExactly("0 0-20", "3 20-40", "2 40-50", "1 50-70", "4 70-90");
    }

    private static double[] doubts(Written take) {
        SegmentLattice lattice = new SegmentLattice(take);
        return LatticeDoubt.of(lattice, lattice.solve(), 5);
    }

    @Test
    void whatIsSeenWhereItIsPlannedIsNotDoubted() {
        Written take = new Written(100, 20, 20, 10, 20, 20).exchangeable(1, 3);
        int at = 0;
        int[] lengths = {20, 20, 10, 20, 20};
        for (int k = 0; k < lengths.length; k++) {
            take.boundary(k, at).seen(k, at, at + lengths[k]);
            at += lengths[k];
        }
        assertThat(Arrays.stream(doubts(take.boundary(lengths.length, at))))
                .hasSize(5)
                .allMatch(d -> d < 0.02);
    }

    /** One of three alike was left out, and nothing tells which. */
    @Test
    void whichOfThreeAlikeWasLeftOutIsDoubted() {
        Written take = new Written(81, 20, 20, 20, 20)
                .boundary(0, 0)
                .boundary(4, 60)
                .seen(0, 0, 20)
                .seen(3, 40, 60);
        SegmentLattice lattice = new SegmentLattice(take);
        List<SegmentLattice.Item> found = lattice.solve();
        double[] doubts = LatticeDoubt.of(lattice, found, 5);
        assertThat(found)
                .extracting(SegmentLattice.Item::segment)
                .hasSize(3)
                .startsWith(0)
                .endsWith(3);
        assertThat(doubts[1]).isGreaterThan(0.3);
        assertThat(doubts[0]).isLessThan(0.1);
    }

    @Test
    void nothingIsFoundInATakeOfNoLength() {
        assertThat(solved(new Written(1, 20))).isEmpty();
        assertThat(solved(new Written(50))).isEmpty();
    }

    private static Written random(int seed) {
        Random random = new Random(seed);
        int n = 1 + random.nextInt(6);
        Written take =
                new Written(40 + random.nextInt(120), random.ints(n, 3, 25).toArray());
        for (int k = 0; k + 2 < n; k++) {
            take.exchangeable(k, k + 1 + random.nextInt(2));
        }
        for (int i = 0; i < 12; i++) {
            int at = random.nextInt(take.bins());
            take.boundary(random.nextInt(n + 1), at);
            take.fluffed(random.nextInt(take.bins()));
            take.seen(random.nextInt(n), at, Math.min(take.bins(), at + random.nextInt(20)));
        }
        return take;
    }

    /** Whatever the evidence: gone through from the end, what was found is as good as from the beginning. */
    @Property(tries = 80)
    void backwardsTheBestOrderIsTheSame(@ForAll @IntRange(max = 100_000) int seed) {
        SegmentLattice lattice = new SegmentLattice(random(seed));
        List<SegmentLattice.Item> found = lattice.solve();
        LatticeDoubt told = LatticeDoubt.told(lattice, found, 5);
        for (int i = 0; i < found.size(); i++) {
            if (found.get(i).segment() >= 0) {
                assertThat(told.here(i)).as("item %d of seed %d", i, seed).isGreaterThan(0.999);
            }
        }
        assertThat(Arrays.stream(LatticeDoubt.of(lattice, found, 5))).allMatch(d -> d >= 0 && d < 1);
    }

    /** Whatever the evidence: the stretches found follow each other without gaps, inside the take, no segment empty. */
    @Property(tries = 80)
    void whatIsFoundFollowsWithoutGaps(@ForAll @IntRange(max = 100_000) int seed) {
        Written take = random(seed);
        int n = take.segments();
        List<SegmentLattice.Item> found = new ArrayList<>(new SegmentLattice(take).solve());
        for (int i = 0; i < found.size(); i++) {
            SegmentLattice.Item item = found.get(i);
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
