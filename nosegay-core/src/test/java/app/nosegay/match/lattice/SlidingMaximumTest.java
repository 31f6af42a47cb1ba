package app.nosegay.match.lattice;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;

/** The queue against looking through all values. */
class SlidingMaximumTest {
    @Property
    void itIsTheGreatestOfTheLast(
            @ForAll @Size(min = 1, max = 60) List<@IntRange(min = -9, max = 9) Integer> values,
            @ForAll @IntRange(min = 1, max = 20) int reach) {
        SlidingMaximum sliding = new SlidingMaximum(reach);
        for (int t = 0; t < values.size(); t++) {
            // Every third bin has no value.
            if (t % 3 != 2) {
                sliding.add(t, values.get(t));
            } else {
                sliding.forget(t);
            }
            int most = Integer.MIN_VALUE;
            for (int u = Math.max(0, t - reach + 1); u <= t; u++) {
                most = u % 3 == 2 ? most : Math.max(most, values.get(u));
            }
            assertThat(sliding.isEmpty()).isEqualTo(most == Integer.MIN_VALUE);
            if (!sliding.isEmpty()) {
                assertThat(sliding.value()).isEqualTo(most);
                assertThat(values.get(sliding.bin())).isEqualTo(most);
                assertThat(sliding.bin()).isBetween(t - reach + 1, t);
            }
        }
    }
}
