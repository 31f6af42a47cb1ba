package app.nosegay.match.features;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.ScriptLine;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;

/**
 * What lines of the script that were said word for word tell: in which segment they were said. Of calls and counts there are too many
 * alike.
 */
final class LineFeatures {
    /** A line written for more segments than this tells none of them. */
    private static final int MOST_SEGMENTS = 4;
    /** Fewer telling words are said by chance. */
    private static final int LEAST_WORDS = 3;

    /** Running sums by segment, for those in which a line was heard. */
    private final Map<String, Steps> said = new HashMap<>();

    /**
     * A sum that grows at a few bins.
     *
     * @param bins in order
     * @param sums up to and with each of them
     */
    record Steps(int[] bins, double[] sums) {
        /** The sum over all before {@code bin}. */
        double at(int bin) {
            int i = bins.length;
            while (i > 0 && bins[i - 1] >= bin) {
                i--;
            }
            return i == 0 ? 0 : sums[i - 1];
        }
    }

    LineFeatures(Timeline timeline, List<ScriptLine> lines, List<Caption> words) {
        Map<List<String>, Set<String>> written = new HashMap<>();
        for (ScriptLine line : lines) {
            if (line.kind() != CueKind.TIME && line.kind() != CueKind.COUNT) {
                for (List<String> sentence : sentences(line.text())) {
                    written.computeIfAbsent(sentence, x -> new HashSet<>()).add(line.segment());
                }
            }
        }
        Map<String, TreeMap<Integer, Double>> heard = new HashMap<>();
        for (Caption c : words) {
            for (List<String> sentence : sentences(c.text())) {
                Set<String> segments = written.getOrDefault(sentence, Set.of());
                int bin = Grid.bin(c.start().seconds());
                for (String segment : segments.size() > MOST_SEGMENTS ? Set.<String>of() : segments) {
                    heard.computeIfAbsent(segment, x -> new TreeMap<>()).merge(bin, MatchWeights.LINE_SAID, Math::max);
                }
            }
        }
        for (Segment s : timeline.segments()) {
            if (heard.containsKey(s.id())) {
                said.put(s.id(), steps(heard.get(s.id())));
            }
        }
    }

    /** The running sum of the lines of a segment that were heard; null where there were none. */
    Steps in(String segment) {
        return said.get(segment);
    }

    private static Steps steps(TreeMap<Integer, Double> weights) {
        int[] bins = new int[weights.size()];
        double[] sums = new double[bins.length];
        double sum = 0;
        int i = 0;
        for (Map.Entry<Integer, Double> e : weights.entrySet()) {
            sum += e.getValue();
            bins[i] = e.getKey();
            sums[i++] = sum;
        }
        return new Steps(bins, sums);
    }

    /** The telling words of each sentence long enough to tell something. */
    private static List<List<String>> sentences(String text) {
        List<List<String>> sentences = new ArrayList<>();
        for (String sentence : text.split("(?<=[.?!:])\\s+")) {
            List<String> words = TellingWords.of(sentence);
            if (words.size() >= LEAST_WORDS) {
                sentences.add(words);
            }
        }
        return sentences;
    }
}
