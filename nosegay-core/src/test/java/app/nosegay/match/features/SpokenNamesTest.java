package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.reader.CallReader;
import app.nosegay.captions.Caption;
import app.nosegay.time.Time;
import java.util.List;
import org.junit.jupiter.api.Test;

class SpokenNamesTest {
    private static final List<String> MOVES =
            List.of("goblet squat", "bodyweight squat", "push-up", "bent-over row", "march in place");

    private static List<SpokenNames.Mention> named(String text) {
        List<Caption> said = List.of(new Caption(Time.ofSeconds(10), Time.ofSeconds(14), text));
        return SpokenNames.in(said, MOVES, CallReader.read(said, MOVES));
    }

    private static double weight(String text, String move) {
        return named(text).stream()
                .filter(m -> m.move().equals(move))
                .mapToDouble(SpokenNames.Mention::weight)
                .sum();
    }

    @Test
    void aNameIsKnownInThePluralAndWithOtherHyphens() {
        assertThat(weight("we do push ups now", "push-up")).isEqualTo(1);
        assertThat(weight("Goblet-squats, slowly", "goblet squat")).isEqualTo(1);
        assertThat(named("sit back and breathe")).isEmpty();
    }

    @Test
    void theLastWordAloneTellsLessAndIsSharedByMovesThatHaveIt() {
        double row = weight("keep the rows tight", "bent-over row");
        assertThat(row).isBetween(0.1, 0.9);
        assertThat(weight("keep the squats low", "goblet squat")).isEqualTo(row / 2);
        assertThat(weight("keep the squats low", "bodyweight squat")).isEqualTo(row / 2);
        assertThat(weight("stay in place", "march in place")).isZero();
    }

    @Test
    void whatIsAnnouncedTellsMore() {
        assertThat(weight("next up we have rows", "bent-over row"))
                .isGreaterThan(weight("keep the rows tight", "bent-over row"));
        assertThat(weight("next up we have goblet squats", "goblet squat")).isEqualTo(2);
    }

    @Test
    void aMentionHasTheTimeOfItsWord() {
        assertThat(named("and then after that the rows").get(0).time()).isGreaterThan(Time.ofSeconds(10.5));
    }
}
