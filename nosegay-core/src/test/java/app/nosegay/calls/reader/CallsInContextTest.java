package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the plan told at the beginning, and what was done so far, tell of the words behind it. */
class CallsInContextTest extends SaidInATake {
    @ParameterizedTest
    @ValueSource(strings = {"push-ups", "glute bridges now", "okay push-ups with your hands wide", "then glute bridge"})
    void anotherMoveNamedWhenThisOneHasLastedItsTimeIsTheNext(String words) {
        say(0, "forty seconds on five seconds off")
                .say(5, "first up goblet squats")
                .say(10, "three two one go");
        say(49, words);
        assertThat(heard()).endsWith("next-up");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "the push-up you did before was harder",
                "squats like these are great",
                "your push-ups will thank you"
            })
    void inTheMiddleOfItNoneIs(String words) {
        say(0, "forty seconds on five seconds off")
                .say(5, "first up goblet squats")
                .say(10, "three two one go");
        say(25, words);
        assertThat(heard()).endsWith("count-in 3");
    }

    @Test
    void aGoLongAfterTheEndOfWorkIsAStart() {
        say(0, "forty seconds on twenty off").say(4, "goblet squats first").say(10, "go");
        say(25, "come on go").say(70, "go");
        assertThat(heard().stream().filter("start"::equals)).hasSize(2);
    }

    @Test
    void halfOfARestIsNoWork() {
        say(0, "ready set go")
                .say(40, "and rest")
                .say(50, "halfway through your rest")
                .say(60, "set two let's go");
        assertThat(heard()).containsExactly("start", "rest", "half-way", "ordinal 2", "start");
    }

    @Test
    void whatIsAnnouncedForLaterIsNotTheLastRepetition() {
        say(0, "ready set go").say(40, "and rest").say(45, "next up push-ups").say(50, "try one more rep this time");
        say(60, "go");
        assertThat(heard()).containsExactly("start", "rest", "next-up", "start");
    }

    @Test
    void theLastOneAtRestIsTheLastMove() {
        say(0, "ready set go").say(40, "and rest").say(45, "last one push-ups").say(55, "go");
        assertThat(heard()).containsExactly("start", "rest", "ordinal -1", "next-up", "start");
    }

    @ParameterizedTest
    @CsvSource({
        "'two down, three to go', rounds-left 3",
        "'thats one round done, four to go', rounds-left 4",
        "'one down, four to go', rounds-left 4"
    })
    void whatIsLeftIsOfWhatWasToldToBeAsMany(String words, String call) {
        say(0, "five rounds of push-ups")
                .say(5, "ready set go")
                .say(60, "and rest")
                .say(63, words);
        assertThat(heard()).contains(call);
    }

    @Test
    void aListOfMovesBringsNoneUp() {
        say(0, "today we do push-ups, glute bridges, and goblet squats").say(6, "four rounds");
        assertThat(heard()).containsExactly("total 4");
    }

    @Test
    void theBeatOfAnAlternatingMoveIsNoChangeOfSide() {
        say(0, "ready set go").say(8, "and switch").say(11, "and switch").say(30, "okay switch sides");
        assertThat(heard()).containsExactly("start", "switch-side");
    }

    @Test
    void aFigureThatIsJustWhatIsLeftIsTheTime() {
        say(0, "forty seconds on twenty off")
                .say(4, "goblet squats first")
                .say(10, "go")
                .say(44, "nearly there five");
        assertThat(heard()).endsWith("start", "seconds-left 5");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"we repeat each circuit\ntwice", "there are four\nexercises in it", "this is the last\nround"})
    void captionsBreakLinesAnywhere(String words) {
        String[] lines = words.split("\n");
        say(0, "ready set go").say(20, "and rest");
        int before = heard().size();
        say(30, lines[0]).say(30 + lines[0].split(" ").length * 0.4 + 1.2, lines[1]);
        assertThat(heard()).hasSize(before + 1);
    }
}
