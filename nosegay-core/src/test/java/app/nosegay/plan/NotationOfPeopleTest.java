package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.PlanCheck;
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
