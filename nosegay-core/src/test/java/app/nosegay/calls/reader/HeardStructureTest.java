package app.nosegay.calls.reader;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.nosegay.calls.Call;
import app.nosegay.calls.CallKind;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** What calls alone tell of the structure of a workout. */
class HeardStructureTest {
    private final List<Call> calls = new ArrayList<>();

    private HeardStructureTest call(CallKind kind, double at, double end, Integer value, String of, String text) {
        calls.add(new Call(kind, value, null, of, Time.ofSeconds(at), Time.ofSeconds(end), text));
        return this;
    }

    private HeardStructureTest next(double at, String move) {
        return call(CallKind.NEXT_UP, at, at + 1, null, move, "next up");
    }

    private HeardStructureTest in(double at) {
        return call(CallKind.COUNT_IN, at - 3, at, 3, null, "three, two, one");
    }

    private HeardStructureTest rest(double at) {
        return call(CallKind.REST, at, at + 0.5, null, null, "and rest");
    }

    private HeardStructureTest left(double at, int seconds) {
        return call(CallKind.SECONDS_LEFT, at, at + 1, seconds, null, seconds + " seconds");
    }

    private HeardStructureTest half(double at) {
        return call(CallKind.HALF_WAY, at, at + 1, null, "interval", "half-way");
    }

    private HeardStructureTest switched(double at) {
        return call(CallKind.SWITCH_SIDE, at, at + 1, null, null, "switch");
    }

    private List<HeardStructure.Heard> work() {
        return HeardStructure.of(calls).stream()
                .filter(h -> h.kind().equals("work"))
                .toList();
    }

    @Test
    void workIsBetweenACountAndARest() {
        next(2, "squat").in(10).rest(50);
        next(52, "plank").in(70).rest(110);
        List<HeardStructure.Heard> heard = HeardStructure.of(calls);
        assertThat(heard).extracting(HeardStructure.Heard::kind).containsExactly("talk", "work", "rest", "work");
        assertThat(heard.get(1).span().start().seconds()).isEqualTo(10);
        assertThat(heard.get(1).span().end().seconds()).isEqualTo(50);
        assertThat(work()).extracting(HeardStructure.Heard::move).containsExactly("squat", "plank");
        assertThat(work()).allSatisfy(h -> assertThat(h.doubt()).isLessThan(0.2));
    }

    @Test
    void aStartThatNobodyCalledIsReckonedFromTheHalf() {
        next(2, "squat").in(10).rest(50);
        next(52, "plank").half(90).rest(110);
        assertThat(work()).hasSize(2);
        assertThat(work().get(1).span().start().seconds()).isCloseTo(70, within(0.01));
        assertThat(work().get(1).doubt()).isBetween(0.3, 0.5);
        assertThat(work().get(1).move()).isEqualTo("plank");
    }

    @Test
    void aHalfThatWouldReachIntoTheWorkBeforeSaysNothing() {
        in(10).rest(50).half(60).rest(100);
        assertThat(work()).hasSize(1);
    }

    @Test
    void anEndThatNobodyCalledIsReckonedFromTheTimeLeft() {
        next(2, "squat").in(10).left(40, 10);
        next(52, "plank").in(70).rest(110);
        assertThat(work()).hasSize(2);
        assertThat(work().get(0).span().end().seconds()).isEqualTo(50);
        assertThat(work().get(1).span().start().seconds()).isEqualTo(70);
    }

    @Test
    void theTimeLeftOfTheRestEndsTheWorkBefore() {
        next(2, "squat").in(10).left(45, 5).left(53, 60);
        assertThat(work()).hasSize(1);
        assertThat(work().get(0).span().end().seconds()).isEqualTo(50);
    }

    @Test
    void workThatGoesOnAtTheEndOfTheRecordingCounts() {
        next(2, "squat").in(10).left(40, 10);
        assertThat(work()).hasSize(1);
        assertThat(work().get(0).span().end().seconds()).isEqualTo(50);
        calls.clear();
        in(10).call(CallKind.REPS_LEFT, 45, 46, 2, null, "two more");
        assertThat(work().get(0).span().end().seconds()).isEqualTo(45);
        assertThat(work().get(0).doubt()).isGreaterThan(0.6);
    }

    @Test
    void aMoveWhoseNameWasNotUnderstoodIsNotTakenForTheOneBefore() {
        next(2, "squat").in(10).rest(50);
        next(52, null).in(70).rest(110);
        assertThat(work()).extracting(HeardStructure.Heard::move).containsExactly("squat", null);
        assertThat(work().get(1).doubt()).isGreaterThanOrEqualTo(0.4);
    }

    @Test
    void aMoveNoLibraryKnowsIsKeptAsItWasSaid() {
        next(2, "squat").in(10).rest(50);
        call(CallKind.NEXT_UP, 52, 54, null, null, "Next one is skaters").in(70).rest(110);
        assertThat(work()).extracting(HeardStructure.Heard::move).containsExactly("squat", "skaters");
    }

    @Test
    void aSecondRoundWithoutNamesGoesOnInTheOrderOfTheFirst() {
        next(2, "squat").in(10).rest(50);
        next(52, "plank").in(70).rest(110);
        next(112, "squat").in(130).rest(170);
        in(190).rest(230);
        assertThat(work()).extracting(HeardStructure.Heard::move).containsExactly("squat", "plank", "squat", "plank");
        assertThat(work()).extracting(HeardStructure.Heard::round).containsExactly(1, 1, 2, 2);
    }

    @Test
    void setsOfOneMoveNeedItsNameOnce() {
        next(2, "squat").in(10).rest(50);
        in(70).rest(110);
        assertThat(work()).extracting(HeardStructure.Heard::move).containsExactly("squat", "squat");
    }

    @Test
    void theOtherSideIsNoRoundOfItsOwn() {
        next(2, "row").in(10).rest(50).switched(52);
        in(60).rest(100);
        assertThat(work())
                .extracting(HeardStructure.Heard::sides)
                .containsExactly(HeardStructure.Sides.NONE, HeardStructure.Sides.SEPARATE);
        assertThat(work()).extracting(HeardStructure.Heard::round).containsExactly(1, 1);
        assertThat(DraftSheet.of(HeardStructure.of(calls), calls))
                .contains("  row  sides separate\n")
                .doesNotContain("rounds 2");
    }

    @Test
    void aChangeHalfWayIsOfHalves() {
        next(2, "row").in(10).switched(30).rest(50);
        assertThat(DraftSheet.of(HeardStructure.of(calls), calls)).contains("  row  sides halves\n");
    }

    @Test
    void whatIsToldIsTheFrameOfTheDraft() {
        call(CallKind.TOTAL, 0, 1, 20, "minutes", "20 minutes")
                .call(CallKind.TOTAL, 1, 2, 45, "work-seconds", "45 seconds")
                .call(CallKind.TOTAL, 2, 3, 15, "rest-seconds", "15 seconds")
                .call(CallKind.TOTAL, 3, 4, 3, "rounds", "three rounds")
                .call(CallKind.TOTAL, 4, 5, 4, "moves", "four moves")
                .next(6, "squat")
                .in(10)
                .rest(50);
        assertThat(DraftSheet.of(HeardStructure.of(calls), calls))
                .contains(
                        "promise: 20 min\n", "rounds 3  work 0:45  rest 0:15\n", "4 moves were promised, 1 were heard");
    }

    @Test
    void movesThatAreOnlyNamedAreADraftToo() {
        next(2, "squat").next(60, "plank").next(120, "squat");
        assertThat(work()).isEmpty();
        assertThat(DraftSheet.of(HeardStructure.of(calls), calls))
                .contains("circuit Heard  rounds 2  work 0:40  rest 0:20\n  squat\n", "  plank\n");
    }

    private static String draft(HeardStructureTest said) {
        return DraftSheet.of(HeardStructure.of(said.calls), said.calls);
    }

    @Test
    void aWarmUpAndACoolDownStandApartFromTheRounds() {
        double at = 20;
        for (String move : List.of("march in place", "hip circle", "arm swing")) {
            next(at, move).in(at + 2).rest(at + 32);
            at += 33;
        }
        at += 20;
        for (int round = 0; round < 3; round++) {
            for (String move : List.of("squat", "push-up", "plank")) {
                next(at, move).in(at + 15).rest(at + 55);
                at += 60;
            }
        }
        at += 15;
        for (String move : List.of("quad stretch", "chest opener")) {
            next(at, move).in(at + 2).rest(at + 22);
            at += 23;
        }
        assertThat(draft(this))
                .contains("warm-up  each 0:30\n  march in place\n")
                .contains("circuit Heard  rounds 3  work 0:40  rest 0:20\n  squat\n")
                .contains("cool-down  each 0:20\n  quad stretch\n");
        assertThat(DraftSheet.chapters(HeardStructure.of(calls), calls))
                .isEqualTo("0:00 Welcome\n0:22 Warm-up\n2:34 Squat, push-up and 1 more\n11:36 Cool-down");
    }

    @Test
    void setsOfOneMoveAreNoCircuit() {
        double at = 10;
        for (String move : List.of("squat", "bent-over row")) {
            for (int set = 0; set < 3; set++) {
                next(at, move)
                        .call(CallKind.TOTAL, at + 1, at + 2, 10, "reps", "ten reps")
                        .in(at + 3)
                        .rest(at + 33);
                at += 78;
            }
        }
        assertThat(draft(this))
                .contains("straight-sets Heard  sets 3  reps 10  rest 0:50\n  squat\n", "  bent-over row\n");
    }

    @Test
    void movesBackToBackAreASuperset() {
        double at = 10;
        for (int set = 0; set < 3; set++) {
            next(at, "squat").in(at + 1).rest(at + 31);
            next(at + 32, "push-up").in(at + 34).rest(at + 64);
            at += 124;
        }
        assertThat(draft(this)).contains("superset Heard  sets 3  work 0:30  rest 1:00\n  squat\n", "  push-up\n");
    }

    /** An interval that was missed, or whose move was, changes nothing of the rounds. */
    @Test
    void oneMissedMoveDoesNotTearARoundApart() {
        double at = 10;
        for (int round = 0; round < 3; round++) {
            for (String move : List.of("squat", "push-up", "plank", "reverse lunge")) {
                boolean missed = round == 1 && move.equals("plank");
                if (!missed) {
                    next(at, move).in(at + 15).rest(at + 55);
                }
                at += 60;
            }
        }
        assertThat(draft(this)).contains("circuit Heard  rounds 3  work 0:40  rest 0:20\n");
        assertThat(draft(this).lines().filter(l -> l.matches("  [a-z].*"))).hasSize(4);
    }

    @Test
    void roundsThatAreToldCount() {
        call(CallKind.ORDINAL, 1, 2, 3, null, "round three")
                .next(3, "squat")
                .in(10)
                .rest(50);
        assertThat(work().get(0).round()).isEqualTo(3);
    }

    /** Whatever is called: the stretches follow each other, work is of some length, and doubts are shares. */
    @Property(tries = 200)
    void stretchesNeverOverlap(@ForAll @IntRange(max = 1_000_000) int seed) {
        Random random = new Random(seed);
        List<Call> any = new ArrayList<>();
        double at = 0;
        for (int i = 0; i < 60; i++) {
            at += random.nextDouble() * 20;
            CallKind kind = CallKind.values()[random.nextInt(CallKind.values().length)];
            String of = kind == CallKind.HALF_WAY ? "interval" : random.nextBoolean() ? "squat" : null;
            any.add(new Call(
                    kind, 1 + random.nextInt(30), null, of, Time.ofSeconds(at), Time.ofSeconds(at + 1), "round"));
        }
        List<HeardStructure.Heard> heard = HeardStructure.of(any);
        for (int i = 0; i < heard.size(); i++) {
            HeardStructure.Heard h = heard.get(i);
            assertThat(h.span().length().isPositive()).as("seed " + seed).isTrue();
            assertThat(h.doubt()).isBetween(0.0, 1.0);
            if (i > 0) {
                assertThat(h.span().start())
                        .as("seed " + seed)
                        .isGreaterThanOrEqualTo(heard.get(i - 1).span().end());
            }
        }
        assertThat(DraftSheet.of(heard, calls)).isNotEmpty();
    }
}
