package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.Bodies;
import app.nosegay.evidence.Bodies.Body;
import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.shoot.Extreme;
import app.nosegay.time.Length;
import java.util.Arrays;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** What a test clip tells before a shoot. */
class TestFrameTest {
    private static final double SECONDS = 20;
    private static final SampleBodies.Places PRESSING = SampleBodies.after(
            4,
            (j, t) -> SampleBodies.standing(j),
            SampleBodies.after(8, TestFrameTest::armsUp, (j, t) -> SampleBodies.standing(j)));

    private static double[] armsUp(Joint joint, double seconds) {
        double[] at = SampleBodies.standing(joint).clone();
        boolean hand = joint == Joint.LEFT_WRIST || joint == Joint.RIGHT_WRIST;
        return hand ? new double[] {at[0], -2.3} : at;
    }

    private static double[] apart(Joint joint, Joint moved, double by) {
        double[] at = SampleBodies.standing(joint).clone();
        double side = joint == moved ? 1 : joint == moved.opposite() ? -1 : 0;
        return side == 0 ? at : new double[] {side * by, moved == Joint.LEFT_WRIST ? -1 : at[1]};
    }

    private static TestFrame frame(TakeEvidence take, Extreme... wanted) {
        return TestFrame.of(take.bodies(), take.length(), List.of(wanted));
    }

    private static TakeEvidence clip(SampleBodies.Places places, double trunk) {
        return SampleBodies.take(SECONDS, places, 0.9, trunk, 7);
    }

    @Test
    void whatStaysInsideFits() {
        TestFrame frame = frame(clip(PRESSING, 0.18), Extreme.ARMS_UP);
        assertThat(frame.fits()).isTrue();
        assertThat(frame.done()).containsExactly(Extreme.ARMS_UP);
        assertThat(frame.remarks())
                .extracting(TestFrame.Remark::text)
                .containsExactly("Everything that was shown stays in the picture: you can film.");
    }

    @Test
    void handsThatLeaveAreToldWithTheirMoment() {
        TestFrame frame = frame(clip(PRESSING, 0.24), Extreme.ARMS_UP);
        assertThat(frame.isInside()).isFalse();
        assertThat(frame.remarks()).singleElement().satisfies(r -> {
            assertThat(r.text())
                    .matches("Hands leave the picture at the top, the most at 0:0\\S+ "
                            + "Move the camera back or tilt it up.");
            assertThat(r.at().seconds()).isBetween(4.0, 8.0);
        });
    }

    /** What hands hold reaches farther than they do. */
    @Test
    void aWeightOverheadNeedsMoreRoom() {
        TakeEvidence take = clip(PRESSING, 0.19);
        assertThat(frame(take, Extreme.ARMS_UP).isInside()).isTrue();
        assertThat(frame(take, Extreme.WEIGHT_UP).remarks()).singleElement().satisfies(r -> assertThat(r.text())
                .startsWith("A weight in the hands would leave the picture at the top"));
    }

    @Test
    void whatWasNotTriedIsAskedFor() {
        TestFrame frame = frame(clip(PRESSING, 0.18), Extreme.ARMS_UP, Extreme.LYING, Extreme.WIDE_STEP);
        assertThat(frame.isInside()).isTrue();
        assertThat(frame.fits()).isFalse();
        assertThat(frame.remarks())
                .extracting(TestFrame.Remark::text)
                .containsExactly(
                        "Everything that was shown stays in the picture.",
                        "Not seen in this clip: Lying at full length",
                        "Not seen in this clip: The widest step to the front, the side and the back");
    }

    @Test
    void everyExtremeIsKnown() {
        assertThat(done(SampleBodies.after(
                        10, (j, t) -> SampleBodies.standing(j), (j, t) -> SampleBodies.onTheBack(j))))
                .containsExactly(Extreme.LYING);
        assertThat(done((j, t) -> apart(j, Joint.LEFT_ANKLE, t < 10 ? 0.25 : 0.7)))
                .containsExactly(Extreme.WIDE_STEP);
        assertThat(done((j, t) -> apart(j, Joint.LEFT_WRIST, t < 10 ? 0.5 : 1.4)))
                .containsExactly(Extreme.ARMS_OUT);
        assertThat(done((j, t) -> SampleBodies.standing(j))).isEmpty();
    }

    private static Set<Extreme> done(SampleBodies.Places places) {
        Set<Extreme> asked = EnumSet.allOf(Extreme.class);
        return frame(clip(places, 0.15), asked.toArray(new Extreme[0])).done();
    }

    @Test
    void farOffTheCameraMayComeNearer() {
        assertThat(frame(clip(PRESSING, 0.08), Extreme.ARMS_UP).remarks())
                .extracting(TestFrame.Remark::text)
                .last()
                .asString()
                .endsWith("the camera can come closer.");
    }

    @Test
    void nobodyIsSaid() {
        TestFrame frame = TestFrame.of(Bodies.NONE, Length.ofSeconds(SECONDS), List.of(Extreme.ARMS_UP));
        assertThat(frame.fits()).isFalse();
        assertThat(frame.remarks()).singleElement().satisfies(r -> assertThat(r.text())
                .startsWith("Nobody was found"));
    }

    /** Somebody who was lost as they lay down, and found as another, is one. */
    @Test
    void aBodyInTwoPiecesTellsTheSame() {
        TakeEvidence take = clip(PRESSING, 0.24);
        Body whole = take.bodies().people().get(0);
        int half = 6 * (int) SampleBodies.HZ;
        List<Body> pieces = List.of(piece(whole, 0, half), piece(whole, half, whole.end()));
        TestFrame cut = TestFrame.of(
                new Bodies(SampleBodies.HZ, take.bodies().shape(), pieces), take.length(), List.of(Extreme.ARMS_UP));
        TestFrame frame = frame(take, Extreme.ARMS_UP);
        assertThat(cut.done()).isEqualTo(frame.done());
        assertThat(cut.isInside()).isFalse();
    }

    private static Body piece(Body body, int from, int to) {
        int n = Joint.COUNT;
        return new Body(
                from,
                Arrays.copyOfRange(body.places(), from * 3 * n, to * 3 * n),
                Arrays.copyOfRange(body.certainties(), from * n, to * n));
    }

    /** A mirror changes nothing, and whoever fits from some distance fits from farther off. */
    @Property(tries = 60)
    void sameness(@ForAll @DoubleRange(min = 0.1, max = 0.3) double trunk) {
        TakeEvidence take = clip(PRESSING, trunk);
        TestFrame frame = frame(take, Extreme.ARMS_UP, Extreme.WIDE_STEP);
        TestFrame mirrored = frame(SampleBodies.mirrored(take), Extreme.ARMS_UP, Extreme.WIDE_STEP);
        assertThat(mirrored.done()).isEqualTo(frame.done());
        assertThat(mirrored.remarks()).isEqualTo(frame.remarks());
        if (frame.isInside()) {
            assertThat(frame(clip(PRESSING, 0.9 * trunk), Extreme.ARMS_UP).isInside())
                    .isTrue();
        }
    }
}
