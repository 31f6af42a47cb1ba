package app.nosegay.match;

import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Remembered;
import app.nosegay.time.Time;
import app.nosegay.transcript.Caption;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * A scripted line and where it was said.
 *
 * @param take the take its segment lies in; null when the segment is missing
 * @param time when it was said; null when it was not
 * @param likeness how much of it was said, 0 to 1
 */
public record SaidLine(ScriptLine line, String take, Time<Axis.Take> time, double likeness) {
    /** At least this share of its telling words has to be heard. */
    public static final double SAID = 0.6;
    /** A line is looked for this far from its place, in seconds. */
    private static final double REACH = 25;

    /** Words that tell one line from another; the rest are in all of them. */
    private static final Set<String> EVERYWHERE = Set.of(
            "the", "a", "an", "and", "or", "to", "of", "in", "on", "is", "it", "you", "your", "with", "for", "as", "at",
            "that", "this", "we", "so", "if", "be", "are");

    private static final Remembered<List<String>> TELLING = new Remembered<>(SaidLine::telling);

    public boolean isSaid() {
        return time != null;
    }

    /** Every line of the cue plan but the calls, which {@link CallTruth} compares. */
    public static List<SaidLine> of(Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> takes) {
        Map<String, TakeEvidence> byId = new HashMap<>();
        takes.forEach(t -> byId.put(t.id(), t));
        Map<String, Match.Placed> placed = new HashMap<>();
        match.segments().forEach(p -> placed.put(p.id(), p));
        Map<String, Time<Axis.Plan>> starts = new HashMap<>();
        timeline.segments().forEach(s -> starts.put(s.id(), s.start()));
        Set<Caption> taken = new HashSet<>();
        List<SaidLine> said = new ArrayList<>();
        for (ScriptLine line : cues.lines()) {
            Match.Placed p = placed.get(line.segment());
            if (line.isCall()) {
                continue;
            }
            if (p == null || !p.matched()) {
                said.add(new SaidLine(line, null, null, 0));
                continue;
            }
            Length into = line.start().since(starts.get(line.segment()));
            said.add(find(line, p.take(), p.start().plus(into), byId.get(p.take()), taken));
        }
        return said;
    }

    private static SaidLine find(
            ScriptLine line, String take, Time<Axis.Take> expected, TakeEvidence evidence, Set<Caption> taken) {
        List<String> wanted = TELLING.of(line.text());
        Caption best = null;
        double bestScore = 0;
        double bestLikeness = 0;
        List<Caption> words = evidence.words();
        for (int i = 0; i < words.size(); i++) {
            Caption c = words.get(i);
            double off = Math.abs(c.start().since(expected).seconds());
            if (off > REACH || taken.contains(c)) {
                continue;
            }
            // A line may run over two captions.
            String text =
                    i + 1 < words.size() ? c.text() + " " + words.get(i + 1).text() : c.text();
            double alone = likeness(wanted, TELLING.of(c.text()));
            double together = likeness(wanted, TELLING.of(text));
            double likeness = Math.max(alone, alone > 0.25 ? together : 0);
            double score = likeness - 0.004 * off;
            if (score > bestScore) {
                bestScore = score;
                best = c;
                bestLikeness = likeness;
            }
        }
        if (best == null || bestLikeness < SAID) {
            return new SaidLine(line, take, null, bestLikeness);
        }
        taken.add(best);
        return new SaidLine(line, take, best.start(), bestLikeness);
    }

    /** Whether {@code said} is {@code line}, near enough. */
    static boolean says(String line, String said) {
        return likeness(TELLING.of(line), TELLING.of(said)) >= SAID;
    }

    /** The share of the wanted words that are said, each counted once. */
    private static double likeness(List<String> wanted, List<String> said) {
        if (wanted.isEmpty()) {
            return 0;
        }
        List<String> left = new ArrayList<>(said);
        int hit = 0;
        for (String w : wanted) {
            hit += left.remove(w) ? 1 : 0;
        }
        return hit / (double) wanted.size();
    }

    /** The words that tell a line from others. */
    static List<String> telling(String text) {
        List<String> words = new ArrayList<>();
        for (String w : text.toLowerCase(Locale.ROOT).split("[^\\p{L}\\p{N}']+")) {
            if (!w.isEmpty() && !EVERYWHERE.contains(w)) {
                words.add(w.length() > 3 && w.endsWith("s") ? w.substring(0, w.length() - 1) : w);
            }
        }
        return words;
    }
}
