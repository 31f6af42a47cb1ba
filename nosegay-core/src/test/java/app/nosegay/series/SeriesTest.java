package app.nosegay.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Pin;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.proof.PickUps;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SeriesTest {
    private static Timeline legs(String title) {
        return SampleSheets.timeline("title: " + title
                + "\ntalk Hi  0:10\ncircuit A  rounds 4  work 0:40  rest 0:20\n  squat\n  goblet squat\n");
    }

    private static Timeline push() {
        return SampleSheets.timeline(
                "title: Push\ntalk Hi  0:10\ncircuit A  rounds 4  work 0:40  rest 0:20\n  push-up\n  overhead press\n");
    }

    @Test
    void heavyRepeatsNeedADayBetween() {
        SeriesReport near =
                SeriesReport.of(List.of(Map.entry(1, legs("One")), Map.entry(2, legs("Two"))), MoveLibrary.shipped());
        assertThat(near.remarks()).anyMatch(r -> r.startsWith("Quadriceps heavily on day 1 (One) and on day 2 (Two)"));
        SeriesReport apart =
                SeriesReport.of(List.of(Map.entry(1, legs("One")), Map.entry(3, legs("Two"))), MoveLibrary.shipped());
        assertThat(apart.remarks()).noneMatch(r -> r.contains("heavily"));
        SeriesReport other =
                SeriesReport.of(List.of(Map.entry(1, legs("One")), Map.entry(2, push())), MoveLibrary.shipped());
        assertThat(other.remarks()).noneMatch(r -> r.contains("Quadriceps heavily"));
    }

    @Test
    void varietyMinutesAndWhatIsNeverWorked() {
        SeriesReport r =
                SeriesReport.of(List.of(Map.entry(1, legs("One")), Map.entry(3, legs("Two"))), MoveLibrary.shipped());
        assertThat(r.variety()).isEqualTo(0.5);
        assertThat(r.repeated()).containsEntry("squat", 2);
        assertThat(r.total()).isEqualTo(legs("One").total().times(2));
        assertThat(r.remarks()).anyMatch(x -> x.startsWith("Never worked in the series:") && x.contains("chest"));
        assertThat(r.remarks())
                .anyMatch(x -> x.startsWith("No move of these kinds") && x.contains("hinge") && !x.contains("squat"));
        assertThat(r.clashes()).isEmpty();
    }

    @Test
    void theNewestWorkoutWithAMoveTellsHowItWasDone() {
        Timeline newest = SampleSheets.timeline(
                "title: New\ngear: kettlebell heavy\ncircuit A  rounds 3  work 0:40  rest 0:20\n  goblet squat\n");
        Timeline older = SampleSheets.timeline(
                "title: Old\nsets B  sets 2  rest 0:30\n  goblet squat  reps 12\n  push-up  reps 10\n");
        Map<String, LastTime> last = LastTime.of(
                List.of(new LastTime.Made(newest, List.of()), new LastTime.Made(older, missed(older))),
                MoveLibrary.shipped());
        assertThat(last.get("goblet squat").words()).isEqualTo("Last time, in \"New\": 3 × 0:40, heavy kettlebell.");
        assertThat(last.get("push-up").words())
                .isEqualTo("Last time, in \"Old\": 2 × 10 reps."
                        + " What was forgotten, late or wrong there: \"Hands on a wall.\"");
        assertThat(last).doesNotContainKey("squat");
    }

    @Test
    void whatIsUndertakenForTheNextTimeIsToldFromAFarewell() {
        assertThat(LastPromise.ofNextTime("Well done. Next week we'll add a third round. See you tomorrow!"))
                .containsExactly("Next week we'll add a third round.");
        assertThat(LastPromise.ofNextTime("in our next session you will need a band"))
                .hasSize(1);
        assertThat(LastPromise.ofNextTime("Tomorrow it's legs coming up for us."))
                .hasSize(1);
        for (String none : List.of(
                "I'll see you next week.",
                "We'll see you all in the next video.",
                "Next time around we'll go lower.",
                "Next, we'll do squats.",
                "The next one is a plank, we'll hold it.")) {
            assertThat(LastPromise.ofNextTime(none).size()).as(none).isZero();
        }
    }

    /** From the talk at the end, whatever was said while moving. */
    @Test
    void theLastPromiseIsWhatWasWrittenAndWhatWasSaid() {
        String sheet =
                "title: Old\npromise: 1 min, 1 move\ntalk Hi  0:10\ncircuit A  work 0:30\n  squat\ntalk Bye  0:20\n";
        Workout workout = Workout.EMPTY.withSheet(sheet);
        Programme planned = Programme.of(workout, List.of(), List.of(), MoveLibrary.shipped());
        assertThat(LastPromise.of(planned).orElseThrow().words())
                .isEqualTo("Last time, in \"Old\": you promised 1 min, 1 move, and the plan kept it.");
        List<Pin> pins = new ArrayList<>();
        for (Segment s : planned.timeline().segments()) {
            pins.add(new Pin(s.id(), false, "t", Time.ofSeconds(1 + s.start().seconds())));
            pins.add(new Pin(s.id(), true, "t", Time.ofSeconds(1 + s.end().seconds())));
        }
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(70),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(
                        line(20, "Tomorrow we'll feel this."),
                        line(45, "Well done. Next week we'll add a round. See you tomorrow!")));
        Workout.TakeRef ref = new Workout.TakeRef("t", "t.mp4", 1, 70, "f", null, null);
        Programme filmed =
                Programme.of(workout.withTakes(List.of(ref), pins), List.of(take), List.of(), MoveLibrary.shipped());
        assertThat(LastPromise.of(filmed).orElseThrow().said()).containsExactly("Next week we'll add a round.");
        assertThat(LastPromise.of(filmed).orElseThrow().words())
                .endsWith("It lasted 1:01. You said: \"Next week we'll add a round.\"");
        assertThat(LastPromise.of(Programme.of(
                        Workout.EMPTY.withSheet("talk Hi  0:10\n"), List.of(), List.of(), MoveLibrary.shipped())))
                .isEmpty();
    }

    private static Caption line(double at, String text) {
        return new Caption(Time.ofSeconds(at), Time.ofSeconds(at + 3), text);
    }

    /** The same line, forgotten in each set of push-ups. */
    private static List<PickUps.Line> missed(Timeline timeline) {
        return timeline.intervals().stream()
                .filter(i -> "push-up".equals(i.first().move()))
                .map(i -> new PickUps.Line(i, "Hands on a wall.", null, "", Length.ZERO))
                .toList();
    }

    @Test
    void aSeriesSurvivesItsFile() throws IOException {
        Series s = new Series(
                "Week", List.of(new Series.Entry(3, "b.nosegay.json"), new Series.Entry(1, "a.nosegay.json")));
        assertThat(Series.fromJson(s.toJson())).isEqualTo(s);
        assertThat(s.entries()).extracting(Series.Entry::day).containsExactly(1, 3);
        assertThat(s.nextDay()).isEqualTo(5);
        assertThat(s.moved(s.entries().get(0), 4).entries())
                .extracting(Series.Entry::day)
                .containsExactly(3, 4);
        assertThatThrownBy(() -> Series.fromJson("{")).hasMessageContaining("not a series file");
        assertThatThrownBy(() -> Series.fromJson("{\"format\":9,\"workouts\":[]}"))
                .hasMessageContaining("newer");
    }
}
