package app.nosegay.script;

import static app.nosegay.script.Wordings.capital;

import app.nosegay.library.CueKind;
import app.nosegay.plan.Segment;
import app.nosegay.plan.sheet.Attribute;
import app.nosegay.plan.sheet.Attributes;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.BlockKind;
import app.nosegay.plan.terms.RepPattern;
import app.nosegay.script.CueCandidate.Window;
import java.util.List;

/** What is said once of a move where it is not plain: what one rep is, how much of it the viewer does, that one half may be kept. */
final class RuleCandidates {
    private RuleCandidates() {}

    /** What one rep is, what the dose is, what the load is: said once where it is not plain. */
    static void rule(Segment s, Window pause, List<CueCandidate> wishes) {
        Attributes merged = s.line().attributes().over(s.block().attributes());
        Window early = new Window(s, 0, 0.5);
        merged.rep()
                .map(RepPattern::sentence)
                .ifPresent(t -> wishes.add(new CueCandidate(
                        s, CueKind.COUNT, List.of(capital(t) + "."), Window.both(pause, early), false, true)));
        if (merged.rep().isEmpty() && s.move().contains("+") && s.line().parts().size() > 1) {
            String one = "One rep is " + Phrases.inTurn(s.line().parts()) + ".";
            wishes.add(new CueCandidate(
                    s, CueKind.SETUP, List.of(one), Window.both(pause, early), false, s.reps() != null));
        }
        s.line()
                .attributes()
                .length(Attribute.ALONE)
                .ifPresent(l -> wishes.add(new CueCandidate(
                        s, CueKind.PERMIT, List.of(Phrases.alone(l)), Window.both(early, pause), false, true)));
        boolean dosed = merged.dose().isPresent() || merged.shown().isPresent();
        if (dosed) {
            String dose = merged.dose()
                    .map(Amount::words)
                    .or(() -> merged.reps().map(r -> r.perSet().get(0) + " reps"))
                    .orElse("the full set");
            wishes.add(new CueCandidate(
                    s,
                    CueKind.PERMIT,
                    List.of("I show part of it; you do " + dose + "."),
                    Window.both(pause, early),
                    false,
                    true));
        }
    }

    /** In a build, whoever likes stays on one half; the change is promised for half-way. */
    static void build(Segment s, Window pause, List<CueCandidate> wishes) {
        if (s.block().kind() == BlockKind.BUILD
                && s.line().parts().size() > 1
                && s.move().contains("+")) {
            String text =
                    "Now put them together, or stay with the one you like. I will say when it is half-way, so you can swap.";
            String shorter = "Put them together, or stay with one and swap at half-way.";
            wishes.add(new CueCandidate(
                    s, CueKind.PERMIT, List.of(text, shorter), Window.both(pause, new Window(s, 0, 0.4)), false, true));
        }
    }
}
