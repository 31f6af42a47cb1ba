package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import java.util.List;
import java.util.function.Function;
import org.junit.jupiter.api.Test;

/** Each move is held against itself in other rounds. */
class LookCheckTest {
    private static final Timeline TIMELINE = SampleSheets.timeline("title: Seen\ncalls: none\n"
            + "circuit A  rounds 3  work 0:20  rest 0:10\n  single-arm press  sides halves\n  sit-up\n  front raise\n");

    /** A take in which each work segment shows what {@code shown} says. */
    private static TakeEvidence take(Function<Segment, String> shown) {
        return SampleBodies.take(TIMELINE.total().seconds(), (joint, seconds) -> {
            for (Segment s : TIMELINE.segments()) {
                boolean now =
                        seconds >= s.start().seconds() && seconds < s.end().seconds();
                if (now && s.kind() == SegmentKind.WORK) {
                    boolean left = s.side() == Side.LEFT;
                    double start = s.start().seconds();
                    return switch (shown.apply(s)) {
                        case "sit-up" -> SampleBodies.onTheBack(joint);
                        case "single-arm press" ->
                            SampleBodies.lifting(left, !left, start, 2, 99).at(joint, seconds);
                        case "front raise" ->
                            SampleBodies.lifting(true, true, start, 2.5, 99).at(joint, seconds);
                        default -> {
                            double[] at = SampleBodies.onTheBack(joint);
                            yield new double[] {-at[1], at[0] - 0.5};
                        }
                    };
                }
            }
            return SampleBodies.standing(joint);
        });
    }

    private static List<Finding> findings(TakeEvidence... takes) {
        return LookCheck.findings(TIMELINE, SeenSet.of(TIMELINE, AsPlanned.match(TIMELINE, 0), List.of(takes)));
    }

    @Test
    void roundsThatLookAlikeAreNoFindingWhicheverSideWorks() {
        TakeEvidence take = take(Segment::move);
        assertThat(findings(take)).isEmpty();
        assertThat(findings(SampleBodies.mirrored(take))).isEmpty();
        assertThat(findings(take.withBodies(Bodies.NONE))).isEmpty();
    }

    /** Moves that change places in one round are told in that round, whichever it is. */
    @Test
    void movesThatWereExchangedInOneRoundLookLikeEachOther() {
        for (int round = 1; round <= 3; round++) {
            int other = round;
            List<Finding> found =
                    findings(take(s -> s.round() != other || s.move().equals("single-arm press")
                            ? s.move()
                            : s.move().equals("sit-up") ? "front raise" : "sit-up"));
            assertThat(found).extracting(Finding::code).containsOnly("match.looks-otherwise");
            assertThat(found)
                    .extracting(Finding::segment)
                    .containsExactlyInAnyOrder("a/sit-up/r" + other, "a/front-raise/r" + other);
            assertThat(found).anySatisfy(f -> assertThat(f.message())
                    .startsWith("Sit-up, round " + other + " looks like front raise, round ")
                    .contains("not like sit-up, round "));
        }
    }

    @Test
    void aMoveNobodyPlannedLooksLikeNone() {
        List<Finding> found =
                findings(take(s -> s.round() == 2 && s.move().equals("front raise") ? "handstand" : s.move()));
        assertThat(found).singleElement().satisfies(f -> {
            assertThat(f.segment()).isEqualTo("a/front-raise/r2");
            assertThat(f.message())
                    .isEqualTo("Front raise, round 2 looks quite otherwise than front raise, round 1 in the picture.");
            assertThat(f.fix()).isNotEmpty();
        });
    }

    /** Both sides of one interval are told once. */
    @Test
    void anIntervalIsToldOnce() {
        List<Finding> found =
                findings(take(s -> s.round() == 3 && s.move().equals("single-arm press") ? "sit-up" : s.move()));
        assertThat(found).hasSize(1);
        assertThat(found.get(0).message()).contains("looks like sit-up");
    }
}
