package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.util.List;
import org.junit.jupiter.api.Test;

/** What leaves the picture. */
class FrameCheckTest {
    private final Timeline timeline = SampleSheets.timeline(
            "title: Seen\ncalls: none\ncircuit A  rounds 2  work 0:20  rest 0:10\n  overhead press\n  squat\n");

    private List<Finding> findings(TakeEvidence take) {
        return FrameCheck.findings(timeline, SeenSet.of(timeline, AsPlanned.match(timeline, 0), List.of(take)));
    }

    /** Both arms lifted through the first set; the hips stand in the middle of the picture's height. */
    private TakeEvidence lifting(double trunk) {
        return SampleBodies.take(timeline.total().seconds(), SampleBodies.lifting(true, true, 0, 4, 5), 0.9, trunk, 3);
    }

    @Test
    void handsThatLeaveAtTheTopAreToldWithTheirFirstSet() {
        assertThat(findings(lifting(0.305))).singleElement().satisfies(f -> {
            assertThat(f.code()).isEqualTo("match.out-of-frame");
            assertThat(f.message())
                    .isEqualTo("Hands leave the picture at the top in one set: overhead press, round 1.");
            assertThat(f.moment().span().start().seconds()).isBetween(5.0, 15.0);
        });
        assertThat(findings(lifting(0.25))).as("from further off").isEmpty();
    }

    /** Mirrored, the hands leave as before. */
    @Test
    void aMirroredPictureIsToldAlike() {
        assertThat(findings(SampleBodies.mirrored(lifting(0.305))))
                .extracting(Finding::message)
                .isEqualTo(
                        findings(lifting(0.305)).stream().map(Finding::message).toList());
    }

    @Test
    void whatIsNeverInThePictureWasFramedSo() {
        TakeEvidence take =
                SampleBodies.take(timeline.total().seconds(), (j, t) -> SampleBodies.standing(j), 0.9, 0.33, 3);
        assertThat(findings(take))
                .as("the feet are below the picture all along")
                .isEmpty();
    }

    @Test
    void setsAreCounted() {
        TakeEvidence take = SampleBodies.take(
                timeline.total().seconds(),
                (joint, seconds) -> {
                    double[] at = SampleBodies.standing(joint).clone();
                    boolean foot = joint == Joint.LEFT_ANKLE || joint == Joint.RIGHT_ANKLE;
                    at[0] += foot && seconds % 4 < 1 ? 6 : 0;
                    return at;
                },
                0.9,
                0.2,
                3);
        assertThat(findings(take))
                .extracting(Finding::message)
                .containsExactly("Feet leave the picture at the side in 4 sets, first in overhead press, round 1.");
    }
}
