package app.nosegay.calls.phrase;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.calls.CallKind;
import java.util.List;
import org.junit.jupiter.api.Test;

class PhraseFileTest {
    @Test
    void aRuleHasAKindWhatItIsOfAValueAndWordings() {
        List<CallRule> rules = PhraseFile.rules("t", """
                # how people say half
                half-way [interval]
                  |halfway there
                  |half (?:is|was)
                  + over

                rounds-left = 1
                  |one more round
                never
                  |half a lemon
                """);
        assertThat(rules).extracting(CallRule::kind).containsExactly(CallKind.HALF_WAY, CallKind.ROUNDS_LEFT, null);
        assertThat(rules.get(0).of()).isEqualTo("interval");
        assertThat(rules.get(0).value()).isNull();
        assertThat(rules.get(1).value()).isEqualTo(1);
        assertThat(rules.get(0).pattern().matcher(" halfway there ").find()).isTrue();
        assertThat(rules.get(0).pattern().matcher(" half was over ").find()).isTrue();
        assertThat(rules.get(0).pattern().matcher(" half was ").find()).isFalse();
        assertThat(rules.get(2).pattern().matcher(" half a lemon ").find()).isTrue();
    }

    @Test
    void aLineThatIsNeitherIsSaidWithItsNumber() {
        assertThatThrownBy(() -> PhraseFile.rules("t.phrases", "half-way\n  |half\n half too\n"))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("t.phrases, line 3");
    }

    @Test
    void everyShippedFileHasRules() {
        assertThat(CallPatterns.RULES).hasSizeGreaterThan(100);
        assertThat(CallPatterns.INTRODUCTIONS).isNotEmpty();
    }
}
