package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class WordAlignmentTest {
    private static List<String> words(String text) {
        return List.of(text.split(" "));
    }

    @Test
    void wordsLeftOutAddedAndReplacedDoNotDisplaceTheOthers() {
        int[] found =
                WordAlignment.of(words("feet wide sit back and stand tall"), words("so feet wide and now stand up"));
        assertThat(found).containsExactly(1, 2, -1, -1, 3, 5, -1);
    }

    @Test
    void anEmptyTextHasNoPartners() {
        assertThat(WordAlignment.of(words("one two"), List.of())).containsExactly(-1, -1);
        assertThat(WordAlignment.of(List.of(), words("one two"))).isEmpty();
    }

    /** Texts so long that they are halved many times: all that was not cut out is found again where it stands. */
    @Test
    void inLongTextsHalvingLosesNothing() {
        Random random = new Random(4);
        List<String> one = new ArrayList<>();
        List<Integer> kept = new ArrayList<>();
        List<String> other = new ArrayList<>();
        for (int i = 0; i < 6_000; i++) {
            one.add("w" + i);
            if (random.nextInt(5) > 0) {
                kept.add(i);
                other.add("w" + i);
            }
            other.addAll(Collections.nCopies(random.nextInt(3), "um"));
        }
        int[] found = WordAlignment.of(one, other);
        for (int i = 0; i < one.size(); i++) {
            assertThat(found[i] >= 0).isEqualTo(kept.contains(i));
            assertThat(found[i] < 0 || other.get(found[i]).equals(one.get(i))).isTrue();
        }
    }

    @Property(tries = 300)
    void partnersAreTheSameWordInTheSameOrder(
            @ForAll @Size(max = 40) List<@IntRange(max = 6) Integer> a,
            @ForAll @Size(max = 40) List<@IntRange(max = 6) Integer> b) {
        List<String> one = a.stream().map(String::valueOf).toList();
        List<String> other = b.stream().map(String::valueOf).toList();
        int last = -1;
        int[] found = WordAlignment.of(one, other);
        assertThat(found).hasSameSizeAs(one);
        for (int i = 0; i < found.length; i++) {
            if (found[i] >= 0) {
                assertThat(other.get(found[i])).isEqualTo(one.get(i));
                assertThat(found[i]).isGreaterThan(last);
                last = found[i];
            }
        }
    }
}
