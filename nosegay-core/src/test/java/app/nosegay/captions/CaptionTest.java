package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.time.Time;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

/** When the words of a caption are said that has no times of its own. */
class CaptionTest {
    private static final List<String> WORDS =
            List.of("five", "4", "three,", "two", "one", "and", "rest.", "dumbbell", "a", "–", "shoulders", "12");

    private static List<Caption.Word> words(double from, double to, String text) {
        return new Caption(Time.ofSeconds(from), Time.ofSeconds(to), text).words();
    }

    private static double start(List<Caption.Word> words, String word) {
        return words.stream()
                .filter(w -> w.text().equals(word))
                .findFirst()
                .orElseThrow()
                .start()
                .seconds();
    }

    @Test
    void aCountGoesByTheSecond() {
        List<Caption.Word> words = words(10, 16, "Five, four, three, two, one, and rest.");
        assertThat(start(words, "two,") - start(words, "three,")).isBetween(0.8, 1.2);
        assertThat(start(words, "rest.")).isBetween(14.5, 16.0);
    }

    @Test
    void aNumberAloneIsAWordLikeAnyOther() {
        List<Caption.Word> words = words(0, 2, "Give me two more of those");
        assertThat(start(words, "more") - start(words, "two")).isLessThan(0.45);
    }

    @Test
    void aLineThatStaysUpIsNotStretchedOverTheSilence() {
        List<Caption.Word> words = words(0, 30, "Chest up and breathe");
        assertThat(words.get(words.size() - 1).end().seconds()).isLessThan(4);
    }

    @Property
    void wordsFollowEachOtherInsideTheCaption(
            @ForAll @Size(min = 1, max = 30) List<@net.jqwik.api.constraints.IntRange(max = 11) Integer> picks,
            @ForAll @DoubleRange(min = 0, max = 7000) double from,
            @ForAll @DoubleRange(min = 0, max = 60) double length) {
        String text = String.join(" ", picks.stream().map(WORDS::get).toList());
        List<Caption.Word> words = words(from, from + length, text);
        assertThat(words).hasSize(picks.size());
        double last = from - 1e-6;
        for (Caption.Word w : words) {
            assertThat(w.start().seconds()).isGreaterThanOrEqualTo(last);
            assertThat(w.end()).isGreaterThanOrEqualTo(w.start());
            last = w.start().seconds();
        }
        // Never beyond the caption, but for one too short to be read.
        assertThat(words.get(words.size() - 1).end().seconds())
                .isLessThanOrEqualTo(from + Math.max(length, 0.2) + 1e-3);
    }

    @Property
    void ofTheSameLineALongerCaptionNeverEndsEarlier(
            @ForAll @Size(min = 1, max = 12) List<@net.jqwik.api.constraints.IntRange(max = 11) Integer> picks,
            @ForAll @DoubleRange(min = 0.5, max = 20) double length,
            @ForAll @DoubleRange(min = 0, max = 20) double more) {
        String text = String.join(" ", picks.stream().map(WORDS::get).toList());
        List<Caption.Word> shorter = words(0, length, text);
        List<Caption.Word> longer = words(0, length + more, text);
        for (int i = 0; i < shorter.size(); i++) {
            assertThat(longer.get(i).start().seconds())
                    .isGreaterThanOrEqualTo(shorter.get(i).start().seconds() - 1e-5);
        }
    }
}
