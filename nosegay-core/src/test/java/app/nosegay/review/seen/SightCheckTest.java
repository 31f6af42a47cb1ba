package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class SightCheckTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline("title: Seen\ncalls: none\n"
            + "circuit A  rounds 2  work 0:20  rest 0:10\n  single-arm press  sides halves\n  push-up\n  squat\n");

    private static Match asPlanned() {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> at = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> end = at.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), Length.ZERO, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

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

    private static List<String> codes(TakeEvidence take) {
        return SightCheck.findings(TIMELINE, asPlanned(), List.of(take), LIBRARY).stream()
                .map(Finding::code)
                .toList();
    }

    @Test
    void whatIsShownAsPlannedIsNoFinding() {
        assertThat(codes(done(set -> false, false))).isEmpty();
    }

    @Test
    void aSideShownWrongIsSaidWithBothSides() {
        List<Finding> found =
                SightCheck.findings(TIMELINE, asPlanned(), List.of(done(set -> set == 1, false)), LIBRARY);
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
