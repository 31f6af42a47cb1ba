package app.nosegay.dress;

import static app.nosegay.dress.LayoutSamples.COLUMNS;
import static app.nosegay.dress.LayoutSamples.ROWS;
import static app.nosegay.dress.LayoutSamples.layout;
import static app.nosegay.dress.LayoutSamples.occupancy;
import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.Layout.Anchor;
import app.nosegay.dress.Layout.Group;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class LayoutTest {

    @Test
    void withNobodyInTheWayEverythingHasItsUsualCorner() {
        Layout.Area area = layout(List.of(OccupancyMap.none()), Frame.LANDSCAPE, DressNotes.NONE)
                .areas()
                .get(0);

        assertThat(area.anchors().get(Group.CLOCK)).isEqualTo(Anchor.TOP_RIGHT);
        assertThat(area.anchors().get(Group.HEAD)).isEqualTo(Anchor.TOP_LEFT);
        assertThat(area.anchors().get(Group.CARD)).isEqualTo(Anchor.BOTTOM_LEFT);
        assertThat(area.anchors().get(Group.REPS)).isEqualTo(Anchor.BOTTOM_RIGHT);
    }

    @Test
    void whoStandsAtTheRightHasEverythingAtTheLeft() {
        Layout.Area area = layout(List.of(occupancy(22, 32)), Frame.LANDSCAPE, DressNotes.NONE)
                .areas()
                .get(0);

        area.anchors().values().forEach(a -> assertThat(a.isRight()).isFalse());
    }

    /** Somebody's legs at the lower left, now and then: as good a place for a card as any while the name is at the top. */
    private static OccupancyMap legsAtTheLeft() {
        float[] presence = new float[COLUMNS * ROWS];
        for (int y = 10; y < ROWS; y++) {
            for (int x = 3; x < 9; x++) {
                presence[y * COLUMNS + x] = 0.5f;
            }
        }
        return new OccupancyMap(COLUMNS, ROWS, presence, new float[COLUMNS * ROWS], new float[COLUMNS * ROWS]);
    }

    @Test
    void whatComesNextIsSteadyFromRestToRestAndClearOfLegs() {
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < 8; i++) {
            boolean rest = i % 2 == 1;
            stretches.add(new Layout.Stretch(
                    "b/m" + i,
                    "b",
                    new Span<>(Time.ofSeconds(10 * i), Time.ofSeconds(10 * i + 10)),
                    rest ? EnumSet.of(Group.CLOCK, Group.CARD) : EnumSet.allOf(Group.class),
                    new Layout.Needs(true, true, true, 470, 196),
                    List.of(),
                    legsAtTheLeft()));
        }
        List<Layout.Area> areas =
                Layout.of(stretches, Frame.LANDSCAPE, DressNotes.NONE).areas();
        Anchor first = areas.get(1).anchors().get(Group.CARD);
        for (int i = 1; i < 8; i += 2) {
            Layout.Area area = areas.get(i);
            assertThat(area.anchors().get(Group.CARD)).isEqualTo(first);
            assertThat(legsAtTheLeft().behind(area.boxes().get(Group.CARD), Frame.LANDSCAPE))
                    .isLessThan(0.05);
        }
        for (int i = 2; i < 8; i += 2) {
            assertThat(areas.get(i).anchors().get(Group.CARD))
                    .isEqualTo(areas.get(0).anchors().get(Group.CARD));
        }
    }

    @Test
    void aMomentOfSomebodyElsewhereDoesNotMakePiecesHop() {
        List<OccupancyMap> occupancies = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            occupancies.add(i == 4 ? faint() : OccupancyMap.none());
        }

        Layout layout = layout(occupancies, Frame.LANDSCAPE, DressNotes.NONE);

        assertThat(layout.areas().stream()
                        .map(a -> a.anchors().get(Group.CLOCK))
                        .distinct())
                .hasSize(1);
    }

    /** Somebody at the right for a little while. */
    private static OccupancyMap faint() {
        OccupancyMap all = occupancy(24, 32);
        float[] some = all.presence().clone();
        for (int i = 0; i < some.length; i++) {
            some[i] *= 0.08f;
        }
        return new OccupancyMap(COLUMNS, ROWS, some, all.passing(), all.grey());
    }

    @Test
    void whatIsPutByHandStaysThereAndTheRestMakesRoom() {
        DressNotes notes = DressNotes.NONE.with(new DressNotes.Put(Group.CARD, "b/m1", Anchor.TOP_RIGHT));

        Layout layout = layout(List.of(OccupancyMap.none(), OccupancyMap.none()), Frame.LANDSCAPE, notes);

        assertThat(layout.areas().get(1).anchors().get(Group.CARD)).isEqualTo(Anchor.TOP_RIGHT);
        assertThat(layout.areas().get(0).anchors().get(Group.CARD)).isEqualTo(Anchor.BOTTOM_LEFT);
    }

    @Property(tries = 60)
    void boxesNeverOverlapAndStayInside(@ForAll @IntRange(min = 0, max = 100_000) int seed) {
        Random random = new Random(seed);
        Style style = Style.SHIPPED.get(random.nextInt(4));
        List<OccupancyMap> occupancies = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            int from = random.nextInt(28);
            occupancies.add(occupancy(from, from + 1 + random.nextInt(4)));
        }
        Layout layout = layout(occupancies, Frame.LANDSCAPE, DressNotes.NONE.withStyle(style));
        for (Layout.Area area : layout.areas()) {
            List<Box> boxes = List.copyOf(area.boxes().values());
            for (int i = 0; i < boxes.size(); i++) {
                assertThat(boxes.get(i).inside(Frame.LANDSCAPE.safe())).isTrue();
                for (int j = i + 1; j < boxes.size(); j++) {
                    assertThat(boxes.get(i).overlaps(boxes.get(j)))
                            .as("seed " + seed)
                            .isFalse();
                }
            }
        }
    }

    /** Somebody's head at the right middle, back and forth: never long in one place. */
    private static OccupancyMap headAtTheRight() {
        float[] passing = new float[COLUMNS * ROWS];
        for (int y = 12; y < ROWS; y++) {
            for (int x = 24; x < COLUMNS; x++) {
                passing[y * COLUMNS + x] = 0.6f;
            }
        }
        return new OccupancyMap(COLUMNS, ROWS, new float[COLUMNS * ROWS], passing, new float[COLUMNS * ROWS]);
    }

    @Test
    void whereAHeadComesThroughNothingLies() {
        Layout.Area area = layout(List.of(headAtTheRight()), Frame.LANDSCAPE, DressNotes.NONE)
                .areas()
                .get(0);
        area.boxes().values().forEach(b -> assertThat(headAtTheRight().passing(b, Frame.LANDSCAPE))
                .isZero());
    }

    @Test
    void uprightPicturesHaveAPlaceBetweenTheTimerAndTheMiddle() {
        float[] presence = new float[COLUMNS * ROWS];
        java.util.Arrays.fill(presence, 7 * COLUMNS, ROWS * COLUMNS, 0.7f);
        OccupancyMap low =
                new OccupancyMap(COLUMNS, ROWS, presence, new float[COLUMNS * ROWS], new float[COLUMNS * ROWS]);
        Layout.Stretch counted = new Layout.Stretch(
                "b/m",
                "b",
                new Span<>(Time.ofSeconds(0), Time.ofSeconds(10)),
                EnumSet.of(Group.CLOCK, Group.HEAD, Group.REPS),
                new Layout.Needs(true, true, true, 470, 196),
                List.of(),
                low);
        Layout.Area area = Layout.of(List.of(counted), Frame.portrait(0.5), DressNotes.NONE)
                .areas()
                .get(0);
        area.boxes().values().forEach(b -> assertThat(low.behind(b, Frame.portrait(0.5)))
                .isLessThan(0.05));
        assertThat(Anchor.of(Frame.LANDSCAPE)).doesNotContain(Anchor.UPPER_LEFT, Anchor.UPPER_RIGHT);
        assertThat(Anchor.of(Frame.square(0.5))).doesNotContain(Anchor.UPPER_LEFT);
    }

    /** A body that reaches everywhere but for a stripe of the picture. */
    private static OccupancyMap reachingAllBut(int fromColumn, int toColumn, int lowestRow) {
        float[] reach = new float[COLUMNS * ROWS];
        for (int y = 0; y < ROWS; y++) {
            for (int x = 0; x < COLUMNS; x++) {
                boolean free = x >= fromColumn && x < toColumn && y <= lowestRow;
                reach[y * COLUMNS + x] = free ? 0 : 0.5f;
            }
        }
        return new OccupancyMap(COLUMNS, ROWS, reach, reach, new float[COLUMNS * ROWS], reach);
    }

    @Test
    void aFreePlaceIsFoundWhereverItIs() {
        OccupancyMap middle = reachingAllBut(9, 23, 17);
        for (Group group : List.of(Group.CLOCK, Group.HEAD, Group.CARD, Group.REPS)) {
            Layout.Stretch alone = new Layout.Stretch(
                    "b/m",
                    "b",
                    new Span<>(Time.ofSeconds(0), Time.ofSeconds(10)),
                    EnumSet.of(group),
                    new Layout.Needs(true, true, true, 470, 196),
                    List.of(),
                    middle);
            Box box = Layout.of(List.of(alone), Frame.LANDSCAPE, DressNotes.NONE)
                    .areas()
                    .get(0)
                    .boxes()
                    .get(group);
            assertThat(middle.touched(box, Frame.LANDSCAPE)).as(group.words()).isZero();
        }
    }

    /** The timer, the name and the counter move for a person who would be covered, and for a whole block; never for less. */
    @Property(tries = 40)
    void whatIsAlwaysThereKeepsItsPlaceThroughABlock(@ForAll @IntRange(min = 0, max = 100_000) int seed) {
        Random random = new Random(seed);
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            int from = random.nextInt(28);
            float[] reach = occupancy(from, Math.min(COLUMNS, from + 1 + random.nextInt(6)))
                    .presence();
            stretches.add(new Layout.Stretch(
                    "b" + i / 3 + "/m" + i,
                    "b" + i / 3,
                    new Span<>(Time.ofSeconds(10 * i), Time.ofSeconds(10 * i + 10)),
                    EnumSet.of(Group.CLOCK, Group.HEAD, Group.REPS),
                    new Layout.Needs(false, random.nextBoolean(), random.nextBoolean(), 300 + random.nextInt(170), 0),
                    List.of(),
                    new OccupancyMap(COLUMNS, ROWS, reach, reach, new float[COLUMNS * ROWS], reach)));
        }
        List<Layout.Area> areas =
                Layout.of(stretches, Frame.LANDSCAPE, DressNotes.NONE).areas();
        for (int i = 0; i < 9; i++) {
            Layout.Area first = areas.get(i / 3 * 3);
            for (Group group : List.of(Group.CLOCK, Group.HEAD, Group.REPS)) {
                Box a = first.boxes().get(group);
                Box b = areas.get(i).boxes().get(group);
                boolean right = first.anchors().get(group).isRight();
                boolean bottom = first.anchors().get(group).isBottom();
                assertThat(right ? b.right() : b.x()).isEqualTo(right ? a.right() : a.x());
                assertThat(bottom ? b.bottom() : b.y()).isEqualTo(bottom ? a.bottom() : a.y());
            }
        }
    }

    @Test
    void onePlaceForAllIsBetterThanWaysAcross() {
        List<Layout.Stretch> stretches = new ArrayList<>();
        for (int i = 0; i < 9; i++) {
            float[] reach = i / 3 == 1 ? occupancy(24, 32).presence() : new float[COLUMNS * ROWS];
            stretches.add(new Layout.Stretch(
                    "b" + i / 3 + "/m" + i,
                    "b" + i / 3,
                    new Span<>(Time.ofSeconds(10 * i), Time.ofSeconds(10 * i + 10)),
                    EnumSet.of(Group.CLOCK),
                    Layout.Needs.LEAST,
                    List.of(),
                    new OccupancyMap(COLUMNS, ROWS, reach, reach, new float[COLUMNS * ROWS], reach)));
        }
        List<Boolean> right = Layout.of(stretches, Frame.LANDSCAPE, DressNotes.NONE).areas().stream()
                .map(a -> a.boxes().get(Group.CLOCK).right() > 24 * 40)
                .toList();
        // One place that is good for all of them is better than two ways across.
        assertThat(right).doesNotContain(true).hasSize(9);
        assertThat(Layout.of(stretches.subList(0, 3), Frame.LANDSCAPE, DressNotes.NONE)
                        .areas()
                        .get(0)
                        .anchors()
                        .get(Group.CLOCK))
                .isEqualTo(Anchor.TOP_RIGHT);
    }
}
