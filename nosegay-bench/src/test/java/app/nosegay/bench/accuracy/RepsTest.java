package app.nosegay.bench.accuracy;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/**
 * Reps counted from motion alone (the bar of docs/domain.md: exact in 0.9 of sets, within one in 0.98), in runs nothing was set by.
 */
class RepsTest {
    @Test
    void mostSetsAreExactAndNextToAllWithinOne() {
        RepAccuracy reps = RepAccuracy.of(13, 16);
        reps.wrong().forEach(System.out::println);
        System.out.println(reps);
        assertThat(reps.exactShare()).isGreaterThanOrEqualTo(0.9);
        assertThat(reps.withinOneShare()).isGreaterThanOrEqualTo(0.98);
    }
}
