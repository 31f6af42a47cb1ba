package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

/** Which beeps count down and which mark a boundary. */
class BeepPatternTest {
    private static final int TIMES = 6;
    private static final double APART = 30;

    private static TakeEvidence.Beep beep(double seconds, int millis, double hz) {
        return new TakeEvidence.Beep(Time.ofSeconds(seconds), Length.ofMillis(millis), hz, -20);
    }

    /** Three pips a second apart, and a beep behind them, if it has a length; again and again. */
    private static List<BeepPattern.Signal> timer(int pipMillis, int beepMillis, double beepHz) {
        List<TakeEvidence.Beep> beeps = new ArrayList<>();
        for (int k = 1; k <= TIMES; k++) {
            for (int left = 3; left >= 1; left--) {
                // No two are measured alike.
                beeps.add(beep(APART * k - left, pipMillis + 5 * left, 1000 + 4 * k));
            }
            if (beepMillis > 0) {
                beeps.add(beep(APART * k, beepMillis, beepHz));
            }
        }
        return BeepPattern.of(beeps);
    }

    private static List<Double> boundaries(List<BeepPattern.Signal> signals) {
        return signals.stream()
                .filter(s -> !s.pip())
                .map(BeepPattern.Signal::seconds)
                .toList();
    }

    @Test
    void aLongBeepBehindPipsOfItsPitchIsTheBoundary() {
        List<BeepPattern.Signal> signals = timer(120, 500, 1000);
        assertThat(boundaries(signals)).containsExactly(30.0, 60.0, 90.0, 120.0, 150.0, 180.0);
        assertThat(signals).extracting(BeepPattern.Signal::countedTo).containsOnly(0.0);
    }

    @Test
    void soIsAnEquallyLongOneOfAnotherPitch() {
        assertThat(boundaries(timer(150, 150, 1500))).hasSize(TIMES);
    }

    @Test
    void pipsAloneCountToTheSecondBehindThem() {
        List<BeepPattern.Signal> signals = timer(120, 0, 0);
        assertThat(boundaries(signals)).isEmpty();
        assertThat(signals.stream().map(BeepPattern.Signal::countedTo).filter(t -> t > 0))
                .containsExactly(30.0, 60.0, 90.0, 120.0, 150.0, 180.0);
    }

    /** Where the last pip and the beep are both missed, the pip before them counts to nothing. */
    @Test
    void aTimerThatBeepsAtTheBoundaryItselfCountsToNothing() {
        List<TakeEvidence.Beep> beeps = new ArrayList<>(List.of(beep(27, 120, 1000), beep(28, 120, 1000)));
        for (int k = 2; k <= TIMES; k++) {
            for (int left = 3; left >= 1; left--) {
                beeps.add(beep(APART * k - left, 120, 1000));
            }
            beeps.add(beep(APART * k, 500, 1000));
        }
        List<BeepPattern.Signal> signals = BeepPattern.of(beeps);
        assertThat(boundaries(signals)).containsExactly(60.0, 90.0, 120.0, 150.0, 180.0);
        assertThat(signals).extracting(BeepPattern.Signal::countedTo).containsOnly(0.0);
    }

    @Test
    void beepsInQuickSuccessionAreOneSignal() {
        List<BeepPattern.Signal> signals =
                BeepPattern.of(List.of(beep(10, 100, 2000), beep(10.2, 100, 2000), beep(50, 100, 2000)));
        assertThat(boundaries(signals)).containsExactly(10.0, 50.0);
    }
}
