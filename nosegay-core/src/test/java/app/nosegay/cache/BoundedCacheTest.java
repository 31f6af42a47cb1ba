package app.nosegay.cache;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.concurrent.atomic.AtomicInteger;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class BoundedCacheTest {
    private record Square(int of) {}

    private record Half(int of) {}

    @Test
    void anAnswerIsWorkedOutOnce() {
        AtomicInteger asked = new AtomicInteger();
        BoundedCache<Integer, Integer> squares = new BoundedCache<>(3);
        for (int i = 0; i < 5; i++) {
            assertThat(squares.get(7, () -> {
                        asked.incrementAndGet();
                        return 49;
                    }))
                    .isEqualTo(49);
        }
        assertThat(asked).hasValue(1);
    }

    @Test
    void theOneNotAskedForTheLongestGoesFirst() {
        BoundedCache<String, String> cache = new BoundedCache<>(2);
        cache.get("a", () -> "first");
        cache.get("b", () -> "first");
        cache.get("a", () -> "again");
        cache.get("c", () -> "first");
        assertThat(cache.get("a", () -> "again")).isEqualTo("first");
        assertThat(cache.get("b", () -> "again")).isEqualTo("again");
    }

    /** However it is asked: never more than its bound, always the right answer. */
    @Property
    void itNeverGrowsBeyondItsBoundAndNeverErrs(
            @ForAll @IntRange(min = 1, max = 8) int most,
            @ForAll @Size(max = 60) List<@IntRange(min = 0, max = 20) Integer> asked) {
        BoundedCache<Integer, Integer> squares = new BoundedCache<>(most);
        for (int n : asked) {
            assertThat(squares.get(n, () -> n * n)).isEqualTo(n * n);
            assertThat(squares.size()).isLessThanOrEqualTo(most);
        }
    }

    @Test
    void eachKindOfQuestionHasABoundOfItsOwn() {
        Derived derived = new Derived();
        AtomicInteger halves = new AtomicInteger();
        for (int i = 0; i < 10; i++) {
            int n = i;
            assertThat(derived.<Integer>get(1, new Square(n), () -> n * n)).isEqualTo(n * n);
            assertThat(derived.<Integer>get(1, new Half(4), () -> {
                        halves.incrementAndGet();
                        return 2;
                    }))
                    .isEqualTo(2);
        }
        assertThat(halves).hasValue(1);
    }
}
