package app.nosegay.plan.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.library.MuscleGroup;
import app.nosegay.plan.Balance;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PromiseTest {
    private static List<String> codes(String sheet) {
        return PlanCheck.findings(SampleSheets.timeline(sheet), MoveLibrary.shipped()).stream()
                .map(Finding::code)
                .filter(c -> c.startsWith("plan.promise"))
                .toList();
    }

    @ParameterizedTest
    @CsvSource({
        "18 min, 17:28, true",
        "18 min, 17:27, false",
        "18 min, 18:32, true",
        "18 min, 18:33, false",
        "under 20 min, 20:00, true",
        "under 20 min, 20:01, false",
        "about 15 min, 16:30, true",
        "about 15 min, 16:31, false",
        "10-12 min, 11:00, true",
        "10-12 min, 9:59, false",
        "10-12 min, 12:01, false",
        "5 min, 5:30, true",
        "5 min, 5:31, false"
    })
    void minutesHoldWithinTheirForm(String promise, String length, boolean kept) {
        List<String> codes = codes("promise: " + promise + "\ntalk Hi  " + length + "\n");
        assertThat(!codes.contains("plan.promise-length")).isEqualTo(kept);
    }

    @Test
    void movesAndRoundsAreCountedAsViewersCountThem() {
        String circuit = "talk Hi  0:10\ncircuit A  rounds 2  work 0:30\n  squat\n  push-up\n  plank  bonus\n";
        assertThat(codes("promise: 2 moves, 2 rounds\n" + circuit)).isEmpty();
        assertThat(codes("promise: 3 moves\n" + circuit)).isEmpty();
        assertThat(codes("promise: 4 moves\n" + circuit)).containsExactly("plan.promise-moves");
        assertThat(codes("promise: 3 rounds\n" + circuit)).containsExactly("plan.promise-rounds");
    }

    @Test
    void absencesAreCheckedAgainstTheLibrary() {
        String sheet = "talk Hi  0:10\ncircuit A  work 0:30\n  squat\n  glute bridge\n";
        assertThat(codes("promise: no floor\n" + sheet)).containsExactly("plan.promise-absence");
        assertThat(codes("promise: no jumps\n" + sheet)).isEmpty();
        assertThat(codes("promise: no fuss\n" + sheet)).containsExactly("plan.promise-unknown");
    }

    @Test
    void theBaseMayBeWorkOnly() {
        String sheet = "talk Hi  5:00\ncircuit A  rounds 4  work 1:00  rest 1:00\n  squat\n";
        assertThat(codes("promise: 4 min work\n" + sheet)).isEmpty();
        assertThat(codes("promise: 4 min\n" + sheet)).contains("plan.promise-length");
    }

    @Test
    void balanceCountsPrimaryFullyAndSecondaryHalf() {
        Balance b = Balance.of(
                SampleSheets.timeline("talk Hi  0:10\ncircuit A  work 0:40  rest 0:20\n  goblet squat\n  push-up\n"),
                MoveLibrary.shipped());
        assertThat(b.muscles().get(MuscleGroup.QUADRICEPS).seconds()).isEqualTo(40);
        assertThat(b.muscles().get(MuscleGroup.FRONT_SHOULDER).seconds()).isEqualTo(20);
        assertThat(b.push().seconds()).isEqualTo(40);
        assertThat(b.pull().seconds()).isZero();
        assertThat(b.density()).isEqualTo(0.8);
        assertThat(b.longestWithoutRest().seconds()).isEqualTo(40);
    }

    @Test
    void planJsonHoldsEveryKeyOfTheContract() {
        var json = PlanJson.of(SampleSheets.timeline(SampleSheets.wheelbarrow()), MoveLibrary.shipped());
        assertThat(json.fieldNames())
                .toIterable()
                .containsExactly("title", "totalSeconds", "promise", "segments", "balance", "findings");
        assertThat(json.path("segments").get(5).fieldNames())
                .toIterable()
                .containsExactly(
                        "id",
                        "interval",
                        "kind",
                        "move",
                        "block",
                        "round",
                        "set",
                        "side",
                        "way",
                        "start",
                        "duration",
                        "reps",
                        "tempo",
                        "teaches");
        assertThat(json.path("segments").get(5).path("side").asText()).isEqualTo("right");
        assertThat(json.path("segments").get(5).path("duration").asDouble()).isEqualTo(17.5);
        assertThat(json.path("segments").get(0).path("move").isNull()).isTrue();
        assertThat(json.path("promise").path("met").asBoolean()).isTrue();
    }
}
