package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.time.Length;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Laws of expansion that hold for every sheet. */
class ExpansionPropertiesTest {
    @Provide
    Arbitrary<String> moves() {
        return RandomSheets.moves();
    }

    @Provide
    Arbitrary<String> sheets() {
        return RandomSheets.sheets();
    }

    @Property(tries = 300)
    void segmentsFollowEachOtherAndAddUp(@ForAll("sheets") String sheet) {
        Timeline timeline = SampleSheets.timeline(sheet);
        Length sum = Length.ZERO;
        for (Segment s : timeline.segments()) {
            assertThat(s.start().micros()).isEqualTo(sum.micros());
            assertThat(s.duration().isPositive()).isTrue();
            sum = sum.plus(s.duration());
        }
        assertThat(timeline.total()).isEqualTo(sum);
    }

    @Property(tries = 300)
    void idsAreUnique(@ForAll("sheets") String sheet) {
        Set<String> ids = new HashSet<>();
        for (Segment s : SampleSheets.timeline(sheet).segments()) {
            assertThat(ids.add(s.id())).as(s.id()).isTrue();
        }
    }

    @Property(tries = 300)
    void intervalsCoverEverySegmentOnce(@ForAll("sheets") String sheet) {
        Timeline timeline = SampleSheets.timeline(sheet);
        List<Segment> covered = timeline.intervals().stream()
                .flatMap(i -> i.segments().stream())
                .toList();
        assertThat(covered).containsExactlyElementsOf(timeline.segments());
    }

    @Property(tries = 200)
    void halvesAndSeparateGiveBothSidesTheSameTime(@ForAll("moves") String move) {
        String twoSided = move.replace("sides alternate", "sides halves")
                .replace("sides rounds", "sides separate")
                .replace("reps 12", "reps 12 each-side");
        Balance b = Balance.of(
                SampleSheets.timeline("talk Hi  0:10\ncircuit A  rounds 2  work 0:30  rest 0:10\n" + twoSided),
                MoveLibrary.shipped());
        assertThat(b.left().time()).isEqualTo(b.right().time());
        assertThat(b.left().sets()).isEqualTo(b.right().sets());
    }

    @Property(tries = 200)
    void noRestStandsAtTheEndOrBeforeTalk(@ForAll("sheets") String sheet) {
        List<Segment> segments = SampleSheets.timeline(sheet).segments();
        for (int i = 0; i < segments.size(); i++) {
            boolean blockRest = segments.get(i).kind() == SegmentKind.REST
                    && segments.get(i).block().kind() != BlockKind.REST;
            boolean last = i + 1 == segments.size();
            if (blockRest && !last) {
                assertThat(segments.get(i + 1).kind()).isNotEqualTo(SegmentKind.TALK);
            }
            assertThat(blockRest && last).isFalse();
        }
    }

    @Property(tries = 100)
    void anEditInOneBlockRenamesNothingElsewhere(@ForAll("sheets") String sheet) {
        List<String> before = SampleSheets.timeline("talk Open  0:10\n" + sheet).segments().stream()
                .map(Segment::id)
                .toList();
        List<String> after = SampleSheets.timeline("talk Open  0:25\n" + sheet).segments().stream()
                .map(Segment::id)
                .toList();
        assertThat(after).isEqualTo(before);
    }
}
