package app.nosegay.listen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.TreeSet;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

class PronunciationsTest {
    /** The phones the acoustic model knows. */
    private static final String PHONES =
            "AA AE AH AO AW AY B CH D DH EH ER EY F G HH IH IY JH K L M N NG OW OY P R S SH T TH UH UW V W Y Z ZH";

    @Test
    void everyWordOfMovesTheirCuesAndGearIsInADictionary() {
        TreeSet<String> missing = new TreeSet<>();
        for (String text : libraryText()) {
            for (String word : text.toLowerCase(Locale.ROOT).split("[^a-z']+")) {
                String bare = word.replaceAll("^'+|'+$", "");
                if (!bare.isEmpty() && !Pronunciations.known(bare)) {
                    missing.add(bare);
                }
            }
        }
        assertThat(missing).isEmpty();
    }

    @Test
    void joinedEndedAndUnknownWordsAreReadSomehow() {
        assertThat(Pronunciations.of("Kettlebell")).containsExactly("K EH T AH L B EH L");
        assertThat(Pronunciations.of("wheelbarrow's").get(0)).endsWith("Z");
        assertThat(Pronunciations.of("shoulderbench").get(0)).isEqualTo("SH OW L D ER B EH N CH");
        assertThat(Pronunciations.of("zwiffle").get(0)).isEqualTo("Z W IH F L");
        assertThat(Pronunciations.known("zwiffle")).isFalse();
    }

    @Test
    void onlyPhonesOfTheModelAreUsed() {
        List<String> known = Arrays.asList(PHONES.split(" "));
        for (String word : List.of("squat", "quoxthightsch", "knee", "xyzzy", "eau", "tempo", "amrap")) {
            for (String way : Pronunciations.of(word)) {
                assertThat(known).as(word).containsAll(Arrays.asList(way.split(" ")));
            }
        }
    }

    private static List<String> libraryText() {
        return MoveLibrary.shipped().moves().stream()
                .flatMap(m -> Stream.concat(
                        Stream.of(m.name(), String.join(" ", m.aliases()), String.join(" ", m.gear())),
                        m.cues().values().stream().flatMap(List::stream)))
                .toList();
    }
}
