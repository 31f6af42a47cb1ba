package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Words that are calls only where one is expected: each is tried where it is and where it is not. */
class ExpectedCallsTest extends SaidInATake {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "and down",
                "okay down",
                "drop it",
                "and sit back",
                "good job",
                "done",
                "let it go",
                "bring it in",
                "and recover",
                "nice",
                "and gently lower the knees",
                "take a seat"
            })
    void endsWorkWhereTheEndWasForetold(String words) {
        say(0, "ready set go").say(30, "ten seconds").say(40, words);
        assertThat(heard()).containsExactly("start", "seconds-left 10", "rest");
    }

    @ParameterizedTest
    @ValueSource(strings = {"and down", "drop it", "and sit back", "good job", "let it go", "nice", "lower the knees"})
    void isAdviceInTheMiddleOfWork(String words) {
        say(0, "ready set go").say(15, words).say(50, "and rest");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"and lift", "up we go", "hit it", "whenever you are ready", "begin walking", "and squat it"})
    void startsWorkWhereAMoveWasBroughtUp(String words) {
        say(0, "ready set go")
                .say(40, "and rest")
                .say(44, "next up we have push ups")
                .say(56, words);
        assertThat(heard()).containsExactly("start", "rest", "next-up", "start");
    }

    @ParameterizedTest
    @ValueSource(strings = {"and lift", "up we go", "hit it", "and squat it"})
    void onlyGoesOnWhileWorking(String words) {
        say(0, "ready set go").say(12, words).say(40, "and rest");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @Test
    void aNameInARestWithoutOneBringsItUp() {
        say(0, "ready set go").say(40, "and rest").say(43, "so you want your bench here for the goblet squats");
        assertThat(heard()).containsExactly("start", "rest", "next-up");
    }

    @Test
    void aNameThatLooksBackDoesNot() {
        say(0, "ready set go").say(40, "and rest").say(43, "how did you like those goblet squats");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @Test
    void aNameAtTheForetoldEndTakesThePlaceOfARest() {
        say(0, "ready set go").say(30, "ten seconds").say(40, "push ups").say(43, "here we go");
        assertThat(heard()).containsExactly("start", "seconds-left 10", "next-up", "start");
    }

    @ParameterizedTest
    @CsvSource({"fifteen down, true", "that's fifteen, true", "that's twenty, false", "twelve down, false"})
    void halfIsToldByTheSecondsThatAreOver(String words, boolean half) {
        say(0, "we work for thirty seconds").say(5, "ready set go").say(20, words);
        assertThat(heard().contains("half-way")).isEqualTo(half);
    }

    @Test
    void aBareNumberIsTimeLeftWhereWorkGoesByTheClock() {
        say(0, "we work for forty seconds")
                .say(5, "ready set go")
                .say(35, "ten")
                .say(40, "five");
        assertThat(heard()).containsExactly("total 40", "start", "seconds-left 10", "seconds-left 5");
    }

    @Test
    void aBareNumberIsNothingWhereItGoesByRepetitions() {
        say(0, "ready set go").say(20, "ten").say(40, "and rest");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @Test
    void oneLessThanWasLeftIsLeft() {
        say(0, "ready set go").say(20, "three more").say(23, "two").say(26, "and the last");
        assertThat(heard()).containsExactly("start", "reps-left 3", "reps-left 2", "last-rep");
    }

    @Test
    void figuresBeforeAnythingBeganAreOfThePlan() {
        say(0, "forty seconds and then twenty seconds to recover").say(8, "twice through");
        assertThat(heard()).containsExactly("total 40", "total 20", "total 2");
    }

    @Test
    void aNameRightBehindACountIsTheNextMove() {
        say(0, "three two one go")
                .say(5, "one two three four five")
                .say(9, "now goblet squats")
                .say(12, "one two three four five");
        assertThat(heard()).containsExactly("count-in 3", "rep-count 1", "next-up", "rep-count 1");
    }

    @Test
    void aMinuteAtRestIsItsLength() {
        say(0, "ready set go").say(40, "and rest").say(44, "take a minute");
        assertThat(heard()).containsExactly("start", "rest", "seconds-left 60");
    }

    @Test
    void aCountBehindSoManyCountsIsATempo() {
        say(0, "ready set go").say(10, "three counts down. one two three").say(50, "and rest");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @Test
    void theMarkOfHalfTheSecondsIsHalfWay() {
        say(0, "we work for one minute each").say(5, "ready set go").say(35, "we're at the thirty second mark");
        assertThat(heard()).containsExactly("total 60", "start", "half-way");
    }

    @ParameterizedTest
    @ValueSource(strings = {"and go", "and lift", "off we go", "begin"})
    void startsAgainBehindAChangeOfSide(String words) {
        say(0, "ready set go")
                .say(30, "and switch to the other leg")
                .say(36, words)
                .say(70, "and rest");
        assertThat(heard()).containsExactly("start", "switch-side", "start", "rest");
    }

    @Test
    void theBeatOfAnAlternatingMoveStartsNothing() {
        say(0, "ready set go").say(10, "and switch").say(14, "and switch").say(18, "and switch");
        say(21, "and lift").say(50, "and rest");
        assertThat(heard()).containsExactly("start", "rest");
    }

    @Test
    void whatWorkIsSaidToLastWhenItStartsSaysWhenItsHalfIsOver() {
        say(0, "next up we have push ups").say(6, "starting the timer for one minute");
        say(38, "thirty seconds in").say(66, "and rest");
        assertThat(heard()).containsExactly("next-up", "start", "seconds-left 60", "half-way", "rest");
    }

    @Test
    void thirtySecondsInIsNoHalfOfWorkOfAnotherLength() {
        say(0, "forty seconds on twenty seconds off").say(6, "ready set go").say(36, "thirty seconds in");
        assertThat(heard()).containsExactly("total 40", "total 20", "start");
    }

    @ParameterizedTest
    @CsvSource({
        "twelve eleven ten nine eight seven six five four three two one, rep-count 12",
        "five four three two one, count-in 5"
    })
    void longCountsDownAreOfRepetitions(String count, String call) {
        say(0, "next up we have push ups").say(5, "here we go " + count);
        assertThat(heard()).contains("next-up", call);
    }

    @ParameterizedTest
    @CsvSource({"'last three', 17, seconds-left 3", "'last three', 6, reps-left 3"})
    void theLastFewOfWorkByTheClockAreSecondsAtItsEnd(String words, double at, String call) {
        say(0, "twenty seconds on ten seconds off eight rounds").say(6, "three two one go");
        say(8 + at, words);
        assertThat(heard()).contains(call);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "if anything hurts, stop, and check with your doctor",
                "let's go, this is a twenty minute workout",
                "breathe at the top",
                "hold it for three seconds",
                "that's push ups finished"
            })
    void isNeitherAStartNorARest(String words) {
        say(0, words);
        assertThat(heard()).doesNotContain("rest", "start", "next-up", "seconds-left 3");
    }

    @Test
    void lettersDrawnOutAreTheWordItself() {
        say(0, "ready set go").say(30, "ten seconds").say(39, "aaand done");
        assertThat(heard()).containsExactly("start", "seconds-left 10", "rest");
    }

    /** The very first thing that starts work is the name of a move, told to do. */
    @Test
    void aMoveToldToDoStartsTheFirstWork() {
        say(0, "next up we have push ups").say(8, "ready").say(10, "And press").say(40, "and rest");
        assertThat(heard()).containsExactly("next-up", "start", "rest");
    }
}
