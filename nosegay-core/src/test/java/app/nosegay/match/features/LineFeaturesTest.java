package app.nosegay.match.features;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.CueKind;
import app.nosegay.match.Match;
import app.nosegay.match.Matcher;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.script.ScriptLine;
import app.nosegay.time.Axis;
import app.nosegay.time.Length;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** In which segment a line of the script was said, word for word. */
class LineFeaturesTest {
    private static final Timeline TIMELINE =
            SampleSheets.timeline("title: T\ntalk Hi  0:20\ncircuit A  rounds 5  work 0:30"
                    + "  rest 0:20\n  goblet squat\n  push-up\n  kettlebell deadlift\ntalk Bye  0:10\n");

    private static ScriptLine line(String segment, CueKind kind, String text) {
        return new ScriptLine(
                segment,
                kind,
                text,
                TIMELINE.segment(segment).orElseThrow().start().plus(Length.ofSeconds(5)),
                Length.ofSeconds(2));
    }

    private static Caption said(double seconds, String text) {
        Time<Axis.Take> start = Time.ofSeconds(seconds);
        return new Caption(start, start.plus(Length.ofSeconds(2)), text);
    }

    private static LineFeatures features(List<ScriptLine> lines, Caption... words) {
        return new LineFeatures(TIMELINE, lines, List.of(words));
    }

    @Test
    void aLineTellsItsSegmentFromTheMomentItIsSaid() {
        List<ScriptLine> lines = List.of(
                line("a/goblet-squat/r1", CueKind.FORM, "Chest tall, weight through the whole foot."),
                line("a/push-up/r1", CueKind.FORM, "Brace. Lower the ribs and hips together."));
        LineFeatures features = features(
                lines,
                said(30, "chest tall weight through the whole foot"),
                said(80, "And lower the ribs, slowly."),
                said(85, "Okay. Lower the ribs and hips together! Good."));
        LineFeatures.Steps squat = features.in("a/goblet-squat/r1");
        assertThat(squat.at(Grid.bin(29.9))).isZero();
        assertThat(squat.at(Grid.bin(30.1))).isEqualTo(MatchWeights.LINE_SAID);
        LineFeatures.Steps push = features.in("a/push-up/r1");
        assertThat(push.at(Grid.bin(84))).as("only half of it was said").isZero();
        assertThat(push.at(Grid.bin(200))).isEqualTo(MatchWeights.LINE_SAID);
        assertThat(features.in("a/kettlebell-deadlift/r1")).isNull();
    }

    @Test
    void callsShortWordsAndWhatIsSaidInEveryRoundTellNothing() {
        List<ScriptLine> lines = new ArrayList<>(List.of(
                line("a/goblet-squat/r1", CueKind.TIME, "Ten more slow seconds here."),
                line("a/goblet-squat/r1", CueKind.FORM, "Breathe out.")));
        for (int round = 1; round <= 5; round++) {
            lines.add(line("a/push-up/r" + round, CueKind.FORM, "Keep a straight line from head to heel."));
        }
        LineFeatures features = features(
                lines,
                said(30, "Ten more slow seconds here."),
                said(33, "Breathe out."),
                said(80, "Keep a straight line from head to heel."));
        for (Segment s : TIMELINE.segments()) {
            assertThat(features.in(s.id())).as(s.id()).isNull();
        }
    }

    @Test
    void setsThatTookLongerAreToldByTheirLinesAlone() {
        Timeline once = SampleSheets.timeline("title: T\ntalk Hi  0:20\ncircuit A  work 0:30  rest 0:20\n"
                + "  goblet squat\n  push-up\n  kettlebell deadlift\ntalk Bye  0:10\n");
        List<ScriptLine> lines = new ArrayList<>();
        List<Caption> words = new ArrayList<>();
        Map<String, String> own = Map.of(
                "a/goblet-squat", "Elbows inside the knees at the bottom. Push the floor away with both heels.",
                "a/push-up",
                        "Hands under the shoulders, fingers spread wide. Squeeze the shoulder blades and the seat.");
        words.add(said(0.5, "Hello and welcome."));
        double late = 0;
        for (Segment s : once.segments()) {
            String text = own.get(s.id());
            if (text != null) {
                lines.add(new ScriptLine(s.id(), CueKind.FORM, text, s.start(), Length.ofSeconds(2)));
                double start = s.start().seconds() + late;
                for (double at : new double[] {2, 31, 31.5, 32, 32.5, 33}) {
                    words.add(said(start + at, text));
                }
                late += 4;
            }
        }
        TakeEvidence take = new TakeEvidence(
                "t",
                "t.mp4",
                once.total().plus(Length.ofSeconds(late)),
                List.of(),
                List.of(),
                Trace.NONE,
                Trace.NONE,
                null,
                words);
        for (String id : own.keySet()) {
            assertThat(placed(once, List.of(), take, id).matched())
                    .as("nothing is known without the script")
                    .isFalse();
            Match.Placed p = placed(once, lines, take, id);
            assertThat(words)
                    .filteredOn(w -> w.text().equals(own.get(id)))
                    .last()
                    .satisfies(w -> assertThat(p.span().orElseThrow().contains(w.start()))
                            .as("%s lasts %s", id, p.span())
                            .isTrue());
        }
    }

    private static Match.Placed placed(Timeline timeline, List<ScriptLine> lines, TakeEvidence take, String id) {
        return Matcher.match(timeline, lines, List.of(take), Collections.singletonList(null), List.of(), Map.of())
                .segment(id)
                .orElseThrow();
    }
}
