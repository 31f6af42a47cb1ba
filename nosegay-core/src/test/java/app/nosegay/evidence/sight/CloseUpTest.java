package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import org.junit.jupiter.api.Test;

/** Moments for still pictures. */
class CloseUpTest {
    private static final double PERIOD = 4;

    private static CloseUp.Still best(TakeEvidence take) {
        return CloseUp.best(take, new Span<>(Time.ofSeconds(0), Time.ofSeconds(24)))
                .orElseThrow();
    }

    /** Ears to either side of the nose; from {@code away} seconds on, or before, the head is turned to the side. */
    private static TakeEvidence lifting(double away, boolean before) {
        SampleBodies.Places lifts = SampleBodies.lifting(true, true, 0, PERIOD, 6);
        return SampleBodies.take(24, (joint, seconds) -> {
            double[] at = lifts.at(joint, seconds).clone();
            boolean turned = before == seconds < away;
            at[0] += joint == Joint.NOSE && turned ? 0.2 : 0;
            return at;
        });
    }

    private static double lifted(double seconds) {
        return 0.5 - 0.5 * Math.cos(2 * Math.PI * seconds / PERIOD);
    }

    @Test
    void theBestStillIsAtTheTopOfAMoveWithTheFaceToTheCamera() {
        CloseUp.Still early = best(lifting(12, false));
        assertThat(lifted(early.time().seconds())).isGreaterThan(0.85);
        assertThat(early.time().seconds()).isLessThan(12);
        assertThat(early.face()).isGreaterThan(0.5);
        CloseUp.Still late = best(lifting(12, true));
        assertThat(lifted(late.time().seconds())).isGreaterThan(0.85);
        assertThat(late.time().seconds()).isGreaterThanOrEqualTo(12);
    }

    @Test
    void withoutAFaceTheMoveAloneTells() {
        CloseUp.Still still = best(lifting(30, true));
        assertThat(still.face()).isLessThan(0.2);
        assertThat(lifted(still.time().seconds())).isGreaterThan(0.85);
    }

    @Test
    void whereNobodyIsFoundThereIsNone() {
        TakeEvidence nobody =
                SampleBodies.take(24, (j, t) -> SampleBodies.standing(j)).withBodies(Bodies.NONE);
        Span<Axis.Take> span = new Span<>(Time.ofSeconds(2), Time.ofSeconds(12));
        assertThat(CloseUp.best(nobody, span)).isEmpty();
        assertThat(CloseUp.clearest(nobody, span).seconds()).isEqualTo(7);
    }
}
