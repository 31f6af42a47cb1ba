package app.nosegay.evidence;

import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;

/** When somebody speaks in a take, by how likely that is from moment to moment. */
public final class SpokenStretches {
    /** More likely than not. */
    private static final float SPEAKS = 0.5f;
    /** A voice that begins or ends is noticed so many moments later: what fits best on speech whose times are known. */
    private static final int LATE = 1;
    /** Breaths and stops between sounds are shorter, sounds of a voice longer, in seconds. */
    private static final double BREATH = 0.26;

    private static final double LEAST = 0.19;

    private SpokenStretches() {}

    private record Asked() {}

    /** The stretches in order; none where nobody listened for voices. */
    public static List<Span<Axis.Take>> of(TakeEvidence take) {
        return take.derived().get(1, new Asked(), () -> of(take.voice()));
    }

    /** The same by how likely somebody speaks. */
    public static List<Span<Axis.Take>> of(Trace voice) {
        List<Span<Axis.Take>> stretches = new ArrayList<>();
        double from = -1;
        double to = -1;
        for (int i = 0; i < voice.values().length; i++) {
            if (voice.values()[i] > SPEAKS) {
                double at = Math.max(0, i - LATE) / voice.hz();
                if (from >= 0 && at - to > BREATH) {
                    keep(stretches, from, to);
                    from = at;
                }
                from = from < 0 ? at : from;
                to = (i + 1 - LATE) / voice.hz();
            }
        }
        keep(stretches, from, to);
        return List.copyOf(stretches);
    }

    private static void keep(List<Span<Axis.Take>> stretches, double from, double to) {
        if (from >= 0 && to - from >= LEAST) {
            stretches.add(new Span<>(Time.ofSeconds(from), Time.ofSeconds(to)));
        }
    }
}
