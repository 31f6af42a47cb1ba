package app.nosegay.series;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.proof.PickUps;
import app.nosegay.time.Length;
import java.io.IOException;
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
