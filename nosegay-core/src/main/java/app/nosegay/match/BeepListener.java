package app.nosegay.match;

import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Hears the onsets of steady tones, as any interval timer makes them, over voice and room: one spectral line that stands far above all others
 * and stays where it is. Onsets are placed where the line reaches half its steady strength.
 */
public final class BeepListener {
    private static final int WINDOW = 512;
    /** The timers of phones and clocks beep in this band, in hertz. */
    private static final double LOW_HZ = 480;

    private static final double HIGH_HZ = 5200;
    /** The line against the next strongest one, in power: voices have several strong lines. */
    private static final double ABOVE_OTHERS = 7;
    /** The line's share of the power of the whole band. */
    private static final double SHARE = 0.35;
    /** Under this amplitude it is not meant to be heard. */
    private static final double LEAST_AMPLITUDE = 0.004;
    /** Shorter is a click, longer is music or a hum, in seconds. */
    private static final double SHORTEST = 0.045;

    private static final double LONGEST = 2.5;

    private final int sampleRate;
    private final int hop;
    private final float[] window = new float[WINDOW];
    private final float[] pending = new float[WINDOW];
    private final FloatFFT_1D fft = new FloatFFT_1D(WINDOW);
    private final List<TakeEvidence.Beep> beeps = new ArrayList<>();
    private int filled;
    private long frame;
    private Line line;
    private double[] lastPowers = new double[WINDOW / 2];

    /** A tone while it lasts. */
    private static final class Line {
        int bin;
        long firstFrame;
        long lastFrame;
        double beforeAmplitude;
        double firstAmplitude;
        double strongest;
        final List<Double> early = new ArrayList<>();
    }

    public BeepListener(int sampleRate) {
        this.sampleRate = sampleRate;
        this.hop = sampleRate / 100;
        for (int i = 0; i < WINDOW; i++) {
            window[i] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * i / WINDOW));
        }
    }

    /** Takes the next {@code count} samples, mono, −1 to 1. */
    public void listen(float[] samples, int count) {
        int from = 0;
        while (from < count) {
            int n = Math.min(count - from, WINDOW - filled);
            System.arraycopy(samples, from, pending, filled, n);
            filled += n;
            from += n;
            if (filled == WINDOW) {
                analyse();
                System.arraycopy(pending, hop, pending, 0, WINDOW - hop);
                filled = WINDOW - hop;
                frame++;
            }
        }
    }

    /** The beeps heard, in order; call once, after the last sample. */
    public List<TakeEvidence.Beep> heard() {
        close();
        return List.copyOf(beeps);
    }

    private void analyse() {
        float[] spectrum = new float[WINDOW];
        for (int i = 0; i < WINDOW; i++) {
            spectrum[i] = pending[i] * window[i];
        }
        fft.realForward(spectrum);
        double[] powers = new double[WINDOW / 2];
        int low = (int) (LOW_HZ * WINDOW / sampleRate);
        int high = (int) Math.min(WINDOW / 2 - 2, HIGH_HZ * WINDOW / sampleRate);
        double all = 1e-12;
        int peak = low;
        for (int b = low - 6; b <= high; b++) {
            powers[b] = (double) spectrum[2 * b] * spectrum[2 * b] + (double) spectrum[2 * b + 1] * spectrum[2 * b + 1];
            all += powers[b];
            peak = b >= low && powers[b] > powers[peak] ? b : peak;
        }
        double own = 0;
        double other = 1e-12;
        for (int b = low - 6; b <= high; b++) {
            if (Math.abs(b - peak) <= 2) {
                own += powers[b];
            } else if (Math.abs(b - peak) > 3) {
                other = Math.max(other, powers[b]);
            }
        }
        // A Hann-windowed sine of amplitude a peaks at power (a · N / 4)².
        double amplitude = Math.sqrt(powers[peak]) * 4 / WINDOW;
        boolean tonal = amplitude > LEAST_AMPLITUDE && powers[peak] > ABOVE_OTHERS * other && own > SHARE * all;
        track(tonal, peak, amplitude);
        lastPowers = powers;
    }

    private void track(boolean tonal, int peak, double amplitude) {
        boolean goesOn = line != null && tonal && Math.abs(peak - line.bin) <= 1 && frame - line.lastFrame <= 2;
        if (goesOn) {
            line.lastFrame = frame;
            line.strongest = Math.max(line.strongest, amplitude);
            if (line.early.size() < 8) {
                line.early.add(amplitude);
            }
        } else if (tonal) {
            close();
            line = new Line();
            line.bin = peak;
            line.firstFrame = frame;
            line.lastFrame = frame;
            line.beforeAmplitude = Math.sqrt(lastPowers[peak]) * 4 / WINDOW;
            line.firstAmplitude = amplitude;
            line.strongest = amplitude;
            line.early.add(amplitude);
        } else if (line != null && frame - line.lastFrame > 2) {
            close();
        }
    }

    private void close() {
        if (line != null) {
            double seconds = (line.lastFrame - line.firstFrame + 1) * hop / (double) sampleRate;
            if (seconds >= SHORTEST && seconds <= LONGEST) {
                beeps.add(new TakeEvidence.Beep(
                        Time.ofSeconds(onsetSeconds()),
                        Length.ofSeconds(seconds),
                        line.bin * sampleRate / (double) WINDOW,
                        20 * Math.log10(line.strongest)));
            }
        }
        line = null;
    }

    /** Where the line crosses half its steady strength: a window centred on the onset holds half of it. */
    private double onsetSeconds() {
        double half = 0.5 * line.strongest;
        double before = line.beforeAmplitude;
        double at = line.firstFrame;
        for (int i = 0; i < line.early.size(); i++) {
            double here = line.early.get(i);
            if (here >= half) {
                double part = here > before ? (half - before) / (here - before) : 1;
                at = line.firstFrame + i - 1 + Math.max(-1, Math.min(1, part));
                break;
            }
            before = here;
        }
        return (at * hop + WINDOW / 2.0) / sampleRate;
    }
}
