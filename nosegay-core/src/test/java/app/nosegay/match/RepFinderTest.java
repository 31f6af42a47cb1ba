package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Repetitions counted in the small pictures of a take: a body that goes down and up again. */
class RepFinderTest {
    private static final double HZ = 10;
    private static final int ROWS = 18;
    private static final double START = 12;

    private final Timeline timeline =
            SampleSheets.timeline("title: T\nstraight-sets A  sets 1  reps 10  rest 0:30\n  squat  tempo 2-0-1\n");
    private final Segment set = timeline.segments().stream()
            .filter(s -> s.reps() != null)
            .findFirst()
            .orElseThrow();

    /** A body as far down as {@code depth} says, 0 to 1, with sensor noise and a flickering lamp. */
    private static TakeEvidence take(double seconds, DoubleUnaryOperator depth, double flicker) {
        int width = TakeEvidence.Poses.WIDTH;
        int count = (int) (seconds * HZ);
        byte[] grey = new byte[count * width * ROWS];
        Random random = new Random(3);
        for (int i = 0; i < count; i++) {
            double top = 3 + 6 * depth.applyAsDouble(i / HZ);
            double lamp = flicker * Math.sin(i * 1.7);
            for (int r = 0; r < ROWS; r++) {
                double covered = Math.max(0, Math.min(1, r + 1 - top)) * (r < 16 ? 1 : 0);
                for (int c = 0; c < width; c++) {
                    boolean body = c >= 13 && c < 19;
                    double value = 170 + lamp - (body ? 110 * covered : 0) + random.nextGaussian();
                    grey[(i * ROWS + r) * width + c] = (byte) Math.round(value);
                }
            }
        }
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(seconds),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                new TakeEvidence.Poses(HZ, width * ROWS, grey),
                List.of());
    }

    private List<Time<Axis.Take>> counted(TakeEvidence take, double from, double to) {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            boolean own = s.id().equals(set.id());
            Time<Axis.Take> start = Time.ofSeconds(own ? from : Math.max(0, from - 8));
            Time<Axis.Take> end = Time.ofSeconds(own ? to : from);
            placed.add(new Match.Placed(
                    s.id(), s.duration(), own ? "t" : null, start, end, start, end, 0, 0, false, false));
        }
        Map<String, List<Time<Axis.Take>>> reps = RepFinder.reps(timeline, placed, List.of(take));
        return reps.get(set.id());
    }

    private static DoubleUnaryOperator reps(int count, double each) {
        return t -> t < START || t > START + count * each ? 0 : 0.5 - 0.5 * Math.cos(2 * Math.PI * (t - START) / each);
    }

    @Property(tries = 40)
    void asManyAsWereDoneAreCounted(
            @ForAll @IntRange(min = 6, max = 16) int count, @ForAll @DoubleRange(min = 2.2, max = 4.2) double each) {
        double end = START + count * each;
        List<Time<Axis.Take>> found = counted(take(end + 8, reps(count, each), 0), START, end);
        assertThat(found).hasSize(count);
        for (int i = 0; i < count; i++) {
            assertThat(found.get(i).seconds()).isCloseTo(START + (i + 1) * each, within(0.6));
        }
    }

    /** Of few, and far from the tempo, the last one may be taken for half of one. */
    @Property(tries = 20)
    void ofFewNoneIsMadeUpAndOneMayBeLost(
            @ForAll @IntRange(min = 3, max = 5) int count, @ForAll @DoubleRange(min = 2, max = 4.4) double each) {
        double end = START + count * each;
        assertThat(counted(take(end + 8, reps(count, each), 0), START, end).size())
                .isBetween(count - 1, count);
    }

    @Property(tries = 15)
    void aFlickeringLampChangesNothing(@ForAll @DoubleRange(min = 2, max = 10) double flicker) {
        double end = START + 8 * 3;
        assertThat(counted(take(end + 8, reps(8, 3), flicker), START, end)).hasSize(8);
    }

    @Property(tries = 20)
    void whoSlowsDownIsCountedAllTheSame(@ForAll @DoubleRange(min = 0.2, max = 0.6) double slower) {
        double[] ends = new double[11];
        ends[0] = START;
        for (int i = 1; i < ends.length; i++) {
            ends[i] = ends[i - 1] + 2.4 * (1 + slower * i / 10);
        }
        TakeEvidence take = take(
                ends[10] + 8,
                t -> {
                    for (int i = 0; i < 10; i++) {
                        if (t >= ends[i] && t < ends[i + 1]) {
                            return 0.5 - 0.5 * Math.cos(2 * Math.PI * (t - ends[i]) / (ends[i + 1] - ends[i]));
                        }
                    }
                    return 0;
                },
                0);
        assertThat(counted(take, START, ends[10]).size()).isBetween(9, 11);
    }

    /** Where nothing is seen the planned tempo is all there is. */
    @Test
    void withoutPicturesTheTempoCounts() {
        TakeEvidence blind = new TakeEvidence(
                "t", "t.mp4", Length.ofSeconds(60), List.of(), List.of(), Trace.NONE, Trace.NONE, null, List.of());
        List<Time<Axis.Take>> found = counted(blind, START, START + 30);
        assertThat(found).hasSize(10);
        assertThat(found.get(9).seconds()).isCloseTo(START + 30, within(0.01));
        assertThat(counted(blind, START, START + 2)).as("less than one").isEmpty();
    }
}
