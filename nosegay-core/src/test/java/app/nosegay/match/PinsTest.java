package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What one pin means for those that are there. */
class PinsTest {
    private final Timeline timeline = SampleSheets.timeline(
            "title: T\ntalk Hi  0:20\ncircuit A  rounds 1  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\ntalk Bye  0:10\n");
    private final Match found = match(List.of());

    private Match match(List<Pin> pins) {
        List<TakeEvidence.Beep> beeps = IntStream.rangeClosed(
                        0, timeline.segments().size())
                .mapToObj(k -> new TakeEvidence.Beep(
                        Time.ofSeconds(5
                                + (k < timeline.segments().size()
                                        ? timeline.segments().get(k).start().seconds()
                                        : timeline.total().seconds())),
                        Length.ofMillis(300),
                        1000,
                        -20))
                .toList();
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(timeline.total().seconds() + 10),
                List.of(),
                beeps,
                Trace.NONE,
                Trace.NONE,
                null,
                List.of());
        return Matcher.match(timeline, List.of(take), Arrays.asList((app.nosegay.shoot.ShootLog) null), pins);
    }

    private Pin pin(int segment, boolean end, double seconds) {
        return new Pin(timeline.segments().get(segment).id(), end, "t", Time.ofSeconds(seconds));
    }

    /** Where a boundary may be always holds where it was put; a beep leaves little room, a pin none. */
    @Test
    void whatIsLikelyHoldsTheBoundaryAndAPinLeavesNoRoom() {
        for (Match.Placed p : match(List.of(pin(3, false, 86))).segments()) {
            assertThat(p.startLikely().start()).isLessThanOrEqualTo(p.start());
            assertThat(p.startLikely().end()).isGreaterThanOrEqualTo(p.start());
            assertThat(p.endLikely().start()).isLessThanOrEqualTo(p.end());
            assertThat(p.endLikely().end()).isGreaterThanOrEqualTo(p.end());
            if (p.startPinned()) {
                assertThat(p.startLikely().length()).isEqualTo(Length.ZERO);
            }
        }
        // Doubt is the share beyond 0.15 s: without it less than 5 % lies there at either side.
        assertThat(found.segments())
                .filteredOn(p -> p.startDoubt() < 0.05)
                .hasSizeGreaterThan(3)
                .allMatch(p -> p.startLikely().length().seconds() <= 0.4);
    }

    @Test
    void aPinBehindWhatComesLaterTakesThatPinAway() {
        Pin pushUp = pin(3, false, 85);
        assertThat(Pins.against(pin(1, false, 90), List.of(pushUp), found)).containsExactly(pushUp);
        assertThat(Pins.against(pin(1, false, 60), List.of(pushUp), found)).isEmpty();
        assertThat(Pins.against(pin(5, false, 84), List.of(pushUp), found)).containsExactly(pushUp);
    }

    @Test
    void anEndAndTheStartBehindItMayMeetAndNotCross() {
        Pin start = pin(2, false, 65);
        assertThat(Pins.against(pin(1, true, 65), List.of(start), found)).isEmpty();
        assertThat(Pins.against(pin(1, true, 64), List.of(start), found)).isEmpty();
        assertThat(Pins.against(pin(1, true, 66), List.of(start), found)).containsExactly(start);
    }

    @Test
    void thePinOfTheSameBoundaryAndThoseOfOtherTakesAreNoneOfIt() {
        Pin other = new Pin(timeline.segments().get(3).id(), false, "u", Time.ofSeconds(1));
        assertThat(Pins.against(pin(1, false, 90), List.of(pin(1, false, 200), other), found))
                .isEmpty();
        assertThat(Pins.against(pin(1, false, 90), List.of(pin(3, false, 85)), Match.NOTHING))
                .isEmpty();
    }

    @Test
    void aPinOutsideTheTakeIsHeldToItsEdge() {
        assertThat(match(List.of(pin(0, false, -0.18))).segments())
                .hasSize(timeline.segments().size());
        assertThat(match(List.of(pin(6, false, 10_000))).segments())
                .hasSize(timeline.segments().size());
    }

    /** However a second boundary is moved, where the first pin is left the two stand in the order of the plan. */
    @Property(tries = 40)
    void whatIsLeftStandsInOrder(
            @ForAll @IntRange(min = 0, max = 6) int a,
            @ForAll @IntRange(min = 0, max = 6) int b,
            @ForAll @DoubleRange(min = -8, max = 8) double off,
            @ForAll @DoubleRange(min = 1, max = 200) double second) {
        double first = 5 + off + timeline.segments().get(a).start().seconds();
        Pin one = pin(a, false, first);
        Pin two = pin(b, false, second);
        List<Pin> against = Pins.against(two, List.of(one), match(List.of(one)));
        if (a != b && against.isEmpty()) {
            assertThat(Integer.compare(a, b) * Double.compare(first, second)).isGreaterThanOrEqualTo(0);
        }
    }
}
