package app.nosegay.dress;

import static app.nosegay.dress.LayoutSamples.COLUMNS;
import static app.nosegay.dress.LayoutSamples.ROWS;
import static app.nosegay.dress.LayoutSamples.layout;
import static app.nosegay.dress.LayoutSamples.occupancy;
import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.dress.Layout.Anchor;
import app.nosegay.dress.Layout.Group;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.evidence.sight.Box;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.evidence.sight.OccupancyMap;
import app.nosegay.plan.Finding;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Level badges, people in the picture, and what is put by hand, on the frame. */
class BadgesAndBodiesTest {

    @Test
    void aBadgeIsUnderTheFeetOrWhereThereIsRoomOverTheHead() {
        Face.LevelBadge badge = new Face.LevelBadge("Oak", 0.5, app.nosegay.plan.terms.Level.Grade.HARDER, "");
        float[] reach = new float[COLUMNS * ROWS];
        for (int y = 8; y < ROWS; y++) {
            java.util.Arrays.fill(reach, y * COLUMNS + 13, y * COLUMNS + 19, 1);
        }
        OccupancyMap standing = new OccupancyMap(COLUMNS, ROWS, reach, reach, new float[COLUMNS * ROWS], reach);
        Box floor = badgeAt(badge, OccupancyMap.none()).get(badge);
        Box over = badgeAt(badge, standing).get(badge);
        assertThat(floor.bottom()).isGreaterThan(660);
        assertThat(over.bottom()).isLessThanOrEqualTo(8 * 40);
        assertThat(over.x() + over.width() / 2).isEqualTo(640);
        assertThat(standing.touched(over, Frame.LANDSCAPE)).isZero();
    }

    @Test
    void whatIsPutByHandHoldsForTheShapeItWasPutIn() {
        DressNotes notes = DressNotes.NONE
                .with(new DressNotes.Put(Group.CLOCK, "", Anchor.UPPER_LEFT))
                .with(new DressNotes.Put(Group.CLOCK, "", Anchor.BOTTOM_LEFT, FrameShape.TALL));
        assertThat(notes.places()).hasSize(2);
        List<OccupancyMap> nobody = List.of(OccupancyMap.none());
        assertThat(layout(nobody, Frame.LANDSCAPE, notes).areas().get(0).anchors())
                .as("a place wide pictures have not is as good as none")
                .containsEntry(Group.CLOCK, Anchor.TOP_RIGHT);
        assertThat(layout(nobody, Frame.portrait(0.5), notes).areas().get(0).anchors())
                .containsEntry(Group.CLOCK, Anchor.BOTTOM_LEFT);
        DressNotes freed = notes.without(notes.places().get(1));
        assertThat(layout(nobody, Frame.portrait(0.5), freed).areas().get(0).anchors())
                .containsEntry(Group.CLOCK, Anchor.UPPER_LEFT);
    }

    @Test
    void peopleAreSeenWhereThePictureDiffersFromUsual() {
        int frames = 600;
        byte[] grey = new byte[frames * COLUMNS * ROWS];
        java.util.Arrays.fill(grey, (byte) 120);
        for (int f = 0; f < frames; f++) {
            boolean second = f >= 400;
            for (int y = 6; y < 16 && second; y++) {
                for (int x = 26; x < 29; x++) {
                    grey[(f * ROWS + y) * COLUMNS + x] = 20;
                }
            }
        }
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(60),
                List.of(),
                List.of(),
                new Trace(20, new float[0]),
                new Trace(10, new float[0]),
                new TakeEvidence.Poses(10, COLUMNS * ROWS, grey),
                List.of());
        Box right = new Box(1040, 250, 100, 300);

        assertThat(OccupancyMap.of(take, new Span<>(Time.ofSeconds(0), Time.ofSeconds(30)))
                        .behind(right, Frame.LANDSCAPE))
                .as("somebody comes there later: it is likely to be theirs")
                .isBetween(0.2, 0.4);
        assertThat(OccupancyMap.of(take, new Span<>(Time.ofSeconds(0), Time.ofSeconds(30)))
                        .behind(new Box(100, 250, 100, 300), Frame.LANDSCAPE))
                .isLessThan(0.05);
        assertThat(OccupancyMap.of(take, new Span<>(Time.ofSeconds(42), Time.ofSeconds(58)))
                        .behind(right, Frame.LANDSCAPE))
                .isGreaterThan(0.9);
    }

    @Test
    void whatIsWrongByHandIsFound() {
        DressNotes notes = DressNotes.NONE
                .with(new DressNotes.Put(Group.CARD, "", Anchor.TOP_RIGHT))
                .with(new DressNotes.Put(Group.CLOCK, "", Anchor.TOP_RIGHT))
                .withStyle(new Style(
                        "Pale",
                        Style.Clock.RING,
                        1,
                        true,
                        Style.Edge.RIM,
                        3,
                        1,
                        0xFFFFFF,
                        0xBBBBBB,
                        0xAAAAAA,
                        0x111111,
                        0x111111,
                        0x111111,
                        0x111111,
                        0x111111,
                        0x111111));
        Layout layout = layout(List.of(occupancy(20, 32)), Frame.LANDSCAPE, notes);
        Piece brief = new Piece.Still(
                new Span<>(Time.ofSeconds(1), Time.ofSeconds(2)),
                new Face.Card(Face.CardKind.FORM, "Form", "Chest tall, weight through the whole foot."));

        assertThat(DressCheck.findings(new Dressing(List.of(brief), layout, notes)))
                .extracting(Finding::code)
                .contains("dress.contrast", "dress.covers", "dress.overlap", "dress.brief");
        assertThat(DressCheck.findings(new Dressing(
                        List.of(),
                        layout(List.of(OccupancyMap.none()), Frame.LANDSCAPE, DressNotes.NONE),
                        DressNotes.NONE)))
                .isEmpty();
    }

    private static Map<Face.LevelBadge, Box> badgeAt(Face.LevelBadge badge, OccupancyMap people) {
        return LevelBadges.of(
                List.of(badge),
                List.of(),
                people,
                Frame.LANDSCAPE,
                Layout.room(Frame.LANDSCAPE, DressNotes.NONE.shows(DressNotes.Extra.PROGRESS)),
                DressNotes.NONE.style().scale());
    }
}
