package app.nosegay.plan.bed;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.GearList;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.terms.SideWay;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The plan as it stands on the bed: sentences, leaves, gaps, suggestions. */
class BedTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();

    static PlanReport report(String sheet) {
        return PlanReport.of(SampleSheets.timeline(sheet), LIBRARY, ChangeCosts.DEFAULT);
    }

    static List<BedRow> rows(String sheet) {
        return Bed.rows(report(sheet), LIBRARY, Map.of());
    }

    static String sentence(BedRow row) {
        return row.block().sentence().stream()
                .map(p -> p instanceof Part.Value v ? "[" + v.field().shown() + "]" : ((Part.Words) p).text())
                .collect(Collectors.joining());
    }

    private static Leaf leaf(BedRow row, int n) {
        return (Leaf) row.block().items().stream()
                .filter(Leaf.class::isInstance)
                .toList()
                .get(n);
    }

    @ParameterizedTest
    @EnumSource(Starter.class)
    void everyStarterIsCompleteAndKeepsItsPromise(Starter starter) {
        PlanReport report = report(starter.sheet());
        assertThat(report.timeline().sheet().problems()).isEmpty();
        assertThat(report.promiseKept()).as(report.sentence()).isTrue();
        assertThat(report.findings().stream()
                        .filter(f -> f.severity() == Finding.Severity.STOP || f.severity() == Finding.Severity.FIX)
                        .map(Finding::message))
                .isEmpty();
        assertThat(starter.label()).isNotBlank();
    }

    @Test
    void theExampleReadsInPlainWords() {
        assertThat(rows(SampleSheets.wheelbarrow()).stream().map(BedTest::sentence))
                .containsExactly(
                        "Talk for [0:40].",
                        "Warm up: [0:30] each, [no rest] between.",
                        "Do these 4 moves for [2 rounds], [0:40] each, [0:20 rest] after each; I teach [in the rest].",
                        "Rest for [1:00], [march in place].",
                        "Back to back, [12 reps] each, [2 sets], [0:45 rest] after each.",
                        "As many reps as possible: this move, [1:00] each, [no rest] between.",
                        "To the count, [120] beats a minute, [no rest] between.",
                        "One, then the other, then both: [0:40] each, [0:15 rest] between.",
                        "Every minute for [4 minutes]: [10 reps]; what is left of the minute is rest.",
                        "Stretch: [0:20] each, [no rest] between.",
                        "Talk for [0:30].");
    }

    @ParameterizedTest
    @EnumSource(Starter.class)
    void noSentenceShowsAWordOfTheNotation(Starter starter) {
        Set<String> notation =
                Set.of("halves", "separate", "chain", "dose", "amrap", "in-rest", "each-side", "straight-sets");
        for (BedRow row : rows(starter.sheet())) {
            assertThat(List.of(sentence(row).split("[^\\p{L}-]+"))).doesNotContainAnyElementsOf(notation);
        }
    }

    @Test
    void whatABlockSaysBesidesIsSaidBehind() {
        BedRow row = rows("circuit  work 0:30  rest 0:10  round-rest 1:00  sides chain  tempo 3-1-1\n  lunge\n")
                .get(0);
        assertThat(sentence(row))
                .endsWith("; [1:00 rest] after each round; tempo [3-1-1]; [all moves on one side, then the other].");
        assertThat(row.block().name().shown()).isEqualTo("Circuit");
        assertThat(row.block().name().written()).isEmpty();
    }

    @Test
    void aLeafSaysHowMuchAndTakesItsTime() {
        BedRow row = rows(SampleSheets.wheelbarrow()).get(2);
        Leaf squat = leaf(row, 0);
        assertThat(squat.amount()).isEqualTo("0:40");
        assertThat(squat.length().seconds()).isEqualTo(40);
        assertThat(squat.tags()).extracting(Tag::kind).contains(Tag.Kind.EASIER, Tag.Kind.HARDER, Tag.Kind.GEAR);
        Leaf march = leaf(rows(SampleSheets.wheelbarrow()).get(5), 0);
        assertThat(march.amount()).isEqualTo("1:00 each side");
        assertThat(march.length().seconds()).isEqualTo(120);
        assertThat(march.way()).isEqualTo(SideWay.SEPARATE);
        assertThat(march.spoken()).startsWith("suitcase march, 1:00 each side, a full set each side");
        Leaf split = leaf(rows(SampleSheets.wheelbarrow()).get(6), 0);
        assertThat(split.beads()).extracting(Bead::shape).containsSubsequence(Bead.Shape.REP, Bead.Shape.HOLD);
        assertThat(split.beads()).hasSize(4 + 4 + 1 + 8);
    }

    @Test
    void restsAreGapsAndKnowWhereTheyAreWritten() {
        List<BedRow> rows =
                rows("circuit  work 0:30  rest 0:10  round-rest 1:00  rounds 2\n  squat\n  rest 0:25\n  lunge\n"
                        + "superset  reps 8  rest 0:45\n  squat\n  curl\ntalk  0:10\n");
        assertThat(rows.get(0).block().items().stream().filter(Gap.class::isInstance))
                .extracting(g -> ((Gap) g).source())
                .containsExactly(Gap.Source.MOVE, Gap.Source.LINE, Gap.Source.ROUND);
        List<BedRow> noTalk = rows("superset  reps 8  sets 2  rest 0:45\n  squat\n  curl\ntalk  0:10\n");
        assertThat(noTalk.get(0).block().items().stream().filter(Gap.class::isInstance))
                .extracting(g -> ((Gap) g).source())
                .containsExactly(Gap.Source.SET);
    }

    @Test
    void roundTwoShowsWhatItChanges() {
        String sheet =
                "circuit  work 0:30  rest 0:10  rounds 2\n  squat\n    round 2: squat jump  work 0:20\n  lunge\n";
        BedRow first = Bed.rows(report(sheet), LIBRARY, Map.of()).get(0);
        BedRow second = Bed.rows(report(sheet), LIBRARY, Map.of("circuit", 2)).get(0);
        assertThat(leaf(first, 0).changed()).isFalse();
        assertThat(leaf(second, 0).changed()).isTrue();
        assertThat(leaf(second, 0).name()).isEqualTo("squat jump");
        assertThat(leaf(second, 0).amount()).isEqualTo("0:20");
        assertThat(leaf(second, 1).amount()).isEqualTo("0:30");
        assertThat(second.block().rounds()).isEqualTo(2);
    }

    @Test
    void aMoveWithoutAnEasierWayMissesIt() {
        BedRow row = rows("circuit  work 0:30  rest 0:10\n  wiggle of my own\n").get(0);
        assertThat(leaf(row, 0).missing()).containsExactly(Tag.Kind.EASIER);
        assertThat(leaf(row, 0).moves()).isEmpty();
        assertThat(leaf(row, 0).marks()).isNotEmpty();
    }

    @Test
    void aRowThatOnlyMovedDownIsTheSameRow() {
        String sheet = "circuit  work 0:30  rest 0:10\n  squat\n  lunge\n";
        BedRow before = rows(sheet).get(0);
        BedRow after = rows("\n# a remark\n\n" + sheet).get(0);
        assertThat(after.line()).isEqualTo(before.line() + 3);
        assertThat(after.block()).isEqualTo(before.block());
    }

    @Test
    void suggestionsMakeUpWhatLacksAndSayWhy() {
        String pushes =
                "gear: kettlebell medium\ncircuit  work 1:00  rest 0:20  rounds 2\n  push-up\n  squat\n  overhead press\n";
        List<MoveSuggestions.Suggestion> best = MoveSuggestions.of(report(pushes), LIBRARY, 2, 3, Set.of(), 8);
        assertThat(best).hasSize(8);
        assertThat(best.subList(0, 3))
                .allSatisfy(s -> assertThat(s.move().pattern()).isEqualTo("pull"));
        assertThat(best.get(0).why()).contains("pull lacks 4:00");
        assertThat(best).extracting(s -> s.move().name()).doesNotContain("push-up", "squat", "overhead press");
        String again = best.get(0).move().name();
        assertThat(MoveSuggestions.of(report(pushes), LIBRARY, 2, 3, Set.of(again), 8)
                        .get(0)
                        .move()
                        .name())
                .isNotEqualTo(again);
        // Gear that is not there is not asked for; one weight stands for another.
        assertThat(best).allSatisfy(s -> assertThat(s.move().gear())
                .allMatch(g -> GearList.item(g).isWeight()));
    }

    @Test
    void suggestionsKeepPromisesAndCautions() {
        String chair =
                "promise: no floor, no jumps\naudience: chair-based\ncircuit  work 0:40  rest 0:20\n  sit-to-stand\n";
        assertThat(MoveSuggestions.of(report(chair), LIBRARY, 3, 1, Set.of(), 20))
                .isNotEmpty()
                .allSatisfy(s -> assertThat(s.move().isOnFloor() || s.move().has("impact"))
                        .isFalse());
        String stretch = "circuit  work 1:00  rest 0:20\n  squat\ncool-down  each 0:20\n";
        assertThat(MoveSuggestions.of(report(stretch), LIBRARY, 3, 0, Set.of(), 5))
                .allSatisfy(s -> assertThat(s.move().pattern()).isEqualTo("stretch"))
                .first()
                .satisfies(s -> assertThat(s.why()).contains("worked but not stretched yet"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "bicep curls 12 | bicep curls | '  reps 12'",
                "row 10 each side | row | '  reps 10 each-side  sides separate'",
                "plank half a minute | plank | '  work 0:30'",
                "squat for a minute | squat | '  work 1:00'",
                "three sets of ten push-ups | push-ups | '  sets 3  reps 10'",
                "figure-four stretch 30s | figure-four stretch | '  work 0:30'",
                "goblet squat with a heavy kettlebell 8 | goblet squat | '  reps 8  gear kettlebell heavy'",
                "lunge | lunge | ''"
            })
    void wordsArePutAsPeopleSayThem(String said, String name, String attributes) {
        NotesReader.Note note = new NotesReader(LIBRARY).note(said);
        assertThat(note.name()).isEqualTo(name);
        assertThat(note.attributes()).isEqualTo(attributes);
    }
}
