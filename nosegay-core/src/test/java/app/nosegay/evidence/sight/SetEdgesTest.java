package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Where repetitions begin and end, told from their middle. */
class SetEdgesTest {
    private static final double HZ = 10;
    private static final int CELLS = 64;

    /** A bright bar at a place, 0 to 1, that changes with time, on a noisy sensor. */
    private static TakeEvidence.Poses filmed(double seconds, DoubleUnaryOperator place) {
        Random noise = new Random(5);
        int count = (int) (seconds * HZ);
        byte[] grey = new byte[count * CELLS];
        for (int i = 0; i < count; i++) {
            double at = 4 + 50 * place.applyAsDouble(i / HZ);
            for (int c = 0; c < CELLS; c++) {
                double bright = 60 + 120 * Math.exp(-Math.pow((c - at) / 3, 2)) + noise.nextGaussian();
                grey[i * CELLS + c] = (byte) Math.round(bright);
            }
        }
        return new TakeEvidence.Poses(HZ, CELLS, grey);
    }

    private static double rep(double since, double period) {
        return 0.25 - 0.25 * Math.cos(2 * Math.PI * since / period);
    }

    /** Repetitions from {@code start} to {@code end}; before and behind them whatever {@code rest} does. */
    private static SetEdges.Edges edges(
            double start, double end, double period, DoubleUnaryOperator rest, double from, double to) {
        return SetEdges.of(
                filmed(90, t -> t < start || t > end ? rest.applyAsDouble(t) : rep(t - start, period)), from, to);
    }

    @Property(tries = 60)
    void setsAreFoundFromSomewhereNearTheirEnds(
            @ForAll @DoubleRange(min = 1.4, max = 4.5) double period,
            @ForAll @DoubleRange(min = -4, max = 4) double early,
            @ForAll @DoubleRange(min = -4, max = 4) double late) {
        DoubleUnaryOperator walks = t -> 0.8 + 0.15 * Math.sin(t * 0.9) * Math.cos(t * 0.37);
        SetEdges.Edges edges = edges(25, 25 + 10 * period + 10, period, walks, 25 + early, 35 + 10 * period + late);
        assertThat(edges.start()).isCloseTo(25, within(1.0));
        assertThat(edges.end()).isCloseTo(35 + 10 * period, within(1.0));
        assertThat(edges.period()).isBetween(0.8 * period, 3.2 * period);
        assertThat(edges.period() / period).isCloseTo(Math.rint(edges.period() / period), within(0.15));
    }

    @Test
    void whoStandsStillInPlaceBeforehandHasNotBegun() {
        SetEdges.Edges edges = edges(30, 60, 3, t -> t < 22 || t > 66 ? 0.8 : 0, 27, 62);
        assertThat(edges.start()).isCloseTo(30, within(1.0));
        assertThat(edges.end()).isCloseTo(60, within(1.0));
    }

    @Test
    void aHitchInTheMiddleIsOfTheSet() {
        DoubleUnaryOperator stumbles = t -> t > 44 && t < 46 ? 0.9 : rep(t - 30, 2.5);
        SetEdges.Edges edges = SetEdges.of(filmed(90, t -> t < 30 || t > 60 ? 0.8 : stumbles.applyAsDouble(t)), 28, 61);
        assertThat(edges.start()).isCloseTo(30, within(1.0));
        assertThat(edges.end()).isCloseTo(60, within(1.0));
    }

    @Test
    void holdsAndMissingPicturesTellNothing() {
        assertThat(SetEdges.of(filmed(60, t -> 0.3), 10, 50)).isEqualTo(SetEdges.Edges.UNKNOWN);
        assertThat(SetEdges.of(null, 10, 50)).isEqualTo(SetEdges.Edges.UNKNOWN);
        assertThat(SetEdges.of(filmed(20, t -> rep(t, 2)), 10, 50)).isEqualTo(SetEdges.Edges.UNKNOWN);
        assertThat(SetEdges.of(filmed(60, t -> rep(t, 2)), 20, 22)).isEqualTo(SetEdges.Edges.UNKNOWN);
    }

    /** Repetitions that go on beyond reach have no end there. */
    @Test
    void whatNeverStopsHasNoEnds() {
        SetEdges.Edges edges = SetEdges.of(filmed(120, t -> rep(t, 2)), 40, 80);
        assertThat(edges.start()).isNaN();
        assertThat(edges.end()).isNaN();
    }
}
