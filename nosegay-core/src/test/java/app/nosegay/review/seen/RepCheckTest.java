package app.nosegay.review.seen;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.Joint;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.sight.JointRows;
import app.nosegay.evidence.sight.SampleBodies;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.Side;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.function.ToDoubleBiFunction;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** How repetitions are done, read off joints. */
class RepCheckTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final double PERIOD = 2.5;
    private static final Timeline TIMELINE = SampleSheets.timeline("title: Seen\ncalls: none\n"
            + "straight-sets A  sets 1  rest 0:10\n  front raise  reps 10  tempo 3-0-1\n"
            + "  single-arm press  reps 8  sides separate\n");

    /** A take whose arms go as far as {@code depth} says of a set and a repetition, from 0 on, and a match that counts them. */
    private static List<Finding> findings(ToDoubleBiFunction<Segment, Integer> depth, double trembles) {
        TakeEvidence take = SampleBodies.take(TIMELINE.total().seconds(), (joint, seconds) -> {
            double[] at = SampleBodies.standing(joint).clone();
            for (Segment s : TIMELINE.segments()) {
                double into = seconds - s.start().seconds();
                boolean now = into >= 0 && seconds < s.end().seconds() && s.kind() == SegmentKind.WORK;
                boolean works = s.side() != (joint.name().contains("LEFT") ? Side.RIGHT : Side.LEFT);
                if (now && works && (joint == Joint.LEFT_WRIST || joint == Joint.RIGHT_WRIST)) {
                    int rep = (int) (into / PERIOD);
                    double out = 0.5 - 0.5 * Math.cos(2 * Math.PI * into / PERIOD);
                    at[1] -= 1.8 * out * depth.applyAsDouble(s, rep) + trembles * Math.sin(7 * rep * rep) * out;
                }
            }
            return at;
        });
        Match match = AsPlanned.match(TIMELINE, PERIOD);
        return RepCheck.findings(TIMELINE, match, SeenSet.of(TIMELINE, match, List.of(take)), LIBRARY);
    }

    private static List<String> codes(List<Finding> findings) {
        return findings.stream()
                .map(Finding::code)
                .filter(c -> !c.equals("match.tempo"))
                .toList();
    }

    @Test
    void repetitionsThatAreAlikeAreNoFinding() {
        assertThat(codes(findings((s, rep) -> 1, 0))).isEmpty();
        assertThat(codes(findings((s, rep) -> 0.85 + 0.15 * Math.sin(rep), 0))).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(ints = {0, 3, 6})
    void halfARepetitionIsToldWithItsNumberAndMoment(int which) {
        List<Finding> found = findings((s, rep) -> s.move().equals("front raise") && rep == which ? 0.45 : 1, 0);
        Finding half = found.stream()
                .filter(f -> f.code().equals("match.rep-range"))
                .findFirst()
                .orElseThrow();
        assertThat(half.message()).startsWith("Front raise").contains("one repetition goes only");
        assertThat(half.moment().span().start().seconds()).isEqualTo((which + 1) * PERIOD);
    }

    @Test
    void aWholeSetOfThemIsAWayOfDoingItAndUnsureJointsTellNothing() {
        assertThat(codes(findings((s, rep) -> rep % 2 == 0 ? 0.45 : 1, 0))).isEmpty();
        assertThat(codes(findings((s, rep) -> rep == 3 ? 0.45 : 1, 0.9))).isEmpty();
    }

    @Test
    void aSideThatGoesLessFarIsToldOnce() {
        List<Finding> found = findings((s, rep) -> s.side() == Side.LEFT ? 0.6 : 1, 0);
        assertThat(codes(found)).containsExactly("match.range-uneven");
        Finding uneven = found.stream()
                .filter(f -> f.code().equals("match.range-uneven"))
                .findFirst()
                .orElseThrow();
        assertThat(uneven.message()).startsWith("Single-arm press").contains("left", "% as far as the right side");
    }

    /** Repetitions take 2.5 s; 4 s were written for one move, the other has the library's own tempo. */
    @Test
    void anotherTempoThanWrittenIsToldWhereOneWasWritten() {
        assertThat(findings((s, rep) -> 1, 0)).singleElement().satisfies(f -> {
            assertThat(f.code()).isEqualTo("match.tempo");
            assertThat(f.message())
                    .isEqualTo("Front raise, set 1: a repetition takes 2.5 s, 4.0 s are planned (3-0-1).");
        });
    }

    /** As long as written, but down as fast as up. */
    @ParameterizedTest
    @CsvSource({"0.5, 0", "0.8, 1", "0.62, 0"})
    void theWayOutIsHeldAgainstTheWrittenOne(double planned, int told) {
        String tempo = PERIOD * planned + "-0-" + PERIOD * (1 - planned);
        Timeline timeline = SampleSheets.timeline("title: Seen\ncalls: none\nstraight-sets A  sets 1  rest 0:10\n"
                + "  front raise  reps 10  tempo " + tempo + "\n");
        Match match = AsPlanned.match(timeline, PERIOD);
        for (double share : new double[] {0.5, 0.3}) {
            TakeEvidence take = SampleBodies.take(timeline.total().seconds(), (joint, seconds) -> {
                double[] at = SampleBodies.standing(joint).clone();
                if (joint == Joint.LEFT_WRIST || joint == Joint.RIGHT_WRIST) {
                    at[1] -= 1.6 * out(seconds % PERIOD / PERIOD, share);
                }
                return at;
            });
            List<Finding> found =
                    RepCheck.findings(timeline, match, SeenSet.of(timeline, match, List.of(take)), LIBRARY);
            assertThat(found).hasSize(share < 0.5 && planned > 0.5 ? 1 : told);
            assertThat(found).allSatisfy(f -> assertThat(f.message()).contains("the first phase takes about"));
        }
    }

    /** How far out a joint is that takes {@code share} of a repetition for its way out. */
    private static double out(double phase, double share) {
        double of = phase < share ? phase / share : (1 - phase) / (1 - share);
        return 0.5 - 0.5 * Math.cos(Math.PI * of);
    }

    @Test
    void halfRepetitionsAreTheSameInAMirror() {
        TakeEvidence take = SampleBodies.take(40, (joint, seconds) -> {
            double[] at = SampleBodies.standing(joint).clone();
            if (joint == Joint.LEFT_WRIST || joint == Joint.RIGHT_WRIST) {
                int rep = (int) (seconds / PERIOD);
                at[1] -= (rep == 3 ? 0.7 : 1.6) * out(seconds % PERIOD / PERIOD, 0.5);
            }
            return at;
        });
        List<Time<Axis.Take>> ends = IntStream.rangeClosed(1, 10)
                .mapToObj(i -> Time.<Axis.Take>ofSeconds(i * PERIOD))
                .toList();
        for (TakeEvidence seen : List.of(take, SampleBodies.mirrored(take))) {
            JointRows leader = JointRows.ofLeader(seen).orElseThrow();
            assertThat(RepWays.of(leader, 0, 10 * PERIOD, ends).halves()).containsExactly(ends.get(3));
            List<Time<Axis.Take>> counted = new ArrayList<>(ends);
            counted.remove(3);
            assertThat(RepWays.of(leader, 0, 10 * PERIOD, counted).halves())
                    .as("not counted")
                    .singleElement()
                    .satisfies(at -> assertThat(at.seconds()).isCloseTo(4 * PERIOD, within(0.5)));
            assertThat(RepWays.of(leader, 0, 3 * PERIOD, ends.subList(0, 3)))
                    .as("too few")
                    .isNull();
        }
    }
}
