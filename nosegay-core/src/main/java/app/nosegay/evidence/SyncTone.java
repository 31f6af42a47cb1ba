package app.nosegay.evidence;

import java.util.Arrays;

/**
 * The tone the shoot clock plays into the room: a chirp from {@value #LOW_HZ} to {@value #HIGH_HZ} Hz, then twelve symbols of two
 * frequencies that carry start or end, the run number and a checksum. Phones filter below 1 and above 4 kHz; everything lies between.
 */
public final class SyncTone {
    public static final double LOW_HZ = 1200;
    public static final double HIGH_HZ = 3800;
    public static final double CHIRP_SECONDS = 0.25;
    public static final double SYMBOL_SECONDS = 0.04;
    public static final double ZERO_HZ = 1700;
    public static final double ONE_HZ = 2900;
    private static final int RUN_BITS = 8;
    private static final int CHECK_BITS = 3;
    public static final int SYMBOLS = 1 + RUN_BITS + CHECK_BITS;

    private SyncTone() {}

    /** What a heard tone says. */
    public record Code(boolean end, int run) {}

    /** The whole tone's length in seconds. */
    public static double seconds() {
        return CHIRP_SECONDS + SYMBOLS * SYMBOL_SECONDS;
    }

    /** The chirp alone, unit amplitude with soft ends: what a matched filter looks for. */
    public static float[] chirp(int sampleRate) {
        int n = (int) Math.round(CHIRP_SECONDS * sampleRate);
        float[] samples = new float[n];
        for (int i = 0; i < n; i++) {
            double t = i / (double) sampleRate;
            double phase = 2 * Math.PI * (LOW_HZ * t + (HIGH_HZ - LOW_HZ) / (2 * CHIRP_SECONDS) * t * t);
            samples[i] = (float) (Math.sin(phase) * softEnds(i, n, sampleRate));
        }
        return samples;
    }

    /** The whole tone for one run. */
    public static float[] tone(boolean end, int run, int sampleRate) {
        float[] chirp = chirp(sampleRate);
        int symbol = (int) Math.round(SYMBOL_SECONDS * sampleRate);
        float[] samples = Arrays.copyOf(chirp, chirp.length + SYMBOLS * symbol);
        int bits = bits(end, run);
        for (int b = 0; b < SYMBOLS; b++) {
            double hz = (bits >> (SYMBOLS - 1 - b) & 1) == 1 ? ONE_HZ : ZERO_HZ;
            for (int i = 0; i < symbol; i++) {
                double value = Math.sin(2 * Math.PI * hz * i / sampleRate) * softEnds(i, symbol, sampleRate);
                samples[chirp.length + b * symbol + i] = (float) value;
            }
        }
        return samples;
    }

    /** The code of twelve heard bits, or null when the checksum is wrong. */
    public static Code decode(int bits) {
        int run = bits >> CHECK_BITS & (1 << RUN_BITS) - 1;
        boolean end = (bits >> (SYMBOLS - 1) & 1) == 1;
        return bits(end, run) == bits ? new Code(end, run) : null;
    }

    private static int bits(boolean end, int run) {
        int payload = (end ? 1 << RUN_BITS : 0) | run & (1 << RUN_BITS) - 1;
        return payload << CHECK_BITS | checksum(payload);
    }

    /** Three bits over the payload, spread so that one wrong symbol always shows. */
    private static int checksum(int payload) {
        return (payload * 5 + (payload >> 3) + (payload >> 6) * 3 + 1) & (1 << CHECK_BITS) - 1;
    }

    private static double softEnds(int i, int n, int sampleRate) {
        int edge = sampleRate / 250;
        double in = Math.min(1, (i + 1) / (double) edge);
        double out = Math.min(1, (n - i) / (double) edge);
        return Math.min(in, out);
    }
}
