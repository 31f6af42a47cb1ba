package app.nosegay.captions;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.calls.phrase.CountRuns;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import net.jqwik.api.constraints.Size;
import net.jqwik.api.constraints.StringLength;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A transcript as one line of plain words: spellings, numbers, where a sentence ends, and the time of everything. */
class SpeechTest {
    private static Caption line(double from, double to, String text) {
        return new Caption(Time.ofSeconds(from), Time.ofSeconds(to), text);
    }

    private static String plain(String text) {
        return new Speech(List.of(line(0, 10, text))).text().strip();
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            thirty-five seconds      | 35 seconds .
            Twenty five, then rest   | 25 , then rest .
            twenty, five             | 20 , 5 .
            10secs left              | 10 seconds left .
            30s on, 15s off          | 30 seconds on , 15 seconds off .
            8-10 reps                | 8 to 10 reps .
            half way there           | halfway there .
            half weigh               | halfway .
            let us go                | lets go .
            we're, you'll, don't     | we are , you will , do not .
            we’re ready              | we are ready .
            to more                  | 2 more .
            squats to more           | squats to more .
            all right here we go     | okay here we go .
            sooo good                | so good .
            three... two... one...   | 3 2 1 .
            [Music] and rest         | and rest .
            ♪ and rest ♪             | and rest .
            >> Ready? >> Ready.      | ready . ready .
            side-plank/left          | side plank left .
            exercise two's a row     | exercise 2 is a row .
            call 123456 now          | call figure now .
            """)
    void wordsAreWrittenInOneWay(String said, String plain) {
        assertThat(plain(said)).isEqualTo(plain);
    }

    /** "Aaand lift": what is drawn out begins something of its own. */
    @Test
    void anAndThatIsDrawnOutBeginsAPhrase() {
        assertThat(plain("arms by your sides aaaand lift")).isEqualTo("arms by your sides . and lift .");
        assertThat(plain("sides and lift")).isEqualTo("sides and lift .");
    }

    @Test
    void aPauseEndsASentenceAndTheEndOfALineDoesNot() {
        assertThat(new Speech(List.of(line(0, 1, "keep breathing"), line(1.1, 2, "ten seconds"))).text())
                .isEqualTo(" keep breathing 10 seconds . ");
        assertThat(new Speech(List.of(line(0, 1, "keep breathing"), line(4, 5, "ten seconds"))).text())
                .isEqualTo(" keep breathing . 10 seconds . ");
    }

    /** Captions break lines anywhere: no sentence ends with "the" or between a number and what it counts. */
    @Test
    void whatBelongsTogetherIsNotParted() {
        assertThat(new Speech(List.of(line(0, 1, "we have two"), line(2.4, 4, "exercises in this"))).text())
                .isEqualTo(" we have 2 exercises in this . ");
        assertThat(new Speech(List.of(line(0, 1, "this is the"), line(2.4, 4, "last round"))).text())
                .isEqualTo(" this is the last round . ");
        assertThat(new Speech(List.of(line(0, 1, "this is the"), line(9, 10, "last round"))).text())
                .as("nobody takes a breath as long as that")
                .isEqualTo(" this is the . last round . ");
    }

    @Test
    void ofNothingThereIsNothing() {
        assertThat(new Speech(List.of()).isEmpty()).isTrue();
        assertThat(new Speech(List.of(line(0, 2, "[Applause]"))).isEmpty()).isTrue();
        assertThat(new Speech(List.of(line(0, 2, " ... "))).isEmpty()).isTrue();
    }

    @Test
    void everyPlaceHasItsTimeAndItsOwnWords() {
        Speech speech = new Speech(List.of(line(3, 4, "Twenty-five seconds"), line(60, 62, "and Rest, everybody!")));
        String text = speech.text();
        assertThat(speech.start(text.indexOf("25")).seconds()).isEqualTo(3);
        int rest = text.indexOf("rest");
        assertThat(speech.start(rest).seconds()).isBetween(60.0, 61.5);
        assertThat(speech.asSaid(rest, rest + 4)).isEqualTo("Rest,");
        assertThat(speech.asSaid(text.indexOf("25"), text.indexOf("25") + 10)).isEqualTo("Twenty-five seconds");
        assertThat(speech.soonAfter(text.indexOf(" .") + 1))
                .as("a minute later")
                .doesNotContain("rest");
        assertThat(speech.soonBefore(rest)).contains("and").doesNotContain("25");
    }

    /** Whatever is in it: plain characters, single spaces, times that never go back. */
    @Property(tries = 200)
    void anyTextBecomesPlainWordsInOrder(
            @ForAll @Size(max = 8) List<@StringLength(max = 40) String> lines, @ForAll @IntRange(max = 5) int gap) {
        List<Caption> captions = new ArrayList<>();
        for (int i = 0; i < lines.size(); i++) {
            captions.add(line(i * (2 + gap), i * (2 + gap) + 2, lines.get(i)));
        }
        Speech speech = new Speech(captions);
        String text = speech.text();
        assertThat(text)
                .startsWith(" ")
                .doesNotContain("  ")
                .doesNotContain(". .")
                .doesNotContain(", ,");
        for (int at = 1; !speech.isEmpty() && at < text.length(); at++) {
            assertThat(speech.start(at)).isGreaterThanOrEqualTo(speech.start(at - 1));
            assertThat(speech.end(at)).isGreaterThanOrEqualTo(speech.start(at));
        }
    }

    private static List<CountRuns.Run> counts(String text) {
        return CountRuns.in(new Speech(List.of(line(0, 8, text))));
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            five four three two one             | 5 | 1
            in three two and go                 | 3 | 2
            three to one rest                   | 3 | 1
            one two three four                  | 1 | 4
            three, keep breathing, two, and one | 3 | 1
            three two and sit                   | 3 | 2
            """)
    void numbersInARowAreACount(String text, int first, int last) {
        assertThat(counts(text)).singleElement().satisfies(r -> {
            assertThat(r.first()).isEqualTo(first);
            assertThat(r.last()).isEqualTo(last);
            assertThat(r.isDown()).isEqualTo(last < first);
            assertThat(r.length()).isEqualTo(Math.abs(last - first) + 1);
        });
    }

    @ParameterizedTest
    @CsvSource({
        "one two one two one two",
        "two sets of three",
        "ten seconds nine reps",
        "two down one up",
        "round two one more",
        "exercise three two more",
        "five times four"
    })
    void whatOnlyLooksLikeOneIsNone(String text) {
        assertThat(counts(text)).isEmpty();
    }

    @Property(tries = 100)
    void everyCountDownIsOneRunWithAllItsNumbers(@ForAll @IntRange(min = 3, max = 20) int from) {
        List<Caption> captions = new ArrayList<>();
        for (int n = from; n >= 1; n--) {
            double at = 10 + (from - n) * 1.5;
            captions.add(line(at, at + 0.6, String.valueOf(n)));
        }
        assertThat(CountRuns.in(new Speech(captions))).singleElement().satisfies(r -> {
            assertThat(r.numbers()).hasSize(from);
            assertThat(r.secondsEach()).isBetween(1.4, 1.6);
            assertThat(r.isDown()).isTrue();
        });
    }
}
