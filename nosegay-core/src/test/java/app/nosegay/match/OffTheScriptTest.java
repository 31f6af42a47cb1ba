package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.publish.Captions;
import app.nosegay.review.AdLib;
import app.nosegay.review.MatchCheck;
import app.nosegay.review.Misstatement;
import app.nosegay.review.ReviewResult;
import app.nosegay.review.VoiceOver;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is done and said otherwise than planned: lines lost in a cut, rounds out of order, mistakes shown on purpose, ad-libs. */
class OffTheScriptTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ncalls: 10\ntalk Hi  0:20\ncircuit A  rounds 2  work 0:30  rest 0:20\n  goblet squat\n"
                    + "    easier: Sit down to a bench and stand again.\n  push-up\n  kettlebell deadlift\ntalk Bye  0:10\n");

    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, LIBRARY, SpeechRate.DEFAULT);

    /** As planned, with the segments of round two in the order given by moves. */
    private static Match match(List<Segment> order) {
        Map<String, Match.Placed> placed = new HashMap<>();
        Time<Axis.Take> at = Time.zero();
        for (Segment s : order) {
            Time<Axis.Take> end = at.plus(s.duration());
            placed.put(s.id(), new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
            at = end;
        }
        List<Match.Placed> inPlan =
                TIMELINE.segments().stream().map(s -> placed.get(s.id())).toList();
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of());
        return new Match(List.of(take), inPlan, List.of(), Map.of());
    }

    private static Match asPlanned() {
        return match(TIMELINE.segments());
    }

    private static TakeEvidence take(Caption... captions) {
        return take("t", captions);
    }

    private static TakeEvidence take(String id, Caption... captions) {
        return new TakeEvidence(
                id,
                id + ".mp4",
                TIMELINE.total(),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                List.of(captions));
    }

    private static Caption at(String segment, double seconds, String text) {
        Time<Axis.Take> start =
                Time.ofSeconds(TIMELINE.segment(segment).orElseThrow().start().seconds() + seconds);
        return new Caption(start, start.plus(Length.ofSeconds(2)), text);
    }

    private static List<Finding> findings(Match match, MatchNotes notes, Caption... captions) {
        List<TakeEvidence> takes = List.of(take(captions), take("u"));
        List<ScriptLineMatch> said = ScriptLineMatch.of(TIMELINE, CUES, match, takes);
        return MatchCheck.check(TIMELINE, CUES, match, notes, takes, new Spoken(List.of(), said))
                .findings();
    }

    private static List<String> codes(List<Finding> findings) {
        return findings.stream().map(Finding::code).toList();
    }

    @Test
    void anOptionSaidOnlyInWhatIsCutIsLost() {
        Caption option = at("a/goblet-squat/r1", 5, "Sit down to a bench and stand again.");
        Span<Axis.Take> out = new Span<>(
                option.start().minus(Length.ofSeconds(1)), option.end().plus(Length.ofSeconds(1)));
        Match fluffed = withFluff(asPlanned(), out);
        assertThat(codes(findings(asPlanned(), MatchNotes.NONE, option))).doesNotContain("match.announcement-lost");
        assertThat(codes(findings(fluffed, MatchNotes.NONE, option))).contains("match.announcement-lost");
        Caption again = at("a/goblet-squat/r1", 20, "Sit down to a bench, and stand again!");
        assertThat(codes(findings(fluffed, MatchNotes.NONE, option, again)))
                .as("said again where it is kept")
                .doesNotContain("match.announcement-lost");
        MatchNotes kept = MatchNotes.NONE.withCut(new MatchNotes.CutDecision("t", out, false));
        assertThat(codes(findings(fluffed, kept, option)))
                .as("the stretch is kept")
                .doesNotContain("match.announcement-lost");
    }

    private static Match withFluff(Match m, Span<Axis.Take> span) {
        return new Match(m.takes(), m.segments(), List.of(new Match.Unplanned("t", span, "fluff")), m.reps());
    }

    @Test
    void aSecondRoundInAnotherOrderIsASequenceForgotten() {
        List<Segment> order = new ArrayList<>(TIMELINE.segments());
        int push = index(order, "a/push-up/r2");
        int lift = index(order, "a/kettlebell-deadlift/r2");
        Collections.swap(order, push, lift);
        assertThat(findings(match(order), MatchNotes.NONE)).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo("match.sequence-forgotten");
            assertThat(f.message()).contains("goblet squat, kettlebell deadlift, push-up");
        });
        assertThat(codes(findings(asPlanned(), MatchNotes.NONE))).doesNotContain("match.sequence-forgotten");
    }

    @Test
    void aFirstRoundInAnotherOrderIsASwapNotASequenceForgotten() {
        List<Segment> order = new ArrayList<>(TIMELINE.segments());
        Collections.swap(order, index(order, "a/push-up/r1"), index(order, "a/kettlebell-deadlift/r1"));
        assertThat(codes(findings(match(order), MatchNotes.NONE)))
                .contains("match.swapped")
                .doesNotContain("match.sequence-forgotten");
    }

    private static int index(List<Segment> segments, String id) {
        return segments.indexOf(TIMELINE.segment(id).orElseThrow());
    }

    @Test
    void aMistakeShownOnPurposeIsNotedAndNoRep() {
        Caption wrong = at("a/goblet-squat/r1", 10, "Not like this, with the knees falling in.");
        List<Time<Axis.Take>> moments =
                List.of(wrong.start().minus(Length.ofSeconds(3)), wrong.start().plus(Length.ofSeconds(1)));
        assertThat(NegativeDemonstration.without(moments, take(wrong))).containsExactly(moments.get(0));
        assertThat(NegativeDemonstration.without(moments, take())).isEqualTo(moments);
        assertThat(codes(findings(asPlanned(), MatchNotes.NONE, wrong))).contains("match.wrong-showing");
    }

    @Test
    void aSetCutInTwoByTheEndOfARecordingIsSaidToBe() {
        Match whole = asPlanned();
        String id = "a/push-up/r1";
        Match.Placed p = whole.segment(id).orElseThrow();
        Time<Axis.Take> broken = p.start().plus(Length.ofSeconds(18));
        Match.Other rest = new Match.Other("u", Time.zero(), Time.ofSeconds(12), "retake");
        List<Match.Placed> placed = new ArrayList<>(whole.segments());
        int behind = placed.indexOf(p) + 1;
        Match.Placed next = placed.get(behind);
        placed.set(
                behind,
                new Match.Placed(
                        next.id(),
                        next.planned(),
                        "u",
                        Time.ofSeconds(12),
                        Time.ofSeconds(32),
                        Time.ofSeconds(12),
                        Time.ofSeconds(32),
                        0,
                        0,
                        false,
                        false,
                        List.of(),
                        null));
        placed.set(
                placed.indexOf(p),
                new Match.Placed(
                        id,
                        p.planned(),
                        "t",
                        p.start(),
                        broken,
                        p.start(),
                        broken,
                        0,
                        0,
                        false,
                        false,
                        List.of(rest),
                        "longer"));
        Match.Take first =
                new Match.Take("t", "t.mp4", broken.since(Time.zero()).plus(Length.ofSeconds(0.5)), null, 0, List.of());
        Match.Take second = new Match.Take("u", "u.mp4", Length.ofSeconds(200), null, 0, List.of());
        Match split = new Match(List.of(first, second), placed, List.of(), Map.of());
        assertThat(findings(split, MatchNotes.NONE)).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo("match.short");
            assertThat(f.fix()).contains("join t and u");
        });
    }

    /** "Ten seconds" at sixteen, and a take in which only lines are said. */
    private static ReviewResult withLines(String... lines) {
        Match whole = asPlanned();
        Match.Take other = new Match.Take("p", "p.wav", Length.ofSeconds(30), null, 0, List.of(), true);
        Match match = new Match(List.of(whole.takes().get(0), other), whole.segments(), List.of(), Map.of());
        List<Caption> said = new ArrayList<>();
        for (String line : lines) {
            Time<Axis.Take> at = Time.ofSeconds(3 + 5 * said.size());
            said.add(new Caption(at, at.plus(Length.ofSeconds(1.4)), line));
        }
        TakeEvidence pick = new TakeEvidence(
                "p", "p.wav", Length.ofSeconds(30), List.of(), List.of(), Trace.NONE, Trace.NONE, null, said);
        List<TakeEvidence> takes = List.of(take(at("a/push-up/r1", 14, "Ten seconds.")), pick);
        List<HeardCall> calls = CallTruth.of(TIMELINE, match, takes, LIBRARY.names());
        return MatchCheck.check(TIMELINE, CUES, match, MatchNotes.NONE, takes, new Spoken(calls, List.of()));
    }

    @Test
    void aLineSaidAgainInATakeOfItsOwnIsLaidOverTheWrongOne() {
        ReviewResult wrong = withLines("Ten seconds left.", "Nice and slow.");
        assertThat(codes(wrong.findings())).contains("match.call-off", "match.foreign");
        assertThat(wrong.misstatements()).extracting(Misstatement::say).contains("16 seconds left.");
        assertThat(wrong.overs()).as("ten is not sixteen").isEmpty();

        ReviewResult mended = withLines("Again.", "Sixteen seconds left.", "Sixteen seconds left.");
        assertThat(codes(mended.findings()))
                .contains("match.pick-up-lines")
                .doesNotContain("match.call-off", "match.foreign");
        assertThat(mended.misstatements()).extracting(Misstatement::say).doesNotContain("16 seconds left.");
        VoiceOver over = mended.overs().get(0);
        assertThat(mended.overs()).hasSize(1);
        assertThat(over.source().start().seconds()).isBetween(7.8, 8.0);
        Cut cut = Cut.of(asPlanned());
        Span<Axis.Cut> in = over.in(cut).orElseThrow();
        Time<Axis.Cut> said = cut.toCut("t", at("a/push-up/r1", 14, "").start()).orElseThrow();
        assertThat(in.contains(said)).isTrue();
        assertThat(in.length().seconds()).isGreaterThanOrEqualTo(1.5);
        assertThat(Captions.of(Map.of("t", List.of(at("a/push-up/r1", 14, "Ten seconds."))), cut, mended.overs()))
                .extracting(TimedText.Cue::text)
                .containsExactly("Sixteen seconds left.");
    }

    /** An option nobody said is said later on its own: it lies where it was due, and the take is no stranger. */
    @Test
    void anOptionThatWasForgottenIsLaidInWhenItIsSaidLater() {
        Match whole = asPlanned();
        Match.Take other = new Match.Take("p", "p.wav", Length.ofSeconds(30), null, 0, List.of(), true);
        Match match = new Match(List.of(whole.takes().get(0), other), whole.segments(), List.of(), Map.of());
        String option = "Easier: put your knees down.";
        Caption later = new Caption(Time.ofSeconds(4), Time.ofSeconds(6), option);
        TakeEvidence pick = new TakeEvidence(
                "p", "p.wav", Length.ofSeconds(30), List.of(), List.of(), Trace.NONE, Trace.NONE, null, List.of(later));
        Segment pushUp = TIMELINE.segment("a/push-up/r1").orElseThrow();
        Time<Axis.Plan> planned = pushUp.start().plus(Length.ofSeconds(3));
        ScriptLine line = new ScriptLine(pushUp.id(), CueKind.EASIER, option, planned, Length.ofSeconds(2));
        ScriptLine cheer = new ScriptLine(pushUp.id(), CueKind.CHEER, "Good.", planned, Length.ofSeconds(1));
        Time<Axis.Take> due = match.segment(pushUp.id()).orElseThrow().start().plus(Length.ofSeconds(3));
        List<ScriptLineMatch> said =
                List.of(new ScriptLineMatch(line, "t", null, 0), new ScriptLineMatch(cheer, "t", due, 1));

        ReviewResult result = MatchCheck.check(
                TIMELINE, CUES, match, MatchNotes.NONE, List.of(take(), pick), new Spoken(List.of(), said));

        assertThat(codes(result.findings())).contains("match.pick-up-lines").doesNotContain("match.foreign");
        Cut cut = Cut.of(whole);
        assertThat(result.overs()).singleElement().satisfies(o -> {
            assertThat(o.words()).isEqualTo(option);
            assertThat(o.in(cut).orElseThrow().contains(cut.toCut("t", due).orElseThrow()))
                    .isTrue();
        });
        // Who says little of the script speaks freely: the line is not taken for one that is missing.
        ReviewResult freely = MatchCheck.check(
                TIMELINE,
                CUES,
                match,
                MatchNotes.NONE,
                List.of(take(), pick),
                new Spoken(List.of(), said.subList(0, 1)));
        assertThat(freely.overs()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "Spread the mat apart with both feet.|FORM",
                "Don't let the knees fall in.|AVOID",
                "As if you were sitting on a tree stump.|IMAGE",
                "You should feel it in your glutes.|FEEL",
                "Keep breathing through the hard part.|BREATH",
                "If this is too much, hold on to the shelf.|EASIER",
                "Want more? Take the heavier one.|HARDER",
                "Well done everybody, super.|",
                "Come on!|",
                "My neighbour has a dog like a small bear and I once met it in the wood by night.|",
                "Sit down to a bench and stand again.|"
            })
    void whatIsUsefulOffTheScriptIsOfferedAsACue(String text, CueKind kind) {
        Match match = asPlanned();
        List<TakeEvidence> takes = List.of(take(at("a/goblet-squat/r1", 12, text)));
        List<ScriptLineMatch> said = ScriptLineMatch.of(TIMELINE, CUES, match, takes);
        List<AdLib> found = AdLib.of(TIMELINE, match, takes, said, List.of());
        if (kind == null) {
            assertThat(found).isEmpty();
        } else {
            assertThat(found).singleElement().satisfies(a -> {
                assertThat(a.kind()).isEqualTo(kind);
                assertThat(a.move()).isEqualTo("goblet squat");
                assertThat(LIBRARY.find(a.move())
                                .orElseThrow()
                                .withCue(a.kind(), a.text())
                                .cues(kind))
                        .endsWith(text);
            });
        }
    }
}
