package app.nosegay.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What is made of people who were followed: sides kept, pieces joined, furniture left out, flicker smoothed. */
class FollowedTest {
    private static final double HZ = 8;

    /** Somebody of one height of the picture at {@code x}, whose right arm goes up and down. */
    private static Pose pose(double x, double arm, boolean swapped) {
        double[] points = new double[Joint.COUNT * 3];
        double[] sure = new double[Joint.COUNT];
        for (Joint j : Joint.values()) {
            boolean left = j.name().contains("LEFT");
            double side = j == Joint.NOSE ? 0 : left ? 0.08 : -0.08;
            double y =
                    switch (j) {
                        case LEFT_SHOULDER, RIGHT_SHOULDER -> 0.35;
                        case LEFT_ELBOW, RIGHT_ELBOW -> 0.45 - (left ? 0 : 0.1 * arm);
                        case LEFT_WRIST, RIGHT_WRIST -> 0.55 - (left ? 0 : 0.3 * arm);
                        case LEFT_HIP, RIGHT_HIP -> 0.6;
                        case LEFT_KNEE, RIGHT_KNEE -> 0.75;
                        case LEFT_ANKLE, RIGHT_ANKLE, LEFT_HEEL, RIGHT_HEEL, LEFT_TOES, RIGHT_TOES -> 0.9;
                        default -> 0.25;
                    };
            int at = (swapped ? j.opposite() : j).ordinal();
            points[at * 3] = x + side;
            points[at * 3 + 1] = y;
            sure[at] = 0.9;
        }
        return new Pose(points, sure, x, 0.6, x, 0.1, 1);
    }

    private static double arm(int i) {
        return 0.5 - 0.5 * Math.cos(i * 0.5);
    }

    private static Bodies people(Followed... followed) {
        return People.of(List.of(followed), HZ, 16 / 9.0);
    }

    @Test
    void sidesThatWereMixedUpForSomePicturesAreSetRight() {
        Followed f = new Followed();
        for (int i = 0; i < 60; i++) {
            f.add(i, pose(0.8, arm(i), i % 17 == 5 || i > 40 && i < 44), 1);
        }
        Body body = people(f).people().get(0);
        double left = 0;
        for (int i = 1; i < 60; i++) {
            assertThat(body.x(i, Joint.LEFT_HIP)).isGreaterThan(body.x(i, Joint.RIGHT_HIP));
            left = Math.max(left, Math.abs(body.y(i, Joint.LEFT_WRIST) - body.y(0, Joint.LEFT_WRIST)));
        }
        assertThat(left).isLessThan(0.02);
    }

    @Test
    void aBodyThatNeverMovesIsFurniture() {
        Followed still = new Followed();
        Followed moving = new Followed();
        for (int i = 0; i < 100; i++) {
            still.add(i, pose(0.3, 0, false), 1);
            moving.add(i, pose(1.2, arm(i), false), 1);
        }
        assertThat(people(still, moving).people()).hasSize(1);
    }

    @Test
    void whoeverIsLostAndFoundNearbyIsOnePerson() {
        Followed before = new Followed();
        Followed behind = new Followed();
        Followed far = new Followed();
        for (int i = 0; i < 20; i++) {
            before.add(i, pose(0.8, arm(i), false), 1);
            behind.add(40 + i, pose(0.9, arm(i), false), 1);
            far.add(40 + i, pose(1.7, arm(i), false), 1);
        }
        Bodies bodies = people(before, behind, far);
        assertThat(bodies.people()).hasSize(2);
        Body joined = bodies.people().get(0);
        assertThat(joined.first()).isZero();
        assertThat(joined.end()).isEqualTo(60);
        assertThat(joined.seen()).isEqualTo(40);
        assertThat(joined.isIn(30)).isFalse();
    }

    @Test
    void aMomentIsNobody() {
        Followed f = new Followed();
        for (int i = 0; i < 6; i++) {
            f.add(i, pose(0.8, arm(i), false), 1);
        }
        assertThat(people(f).isEmpty()).isTrue();
    }

    @Test
    void aHeadTakenForABodyIsNotAsLarge() {
        Followed f = new Followed();
        f.add(0, pose(0.8, 0, false), 1);
        Pose whole = pose(0.82, 0.5, false);
        assertThat(f.isAsLarge(whole)).isTrue();
        assertThat(f.isAsLarge(new Pose(whole.points(), whole.sure(), 0.8, 0.3, 0.8, 0.15, 1)))
                .isFalse();
    }

    @Test
    void theFilterRestsWhereItRestsAndFollowsWhatMoves() {
        OneEuroFilter filter = new OneEuroFilter(HZ);
        Random random = new Random(3);
        double trembles = 0;
        double seen = 0;
        for (int i = 0; i < 200; i++) {
            double noise = 0.01 * random.nextGaussian();
            double out = filter.next(0.5 + noise) - 0.5;
            trembles += out * out;
            seen += noise * noise;
        }
        assertThat(trembles).isLessThan(0.6 * seen);
        double at = 0;
        for (int i = 0; i < 8; i++) {
            at = filter.next(0.9);
        }
        assertThat(at).isCloseTo(0.9, within(0.02));
    }
}
