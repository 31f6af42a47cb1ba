package app.nosegay.listen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.CharRange;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Words in no dictionary, read by their letters. */
class LettersTest {
    private static final List<String> PHONES = Arrays.asList(
            ("AA AE AH AO AW AY B CH D DH EH ER EY F G HH IH IY JH K L M N NG OW OY P R S SH T TH UH UW V W Y Z ZH")
                    .split(" "));

    @ParameterizedTest
    @CsvSource({"plim, P L IH M", "shrub, SH R AH B", "zwiffle, Z W IH F L"})
    void plainWordsSoundAsTheyAreSpelt(String word, String phones) {
        assertThat(Letters.phones(word)).isEqualTo(phones);
    }

    /** Whatever the letters, only phones the model knows come out, and at least one. */
    @Property
    void onlyKnownPhonesComeOut(@ForAll @CharRange(from = 'a', to = 'z') @StringLength(min = 1, max = 14) String word) {
        assertThat(PHONES).containsAll(Arrays.asList(Letters.phones(word).split(" ")));
    }
}
