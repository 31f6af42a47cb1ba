package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.util.List;
import org.junit.jupiter.api.Test;

/** From where moves are seen. */
class ViewCheckTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static Timeline timeline(String moves) {
        return SampleSheets.timeline("title: Seen\ncalls: none\ncircuit A  rounds 2  work 0:20  rest 0:10\n" + moves);
    }

    /** Everybody stands, turned from the camera by an angle in radians. */
    private static List<Finding> findings(Timeline timeline, double turned) {
        TakeEvidence take = SampleBodies.take(timeline.total().seconds(), (joint, seconds) -> {
            double[] at = SampleBodies.standing(joint);
            return new double[] {at[0] * Math.cos(turned), at[1]};
        });
        return ViewCheck.findings(timeline, SeenSet.of(timeline, AsPlanned.match(timeline, 0), List.of(take)), LIBRARY);
    }

    @Test
    void movesNeverSeenFromTheirBestSideAreOneNote() {
        Timeline timeline = timeline("  hip hinge drill\n  kettlebell deadlift\n  biceps curl\n");
        assertThat(LIBRARY.find("kettlebell deadlift").orElseThrow().view()).isEqualTo("side");
        List<Finding> front = findings(timeline, 0);
        assertThat(front).singleElement().satisfies(f -> {
            assertThat(f.severity()).isEqualTo(Finding.Severity.NOTE);
            assertThat(f.message())
                    .startsWith("Filmed only from the front, though clearer from the side: ")
                    .contains("kettlebell deadlift");
        });
        assertThat(findings(timeline, 1.4)).noneMatch(f -> f.message().contains("kettlebell deadlift"));
        assertThat(findings(timeline, 0.95)).as("half turned, nothing is said").isEmpty();
    }

    @Test
    void aPlannedAngleThatWasNotKeptIsToldInEachSet() {
        Timeline timeline = timeline("  squat  angle side\n");
        List<Finding> found = findings(timeline, 0.2);
        assertThat(found).hasSize(2).allSatisfy(f -> assertThat(f.severity()).isEqualTo(Finding.Severity.LOOK));
        assertThat(found.get(1).message())
                .isEqualTo("Squat, round 2 is planned to be seen from the side, but is seen from the front.");
        assertThat(findings(timeline, 1.4)).as("kept").isEmpty();
        assertThat(findings(timeline("  squat  angle front\n"), 0)).isEmpty();
    }
}
