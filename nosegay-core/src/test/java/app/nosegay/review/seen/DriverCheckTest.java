package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.library.Driver;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Another move than the planned one, told by what does the work. */
class DriverCheckTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static List<Finding> findings(String move, SampleBodies.Places places) {
        Timeline timeline = SampleSheets.timeline(
                "title: Seen\ncalls: none\ncircuit A  rounds 1  work 0:30  rest 0:10\n  " + move + "\n");
        TakeEvidence take = SampleBodies.take(timeline.total().seconds(), places);
        for (TakeEvidence seen : List.of(take, SampleBodies.mirrored(take))) {
            assertThat(found(timeline, seen)).isEqualTo(found(timeline, take));
        }
        return found(timeline, take);
    }

    private static List<Finding> found(Timeline timeline, TakeEvidence take) {
        return DriverCheck.findings(
                timeline, SeenSet.of(timeline, AsPlanned.match(timeline, 0), List.of(take)), LIBRARY);
    }

    private static final SampleBodies.Places PRESSING = SampleBodies.lifting(true, true, 0, 3, 10);

    /** All that is over the knees goes down, by {@code depth} trunks. */
    private static SampleBodies.Places squatting(double depth) {
        return (joint, seconds) -> {
            double[] at = SampleBodies.standing(joint).clone();
            boolean stays = at[1] > 0.5;
            at[1] += stays ? 0 : depth * (0.5 - 0.5 * Math.cos(2 * Math.PI * seconds / 3));
            return at;
        };
    }

    @Test
    void aSquatWherePressesArePlannedIsTold() {
        assertThat(findings("overhead press", squatting(0.9))).singleElement().satisfies(f -> assertThat(f.message())
                .isEqualTo("Overhead press: the hips go far up and down, as if another move were shown."));
        assertThat(findings("squat", squatting(0.9))).isEmpty();
    }

    @Test
    void pressesWhereASquatIsPlannedAreTold() {
        assertThat(findings("squat", PRESSING)).extracting(Finding::code).containsExactly("match.other-move");
        assertThat(findings("overhead press", PRESSING)).isEmpty();
    }

    /** A low squat, and the dip before a push press, are what they are. */
    @Test
    void aLittleOfEitherTellsNothing() {
        assertThat(findings("squat", squatting(0.3))).isEmpty();
        assertThat(findings("push press", squatting(0.3))).isEmpty();
        assertThat(findings("squat", (joint, seconds) -> SampleBodies.standing(joint)))
                .isEmpty();
    }

    @ParameterizedTest
    @CsvSource({
        "squat, HIPS",
        "reverse lunge, HIPS",
        "squat hold, OTHER",
        "overhead press, ARMS",
        "biceps curl, ARMS",
        "thruster, OTHER",
        "floor press, OTHER",
        "push-up, OTHER",
        "kettlebell swing, OTHER"
    })
    void movesHaveADriver(String name, Driver driver) {
        assertThat(LIBRARY.find(name).orElseThrow().driver()).isEqualTo(driver);
    }
}
