package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.OldReps;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.plan.terms.Amount;
import app.nosegay.plan.terms.Counts;
import app.nosegay.plan.terms.Reps;
import app.nosegay.plan.terms.SideWay;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptNotes;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What people write without having read how. */
class NotationOfPeopleTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    private static RunSheet read(String sheet) {
        return RunSheetParser.parse(sheet, LIBRARY);
    }

    @ParameterizedTest
    @CsvSource({
        "about 10, 10",
        "~10, 10",
        "8 - 12, 10",
        "10-15, 13",
        "12 per side, 12",
        "12 in-all, 12",
        "12 each side, 12"
    })
    void numbersOfRepetitions(String written, int planned) {
        assertThat(Reps.parse(written).orElseThrow().ofSet(1)).isEqualTo(planned);
    }

    @Test
    void aNumberIsEachSidesWhereASideIsDoneAlone() {
        Reps usual = Reps.parse("5").orElseThrow();
        assertThat(usual.eachSide(SideWay.SEPARATE)).isTrue();
        assertThat(usual.eachSide(SideWay.SETS)).isTrue();
        assertThat(usual.eachSide(SideWay.HALVES)).isFalse();
        assertThat(usual.eachSide(SideWay.ALTERNATE)).isFalse();
        assertThat(Reps.parse("5 in-all").orElseThrow().eachSide(SideWay.SEPARATE))
                .isFalse();
        assertThat(Reps.parse("5 each-side").orElseThrow().eachSide(SideWay.HALVES))
                .isTrue();
    }

    @Test
    void emptyHeadersAndBracketsAndRangesAreNoErrors() {
        RunSheet sheet = read("title: T\naudience:\ngear:\npromise: about 10 min, 3 x 12\n"
                + "straight-sets A  sets 3  reps about 10  rest 0:45\n  squat (seated)\n  curl  dose 3 x 10-15\n");
        assertThat(sheet.problems()).isEmpty();
        assertThat(sheet.header().promise().each().words()).isEqualTo("3 sets of 12 reps");
        assertThat(Amount.parse("3 x 10-15").orElseThrow().words()).isEqualTo("3 sets of 10–15 reps");
    }

    @Test
    void promisedSetsAreChecked() {
        String sheet = "promise: 3 x 12\nstraight-sets A  sets 3  reps 12  rest 0:45\n  curl\n  squat\n";
        assertThat(PlanCheck.findings(SampleSheets.timeline(sheet), LIBRARY))
                .noneMatch(f -> f.code().equals("plan.promise-sets"));
        String broken = sheet.replace("  squat", "  squat  reps 10");
        assertThat(PlanCheck.findings(SampleSheets.timeline(broken), LIBRARY))
                .filteredOn(f -> f.code().equals("plan.promise-sets"))
                .singleElement()
                .satisfies(f -> assertThat(f.message()).contains("squat"));
    }

    @Test
    void whatIsDoneAloneCountsTowardsThePromiseAndTakesNoTimeOfTheVideo() {
        String sheet = "title: T\npromise: 15 min\ntalk Hi  0:30\ntalk The run 0:30  alone 10:00\n"
                + "circuit A  rounds 2  work 0:40  rest 0:20  rest-after-last\n  squat\n  curl\n";
        Timeline timeline = SampleSheets.timeline(sheet);
        assertThat(timeline.total().seconds()).isEqualTo(300);
        PlanReport report = PlanReport.of(timeline, LIBRARY, ChangeCosts.DEFAULT);
        assertThat(report.findings()).noneMatch(f -> f.code().startsWith("plan.promise-"));
        assertThat(report.sentence()).contains("5:00", "10:00 on their own");
        assertThat(CuePlanner.plan(timeline, LIBRARY, ScriptNotes.NONE).lines())
                .filteredOn(l -> l.text().startsWith("Ten minutes on your own"))
                .singleElement()
                .satisfies(l -> assertThat(l.segment()).isEqualTo("the-run"));
        Timeline without = SampleSheets.timeline(sheet.replace("  alone 10:00", ""));
        assertThat(PlanCheck.findings(without, LIBRARY)).anyMatch(f -> f.code().equals("plan.promise-length"));
    }

    @Test
    void whatIsDosedBeyondWhatIsShownMayKeepThePromise() {
        // Shown: six repetitions of three seconds, three times; dosed: two more sets and a half of thirty, nearly five
        // minutes more.
        String sheet =
                "title: T\npromise: 6 min\nstraight-sets A  sets 1  reps 30  shown 6  dose 3 x 30\n  squat\n  curl\n";
        Timeline timeline = SampleSheets.timeline(sheet);
        double beyond = Doses.of(timeline, LIBRARY).beyond().seconds();
        assertThat(beyond).isGreaterThan(60);
        String promised =
                sheet.replace("6 min", "about " + Math.round((timeline.total().seconds() + beyond) / 60) + " min");
        assertThat(PlanCheck.findings(SampleSheets.timeline(promised), LIBRARY))
                .noneMatch(f -> f.code().equals("plan.promise-length"));
        assertThat(PlanCheck.findings(SampleSheets.timeline(sheet.replace("6 min", "60 min")), LIBRARY))
                .anyMatch(f -> f.code().equals("plan.promise-length"));
    }

    @Test
    void aMoveSaidOnceIsExplainedInTheFirstRoundOnly() {
        String sheet = "title: T\ntalk Hi  0:40\ncircuit A  rounds 3  work 1:00  rest 0:30\n  squat\n  bent-over row\n";
        long usual = explained(sheet);
        long once = explained(sheet.replace("rest 0:30", "rest 0:30  say once"));
        assertThat(usual).isPositive();
        assertThat(once).isZero();
    }

    /** Lines of coaching in rounds two and three. */
    private static long explained(String sheet) {
        return CuePlanner.plan(SampleSheets.timeline(sheet), LIBRARY, ScriptNotes.NONE).lines().stream()
                .filter(l -> l.segment().matches(".*/r[23]$"))
                .filter(l -> l.kind() == CueKind.FORM || l.kind() == CueKind.FEEL || l.kind() == CueKind.BREATH)
                .count();
    }

    @Test
    void pulsesMayBeRepeated() {
        Counts counts = Counts.parse("2-2 x4, pulse 3 x3").orElseThrow();
        assertThat(counts.counts()).isEqualTo(16 + 9);
        assertThat(counts.parts()).extracting(Counts.Part::from).containsExactly(0, 16);
    }

    @Test
    void aBlockMayHaveCallsOfItsOwn() {
        Timeline t =
                SampleSheets.timeline("calls: half, 10, in 3, out 3\ntalk Hi  0:30\nwarm-up  each 0:40  calls none\n"
                        + "  march in place\ncircuit A  work 0:40  rest 0:20\n  squat\n");
        CuePlan plan = CuePlanner.plan(t, LIBRARY, ScriptNotes.NONE);
        assertThat(plan.lines())
                .filteredOn(l -> l.segment().startsWith("warm-up/"))
                .noneMatch(l -> l.text().equals("Half-way."));
        assertThat(plan.lines()).filteredOn(l -> l.segment().startsWith("a/")).anyMatch(l -> l.text()
                .equals("Half-way."));
    }

    @Test
    void aBonusStandsOutsideThePromise() {
        String sheet =
                "promise: 1 min\npolicy: warm-up elsewhere\ncircuit A  work 0:57\n  squat\ncircuit B  bonus  work 2:00\n  plank\n";
        assertThat(PlanCheck.findings(SampleSheets.timeline(sheet), LIBRARY))
                .noneMatch(f -> f.code().equals("plan.promise-length"));
    }

    @Test
    void anOldSheetStaysWhatItWas() {
        String old = "straight-sets A  sets 1  reps 11\n  split squat  sides separate\n  curl\n"
                + "superset B  reps 8  sides separate\n  single-arm row\n  lunge  reps 6 each-side\n";
        String upgraded = OldReps.upgraded(old);
        assertThat(upgraded.lines())
                .containsExactly(
                        "straight-sets A  sets 1  reps 11",
                        "  split squat  sides separate  reps 11 in-all",
                        "  curl",
                        "superset B  reps 8 in-all  sides separate",
                        "  single-arm row",
                        "  lunge  reps 6 each-side");
        assertThat(OldReps.upgraded(upgraded)).isEqualTo(upgraded);
    }
}
