package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What is read off joints: repetitions, the working side, the posture, the joint that drives. */
class JointsTest {
    private static final double START = 6;

    private static JointRows leader(TakeEvidence take) {
        return JointRows.ofLeader(take).orElseThrow();
    }

    private static int reps(TakeEvidence take, double period, int reps) {
        return Repetitions.of(leader(take), START, START + reps * period, START)
                .reps(period, false)
                .size();
    }

    /**
     * However many, however fast, near or far, wherever in the picture: each is counted, also in a mirror.
     * Of under five the last is a guess.
     */
    @Property(tries = 60)
    void repsAreCountedWhateverTheirNumberPaceSizeAndPlace(
            @ForAll @IntRange(min = 5, max = 20) int reps,
            @ForAll @DoubleRange(min = 1.4, max = 4) double period,
            @ForAll @DoubleRange(min = 0.06, max = 0.3) double trunk,
            @ForAll @DoubleRange(min = 0.2, max = 1.6) double x) {
        TakeEvidence take = SampleBodies.take(
                START + reps * period + 5, SampleBodies.lifting(true, true, START, period, reps), x, trunk, reps);
        assertThat(reps(take, period, reps)).isEqualTo(reps);
        assertThat(reps(SampleBodies.mirrored(take), period, reps)).isEqualTo(reps);
    }

    @Test
    void whoStandsStillDoesNoReps() {
        TakeEvidence take = SampleBodies.take(40, (j, t) -> SampleBodies.standing(j));
        assertThat(Repetitions.of(leader(take), START, 34, START).reps(2, false))
                .isEmpty();
    }

    @Property(tries = 40)
    void theArmThatWorksIsToldAndInAMirrorTheOther(
            @ForAll boolean left, @ForAll @DoubleRange(min = 1.2, max = 4) double period) {
        TakeEvidence take =
                SampleBodies.take(START + 8 * period + 4, SampleBodies.lifting(left, !left, START, period, 8));
        double end = START + 8 * period;
        double works = WorkingSide.ARMS.of(leader(take), START, end);
        assertThat(works * (left ? -1 : 1)).isGreaterThan(0.8);
        assertThat(WorkingSide.ARMS.of(leader(SampleBodies.mirrored(take)), START, end))
                .isCloseTo(-works, within(0.02));
        assertThat(WorkingSide.LEGS.of(leader(take), START, end)).isCloseTo(0, within(0.3));
    }

    @Test
    void bothArmsAreNoSide() {
        TakeEvidence take = SampleBodies.take(30, SampleBodies.lifting(true, true, START, 2, 8));
        assertThat(WorkingSide.ARMS.of(leader(take), START, 22)).isCloseTo(0, within(0.1));
    }

    /** Seen from the side the shoulders lie behind one another. */
    @Test
    void fromTheSideNoArmIsTold() {
        SampleBodies.Places lifting = SampleBodies.lifting(true, false, START, 2, 8);
        TakeEvidence take = SampleBodies.take(30, (j, t) -> {
            double[] at = lifting.at(j, t);
            return new double[] {0.1 * at[0], at[1]};
        });
        assertThat(WorkingSide.ARMS.of(leader(take), START, 22)).isZero();
    }

    @Test
    void posturesAreTold() {
        TakeEvidence take = SampleBodies.take(
                20, SampleBodies.after(10, (j, t) -> SampleBodies.standing(j), (j, t) -> SampleBodies.onTheBack(j)));
        JointRows leader = leader(take);
        assertThat(Posture.of(leader, 1, 9)).isEqualTo(Posture.STANDING);
        assertThat(Posture.of(leader, 11, 19)).isEqualTo(Posture.FACE_UP);
        assertThat(Posture.of(leader, 11, 19).isOnFloor()).isTrue();
        assertThat(Posture.share(leader, 5, 15, Posture::isOnFloor)).isCloseTo(0.5, within(0.02));
        assertThat(Posture.share(leader, 30, 40, Posture::isOnFloor)).isZero();
    }

    @Test
    void theWristsDriveALiftAndTheHipsASquat() {
        TakeEvidence lift = SampleBodies.take(30, SampleBodies.lifting(true, false, START, 2, 8));
        DrivingJoint arm = DrivingJoint.of(leader(lift), START, 22);
        assertThat(arm.left()).isEqualTo(Joint.LEFT_WRIST);
        assertThat(arm.isVertical()).isTrue();
        assertThat(arm.isPaired()).isTrue();
        assertThat(arm.at(leader(lift), START + 1, false)).isCloseTo(1, within(0.05));
        assertThat(arm.at(leader(lift), START + 1, true))
                .as("the arm that rests")
                .isCloseTo(0.5, within(0.05));
        assertThat(arm.at(leader(lift), 50, true)).isNaN();
        TakeEvidence squat = SampleBodies.take(30, (j, t) -> {
            double[] at = SampleBodies.standing(j).clone();
            at[1] += at[1] > 1 ? 0 : 0.4 * (1 - Math.cos(Math.PI * t)) * (at[1] > 0.5 ? 0.3 : 1);
            return at;
        });
        assertThat(DrivingJoint.of(leader(squat), START, 22).left()).isEqualTo(Joint.LEFT_HIP);
        assertThat(DrivingJoint.of(leader(squat), START, 22).isPaired()).isFalse();
    }

    @Test
    void theLargerBodyLeads() {
        Bodies near = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.9, 0.2, 1)
                .bodies();
        Bodies far = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.3, 0.12, 2)
                .bodies();
        TakeEvidence take = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j))
                .withBodies(new Bodies(
                        8, 16 / 9.0, List.of(far.people().get(0), near.people().get(0))));
        assertThat(leader(take).body()).isSameAs(near.people().get(0));
        assertThat(JointRows.ofLeader(take.withBodies(Bodies.NONE))).isEmpty();
    }

    @Test
    void whoIsNoPersonIsLeftOutAndWhoIsBehindStays() {
        Body near = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.9, 0.2, 1)
                .bodies()
                .people()
                .get(0);
        Body behind = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.92, 0.19, 2)
                .bodies()
                .people()
                .get(0);
        Bodies both = new Bodies(8, 16 / 9.0, List.of(near, behind));
        Time<Axis.Take> at = Time.ofSeconds(5);
        assertThat(both.across(at)).containsExactly(near, behind);
        assertThat(both.across(Time.ofSeconds(60))).isEmpty();
        Bodies.Place place = both.place(near, at);
        Bodies one = both.without(List.of(place));
        assertThat(one.people()).containsExactly(behind);
        assertThat(one.without(List.of(place)).people())
                .as("told twice, one is left out")
                .containsExactly(behind);
        Bodies.Place later = new Bodies.Place(Time.ofSeconds(60), place.x(), place.y());
        assertThat(both.at(later)).as("who is gone").isEmpty();
        assertThat(both.at(new Bodies.Place(at, 0.2, 0.1))).as("the wall").isEmpty();
        assertThat(both.without(List.of(later)).people()).hasSize(2);
    }

    @Test
    void presentersAreToldFromLeftToRightAndOnlyWhenAllAreThere() {
        Bodies right = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 1.4, 0.2, 1)
                .bodies();
        Bodies left = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.4, 0.16, 2)
                .bodies();
        Bodies behind = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.9, 0.07, 3)
                .bodies();
        TakeEvidence take = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j))
                .withBodies(new Bodies(
                        8,
                        16 / 9.0,
                        List.of(
                                right.people().get(0),
                                behind.people().get(0),
                                left.people().get(0))));
        Span<Axis.Take> span = new Span<>(Time.ofSeconds(2), Time.ofSeconds(8));
        List<Double> across = Presenters.across(take, span, 2);
        assertThat(across).hasSize(2);
        assertThat(across.get(0)).isCloseTo(0.4 * 9 / 16, within(0.01));
        assertThat(across.get(1)).isCloseTo(1.4 * 9 / 16, within(0.01));
        assertThat(Presenters.across(take, span, 3)).isEmpty();
    }

    /** What is laid over the picture keeps off somebody who stands still for the whole take, whom no difference shows. */
    @Test
    void cellsUnderABodyAreTaken() {
        TakeEvidence take = SampleBodies.take(20, (j, t) -> SampleBodies.standing(j), 0.5, 0.2, 1);
        Frame frame = new Frame(1600, 900);
        OccupancyMap map = OccupancyMap.of(take, new Span<>(Time.ofSeconds(2), Time.ofSeconds(18)));
        OccupancyMap bare =
                OccupancyMap.of(take.withBodies(Bodies.NONE), new Span<>(Time.ofSeconds(2), Time.ofSeconds(18)));
        Box trunk = new Box(425, 300, 50, 120);
        Box wall = new Box(1300, 100, 100, 100);
        assertThat(map.behind(trunk, frame)).isGreaterThan(0.95);
        assertThat(map.behind(wall, frame)).isLessThan(0.1);
        assertThat(bare.behind(trunk, frame)).isLessThan(0.5);
        assertThat(map.touched(trunk, frame)).isGreaterThan(0.95);
        assertThat(map.touched(wall, frame)).isZero();
        assertThat(bare.touched(trunk, frame)).isZero();
    }

    @Test
    void aBodyOfTheWrongLengthIsRefused() {
        assertThatThrownBy(() -> new Body(0, new short[10], new byte[33])).isInstanceOf(IllegalArgumentException.class);
        Body body = SampleBodies.take(2, (j, t) -> SampleBodies.standing(j))
                .bodies()
                .people()
                .get(0);
        assertThatThrownBy(() -> body.x(900, Joint.NOSE)).isInstanceOf(IndexOutOfBoundsException.class);
        assertThat(body.isIn(900)).isFalse();
    }
}
