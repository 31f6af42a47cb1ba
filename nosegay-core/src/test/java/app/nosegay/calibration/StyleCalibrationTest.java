package app.nosegay.calibration;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.library.MoveLibrary;
import app.nosegay.match.Match;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.review.said.CallTruth;
import app.nosegay.review.said.HeardCall;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptLine;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.SpeechStyle;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

class StyleCalibrationTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final Timeline TIMELINE = SampleSheets.timeline("talk Hi  0:20\n"
            + "circuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  single-arm row  sides halves  switch 0:05\n");

    /** A take in which everything happens as planned, and these are said at each start, end and change of side, and in the work. */
    private static SpeechStyle heard(String start, String rest, String side, List<String> inWork, SpeechStyle before) {
        List<Caption> words = new ArrayList<>();
        List<Match.Placed> placed = new ArrayList<>();
        Segment last = null;
        int works = 0;
        for (Segment s : TIMELINE.segments()) {
            placed.add(new Match.Placed(
                    s.id(),
                    s.duration(),
                    "t",
                    Time.ofSeconds(s.start().seconds()),
                    Time.ofSeconds(s.end().seconds()),
                    null,
                    null,
                    0,
                    0,
                    false,
                    false));
            String said = s.kind() == SegmentKind.SWITCH
                    ? side
                    : s.kind() == SegmentKind.REST ? rest : s.kind() == SegmentKind.WORK && last != null ? start : "";
            say(words, s.start().seconds(), said);
            if (s.kind() == SegmentKind.WORK && !inWork.isEmpty()) {
                say(words, s.start().seconds() + 8, inWork.get(works++ % inWork.size()));
            }
            last = s;
        }
        TakeEvidence take = new TakeEvidence(
                "t", "t.mp4", TIMELINE.total(), List.of(), List.of(), Trace.NONE, Trace.NONE, null, words);
        Match match = new Match(
                List.of(new Match.Take("t", "t.mp4", TIMELINE.total(), null, 0, List.of())),
                placed,
                List.of(),
                Map.of());
        CuePlan cues = CuePlanner.plan(TIMELINE, LIBRARY, ScriptNotes.NONE);
        List<HeardCall> calls = CallTruth.of(TIMELINE, match, List.of(take), LIBRARY.names());
        return StyleCalibration.of(
                TIMELINE, LIBRARY, cues, match, new StyleCalibration.Heard(List.of(take), calls), before);
    }

    private static void say(List<Caption> words, double at, String text) {
        if (!text.isEmpty()) {
            words.add(new Caption(Time.ofSeconds(at), Time.ofSeconds(at + 1.5), text));
        }
    }

    @Test
    void ownWordsForStartRestSideAndCheersAreHeard() {
        SpeechStyle style = heard(
                "Let's go!",
                "And relax.",
                "Other side.",
                List.of("You look amazing.", "Lovely work, everyone.", "Nearly there now."),
                SpeechStyle.DEFAULT);
        assertThat(style.start()).isEqualTo("Let's go!");
        assertThat(style.rest()).isEqualTo("And relax.");
        assertThat(style.namesSides()).isFalse();
        assertThat(style.cheers())
                .containsExactlyInAnyOrder("You look amazing.", "Lovely work, everyone.", "Nearly there now.");
    }

    @Test
    void theScriptThenSaysThem() {
        SpeechStyle style = new SpeechStyle("Let's go!", "And relax.", false, List.of("A.", "B.", "C."));
        List<String> said = CuePlanner.plan(TIMELINE, LIBRARY, ScriptNotes.NONE.withStyle(style)).lines().stream()
                .map(ScriptLine::text)
                .toList();
        assertThat(said)
                .contains("Let's go!", "And relax.", "Switch sides.")
                .doesNotContain("Go!", "And rest.")
                .noneMatch(s -> s.contains("Switch to the"));
        assertThat(said).containsAnyOf("A.", "B.", "C.");
    }

    @Test
    void whatIsSaidOnceOrNamesTheBodyIsNoHabit() {
        assertThat(heard("", "", "", List.of(), SpeechStyle.DEFAULT)).isEqualTo(SpeechStyle.DEFAULT);
        SpeechStyle style = heard(
                "Go!",
                "And rest.",
                "Switch to the left.",
                List.of("Feel your thighs.", "Squat low."),
                SpeechStyle.DEFAULT);
        assertThat(style).isEqualTo(SpeechStyle.DEFAULT);
    }
}
