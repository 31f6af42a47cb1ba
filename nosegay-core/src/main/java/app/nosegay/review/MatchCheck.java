package app.nosegay.review;

import app.nosegay.calls.Fluffs;
import app.nosegay.captions.Caption;
import app.nosegay.cut.CutProposal;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.match.Match;
import app.nosegay.match.NegativeDemonstration;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.text.CoreText;
import app.nosegay.time.Axis;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** What differs between plan and recording: the order, the lengths, the sides, the reps, the stretches nobody planned. */
public final class MatchCheck {
    /** Somebody who apologises does so more than once: within this many seconds it is the same slip. */
    private static final double ONE_FLUFF = 15;

    private final Timeline timeline;
    private final Match match;
    private final List<TakeEvidence> takes;
    private final Map<String, Segment> byId = new HashMap<>();
    private final MatchFindings found = new MatchFindings();
    private final List<Misstatement> misstatements = new ArrayList<>();

    private MatchCheck(Timeline timeline, Match match, List<TakeEvidence> takes) {
        this.timeline = timeline;
        this.match = match;
        this.takes = takes;
        timeline.segments().forEach(s -> byId.put(s.id(), s));
    }

    /** All findings of the match, and what was said wrong; nothing without takes. */
    public static ReviewResult check(
            Timeline timeline, CuePlan cues, Match match, MatchNotes notes, List<TakeEvidence> takes, Spoken said) {
        if (match.takes().isEmpty()) {
            return ReviewResult.NOTHING;
        }
        MatchCheck check = new MatchCheck(timeline, match, takes);
        check.order();
        check.found.all(DoneCheck.findings(timeline, match, notes));
        check.stretches(notes);
        check.wrongShowings();
        check.found.all(RoundOrder.findings(timeline, match));
        check.found.all(CutLosses.findings(timeline, match, notes, takes, said.lines()));
        if (timeline.sheet().header().voiceAfterwards()) {
            ReviewResult laidOver = RecordedVoice.laidOver(timeline, cues, match, takes);
            check.found.all(laidOver.findings());
            return new ReviewResult(check.found.worstFirst(), List.of(), laidOver.overs());
        }
        for (ReviewResult spoken : List.of(
                SideWords.check(timeline, match, takes), CallCheck.check(timeline, cues, match, takes, said.calls()))) {
            check.found.all(spoken.findings());
            check.misstatements.addAll(spoken.misstatements());
        }
        List<Misstatement> again = new ArrayList<>(check.misstatements);
        again.addAll(Misstatement.unsaid(timeline, match, said.lines()));
        List<VoiceOver> overs = VoiceOver.of(again, match, takes);
        check.mended(overs);
        check.takes(overs);
        return new ReviewResult(check.found.worstFirst(), check.misstatements, overs);
    }

    /** What is said again and laid over is no slip any more. */
    private void mended(List<VoiceOver> overs) {
        for (VoiceOver over : overs) {
            if (over.misstatement().finding() != null) {
                found.remove(over.misstatement().finding());
            }
            misstatements.remove(over.misstatement());
        }
    }

    private void takes(List<VoiceOver> overs) {
        for (Match.Take t : match.takes()) {
            long lines = overs.stream().filter(o -> o.take().equals(t.id())).count();
            if (lines > 0) {
                found.add(
                        "match.pick-up-lines",
                        Severity.NOTE,
                        null,
                        CoreText.of("match.pick-up-lines.message", t.file(), lines),
                        null);
            } else if (t.foreign()) {
                found.add(
                        "match.foreign",
                        Severity.STOP,
                        null,
                        CoreText.of("match.foreign.message", t.file()),
                        CoreText.of("match.foreign.fix"));
            }
        }
    }

    private void order() {
        Match.Placed before = null;
        for (Match.Placed p : match.segments()) {
            Segment s = byId.get(p.id());
            if (!p.matched()) {
                boolean matters = s.kind() == SegmentKind.WORK
                        || s.kind() == SegmentKind.WARMUP
                        || s.kind() == SegmentKind.COOLDOWN;
                found.add(
                        "match.missing",
                        matters ? Severity.FIX : Severity.NOTE,
                        s,
                        CoreText.of("match.missing.message", MatchFindings.name(s)),
                        CoreText.of("match.missing.fix"));
                continue;
            }
            boolean swapped = before != null
                    && before.take().equals(p.take())
                    && p.start().isBefore(before.start());
            if (swapped && s.kind() == SegmentKind.WORK) {
                found.add(
                        "match.swapped",
                        Severity.FIX,
                        s,
                        CoreText.of(
                                "match.swapped.message",
                                MatchFindings.name(s),
                                MatchFindings.name(byId.get(before.id()))),
                        CoreText.of("match.swapped.fix"));
            }
            if (s.kind() == SegmentKind.WORK) {
                long repeats = p.others().stream()
                        .filter(o -> o.kind().equals("repeat"))
                        .count();
                if (repeats > 0) {
                    found.add(
                            "match.repeated",
                            Severity.NOTE,
                            s,
                            CoreText.of("match.repeated.message", MatchFindings.name(s), repeats + 1),
                            null);
                }
                before = p;
            }
        }
    }

    private void stretches(MatchNotes notes) {
        for (CutProposal c : CutProposal.of(match, notes)) {
            if (c.decided() || c.cut() && !c.kind().equals("after the end")) {
                continue;
            }
            Segment at = byId.get(nearest(c.take(), c.span()));
            String where = CoreText.of(
                    "review.match-check.at-of",
                    c.span().start(),
                    c.take(),
                    MatchFindings.seconds(c.span().length().seconds()));
            switch (c.kind()) {
                case "dead air" ->
                    found.add(
                            "match.dead-air",
                            Severity.LOOK,
                            at,
                            CoreText.of("match.dead-air.message", where),
                            CoreText.of("match.dead-air.fix"),
                            new Finding.Moment(c.take(), c.span()));
                case "unplanned" ->
                    found.add(
                            "match.unplanned",
                            Severity.LOOK,
                            at,
                            CoreText.of("match.unplanned.message", where),
                            CoreText.of("match.unplanned.fix"),
                            new Finding.Moment(c.take(), c.span()));
                case "interruption" ->
                    found.add(
                            "match.interruption",
                            Severity.NOTE,
                            at,
                            CoreText.of("match.interruption.message", where),
                            CoreText.of("match.interruption.fix"),
                            new Finding.Moment(c.take(), c.span()));
                case "after the end" -> timerLeftOn(c);
                default -> {
                    // fluffs and first tries are cut already; a long rest is told with its length
                }
            }
        }
        for (TakeEvidence take : takes) {
            fluffsLeftIn(take);
        }
    }

    private void timerLeftOn(CutProposal c) {
        TakeEvidence take =
                takes.stream().filter(t -> t.id().equals(c.take())).findFirst().orElseThrow();
        long beeps = take.beeps().stream()
                .filter(b -> b.time().since(c.span().start()).seconds() > 1.5)
                .count();
        if (beeps >= 2) {
            found.add(
                    "match.timer-left-on",
                    Severity.NOTE,
                    null,
                    CoreText.of("match.timer-left-on.message", beeps, c.take()),
                    CoreText.of("match.timer-left-on.fix"),
                    new Finding.Moment(c.take(), c.span()));
        }
    }

    private void fluffsLeftIn(TakeEvidence take) {
        Time<Axis.Take> told = null;
        for (Caption c : take.words()) {
            boolean again = told != null && c.start().since(told).seconds() < ONE_FLUFF;
            if (!Fluffs.isFluff(c.text())) {
                continue;
            }
            told = c.start();
            if (again) {
                continue;
            }
            match.segments().stream()
                    .filter(p -> take.id().equals(p.take())
                            && !c.start().isBefore(p.start())
                            && c.start().isBefore(p.end()))
                    .findFirst()
                    .ifPresent(p -> found.add(
                            "match.fluff",
                            Severity.LOOK,
                            byId.get(p.id()),
                            CoreText.of("match.fluff.message", c.text(), c.start(), take.id()),
                            CoreText.of("match.fluff.fix"),
                            new Finding.Moment(take.id(), new Span<>(c.start(), c.end()))));
        }
    }

    private void wrongShowings() {
        for (TakeEvidence take : takes) {
            for (NegativeDemonstration w : NegativeDemonstration.in(take)) {
                String at = nearest(take.id(), w.span());
                if (at != null) {
                    found.add(
                            "match.wrong-showing",
                            Severity.NOTE,
                            byId.get(at),
                            CoreText.of(
                                    "match.wrong-showing.message",
                                    w.words(),
                                    w.span().start(),
                                    take.id()),
                            null,
                            new Finding.Moment(take.id(), w.span()));
                }
            }
        }
    }

    private String nearest(String take, Span<Axis.Take> span) {
        String best = null;
        for (Match.Placed p : match.segments()) {
            if (take.equals(p.take()) && !p.start().isAfter(span.start())) {
                best = p.id();
            }
        }
        return best;
    }
}
