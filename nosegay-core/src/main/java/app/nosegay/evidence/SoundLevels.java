package app.nosegay.evidence;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.List;

/**
 * Loudness of a take's sound.
 *
 * @param momentary momentary loudness in LUFS ten times a second (400 ms windows, ITU-R BS.1770-5); −100 for silence
 * @param truePeak the highest true peak so far in dBTP, at the same rate
 */
public record SoundLevels(Trace momentary, Trace truePeak) {
    public static final SoundLevels NONE = new SoundLevels(Trace.NONE, Trace.NONE);
    /** The absolute gate of BS.1770, in LUFS. */
    private static final double ABSOLUTE_GATE = -70;
    /** The relative gate, in LU below the loudness of what passes the absolute one. */
    private static final double RELATIVE_GATE = 10;

    public boolean isEmpty() {
        return momentary.isEmpty();
    }

    /**
     * Integrated loudness in LUFS over stretches of the take, gated as BS.1770 has it (blocks of 400 ms, overlapping by 75 %, absolute
     * gate at −70 LUFS, relative gate 10 LU under); −100 when nothing passes the gates.
     */
    public double integrated(List<Span<Axis.Take>> stretches) {
        double absolute = mean(stretches, ABSOLUTE_GATE);
        return absolute <= -100 ? -100 : mean(stretches, Math.max(ABSOLUTE_GATE, absolute - RELATIVE_GATE));
    }

    private double mean(List<Span<Axis.Take>> stretches, double gate) {
        double power = 0;
        int n = 0;
        for (Span<Axis.Take> s : stretches) {
            // A block ends where its value stands: the first that lies wholly inside is the fourth.
            int from = (int) Math.ceil(s.start().seconds() * momentary.hz()) + 3;
            int to =
                    (int) Math.min(momentary.values().length, Math.floor(s.end().seconds() * momentary.hz()));
            for (int i = Math.max(0, from); i < to; i++) {
                if (momentary.values()[i] > gate) {
                    power += Math.pow(10, momentary.values()[i] / 10);
                    n++;
                }
            }
        }
        return n == 0 ? -100 : 10 * Math.log10(power / n);
    }

    /** The true peak of the whole take in dBTP; −100 for silence. */
    public double truePeakDb() {
        return truePeak.isEmpty() ? -100 : truePeak.values()[truePeak.values().length - 1];
    }
}
