package app.nosegay.match;

import app.nosegay.transcript.Caption;
import java.util.Comparator;
import java.util.List;

/** Where one take sounds like the welcome and the goodbye, by when somebody talks at all. */
final class TalkHints {
    private final List<Double> greeting;
    /** When the last word has been said, in seconds; 0 where none are known. */
    private final double lastWord;

    /** Seconds in which something is said up to each bin; null where no words are known. */
    private final double[] spoken;

    private final int bins;

    TalkHints(List<Caption> words, int bins) {
        this.bins = bins;
        greeting = words.stream()
                .min(Comparator.comparing(Caption::start))
                .map(c -> c.start().seconds())
                .stream()
                .toList();
        lastWord = words.stream().mapToDouble(c -> c.end().seconds()).max().orElse(0);
        spoken = words.isEmpty() ? null : spoken(words);
    }

    /** When the first word is said, in seconds; none where none are known. */
    List<Double> greeting() {
        return greeting;
    }

    /** What speaks against the end of the workout at each bin: somebody is still talking. */
    float[] unfinished() {
        float[] unfinished = new float[bins];
        int last = Math.min(bins, BoundaryHints.bin(lastWord));
        for (int b = 0; b < last; b++) {
            unfinished[b] = (float) -MatchWeights.STILL_TALKING;
        }
        return unfinished;
    }

    /** How far a closing talk of {@code seconds} from each bin on would be talk: who says goodbye says something most of the time. */
    float[] closing(double seconds) {
        float[] closing = new float[bins];
        int reach = BoundaryHints.bin(Math.min(seconds, MatchWeights.CLOSING_SECONDS));
        for (int b = 0; spoken != null && b < bins; b++) {
            double said = spoken[Math.min(bins, b + reach)] - spoken[b];
            double usual = MatchWeights.SPOKEN_IN_WORK * reach * MatchWeights.GRID_SECONDS;
            closing[b] = (float) (MatchWeights.SPOKEN_PER_SECOND * (said - usual));
        }
        return closing;
    }

    private double[] spoken(List<Caption> words) {
        boolean[] speaks = new boolean[bins];
        for (Caption c : words) {
            int from = Math.max(0, BoundaryHints.bin(c.start().seconds()));
            int to = Math.min(bins, BoundaryHints.bin(c.end().seconds() + MatchWeights.BETWEEN_LINES));
            for (int b = from; b < to; b++) {
                speaks[b] = true;
            }
        }
        double[] sum = new double[bins + 1];
        for (int b = 0; b < bins; b++) {
            sum[b + 1] = sum[b] + (speaks[b] ? MatchWeights.GRID_SECONDS : 0);
        }
        return sum;
    }
}
