package app.nosegay.time;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.LongRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class TimeTest {
    @Property
    void whatIsAddedComesOffAgain(
            @ForAll @LongRange(min = -1_000_000_000L, max = 1_000_000_000L) long a,
            @ForAll @IntRange(min = -99, max = 99) int b) {
        Time<Axis.Plan> time = new Time<>(a);
        Length length = new Length(b);
        assertThat(time.plus(length).since(time)).isEqualTo(length);
        assertThat(time.plus(length).minus(length)).isEqualTo(time);
    }

    @Property
    void everyWholeSecondReadsBackAsWritten(@ForAll @IntRange(min = 0, max = 35_999) int seconds) {
        Length length = Length.ofSeconds(seconds);
        assertThat(DurationText.parse(length.clock())).contains(length);
    }

    @ParameterizedTest
    @CsvSource({"0,0:00", "40,0:40", "61,1:01", "3723,1:02:03", "17.5,0:17.5", "-5,-0:05"})
    void lengthsReadAsPeopleWriteThem(double seconds, String text) {
        assertThat(Length.ofSeconds(seconds)).hasToString(text);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "forty", "0:60", "1:60:00", "-5s", "1.5", "1::2"})
    void whatIsNoDurationIsRefused(String text) {
        assertThat(DurationText.parse(text)).isEmpty();
    }

    @Test
    void aSpanCannotEndBeforeItStarts() {
        Time<Axis.Cut> late = Time.ofSeconds(2);
        assertThatThrownBy(() -> new Span<>(late, Time.zero())).isInstanceOf(IllegalArgumentException.class);
        Span<Axis.Cut> span = new Span<>(Time.zero(), late);
        assertThat(span.contains(Time.zero())).isTrue();
        assertThat(span.contains(late)).isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "squat,1",
        "kettlebell,3",
        "press,1",
        "reverse lunge,3",
        "ten seconds,3",
        "10 seconds,3",
        "raised,1",
        "table,2"
    })
    void syllablesAreCountedAsSpoken(String text, int syllables) {
        assertThat(SpeechRate.syllables(text)).isEqualTo(syllables);
    }

    @Test
    void pausesCountInsideALineButNotAtItsEnd() {
        double plain = SpeechRate.DEFAULT.toSay("push up", false).seconds();
        assertThat(SpeechRate.DEFAULT.toSay("push, up.", false).seconds()).isCloseTo(plain + 0.25, within(1e-5));
        assertThat(SpeechRate.DEFAULT.toSay("push. up", false).seconds()).isCloseTo(plain + 0.5, within(1e-5));
        assertThat(SpeechRate.DEFAULT.toSay("push up", true)).isGreaterThan(SpeechRate.DEFAULT.toSay("push up", false));
    }

    @ParameterizedTest
    @CsvSource({"7,2", "12,1", "40,2", "45s,3", "\u0664\u0665,3", "99999999999,5", "rest,1", "one-sided,3"})
    void syllablesOfNumbersInAnyScriptAndOfWords(String text, int syllables) {
        assertThat(SpeechRate.syllables(text)).isEqualTo(syllables);
    }
}
