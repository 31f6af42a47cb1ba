package app.nosegay.calls.phrase;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class BeginningsTest {
    private static final List<String> WORDS = Arrays.asList(
            ("half way there . 10 seconds left next up is a goblet squat 3 2 1 and rest we have 4 more exercises , last "
                            + "round of this block switch sides 8 more reps one down two to go exercise number 5 you are done "
                            + "keep your back flat breathe out push through the heels 40 seconds on 20 off good work team")
                    .split(" "));

    @Property(tries = 40)
    void noCallBeginsAnywhereElse(@ForAll Random random) {
        StringBuilder text = new StringBuilder(" ");
        for (int i = 0; i < 120; i++) {
            text.append(WORDS.get(random.nextInt(WORDS.size()))).append(' ');
        }
        StringBuilder struck = new StringBuilder(text);
        for (int i = 0; i < 30; i++) {
            struck.setCharAt(1 + random.nextInt(struck.length() - 2), '_');
        }
        Beginnings beginnings = new Beginnings(text.toString());
        for (String heard : List.of(text.toString(), struck.toString())) {
            for (CallRule rule : CallPatterns.RULES) {
                TreeSet<Integer> places = new TreeSet<>();
                Arrays.stream(beginnings.of(rule.pattern(), heard)).forEach(places::add);
                Matcher m = rule.pattern().matcher(heard);
                // Where characters are struck out at random, so may be spaces: a word can begin there no more.
                while (m.find()) {
                    boolean isWord = text.charAt(m.start() - 1) == ' ';
                    assertThat(!isWord || places.contains(m.start()))
                            .as(rule.pattern() + " at " + heard.substring(m.start()))
                            .isTrue();
                }
            }
        }
    }

    @Test
    void aWordThatBeginsNoneIsLeftOut() {
        String text = " keep going half way there half way ";
        assertThat(new Beginnings(text).of(Pattern.compile("(?<= )(?:half way)(?= )"), text))
                .containsExactly(12, 27);
        assertThat(Beginnings.withoutLookBehind("(?<=[.)] )(?:a(?<!\\)x)b|\\(?<)c"))
                .isEqualTo("(?:ab|\\(?<)c");
    }
}
