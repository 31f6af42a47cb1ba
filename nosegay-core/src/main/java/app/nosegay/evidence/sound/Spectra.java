package app.nosegay.evidence.sound;

import java.util.function.Consumer;
import org.jtransforms.fft.FloatFFT_1D;

/** Cuts sound into overlapping Hann windows and hands on the spectrum of each, real and imaginary parts in turn. */
final class Spectra {
    private final int hop;
    private final float[] window;
    private final float[] pending;
    private final FloatFFT_1D fft;
    private final Consumer<float[]> frames;
    private int filled;

    /**
     * @param window samples in a window
     * @param hop samples from one window to the next
     * @param frames is given each spectrum as soon as it is known
     */
    Spectra(int window, int hop, Consumer<float[]> frames) {
        this.hop = hop;
        this.frames = frames;
        this.window = new float[window];
        pending = new float[window];
        fft = new FloatFFT_1D(window);
        for (int i = 0; i < window; i++) {
            this.window[i] = (float) (0.5 - 0.5 * Math.cos(2 * Math.PI * i / window));
        }
    }

    /** Takes the next {@code count} samples, mono, −1 to 1. */
    void listen(float[] samples, int count) {
        int from = 0;
        while (from < count) {
            int n = Math.min(count - from, pending.length - filled);
            System.arraycopy(samples, from, pending, filled, n);
            filled += n;
            from += n;
            if (filled == pending.length) {
                frames.accept(spectrum());
                System.arraycopy(pending, hop, pending, 0, pending.length - hop);
                filled = pending.length - hop;
            }
        }
    }

    private float[] spectrum() {
        float[] spectrum = new float[pending.length];
        for (int i = 0; i < spectrum.length; i++) {
            spectrum[i] = pending[i] * window[i];
        }
        fft.realForward(spectrum);
        return spectrum;
    }
}
