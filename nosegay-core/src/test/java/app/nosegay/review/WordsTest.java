package app.nosegay.review;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.calls.CallKind;
import app.nosegay.captions.Caption;
import app.nosegay.captions.CaptionText;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.review.said.ScriptLineMatch;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Calls against the truth, captions to correct, lines said and not said. */
class WordsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: T\ncalls: half, 10, in 3, out 3\ntalk Hi  0:20\ncircuit A  rounds 2  work 0:40  rest 0:20\n  goblet squat\n  push-up\n"
                    + "superset B  sets 2  reps 8  rest 0:30\n  kettlebell deadlift  tempo 2-0-1\ntalk Bye  0:10\n");
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, LIBRARY, SpeechRate.DEFAULT);

    /** A match in which everything is as planned, from take time 0. */
    private static Match asPlanned() {
        List<Match.Placed> placed = new ArrayList<>();
        Map<String, List<Time<Axis.Take>>> reps = new HashMap<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
            Time<Axis.Take> to = Time.ofSeconds(s.end().seconds());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false));
            if (s.reps() != null) {
                List<Time<Axis.Take>> times = new ArrayList<>();
                for (int i = 1; i <= s.reps(); i++) {
                    times.add(from.plus(s.duration().times(i / (double) s.reps())));
                }
                reps.put(s.id(), times);
            }
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of());
        return new Match(List.of(take), placed, List.of(), reps);
    }

    private static TakeEvidence take(Caption... captions) {
        return new TakeEvidence(
                "t", "t.mp4", TIMELINE.total(), List.of(), List.of(), Trace.NONE, Trace.NONE, null, List.of(captions));
    }

    private static Caption at(String segment, double seconds, String text) {
        Time<Axis.Take> start =
                Time.ofSeconds(TIMELINE.segment(segment).orElseThrow().start().seconds() + seconds);
        return new Caption(start, start.plus(Length.ofSeconds(2)), text);
    }

    private static List<Finding> findings(Caption... captions) {
        TakeEvidence take = take(captions);
        Match m = asPlanned();
        List<HeardCall> calls = CallTruth.of(TIMELINE, m, List.of(take), LIBRARY.names());
        return MatchCheck.check(TIMELINE, CUES, m, MatchNotes.NONE, List.of(take), new Spoken(calls, List.of()))
                .findings();
    }

    @ParameterizedTest
    @CsvSource({
        "a/goblet-squat/r1, 30, Ten seconds., ",
        "a/goblet-squat/r1, 26, Ten seconds., match.call-off",
        "a/goblet-squat/r1, 20, Half-way., ",
        "a/goblet-squat/r1, 10, Half-way., match.call-off",
        "a/goblet-squat/r1, 37, 'Three, two, one, rest.', ",
        "a/goblet-squat/r1, 12, And rest., match.call-off",
        "b/kettlebell-deadlift/s1, 18, Last two., ",
        "b/kettlebell-deadlift/s1, 6, Last two., match.call-off",
        "a/push-up/r1/rest, 4, Second round now., ",
        "a/push-up/r1/rest, 4, Onto round three., match.wrong-number",
        "hi, 3, We have three moves today., ",
        "hi, 3, We have seven moves today., match.wrong-number",
        "hi, 6, It is forty seconds of work., ",
        "hi, 6, It is fifty seconds of work., match.wrong-number",
        "a/goblet-squat/r1/rest, 3, Next up the push-up., ",
        "a/goblet-squat/r1/rest, 3, Next up the goblet squat., match.wrong-name",
        "hi, 8, I will call out the halfway mark., match.promise-broken"
    })
    void aCallIsComparedWithWhatIsTrue(String segment, double seconds, String said, String code) {
        List<String> codes = findings(at(segment, seconds, said)).stream()
                .map(Finding::code)
                .filter(c -> c.startsWith("match.call") || c.startsWith("match.wrong") || c.startsWith("match.promise"))
                .toList();
        if (code == null) {
            assertThat(codes).isEmpty();
        } else {
            assertThat(codes).containsExactly(code);
        }
    }

    /** Said with 14 s left, "ten seconds" would have been true four seconds later; half-way ten. */
    @ParameterizedTest
    @CsvSource({"26, Ten seconds., 4", "33, Ten seconds., -3", "10, Half-way., 10"})
    void aWrongCallCarriesItsMomentAndWhenItWouldHaveBeenTrue(double seconds, String said, double later) {
        Caption caption = at("a/goblet-squat/r1", seconds, said);
        Finding.Moment moment = findings(caption).stream()
                .filter(f -> f.code().equals("match.call-off"))
                .findFirst()
                .orElseThrow()
                .moment();
        assertThat(moment.take()).isEqualTo("t");
        assertThat(moment.span().start()).isEqualTo(caption.start());
        assertThat(moment.due().since(moment.span().start()).seconds()).isCloseTo(later, within(0.7));
    }

    /** What is said or done wrong at a moment has that moment; it stands within its recording. */
    @Test
    void everyFindingAboutWordsHasItsMoment() {
        List<Finding> findings = findings(
                at("hi", 3, "We have seven moves today."),
                at("hi", 8, "I will call out the halfway mark."),
                at("a/goblet-squat/r1", 12, "And rest."),
                at("a/goblet-squat/r1/rest", 3, "Next up the goblet squat."),
                at("a/push-up/r1", 20, "Sorry, I lost count, let me start that again."));
        assertThat(findings)
                .filteredOn(f -> f.code().matches("match\\.(call|wrong|promise|fluff).*"))
                .extracting(Finding::code)
                .contains(
                        "match.wrong-number",
                        "match.wrong-name",
                        "match.call-off",
                        "match.promise-broken",
                        "match.fluff");
        assertThat(findings)
                .filteredOn(f -> f.code().matches("match\\.(call|wrong|promise|fluff).*"))
                .allSatisfy(f -> {
                    assertThat(f.moment()).isNotNull();
                    assertThat(f.moment().span().end())
                            .isLessThanOrEqualTo(Time.<Axis.Take>zero().plus(TIMELINE.total()));
                });
    }

    @Test
    void aSlipPutRightAtOnceIsOnlyNoted() {
        List<Finding> findings = findings(
                at("a/goblet-squat/r1", 26, "Ten seconds left."),
                at("a/goblet-squat/r1", 29.5, "No, now ten seconds left."));
        assertThat(findings)
                .extracting(Finding::code)
                .contains("match.call-corrected")
                .doesNotContain("match.call-off");
    }

    @Test
    void lastFiveIsRepsInACountedSetAndSecondsOnTheClock() {
        TakeEvidence take =
                take(at("a/goblet-squat/r1", 35, "Last five."), at("b/kettlebell-deadlift/s1", 9, "Last five."));
        List<HeardCall> calls = CallTruth.of(TIMELINE, asPlanned(), List.of(take), LIBRARY.names());
        assertThat(calls).extracting(c -> c.call().kind()).containsExactly(CallKind.SECONDS_LEFT, CallKind.REPS_LEFT);
        assertThat(calls).allSatisfy(c -> assertThat(Math.abs(c.error())).isLessThan(1.5));
    }

    @Test
    void aPartOfACoachingLineIsNoCall() {
        String sheet = "talk Hi  0:30\ncircuit A  work 0:40  rest 0:20\n  squat\n"
                + "    form: Lower one heel and the other arm.\n    image: Two train tracks, one foot on each.\n";
        Timeline timeline = SampleSheets.timeline(sheet);
        CuePlan cues = CuePlanner.plan(timeline, LIBRARY, SpeechRate.DEFAULT);
        List<Caption> words = cues.lines().stream()
                .filter(l -> l.text().contains("arm") || l.text().contains("tracks"))
                .map(l -> new Caption(
                        Time.ofSeconds(l.start().seconds()),
                        Time.ofSeconds(l.end().seconds()),
                        l.text()))
                .toList();
        assertThat(words).hasSize(2);
        List<Match.Placed> placed = timeline.segments().stream()
                .map(s -> {
                    Time<Axis.Take> from = Time.ofSeconds(s.start().seconds());
                    Time<Axis.Take> to = Time.ofSeconds(s.end().seconds());
                    return new Match.Placed(s.id(), s.duration(), "t", from, to, from, to, 0, 0, false, false);
                })
                .toList();
        Match match = new Match(
                List.of(new Match.Take("t", "t.mp4", timeline.total(), null, 0, List.of())),
                placed,
                List.of(),
                Map.of());
        List<TakeEvidence> takes = List.of(take(words.toArray(Caption[]::new)));
        List<ScriptLineMatch> said = ScriptLineMatch.of(timeline, cues, match, takes);
        assertThat(CallTruth.of(timeline, match, takes, LIBRARY.names())).isNotEmpty();
        assertThat(CallTruth.of(timeline, match, takes, LIBRARY.names(), said)).isEmpty();
    }

    @Test
    void manglesAreOfferedForWhatIsPlannedAtTheMoment() {
        List<CaptionRepair> repairs = CaptionRepair.of(
                TIMELINE,
                asPlanned(),
                List.of(take(
                        at("a/goblet-squat/r1/rest", 2, "next is the bush up everybody"),
                        at("hi", 15, "then a goblin squad"),
                        at("a/goblet-squat/r1", 5, "one two three four five six"),
                        at("a/goblet-squat/r1", 15, "[Music] la la"),
                        at("bye", 1, "see you"))),
                List.of(),
                LIBRARY);
        assertThat(repairs).extracting(CaptionRepair::to).contains("push-up", "goblet squat", "1 2 3 4 5 6", "");
    }

    @Test
    void aLostNegationComesFirst() {
        Segment squat = TIMELINE.segment("a/goblet-squat/r1").orElseThrow();
        var line = new ScriptLine(
                squat.id(), CueKind.AVOID, "Don't let the knees fall in.", squat.start(), Length.ofSeconds(2));
        TakeEvidence take = take(at(squat.id(), 0.5, "let the knees fall in"));
        ScriptLineMatch said =
                new ScriptLineMatch(line, "t", take.words().get(0).start(), 0.9);
        List<CaptionRepair> repairs = CaptionRepair.of(TIMELINE, asPlanned(), List.of(take), List.of(said), LIBRARY);
        assertThat(repairs.get(0).why()).isEqualTo("negation");
        CaptionText.Repair accepted = new CaptionText.Repair(
                "t",
                repairs.get(0).time(),
                repairs.get(0).from(),
                repairs.get(0).to(),
                true);
        assertThat(CaptionText.repaired("t", take.words(), List.of(accepted))
                        .get(0)
                        .text())
                .isEqualTo("Don't let the knees fall in.");
    }

    @Test
    void scriptedLinesAreTiedToWhereTheyWereSaidOrToldMissing() {
        List<Caption> captions = new ArrayList<>();
        List<ScriptLine> lines = CUES.lines().stream().filter(l -> !l.isCall()).toList();
        for (int i = 0; i < lines.size(); i += 2) {
            Time<Axis.Take> start = Time.ofSeconds(lines.get(i).start().seconds() + 1.5);
            captions.add(new Caption(
                    start, start.plus(lines.get(i).spoken()), lines.get(i).text()));
        }
        List<ScriptLineMatch> said =
                ScriptLineMatch.of(TIMELINE, CUES, asPlanned(), List.of(take(captions.toArray(Caption[]::new))));
        long found = said.stream().filter(ScriptLineMatch::isSaid).count();
        assertThat(found).isBetween(captions.size() - 2L, captions.size() + 2L);
        assertThat(said.stream().filter(ScriptLineMatch::isSaid)).allSatisfy(l -> assertThat(
                        l.time().seconds() - l.line().start().seconds())
                .isBetween(-26.0, 26.0));
    }
}
