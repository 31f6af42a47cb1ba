package app.nosegay.evidence;

import app.nosegay.captions.Caption;
import app.nosegay.captions.SentenceMarks;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.IntStream;

/**
 * Lays the words of captions that give no times of their own over the stretches in which somebody speaks, as a caption stays up through
 * pauses and does not say where they are. The words are parted into runs, one a stretch, so that every run is about as long to say as its
 * stretch lasts and pauses fall behind marks: the parting with the least cost, by dynamic programming.
 */
public final class SpokenWords {
    /** Who speaks less than this part of the time the words usually take was not heard: quiet, or under music. */
    private static final double HEARD = 0.7;
    /** A mark is missing behind the words before a pause: as bad as being off by this many syllables. */
    private static final double MARKLESS = 3;
    /** How far a run may end from where an even pace would end it, in words. */
    private static final int REACH = 40;

    private static final Pattern MARKED = Pattern.compile(".*[.,!?;:…]\\W*");

    private SpokenWords() {}

    /** The captions with their words where somebody speaks; as they are where they have times, or nobody was heard. */
    public static List<Caption> laid(List<Caption> captions, List<Span<Axis.Take>> stretches) {
        if (stretches.isEmpty() || captions.stream().noneMatch(c -> c.timed().isEmpty())) {
            return captions;
        }
        List<Caption> marked = SentenceMarks.shipped().restored(captions);
        return IntStream.range(0, captions.size())
                .mapToObj(i -> laid(captions.get(i), marked.get(i).text(), stretches))
                .toList();
    }

    private static Caption laid(Caption caption, String marked, List<Span<Axis.Take>> stretches) {
        if (!caption.timed().isEmpty() || caption.text().isBlank()) {
            return caption;
        }
        List<Span<Axis.Take>> voiced = inside(caption, stretches);
        double seconds = voiced.stream().mapToDouble(s -> s.length().seconds()).sum();
        String[] words = caption.text().strip().split("\\s+");
        double[] syllables = new double[words.length + 1];
        for (int i = 0; i < words.length; i++) {
            syllables[i + 1] = syllables[i] + Math.max(1, SpeechRate.syllables(words[i]));
        }
        if (seconds < HEARD * syllables[words.length] / SpeechRate.DEFAULT.atRest()) {
            return caption;
        }
        int[] ends = ends(open(marked.strip().split("\\s+")), syllables, voiced, seconds);
        List<Caption.Word> timed = new ArrayList<>();
        for (int j = 0; j < voiced.size(); j++) {
            int from = j == 0 ? 0 : ends[j - 1];
            Time<Axis.Take> start = voiced.get(j).start();
            double rate = voiced.get(j).length().seconds() / Math.max(1, syllables[ends[j]] - syllables[from]);
            for (int i = from; i < ends[j]; i++) {
                timed.add(new Caption.Word(
                        start.plus(Length.ofSeconds(rate * (syllables[i] - syllables[from]))),
                        start.plus(Length.ofSeconds(rate * (syllables[i + 1] - syllables[from]))),
                        words[i]));
            }
        }
        return new Caption(caption.start(), caption.end(), caption.text(), timed, caption.speaker());
    }

    private static List<Span<Axis.Take>> inside(Caption caption, List<Span<Axis.Take>> stretches) {
        List<Span<Axis.Take>> inside = new ArrayList<>();
        for (Span<Axis.Take> s : stretches) {
            Time<Axis.Take> from = s.start().isAfter(caption.start()) ? s.start() : caption.start();
            Time<Axis.Take> to = s.end().isBefore(caption.end()) ? s.end() : caption.end();
            if (to.isAfter(from)) {
                inside.add(new Span<>(from, to));
            }
        }
        return inside;
    }

    /** For each stretch the number of words up to its end. */
    private static int[] ends(boolean[] open, double[] syllables, List<Span<Axis.Take>> voiced, double seconds) {
        int n = open.length;
        int m = voiced.size();
        double pace = syllables[n] / seconds;
        double[] best = unreached(n);
        best[0] = 0;
        int[][] back = new int[m][n + 1];
        int even = 0;
        double said = 0;
        int low = 0;
        int high = 0;
        for (int j = 0; j < m; j++) {
            double due = pace * voiced.get(j).length().seconds();
            said += due;
            while (even < n && syllables[even] < said) {
                even++;
            }
            int first = j == m - 1 ? n : Math.max(0, even - REACH);
            int last = j == m - 1 ? n : Math.min(n, even + REACH);
            double[] next = unreached(n);
            for (int end = first; end <= last; end++) {
                int from = low;
                for (int k = low; k <= Math.min(end, high); k++) {
                    from = best[k] + off(syllables, k, end, due) < best[from] + off(syllables, from, end, due)
                            ? k
                            : from;
                }
                double markless = end > 0 && open[end - 1] ? MARKLESS * MARKLESS / (due + 1) : 0;
                next[end] = best[from] + off(syllables, from, end, due) + markless;
                back[j][end] = from;
            }
            best = next;
            low = first;
            high = last;
        }
        int[] ends = new int[m];
        for (int j = m - 1, end = n; j >= 0; j--) {
            ends[j] = end;
            end = back[j][end];
        }
        return ends;
    }

    private static double[] unreached(int n) {
        double[] costs = new double[n + 1];
        Arrays.fill(costs, Double.POSITIVE_INFINITY);
        return costs;
    }

    /** How badly the words between two places fit a stretch in which so many syllables are due. */
    private static double off(double[] syllables, int from, int to, double due) {
        double off = syllables[to] - syllables[from] - due;
        return off * off / (due + 1);
    }

    /** Behind which words no pause is expected; nowhere where the text has no marks at all. */
    private static boolean[] open(String[] words) {
        boolean[] open = new boolean[words.length];
        boolean marks = false;
        for (int i = 0; i < words.length - 1; i++) {
            open[i] = !MARKED.matcher(words[i]).matches();
            marks |= !open[i];
        }
        return marks ? open : new boolean[words.length];
    }
}
