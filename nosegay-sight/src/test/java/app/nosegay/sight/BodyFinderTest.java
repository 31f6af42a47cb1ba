package app.nosegay.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import java.util.List;
import java.util.function.IntFunction;
import org.junit.jupiter.api.Test;

class BodyFinderTest {
    private static final double HZ = 8;

    private static Bodies seen(int first, int pictures, IntFunction<Picture> picture) {
        try (BodyFinder finder = new BodyFinder(HZ, first)) {
            for (int i = 0; i < pictures; i++) {
                finder.see(picture.apply(i));
            }
            return BodyFinder.found(List.of(finder));
        }
    }

    private static double phase(int i) {
        return 0.5 - 0.5 * Math.cos(i * 0.4);
    }

    @Test
    void somebodyWhoSquatsIsFoundFromHeadToFeet() {
        Bodies bodies = seen(40, 20, i -> Drawn.people("squat", phase(i), 0.5));
        assertThat(bodies.people()).hasSize(1);
        Body body = bodies.people().get(0);
        assertThat(body.first()).isEqualTo(40);
        assertThat(body.seen()).isEqualTo(20);
        double shape = Drawn.WIDTH / (double) Drawn.HEIGHT;
        assertThat(bodies.shape()).isCloseTo(shape, within(1e-9));
        for (int s = 40; s < 60; s++) {
            assertThat(body.y(s, Joint.NOSE)).isLessThan(body.middleY(s, Joint.LEFT_SHOULDER));
            assertThat(body.middleY(s, Joint.LEFT_HIP)).isLessThan(body.middleY(s, Joint.LEFT_ANKLE));
            assertThat(body.middleX(s, Joint.LEFT_HIP)).isCloseTo(shape / 2, within(0.15));
            assertThat(body.middleY(s, Joint.LEFT_ANKLE)).isCloseTo(0.9, within(0.08));
        }
    }

    @Test
    void thoseWhoStandSideBySideAreThree() {
        Bodies bodies = seen(0, 12, i -> Drawn.people("press", phase(i), 0.2, 0.5, 0.8));
        assertThat(bodies.people()).hasSize(3).allMatch(b -> b.seen() == 12);
    }

    @Test
    void inAnEmptyRoomIsNobody() {
        assertThat(seen(0, 12, i -> Drawn.room()).isEmpty()).isTrue();
    }

    @Test
    void whoeverLiesIsFoundWithoutHavingStoodThere() {
        Bodies bodies = seen(0, 12, i -> Drawn.people("pushup", phase(i), 0.5));
        assertThat(bodies.people()).isNotEmpty();
        Body body = bodies.people().get(0);
        assertThat(Math.abs(body.middleX(6, Joint.LEFT_SHOULDER) - body.middleX(6, Joint.LEFT_HIP)))
                .isGreaterThan(Math.abs(body.middleY(6, Joint.LEFT_SHOULDER) - body.middleY(6, Joint.LEFT_HIP)));
    }

    /** The same in a mirror: everything is where it was, and left is right. */
    @Test
    void inAMirroredPictureLeftAndRightAreExchanged() {
        IntFunction<Picture> picture = i -> Drawn.people("press", phase(i), 0.45);
        Body straight = seen(0, 10, picture).people().get(0);
        Body mirrored =
                seen(0, 10, i -> Drawn.mirrored(picture.apply(i))).people().get(0);
        double shape = Drawn.WIDTH / (double) Drawn.HEIGHT;
        for (Joint j : List.of(Joint.LEFT_SHOULDER, Joint.RIGHT_WRIST, Joint.LEFT_HIP, Joint.RIGHT_ANKLE)) {
            assertThat(mirrored.x(8, j.opposite())).as(j.name()).isCloseTo(shape - straight.x(8, j), within(0.03));
            assertThat(mirrored.y(8, j.opposite())).as(j.name()).isCloseTo(straight.y(8, j), within(0.03));
        }
    }

    /** Stretches that are looked at side by side give one person, as one look does. */
    @Test
    void aTakeInPiecesIsTheSamePerson() {
        IntFunction<Picture> picture = i -> Drawn.people("squat", phase(i), 0.5);
        try (BodyFinder one = new BodyFinder(HZ, 0);
                BodyFinder two = new BodyFinder(HZ, 12)) {
            for (int i = 0; i < 24; i++) {
                (i < 12 ? one : two).see(picture.apply(i));
            }
            Bodies bodies = BodyFinder.found(List.of(one, two));
            assertThat(bodies.people()).hasSize(1);
            assertThat(bodies.people().get(0).seen()).isEqualTo(24);
        }
        assertThat(BodyFinder.found(List.of())).isEqualTo(Bodies.NONE);
    }
}
