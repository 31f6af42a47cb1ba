package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** CallScript stand at their second and say the truth of it. */
class CallScriptTest {
    private static List<ScriptLine> calls(Timeline t) {
        return CallScript.of(t, MoveLibrary.shipped(), ScriptNotes.NONE);
    }

    private static List<String> said(String sheet, String segment) {
        return calls(SampleSheets.timeline(sheet)).stream()
                .filter(l -> l.segment().equals(segment))
                .map(ScriptLine::text)
                .toList();
    }

    @Property(tries = 200)
    void secondsLeftAndHalfWayAreTrue(
            @ForAll @IntRange(min = 10, max = 240) int work, @ForAll @IntRange(min = 5, max = 60) int rest) {
        Timeline t = SampleSheets.timeline(
                "calls: half, 20, 15, 10, 5, in 3, out 3\ntalk Hi  0:30\ncircuit A  rounds 2  work " + work + "s  rest "
                        + rest + "s\n  squat\n  push-up\n");
        for (ScriptLine l : calls(t)) {
            Segment s = t.segment(l.segment()).orElseThrow();
            double left = s.end().since(l.start()).seconds();
            switch (l.text()) {
                case "Twenty seconds." -> assertThat(left).isEqualTo(20);
                case "Fifteen seconds." -> assertThat(left).isEqualTo(15);
                case "Ten seconds." -> assertThat(left).isEqualTo(10);
                case "Five seconds." -> assertThat(left).isEqualTo(5);
                case "One minute left." -> assertThat(left).isEqualTo(60);
                case "Half-way." -> assertThat(left).isEqualTo(s.duration().seconds() / 2);
                case "Go!" -> assertThat(l.start()).isEqualTo(s.start());
                case "Three, two, one." -> assertThat(left).isEqualTo(3);
                default -> assertThat(l.text()).isIn("And rest.", "Well done.", "Two minutes left.");
            }
        }
    }

    @Property(tries = 100)
    void callsNeverOverlap(
            @ForAll @IntRange(min = 6, max = 90) int work, @ForAll @IntRange(min = 0, max = 30) int rest) {
        Timeline t = SampleSheets.timeline(
                "calls: half, 20, 15, 10, 5, in 5, out 5\ntalk Hi  0:30\ncircuit A  rounds 2  work " + work + "s"
                        + (rest == 0 ? "" : "  rest " + rest + "s")
                        + "\n  single-arm row  sides halves\n  split squat  sides separate\n");
        List<ScriptLine> all = calls(t);
        for (int i = 1; i < all.size(); i++) {
            assertThat(all.get(i).start())
                    .as(all.get(i - 1).text() + " | " + all.get(i).text())
                    .isGreaterThanOrEqualTo(all.get(i - 1).end());
        }
    }

    @Test
    void aMoveStraightAfterAnotherIsNotCountedIn() {
        String sheet = "calls: in 3\ntalk Hi  0:30\ncircuit A  work 0:40\n  squat\n  push-up\n";
        assertThat(said(sheet, "hi")).contains("Three, two, one.");
        assertThat(said(sheet, "a/squat")).containsExactly("Go!");
        assertThat(said(sheet, "a/push-up")).containsExactly("Go!");
    }

    @ParameterizedTest
    @CsvSource({"mirrored, Now the right.", "own, Now the left."})
    void theSecondSideOfSeparateSidesIsNamed(String spoken, String call) {
        String sheet =
                "sides-spoken: " + spoken + "\ntalk Hi  0:30\ncircuit A  work 0:40\n  split squat  sides separate\n";
        assertThat(said(sheet, "a/split-squat/left")).contains(call);
    }

    @Test
    void noStyleMeansNoCallsButStartAndEnd() {
        assertThat(said("calls: none\ntalk Hi  0:30\ncircuit A  work 0:40  rest 0:20\n  squat\n  plank\n", "a/squat"))
                .containsExactly("Go!");
        assertThat(said(
                        "calls: none\ntalk Hi  0:30\ncircuit A  work 0:40  rest 0:20\n  squat\n  plank\n",
                        "a/squat/rest"))
                .containsExactly("And rest.");
    }

    @Test
    void aLongWindowGetsItsMinutes() {
        assertThat(said("calls: 10, out 3\ntalk Hi  0:30\namrap A  for 8:00\n  squat\n  push-up\n", "a"))
                .contains("Three minutes left.", "Two minutes left.", "One minute left.", "Ten seconds.");
    }

    @Test
    void thePartsOfAPhraseAreSaidAsTheyBegin() {
        assertThat(said(
                        "bpm: 60\ntalk Hi  0:30\nphrase A\n  squat  counts 2-2 x4, 1-3 x4, hold 4, pulse 8\n",
                        "a/squat"))
                .contains(
                        "Two down, two up, four of those.",
                        "One down, three up, four of those.",
                        "Hold for four.",
                        "Pulse, eight.");
    }

    @Test
    void countsAreCountsAndOthersAreTime() {
        assertThat(calls(SampleSheets.timeline(SampleSheets.wheelbarrow())))
                .filteredOn(l -> !l.segment().startsWith("slow-burn"))
                .allSatisfy(l -> assertThat(l.kind())
                        .isEqualTo(
                                l.text().contains(",") && l.text().startsWith("Three") ? CueKind.COUNT : CueKind.TIME));
    }

    @Test
    void aPhraseEndsOnItsCountsNotOnReps() {
        assertThat(said("bpm: 120\ncalls: out 3\ntalk Hi  0:30\nphrase P\n  squat  counts 2-2 x8, hold 8\n", "p/squat"))
                .contains("Three, two, one.")
                .doesNotContain("Last two.");
    }
}
