package app.nosegay.match;

import app.nosegay.cache.TextMemo;
import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.List;
import java.util.regex.Pattern;

/**
 * A mistake shown on purpose ("not like this"): no rep, and never the cover.
 *
 * @param words what says so
 */
public record NegativeDemonstration(String take, Span<Axis.Take> span, String words) {
    private static final Pattern SAYS =
            Pattern.compile("(?i)\\b(?:not like (?:this|that)|(?:don['’]?t|do not) (?:do|want) (?:this|that|it like)|"
                    + "what (?:we|i|you) (?:don['’]?t|do not) want"
                    + "|this is (?:wrong|not it|what not to do|the (?:usual |common )?mistake)|the wrong way|avoid (?:this|doing this)"
                    + "|instead of (?:this|doing this)|rather than (?:this|doing this))\\b");
    private static final TextMemo<Boolean> IS_SAID =
            new TextMemo<>(words -> SAYS.matcher(words).find());
    /** The picture shows it from just before it is said … */
    private static final Length BEFORE = Length.ofSeconds(0.5);
    /** … and for as long as one careful rep takes. */
    private static final Length AT_LEAST = Length.ofSeconds(2.5);

    /** Every one in a take, in order. */
    public static List<NegativeDemonstration> in(TakeEvidence take) {
        return take.words().stream()
                .filter(c -> IS_SAID.of(c.text()))
                .map(c -> new NegativeDemonstration(take.id(), span(c), c.text()))
                .toList();
    }

    private static Span<Axis.Take> span(Caption c) {
        return new Span<>(
                Time.max(Time.zero(), c.start().minus(BEFORE)),
                Time.max(c.end(), c.start().plus(AT_LEAST)));
    }

    /** Those of {@code moments} at which nothing is shown wrongly on purpose. */
    static List<Time<Axis.Take>> without(List<Time<Axis.Take>> moments, TakeEvidence take) {
        List<NegativeDemonstration> wrong = in(take);
        return wrong.isEmpty()
                ? moments
                : moments.stream()
                        .filter(t -> wrong.stream().noneMatch(w -> w.span().contains(t)))
                        .toList();
    }
}
