package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.script.ScriptNotes.Decided;
import app.nosegay.script.check.ScriptCheck;
import app.nosegay.time.Length;
import app.nosegay.time.SpeechRate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** The rules of a cue plan (docs/domain.md), whatever the plan. */
class CuePlanRulesTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static CuePlan plan(Timeline timeline, ScriptNotes notes) {
        return CuePlanner.plan(timeline, LIBRARY, notes);
    }

    @Provide
    Arbitrary<String> sheets() {
        Arbitrary<String> moves = Arbitraries.of(
                        "  goblet squat\n",
                        "  single-arm row  sides halves\n",
                        "  reverse lunge  sides alternate\n    form: Step long and stay tall all the way down.\n "
                                + "   easier for knee: A smaller step.\n",
                        "  split squat  sides separate\n",
                        "  plank  hold 0:30\n",
                        "  push-up  reps 12\n    level Oak: squat jump\n",
                        "  squat + overhead press\n")
                .list()
                .ofMinSize(1)
                .ofMaxSize(4)
                .map(l -> String.join("", l));
        Arbitrary<String> blocks = Combinators.combine(
                        Arbitraries.of(
                                "circuit A  rounds 3  work 0:40  rest 0:20\n",
                                "circuit A  rounds 2  work 0:20  rest 0:10  demo before\n",
                                "superset A  sets 2  reps 10  rest 0:45\n",
                                "build A  work 0:40  rest 0:15\n",
                                "every-minute A  minutes 3  reps 8\n",
                                "circuit A  work 1:00\n"),
                        moves)
                .as((h, m) -> h + m);
        return Combinators.combine(
                        blocks.list().ofMinSize(1).ofMaxSize(4),
                        Arbitraries.of(
                                "calls: half, 20, 10, 5, in 3, out 3\n",
                                "calls: none\n",
                                "calls: 15, 10, in 5, out 5\n"),
                        Arbitraries.of("", "sides-spoken: mirrored\n", "start: free\n", "talk-density: sparing\n"))
                .as((b, calls, side) -> "title: T\nlevels: Bud main centre, Oak harder right\n" + calls + side
                        + "talk Hi  0:40\n" + String.join("", b) + "talk Bye  0:30\n");
    }

    @Property(tries = 120)
    void linesNeverOverlapNorCrossTheirSegment(@ForAll("sheets") String sheet) {
        Timeline t = SampleSheets.timeline(sheet);
        List<ScriptLine> lines = plan(t, ScriptNotes.NONE).lines();
        for (int i = 0; i < lines.size(); i++) {
            ScriptLine l = lines.get(i);
            Segment s = t.segment(l.segment()).orElseThrow();
            assertThat(l.start()).isGreaterThanOrEqualTo(s.start());
            if (!l.isCall()) {
                assertThat(l.end()).as(l.text()).isLessThanOrEqualTo(s.end());
            }
            if (i > 0) {
                assertThat(l.start())
                        .as(lines.get(i - 1).text() + " | " + l.text())
                        .isGreaterThanOrEqualTo(lines.get(i - 1).end());
            }
        }
    }

    @Property(tries = 80)
    void callsHaveQuietAroundThemWhileWorking(@ForAll("sheets") String sheet) {
        Timeline t = SampleSheets.timeline(sheet);
        List<ScriptLine> lines = plan(t, ScriptNotes.NONE).lines();
        for (ScriptLine line : lines) {
            Segment s = t.segment(line.segment()).orElseThrow();
            if (line.isCall() || !s.kind().isMoving()) {
                continue;
            }
            for (ScriptLine call : lines) {
                if (call.isCall()) {
                    boolean clear = line.start().since(call.end()).compareTo(PlacedLines.QUIET_AROUND_CALLS) >= 0
                            || call.start().since(line.end()).compareTo(PlacedLines.QUIET_AROUND_CALLS) >= 0;
                    assertThat(clear).as(line.text() + " near " + call.text()).isTrue();
                }
            }
        }
    }

    @Property(tries = 80)
    void suggestionsStayWithinTheTalkDensity(@ForAll("sheets") String sheet) {
        Timeline t = SampleSheets.timeline(sheet);
        CuePlan plan = plan(t, ScriptNotes.NONE);
        for (Segment s : t.segments()) {
            List<ScriptLine> lines = plan.of(s.id());
            boolean needed = lines.stream()
                    .anyMatch(l -> l.kind().isOption()
                            || l.kind() == CueKind.NEXT
                            || l.kind() == CueKind.PERMIT
                            || l.kind() == CueKind.COUNT
                            || l.kind() == CueKind.FORM);
            double said = lines.stream().mapToDouble(l -> l.spoken().seconds()).sum();
            if (s.kind().isMoving() && !needed && lines.stream().anyMatch(l -> !l.isCall())) {
                assertThat(said)
                        .isLessThanOrEqualTo(s.duration().seconds()
                                        * t.sheet().header().talkDensity().share()
                                + 1e-6);
            }
        }
    }

    @Property(tries = 80)
    void fixedLinesAreNeverMovedAndLeftOutOnesStayOut(
            @ForAll("sheets") String sheet,
            @ForAll @IntRange(min = 0, max = 200) int pick,
            @ForAll @IntRange(min = 0, max = 100) int tenth) {
        Timeline t = SampleSheets.timeline(sheet);
        List<ScriptLine> lines = plan(t, ScriptNotes.NONE).lines().stream()
                .filter(l -> !l.isCall())
                .toList();
        if (lines.size() < 2) {
            return;
        }
        ScriptLine fixed = lines.get(pick % lines.size());
        ScriptLine dropped = lines.get((pick + 1) % lines.size());
        Length at = Length.ofMillis(100L * tenth);
        ScriptNotes notes = ScriptNotes.NONE
                .with(new Decided(fixed.segment(), fixed.of(), CueKind.FORM, "Said just here.", at))
                .with(new Decided(dropped.segment(), dropped.of(), dropped.kind(), "", null));
        CuePlan after = plan(t, notes);
        Segment s = t.segment(fixed.segment()).orElseThrow();
        assertThat(after.of(s.id())).anySatisfy(l -> {
            assertThat(l.text()).isEqualTo("Said just here.");
            assertThat(l.start()).isEqualTo(s.start().plus(at));
            assertThat(l.fixed()).isTrue();
        });
        assertThat(after.of(dropped.segment()))
                .noneMatch(l -> l.of().equals(dropped.of()) && l.text().equals(dropped.text()));
        List<ScriptLine> planned =
                after.lines().stream().filter(l -> !l.fixed()).toList();
        for (int i = 1; i < planned.size(); i++) {
            assertThat(planned.get(i).start())
                    .isGreaterThanOrEqualTo(planned.get(i - 1).end());
        }
    }

    @Test
    void aRewrittenLineKeepsItsPlaceInTheOrder() {
        Timeline t = SampleSheets.timeline("talk Hi  0:40\ncircuit A  work 0:40\n  goblet squat\n");
        ScriptLine form = plan(t, ScriptNotes.NONE).of("a/goblet-squat").stream()
                .filter(l -> l.kind() == CueKind.FORM)
                .findFirst()
                .orElseThrow();
        CuePlan after = plan(
                t, ScriptNotes.NONE.with(new Decided("a/goblet-squat", form.of(), CueKind.FORM, "Chest proud.", null)));
        assertThat(after.of("a/goblet-squat"))
                .extracting(ScriptLine::text)
                .contains("Chest proud.")
                .doesNotContain(form.text());
    }

    @Test
    void setUpAndFirstFormComeEarlyOptionsInTheFirstThird() {
        Timeline t = SampleSheets.timeline(SampleSheets.wheelbarrow());
        CuePlan plan = plan(t, ScriptNotes.NONE);
        for (ScriptLine l : plan.lines()) {
            Segment s = t.segment(l.segment()).orElseThrow();
            boolean first = (s.round() == null || s.round() == 1) && (s.set() == null || s.set() == 1);
            if (!s.kind().isMoving() || !first) {
                continue;
            }
            double share = l.start().since(s.start()).seconds() / s.duration().seconds();
            if (l.kind() == CueKind.SETUP) {
                assertThat(share).as(l.text()).isLessThanOrEqualTo(0.25);
            } else if (l.kind() == CueKind.EASIER) {
                assertThat(share).as(l.text()).isLessThanOrEqualTo(1 / 3.0 + 1e-9);
            }
        }
    }

    @Test
    void shortWorkIsTaughtInTheWindowBefore() {
        Timeline t = SampleSheets.timeline("talk Hi  0:30\ncircuit A  work 0:20  rest 0:30\n  squat\n  push-up\n");
        CuePlan plan = plan(t, ScriptNotes.NONE);
        assertThat(plan.of("a/squat/rest"))
                .extracting(ScriptLine::kind)
                .contains(CueKind.NEXT, CueKind.SETUP, CueKind.EASIER);
        assertThat(plan.of("a/push-up")).extracting(ScriptLine::kind).doesNotContain(CueKind.SETUP, CueKind.EASIER);
    }

    @Test
    void noFormLineIsSaidEveryRound() {
        Timeline t = SampleSheets.timeline(
                "talk Hi  0:30\ncircuit A  rounds 4  work 0:40  rest 0:30\n  goblet squat\n  push-up\n");
        CuePlan plan = plan(t, ScriptNotes.NONE);
        for (String move : List.of("goblet-squat", "push-up")) {
            Set<String> said = new HashSet<>();
            for (int r = 1; r <= 4; r++) {
                for (ScriptLine l : plan.of("a/" + move + "/r" + r)) {
                    if (l.kind() == CueKind.FORM) {
                        assertThat(said.add(l.text())).as(l.text()).isTrue();
                    }
                }
            }
            assertThat(said).isNotEmpty();
        }
    }

    @Test
    void everyOwnLineIsSaidOrListed() {
        String sheet = "talk Hi  0:30\ncircuit A  rounds 2  work 0:30  rest 0:20\n  squat\n    form: Own form.\n "
                + "   avoid: Own avoid.\n    image: Own image.\n    cheer: Own cheer.\n    easier: Own easier.\n "
                + "   breath: Own breath.\n    why: "
                + "Own why that is far too long to be said in this interval ".repeat(4) + ".\n";
        CuePlan plan = plan(SampleSheets.timeline(sheet), ScriptNotes.NONE);
        for (String own :
                List.of("Own form.", "Own avoid.", "Own image.", "Own cheer.", "Easier: Own easier.", "Own breath.")) {
            assertThat(plan.lines()).extracting(ScriptLine::text).contains(own);
        }
        assertThat(plan.left()).anySatisfy(l -> {
            assertThat(l.own()).isTrue();
            assertThat(l.remedy()).isNotBlank();
            assertThat(l.line().text()).startsWith("Own why");
        });
    }

    @Test
    void callsNearEachOtherMergeToTheMoreImportant() {
        Timeline t =
                SampleSheets.timeline("calls: half, 20, in 3, out 3\ntalk Hi  0:30\ncircuit A  work 0:40\n  squat\n");
        List<ScriptLine> calls = plan(t, ScriptNotes.NONE).of("a/squat").stream()
                .filter(ScriptLine::isCall)
                .toList();
        // Half-way and twenty seconds fall together: the seconds stay.
        assertThat(calls).extracting(ScriptLine::text).doesNotContain("Half-way.");
        assertThat(calls).extracting(ScriptLine::text).contains("Twenty seconds.");
    }

    @Test
    void repSetsAreCountedInRepsAndSidesNamedAsSpoken() {
        Timeline t = SampleSheets.timeline(
                "sides-spoken: mirrored\ntalk Hi  0:30\nstraight-sets A  reps 10 each-side  rest 0:30\n  "
                        + "split squat  sides separate  tempo 2-0-1\n");
        CuePlan plan = plan(t, ScriptNotes.NONE);
        assertThat(plan.of("a/split-squat/s1/right"))
                .extracting(ScriptLine::text)
                .contains("Last two.")
                .doesNotContain("Ten seconds.", "Half-way.");
        assertThat(plan.of("a/split-squat/s1/left"))
                .extracting(ScriptLine::text)
                .contains("Now the right.");
        Timeline free = SampleSheets.timeline(
                "start: free\ntalk Hi  0:30\ncircuit A  work 0:40\n  single-arm row  sides halves\n");
        assertThat(plan(free, ScriptNotes.NONE).lines())
                .noneMatch(
                        l -> !l.segment().equals("hi") && l.text().toLowerCase().matches(".*\\b(left|right)\\b.*"));
    }

    @Test
    void roundsAreNumberedRightAndTheBuildPromisesItsChange() {
        Timeline t = SampleSheets.timeline(
                "talk Hi  0:30\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  push-up\nbuild B  work "
                        + "0:40  rest 0:20\n  side lunge + curl\n");
        CuePlan plan = plan(t, ScriptNotes.NONE);
        assertThat(plan.of("a/push-up/r1/rest")).anyMatch(l -> l.text().startsWith("Round two of three."));
        assertThat(plan.of("a/push-up/r2/rest")).anyMatch(l -> l.text().startsWith("Last round."));
        assertThat(plan.lines())
                .anyMatch(l -> l.kind() == CueKind.PERMIT && l.text().contains("half-way"));
        assertThat(plan.of("b/side-lunge-curl"))
                .anyMatch(l -> l.kind() == CueKind.TIME && l.text().startsWith("Half-way, change"));
        assertThat(ScriptCheck.findings(t, plan, ScriptNotes.NONE, LIBRARY, List.of()))
                .noneMatch(f -> f.code().equals("script.number") || f.code().equals("script.call-missing"));
    }

    @Test
    void windowsCompareWhatIsWantedWithWhatThereIs() {
        Timeline t = SampleSheets.timeline("talk Hi  0:40\ncircuit A  work 0:40  rest 0:20\n  squat\n  push-up\n");
        CuePlan plan = plan(t, ScriptNotes.NONE);
        assertThat(plan.windows()).hasSize(t.segments().size());
        TalkWindow work = plan.window("a/squat").orElseThrow();
        assertThat(work.available().seconds()).isEqualTo(40 * 0.65);
        double said = plan.of("a/squat").stream()
                .mapToDouble(l -> l.spoken().seconds())
                .sum();
        assertThat(work.needed().seconds()).isGreaterThanOrEqualTo(said);
        ScriptNotes slow = ScriptNotes.NONE.withRate(new SpeechRate(2, 2));
        assertThat(plan(t, slow).window("hi").orElseThrow().needed())
                .isGreaterThan(plan.window("hi").orElseThrow().needed());
    }

    @Test
    void sixtySegmentsArePlannedInTime() {
        StringBuilder sheet = new StringBuilder("talk Hi  0:40\n");
        for (int b = 0; b < 6; b++) {
            sheet.append("circuit B")
                    .append(b)
                    .append("  work 0:40  rest 0:20\n  squat\n  push-up\n  plank\n  glute bridge\n  dead bug\n");
        }
        Timeline t = SampleSheets.timeline(sheet.toString());
        assertThat(t.segments().stream().filter(s -> s.kind() == SegmentKind.WORK))
                .hasSize(30);
        plan(t, ScriptNotes.NONE);
        long begun = System.nanoTime();
        plan(t, ScriptNotes.NONE);
        assertThat((System.nanoTime() - begun) / 1e6).isLessThan(2000);
    }
}
