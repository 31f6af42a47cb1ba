package app.nosegay.evidence.sound;

import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.time.Length;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jtransforms.fft.DoubleFFT_1D;

/**
 * How two recordings of the same run by two cameras lie to each other: how loud it was goes up and down in both alike. The lag of the
 * highest normalized cross-correlation of their loudness, as in J. P. Lewis, "Fast Normalized Cross-Correlation" (1995), refined by the
 * beeps both heard. It cannot tell another try that is spoken to the same clock from the same run: that a person has to say.
 */
public final class SameRun {
    /** Simulated microphones stay above 0.47 with noise up to 28 dB below full scale; recordings of other workouts reach 0.25. */
    private static final double ALIKE = 0.4;
    /** By chance the likeness of two recordings at their best lag reaches about this over the root of the seconds they overlap. */
    private static final double BY_CHANCE = 3.6;
    /** Loudness changes slower than this by itself: doors, fans, where the camera stands. */
    private static final double SLOW_SECONDS = 4;
    /** Two recordings overlap by at least so much, in seconds and as a share of the shorter one. */
    private static final double LEAST_SECONDS = 20;

    private static final double LEAST_SHARE = 0.5;
    /** What is quieter than this below full scale is the room, in decibels. */
    private static final double FLOOR = -60;
    /** Beeps within this of each other, in seconds, are the same one. */
    private static final double SAME_BEEP = 0.08;

    private static final int LEAST_BEEPS = 4;

    private SameRun() {}

    /** How much later a moment of {@code main} is in {@code other}; empty where they are not of the same run. */
    public static Optional<Length> later(TakeEvidence main, TakeEvidence other) {
        Trace a = main.loudness();
        Trace b = other.loudness();
        if (a.isEmpty() || b.isEmpty() || a.hz() != b.hz()) {
            return Optional.empty();
        }
        double[] x = changes(a);
        double[] y = changes(b);
        int least = (int) Math.max(LEAST_SECONDS * a.hz(), LEAST_SHARE * Math.min(x.length, y.length));
        double[] alike = correlation(x, y, least);
        for (int i = 0; i < alike.length; i++) {
            int lag = i - (x.length - 1);
            double seconds = Math.max(1, Math.min(x.length, y.length - lag) - Math.max(0, -lag)) / a.hz();
            alike[i] /= Math.max(ALIKE, BY_CHANCE / Math.sqrt(seconds));
        }
        int best = 0;
        for (int i = 1; i < alike.length; i++) {
            best = alike[i] > alike[best] ? i : best;
        }
        if (alike.length == 0 || alike[best] < 1) {
            return Optional.empty();
        }
        double lag = (best + peak(alike, best) - (x.length - 1)) / a.hz();
        return Optional.of(Length.ofSeconds(byBeeps(main, other, lag)));
    }

    /** Loudness without what changes slowly. */
    private static double[] changes(Trace loudness) {
        int n = loudness.values().length;
        double[] sums = new double[n + 1];
        for (int i = 0; i < n; i++) {
            sums[i + 1] = sums[i] + Math.max(FLOOR, loudness.values()[i]);
        }
        int half = (int) Math.round(SLOW_SECONDS * loudness.hz() / 2);
        double[] changes = new double[n];
        for (int i = 0; i < n; i++) {
            int from = Math.max(0, i - half);
            int to = Math.min(n, i + half + 1);
            changes[i] = Math.max(FLOOR, loudness.values()[i]) - (sums[to] - sums[from]) / (to - from);
        }
        return changes;
    }

    /**
     * How alike they are for each lag of {@code y} behind {@code x}, from 1 - x.length on, -1 to 1; 0 where fewer than {@code least}
     * values overlap.
     */
    static double[] correlation(double[] x, double[] y, int least) {
        int lags = x.length + y.length - 1;
        int size = Integer.highestOneBit(Math.max(1, lags - 1)) * 2;
        double[] one = new double[2 * size];
        double[] two = new double[2 * size];
        for (int i = 0; i < x.length; i++) {
            one[2 * (x.length - 1 - i)] = x[i];
        }
        for (int i = 0; i < y.length; i++) {
            two[2 * i] = y[i];
        }
        DoubleFFT_1D fft = new DoubleFFT_1D(size);
        fft.complexForward(one);
        fft.complexForward(two);
        for (int i = 0; i < size; i++) {
            double re = one[2 * i] * two[2 * i] - one[2 * i + 1] * two[2 * i + 1];
            one[2 * i + 1] = one[2 * i] * two[2 * i + 1] + one[2 * i + 1] * two[2 * i];
            one[2 * i] = re;
        }
        fft.complexInverse(one, true);
        double[] xx = energies(x);
        double[] yy = energies(y);
        double[] alike = new double[lags];
        for (int i = 0; i < lags; i++) {
            int lag = i - (x.length - 1);
            int from = Math.max(0, -lag);
            int to = Math.min(x.length, y.length - lag);
            double energy = (xx[Math.max(from, to)] - xx[from]) * (yy[Math.max(from, to) + lag] - yy[from + lag]);
            alike[i] = to - from < least || energy <= 0 ? 0 : one[2 * i] / Math.sqrt(energy);
        }
        return alike;
    }

    private static double[] energies(double[] values) {
        double[] sums = new double[values.length + 1];
        for (int i = 0; i < values.length; i++) {
            sums[i + 1] = sums[i] + values[i] * values[i];
        }
        return sums;
    }

    /** How far the peak of a parabola through three values is from the middle one, −0.5 to 0.5. */
    private static double peak(double[] values, int at) {
        if (at == 0 || at + 1 == values.length) {
            return 0;
        }
        double curve = values[at - 1] - 2 * values[at] + values[at + 1];
        return curve >= 0 ? 0 : Math.max(-0.5, Math.min(0.5, 0.5 * (values[at - 1] - values[at + 1]) / curve));
    }

    /** The lag as the beeps tell it that both heard; beeps are known to a few milliseconds. */
    private static double byBeeps(TakeEvidence main, TakeEvidence other, double lag) {
        List<Double> lags = new ArrayList<>();
        for (TakeEvidence.Beep one : main.beeps()) {
            for (TakeEvidence.Beep two : other.beeps()) {
                double apart = two.time().since(one.time()).seconds();
                if (Math.abs(apart - lag) < SAME_BEEP) {
                    lags.add(apart);
                }
            }
        }
        lags.sort(null);
        return lags.size() < LEAST_BEEPS ? lag : lags.get(lags.size() / 2);
    }
}
