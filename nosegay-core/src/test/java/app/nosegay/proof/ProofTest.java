package app.nosegay.proof;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.cut.Cut;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.Finding.Severity;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.Misstatement;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.junit.jupiter.api.Test;

class ProofTest {
    private static final String SQUAT = "ground/goblet-squat";
    private static final String ROW = "ground/single-arm-row";
    private final Timeline timeline = SampleSheets.timeline(
            "title: T\ntalk Hi  0:10\ncircuit Ground  work 0:40  rest 0:20\n  goblet squat\n  single-arm row  sides halves\n"
                    + "  push-up\ntalk Bye  0:10\n");

    /** Every segment as planned, from second 5 of one take; some are missing, some longer, one begins late. */
    private Match match(Set<String> missing, Map<String, Double> longer, Map<String, Double> late) {
        List<Match.Placed> placed = new ArrayList<>();
        Time<Axis.Take> at = Time.ofSeconds(5);
        for (Segment s : timeline.segments()) {
            boolean gone = missing.contains(s.id());
            Time<Axis.Take> end =
                    gone ? at : at.plus(s.duration()).plus(Length.ofSeconds(longer.getOrDefault(s.id(), 0.0)));
            Time<Axis.Take> moves = at.plus(Length.ofSeconds(late.getOrDefault(s.id(), 0.0)));
            placed.add(new Match.Placed(
                    s.id(),
                    s.duration(),
                    gone ? null : "t",
                    gone ? null : at,
                    gone ? null : end,
                    gone ? null : moves,
                    gone ? null : end,
                    0,
                    0,
                    false,
                    false));
            at = end;
        }
        Match.Take take = new Match.Take("t", "t.mp4", Length.ofSeconds(at.seconds() + 5), null, 0, List.of("beeps"));
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private List<IntervalComparison> comparisons(Match match, List<HeardCall> calls) {
        return IntervalComparison.of(timeline, match, Cut.of(match), calls, List.of());
    }

    private static IntervalComparison of(List<IntervalComparison> comparisons, String start) {
        return comparisons.stream()
                .filter(p -> p.interval().id().startsWith(start)
                        && p.interval().kind().isMoving())
                .findFirst()
                .orElseThrow();
    }

    private static HeardCall call(String segment, String text, Double truth, Double error) {
        Call call = new Call(CallKind.SECONDS_LEFT, 10, null, null, Time.ofSeconds(1), Time.ofSeconds(2), text);
        return new HeardCall("t", call, segment, truth, error);
    }

    private String id(String start) {
        return timeline.segments().stream()
                .filter(s -> s.id().startsWith(start))
                .findFirst()
                .orElseThrow()
                .id();
    }

    @Test
    void aTakeAsPlannedDoesNotPart() {
        List<IntervalComparison> comparisons = comparisons(match(Set.of(), Map.of(), Map.of()), List.of());

        assertThat(comparisons).hasSize(timeline.intervals().size()).allMatch(p -> p.apart() <= 0);
        assertThat(of(comparisons, ROW).planned()).contains("both sides in turn");
        assertThat(of(comparisons, SQUAT).shown()).isEqualTo("0:40");
        assertThat(of(comparisons, SQUAT).saidApart()).isNegative();
    }

    @Test
    void aMissingIntervalPartsFullyAndOnlyThere() {
        List<IntervalComparison> comparisons = comparisons(match(Set.of(id(SQUAT)), Map.of(), Map.of()), List.of());

        assertThat(of(comparisons, SQUAT).shownApart()).isEqualTo(1);
        assertThat(of(comparisons, SQUAT).shown()).isEqualTo("not in the picture");
        assertThat(of(comparisons, SQUAT).at()).isNull();
        assertThat(of(comparisons, ROW).apart()).isLessThanOrEqualTo(0);
    }

    @Test
    void lengthLateStartAndCallsPartByHowFarTheyAreOff() {
        Match match = match(Set.of(), Map.of(id(SQUAT), 6.0), Map.of(id(ROW), 3.0));
        List<IntervalComparison> comparisons = comparisons(
                match,
                List.of(call(id(SQUAT), "ten seconds", 10.0, 0.0), call(id(ROW), "ten seconds left", 14.0, -4.0)));

        assertThat(of(comparisons, SQUAT).shownApart()).isEqualTo(0.5);
        assertThat(of(comparisons, SQUAT).shown()).contains("+6.0 s");
        assertThat(of(comparisons, SQUAT).said()).isEqualTo("1 call, right");
        assertThat(of(comparisons, ROW).shown()).contains("starts 3.0 s late");
        assertThat(of(comparisons, ROW).shownApart()).isEqualTo(0.5);
        assertThat(of(comparisons, ROW).said()).isEqualTo("\"ten seconds left\", off by 4.0");
        assertThat(of(comparisons, ROW).saidApart()).isBetween(0.6, 0.7);
    }

    @Test
    void theGravestFindingComesFirstAndWaivedOnesDoNotCount() {
        Finding note = Finding.of("plan.lengths-differ", Severity.NOTE, "a");
        Finding stop = Finding.of("match.missing", Severity.STOP, "b");
        Finding look = Finding.of("sound.noises", Severity.LOOK, "c");

        Proof proof = Proof.of(List.of(), List.of(note, stop, look), f -> f == look);

        assertThat(proof.open()).containsExactly(stop, note);
        assertThat(proof.waived()).containsExactly(look);
        assertThat(proof.mayPublish()).isFalse();
        assertThat(proof.sentence()).isEqualTo("1 to stop for, 1 noted.");
        assertThat(Proof.stage(look)).isEqualTo("sound");
        Proof mended = Proof.of(List.of(), List.of(note, look), f -> true);
        assertThat(mended.mayPublish()).isTrue();
        assertThat(mended.sentence()).isEqualTo("Nothing open; 2 ignored, with reasons.");
        assertThat(Proof.of(List.of(), List.of(), f -> false).sentence()).isEqualTo("Planned, said and shown agree.");
    }

    /** What is proven is the planned time of the intervals where nothing that matters is open and nothing parts. */
    @Test
    void whatIsProvenIsAShareOfThePlannedTime() {
        List<IntervalComparison> fine = comparisons(match(Set.of(), Map.of(), Map.of()), List.of());
        assertThat(Proof.of(fine, List.of(), f -> false).proven()).isEqualTo(1);
        assertThat(Proof.of(List.of(), List.of(), f -> false).proven()).isZero();
        Match missing = match(Set.of(id(SQUAT)), Map.of(), Map.of());
        double all = timeline.total().seconds();
        assertThat(Proof.of(comparisons(missing, List.of()), List.of(), f -> false)
                        .proven())
                .isCloseTo(1 - 40 / all, within(1e-9));
        Segment push = timeline.segments().stream()
                .filter(s -> s.id().startsWith("ground/push-up"))
                .findFirst()
                .orElseThrow();
        for (Severity severity : Severity.values()) {
            Finding found = Finding.at("match.late-start", severity, push, "late");
            List<IntervalComparison> compared = IntervalComparison.of(
                    timeline,
                    match(Set.of(), Map.of(), Map.of()),
                    Cut.of(match(Set.of(), Map.of(), Map.of())),
                    List.of(),
                    List.of(found));
            double open = Proof.of(compared, List.of(found), f -> false).proven();
            assertThat(open).isCloseTo(severity == Severity.NOTE ? 1 : 1 - 40 / all, within(1e-9));
            assertThat(Proof.of(compared, List.of(found), f -> true).proven()).isEqualTo(1);
        }
    }

    @Test
    void pickUpsAreASheetThatCanBeShot() {
        Match match = match(Set.of(id(SQUAT)), Map.of(), Map.of());
        Segment row = timeline.segments().stream()
                .filter(s -> s.id().equals(id(ROW)))
                .findFirst()
                .orElseThrow();
        Finding wrong = Finding.at("match.call-off", Severity.FIX, row, "\"ten seconds\" at fourteen")
                .withFix("say \"ten\"");

        Span<Axis.Take> at = new Span<>(Time.ofSeconds(3), Time.ofSeconds(4));
        Misstatement misstatement =
                new Misstatement(wrong, "t", at, "Ten seconds.", "14 seconds left.", "14 seconds left");
        Finding left = Finding.at("match.wrong-name", Severity.FIX, row, "another name");
        Misstatement waived = new Misstatement(left, "t", at, "Next, rows.", "Next: x.", "");

        PickUps wanted =
                PickUps.of(timeline, match, Cut.of(match), List.of(misstatement, waived), List.of(), List.of(wrong));

        assertThat(wanted.again()).extracting(i -> i.interval().first().move()).containsExactly("goblet squat");
        assertThat(wanted.lines()).extracting(PickUps.Line::say).containsExactly("14 seconds left.");
        assertThat(wanted.sheet(timeline)).contains("14 seconds left.");
        Timeline small = SampleSheets.timeline(wanted.sheet(timeline));
        assertThat(small.sheet().problems()).isEmpty();
        assertThat(small.workMoves(true)).containsExactly("goblet squat");
        assertThat(PickUps.of(timeline, Match.NOTHING, Cut.of(Match.NOTHING), List.of(), List.of(), List.of())
                        .isEmpty())
                .isTrue();
    }

    /** An option that was not said, one that came too late and one in time; a cheer nobody misses. */
    @Test
    void linesViewersRelyOnAreSaidAgainWhereTheScriptWasFollowed() {
        Match match = match(Set.of(), Map.of(), Map.of());
        List<ScriptLineMatch> said = List.of(
                said(CueKind.EASIER, "Easier: sit to a chair.", 5, null),
                said(CueKind.HARDER, "Harder: hold the bottom.", 6, 30.0),
                said(CueKind.EASIER, "Easier: no weight.", 2, 3.0),
                said(CueKind.BREATH, "Breathe out as you stand.", 20, 28.0),
                said(CueKind.CHEER, "Lovely.", 25, null));

        List<PickUps.Line> lines = pickUps(match, said).lines();

        assertThat(lines)
                .extracting(PickUps.Line::say)
                .containsExactly("Easier: sit to a chair.", "Harder: hold the bottom.");
        assertThat(lines.get(0).late()).isEqualTo(Length.ZERO);
        // A third of forty seconds is the latest for an option.
        assertThat(lines.get(1).late().seconds()).isCloseTo(30 - 40 / 3.0, within(0.001));
        // Whoever says little of the script speaks freely: single lines are not held against anyone.
        assertThat(pickUps(match, List.of(said.get(0), said.get(4), said.get(2)))
                        .lines())
                .isEmpty();
    }

    private PickUps pickUps(Match match, List<ScriptLineMatch> said) {
        return PickUps.of(timeline, match, Cut.of(match), List.of(), said, List.of());
    }

    /** A line of the squat: when it is due and when it was said, in seconds of the squat. */
    private ScriptLineMatch said(CueKind kind, String text, double due, Double at) {
        Segment squat = timeline.segment(id(SQUAT)).orElseThrow();
        Time<Axis.Take> start = match(Set.of(), Map.of(), Map.of())
                .segment(squat.id())
                .orElseThrow()
                .start();
        ScriptLine line =
                new ScriptLine(squat.id(), kind, text, squat.start().plus(Length.ofSeconds(due)), Length.ofSeconds(2));
        return new ScriptLineMatch(line, "t", at == null ? null : start.plus(Length.ofSeconds(at)), at == null ? 0 : 1);
    }
}
