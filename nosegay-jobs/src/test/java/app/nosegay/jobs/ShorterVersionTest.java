package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Pin;
import app.nosegay.plan.Segment;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import app.nosegay.workout.Programme;
import app.nosegay.workout.Workout;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

/** A shorter version beside the workout, on the same recordings. */
class ShorterVersionTest {
    private static final String SHEET =
            "title: Long\ntalk Hi  0:20\ncircuit One  rounds 3  work 0:40  rest 0:20\n  goblet squat\n"
                    + "  push-up\ncircuit Two  rounds 2  work 0:40  rest 0:20\n  reverse lunge\n  plank\ntalk Bye  0:10\n";

    @TempDir
    private Path folder;

    private static Programme filmed() {
        MoveLibrary library = MoveLibrary.shipped();
        Programme plan = Programme.of(Workout.EMPTY.withSheet(SHEET), List.of(), List.of(), library);
        List<Pin> pins = new ArrayList<>();
        for (Segment s : plan.timeline().segments()) {
            pins.add(new Pin(s.id(), false, "take-1", Time.ofSeconds(s.start().seconds())));
            pins.add(new Pin(s.id(), true, "take-1", Time.ofSeconds(s.end().seconds())));
        }
        TakeEvidence take = new TakeEvidence(
                "take-1",
                "films/take-1.mp4",
                plan.timeline().total().plus(Length.ofSeconds(4)),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of());
        Workout.TakeRef ref = new Workout.TakeRef("take-1", "films/take-1.mp4", 1, 700, "f", null, null);
        return Programme.of(
                Workout.EMPTY.withSheet(SHEET).withTakes(List.of(ref), pins), List.of(take), List.of(), library);
    }

    @Test
    void itIsAWorkoutOfItsOwnOnTheSameRecordings() throws IOException {
        Path elsewhere = Files.createDirectories(folder.resolve("short"));
        ShorterVersion made = ShorterVersion.write(filmed(), 5, folder, elsewhere.resolve("long-5-min.nosegay.json"));
        Workout read = WorkoutFile.open(made.file());
        assertThat(read).isNotEqualTo(Workout.EMPTY);
        assertThat(made.version().leftOut()).containsExactly("One");
        assertThat(read.sheet()).contains("reverse lunge").doesNotContain("goblet squat");
        assertThat(read.takes().get(0).file()).isEqualTo("../films/take-1.mp4");
        assertThat(read.pins()).isNotEmpty();
    }

    @Test
    void namesAreNeverTakenTwice() throws IOException {
        Path workout = folder.resolve("long.nosegay.json");
        Path first = ShorterVersion.beside(workout, 10);
        assertThat(first).hasFileName("long-10-min.nosegay.json");
        Files.writeString(first, "mine");
        assertThat(ShorterVersion.beside(workout, 10)).hasFileName("long-10-min-2.nosegay.json");
    }

    @Test
    void whereNothingCanBeLeftOutThereIsNone() {
        Path target = folder.resolve("x.nosegay.json");
        assertThatThrownBy(() -> ShorterVersion.write(filmed(), 60, folder, target))
                .isInstanceOf(IOException.class)
                .hasMessageContaining("60 min");
        assertThat(target).doesNotExist();
    }
}
