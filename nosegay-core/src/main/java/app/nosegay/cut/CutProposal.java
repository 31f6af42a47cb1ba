package app.nosegay.cut;

import app.nosegay.match.Match;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/**
 * A stretch of a take that may be cut.
 *
 * @param kind fluff, repeat, dead air, interruption, unplanned, long rest or after the end
 * @param cut whether it is cut as things stand
 * @param decided whether that was decided by hand
 */
public record CutProposal(String take, Span<Axis.Take> span, String kind, boolean cut, boolean decided) {
    /** A shorter pause between two intervals disturbs nobody. */
    private static final Length WORTH_CUTTING = Length.ofSeconds(2);

    private static final String AFTER_THE_END = "after the end";
    /** What is left after the end is offered when there is this much of it. */
    private static final Length AFTERWARDS = Length.ofSeconds(4);

    /** All proposals for a match, in order of takes and time. Fluffs and first tries are cut unless decided otherwise; all else stays. */
    public static List<CutProposal> of(Match match, MatchNotes notes) {
        List<CutProposal> proposals = new ArrayList<>();
        for (Match.Unplanned u : match.unplanned()) {
            if (u.span().length().compareTo(WORTH_CUTTING) > 0) {
                proposals.add(decided(u.take(), u.span(), u.kind(), u.kind().equals("fluff"), notes));
            }
        }
        for (Match.Placed p : match.segments()) {
            for (Match.Other o : p.others()) {
                if (o.kind().equals("repeat") && o.take().equals(p.take())) {
                    proposals.add(decided(o.take(), new Span<>(o.start(), o.end()), "repeat", true, notes));
                }
            }
        }
        for (Match.Take take : match.takes()) {
            match.segments().stream()
                    .filter(p -> take.id().equals(p.take()))
                    .map(Match.Placed::end)
                    .max(Time::compareTo)
                    .ifPresent(last -> {
                        Time<Axis.Take> end = Time.<Axis.Take>zero().plus(take.length());
                        if (end.since(last).compareTo(AFTERWARDS) > 0) {
                            proposals.add(decided(take.id(), new Span<>(last, end), AFTER_THE_END, true, notes));
                        }
                    });
        }
        List<String> order = match.takes().stream().map(Match.Take::id).toList();
        proposals.sort(Comparator.comparing((CutProposal c) -> order.indexOf(c.take()))
                .thenComparing(c -> c.span().start()));
        return proposals;
    }

    /** Whether it was filmed behind the last thing of the plan. */
    boolean isAfterTheEnd() {
        return kind.equals(AFTER_THE_END);
    }

    private static CutProposal decided(
            String take, Span<Axis.Take> span, String kind, boolean usually, MatchNotes notes) {
        return notes.decision(take, span)
                .map(d -> new CutProposal(take, d.span(), kind, d.cut(), true))
                .orElseGet(() -> new CutProposal(take, span, kind, usually, false));
    }
}
