package app.nosegay.review.said;

import app.nosegay.calls.Call;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.plan.Timeline;
import app.nosegay.script.CuePlan;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.EnumSet;
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
public record ScriptLineMatch(ScriptLine line, String take, Time<Axis.Take> time, double likeness) {
    /** A line is looked for this far from its place, in seconds. */
    private static final double REACH = 25;
    /** Whoever takes longer over a line than planned takes this much longer at the most, in seconds. */
    private static final double LATER = 3;

    /** Lines of these kinds tell how a move is done and never where the workout is. */
    private static final Set<CueKind> COACHING = EnumSet.of(
            CueKind.SETUP,
            CueKind.FORM,
            CueKind.AVOID,
            CueKind.IMAGE,
            CueKind.FEEL,
            CueKind.CHECK,
            CueKind.BREATH,
            CueKind.MUSCLE,
            CueKind.WHY,
            CueKind.EASIER,
            CueKind.HARDER,
            CueKind.INSTEAD,
            CueKind.CAUTION,
            CueKind.PERMIT);

    /** Whoever says less than this share of the script speaks freely, or was not understood: nothing is told of single lines. */
    private static final double FOLLOWS_SCRIPT = 0.5;

    public boolean isSaid() {
        return time != null;
    }

    /** The lines viewers rely on, of moves that were filmed; none where the script was not followed. */
    public static List<ScriptLineMatch> reliedOn(List<ScriptLineMatch> said) {
        boolean followed = said.stream().filter(ScriptLineMatch::isSaid).count() >= FOLLOWS_SCRIPT * said.size();
        return said.stream()
                .filter(l -> followed && l.take() != null && l.line().kind().isReliedOn())
                .toList();
    }

    /** When it is due in the take its segment lies in. */
    public Time<Axis.Take> due(Timeline timeline, Match match) {
        Time<Axis.Plan> start = timeline.segment(line.segment()).orElseThrow().start();
        return match.segment(line.segment())
                .orElseThrow()
                .start()
                .plus(line.start().since(start));
    }

    /** Whether a call is nothing but a part of this line, which coaches. */
    boolean coaches(String inTake, Call call) {
        return isSaid()
                && inTake.equals(take)
                && COACHING.contains(line.kind())
                && Math.abs(call.time().since(time).seconds()) < line.spoken().seconds() + LATER
                && plain(line.text()).contains(plain(call.text()));
    }

    private static String plain(String text) {
        return " "
                + text.toLowerCase(Locale.ROOT)
                        .replaceAll("[^\\p{L}\\p{N}]+", " ")
                        .strip() + " ";
    }

    /** Every line of the cue plan but the calls, which {@link CallTruth} compares. */
    public static List<ScriptLineMatch> of(Timeline timeline, CuePlan cues, Match match, List<TakeEvidence> takes) {
        Map<String, TakeEvidence> byId = new HashMap<>();
        takes.forEach(t -> byId.put(t.id(), t));
        Map<String, Match.Placed> placed = new HashMap<>();
        match.segments().forEach(p -> placed.put(p.id(), p));
        Map<String, Time<Axis.Plan>> starts = new HashMap<>();
        timeline.segments().forEach(s -> starts.put(s.id(), s.start()));
        Set<Caption> taken = new HashSet<>();
        List<ScriptLineMatch> said = new ArrayList<>();
        for (ScriptLine line : cues.lines()) {
            Match.Placed p = placed.get(line.segment());
            if (line.isCall()) {
                continue;
            }
            if (p == null || !p.matched()) {
                said.add(new ScriptLineMatch(line, null, null, 0));
                continue;
            }
            Length into = line.start().since(starts.get(line.segment()));
            said.add(find(line, p.take(), p.start().plus(into), byId.get(p.take()), taken));
        }
        return said;
    }

    private static ScriptLineMatch find(
            ScriptLine line, String take, Time<Axis.Take> expected, TakeEvidence evidence, Set<Caption> taken) {
        List<String> wanted = TellingWords.of(line.text());
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
            double alone = TellingWords.share(wanted, TellingWords.of(c.text()));
            double together = TellingWords.share(wanted, TellingWords.of(text));
            double likeness = Math.max(alone, alone > 0.25 ? together : 0);
            double score = likeness - 0.004 * off;
            if (score > bestScore) {
                bestScore = score;
                best = c;
                bestLikeness = likeness;
            }
        }
        if (best == null || bestLikeness < TellingWords.SAID) {
            return new ScriptLineMatch(line, take, null, bestLikeness);
        }
        taken.add(best);
        return new ScriptLineMatch(line, take, best.start(), bestLikeness);
    }
}
