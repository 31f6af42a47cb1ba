package app.nosegay.evidence.sight;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Length;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

/** Changes of position and of stillness in the small pictures of a take. */
class PostureStepsTest {
    private static final double HZ = 10;
    private static final int ROWS = 18;

    /** Where somebody is: the middle of the body in cells, and how wide and high it is. */
    private record Body(double x, double y, double w, double h) {
        Body moved(double right, double up) {
            return new Body(x + right, y - up, w, h);
        }
    }

    private static final Body STANDS = new Body(16, 9, 3, 12);
    private static final Body LIES = new Body(16, 15, 12, 2);
    private static final Body BENDS = new Body(17, 12, 7, 6);

    private interface Film {
        Body at(double seconds);
    }

    /** A dark body before a light wall, with sensor noise and a lamp that gets slowly brighter. */
    private static TakeEvidence.Poses filmed(double seconds, Film film) {
        int width = TakeEvidence.Poses.WIDTH;
        int count = (int) (seconds * HZ);
        byte[] grey = new byte[count * width * ROWS];
        Random random = new Random(5);
        for (int i = 0; i < count; i++) {
            Body b = film.at(i / HZ);
            for (int r = 0; r < ROWS; r++) {
                for (int c = 0; c < width; c++) {
                    double covered = share(c, b.x(), b.w()) * share(r, b.y(), b.h());
                    double value = 170 + 0.02 * i / HZ - 110 * covered + random.nextGaussian();
                    grey[(i * ROWS + r) * width + c] = (byte) Math.round(value);
                }
            }
        }
        return new TakeEvidence.Poses(HZ, width * ROWS, grey);
    }

    private static double share(int cell, double middle, double size) {
        return Math.max(0, Math.min(1, size / 2 + 0.5 - Math.abs(cell + 0.5 - middle)));
    }

    @Property(tries = 20)
    void oneStillPositionGoesOverIntoAnother(@ForAll @DoubleRange(min = 15, max = 45) double at) {
        List<PostureSteps.Step> steps =
                PostureSteps.in(filmed(60, t -> t < at ? LIES : BENDS)).position();
        assertThat(steps).hasSize(1);
        assertThat(steps.get(0).seconds()).isCloseTo(at, within(0.5));
        assertThat(steps.get(0).strength()).isEqualTo(1);
    }

    @Property(tries = 20)
    void oneMoveGoesOverIntoTheNextWithoutARest(
            @ForAll @DoubleRange(min = 20, max = 40) double at,
            @ForAll @DoubleRange(min = 1.8, max = 3.8) double period) {
        List<PostureSteps.Step> steps = PostureSteps.in(filmed(60, t -> {
                    double way = 1.5 * Math.sin(2 * Math.PI * t / period);
                    return t < at ? STANDS.moved(0, way) : BENDS.moved(way, 0);
                }))
                .position();
        PostureSteps.Step plain = steps.stream()
                .max((a, b) -> Double.compare(a.strength(), b.strength()))
                .orElseThrow();
        assertThat(plain.seconds()).isCloseTo(at, within(1.5));
        assertThat(steps)
                .filteredOn(s -> Math.abs(s.seconds() - at) > 3)
                .allMatch(s -> s.strength() < plain.strength());
    }

    @Property(tries = 20)
    void whoWalksAboutAndThenHoldsStillComesToRest(@ForAll @DoubleRange(min = 15, max = 45) double at) {
        PostureSteps.Steps steps = PostureSteps.in(
                filmed(60, t -> t < at ? STANDS.moved(6 * Math.sin(1.1 * t) + 3 * Math.sin(2.9 * t), 0) : STANDS));
        PostureSteps.Step plain = steps.stillness().stream()
                .max((a, b) -> Double.compare(a.strength(), b.strength()))
                .orElseThrow();
        assertThat(plain.seconds()).isCloseTo(at, within(2.5));
        assertThat(plain.strength()).isGreaterThan(0.7);
    }

    @Test
    void noiseAndALampTellNothing() {
        PostureSteps.Steps steps = PostureSteps.in(filmed(120, t -> STANDS));
        assertThat(steps.position()).isEmpty();
        assertThat(steps.stillness()).isEmpty();
    }

    @Test
    void withoutPicturesThereIsNothing() {
        assertThat(PostureSteps.in(null).position()).isEmpty();
        assertThat(PostureSteps.in(filmed(5, t -> STANDS)).stillness()).isEmpty();
        assertThat(PostureSteps.in(new TakeEvidence.Poses(HZ, 0, new byte[0])).position())
                .isEmpty();
    }

    /** Three stretches one after the other, kept still, longer and shorter than planned: nothing moves, nobody says a word. */
    @Test
    void stretchesThatFollowEachOtherAreToldApart() {
        Timeline timeline = SampleSheets.timeline(
                "title: T\ntalk Hi  0:20\ncircuit A  work 0:30  rest 0:20\n  squat\n  reverse lunge\ncool-down  each 0:20\n"
                        + "  chest opener\n  child's pose\n  side bend\n  seated forward fold\ntalk Bye  0:15\n");
        List<Segment> segments = timeline.segments();
        double[] starts = new double[segments.size() + 1];
        starts[0] = 6;
        Random random = new Random(8);
        for (int k = 0; k < segments.size(); k++) {
            double off = segments.get(k).kind().isMoving() ? 5 * random.nextDouble() - 1 : 1.5 * random.nextDouble();
            starts[k + 1] = starts[k] + segments.get(k).duration().seconds() + off;
        }
        Body[] still = {STANDS.moved(4, 0), LIES, BENDS, LIES.moved(-5, 1)};
        TakeEvidence.Poses poses = filmed(starts[segments.size()] + 10, t -> {
            int k = 0;
            while (k < segments.size() - 1 && t >= starts[k + 1]) {
                k++;
            }
            Segment s = segments.get(k);
            return switch (s.kind()) {
                case WORK -> STANDS.moved(0, 2 * Math.sin(2 * Math.PI * t / 2.6));
                case COOLDOWN ->
                    still[
                            (int) (segments.subList(0, k).stream()
                                    .filter(b -> b.kind() == s.kind())
                                    .count())];
                default -> STANDS.moved(2.5 * Math.sin(0.9 * t) + 1.5 * Math.sin(2.3 * t), 0);
            };
        });
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(poses.count() / HZ),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                poses,
                List.of());
        Match found =
                Matcher.match(timeline, List.of(take), Arrays.asList((app.nosegay.shoot.ShootLog) null), List.of());
        for (int k = 0; k < segments.size(); k++) {
            if (segments.get(k).kind().isMoving()) {
                Match.Placed p = found.segments().get(k);
                assertThat(p.matched()).as(p.id()).isTrue();
                assertThat(p.start().seconds()).as("start of %s", p.id()).isCloseTo(starts[k], within(2.0));
            }
        }
    }
}
