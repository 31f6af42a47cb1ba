package app.nosegay.plan.check;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingReasons;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each finding from a plan that has just that trouble, its fix applied and gone; an honest plan has none that matter. */
class PlanFindingsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final String HI = "talk Hi  0:20\n  caution: Ask your doctor first.\n";
    private static final String WARM =
            "warm-up  each 0:30\n  march in place\n  squat\n  arm swing\n  push-up\nrest 0:30\n";

    private static List<Finding> findings(String sheet) {
        return PlanCheck.findings(SampleSheets.timeline(sheet), LIBRARY);
    }

    private static Finding finding(String sheet, String code) {
        return findings(sheet).stream()
                .filter(f -> f.code().equals(code))
                .findFirst()
                .orElseThrow(() -> new AssertionError(code + " not in " + findings(sheet)));
    }

    static Stream<Arguments> fixable() {
        return Stream.of(
                Arguments.of("plan.unread", HI + "circut A  work 0:40\n  squat\n"),
                Arguments.of(
                        "plan.rounds-odd",
                        HI + "circuit A  rounds 3  work 0:40  rest 0:30\n  reverse lunge  sides rounds\n"),
                Arguments.of("plan.side-missing", HI + "circuit A  work 0:40\n  single-arm row\n"),
                Arguments.of("plan.side-needless", HI + "circuit A  work 0:40\n  squat  sides halves\n"),
                Arguments.of("plan.change-over", HI + "circuit A  work 0:40  rest 0:05\n  squat\n  plank\n"),
                Arguments.of(
                        "plan.overlap",
                        HI + "circuit A  work 0:40  rest 0:20\n  squat\n  goblet squat\n  floor press\n  push-up\n"),
                Arguments.of("plan.back-to-back", HI + "circuit A  work 0:40\n  kettlebell deadlift\n  push-up\n"),
                Arguments.of(
                        "plan.floor-trips",
                        HI + "circuit A  work 0:40  rest 0:30\n  plank\n  squat\n  dead bug\n  calf raise\n"),
                Arguments.of("plan.warm-up-missing", HI + "circuit A  work 0:40\n  squat\n"),
                Arguments.of("plan.gear-unannounced", HI + "circuit A  work 0:40\n  goblet squat\n"),
                Arguments.of(
                        "plan.gear-unused",
                        "gear: kettlebell, bench\n" + HI + "circuit A  work 0:40\n  goblet squat\n"),
                Arguments.of("plan.length-unstated", HI + "circuit A\n  squat\n"),
                Arguments.of("plan.audience-unknown", "audience: beginer\n" + HI + "circuit A  work 0:40\n  squat\n"),
                Arguments.of("plan.caution", "audience: knee trouble\n" + HI + "circuit A  work 0:40\n  squat\n"),
                Arguments.of("plan.screening-missing", "circuit A  work 0:40\n  squat\n"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("fixable")
    void isFoundAndGoneAfterItsFix(String code, String sheet) {
        Finding found = finding(sheet, code);
        assertThat(found.edit()).as("a fix for " + found).isNotNull();
        String mended = found.edit().apply(sheet);
        assertThat(findings(mended))
                .noneMatch(f -> f.code().equals(code) && f.message().equals(found.message()));
        assertThat(SampleSheets.timeline(mended).sheet().errors().size())
                .isLessThanOrEqualTo(
                        SampleSheets.timeline(sheet).sheet().errors().size());
    }

    static Stream<Arguments> told() {
        return Stream.of(
                Arguments.of(
                        "plan.too-long",
                        HI + "circuit A  rounds 999  work 0:40  rest 0:05\n  squat\n  plank\n  push-up\n"),
                Arguments.of("plan.title-length", "title: Ten Minutes? No, 25 min\n" + HI),
                Arguments.of(
                        "plan.promise-absence", "promise: no jumps\n" + HI + "circuit A  work 0:40\n  squat jump\n"),
                Arguments.of(
                        "plan.promise-absence", "promise: no gear\n" + HI + "circuit A  work 0:40\n  goblet squat\n"),
                Arguments.of(
                        "plan.promise-absence",
                        "promise: no repeats\n" + HI + "circuit A  rounds 2  work 0:40\n  squat\n"),
                Arguments.of(
                        "plan.promise-absence",
                        "promise: no lunges\n" + HI + "circuit A  work 0:40\n  reverse lunge  sides halves\n"),
                Arguments.of("plan.promise-unknown", "promise: no nonsense\n" + HI + "circuit A  work 0:40\n  squat\n"),
                Arguments.of(
                        "plan.sides-uneven", HI + "circuit A  rounds 3  work 0:40\n  reverse lunge  sides rounds\n"),
                Arguments.of(
                        "plan.sides-uneven", HI + "straight-sets A  reps 11 in-all\n  split squat  sides separate\n"),
                Arguments.of(
                        "plan.not-warmed",
                        HI + "warm-up  each 0:30\n  neck turn\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n"),
                Arguments.of(
                        "plan.not-stretched",
                        HI + "circuit A  rounds 3  work 0:40  rest 0:20\n  squat\ncool-down  each 0:20\n  neck stretch "
                                + " sides separate\n"),
                Arguments.of(
                        "plan.stretched-unworked",
                        HI + "circuit A  work 0:40\n  squat\ncool-down  each 0:20\n  biceps stretch  sides separate\n"),
                Arguments.of("plan.cool-down-missing", HI + "circuit A  work 0:40\n  squat\n"),
                Arguments.of(
                        "plan.gear-differs",
                        "gear: kettlebell light\n" + HI
                                + "circuit A  work 0:40\n  goblet squat  gear kettlebell heavy\n"),
                Arguments.of(
                        "plan.gear-twice",
                        "gear: kettlebell, kettlebell\n" + HI + "circuit A  work 0:40\n  goblet squat\n"),
                Arguments.of(
                        "plan.lighter-missing",
                        "gear: kettlebell heavy\n" + HI
                                + "circuit A  work 0:40\n  goblet squat  gear kettlebell heavy\n"),
                Arguments.of(
                        "plan.weight-underfoot",
                        HI + "circuit A  work 0:40\n  goblet squat\n  reverse lunge  sides alternate\n"),
                Arguments.of("plan.no-easier", HI + "circuit A  work 0:40\n  watering dance\n"),
                Arguments.of(
                        "plan.lengths-differ",
                        HI + "circuit A  work 0:40  rest 0:20\n  squat\ncircuit B  work 0:30\n  squat\n"),
                Arguments.of("plan.block-empty", HI + "circuit A  work 0:40\n"),
                Arguments.of("plan.minute-overrun", HI + "every-minute A  minutes 2  reps 30\n  squat  tempo 2-0-1\n"),
                Arguments.of("plan.view-missing", HI + "circuit A  work 0:40  angle front\n  squat\n"),
                Arguments.of("plan.unknown-move", HI + "circuit A  work 0:40\n  watering dance\n"),
                Arguments.of("plan.remark", HI + "circuit A  work 0:40\n  squat  rounds 2\n"));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("told")
    void isFound(String code, String sheet) {
        Finding f = finding(sheet, code);
        assertThat(f.message()).isNotBlank();
        assertThat(FindingReasons.of(code)).isNotBlank();
    }

    @Test
    void anHonestPlanHasNothingToMend() {
        String sheet = "title: Tidy\npromise: about 10 min, 2 moves\naudience: general\n" + HI + WARM
                + "circuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  push-up\ncool-down  each 0:20\n  quad "
                + "stretch  sides separate\n  chest stretch  sides separate\n  triceps stretch  sides separate\n "
                + " figure-four stretch  sides separate\n  cobra stretch\ntalk Bye  0:20\n";
        assertThat(findings(sheet))
                .filteredOn(f -> f.severity() == Finding.Severity.STOP || f.severity() == Finding.Severity.FIX)
                .isEmpty();
    }

    @Test
    void policySaysThatWarmUpAndCoolDownAreElsewhere() {
        assertThat(findings(
                        "policy: warm-up elsewhere, cool-down elsewhere\n" + HI + "circuit A  work 0:40\n  squat\n"))
                .extracting(Finding::code)
                .doesNotContain("plan.warm-up-missing", "plan.cool-down-missing");
    }

    @Test
    void everyCodeIsInTheDocumentedTable() throws IOException {
        Path docs = Path.of("..", "docs", "format", "findings.md");
        String table = Files.readString(docs);
        assertThat(FindingReasons.codes()).allSatisfy(code -> assertThat(table).contains("`" + code + "`"));
    }

    /** A code that is only ever compared with is a mistyped one: every code in the sources has its reason and its row. */
    @Test
    void everyCodeInTheSourcesIsKnown() throws IOException {
        Pattern code = Pattern.compile("\"((?:plan|script|match|sound|dress|publish)\\.[a-z][a-z-]*[a-z])\"");
        Set<String> named = new TreeSet<>();
        try (Stream<Path> files = Files.walk(Path.of("src", "main", "java"))) {
            for (Path file : files.filter(f -> f.toString().endsWith(".java")).toList()) {
                code.matcher(Files.readString(file)).results().forEach(m -> named.add(m.group(1)));
            }
        }
        assertThat(named).hasSizeGreaterThan(60);
        assertThat(FindingReasons.codes()).containsAll(named);
    }

    @Test
    void changeOversAddUp() {
        Timeline t = SampleSheets.timeline(
                HI + "circuit A  work 0:40  rest 0:20\n  goblet squat  tempo 2-0-1\n  plank  tempo 2-0-1\n");
        ChangeOver c = ChangeOver.of(t, LIBRARY, ChangeCosts.DEFAULT).get(0);
        // One rep watched (3 s), kettlebell down (3 s), to the floor (6 s).
        assertThat(c.needed().seconds()).isEqualTo(12);
        assertThat(c.available().seconds()).isEqualTo(20);
        Timeline older =
                SampleSheets.timeline("audience: older adult\n" + t.sheet().text());
        assertThat(ChangeOver.of(older, LIBRARY, ChangeCosts.DEFAULT)
                        .get(0)
                        .needed()
                        .seconds())
                .isEqualTo(3 + 1.5 * 9);
        ChangeCosts slow = ChangeCosts.ofSeconds(10, 5, 8, 6, 8, 4, 2, 2);
        assertThat(ChangeOver.of(t, LIBRARY, slow).get(0).needed().seconds()).isEqualTo(19);
    }

    @Test
    void aRepeatIsNotWatchedAgain() {
        Timeline t = SampleSheets.timeline(HI + "circuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  push-up\n");
        List<ChangeOver> all = ChangeOver.of(t, LIBRARY, ChangeCosts.DEFAULT);
        assertThat(all.get(0).watching().isPositive()).isTrue();
        assertThat(all.get(2).watching().isPositive()).isFalse();
    }

    @Test
    void gearIsReadWithClassesLoadsAlternativesAndStandIns() {
        GearItem item = GearList.item("kettlebell medium or full watering can");
        assertThat(item.name()).isEqualTo("kettlebell");
        assertThat(item.weight()).isEqualTo("medium");
        assertThat(item.alternatives()).containsExactly("full watering can");
        assertThat(item.standIns()).isNotEmpty();
        assertThat(GearList.item("dumbbells 2 x 6 kg").shown()).isEqualTo("dumbbells, 2 × 6 kg (13 lb)");
        assertThat(GearList.item("optional mat").optional()).isTrue();
        assertThat(GearList.item("mini band").name()).isEqualTo("loop band");
    }

    @Test
    void cautionsCoverEveryAudienceWithReasons() {
        assertThat(Cautions.rules()).hasSizeGreaterThanOrEqualTo(40);
        for (Audience audience : Audience.values()) {
            assertThat(Cautions.rules()).anyMatch(r -> r.audience() == audience);
        }
        assertThat(Cautions.rules()).allSatisfy(r -> {
            assertThat(r.reason()).isNotBlank();
            assertThat(r.text()).isNotBlank();
            assertThat(r.level() == Cautions.Level.CAUTION || !r.option().isBlank())
                    .isTrue();
        });
        assertThat(Cautions.rules()).extracting(Cautions.Rule::id).doesNotHaveDuplicates();
    }

    @Test
    void lyingOnTheBackInPregnancyStopsAndAWrittenInsteadHeedsIt() {
        String sheet = "audience: pregnancy 2\n" + HI + "circuit A  work 0:40\n  glute bridge\n";
        assertThat(finding(sheet, "plan.caution").severity()).isEqualTo(Finding.Severity.STOP);
        String heeded = sheet + "    instead for pregnancy: Sit on a chair and squeeze.\n";
        assertThat(findings(heeded))
                .noneMatch(f -> f.code().equals("plan.caution") && f.severity() == Finding.Severity.STOP);
    }

    @Test
    void overlapIsTheCosineOfTheMuscleVectors() {
        var squat = LIBRARY.parts("squat");
        assertThat(app.nosegay.plan.Balance.overlap(squat, squat))
                .isEqualTo(1, org.assertj.core.data.Offset.offset(1e-9));
        assertThat(app.nosegay.plan.Balance.overlap(squat, LIBRARY.parts("curl")))
                .isLessThan(0.3);
        assertThat(app.nosegay.plan.Balance.overlap(squat, List.of())).isZero();
    }
}
