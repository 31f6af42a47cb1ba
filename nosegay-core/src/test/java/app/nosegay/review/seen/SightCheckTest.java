package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import java.util.List;
import org.junit.jupiter.api.Test;

class SightCheckTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline("title: Seen\ncalls: none\n"
            + "circuit A  rounds 2  work 0:20  rest 0:10\n  single-arm press  sides halves\n  push-up\n  squat\n");

    /** Everything as planned, but for the sides where {@code swapped} says so by the number of the one-armed set. */
    private static TakeEvidence done(java.util.function.IntPredicate swapped, boolean pushUpsStanding) {
        return SampleBodies.take(TIMELINE.total().seconds(), (joint, seconds) -> {
            int armSets = 0;
            for (Segment s : TIMELINE.segments()) {
                boolean arm = s.kind() == SegmentKind.WORK && (s.side() == Side.LEFT || s.side() == Side.RIGHT);
                boolean now =
                        seconds >= s.start().seconds() && seconds < s.end().seconds();
                if (now && arm) {
                    boolean left = (s.side() == Side.LEFT) != swapped.test(armSets);
                    return SampleBodies.lifting(left, !left, s.start().seconds(), 2, 99)
                            .at(joint, seconds);
                }
                if (now && s.kind() == SegmentKind.WORK && s.move().equals("push-up") && !pushUpsStanding) {
                    return SampleBodies.onTheBack(joint);
                }
                armSets += arm ? 1 : 0;
            }
            return SampleBodies.standing(joint);
        });
    }

    /** All but the view, which has a test of its own: everything here is seen from the front. */
    private static List<Finding> findings(TakeEvidence take) {
        return SightCheck.findings(TIMELINE, AsPlanned.match(TIMELINE, 0), List.of(take), LIBRARY).stream()
                .filter(f -> !f.code().equals("match.view"))
                .toList();
    }

    private static List<String> codes(TakeEvidence take) {
        return findings(take).stream().map(Finding::code).toList();
    }

    @Test
    void whatIsShownAsPlannedIsNoFinding() {
        assertThat(codes(done(set -> false, false))).isEmpty();
    }

    @Test
    void aSideShownWrongIsSaidWithBothSides() {
        List<Finding> found = findings(done(set -> set == 1, false));
        assertThat(found).extracting(Finding::code).containsExactly("match.side-shown");
        assertThat(found.get(0).message())
                .startsWith("Single-arm press")
                .contains("planned for the")
                .contains("left")
                .contains("right");
        assertThat(found.get(0).fix()).isNotEmpty();
    }

    @Test
    void allSidesTheOtherWayRoundAreOneMirroredPicture() {
        assertThat(codes(done(set -> true, false))).containsExactly("match.mirrored");
        assertThat(codes(SampleBodies.mirrored(done(set -> false, false)))).containsExactly("match.mirrored");
    }

    @Test
    void aFloorMoveDoneStandingIsLookedAt() {
        assertThat(codes(done(set -> false, true)))
                .containsOnly("match.posture")
                .hasSize(2);
    }

    @Test
    void whereNobodyWasLookedForNothingIsSaid() {
        assertThat(codes(done(set -> true, true).withBodies(Bodies.NONE))).isEmpty();
    }
}
