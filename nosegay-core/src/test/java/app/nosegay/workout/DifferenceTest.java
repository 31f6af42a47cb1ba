package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.cut.LengthRule;
import app.nosegay.dress.DressNotes;
import app.nosegay.dress.Style;
import app.nosegay.match.Pin;
import app.nosegay.time.Time;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What someone is told when two states of a workout are there to choose between. */
class DifferenceTest {
    private static final Workout BEFORE = new Workout(
            "title: A\ntalk Hi  0:10\ntalk Bye  0:10\n",
            List.of(),
            List.of(new Pin("hi", false, "take-1", Time.ofSeconds(3))));

    private static final Workout PLAIN = BEFORE.withTakes(List.of(), List.of());

    @Test
    void theSameIsNothing() {
        assertThat(Difference.between(BEFORE, BEFORE)).isEmpty();
    }

    @Test
    void linesThatWereReplacedCountOnce() {
        assertThat(Difference.between(PLAIN, PLAIN.withSheet(PLAIN.sheet().replace("Hi", "Hello"))))
                .containsExactly("1 line of the run sheet");
        assertThat(Difference.between(PLAIN, PLAIN.withSheet("title: B\n")))
                .containsExactly("3 lines of the run sheet");
    }

    @Test
    void linesInAnotherOrderAreStillAChange() {
        Workout turned = PLAIN.withSheet("title: A\ntalk Bye  0:10\ntalk Hi  0:10\n");
        assertThat(Difference.between(PLAIN, turned)).containsExactly("1 line of the run sheet");
    }

    @Test
    void everythingElseIsNamed() {
        Workout after = BEFORE.withTake(new Workout.TakeRef("take-1", "a.mp4", 1, 2, "x", null, null))
                .withPin(new Pin("bye", true, "take-1", Time.ofSeconds(30)))
                .withMatching(BEFORE.matching().withRule(LengthRule.CLOCK))
                .withDressing(DressNotes.NONE.withStyle(Style.LANTERN))
                .withWaiver(new Waiver("plan.density", "meant", "2026-01-01"));
        assertThat(Difference.between(BEFORE, after))
                .containsExactly("1 take", "1 pin", "decisions about the match", "the dressing", "1 ignored finding");
        assertThat(Difference.between(after, BEFORE)).hasSize(5);
    }
}
