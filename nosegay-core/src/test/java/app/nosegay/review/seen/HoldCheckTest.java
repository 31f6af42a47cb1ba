package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.evidence.sight.SampleBodies.Places;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Whether holds are held. */
class HoldCheckTest {
    private static final Places LYING = (joint, seconds) -> SampleBodies.onTheBack(joint);
    private static final Places UP = (joint, seconds) -> SampleBodies.standing(joint);

    private final Timeline timeline = SampleSheets.timeline(
            "title: Held\ncalls: none\ncircuit A  rounds 2  work 0:30  rest 0:10\n  plank\n  squat\n");

    private List<Finding> findings(Places places) {
        TakeEvidence take = SampleBodies.take(timeline.total().seconds(), places);
        return HoldCheck.findings(timeline, SeenSet.of(timeline, AsPlanned.match(timeline, 0), List.of(take)));
    }

    /** Given up at any moment of the first plank, for as long as one takes a breath. */
    @Property(tries = 100)
    void aHoldThatIsLeftIsToldWithTheMoment(
            @ForAll @IntRange(min = 3, max = 20) int from, @ForAll @IntRange(min = 4, max = 8) int seconds) {
        double start = timeline.segments().stream()
                .filter(s -> "plank".equals(s.move()))
                .findFirst()
                .orElseThrow()
                .start()
                .seconds();
        Places left = SampleBodies.after(start + from, LYING, SampleBodies.after(start + from + seconds, UP, LYING));
        assertThat(findings(left)).singleElement().satisfies(f -> {
            assertThat(f.message()).startsWith("Plank, round 1: out of the hold for ");
            assertThat(f.moment().span().start().seconds()).isBetween(start + from - 1.1, start + from + 1.1);
            assertThat(f.moment().span().length().seconds()).isBetween(seconds - 1.6, seconds + 1.6);
        });
    }

    @Test
    void tremblingAndASlipAreNotToldNorWhatIsNoHold() {
        assertThat(findings(LYING)).isEmpty();
        double first = timeline.segments().get(0).start().seconds();
        assertThat(findings(SampleBodies.after(first + 10, LYING, SampleBodies.after(first + 11.5, UP, LYING))))
                .as("up for a moment")
                .isEmpty();
        assertThat(findings(SampleBodies.lifting(true, true, 0, 9, 20)))
                .as("arms swing in a squat and a plank")
                .noneMatch(f -> f.message().startsWith("Squat"));
    }
}
