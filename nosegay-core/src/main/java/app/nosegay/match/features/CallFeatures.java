package app.nosegay.match.features;

import app.nosegay.calls.Call;
import java.util.List;

/** What the calls heard in one take say of boundaries, on the matcher's grid: where work starts and ends and where the side changes. */
final class CallFeatures {
    /** Nobody counts down from more than this by the second. */
    private static final int MOST_COUNTED = 10;

    private final float[] go;
    private final float[] stop;
    private final float[] change;
    private final float[] ends;

    CallFeatures(List<Call> calls, int bins) {
        go = new float[bins];
        stop = new float[bins];
        change = new float[bins];
        ends = new float[bins];
        calls.forEach(this::hear);
    }

    private void hear(Call call) {
        double at = call.time().seconds();
        switch (call.kind()) {
            // A count is said a second a number, whatever the caption's times.
            case COUNT_IN -> bump(go, at + counted(call), MatchWeights.CALL_SIGMA, MatchWeights.COUNTED);
            case COUNT_OUT -> {
                bump(ends, at + counted(call), MatchWeights.CALL_SIGMA, MatchWeights.COUNTED);
                bump(go, at + counted(call), MatchWeights.CALL_SIGMA, MatchWeights.CALL);
            }
            case START -> bump(go, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case REST -> bump(stop, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case SWITCH_SIDE -> bump(change, at, MatchWeights.WORD_SIGMA, MatchWeights.WORD);
            case SECONDS_LEFT -> bump(ends, at + call.value(), MatchWeights.CALL_SIGMA, MatchWeights.CALL);
            default -> {
                // says nothing of a boundary's moment
            }
        }
    }

    private static int counted(Call call) {
        return Math.min(MOST_COUNTED, call.value());
    }

    private static void bump(float[] to, double seconds, double sigma, double weight) {
        Grid.bump(to, seconds, sigma, weight);
    }

    /** Where work starts. */
    float[] go() {
        return go;
    }

    /** Where work stops. */
    float[] stop() {
        return stop;
    }

    /** Where the side changes. */
    float[] change() {
        return change;
    }

    /** Where an interval was said to end. */
    float[] ends() {
        return ends;
    }
}
