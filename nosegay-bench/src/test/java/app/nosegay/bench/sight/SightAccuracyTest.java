package app.nosegay.bench.sight;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.Repetitions;
import app.nosegay.evidence.sight.WorkingSide;
import java.util.List;
import org.junit.jupiter.api.Test;

/** A figure nothing was made by: its reps are counted from its joints, and left is left. */
class SightAccuracyTest {
    @Test
    void aPressOfOneArmIsCountedOnTheSideItIsDone() {
        SolidTake take = new SolidTake(207, List.of(SolidMove.SINGLE_ARM_PRESS));
        SolidTake.Done set = take.sets().get(0);
        TakeEvidence seen = take.seen();
        JointRows leader = JointRows.ofLeader(seen).orElseThrow();
        Body body = leader.body();
        assertThat(leader.seen(set.start(), set.end())).isGreaterThan(0.95);
        int middle = (int) ((set.start() + set.end()) / 2 * SolidTake.HZ);
        assertThat(body.x(middle, Joint.LEFT_SHOULDER)).isGreaterThan(body.x(middle, Joint.RIGHT_SHOULDER));
        assertThat(Repetitions.of(leader, set.start(), set.end(), set.start()).reps(set.planned(), false))
                .hasSize(set.ends().size());
        double side = WorkingSide.ARMS.of(leader, set.start(), set.end());
        assertThat(side > 0).isEqualTo(set.side() == 1);
        assertThat(Math.abs(side)).isGreaterThan(0.5);
    }
}
