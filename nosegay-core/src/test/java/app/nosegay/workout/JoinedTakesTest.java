package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.CaptionText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.Bodies;
import app.nosegay.match.Match;
import app.nosegay.match.Pin;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What was decided about two takes is kept when they become one. */
class JoinedTakesTest {
    private static final Workout.TakeRef FIRST = new Workout.TakeRef("take-1", "a.mp4", 10, 100, "x", null, null);
    private static final Workout.TakeRef SECOND = new Workout.TakeRef("take-2", "b.mp4", 10, 50, "y", null, null);
    private static final Workout.TakeRef THIRD = new Workout.TakeRef("take-3", "c.mp4", 10, 50, "z", null, null);
    private static final Workout.TakeRef WHOLE = new Workout.TakeRef("take-1", "ab.mp4", 20, 150, "w", null, null);

    private static Match.Placed placed(String id, String take) {
        return new Match.Placed(
                id,
                Length.ofSeconds(20),
                take,
                Time.ofSeconds(10),
                Time.ofSeconds(30),
                Time.ofSeconds(10),
                Time.ofSeconds(30),
                0,
                0,
                false,
                false,
                List.of(),
                null);
    }

    private static Workout joined() {
        MatchNotes notes = MatchNotes.NONE
                .withChoice("a", "take-2")
                .withChoice("b", "take-3")
                .withCut(new MatchNotes.CutDecision("take-2", new Span<>(Time.ofSeconds(3), Time.ofSeconds(5)), true))
                .withTaps("a", List.of(Time.ofSeconds(11), Time.ofSeconds(14)))
                .withTaps("b", List.of(Time.ofSeconds(11)))
                .withRepair(new CaptionText.Repair("take-2", Time.ofSeconds(7), "swat", "squat", true))
                .withNobody(new MatchNotes.Nobody("take-2", new Bodies.Place(Time.ofSeconds(6), 0.4, 0.6)))
                .withMutes(List.of(
                        new MatchNotes.Mute("take-2", new Span<>(Time.ofSeconds(1), Time.ofSeconds(2))),
                        new MatchNotes.Mute("take-3", new Span<>(Time.ofSeconds(1), Time.ofSeconds(2)))));
        Workout workout = new Workout(
                        "talk Hi  0:10\n",
                        List.of(FIRST, SECOND, THIRD),
                        List.of(
                                new Pin("a", false, "take-2", Time.ofSeconds(4)),
                                new Pin("b", true, "take-1", Time.ofSeconds(9)),
                                new Pin("c", true, "take-3", Time.ofSeconds(8))))
                .withMatching(notes);
        Match match = new Match(List.of(), List.of(placed("a", "take-2"), placed("b", "take-3")), List.of(), Map.of());
        return JoinedTakes.of(workout, WHOLE, "take-2", Length.ofSeconds(100), match);
    }

    @Test
    void theWholeTakesThePlaceOfTheTwo() {
        assertThat(joined().takes()).containsExactly(WHOLE, THIRD);
    }

    @Test
    void pinsOfTheSecondLieLaterInTheWhole() {
        assertThat(joined().pins())
                .containsExactly(
                        new Pin("a", false, "take-1", Time.ofSeconds(104)),
                        new Pin("b", true, "take-1", Time.ofSeconds(9)),
                        new Pin("c", true, "take-3", Time.ofSeconds(8)));
    }

    @Test
    void soDoCutsRepairsAndTaps() {
        MatchNotes notes = joined().matching();
        assertThat(notes.choices()).containsEntry("a", "take-1").containsEntry("b", "take-3");
        assertThat(notes.mutes())
                .containsExactly(
                        new MatchNotes.Mute("take-1", new Span<>(Time.ofSeconds(101), Time.ofSeconds(102))),
                        new MatchNotes.Mute("take-3", new Span<>(Time.ofSeconds(1), Time.ofSeconds(2))));
        assertThat(notes.nobody())
                .containsExactly(new MatchNotes.Nobody("take-1", new Bodies.Place(Time.ofSeconds(106), 0.4, 0.6)));
        assertThat(notes.cuts()).singleElement().satisfies(c -> {
            assertThat(c.take()).isEqualTo("take-1");
            assertThat(c.span()).isEqualTo(new Span<>(Time.ofSeconds(103), Time.ofSeconds(105)));
        });
        assertThat(notes.repairs()).singleElement().satisfies(r -> assertThat(r.time())
                .isEqualTo(Time.ofSeconds(107)));
        assertThat(notes.taps())
                .containsEntry("a", List.of(Time.ofSeconds(111), Time.ofSeconds(114)))
                .containsEntry("b", List.of(Time.ofSeconds(11)));
    }

    @Test
    void aTakeThatComesNextGetsANameOfItsOwn() {
        assertThat(joined().nextTake()).isEqualTo("take-4");
        assertThat(Workout.EMPTY.nextTake()).isEqualTo("take-1");
    }
}
