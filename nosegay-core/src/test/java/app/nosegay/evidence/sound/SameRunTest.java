package app.nosegay.evidence.sound;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Two cameras at one run. */
class SameRunTest {
    private static final double HZ = 20;

    /** Phrases of one to four seconds with pauses between them, by a seed. */
    private static double[] spoken(long seed, double seconds) {
        Random random = new Random(seed);
        double[] db = new double[(int) (seconds * HZ)];
        int at = 0;
        while (at < db.length) {
            int speech = (int) (HZ * (1 + 3 * random.nextDouble()));
            int pause = (int) (HZ * (0.4 + 4 * random.nextDouble()));
            for (int i = at; i < Math.min(db.length, at + speech); i++) {
                db[i] = -22 + 5 * random.nextGaussian();
            }
            for (int i = at + speech; i < Math.min(db.length, at + speech + pause); i++) {
                db[i] = -58;
            }
            at += speech + pause;
        }
        return db;
    }

    /** What a camera heard of it that began {@code from} seconds in: quieter, and over the noise of its own. */
    private static TakeEvidence heard(
            double[] db, double from, double gain, double noise, List<TakeEvidence.Beep> beeps) {
        Random random = new Random(9);
        int start = (int) Math.round(from * HZ);
        float[] values = new float[db.length - start];
        for (int i = 0; i < values.length; i++) {
            double power = Math.pow(10, (db[i + start] + gain) / 10) + Math.pow(10, noise / 10);
            values[i] = (float) (10 * Math.log10(power) + random.nextGaussian());
        }
        return new TakeEvidence(
                "t",
                "t.mp4",
                Length.ofSeconds(values.length / HZ),
                List.of(),
                beeps,
                new Trace(HZ, values),
                Trace.NONE,
                null,
                List.of());
    }

    @Property(tries = 40)
    void theSecondCameraIsFoundWhereverItWasStarted(
            @ForAll @IntRange(min = 1, max = 1000) int seed,
            @ForAll @DoubleRange(min = 0, max = 40) double first,
            @ForAll @DoubleRange(min = 0, max = 40) double second,
            @ForAll @DoubleRange(min = -45, max = -32) double noise) {
        double[] run = spoken(seed, 180);
        double there = Math.round(first * HZ) / HZ - Math.round(second * HZ) / HZ;
        Length later = SameRun.later(heard(run, first, 0, -60, List.of()), heard(run, second, -8, noise, List.of()))
                .orElseThrow();
        assertThat(later.seconds()).isCloseTo(there, within(0.02));
    }

    @Test
    void beepsTellItToTheMillisecond() {
        double[] run = spoken(3, 120);
        List<TakeEvidence.Beep> one = new ArrayList<>();
        List<TakeEvidence.Beep> two = new ArrayList<>();
        for (int i = 0; i < 6; i++) {
            one.add(new TakeEvidence.Beep(Time.ofSeconds(10 + 15 * i), Length.ofMillis(200), 880, -20));
            two.add(new TakeEvidence.Beep(Time.ofSeconds(10 + 15 * i - 5.013), Length.ofMillis(200), 880, -20));
        }
        assertThat(SameRun.later(heard(run, 0, 0, -60, one), heard(run, 5, -8, -45, two))
                        .orElseThrow()
                        .seconds())
                .isCloseTo(-5.013, within(0.001));
    }

    @Test
    void anotherRecordingIsNotTakenForOne() {
        for (int seed = 1; seed < 20; seed++) {
            assertThat(SameRun.later(
                            heard(spoken(seed, 180), 0, 0, -60, List.of()),
                            heard(spoken(seed + 500, 180), 0, 0, -60, List.of())))
                    .as("seed " + seed)
                    .isEmpty();
        }
        for (int seed = 1; seed < 40; seed++) {
            assertThat(SameRun.later(
                            heard(spoken(seed, 45), 0, 0, -60, List.of()),
                            heard(spoken(seed + 500, 50), 0, 0, -60, List.of())))
                    .as("short ones, seed " + seed)
                    .isEmpty();
        }
        double[] run = spoken(1, 60);
        assertThat(SameRun.later(heard(run, 0, 0, -60, List.of()), heard(run, 45, 0, -60, List.of())))
                .as("too little in common")
                .isEmpty();
    }
}
