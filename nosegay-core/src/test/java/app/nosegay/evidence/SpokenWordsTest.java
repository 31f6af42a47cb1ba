package app.nosegay.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.captions.Caption;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Words of captions laid over the stretches in which somebody speaks. */
class SpokenWordsTest {
    private static final String WORDS = "Goblet squats are next, take your time. Three, two, one, go! Halfway there.";
    private static final List<Span<Axis.Take>> STRETCHES = List.of(voice(3, 5.5), voice(12, 14), voice(30, 31));

    private static Span<Axis.Take> voice(double from, double to) {
        return new Span<>(Time.ofSeconds(from), Time.ofSeconds(to));
    }

    private static Caption caption(String text) {
        return new Caption(Time.zero(), Time.ofSeconds(40), text);
    }

    private static double at(List<Caption> laid, String word) {
        return laid.get(0).words().stream()
                .filter(w -> w.text().startsWith(word))
                .findFirst()
                .orElseThrow()
                .start()
                .seconds();
    }

    @Test
    void sentencesLieWhereTheVoiceIs() {
        List<Caption> laid = SpokenWords.laid(List.of(caption(WORDS)), STRETCHES);
        assertThat(at(laid, "Goblet")).isEqualTo(3);
        assertThat(at(laid, "Three")).isEqualTo(12);
        assertThat(at(laid, "Halfway")).isCloseTo(30, within(0.001));
        assertThat(laid.get(0).text()).isEqualTo(WORDS);
        assertThat(laid.get(0).end()).isEqualTo(Time.ofSeconds(40));
    }

    @Test
    void withoutMarksThePaceTellsWhereThePausesAre() {
        String bare = "goblet squats are next take your time three two one go halfway there";
        List<Caption> laid = SpokenWords.laid(List.of(caption(bare)), STRETCHES);
        assertThat(at(laid, "three")).isCloseTo(12, within(0.5));
        assertThat(at(laid, "there")).isCloseTo(30.5, within(0.5));
    }

    @Test
    void whatHasTimesOrWasNotHeardStays() {
        Caption timed = Caption.of(List.of(new Caption.Word(Time.ofSeconds(7), Time.ofSeconds(8), "Rest.")));
        assertThat(SpokenWords.laid(List.of(timed), STRETCHES)).containsExactly(timed);
        assertThat(SpokenWords.laid(List.of(caption(WORDS)), List.of())).containsExactly(caption(WORDS));
        assertThat(SpokenWords.laid(List.of(caption(WORDS)), List.of(voice(3, 3.5))))
                .as("a voice of half a second does not say all this")
                .containsExactly(caption(WORDS));
        assertThat(SpokenWords.laid(List.of(caption(" ")), STRETCHES)).containsExactly(caption(" "));
        assertThat(SpokenWords.laid(List.of(caption(WORDS)), List.of(voice(50, 60))))
                .as("a voice elsewhere")
                .containsExactly(caption(WORDS));
    }

    /** Whatever is said and heard: every word once, in order, inside its caption and while somebody speaks. */
    @Property(tries = 200)
    void everyWordLiesInAStretch(@ForAll long seed, @ForAll @IntRange(min = 1, max = 400) int words) {
        Random random = new Random(seed);
        List<String> said = new ArrayList<>();
        List<Span<Axis.Take>> stretches = new ArrayList<>();
        double at = random.nextDouble();
        for (int i = 0; i < words; i++) {
            said.add(List.of("squat", "and", "seconds.", "ten,", "again", "dumbbell")
                    .get(random.nextInt(6)));
        }
        while (at < words) {
            double length = 0.2 + 3 * random.nextDouble();
            stretches.add(voice(at, at + length));
            at += length + 0.3 + 2 * random.nextDouble();
        }
        Caption caption = new Caption(Time.ofSeconds(0.5), Time.ofSeconds(words + 0.5), String.join(" ", said));
        Caption laid = SpokenWords.laid(List.of(caption), stretches).get(0);
        assertThat(laid.words()).extracting(Caption.Word::text).containsExactlyElementsOf(said);
        assertThat(laid.words()).extracting(Caption.Word::start).isSorted();
        assertThat(laid.words()).allSatisfy(w -> assertThat(w.start()).isBetween(caption.start(), caption.end()));
        assertThat(laid.timed()).allSatisfy(w -> assertThat(stretches)
                .anyMatch(s -> !w.start().isBefore(s.start())
                        && w.end().seconds() <= s.end().seconds() + 0.001));
    }
}
