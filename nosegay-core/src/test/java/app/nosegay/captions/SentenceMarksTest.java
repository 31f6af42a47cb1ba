package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class SentenceMarksTest {
    private static final String SAID =
            "hello and welcome to my channel today we have five exercises forty seconds each with twenty seconds of rest "
                    + "lets begin with the goblet squat in three two one go chest up nice and slow halfway there keep going "
                    + "ten seconds left five four three two one and rest next up we have push ups so come down to the floor "
                    + "hands under the shoulders ready and go good job last one and relax";

    private static List<Caption> captions(String text, int words) {
        List<Caption> captions = new ArrayList<>();
        String[] said = text.split(" ");
        for (int i = 0; i < said.length; i += words) {
            Time<Axis.Take> at = Time.ofSeconds(i * 0.4);
            captions.add(new Caption(
                    at,
                    at.plus(Length.ofSeconds(words * 0.4)),
                    String.join(" ", List.of(said).subList(i, Math.min(said.length, i + words)))));
        }
        return captions;
    }

    private static String text(List<Caption> captions) {
        return String.join(" ", captions.stream().map(Caption::text).toList());
    }

    @Test
    void stopsAndCommasComeBackAndNoWordOrTimeChanges() {
        List<Caption> plain = captions(SAID, 7);
        List<Caption> marked = SentenceMarks.shipped().restored(plain);
        assertThat(text(marked))
                .contains("rest.")
                .containsPattern("three, two, one[.,] go")
                .contains("halfway there.");
        assertThat(text(marked).replaceAll("[.,]", "")).isEqualTo(SAID);
        assertThat(marked)
                .extracting(Caption::start)
                .isEqualTo(plain.stream().map(Caption::start).toList());
        assertThat(marked)
                .extracting(Caption::end)
                .isEqualTo(plain.stream().map(Caption::end).toList());
    }

    @Test
    void wordsWithTimesOfTheirOwnKeepThem() {
        List<Caption> timed =
                captions(SAID, 7).stream().map(c -> Caption.of(c.words())).toList();
        List<Caption> marked = SentenceMarks.shipped().restored(timed);
        for (int i = 0; i < timed.size(); i++) {
            assertThat(marked.get(i).words())
                    .extracting(Caption.Word::start)
                    .isEqualTo(timed.get(i).words().stream()
                            .map(Caption.Word::start)
                            .toList());
        }
    }

    @Test
    void whatHasMarksOrIsShortStaysAsItIs() {
        List<Caption> own = captions(SAID.replaceAll("(\\w+ \\w+ \\w+ \\w+ \\w+ \\w+)", "$1."), 7);
        assertThat(SentenceMarks.shipped().restored(own)).isEqualTo(own);
        List<Caption> few = captions("three two one go", 4);
        assertThat(SentenceMarks.shipped().restored(few)).isEqualTo(few);
    }

    @Test
    void longCaptionsAreSpreadOverTheirTimeAndShortOnesAreNot() {
        String twenty = String.join(" ", Collections.nCopies(20, "word"));
        Caption long_ = new Caption(Time.ofSeconds(0), Time.ofSeconds(30), twenty);
        assertThat(long_.words().get(19).end().seconds()).isEqualTo(30);
        Caption short_ = new Caption(Time.ofSeconds(0), Time.ofSeconds(30), "And rest.");
        assertThat(short_.words().get(1).end().seconds()).isLessThan(2);
    }

    @Test
    void likelihoodsAreThoseOfTheWeights() {
        LogisticModel model =
                LogisticModel.of(Map.of("a", Map.of("x", 2.0), "b", Map.of("x", -1.0)), Map.of("a", -1.0, "b", 0.0));
        assertThat(model.likely(Set.of("x")).get("a")).isCloseTo(1 / (1 + Math.exp(-1)), within(1e-9));
        assertThat(model.likely(Set.of("y")).get("b")).isEqualTo(0.5);
        assertThat(model.written()).startsWith("\ta\tb\n").contains("x\t200\t-100");
    }
}
