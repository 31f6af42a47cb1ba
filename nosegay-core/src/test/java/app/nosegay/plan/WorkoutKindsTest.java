package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.sheet.RunSheet;
import app.nosegay.plan.terms.Load;
import app.nosegay.plan.terms.Presenter;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Workouts of very different kinds, each with its length computed by hand from the rules of docs/format/run-sheet.md. */
class WorkoutKindsTest {
    private static final String HI = "talk Hi  0:10\n";
    private static final String BYE = "talk Bye  0:10\n";

    static Stream<Arguments> kinds() {
        return Stream.of(
                Arguments.of(
                        "no rest",
                        HI + "circuit G  work 0:50\n  squat\n  push-up\n  reverse lunge  sides halves\n" + BYE,
                        10 + 150 + 10),
                Arguments.of(
                        "pyramid",
                        HI + "straight-sets P  reps 12,10,8,6  rest 0:45\n  goblet squat  tempo 2-0-1\n" + BYE,
                        10 + 36 + 45 + 30 + 45 + 24 + 45 + 18 + 10),
                Arguments.of(
                        "every minute, three moves, the last rest dropped",
                        HI
                                + "every-minute M  minutes 9\n  squat  reps 10  tempo 2-0-1\n  push-up  reps 8  tempo 2-0-1\n "
                                + " plank  work 0:40\n"
                                + BYE,
                        10 + 9 * 60 - 20 + 10),
                Arguments.of(
                        "one window",
                        HI + "amrap A  for 8:00\n  squat  reps 10\n  push-up  reps 5\n" + BYE,
                        10 + 480 + 10),
                Arguments.of(
                        "amrap, each its work", HI + "amrap A  work 1:00\n  squat\n  push-up\n" + BYE, 10 + 120 + 10),
                Arguments.of(
                        "counted phrases on a beat",
                        "bpm: 120\n" + HI
                                + "phrase P  rounds 2\n  squat  counts 2-2 x4, 1-3 x4, hold 4, pulse 8\n  split squat  counts "
                                + "( 2-2 x4, halves 4 ) x2  sides separate\n"
                                + BYE,
                        10 + 2 * (22 + 24 + 24) + 10),
                Arguments.of(
                        "counted phrases without a beat",
                        HI + "phrase P\n  squat  counts 2-2 x4, hold 4\n" + BYE,
                        10 + 20 + 10),
                Arguments.of(
                        "chain per side",
                        HI + "circuit C  rounds 2  work 0:30  rest 0:10  sides chain\n  single-arm row\n  side plank\n"
                                + BYE,
                        10 + 2 * 4 * 40 - 10 + 10),
                Arguments.of(
                        "build",
                        HI + "build B  rounds 2  work 0:30  rest 0:10\n  squat + overhead press\n" + BYE,
                        10 + 2 * 3 * 40 - 10 + 10),
                Arguments.of(
                        "side by set",
                        HI + "straight-sets S  sets 4  rest 0:30\n  single-arm row  reps 10  tempo 2-0-1  sides sets\n"
                                + BYE,
                        10 + 4 * 60 - 30 + 10),
                Arguments.of(
                        "reps each side with a pause between",
                        HI
                                + "straight-sets S  sets 2  rest 0:30\n  split squat  reps 8 each-side  tempo 3-0-1  sides "
                                + "separate  side-rest 0:10\n"
                                + BYE,
                        10 + 2 * (32 + 10 + 32 + 30) - 30 + 10),
                Arguments.of(
                        "shown less than the dose",
                        HI
                                + "straight-sets D  rest 0:30\n  goblet squat  reps 12  shown 6  dose 3 x 12  tempo 2-0-1\n "
                                + " plank  work 0:40  shown 0:15\n"
                                + BYE,
                        10 + 18 + 30 + 15 + 10),
                Arguments.of(
                        "rep pattern with counts",
                        HI
                                + "superset X  sets 2  rest 1:00\n  squat + overhead press  reps 5  tempo 2-0-1\n    rep: squat, press x2\n"
                                + BYE,
                        10 + 45 + 60 + 45 + 10),
                Arguments.of(
                        "rests of every kind",
                        HI
                                + "circuit R  rounds 2  work 0:30  rest 0:10  round-rest 1:00-2:00\n  squat\n  rest 0:20  active "
                                + "march in place\n  push-up  rest as-needed ~0:45\nrest 2:00  active march in place\ncircuit "
                                + "S  work until-called ~0:40  rest 0:15\n  plank\n"
                                + BYE,
                        10 + 180 + 90 + 120 + 40 + 10),
                Arguments.of(
                        "taught before, in the rest, in the work",
                        HI
                                + "circuit T  rounds 2  work 0:30  rest 0:15  demo before  demo-time 0:20\n  squat\n  push-up "
                                + " demo in-work\n  plank  demo in-rest\n"
                                + BYE,
                        10 + 20 + 3 * 45 + 3 * 45 - 15 + 10),
                Arguments.of(
                        "rounds that change",
                        HI
                                + "circuit O  rounds 3  work 0:40  rest 0:20\n  squat\n    round 2: tempo 4-0-1\n    round "
                                + "3: squat jump  work 0:20\n"
                                + BYE,
                        10 + 60 + 60 + 20 + 10),
                Arguments.of(
                        "holds, each side its own",
                        HI
                                + "circuit H  rounds 2  rest 0:15\n  plank  hold 0:30\n  side plank  hold 0:20  sides separate\n"
                                + BYE,
                        10 + 2 * (30 + 15 + 40 + 15) - 15 + 10),
                Arguments.of(
                        "as many rounds as fit",
                        HI + "circuit H  for 5:00  work 0:30  rest 0:15\n  squat\n  push-up\n" + BYE,
                        10 + 3 * 90 - 15 + 10),
                Arguments.of(
                        "sets by the list of a superset",
                        HI + "superset P  reps 12,8  rest 0:30\n  squat  tempo 2-0-1\n" + BYE,
                        10 + 36 + 30 + 24 + 10),
                Arguments.of(
                        "rest kept after the last",
                        HI + "circuit K  work 0:30  rest 0:20  rest-after-last\n  squat\n" + BYE,
                        10 + 50 + 10),
                Arguments.of(
                        "ends with work",
                        "talk Hi  0:10\ncircuit K  work 0:30  rest 0:20\n  squat\n  plank\n",
                        10 + 80));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("kinds")
    void expandsToTheReckonedLength(String name, String sheet, double seconds) {
        Timeline timeline = SampleSheets.timeline("title: T\n" + sheet);
        assertThat(timeline.sheet().errors()).isEmpty();
        assertThat(timeline.total().seconds()).isEqualTo(seconds);
    }

    @Test
    void theDoseLoadsTheBodyAndTheShownAmountTheTimeline() {
        Timeline shown =
                SampleSheets.timeline(HI + "straight-sets D\n  squat  reps 12  shown 6  dose 3 x 12  tempo 2-0-1\n");
        Timeline full = SampleSheets.timeline(HI + "straight-sets D  sets 3\n  squat  reps 12  tempo 2-0-1\n");
        assertThat(shown.segments().get(1).reps()).isEqualTo(6);
        assertThat(Balance.of(shown, MoveLibrary.shipped()).muscles())
                .isEqualTo(Balance.of(full, MoveLibrary.shipped()).muscles());
    }

    @Test
    void aRepPatternSharesTheSides() {
        Balance b = Balance.of(
                SampleSheets.timeline(HI + "superset X\n  side lunge  reps 4  tempo 2-0-1\n    rep: left x2, right\n"),
                MoveLibrary.shipped());
        assertThat(b.left().time().seconds()).isEqualTo(24);
        assertThat(b.right().time().seconds()).isEqualTo(12);
        assertThat(b.left().reps()).isEqualTo(8);
    }

    @Test
    void anOverriddenMoveBringsItsOwnTempo() {
        Timeline t =
                SampleSheets.timeline(HI + "circuit O  rounds 2  work 0:40\n  push-up\n    round 2: calf stretch\n");
        assertThat(t.segments().get(2).move()).isEqualTo("calf stretch");
        assertThat(t.segments().get(2).tempo())
                .isEqualTo(
                        MoveLibrary.shipped().find("calf stretch").orElseThrow().tempo());
    }

    @Test
    void presentersLoadsEffortAndPoliciesAreRead() {
        RunSheet sheet = SampleSheets.timeline(
                        "presenters: Fern leads moves centre, Ada narrates, Rowan moves level Oak right\nlevels: "
                                + "Sapling main centre, Oak harder right\npolicy: knee over toes, end-card left\n" + HI
                                + "circuit H  work 0:30\n  squat  load 2 x 12 kg  effort 8\n")
                .sheet();
        assertThat(sheet.errors()).isEmpty();
        assertThat(sheet.header().presenters()).extracting(Presenter::name).containsExactly("Fern", "Ada", "Rowan");
        assertThat(sheet.header().presenters().get(2).levels()).containsExactly("Oak");
        assertThat(sheet.header().policy().choice("knee")).contains("over toes");
        Load load = sheet.blocks().get(1).moves().get(0).attributes().load().orElseThrow();
        assertThat(load.shown()).isEqualTo("2 × 12 kg (26 lb)");
        assertThat(Load.parse("25 lb").orElseThrow().shown()).isEqualTo("11.5 kg (25 lb)");
    }

    @Test
    void aFifthLevelAndAnUnknownLevelAreErrors() {
        RunSheet five = SampleSheets.timeline("levels: A main, B harder, C harder, D easier, E easier\n" + HI)
                .sheet();
        assertThat(five.errors()).hasSize(1);
        RunSheet unknown = SampleSheets.timeline("levels: Bud main, Bloom harder\n" + HI
                        + "circuit H  work 0:30\n  squat\n    level Blom: squat jump\n")
                .sheet();
        assertThat(unknown.errors()).hasSize(1);
        assertThat(unknown.errors().get(0).nearest()).isEqualTo("Bloom");
    }

    @Test
    void aBlockWordOnAMoveIsRemarkedOn() {
        assertThat(SampleSheets.timeline(HI + "circuit H  work 0:30\n  squat  rounds 3\n")
                        .sheet()
                        .problems())
                .singleElement()
                .satisfies(p -> {
                    assertThat(p.note()).isTrue();
                    assertThat(p.message()).contains("no effect");
                });
    }

    /** Rubbish of every kind: clear errors, no exception, and what can be read still loads. */
    @ParameterizedTest
    @MethodSource("rubbish")
    void rubbishIsToldAndTheRestLoads(String sheet) {
        Timeline timeline = SampleSheets.timeline(sheet + "\ncircuit Sound  work 0:30\n  squat\n");
        List<Finding> findings = PlanCheck.findings(timeline, MoveLibrary.shipped());
        assertThat(timeline.segments()).extracting(Segment::id).contains("sound/squat");
        assertThat(findings).isNotEmpty();
        assertThat(timeline.segments())
                .allSatisfy(s -> assertThat(s.duration().isPositive()).isTrue());
    }

    static Stream<String> rubbish() {
        return Stream.of(
                "talk Hi  -0:10\ncircuit A  rounds 0  work 0:00  rest -5\n  squat  reps 0",
                "promise: 0 min\ncircuit A  work 0:99",
                "rest 10:00:00\ntalk  0:00",
                "circuit عربى  work 0:40\n  سكوات  work 0:30",
                "circuit Üben  work 0:40\n  élévation latérale",
                "\u0000\u0001\ufffd\n\t\t\t\n   |||  | |",
                "level X: y\nround 9: z\nview at\nrep:\n  rep: ,,,",
                "circuit A  rounds 9999  work 0:40\n  squat",
                "counts: 1\n  squat  counts ((((1-1 x2",
                "::::\n: a\na:\n#\n  # only a comment",
                "circuit " + "x".repeat(5000) + "\n  " + "y ".repeat(5000));
    }
}
