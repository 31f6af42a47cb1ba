package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** How much of the width somebody takes, and what stays of it in another shape. */
class OccupancyMapTest {
    private static final int COLUMNS = 32;
    private static final int ROWS = 18;

    private static OccupancyMap of(boolean[] taken) {
        float[] presence = new float[COLUMNS * ROWS];
        for (int x = 0; x < COLUMNS; x++) {
            presence[10 * COLUMNS + x] = taken[x] ? 1 : 0;
        }
        return new OccupancyMap(COLUMNS, ROWS, presence, new float[COLUMNS * ROWS], new float[COLUMNS * ROWS]);
    }

    private static OccupancyMap between(int from, int to) {
        boolean[] taken = new boolean[COLUMNS];
        for (int x = from; x < to; x++) {
            taken[x] = true;
        }
        return of(taken);
    }

    @Test
    void whoStandsTakesLittleAndWhoLiesMuch() {
        assertThat(between(14, 18).extent(0.5)).isCloseTo(4 / 32.0 + 0.04, within(0.001));
        assertThat(between(6, 26).extent(0.5)).isCloseTo(20 / 32.0 + 0.04, within(0.001));
        assertThat(OccupancyMap.none().extent(0.5)).isZero();
    }

    @Test
    void othersBesideAGapDoNotCount() {
        boolean[] three = new boolean[COLUMNS];
        for (int x : new int[] {4, 5, 6, 15, 16, 25, 26, 27}) {
            three[x] = true;
        }
        assertThat(of(three).extent(0.5)).isLessThan(0.2);
    }

    @Test
    void oneEmptyColumnWithinABodyIsNoGap() {
        boolean[] lying = new boolean[COLUMNS];
        for (int x = 8; x < 24; x++) {
            lying[x] = x != 12;
        }
        assertThat(of(lying).extent(0.5)).isGreaterThan(0.5);
    }

    /** Whoever is in the middle is inside the part that stays. */
    @Property
    void whoIsThereStaysInTheCrop(
            @ForAll @IntRange(min = 0, max = 30) int from,
            @ForAll @IntRange(min = 1, max = 20) int wide,
            @ForAll @DoubleRange(min = 0.2, max = 0.8) double focus) {
        int to = Math.min(COLUMNS, from + wide);
        OccupancyMap occupancy = between(from, to);
        double kept = Frame.portrait(focus).keeping(occupancy.extent(focus)).kept();
        double left = Math.max(0, Math.min(1 - kept, focus - kept / 2));
        assertThat(left).isLessThanOrEqualTo(from / (double) COLUMNS + 1e-9);
        assertThat(left + kept).isGreaterThanOrEqualTo(to / (double) COLUMNS - 1e-9);
    }

    @Test
    void aCropThatFillsHasNoBarsAndAWiderOneHas() {
        Frame portrait = Frame.portrait(0.5);
        assertThat(portrait.kept()).isCloseTo(0.316, within(0.001));
        assertThat(portrait.filled()).isEqualTo(1280);
        Frame wide = portrait.keeping(0.75);
        assertThat(wide.kept()).isEqualTo(0.75);
        assertThat(wide.filled()).isCloseTo(540, within(0.1));
        assertThat(Frame.LANDSCAPE.keeping(0.75).kept()).isEqualTo(1);
    }

    @Test
    void nobodyIsInTheBars() {
        OccupancyMap lying = between(6, 26);
        OccupancyMap cropped = lying.cropped(Frame.portrait(0.5).keeping(0.75));
        assertThat(cropped.rows()).isGreaterThan(ROWS);
        Frame frame = Frame.portrait(0.5);
        assertThat(cropped.behind(new Box(0, 0, 720, 200), frame)).isZero();
        assertThat(cropped.behind(new Box(0, 1100, 720, 150), frame)).isZero();
        assertThat(cropped.behind(new Box(0, 500, 720, 300), frame)).isPositive();
    }

    /** A take of a minute in which {@code cell}, at row 6, is another {@code grey} or {@code tint} for three frames of every second. */
    private static OccupancyMap comingThrough(int cell, int grey, int tint) {
        int frames = 600;
        byte[] greys = new byte[frames * COLUMNS * ROWS];
        byte[] tints = new byte[greys.length];
        Arrays.fill(greys, (byte) 120);
        Arrays.fill(tints, (byte) 128);
        for (int f = 0; f < frames; f++) {
            int at = (f * ROWS + 6) * COLUMNS + cell;
            greys[at] = (byte) (f % 10 < 3 ? grey : 120);
            tints[at] = (byte) (f % 10 < 3 ? tint : 128);
        }
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(60),
                List.of(),
                List.of(),
                new Trace(20, new float[0]),
                new Trace(10, new float[0]),
                new TakeEvidence.Poses(10, COLUMNS * ROWS, greys, tints),
                List.of());
        return OccupancyMap.of(take, new Span<>(Time.ofSeconds(10), Time.ofSeconds(40)));
    }

    @Test
    void whoComesThroughNowAndThenCountsAsComingThrough() {
        OccupancyMap occupancy = comingThrough(20, 60, 128);
        Box over = new Box(20 * 40, 6 * 40, 40, 40);
        assertThat(occupancy.passing(over, Frame.LANDSCAPE)).isEqualTo(1);
        assertThat(occupancy.heads(over, Frame.LANDSCAPE)).isEqualTo(1);
        assertThat(occupancy.passing(new Box(28 * 40, 6 * 40, 40, 40), Frame.LANDSCAPE))
                .isZero();
    }

    @Test
    void skinAsBrightAsTheWallIsSeenByItsColour() {
        Box over = new Box(20 * 40, 6 * 40, 40, 40);
        assertThat(comingThrough(20, 120, 160).passing(over, Frame.LANDSCAPE)).isEqualTo(1);
        assertThat(comingThrough(20, 120, 130).passing(over, Frame.LANDSCAPE)).isZero();
    }
}
