package app.nosegay.bench.accuracy;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.jobs.Demo;
import app.nosegay.standins.Trouble;
import java.util.EnumSet;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Single troubles in whole workouts, by the evidence they were once misread with. */
class TroubledTakesTest {
    /** A timer that goes on beeping behind the end does not draw the last segments after it: there nobody says goodbye. */
    @ParameterizedTest
    @ValueSource(longs = {3, 29, 46})
    void theLastSegmentsStayWhereTheyWereDone(long seed) {
        Accuracy.Errors errors =
                Accuracy.of(Demo.sheets().get(0), seed, EnumSet.of(Trouble.TIMER_LEFT_ON), Accuracy.Level.ALL);
        assertThat(errors.share()).isGreaterThanOrEqualTo(0.95);
    }

    /** Another body than the matcher grew up with, restless in rests, times kept by hand, nothing to hear: worse, but told where. */
    @Test
    void anotherFigureIsFoundByItsMovementAlone() {
        Accuracy.Errors errors = OtherPresenter.errors(Demo.sheets(), 2);
        assertThat(errors.share()).isGreaterThanOrEqualTo(0.85);
        assertThat(errors.sureShare()).isGreaterThanOrEqualTo(0.65);
        assertThat(errors.calibration()).isGreaterThanOrEqualTo(0.95);
        // Where one is told to look between two moments, the boundary mostly is.
        assertThat(errors.between()).isGreaterThanOrEqualTo(0.75);
    }

    /** Somebody who says other things than the script at other times is found by the movement all the same. */
    @Test
    void freeTalkDoesNotMislead() {
        assertThat(OtherEvidence.freeTalk(Demo.sheets(), 1).share()).isGreaterThanOrEqualTo(0.9);
    }

    /** A timer that counts down and is silent at the boundary tells where it is. */
    @Test
    void whatIsCountedToIsTheBoundary() {
        assertThat(OtherEvidence.pipsAlone(Demo.sheets(), 1).share()).isGreaterThanOrEqualTo(0.9);
    }

    /** A move nobody planned, with nothing to hear but a voice: it is told as that, and nothing else is. */
    @Test
    void unplannedMovesAreFoundByTheirMovementAlone() {
        int found = 0;
        int all = 0;
        for (String sheet : Demo.sheets()) {
            for (long seed = 1; seed <= 2; seed++) {
                Accuracy.Unplanned of = Accuracy.unplanned(sheet, seed, Accuracy.Level.MOTION);
                found += of.found();
                all += of.all();
                assertThat(of.madeUp()).isZero();
            }
        }
        assertThat(found).isGreaterThanOrEqualTo(all - 1);
        assertThat(all).isEqualTo(2 * Demo.sheets().size());
    }

    /** Words all through a recording do not make it one long goodbye. */
    @ParameterizedTest
    @CsvSource({"3, 1", "16, 1", "16, 2"})
    void twoRecordingsOfOneRunAreFoundByTheirWords(long seed, int sheet) {
        Accuracy.Errors errors =
                Accuracy.of(Demo.sheets().get(sheet), seed, EnumSet.of(Trouble.STOP_START), Accuracy.Level.WORDS);
        assertThat(errors.share()).isGreaterThanOrEqualTo(0.95);
    }
}
