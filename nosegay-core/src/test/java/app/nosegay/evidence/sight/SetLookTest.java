package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What sets look like, without names. */
class SetLookTest {
    private static SetLook look(TakeEvidence take) {
        return SetLook.of(JointRows.ofLeader(take).orElseThrow(), 2, 18).orElseThrow();
    }

    /** The same set nearer, elsewhere, in a mirror, with the other arm, at another pace: it is the same set. */
    @Property(tries = 40)
    void theSameMoveLooksLikeItself(
            @ForAll @DoubleRange(min = 0.5, max = 1.3) double x,
            @ForAll @DoubleRange(min = 0.1, max = 0.25) double trunk,
            @ForAll @DoubleRange(min = 1.5, max = 4) double period,
            @ForAll boolean left,
            @ForAll boolean mirrored) {
        SetLook one = look(SampleBodies.take(20, SampleBodies.lifting(true, false, 0, 2, 99)));
        TakeEvidence take = SampleBodies.take(20, SampleBodies.lifting(left, !left, 0, period, 99), x, trunk, 3);
        SetLook other = look(mirrored ? SampleBodies.mirrored(take) : take);
        assertThat(one.unlike(other)).isLessThan(0.1);
        assertThat(other.unlike(one)).isCloseTo(one.unlike(other), within(1e-9));
    }

    @Test
    void otherMovesDoNot() {
        SetLook one = look(SampleBodies.take(20, SampleBodies.lifting(true, false, 0, 2, 99)));
        assertThat(one.unlike(one)).isZero();
        assertThat(one.unlike(look(SampleBodies.take(20, SampleBodies.lifting(true, true, 0, 2, 99)))))
                .as("both arms")
                .isGreaterThan(0.25);
        assertThat(one.unlike(look(SampleBodies.take(20, (joint, t) -> SampleBodies.standing(joint)))))
                .as("standing")
                .isGreaterThan(0.25);
        assertThat(one.unlike(look(SampleBodies.take(20, (joint, t) -> SampleBodies.onTheBack(joint)))))
                .as("lying")
                .isGreaterThan(0.5);
    }

    @Test
    void aMomentIsNoSet() {
        JointRows joints = JointRows.ofLeader(SampleBodies.take(20, (joint, t) -> SampleBodies.standing(joint)))
                .orElseThrow();
        assertThat(SetLook.of(joints, 2, 3)).isEmpty();
        assertThat(SetLook.of(joints, 300, 320)).as("behind the end").isEmpty();
    }
}
