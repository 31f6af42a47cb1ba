package app.nosegay.calls.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Random;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class FirstLettersTest {
    private static final String ALTERNATIVES = "press(?:es)?|(?:push|press|sit) ups?|squats?|sit|(?!(?:he|she) lifts)"
            + "[a-z]+ lifts|pull ?(?:downs?|overs?)|(?:squat|box) jumps?|x(?:\\(|\\|)?y|box";

    private static final List<String> WORDS = List.of(
            "press",
            "presses",
            "push",
            "up",
            "ups",
            "squat",
            "squats",
            "sit",
            "he",
            "lifts",
            "leg",
            "pull",
            "pulldown",
            "over",
            "box",
            "jump",
            "jumps",
            "xy",
            "x(y",
            "x|y",
            "the");

    /** Sorted by letters, the same is found in the same places. */
    @Property
    void nothingElseIsFound(@ForAll Random random) {
        String text = random.ints(40, 0, WORDS.size()).mapToObj(WORDS::get).collect(Collectors.joining(" ", " ", " "));
        Matcher plain = Pattern.compile("(?:" + ALTERNATIVES + ")(?= )").matcher(text);
        Matcher sorted =
                Pattern.compile(FirstLetters.of(ALTERNATIVES) + "(?= )").matcher(text);
        while (plain.find()) {
            assertThat(sorted.find()).isTrue();
            assertThat(sorted.toMatchResult().group()).isEqualTo(plain.group());
            assertThat(sorted.start()).isEqualTo(plain.start());
        }
        assertThat(sorted.find()).isFalse();
    }

    @Test
    void whatCannotBeginWithALetterIsNotTriedThere() {
        assertThat(FirstLetters.of("squats?|rows?|(?:step|pull) ups"))
                .isEqualTo("(?:(?=p)(?:(?:step|pull) ups)|(?=r)(?:rows?)|(?=s)(?:squats?|(?:step|pull) ups))");
    }
}
