package app.nosegay.plan.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class BlockOrderTest {
    private static int clashes(boolean[][] heavy, List<Integer> order, boolean again) {
        int clashes = 0;
        for (int i = again ? 0 : 1; i < order.size(); i++) {
            clashes += heavy[order.get((i + order.size() - 1) % order.size())][order.get(i)] ? 1 : 0;
        }
        return clashes;
    }

    @Property(tries = 200)
    void aBetterOrderHoldsTheSameMovesWithFewerClashesThanAnyOther(
            @ForAll @IntRange(min = 2, max = 6) int n, @ForAll long seed, @ForAll boolean again) {
        java.util.Random random = new java.util.Random(seed);
        boolean[][] heavy = new boolean[n][n];
        List<Boolean> low = new ArrayList<>();
        List<Integer> written = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            for (int k = 0; k < i; k++) {
                heavy[i][k] = heavy[k][i] = random.nextBoolean();
            }
            low.add(false);
            written.add(i);
        }
        List<Integer> better = new BlockOrder(heavy, low, again).better();
        int least = better.isEmpty() ? clashes(heavy, written, again) : clashes(heavy, better, again);
        if (!better.isEmpty()) {
            assertThat(better).containsExactlyInAnyOrderElementsOf(written);
            assertThat(least).isLessThan(clashes(heavy, written, again));
        }
        List<Integer> other = new ArrayList<>(written);
        for (int t = 0; t < 30; t++) {
            Collections.shuffle(other, random);
            assertThat(clashes(heavy, other, again)).isGreaterThanOrEqualTo(least);
        }
    }

    @Test
    void noOrderGoesToTheFloorMoreOften() {
        boolean[][] heavy = new boolean[3][3];
        heavy[0][1] = heavy[1][0] = true;
        assertThat(new BlockOrder(heavy, List.of(false, false, false), false).better())
                .isNotEmpty();
        assertThat(new BlockOrder(heavy, List.of(true, true, false), false).better())
                .isEmpty();
    }

    private static final String BEFORE = "talk Hi  0:30\nwarm-up  each 0:30\n  march in place\n  arm circles\n"
            + "circuit A  rounds 3  work 0:40  rest 0:30\n";

    private static List<Finding> findings(String sheet) {
        return PlanCheck.findings(SampleSheets.timeline(sheet), MoveLibrary.shipped());
    }

    @Test
    void legsAllTheWayAreMeantAndABadOrderIsOfferedABetterOne() {
        assertThat(findings(BEFORE + "  squat\n  reverse lunge  sides alternate\n  split squat  sides separate\n"))
                .noneMatch(f -> f.code().equals("plan.overlap"));
        String bad = BEFORE + "  squat\n  split squat  sides separate\n  curl\n  hammer curl\n";
        Finding found = findings(bad).stream()
                .filter(f -> f.code().equals("plan.overlap"))
                .findFirst()
                .orElseThrow();
        assertThat(found.edit()).isNotNull();
        assertThat(findings(found.edit().apply(bad))).noneMatch(f -> f.code().equals("plan.overlap"));
    }
}
