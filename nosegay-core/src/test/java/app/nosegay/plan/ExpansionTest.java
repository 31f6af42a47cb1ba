package app.nosegay.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.library.MoveLibrary;
import app.nosegay.plan.check.PlanCheck;
import app.nosegay.plan.terms.Side;
import java.util.List;
import java.util.Locale;
import org.junit.jupiter.api.Test;

class ExpansionTest {
    private static String line(Segment s) {
        return String.format(
                Locale.ROOT,
                "%s %s %s+%s",
                s.id(),
                s.kind().word(),
                number(s.start().seconds()),
                number(s.duration().seconds()));
    }

    private static String number(double seconds) {
        return seconds == Math.rint(seconds) ? "" + (long) seconds : "" + seconds;
    }

    @Test
    void inOneWindowEveryMoveOfTheListCounts() {
        assertThat(SampleSheets.timeline("amrap  for 8:00\n  squat\n  push-up\n  lunge  bonus\n")
                        .workMoves(false))
                .containsExactly("squat", "push-up");
        assertThat(SampleSheets.timeline("amrap  work 1:00\n  squat\n  push-up\n")
                        .workMoves(false))
                .containsExactly("squat", "push-up");
    }

    @Test
    void theExampleExpandsAsPrinted() {
        Timeline timeline = SampleSheets.timeline(SampleSheets.wheelbarrow());
        assertThat(timeline.sheet().errors()).isEmpty();
        assertThat(timeline.segments().stream().map(ExpansionTest::line))
                .containsExactly(
                        "welcome talk 0+40",
                        "warm-up/march-in-place warmup 40+30",
                        "warm-up/hip-hinge-drill warmup 70+30",
                        "ground-work/goblet-squat/r1 work 100+40",
                        "ground-work/goblet-squat/r1/rest rest 140+20",
                        "ground-work/single-arm-row/r1/right work 160+17.5",
                        "ground-work/single-arm-row/r1/switch switch 177.5+5",
                        "ground-work/single-arm-row/r1/left work 182.5+17.5",
                        "ground-work/single-arm-row/r1/rest rest 200+20",
                        "ground-work/reverse-lunge/r1 work 220+40",
                        "ground-work/reverse-lunge/r1/rest rest 260+20",
                        "ground-work/band-pull-apart/r1 work 280+40",
                        "ground-work/band-pull-apart/r1/rest rest 320+20",
                        "ground-work/goblet-squat/r2 work 340+40",
                        "ground-work/goblet-squat/r2/rest rest 380+20",
                        "ground-work/single-arm-row/r2/right work 400+17.5",
                        "ground-work/single-arm-row/r2/switch switch 417.5+5",
                        "ground-work/single-arm-row/r2/left work 422.5+17.5",
                        "ground-work/single-arm-row/r2/rest rest 440+20",
                        "ground-work/reverse-lunge/r2 work 460+40",
                        "ground-work/reverse-lunge/r2/rest rest 500+20",
                        "ground-work/band-pull-apart/r2 work 520+40",
                        "rest rest 560+60",
                        "carry-and-press/kettlebell-deadlift/s1 work 620+36",
                        "carry-and-press/push-up/s1 work 656+48",
                        "carry-and-press/push-up/s1/rest rest 704+45",
                        "carry-and-press/kettlebell-deadlift/s2 work 749+36",
                        "carry-and-press/push-up/s2 work 785+48",
                        "carry-and-press/push-up/s2/rest rest 833+45",
                        "finisher/suitcase-march/right work 878+60",
                        "finisher/suitcase-march/left work 938+60",
                        "slow-burn/split-squat/right work 998+22",
                        "slow-burn/split-squat/left work 1020+22",
                        "together/side-lunge work 1042+40",
                        "together/side-lunge/rest rest 1082+15",
                        "together/curl work 1097+40",
                        "together/curl/rest rest 1137+15",
                        "together/side-lunge-curl work 1152+40",
                        "together/side-lunge-curl/rest rest 1192+15",
                        "top-up/push-press/r1 work 1207+30",
                        "top-up/push-press/r1/rest rest 1237+30",
                        "top-up/push-press/r2 work 1267+30",
                        "top-up/push-press/r2/rest rest 1297+30",
                        "top-up/push-press/r3 work 1327+30",
                        "top-up/push-press/r3/rest rest 1357+30",
                        "top-up/push-press/r4 work 1387+30",
                        "top-up/push-press/r4/rest rest 1417+30",
                        "cool-down/calf-stretch/right cooldown 1447+20",
                        "cool-down/calf-stretch/left cooldown 1467+20",
                        "cool-down/chest-opener cooldown 1487+20",
                        "goodbye talk 1507+30");
        assertThat(timeline.total().seconds()).isEqualTo(1537);
    }

    @Test
    void theExampleKeepsItsPromise() {
        Timeline timeline = SampleSheets.timeline(SampleSheets.wheelbarrow());
        List<Finding> findings = PlanCheck.findings(timeline, MoveLibrary.shipped());
        assertThat(findings).extracting(Finding::code).doesNotContain("plan.promise-length", "plan.promise-moves");
        assertThat(PlanCheck.sentence(timeline, MoveLibrary.shipped(), findings))
                .contains("is kept", "25:37");
    }

    @Test
    void oneIntervalHoldsBothHalvesAndTheSwitch() {
        Timeline timeline = SampleSheets.timeline(SampleSheets.wheelbarrow());
        Interval row = timeline.intervals().stream()
                .filter(i -> i.id().equals("ground-work/single-arm-row/r1"))
                .findFirst()
                .orElseThrow();
        assertThat(row.segments()).hasSize(3);
        assertThat(row.length().seconds()).isEqualTo(40);
    }

    @Test
    void restsTeachTheMoveThatFollowsTheFirstTimeOnly() {
        Timeline timeline = SampleSheets.timeline(SampleSheets.wheelbarrow());
        assertThat(timeline.segment("ground-work/goblet-squat/r1/rest")
                        .orElseThrow()
                        .teaches())
                .isEqualTo("single-arm row");
        assertThat(timeline.segment("ground-work/goblet-squat/r2/rest")
                        .orElseThrow()
                        .teaches())
                .isNull();
    }

    @Test
    void aSheetThatStartsWithWorkGetsItsOwnCountIn() {
        Timeline timeline = SampleSheets.timeline("circuit A  work 0:20  rest 0:10\n  squat\n  push-up\n");
        assertThat(timeline.segments().stream().map(ExpansionTest::line))
                .containsExactly(
                        "a/squat/count-in count-in 0+3",
                        "a/squat work 3+20",
                        "a/squat/rest rest 23+10",
                        "a/push-up work 33+20");
    }

    @Test
    void repsOnASideDoneAloneAreThatSides() {
        Timeline own = SampleSheets.timeline(
                "talk Hi  0:10\nstraight-sets A  sets 1  reps 5\n  split squat  sides separate  tempo 2-0-1\n");
        assertThat(own.segments().subList(1, 3)).extracting(Segment::reps).containsExactly(5, 5);
        Timeline inTurns = SampleSheets.timeline(
                "talk Hi  0:10\nstraight-sets A  sets 2  reps 10 in-all\n  split squat  sides sets  tempo 2-0-1\n");
        assertThat(inTurns.segments()).extracting(Segment::reps).contains(5).doesNotContain(10);
        Timeline shared = SampleSheets.timeline(
                "talk Hi  0:10\nstraight-sets A  sets 1  reps 11 in-all\n  split squat  sides separate  tempo 2-0-1\n");
        assertThat(shared.segments().subList(1, 3)).extracting(Segment::reps).containsExactly(6, 5);
        Timeline each = SampleSheets.timeline(
                "talk Hi  0:10\nstraight-sets A  sets 1  reps 11 each-side\n  split squat  sides halves  tempo 2-0-1\n");
        assertThat(each.segments()).extracting(Segment::reps).containsExactly(null, 11, null, 11);
        assertThat(each.total().seconds()).isEqualTo(10 + 33 + 5 + 33);
    }

    @Test
    void sidesByRoundAlternateFromTheStartSide() {
        Timeline timeline = SampleSheets.timeline(
                "start: left\ntalk Hi  0:10\ncircuit A  rounds 3  work 0:20  sides rounds\n  reverse lunge\n");
        assertThat(timeline.segments().subList(1, 4))
                .extracting(Segment::side)
                .containsExactly(Side.LEFT, Side.RIGHT, Side.LEFT);
        assertThat(PlanCheck.findings(timeline, MoveLibrary.shipped()))
                .extracting(Finding::code)
                .contains("plan.sides-uneven");
    }

    @Test
    void aDemonstrationBeforeComesOnceAndDropsTheRestBeforeIt() {
        Timeline timeline = SampleSheets.timeline(
                "circuit A  work 0:20  rest 0:10\n  squat\ncircuit B  rounds 2  work 0:20  rest 0:10  demo "
                        + "before  demo-time 0:12\n  push-up\n");
        assertThat(timeline.segments())
                .extracting(Segment::id)
                .containsExactly(
                        "a/squat/count-in",
                        "a/squat",
                        "b/push-up/r1/demo",
                        "b/push-up/r1",
                        "b/push-up/r1/rest",
                        "b/push-up/r2");
    }

    @Test
    void roundRestReplacesTheRestAfterARound() {
        Timeline timeline = SampleSheets.timeline(
                "talk Hi  0:10\ncircuit A  rounds 2  work 0:20  rest 0:10  round-rest 1:00\n  squat\n  push-up\n");
        assertThat(timeline.segments())
                .extracting(s -> s.duration().seconds())
                .containsExactly(10.0, 20.0, 10.0, 20.0, 60.0, 20.0, 10.0, 20.0);
    }

    @Test
    void editingOneBlockKeepsTheIdsOfTheOthers() {
        String text = SampleSheets.wheelbarrow();
        List<String> before = SampleSheets.timeline(text).segments().stream()
                .map(Segment::id)
                .filter(id -> !id.startsWith("ground-work"))
                .toList();
        List<String> after = SampleSheets.timeline(
                        text.replace("circuit Ground Work  rounds 2", "circuit Ground Work  rounds 5"))
                .segments()
                .stream()
                .map(Segment::id)
                .filter(id -> !id.startsWith("ground-work"))
                .toList();
        assertThat(after).isEqualTo(before);
    }

    @Test
    void segmentsAreSpokenOfByTheirMoveRoundAndSide() {
        Timeline t = SampleSheets.timeline(
                "title: T\ntalk Hello There  0:20\ncircuit A  rounds 2  work 0:40  rest 0:20\n  squat\n  "
                        + "single-arm row  sides separate\nsuperset B  sets 2  reps 8  rest 0:30\n  push-up\ntalk Bye "
                        + " 0:10\n");
        assertThat(t.segments().stream().map(s -> t.spoken(s.id())))
                .startsWith(
                        "Hello There",
                        "squat, round 1",
                        "rest after squat, round 1",
                        "single-arm row, round 1, right",
                        "single-arm row, round 1, left",
                        "rest after single-arm row, round 1",
                        "squat, round 2")
                .contains("push-up, set 2", "rest after push-up, set 1");
        assertThat(t.segments().stream().map(s -> t.spoken(s.id()))).doesNotHaveDuplicates();
        assertThat(t.spoken("gone/away")).isEqualTo("gone/away");
    }
}
