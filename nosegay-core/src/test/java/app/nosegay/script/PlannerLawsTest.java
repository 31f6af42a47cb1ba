package app.nosegay.script;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.CueKind;
import app.nosegay.library.Move;
import app.nosegay.library.MoveLibrary;
import app.nosegay.library.Position;
import app.nosegay.plan.Finding;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.check.ChangeCosts;
import app.nosegay.plan.check.PlanReport;
import app.nosegay.script.check.ScriptCheck;
import app.nosegay.script.check.TalkChecklist;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.TreeMap;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the planner says of its own accord: never against its own rules, never twice, never more load where that may harm. */
class PlannerLawsTest {
    private static final MoveLibrary LIBRARY = MoveLibrary.shipped();
    /** Of what is said, whoever wrote it. */
    private static final Set<String> OF_WORDS = Set.of(
            "script.policy",
            "script.body-part",
            "script.claim",
            "script.claim-cure",
            "script.shaming",
            "script.side",
            "script.number",
            "script.avoided",
            "script.field-unknown");

    private static final List<String> AUDIENCES = List.of(
            "general",
            "beginner",
            "pregnancy 1",
            "pregnancy 3",
            "after birth",
            "older adult",
            "wrist trouble",
            "shoulder trouble",
            "returning after treatment",
            "knee trouble",
            "lower-back trouble",
            "chair-based");
    private static final List<String> POLICIES = List.of(
            "knee over toes",
            "knee behind toes",
            "knee in line",
            "pelvis tucked",
            "pelvis neutral",
            "pelvis arched",
            "gaze forward",
            "gaze down",
            "elbow locked",
            "elbow soft",
            "press path in front",
            "press path straight up",
            "raise height below shoulder",
            "raise height above shoulder",
            "breath out on effort",
            "breath in on effort",
            "breath held");

    private static CuePlan plan(Timeline timeline) {
        return CuePlanner.plan(timeline, LIBRARY, ScriptNotes.NONE);
    }

    private static List<Finding> findings(Timeline timeline) {
        PlanReport report = PlanReport.of(timeline, LIBRARY, ChangeCosts.DEFAULT);
        return ScriptCheck.findings(timeline, plan(timeline), ScriptNotes.NONE, LIBRARY, report.changeOvers());
    }

    private static String head(String audience) {
        return "title: T\naudience: " + audience
                + "\ngear: dumbbell pair light, chair\npolicy: elbow soft, knees over toes\ntalk Hi  0:40\n";
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "general",
                "pregnancy 2",
                "older adult",
                "returning after treatment",
                "knee trouble",
                "chair-based"
            })
    void noWordingOfTheLibraryRaisesAFindingOfItsOwn(String audience) {
        Map<String, String> wrong = new TreeMap<>();
        for (Move move : LIBRARY.moves()) {
            String sides = move.sided().isEmpty() ? "" : "  sides separate";
            Timeline t = SampleSheets.timeline(
                    head(audience) + "circuit A  rounds 3  work 1:00  rest 0:40\n  " + move.name() + sides + "\n");
            for (Finding f : findings(t)) {
                if (OF_WORDS.contains(f.code())) {
                    wrong.put(move.name() + " " + f.code(), f.message());
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Every move, each time with other values of everything that changes what is said. */
    @Test
    void nothingTheSheetSaysMakesThePlannerContradictItself() {
        List<String> ways = List.of("none", "halves", "separate", "rounds", "alternate", "sets", "chain");
        List<String> positions =
                new ArrayList<>(Position.all().stream().map(Position::word).toList());
        positions.add("");
        Random random = new Random(20261130);
        Map<String, String> wrong = new TreeMap<>();
        for (Move move : LIBRARY.moves()) {
            for (int i = 0; i < 6; i++) {
                String position = positions.get(random.nextInt(positions.size()));
                String sides = move.sided().isEmpty() ? "none" : ways.get(random.nextInt(ways.size()));
                String levels = random.nextBoolean() ? "levels: Seedling easier left, Oak main right\n" : "";
                String ofLevel = levels.isEmpty() ? "" : "    level Seedling: " + move.name() + "  load light\n";
                String sheet = "title: T\naudience: " + AUDIENCES.get(random.nextInt(AUDIENCES.size()))
                        + "\ngear: dumbbell pair light, chair\npolicy: " + POLICIES.get(random.nextInt(POLICIES.size()))
                        + "\nsides-spoken: " + (random.nextBoolean() ? "own" : "mirrored") + "\n" + levels
                        + "talk Hi  0:40\ncircuit A  rounds 2  work 1:00  rest 0:30  sides " + sides
                        + (random.nextBoolean() ? "  demo before" : "") + "\n  " + move.name()
                        + (position.isEmpty() ? "" : "  position " + position) + "\n" + ofLevel;
                for (Finding f : findings(SampleSheets.timeline(sheet))) {
                    if (OF_WORDS.contains(f.code())) {
                        wrong.put(move.name() + " " + f.code() + "\n" + sheet, f.message());
                    }
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    @Test
    void nobodySeatedIsToldToStandAndNobodyStandingToSit() {
        List<String> wrong = new ArrayList<>();
        for (Position position : Position.all()) {
            for (Move move : LIBRARY.moves()) {
                Timeline t = SampleSheets.timeline(head("general") + "circuit A  work 1:00  rest 0:40\n  " + move.name()
                        + "  position " + position.word() + "\n");
                boolean other = t.segments().stream()
                        .filter(s -> s.kind().isMoving())
                        .flatMap(s -> s.moves(LIBRARY).stream())
                        .anyMatch(m -> !m.equals(move) && m.name().equals(move.name()));
                for (ScriptLine line : plan(t).lines()) {
                    boolean cue = line.segment().startsWith("a/") && line.kind() != CueKind.NEXT;
                    String said = line.text().replace(position.setUp(), "").replace(position.easier(), "");
                    if (other && cue && position.against().matcher(said).find() && !said.startsWith("One rep")) {
                        wrong.add(position.word() + " " + move.name() + ": " + line.text());
                    }
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(strings = {"pregnancy 2", "returning after treatment", "after birth", "lower-back trouble"})
    void nobodyWhoSparesThemselvesIsAskedForMore(String audience) {
        Timeline t = SampleSheets.timeline(head(audience)
                + "straight-sets A  sets 3  reps 10  rest 0:45\n  curl\n  single-arm row  sides separate\n");
        assertThat(plan(t).lines()).noneMatch(l -> l.kind() == CueKind.HARDER);
    }

    @Test
    void moreLoadIsAdvisedOnceAndNeverBetweenTheSides() {
        Timeline t = SampleSheets.timeline(head("general")
                + "straight-sets A  sets 2  reps 10  rest 0:45\n  single-arm row  sides separate\n  curl\n");
        List<ScriptLine> more = plan(t).lines().stream()
                .filter(l -> l.text().contains("something heavier"))
                .toList();
        assertThat(more).hasSize(1);
        assertThat(more.get(0).segment()).doesNotEndWith("/left");
        Timeline written = SampleSheets.timeline(
                head("general") + "straight-sets A  sets 3  reps 10  rest 0:45\n  curl  load 8 kg\n");
        assertThat(plan(written).lines()).noneMatch(l -> l.text().contains("something heavier"));
    }

    @Test
    void aDemonstrationIsAnnouncedAndNothingIsSameAgainAtFirst() {
        Timeline t = SampleSheets.timeline(
                head("general") + "circuit A  rounds 2  work 0:40  rest 0:20  demo before\n  squat\n  push-up\n");
        List<String> said = plan(t).lines().stream().map(ScriptLine::text).toList();
        assertThat(said).anyMatch(s -> s.startsWith("First, squat")).anyMatch(s -> s.startsWith("Next, push-up"));
        assertThat(said).noneMatch(s -> s.startsWith("Same again")).doesNotContain("Well done.");
        assertThat(t.segments())
                .filteredOn(s -> s.id().endsWith("/demo"))
                .hasSize(2)
                .allSatisfy(s -> assertThat(s.duration().seconds()).isBetween(20.0, 45.0));
    }

    @Test
    void joinedMovesHaveWordsOfTheirOwn() {
        Timeline t = SampleSheets.timeline(
                head("general") + "superset A  sets 2  reps 8  rest 1:00\n  squat + overhead press\n");
        List<String> said = plan(t).lines().stream().map(ScriptLine::text).toList();
        assertThat(said)
                .contains("One rep is a squat, then an overhead press.", "Easier: Leave out the overhead press.")
                .anyMatch(s -> s.startsWith("First, squat and overhead press"));
    }

    @Test
    void whatChangesInTheSameMoveIsSaid() {
        Timeline t = SampleSheets.timeline(head("general")
                + "circuit A  work 0:40  rest 0:20\n  side lunge  sides alternate\n  side lunge  sides halves\n"
                + "  squat  tempo 2-0-1\n  squat  tempo 4-1-1\n  squat  hold 0:20\n"
                + "rest 1:00  active march in place\nrest 0:30  active water break\n");
        List<String> said = plan(t).lines().stream().map(ScriptLine::text).toList();
        assertThat(said)
                .anyMatch(s -> s.contains("now one side at a time"))
                .anyMatch(s -> s.contains("now four down, one held, one up"))
                .anyMatch(s -> s.contains("now held still"))
                .contains("Keep moving: march in place.", "Have some water.");
    }

    @Test
    void fromTwoToOneIsAChangeOver() {
        Timeline t = SampleSheets.timeline(head("general")
                + "circuit A  work 0:40  rest 0:20\n  curl  gear dumbbell pair light\n  squat  gear dumbbell light\n");
        assertThat(plan(t).lines()).anyMatch(l -> l.text().equals("Put one dumbbell down."));
        assertThat(PlanReport.of(t, LIBRARY, ChangeCosts.DEFAULT).changeOvers())
                .anyMatch(c -> c.describe().contains("put one dumbbell down"));
    }

    @Test
    void noCheerComesTwiceInTwoMinutesAndNoCautionTwice() {
        Timeline t = SampleSheets.timeline(head("general")
                + "circuit A  rounds 6  work 0:40  rest 0:20\n  squat\n    caution: Stop at sharp pain.\n  push-up\n"
                + "    caution: Stop at sharp pain.\n  plank\n");
        Map<String, Double> last = new HashMap<>();
        for (ScriptLine l : plan(t).lines()) {
            if (l.kind() == CueKind.CHEER) {
                Double before = last.put(l.text(), l.start().seconds());
                assertThat(before == null || l.start().seconds() - before >= 120)
                        .as(l.text())
                        .isTrue();
            }
        }
        assertThat(plan(t).lines())
                .filteredOn(l -> l.text().equals("Stop at sharp pain."))
                .hasSize(1);
    }

    @Test
    void aLevelIsSaidByWhatDiffers() {
        Timeline t = SampleSheets.timeline("levels: Seed easier left, Oak main right\n" + head("general")
                + "circuit A  work 0:40  rest 0:40\n  squat\n    level Seed: squat  tempo 2-0-2\n");
        assertThat(plan(t).lines()).anyMatch(l -> l.text().startsWith("Seed: "));
    }

    @Test
    void aLongSilenceIsFound() {
        Timeline t = SampleSheets.timeline("picture: voice-only\ncalls: none\n" + head("general")
                + "circuit A  work 0:40  rest 0:40\n  squat\n"
                + "talk Chat  1:00\nrest 0:20\ncircuit B  work 0:40\n  plank\ntalk Bye  0:30\n");
        assertThat(findings(t)).anyMatch(f -> f.code().equals("script.silence"));
    }

    private static List<String> said(String sheet) {
        return plan(SampleSheets.timeline(sheet)).lines().stream()
                .map(ScriptLine::text)
                .toList();
    }

    @Test
    void whatToTakeIsForAfterwardsWhileSomethingElseIsStillDone() {
        List<String> said =
                said(head("general") + "superset A  sets 2  reps 10  rest 1:00\n  squat\n  overhead press\n");
        assertThat(said).anyMatch(s -> s.startsWith("Then take the"));
        List<String> withRests =
                said(head("general") + "circuit A  rounds 2  work 0:40  rest 0:30\n  squat\n  overhead press\n");
        assertThat(withRests).anyMatch(s -> s.startsWith("Take the")).noneMatch(s -> s.startsWith("Then take"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "straight-sets A  sets 3  reps 10  rest 1:00 | First, curl, three sets of ten.",
                "superset A  sets 2  reps 10-15  rest 1:00 | First, curl, ten to fifteen reps.",
                "circuit A  rounds 2  reps about 12  rest 1:00 | First, curl, about twelve reps.",
                "circuit A  rounds 2  work 0:40  rest 0:30 | First, curl."
            })
    void howManyIsSaidOnceForEachLine(String block, String first) {
        List<String> said = said(head("general") + block + "\n  curl\n  reverse fly\n");
        assertThat(said).contains(first);
        assertThat(said).filteredOn(s -> s.contains("curl, ")).hasSizeLessThanOrEqualTo(1);
    }

    @Test
    void aCautionIsSaidOnceWhereItFirstMatters() {
        List<ScriptLine> lines = plan(SampleSheets.timeline(head("general")
                        + "circuit A  rounds 2  work 0:40  rest 0:30\n  curl\n  overhead press\n  triceps extension\n"))
                .lines();
        assertThat(lines)
                .filteredOn(l -> l.text().startsWith("Lift overhead only"))
                .singleElement()
                .satisfies(l -> assertThat(l.segment()).startsWith("a/overhead-press/r1"));
        List<String> own = said(head("general")
                + "circuit A  work 0:40  rest 0:30\n  overhead press\n    caution: Only as high as is easy.\n");
        assertThat(own).contains("Only as high as is easy.").noneMatch(s -> s.startsWith("Lift overhead only"));
    }

    @Test
    void theClosingThanksOnceAndSpeaksOfNoVideoNobodySees() {
        String sheet = head("general") + "circuit A  work 0:40\n  squat\ntalk Bye  0:30\n";
        assertThat(said(sheet)).filteredOn(s -> s.contains("Well done")).hasSize(1);
        assertThat(said(sheet)).contains("See you next time.").noneMatch(s -> s.contains("next one"));
        assertThat(findings(SampleSheets.timeline(sheet)))
                .noneMatch(f -> f.code().equals("script.end-card"));
        String pointing = sheet.replace("policy: elbow soft, knees over toes", "policy: end-card left");
        assertThat(said(pointing)).anyMatch(s -> s.startsWith("The next one is"));
    }

    @Test
    void aClosingTooShortForItsItemsSaysWhichAreMissing() {
        Timeline t = SampleSheets.timeline(head("general") + "circuit A  work 0:40\n  squat\ntalk Bye  0:06\n");
        assertThat(TalkChecklist.closing(t, plan(t)))
                .anyMatch(TalkChecklist.Item::said)
                .anyMatch(i -> !i.said() && !i.how().isEmpty());
    }

    @Test
    void whereALevelShowsItsWayNoOtherEasierWayIsTold() {
        String levels = "levels: Low easier left, Mid main centre, High harder right\n" + head("general");
        List<String> said = said(levels
                + "circuit A  work 0:40  rest 0:20\n  push-up\n    level Low: wall push-up\n"
                + "    level High: push-up  tempo 3-1-1\n");
        assertThat(said)
                .contains("Low: wall push-up.", "High: three down, one held, one up.")
                .noneMatch(s -> s.startsWith("Easier:") || s.startsWith("Harder:"));
    }

    @Test
    void aWeightIsPutOutOfTheWayOfTravellingFeet() {
        List<String> said = said(head("general")
                + "circuit A  rounds 2  work 0:40  rest 0:30\n  curl\n  reverse lunge  sides alternate\n");
        assertThat(said).contains("Put the dumbbells out of the way.");
    }
}
