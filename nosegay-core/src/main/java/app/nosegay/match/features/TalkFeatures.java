package app.nosegay.match.features;

import app.nosegay.captions.Caption;
import java.util.Arrays;
import java.util.List;

/** Where one take sounds like the welcome and the goodbye, by when somebody talks at all. */
final class TalkFeatures {
    private final List<Double> greeting;
    /** When the last word has been said, in seconds; 0 where none are known. */
    private final double lastWord;

    /** Seconds in which something is said up to each bin; null where no words are known. */
    private final double[] spoken;

    private final double perSecond;
    private final int bins;
    /** Where the last sentence that was heard ends. */
    private int lastSentence;

    /** @param speech whether somebody speaks, per bin, for takes whose words are not known; null where that is not told either */
    TalkFeatures(List<Caption> words, boolean[] speech, int bins) {
        this.bins = bins;
        boolean known = !words.isEmpty();
        perSecond = known ? MatchWeights.SPOKEN_PER_SECOND : MatchWeights.VOICED_PER_SECOND;
        boolean[] speaks = known ? said(words) : speech == null ? null : sentences(speech);
        spoken = speaks == null ? null : summed(speaks);
        int first = 0;
        while (speaks != null && first < bins && !speaks[first]) {
            first++;
        }
        greeting = known
                ? List.of(words.stream()
                        .mapToDouble(c -> c.start().seconds())
                        .min()
                        .getAsDouble())
                : speaks == null || first == bins ? List.of() : List.of(first * MatchWeights.GRID_SECONDS);
        lastWord = known
                ? words.stream().mapToDouble(c -> c.end().seconds()).max().getAsDouble()
                : speaks == null ? 0 : lastSentence * MatchWeights.GRID_SECONDS;
    }

    /** Speech, without what is too short to be a sentence: a clap, a weight set down. */
    private boolean[] sentences(boolean[] speech) {
        boolean[] out = new boolean[bins];
        int least = Grid.bin(MatchWeights.SHORTEST_SENTENCE);
        for (int b = 0; b < bins; b++) {
            int to = b;
            while (to < bins && speech[to]) {
                to++;
            }
            if (to - b >= least) {
                lastSentence = to;
                Arrays.fill(out, b, Math.min(bins, to + Grid.bin(MatchWeights.BETWEEN_LINES)), true);
            }
            b = Math.max(b, to);
        }
        return out;
    }

    /** When the first word is said, in seconds; none where none are known. */
    List<Double> greeting() {
        return greeting;
    }

    /** What speaks against the end of the workout at each bin: somebody is still talking. */
    float[] unfinished() {
        float[] unfinished = new float[bins];
        int last = Math.min(bins, Grid.bin(lastWord));
        for (int b = 0; b < last; b++) {
            unfinished[b] = (float) -MatchWeights.STILL_TALKING;
        }
        return unfinished;
    }

    /** How far a closing talk of {@code seconds} from each bin on would be talk: who says goodbye says something most of the time. */
    float[] closing(double seconds) {
        float[] closing = new float[bins];
        int reach = Grid.bin(Math.min(seconds, MatchWeights.CLOSING_SECONDS));
        for (int b = 0; spoken != null && b < bins; b++) {
            double said = spoken[Math.min(bins, b + reach)] - spoken[b];
            double usual = MatchWeights.SPOKEN_IN_WORK * reach * MatchWeights.GRID_SECONDS;
            closing[b] = (float) (perSecond * (said - usual));
        }
        return closing;
    }

    private boolean[] said(List<Caption> words) {
        boolean[] speaks = new boolean[bins];
        for (Caption c : words) {
            int from = Math.max(0, Grid.bin(c.start().seconds()));
            int to = Math.min(bins, Grid.bin(c.end().seconds() + MatchWeights.BETWEEN_LINES));
            Arrays.fill(speaks, Math.min(from, to), to, true);
        }
        return speaks;
    }

    private double[] summed(boolean[] speaks) {
        double[] sum = new double[bins + 1];
        for (int b = 0; b < bins; b++) {
            sum[b + 1] = sum[b] + (speaks[b] ? MatchWeights.GRID_SECONDS : 0);
        }
        return sum;
    }
}
