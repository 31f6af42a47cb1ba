package app.nosegay.calls;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** What is said when something went wrong, and what only sounds like it. */
class FluffTest {
    @ParameterizedTest
    @ValueSource(
            strings = {
                "Sorry, again from here.",
                "oh hang on sorry my mat slipped let me do that again",
                "hang on there is someone at the door",
                "hang on a second",
                "wait hang on which leg was that",
                "whoops, wrong dumbbell",
                "let me start over",
                "okay let's take that again",
                "I messed that up",
                "sorry about that where were we",
                "hold on a minute the timer stopped",
                "I'll just say that again",
                "what am I doing",
                "cut that"
            })
    void somethingWentWrong(String words) {
        assertThat(Fluffs.isFluff(words)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "fifteen seconds hang on",
                "hang on in there you are nearly done",
                "step back together and do it again",
                "we are going to do that again on the other side",
                "sorry not sorry",
                "sorry, I know it burns",
                "I'm sorry but we have one more",
                "hold on to the chair if you need it",
                "hold on tight to that weight",
                "take it from the top of the thigh",
                "start this one with the right leg",
                "let me see those knees",
                "one more round from the top"
            })
    void isPartOfTheWorkout(String words) {
        assertThat(Fluffs.isFluff(words)).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Oh sorry, I messed that up. Let me start that again.",
                "oh hang on sorry my mat slipped let me do that again",
                "okay let's take that again",
                "Sorry, again from the top.",
                "let me redo the squats"
            })
    void isDoneAgain(String words) {
        assertThat(Fluffs.isDoneAgain(words)).isTrue();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "I'll do it with you",
                "I'll take it slow",
                "let's do that again on the other side",
                "and do it again",
                "I'll do that again with a heavier weight",
                "sorry, the dog",
                "start this one with the right leg"
            })
    void goesOn(String words) {
        assertThat(Fluffs.isDoneAgain(words)).isFalse();
    }
}
