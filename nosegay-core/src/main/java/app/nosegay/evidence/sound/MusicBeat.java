package app.nosegay.evidence.sound;

import app.nosegay.time.Length;
import java.util.Optional;

/**
 * The beat of a piece of music: how long from beat to beat, and when the first one is. Found from rises of its energy: the lag at which
 * they repeat best (autocorrelation, a preference for 110 beats a minute), then the phase that catches most of them.
 */
public record MusicBeat(Length period, Length first) {
    private static final double FRAME_SECONDS = 0.01;
    private static final double FASTEST = 60.0 / 190;
    private static final double SLOWEST = 60.0 / 58;
    /** People tap to about this many beats a minute when several fit. */
    private static final double PREFERRED = 60.0 / 110;
    /** Less of the rises repeat by chance. */
    private static final double LEAST_SHARE = 0.1;
    /** So much of the piece is listened to, in seconds. */
    private static final int LISTENED = 90;

    /** The beat of mono samples; empty where there is none to be heard. */
    public static Optional<MusicBeat> of(float[] samples, int hz) {
        float[] rises = rises(samples, hz);
        int shortest = (int) (FASTEST / FRAME_SECONDS);
        int longest = (int) (SLOWEST / FRAME_SECONDS);
        if (rises.length < 4 * longest) {
            return Optional.empty();
        }
        double whole = correlation(rises, 0);
        double[] at = new double[longest + 2];
        int best = 0;
        double most = 0;
        for (int lag = shortest - 1; lag <= longest + 1; lag++) {
            at[lag] = correlation(rises, lag);
            double octaves = Math.log(lag * FRAME_SECONDS / PREFERRED) / Math.log(2);
            double liked = at[lag] * Math.exp(-0.5 * octaves * octaves);
            if (lag >= shortest && lag <= longest && liked > most) {
                most = liked;
                best = lag;
            }
        }
        if (best == 0 || at[best] < LEAST_SHARE * whole) {
            return Optional.empty();
        }
        return Optional.of(aligned(rises, best));
    }

    /** How much the logarithm of the energy rises from one frame to the next, its mean taken off. */
    private static float[] rises(float[] samples, int hz) {
        int frame = (int) (hz * FRAME_SECONDS);
        float[] rises = new float[Math.min((int) (LISTENED / FRAME_SECONDS), samples.length / frame)];
        double before = 0;
        double mean = 0;
        for (int i = 0; i < rises.length; i++) {
            double energy = 1e-6;
            for (int j = i * frame; j < (i + 1) * frame; j++) {
                energy += samples[j] * samples[j] / frame;
            }
            double level = Math.log(energy);
            rises[i] = (float) Math.max(0, i == 0 ? 0 : level - before);
            mean += rises[i] / rises.length;
            before = level;
        }
        for (int i = 0; i < rises.length; i++) {
            rises[i] -= (float) mean;
        }
        return rises;
    }

    private static double correlation(float[] rises, int lag) {
        double sum = 0;
        for (int i = lag; i < rises.length; i++) {
            sum += rises[i] * rises[i - lag];
        }
        return sum / (rises.length - lag);
    }

    /** The period near {@code lag} and the phase whose beats catch most of the rises: a small error of the period adds up over a piece. */
    private static MusicBeat aligned(float[] rises, int lag) {
        double most = -Double.MAX_VALUE;
        MusicBeat best = null;
        for (double period = lag - 1; period <= lag + 1; period += 0.02) {
            for (int phase = 0; phase < period; phase++) {
                double sum = 0;
                int n = 0;
                for (double at = phase; at < rises.length - 2; at += period) {
                    int i = (int) Math.round(at);
                    // A rise is spread over the frames its attack lies in.
                    sum += rises[i] + 0.5 * (rises[Math.max(0, i - 1)] + rises[i + 1]);
                    n++;
                }
                if (sum / n > most) {
                    most = sum / n;
                    best = new MusicBeat(
                            Length.ofSeconds(period * FRAME_SECONDS), Length.ofSeconds(phase * FRAME_SECONDS));
                }
            }
        }
        return best;
    }
}
