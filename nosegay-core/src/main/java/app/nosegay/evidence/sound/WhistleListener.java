package app.nosegay.evidence.sound;

import java.util.ArrayList;
import java.util.List;

/**
 * Hears a whistle, whose pea shakes its pitch so that no spectral line stands still: nearly all the power of a moment lies in one narrow
 * band high up, for longer than any hiss of a voice. An open vowel has its power lower, a sibilant spreads it wider.
 */
final class WhistleListener {
    private static final double FROM_HZ = 150;
    private static final double TO_HZ = 6000;
    /** Whistles sound above this, in hertz. */
    private static final double LOWEST_HZ = 1700;
    /** The pitch of one is shaken within this far of its middle, in hertz. */
    private static final double SHAKEN_HZ = 450;
    /** The share of all power that lies there. */
    private static final double SHARE = 0.8;
    /** Under this amplitude it is not meant to be heard. */
    private static final double LEAST_AMPLITUDE = 0.01;
    /** Shorter is a squeak or a sibilant, longer is a kettle, in seconds. */
    private static final double SHORTEST = 0.18;

    private static final double LONGEST = 2.5;
    /** Frames that may drop out while the pea turns. */
    private static final int DROPPED_FRAMES = 3;

    private final int window;
    private final double hzPerBin;
    private final double secondsPerFrame;
    private final List<Heard> heard = new ArrayList<>();
    private long first = -1;
    private long last;
    private int frames;
    private double hz;
    private double amplitude;

    /** One whistle: its first frame, its length in seconds, its middle pitch and its amplitude. */
    record Heard(long frame, double seconds, double hz, double amplitude) {}

    WhistleListener(int window, int hop, int sampleRate) {
        this.window = window;
        this.hzPerBin = sampleRate / (double) window;
        this.secondsPerFrame = hop / (double) sampleRate;
    }

    /** Takes the spectrum of the next frame, real and imaginary parts in turn. */
    void frame(float[] spectrum, long frame) {
        int from = (int) (FROM_HZ / hzPerBin);
        int to = (int) Math.min(window / 2.0 - 1, TO_HZ / hzPerBin);
        double all = 1e-12;
        double weighted = 0;
        double high = 1e-12;
        for (int b = from; b <= to; b++) {
            double power = power(spectrum, b);
            all += power;
            if (b * hzPerBin >= LOWEST_HZ) {
                high += power;
                weighted += power * b;
            }
        }
        double middle = weighted / high;
        int reach = (int) Math.round(SHAKEN_HZ / hzPerBin);
        double own = 0;
        for (int b = (int) Math.max(from, middle - reach); b <= Math.min(to, middle + reach); b++) {
            own += power(spectrum, b);
        }
        // The power of a Hann-windowed sine of amplitude a adds up to 1.5 (a · N / 4)²: its peak and a quarter of it on
        // either side.
        double loud = Math.sqrt(own / 1.5) * 4 / window;
        if (own > SHARE * all && loud > LEAST_AMPLITUDE) {
            first = first < 0 ? frame : first;
            last = frame;
            frames++;
            hz += (middle * hzPerBin - hz) / frames;
            amplitude += (loud - amplitude) / frames;
        } else if (first >= 0 && frame - last > DROPPED_FRAMES) {
            close();
        }
    }

    /** All whistles heard, in order; call after the last frame. */
    List<Heard> heard() {
        close();
        return heard;
    }

    private void close() {
        double seconds = (last - first + 1) * secondsPerFrame;
        if (first >= 0 && seconds >= SHORTEST && seconds <= LONGEST) {
            heard.add(new Heard(first, seconds, hz, amplitude));
        }
        first = -1;
        frames = 0;
        hz = 0;
        amplitude = 0;
    }

    private static double power(float[] spectrum, int bin) {
        return (double) spectrum[2 * bin] * spectrum[2 * bin] + (double) spectrum[2 * bin + 1] * spectrum[2 * bin + 1];
    }
}
