package app.nosegay.review;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.cut.Cut;
import app.nosegay.cut.MatchNotes;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.review.said.Spoken;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class RecordedVoiceTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline(
            "title: Mornings\nvoice: afterwards\ntalk Hi  0:40\n"
                    + "circuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  push-up\n  reverse lunge  sides halves\ntalk Bye  0:30\n");
    private static final CuePlan CUES = CuePlanner.plan(TIMELINE, LIBRARY, ScriptNotes.NONE);

    /** The take starts its workout five seconds in and goes as planned. */
    private static final Length INTO = Length.ofSeconds(5);

    private static Match asPlanned() {
        List<Match.Placed> placed = new ArrayList<>();
        for (Segment s : TIMELINE.segments()) {
            Time<Axis.Take> at = inTake(s.start());
            Time<Axis.Take> end = at.plus(s.duration());
            placed.add(new Match.Placed(s.id(), s.duration(), "t", at, end, at, end, 0, 0, false, false));
        }
        Match.Take take = new Match.Take("t", "t.mp4", TIMELINE.total().plus(INTO), INTO, 0, List.of());
        return new Match(List.of(take), placed, List.of(), Map.of());
    }

    private static Time<Axis.Take> inTake(Time<Axis.Plan> at) {
        return Time.<Axis.Take>zero().plus(INTO).plus(at.since(Time.zero()));
    }

    private static TakeEvidence take(String id, Trace motion, List<Caption> words) {
        return new TakeEvidence(
                id, id + ".wav", Length.ofSeconds(900), List.of(), List.of(), Trace.NONE, motion, null, words);
    }

    private static ReviewResult laidOver(List<Caption> words) {
        Trace moving = new Trace(10, new float[9000]);
        List<TakeEvidence> takes = List.of(take("t", moving, List.of()), take("v", Trace.NONE, words));
        return MatchCheck.check(TIMELINE, CUES, asPlanned(), MatchNotes.NONE, takes, new Spoken(List.of(), List.of()));
    }

    /** The script read out line by line with two seconds between the lines, at the pace it is planned with. */
    private static List<Caption> readOut(List<String> lines) {
        List<Caption> captions = new ArrayList<>();
        Time<Axis.Take> at = Time.ofSeconds(3);
        for (int i = 0; i < lines.size(); i++) {
            Time<Axis.Take> end = at.plus(
                    CUES.lines().get(Math.min(i, CUES.lines().size() - 1)).spoken());
            captions.add(new Caption(at, end, lines.get(i)));
            at = end.plus(Length.ofSeconds(2));
        }
        return captions;
    }

    private static List<String> script() {
        return CUES.lines().stream().map(ScriptLine::text).collect(Collectors.toCollection(ArrayList::new));
    }

    private static List<String> codes(ReviewResult result) {
        return result.findings().stream()
                .map(Finding::code)
                .filter(c -> c.startsWith("match.voice"))
                .toList();
    }

    private static void eachLineIsAtItsPlace(ReviewResult result) {
        Cut cut = Cut.of(asPlanned(), MatchNotes.NONE);
        assertThat(result.overs().stream().map(o -> o.misstatement().say()).toList())
                .isEqualTo(CUES.lines().stream().map(ScriptLine::text).toList());
        for (int i = 0; i < result.overs().size(); i++) {
            VoiceOver over = result.overs().get(i);
            ScriptLine line = CUES.lines().get(i);
            double at = cut.toCut("t", inTake(line.start())).orElseThrow().seconds();
            assertThat(over.in(cut).orElseThrow().start().seconds())
                    .as(line.text())
                    .isBetween(at - 0.2, at + 0.01);
        }
    }

    @Test
    void everyLineIsLaidOverItsPlace() {
        ReviewResult result = laidOver(readOut(script()));
        assertThat(codes(result)).isEmpty();
        eachLineIsAtItsPlace(result);
        assertThat(result.findings()).noneMatch(f -> f.code().equals("match.call-missing"));
    }

    @Test
    void marksAndCaptionsThatRunOnMakeNoDifference() {
        List<Caption> lines = readOut(script());
        List<Caption> merged = new ArrayList<>();
        for (int i = 0; i < lines.size(); i += 2) {
            Caption a = lines.get(i);
            Caption b = lines.get(Math.min(i + 1, lines.size() - 1));
            String text = a == b ? a.text() : a.text() + " " + b.text();
            List<Caption.Word> words = new ArrayList<>(a.words());
            words.addAll(a == b ? List.of() : b.words());
            merged.add(new Caption(
                    a.start(),
                    b.end(),
                    text.toLowerCase().replaceAll("[.,:;!?]", ""),
                    words.stream()
                            .map(w -> new Caption.Word(
                                    w.start(), w.end(), w.text().toLowerCase().replaceAll("[.,:;!?]", "")))
                            .toList()));
        }
        eachLineIsAtItsPlace(laidOver(merged));
    }

    @Test
    void aLineSaidAgainIsNotStretchedOverBothTellings() {
        List<String> script = script();
        Random random = new Random(5);
        List<String> said = new ArrayList<>();
        for (String line : script) {
            said.add(line);
            if (random.nextInt(4) == 0) {
                said.add(line);
            }
        }
        ReviewResult result = laidOver(readOut(said));
        assertThat(result.overs()).hasSize(script.size());
        assertThat(result.overs())
                .allSatisfy(o -> assertThat(o.source().length().seconds()).isLessThan(14));
    }

    @Test
    void whatIsMissingOrSaidOtherwiseIsTold() {
        assertThat(codes(laidOver(List.of()))).containsExactly("match.voice-missing");
        List<String> script = script();
        int seconds = script.indexOf("Ten seconds.");
        assertThat(seconds).as("a call of seconds: %s", script).isPositive();
        List<String> without = new ArrayList<>(script);
        without.remove(0);
        assertThat(codes(laidOver(readOut(without)))).contains("match.voice-missing");
        List<String> wrong = new ArrayList<>(script);
        wrong.set(seconds, "Twenty seconds.");
        assertThat(codes(laidOver(readOut(wrong)))).containsAnyOf("match.voice-differs", "match.voice-missing");
    }
}
