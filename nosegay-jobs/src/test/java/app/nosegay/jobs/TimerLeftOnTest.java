package app.nosegay.jobs;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.standins.Accuracy;
import app.nosegay.standins.Trouble;
import java.util.EnumSet;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A timer that goes on beeping behind the end does not draw the last segments after it: there nobody says goodbye. */
class TimerLeftOnTest {
    @ParameterizedTest
    @ValueSource(longs = {3, 29, 46})
    void theLastSegmentsStayWhereTheyWereDone(long seed) {
        Accuracy.Errors errors =
                Accuracy.of(Demo.sheets().get(0), seed, EnumSet.of(Trouble.TIMER_LEFT_ON), Accuracy.Level.ALL);
        assertThat(errors.share()).isGreaterThanOrEqualTo(0.95);
    }
}
