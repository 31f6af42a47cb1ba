package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

/** The same words mean something else by what went before. */
class CallMeaningTest extends SaidInATake {
    @Test
    void aCountEndsWorkAndStartsItAfterARest() {
        say(0, "ready set go").say(37, "three two one").say(40, "and rest").say(57, "three two one");
        assertThat(heard()).containsExactly("start", "count-out 3", "rest", "count-in 3");
    }

    @Test
    void letsGoCheersWhileWorking() {
        say(0, "let's go").say(20, "come on let's go").say(40, "and rest").say(60, "let's go");
        assertThat(heard()).containsExactly("start", "rest", "start");
    }

    @Test
    void aRestNobodyAnnouncedDoesNotTurnAllThatFollows() {
        say(0, "we work for forty seconds")
                .say(5, "and begin")
                .say(70, "goblet squat")
                .say(75, "here we go");
        assertThat(heard()).containsExactly("total 40", "start", "next-up", "start");
    }

    @Test
    void beginIsNeverACheer() {
        say(0, "and begin").say(30, "and begin");
        assertThat(heard()).containsExactly("start", "start");
    }

    @Test
    void aNewMoveBroughtUpMakesTheNextCountAStart() {
        say(0, "ready set go").say(45, "next up we have push ups").say(58, "three two one");
        assertThat(heard()).containsExactly("start", "next-up", "count-in 3");
    }

    @Test
    void unlessTheEndWasForetold() {
        say(0, "ready set go")
                .say(30, "ten seconds left")
                .say(33, "next up we have push ups")
                .say(37, "three two one");
        assertThat(heard()).containsExactly("start", "seconds-left 10", "next-up", "count-out 3");
    }

    @Test
    void someDownSomeToGoIsOfRoundsAtRestAndOfRepsAtWork() {
        say(0, "and rest").say(4, "round one done two to go");
        assertThat(heard()).contains("rounds-left 2");
        captions.clear();
        say(0, "ready set go").say(12, "six down four to go");
        assertThat(heard()).containsExactly("start", "reps-left 4");
    }

    @Test
    void takeTwentyIsARestAtTheEndOfASetAndTheTimeLeftInOne() {
        say(0, "ready set go").say(30, "take twenty seconds here");
        assertThat(heard()).containsExactly("start", "rest");
        captions.clear();
        say(0, "ready set go").say(30, "and rest").say(40, "take twenty seconds here");
        assertThat(heard()).containsExactly("start", "rest", "seconds-left 20");
    }

    @Test
    void lastFiveAreSecondsWhereOnlySecondsWereCalled() {
        say(0, "ready set go").say(20, "fifteen seconds left").say(30, "last five");
        assertThat(heard()).containsExactly("start", "seconds-left 15", "seconds-left 5");
        captions.clear();
        say(0, "ready set go").say(10, "one two three four").say(30, "last five");
        assertThat(heard()).containsExactly("start", "rep-count 1", "reps-left 5");
    }

    @Test
    void weightsDownEndsASetOnlyAfterItsCount() {
        say(0, "ready set go")
                .say(20, "put the weights down if you need to")
                .say(37, "three two one")
                .say(40, "weights down");
        assertThat(heard()).containsExactly("start", "count-out 3", "rest");
    }

    @Test
    void theSameThingSaidTwiceInOneBreathIsOneCall() {
        say(0, "ready set go").say(25, "ten seconds").say(26.5, "ten seconds").say(33, "two more two more");
        assertThat(heard()).containsExactly("start", "seconds-left 10", "reps-left 2");
    }

    @Test
    void aChangeOfSideAtRestDoesNotStartWork() {
        say(0, "ready set go").say(40, "and rest").say(44, "other side").say(58, "off we go");
        assertThat(heard()).containsExactly("start", "rest", "switch-side", "start");
    }
}
