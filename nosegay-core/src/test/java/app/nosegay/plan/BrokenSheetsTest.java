package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatCode;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.ChangeOver;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.plan.edit.Completions;
import app.nosegay.plan.edit.NotesReader;
import app.nosegay.plan.edit.SheetOrder;
import app.nosegay.plan.fit.FitRanges;
import app.nosegay.plan.fit.Fitter;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.sheet.RunSheetParser;
import app.nosegay.script.CuePlan;
import app.nosegay.script.CuePlanner;
import app.nosegay.script.ScriptNotes;
import app.nosegay.script.check.ScriptCheck;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Objects;
import java.util.Random;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;

/** A sheet half typed, cut off or shuffled is read, planned and checked like any other: what is wrong is a finding. */
class BrokenSheetsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final List<String> SCRAPS = List.of(
            "  ",
            "\t",
            ":",
            " | ",
            "0:00",
            "-1:30",
            "99:99:99",
            "999999999999",
            "reps",
            "reps 0",
            "sets 0",
            "rounds -3",
            "work",
            "rest ~",
            "sides chain",
            "level beginners:",
            "easier (knees):",
            "{moves}",
            "{nothing}",
            "+",
            "->",
            "→",
            "…",
            "\u0000",
            "\ud83d\udcaa",
            "é",
            "tempo 0-0-0",
            "load",
            "calls: half, , in",
            "promise: 0 min",
            "gear:",
            "#",
            "minutes 0",
            "work 0:00",
            "each 0:00",
            "hold 0:00",
            "circuit",
            "build B",
            "every-minute",
            "talk",
            "\r",
            "\n\n");

    @Provide
    Arbitrary<String> broken() {
        Arbitrary<String> whole =
                Arbitraries.oneOf(Arbitraries.just(SampleSheets.wheelbarrow()), RandomSheets.sheets());
        return Combinators.combine(
                        whole, Arbitraries.longs(), Arbitraries.integers().between(1, 6))
                .as(BrokenSheetsTest::damaged);
    }

    /** {@code sheet} with some lines shuffled, doubled, cut or filled with scraps. */
    private static String damaged(String sheet, long seed, int times) {
        Random random = new Random(seed);
        String text = sheet;
        for (int i = 0; i < times && !text.isEmpty(); i++) {
            int at = random.nextInt(text.length());
            int to = Math.min(text.length(), at + random.nextInt(30));
            text = switch (random.nextInt(5)) {
                case 0 -> text.substring(0, at) + text.substring(to);
                case 1 -> text.substring(0, at) + SCRAPS.get(random.nextInt(SCRAPS.size())) + text.substring(at);
                case 2 -> text.substring(0, at) + text.substring(at, to) + text.substring(at);
                case 3 -> shuffled(text, random);
                default -> random.nextInt(4) == 0 ? text.substring(0, at) : text;
            };
        }
        return text;
    }

    private static String shuffled(String text, Random random) {
        List<String> lines = new ArrayList<>(List.of(text.split("\n", -1)));
        int from = random.nextInt(lines.size());
        Collections.shuffle(lines.subList(from, Math.min(lines.size(), from + 5)), random);
        return String.join("\n", lines);
    }

    @Property(tries = 400)
    void everyStageTakesABrokenSheet(@ForAll("broken") String sheet) {
        assertThatCode(() -> {
                    Timeline t = SampleSheets.timeline(sheet);
                    PlanCheck.findings(t, LIBRARY);
                    PlanReport.of(t, LIBRARY, ChangeCosts.DEFAULT);
                    CuePlan plan = CuePlanner.plan(t, LIBRARY, ScriptNotes.NONE);
                    ScriptCheck.findings(
                            t, plan, ScriptNotes.NONE, LIBRARY, ChangeOver.of(t, LIBRARY, ChangeCosts.DEFAULT));
                })
                .as("the sheet %s", sheet)
                .doesNotThrowAnyException();
    }

    @Property(tries = 60)
    void theFitterTakesABrokenSheetToo(@ForAll("broken") String sheet) {
        assertThatCode(() -> Fitter.fit(SampleSheets.timeline("promise: 20 min\n" + sheet), LIBRARY, FitRanges.DEFAULT))
                .as("the sheet %s", sheet)
                .doesNotThrowAnyException();
    }

    @Property(tries = 200)
    void everyFindingPointsIntoTheSheet(@ForAll("broken") String sheet) {
        int lines = sheet.split("\r\n|\n|\r", -1).length;
        Timeline t = SampleSheets.timeline(sheet);
        assertThat(PlanCheck.findings(t, LIBRARY)).allSatisfy(f -> {
            assertThat(f.line()).as(f.message()).isBetween(0, lines);
            assertThat(f.message()).isNotBlank().doesNotContainPattern("(?<![a-z])null(?![a-z])");
            assertThat(FindingReasons.of(f.code())).as(f.code()).isNotBlank();
        });
    }

    @Property(tries = 200)
    void everyOfferedFixCanBeApplied(@ForAll("broken") String sheet) {
        Timeline t = SampleSheets.timeline(sheet);
        PlanCheck.findings(t, LIBRARY).stream()
                .map(Finding::edit)
                .filter(Objects::nonNull)
                .forEach(edit -> {
                    String after = edit.apply(sheet);
                    assertThat(after).as(edit.name()).isNotEqualTo(sheet);
                    assertThatCode(() -> SampleSheets.timeline(after)).doesNotThrowAnyException();
                });
    }

    @Property(tries = 200)
    void movingDownAndUpAgainGivesTheSheetBack(@ForAll("broken") String sheet, @ForAll Random random) {
        RunSheet read = RunSheetParser.parse(sheet, LIBRARY);
        SheetOrder order = new SheetOrder(read);
        int line = 1 + random.nextInt(sheet.split("\r\n|\n|\r", -1).length);
        order.moved(line, false).ifPresent(edit -> {
            String after = edit.apply(sheet);
            assertThat(words(after)).isEqualTo(words(sheet));
        });
    }

    private static List<String> words(String text) {
        return text.lines().filter(l -> !l.isBlank()).sorted().toList();
    }

    @Property(tries = 200)
    void completionAndNotesTakeAnything(@ForAll("broken") String sheet, @ForAll Random random) {
        String before = sheet.substring(0, random.nextInt(sheet.length() + 1));
        assertThatCode(() -> {
                    Completions.at(before, LIBRARY, true);
                    new NotesReader(LIBRARY).read(sheet, true);
                })
                .doesNotThrowAnyException();
    }
}
