package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.time.Length;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** Laws of expansion that hold for every sheet. */
class ExpansionPropertiesTest {
    private static final List<String> MOVES = List.of(
            "goblet squat", "push-up", "reverse lunge", "single-arm row", "plank", "band pull-apart", "some new move");

    @Provide
    Arbitrary<String> moves() {
        Arbitrary<String> sides =
                Arbitraries.of("", "  sides halves", "  sides separate", "  sides alternate", "  sides rounds");
        Arbitrary<String> ends = Arbitraries.of(
                "", "", "  reps 12", "  reps 7 each-side", "  hold 0:20", "  work 0:25", "  demo before");
        return Combinators.combine(Arbitraries.of(MOVES), sides, ends).as((m, s, e) -> "  " + m + s + e + "\n");
    }

    @Provide
    Arbitrary<String> blocks() {
        Arbitrary<String> heads = Arbitraries.of(
                "circuit Ring  rounds 3  work 0:30  rest 0:15\n",
                "circuit Ring  rounds 2  work 0:41  rest 0:07  round-rest 1:00\n",
                "superset Pair  sets 2  reps 9  rest 0:45\n",
                "straight-sets Plain  sets 3  reps 10,8,6  rest 1:00-2:00\n",
                "amrap Last  work 1:00\n",
                "every-minute Top  minutes 4  reps 10\n",
                "build Up  work 0:40  rest 0:15\n",
                "warm-up  each 0:30\n",
                "circuit Chain  rounds 1  work 0:30  rest 0:10  sides chain\n");
        Arbitrary<String> withMoves = Combinators.combine(
                        heads, moves().list().ofMinSize(1).ofMaxSize(4))
                .as((h, m) -> h + String.join("", m));
        return Arbitraries.oneOf(
                withMoves, Arbitraries.of("talk Words  0:20\n", "rest 0:45\n", "rest as-needed ~0:40\n"));
    }

    @Provide
    Arbitrary<String> sheets() {
        return blocks().list().ofMinSize(1).ofMaxSize(6).map(b -> "title: T\n" + String.join("", b));
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
