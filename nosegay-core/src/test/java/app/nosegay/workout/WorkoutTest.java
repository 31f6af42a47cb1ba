package app.nosegay.workout;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.match.Pin;
import app.nosegay.plan.SampleSheets;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import org.junit.jupiter.api.Test;

class WorkoutTest {
    private static final Workout FULL = new Workout(
            SampleSheets.wheelbarrow(),
            List.of(new Workout.TakeRef(
                    "take-1", "media/take 1.mp4", 123, 61.5, "abc", "take-1.vtt", null, "left light out")),
            List.of(new Pin("a/b/r1", true, "take-1", new Time<>(1_234_567))));

    @Test
    void writingAndReadingGivesTheSameWorkout() throws IOException {
        assertThat(WorkoutJson.read(WorkoutJson.write(FULL))).isEqualTo(FULL);
        assertThat(WorkoutJson.read(WorkoutJson.write(Workout.EMPTY))).isEqualTo(Workout.EMPTY);
    }

    @Property(tries = 100)
    void anySheetTextSurvives(@ForAll String text) throws IOException {
        String unpaired = text.replaceAll("[\\ud800-\\udfff]", "");
        assertThat(WorkoutJson.read(WorkoutJson.write(Workout.EMPTY.withSheet(unpaired)))
                        .sheet())
                .isEqualTo(unpaired);
    }

    @Test
    void filesThatAreNoWorkoutsSaySo() {
        assertThatThrownBy(() -> WorkoutJson.read("{\"format\":1}")).hasMessageContaining("no \"sheet\"");
        assertThatThrownBy(() -> WorkoutJson.read("{\"format\":1,\n\"sheet\":["))
                .hasMessageContaining("broken at line");
        assertThatThrownBy(() -> WorkoutJson.read("{\"format\":99,\"sheet\":[]}"))
                .hasMessageContaining("newer Nosegay");
    }

    @Test
    void aPinReplacesTheOneOfTheSameBoundary() {
        Pin moved = new Pin("a/b/r1", true, "take-1", Time.ofSeconds(9));
        assertThat(FULL.withPin(moved).pins()).containsExactly(moved);
        assertThat(FULL.withPin(new Pin("a/b/r1", false, "take-1", Time.ofSeconds(1)))
                        .pins())
                .hasSize(2);
        assertThat(FULL.withoutPin(moved).pins()).isEmpty();
        assertThat(FULL.withoutTake("take-1")).isEqualTo(Workout.EMPTY.withSheet(FULL.sheet()));
    }

    @Property(tries = 50)
    void undoRestoresExactlyAndRedoToo(@ForAll List<String> texts) {
        History history = new History(Workout.EMPTY);
        List<Workout> seen = new ArrayList<>(List.of(history.now()));
        for (String text : texts) {
            Workout next = history.now().withSheet(text);
            if (!next.equals(history.now())) {
                history.apply("type", next);
                seen.add(next);
            }
        }
        for (int i = seen.size() - 2; i >= 0; i--) {
            assertThat(history.undo()).contains(seen.get(i));
        }
        assertThat(history.undo()).isEmpty();
        for (int i = 1; i < seen.size(); i++) {
            assertThat(history.redo()).contains(seen.get(i));
        }
        assertThat(history.redo()).isEmpty();
    }

    @Test
    void typingMergesUntilTheLineChanges() {
        History history = new History(Workout.EMPTY);
        history.apply("edit line 1", Workout.EMPTY.withSheet("a"), "line 1");
        history.apply("edit line 1", Workout.EMPTY.withSheet("ab"), "line 1");
        history.apply("edit line 2", Workout.EMPTY.withSheet("ab\nc"), "line 2");
        assertThat(history.undoName()).contains("edit line 2");
        assertThat(history.undo().orElseThrow().sheet()).isEqualTo("ab");
        assertThat(history.undo().orElseThrow().sheet()).isEmpty();
        assertThat(history.redoName()).contains("edit line 1");
    }
}
