package app.nosegay.plan;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.time.Length;
import java.util.HashMap;
import java.util.Map;

/** What the viewer does against what the video shows, line by line (docs/domain.md, "Dose and shown"). */
public final class Doses {
    private final Map<Integer, Double> factors = new HashMap<>();
    private Length beyond = Length.ZERO;

    private Doses() {}

    /** The doses of a timeline. */
    public static Doses of(Timeline timeline, MoveLibrary library) {
        Doses doses = new Doses();
        Map<Integer, Length> shown = new HashMap<>();
        Map<Integer, Length> meant = new HashMap<>();
        for (Segment s : timeline.segments()) {
            if (s.kind() != SegmentKind.WORK || s.line() == null) {
                continue;
            }
            Attributes attributes = s.line().attributes().over(s.block().attributes());
            Amount dose = attributes.dose().orElse(null);
            if (dose == null && attributes.shown().isEmpty()) {
                continue;
            }
            int line = s.line().line();
            Length rep = Tempos.rep(s, library);
            shown.merge(line, s.duration(), Length::plus);
            if (dose != null) {
                // The dose is for the line as a whole, each side of a one-sided move.
                boolean twice = s.way() == SideWay.SEPARATE || s.way() == SideWay.HALVES || s.way() == SideWay.CHAIN;
                meant.put(line, dose.total(rep).times(twice ? 2 : 1));
            } else {
                int index = s.set() != null ? s.set() : s.round() != null ? s.round() : 1;
                Length target =
                        attributes.reps().map(r -> rep.times(r.ofSet(index))).orElse(s.duration());
                meant.merge(line, target, Length::plus);
            }
        }
        meant.forEach((line, total) -> {
            double seconds = shown.get(line).seconds();
            if (seconds > 0) {
                doses.factors.put(line, total.seconds() / seconds);
                doses.beyond = doses.beyond.plus(Length.max(Length.ZERO, total.minus(shown.get(line))));
            }
        });
        return doses;
    }

    /** By how much the viewer does more than is shown in {@code s}; 1 where both are the same. */
    public double factor(Segment s) {
        return s.line() == null ? 1 : factors.getOrDefault(s.line().line(), 1.0);
    }

    /** How much viewers are to do by themselves beyond what is shown, without the rests they take. */
    public Length beyond() {
        return beyond;
    }

    /** Whether anything is dosed beyond what is shown. */
    public boolean isEmpty() {
        return factors.isEmpty();
    }
}
