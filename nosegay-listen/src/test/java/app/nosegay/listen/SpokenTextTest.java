package app.nosegay.listen;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;

class SpokenTextTest {
    @Test
    void numbersSoundAsTheyAreSaid() {
        SpokenText text = SpokenText.of("12 squats, then 3-1-1.");
        assertThat(text.clauses()).containsExactly(List.of("twelve", "squats"), List.of("then", "three", "one", "one"));
        assertThat(text.token()).containsExactly(0, 1, 2, 3, 3, 3);
        assertThat(text.tokens()).containsExactly("12", "squats,", "then", "3-1-1.");
    }

    @Test
    void twentyFiveIsTwoWordsOfOneToken() {
        SpokenText text = SpokenText.of("Last 25 seconds");
        assertThat(text.clauses().get(0)).containsExactly("last", "twenty", "five", "seconds");
        assertThat(text.token()).containsExactly(0, 1, 1, 2);
    }

    @Test
    void aSpeakerMayStopWhereAMarkIs() {
        SpokenText text = SpokenText.of("Chest tall, don’t lean: breathe out…");
        assertThat(text.clauses())
                .containsExactly(List.of("chest", "tall"), List.of("don't", "lean"), List.of("breathe", "out"));
        assertThat(text.endsClause(1)).isTrue();
        assertThat(text.endsClause(2)).isFalse();
        assertThat(text.endsClause(5)).isTrue();
    }

    @Test
    void quotesAroundAWordAreNotPartOfIt() {
        assertThat(SpokenText.of("'Go' is the word").clauses().get(0)).containsExactly("go", "is", "the", "word");
    }

    /** Every spoken word belongs to a written one, in order, whatever was typed. */
    @Property
    void everySpokenWordBelongsToAWrittenOne(@ForAll @StringLength(min = 1, max = 60) String line) {
        if (line.isBlank()) {
            return;
        }
        SpokenText text = SpokenText.of(line);
        assertThat(text.size())
                .isEqualTo(text.clauses().stream().mapToInt(List::size).sum());
        int before = 0;
        for (int token : text.token()) {
            assertThat(token).isBetween(before, text.tokens().size() - 1);
            before = token;
        }
    }
}
