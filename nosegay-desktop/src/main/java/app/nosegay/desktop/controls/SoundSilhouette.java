package app.nosegay.desktop.controls;

import app.nosegay.evidence.Trace;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.Arrays;

/** How high the sound of a take is drawn: from just above the quiet of its room to speech close to the microphone. */
public final class SoundSilhouette {
    /** A fifth of a take is no louder than its room; a silhouette begins this much above, in decibels. */
    private static final double OVER_QUIET = 4;

    private static final int QUIET_SHARE = 5;
    /** Full height, in decibels below full scale. */
    private static final double FULL = -12;
    /** A room is never so loud that less than this is left to draw, in decibels. */
    private static final double LEAST_RANGE = 8;

    private final Trace loudness;
    private final double quiet;

    /** @param loudness of a take in decibels, not empty */
    public SoundSilhouette(Trace loudness) {
        this.loudness = loudness;
        float[] sorted = loudness.values().clone();
        Arrays.sort(sorted);
        quiet = sorted[sorted.length / QUIET_SHARE] + OVER_QUIET;
    }

    /** 0 (nobody speaks) to 1. */
    public double level(Time<Axis.Take> time) {
        double range = Math.max(LEAST_RANGE, FULL - quiet);
        return Math.max(0, Math.min(1, (loudness.at(time) - quiet) / range));
    }
}
