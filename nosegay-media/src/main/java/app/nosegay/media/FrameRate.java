package app.nosegay.media;

import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;

/**
 * A constant frame rate as a fraction.
 *
 * @param frames frames per …
 * @param seconds … so many seconds
 */
public record FrameRate(int frames, int seconds) {
    private static final FrameRate[] USUAL = {
        new FrameRate(24000, 1001), new FrameRate(24, 1), new FrameRate(25, 1), new FrameRate(30000, 1001),
        new FrameRate(30, 1), new FrameRate(50, 1), new FrameRate(60000, 1001), new FrameRate(60, 1)
    };

    /** The usual rate nearest to a measured one; 30 when none was measured. */
    public static FrameRate nearest(double framesPerSecond) {
        double wanted = framesPerSecond <= 0 ? 30 : framesPerSecond;
        FrameRate best = USUAL[4];
        for (FrameRate rate : USUAL) {
            if (Math.abs(rate.perSecond() - wanted) < Math.abs(best.perSecond() - wanted)) {
                best = rate;
            }
        }
        return best;
    }

    public double perSecond() {
        return frames / (double) seconds;
    }

    public Length frameLength() {
        return new Length(Math.round(1e6 * seconds / frames));
    }

    /** The presentation time of frame {@code n} of the programme, from its number so that nothing adds up. */
    public Time<Axis.Cut> timeOf(long n) {
        return new Time<>(Math.round(1e6 * n * seconds / frames));
    }
}
