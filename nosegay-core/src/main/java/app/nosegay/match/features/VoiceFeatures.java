package app.nosegay.match.features;

import app.nosegay.evidence.SpokenStretches;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;

/**
 * Speech and silence of one take against what is to be said when, on the matcher's grid: for takes whose words nobody wrote down. It tells
 * only whether somebody speaks, so it speaks softly ({@link MatchWeights#VOICE_AT_MOST}) and people who say other things than the
 * script lose little by it.
 */
final class VoiceFeatures {
    static final VoiceFeatures NONE = new VoiceFeatures();
    /** The voice of seconds changes little from bin to bin: so many share a value. */
    private static final int STEP = 4;

    private final Timeline timeline;
    private final int bins;
    private final List<List<double[]>> said;
    /** Running sum of speech (1) and silence (−1); null where the sound does not tell. */
    private final double[] voiced;

    private VoiceFeatures() {
        timeline = null;
        bins = 0;
        said = List.of();
        voiced = null;
    }

    private VoiceFeatures(Timeline timeline, List<ScriptLine> lines, int bins, double[] voiced) {
        this.timeline = timeline;
        this.bins = bins;
        this.voiced = voiced;
        var indexes = timeline.indexes();
        said = new ArrayList<>();
        timeline.segments().forEach(s -> said.add(new ArrayList<>()));
        for (ScriptLine line : lines) {
            Integer k = indexes.get(line.segment());
            if (k != null) {
                double from =
                        line.start().since(timeline.segments().get(k).start()).seconds();
                said.get(k).add(new double[] {from, from + line.spoken().seconds()});
            }
        }
    }

    /**
     * What the voice in {@code take} tells, when {@code lines} are to be said; {@link #NONE} where its words are known or it does not
     * stand out of what else is heard.
     */
    static VoiceFeatures of(Timeline timeline, List<ScriptLine> lines, TakeEvidence take, int bins) {
        double[] voiced = take.words().isEmpty() && !lines.isEmpty() ? voiced(take, bins) : null;
        return voiced == null ? NONE : new VoiceFeatures(timeline, lines, bins, voiced);
    }

    boolean isInformative() {
        return voiced != null;
    }

    /** Running sum of speech and silence per bin; null where loud and quiet hardly differ. */
    private static double[] voiced(TakeEvidence take, int bins) {
        boolean[] speaks = speech(take, bins);
        if (speaks == null) {
            return null;
        }
        double[] sum = new double[bins + 1];
        for (int b = 0; b < bins; b++) {
            sum[b + 1] = sum[b] + (speaks[b] ? 1 : -1) * MatchWeights.GRID_SECONDS;
        }
        return sum;
    }

    /** Whether somebody speaks, per bin; null where loud and quiet hardly differ. */
    static boolean[] speech(TakeEvidence take, int bins) {
        return take.voice().isEmpty() ? loud(take, bins) : spoken(take, bins);
    }

    private static boolean[] spoken(TakeEvidence take, int bins) {
        boolean[] speaks = new boolean[bins];
        int pause = Grid.bin(MatchWeights.VOICE_PAUSE);
        int last = -bins;
        for (Span<Axis.Take> s : SpokenStretches.of(take)) {
            int from = Math.min(bins, Grid.bin(s.start().seconds()));
            int to = Math.min(bins, Grid.bin(s.end().seconds()));
            Arrays.fill(speaks, from - last <= pause ? Math.max(0, last) : from, Math.max(from, to), true);
            last = to;
        }
        return last < 0 ? null : speaks;
    }

    /** By loudness, where nobody listened for voices. */
    private static boolean[] loud(TakeEvidence take, int bins) {
        Trace loudness = take.loudnessWithoutSignals();
        if (loudness.isEmpty()) {
            return null;
        }
        float[] db = new float[bins];
        for (int b = 0; b < bins; b++) {
            int i = (int) Math.round(b * MatchWeights.GRID_SECONDS * loudness.hz());
            db[b] = loudness.values()[Math.min(loudness.values().length - 1, i)];
        }
        float[] sorted = db.clone();
        Arrays.sort(sorted);
        double quiet = sorted[(int) (bins * TakeEvidence.QUIET_SHARE)];
        double loud = sorted[(int) (bins * MatchWeights.VOICE_LOUD_SHARE)];
        if (loud - quiet < MatchWeights.VOICE_RANGE_DB) {
            loud = sorted[(int) (bins * MatchWeights.VOICE_SELDOM_LOUD_SHARE)];
        }
        if (loud - quiet < MatchWeights.VOICE_RANGE_DB) {
            return null;
        }
        int pause = (int) Math.round(MatchWeights.VOICE_PAUSE / MatchWeights.GRID_SECONDS);
        int last = -bins;
        boolean[] speaks = new boolean[bins];
        for (int b = 0; b < bins; b++) {
            if (db[b] > (quiet + loud) / 2) {
                // A beat between two words is no silence.
                Arrays.fill(speaks, b - last <= pause ? last : b, b + 1, true);
                last = b;
            }
        }
        return speaks;
    }

    /** How far the seconds behind each bin sound like the first ones of segment {@code k}. */
    float[] starting(int k) {
        double length = timeline.segments().get(k).duration().seconds();
        return agreeing(k, 0, Math.min(length, MatchWeights.VOICE_SECONDS), 0);
    }

    /** How far the seconds before each bin sound like the last ones of segment {@code k}. */
    float[] ending(int k) {
        Segment s = timeline.segments().get(k);
        double length = s.duration().seconds();
        return agreeing(k, Math.max(0, length - MatchWeights.VOICE_SECONDS), length, length);
    }

    /**
     * Agreement of what is heard around each bin with segment {@code k} between two of its seconds, the bin lying at {@code at} of them.
     */
    private float[] agreeing(int k, double from, double to, double at) {
        List<double[]> lines = said.get(k).stream()
                .filter(l -> l[1] > from && l[0] < to)
                .map(l -> new double[] {Math.max(from, l[0]) - at, Math.min(to, l[1]) - at})
                .toList();
        int steps = (bins + STEP - 1) / STEP;
        double[] score = new double[steps];
        double mean = 0;
        for (int i = 0; i < steps; i++) {
            double spoken = 0;
            for (double[] l : lines) {
                spoken += sum(i * STEP, l[0], l[1]);
            }
            // Where nothing is to be said people cheer: silence is expected by half.
            score[i] = spoken - MatchWeights.VOICE_SILENCE_SHARE * (sum(i * STEP, from - at, to - at) - spoken);
            mean += score[i] / steps;
        }
        float[] hint = new float[bins];
        for (int b = 0; b < bins; b++) {
            double nats = (score[b / STEP] - mean) * MatchWeights.VOICE_PER_SECOND;
            hint[b] = (float) Math.max(-MatchWeights.VOICE_AT_MOST, Math.min(MatchWeights.VOICE_AT_MOST, nats));
        }
        return hint;
    }

    private double sum(int bin, double from, double to) {
        int a = Math.max(0, Math.min(bins, bin + Grid.bin(from)));
        int b = Math.max(a, Math.min(bins, bin + Grid.bin(to)));
        return voiced[b] - voiced[a];
    }
}
