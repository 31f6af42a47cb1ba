package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

class CuePlannerTest {
    private static CuePlan plan(String sheet) {
        return CuePlanner.plan(SampleSheets.timeline(sheet), MoveLibrary.shipped(), SpeechRate.DEFAULT);
    }

    private static List<String> said(CuePlan plan, String segment) {
        return plan.of(segment).stream().map(ScriptLine::text).toList();
    }

    @Test
    void callsStandAtTheirSecond() {
        Timeline timeline = SampleSheets.timeline(SampleSheets.wheelbarrow());
        CuePlan plan = CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT);
        Segment squat = timeline.segment("ground-work/goblet-squat/r1").orElseThrow();
        ScriptLine half = plan.of(squat.id()).stream()
                .filter(l -> l.text().equals("Half-way."))
                .findFirst()
                .orElseThrow();
        assertThat(half.start()).isEqualTo(squat.start().plus(Length.ofSeconds(20)));
        ScriptLine ten = plan.of(squat.id()).stream()
                .filter(l -> l.text().equals("Ten seconds."))
                .findFirst()
                .orElseThrow();
        assertThat(squat.end().since(ten.start())).isEqualTo(Length.ofSeconds(10));
        assertThat(said(plan, squat.id())).contains("Go!", "Five seconds.", "Three, two, one.");
        assertThat(said(plan, "ground-work/goblet-squat/r1/rest")).first().isEqualTo("And rest.");
    }

    @Test
    void theSwitchNamesTheSideAsTheWorkoutSaysSides() {
        assertThat(said(plan(SampleSheets.wheelbarrow()), "ground-work/single-arm-row/r1/switch"))
                .containsExactly("Switch to the right.");
        String own = SampleSheets.wheelbarrow().replace("sides-spoken: mirrored", "sides-spoken: own");
        assertThat(said(plan(own), "ground-work/single-arm-row/r1/switch")).containsExactly("Switch to the left.");
    }

    @Test
    void everyWorkoutCarriesAScreeningLine() {
        assertThat(said(plan("title: T\ntalk Hi  0:40\ncircuit A  work 0:40\n  squat\n"), "hi"))
                .contains(CuePlanner.SCREENING);
        assertThat(said(plan(SampleSheets.wheelbarrow()), "welcome"))
                .contains("Check with your doctor first if you are unsure.");
    }

    @Test
    void roundTwoDoesNotRepeatTheFormLineOfRoundOne() {
        CuePlan plan = plan("talk Hi  0:10\ncircuit A  rounds 2  work 0:40  rest 0:20\n  goblet squat\n");
        String one = plan.of("a/goblet-squat/r1").stream()
                .filter(l -> l.kind() == CueKind.FORM)
                .findFirst()
                .orElseThrow()
                .text();
        assertThat(said(plan, "a/goblet-squat/r2")).doesNotContain(one);
        assertThat(plan.of("a/goblet-squat/r1")).extracting(ScriptLine::kind).contains(CueKind.EASIER);
        assertThat(plan.of("a/goblet-squat/r2")).extracting(ScriptLine::kind).doesNotContain(CueKind.EASIER);
    }

    @Test
    void whatFindsNoRoomIsListedWithAReason() {
        CuePlan plan = plan(
                "title: A Very Long Title Indeed\ngear: kettlebell, band, bench\ntalk Hi  0:02\ncircuit A  work 0:40\n  squat\n");
        assertThat(plan.left()).isNotEmpty().allSatisfy(l -> assertThat(l.reason())
                .contains("needs"));
    }

    @Property(tries = 60)
    void linesNeverOverlapNorLeaveTheirSegment(
            @ForAll @IntRange(min = 8, max = 90) int work, @ForAll @IntRange(min = 3, max = 40) int rest) {
        Timeline timeline = SampleSheets.timeline(
                "title: T\ncalls: half, 20, 10, 5, in 3, out 3\ntalk Hi  0:30\ncircuit A  rounds 2  work " + work
                        + "s  rest " + rest + "s\n  goblet squat\n  single-arm row  sides halves\n  plank\n");
        List<ScriptLine> lines = CuePlanner.plan(timeline, MoveLibrary.shipped(), SpeechRate.DEFAULT)
                .lines();
        for (int i = 0; i < lines.size(); i++) {
            ScriptLine line = lines.get(i);
            Segment s = timeline.segment(line.segment()).orElseThrow();
            assertThat(line.start()).isGreaterThanOrEqualTo(s.start());
            if (!line.isCall()) {
                assertThat(line.end()).isLessThanOrEqualTo(s.end());
            }
            if (i > 0) {
                assertThat(line.start()).isGreaterThanOrEqualTo(lines.get(i - 1).end());
            }
        }
    }
}
