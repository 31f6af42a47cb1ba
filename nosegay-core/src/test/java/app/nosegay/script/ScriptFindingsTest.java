package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.Finding;
import app.nosegay.plan.FindingReasons;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.ChangeOver;
import app.nosegay.script.ScriptNotes.Decided;
import app.nosegay.script.ScriptNotes.Source;
import app.nosegay.script.check.Claims;
import app.nosegay.script.check.ScriptCheck;
import app.nosegay.script.check.TalkChecklist;
import app.nosegay.time.Length;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class ScriptFindingsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    private static final String HI = "talk Hi  0:40\n";

    private static List<Finding> findings(String sheet, ScriptNotes notes) {
        Timeline t = SampleSheets.timeline(sheet);
        CuePlan plan = CuePlanner.plan(t, LIBRARY, notes);
        return ScriptCheck.findings(t, plan, notes, LIBRARY, ChangeOver.of(t, LIBRARY, ChangeCosts.DEFAULT));
    }

    private static String circuit(String cues) {
        return HI + "circuit A  work 0:40  rest 0:30\n  squat\n" + cues + "talk Bye  0:30\n";
    }

    static Stream<Arguments> troubles() {
        return Stream.of(
                Arguments.of(
                        "script.no-room",
                        HI + "circuit A  work 0:20\n  squat\n  push-up\n    why: "
                                + "A long line about squats that goes on. ".repeat(5) + "\n"),
                Arguments.of("script.no-option", HI + "circuit A  work 0:40\n  watering dance\n"),
                Arguments.of("script.no-screening", "circuit A  work 0:40\n  squat\n"),
                Arguments.of(
                        "script.no-next-up",
                        HI
                                + "superset A  reps 3  sets 1\n  kettlebell deadlift  tempo 1-0-1\n  push-up  tempo 1-0-1\n"),
                Arguments.of(
                        "script.call-missing",
                        "calls: 10, in 3, out 3\n"
                                + circuit("    time: I'll tell you at half-way.\n".replace("time:", "permit:"))),
                Arguments.of("script.unheard", "calls: none\npicture: voice-only\n" + circuit("")),
                Arguments.of("script.unheard", "calls: half\n" + HI + "circuit A  work 0:40\n  plank\n"),
                Arguments.of("script.rep-undefined", HI + "superset A  reps 8  sets 1\n  squat + overhead press\n"),
                Arguments.of(
                        "script.end-card",
                        "policy: end-card left\n"
                                + circuit("").replace("talk Bye  0:30\n", "talk Bye  0:30\n  plug: See you.\n")),
                Arguments.of("script.no-breath", HI + "circuit A  work 0:40\n  watering dance\n    form: Slow.\n"),
                Arguments.of("script.claim", circuit("    why: This boosts your metabolism.\n")),
                Arguments.of("script.claim", circuit("    why: It melts belly fat.\n")),
                Arguments.of("script.claim-cure", circuit("    why: Squats cure arthritis.\n")),
                Arguments.of("script.shaming", circuit("    cheer: No excuses, stop being lazy.\n")),
                Arguments.of(
                        "script.field-unknown",
                        HI.replace("\n", "\n  next: {minuts} to go.\n") + "circuit A  work 0:40\n  squat\n"),
                Arguments.of(
                        "script.side",
                        HI
                                + "circuit A  work 0:40\n  single-arm row  sides separate\n    form: Pull the left elbow back.\n"),
                Arguments.of(
                        "script.number",
                        HI.replace("\n", "\n  next: Seven moves today.\n") + "circuit A  work 0:40\n  squat\n"),
                Arguments.of("script.number", circuit("    cheer: This is move three.\n")),
                Arguments.of("script.body-part", circuit("    feel: You feel it in the biceps.\n")),
                Arguments.of(
                        "script.policy", "policy: elbow soft\n" + circuit("    form: Lock your elbows at the top.\n")),
                Arguments.of(
                        "script.policy",
                        circuit("    form: Breathe out as you push up.\n    avoid: Breathe in as you push.\n")));
    }

    @ParameterizedTest(name = "{0}: {1}")
    @MethodSource("troubles")
    void isFound(String code, String sheet) {
        assertThat(findings(sheet, ScriptNotes.NONE)).anySatisfy(f -> {
            assertThat(f.code()).isEqualTo(code);
            assertThat(FindingReasons.of(code)).isNotBlank();
        });
    }

    @Test
    void anOptionThatComesLateIsTold() {
        ScriptNotes late = ScriptNotes.NONE.with(
                new Decided("a/watering-dance", "line", CueKind.EASIER, "Stay on the spot.", Length.ofSeconds(25)));
        assertThat(findings(HI + "circuit A  work 0:40\n  watering dance\n", late))
                .anyMatch(f -> f.code().equals("script.late-option"))
                .noneMatch(f -> f.code().equals("script.no-option"));
    }

    @Test
    void theSameFormLineEveryRoundIsTold() {
        ScriptNotes notes = ScriptNotes.NONE;
        for (String round : List.of("r1", "r2", "r3")) {
            notes = notes.with(new Decided(
                    "a/watering-dance/" + round, "line", CueKind.FORM, "Keep the can level.", Length.ofSeconds(8)));
        }
        String sheet = HI + "circuit A  rounds 3  work 0:40  rest 0:20\n  watering dance\n";
        assertThat(findings(sheet, notes)).anyMatch(f -> f.code().equals("script.same-form"));
    }

    @Test
    void moreSpeechThanTheChosenDensityIsANote() {
        ScriptNotes notes = ScriptNotes.NONE;
        for (int i = 0; i < 5; i++) {
            notes = notes.with(new Decided(
                    "a/squat",
                    "line " + i,
                    CueKind.CHEER,
                    "Keep the chest tall and the weight in the heels all the way down.",
                    Length.ofSeconds(1 + 6.5 * i)));
        }
        assertThat(findings("calls: none\ntalk-density: sparing\n" + circuit(""), notes))
                .anyMatch(f -> f.code().equals("script.dense") && f.severity() == Finding.Severity.NOTE);
        assertThat(findings("calls: none\ntalk-density: talkative\n" + circuit(""), notes))
                .noneMatch(f -> f.code().equals("script.dense"));
    }

    @Test
    void anHonestScriptHasNothingToMend() {
        String sheet = "title: Tidy\naudience: general\npolicy: end-card left\ntalk Hi  0:40\nwarm-up  each 0:40\n "
                + " march in place\nrest 0:20\ncircuit A  rounds 2  work 0:40  rest 0:30\n  squat\n  push-up\ncool-down "
                + " each 0:30\n  chest stretch  sides separate\ntalk Bye  0:30\n";
        assertThat(findings(sheet, ScriptNotes.NONE))
                .filteredOn(f -> f.severity() == Finding.Severity.STOP || f.severity() == Finding.Severity.FIX)
                .isEmpty();
    }

    @Test
    void wordsToAvoidAreFoundAndASourceSupportsAClaim() {
        ScriptNotes notes = ScriptNotes.NONE
                .withAvoid(List.of("girls"))
                .withSources(List.of(new Source("metabolism", "A review of 2024", "2025-03-01")));
        List<Finding> found = findings(circuit("    cheer: Come on girls, this boosts your metabolism.\n"), notes);
        assertThat(found).anyMatch(f -> f.code().equals("script.avoided"));
        assertThat(found)
                .anyMatch(f -> f.code().equals("script.claim")
                        && f.severity() == Finding.Severity.NOTE
                        && f.message().contains("2025-03-01"));
        assertThat(findings(circuit("    cheer: Girlfriends and boyfriends.\n"), notes))
                .noneMatch(f -> f.code().equals("script.avoided"));
    }

    @Test
    void aFixedLineOverACallOrTheEndIsTold() {
        ScriptNotes over = ScriptNotes.NONE.with(new Decided(
                "a/squat", "new line 1", CueKind.FORM, "Said right over the half-way call.", Length.ofSeconds(19.5)));
        assertThat(findings(circuit(""), over)).anyMatch(f -> f.code().equals("script.overlap"));
        ScriptNotes end = ScriptNotes.NONE.with(new Decided(
                "bye",
                "new line 1",
                CueKind.CHEER,
                "Said far too late for this little talk here.",
                Length.ofSeconds(29)));
        assertThat(findings(circuit(""), end)).anyMatch(f -> f.code().equals("script.over-end"));
    }

    @ParameterizedTest
    @CsvSource({
        "It burns belly fat fast, spot-fat",
        "Say goodbye to bingo wings, shaming",
        "This balances your hormones, hormones",
        "It turns back the clock, ageing",
        "Get your beach body, appearance",
        "You burn 500 calories in this, health",
        "This gets rid of back pain, cure",
        "No pain no gain, shaming"
    })
    void claimsAreToldApart(String line, String kind) {
        assertThat(Claims.in(line)).extracting(Claims.Claim::kind).contains(kind);
    }

    @ParameterizedTest
    @CsvSource({
        "Breathe out on the way up",
        "Weight through the whole foot",
        "Sit to the bench and stand",
        "Keep the belly soft as you breathe",
        "This trains the back of the arms"
    })
    void plainCuesAreNoClaims(String line) {
        assertThat(Claims.in(line)).isEmpty();
    }

    @Test
    void libraryWordingsMakeNoClaims() {
        LIBRARY.moves().forEach(m -> m.cues()
                .values()
                .forEach(texts -> texts.forEach(
                        t -> assertThat(Claims.in(t)).as(m.name() + ": " + t).isEmpty())));
    }

    @Test
    void fieldsStayTrueWhenThePlanChanges() {
        String sheet =
                "title: T\ngear: kettlebell medium, dumbbells 2 x 6 kg\nsides-spoken: mirrored\npolicy: end-card "
                        + "left\nlevels: Bud main centre, Oak harder right\ntalk Hi  0:40\n  next: {moves}, {rounds}, "
                        + "{minutes}, {gear}. {point}.\ncircuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  single-arm "
                        + "row  sides halves\n";
        Fields two = Fields.of(SampleSheets.timeline(sheet), LIBRARY);
        assertThat(two.filled("{moves}, {rounds}, {minutes}")).isEqualTo("Two moves, two rounds, 4 minutes");
        assertThat(two.value("gear")).isEqualTo("a medium kettlebell and dumbbells, 2 × 6 kg (13 lb)");
        assertThat(two.value("point")).isEqualTo("over here on your left");
        assertThat(two.value("levels")).contains("Oak on your right shows the harder way");
        Fields three = Fields.of(SampleSheets.timeline(sheet.replace("rounds 2", "rounds 3") + "  plank\n"), LIBRARY);
        assertThat(three.filled("{moves}, {rounds}")).isEqualTo("Three moves, three rounds");
        assertThat(Fields.of(SampleSheets.timeline(sheet.replace("mirrored", "own")), LIBRARY)
                        .value("point"))
                .isEqualTo("over here on my right");
        assertThat(two.unknown("{moves} {nonsense}")).containsExactly("nonsense");
    }

    @Test
    void anOwnLineReplacesWhatItSaysAndNoMore() {
        String sheet = "title: T\ntalk Hi  1:00\ncircuit A  work 0:40  rest 0:20\n  single-arm row  sides halves\ntalk "
                + "Bye  1:00\n  cheer: Lovely.\n";
        Timeline t = SampleSheets.timeline(sheet);
        List<TalkChecklist.Item> opening =
                TalkChecklist.opening(t, CuePlanner.plan(t, LIBRARY, ScriptNotes.NONE), LIBRARY);
        assertThat(opening)
                .filteredOn(i -> i.name().equals("screening") || i.name().equals("gear"))
                .allMatch(TalkChecklist.Item::said);
        List<TalkChecklist.Item> closing = TalkChecklist.closing(t, CuePlanner.plan(t, LIBRARY, ScriptNotes.NONE));
        // An own line replaces what it says, no more: the rest is still said.
        assertThat(closing).allMatch(TalkChecklist.Item::said);
    }
}
