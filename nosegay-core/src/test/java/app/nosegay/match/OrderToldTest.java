package app.nosegay.match;

import static org.assertj.core.api.Assertions.assertThat;

import app.nosegay.captions.Caption;
import app.nosegay.evidence.TakeEvidence;
import app.nosegay.evidence.Trace;
import app.nosegay.plan.SampleSheets;
import app.nosegay.plan.Segment;
import app.nosegay.plan.Timeline;
import app.nosegay.plan.terms.SegmentKind;
import app.nosegay.shoot.ShootLog;
import app.nosegay.time.Length;
import app.nosegay.time.Span;
import app.nosegay.time.Time;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.IntRange;
import org.junit.jupiter.api.Test;

/** Which segments a take holds, where lengths alone fit more than one order: names and the log tell it. */
class OrderToldTest {
    private final Timeline timeline = SampleSheets.timeline(
            "title: T\ntalk Hi  0:20\ncircuit A  rounds 3  work 0:40  rest 0:20\n  squat\n  push-up\n "
                    + " plank\n  reverse lunge\ntalk Bye  0:10\n");

    private final List<Caption> words = new ArrayList<>();

    private void say(double at, String text) {
        words.add(new Caption(Time.ofSeconds(at), Time.ofSeconds(at + text.length() / 14.0), text));
    }

    /** A set of forty seconds and the rest before it, in which the move is announced. */
    private double done(double at, String move) {
        say(at + 0.2, "And rest. Next, " + move + ".");
        say(at + 20, "Go!");
        return at + 60;
    }

    private static TakeEvidence take(String id, double seconds, List<TakeEvidence.Beep> beeps, List<Caption> words) {
        return new TakeEvidence(
                id, id + ".mp4", Length.ofSeconds(seconds), List.of(), beeps, Trace.NONE, Trace.NONE, null, words);
    }

    /** One done twice and, five sets later, one left out: on the clock all fits, one interval off. */
    @Test
    void whatIsAnnouncedInARestIsWhatFollowsIt() {
        say(0.4, "Hello. The first one is the squat.");
        say(20, "Go!");
        List<String> order = List.of(
                "squat",
                "push-up",
                "plank",
                "reverse lunge",
                "squat",
                "push-up",
                "plank",
                "squat",
                "push-up",
                "plank",
                "reverse lunge");
        double at = 60;
        List<Double> starts = new ArrayList<>();
        for (String move : order) {
            starts.add(at + 20);
            at = done(at, move);
        }
        say(at + 0.2, "And rest. Bye for now.");
        Match m = Matcher.match(timeline, List.of(take("t", at + 12, List.of(), words)), noLogs(1), List.of());
        assertThat(m.segment("a/plank/r1").orElseThrow().start().seconds())
                .isBetween(starts.get(2) - 1, starts.get(2) + 1);
        assertThat(m.segment("a/squat/r2").orElseThrow().start().seconds())
                .isBetween(starts.get(4) - 1, starts.get(4) + 1);
        assertThat(m.segment("a/reverse-lunge/r2").orElseThrow().matched()).isFalse();
        assertThat(m.segment("a/squat/r3").orElseThrow().start().seconds())
                .isBetween(starts.get(7) - 1, starts.get(7) + 1);
    }

    private Match found(double end) {
        return Matcher.match(timeline, List.of(take("t", end, List.of(), words)), noLogs(1), List.of());
    }

    private static void assertStarts(Match m, String id, double at) {
        assertThat(m.segment(id).orElseThrow().start().seconds()).as(id).isBetween(at - 1, at + 1);
    }

    /** Done behind the last move of its round and begun twice: to a timer it is the next round, begun three times. */
    @Test
    void aMoveDoneLaterThanPlannedIsNotTheNextOneBegunSeveralTimes() {
        List<Double> turns = new ArrayList<>(List.of(20.0, 60.0));
        say(0.4, "Hello. The first one is the squat.");
        say(20, "Go!");
        double at = 60;
        for (String move : List.of("push-up", "reverse lunge", "plank")) {
            turns.addAll(List.of(at + 20, at + 60));
            at = done(at, move);
        }
        say(at - 28, "Oh sorry, I messed that up.");
        say(at - 22, "So, plank.");
        turns.set(turns.size() - 1, at - 27);
        turns.add(at - 17);
        double again = at - 17;
        at = again + 40;
        turns.add(at);
        for (String move : List.of("squat", "push-up", "plank", "reverse lunge")) {
            turns.addAll(List.of(at + 20, at + 60));
            at = done(at, move);
        }
        List<TakeEvidence.Beep> beeps = turns.stream()
                .map(t -> new TakeEvidence.Beep(Time.ofSeconds(t), Length.ofMillis(300), 1000, -20))
                .toList();
        Match m = Matcher.match(timeline, List.of(take("t", at + 5, beeps, words)), noLogs(1), List.of());
        assertStarts(m, "a/reverse-lunge/r1", 140);
        assertStarts(m, "a/plank/r1", again);
        assertStarts(m, "a/squat/r2", again + 60);
    }

    private int index(String id) {
        return timeline.indexes().get(id);
    }

    /** Who says that it is done again means the stretch before, though the interval alone would fit the plan. */
    @Test
    void aSetBegunAgainIsUsedFromItsSecondBeginning() {
        say(0.4, "Hello. The first one is the squat.");
        say(20, "Go!");
        double at = done(60, "push-up");
        say(at + 0.2, "And rest. Next, plank.");
        say(at + 20, "Go!");
        say(at + 32, "Oh, I messed that up. Let me do that again.");
        say(at + 42, "Go!");
        double again = at + 42;
        at = done(again + 40, "reverse lunge");
        for (String move : List.of("squat", "push-up", "plank", "reverse lunge")) {
            at = done(at, move);
        }
        Match m = found(at + 5);
        assertStarts(m, "a/plank/r1", again);
        assertStarts(m, "a/reverse-lunge/r1", again + 60);
        assertThat(m.unplanned()).extracting(Match.Unplanned::kind).contains("fluff");
    }

    /** Nobody times a welcome: however long it takes, none of it is cut off. */
    @Property(tries = 8)
    void theWelcomeBeginsWithItsFirstWord(@ForAll @IntRange(min = 15, max = 45) int seconds) {
        double hello = 7;
        double go = hello + seconds;
        say(hello, "Hello everyone, and welcome back to the shed.");
        say(hello + 5, "Today we have a good steady session for you.");
        say(go - 5, "The first one is the squat.");
        say(go, "Go!");
        double at = go + 40;
        for (String move : List.of("push-up", "plank", "reverse lunge", "squat", "push-up", "plank", "reverse lunge")) {
            at = done(at, move);
        }
        Match m = found(at + 5);
        assertStarts(m, "hi", hello);
        assertStarts(m, "a/squat/r1", go);
        words.clear();
    }

    /** Without a timer rests take as long as their talk does. */
    @Property(tries = 8)
    void restsKeptByHandMoveNoBoundary(@ForAll @IntRange(min = -6, max = 14) int longer) {
        say(0.4, "Hello. The first one is the squat.");
        say(20, "Go!");
        double at = 60;
        List<Double> starts = new ArrayList<>();
        for (int round = 1; round <= 3; round++) {
            for (String move : round == 1
                    ? List.of("push-up", "plank", "reverse lunge")
                    : List.of("squat", "push-up", "plank", "reverse lunge")) {
                say(at + 0.2, "And rest. Next, " + move + ".");
                at += 20 + longer;
                say(at, "Go!");
                starts.add(at);
                at += 40;
            }
        }
        say(at + 0.2, "And rest. Bye for now.");
        Match m = found(at + 12);
        List<Segment> work = timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK)
                .skip(1)
                .toList();
        for (int i = 0; i < work.size(); i++) {
            assertStarts(m, work.get(i).id(), starts.get(i));
        }
        words.clear();
    }

    /** The camera was off until late in the workout: what the log tells of the time before lies before the take. */
    @Property(tries = 12)
    void aTakeOfAnyPartOfWhatWasLoggedIsFoundInIt(@ForAll @IntRange(min = 4, max = 20) int first) {
        List<ShootLog.Entry> entries = new ArrayList<>();
        for (Segment s : timeline.segments()) {
            entries.add(new ShootLog.Entry(
                    s.id(),
                    new Span<>(
                            Time.ofSeconds(2 + s.start().seconds()),
                            Time.ofSeconds(2 + s.end().seconds()))));
        }
        ShootLog log = new ShootLog(
                "", 42, Time.zero(), Time.ofSeconds(timeline.total().seconds() + 3), entries);
        Segment from = timeline.segments().get(first);
        double off = from.start().seconds() - 3;
        List<TakeEvidence.Beep> late = beeps(off, Double.MAX_VALUE);
        List<TakeEvidence.Beep> early = beeps(0, off - 2);
        TakeEvidence before = take("a", off - 2, early, List.of());
        TakeEvidence rest = take("b", timeline.total().seconds() - off + 4, late, List.of());
        Match m = Matcher.match(timeline, List.of(before, rest), Arrays.asList(log, log), List.of());
        List<Segment> behind =
                timeline.segments().subList(first, timeline.segments().size());
        for (Segment s : behind) {
            Match.Placed placed = m.segment(s.id()).orElseThrow();
            assertThat(placed.take()).as(s.id()).isEqualTo("b");
            assertThat(placed.start().seconds())
                    .as(first + " " + s.id())
                    .isBetween(s.start().seconds() - off - 0.1, s.start().seconds() - off + 0.1);
        }
    }

    /** The beeps of the boundaries between two moments of the plan, in a take that begins with the first. */
    private List<TakeEvidence.Beep> beeps(double from, double to) {
        return timeline.segments().stream()
                .filter(s -> s.kind() == SegmentKind.WORK || s.kind() == SegmentKind.REST)
                .map(s -> s.start().seconds())
                .filter(t -> t >= from && t < to)
                .map(t -> new TakeEvidence.Beep(Time.ofSeconds(t - from), Length.ofMillis(300), 1000, -20))
                .toList();
    }

    private static List<ShootLog> noLogs(int takes) {
        return new ArrayList<>(java.util.Collections.nCopies(takes, null));
    }
}
