package app.nosegay.dress;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.TimedText;
import app.nosegay.cut.Cut;
import app.nosegay.cut.Edit;
import app.nosegay.evidence.sight.Frame;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.publish.Chapters;
import app.nosegay.review.Misstatement;
import app.nosegay.script.CuePlanner;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class DresserTest {
    private static final String SHEET =
            "title: T\nsides-spoken: mirrored\ntalk Hi  0:20\ncircuit Ground  rounds 2  work 0:40  rest 0:20\n  goblet squat\n"
                    + "  single-arm row  sides halves\nsuperset Pair  sets 2  reps 6  rest 0:30\n  push-up\ntalk Bye  0:05\n";
    private final Timeline timeline = SampleSheets.timeline(SHEET);

    /** A match in which every segment lasts {@code stretch} times its plan, starting three seconds into the take. */
    private Match match(double stretch, String missing) {
        List<Match.Placed> placed = new ArrayList<>();
        Time<Axis.Take> at = Time.ofSeconds(3);
        for (Segment s : timeline.segments()) {
            boolean gone = s.id().equals(missing);
            Time<Axis.Take> end = gone ? at : at.plus(s.duration().times(stretch));
            placed.add(new Match.Placed(
                    s.id(),
                    s.duration(),
                    gone ? null : "t",
                    gone ? null : at,
                    gone ? null : end,
                    gone ? null : at,
                    gone ? null : end,
                    0,
                    0,
                    false,
                    false));
            at = end;
        }
        Match.Take take = new Match.Take("t", "t.mp4", Length.ofSeconds(at.seconds() + 5), null, 0, List.of());
        return new Match(
                List.of(take), placed, List.of(), Map.of("pair/push-up/s1", List.of(Time.<Axis.Take>ofSeconds(300))));
    }

    private Dressing dressing(Match match) {
        var cues = CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT);
        return Dresser.dress(
                new Edit(timeline, match, Cut.of(match)),
                cues,
                Dresser.RecordedEvidence.NOTHING,
                MoveLibrary.shipped(),
                DressNotes.NONE,
                Frame.LANDSCAPE);
    }

    private List<Face> at(Match match, String segment, double secondsIn) {
        Time<Axis.Take> start = match.segment(segment).orElseThrow().start();
        Time<Axis.Cut> time = Cut.of(match).toCut("t", start).orElseThrow().plus(Length.ofSeconds(secondsIn));
        return dressing(match).at(time);
    }

    @Test
    void timersCountTheRecordedLengthNotThePlan() {
        Match longer = match(1.1, null);
        assertThat(at(longer, "ground/goblet-squat/r1", 0.01)).contains(new Face.Timer(Face.Phase.WORK, 44, 44, false));
        assertThat(at(longer, "ground/goblet-squat/r1", 43.5)).contains(new Face.Timer(Face.Phase.WORK, 1, 44, false));
        assertThat(at(longer, "ground/goblet-squat/r1/rest", 0.1))
                .contains(new Face.Timer(Face.Phase.REST, 22, 22, false))
                .contains(new Face.Timer(Face.Phase.WORK, 0, 44, false));
    }

    @Test
    void halvesShareOneTimerAndNameTheSideAsSpoken() {
        Match m = match(1, null);
        List<Face> right = at(m, "ground/single-arm-row/r1/right", 1);
        assertThat(right).contains(new Face.SideBadge("Left", true), new Face.Timer(Face.Phase.WORK, 39, 40, false));
        List<Face> change = at(m, "ground/single-arm-row/r1/switch", 1);
        assertThat(change)
                .contains(
                        new Face.Card(Face.CardKind.SWITCH, "Switch", "Right side"),
                        new Face.Timer(Face.Phase.WORK, 22, 40, false));
        assertThat(at(m, "ground/single-arm-row/r1/left", 1)).contains(new Face.SideBadge("Right", false));
    }

    @Test
    void restsSayWhatComesNextAndCountIn() {
        Match m = match(1, null);
        assertThat(at(m, "ground/goblet-squat/r1/rest", 2))
                .contains(new Face.Card(
                        Face.CardKind.NEXT, "Next: single-arm row", "Left side first · With dumbbell", "row"));
        assertThat(at(m, "ground/goblet-squat/r1/rest", 18.5)).contains(new Face.GetReady(2));
        assertThat(at(m, "ground/goblet-squat/r1/rest", 10)).noneMatch(Face.GetReady.class::isInstance);
    }

    @Test
    void countersKnowMoveRoundSetAndReps() {
        Match m = match(1, null);
        assertThat(at(m, "ground/goblet-squat/r2", 1))
                .contains(new Face.NamePlate("Goblet squat", 1, 3, "Round", 2, 2));
        assertThat(at(m, "pair/push-up/s1", 1))
                .contains(new Face.NamePlate("Push-up", 3, 3, "Set", 1, 2), new Face.RepCounter(0, 6));
    }

    @Test
    void theFirstOptionAndOneFormCueAreShownOneAfterTheOther() {
        List<Piece> cards = dressing(match(1, null)).pieces().stream()
                .filter(p -> p instanceof Piece.Still still
                        && still.face() instanceof Face.Card c
                        && (c.kind() == Face.CardKind.FORM || c.kind() == Face.CardKind.OPTION))
                .toList();
        assertThat(cards).hasSizeGreaterThanOrEqualTo(4);
        for (int i = 1; i < cards.size(); i++) {
            assertThat(cards.get(i).span().start())
                    .isGreaterThanOrEqualTo(cards.get(i - 1).span().end());
            assertThat(cards.get(i).span().length().seconds()).isGreaterThan(2);
        }
    }

    @Test
    void aMissingSegmentGetsNoPieces() {
        Match m = match(1, "ground/goblet-squat/r1");
        assertThat(dressing(m).pieces().stream()
                        .filter(p -> p instanceof Piece.Timer t && t.phase() == Face.Phase.WORK))
                .hasSize(5);
    }

    @Test
    void chaptersStartAtZeroInOrderAndNoneIsTooShort() {
        Match m = match(1, null);
        List<TimedText.Cue> chapters = Chapters.of(timeline, m, Cut.of(m));
        assertThat(chapters).extracting(TimedText.Cue::text).containsExactly("Hi", "Ground", "Pair");
        assertThat(chapters.get(0).span().start()).isEqualTo(Time.zero());
        for (int i = 0; i < chapters.size(); i++) {
            assertThat(chapters.get(i).span().length()).isGreaterThanOrEqualTo(Chapters.SHORTEST);
            if (i > 0) {
                assertThat(chapters.get(i).span().start())
                        .isEqualTo(chapters.get(i - 1).span().end());
            }
        }
        assertThat(chapters.get(2).span().end().micros())
                .isEqualTo(Cut.of(m).total().micros());
    }

    @Test
    void whatWasSaidWrongIsCorrectedOnScreenWhereItWasSaid() {
        Match m = match(1, null);
        Time<Axis.Take> at =
                m.segment("ground/goblet-squat/r1").orElseThrow().start().plus(Length.ofSeconds(20));
        Finding f = Finding.of("match.call-off", Finding.Severity.FIX, "wrong");
        Span<Axis.Take> first = new Span<>(at, at.plus(Length.ofSeconds(1)));
        Span<Axis.Take> later = new Span<>(at.plus(Length.ofSeconds(8)), at.plus(Length.ofSeconds(9)));
        List<Misstatement> misstatements = List.of(
                new Misstatement(f, "t", first, "Ten seconds.", "20 seconds left.", "20 seconds left"),
                new Misstatement(f, "t", first, "", "Half-way.", ""),
                new Misstatement(f, "t", later, "Left leg.", "Right leg.", "right side"));
        Dressing dressing = Dresser.dress(
                new Edit(timeline, m, Cut.of(m)),
                CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT),
                new Dresser.RecordedEvidence(List.of(), misstatements, List.of()),
                MoveLibrary.shipped(),
                DressNotes.NONE,
                Frame.LANDSCAPE);
        Time<Axis.Cut> shown = Cut.of(m).toCut("t", at).orElseThrow();
        Face seconds = new Face.Card(Face.CardKind.CORRECTION, "Correction", "20 seconds left");
        assertThat(dressing.at(shown.plus(Length.ofSeconds(0.5)))).contains(seconds);
        assertThat(dressing.at(shown.minus(Length.ofSeconds(0.5)))).doesNotContain(seconds);
        assertThat(dressing.at(shown.plus(Length.ofSeconds(8.5))))
                .contains(new Face.Card(Face.CardKind.CORRECTION, "Correction", "Right side"));
    }

    @Test
    void whereViewersChooseTheirSideNoneIsNamed() {
        Timeline free = SampleSheets.timeline(
                "title: T\nstart: free\ntalk Hi  0:20\ncircuit A  work 0:40  rest 0:20\n  squat\n  single-arm row  sides halves\n");
        Match m = asPlanned(free, Map.of());
        Dressing dressing = dressed(free, m);
        List<Face> all =
                dressing.pieces().stream().map(p -> p.at(p.span().start())).toList();
        assertThat(all).noneMatch(Face.SideBadge.class::isInstance);
        assertThat(all).contains(new Face.Card(Face.CardKind.SWITCH, "Switch", "Other side"));
        assertThat(all)
                .filteredOn(Face.Card.class::isInstance)
                .extracting(f -> ((Face.Card) f).text())
                .noneMatch(t -> t.toLowerCase().matches(".*\\b(left|right)\\b.*"));
    }

    /** Every segment as planned, but for those of {@code elsewhere}, which start at that second. */
    private static Match asPlanned(Timeline plan, Map<String, Integer> elsewhere) {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : plan.segments()) {
            Integer at = elsewhere.get(s.id());
            Time<Axis.Take> from = Time.ofSeconds(at == null ? s.start().seconds() : at);
            Time<Axis.Take> to = from.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
        }
        Length length = Length.ofSeconds(plan.total().seconds() + 5);
        Match.Take take = new Match.Take("t", "t.mp4", length, null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private static Dressing dressed(Timeline plan, Match m) {
        return Dresser.dress(
                new Edit(plan, m, Cut.of(m)),
                CuePlanner.plan(plan, MoveLibrary.shipped(), SpeechRate.DEFAULT),
                Dresser.RecordedEvidence.NOTHING,
                MoveLibrary.shipped(),
                DressNotes.NONE,
                Frame.LANDSCAPE);
    }

    /** Squat, plank, push-up were done where squat, push-up, plank is the plan; rests stayed where they were. */
    @Test
    void afterMovesDoneInEachOthersPlaceTheCardsNameWhatReallyComesNext() {
        Timeline plan =
                SampleSheets.timeline("title: T\ntalk Hi  0:20\ncircuit A  work 0:40  rest 0:20\n  squat\n  push-up\n"
                        + "  plank\ntalk Bye  0:10\n");
        Match m = asPlanned(plan, Map.of("a/push-up", 140, "a/plank", 80));
        Cut cut = Cut.of(m);
        Dressing dressing = dressed(plan, m);
        assertThat(nextAt(dressing, cut, 65)).containsExactly("Next: plank");
        assertThat(nextAt(dressing, cut, 125)).containsExactly("Next: push-up");
        assertThat(dressing.layout().areas())
                .extracting(a -> a.stretch().span().start())
                .isSorted();
        assertThat(dressing.layout().at(cut.toCut("t", Time.ofSeconds(90)).orElseThrow()))
                .hasValueSatisfying(a -> assertThat(a.stretch().interval()).isEqualTo("a/plank"));
    }

    private static List<String> nextAt(Dressing dressing, Cut cut, double takeSeconds) {
        return dressing.at(cut.toCut("t", Time.ofSeconds(takeSeconds)).orElseThrow()).stream()
                .filter(f -> f instanceof Face.Card c && c.kind() == Face.CardKind.NEXT)
                .map(f -> ((Face.Card) f).heading())
                .toList();
    }
}
