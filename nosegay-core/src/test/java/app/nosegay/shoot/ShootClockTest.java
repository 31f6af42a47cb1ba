package app.nosegay.shoot;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.evidence.sound.ClapListener;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The shoot clock in virtual time. */
class ShootClockTest {
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ncalls: half, 5, in 3, out 3\ntalk Hi  0:10\ncircuit A  work 0:20  rest 0:10\n "
                    + " goblet squat\n  single-arm row  sides halves\ntalk Bye  0:05\n");
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, MoveLibrary.shipped(), SpeechRate.DEFAULT);

    private static ShootClock clock(int from) {
        return new ShootClock(TIMELINE, CUES, from, 7, "", true);
    }

    private static Time<Axis.Clock> s(double seconds) {
        return Time.ofSeconds(seconds);
    }

    /** Runs to {@code until} in steps of a tenth; gives what was heard. */
    private static List<ShootClock.Due> run(ShootClock clock, double until) {
        List<ShootClock.Due> heard = new ArrayList<>();
        for (double t = clock.now().seconds(); t <= until + 1e-9; t += 0.1) {
            clock.at(s(t));
            heard.addAll(clock.sounds(s(t + 0.2)));
        }
        return heard;
    }

    @Test
    void runsThePlanExactlyAndLogsEveryBoundary() {
        ShootClock clock = clock(0);
        List<ShootClock.Due> heard = run(clock, 90);
        assertThat(clock.isFinished()).isTrue();
        ShootLog log = clock.log();
        assertThat(log.entries()).hasSize(TIMELINE.segments().size());
        for (int k = 0; k < log.entries().size(); k++) {
            Segment segment = TIMELINE.segments().get(k);
            assertThat(log.entries().get(k).segment()).isEqualTo(segment.id());
            assertThat(log.entries().get(k).span().start().seconds())
                    .isEqualTo(5 + segment.start().seconds());
        }
        assertThat(heard).extracting(ShootClock.Due::sound).startsWith(ClockSound.START_TONE);
        assertThat(heard).extracting(ShootClock.Due::sound).endsWith(ClockSound.END_TONE);
        assertThat(heard.stream().filter(d -> d.sound() == ClockSound.START).map(d -> d.time()
                        .seconds()))
                .containsExactly(15.0, 45.0);
        assertThat(heard.stream().filter(d -> d.sound() == ClockSound.PIP).map(d -> d.time()
                        .seconds()))
                .containsExactly(12.0, 13.0, 14.0, 42.0, 43.0, 44.0);
        assertThat(heard.stream().filter(d -> d.sound() == ClockSound.CHANGE)).hasSize(2);
        assertThat(heard.stream().filter(d -> d.sound() == ClockSound.END)).hasSize(2);
    }

    @Test
    void aHoldStretchesTheRunningSegmentByJustAsMuch() {
        ShootClock clock = clock(0);
        run(clock, 20);
        clock.hold();
        assertThat(run(clock, 33)).isEmpty();
        assertThat(clock.moment().held()).isTrue();
        clock.hold();
        run(clock, 120);
        ShootLog log = clock.log();
        assertThat(log.entries().get(1).span().length().seconds()).isBetween(32.9, 33.1);
        assertThat(log.events()).extracting(ShootLog.Event::kind).containsExactly("hold", "go-on");
    }

    @Test
    void againBreaksTheIntervalOffAndBeginsItAnewWithACountIn() {
        ShootClock clock = clock(0);
        run(clock, 55);
        assertThat(clock.moment().segment().id()).endsWith("switch");
        clock.again();
        assertThat(clock.moment().segment().id()).endsWith("single-arm-row/right");
        List<ShootClock.Due> heard = run(clock, 120);
        assertThat(heard.get(0).sound()).isEqualTo(ClockSound.PIP);
        ShootLog log = clock.log();
        assertThat(log.entries().stream().filter(e -> e.segment().endsWith("/right")))
                .hasSize(2);
        assertThat(log.events()).extracting(ShootLog.Event::kind).containsExactly("again");
    }

    @Test
    void startsAnywhereGoesOnEarlyAndStops() {
        int from = TIMELINE.indexes().get("a/goblet-squat/rest");
        ShootClock clock = clock(from);
        run(clock, 8);
        clock.next();
        assertThat(clock.moment().segment().id()).isEqualTo("a/single-arm-row/right");
        run(clock, 12);
        clock.mark();
        clock.fluff();
        clock.stop();
        assertThat(clock.isFinished()).isTrue();
        assertThat(clock.log().fluffs()).isEqualTo(1);
        assertThat(clock.log().endTone()).isNotNull();
        assertThat(clock.log().entries()).hasSize(2);
    }

    @Test
    void showsWhatIsLeftOfTheIntervalTheNextThingAndTheLines() {
        ShootClock clock = clock(0);
        run(clock, 47);
        ShootClock.Moment m = clock.moment();
        assertThat(m.segment().move()).isEqualTo("single-arm row");
        assertThat(m.left().seconds()).isBetween(17.9, 18.1);
        assertThat(m.share()).isBetween(0.09, 0.11);
        assertThat(m.next().block().name()).isEqualTo("Bye");
        assertThat(m.line()).isNotNull();
        assertThat(m.then()).isNotNull();
    }

    @Property(tries = 40)
    void whateverIsPressedTheLogIsInOrderAndReadsBack(@ForAll @IntRange(min = 1, max = 100_000) int seed)
            throws IOException {
        Random random = new Random(seed);
        ShootClock clock = clock(random.nextInt(TIMELINE.segments().size()));
        for (double t = 0; t < 200; t += 0.05 + random.nextDouble()) {
            clock.at(s(t));
            clock.sounds(s(t + 0.2));
            switch (random.nextInt(40)) {
                case 0 -> clock.hold();
                case 1 -> clock.again();
                case 2 -> clock.next();
                case 3 -> clock.mark();
                case 4 -> clock.fluff();
                default -> {
                    // nothing is pressed
                }
            }
            assertThat(clock.moment().left().micros()).isNotNegative();
        }
        ShootLog log = clock.log();
        Time<Axis.Clock> last = Time.zero();
        for (ShootLog.Entry e : log.entries()) {
            assertThat(e.span().start()).isGreaterThanOrEqualTo(last);
            last = e.span().end();
        }
        assertThat(ShootLog.fromJson(log.toJson()).entries()).hasSameSizeAs(log.entries());
    }

    @Test
    void twoClapsAreHeardSpeechAndOneClapAreNot() {
        int hz = 16_000;
        Random random = new Random(3);
        float[] sound = new float[hz * 12];
        for (int i = 0; i < sound.length; i++) {
            sound[i] = (float) (0.002 * random.nextGaussian());
        }
        burst(sound, hz, 2.0, 0.03, random);
        burst(sound, hz, 5.0, 1.2, random);
        burst(sound, hz, 8.0, 0.03, random);
        burst(sound, hz, 8.4, 0.03, random);
        ClapListener listener = new ClapListener(hz);
        List<Double> heard = new ArrayList<>();
        for (int i = 0; i < sound.length; i += 400) {
            float[] part = java.util.Arrays.copyOfRange(sound, i, i + 400);
            if (listener.listen(part, 400)) {
                heard.add(i / (double) hz);
            }
        }
        assertThat(heard).hasSize(1);
        assertThat(heard.get(0)).isBetween(8.3, 8.7);
    }

    private static void burst(float[] sound, int hz, double at, double length, Random random) {
        int from = (int) (at * hz);
        int n = (int) (length * hz);
        for (int i = 0; i < n; i++) {
            sound[from + i] += (float) (0.5 * random.nextGaussian() * (length > 0.1 ? 1 : Math.exp(-5.0 * i / n)));
        }
    }

    @Test
    void theSetUpListsGearInOrderOfUseAndAViewPerMove() {
        SetUp setUp = SetUp.of(
                TIMELINE,
                CUES,
                PlanReport.of(TIMELINE, MoveLibrary.shipped(), ChangeCosts.DEFAULT)
                        .gear(),
                MoveLibrary.shipped());
        assertThat(setUp.gear()).isNotEmpty();
        assertThat(setUp.angles()).containsKeys("goblet squat", "single-arm row");
        assertThat(setUp.extremes().get(0).text()).contains("arms straight up");
        assertThat(setUp.sayFirst()).isNotEmpty();
    }
}
