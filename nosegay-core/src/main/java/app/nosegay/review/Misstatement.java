package app.nosegay.review;

import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;

/**
 * Something that was said wrong, or not said, with what would have been right.
 *
 * @param finding what tells it
 * @param take the take it is in
 * @param span when it was said; without length where it should have been said and was not
 * @param said the words; empty when nothing was said
 * @param say the line that would be right; empty where only silence would be
 * @param show the same in a word or two, for the screen; empty where nothing has to be shown
 */
public record Misstatement(Finding finding, String take, Span<Axis.Take> span, String said, String say, String show) {
    /** Whether something was said, so that it could be muted. */
    public boolean isSpoken() {
        return span.length().isPositive();
    }

    /** What should be said where it was not, as far as viewers rely on it. */
    static List<Misstatement> unsaid(Timeline timeline, Match match, List<ScriptLineMatch> said) {
        return ScriptLineMatch.reliedOn(said).stream()
                .filter(l -> !l.isSaid())
                .map(l -> {
                    Time<Axis.Take> due = l.due(timeline, match);
                    return new Misstatement(
                            null, l.take(), new Span<>(due, due), "", l.line().text(), "");
                })
                .toList();
    }
}
