package app.nosegay.evidence.sound;

import app.nosegay.evidence.SyncTone;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.jtransforms.fft.FloatFFT_1D;

/**
 * Hears sync tones in a stream of samples: a matched filter for the chirp (overlap-save correlation, normalised by the energy under it),
 * then the twelve symbols behind it. A tone counts only when its checksum holds.
 */
public final class SyncListener {
    /** Normalised correlation of 1 is the chirp alone; a phone across a live room with a voice on top still gives this much. */
    private static final double LEAST_CORRELATION = 0.22;

    private static final int BLOCK = 1 << 15;

    private final int sampleRate;
    private final float[] chirp;
    private final double chirpNorm;
    private final float[] chirpSpectrum;
    private final FloatFFT_1D fft = new FloatFFT_1D(BLOCK);
    private final int tail;
    private final float[] buffer = new float[BLOCK];
    private final List<TakeEvidence.Tone> tones = new ArrayList<>();
    private int filled;
    private long bufferStart;
    private long ignoreBefore;

    public SyncListener(int sampleRate) {
        this.sampleRate = sampleRate;
        this.chirp = SyncTone.chirp(sampleRate);
        this.tail = (int) Math.ceil((SyncTone.seconds() + 0.05) * sampleRate);
        this.chirpSpectrum = new float[2 * BLOCK];
        double energy = 0;
        for (int i = 0; i < chirp.length; i++) {
            chirpSpectrum[i] = chirp[i];
            energy += chirp[i] * chirp[i];
        }
        chirpNorm = Math.sqrt(energy);
        fft.realForwardFull(chirpSpectrum);
    }

    /** Takes the next {@code count} samples, mono, −1 to 1. */
    public void listen(float[] samples, int count) {
        int from = 0;
        while (from < count) {
            int n = Math.min(count - from, BLOCK - filled);
            System.arraycopy(samples, from, buffer, filled, n);
            filled += n;
            from += n;
            if (filled == BLOCK) {
                search();
                int keep = tail;
                System.arraycopy(buffer, BLOCK - keep, buffer, 0, keep);
                bufferStart += BLOCK - keep;
                filled = keep;
            }
        }
    }

    /** The tones heard, in order; call once, after the last sample. */
    public List<TakeEvidence.Tone> heard() {
        Arrays.fill(buffer, filled, BLOCK, 0);
        search();
        return List.copyOf(tones);
    }

    private void search() {
        float[] spectrum = new float[2 * BLOCK];
        System.arraycopy(buffer, 0, spectrum, 0, BLOCK);
        fft.realForwardFull(spectrum);
        for (int i = 0; i < BLOCK; i++) {
            float re = spectrum[2 * i] * chirpSpectrum[2 * i] + spectrum[2 * i + 1] * chirpSpectrum[2 * i + 1];
            float im = spectrum[2 * i + 1] * chirpSpectrum[2 * i] - spectrum[2 * i] * chirpSpectrum[2 * i + 1];
            spectrum[2 * i] = re;
            spectrum[2 * i + 1] = im;
        }
        fft.complexInverse(spectrum, true);
        double energy = 1e-9;
        for (int i = 0; i < chirp.length; i++) {
            energy += buffer[i] * buffer[i];
        }
        int last = BLOCK - tail;
        int best = -1;
        double bestValue = 0;
        for (int i = 0; i < last; i++) {
            double value = spectrum[2 * i] / (chirpNorm * Math.sqrt(energy));
            boolean loudEnough = energy > 1e-5;
            if (loudEnough && value > LEAST_CORRELATION && value > bestValue && bufferStart + i >= ignoreBefore) {
                best = i;
                bestValue = value;
            }
            if (best >= 0 && i - best > chirp.length / 4) {
                accept(best, spectrum);
                best = -1;
                bestValue = 0;
            }
            energy += buffer[i + chirp.length] * buffer[i + chirp.length] - buffer[i] * buffer[i];
            energy = Math.max(energy, 1e-9);
        }
        if (best >= 0) {
            accept(best, spectrum);
        }
    }

    private void accept(int at, float[] correlation) {
        int bits = 0;
        for (int b = 0; b < SyncTone.SYMBOLS; b++) {
            double from = at + (SyncTone.CHIRP_SECONDS + (b + 0.15) * SyncTone.SYMBOL_SECONDS) * sampleRate;
            int n = (int) (0.7 * SyncTone.SYMBOL_SECONDS * sampleRate);
            boolean one = power((int) from, n, SyncTone.ONE_HZ) > power((int) from, n, SyncTone.ZERO_HZ);
            bits = bits << 1 | (one ? 1 : 0);
        }
        SyncTone.Code code = SyncTone.decode(bits);
        if (code != null) {
            double before = at > 0 ? correlation[2 * (at - 1)] : 0;
            double here = correlation[2 * at];
            double after = correlation[2 * (at + 1)];
            double bend = before - 2 * here + after;
            double exact = bufferStart + at + (bend == 0 ? 0 : 0.5 * (before - after) / bend);
            tones.add(new TakeEvidence.Tone(Time.ofSeconds(exact / sampleRate), code));
            ignoreBefore = bufferStart + at + (long) (SyncTone.seconds() * sampleRate);
        }
    }

    /** Goertzel power of one frequency. */
    private double power(int from, int n, double hz) {
        double w = 2 * Math.cos(2 * Math.PI * hz / sampleRate);
        double a = 0;
        double b = 0;
        for (int i = from; i < Math.min(from + n, BLOCK); i++) {
            double c = buffer[i] + w * a - b;
            b = a;
            a = c;
        }
        return a * a + b * b - w * a * b;
    }
}
