package app.nosegay.review;

import app.nosegay.calls.Fluffs;
import app.nosegay.captions.Caption;
import app.nosegay.captions.TellingWords;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.library.BodyWords;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.time.Axis;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;

/**
 * Something useful said of a move that no script had: worth keeping as a cue.
 *
 * @param move the move it was said of
 * @param kind what kind of cue it is taken for
 */
public record AdLib(String take, Time<Axis.Take> time, String text, String move, CueKind kind) {
    /** Shorter is a cheer, longer is talk. */
    private static final int FEWEST_WORDS = 3;

    private static final int MOST_WORDS = 16;

    private static final Pattern OPTION = Pattern.compile(
            "(?i)\\b(?:if (?:that|this|it)(?:['’]s| is) too|if you need|easier|option|take it down|without the|drop the)\\b");
    private static final Pattern HARDER = Pattern.compile("(?i)\\b(?:harder|more of a challenge|want more|heavier)\\b");
    private static final Pattern AVOID =
            Pattern.compile("(?i)\\b(?:don['’]?t|do not|try not to|avoid|never|without)\\b");
    private static final Pattern BREATH = Pattern.compile("(?i)\\b(?:breathe|breath|exhale|inhale|breathing)\\b");
    private static final Pattern IMAGE =
            Pattern.compile("(?i)\\b(?:like (?:a|an|you)|as if|as though|imagine|pretend)\\b");
    private static final Pattern FEEL = Pattern.compile("(?i)\\b(?:feel|feeling)\\b");

    /** Every caption that cues the move it falls in and belongs to no scripted line and no call, once each, in order. */
    public static List<AdLib> of(
            Timeline timeline,
            Match match,
            List<TakeEvidence> takes,
            List<ScriptLineMatch> said,
            List<HeardCall> calls) {
        List<AdLib> found = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            Match.Placed p = match.segment(s.id()).orElseThrow();
            TakeEvidence take = takes.stream()
                    .filter(t -> t.id().equals(p.take()))
                    .findFirst()
                    .orElse(null);
            if (take == null || s.move() == null || !s.kind().isMoving()) {
                continue;
            }
            for (Caption c : take.words()) {
                boolean inside = !c.start().isBefore(p.start()) && c.start().isBefore(p.end());
                CueKind kind = inside ? kind(c.text()) : null;
                boolean known = kind == null
                        || said.stream()
                                .anyMatch(l ->
                                        TellingWords.matches(c.text(), l.line().text()))
                        || calls.stream()
                                .anyMatch(h -> h.take().equals(take.id())
                                        && !h.call().time().isBefore(c.start())
                                        && h.call().time().isBefore(c.end()))
                        || Fluffs.isFluff(c.text())
                        || found.stream().anyMatch(a -> a.text().equalsIgnoreCase(c.text()));
                if (!known) {
                    found.add(new AdLib(take.id(), c.start(), c.text().strip(), s.move(), kind));
                }
            }
        }
        return found;
    }

    /** The kind of cue a caption would be; null when it is none. */
    private static CueKind kind(String text) {
        int words = text.strip().split("\\s+").length;
        if (words < FEWEST_WORDS
                || words > MOST_WORDS
                || text.toLowerCase(Locale.ROOT).matches(".*\\bi(?:['’]m|['’]ve)?\\b.*")) {
            return null;
        }
        boolean body = BodyWords.anyIn(text);
        if (HARDER.matcher(text).find()) {
            return CueKind.HARDER;
        }
        if (OPTION.matcher(text).find()) {
            return CueKind.EASIER;
        }
        if (BREATH.matcher(text).find()) {
            return CueKind.BREATH;
        }
        if (!body && !IMAGE.matcher(text).find()) {
            return null;
        }
        return AVOID.matcher(text).find()
                ? CueKind.AVOID
                : IMAGE.matcher(text).find()
                        ? CueKind.IMAGE
                        : FEEL.matcher(text).find() ? CueKind.FEEL : CueKind.FORM;
    }
}
