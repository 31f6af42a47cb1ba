package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.plan.edit.LengthEdit;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import java.util.List;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;

/** Stretching a block on the ribbon writes the length into the line that says it. */
class LengthEditLawsTest {
    @Provide
    Arbitrary<String> sheets() {
        return RandomSheets.sheets();
    }

    @Property(tries = 150)
    void theStretchedSegmentHasTheLengthItWasGiven(
            @ForAll("sheets") String sheet,
            @ForAll @IntRange(min = 0, max = 200) int which,
            @ForAll @IntRange(min = 6, max = 90) int seconds) {
        Timeline timeline = SampleSheets.timeline(sheet);
        List<Segment> segments = timeline.segments();
        if (segments.isEmpty()) {
            return;
        }
        Segment segment = segments.get(which % segments.size());
        // A switch comes out of its interval and has to leave room for both sides.
        Length wanted = Length.ofSeconds(segment.kind() == SegmentKind.SWITCH ? Math.min(seconds, 10) : seconds);
        LengthEdit.of(timeline, segment, wanted).ifPresent(edit -> {
            Timeline after = SampleSheets.timeline(edit.apply(sheet));
            Segment same = after.segment(segment.id()).orElseThrow(() -> new AssertionError(segment.id()));
            assertThat(LengthEdit.segmentLength(after, same))
                    .as(segment.id() + ": " + edit.name())
                    .isEqualTo(wanted);
            assertThat(ids(after)).isEqualTo(ids(timeline));
        });
    }

    /** All segments but what is left of a minute, which can be nothing. */
    private static List<String> ids(Timeline timeline) {
        return timeline.segments().stream()
                .filter(s -> s.kind() != SegmentKind.REST || s.block().kind() != BlockKind.EVERY_MINUTE)
                .map(Segment::id)
                .toList();
    }
}
